import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { Key } from 'selenium-webdriver';
import { findComparison } from './harness/open.ts';
import { page, server } from './harness/scene.ts';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

let id = '';

beforeAll(async () => {
  id = (await findComparison(server, 'north')).id;
});

/** What the rules of WCAG 2.2 A and AA that a machine can check find wrong on the page. */
async function faults(): Promise<string[]> {
  await page.script(AXE);
  return page.script<string[]>(`
    return axe
      .run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })
      .then(({ violations }) =>
        violations.map(({ id, nodes }) => id + ': ' + nodes.map((n) => n.target.join(' ') + ' ' + n.failureSummary).join('; ')),
      );`);
}

describe.each(['light', 'dark'])('in %s', (theme) => {
  beforeAll(async () => {
    await page.driver.get(`${server.address}/comparisons`);
    await page.script(
      `localStorage.setItem('levee.settings', JSON.stringify({ state: { theme: arguments[0] }, version: 1 }))`,
      theme,
    );
  });

  it.each([
    ['the bench', '', '.paper'],
    ['the agreement', '/why', '.why-method'],
    ['the checks', '/checks', '.check'],
    ['one slip', '/slips', '.slip-paper'],
    ['a covered slip, alone', '/slips/alone', '.slip-paper'],
    ['a class', '/slips?view=class', '.class-ends'],
    ['real answers', '/slips?view=answers', '.explanations'],
    ['the presenting view', '/present', '.present-paper'],
    ['the print view', '/print', '.printed-paper'],
  ])('%s has no fault that a machine can find', async (_, view, ready) => {
    await page.driver.get(`${server.address}/c/${id}${view}`);
    await page.find(ready);
    expect(await faults()).toEqual([]);
  });

  it('a pointed-at amount, a bad problem and the dialogs have none either', async () => {
    await page.driver.get(`${server.address}/c/${id}`);
    await page.click('.paper[data-paper="0"] [data-entry="m3"]');
    expect(await faults()).toEqual([]);
    await page.keys(Key.ESCAPE, ',');
    await page.find('[role="dialog"]');
    expect(await faults()).toEqual([]);
    await page.keys(Key.ESCAPE);
    await page.waitCount('[role="dialog"]', 0);
    await page.compute('46 x', '');
    await page.find('.problem-reading .fault');
    expect(await faults()).toEqual([]);
    await page.keys(Key.ESCAPE);
  });

  it('a difference has none, on the line, in blocks and while hops are chosen', async () => {
    const { id: difference } = await findComparison(server, '642-387');
    await page.driver.get(`${server.address}/c/${difference}`);
    await page.find('.stretch');
    expect(await faults()).toEqual([]);
    await page.press('own hops…');
    await page.find('.hops-strip');
    expect(await faults()).toEqual([]);
    await page.press('done');
    await page.press('blocks');
    await page.find('.blocks');
    expect(await faults()).toEqual([]);
  });

  it.each([
    '1835 ÷ 24',
    '3.6 × 20.5',
    '3/4 + 1/6',
    'A plot with unknown sides',
    'Seed mixes with unknown bags',
    'Side of a square',
  ])('%s has none', async (problem) => {
    const { id: own } = await findComparison(server, problem);
    await page.driver.get(`${server.address}/c/${own}`);
    await page.find('.paper');
    await page.keys(Key.END);
    expect(await faults()).toEqual([]);
    await page.driver.get(`${server.address}/c/${own}/why`);
    await page.find('.why-method');
    expect(await faults()).toEqual([]);
  });

  it('the methods have none', async () => {
    await page.driver.get(`${server.address}/methods?m=counting-up`);
    await page.find('.method-example');
    expect(await faults()).toEqual([]);
  });

  it('the list of comparisons has none', async () => {
    await page.driver.get(`${server.address}/comparisons`);
    await page.find('.list');
    expect(await faults()).toEqual([]);
  });
});
