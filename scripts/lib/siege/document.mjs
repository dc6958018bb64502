import { readFileSync } from 'node:fs';

/** A comparison of a problem that any method may be asked for, with little in it. */
export const document = (problem, more = {}) => ({
  ...fullDocument(),
  problem,
  units: [],
  estimate: null,
  earlier: [],
  papers: fullDocument().papers.filter(({ own }) => own),
  steps: { p3: 0 },
  checks: [],
  answers: [],
  ...more,
});

/** A comparison that holds something in every field of today's documents. */
export function fullDocument(more = {}) {
  const problem = '386 + 58';
  const estimate = {
    operands: ['400', '60'],
    value: '460',
    judgement: 'safely above',
    beforeWorking: true,
  };
  return {
    format: 'levee-comparison',
    version: 9,
    title: 'siege',
    story: 'gauge readings',
    unit: 'm',
    units: ['m', 'm'],
    tags: ['siege'],
    counted: true,
    problem,
    estimate,
    earlier: [{ problem: '12 + 34', estimate }],
    papers: fullPapers(),
    steps: { p1: 0, p2: 1, p3: 0, p4: 0 },
    pace: 'amount',
    room: { covered: ['name', 'gauge'], shown: ['papers', 'picture'] },
    checks: [
      {
        check: 'calculator',
        problem,
        method: 'column-addition',
        against: '20',
        outcome: 'agrees',
        at: '2026-01-31T09:00:00.000Z',
      },
    ],
    answers: [{ code: 'T12', problem, answer: '21' }],
    ...more,
  };
}

function fullPapers() {
  const paper = { school: {}, order: [], hops: [], slips: [], own: null };
  return [
    {
      ...paper,
      id: 'p1',
      method: 'column-addition',
      school: { carries: 'below' },
      slips: ['carry-to-the-right@place-1'],
    },
    { ...paper, id: 'p2', method: 'bridging-addition', hops: ['14', '44'] },
    {
      ...paper,
      id: 'p3',
      method: 'own-lines',
      own: {
        lines: [
          { text: '= 30', struck: false },
          { text: 'a note', struck: true },
        ],
        code: 'T07',
        name: 'a way',
      },
    },
    { ...paper, id: 'p4', method: 'running-total', order: ['1.0'] },
  ];
}

const SCHEMA = JSON.parse(
  readFileSync(
    new URL('../../../docs/schemas/levee-comparison.schema.json', import.meta.url),
    'utf8',
  ),
);

/** Every field that the description of a comparison has, such as `papers[].own.code`; `*` is any name of a table. */
export const FIELDS = fieldsOf(SCHEMA);

function fieldsOf(schema, at = '') {
  if (schema.$ref) return fieldsOf(SCHEMA.$defs[schema.$ref.split('/').at(-1)], at);
  const behind = (name) => (at === '' ? name : `${at}.${name}`);
  const parts = [...(schema.anyOf ?? []), ...(schema.oneOf ?? [])].flatMap((one) =>
    fieldsOf(one, at),
  );
  const own = Object.entries(schema.properties ?? {}).flatMap(([name, one]) => [
    behind(name),
    ...fieldsOf(one, behind(name)),
  ]);
  const items = schema.items ? fieldsOf(schema.items, `${at}[]`) : [];
  const table = typeof schema.additionalProperties === 'object' ? [behind('*')] : [];
  return [...new Set([...parts, ...own, ...items, ...table])];
}

/** The fields in which a document holds nothing: none, or the siege is about an older document. */
export function emptyFields(value) {
  return FIELDS.filter((field) => !holdsSomething(value, field));
}

/** The first name of a field such as `papers[].own`, and what is behind it: `papers` and `[].own`. */
export function firstOf(field) {
  return /^(\[\]|[^.[]+)\.?(.*)$/.exec(field).slice(1);
}

function holdsSomething(value, field) {
  if (field === '')
    return value !== undefined && value !== null && value !== '' && value.length !== 0;
  const [name, rest] = firstOf(field);
  if (value === null || value === undefined) return false;
  if (name === '[]') return value.some((own) => holdsSomething(own, rest));
  if (name === '*') return Object.keys(value).length > 0;
  return holdsSomething(value[name], rest);
}
