import { registry, type ComparisonDocument } from '@levee/core';

/** What a demo comparison says; the rest is filled in alike for all. */
interface DemoComparison {
  readonly title: string;
  readonly story: string;
  readonly unit: string;
  readonly counted?: boolean;
  readonly problem: string;
  readonly estimate: ComparisonDocument['estimate'];
  readonly papers: readonly (readonly [
    method: string,
    school?: Record<string, string>,
    hops?: readonly string[],
  ])[];
  readonly steps: readonly number[];
  readonly pace?: ComparisonDocument['pace'];
  readonly checks?: ComparisonDocument['checks'];
}

function comparison(demo: DemoComparison): ComparisonDocument {
  const { papers, pace = 'amount', counted = false, checks = [], ...rest } = demo;
  return {
    format: 'levee-comparison',
    version: 2,
    pace,
    counted,
    checks,
    ...rest,
    papers: papers.map(([method, school = {}, hops = []]) => ({
      method,
      school: { ...registry.get(method).defaultSchool, ...school },
      order: [],
      hops,
    })),
  };
}

/** The demo scenario: the flood-bank crew of Osier Reach and the number-methods course there. */
export const DEMO_COMPARISONS: readonly ComparisonDocument[] = [
  comparison({
    title: 'Sandbags on the north bank',
    story: 'sandbags on 46 pallets of 58',
    unit: 'bags',
    counted: true,
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
    counted: true,
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
    counted: true,
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
  comparison({
    title: 'Bags left after the night shift',
    story: 'sandbags: 642 in the yard, 387 laid by the night shift',
    unit: 'bags',
    counted: true,
    problem: '642 − 387',
    estimate: { operands: ['600', '400'], value: '200', judgement: 'close', beforeWorking: true },
    papers: [['decomposition'], ['equal-additions'], ['counting-up']],
    steps: [2, 2, 1],
    checks: [
      {
        check: 'inverse',
        method: 'equal-additions',
        against: '',
        outcome: 'agrees',
        at: '2026-03-02T09:20:00.000Z',
      },
      {
        check: 'estimate',
        method: 'decomposition',
        against: '',
        outcome: 'disagrees',
        at: '2026-03-02T09:18:00.000Z',
      },
    ],
  }),
  comparison({
    title: 'Two stores counted together',
    story: 'grass-seed sacks: 386 in the east store, 478 in the west store',
    unit: 'sacks',
    counted: true,
    problem: '386 + 478',
    estimate: { operands: ['400', '500'], value: '900', judgement: 'close', beforeWorking: true },
    papers: [
      ['column-addition'],
      ['partial-sums', { order: 'largest-first' }],
      ['bridging-addition'],
    ],
    steps: [1, 1, 1],
  }),
  comparison({
    title: 'A string of gauge readings',
    story: 'centimetres that the river rose in seven days',
    unit: 'cm',
    problem: '7 + 9 + 4 + 8 + 6 + 5 + 3',
    estimate: {
      operands: ['7', '9', '4', '8', '6', '5', '3'],
      value: '42',
      judgement: '',
      beforeWorking: true,
    },
    papers: [['scratch-addition'], ['running-total', { order: 'make-tens' }], ['column-addition']],
    steps: [3, 3, 0],
    pace: 'step',
  }),
  comparison({
    title: 'Across two zeros: culvert lengths',
    story: 'culvert pipe: 7002 metres ordered, 2586 metres laid',
    unit: 'metres',
    problem: '7002 − 2586',
    estimate: {
      operands: ['7000', '3000'],
      value: '4000',
      judgement: 'right size is enough',
      beforeWorking: true,
    },
    papers: [
      ['decomposition', { regroup: 'scan-first' }],
      ['equal-additions', { mark: 'dot', think: 'what-must-be-added' }],
      ['partial-differences', { order: 'largest-first' }],
    ],
    steps: [0, 0, 0],
  }),
  comparison({
    title: 'Own hops and own changes',
    story: 'pump hours: meter at 913 now, at 568 last week',
    unit: 'hours',
    problem: '913 − 568',
    estimate: { operands: ['900', '600'], value: '300', judgement: 'close', beforeWorking: true },
    papers: [
      ['counting-up', {}, ['32', '300', '13']],
      ['compensation-subtraction', {}, ['32']],
      ['expanded-subtraction'],
    ],
    steps: [2, 1, 2],
  }),
  comparison({
    title: 'More taken than there',
    story: 'stakes: 38 in the shed, 52 asked for',
    unit: 'stakes',
    counted: true,
    problem: '38 − 52',
    estimate: null,
    papers: [['partial-differences', { combine: 'signs-apart' }], ['counting-up']],
    steps: [0, 0],
  }),
  comparison({
    title: 'One line and crossing pairs',
    story: 'willow cuttings: 213 bundles of 124',
    unit: 'cuttings',
    counted: true,
    problem: '213 × 124',
    estimate: { operands: ['200', '100'], value: '20000', judgement: '', beforeWorking: true },
    papers: [['crosswise'], ['lattice'], ['grid-multiplication']],
    steps: [3, 6, 6],
  }),
  comparison({
    title: 'Halves and doubles',
    story: 'seed plugs: 26 trays of 34',
    unit: 'plugs',
    counted: true,
    problem: '26 × 34',
    estimate: { operands: ['30', '30'], value: '900', judgement: 'close', beforeWorking: true },
    papers: [
      ['halving-doubling'],
      ['halving-doubling', { show: 'powers-of-two' }],
      ['grid-multiplication'],
    ],
    steps: [3, 7, 2],
  }),
  comparison({
    title: 'Shared among seven crews',
    story: 'sandbags: 952 shared among 7 crews',
    unit: 'bags',
    counted: true,
    problem: '952 ÷ 7',
    estimate: { operands: ['700', '7'], value: '100', judgement: '', beforeWorking: true },
    papers: [['long-division'], ['short-division'], ['partial-quotients']],
    steps: [4, 2, 4],
  }),
  comparison({
    title: 'What is left over',
    story: 'stakes: 1835 tied in bundles of 24',
    unit: 'bundles',
    counted: true,
    problem: '1835 ÷ 24',
    estimate: { operands: ['2000', '20'], value: '100', judgement: '', beforeWorking: true },
    papers: [
      ['long-division'],
      ['partial-quotients', {}, ['50', '20']],
      ['short-division', { stop: 'decimals' }],
    ],
    steps: [0, 0, 0],
  }),
  comparison({
    title: 'A divisor below one',
    story: 'gauge staffs of 0.7 metres cut from 31.5 metres of pipe',
    unit: 'staffs',
    problem: '31.5 ÷ 0.7',
    estimate: { operands: ['28', '0.7'], value: '40', judgement: 'close', beforeWorking: true },
    papers: [['long-division'], ['partial-quotients'], ['short-division']],
    steps: [1, 1, 1],
  }),
  comparison({
    title: 'Where does the point go?',
    story: 'inspection plot: 3.6 metres by 20.5 metres',
    unit: 'square metres',
    problem: '3.6 × 20.5',
    estimate: { operands: ['4', '20'], value: '80', judgement: 'close', beforeWorking: true },
    papers: [['column-multiplication'], ['grid-multiplication'], ['lattice']],
    steps: [4, 2, 3],
  }),
  comparison({
    title: 'Points under each other',
    story: 'culvert lengths: 3.06 metres, 1.8 metres and 12.45 metres',
    unit: 'metres',
    problem: '3.06 + 1.8 + 12.45',
    estimate: {
      operands: ['3', '2', '12'],
      value: '17',
      judgement: 'close',
      beforeWorking: true,
    },
    papers: [
      ['column-addition'],
      ['partial-sums', { order: 'largest-first' }],
      ['running-total', { order: 'as-written' }],
    ],
    steps: [1, 1, 1],
  }),
  comparison({
    title: 'Stage by stage: soil for the beds',
    story: 'seed beds: 12 beds, 3.5 metres by 0.4 metres',
    unit: 'square metres',
    problem: '12 × 3.5 × 0.4',
    estimate: { operands: ['10', '4', '0.4'], value: '16', judgement: '', beforeWorking: true },
    papers: [['partial-products'], ['lattice'], ['grid-multiplication']],
    steps: [3, 3, 3],
  }),
  comparison({
    title: 'Division in base eight',
    story: 'sluice teeth counted by eights',
    unit: '',
    problem: '1670_8 ÷ 7_8',
    estimate: null,
    papers: [['long-division'], ['partial-quotients']],
    steps: [0, 0],
  }),
];
