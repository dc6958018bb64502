import {
  compare,
  cost,
  lawName,
  readProblem,
  refusalText,
  scriptOf,
  speakerFor,
  answerText,
  type Speaker,
  type Law,
  type Refusal,
  type Method,
  type School,
  type Vocabulary,
} from '@levee/core';
import { paperOfLane, type Paper } from '../../worked/work.ts';

/** Computations of the demo scenario; a method is shown on the first that it works. */
const EXAMPLES: Readonly<Record<string, string>> = {
  'scratch-addition': '47 + 9 + 88 + 76',
  'running-total': '7 + 9 + 4 + 8 + 6 + 5',
  addition: '386 + 478',
  subtraction: '642 − 387',
  multiplication: '46 × 58',
  division: '952 ÷ 7',
  'mixed-separate': '5 1/6 − 2 5/6',
  'mixed-improper': '5 1/6 − 2 5/6',
  fractions: '3/4 + 1/6',
  'fraction-common-denominator': '3/4 ÷ 2/3',
  'fraction-reciprocal': '3/4 ÷ 2/3',
  'fraction-products': '3/4 × 2/3',
  'like-terms-row': '(x^3 + 5x^2) − (2x^2 − 7x)',
  'like-terms-columns': '(x^3 + 5x^2) − (2x^2 − 7x)',
  polynomials: '(x + 4)(3x − 2)',
  'prime-pairs': '√72',
  roots: '√7396',
};

export interface Example {
  /** The computation, and what it makes as the paper writes it. */
  readonly problem: string;
  readonly answer: string;
  readonly paper: Paper;
  /** A speaker for it in some words. */
  readonly say: (words: Vocabulary) => Speaker;
}

/** A method worked on its example by some school. */
export function exampleOf(method: Method, school: School): Example {
  const text = EXAMPLES[method.id] ?? EXAMPLES[method.family] ?? '46 × 58';
  const read = readProblem(text);
  if (!read.ok) throw new RangeError(`exampleOf: "${text}" is not a problem`);
  const [lane] = compare(read.problem, [{ method, school }]).lanes;
  const paper = paperOfLane(lane!, 0);
  return {
    problem: text,
    answer: answerText(lane!.trace),
    paper,
    say: (words) => speakerFor(read.problem, words),
  };
}

const SCOPE: readonly (readonly [what: string, text: string])[] = [
  ['two addends', '46 + 58'],
  ['a string of addends', '7 + 9 + 4'],
  ['differences', '642 − 387'],
  ['negative differences', '387 − 642'],
  ['products of two factors', '46 × 58'],
  ['products of three and more factors, stage by stage', '2 × 3 × 4'],
  ['whole quotients and remainders', '955 ÷ 7'],
  ['sums of decimals', '3.06 + 1.8'],
  ['differences of decimals', '5.2 − 1.84'],
  ['products of decimals', '3.6 × 20.5'],
  ['decimal dividends and divisors', '31.5 ÷ 0.7'],
  ['fractions', '3/4 + 1/6'],
  ['strings of fractions', '1/2 + 1/3 + 3/4'],
  ['mixed numbers', '5 1/6 − 2 5/6'],
  ['products of fractions', '3/4 × 2/3'],
  ['products of mixed numbers', '1 1/2 × 2 1/3'],
  ['products of three and more fractions', '1/2 × 2/3 × 3/4'],
  ['quotients of fractions', '3/4 ÷ 2/3'],
  ['quotients of mixed and whole numbers', '5 1/3 ÷ 8'],
  ['terms in a line', '3x + 5 − 2x + 7'],
  ['a bracket taken away', '(x^3 + 5x^2) − (2x^2 − 7x)'],
  ['two brackets of two terms', '(x + 4)(3x − 2)'],
  ['longer brackets', '(x^2 + x + 1)(x − 2)'],
  ['three brackets and powers, stage by stage', '(x − 2)(x + 5)(x − 4)'],
  ['several letters', '(x + y)(x − y)'],
  ['roots that come out', '√7396'],
  ['roots that do not', '√72'],
  ['roots of decimals', '√20.25'],
  ['other bases', ''],
];

/** Families that work in base ten only. */
const NO_BASES: ReadonlySet<string> = new Set(['fractions', 'fraction-products', 'polynomials']);

export interface Scope {
  readonly what: string;
  readonly works: boolean;
  /** Why not, where the kind of computation is its own. */
  readonly reason: string | null;
}

/** Refusals of what is another method’s matter altogether. */
const OTHERS: ReadonlySet<Refusal['code']> = new Set([
  'kind-not-worked',
  'has-fractions',
  'no-fractions',
  'has-letters',
  'no-letters',
]);

/** What a method works and what it refuses, found by asking it; kinds that are not its own are left out. */
export function scopeOf(method: Method): readonly Scope[] {
  return SCOPE.flatMap(([what, text]): Scope[] => {
    if (text === '')
      return NO_BASES.has(method.family) ? [] : [{ what, works: true, reason: null }];
    const read = readProblem(text);
    if (!read.ok) return [];
    const accepted = method.accepts(read.problem);
    if (accepted.ok) return [{ what, works: true, reason: null }];
    if (OTHERS.has(accepted.reason.code)) return [];
    return [{ what, works: false, reason: refusalText(accepted.reason) }];
  });
}

/** The laws that the example's steps name, each in words. */
export function lawsOf({ lane }: Paper): readonly string[] {
  const { problem } = lane.trace;
  const script = scriptOf(problem);
  const laws = new Set<Law>(lane.trace.steps.map(({ law }) => law));
  return [...laws].map((law) => lawName(law, { script, kind: problem.kind }));
}

/** How much of the example is written and how much is held. */
export function mediaOf({ lane }: Paper): { readonly written: string; readonly held: string } {
  const { figures, lines, heldAtOnce, largestHeld } = cost(lane.trace);
  return {
    written: `${figures} figures in ${lines} ${lines === 1 ? 'line' : 'lines'}`,
    held:
      heldAtOnce === 0
        ? 'nothing'
        : `${heldAtOnce === 1 ? 'one number' : `${heldAtOnce} numbers`} at a time, up to ${largestHeld}`,
  };
}
