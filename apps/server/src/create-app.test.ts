import {
  chmodSync,
  existsSync,
  mkdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { decodeComparison, registry } from '@levee/core';
import { createApp } from './create-app.ts';
import { DEMO_COMPARISONS } from './demo/comparisons.ts';
import { checkDatabaseModule, checkDataFile, dataFile, mayWrite } from './database/data-file.ts';
import { StartFailure } from './start-failure.ts';
import { temporaryFolder, testServer, type TestServer } from './testing/server.ts';

let folder: ReturnType<typeof temporaryFolder>;

beforeEach(() => {
  folder = temporaryFolder();
});

afterEach(() => folder.remove());

async function withServer(body: (server: TestServer) => Promise<void>): Promise<void> {
  const server = await testServer(folder.path);
  try {
    await body(server);
  } finally {
    await server.close();
  }
}

describe('the data file', () => {
  const file = () => join(folder.path, 'levee.sqlite');

  it('has a write-ahead log, full synchronous writes and numbered migrations', async () => {
    await withServer(async ({ ask }) => {
      await ask.get('/api/health').expect(200, { status: 'ok' });
      const database = new Database(file(), { readonly: true });
      expect(database.pragma('journal_mode', { simple: true })).toBe('wal');
      const names = database.prepare('SELECT name FROM migrations').all();
      expect(names).toEqual([
        { name: 'Comparisons1790000000001' },
        { name: 'SearchText1790000000002' },
        { name: 'Listed1790000000003' },
      ]);
      database.close();
    });
  });

  it('finds rows of an earlier version by operation and method once it has been brought up to date', async () => {
    const kinds = async ({ ask }: TestServer) => {
      const { body } = await ask.get('/api/comparisons').query({ kind: 'product' }).expect(200);
      return (body as { total: number }).total;
    };
    await withServer(async (server) => {
      await server.ask.post('/api/comparisons').send({ document: DEMO_COMPARISONS[0] }).expect(201);
      expect(await kinds(server)).toBe(1);
    });
    const database = new Database(file());
    database.prepare("UPDATE comparison SET searchText = 'sandbags'").run();
    database
      .prepare(
        "INSERT INTO comparison SELECT 'odd', 1, 't', 'p', 'odd', '{', '', '', NULL, NULL, 0",
      )
      .run();
    database.exec('ALTER TABLE comparison DROP COLUMN listed');
    database.exec('ALTER TABLE comparison DROP COLUMN size');
    database.prepare("DELETE FROM migrations WHERE name NOT LIKE 'Comparisons%'").run();
    database.close();
    await withServer(async (server) => {
      expect(await kinds(server)).toBe(1);
      const { body } = await server.ask
        .get('/api/comparisons')
        .query({ search: 'odd' })
        .expect(200);
      expect(body).toMatchObject({ total: 1, items: [{ listed: null, unreadable: {} }] });
      const all = await server.ask.get('/api/comparisons').query({ kind: 'product' }).expect(200);
      expect(all.body).toMatchObject({
        items: [{ listed: { story: DEMO_COMPARISONS[0]!.story }, unreadable: null }],
      });
    });
  });

  const refusal = () =>
    createApp({ dataFolder: folder.path, webFolder: null }).then(
      () => 'started',
      (error: unknown) => {
        expect(error).toBeInstanceOf(StartFailure);
        return (error as Error).message;
      },
    );

  it('stops the start in one sentence when it is no database, and is left as it was', async () => {
    writeFileSync(file(), 'these are my notes, not a database. '.repeat(100));
    const before = readFileSync(file(), 'utf8');
    expect(await refusal()).toMatch(
      /damaged or is no database .*nothing in it was changed.*--restore/,
    );
    expect(readFileSync(file(), 'utf8')).toBe(before);
  });

  it('stops the start when its pages are damaged', async () => {
    await withServer(async ({ ask }) => {
      for (const document of DEMO_COMPARISONS)
        await ask.post('/api/comparisons').send({ document });
    });
    const bytes = readFileSync(file());
    bytes.fill(0xff, 4096, 4096 * 3);
    writeFileSync(file(), bytes);
    expect(await refusal()).toMatch(/damaged/);
  });

  it('stops the start when this user may not write it, by what the system says', async () => {
    await withServer(async () => undefined);
    const none = () => false;
    expect(() => checkDataFile(file(), none)).toThrow(/may not write the data file .*untouched/);
    expect(() => dataFile(folder.path, none)).toThrow(/may not write in the data folder/);
    chmodSync(file(), 0o444);
    expect(mayWrite(file())).toBe(process.getuid?.() === 0);
    chmodSync(file(), 0o644);
    expect(mayWrite(file())).toBe(true);
  });

  it('stops the start when it is a sound database of another program', async () => {
    const other = new Database(file());
    other.exec('CREATE TABLE song (name TEXT)');
    other.close();
    const before = readFileSync(file());
    expect(await refusal()).toMatch(/sound database, but of another program .*table "song"/);
    expect(readFileSync(file())).toEqual(before);
  });

  it('stops the start when a later version wrote it, by name, and leaves it untouched', async () => {
    await withServer(async () => undefined);
    const later = new Database(file());
    later.exec("INSERT INTO migrations (timestamp, name) VALUES (1999, 'Later1999')");
    later.pragma('journal_mode = DELETE');
    later.close();
    const before = readFileSync(file());
    expect(await refusal()).toMatch(/later version of Levee .*Later1999/);
    expect(readFileSync(file())).toEqual(before);
  });

  it('stops the start when it is gone and one was set aside, and says how to come back', async () => {
    await withServer(async () => undefined);
    const aside = file().replace('.sqlite', '-replaced-2040-01-01T00-00-00.sqlite');
    renameSync(file(), aside);
    const said = await refusal();
    expect(said).toContain(`one that was set aside: ${aside}`);
    expect(said).toContain(`--restore ${aside}`);
    expect(existsSync(file())).toBe(false);
    rmSync(aside);
    await withServer(async ({ ask }) => void (await ask.get('/api/comparisons').expect(200)));
  });

  it('tells a database module of another Node.js from a damaged file', () => {
    const other = () => {
      throw Object.assign(new Error('was compiled against a different Node.js version'), {
        code: 'ERR_DLOPEN_FAILED',
      });
    };
    expect(() => checkDatabaseModule(other)).toThrow(/another Node.js; run "npm rebuild/);
    expect(() => checkDatabaseModule()).not.toThrow();
  });

  it('stops the start when it is a folder', async () => {
    mkdirSync(file());
    expect(await refusal()).toMatch(/is not a file/);
  });

  it('stops the start when the folder cannot be made', async () => {
    const blocked = join(folder.path, 'blocked');
    writeFileSync(blocked, '');
    await expect(createApp({ dataFolder: join(blocked, 'in'), webFolder: null })).rejects.toThrow(
      /cannot be made \(ENOTDIR\)/,
    );
  });
});

describe('the web application', () => {
  it('stops the start when it is not built', async () => {
    const app = createApp({ dataFolder: folder.path, webFolder: join(folder.path, 'none') });
    await expect(app).rejects.toThrow(/not built.*npm run build/);
  });

  it('is served for every address that is not the interface, with a nonce of its own', async () => {
    await withServer(async ({ ask }) => {
      const [first, second] = [await ask.get('/c/some-id/why'), await ask.get('/')];
      for (const { status, text, headers } of [first, second]) {
        expect(status).toBe(200);
        const nonce = /nonce="([^"]+)"/.exec(text)![1]!;
        const policy = headers['content-security-policy']!;
        expect(policy).toContain(`style-src 'self' 'nonce-${nonce}'`);
        expect(policy).toContain("default-src 'none'");
        expect(policy).toMatch(/connect-src 'self'(;|$)/);
        expect(policy).not.toContain('*');
        expect(policy).not.toContain('unsafe');
        expect(headers['x-content-type-options']).toBe('nosniff');
      }
      expect(first.text).not.toBe(second.text);
      await ask.get('/icon.svg').expect(200).expect('Content-Type', /svg/);
      await ask.get('/none.js').expect(404);
    });
  });
});

describe('the interface', () => {
  it('is described, and refuses what it does not have as problem details', async () => {
    await withServer(async ({ ask }) => {
      const { body } = await ask.get('/api/openapi.json').expect(200);
      expect(Object.keys((body as { paths: object }).paths)).toEqual(
        expect.arrayContaining(['/api/comparisons', '/api/comparisons/{id}']),
      );
      await ask.get('/api/docs').expect(200).expect('Content-Type', /html/);
      const none = await ask.get('/api/nothing').expect(404);
      expect(none.type).toBe('application/problem+json');
      expect(none.body).toMatchObject({ code: 'not-found', type: 'urn:levee:problem:not-found' });
    });
  });

  it('answers only to names of this machine', async () => {
    await withServer(async ({ ask }) => {
      const { status, body } = await ask.get('/api/health').set('Host', 'elsewhere.example');
      expect([status, body]).toMatchObject([403, { code: 'host-refused' }]);
      const foreign = await ask.get('/api/health').set('Origin', 'http://elsewhere.example');
      expect(foreign.status).toBe(403);
      const own = await ask
        .get('/api/health')
        .set('Host', 'localhost:4620')
        .set('Origin', 'http://localhost:4620');
      expect(own.status).toBe(200);
    });
  });

  it('says so when the data file cannot be written while it runs, and answers others meanwhile', async () => {
    await withServer(async ({ ask }) => {
      const blocker = new Database(join(folder.path, 'levee.sqlite'));
      blocker.exec('BEGIN EXCLUSIVE');
      const started = performance.now();
      const writing = ask.post('/api/comparisons').send({ document: DEMO_COMPARISONS[0] });
      const answered = writing.then((answer) => ({ answer, after: performance.now() - started }));
      const reads: number[] = [];
      for (let k = 0; k < 5; k++) {
        await ask.get('/api/comparisons').expect(200);
        reads.push(performance.now() - started);
      }
      const { answer, after } = await answered;
      blocker.exec('ROLLBACK');
      blocker.close();
      expect([answer.status, answer.body]).toMatchObject([503, { code: 'store-unwritable' }]);
      expect(answer.body).toMatchObject({ detail: expect.stringMatching(/Another program/) });
      expect(Math.max(...reads)).toBeLessThan(after);
      await ask.post('/api/comparisons').send({ document: DEMO_COMPARISONS[0] }).expect(201);
    });
  }, 20000);

  it('writes as soon as another program lets go', async () => {
    await withServer(async ({ ask }) => {
      const blocker = new Database(join(folder.path, 'levee.sqlite'));
      blocker.exec('BEGIN EXCLUSIVE');
      setTimeout(() => blocker.exec('ROLLBACK'), 300);
      await ask.post('/api/comparisons').send({ document: DEMO_COMPARISONS[0] }).expect(201);
      blocker.close();
    });
  }, 20000);
});

describe('the demo comparisons', () => {
  it('can all be kept, and no two are alike', () => {
    expect(DEMO_COMPARISONS.length).toBeGreaterThanOrEqual(6);
    for (const document of DEMO_COMPARISONS) {
      const read = decodeComparison(JSON.parse(JSON.stringify(document)), registry);
      expect(read).toMatchObject({ ok: true, document });
    }
    const problems = DEMO_COMPARISONS.map(({ problem }) => problem);
    expect(new Set(problems).size).toBe(problems.length);
  });
});
