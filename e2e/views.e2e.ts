import { Key } from 'selenium-webdriver';
import { findComparison, openComparison } from './harness/open.ts';
import { page, server } from './harness/scene.ts';

async function open(search: string, view = ''): Promise<void> {
  await openComparison(server, page, search, view);
}

describe('the bench at 1280x800', () => {
  it.each(['46 × 58', '406 × 37', '346 × 125'])('shows %s without scrolling', async (search) => {
    await open(search);
    await page.waitCount('.paper', 3);
    await page.keys(Key.END);
    const over = await page.script<string[]>(`
      return [...document.querySelectorAll('.screen, .stage, .bench, .lanes, .bench-head')]
        .filter((e) => e.scrollHeight > e.clientHeight + 1 || e.scrollWidth > e.clientWidth + 1)
        .map((e) => e.className);`);
    expect(over).toEqual([]);
    const outside = await page.script<number>(`
      return [...document.querySelectorAll('.paper, .gauge, .lanes, .panel')]
        .filter((e) => e.getBoundingClientRect().bottom > innerHeight + 1).length;`);
    expect(outside).toBe(0);
  });

  it('keeps the total line where it is on every step, and every paper balanced', async () => {
    await open('46 × 58');
    await page.waitCount('.paper', 3);
    await page.keys(Key.HOME);
    const line = () =>
      page.script<number>(
        "return document.querySelector('.gauge-total').getBoundingClientRect().bottom",
      );
    const before = await line();
    for (let step = 0; step < 9; step++) {
      await page.keys(Key.ARROW_RIGHT);
      expect(await line()).toBe(before);
      expect(await page.text('.gauge .balance')).toMatch(/balanced/);
    }
    expect(await page.text('.gauge-words')).toMatch(/owed\s*0\s*marked\s*2668/);
  });

  it('opens one paper large and closes it again', async () => {
    await open('46 × 58');
    await page.press('Open Lattice large');
    await page.waitText('.large-paper h1', /46 × 58 Lattice/);
    const size = () =>
      page.script<number>(
        "return document.querySelector('.large-paper .figure').getBoundingClientRect().height",
      );
    const fitted = await size();
    expect(fitted).toBeGreaterThanOrEqual(14);
    await page.keys('+', '+');
    await page.driver.wait(async () => (await size()) > 1.4 * fitted, 2000);
    await page.keys('0');
    await page.driver.wait(async () => Math.abs((await size()) - fitted) < 1, 2000);
    await page.keys(Key.ESCAPE);
    await page.waitCount('.paper', 3);
  });

  it('hides side notes and place notches', async () => {
    await open('46 × 58');
    await page.keys(Key.END);
    expect(await page.count('.notes text')).toBeGreaterThan(0);
    expect(await page.count('.notch')).toBeGreaterThan(0);
    await page.keys('n', 't');
    await page.waitCount('.notes text', 0);
    await page.waitCount('.notch', 0);
    await page.keys('n', 't');
  });

  it('says everything in the chosen words', async () => {
    await open('46 × 58');
    await page.keys(Key.HOME, ' ', ',');
    await page.waitText('[role="dialog"]', /Words and settings/);
    const choose = async (nth: number, word: string) => {
      await (await page.driver.findElements({ css: '[role="combobox"]' }))[nth]!.click();
      await page.press(word);
      await page.waitCount('[role="listbox"]', 0);
    };
    await choose(0, 'regroup');
    await choose(3, 'units');
    await choose(4, '·');
    await page.press('Done');
    await page.waitCount('[role="dialog"]', 0);
    const said = await page.text('.paper[data-paper="0"] .sentence');
    expect(said).toBe('8 · 6 units make 48 units: write 8 units, regroup 40 units as 4 tens.');
    expect(await (await page.find('[data-problem-field]')).getAttribute('value')).toBe('46 · 58');
    await page.script('localStorage.clear()');
    await page.driver.navigate().refresh();
    await page.waitText('.paper[data-paper="0"] .sentence', /carry/);
  });

  it('points at the regions of the shared picture with the keyboard', async () => {
    await open('46 × 58');
    await page.waitCount('.area .region', 4);
    await page.script("document.querySelector('.area svg').focus()");
    await page.keys(Key.ARROW_DOWN);
    const first = await page.text('.worth-figure');
    await page.keys(Key.ARROW_DOWN);
    expect(await page.text('.worth-figure')).not.toBe(first);
    const name = await page.script<string>(
      "return document.activeElement.getAttribute('aria-label')",
    );
    expect(name).toMatch(/^\d+ ?× ?\d+ = \d+, (owed|marked|some)$/);
    await page.keys(Key.ENTER);
    await page.script('document.activeElement.blur()');
    expect(await page.count('.region.exact')).toBe(1);
    await page.keys(Key.ESCAPE);
    await page.waitCount('.region.exact', 0);
  });

  it('names a slip made on purpose, and takes it back by a press', async () => {
    const { document } = await findComparison(server, '46 × 58');
    const [column, ...others] = (document as unknown as { papers: { slips: string[] }[] }).papers;
    const papers = [{ ...column, slips: ['forget-carry@line-0.1'] }, ...others];
    const { id } = await server.json<{ id: string }>('comparisons', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ document: { ...document, title: 'A slip on purpose', papers } }),
    });
    await page.driver.get(`${server.address}/c/${id}`);
    await page.waitText('.paper[data-paper="0"] .slip', /^slip: carry not added ×$/);
    await page.keys(Key.END);
    await page.waitText('.balance', /Column has lost 40/);
    await page.click('.paper[data-paper="0"] .slip');
    await page.waitText('.balance', /^balanced/);
    await page.waitCount('.slip', 0);
    await page.waitText('.keeping', /kept/);
    await page.driver.get(`${server.address}/comparisons`);
    await fetch(`${server.address}/api/comparisons/${id}`, { method: 'DELETE' });
  });

  it('holds an answer typed behind an equals sign against the work', async () => {
    await open('7 × 365');
    await page.compute('504 × 27 = 13508');
    await page.waitText(
      '.MuiSnackbar-root',
      /You wrote 13508; the work comes to 13608\. Yours is 100 less\./,
    );
    await page.waitText('.gauge-total', /^13608$/);
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.gauge-total', /^2555$/);
    await page.waitText('.keeping', /^kept \d/);
  });

  it('goes one unit a press, and lets the sentences that were passed over be read', async () => {
    await open('7 × 365');
    await page.compute('642 − 387');
    await page.waitText('.gauge-total', /^255$/);
    await page.keys(Key.HOME, ' ');
    await page.waitText('.paper[data-paper="0"] .count', /^2 of 5$/);
    await page.waitText('.transport [role="status"]', /side by side/);
    await page.click('.paper[data-paper="0"] .before');
    await page.waitText('[role="menu"]', /Step 1.*2 ones are fewer than 7 ones/s);
    await page.keys(Key.ESCAPE);
    await page.waitCount('[role="menu"]', 0);
    await page.chord(Key.CONTROL, 'z');
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.gauge-total', /^2555$/);
    await page.waitText('.keeping', /^kept \d/);
  });

  it('lists its own shortcuts', async () => {
    await open('46 × 58');
    await page.waitCount('.paper', 3);
    await page.keys('?');
    const sheet = await page.waitText('[role="dialog"]', /Shortcuts/);
    expect(sheet).toContain('On to the next common amount');
    expect(sheet).toContain('Swap the factors');
    await page.keys(Key.ESCAPE);
    await page.waitCount('[role="dialog"]', 0);
  });

  it('plays to the end by itself and can be paused', async () => {
    await open('46 × 58');
    await page.keys(Key.HOME, 'p');
    await page.waitText('.paper .count', /^[2-9] of 9/);
    await page.keys('p');
    const paused = await page.text('.paper .count');
    await new Promise((resolve) => setTimeout(resolve, 2000));
    expect(await page.text('.paper .count')).toBe(paused);
  });

  it('works 12 by 12 figures', async () => {
    await open('7 × 365');
    await page.compute('987654321987 × 123456789123');
    await page.keys(Key.END);
    await page.waitText('.gauge-total', /^121932631/);
    await page.waitText('.gauge .balance', /balanced/);
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.gauge-total', /^2555$/);
  });
});

describe('other widths', () => {
  afterAll(() => page.resize(1280, 800));

  it.each([
    [1024, 768, false],
    [390, 844, true],
  ])('%i x %i has nothing beyond its right edge', async (width, height, mobile) => {
    await page.resize(width, height, mobile);
    await open('46 × 58');
    await page.waitCount('.paper', 3);
    await page.settles(
      `return [...document.querySelectorAll('.bench-head > *, .gauge, .lanes > *, .panel, .rail > *')]
        .filter((e) => e.getBoundingClientRect().right > innerWidth + 1)
        .map((e) => e.outerHTML.slice(0, 120));`,
      [],
    );
    await page.find('.papers');
    await page.settles(
      `return document.querySelectorAll('ol.heard li').length > 0 &&
        document.documentElement.scrollWidth <= innerWidth ? [] : ['scrolls sideways'];`,
      [],
    );
    await page.press('next');
    await page.waitText('.gauge .balance', /balanced/);
  });
});

describe('presenting and printing', () => {
  it('presents with the same keys', async () => {
    await open('46 × 58');
    await page.waitCount('.paper', 3);
    await page.keys(Key.HOME, 'f');
    await page.waitCount('.present-paper', 3);
    await page.keys(' ');
    await page.waitText('.present-paper .sentence', /8 × 6 ones make 48 ones/);
    await page.click('.present-paper [data-entry="m1"]');
    await page.waitText('.present-worth', /^8$/);
    await page.keys(Key.ESCAPE, 'b');
    await page.waitCount('.paper', 3);
  });

  it('shows the shared picture when asked, and leaves by Esc', async () => {
    await open('46 × 58', '/present');
    await page.waitCount('.present-paper', 3);
    expect(await page.count('[aria-label="Shared picture"]')).toBe(0);
    await page.press('picture');
    await page.waitCount('[aria-label="Shared picture"] .region', 4);
    await page.keys(Key.ESCAPE);
    await page.waitCount('.bench', 1);
  });

  it('prints finished papers with every sentence, or papers as they stand', async () => {
    await open('46 × 58', '/print');
    await page.waitText('.print-problem', /46 × 58 = 2668 bags/);
    expect(await page.count('.printed-steps li')).toBe(9 + 7 + 8);
    expect(await page.text('.print')).toMatch(/Why they agree/);
    await page.press('as they stand');
    await page.waitText('.print-problem', /46 × 58 =\s+bags/);
  });
});

describe('the list of comparisons', () => {
  it('duplicates, deletes and brings back', async () => {
    // Those of the pages before, which were left in the middle of keeping, are not of this one.
    await page.complaints();
    await page.driver.get(`${server.address}/comparisons`);
    const total = (wanted: number) =>
      page.waitText('.MuiTablePagination-displayedRows', new RegExp(`of ${wanted}$`));
    const { total: all } = await server.json<{ total: number }>('comparisons');
    await total(all);
    await page.press('Duplicate Three figures by three');
    await page.waitText('.list tbody tr', /Three figures by three \(copy\)/);
    await total(all + 1);
    await page.press('Delete Three figures by three (copy)');
    await total(all);
    await page.press('Bring it back');
    await total(all + 1);
    await page.press('Delete Three figures by three (copy)');
    await total(all);
    expect(await page.complaints()).toEqual([]);
  });

  it('makes a new comparison', async () => {
    await page.press('New comparison');
    await page.waitText('h1', /A new comparison/);
    await page.waitCount('.offers button', 3);
    await page.compute('642 - 387');
    await page.waitCount('.paper', 3);
    await page.waitText('.estimate', /estimate first\?/);
  });

  it('imports a file and refuses one that is none', async () => {
    await page.driver.get(`${server.address}/comparisons`);
    const give = (name: string, text: string) =>
      page.script(
        `const files = new DataTransfer();
         files.items.add(new File([arguments[1]], arguments[0]));
         const input = document.querySelector('input[type=file]');
         input.files = files.files;
         input.dispatchEvent(new Event('change', { bubbles: true }));`,
        name,
        text,
      );
    await page.find('.list');
    await give('notes.json', '{"a":1}');
    await page.waitText(
      '.MuiSnackbar-root',
      /notes\.json cannot be imported: format: this is not a Levee/,
    );
    const nines = await findComparison(server, 'nines');
    await give('nines.json', JSON.stringify({ ...nines.document, title: 'Imported nines' }));
    await page.waitText('.list', /Imported nines/);
  });
});
