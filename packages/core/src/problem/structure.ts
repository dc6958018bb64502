import type { Finding } from './structure-text.ts';
import { isTaken } from './problem.ts';
import { Exact } from '../exact/exact.ts';
import { gcd } from '../exact/rational.ts';
import {
  digitAt,
  numeralValue,
  partValue,
  placeValue,
  withoutPoint,
  type Numeral,
} from '../exact/numeral.ts';
import { wholeRoot } from '../exact/whole-root.ts';
import type { Problem, QuotientProblem, RootProblem } from './problem.ts';
import { scriptOf } from './script.ts';
import { scaleOf } from './scale.ts';

/** How hard a problem is by its structure, from 0 to 3. Size alone is no measure. */
export interface Structure {
  readonly level: 0 | 1 | 2 | 3;
  /** Places in which something passes ten or falls short, smallest first. */
  readonly places: readonly number[];
  readonly finding: Finding;
}

/**
 * Judges a problem before it is worked. A sum by its place totals and their carries, a product by its
 * digit products and the totals of places, a difference by the places that are too small, a quotient by
 * what is left of its places. Points do not matter: 3.6 × 20.5 is as hard as 36 × 205.
 */
export function structureOf(asked: Problem): Structure {
  if (asked.kind === 'expression') return NO_METHOD;
  switch (scriptOf(asked)) {
    case 'fractions':
      return byParts(asked);
    case 'terms':
      return byTerms(asked);
    case 'figures':
      return byFigures(asked);
  }
}

const NO_METHOD: Structure = { level: 0, places: [], finding: 'own-way-only' };

function byFigures(asked: Problem): Structure {
  const problem = scaleOf(asked)?.whole ?? asked;
  switch (problem.kind) {
    case 'sum':
      return bySums(sumTotals(problem.operands), problem.base);
    case 'product':
      return byProducts(problem.operands, problem.base);
    case 'difference':
      return byShortPlaces(...problem.operands);
    case 'quotient':
      return byRemainders(problem);
    case 'root':
      return byPairs(problem);
    case 'expression':
      return NO_METHOD;
  }
}

/** Expressions by the minuses that meet, what cancels, and how many products there are. */
function byTerms(problem: Problem): Structure {
  const { kind, operands } = problem;
  const lists = operands.map(({ terms }) => terms!.list);
  const minuses = lists.map((list) => list.filter(isBelowZero).length);
  if (kind === 'product') {
    if (operands.length > 2) return { level: 3, places: [], finding: 'three-brackets-and-more' };
    const meet = minuses.every((count) => count > 0);
    if (meet) return { level: 2, places: [], finding: 'minus-meets-minus' };
    return minuses.some((count) => count > 0)
      ? { level: 1, places: [], finding: 'a-minus-travels-with-its-term' }
      : { level: 0, places: [], finding: 'only-pluses' };
  }
  const taken = operands.filter((_, k) => isTaken(problem, k));
  if (taken.some(({ terms }) => terms!.list.some(isBelowZero))) {
    return { level: 3, places: [], finding: 'a-minus-before-a-minus' };
  }
  if (taken.some(({ terms }) => terms!.list.length > 1)) {
    return { level: 2, places: [], finding: 'a-bracket-is-taken-away' };
  }
  return minuses.some((count) => count > 0) || taken.length > 0
    ? { level: 1, places: [], finding: 'a-minus-travels-with-its-term' }
    : { level: 0, places: [], finding: 'only-pluses' };
}

function isBelowZero(term: Exact): boolean {
  return term.coefficient.isNegative;
}

/** Roots by their pairs, by zeros in them, and whether they come out. */
function byPairs({ operands: [radicand], base }: RootProblem): Structure {
  const pairs = Math.ceil(radicand.decimals / 2);
  const whole = numeralValue(radicand).times(placeValue(base, 2 * pairs)).numerator;
  const root = wholeRoot(whole);
  const figures = root.toString(base);
  if (root * root !== whole) {
    return { level: 3, places: [], finding: 'the-root-does-not-come-out' };
  }
  if (/[^0]0+[^0]/.test(figures)) return { level: 2, places: [], finding: 'a-zero-in-the-root' };
  if (figures.length > 2) return { level: 2, places: [], finding: 'three-pairs-and-more' };
  return figures.length === 2
    ? { level: 1, places: [], finding: 'two-pairs' }
    : { level: 0, places: [], finding: 'one-pair' };
}

/** Products of fractions by what must be written otherwise first, and what can be cancelled. */
function byFactors(operands: readonly Numeral[]): Structure {
  if (operands.some(({ digits, fraction }) => fraction && digits.some((digit) => digit > 0)))
    return { level: 2, places: [], finding: 'mixed-numbers-become-parts' };
  const whole = ({ digits, base, decimals }: Numeral) => numeralValue({ digits, base, decimals });
  const tops = operands.map((own) => (own.fraction ? numeralValue(own.fraction.top) : whole(own)));
  const bottoms = operands.map(({ fraction }) =>
    fraction ? numeralValue(fraction.bottom) : Exact.ONE,
  );
  const isCommon = tops.some((top) =>
    bottoms.some((bottom) => gcd(top.numerator, bottom.numerator) > 1n && !top.isZero),
  );
  return isCommon
    ? { level: 1, places: [], finding: 'a-factor-can-be-cancelled' }
    : { level: 0, places: [], finding: 'nothing-can-be-cancelled' };
}

/** Fractions by how their denominators lie to each other, and whether a whole is needed. */
function byParts({ kind, operands }: Problem): Structure {
  if (kind === 'product') return byFactors(operands);
  const [first, second] = operands;
  const part = ({ fraction }: Numeral) => (fraction ? partValue(fraction) : Exact.ZERO);
  const wholes = operands.some(({ digits }) => digits.some((digit) => digit > 0));
  if (kind === 'difference' && wholes && part(first).compare(part(second!)) < 0) {
    return { level: 3, places: [], finding: 'a-whole-must-be-opened' };
  }
  const bottoms = [
    ...new Set(
      operands.flatMap(({ fraction }) => (fraction ? numeralValue(fraction.bottom).numerator : [])),
    ),
  ];
  const largest = bottoms.reduce((most, bottom) => (bottom > most ? bottom : most), 1n);
  if (bottoms.length <= 1) {
    const isOver = kind === 'sum' && Exact.sum(operands.map(part)).compare(Exact.ONE) > 0;
    return isOver
      ? { level: 1, places: [], finding: 'the-parts-overfill-a-whole' }
      : { level: 0, places: [], finding: 'all-parts-are-alike' };
  }
  if (bottoms.every((bottom) => largest % bottom === 0n)) {
    return { level: 1, places: [], finding: 'one-denominator-holds-the-others' };
  }
  const shared = bottoms.some((a, k) => bottoms.slice(k + 1).some((b) => gcd(a, b) > 1n));
  return shared
    ? { level: 2, places: [], finding: 'denominators-with-a-common-factor' }
    : { level: 3, places: [], finding: 'denominators-without-a-common-factor' };
}

function sumTotals(operands: readonly Numeral[]): readonly number[] {
  const places = Math.max(...operands.map(({ digits }) => digits.length));
  return Array.from({ length: places }, (_, place) =>
    operands.reduce((total, operand) => total + digitAt(operand, place), 0),
  );
}

/** Follows the carries of place totals; the last place carries nothing, it is written whole. */
function bySums(totals: readonly number[], base: number): Structure {
  const places: number[] = [];
  let carry = 0;
  let most = 0;
  totals.forEach((total, place) => {
    carry = Math.floor((total + carry) / base);
    most = Math.max(most, carry);
    if (carry > 0) places.push(place);
  });
  return carriesFound(places, most, base);
}

function carriesFound(places: readonly number[], most: number, base: number): Structure {
  if (places.length === 0) return { level: 0, places, finding: 'no-place-reaches-ten' };
  if (most >= base) return { level: 3, places, finding: 'a-carry-above-nine' };
  return places.length === 1
    ? { level: 1, places, finding: 'one-carry' }
    : { level: 2, places, finding: 'several-carries' };
}

/** Digit products that reach ten carry within their line; place totals carry between lines. */
function byProducts(operands: readonly Numeral[], base: number): Structure {
  const [first, ...rest] = operands;
  if (operands.length === 2 && operands.every(({ digits }) => digits.length === 1)) {
    return { level: 0, places: [], finding: 'one-fact' };
  }
  const places = new Set<number>();
  let totals = [...first!.digits];
  let most = 0;
  for (const operand of rest) {
    const next = Array<number>(totals.length + operand.digits.length - 1).fill(0);
    totals.forEach((a, i) =>
      operand.digits.forEach((b, j) => {
        if (a * b >= base) places.add(i + j);
        next[i + j]! += a * b;
      }),
    );
    let carry = 0;
    totals = next.map((total, place) => {
      const all = total + carry;
      carry = Math.floor(all / base);
      most = Math.max(most, carry);
      if (carry > 0) places.add(place);
      return all % base;
    });
    if (carry > 0)
      totals.push(...[...carry.toString(base)].reverse().map((f) => parseInt(f, base)));
  }
  return carriesFound(
    [...places].sort((a, b) => a - b),
    most,
    base,
  );
}

function byShortPlaces(minuend: Numeral, subtrahend: Numeral): Structure {
  const places: number[] = [];
  let across = false;
  let taken = 0;
  minuend.digits.forEach((digit, place) => {
    const left = digit - taken - digitAt(subtrahend, place);
    const short = left < 0;
    if (short && digitAt(minuend, place + 1) === 0 && place + 1 < minuend.digits.length)
      across = true;
    taken = short ? 1 : 0;
    if (short) places.push(place);
  });
  if (numeralValue(minuend).compare(numeralValue(subtrahend)) < 0) {
    return { level: 3, places, finding: 'the-larger-is-taken-away' };
  }
  if (places.length === 0) return { level: 0, places, finding: 'no-place-is-short' };
  if (across) return { level: 3, places, finding: 'short-across-a-zero' };
  return places.length === 1
    ? { level: 1, places, finding: 'one-place-is-short' }
    : { level: 2, places, finding: 'several-places-are-short' };
}

/** What is left of each place of the dividend as it is shared from the largest down. */
function byRemainders({ operands: [dividend, divisor], base }: QuotientProblem): Structure {
  const by = numeralValue(withoutPoint(divisor)).numerator;
  const several = withoutPoint(divisor).digits.filter((digit) => digit > 0).length > 1;
  const places: number[] = [];
  let rest = 0n;
  let filled = false;
  let zero = false;
  for (let index = dividend.digits.length - 1; index >= 0; index--) {
    const part = rest * BigInt(base) + BigInt(dividend.digits[index]!);
    rest = part % by;
    if (filled && part < by) zero = true;
    filled ||= part >= by;
    if (filled && rest > 0n && index > 0) places.unshift(index - dividend.decimals - 1);
  }
  if (several) return { level: 3, places, finding: 'a-divisor-of-several-figures' };
  if (zero) return { level: 3, places, finding: 'a-zero-in-the-quotient' };
  if (places.length === 0) {
    return rest === 0n
      ? { level: 0, places, finding: 'every-place-comes-out' }
      : { level: 1, places, finding: 'a-remainder-at-the-end' };
  }
  return places.length === 1
    ? { level: 1, places, finding: 'one-remainder-is-carried-on' }
    : { level: 2, places, finding: 'several-remainders-are-carried-on' };
}
