import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { By, Key } from 'selenium-webdriver';
import { openComparison } from './harness/open.ts';
import { page, server } from './harness/scene.ts';

const FOLDER = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));

beforeAll(() => mkdirSync(FOLDER, { recursive: true }));

async function open(search: string, view = ''): Promise<void> {
  await openComparison(server, page, search, view);
  await page.driver.sleep(500);
}

async function save(name: string): Promise<void> {
  await page.driver.sleep(400);
  writeFileSync(`${FOLDER}${name}.png`, await page.picture());
}

/** One current picture of each main view at 1280x800, made from the demo data. */
describe('pictures', () => {
  it('of the bench', async () => {
    await open('46 × 58');
    await page.click('.paper[data-paper="0"] [data-entry="m3"]');
    await save('bench');
  });

  it('of four papers', async () => {
    await open('99 × 89');
    await page.keys(Key.END);
    await page.click('.region:nth-of-type(3)');
    await save('bench-four-papers');
  });

  it('of a product of fractions', async () => {
    await open('3/4 × 2/3');
    await save('bench-fraction-product');
  });

  it('of a division', async () => {
    await open('952 ÷ 7');
    await page.click('.paper[data-paper="0"] [data-entry="m3"]');
    await save('bench-quotient');
  });

  it('of own lines', async () => {
    await open('Two ways of a class');
    const taken = '//*[@data-paper="1"]//*[@data-entry][contains(., "68")]';
    await page.driver.findElement(By.xpath(taken)).click();
    await save('own-lines');
  });

  it('of fractions', async () => {
    await open('3/4 + 1/6');
    await page.keys(Key.END);
    await page.click('.paper[data-paper="0"] [data-entry="m1"]');
    await save('bench-fractions');
  });

  it('of brackets with letters', async () => {
    await open('(x + 4)(3x − 2)');
    await page.click('.paper[data-paper="0"] [data-entry="m3"]');
    await save('bench-letters');
  });

  it('of a root', async () => {
    await open('√7396');
    await page.keys(Key.END);
    await page.click('.region:nth-of-type(4) rect');
    await save('bench-root');
  });

  it('of the checks', async () => {
    await open('642-387', '/checks');
    await page.press('Equal additions');
    await page.click('[data-check="inverse"] summary');
    await save('checks');
  });

  it('of one slip, a class and real answers', async () => {
    await open('46 × 58', '/slips?slip=omit-placeholder@line-1');
    await page.waitCount('.slip-paper', 2);
    await save('slips');
    await open('46 × 58', '/slips?view=class');
    await page.waitCount('.class-ends tbody tr', 3);
    await save('slips-class');
    await open('46 × 58', '/slips?view=answers');
    await page.press('2368');
    await page.waitCount('.explanations li', 2);
    await save('slips-answers');
  });

  it('of the methods', async () => {
    await page.driver.get(`${server.address}/methods?m=expanded-subtraction`);
    await page.find('.method-example');
    await save('methods');
  });

  it('of a new comparison', async () => {
    await page.driver.get(`${server.address}/new`);
    await page.waitCount('.offers button', 3);
    await page.compute('7002 - 2586', '');
    await page.find('.problem-math');
    await save('new');
  });

  it('of the bench in the dark', async () => {
    await page.script(
      `localStorage.setItem('levee.settings', JSON.stringify({ state: { theme: 'dark', voice: 'digit' }, version: 1 }))`,
    );
    await open('346 × 125');
    await page.keys(Key.END);
    await save('bench-dark');
    await page.script('localStorage.clear()');
  });

  it('of the agreement', async () => {
    await open('46 × 58', '/why');
    await save('why');
  });

  it('of the presenting view', async () => {
    await open('406 × 37');
    await page.keys(' ', ' ', ' ', ' ');
    // Two amounts that stay framed: a cell, and one on the picture.
    for (const at of ['[data-paper="1"] .figure.product', '.area .region:nth-of-type(4)']) {
      await page.script(
        `document.querySelector(arguments[0])?.dispatchEvent(new MouseEvent('click', { bubbles: true }))`,
        at,
      );
      await page.keys('i');
    }
    await page.keys(Key.ESCAPE, 'f');
    await page.find('.present-paper');
    await page.press('picture');
    await save('present');
  });

  it('of the print view', async () => {
    await open('25 × 12', '/print');
    await save('print');
  });

  it('of the comparisons', async () => {
    await page.driver.get(`${server.address}/comparisons`);
    await page.waitCount('.list tbody tr', 12);
    await save('comparisons');
  });
});
