import fc from 'fast-check';
import type { School } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import { numeral, numeralOf, termsNumeral, type Numeral } from '../exact/numeral.ts';
import { fractionFactors, fractionShares, mixedNumber } from './fraction-numbers.ts';
import { registry } from '../methods/index.ts';
import type { Method } from '../methods/method.ts';
import { makeProblem, readProblem, type Problem, type ProductProblem } from '../problem/problem.ts';
import { productProblem } from '../problem/problem.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import { scriptOf } from '../problem/script.ts';
import { integerOf } from './expected.ts';

/** A whole number of up to `most` figures in a base, zeros in every position likely. */
export function wholeNumeral(base: number, most: number): fc.Arbitrary<Numeral> {
  const digit = fc.oneof(
    { weight: 1, arbitrary: fc.constant(0) },
    { weight: 3, arbitrary: fc.integer({ min: 0, max: base - 1 }) },
  );
  return fc
    .array(digit, { minLength: 1, maxLength: most })
    .map((digits) => numeral(digits.map((d) => d.toString(base)).join(''), base));
}

const someBase = fc.oneof(
  { weight: 3, arbitrary: fc.constant(10) },
  { weight: 1, arbitrary: fc.integer({ min: 2, max: 16 }) },
);

/** Products of two whole numbers, mostly in base ten. */
export function products(most = 5): fc.Arbitrary<ProductProblem> {
  return someBase.chain((b) =>
    fc
      .tuple(wholeNumeral(b, most), wholeNumeral(b, most))
      .map((factors) => productProblem(factors)),
  );
}

/** Sums of two addends or of a string of them, mostly in base ten. */
export function sums(most = 5, addends = 12): fc.Arbitrary<Problem> {
  const count = fc.oneof(
    { weight: 2, arbitrary: fc.constant(2) },
    { weight: 1, arbitrary: fc.integer({ min: 2, max: addends }) },
  );
  return fc
    .tuple(someBase, count)
    .chain(([b, n]) => fc.array(wholeNumeral(b, most), { minLength: n, maxLength: n }))
    .map((operands) => makeProblem('sum', operands));
}

/** Differences of any two whole numbers, now and then of a number and itself. */
export function differences(most = 6): fc.Arbitrary<Problem> {
  return someBase
    .chain((b) =>
      fc.tuple(wholeNumeral(b, most), wholeNumeral(b, most), fc.integer({ max: 9, min: 0 })),
    )
    .map(([a, b, same]) => makeProblem('difference', [a, same === 0 ? a : b]));
}

/** Quotients: divisors of one to three figures, dividends with zeros inside and at the end. */
export function quotients(most = 5): fc.Arbitrary<Problem> {
  return someBase
    .chain((b) => fc.tuple(wholeNumeral(b, most), wholeNumeral(b, Math.min(most, 3))))
    .map(([a, b]) => makeProblem('quotient', [a, isZero(b) ? { ...b, digits: [1] } : b]));
}

function isZero({ digits }: Numeral): boolean {
  return digits.every((digit) => digit === 0);
}

/** What a method is tried on: a kind of problem in figures, or numbers that are written in another way. */
export type SampleKind =
  | Exclude<ProblemKind, 'expression'>
  | 'fractions'
  | 'fraction products'
  | 'fraction quotients'
  | 'letter sums'
  | 'letter products';

const SAMPLES: Record<SampleKind, string> = {
  product: '2 × 3',
  sum: '2 + 3',
  difference: '3 − 2',
  quotient: '6 ÷ 2',
  root: '√4',
  fractions: '1/2 + 1/3',
  'fraction products': '1/2 × 1/3',
  'fraction quotients': '1/2 ÷ 1/3',
  'letter sums': '(2x + 3) − (x + 1)',
  'letter products': '(x + 2)(x + 3)',
};

/** The kind of problem that a method works. */
export function kindOf(method: Method): SampleKind {
  if (method.family === 'fractions') return 'fractions';
  const kinds = Object.keys(SAMPLES) as SampleKind[];
  const works = kinds.find((kind) => {
    const read = readProblem(SAMPLES[kind]);
    return read.ok && method.accepts(read.problem).ok;
  });
  if (!works) throw new RangeError(`kindOf: ${method.id} works no sample`);
  return works;
}

/** Two methods of fractions that take the same numbers. */
function fractionComparisons(own: readonly MethodChoice[]) {
  return fc.constantFrom(true, false).chain((wholes) => {
    const fitting = own.filter(({ method }) => /mixed/.test(method.id) === wholes);
    const chosen = fc.uniqueArray(fc.constantFrom(...fitting), { minLength: 2, maxLength: 4 });
    const [first] = fitting.filter(({ method }) => /separate|cross/.test(method.id));
    return fc
      .tuple(fractionProblems(first!.method), chosen)
      .map(([problem, methods]) => ({ problem, chosen: methods }));
  });
}

/** Problems that a method accepts; operands are turned or left out until it does. */
export function problemsFor(method: Method, most = 5): fc.Arbitrary<Problem> {
  const kind = kindOf(method);
  switch (kind) {
    case 'fractions':
      return fractionProblems(method);
    case 'fraction products':
      return fractionFactors().filter((problem) => method.accepts(problem).ok);
    case 'fraction quotients':
      return fractionShares();
    case 'letter sums':
      return letterSums();
    case 'letter products':
      return letterProducts().filter((problem) => method.accepts(problem).ok);
    case 'root':
      return roots(most).filter((problem) => method.accepts(problem).ok);
    default:
      return figureProblems(kind, most).map((problem) => accepted(method, problem));
  }
}

function figureProblems(kind: FigureKind, most: number): fc.Arbitrary<Problem> {
  const whole = ofKind(kind, most);
  return fc.oneof(
    { weight: 3, arbitrary: whole },
    { weight: 1, arbitrary: whole.chain(pointed) },
    ...(kind === 'product' ? [{ weight: 1, arbitrary: factors(Math.min(most, 3)) }] : []),
  );
}

/** A number with letters, now and then a fraction of them, mostly of one letter. */
const letterTerm: fc.Arbitrary<Exact> = fc
  .tuple(
    fc.integer({ min: 1, max: 9 }),
    fc.boolean(),
    fc.constantFrom(1, 1, 1, 1, 2, 3),
    fc.constantFrom('', '', 'x', 'x', 'x^2', 'x^3', 'y', 'xy'),
  )
  .map(([count, isNegative, bottom, letters]) =>
    Exact.of(isNegative ? -count : count, bottom).times(
      Exact.parse(letters === '' ? '1' : letters),
    ),
  );

function bracket(least: number, most: number): fc.Arbitrary<Numeral> {
  return fc
    .tuple(fc.array(letterTerm, { minLength: least, maxLength: most }), fc.nat({ max: 1 }))
    .map(([list]) => termsNumeral(list));
}

/** Sums, differences and strings of terms and brackets with letters, some of them taken away. */
export function letterSums(): fc.Arbitrary<Problem> {
  const pair = fc.tuple(bracket(1, 4), bracket(1, 4));
  const taken = fc
    .tuple(bracket(2, 4), fc.boolean())
    .map(([{ terms }, isTaken]) => termsNumeral(terms!.list, isTaken));
  return fc
    .oneof(
      pair.map((two) => makeProblem('difference', two)),
      fc.array(taken, { minLength: 2, maxLength: 3 }).map(sumOfBrackets),
      fc.array(letterTerm, { minLength: 2, maxLength: 7 }).map((terms) =>
        makeProblem(
          'sum',
          terms.map((term) => termsNumeral([term])),
        ),
      ),
    )
    .filter(({ operands }) => operands.some((operand) => !plainNumbers(operand)));
}

/** Two brackets of which only the second is taken away are a difference. */
function sumOfBrackets(all: readonly Numeral[]): Problem {
  const [first, second] = all;
  const isDifference = all.length === 2 && second!.terms!.taken && !first!.terms!.taken;
  return makeProblem(
    isDifference ? 'difference' : 'sum',
    isDifference ? [first!, termsNumeral(second!.terms!.list)] : all,
  );
}

function plainNumbers({ terms }: Numeral): boolean {
  return terms!.list.every(({ isConstant }) => isConstant);
}

/** Two and three brackets of letters, mostly of two terms. */
export function letterProducts(): fc.Arbitrary<Problem> {
  const two = bracket(2, 2);
  return fc
    .oneof(
      { weight: 3, arbitrary: fc.tuple(two, two).map((all): Numeral[] => all) },
      { weight: 2, arbitrary: fc.tuple(two, two, bracket(1, 3)).map((all): Numeral[] => all) },
      { weight: 2, arbitrary: fc.tuple(bracket(1, 4), bracket(2, 3)).map((all): Numeral[] => all) },
    )
    .map((operands) => makeProblem('product', operands))
    .filter(({ operands }) => operands.some((operand) => !plainNumbers(operand)));
}

/** Numbers under a root: squares and others, with zeros inside, now and then with a point. */
export function roots(most: number): fc.Arbitrary<Problem> {
  const number = someBase.chain((b) =>
    fc.tuple(wholeNumeral(b, most), fc.constantFrom(true, true, false), fc.nat({ max: 3 })),
  );
  return number
    .map(([of, isSquare, decimals]) => {
      const value = integerOf(of);
      const radicand = numeralOf(isSquare ? value * value : value, of.base);
      return isSquare && decimals < 3 ? radicand : withPoint(radicand, decimals);
    })
    .map((radicand) => makeProblem('root', [radicand]));
}

/** Sums and differences of fractions or mixed numbers that a method accepts. */
export function fractionProblems(method: Method): fc.Arbitrary<Problem> {
  const wholes = /mixed/.test(method.id);
  const operand = mixedNumber(wholes);
  const addends = fc.array(operand, { minLength: 2, maxLength: 3 });
  const sum = addends.map((operands) => makeProblem('sum', operands));
  const pair = fc.tuple(operand, operand);
  const difference = pair.map((operands) => makeProblem('difference', operands));
  return fc
    .oneof(sum, difference)
    .map((problem) => accepted(method, problem))
    .filter((problem) => method.accepts(problem).ok);
}

type FigureKind = Exclude<ProblemKind, 'root' | 'expression'>;

function ofKind(kind: FigureKind, most: number): fc.Arbitrary<Problem> {
  switch (kind) {
    case 'product':
      return products(most);
    case 'sum':
      return sums(most);
    case 'difference':
      return differences(most);
    case 'quotient':
      return quotients(most);
  }
}

/** Strings of three and four factors, now and then with a point in one of them. */
export function factors(most: number): fc.Arbitrary<Problem> {
  return fc.tuple(someBase, fc.integer({ min: 3, max: 4 }), fc.boolean()).chain(([b, n, point]) => {
    const whole = fc.array(wholeNumeral(b, most), { minLength: n, maxLength: n });
    const made = whole.map((operands): Problem => productProblem(operands));
    return point ? made.chain(pointed) : made;
  });
}

/** The same figures with points put into some of the numbers, unequal counts after them likely. */
export function pointed(problem: Problem): fc.Arbitrary<Problem> {
  const counts = problem.operands.map(() => fc.integer({ min: 0, max: 3 }));
  return fc.tuple(...counts).map((decimals) =>
    makeProblem(
      problem.kind,
      problem.operands.map((operand, k) => withPoint(operand, decimals[k]!)),
    ),
  );
}

function withPoint({ digits, base }: Numeral, decimals: number): Numeral {
  const short = Math.max(0, decimals + 1 - digits.length);
  return { digits: [...digits, ...Array<number>(short).fill(0)], base, decimals };
}

/** The problem, or the nearest one of the same numbers that the method accepts. */
export function accepted(method: Method, problem: Problem): Problem {
  const isOne = problem.kind === 'root' || problem.kind === 'expression';
  if (isOne || method.accepts(problem).ok || scriptOf(problem) === 'terms') {
    return problem;
  }
  const [first, second] = problem.operands;
  const two = makeProblem(problem.kind, [first, second]);
  return method.accepts(two).ok || problem.kind === 'quotient'
    ? two
    : makeProblem(problem.kind, [second, first]);
}

export interface MethodChoice {
  readonly method: Method;
  readonly school: School;
}

/** Above so many combinations of schools, only as many are tried as pair every option with every other. */
const ALL_COMBINATIONS = 24;

/** Every method with every combination of its schools; with every pair of options where those would be too many. */
export const everySchool: readonly MethodChoice[] = registry.methods.flatMap((method) => {
  const all = method.schools.reduce<School[]>(
    (made, { id, options }) =>
      made.flatMap((school) => options.map((option) => ({ ...school, [id]: option.id }))),
    [{}],
  );
  const tried = all.length > ALL_COMBINATIONS ? coveringPairs(all) : all;
  return tried.map((school) => ({ method, school }));
});

/** Few of the schools in which every two options meet that can meet; greedily, the richest first. */
function coveringPairs(all: readonly School[]): readonly School[] {
  const pairs = (school: School) => {
    const options = Object.entries(school).map(([id, option]) => `${id}=${option}`);
    return options.flatMap((one, k) => options.slice(k + 1).map((other) => `${one} ${other}`));
  };
  const open = new Set(all.flatMap(pairs));
  const chosen: School[] = [];
  while (open.size > 0) {
    const news = all.map((school) => pairs(school).filter((pair) => open.has(pair)).length);
    const best = all[news.indexOf(Math.max(...news))]!;
    chosen.push(best);
    for (const pair of pairs(best)) open.delete(pair);
  }
  return chosen;
}

/** A problem of some kind with two to four methods that work it, each with a school. */
export function comparisons(
  most = 4,
): fc.Arbitrary<{ readonly problem: Problem; readonly chosen: readonly MethodChoice[] }> {
  const kinds = Object.keys(SAMPLES) as SampleKind[];
  return fc.constantFrom(...kinds).chain((kind) => {
    const own = everySchool.filter(({ method }) => kindOf(method) === kind);
    if (kind === 'fractions') return fractionComparisons(own);
    const chosen = fc.uniqueArray(fc.constantFrom(...own), { minLength: 2, maxLength: 4 });
    return fc
      .tuple<[Problem, MethodChoice[]]>(comparable(kind, most), chosen)
      .map(([problem, methods]) => ({
        problem: methods.reduce((so, { method }) => accepted(method, so), problem),
        chosen: methods,
      }));
  });
}

/** Problems that all methods of a kind take. */
function comparable(kind: Exclude<SampleKind, 'fractions'>, most: number): fc.Arbitrary<Problem> {
  const all = registry.methods.filter((method) => kindOf(method) === kind);
  const isTaken = (problem: Problem) => all.every((method) => method.accepts(problem).ok);
  switch (kind) {
    case 'fraction products':
      return fractionFactors().filter(isTaken);
    case 'fraction quotients':
      return fractionShares();
    case 'letter sums':
      return letterSums();
    case 'letter products':
      return letterProducts().filter(isTaken);
    case 'root':
      return roots(most).filter(isTaken);
    default: {
      const whole = ofKind(kind, most);
      return fc.oneof(
        { weight: 3, arbitrary: whole },
        { weight: 1, arbitrary: whole.chain(pointed) },
      );
    }
  }
}

/** A readable name for a method choice, for test titles. */
export function choiceName({ method, school }: MethodChoice): string {
  return `${method.id} [${Object.values(school).join(', ')}]`;
}

export function deepFreeze<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    Object.values(value).forEach(deepFreeze);
  }
  return value;
}
