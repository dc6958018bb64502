import { isPlain } from '../../../../line/kinds.ts';
import { termValue } from '../../../../line/node.ts';
import { number } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const TOO_MUCH_AGAIN: FalseRule = {
  id: 'too-much-again',
  truth: 'What was taken too much is given back, and what was given too much is taken back.',
  counter: { from: '642 − 387', line: '642 − 400 − 13' },
  write: (from, aim) => {
    const [, middle, last] = aim;
    const second = from.at(-1);
    if (aim.length !== 3 || !second || !isPlain(second.node) || !middle || !last) return [];
    const [due, used, again] = [second, middle, last].map((term) => termValue(term).rational);
    if (
      !due?.isConstant ||
      !used?.isConstant ||
      !again ||
      used.absolute().compare(due.absolute()) <= 0
    )
      return [];
    const change = used.minus(due);
    return [
      [...from.slice(0, -1), middle, { minus: change.isNegative, node: number(change.absolute()) }],
    ];
  },
};
