import type { Exact } from '../exact/exact.ts';
import { mixedNumeral, numeralFor, termsNumeral, type Numeral } from '../exact/numeral.ts';
import { withoutAmountWords } from './amount-words.ts';
import { spelled } from './spelling.ts';
import { evaluateSurd } from './evaluate.ts';
import { expressionText, some, type Expression } from './expression.ts';
import { hasLetters } from './letters.ts';
import { lettersFailure } from './limits.ts';
import { readProblem, type ExpressionProblem, type ReadProblem } from './problem.ts';
import { readExpression, type ReadOptions } from './read-expression.ts';

/**
 * Reads any computation with an exact value: a problem that methods are asked to work where it is one, else one that only
 * someone's own lines work. Bad text gives the reason that {@link readProblem} gives.
 */
export function readComputation(source: string, options: ReadOptions = {}): ReadProblem {
  const words = withoutAmountWords(spelled(source)).text;
  const read = readProblem(words, options);
  if (read.ok || read.reason.code !== 'kind-not-offered') return read;
  const typed = readExpression(words, options);
  if (!typed.ok) return read;
  const { expression, ...beside } = typed;
  const problem = expressionProblem(expression);
  return problem ? { ...beside, ok: true, problem } : read;
}

/** The same for a text that stands in a document: there one number may be worked too, as `4/1 = 4` is by own lines. */
export function readWorked(source: string): ReadProblem {
  const read = readComputation(source);
  if (read.ok || read.reason.code !== 'one-number') return read;
  const typed = readExpression(source);
  if (!typed.ok) return read;
  const { expression, ...beside } = typed;
  const problem = expressionProblem(expression);
  return problem ? { ...beside, ok: true, problem } : read;
}

/** A computation as a problem of its own, whether methods work it or not; null where it has no exact value, or one with roots in it. */
export function expressionProblem(expression: Expression): ExpressionProblem | null {
  if (hasLetters(expression) && lettersFailure(expression)) return null;
  const made = evaluateSurd(expression, { letters: true });
  const value = made.ok ? made.value.rational : null;
  const text = expressionText(expression);
  // What is its own value asks for nothing.
  if (!value || text.replace(/[ ×]/g, '') === value.toString()) return null;
  const operands = [numeralOfValue(value, some(expression, isBar))] as const;
  return {
    kind: 'expression',
    operands,
    base: 10,
    text: text.replaceAll('-', '−'),
  };
}

/** A value as one number: with a fraction where the computation has one, else in figures as far as they end. */
function numeralOfValue(value: Exact, asFraction: boolean): Numeral {
  if (!value.isConstant) return termsNumeral(value.monomials);
  if (value.isNegative) return termsNumeral([value]);
  const figures = asFraction && !value.isWhole ? null : numeralFor(value, 10);
  if (figures) return figures;
  const whole = value.numerator / value.denominator;
  return mixedNumeral(whole, value.numerator - whole * value.denominator, value.denominator);
}

function isBar(of: Expression): boolean {
  return of.kind === 'quotient' && of.bar;
}
