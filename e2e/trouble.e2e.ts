import { chmodSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { openComparison, type Stored } from './harness/open.ts';
import { page, server } from './harness/scene.ts';
import { freePort, runServer, TestServer } from './harness/server.ts';

async function openFirst(): Promise<Stored> {
  return openComparison(server, page, 'north bank');
}

async function retitle(title: string): Promise<void> {
  await page.click('.context .story');
  const field = await page.find('[role="dialog"] input');
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), title, Key.ENTER);
  await page.waitCount('[role="dialog"]', 0);
}

describe('a bad problem', () => {
  it.each([
    ['46 x', /A number is missing after “x” at character 4\./],
    ['--', /missing/],
    ['46**58', /“\*” at character 4 follows another sign/],
    ['what is 46 times 58', /is a word; type only the computation/],
    ['46', /46 is one number/],
    ['4.6 ÷ 0', /has no answer/],
    ['9'.repeat(300), /./],
    [`${'9'.repeat(300)} × 2`, /up to 12 figures; this one has 300/],
  ])('gets one sentence and changes nothing: %s', async (text, sentence) => {
    await openFirst();
    await page.compute(text, Key.ENTER);
    expect(await page.waitText('.problem-reading .fault', sentence)).not.toContain('\n');
    expect(await (await page.find('[data-problem-field]')).getAttribute('aria-invalid')).toBe(
      'true',
    );
    await page.keys(Key.ESCAPE);
    await page.waitCount('.problem-reading', 0);
    expect(await (await page.find('[data-problem-field]')).getAttribute('value')).toBe('46 × 58');
    expect(await page.count('.paper')).toBe(3);
  });

  it.each([
    ['４６ × ５８', '46 × 58', '2668'],
    ['0046 × 058', '46 × 58', '2668'],
    ['0 × 58', '0 × 58', '0'],
    ['1011_2 * 110_2', '1011_2 × 110_2', '1000010'],
  ])('is no %s', async (text, shown, total) => {
    await openFirst();
    await page.compute(text);
    await page.waitText('.gauge-total', new RegExp(`^${total}$`));
    expect(await (await page.find('[data-problem-field]')).getAttribute('value')).toBe(shown);
    await page.keys(Key.END);
    await page.waitText('.gauge .balance', /balanced/);
    if (total === '2668') return;
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.gauge-total', /^2668$/);
  });
});

describe('a comparison changed elsewhere', () => {
  it('offers both versions, and keeps the chosen one', async () => {
    const { id } = await openFirst();
    const theirs = await server.json<Stored>(`comparisons/${id}`);
    await server.json(`comparisons/${id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({
        version: theirs.version,
        document: { ...theirs.document, title: 'Changed in another window' },
      }),
    });
    await retitle('Changed here');
    const dialog = await page.waitText('[role="dialog"]', /changed elsewhere/);
    expect(dialog).toContain('Changed here');
    expect(dialog).toContain('Changed in another window');
    await page.press('Keep this one');
    await page.waitText('[data-keeping]', /^kept \d/);
    const kept = await server.json<Stored>(`comparisons/${id}`);
    expect(kept.document.title).toBe('Changed here');
    await retitle('Sandbags on the north bank');
    await page.waitText('[data-keeping]', /^kept \d/);
  });
});

describe('a lost server', () => {
  it('loses nothing: changes wait here and are kept in the end', async () => {
    const { id } = await openFirst();
    expect(await server.stop()).toBe(0);
    await page.keys(Key.END);
    await page.press('swap factors');
    await page.waitText('[data-keeping]', /kept here only/);
    await server.start();
    await page.waitText('[data-keeping]', /^kept \d/);
    const kept = await server.json<Stored>(`comparisons/${id}`);
    expect(kept.document.problem).toBe('58 × 46');
    await page.press('swap factors');
    await page.waitText('[data-keeping]', /^kept \d/);
  });

  it('says so in the list of comparisons', async () => {
    await page.press('Comparisons');
    await page.waitText('.list', /Sandbags/);
    await server.stop();
    await (await page.find('input[type="search"]')).sendKeys('zzz');
    await page.waitText('.fault-line', /The server does not answer/);
    await server.start();
    await page.press('Try again');
    await page.waitText('.empty', /No comparison has this/);
  });

  it('says when nothing is kept at an address', async () => {
    await page.driver.get(`${server.address}/c/nothing`);
    await page.waitText('.message', /No comparison has the id nothing/);
    await page.driver.get(`${server.address}/nowhere/at/all`);
    await page.waitText('.message', /Nothing is kept at this address/);
  });
});

describe('a start that cannot be', () => {
  const sentence = async (...args: string[]) => {
    const run = runServer(args);
    expect(await run.ended).toBe(1);
    expect(run.printed().trim().split('\n')).toHaveLength(1);
    return run.printed();
  };

  it('names a taken port', async () => {
    const port = await freePort();
    const blocker = createServer().listen(port, '127.0.0.1');
    const other = new TestServer();
    const printed = await sentence('--data', other.folder, '--port', String(port));
    expect(printed).toContain(`Port ${port} is in use by another program`);
    blocker.close();
    await other.remove();
  });

  it('names a damaged and a read-only data file', async () => {
    const other = new TestServer();
    const file = join(other.folder, 'levee.sqlite');
    writeFileSync(file, 'not a database at all, only a few words. '.repeat(50));
    expect(await sentence('--data', other.folder)).toMatch(/damaged or is no database/);
    chmodSync(file, 0o444);
    expect(await sentence('--data', other.folder)).toMatch(/is read-only/);
    await other.remove();
  });

  it('names a wrong argument', async () => {
    expect(await sentence('--port', 'many')).toMatch(/"many" is no port/);
    expect(await sentence('--colour', 'red')).toMatch(/--colour/);
  });
});
