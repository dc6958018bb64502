import { ownLinesMethod } from '../own/paper/method.ts';
import { NO_LINES } from '../own/paper/own-work.ts';
import { registry } from '../methods/index.ts';
import { choicesOf } from './choices.ts';
import { decodeComparison } from './comparison-document.ts';
import type { ComparisonDocument } from './comparison-shape.ts';
import { COMPARISON_FIELDS } from '../testing/comparison-fields.ts';
import { FRESH_ROOM } from './room.ts';

const document: ComparisonDocument = {
  format: 'levee-comparison',
  version: 9,
  ...COMPARISON_FIELDS,
  papers: [
    {
      id: 'p1',
      method: 'column-multiplication',
      school: { carries: 'below', shift: 'gap', 'zero-rows': 'written', 'on-top': 'as-given' },
      order: [],
      hops: [],
      slips: [],
      own: null,
    },
    {
      id: 'p2',
      method: 'lattice',
      school: registry.get('lattice').defaultSchool,
      order: ['1.1'],
      hops: [],
      slips: [],
      own: null,
    },
  ],
  steps: { p1: 0, p2: 3 },
  room: { covered: ['name', 'verdicts'], shown: ['papers', 'picture'] },
  checks: [
    {
      check: 'calculator',
      problem: '46 × 58',
      method: 'lattice',
      against: '46 × 58',
      outcome: 'agrees',
      at: '2026-02-03T10:00:00.000Z',
    },
  ],
};

function decoded(change: Record<string, unknown>) {
  return decodeComparison({ ...document, ...change }, registry);
}

const LINE = { text: '= 2668', struck: false };

function ownLines(change: object) {
  return { method: 'own-lines', school: {}, own: { ...NO_LINES, ...change } };
}

describe('decodeComparison', () => {
  it('gives back what was written', () => {
    const read = decodeComparison(JSON.parse(JSON.stringify(document)), registry);
    expect(read.ok && read.document).toEqual(document);
    expect(
      choicesOf(document.papers, registry, ownLinesMethod).map(({ method }) => method.id),
    ).toEqual(['column-multiplication', 'lattice']);
  });

  it('brings documents of version 1 up to date', () => {
    const old: Record<string, unknown> = {
      ...document,
      version: 1,
      papers: document.papers.map(({ method, school, order }) => ({ method, school, order })),
      steps: [0, 3],
    };
    const later = new Set(['counted', 'checks', 'units', 'tags', 'earlier', 'answers', 'room']);
    const known = Object.fromEntries(Object.entries(old).filter(([field]) => !later.has(field)));
    const read = decodeComparison(JSON.parse(JSON.stringify(known)), registry);
    expect(read.ok && read.document).toEqual({
      ...document,
      counted: false,
      checks: [],
      units: [],
      tags: [],
      earlier: [],
      answers: [],
      room: FRESH_ROOM,
    });
    expect(decodeComparison({ ...known, papers: 'none' }, registry)).toMatchObject({ ok: false });
  });

  it('keeps own lines of every kind, whatever they say', () => {
    const texts = ['= 46 × 60 −', 'hello', '<b>x</b>', '864 ÷ 0', '((((', '', '= 642 − 387'];
    const lines = texts.map((text, k) => ({ text, struck: k === 1 }));
    const { papers, steps } = document;
    const own = { ...papers[0]!, id: 'p9', ...ownLines({ lines, code: 'T07' }) };
    const read = decoded({ papers: [...papers, own], steps: { ...steps, p9: 0 } });
    expect(read.ok && read.document.papers.at(-1)!.own).toEqual({ lines, code: 'T07', name: '' });
  });

  it('fills in schools that are not named', () => {
    const read = decoded({
      papers: [
        { id: 'p7', method: 'lattice', school: {}, order: [], hops: [], slips: [], own: null },
      ],
      steps: { p7: 0 },
    });
    expect(read.ok && read.document.papers[0]!.school).toEqual(
      registry.get('lattice').defaultSchool,
    );
  });

  const paper = document.papers[0]!;
  const check = document.checks[0]!;
  it.each<[Record<string, unknown>, string, RegExp]>([
    [{ format: 'other' }, 'format', /not a Levee comparison/],
    [{ room: { covered: ['sky'], shown: [] } }, 'room.covered[0]', /sky|one of/],
    [{ version: 10 }, 'version', /version 10 is not known here; versions up to 9 are/],
    [{ counted: 'yes' }, 'counted', /true or false/],
    [{ checks: [{ ...check, check: 'luck' }] }, 'checks[0].check', /one of/],
    [{ checks: [{ ...check, method: 'magic' }] }, 'checks[0].method', /no method "magic"/],
    [{ checks: [{ ...check, at: 'today' }] }, 'checks[0].at', /not a time/],
    [{ checks: [{ ...check, outcome: 'fine' }] }, 'checks[0].outcome', /one of/],
    [{ checks: Array(201).fill(check) }, 'checks', /201 entries; 200 are allowed/],
    [{ papers: [{ ...paper, hops: ['3.5'] }, paper] }, 'papers[0].hops[0]', /not an amount/],
    [{ papers: [{ ...paper, hops: ['2/4'] }, paper] }, 'papers[0].hops[0]', /not an amount/],
    [{ papers: [{ ...paper, hops: ['1/0'] }, paper] }, 'papers[0].hops[0]', /not an amount/],
    [
      { papers: [{ ...paper, hops: Array(41).fill('1') }, paper] },
      'papers[0].hops',
      /41 entries; 40/,
    ],
    [{ papers: [{ ...paper, own: NO_LINES }, paper] }, 'papers[0].own', /only papers of own-lines/],
    [
      { papers: [{ ...paper, method: 'own-lines' }, paper] },
      'papers[0].method',
      /has its lines under "own"/,
    ],
    [
      { papers: [{ ...paper, ...ownLines({ code: 'Ann' }) }, paper] },
      'papers[0].own.code',
      /is not a code such as T07/,
    ],
    [
      { papers: [{ ...paper, ...ownLines({ lines: Array(61).fill(LINE) }) }, paper] },
      'papers[0].own.lines',
      /61 entries; 60 are allowed/,
    ],
    [
      {
        papers: [
          { ...paper, ...ownLines({ lines: [{ ...LINE, text: '1'.repeat(2001) }] }) },
          paper,
        ],
      },
      'papers[0].own.lines[0].text',
      /2000/,
    ],
    [
      { answers: [{ code: 'Ann', problem: '', answer: '598' }] },
      'answers[0].code',
      /is not a code such as T07/,
    ],
    [
      { answers: Array(1001).fill({ code: 'T07', problem: '', answer: '598' }) },
      'answers',
      /1001 entries; 1000 are allowed/,
    ],
    [{ extra: 1 }, 'document', /no field "extra"/],
    [{ title: 5 }, 'title', /must be a text/],
    [{ title: 'x'.repeat(121) }, 'title', /121 characters; 120/],
    [{ problem: '46 ×' }, 'problem', /missing after/],
    [{ problem: '4.6 ÷ 0' }, 'problem', /no answer/],
    [{ estimate: { ...document.estimate, value: '30.0' } }, 'estimate.value', /exact amount/],
    [{ estimate: { ...document.estimate, judgement: 'x'.repeat(81) } }, 'estimate.judgement', /81/],
    [{ estimate: { ...document.estimate, beforeWorking: 1 } }, 'estimate.beforeWorking', /true or/],
    [{ papers: [], steps: {} }, 'papers', /1 entries or more/],
    [{ papers: Array(7).fill(paper) }, 'papers', /7 entries; 6 are allowed/],
    [{ papers: [{ ...paper, method: 'magic' }, paper] }, 'papers[0].method', /no method "magic"/],
    [{ papers: [{ ...paper, school: { carries: 'x' } }, paper] }, 'papers[0].school', /no option/],
    [{ papers: [{ ...paper, order: [1] }, paper] }, 'papers[0].order[0]', /must be a text/],
    [{ problem: '6 ÷ 3' }, 'papers[0].method', /does not work a quotient/],
    [{ steps: { p1: 0 } }, 'steps', /no count for "p2"/],
    [{ steps: { p1: 0, p2: 0, p3: 0 } }, 'steps', /no paper "p3"/],
    [{ steps: { p1: 0, p2: -1 } }, 'steps.p2', /count, 0 or more/],
    [{ steps: { p1: 0, p2: 1.5 } }, 'steps.p2', /count/],
    [{ papers: [paper, paper] }, 'papers[1].id', /two papers have the id "p1"/],
    [{ papers: [{ ...paper, id: 'first' }, paper] }, 'papers[0].id', /name of a paper/],
    [{ pace: 'fast' }, 'pace', /"amount", "step", "alone"/],
  ])('refuses what is wrong, and says where (%#)', (change, where, fault) => {
    const read = decoded(change);
    expect(read).toMatchObject({ ok: false, where });
    expect(!read.ok && read.fault).toMatch(fault);
  });

  it.each([null, [], 'text', 5])('refuses %j', (input) => {
    expect(decodeComparison(input, registry)).toMatchObject({ ok: false, where: 'document' });
  });

  it('keep slips by their addresses, when each has a chance on its paper', () => {
    const [column, ...others] = document.papers;
    const withSlips = (...slips: string[]) =>
      decodeComparison({ ...document, papers: [{ ...column!, slips }, ...others] }, registry);
    const read = withSlips('forget-carry@line-0.1');
    if (!read.ok) throw new Error(read.fault);
    const [choice] = choicesOf(read.document.papers, registry, ownLinesMethod);
    expect(choice!.slips).toEqual([{ slip: 'forget-carry', at: { what: 'line', at: [0, 1] } }]);
    for (const [slip, fault] of [
      ['forget-carry@1', /is not a slip such as/],
      ['forget-carry@line-0.0', /no chance for forget-carry@line-0\.0/],
      ['swap-cell@cell-0.0', /no chance for swap-cell/],
    ] as const) {
      expect(withSlips(slip)).toEqual({
        ok: false,
        where: 'papers[0].slips',
        fault: expect.stringMatching(fault),
      });
    }
    expect(withSlips('forget-carry')).toEqual({
      ok: false,
      where: 'papers[0].slips[0]',
      fault: expect.stringMatching(/is not a slip such as/),
    });
    const long = '7'.repeat(20);
    const papers = [{ ...column!, slips: ['forget-carry@line-0.1'] }];
    expect(
      decodeComparison(
        { ...document, problem: `${long} × ${long}`, papers, steps: { p1: 0 } },
        registry,
      ),
    ).toEqual({
      ok: false,
      where: 'papers[0].slips',
      fault: expect.stringMatching(/^slips are made on work that the bench shows: /),
    });
    const many = Array.from({ length: 21 }, () => 'forget-carry@line-0.1');
    expect(withSlips(...many)).toEqual({
      ok: false,
      where: 'papers[0].slips',
      fault: expect.stringMatching(/21 entries; 20 are allowed/),
    });
  });

  it('of version 2 are read, with no slips', () => {
    const papers = document.papers.map(({ method, school, order, hops }) => ({
      method,
      school,
      order,
      hops,
    }));
    const later = new Set(['units', 'tags', 'earlier', 'answers', 'room']);
    const known = Object.fromEntries(
      Object.entries(document).filter(([field]) => !later.has(field)),
    );
    const checks = document.checks.map(({ check, method, against, outcome, at }) => ({
      check,
      method,
      against,
      outcome,
      at,
    }));
    const old = { ...known, version: 2, papers, checks, steps: [0, 3] };
    const read = decodeComparison(old, registry);
    expect(read).toMatchObject({
      ok: true,
      document: {
        ...document,
        units: [],
        tags: [],
        earlier: [],
        answers: [],
        room: FRESH_ROOM,
      },
    });
  });

  it.each<[number, Record<string, unknown>, string]>([
    [1, { checks: [] }, 'checks'],
    [4, { tags: ['spring'] }, 'tags'],
    [6, { answers: [] }, 'answers'],
    [7, { papers: document.papers }, 'papers[0].own'],
    [8, { room: document.room }, 'room'],
  ])('of version %d take no field that it did not have', (version, more, where) => {
    const old = { format: 'levee-comparison', version, ...more };
    expect(decodeComparison(old, registry)).toEqual({
      ok: false,
      where,
      fault: expect.stringMatching(/^version \d has no such field; it came with version \d$/),
    });
  });
});
