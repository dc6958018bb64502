import type { ComparisonDocument } from '@levee/core';
import { DataSource } from 'typeorm';
import { DEMO_COMPARISONS } from '../demo/comparisons.ts';
import { temporaryFolder, testServer, type TestServer } from '../testing/server.ts';
import { ComparisonEntity } from './comparison.entity.ts';

const [document, other] = DEMO_COMPARISONS;

let folder: ReturnType<typeof temporaryFolder>;
let server: TestServer;

beforeEach(async () => {
  folder = temporaryFolder();
  server = await testServer(folder.path);
});

afterEach(async () => {
  await server.close();
  folder.remove();
});

interface Stored {
  id: string;
  version: number;
  updatedAt: string;
  title: string;
  document: typeof document;
}

async function create(input: unknown = document): Promise<Stored> {
  const { body } = await server.ask
    .post('/api/comparisons')
    .send({ document: input as object })
    .expect(201);
  return body as Stored;
}

describe('a comparison of an earlier version', () => {
  const early = {
    ...document!,
    version: 1,
    papers: document!.papers.map(({ method, school, order }) => ({ method, school, order })),
    counted: undefined,
    checks: undefined,
    units: undefined,
    tags: undefined,
    earlier: undefined,
    answers: undefined,
    room: undefined,
  };

  it('is taken in and kept in the current one', async () => {
    const { id, document: kept } = await create(early);
    expect(kept).toEqual({
      ...document!,
      units: [],
      tags: [],
      earlier: [],
      answers: [],
      counted: false,
      checks: [],
    });
    const { body } = await server.ask.get(`/api/comparisons/${id}`).expect(200);
    expect((body as Stored).document).toEqual(kept);
  });

  it('that was kept long ago is read in the current one', async () => {
    const { id } = await create();
    const rows = server.app.get(DataSource).getRepository(ComparisonEntity);
    await rows.update({ id }, { document: JSON.stringify(early) });
    const { body } = await server.ask.get(`/api/comparisons/${id}`).expect(200);
    expect((body as Stored).document).toMatchObject({ version: 9, counted: false, checks: [] });
    expect((body as Stored).document!.papers[0]).toMatchObject({ hops: [] });
  });
});

describe('a comparison that this version cannot read', () => {
  const cases: [string, string, string][] = [
    ['a later version', JSON.stringify({ ...document!, version: 99 }), 'later-version'],
    [
      'an unknown method',
      JSON.stringify({
        ...document!,
        papers: [{ ...document!.papers[0], method: 'by-moonlight' }],
      }),
      'invalid',
    ],
    ['damaged JSON', '{"format":"levee-comp', 'damaged'],
    ['something else', '[1, 2]', 'invalid'],
  ];

  it.each(cases)('for %s is listed and named, and everything else works', async (_, kept, code) => {
    const { id } = await create();
    const good = await create(other);
    const rows = server.app.get(DataSource).getRepository(ComparisonEntity);
    await rows.update({ id }, { document: kept });
    const { body } = await server.ask.get('/api/comparisons').expect(200);
    const { items, total } = body as { items: Record<string, unknown>[]; total: number };
    expect(total).toBe(2);
    expect(items.find((item) => item['id'] === id)).toMatchObject({
      title: document!.title,
      problem: document!.problem,
      listed: null,
      unreadable: { code },
    });
    expect(items.find((item) => item['id'] === good.id)).toMatchObject({ unreadable: null });
    await server.ask.get(`/api/comparisons/${good.id}`).expect(200);
    const refused = await server.ask.get(`/api/comparisons/${id}`).expect(422);
    expect(refused.body).toMatchObject({ code: 'comparison-unreadable', reason: code });
    await server.ask.post(`/api/comparisons/${id}/duplicate`).expect(422);
    const raw = await server.ask.get(`/api/comparisons/${id}/raw`).buffer().expect(200);
    expect((raw.body as Buffer).toString()).toBe(kept);
    await server.ask.delete(`/api/comparisons/${id}`).expect(204);
    const restored = await server.ask.post(`/api/comparisons/${id}/restore`).expect(200);
    expect(restored.body).toMatchObject({ id, document: null });
    const entity = await rows.findOneByOrFail({ id });
    expect(entity.document).toBe(kept);
  });
});

describe('a comparison', () => {
  it('is created, read and found again after a restart', async () => {
    const { id, version } = await create();
    expect(version).toBe(1);
    await server.close();
    server = await testServer(folder.path);
    const { body } = await server.ask.get(`/api/comparisons/${id}`).expect(200);
    expect(body).toMatchObject({ id, version: 1, document });
  });

  it('is replaced by the next version', async () => {
    const { id } = await create();
    const changed = { ...document!, title: 'South bank' };
    const { body } = await server.ask
      .put(`/api/comparisons/${id}`)
      .send({ version: 1, document: changed })
      .expect(200);
    expect(body).toMatchObject({ version: 2, document: changed });
  });

  it('refuses the second of two writers, and shows what the first one wrote', async () => {
    const { id } = await create();
    const write = (title: string) =>
      server.ask
        .put(`/api/comparisons/${id}`)
        .send({ version: 1, document: { ...document!, title } });
    const answers = await Promise.all([write('first'), write('second')]);
    expect(answers.map(({ status }) => status).sort((a, b) => a - b)).toEqual([200, 409]);
    const won = answers.find(({ status }) => status === 200)!.body as Stored;
    const lost = answers.find(({ status }) => status === 409)!;
    expect(lost.type).toBe('application/problem+json');
    expect(lost.body).toMatchObject({
      code: 'comparison-stale',
      status: 409,
      current: { version: 2, document: { title: won.document!.title } },
    });
    const { body } = await server.ask.get(`/api/comparisons/${id}`);
    expect(body).toMatchObject({ version: 2, document: { title: won.document!.title } });
  });

  it('is duplicated with a title that says so, however long its own is', async () => {
    for (const title of ['x'.repeat(120), `${'x'.repeat(111)}👩‍🌾${'y'.repeat(4)}`]) {
      const { id } = await create({ ...document!, title });
      const { body } = await server.ask.post(`/api/comparisons/${id}/duplicate`).expect(201);
      const made = (body as Stored).document!.title;
      expect(made).toMatch(/^x+… \(copy\)$/);
      expect(made.length).toBeLessThanOrEqual(120);
    }
  });

  it('is duplicated under a title of its own', async () => {
    const { id } = await create();
    const { body } = await server.ask.post(`/api/comparisons/${id}/duplicate`).expect(201);
    expect(body).toMatchObject({ version: 1, document: { title: `${document!.title} (copy)` } });
    expect((body as Stored).id).not.toBe(id);
  });

  it('is deleted and brought back', async () => {
    const { id } = await create();
    await server.ask.delete(`/api/comparisons/${id}`).expect(204);
    await server.ask.get(`/api/comparisons/${id}`).expect(404);
    await server.ask.delete(`/api/comparisons/${id}`).expect(404);
    const late = { version: 1, document: { ...document!, title: 'Written after it was deleted' } };
    await server.ask.put(`/api/comparisons/${id}`).send(late).expect(404);
    await server.ask.post(`/api/comparisons/${id}/restore`).expect(200);
    const { body } = await server.ask.get(`/api/comparisons/${id}`).expect(200);
    expect(body).toMatchObject({ version: 1, document });
  });
});

describe('the list', () => {
  const listed = async (query: Record<string, string>) => {
    const { body } = await server.ask.get('/api/comparisons').query(query).expect(200);
    return (body as { items: Stored[] }).items.map(({ title }) => title);
  };

  it('is sorted, and filtered by operation, method and tag', async () => {
    await create({ ...document!, title: 'beta', tags: ['zeros', 'spring'] });
    await create({ ...document!, title: 'Alpha', tags: ['spring'] });
    const difference = DEMO_COMPARISONS.find(({ problem }) => problem === '642 − 387')!;
    await create({ ...difference, title: 'gamma' });
    expect(await listed({ sort: 'title', order: 'asc' })).toEqual(['Alpha', 'beta', 'gamma']);
    expect(await listed({ sort: 'title' })).toEqual(['gamma', 'beta', 'Alpha']);
    expect(await listed({ kind: 'difference' })).toEqual(['gamma']);
    expect(await listed({ method: 'lattice', sort: 'createdAt', order: 'asc' })).toEqual([
      'beta',
      'Alpha',
    ]);
    expect(await listed({ tag: 'zeros' })).toEqual(['beta']);
    expect(await listed({ tag: 'zero' })).toEqual([]);
    expect(await listed({ search: 'decomposition' })).toEqual(['gamma']);
    expect(await listed({ search: 'product', tag: 'spring', sort: 'title' })).toEqual([
      'beta',
      'Alpha',
    ]);
    const { body } = await server.ask.get('/api/comparisons/tags').expect(200);
    expect(body).toEqual(['spring', 'zeros']);
  });

  it('has a bin, from which a comparison comes back or goes for good', async () => {
    const [one, two] = [await create({ ...document!, title: 'one' }), await create(document!)];
    await server.ask.delete(`/api/comparisons/${one.id}/forever`).expect(404);
    await server.ask.delete(`/api/comparisons/${one.id}`).expect(204);
    await server.ask.delete(`/api/comparisons/${two.id}`).expect(204);
    expect(await listed({ deleted: 'true' })).toHaveLength(2);
    expect(await listed({})).toEqual([]);
    await server.ask.post(`/api/comparisons/${one.id}/restore`).expect(200);
    await server.ask.delete(`/api/comparisons/${two.id}/forever`).expect(204);
    expect(await listed({ deleted: 'true' })).toEqual([]);
    expect(await listed({})).toEqual(['one']);
    await server.ask.post(`/api/comparisons/${two.id}/restore`).expect(404);
  });

  it('offers examples that can be kept as they are', async () => {
    const { body } = await server.ask.get('/api/comparisons/examples').expect(200);
    for (const example of body as ComparisonDocument[]) await create(example);
    expect((body as unknown[]).length).toBe(DEMO_COMPARISONS.length);
  });

  it('carries no document, and counts what each holds', async () => {
    const lines = ['= 46 × 60 − 46 × 2', '= 2760 − 92'].map((text) => ({ text, struck: false }));
    const [first, ...others] = document!.papers;
    const own = { lines, code: 'T07', name: 'round up' };
    const answers = [{ code: 'T01', problem: '', answer: '2668' }];
    const papers = [...others, { ...first!, method: 'own-lines', school: {}, slips: [], own }];
    await create({ ...document!, papers, answers, checks: [] });
    const { body } = await server.ask.get('/api/comparisons').expect(200);
    const [item] = (body as { items: Record<string, unknown>[] }).items;
    expect(Object.keys(item!).sort()).toEqual(
      [
        'createdAt',
        'id',
        'listed',
        'problem',
        'title',
        'unreadable',
        'updatedAt',
        'version',
      ].sort(),
    );
    expect(item).toMatchObject({
      unreadable: null,
      listed: {
        story: document!.story,
        papers: [
          ...others.map(({ method }) => ({ method, name: '' })),
          { method: 'own-lines', name: 'round up' },
        ],
        holds: { lines: 2, checks: 0, answers: 1 },
      },
    });
    const ways = await server.ask.get('/api/comparisons/ways').expect(200);
    expect(ways.body).toEqual([
      { problem: document!.problem, name: 'round up', lines: lines.map(({ text }) => text) },
    ]);
  });

  it('of a hundred of the largest documents stays small', async () => {
    const answers = Array.from({ length: 1000 }, (_, k) => ({
      code: `T${k}`,
      problem: '1'.repeat(400) + ' + 1',
      answer: '1'.repeat(60),
    }));
    for (let k = 0; k < 12; k++) await create({ ...document!, answers });
    const { text } = await server.ask.get('/api/comparisons?pageSize=100').expect(200);
    expect(text.length).toBeLessThan(12 * 1500);
  });

  it('has the latest change first and is paged', async () => {
    const made: Stored[] = [];
    for (const one of DEMO_COMPARISONS) made.push(await create(one));
    await server.ask
      .put(`/api/comparisons/${made[0]!.id}`)
      .send({ version: 1, document: other })
      .expect(200);
    const { body } = await server.ask.get('/api/comparisons?page=1&pageSize=3').expect(200);
    const page = body as { items: Stored[]; total: number };
    expect(page.total).toBe(DEMO_COMPARISONS.length);
    expect(page.items).toHaveLength(3);
    expect(page.items[0]!.id).toBe(made[0]!.id);
    const pages = Math.ceil(DEMO_COMPARISONS.length / 3);
    const last = await server.ask.get(`/api/comparisons?page=${pages}&pageSize=3`).expect(200);
    const left = DEMO_COMPARISONS.length - 3 * (pages - 1);
    expect((last.body as { items: Stored[] }).items).toHaveLength(left);
  });

  it.each([
    ['sandbags', 5],
    ['31.5 ÷ 0.7', 1],
    ['31.5:0.7', 1],
    ['952÷7', 1],
    ['PALLETS', 2],
    ['46x58', 1],
    ['46 * 58', 1],
    ['1011_2', 1],
    ['642-387', 1],
    ['642 − 387', 1],
    ['386+478', 1],
    ['%', 0],
    ['nothing like it', 0],
  ])('finds %s', async (search, count) => {
    for (const one of DEMO_COMPARISONS) await create(one);
    const { body } = await server.ask.get('/api/comparisons').query({ search }).expect(200);
    expect((body as { total: number }).total).toBe(count);
  });

  it.each([
    'page=0',
    'pageSize=101',
    'page=x',
    'sort=luck',
    'kind=riddle',
    'order=up',
    `search=${'x'.repeat(201)}`,
  ])('refuses %s', async (query) => {
    const { body } = await server.ask.get(`/api/comparisons?${query}`).expect(400);
    expect(body).toMatchObject({ code: 'request-invalid' });
  });
});

describe('what is sent', () => {
  it.each<[string, unknown, number, string, RegExp]>([
    ['no document', {}, 400, 'request-invalid', /document/],
    ['a field too many', { document, extra: 1 }, 400, 'request-invalid', /extra should not exist/],
    [
      'a field too many inside',
      { document: { ...document!, mood: 'good' } },
      400,
      'request-invalid',
      /no field "mood"/,
    ],
    ['a wrong type', { document: { ...document!, title: 5 } }, 400, 'request-invalid', /title/],
    [
      'an unreadable problem',
      { document: { ...document!, problem: '46 ×' } },
      422,
      'comparison-invalid',
      /missing after/,
    ],
    [
      'an unknown method',
      { document: { ...document!, papers: [{ ...document!.papers[0], method: 'magic' }] } },
      422,
      'comparison-invalid',
      /no method "magic"/,
    ],
  ])('is refused with %s', async (_, body, status, code, detail) => {
    const answer = await server.ask.post('/api/comparisons').send(body as object);
    expect(answer.status).toBe(status);
    expect(answer.type).toBe('application/problem+json');
    expect(answer.body).toMatchObject({ code, status, instance: '/api/comparisons' });
    expect((answer.body as { detail: string }).detail).toMatch(detail);
  });

  it('is refused over 2048 kB, and when it is not JSON', async () => {
    const large = { document: { ...document!, story: 'x'.repeat(2_200_000) } };
    const answer = await server.ask.post('/api/comparisons').send(large);
    expect([answer.status, answer.body]).toMatchObject([413, { code: 'body-too-large' }]);
    const broken = await server.ask
      .post('/api/comparisons')
      .set('Content-Type', 'application/json')
      .send('{"document":');
    expect([broken.status, broken.body]).toMatchObject([400, { code: 'body-unreadable' }]);
  });

  it('keeps mark-up in a title as plain text', async () => {
    const title = '<img src=x onerror=alert(1)>';
    const { id } = await create({ ...document!, title });
    const { body, type } = await server.ask.get(`/api/comparisons/${id}`);
    expect(type).toBe('application/json');
    expect((body as Stored).document!.title).toBe(title);
  });
});
