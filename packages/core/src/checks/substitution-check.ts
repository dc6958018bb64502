import type { Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import { lettersText, termsText } from '../exact/terms-text.ts';
import { problemSign, problemValue, type Problem } from '../problem/problem.ts';
import { substitutionOf, substitutionText } from '../problem/substitution.ts';
import { scriptOf } from '../problem/script.ts';
import type { CheckFinding, CheckSpec } from './check.ts';

function make(problem: Problem, answer: Exact): CheckFinding {
  const values = substitutionOf(problem);
  const stand = substitutionText(values);
  const operands = problem.operands.map((operand) => numeralValue(operand).at(values));
  const asked = problemValue(problem).at(values);
  const made = answer.at(values);
  const fits = asked.equals(made);
  const sign = problem.kind === 'product' ? ' · ' : ` ${problemSign(problem.kind)} `;
  const each = problem.operands.map(
    (operand, k) => `${termsText(operand.terms!.list)} = ${lettersText(operands[k]!)}`,
  );
  const closed = operands.map((value, k) => {
    const text = lettersText(value);
    return text.startsWith('−') && k > 0 ? `(${text})` : text;
  });
  return {
    outcome: fits ? 'agrees' : 'disagrees',
    lines: [
      `With ${stand}: ${each.join(', ')}.`,
      `${closed.join(sign)} = ${lettersText(asked)}; the answer ${lettersText(answer)} gives ${lettersText(made)}: ${fits ? 'the same' : 'not the same'}.`,
    ],
  };
}

export const substitutionCheck: CheckSpec = {
  id: 'substitution',
  name: 'Numbers for the letters',
  catches: 'Nearly every wrong answer: a lost sign, a term left out, unlike terms put together.',
  misses: 'A wrong answer that happens to come to the same for just these numbers.',
  lacks: ({ comparison: { problem } }) =>
    scriptOf(problem) === 'terms' ? null : 'Here are no letters to put numbers in for.',
  make: ({ comparison }, answer) => make(comparison.problem, answer),
};
