import { spawnSync } from 'node:child_process';
import { chmodSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import Database from 'better-sqlite3';
import { Key } from 'selenium-webdriver';
import { openComparison, type Stored } from './harness/open.ts';
import { Page } from './harness/page.ts';
import { page, server } from './harness/scene.ts';
import { freePort, MAIN, runServer, TestServer } from './harness/server.ts';

async function openFirst(): Promise<Stored> {
  return openComparison(server, page, 'north bank');
}

async function retitle(title: string): Promise<void> {
  await page.click('.context .story');
  const field = await page.find('[role="dialog"] input');
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), title);
  await page.press('Keep');
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
    [`${'9'.repeat(300)} × 2`, /up to 12 figures; here is a longer one/],
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
    // What menus and chips need is fetched in a quiet moment.
    await page.settles(
      `return performance.getEntriesByType('resource').some(({ name }) => /rest-of-line/.test(name))`,
      true,
    );
    expect(await server.stop()).toBe(0);
    await page.keys(Key.END);
    await page.pressChip('swap factors');
    await page.waitText('[data-keeping]', /kept here only/);
    await server.start();
    await page.waitText('[data-keeping]', /^kept \d/);
    const kept = await server.json<Stored>(`comparisons/${id}`);
    expect(kept.document.problem).toBe('58 × 46');
    await page.pressChip('swap factors');
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
    await page.waitText('.empty', /No comparison is found by this/);
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

  it('names a damaged data file and one of another program, and says what to do', async () => {
    const other = new TestServer();
    const file = join(other.folder, 'levee.sqlite');
    writeFileSync(file, 'not a database at all, only a few words. '.repeat(50));
    expect(await sentence('--data', other.folder)).toMatch(/damaged or is no database .*--copies/);
    rmSync(file);
    const foreign = new Database(file);
    foreign.exec('CREATE TABLE song (name TEXT)');
    foreign.close();
    expect(await sentence('--data', other.folder)).toMatch(/of another program/);
    await other.remove();
  });

  it('names a wrong argument', async () => {
    expect(await sentence('--port', 'many')).toMatch(/"many" is no port/);
    expect(await sentence('--colour', 'red')).toMatch(/--colour/);
  });
});

describe('a user who may not write', () => {
  /** Loads the compiled server as this user, becomes one with no rights of its own, and starts it there. */
  const asNobody = (folder: string) => {
    const start = `
      const { createApp } = await import(process.argv[1]);
      if (process.getuid() === 0) { process.setgroups([]); process.setgid(65534); process.setuid(65534); }
      await createApp({ dataFolder: process.argv[2], webFolder: null }).then(
        () => console.log('started'), (error) => console.log(error.message));
      process.exit();`;
    const created = pathToFileURL(join(dirname(MAIN), 'create-app.js')).href;
    const args = ['--input-type=module', '-e', start, created, folder];
    return spawnSync(process.execPath, args, { encoding: 'utf8' }).stdout.trim();
  };

  it('is told which folder or file, and nothing is changed', async () => {
    const other = new TestServer();
    await other.start({ demo: false });
    await other.stop();
    const file = join(other.folder, 'levee.sqlite');
    chmodSync(other.folder, 0o555);
    expect(asNobody(other.folder)).toMatch(/^This user may not write in the data folder .*--data/);
    expect(asNobody(join(other.folder, 'deeper'))).toMatch(/cannot be made \(EACCES\)/);
    chmodSync(other.folder, 0o777);
    chmodSync(file, 0o444);
    const before = readFileSync(file);
    expect(asNobody(other.folder)).toMatch(/^This user may not write the data file .*untouched/);
    expect(readFileSync(file)).toEqual(before);
    chmodSync(file, 0o666);
    expect(asNobody(other.folder)).toBe('started');
    await other.remove();
  });
});

interface Stepped {
  readonly document: { readonly steps: Readonly<Record<string, number>> };
}

describe('a tab that is closed in a hurry', () => {
  it('sends what it has not sent yet', async () => {
    const { id } = await openComparison(server, page, '642');
    const steps = async () =>
      Object.values((await server.json<Stepped>(`comparisons/${id}`)).document.steps);
    const blank = await page.driver.getWindowHandle();
    await page.driver.switchTo().newWindow('tab');
    const tab = await page.driver.getWindowHandle();
    await page.driver.switchTo().window(blank);
    await page.driver.get('about:blank');
    await page.driver.switchTo().window(tab);
    await page.driver.get(`${server.address}/c/${id}`);
    await page.find('.paper');
    await page.keys(Key.END);
    await page.waitText('[data-keeping]', /^kept \d/);
    const before = await steps();
    await page.keys(Key.HOME);
    const meanwhile = await steps();
    await page.driver.close();
    await page.driver.switchTo().window(blank);
    expect(meanwhile).toEqual(before);
    expect(before.some((done) => done > 0)).toBe(true);
    await page.driver.wait(async () => (await steps()).every((done) => done === 0), 4000);
  });
});

describe('two tabs on one comparison', () => {
  it('keep their changes apart, and lose neither', async () => {
    const { id } = await openFirst();
    const first = await page.driver.getWindowHandle();
    await page.driver.switchTo().newWindow('tab');
    const second = await page.driver.getWindowHandle();
    await page.driver.get(`${server.address}/c/${id}`);
    await page.find('.paper');
    await server.stop();
    await retitle('From the second tab');
    await page.waitText('[data-keeping]', /kept here only/);
    await page.driver.switchTo().window(first);
    await retitle('From the first tab');
    await page.waitText('[data-keeping]', /kept here only/);
    expect(await drafts()).toHaveLength(2);
    await server.start();
    await page.waitText('[data-keeping]', /^(kept \d|two versions)/);
    await page.driver.switchTo().window(second);
    await page.waitText('[data-keeping]', /^(kept \d|two versions)/);
    const { document } = await server.json<Stored>(`comparisons/${id}`);
    const [winner, other] = document.title.includes('second') ? [second, first] : [first, second];
    await page.driver.switchTo().window(other);
    expect(await page.waitText('[role="dialog"]', /changed elsewhere/)).toContain(
      'From the first tab',
    );
    await page.driver.navigate().refresh();
    const offered = await page.waitText('[role="dialog"]', /changed elsewhere/);
    expect(offered).toContain('From the first tab');
    expect(offered).toContain('From the second tab');
    await page.press('Keep this one as a copy');
    await page.waitText('[data-keeping]', /^kept \d/);
    expect(await drafts()).toHaveLength(0);
    await page.driver.switchTo().window(second);
    await page.driver.close();
    await page.driver.switchTo().window(first);
    expect(winner).not.toBe(other);
    const { total } = await server.json<{ total: number }>('comparisons?search=From%20the');
    expect(total).toBe(2);
  });

  it('that are closed with the server away are sent at the next start', async () => {
    const { id } = await openComparison(server, page, '642');
    await server.stop();
    await retitle('Written while it was away');
    await page.waitText('[data-keeping]', /kept here only/);
    const first = await page.driver.getWindowHandle();
    await page.driver.switchTo().newWindow('tab');
    const second = await page.driver.getWindowHandle();
    await page.driver.switchTo().window(first);
    await page.driver.close();
    await page.driver.switchTo().window(second);
    await server.start();
    await page.driver.get(`${server.address}/methods`);
    await page.find('h1');
    await page.driver.wait(async () => {
      const { document } = await server.json<Stored>(`comparisons/${id}`);
      return document.title === 'Written while it was away';
    }, 8000);
    await page.driver.wait(async () => (await drafts()).length === 0, 8000);
  });

  const drafts = () =>
    page.script<string[]>(
      `return Object.keys(localStorage).filter((key) => key.startsWith('levee.draft.'))`,
    );
});

describe('a browser that keeps nothing', () => {
  it('opens everything, and says what is not kept', async () => {
    const bare = await Page.open();
    try {
      await bare.beforeEveryPage(`
        for (const name of ['localStorage', 'sessionStorage'])
          Object.defineProperty(window, name, { get() { throw new DOMException('no', 'SecurityError'); } });
      `);
      await openComparison(server, bare, '642');
      await server.stop();
      await bare.keys(Key.ARROW_RIGHT);
      await bare.waitText('[data-keeping]', /^not kept/);
      await server.start();
      await bare.waitText('[data-keeping]', /^kept \d/);
    } finally {
      await bare.close();
    }
  });
});

describe('a comparison that cannot be read', () => {
  it('has its own row, and everything else works', async () => {
    const { id } = await openComparison(server, page, 'Written while');
    await server.stop();
    const database = new Database(join(server.folder, 'levee.sqlite'));
    const kept = database.prepare('SELECT document FROM comparison WHERE id = ?').pluck().get(id);
    const later = JSON.stringify({ ...JSON.parse(String(kept)), version: 99 });
    database.prepare('UPDATE comparison SET document = ? WHERE id = ?').run(later, id);
    database.close();
    await server.start();
    await page.driver.get(`${server.address}/comparisons`);
    await page.waitText('.unreadable', /cannot be read by this version/);
    await page.driver.get(`${server.address}/c/${id}`);
    await page.waitText('.message', /This version of Levee cannot read it/);
    await page.driver.get(`${server.address}/comparisons`);
    const raw = await (await page.find('.unreadable a')).getAttribute('href');
    expect(await (await fetch(raw!)).text()).toBe(later);
    await page.click('.unreadable button');
    await page.waitCount('.unreadable', 0);
    await page.press('Bring it back');
    await page.waitCount('.unreadable', 1);
  });
});

describe('the daily copies', () => {
  it('are told, listed and brought back after showing what they hold', async () => {
    const folder = server.folder;
    await server.stop();
    const command = async (...args: string[]) => {
      const run = runServer(['--data', folder, ...args]);
      expect(await run.ended).toBe(0);
      return run.printed();
    };
    const listed = await command('--copies');
    const copy = /^(\S+levee-[\d-]+\.sqlite) \(/m.exec(listed)![1]!;
    const shown = await command('--restore', copy);
    expect(shown).toMatch(/holds \d+ comparisons/);
    expect(shown).toMatch(/Nothing was changed/);
    expect(await command('--restore', copy, '--yes')).toMatch(
      /It is now .*levee\.sqlite.*What was there is/,
    );
    await server.start({ demo: false });
    const { total } = await server.json<{ total: number }>('comparisons');
    expect(total).toBeGreaterThan(20);
  });
});
