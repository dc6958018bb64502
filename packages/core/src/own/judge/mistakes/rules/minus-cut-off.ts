import { type Term, termValue } from '../../../../line/node.ts';
import { minus, number } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const MINUS_CUT_OFF: FalseRule = {
  id: 'minus-cut-off',
  truth: 'A minus belongs to the one number behind it; what follows with a plus is added.',
  counter: { from: '12 − 4 + 5', line: '12 − 9' },
  write: (from, aim) => minusCutOff(from, aim),
};

/** Neighbours behind a minus are put together with a plus: 12 − 4 + 5 as 12 − 9. */
function minusCutOff(from: readonly Term[], aim: readonly Term[]): readonly (readonly Term[])[] {
  return from.flatMap((term, k) => {
    const next = from[k + 1];
    if (!term.minus || !next || next.minus === term.minus) return [];
    const sum = termValue({ minus: false, node: term.node }).plus(next.node.value).rational;
    if (!sum?.isConstant || aim.length > from.length) return [];
    return [[...from.slice(0, k), minus(number(sum)), ...from.slice(k + 2)]];
  });
}
