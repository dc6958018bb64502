import type { School, Trace } from '../../account/account.ts';
import type { Problem } from '../../problem/problem.ts';
import type { SchoolSpec } from '../method.ts';
import { orderSchool } from '../shared/schools.ts';
import type { Numeral } from '../../exact/numeral.ts';
import { twoFactors, type DigitPair, type TwoFactors } from './two-factors.ts';

/** Whether parts that are zero are written: 406 as 400 + 6 or as 400 + 0 + 6. */
export const ZERO_PARTS: SchoolSpec = {
  id: 'zeros',
  label: 'Zero parts',
  options: [
    { id: 'left-out', label: 'left out', reason: 'A part worth nothing adds nothing.' },
    { id: 'written', label: 'written', reason: 'Every place is seen, at the cost of room.' },
  ],
};

/** In which order free products are worked. */
export const PRODUCT_ORDER: SchoolSpec = orderSchool('product');

/** Which factor stands on top of the other, at every stage of a string of factors. */
export const ON_TOP: SchoolSpec = {
  id: 'on-top',
  label: 'On top',
  matters: ({ operands }) =>
    operands.some((factor, k) => k > 0 && isLonger(factor, operands[k - 1]!)),
  options: [
    {
      id: 'as-given',
      label: 'the first factor',
      reason: 'The paper keeps the order of the question.',
    },
    {
      id: 'longer',
      label: 'the longer factor',
      reason:
        'Fewer lines: the shorter one multiplies. The factors change places, the product does not.',
    },
  ],
};

function isLonger(factor: Numeral, other: Numeral): boolean {
  return factor.digits.length > other.digits.length;
}

/** Whether the second of two factors stands on top by a school of {@link ON_TOP}. */
export function isSecondOnTop({ operands }: Problem, school: School): boolean {
  return school['on-top'] === 'longer' && isLonger(operands[1]!, operands[0]);
}

/** A term's parts as the paper has them, that of the upper factor first. */
export function pairOnPaper(
  { problem, school }: Pick<Trace, 'problem' | 'school'>,
  [first = 0, second = 0]: readonly number[],
): DigitPair {
  return isSecondOnTop(problem, school) ? [second, first] : [first, second];
}

/** The factors as they stand on the paper of a trace. */
export function factorsOnPaper({ problem, school }: Pick<Trace, 'problem' | 'school'>): TwoFactors {
  const { top, bottom } = twoFactors(problem);
  return isSecondOnTop(problem, school) ? { top: bottom, bottom: top } : { top, bottom };
}
