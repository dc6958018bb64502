import { isTaken } from '../../problem/problem.ts';
import { where } from '../../account/chance.ts';
import type { Entry, Mark, School } from '../../account/account.ts';
import type { Part } from '../../account/cut.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue, type Numeral } from '../../exact/numeral.ts';
import { gcd, lcm } from '../../exact/rational.ts';
import type { Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import type { Acceptance } from '../method-spec.ts';
import { primesOf } from '../shared/primes.ts';
import { kindRefused } from '../shared/sums.ts';
import { divisorsOf, fracText, magnitude, worthOf, type Frac } from './fraction.ts';
import { fractionPhrases } from './fraction-words.ts';
import { renamed as renamedAs } from './fraction-slips.ts';
import { TOPS_AND_BOTTOMS } from './schools.ts';

const { phrase } = fractionPhrases;

/** The largest common denominator that is worked. */
const MOST = 100_000n;

/** Accepts sums or differences with fractions in them, with or without whole numbers beside. */
export function acceptsFractions(wholes: 'no wholes' | 'some wholes', negative = true) {
  return (problem: Problem): Acceptance => {
    if (problem.kind !== 'sum' && problem.kind !== 'difference') return kindRefused(problem);
    if (scriptOf(problem) !== 'fractions') return { ok: false, reason: { code: 'no-fractions' } };
    const { operands } = problem;
    const mixed = operands.some((operand) => countOf(operand) > 0n);
    if (
      wholes === 'no wholes' &&
      operands.some((operand) => !operand.fraction || countOf(operand) > 0n)
    ) {
      return { ok: false, reason: { code: 'wholes-beside-parts' } };
    }
    if (wholes === 'some wholes' && !mixed) return { ok: false, reason: { code: 'no-wholes' } };
    const product = operands.reduce((so, operand) => so * (fracOf(operand)?.bottom ?? 1n), 1n);
    if (product > MOST) {
      return { ok: false, reason: { code: 'denominator-too-large', limit: Number(MOST) } };
    }
    const [first, second] = operands.map(numeralValue) as [Exact, Exact];
    return problem.kind === 'difference' && !negative && first.compare(second) < 0
      ? { ok: false, reason: { code: 'smaller-minus-larger' } }
      : { ok: true };
  };
}

/** The whole number of an operand. */
function countOf({ digits, base, decimals }: Numeral): bigint {
  return numeralValue({ digits, base, decimals }).numerator;
}

/** The fraction of an operand, where it has one. */
function fracOf({ fraction }: Numeral): Frac | null {
  if (!fraction) return null;
  const [top, bottom] = [fraction.top, fraction.bottom].map((one) => numeralValue(one).numerator);
  return { top: top!, bottom: bottom! };
}

/** An operand as it stands in the account. */
export interface Operand {
  readonly index: number;
  /** −1 for what is taken away. */
  readonly sign: bigint;
  readonly count: bigint;
  readonly whole: Entry | null;
  readonly frac: Frac | null;
  readonly part: Entry | null;
}

/** Where a paper writes: a row and a column of its table. */
export type Place = readonly [row: number, column: number];

export function spotAt([row, column]: Place) {
  return { area: 'table', row, column };
}

/** Opens the account: wholes and fractions of every operand are owed, and stand on the paper. */
export function openOperands(
  scribe: Scribe,
  problem: Problem,
  at: (operand: number) => { readonly whole: Place; readonly part: Place },
): readonly Operand[] {
  const cuts = problem.operands.map(cutOf);
  scribe.openSum(cuts);
  return problem.operands.map((operand, index): Operand => {
    const count = countOf(operand);
    const hasPart = operand.fraction !== undefined;
    const hasWhole = cuts[index]!.length > (hasPart ? 1 : 0);
    const { whole, part } = at(index);
    if (hasWhole) scribe.give(index, hasPart ? 1 : 0, 'operand part', spotAt(whole));
    if (hasPart) scribe.give(index, 0, 'operand part', spotAt(part));
    return {
      index,
      sign: isTaken(problem, index) ? -1n : 1n,
      count,
      whole: hasWhole ? scribe.owes(index, hasPart ? 1 : 0) : null,
      frac: fracOf(operand),
      part: hasPart ? scribe.owes(index, 0) : null,
    };
  });
}

/** The fraction first, then the whole number where there is one. */
function cutOf(operand: Numeral): readonly Part[] {
  const count = countOf(operand);
  const fraction = fracOf(operand);
  const part = fraction
    ? [{ worth: worthOf(fraction), text: fracText(fraction), place: undefined }]
    : [];
  const whole =
    count > 0n || !fraction ? [{ worth: Exact.of(count), text: `${count}`, place: undefined }] : [];
  return [...part, ...whole];
}

/** A number or fraction written whole. */
export function writing(role: Writing['role'], glyph: string, worth: Exact, at: Place): Writing {
  return { role, count: 0, place: 0, glyph, worth, spot: spotAt(at) };
}

/** A number at the side that is no amount of the account. */
export function sideNumber(glyph: string, at: Place): Writing {
  return { ...writing('side number', glyph.replaceAll('-', '−'), Exact.ZERO, at), from: [] };
}

/** A fraction of the account, with what it is written as. */
export interface Counted {
  readonly entry: Entry;
  readonly frac: Frac;
  readonly sign: bigint;
  readonly operand: number;
}

const LONGEST_LIST = 12n;

/** The multiples up to the common one; long lists leave their middle out. */
function multiples(bottom: bigint, common: bigint): string {
  const count = common / bottom;
  const upTo = (from: bigint, to: bigint) =>
    Array.from({ length: Number(to - from + 1n) }, (_, k) => `${bottom * (from + BigInt(k))}`);
  return count <= LONGEST_LIST
    ? upTo(1n, count).join(', ')
    : [...upTo(1n, 3n), '…', `${common}`].join(', ');
}

/** Finds a common denominator, where there is more than one; alike ones need no step. */
export function findCommon(
  scribe: Scribe,
  bottoms: readonly bigint[],
  school: School,
  at: { readonly list: (index: number) => Place; readonly common: Place },
): bigint {
  const common = bottoms.reduce(lcm);
  const unlike = [...new Set(bottoms)];
  if (unlike.length <= 1) return common;
  const byPrimes = school['find'] === 'primes';
  const list = (bottom: bigint) =>
    byPrimes ? primesOf(bottom).join(' · ') || '1' : multiples(bottom, common);
  scribe.step({
    law: 'evaluate',
    phase: { kind: 'find' },
    takes: [],
    writes: [
      ...unlike.map((bottom) => sideNumber(list(bottom), at.list(bottoms.indexOf(bottom)))),
      sideNumber(byPrimes ? `${primesOf(common).join(' · ')} = ${common}` : `${common}`, at.common),
    ],
    phrase: phrase('fraction.find', {
      bottoms: unlike.map(String),
      lists: unlike.map(list),
      common: `${common}`,
      by: byPrimes ? 'primes' : 'multiples',
    }),
  });
  return common;
}

/** Rewrites fractions over a common denominator; those that have it already stay. */
export function renameAll(
  scribe: Scribe,
  parts: readonly Counted[],
  common: bigint,
  at: { readonly factor: (operand: number) => Place; readonly renamed: (operand: number) => Place },
): readonly Counted[] {
  return parts.map((part) => {
    const { frac, sign, operand, entry } = part;
    if (frac.bottom === common) return part;
    const by = common / frac.bottom;
    const [other] = parts.length === 2 ? parts.filter((one) => one !== part) : [];
    const otherBy = other ? common / other.frac.bottom : null;
    const of = { frac, common, by, otherBy, operand };
    const { slip, made, beside } = renamedAs(scribe, of);
    const worth = worthOf({ ...made, top: made.top * sign });
    const [, renamed] = scribe.step({
      law: 'scale-both',
      phase: { kind: 'rename' },
      takes: [entry],
      writes: [
        sideNumber(beside, at.factor(operand)),
        writing('renamed fraction', fracText(made), worth, at.renamed(operand)),
      ],
      phrase: phrase('fraction.rename', {
        top: `${frac.top}`,
        bottom: `${frac.bottom}`,
        by: `${by}`,
        to: `${made.top}`,
        otherBy: `${otherBy ?? 1n}`,
        slip,
      }),
    });
    return { ...part, entry: renamed!, frac: made };
  });
}

/** Puts like parts together and names what they make; turned, the smaller is taken from the larger. */
export function combineParts(
  scribe: Scribe,
  parts: readonly Counted[],
  at: Place,
  turned = false,
): { readonly entry: Mark; readonly frac: Frac } {
  const { bottom } = parts[0]!.frac;
  const sum = parts.reduce((so, { frac, sign }) => so + frac.top * sign, 0n);
  const top = turned ? -sum : sum;
  const frac: Frac = { top, bottom };
  const all = Exact.sum(parts.map(({ entry }) => entry.worth));
  const worth = turned ? all.negate() : all;
  const [entry] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'combine' },
    takes: parts.map((part) => part.entry),
    writes: [writing('subtotal', fracText(frac), worth, at)],
    phrase: phrase('fraction.combine', {
      tops: (turned ? [...parts].reverse() : parts).map((part) => `${part.frac.top}`),
      bottom: `${bottom}`,
      made: `${top}`,
      turned,
      difference: parts.some(({ sign }) => sign < 0n),
    }),
  });
  scribe.group(
    'parts',
    'subtotal',
    [entry!],
    phrase('fraction.named', { name: 'the parts together' }),
  );
  return { entry: entry!, frac };
}

/** The slip of putting numerators and denominators together; null when it is not made. */
export function topsAndBottoms(
  scribe: Scribe,
  parts: readonly Counted[],
  at: Place,
  upTo: number,
): { readonly entry: Mark; readonly frac: Frac } | null {
  const sum = (value: (frac: Frac) => bigint) =>
    parts.reduce((so, { frac, sign }) => so + value(frac) * sign, 0n);
  // The smaller is taken from the larger, above and below.
  const frac = {
    top: magnitude(sum(({ top }) => top)),
    bottom: magnitude(sum(({ bottom }) => bottom)),
  };
  const worth = Exact.sum(parts.map(({ entry }) => entry.worth));
  const may = parts.length > 1 && frac.bottom > 0n && !worthOf(frac).equals(worth);
  if (!scribe.slip(TOPS_AND_BOTTOMS.id, may, { at: where('operand', upTo) })) return null;
  const [entry] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'combine' },
    takes: parts.map((part) => part.entry),
    writes: [writing('subtotal', fracText(frac), worthOf(frac), at)],
    phrase: phrase('fraction.tops-and-bottoms', { made: fracText(frac) }),
  });
  return { entry: entry!, frac };
}

/** One division of a fraction by a common factor, with how the factor was found. */
export interface Division {
  readonly by: bigint;
  readonly how: string;
}

/** The divisions by which a fraction comes to lowest terms, the last one by 1 where it is tried in vain. */
export function divisionsOf({ top, bottom }: Frac, school: School): readonly Division[] {
  const greatest = gcd(top, bottom);
  switch (school['simplify']) {
    case 'repeated-factors': {
      const primes = primesOf(greatest);
      return primes.length === 0
        ? [{ by: 1n, how: 'No number from 2 on goes into both' }]
        : primes.map((by) => ({ by, how: `${by} goes into both` }));
    }
    case 'greatest-common-factor':
      return [{ by: greatest, how: remaindersOf(magnitude(top), bottom) }];
    default:
      return [{ by: greatest, how: factorsOf(magnitude(top), bottom) }];
  }
}

const MOST_LISTED = 10;

function listed(value: bigint): string {
  const all = divisorsOf(value);
  return all.length <= MOST_LISTED
    ? all.join(', ')
    : [...all.slice(0, 4), '…', ...all.slice(-3)].join(', ');
}

function factorsOf(top: bigint, bottom: bigint): string {
  return `Factors of ${top}: ${listed(top)}; of ${bottom}: ${listed(bottom)}`;
}

/** Dividing with remainder until nothing is left. */
function remaindersOf(top: bigint, bottom: bigint): string {
  let [a, b] = top > bottom ? [top, bottom] : [bottom, top];
  const lines: string[] = [];
  while (b > 0n && lines.length < 8) {
    lines.push(`${a} = ${a / b} × ${b} + ${a % b}`);
    [a, b] = [b, a % b];
  }
  return lines.join(', ');
}

/** The slip of taking the larger denominator and putting the numerators together as they are; null when it is not made. */
export function largerBottom(
  scribe: Scribe,
  parts: readonly Counted[],
  at: Place,
): { readonly entry: Mark; readonly frac: Frac } | null {
  const bottom = parts.reduce((most, { frac }) => (frac.bottom > most ? frac.bottom : most), 1n);
  const frac = { top: parts.reduce((so, one) => so + one.frac.top * one.sign, 0n), bottom };
  const worth = Exact.sum(parts.map(({ entry }) => entry.worth));
  const may = !worthOf(frac).equals(worth);
  if (!scribe.slip('larger-bottom-taken', may, { at: where('answer', 0) })) return null;
  const [entry] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'combine' },
    takes: parts.map((part) => part.entry),
    writes: [writing('subtotal', fracText(frac), worthOf(frac), at)],
    phrase: phrase('fraction.larger-bottom', { bottom: `${bottom}`, made: fracText(frac) }),
  });
  return { entry: entry!, frac };
}
