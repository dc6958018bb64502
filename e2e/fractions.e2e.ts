import { Key } from 'selenium-webdriver';
import { openComparison } from './harness/open.ts';
import { page, server } from './harness/scene.ts';

const sentence = (paper: number) => `.paper[data-paper="${paper}"] .sentence`;

describe('fractions', () => {
  it('are typed as people write them, typeset, and worked by methods of their own', async () => {
    await openComparison(server, page, '46 × 58');
    await page.compute('3/4 + 1/6');
    await page.waitText('.gauge-total', /^11\/12$/);
    await page.find('.problem-cover .katex');
    await page.waitTexts('.paper .method-name', ['Cross products', 'Least common']);
    await page.waitText(sentence(1), /2 fractions must be renamed/);
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.gauge-total', /^2668$/);
    await page.find('.keeping.kept');
  });

  it('show their numbers over each other, and what an amount is on the other papers', async () => {
    await openComparison(server, page, 'Grass-seed mix');
    await page.keys(Key.END);
    await page.waitText(sentence(0), /22 twenty-fourths are 11 twelfths/);
    const bars = await page.count('.paper[data-paper="0"] .figure .bar');
    expect(bars).toBe(4);
    await page.click('.paper[data-paper="0"] [data-entry="m1"]');
    await page.waitText('.worth-figure', /^3\/4$/);
    expect(await page.text('.worth')).toMatch(/a number of the question/);
    await page.keys(Key.ESCAPE);
    await page.waitText('.agree', /18\/24 \+ 4\/24 = 22\/24 = 11\/12/);
    await page.waitText('.agree', /checked ✓/);
  });

  it('cut one bar by the denominators of each method', async () => {
    await page.keys(Key.HOME);
    const cuts = () =>
      page.script<number[]>(
        `return [...document.querySelectorAll('.line svg path.ticks')].map((path) => (path.getAttribute('d').match(/M/g) ?? []).length);`,
      );
    const before = await cuts();
    await page.keys(Key.END);
    await page.driver.wait(async () => (await cuts()).join() !== before.join(), 4000);
    await page.waitTexts('.line .axis text', ['0', '1']);
  });

  it('open a whole where the parts are short', async () => {
    await openComparison(server, page, 'a whole opened');
    expect(await page.text('.structure')).toBe('a whole must be opened');
    await page.keys(Key.HOME, Key.ARROW_RIGHT);
    await page.waitText(sentence(0), /1 whole is opened into 6 sixths/);
    await page.waitCount('.paper[data-paper="0"] .figure.given[data-state="struck"]', 2);
    await page.keys(Key.END);
    await page.waitText(sentence(0), /Answer: 2 1\/3 hours/);
    await page.keys('k');
    await page.waitText('[data-check="inverse"]', /2 1\/3 \+ 2 5\/6 = 5 1\/6/);
    expect(await page.complaints()).toEqual([]);
  });

  it('name a denominator of zero', async () => {
    await openComparison(server, page, 'a whole opened');
    await page.compute('1/2 + 3/0', '');
    await page.waitText('.problem-reading', /3 ÷ 0 has no answer/);
    await page.keys(Key.ESCAPE);
    await page.waitText('.gauge-total', /^2 1\/3$/);
  });
});
