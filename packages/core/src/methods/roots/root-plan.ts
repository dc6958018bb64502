import type { School } from '../../account/account.ts';
import { digitAt, type Numeral } from '../../exact/numeral.ts';

/** A digit tried for the root: what it would take, and whether that fits. */
export interface Trial {
  readonly digit: number;
  /** What is put before the box: twice the root so far, without the digit itself; 0 for the first pair. */
  readonly doubled: bigint;
  readonly product: bigint;
  readonly fits: boolean;
}

/** One pair of figures with the digit of the root that it gives. Amounts are counted in the pair's last place. */
export interface RootDigit {
  /** The place of the root's digit; the pair stands in twice that place. */
  readonly place: number;
  /** The pair's own figures, and how many of them are written there. */
  readonly pair: bigint;
  /** Whether the pair belongs to the number as it is given, or is a pair of added zeros. */
  readonly given: boolean;
  /** What is there before the digit is found: what was left with this pair behind it. */
  readonly there: bigint;
  /** The root so far, without this digit. */
  readonly before: bigint;
  readonly digit: number;
  /** Whether a learner may go wrong here, and whether one does. */
  readonly mayBeWrong: boolean;
  readonly undoubled: boolean;
  readonly oneBox: boolean;
  /** Whether a smaller square can be taken than the greatest that fits, and whether it is. */
  readonly mayBeSmaller: boolean;
  readonly smaller: boolean;
  /** Whether one figure alone can be brought down with another outcome, and whether it is. */
  readonly mayBeShort: boolean;
  readonly oneFigure: boolean;
  /** What is taken away, and what is left. */
  readonly product: bigint;
  readonly left: bigint;
  readonly trials: readonly Trial[];
  /** How many digits are tried where the root is not doubled, and where the digit is put into one box alone. */
  readonly tried: { readonly undoubled: number; readonly oneBox: number };
}

export interface RootPlan {
  readonly base: number;
  readonly digits: readonly RootDigit[];
  /** The pairs of the number as it is given, from the left. */
  readonly pairs: readonly FigurePair[];
  /** How many pairs of the given number stand after the point. */
  readonly decimals: number;
}

/** Whether the learner slips at a place of the root. */
export type PlannedSlip = (
  slip: 'not-doubled' | 'one-box' | 'smaller-square-taken' | 'one-figure-down',
  place: number,
) => boolean;

const PLACES: Readonly<Record<string, number>> = {
  'whole-number': 0,
  'one-place': 1,
  'two-places': 2,
  'three-places': 3,
};

/**
 * Plans a root digit by digit. Pairs are ticked from the point; those of the number come first, then pairs of zeros,
 * down to the asked place, unless nothing is left before. Pairs below that place stay with what is left.
 */
export function planRoot(
  radicand: Numeral,
  school: School,
  slips: PlannedSlip = () => false,
): RootPlan {
  const { base } = radicand;
  const pairs = pairsOf(radicand);
  const asked = PLACES[school['stop'] ?? ''] ?? 0;
  const decimals = pairs.filter(({ place }) => place < 0).length;
  const digits: RootDigit[] = [];
  let [root, left] = [0n, 0n];
  for (let place = pairs[0]!.place; place >= -asked; place--) {
    const own = pairs.find((pair) => pair.place === place);
    const isOver = left === 0n && !own && place < 0;
    if (isOver) break;
    const digit = digitOf({ place, own, root, left, isFirst: digits.length === 0 }, radicand, {
      school,
      slips,
    });
    digits.push(digit);
    root = root * BigInt(base) + BigInt(digit.digit);
    left = digit.left;
  }
  return { base, digits, pairs, decimals };
}

/** A place of the root as the work comes to it. */
interface Coming {
  readonly place: number;
  readonly own: FigurePair | undefined;
  readonly root: bigint;
  readonly left: bigint;
  readonly isFirst: boolean;
}

/** One digit of a root, rightly or as a slip has it. */
function digitOf(
  { place, own, root, left, isFirst }: Coming,
  { base }: Numeral,
  { school, slips }: { readonly school: School; readonly slips: PlannedSlip },
): RootDigit {
  const pair = own?.value ?? 0n;
  const whole = left * BigInt(base) ** 2n + pair;
  const short = left * BigInt(base) + pair / BigInt(base);
  const mayBeShort = own !== undefined && !isFirst && short !== whole;
  const oneFigure = mayBeShort && slips('one-figure-down', place);
  const there = oneFigure ? short : whole;
  const mayBeWrong = root > 0n && largestDigit(productBy(root * 2n, base), there, base) > 0;
  const undoubled = mayBeWrong && slips('not-doubled', place);
  const oneBox = mayBeWrong && !undoubled && slips('one-box', place);
  const product = productBy(undoubled ? root : root * 2n, base, oneBox);
  const largest = largestDigit(product, there, base);
  const mayBeSmaller = isFirst && largest > 1;
  const smaller = mayBeSmaller && slips('smaller-square-taken', place);
  const digit = smaller ? largest - 1 : largest;
  const taken = product(digit);
  const doubled = (undoubled ? root : root * 2n) * BigInt(base);
  const tried = smaller ? [digit] : triedDigits(there, doubled, digit, base, school);
  const triedIf = (twice: bigint, inOneBox: boolean) => {
    const found = largestDigit(productBy(twice, base, inOneBox), there, base);
    return triedDigits(there, twice * BigInt(base), found, base, school).length;
  };
  const trials = tried.map((one): Trial => {
    const made = product(one);
    return { digit: one, doubled, product: made, fits: made <= there };
  });
  return {
    place,
    pair,
    given: own !== undefined,
    there,
    before: root,
    digit,
    trials,
    mayBeWrong,
    undoubled,
    oneBox,
    mayBeSmaller,
    smaller,
    mayBeShort,
    oneFigure,
    product: taken,
    left: there - taken,
    tried: { undoubled: triedIf(root, false), oneBox: triedIf(root * 2n, true) },
  };
}

/** Two figures of the number, named by the place of the root's digit. */
export interface FigurePair {
  readonly place: number;
  readonly value: bigint;
}

/** The pairs of a number from the left, each named by the place of the root's digit. */
function pairsOf(radicand: Numeral): readonly FigurePair[] {
  const { digits, decimals, base } = radicand;
  const whole = digits.length - decimals;
  const from = Math.ceil(whole / 2) - 1;
  const to = -Math.ceil(decimals / 2);
  return Array.from({ length: from - to + 1 }, (_, k): FigurePair => {
    const place = from - k;
    const at = 2 * place + decimals;
    const [high, low] = [at + 1, at].map((index) => (index < 0 ? 0 : digitAt(radicand, index)));
    return { place, value: BigInt(high! * base + low!) };
  });
}

/** What a digit takes: it goes behind the doubled root and is multiplied by all of it. */
function productBy(doubled: bigint, base: number, oneBox = false): (digit: number) => bigint {
  const front = doubled * BigInt(base);
  return (digit) => (front + (oneBox ? 0n : BigInt(digit))) * BigInt(digit);
}

function largestDigit(product: (digit: number) => bigint, there: bigint, base: number): number {
  let digit = 0;
  while (digit + 1 < base && product(digit + 1) <= there) digit++;
  return digit;
}

/**
 * The digits that are tried. Squares of single digits are known by heart, so that the first pair only needs the
 * one that fits and the one above. Then one after the other up to the first that is too large; or from the guess that
 * what is there gives when it is divided by the doubled root, down to the one that fits, with the one above.
 */
function triedDigits(
  there: bigint,
  doubled: bigint,
  digit: number,
  base: number,
  school: School,
): readonly number[] {
  const above = digit + 1 < base ? [digit + 1] : [];
  if (doubled === 0n) return digit === 0 ? above : [digit, ...above];
  if (school['trials'] === 'one-by-one') {
    const up = Array.from({ length: digit }, (_, k) => k + 1);
    return [...up, ...above];
  }
  const most = there / doubled;
  const guess = most >= BigInt(base) ? base - 1 : Number(most);
  const down = Array.from({ length: Math.max(0, guess - digit) }, (_, k) => guess - k);
  const first = down.length > 0 ? down : above;
  return digit === 0 ? first : [...first, digit];
}
