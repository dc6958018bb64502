import type { School } from '../../account/account.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue, placeValue, withoutPoint, type Numeral } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';

/** One figure of the quotient and how it comes about, counted in units of its place. */
export interface QuotientFigure {
  /** The place of the figure; tenths are −1. */
  readonly place: number;
  /** The figure of the dividend that joins here, and whether the dividend has one. */
  readonly digit: number;
  readonly given: boolean;
  /** What was left before it, what is shared now, what each gets, and what is left. */
  readonly before: bigint;
  readonly part: bigint;
  readonly quotient: number;
  readonly rest: bigint;
  /** Whether it would be a zero in front of the quotient. */
  readonly leading: boolean;
  /** Whether it is a second figure for the place of the one before, whose trial was too small. */
  readonly again: boolean;
}

/** What a learner does otherwise in finding figures, by their places. */
export interface Turns {
  /** What is left after the figure is forgotten. */
  readonly forgotten: ReadonlySet<number>;
  /** What is taken to be left after the figure. */
  readonly left: ReadonlyMap<number, bigint>;
  /** Nothing is brought down to what is left. */
  readonly idle: ReadonlySet<number>;
  /** The figure is one too small, and its remainder stays too large. */
  readonly low: ReadonlySet<number>;
  /** The figure is one too small, and what is left is divided again beside it. */
  readonly twice: ReadonlySet<number>;
}

const NONE: ReadonlySet<number> = new Set();
export const NO_TURNS: Turns = {
  forgotten: NONE,
  left: new Map(),
  idle: NONE,
  low: NONE,
  twice: NONE,
};

/** How the work ends: nothing left, something left, or figures that repeat. */
export type DivisionEnd = 'exact' | 'remainder' | 'repeats';

export interface DivisionPlan {
  readonly base: number;
  /** How many places both points are moved so that the divisor is whole. */
  readonly shift: number;
  /** The numbers that are worked with. */
  readonly dividend: Numeral;
  readonly divisor: Numeral;
  readonly by: bigint;
  /** The last place that may be worked. */
  readonly last: number;
  readonly figures: readonly QuotientFigure[];
  readonly end: DivisionEnd;
  /** The index of the first figure that repeats; null when none does. */
  readonly repeatsFrom: number | null;
}

/** The most figures after the point that are worked before a quotient is cut off. */
const MOST_DECIMALS = 240;

const CUT_AT: Readonly<Record<string, number>> = { tenths: 1, hundredths: 2, thousandths: 3 };

/** Plans the long work of a quotient, figure by figure, by the school that says where it stops. */
export function planDivision({ operands, base }: Problem, school: School): DivisionPlan {
  const [given, by] = operands as readonly [Numeral, Numeral];
  const shift = neededDecimals(by);
  const divisor = withoutPoint(moved(by, shift));
  const dividend = moved(given, shift);
  const last = lastPlace(operands, school);
  return planFigures({ base, shift, dividend, divisor }, last);
}

/** What a plan is made for. */
export type DivisionNumbers = Pick<DivisionPlan, 'base' | 'shift' | 'dividend' | 'divisor'>;

/** The figures down to a last place, or until nothing is left or, where no place was chosen, a remainder comes again. */
export function planFigures(
  numbers: DivisionNumbers,
  last: number,
  turns: Turns = NO_TURNS,
): DivisionPlan {
  const { base, dividend, divisor } = numbers;
  const by = numeralValue(divisor).numerator;
  const figures: QuotientFigure[] = [];
  const seen = new Map<bigint, number>();
  let rest = 0n;
  let repeatsFrom: number | null = null;
  let filled = false;
  const top = dividend.digits.length - 1 - dividend.decimals;
  for (let place = top; place >= last; place--) {
    const given = place >= -dividend.decimals;
    if (!given && rest === 0n) break;
    if (!given && last <= -MOST_DECIMALS) {
      repeatsFrom = seen.get(rest) ?? null;
      if (repeatsFrom !== null) break;
      seen.set(rest, figures.length);
    }
    const digit = given ? dividend.digits[place + dividend.decimals]! : 0;
    const before = turns.forgotten.has(place + 1) ? 0n : rest;
    for (const figure of figuresAt(place, { base, by, digit, before, turns })) {
      rest = figure.rest;
      filled ||= figure.quotient > 0;
      figures.push({ ...figure, digit, given, place, leading: !filled && place > 0 });
    }
  }
  const left = turns.forgotten.has(figures.at(-1)!.place) ? 0n : rest;
  const exact = left === 0n && restIsNothing(dividend, figures.at(-1)!.place);
  const end = repeatsFrom !== null ? 'repeats' : exact ? 'exact' : 'remainder';
  return { ...numbers, by, last, figures, end, repeatsFrom };
}

interface At {
  readonly base: number;
  readonly by: bigint;
  readonly digit: number;
  readonly before: bigint;
  readonly turns: Turns;
}

/** The figure of a place; two where the first trial was too small and what is left is divided again. */
function figuresAt(place: number, { base, by, digit, before, turns }: At) {
  const part = turns.idle.has(place) ? before : before * BigInt(base) + BigInt(digit);
  const isLow = turns.low.has(place) || turns.twice.has(place);
  const quotient = Number(part / by) - (isLow ? 1 : 0);
  const rest = turns.left.get(place) ?? part - BigInt(quotient) * by;
  const first = { before, part, quotient, rest, again: false };
  if (!turns.twice.has(place)) return [first];
  return [first, { before: rest, part: rest, quotient: 1, rest: rest - by, again: true }];
}

/** Each figure of the dividend divided with the divisor, the smaller into the larger, and what is left passed over. */
export function figureByFigure(plan: DivisionPlan): DivisionPlan {
  const { dividend, by } = plan;
  const figures = [...dividend.digits.entries()].reverse().map(([place, digit]): QuotientFigure => {
    const part = BigInt(digit);
    const quotient = digit === 0 ? 0 : Number(part < by ? by / part : part / by);
    const own = { place, digit, given: true, before: 0n, part, quotient, rest: 0n };
    return { ...own, leading: false, again: false };
  });
  return { ...plan, figures, end: 'exact', repeatsFrom: null };
}

/** What is left again when figures repeat, counted in the place it stands in now and in the one it stood in before. */
export type LeftAgain = {
  readonly block: string;
  readonly rest: Exact;
  readonly place: number;
  readonly before: number;
};

/** The figures that come again and what brings them; null where none do. */
export function leftAgain({ figures, repeatsFrom, base }: DivisionPlan): LeftAgain | null {
  if (repeatsFrom === null) return null;
  const block = figures.slice(repeatsFrom).map(({ quotient }) => quotient.toString(base));
  const { rest, place } = figures.at(-1)!;
  return {
    block: block.join('').toUpperCase(),
    rest: Exact.of(rest),
    place,
    before: figures[repeatsFrom]!.place + 1,
  };
}

/** Whether no figure other than zero of the dividend lies below a place. */
function restIsNothing({ digits, decimals }: Numeral, place: number): boolean {
  return digits.every((digit, index) => index - decimals >= place || digit === 0);
}

/** How many figures after the point a number really needs: 0.70 needs one. */
function neededDecimals({ digits, decimals }: Numeral): number {
  let zeros = 0;
  while (zeros < decimals && digits[zeros] === 0) zeros++;
  return decimals - zeros;
}

/** The number with its point moved to the right, zeros put in where it has no figures. */
function moved(number: Numeral, shift: number): Numeral {
  const short = Math.max(0, shift - number.decimals);
  const digits = [...Array<number>(short).fill(0), ...number.digits];
  const decimals = Math.max(0, number.decimals - shift);
  const spare = Math.max(0, decimals - neededDecimals({ ...number, digits, decimals }));
  const kept = digits.slice(spare);
  let end = kept.length;
  while (end > decimals - spare + 1 && kept[end - 1] === 0) end--;
  return { ...number, digits: kept.slice(0, end), decimals: decimals - spare };
}

/** The last place that may be worked: the ones for a remainder, a chosen one, or far after the point. */
function lastPlace(operands: readonly Numeral[], school: School): number {
  const stop = school['stop'] ?? 'by-the-numbers';
  const cut = CUT_AT[stop];
  if (cut !== undefined) return -cut;
  const whole = operands.every(({ decimals }) => decimals === 0);
  return stop === 'remainder' || (stop === 'by-the-numbers' && whole) ? 0 : -MOST_DECIMALS;
}

/** What one of a place of the work is worth in the dividend as it was given. */
export function unitOf({ base, shift }: DivisionPlan, place: number): Exact {
  return placeValue(base, place - shift);
}
