import { sortOf } from '../problem/sorts/sorts.ts';
import { Exact } from '../exact/exact.ts';
import { decimalsNeeded, numeralValue, placeValue } from '../exact/numeral.ts';
import { evaluateSurd } from '../problem/evaluate.ts';
import type { Problem } from '../problem/problem.ts';
import { readExpression } from '../problem/read-expression.ts';
import { scriptOf } from '../problem/script.ts';
import type { Role } from './account.ts';

/** A mark as it stands on a paper. */
export interface Written {
  readonly glyph: string;
  readonly worth: Exact;
  readonly role: Role;
  /** The place its last figure is written in; undefined for a number written whole. */
  readonly place: number | undefined;
}

/**
 * What is wrong with the figures of a mark, beside what it is worth; null where they are such figures. A figure is worth its
 * value in its place, and so is a number that is written whole, but for what the work does with all of its amounts: a stage
 * multiplies by the factors still to come, a quotient shares by the divisor, a sheet of whole numbers stands for one with
 * points, what is taken away counts against. Marks that stand for no amount of their own are held against the numbers of
 * the problem where they come from these. Nothing is asked of the method that wrote it.
 */
export function glyphFault(mark: Written, problem: Problem): string | null {
  if (UNTOLD.has(mark.role)) return null;
  const own = OF_ROLES[mark.role]?.(mark, problem);
  if (own !== undefined) return own ? null : faultOf(mark);
  const value = valueOfGlyph(mark.glyph, problem);
  if (value === null) return MARKS.has(mark.glyph) ? null : faultOf(mark);
  if (mark.worth.isZero || value.isZero) {
    // All that is worked for a factor that is nothing is worth nothing.
    const isForNothing = measuresOf(problem, mark.role).some(({ isZero }) => isZero);
    const isNothing = mark.worth.isZero && (isForNothing || (value.isZero && !isSigned(mark)));
    return isNothing ? null : faultOf(mark);
  }
  return isWorth(value, mark, problem) ? null : faultOf(mark);
}

function faultOf({ glyph, worth }: Written): string {
  return `“${glyph}” is written for what is worth ${worth}`;
}

/** Marks whose figures tell no amount: words, trials at the side, factors and multiples that are noted. */
const UNTOLD: ReadonlySet<Role> = new Set(['words', 'trial', 'side number', 'factor']);

/** What stands on a paper without figures: a stroke, a tick, a dot. */
const MARKS: ReadonlySet<string> = new Set(['', '•', '✓']);

type Check = (mark: Written, problem: Problem) => boolean | undefined;

/** What marks of some roles are, where that is not what they are worth; undefined where the common rule holds. */
const OF_ROLES: Partial<Record<Role, Check>> = {
  halved: ({ glyph }, problem) =>
    powersOfTwo(problem).some((power) =>
      [Exact.of(power), ...wholesOf(problem).map((own) => halved(own, power))].some((due) =>
        valueOfGlyph(glyph, problem)?.equals(due),
      ),
    ),
  doubled: ({ glyph, worth }, problem) => {
    const value = valueOfGlyph(glyph, problem);
    const isDouble = powersOfTwo(problem).some((power) =>
      wholesOf(problem).some((own) => value?.equals(own.times(Exact.of(power)))),
    );
    if (!isDouble || worth.isZero || value!.isZero) return isDouble;
    return worth.dividedBy(value!.times(scaleOf(problem))).isWhole;
  },
  'adjusted number': ({ glyph, worth }, problem) => {
    if (!worth.isZero || problem.kind !== 'quotient') return undefined;
    const value = valueOfGlyph(glyph, problem);
    const divisor = operandsOf(problem).at(-1)!;
    const shift = placeValue(problem.base, decimalsNeeded(divisor, problem.base) ?? 0);
    return value?.isZero || operandsOf(problem).some((own) => value?.equals(own.times(shift)));
  },
  prime: ({ glyph }, problem) => dividesNumber(glyph, problem),
  'ladder number': ({ glyph }, problem) => dividesNumber(glyph, problem),
  // So many parts of a common denominator, which may have been reduced on the way.
  'fraction product': ({ glyph, worth }, problem) => {
    const value = valueOfGlyph(glyph, problem);
    if (!value || worth.isZero) return value?.isZero;
    const parts = value.dividedBy(worth).absolute();
    return parts.isWhole && bottomsOf(problem) % parts.numerator === 0n;
  },
  stop: ({ glyph, worth }, problem) => worth.isZero && valueOfGlyph(glyph, problem) !== null,
  rest: ({ glyph, worth }, problem) => {
    const value = valueOfGlyph(glyph.replace(/^r\s*/, ''), problem);
    const divisor = problem.kind === 'quotient' ? operandsOf(problem)[1]! : Exact.ONE;
    return value !== null && worth.times(divisor).equals(value);
  },
  // A stroke stands for one or ten of its place, or for some where a carry of two figures was put in.
  scratch: ({ worth, place }, problem) => {
    if (place === undefined) return true;
    const count = worth.dividedBy(placeValue(problem.base, place).times(scaleOf(problem)));
    return count.isWhole && !count.isZero && !count.isNegative;
  },
  repeats: ({ glyph }) => glyph === '…',
  // A figure of a root is worth what it lays of the number; that together they are the root is told of the answer.
  answer: ({ glyph, place }, problem) => {
    if (problem.kind !== 'root') return undefined;
    if (place !== undefined) return valueOfGlyph(glyph, problem) !== null;
    const [all, out, under] = /^([0-9A-Z]*\.?[0-9A-Z]*)(?:√([0-9A-Z]+))?$/.exec(glyph) ?? [];
    if (!all) return false;
    const root = out ? valueOfGlyph(out, problem)! : Exact.ONE;
    const square = root.times(root).times(under ? valueOfGlyph(under, problem)! : Exact.ONE);
    return square.equals(operandsOf(problem)[0]!);
  },
};

/** The value of what is written, in the base of the problem; null where it is no number and no expression. */
export function valueOfGlyph(glyph: string, problem: Problem): Exact | null {
  const text = glyph.replaceAll('−', '-').replace(/\s/g, '').replace(/^\+/, '');
  return scriptOf(problem) === 'figures'
    ? (inFigures(text, problem.base) ?? read(glyph))
    : read(glyph);
}

function inFigures(text: string, base: number): Exact | null {
  const [, minus, whole = '', part = ''] = /^(-?)([0-9a-z]+)(?:\.([0-9a-z]+))?$/i.exec(text) ?? [];
  const digits = [...whole, ...part].map((figure) => parseInt(figure, base));
  if (digits.length === 0 || digits.some(Number.isNaN)) return null;
  let value = Exact.ZERO;
  for (const digit of digits) value = value.times(Exact.of(base)).plus(Exact.of(digit));
  const pointed = value.times(placeValue(base, -part.length));
  return minus ? pointed.negate() : pointed;
}

function read(glyph: string): Exact | null {
  return valueOfText(glyph.replace(/^\+\s*/, '').replace(/^[−-]\s+/, '−'));
}

/** The value of a text whose numbers are in a base that it does not tell; null where it has none. */
export function valueOfText(text: string, base = 10): Exact | null {
  const based =
    base === 10 ? text : text.replace(/[0-9A-Za-z.]+/g, (number) => `${number}_${base}`);
  const written = readExpression(based);
  if (!written.ok) return null;
  const made = evaluateSurd(written.expression, { letters: true });
  return made.ok ? made.value.rational : null;
}

/** Whether a mark is worth its value in its place, by one of the measures of the problem. */
function isWorth(value: Exact, mark: Written, problem: Problem): boolean {
  const { worth, place } = mark;
  // What is taken away counts against, though no sign may stand there; a sign that stands there is its own.
  const mayOppose = !isSigned(mark);
  const inPlace = place === undefined ? value : value.times(placeValue(problem.base, place));
  return measuresOf(problem, mark.role).some((measure) => {
    const due = inPlace.times(measure);
    return due.equals(worth) || (mayOppose && due.negate().equals(worth));
  });
}

function isSigned({ glyph }: Written): boolean {
  return /^[−-]/.test(glyph.trim());
}

/** Marks of a division that are pieces of the quotient itself; all others are shared by the divisor. */
const OF_QUOTIENT: ReadonlySet<Role> = new Set([
  'answer',
  'chunk',
  'placeholder',
  'subtotal',
  'running total',
]);

/** What all amounts of a work may be multiplied by. */
export function measuresOf(problem: Problem, role?: Role): readonly Exact[] {
  const operands = operandsOf(problem);
  switch (problem.kind) {
    case 'product': {
      const scale = scaleOf(problem);
      const wholes = operands.map((own, k) =>
        own.times(placeValue(problem.base, problem.operands[k]!.decimals)),
      );
      return [Exact.ONE, ...toCome(wholes).map((rest) => scale.times(rest))];
    }
    case 'quotient': {
      if (!sortOf(problem).isFoundInPieces) return [Exact.ONE];
      const share = Exact.ONE.dividedBy(operands[1]!);
      // A divisor with a point is made whole, and the dividend is shifted with it.
      const decimals = decimalsNeeded(operands[1]!, problem.base) ?? 0;
      return role && OF_QUOTIENT.has(role)
        ? [Exact.ONE]
        : [share.times(placeValue(problem.base, -decimals))];
    }
    case 'sum':
    case 'difference':
      return [Exact.ONE, scaleOf(problem)];
    default:
      return [Exact.ONE];
  }
}

/** Products of factors that are still to come in some stage; 1 for none. */
function toCome(operands: readonly Exact[]): readonly Exact[] {
  return subsetsOf(operands)
    .filter((chosen) => chosen.length === 0 || chosen.length <= operands.length - 2)
    .map((chosen) => chosen.reduce((product, own) => product.times(own), Exact.ONE));
}

function subsetsOf(all: readonly Exact[]): readonly (readonly Exact[])[] {
  return all.reduce<readonly (readonly Exact[])[]>(
    (made, own) => [...made, ...made.map((chosen) => [...chosen, own])],
    [[]],
  );
}

/** What one of the ones of a sheet of whole numbers stands for. */
function scaleOf({ kind, operands, base }: Problem): Exact {
  const decimals = operands.map((operand) => operand.decimals);
  const total =
    kind === 'product' ? decimals.reduce((sum, own) => sum + own, 0) : Math.max(...decimals);
  return placeValue(base, -total);
}

/** The product of all denominators as they are written. */
function bottomsOf({ operands }: Problem): bigint {
  return operands.reduce(
    (made, { fraction }) => (fraction ? made * numeralValue(fraction.bottom).numerator : made),
    1n,
  );
}

function operandsOf({ operands }: Problem): readonly Exact[] {
  return operands.map(numeralValue);
}

function powersOfTwo({ operands, base }: Problem): readonly bigint[] {
  const most =
    operands.reduce((sum, { digits }) => sum + digits.length, 0) * Math.ceil(Math.log2(base));
  return Array.from({ length: most + 2 }, (_, k) => 1n << BigInt(k));
}

/** The numbers of a problem as they stand on a sheet of whole numbers. */
function wholesOf({ operands, base }: Problem): readonly Exact[] {
  const wholes = operands.map((operand) =>
    numeralValue(operand).times(placeValue(base, operand.decimals)),
  );
  if (wholes.length < 3) return wholes;
  // A string of factors is worked two at a time.
  return subsetsOf(wholes)
    .filter((chosen) => chosen.length > 0)
    .map((chosen) => chosen.reduce((product, own) => product.times(own), Exact.ONE));
}

/** A whole number halved so often, what is left over dropped. */
function halved(own: Exact, power: bigint): Exact {
  return Exact.of(own.numerator / power);
}

function dividesNumber(glyph: string, problem: Problem): boolean {
  const value = valueOfGlyph(glyph, problem);
  const number = operandsOf(problem)[0]!;
  return (
    value !== null &&
    value.isWhole &&
    !value.isZero &&
    !value.isNegative &&
    number.numerator % value.numerator === 0n
  );
}
