import { request as httpRequest } from 'node:http';
import type { AddressInfo } from 'node:net';
import { DEMO_COMPARISONS } from '../demo/comparisons.ts';
import { temporaryFolder, testServer, type TestServer } from '../testing/server.ts';
import { MAX_ROWS, OWN_LIMITS, OWN_LINES } from '@levee/core';
import { excessOf, MOST_BYTES } from './body.ts';

let folder: ReturnType<typeof temporaryFolder>;
let server: TestServer;

beforeAll(async () => {
  folder = temporaryFolder();
  server = await testServer(folder.path);
});

afterAll(async () => {
  await server.close();
  folder.remove();
});

const [document] = DEMO_COMPARISONS;
const nested = (depth: number) => '['.repeat(depth) + ']'.repeat(depth);

/** Posts a body as it is; nothing of it is made into JSON. */
const post = (body: string, type = 'application/json') =>
  server.ask.post('/api/comparisons').set('Content-Type', type).send(body);

/** A request with a path that no client library would send. */
function raw(path: string): Promise<{ status: number; body: string }> {
  const { port } = server.app.getHttpServer().address() as AddressInfo;
  return new Promise((resolve, reject) => {
    const sent = httpRequest({ host: '127.0.0.1', port, path }, (response) => {
      let body = '';
      response.on('data', (chunk: Buffer) => (body += chunk.toString()));
      response.on('end', () => resolve({ status: response.statusCode ?? 0, body }));
    });
    sent.on('error', reject);
    sent.end();
  });
}

describe('a request that is too much', () => {
  it('is refused before it is looked into', async () => {
    const checks = Array.from({ length: 150_000 }, () => ({}));
    const { status, body } = await post(JSON.stringify({ document: { ...document, checks } }));
    expect([status, body]).toMatchObject([400, { code: 'request-invalid' }]);
    expect((body as { detail: string }).detail).toMatch(/a list has more than/);
  });

  it.each([
    ['too many objects', JSON.stringify({ document: { checks: Array(2900).fill({}) } }), /objects/],
    ['deep nesting', `{"document":${nested(2000)}}`, /nested more than/],
    [
      'many members',
      JSON.stringify(Object.fromEntries(Array.from({ length: 99 }, (_, k) => [k, 1]))),
      /members/,
    ],
    ['a list in place of an object', nested(2000), /one JSON object/],
  ])('says so of %s', async (_, body, detail) => {
    const answer = await post(body);
    expect(answer.status).toBe(400);
    expect((answer.body as { detail: string }).detail).toMatch(detail);
  });

  it('is told its size', async () => {
    const answer = await post(`{"document":"${'x'.repeat(MOST_BYTES)}"}`);
    expect([answer.status, answer.body]).toMatchObject([
      413,
      { detail: expect.stringMatching(/2048 kB/) },
    ]);
  });

  it('is told twenty faults at most, each once', async () => {
    const paper = { id: 7, method: 7, school: 7, order: 7, extra: 7 };
    const bad = { ...document, papers: Array(4).fill(paper), checks: Array(30).fill({ check: 7 }) };
    const { status, body } = await post(JSON.stringify({ document: bad }));
    const { faults, detail } = body as {
      faults: { where: string; fault: string }[];
      detail: string;
    };
    expect(status).toBe(400);
    expect(faults).toHaveLength(20);
    expect(new Set(faults.map(({ where, fault }) => where + fault)).size).toBe(20);
    expect(detail).toMatch(/and \d+ more$/);
  });

  it('lets the largest lawful document through', async () => {
    const lines = Array(OWN_LIMITS.lines).fill({
      text: `= ${'7'.repeat(OWN_LIMITS.characters - 2)}`,
      struck: false,
    });
    const typed = ['p7', 'p8', 'p9'].map((id) => ({
      id,
      method: OWN_LINES,
      school: {},
      order: [],
      hops: [],
      slips: [],
      own: { lines, code: 'T07', name: '' },
    }));
    const large = {
      ...document,
      problem: '7'.repeat(70) + ' × ' + '7'.repeat(70),
      estimate: null,
      papers: [
        ...typed,
        ...document!.papers.map(({ id }) => ({
          id,
          method: 'grid-multiplication',
          school: {},
          order: Array.from({ length: 2500 }, (_, k) => `${k % 70}.${k % 69}`),
          hops: [],
          slips: [],
          own: null,
        })),
      ],
      steps: Object.fromEntries([...document!.papers, ...typed].map(({ id }) => [id, 1])),
      checks: Array.from({ length: 200 }, () => ({
        check: 'calculator',
        problem: '46 × 58',
        method: 'lattice',
        against: '7'.repeat(400),
        outcome: 'agrees',
        at: '2026-01-31T09:00:00.000Z',
      })),
      answers: Array.from({ length: MAX_ROWS }, (_, k) => ({
        code: `T${k}`,
        problem: '642 − 387',
        answer: '7'.repeat(40),
      })),
    };
    const text = JSON.stringify({ document: large });
    expect(text.length).toBeLessThan(MOST_BYTES);
    const { status, body } = await post(text);
    expect([status, body]).toMatchObject([201, { version: 1 }]);
  });
});

describe('a request of the wrong kind', () => {
  it.each([
    ['text', 'text/plain'],
    ['a form', 'application/x-www-form-urlencoded'],
    ['an unknown charset', 'application/json; charset=nonsense'],
  ])('is refused as %s', async (_, type) => {
    const { status, body } = await post('{}', type);
    expect([status, body]).toMatchObject([415, { code: 'media-type-refused' }]);
  });

  it.each(['1e308', '-1', '0', 'x', '1.5', '999999999999'])(
    'is refused for page %s',
    async (page) => {
      const { status } = await server.ask.get('/api/comparisons').query({ page });
      expect(status).toBe(400);
    },
  );

  it.each(['/api/comparisons/%ZZ', '/api/comparisons/%C0%80', '/%ZZ'])(
    'is told about its address, not about JSON: %s',
    async (path) => {
      const { status, body } = await raw(path);
      expect(status).toBeGreaterThanOrEqual(400);
      expect(status).toBeLessThan(500);
      expect(body).not.toMatch(/JSON|at \w+.*:\d+:\d+/);
    },
  );

  it('says what cannot be read as JSON', async () => {
    const { status, body } = await post('{"document":');
    expect([status, body]).toMatchObject([400, { code: 'body-unreadable' }]);
  });
});

describe('what is too much', () => {
  it('is counted in every direction', () => {
    expect(excessOf({ document })).toBeNull();
    expect(excessOf({ a: { b: { c: {} } } })).toBeNull();
    expect(excessOf(JSON.parse(`{"a":${nested(20)}}`))).toMatch(/deep/);
    expect(excessOf({ a: Array(6401).fill(0) })).toMatch(/entries/);
  });
});
