import { Key } from 'selenium-webdriver';
import { openComparison } from './harness/open.ts';
import { page, server } from './harness/scene.ts';

const sentence = (paper: number) => `.paper[data-paper="${paper}"] .sentence`;
const figures = (paper: number) => `.paper[data-paper="${paper}"] .figure`;

describe('expressions with letters', () => {
  it('are typed as people write them, typeset, and worked by methods of their own', async () => {
    await openComparison(server, page, '46 × 58');
    await page.compute('(x+4)(3x−2)');
    await page.waitText('.gauge-total', /^3x² \+ 10x − 8$/);
    await page.find('.problem-cover .katex');
    await page.waitTexts('.paper .method-name', ['Arcs', 'Grid of terms', 'First to last']);
    expect(await page.count('.estimate')).toBe(0);
    await page.keys(' ', ' ', ' ');
    await page.waitText(sentence(0), /4 · 3 = 12: 12x/);
    expect(await page.count('.paper[data-paper="0"] .links path')).toBe(3);
    await page.waitText('.agree', /checked ✓/);
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.gauge-total', /^2668$/);
    await page.find('.keeping.kept');
  });

  it('let every amount be found on the other papers', async () => {
    await openComparison(server, page, 'A plot with unknown sides');
    await page.keys(Key.END);
    await page.click('.paper[data-paper="0"] [data-entry="m3"]');
    await page.waitText('.worth-figure', /^12x$/);
    await page.waitText('.worth', /exactly the same amount\s*Grid of terms · 4 · 3x/);
    await page.keys(Key.ESCAPE);
    // Two like products are underlined, crossed out as they are gathered, and what they make is ringed.
    expect(await page.count(`${figures(0)} .alike`)).toBe(2);
    expect(await page.count(`${figures(0)}.mark[data-state="struck"]`)).toBe(4);
    expect(await page.count(`${figures(0)} .ring`)).toBe(3);
  });

  it('say why the four words do not fit longer brackets', async () => {
    await page.compute('(x^2+x+1)(x−2)');
    await page.waitText('.gauge-total', /^x³ − x² − x − 2$/);
    await page.waitTexts('.paper .method-name', ['Arcs', 'Grid of terms']);
    await page.click('.paper[data-paper="0"] .method-name');
    await page.click('[role="menu"] li:last-of-type');
    await page.waitText(
      '[role="menu"]',
      /First, outer, inner, last\s*First, outer, inner, last name the four products of two brackets of two terms; bracket 1 has 3 terms/,
    );
    await page.keys(Key.ESCAPE);
    await page.waitCount('[role="menu"]', 0);
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.gauge-total', /^3x² \+ 10x − 8$/);
    await page.find('.keeping.kept');
  });

  it('turn the signs of a bracket that is taken away, and gather kind by kind', async () => {
    await openComparison(server, page, 'Seed mixes with');
    await page.keys(Key.HOME, Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    await page.waitText(sentence(1), /7x, and minus times minus is plus/);
    await page.keys(Key.END);
    await page.waitCount('.kinds .region.marked', 4);
    expect(await page.count('.kinds .region')).toBe(4);
    await page.keys('k');
    await page.waitText('[data-check="substitution"]', /With x = 2: .* the same\./s);
    await page.waitText('[data-check="degree"]', /The highest degree there is 3/);
    await page.keys('b');
  });

  it('go two brackets at a time, tidied or not', async () => {
    await openComparison(server, page, 'Three brackets, two at a time');
    await page.waitText(sentence(0), /3 terms meet 2 more: 6 products.*4 terms would make 8/s);
    await page.waitText(sentence(1), /4 terms meet 2 more: 8 products.*3 terms would make 6/s);
    await page.keys(Key.END);
    await page.waitText('.gauge-words', /owed\s*0\s*marked\s*x³ − x² − 22x \+ 40/);
    expect(await page.complaints()).toEqual([]);
  });

  it('are the same as numbers where x is ten', async () => {
    await openComparison(server, page, 'Sandbags, ten read as x');
    await page.pressChip('read x as ten');
    await page.waitText('.gauge-total', /^2668$/);
    await page.waitTexts('.paper .method-name', ['Grid', 'Crosswise', 'Partial products']);
    await page.keys('y');
    await page.waitText(
      '[aria-label="The bridge: without carrying and with it"]',
      /x\s*6 · 5 \+ 4 · 8\s*62x\s*\+ 4\s*6\s*6/,
    );
    await page.keys('b');
    await page.keys('r');
    await page.waitText('.gauge-total', /^20x² \+ 62x \+ 48$/);
    await page.keys('r');
    await page.waitText('.gauge-total', /^2668$/);
    await page.chord(Key.CONTROL, 'z');
    await page.chord(Key.CONTROL, 'z');
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.gauge-total', /^20x² \+ 62x \+ 48$/);
    await page.find('.keeping.kept');
  });
});

describe('square roots', () => {
  it('grow a square by strips, and keep the number in their account', async () => {
    await openComparison(server, page, 'Side of a square inspection plot');
    expect(await page.text('.structure')).toBe('two pairs');
    await page.waitText('.estimate', /√8100 ≈ 90/);
    await page.keys(Key.HOME, Key.ARROW_RIGHT);
    await page.waitText(sentence(0), /a square of 80 by 80 can be laid: 6400/);
    await page.waitText('[aria-label="Root times root and what is left"]', /80 × 80 \+ 996 = 7396/);
    await page.keys(Key.END);
    await page.waitText(sentence(0), /left of the pairs so far beside the square of 86/);
    await page.waitTexts('.region title', ['80 × 80 = 6400', '2 × 80 × 6 + 6 × 6 = 996']);
    await page.click('.region:nth-of-type(3) rect');
    await page.waitText('.worth-figure', /^6400$|^996$/);
    await page.keys(Key.ESCAPE);
    await page.waitText('.agree', /\(80\+6\)\^\{2\} = 86\^\{2\}/);
    await page.keys('k');
    await page.waitText('[data-check="inverse"]', /86 × 86 = 7396, the number under the root/);
    await page.keys('b');
  });

  it('say what does not come out', async () => {
    await page.compute('sqrt(72)');
    await page.waitText('.gauge-total', /^72$/);
    await page.waitText(sentence(1), /2 pairs of primes come out and one prime has no partner/);
    await page.keys(Key.END);
    await page.waitText(sentence(1), /no pair is left in 2: 6√2/);
    await page.keys('y');
    await page.waitText('[aria-label="Back to the number"]', /8\.48 × 8\.48 \+ 0\.0896 = 72 ✓/);
    await page.waitText('[aria-label="Back to the number"]', /6 × 6 × 2 = 72 ✓/);
    await page.keys('b');
    await page.compute('√', '');
    await page.waitText('.problem-reading', /A number is missing after “√”/);
    await page.keys(Key.ESCAPE);
    expect(await page.complaints()).toEqual([]);
  });
});
