import { where, type Where } from '../account/chance.ts';
import { Exact } from '../exact/exact.ts';
import { numeralValue, type Numeral } from '../exact/numeral.ts';
import { makeProblem, type Problem } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';

/** A number of the question copied or set down wrongly, and the computation that is worked instead. */
export interface WrongCopy {
  readonly slip: string;
  readonly at: Where;
  readonly problem: Problem;
}

/** Figures that are taken for each other. */
const LOOK_ALIKES: readonly (readonly [number, number])[] = [
  [1, 7],
  [3, 8],
  [6, 9],
  [0, 6],
];

/** Every way in which one number of a computation in figures is commonly copied or set down wrongly; none for fractions and letters. */
export function wrongCopies(problem: Problem): readonly WrongCopy[] {
  if (scriptOf(problem) !== 'figures' || problem.kind === 'expression') return [];
  return [...wrongSettings(problem), ...miscopied(problem)];
}

function miscopied(problem: Problem): readonly WrongCopy[] {
  return problem.operands.flatMap((number, operand) => {
    const above = problem.operands[operand - 1];
    return copiesOf(number, above).flatMap(({ slip, place, digits }) => {
      if (digits.length > 1 && digits.at(-1) === 0) return [];
      // Nobody works a quotient by 0.
      const isDivisor = problem.kind === 'quotient' && operand === 1;
      if (isDivisor && digits.every((digit) => digit === 0)) return [];
      const operands = problem.operands.map((own, k) => (k === operand ? { ...own, digits } : own));
      const at = where('operand', operand, place);
      return [{ slip, at, problem: makeProblem(problem.kind, operands) }];
    });
  });
}

/**
 * Numbers set down so that their figures are of other places: points that do not stand under each other, zeros on the wrong
 * side of a tail, a dividend made whole beside a divisor as it was, the pairs of a root ticked off from the left.
 */
function wrongSettings(problem: Problem): readonly WrongCopy[] {
  const { kind, operands } = problem;
  const instead = (slip: string, operand: number, number: Numeral): WrongCopy => ({
    slip,
    at: where('operand', operand),
    problem: makeProblem(
      kind,
      operands.map((own, k) => (k === operand ? number : own)),
    ),
  });
  if (kind === 'root') {
    const [{ digits, decimals }] = operands;
    if (decimals > 0 || digits.length < 3 || digits.length % 2 === 0) return [];
    // The last figure is left alone, and a zero fills its pair: 4|16 becomes 41|60.
    return [instead('pairs-from-wrong-end', 0, { ...operands[0], digits: [0, ...digits] })];
  }
  if (kind === 'quotient') {
    const [dividend, divisor] = operands;
    const made = shifted(dividend, neededDecimals(divisor));
    return neededDecimals(divisor) > 0 && !numeralValue(dividend).isZero
      ? [instead('scale-dividend-only', 0, made)]
      : [];
  }
  if (kind !== 'sum' && kind !== 'difference') return [];
  const most = Math.max(...operands.map(({ decimals }) => decimals));
  return operands.flatMap((number, operand) => {
    const short = most - number.decimals;
    if (short === 0 || numeralValue(number).isZero) return [];
    const moved = shifted(number, -short);
    const filled = { ...number, digits: behindPoint(number, short), decimals: most };
    const hasTail = number.digits.slice(0, number.decimals).some((digit) => digit > 0);
    return [
      instead('points-misaligned', operand, moved),
      ...(hasTail ? [instead('zeros-on-wrong-side', operand, filled)] : []),
    ].filter((copy) => kind === 'sum' || isLawful(copy.problem));
  });
}

/** Whether nothing larger is taken from something smaller. */
function isLawful({ operands }: Problem): boolean {
  const [from, ...others] = operands.map(numeralValue) as [Exact, ...Exact[]];
  return !from.minus(Exact.sum(others)).isNegative;
}

/** How many figures after the point a number really has: 0.70 has one. */
function neededDecimals({ digits, decimals }: Numeral): number {
  const zeros = digits.findIndex((digit) => digit !== 0);
  return Math.max(0, decimals - Math.max(0, zeros));
}

/** A number with its point so many places further to the right, or to the left where that is negative. */
function shifted(number: Numeral, places: number): Numeral {
  const decimals = number.decimals - places;
  const behind = Array<number>(Math.max(0, -decimals)).fill(0);
  const front = Array<number>(Math.max(0, decimals + 1 - number.digits.length)).fill(0);
  const digits = [...behind, ...number.digits, ...front];
  let end = digits.length;
  while (end > Math.max(decimals, 0) + 1 && digits[end - 1] === 0) end--;
  return { ...number, digits: digits.slice(0, end), decimals: Math.max(0, decimals) };
}

/** The figures of a number with so many zeros right behind its point. */
function behindPoint({ digits, decimals }: Numeral, zeros: number): readonly number[] {
  return [...digits.slice(0, decimals), ...Array<number>(zeros).fill(0), ...digits.slice(decimals)];
}

/** Whether a slip is one of copying or setting down a number, so that another computation is worked. */
export function isWrongCopy(slip: string): boolean {
  return COPYING.has(slip);
}

const COPYING: ReadonlySet<string> = new Set([
  'points-misaligned',
  'zeros-on-wrong-side',
  'scale-dividend-only',
  'pairs-from-wrong-end',
  'neighbours-exchanged',
  'double-lost',
  'wrong-one-doubled',
  'look-alike',
  'from-the-line-above',
]);

interface Copy {
  readonly slip: string;
  readonly place: number;
  readonly digits: readonly number[];
}

function copiesOf({ digits, base }: Numeral, above: Numeral | undefined): readonly Copy[] {
  return digits.flatMap((digit, place): Copy[] => {
    const next = digits[place + 1];
    const like = LOOK_ALIKES.flatMap(([a, b]) => (digit === a ? [b] : digit === b ? [a] : []));
    const upper = above?.digits[place];
    return [
      ...(next !== undefined && next !== digit
        ? [{ slip: 'neighbours-exchanged', place, digits: put(digits, place, [next, digit]) }]
        : []),
      ...(next === digit ? doubled(digits, place) : []),
      ...like
        .filter((figure) => figure < base)
        .map((figure) => ({ slip: 'look-alike', place, digits: put(digits, place, [figure]) })),
      ...(upper !== undefined && upper !== digit
        ? [{ slip: 'from-the-line-above', place, digits: put(digits, place, [upper]) }]
        : []),
    ];
  });
}

/** One of a pair of equal figures lost, or its neighbour doubled instead. */
function doubled(digits: readonly number[], place: number): readonly Copy[] {
  const lost = digits.filter((_, k) => k !== place);
  const before = digits[place + 2];
  const after = digits[place - 1];
  const other = [
    ...(before === undefined ? [] : [put(digits, place + 1, [before])]),
    ...(after === undefined ? [] : [put(digits, place, [after])]),
  ];
  return [
    { slip: 'double-lost', place, digits: lost },
    ...other.map((made) => ({ slip: 'wrong-one-doubled', place, digits: made })),
  ];
}

function put(
  digits: readonly number[],
  from: number,
  figures: readonly number[],
): readonly number[] {
  return digits.map((digit, k) => figures[k - from] ?? digit);
}
