import { Exact } from '../exact/exact.ts';
import { numeralFor, numeralText, numeralValue, type Numeral } from '../exact/numeral.ts';
import { expressionText, numeralSource, type Expression } from './expression.ts';
import type { ProblemFailure, ProblemShape } from './failure.ts';
import { readExpression, type ReadOptions } from './read-expression.ts';

/** A product of 2 to {@link MAX_FACTORS} numbers, whole or with a point, all written in one base. */
export interface ProductProblem {
  readonly kind: 'product';
  readonly operands: readonly Numeral[];
  readonly base: number;
}

/** A sum of 2 to {@link MAX_ADDENDS} numbers, whole or with a point, all written in one base. */
export interface SumProblem {
  readonly kind: 'sum';
  readonly operands: readonly Numeral[];
  readonly base: number;
}

/** A minuend and a subtrahend of one base; the difference may be negative. */
export interface DifferenceProblem {
  readonly kind: 'difference';
  readonly operands: readonly [minuend: Numeral, subtrahend: Numeral];
  readonly base: number;
}

/** A dividend and a divisor of one base; the divisor is not zero. */
export interface QuotientProblem {
  readonly kind: 'quotient';
  readonly operands: readonly [dividend: Numeral, divisor: Numeral];
  readonly base: number;
}

/** A computation that methods can be asked to work. One member a kind; more kinds come here. */
export type Problem = ProductProblem | SumProblem | DifferenceProblem | QuotientProblem;
export type ProblemKind = Problem['kind'];

export type ProblemSign = '×' | '+' | '−' | '÷';

/** How each kind is written and worked out; a new kind adds its line here. */
interface KindRules {
  readonly sign: ProblemSign;
  readonly most: number;
  readonly value: (worths: readonly Exact[]) => Exact;
  /** What the operands are called, in order; the last name serves for all that follow. */
  readonly operandNames: readonly string[];
}

/** The longest string of addends that is worked. */
export const MAX_ADDENDS = 40;

/** The most factors that are worked, stage by stage. */
export const MAX_FACTORS = 8;

const KINDS: Record<ProblemKind, KindRules> = {
  product: {
    sign: '×',
    most: MAX_FACTORS,
    value: (worths) => worths.reduce((total, factor) => total.times(factor)),
    operandNames: ['factor'],
  },
  sum: { sign: '+', most: MAX_ADDENDS, value: Exact.sum, operandNames: ['addend'] },
  difference: {
    sign: '−',
    most: 2,
    value: ([minuend, ...rest]) => minuend!.minus(Exact.sum(rest)),
    operandNames: ['minuend', 'subtrahend'],
  },
  quotient: {
    sign: '÷',
    most: 2,
    value: ([dividend, ...rest]) => rest.reduce((left, by) => left.dividedBy(by), dividend!),
    operandNames: ['dividend', 'divisor'],
  },
};

/** Every kind of problem, in the order in which kinds are listed. */
export const PROBLEM_KINDS = Object.keys(KINDS) as readonly ProblemKind[];

export type ReadProblem =
  | { readonly ok: true; readonly problem: Problem }
  | { readonly ok: false; readonly reason: ProblemFailure };

/** Reads a problem text. Bad text gives a reason, never an exception. */
export function readProblem(source: string, options: ReadOptions = {}): ReadProblem {
  const read = readExpression(source, options);
  return read.ok ? problemOf(read.expression) : read;
}

/**
 * Builds a problem from numerals. RangeError when there are too few or too many of them, when the
 * bases differ or when it would divide by zero.
 */
export function makeProblem(kind: ProblemKind, operands: readonly Numeral[]): Problem {
  const base = operands[0]?.base ?? 10;
  const fits = operands.length >= 2 && operands.length <= KINDS[kind].most;
  const zero = kind === 'quotient' && numeralValue(operands[1] ?? operands[0]!).isZero;
  if (!fits || zero || operands.some((n) => n.base !== base)) {
    throw new RangeError(`makeProblem: a ${kind} cannot be made of ${operands.length} numerals`);
  }
  return { kind, operands, base } as Problem;
}

/** Builds a product from numerals. RangeError as in {@link makeProblem}. */
export function productProblem(operands: readonly Numeral[]): ProductProblem {
  return makeProblem('product', operands) as ProductProblem;
}

/**
 * The same computation with its numbers written in another base, from 2 to 16; null when one of them
 * has figures without end there, as a tenth has in base two.
 */
export function inBase({ kind, operands }: Problem, base: number): Problem | null {
  if (operands.some(({ fraction }) => fraction)) return null;
  const written = operands.map((operand) => numeralFor(numeralValue(operand), base));
  return written.includes(null) ? null : makeProblem(kind, written as Numeral[]);
}

/** The problem in the problem language, `46 × 58`; reading it again gives the same problem. */
export function problemText({ kind, operands }: Problem): string {
  return operands.map(numeralSource).join(` ${problemSign(kind)} `);
}

/** The sign between the operands: `×`, `+`, `−` or `÷`. */
export function problemSign(kind: ProblemKind): ProblemSign {
  return KINDS[kind].sign;
}

/** The problem's exact value, computed straight from its operands. */
export function problemValue({ kind, operands }: Problem): Exact {
  return valueOfKind(kind, operands.map(numeralValue));
}

/** What amounts make when they are put together as a kind of problem does it. */
export function valueOfKind(kind: ProblemKind, worths: readonly Exact[]): Exact {
  return KINDS[kind].value(worths);
}

/** What an operand of a kind is called: `factor`, `addend`, `minuend`, `subtrahend`. */
export function operandName(kind: ProblemKind, operand: number): string {
  const { operandNames } = KINDS[kind];
  return operandNames[Math.min(operand, operandNames.length - 1)]!;
}

function problemOf(expression: Expression): ReadProblem {
  if (isNumber(expression)) {
    return refuse({ code: 'one-number', number: expressionText(expression) });
  }
  const shape = shapeOf(expression);
  if (typeof shape !== 'object') return refuse({ code: 'kind-not-offered', kind: shape });
  const { kind, operands } = shape;
  const odd = operands.find(({ fraction }) => fraction && numeralValue(fraction.bottom).isZero);
  if (odd) return refuse({ code: 'divides-by-zero', dividend: numeralText(odd.fraction!.top) });
  if (operands.some((operand) => operand.fraction) && !takesFractions(kind, operands)) {
    return refuse({ code: 'kind-not-offered', kind: 'fraction' });
  }
  const bases = [...new Set(operands.map((operand) => operand.base))];
  if (bases.length > 1) return refuse({ code: 'mixed-bases', bases });
  const limit = KINDS[kind].most;
  if (operands.length > limit) {
    return refuse({ code: 'too-many-operands', kind, operands: operands.length, limit });
  }
  if (kind === 'quotient' && numeralValue(operands[1]!).isZero) {
    return refuse({ code: 'divides-by-zero', dividend: numeralText(operands[0]!) });
  }
  return { ok: true, problem: makeProblem(kind, operands) };
}

function refuse(reason: ProblemFailure): ReadProblem {
  return { ok: false, reason };
}

interface Worked {
  readonly kind: ProblemKind;
  readonly operands: readonly Numeral[];
}

/** The problem that an expression is, or the name of the kind of computation that is not worked. */
function shapeOf(expression: Expression): Worked | ProblemShape {
  if (hasLetters(expression)) return 'polynomial';
  switch (expression.kind) {
    case 'sum':
      return sumShape(expression);
    case 'product':
      return flatShape('product', flatFactors(expression));
    case 'quotient':
      return flatShape('quotient', [expression.dividend, expression.divisor]);
    case 'power':
      return 'power';
    case 'root':
      return 'square root';
    case 'negative':
      return 'signed product';
    default:
      return 'polynomial';
  }
}

function sumShape(sum: Extract<Expression, { kind: 'sum' }>): Worked | ProblemShape {
  const parts = flatAddends(sum);
  if (!parts) return 'mixed sum';
  const [first, ...rest] = parts;
  const minus = rest.filter((part) => part.minus).length;
  if (first?.minus) return 'signed sum';
  const operands = parts.map((part) => part.of);
  if (operands.some((operand) => operand.kind === 'negative')) return 'signed sum';
  if (minus === 0) return flatShape('sum', operands);
  if (operands.length > 2) return operands.every(isNumber) ? 'mixed sum' : firstShape(operands);
  return flatShape('difference', operands);
}

/** Addends with brackets around mere sums removed; null when a bracket is taken away. */
function flatAddends(expression: Expression): readonly { minus: boolean; of: Expression }[] | null {
  if (expression.kind !== 'sum') return [{ minus: false, of: expression }];
  const lists = expression.parts.map(({ minus, of }) => {
    const inner = flatAddends(of);
    if (!minus) return inner;
    return inner?.length === 1 && !inner[0]!.minus ? [{ minus, of: inner[0]!.of }] : null;
  });
  return lists.includes(null) ? null : lists.flatMap((list) => list!);
}

function flatFactors(expression: Expression): readonly Expression[] {
  return expression.kind === 'product' ? expression.factors.flatMap(flatFactors) : [expression];
}

function flatShape(kind: ProblemKind, operands: readonly Expression[]): Worked | ProblemShape {
  if (!operands.every(isNumber)) return firstShape(operands);
  if (operands.some(isUneven)) return 'fraction';
  return { kind, operands: operands.map(numeralOf) };
}

/** A fraction with a point in it. */
function isUneven(of: NumberExpression): boolean {
  return of.kind !== 'number' && (of.top.decimals > 0 || of.bottom.decimals > 0);
}

/** Fractions are added and taken away, in base ten and beside whole numbers. */
function takesFractions(kind: ProblemKind, operands: readonly Numeral[]): boolean {
  const plain = operands.every(({ base, decimals }) => base === 10 && decimals === 0);
  return plain && (kind === 'sum' || kind === 'difference');
}

/** Whether an operand is a fraction or a mixed number. */
export function hasFractions({ operands }: Problem): boolean {
  return operands.some(({ fraction }) => fraction !== undefined);
}

type NumberExpression = Extract<Expression, { kind: 'number' | 'fraction' | 'mixed' }>;

/** A number, fraction or mixed number as an operand. */
function numeralOf(expression: NumberExpression): Numeral {
  if (expression.kind === 'number') return expression.numeral;
  const { top, bottom } = expression;
  const fraction = { top, bottom };
  const whole =
    expression.kind === 'mixed' ? expression.whole : { digits: [0], base: top.base, decimals: 0 };
  return { ...whole, fraction };
}

function isNumber(of: Expression): of is NumberExpression {
  return of.kind === 'number' || of.kind === 'fraction' || of.kind === 'mixed';
}

/** What the first operand that is no plain number is. */
function firstShape(operands: readonly Expression[]): ProblemShape {
  const [odd] = operands.filter((operand) => !isNumber(operand));
  const shape = odd ? shapeOf(odd) : 'mixed sum';
  return typeof shape === 'object' ? 'mixed operations' : shape;
}

function hasLetters(expression: Expression): boolean {
  switch (expression.kind) {
    case 'letter':
      return true;
    case 'sum':
      return expression.parts.some((part) => hasLetters(part.of));
    case 'product':
      return expression.factors.some(hasLetters);
    case 'quotient':
      return hasLetters(expression.dividend) || hasLetters(expression.divisor);
    case 'negative':
    case 'power':
    case 'root':
      return hasLetters(expression.of);
    default:
      return false;
  }
}
