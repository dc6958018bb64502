import { type Exact } from '../exact/exact.ts';
import { numeralValue, type Numeral } from '../exact/numeral.ts';
import { expressionText, numeralSource, type Expression } from './expression.ts';
import type { ProblemFailure, ProblemShape } from './failure.ts';
import { readExpression } from './read-expression.ts';

/** A product of two or more whole numbers, all written in one base. */
export interface ProductProblem {
  readonly kind: 'product';
  readonly operands: readonly Numeral[];
  readonly base: number;
}

/** A computation that methods can be asked to work. One member a kind; more kinds come here. */
export type Problem = ProductProblem;

export type ReadProblem =
  | { readonly ok: true; readonly problem: Problem }
  | { readonly ok: false; readonly reason: ProblemFailure };

/** Reads a problem text. Bad text gives a reason, never an exception. */
export function readProblem(source: string): ReadProblem {
  const read = readExpression(source);
  return read.ok ? problemOf(read.expression) : read;
}

/** Builds a product from numerals. RangeError when there are fewer than two or the bases differ. */
export function productProblem(operands: readonly Numeral[]): ProductProblem {
  const base = operands[0]?.base ?? 10;
  if (operands.length < 2 || operands.some((n) => n.base !== base || n.decimals > 0)) {
    throw new RangeError('productProblem: two or more whole numbers of one base are needed');
  }
  return { kind: 'product', operands, base };
}

/** The problem in the problem language, `46 × 58`; reading it again gives the same problem. */
export function problemText(problem: Problem): string {
  return problem.operands.map(numeralSource).join(' × ');
}

/** The problem's exact value, computed straight from its operands. */
export function problemValue(problem: Problem): Exact {
  return problem.operands.map(numeralValue).reduce((total, factor) => total.times(factor));
}

function problemOf(expression: Expression): ReadProblem {
  if (expression.kind === 'number') {
    return refuse({ code: 'one-number', number: expressionText(expression) });
  }
  const shape = shapeOf(expression);
  if (shape) return refuse({ code: 'kind-not-offered', kind: shape });
  const operands = wholeFactors(expression);
  const bases = [...new Set(operands.map((operand) => operand.base))];
  if (bases.length > 1) return refuse({ code: 'mixed-bases', bases });
  return { ok: true, problem: productProblem(operands) };
}

/** The numbers of a product that {@link shapeOf} let through, brackets inside it removed. */
function wholeFactors(expression: Expression): readonly Numeral[] {
  if (expression.kind === 'number') return [expression.numeral];
  return expression.kind === 'product' ? expression.factors.flatMap(wholeFactors) : [];
}

function refuse(reason: ProblemFailure): ReadProblem {
  return { ok: false, reason };
}

/** The kind of computation this is, or null when it is a product of whole numbers. */
function shapeOf(expression: Expression): ProblemShape | null {
  if (hasLetters(expression)) return 'polynomial';
  switch (expression.kind) {
    case 'sum':
      return expression.parts.some((part) => part.minus) ? 'difference' : 'sum';
    case 'quotient':
      return 'quotient';
    case 'fraction':
    case 'mixed':
      return 'fraction';
    case 'power':
      return 'power';
    case 'root':
      return 'square root';
    case 'negative':
      return 'signed product';
    case 'product':
      return expression.factors.map(factorShape).find((shape) => shape !== null) ?? null;
    default:
      return null;
  }
}

function factorShape(factor: Expression): ProblemShape | null {
  if (factor.kind !== 'number') return shapeOf(factor);
  return factor.numeral.decimals > 0 ? 'decimal product' : null;
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
