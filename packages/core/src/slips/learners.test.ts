import fc from 'fast-check';
import { addressText, whereText } from '../account/chance.ts';
import { registry } from '../methods/index.ts';
import {
  added,
  crossed,
  evenedOut,
  halved,
  latticed,
  listed,
  multiplied,
  once,
  putTogether,
  subtracted,
  type Mind,
} from '../testing/learners.ts';
import { problemFrom } from '../testing/work.ts';

/** What a learner answers, given the numbers, the slip and where it is made. */
type Learner = (numbers: readonly [number, number], mind: Mind) => number;

const upTo = (a: number, b: number) =>
  fc.tuple(fc.integer({ min: 1, max: a }), fc.integer({ min: 1, max: b }));
const differences = upTo(90_909, 90_909).map(([a, b]): [number, number] => [
  Math.max(a, b),
  Math.min(a, b),
]);
interface Held {
  readonly method: string;
  readonly sign: string;
  readonly numbers: fc.Arbitrary<[number, number]>;
  readonly learner: Learner;
  /** Numbers that are tried in any case. */
  readonly always: readonly (readonly [number, number])[];
}

const HELD: readonly Held[] = [
  {
    method: 'decomposition',
    sign: '−',
    numbers: differences,
    learner: ([a, b], mind) => subtracted(a, b, mind),
    always: [
      [305, 127],
      [90_000, 7],
      [308, 120],
      [5558, 128],
    ],
  },
  {
    method: 'expanded-subtraction',
    sign: '−',
    numbers: differences,
    learner: ([a, b], mind) => subtracted(a, b, mind),
    always: [
      [305, 127],
      [3052, 1377],
    ],
  },
  {
    method: 'equal-additions',
    sign: '−',
    numbers: differences,
    learner: ([a, b], mind) => evenedOut(a, b, mind),
    always: [
      [653, 387],
      [648, 389],
    ],
  },
  {
    method: 'partial-differences',
    sign: '−',
    numbers: differences,
    learner: ([a, b], mind) => putTogether(a, b, mind),
    always: [[523, 287]],
  },
  {
    method: 'column-multiplication',
    sign: '×',
    numbers: upTo(9090, 909),
    learner: ([a, b], mind) => multiplied(a, b, mind),
    always: [
      [406, 8],
      [46, 258],
      [346, 111],
      [9999, 999],
    ],
  },
  {
    method: 'partial-products',
    sign: '×',
    numbers: upTo(909, 909),
    learner: ([a, b], mind) => listed(a, b, mind),
    always: [
      [46, 58],
      [406, 37],
    ],
  },
  {
    method: 'crosswise',
    sign: '×',
    numbers: upTo(9090, 909),
    learner: ([a, b], mind) => crossed(a, b, mind),
    always: [
      [46, 58],
      [406, 37],
    ],
  },
  {
    method: 'lattice',
    sign: '×',
    numbers: upTo(909, 909),
    learner: ([a, b], mind) => latticed(a, b, mind),
    always: [
      [46, 58],
      [406, 37],
      [23, 12],
      [999, 99],
    ],
  },
  {
    method: 'halving-doubling',
    sign: '×',
    numbers: upTo(909, 909),
    learner: ([a, b], mind) => halved(a, b, mind),
    always: [
      [46, 58],
      [406, 37],
    ],
  },
];

/** Slips that these numbers and schools have no chance of: of a point, and of the list of powers. */
const ELSEWHERE: ReadonlySet<string> = new Set([
  'point-one-off',
  'point-one-off-left',
  'point-as-in-a-sum',
  'point-dropped',
  'miss-power',
  'tail-not-filled',
]);

/** At every chance of a problem the method answers as the learner does; the slips that were met. */
function held(id: string, text: string, learner: (mind: Mind) => number): string[] {
  const method = registry.get(id);
  const problem = problemFrom(text);
  return method.trace(problem).opportunities.map((chance) => {
    const { answer } = method.light(problem, { slips: [chance] });
    const address = addressText(chance);
    const expected = String(learner(once(chance.slip, whereText(chance.at))));
    expect([text, address, answer.toString()]).toEqual([text, address, expected]);
    return chance.slip;
  });
}

/** Every slip of the method was met. */
function expectAll(id: string, met: ReadonlySet<string>): void {
  const all = registry.get(id).slips.map(({ id: slip }) => slip);
  expect(all.filter((slip) => !met.has(slip) && !ELSEWHERE.has(slip))).toEqual([]);
}

describe('learners who slip once', () => {
  it.each(HELD)(
    'answer by $method as those who work with figures alone',
    ({ method, sign, numbers, learner, always }) => {
      const met = new Set<string>();
      fc.assert(
        fc.property(numbers, (pair) => {
          const slips = held(method, pair.join(` ${sign} `), (mind) => learner(pair, mind));
          for (const slip of slips) met.add(slip);
        }),
        { numRuns: 80, examples: always.map(([a, b]): [[number, number]] => [[a, b]]) },
      );
      expectAll(method, met);
    },
  );

  it('answer by column-addition, of two to five addends, likewise', () => {
    const met = new Set<string>();
    const addends = fc.array(fc.integer({ min: 1, max: 9090 }), { minLength: 2, maxLength: 5 });
    fc.assert(
      fc.property(addends, (all) => {
        const slips = held('column-addition', all.join(' + '), (mind) => added(all, mind));
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 80, examples: [[[58, 76]], [[346, 7]], [[999, 999, 999, 9]]] },
    );
    expectAll('column-addition', met);
  });
});
