import { type Exact } from '../exact/exact.ts';
import { numeralFor, numeralText, numeralValue, type Numeral } from '../exact/numeral.ts';
import { barOf, expressionText, isNumber, type Expression } from './expression.ts';
import type { ProblemFailure } from './failure.ts';
import { KINDS, type ProblemKind, type ProblemSign } from './kinds.ts';
import { hasLetters } from './letters.ts';
import { lettersFailure, workFailure } from './limits.ts';
import { sourceOf } from './problem-text.ts';
import {
  readExpression,
  type ReadExpression as ReadExpressionResult,
  type ReadOptions,
} from './read-expression.ts';
import { shapeOf } from './shape.ts';

/** A product of 2 to `LIMITS.factors` numbers, whole or with a point, all written in one base. */
export interface ProductProblem {
  readonly kind: 'product';
  readonly operands: readonly Numeral[];
  readonly base: number;
}

/** A sum of 2 to `LIMITS.addends` numbers, whole or with a point, all written in one base. */
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

/** A number whose square root is looked for; it is not negative. */
export interface RootProblem {
  readonly kind: 'root';
  readonly operands: readonly [radicand: Numeral];
  readonly base: number;
}

/** A computation with an exact value that no method works; someone's own lines may. */
export interface ExpressionProblem {
  readonly kind: 'expression';
  /** What it is worth, as one number. */
  readonly operands: readonly [value: Numeral];
  readonly base: number;
  /** The computation in the problem language. */
  readonly text: string;
}

/** A computation that methods can be asked to work. One member a kind; more kinds come here. */
export type Problem =
  | ProductProblem
  | SumProblem
  | DifferenceProblem
  | QuotientProblem
  | RootProblem
  | ExpressionProblem;

export type ReadProblem =
  | ({ readonly ok: true; readonly problem: Problem } & Beside)
  | { readonly ok: false; readonly reason: ProblemFailure };

/** What was typed beside the problem: an answer behind an equals sign, a currency. */
export type Beside = Pick<Extract<ReadExpressionResult, { ok: true }>, 'claimed' | 'unit'>;

/** Reads a problem text. Bad text gives a reason, never an exception. */
export function readProblem(source: string, options: ReadOptions = {}): ReadProblem {
  const read = readExpression(source, options);
  if (!read.ok) return read;
  const { expression, ...beside } = read;
  const made = problemOf(expression);
  return made.ok ? { ...beside, ...made, problem: asItIsWritten(made.problem) } : made;
}

/** What is left without letters, as `(0x + 7) − (0x + 7)` is, is the problem that its own text tells, in figures where it can be. */
function asItIsWritten(problem: Problem): Problem {
  const hasNone = ({ terms }: Numeral) => terms?.list.every((term) => term.isConstant) === true;
  if (!problem.operands.every(hasNone)) return problem;
  const again = readExpression(problemText(problem));
  const made = again.ok ? problemOf(again.expression) : again;
  return made.ok ? made.problem : problem;
}

/**
 * Builds a problem from numerals. RangeError when there are too few or too many of them, when the
 * bases differ, when it would divide by zero, or for an expression, which numerals alone do not make.
 */
export function makeProblem(kind: ProblemKind, operands: readonly Numeral[]): Problem {
  const base = operands[0]?.base ?? 10;
  const { least, most } = KINDS[kind];
  const fits = kind !== 'expression' && operands.length >= least && operands.length <= most;
  const zero = kind === 'quotient' && numeralValue(operands[1] ?? operands[0]!).isZero;
  if (!fits || zero || operands.some((n) => n.base !== base)) {
    throw new RangeError(`makeProblem: a ${kind} cannot be made of ${operands.length} numerals`);
  }
  return { kind, operands, base } as Problem;
}

/**
 * The same computation with its numbers written in another base, from 2 to 16; null when one of them
 * has figures without end there, as a tenth has in base two.
 */
export function inBase({ kind, operands }: Problem, base: number): Problem | null {
  if (kind === 'expression') return null;
  if (operands.some(({ fraction, terms }) => fraction ?? terms)) return null;
  const written = operands.map((operand) => numeralFor(numeralValue(operand), base));
  return written.includes(null) ? null : makeProblem(kind, written as Numeral[]);
}

/** The problem in the problem language, `46 × 58`; reading it again gives the same problem. */
export function problemText(problem: Problem): string {
  return problem.kind === 'expression'
    ? problem.text
    : sourceOf(problem, problemSign(problem.kind));
}

/** The problem as a tree: what its text in the problem language says. */
export function problemExpression(problem: Problem): Expression {
  const read = readExpression(problemText(problem));
  if (!read.ok) throw new RangeError(`problemExpression: "${problemText(problem)}" is no text`);
  return read.expression;
}

/** The sign between the operands, or before the one of a root. */
export function problemSign(kind: ProblemKind): ProblemSign {
  return KINDS[kind].sign;
}

/** What the account of the problem holds, computed straight from its operands; see `KindRules`. */
export function problemValue({ kind, operands }: Problem): Exact {
  return valueOfKind(kind, operands.map(numeralValue));
}

/** What amounts make when they are put together as a kind of problem does it. */
export function valueOfKind(kind: ProblemKind, worths: readonly Exact[]): Exact {
  return KINDS[kind].value(worths);
}

/** Whether an operand counts against the problem: a subtrahend, or a bracket behind a minus. */
export function isTaken({ kind, operands }: Problem, operand: number): boolean {
  return operands[operand]?.terms?.taken === true || (KINDS[kind].takesAway && operand > 0);
}

/** Whether the operands may change places. */
export function canSwap({ kind }: Problem): boolean {
  return KINDS[kind].commutes;
}

/** What an operand of a kind is called: `factor`, `addend`, `minuend`, `subtrahend`. */
export function operandName(kind: ProblemKind, operand: number): string {
  const { operandNames } = KINDS[kind];
  return operandNames[Math.min(operand, operandNames.length - 1)]!;
}

function problemOf(expression: Expression): ReadProblem {
  if (isNumber(expression)) {
    const bar = expression.kind === 'number' ? null : barOf(expression);
    if (bar && numeralValue(bar.bottom).isZero) {
      return refuse({ code: 'divides-by-zero', dividend: numeralText(bar.top) });
    }
    return refuse({ code: 'one-number', number: expressionText(expression) });
  }
  const excess = hasLetters(expression) ? lettersFailure(expression) : null;
  if (excess) return refuse(excess);
  const shape = shapeOf(expression);
  if (typeof shape !== 'object') return refuse({ code: 'kind-not-offered', kind: shape });
  const { kind, operands } = shape;
  if (operands.some(({ terms }) => terms)) return limited(kind, operands);
  const odd = operands.find(({ fraction }) => fraction && numeralValue(fraction.bottom).isZero);
  if (odd) return refuse({ code: 'divides-by-zero', dividend: numeralText(odd.fraction!.top) });
  const bases = [...new Set(operands.map((operand) => operand.base))];
  if (bases.length > 1) return refuse({ code: 'mixed-bases', bases });
  if (kind === 'quotient' && operands[1] && numeralValue(operands[1]).isZero) {
    return refuse({ code: 'divides-by-zero', dividend: numeralText(operands[0]!) });
  }
  return limited(kind, operands);
}

function limited(kind: ProblemKind, operands: readonly Numeral[]): ReadProblem {
  const limit = KINDS[kind].most;
  if (operands.length > limit) {
    return refuse({ code: 'too-many-operands', kind, operands: operands.length, limit });
  }
  const excess = workFailure(kind, operands);
  return excess ? refuse(excess) : { ok: true, problem: makeProblem(kind, operands) };
}

function refuse(reason: ProblemFailure): ReadProblem {
  return { ok: false, reason };
}

/** Builds a product from numerals. RangeError as in {@link makeProblem}. */
export function productProblem(operands: readonly Numeral[]): ProductProblem {
  return makeProblem('product', operands) as ProductProblem;
}
