import { By, Key } from 'selenium-webdriver';
import { page, server } from './harness/scene.ts';
import { INPUT, type, waitTyped, waitWords } from './harness/typing.ts';

describe('a computation that no method works', () => {
  it('is laid for own lines, and is stepped and checked like any other', async () => {
    await page.driver.get(`${server.address}/new`);
    const field = await page.find('[data-problem-field]');
    await field.sendKeys('25% of 80');
    await page.waitText('#problem-reading', /No method yet; Enter lays it for own lines/);
    await field.sendKeys(Key.ENTER);
    await page.find('.bench .paper');
    await page.keys('e');
    await type('= 1/4 × 80');
    await page.keys(Key.ENTER);
    await type('= 20');
    await page.keys(Key.ESCAPE);
    await page.waitText('.line-count', /2 lines ✓/);
    await page.waitText('.agree h2', /checked ✓/);
    await page.waitText('.bench-head', /no method yet; own lines/);
    await page.keys('k');
    await page.waitText('.check', /this check is for those that methods work/);
  });
});

/** Lays own lines on new numbers and types them. */
async function lay(problem: string, lines: readonly string[]): Promise<void> {
  await page.driver.get(`${server.address}/new`);
  const field = await page.find('[data-problem-field]');
  await field.sendKeys(problem, Key.ENTER);
  await page.find('.bench .paper');
  await page.keys('e');
  for (const line of lines) {
    await page.find(INPUT);
    await type(line);
    await page.keys(Key.ENTER);
    await waitTyped('');
  }
  await page.keys(Key.ESCAPE);
}

describe('the account of other forms of line', () => {
  it('has a piece for every pair of a ratio table, with where it comes from', async () => {
    await lay('952 ÷ 7', ['1 | 7', '10 | 70', '100 | 700', '30 | 210', '6 | 42', '136 | 952']);
    const paper = '.paper[data-paper="3"]';
    await waitWords(
      [
        '✓ in the ratio',
        '✓ times 10',
        '✓ times 10',
        '✓ times 3',
        '✓ divided by 5',
        '✓ missing part',
      ],
      paper,
    );
    await page.waitText('.gauge', /balanced ✓ · Own lines/);
    await page.waitText('.agree h2', /checked ✓/);
    const pair = By.xpath('//*[@data-paper="3"]//*[@data-entry][contains(., "30 | 210")]');
    await page.driver.findElement(pair).click();
    await page.waitText('.worth', /30/);
    await page.keys(Key.ESCAPE);
  });

  it('has jumps on from a number, of which each landing is an amount', async () => {
    await lay('38 + 27', ['38 +2→ 40 +25→ 65']);
    const paper = '.paper[data-paper="3"]';
    await page.waitText(`${paper} .sheet`, /65/);
    await page.waitText('.gauge', /balanced ✓ · Own lines/);
    await page.waitText('.agree h2', /checked ✓/);
    await page.waitText('.panel.line', /\+25/);
  });

  it('takes lines in the base of the problem', async () => {
    await lay('132_5 + 44_5', ['= 130 + 101', '= 231']);
    await waitWords(['✓ give and take', '✓ worked out'], '.paper[data-paper="3"]');
    await page.waitText('.paper[data-paper="3"] .sheet', /231/);
    await page.waitText('.agree h2', /checked ✓/);
  });

  it('is one length for what no method works, and several factors are one box', async () => {
    await lay('46 × 58 − 12', ['= 46 × 60 − 46 × 2 − 12', '= 2760 − 92 − 12', '= 2656']);
    await page.waitText('.panel.line h2', /One length, line by line/);
    await page.waitText('.panel.line', /2 ?656/);
    await lay('12 × 25 × 8', ['= 12 × 200', '= 10 × 200 + 2 × 200', '= 2400']);
    const paper = '.paper[data-paper="3"]';
    await waitWords(['✓ worked out', '✓ distributive law', '✓ worked out'], paper);
    await page.waitText('.agree h2', /checked ✓/);
  });
});
