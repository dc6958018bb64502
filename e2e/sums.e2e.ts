import { Key } from 'selenium-webdriver';
import { openComparison, type Stored } from './harness/open.ts';
import { page, server } from './harness/scene.ts';

const counts = () => page.texts('.paper .count');

interface Kept {
  document: {
    problem: string;
    papers: { hops: string[] }[];
    checks: { check: string; outcome: string }[];
  };
}

/** What the server has of a comparison, once it fits. */
async function kept(id: string, fits: (kept: Kept) => boolean): Promise<Kept> {
  let last: Kept | null = null;
  await page.driver.wait(async () => {
    last = await server.json<Kept>(`comparisons/${id}`);
    return fits(last);
  }, 8000);
  return last!;
}

describe('the kinds of computation', () => {
  it('lay methods that suit them, and undo brings the old papers back', async () => {
    const { id } = await openComparison(server, page, '46 × 58');
    const before = await page.texts('.paper .method-name');
    await page.compute('913-568');
    await page.waitText('.gauge-total', /^345$/);
    await page.waitText('.MuiSnackbar-root', /others are laid\. Story and unit .* were taken off/);
    expect(await page.text('.story')).toBe('what do the numbers stand for?');
    await page.waitTexts('.paper .method-name', [
      'Decomposition',
      'Equal additions',
      'Counting up',
    ]);
    expect(await page.text('.structure')).toBe('several places are short');
    expect(await page.text('.paper[data-paper="0"] .sentence')).toMatch(
      /^Regroup to fill the ones and tens\./,
    );
    await page.compute('7+9+4+8+6+5');
    await page.waitText('.gauge-total', /^39$/);
    await page.press('Method: Column');
    await page.click('[role="menu"] li:last-of-type');
    expect(await page.text('[role="menu"]')).toMatch(
      /Decomposition\s+This method does not work a sum/,
    );
    await page.press(
      'Scratch additionDown a column, whenever the total reaches ten the addend is scratched: the scratch is worth ten, and only what is over goes on.',
    );
    await page.waitText('.paper[data-paper="0"] .method-name', /Scratch/);
    await page.keys(Key.ESCAPE);
    for (let k = 0; k < 3; k++) await page.chord(Key.CONTROL, 'z');
    await page.waitText('.gauge-total', /^2668$/);
    await page.waitTexts('.paper .method-name', before);
    expect(await page.text('.story')).toBe('sandbags on 46 pallets of 58');
    await page.compute('46 × 59');
    await page.waitText('.gauge-total', /^2714$/);
    expect(await page.text('.story')).toBe('sandbags on 46 pallets of 59');
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.gauge-total', /^2668$/);
    await page.find('.keeping.kept');
    await kept(id, ({ document }) => document.problem === '46 × 58');
    expect(await page.complaints()).toEqual([]);
  });

  it('strike figures of the question and keep them legible', async () => {
    await openComparison(server, page, '642-387');
    await page.keys(Key.HOME, Key.ARROW_RIGHT);
    const struck = '.paper[data-paper="0"] .figure.given[data-state="struck"]';
    await page.waitCount(struck, 2);
    await page.waitTexts(`${struck} text`, ['2', '4']);
    await page.keys(Key.ARROW_LEFT);
    await page.waitCount(struck, 0);
  });
});

describe('the line', () => {
  const stretch = (row: number) =>
    page.script<number>(
      `const path = document.querySelectorAll('.stretch')[arguments[0]].getAttribute('d');
       const [, from, to] = path.match(/^M([\\d.]+) .*H([\\d.]+)V/);
       return Math.round((to - from) * 10) / 10;`,
      row,
    );

  it('keeps the difference as long as it is while every method works', async () => {
    await openComparison(server, page, '642-387');
    await page.keys(Key.HOME);
    await page.waitCount('.stretch', 3);
    const length = await stretch(0);
    for (let step = 0; step < 6; step++) {
      for (const row of [0, 1, 2]) expect(await stretch(row)).toBeCloseTo(length, 0);
      await page.keys(Key.ARROW_RIGHT);
    }
  });

  it('lights what is pointed at on the papers, and the other way about', async () => {
    await openComparison(server, page, '642-387');
    await page.keys(Key.HOME);
    await page.click('[data-segment="o0.2"]');
    await page.waitText('.worth-figure', /^600$/);
    await page.find('.paper[data-paper="0"] .frames.edge .point');
    expect(await page.text('.worth')).toMatch(/Equal additions/);
    await page.keys(Key.ESCAPE);
    await page.click('.paper[data-paper="1"] [data-entry="g1.1"]');
    await page.waitText('.worth-figure', /^80$/);
    expect(await page.text('.worth-line')).toMatch(/the subtrahend’s digit 8: 8 tens/);
    await page.find('.segment.minus.exact, .segment.minus.near');
    await page.keys(Key.ESCAPE);
  });

  it('shows one of a place opened into ten of the next, and as base blocks', async () => {
    await openComparison(server, page, '642-387');
    await page.keys(Key.HOME, Key.ARROW_RIGHT);
    await page.press('blocks');
    await page.waitTexts('.blocks .count', ['6 − 3', '3 − 8', '12 − 7']);
    await page.keys(Key.END);
    await page.waitText('.blocks:last-of-type .count', /^5$/);
    await page.waitTexts('.blocks .count', ['2', '5', '5']);
  });
});

describe('hops of her own', () => {
  let stored: Stored;

  it('are typed on the paper, each one judged before it is made', async () => {
    stored = await openComparison(server, page, '642-387');
    await page.keys(Key.HOME);
    await page.press('own hops…');
    const field = await page.find('[aria-label="Next hop"]');
    await field.sendKeys('13');
    await page.waitText('.hop-field .caption', /lands on 400, 242 to go/);
    await field.sendKeys(Key.ENTER);
    await page.waitText('.hops-strip', /\+13/);
    const next = await page.find('[aria-label="Next hop"]');
    await next.sendKeys('-900');
    await page.waitText('.hop-field .fault', /goes back past zero/);
    await next.sendKeys(Key.ENTER, Key.chord(Key.CONTROL, 'a'), '300', Key.ENTER);
    await page.waitText('.hops-strip', /\+300/);
    expect(await page.text('.paper[data-paper="2"] .sentence')).toMatch(
      /goes past the end, to 700/,
    );
    expect(await page.text('.paper[data-paper="2"] .held-tray')).toMatch(/−58/);
  });

  it('are clicked on the line', async () => {
    const chooser = await page.find('[data-chooser]');
    const { width } = await chooser.getRect();
    const high = await page.script<number>(
      `return Math.max(...[...document.querySelectorAll('.axis text')].map((t) => Number(t.textContent)))`,
    );
    expect(high).toBeGreaterThan(0);
    await page.driver
      .actions()
      .move({ origin: chooser, x: Math.round(width * 0.3) })
      .perform();
    const offered = await page.waitText('.chooser text', /→ \d+$/);
    await page.driver.actions().click().perform();
    const landing = /→ (\d+)$/.exec(offered)![1]!;
    await page.waitText('.paper[data-paper="2"] .sentence', new RegExp(landing));
    await page.press('done');
  });

  it('are kept, and the account stays balanced', async () => {
    const { document } = await kept(stored.id, ({ document: d }) => d.papers[2]!.hops.length === 3);
    expect(document.papers[2]!.hops.slice(0, 2)).toEqual(['13', '300']);
    await page.driver.navigate().refresh();
    await page.waitText('.paper[data-paper="2"] .school.own', /own hops \+13 \+300/);
    await page.keys(Key.END);
    await page.waitText('.paper[data-paper="2"] .sentence', /Answer: 255 bags/);
    expect(await page.text('.gauge .balance')).toMatch(/^balanced/);
    await page.keys(Key.HOME, 'h');
    await page.press('Take +13 and what follows away');
    await page.waitCount('.hops-strip .chip', 1);
    await page.press('done');
    await kept(stored.id, ({ document: d }) => d.papers[2]!.hops.length === 0);
  });

  it('slide both numbers in compensation', async () => {
    await openComparison(server, page, '913-568');
    await page.press('own changes +32');
    await (await page.find('[aria-label="Next change"]')).sendKeys('-13', Key.ENTER);
    await page.waitText('.paper[data-paper="1"] .sentence', /932 and 587/);
    await page.press('done');
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.paper[data-paper="1"] .school.own', /\+32$/);
  });
});

describe('checks', () => {
  let stored: Stored;

  it('are made on a chosen paper and say what they would not catch', async () => {
    stored = await openComparison(server, page, '386+478');
    await page.keys('k');
    await page.find('.check');
    await page.waitText('[data-check="inverse"]', /864 − 478 = 386, the other addend/);
    expect(await page.text('[data-check="leading-figures"]')).toMatch(/sure of no figure/);
    await page.press('Partial sums');
    await page.waitText('[data-check="leading-figures"]', /After step 1 .* 7··|After step 2/);
    await page.press('Column');
    expect(await page.text('[data-check="estimate"]')).toMatch(/400 \+ 500 is 900/);
    await page.click('[data-check="estimate"] summary');
    await page.waitText('[data-check="estimate"] table', /let through/);
  });

  it('take the exact calculator as one of them, only for this very computation', async () => {
    const field = await page.find('.calculator input');
    await field.sendKeys('1 ÷ 3', Key.ENTER);
    await page.waitText('.display', /^= 1\/3$/);
    await page.waitText('[data-check="calculator"]', /for another computation/);
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '386+478', Key.ENTER);
    await page.waitText('.display', /^= 864$/);
    await page.press('Record the check');
    await page.waitText('.check-log', /agrees Calculator of Column: 386\+478/);
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '386 +', Key.ENTER);
    await page.waitText('.display', /missing after/);
  });

  it('are kept with the comparison', async () => {
    await page.click('[data-check="second-method"] header button');
    const { document } = await kept(stored.id, ({ document: d }) => d.checks.length === 2);
    expect(document.checks.map(({ check, outcome }) => `${check} ${outcome}`)).toEqual([
      'calculator agrees',
      'second-method agrees',
    ]);
    await page.driver.navigate().refresh();
    await page.waitText('.check-log', /Second method of Column against Partial sums/);
    expect(await page.complaints()).toEqual([]);
  });

  it('show that the little ones are the carries of adding back', async () => {
    await openComparison(server, page, '642-387');
    await page.keys('k');
    await page.find('.check');
    await page.press('Equal additions');
    await page.waitText('[data-check="inverse"]', /they are these carries/);
  });
});

describe('context', () => {
  it('warns where counted things would be fewer than none', async () => {
    await openComparison(server, page, '38-52');
    const note = await page.find('.chip.warning');
    expect(await note.getAttribute('aria-label')).toMatch(/Only 38 stakes are there/);
    await page.pressChip('unit: stakes');
    await page.press(
      'counted in wholes: they cannot be split, and there are never fewer than none',
    );
    await page.press('Keep');
    await page.waitCount('.chip.warning', 0);
  });
});

describe('the methods page', () => {
  it('tells every method, and works its example by the chosen school', async () => {
    await page.driver.get(`${server.address}/methods`);
    await page.waitText('.method-sheet h1', /Column addition/);
    await page.press('Equal additions');
    await page.waitText('.method-sheet h1', /Equal additions/);
    expect(await page.text('.method-sheet')).toMatch(/stay as far apart as they were/);
    const figures = () => page.texts('.method-example .figure text');
    expect((await figures()).filter((text) => text === '•')).toHaveLength(0);
    await page.press('a dot Quick and small, but it must be remembered what it stands for.');
    await page.driver.wait(
      async () => (await figures()).filter((text) => text === '•').length === 4,
      4000,
    );
    expect(await page.driver.getCurrentUrl()).toMatch(/m=equal-additions$/);
    expect(await page.complaints()).toEqual([]);
  });
});

describe('products in other ways', () => {
  it('link the digits that cross, in the step that pairs them', async () => {
    await openComparison(server, page, '213 × 124');
    await page.waitCount('.paper[data-paper="0"] .links path', 3);
    await page.keys(Key.ARROW_RIGHT);
    await page.waitCount('.paper[data-paper="0"] .links path', 2);
    await page.keys('n');
    await page.waitCount('.links path', 0);
    await page.keys('n');
  });

  it('halve and double with the strips of the rectangle cut alike', async () => {
    await openComparison(server, page, '26 × 34');
    await page.keys(Key.END);
    await page.waitText('.paper[data-paper="0"] .sentence', /68 \+ 272 \+ 544 = 884/);
    expect(await page.count('.paper[data-paper="0"] .figure[data-state="struck"]')).toBe(4);
    await page.waitText('.agree', /checked ✓/);
  });

  it('are rewritten in another base and back under the same papers', async () => {
    await openComparison(server, page, '26 × 34');
    await page.pressChip('base ten');
    await page.press('base 211010_2 × 100010_2');
    await page.waitText('.gauge-total', /^1101110100$/);
    await page.pressChip('base 2');
    await page.press('base ten26 × 34');
    await page.waitText('.gauge-total', /^884$/);
    await page.waitTexts('.paper .method-name', [
      'Halving, doubling 1',
      'Halving, doubling 2',
      'Grid',
    ]);
    expect(await page.complaints()).toEqual([]);
  });
});

it('steps of a difference go one unit of each paper', async () => {
  await openComparison(server, page, '642-387');
  await page.keys(Key.HOME, ' ');
  expect(await counts()).toEqual(['2 of 5', '2 of 5', '1 of 5']);
  await page.press('Put Counting up away');
  await page.waitCount('.paper', 2);
  await page.keys(Key.HOME, ' ');
  expect(await counts()).toEqual(['2 of 5', '2 of 5']);
});
