import { COMPARISON_FIELDS } from '../testing/comparison-fields.ts';
import { registry } from '../methods/index.ts';
import { decodeComparison } from './comparison-document.ts';
import { COMPARISON_VERSION, COMPARISON_VERSIONS } from './comparison-migrations.ts';
import { FRESH_ROOM } from './room.ts';

type Fields = Readonly<Record<string, unknown>>;

const PAPERS: readonly Fields[] = [
  {
    id: 'p1',
    method: 'column-multiplication',
    school: registry.get('column-multiplication').defaultSchool,
    order: [],
    hops: [],
    slips: ['forget-carry@line-1.1'],
    own: null,
  },
  {
    id: 'p2',
    method: 'grid-multiplication',
    school: registry.get('grid-multiplication').defaultSchool,
    order: ['1.1'],
    hops: [],
    slips: [],
    own: null,
  },
];

const OWN_PAPER: Fields = {
  id: 'p3',
  method: 'own-lines',
  school: {},
  order: [],
  hops: [],
  slips: [],
  own: {
    lines: [
      { text: '= 46 × 60 − 46 × 2', struck: false },
      { text: '= 2760 − 82', struck: true },
    ],
    code: 'T07',
    name: 'to sixty and back',
  },
};

const CHECK: Fields = {
  check: 'calculator',
  problem: '46 × 58',
  method: 'grid-multiplication',
  against: '46 × 58',
  outcome: 'agrees',
  at: '2026-02-03T10:00:00.000Z',
};

/** What every version has, and all that later ones know, as it stands today. */
const FULL = {
  format: 'levee-comparison',
  version: COMPARISON_VERSION,
  ...COMPARISON_FIELDS,
  papers: [...PAPERS, OWN_PAPER],
  steps: { p1: 2, p2: 3, p3: 1 } as Readonly<Record<string, number>> | readonly number[],
  room: { covered: ['name'], shown: ['papers', 'picture'] },
  checks: [CHECK],
};
type Full = typeof FULL;

const without = (fields: Fields, ...names: readonly string[]): Fields =>
  Object.fromEntries(Object.entries(fields).filter(([name]) => !names.includes(name)));

/** A full document of the version before, and what today's reader makes of what that version could not say. */
const BEFORE: Readonly<
  Record<number, { write: (of: Fields) => Fields; lost: (of: Full) => Full }>
> = {
  9: {
    write: (of) => without(of, 'room'),
    lost: (of) => ({ ...of, room: FRESH_ROOM as unknown as Full['room'] }),
  },
  8: {
    write: (of) => ({
      ...of,
      papers: PAPERS.map((paper) => without(paper, 'own')),
      steps: { p1: 2, p2: 3 },
    }),
    lost: (of) => ({ ...of, papers: [...PAPERS], steps: { p1: 2, p2: 3 } }),
  },
  7: { write: (of) => without(of, 'answers'), lost: (of) => ({ ...of, answers: [] }) },
  6: { write: (of) => without(of, 'earlier'), lost: (of) => ({ ...of, earlier: [] }) },
  5: {
    write: (of) => without(of, 'units', 'tags'),
    lost: (of) => ({ ...of, units: [], tags: [] }),
  },
  4: {
    write: (of) => ({
      ...of,
      papers: PAPERS.map((paper) => without(paper, 'own', 'id')),
      steps: [2, 3],
      checks: [without(CHECK, 'problem')],
    }),
    lost: (of) => of,
  },
  3: {
    write: (of) => ({
      ...of,
      papers: PAPERS.map((paper) => without(paper, 'own', 'id', 'slips')),
    }),
    lost: (of) => ({ ...of, papers: PAPERS.map((paper) => ({ ...paper, slips: [] })) }),
  },
  2: {
    write: (of) => ({
      ...without(of, 'counted', 'checks'),
      papers: PAPERS.map((paper) => without(paper, 'own', 'id', 'slips', 'hops')),
    }),
    lost: (of) => ({ ...of, counted: false, checks: [] }),
  },
};

/** A full document of a version, and the document of today that it is. */
function asOf(version: number): { readonly written: Fields; readonly read: Full } {
  let [written, read]: [Fields, Full] = [FULL, FULL];
  for (let at = COMPARISON_VERSION; at > version; at--) {
    const { write, lost } = BEFORE[at]!;
    [written, read] = [{ ...write(written), version: at - 1 }, lost(read)];
  }
  return { written, read };
}

const decoded = (of: Fields) => decodeComparison(JSON.parse(JSON.stringify(of)), registry);

describe('a document of every version that there was', () => {
  it.each(COMPARISON_VERSIONS)('of version %d is read with all that it held', (version) => {
    const { written, read } = asOf(version);
    expect(written['version']).toBe(version);
    const made = decoded(written);
    expect(made.ok && made.document).toEqual(read);
  });

  it.each([1, 2, 3])('of version %d has a count of steps for every paper', (version) => {
    const { written } = asOf(version);
    for (const steps of [[2], [2, 3, 1]])
      expect(decoded({ ...written, steps })).toMatchObject({ ok: false, where: 'steps' });
  });

  it.each([1, 2, 3])('of version %d with papers that are none says where', (version) => {
    const { written } = asOf(version);
    expect(decoded({ ...written, papers: ['lattice', 7], steps: [0, 0] })).toMatchObject({
      ok: false,
      where: 'papers[0]',
    });
  });
});
