import { registry, type ComparisonDocument } from '@levee/core';

/** What a demo comparison says; the rest is filled in alike for all. */
interface DemoComparison {
  readonly title: string;
  readonly story: string;
  readonly unit: string;
  readonly problem: string;
  readonly estimate: ComparisonDocument['estimate'];
  readonly papers: readonly (readonly [method: string, school?: Record<string, string>])[];
  readonly steps: readonly number[];
  readonly pace?: ComparisonDocument['pace'];
}

function comparison({ papers, pace = 'amount', ...rest }: DemoComparison): ComparisonDocument {
  return {
    format: 'levee-comparison',
    version: 1,
    pace,
    ...rest,
    papers: papers.map(([method, school = {}]) => ({
      method,
      school: { ...registry.get(method).defaultSchool, ...school },
      order: [],
    })),
  };
}

/** The demo scenario: the flood-bank crew of Osier Reach and the number-methods course there. */
export const DEMO_COMPARISONS: readonly ComparisonDocument[] = [
  comparison({
    title: 'Sandbags on the north bank',
    story: 'sandbags on 46 pallets of 58',
    unit: 'bags',
    problem: '46 × 58',
    estimate: {
      operands: ['50', '60'],
      value: '3000',
      judgement: 'right size is enough',
      beforeWorking: true,
    },
    papers: [['column-multiplication'], ['grid-multiplication'], ['lattice']],
    steps: [4, 4, 3],
  }),
  comparison({
    title: 'Zero in the middle: culvert bolts',
    story: '406 culvert rings with 37 bolts each',
    unit: 'bolts',
    problem: '406 × 37',
    estimate: { operands: ['400', '40'], value: '16000', judgement: 'close', beforeWorking: true },
    papers: [
      ['column-multiplication', { carries: 'below', shift: 'gap' }],
      ['partial-products', { order: 'largest-first', zeros: 'written' }],
      ['lattice'],
    ],
    steps: [0, 0, 0],
  }),
  comparison({
    title: 'A fact known by heart first',
    story: 'square inspection plot, 12 paces each way',
    unit: 'square paces',
    problem: '12 × 12',
    estimate: { operands: ['10', '10'], value: '100', judgement: '', beforeWorking: true },
    papers: [['lattice'], ['grid-multiplication', { totals: 'columns' }]],
    steps: [4, 4],
  }),
  comparison({
    title: 'Worst case for carries: nines',
    story: 'sandbags: 99 loads of 89',
    unit: 'bags',
    problem: '99 × 89',
    estimate: { operands: ['100', '90'], value: '9000', judgement: 'close', beforeWorking: true },
    papers: [
      ['column-multiplication', { carries: 'in-the-head' }],
      ['partial-products'],
      ['grid-multiplication', { totals: 'one-list' }],
      ['lattice', { 'second-factor': 'left' }],
    ],
    steps: [3, 2, 2, 2],
  }),
  comparison({
    title: 'Longer by shorter: seed trays',
    story: '1250 seed trays with 48 cells each',
    unit: 'cells',
    problem: '1250 × 48',
    estimate: null,
    papers: [['grid-multiplication'], ['column-multiplication']],
    steps: [0, 0],
  }),
  comparison({
    title: 'Swapped factors',
    story: 'pump hours: 7 pumps, 365 hours each',
    unit: 'hours',
    problem: '7 × 365',
    estimate: { operands: ['7', '400'], value: '2800', judgement: '', beforeWorking: true },
    papers: [['column-multiplication'], ['partial-products', { order: 'largest-first' }]],
    steps: [0, 0],
    pace: 'step',
  }),
  comparison({
    title: 'Three figures by three',
    story: 'turf rolls: 346 stacks of 125',
    unit: 'rolls',
    problem: '346 × 125',
    estimate: {
      operands: ['300', '100'],
      value: '30000',
      judgement: 'right size is enough',
      beforeWorking: true,
    },
    papers: [['column-multiplication'], ['grid-multiplication'], ['lattice']],
    steps: [0, 0, 0],
  }),
  comparison({
    title: 'Ten of one is one of the next, in base two',
    story: 'sluice gates counted open and shut',
    unit: '',
    problem: '1011_2 × 110_2',
    estimate: null,
    papers: [['column-multiplication'], ['lattice']],
    steps: [0, 0],
  }),
];
