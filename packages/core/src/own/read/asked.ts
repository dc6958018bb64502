import { type Exact } from '../../exact/exact.ts';
import { numberText } from '../../exact/numeral.ts';
import { type Surd } from '../../exact/surd.ts';

import { evaluateSurd } from '../../problem/evaluate.ts';
import { type Expression, expressionText, insideOf, isNumber } from '../../problem/expression.ts';
import { failureText } from '../../problem/failure.ts';
import { hasLetters } from '../../problem/letters.ts';
import { lettersFailure } from '../../problem/limits.ts';
import { type Problem, problemText, readProblem } from '../../problem/problem.ts';
import { readExpression, type ReadOptions } from '../../problem/read-expression.ts';
import { amountWriter } from '../../problem/script.ts';
import { withoutAmountWords } from '../../problem/amount-words.ts';
import { expressionProblem } from '../../problem/computation.ts';
import { spelled } from '../../problem/spelling.ts';

/** What is to be worked: any computation with an exact value, also one that no method works. */
export interface Asked {
  readonly text: string;
  readonly expression: Expression;
  /** Of a root the root is due, which may not come out. */
  readonly value: Surd;
  /** As methods take it; null where none does. */
  readonly problem: Problem | null;
  readonly letters: ReadonlySet<string>;
  readonly base: number;
}

export type ReadAsked =
  { readonly ok: true; readonly asked: Asked } | { readonly ok: false; readonly reason: string };

/** Reads what is to be worked. Text that cannot be read, or has no exact value, gives one sentence. */
export function readAsked(source: string, options: ReadOptions = {}): ReadAsked {
  const words = withoutAmountWords(spelled(source)).text;
  const read = readExpression(words, options);
  if (!read.ok) return { ok: false, reason: failureText(read.reason) };
  const { expression } = read;
  if (expression.kind === 'number') {
    return {
      ok: false,
      reason: failureText({ code: 'one-number', number: expressionText(expression) }),
    };
  }
  const excess = hasLetters(expression) ? lettersFailure(expression) : null;
  if (excess) return { ok: false, reason: failureText(excess) };
  const made = evaluateSurd(expression, { letters: true });
  if (!made.ok) return { ok: false, reason: made.fault };
  const taken = readProblem(words, options);
  const problem = taken.ok ? taken.problem : null;
  return {
    ok: true,
    asked: {
      text: problem ? problemText(problem) : expressionText(expression),
      expression,
      value: made.value,
      problem,
      letters: new Set(lettersIn(expression)),
      base: problem?.base ?? 10,
    },
  };
}

/** How amounts are written on papers of a computation. */
export function amountsOf({ problem, expression, base }: Asked): (amount: Exact) => string {
  const work = problem ?? expressionProblem(expression);
  if (work && work.kind !== 'root') return amountWriter(work);
  return (amount) => numberText(amount, base);
}

/** The letters of a computation as they stand in it. */
export function lettersIn(of: Expression): readonly string[] {
  return of.kind === 'letter' ? [of.name] : insideOf(of).flatMap(lettersIn);
}

/** The numbers of the problem, where they are plain. */
export function operandsOf(asked: Asked): readonly Surd[] {
  const { expression } = asked;
  switch (expression.kind) {
    case 'sum':
      return expression.parts.flatMap(({ of }) => plainValue(of));
    case 'product':
      return expression.factors.flatMap(plainValue);
    case 'quotient':
      return [expression.dividend, expression.divisor].flatMap(plainValue);
    default:
      return [];
  }
}

function plainValue(of: Expression): readonly Surd[] {
  const made = evaluateSurd(of, { letters: true });
  return made.ok && isNumber(of) ? [made.value] : [];
}
