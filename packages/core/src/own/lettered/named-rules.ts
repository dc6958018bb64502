import { Exact } from '../../exact/exact.ts';
import { numeralFor } from '../../exact/numeral.ts';
import { places, powerOfTen, TEN, TWO } from '../ways/draft-text.ts';

/** How a number of a way comes from one or two others, where no sum or product says it. */
export interface NamedRule {
  readonly id: string;
  /** How many numbers it is told of. */
  readonly takes: 1 | 2;
  /** How far-fetched it is beside others that fit, where 0 is as most are. */
  readonly guess: number;
  /** Whether only what stands above a bar, or below one, is guessed to come from it. */
  readonly only?: 'above' | 'below';
  /** Whether it lies above the number that it comes from, or that number must be even. */
  readonly lies?: 'above';
  readonly needs?: 'even';
  /** Null where these numbers have none. */
  readonly of: (...given: readonly Exact[]) => Exact | null;
  /** In words, for letters or numbers. */
  readonly says: (...given: readonly string[]) => string;
}

/** The largest first: what is up to the next hundred is often up to the next ten, too. */
const UNITS = [
  ['thousand', 3],
  ['hundred', 2],
  ['ten', 1],
  ['one', 0],
  ['tenth', -1],
] as const;

/** Every rule, in the order in which they are thought of first. */
export const NAMED_RULES: readonly NamedRule[] = [
  {
    id: 'largest-place',
    takes: 1,
    guess: 0,
    of: (x) => (isAbove(x) && numeralFor(x, 10) ? (places(x)[0] ?? null) : null),
    says: (x) => `the largest place of ${x}`,
  },
  ...UNITS.map(([unit, place]) =>
    lyingAbove(rounding(`up-to-${unit}`, 0, place, up, (x) => `${x} up to the next ${unit}`)),
  ),
  ...UNITS.map(([unit, place]) =>
    rounding(`${unit}s-of`, 1.2, place, figureAt, (x) => `the ${unit}s of ${x}`),
  ),
  {
    id: 'nines-below',
    takes: 1,
    guess: 0,
    of: (x) => (isAbove(x) ? ninesBelow(x) : null),
    says: (x) => `the nines below ${x}`,
  },
  {
    id: 'up-to-round',
    takes: 1,
    guess: 0,
    lies: 'above',
    of: (x) => (isAbove(x) ? up(x, topUnit(x)) : null),
    says: (x) => `${x} up to the next number with one figure and zeros`,
  },
  ...UNITS.map(([unit, place]) =>
    rounding(`to-${unit}`, 1, place, missing, (x) => `what ${x} lacks to the next ${unit}`),
  ),
  ...UNITS.map(([unit, place]) =>
    rounding(`down-to-${unit}`, 0, place, down, (x) => `${x} down to the last ${unit}`),
  ),
  ...UNITS.map(([unit, place]) =>
    rounding(`over-${unit}`, 1.5, place, over, (x) => `what ${x} has over the last ${unit}`),
  ),
  ...UNITS.map(([unit, place]) =>
    rounding(`nearest-${unit}`, 0, place, nearest, (x) => `the nearest ${unit} to ${x}`),
  ),
  {
    id: 'half',
    takes: 1,
    guess: 0,
    needs: 'even',
    of: (x) => x.dividedBy(TWO),
    says: (x) => `half of ${x}`,
  },
  { id: 'double', takes: 1, guess: 0, of: (x) => x.times(TWO), says: (x) => `the double of ${x}` },
  {
    id: 'middle',
    takes: 2,
    guess: -1,
    of: (x, y) => x.plus(y).dividedBy(TWO),
    says: (x, y) => `halfway between ${x} and ${y}`,
  },
  {
    id: 'least-common-multiple',
    takes: 2,
    guess: -3,
    only: 'below',
    of: (x, y) => wholes(x, y, (a, b) => (a / commonFactor(a, b)) * b),
    says: (x, y) => `the least common multiple of ${x} and ${y}`,
  },
  {
    id: 'greatest-common-factor',
    takes: 2,
    guess: 1,
    of: (x, y) => wholes(x, y, commonFactor),
    says: (x, y) => `the greatest common factor of ${x} and ${y}`,
  },
  {
    id: 'lowest-top',
    takes: 2,
    guess: -1,
    only: 'above',
    of: (x, y) => wholes(x, y, (a, b) => a / commonFactor(a, b)),
    says: (x, y) => `the top of ${x}/${y} in lowest terms`,
  },
  {
    id: 'lowest-bottom',
    takes: 2,
    guess: -1,
    only: 'below',
    of: (x, y) => wholes(x, y, (a, b) => b / commonFactor(a, b)),
    says: (x, y) => `the bottom of ${x}/${y} in lowest terms`,
  },
  {
    id: 'whole-part',
    takes: 2,
    guess: 1,
    of: (x, y) => wholes(x, y, (a, b) => a / b),
    says: (x, y) => `how often ${y} goes into ${x}`,
  },
  {
    id: 'rest',
    takes: 2,
    guess: 1,
    of: (x, y) => wholes(x, y, (a, b) => a % b),
    says: (x, y) => `what is left of ${x} in parts of ${y}`,
  },
];

export function namedRule(id: string): NamedRule | undefined {
  return NAMED_RULES.find((rule) => rule.id === id);
}

/** A round number that is more than twice as large is no number near by. */
export function isFarUp({ lies }: NamedRule, own: Exact, value: Exact): boolean {
  if (lies !== 'above' || !own.isConstant) return false;
  return value.compare(own.times(TWO)) > 0;
}

function lyingAbove(rule: NamedRule): NamedRule {
  return { ...rule, lies: 'above' };
}

function rounding(
  id: string,
  guess: number,
  place: number,
  of: (x: Exact, unit: Exact) => Exact,
  says: (x: string) => string,
): NamedRule {
  const unit = powerOfTen(place);
  return {
    id,
    takes: 1,
    guess,
    of: (x) => (x.isConstant ? of(x, unit) : null),
    says: (x) => says(x),
  };
}

function isAbove(x: Exact | undefined): boolean {
  return x !== undefined && x.isConstant && x.compare(Exact.ZERO) > 0;
}

/** One of the place of the first figure. */
function topUnit(x: Exact): Exact {
  let unit = Exact.ONE;
  while (unit.times(TEN).compare(x) <= 0) unit = unit.times(TEN);
  while (unit.compare(x) > 0) unit = unit.dividedBy(TEN);
  return unit;
}

function down(x: Exact, unit: Exact): Exact {
  const { numerator, denominator } = x.dividedBy(unit);
  const whole = numerator / denominator;
  const isBelow = numerator < 0n && whole * denominator !== numerator;
  return unit.times(Exact.of(isBelow ? whole - 1n : whole));
}

/** The same number where it is such a multiple already. */
function up(x: Exact, unit: Exact): Exact {
  return down(x.negate(), unit).negate();
}

function missing(x: Exact, unit: Exact): Exact {
  return up(x, unit).minus(x);
}

function over(x: Exact, unit: Exact): Exact {
  return x.minus(down(x, unit));
}

/** 999 of 1003: the largest number of nines alone below a number of at least two figures. */
function ninesBelow(x: Exact): Exact | null {
  let nines = Exact.of(9);
  if (nines.compare(x) >= 0) return null;
  for (;;) {
    const next = nines.times(TEN).plus(Exact.of(9));
    if (next.compare(x) >= 0) return nines;
    nines = next;
  }
}

/** What the figure of a place is worth. */
function figureAt(x: Exact, unit: Exact): Exact {
  return down(x, unit).minus(down(x, unit.times(TEN)));
}

function nearest(x: Exact, unit: Exact): Exact {
  return down(x.plus(unit.dividedBy(TWO)), unit);
}

function wholes(
  x: Exact | undefined,
  y: Exact | undefined,
  make: (a: bigint, b: bigint) => bigint,
): Exact | null {
  if (!x?.isWhole || !y?.isWhole || !isAbove(x) || !isAbove(y)) return null;
  return Exact.of(make(x.numerator, y.numerator));
}

function commonFactor(a: bigint, b: bigint): bigint {
  return b === 0n ? a : commonFactor(b, a % b);
}
