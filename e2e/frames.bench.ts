import { Key } from 'selenium-webdriver';
import { isBrief } from './harness/bench.ts';
import { openComparison } from './harness/open.ts';
import { Page } from './harness/page.ts';
import { TestServer } from './harness/server.ts';

const FRAME = 1000 / 60;
const ROUNDS = isBrief ? 1 : 40;

const server = new TestServer();
let page: Page;

beforeAll(async () => {
  await server.start();
  page = await Page.open();
  await openComparison(server, page, '46 × 58');
  await page.waitCount('.paper', 3);
  await page.keys('a');
  await page.waitCount('.paper', 4);
  await page.compute('987654321987 × 123456789123');
  await page.waitText('.gauge-total', /^121932631/);
});

afterAll(async () => {
  await page?.close();
  await server.remove();
});

/** Times what an event costs until the page is laid out again; gives the median and the worst. */
async function time(name: string, body: string): Promise<void> {
  const times = await page.script<number[]>(
    `return (async () => {
      const times = [];
      const settle = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
      for (let round = 0; round < ${ROUNDS}; round++) {
        const begin = performance.now();
        (${body})(round);
        await Promise.resolve();
        await Promise.resolve();
        document.body.getBoundingClientRect();
        times.push(performance.now() - begin);
        await settle();
      }
      return times;
    })()`,
  );
  const sorted = times.sort((a, b) => a - b);
  const median = sorted[Math.floor(sorted.length / 2)]!;
  const line = `${name}: median ${(median / FRAME).toFixed(2)}, worst ${(sorted.at(-1)! / FRAME).toFixed(2)} (goal 1.00)`;
  process.stdout.write(`${line}\n`);
}

const press = (key: string) =>
  `() => window.dispatchEvent(new KeyboardEvent('keydown', { key: '${key}', bubbles: true, cancelable: true }))`;

/** Frames that a step and pointing cost on four papers of 12 by 12 figures. */
describe('frames at 12 x 12 figures', () => {
  it('of a step on every paper', async () => {
    await page.keys(Key.HOME);
    await time('frames a step costs', press('ArrowRight'));
  });

  it('of a common amount on every paper', () => time('frames an amount costs', press(' ')));

  it('of pointing', async () => {
    await page.keys(Key.END);
    const over = `(round) => {
      const marks = document.querySelectorAll('[data-paper="2"] .figure');
      marks[(round * 37) % marks.length].dispatchEvent(new PointerEvent('pointerover', { bubbles: true }));
    }`;
    await time('frames pointing costs', over);
  });
});
