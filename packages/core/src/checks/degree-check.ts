import { Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import { closedText, lettersText } from '../exact/terms-text.ts';
import type { Problem } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';
import type { CheckFinding, CheckSpec } from './check.ts';

/** The terms of the highest degree together, and the number that stands alone. */
function ends(amount: Exact): { readonly high: Exact; readonly low: Exact } {
  const parts = amount.parts();
  return {
    high: Exact.sum(parts.filter((part) => part.degree === amount.degree)),
    low: Exact.sum(parts.filter((part) => part.degree === 0)),
  };
}

function ofProduct(problem: Problem, answer: Exact): CheckFinding {
  const factors = problem.operands.map((operand) => ends(numeralValue(operand)));
  const product = (list: readonly Exact[]) =>
    list.reduce((so, factor) => so.times(factor), Exact.ONE);
  const [high, low] = [
    product(factors.map((one) => one.high)),
    product(factors.map((one) => one.low)),
  ];
  const own = ends(answer);
  const fits = own.high.equals(high) && (answer.degree === 0 || own.low.equals(low));
  const texts = (list: readonly Exact[]) => list.map(closedText).join(' · ');
  return {
    outcome: fits ? 'agrees' : 'disagrees',
    lines: [
      `The highest terms make ${texts(factors.map((one) => one.high))} = ${lettersText(high)}; the answer begins with ${lettersText(own.high)}.`,
      `The numbers alone make ${texts(factors.map((one) => one.low))} = ${lettersText(low)}; the answer ends with ${lettersText(own.low)}.`,
    ],
  };
}

function ofSum(problem: Problem, answer: Exact): CheckFinding {
  const most = Math.max(...problem.operands.map((operand) => numeralValue(operand).degree));
  const kinds = new Set(
    problem.operands.flatMap(({ terms }) => terms!.list.map((term) => term.letters)),
  );
  const strange = answer.parts().find(({ letters }) => !kinds.has(letters));
  const fits = answer.degree <= most && !strange;
  return {
    outcome: fits ? 'agrees' : 'disagrees',
    lines: [
      `The highest degree there is ${most}, that of the answer ${answer.degree}.`,
      strange
        ? `${lettersText(strange)} is of a kind that does not occur.`
        : 'Every term of the answer is of a kind that occurs.',
    ],
  };
}

export const degreeCheck: CheckSpec = {
  id: 'degree',
  name: 'Highest and lowest terms',
  catches: 'A wrong first or last term, and powers that cannot come up.',
  misses: 'Everything in the middle, where like terms are put together.',
  lacks: ({ comparison: { problem } }) =>
    scriptOf(problem) === 'terms' ? null : 'Only expressions with letters have a degree.',
  make: ({ comparison: { problem } }, answer) =>
    problem.kind === 'product' ? ofProduct(problem, answer) : ofSum(problem, answer),
};
