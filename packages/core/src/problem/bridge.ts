import { Exact } from '../exact/exact.ts';
import { digitAt, numeralOf, numeralValue, termsNumeral, type Numeral } from '../exact/numeral.ts';
import { makeProblem, problemText, readProblem, type Problem } from './problem.ts';
import { scriptOf } from './script.ts';

/** The letter that stands for the base. */
const LETTER = 'x';

/**
 * A product of whole numbers read as a product of brackets in powers of their base: 46 × 58 as
 * (4x + 6)(5x + 8), where x stands for ten. Null for everything else, and where no bracket has two terms.
 */
export function asBrackets(problem: Problem): Problem | null {
  const { kind, operands } = problem;
  const isWhole = operands.every(
    ({ decimals, fraction, terms }) => decimals === 0 && !fraction && !terms,
  );
  if (kind !== 'product' || !isWhole) return null;
  const brackets = operands.map(bracketOf);
  if (brackets.includes(null)) return null;
  const read = makeProblem(kind, brackets as Numeral[]);
  return survives(read) ? read : null;
}

function bracketOf({ digits }: Numeral): Numeral | null {
  const list = digits
    .flatMap((digit, place) =>
      digit === 0 ? [] : [Exact.of(digit).times(Exact.letter(LETTER).power(place))],
    )
    .reverse();
  return list.length === 0 ? null : termsNumeral(list);
}

/** Whether the problem language tells the same problem: terms alone side by side would become one term. */
function survives(problem: Problem): boolean {
  const read = readProblem(problemText(problem));
  return (
    read.ok &&
    problemText(read.problem) === problemText(problem) &&
    scriptOf(read.problem) === 'terms'
  );
}

/**
 * The other way: brackets in powers of one letter read as numbers of a base. Null where a number before the
 * letter is no figure of the base, where a power comes twice, or where there are several letters.
 */
export function asFigures({ kind, operands }: Problem, base = 10): Problem | null {
  if (kind !== 'product') return null;
  const numbers = operands.map((operand) => numberOf(operand, base));
  if (numbers.includes(null)) return null;
  const letters = new Set(operands.flatMap((operand) => numeralValue(operand).names));
  return letters.size === 1 ? makeProblem(kind, numbers as Numeral[]) : null;
}

function numberOf({ terms }: Numeral, base: number): Numeral | null {
  if (!terms) return null;
  const isFigure = (count: Exact) =>
    count.isWhole && count.numerator > 0n && count.numerator < BigInt(base);
  if (terms.list.some(({ coefficient }) => !isFigure(coefficient))) return null;
  if (new Set(terms.list.map(({ letters }) => letters)).size < terms.list.length) return null;
  const values = new Map(Exact.sum(terms.list).names.map((letter) => [letter, Exact.of(base)]));
  return numeralOf(Exact.sum(terms.list).at(values).numerator, base);
}

/** The letter in which a product is read or can be read: its own, or x for one of numbers. */
export function bridgeLetter({ operands }: Problem): string {
  return operands.flatMap((operand) => numeralValue(operand).names)[0] ?? LETTER;
}

/** One place of a product with what it gathers, without carrying and with it. */
export interface BridgeRow {
  /** The place, which is the power of the letter. */
  readonly place: number;
  /** The pairs of figures whose places add to it, as they are multiplied. */
  readonly pairs: readonly (readonly [first: number, second: number])[];
  /** What they make together: the number before that power of the letter. */
  readonly total: number;
  /** What comes from the place below, the figure that is written, and what goes on. */
  readonly carried: number;
  readonly figure: number;
  readonly goesOn: number;
}

/**
 * A product of two whole numbers place by place: without carrying the totals are the numbers before the powers
 * of the letter; with carrying they become figures. From the ones up, until nothing goes on.
 */
export function bridgeRows({ operands, base }: Problem): readonly BridgeRow[] {
  const [first, second] = operands;
  if (!first || !second || operands.length !== 2) return [];
  const top = first.digits.length + second.digits.length - 2;
  const rows: BridgeRow[] = [];
  let carried = 0;
  for (let place = 0; place <= top || carried > 0; place++) {
    const pairs = first.digits.flatMap((a, i) => {
      const b = digitAt(second, place - i);
      return i <= place && a > 0 && b > 0 ? [[a, b] as const] : [];
    });
    const total = pairs.reduce((sum, [a, b]) => sum + a * b, 0);
    const all = total + carried;
    const [figure, goesOn] = [all % base, Math.floor(all / base)];
    rows.push({ place, pairs, total, carried, figure, goesOn });
    carried = goesOn;
  }
  return rows;
}
