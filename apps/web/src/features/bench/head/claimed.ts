import {
  amountWriter,
  evaluate,
  inNotation,
  problemText,
  readExpression,
  scriptOf,
  type Beside,
  type Exact,
  type Notation,
  type Problem,
} from '@levee/core';

/** Her own answer, typed behind an equals sign, held against the work. */
export function judgedAnswer(
  problem: Problem,
  claimed: NonNullable<Beside['claimed']>,
  notation: Notation,
): string {
  const text = (amount: Exact) => inNotation(amountWriter(problem)(amount), notation);
  const own = evaluate(claimed);
  const right = answerOf(problem);
  if (!own.ok || !right) return 'The answer behind the equals sign is not judged here.';
  if (own.value.equals(right)) return `${text(own.value)} is right.`;
  const off = own.value.minus(right);
  const far = off.isNegative ? 'less' : 'more';
  return `You wrote ${text(own.value)}; the work comes to ${text(right)}. Yours is ${text(off.absolute())} ${far}.`;
}

/** The answer as a number; null where it is none, as with letters or a root that does not come out. */
function answerOf(problem: Problem): Exact | null {
  if (scriptOf(problem) === 'terms') return null;
  const read = readExpression(problemText(problem));
  const made = read.ok ? evaluate(read.expression) : null;
  return made?.ok ? made.value : null;
}
