import { numberOf, type Term } from '../../line/node.ts';
import { defineMove, type Recogniser } from '../move-spec.ts';
import { changeBetween } from './changed-pair.ts';
import { sameChange } from './changes.ts';

/** The same is put to both numbers of a difference. */
export const SAME_CHANGE = defineMove({
  id: 'same-change',
  law: 'same-change',
  statement: 'The same is added to, or taken from, both numbers of a difference.',
  words: {
    brief: 'same change',
    says: 'the same change to both numbers',
    by: (change) => `both numbers changed by ${change}`,
  },
  check: (change, frame) => sameChange(change, frame, 'difference'),
  recognise: (old, made, page) => {
    const change = changeBetween(old, made, page);
    return change?.isDifference ? { used: change.by } : changedInside(old, made, page);
  },
  fitsAnyNumbers: true,
  lays: 'same to both',
});

/**
 * The same change with its first bracket left out: 642 − 387 as 642 + 13 − (387 + 13). What stays in both lines is gone
 * here, so that −387 becomes 13 − (387 + 13).
 */
const changedInside: Recogniser = (old, made, page) => {
  const [taken, ...more] = old;
  if (!taken?.minus || more.length > 0 || made.length !== 2) return null;
  const bracket = made.find(({ minus, node }) => minus && node.kind === 'sum');
  const other = made.find((term) => term !== bracket);
  if (bracket?.node.kind !== 'sum' || !other || bracket.node.terms.length !== 2) return null;
  const [first, second] = bracket.node.terms;
  const isSame = (one: Term, two: Term) => one.minus === two.minus && one.node.key === two.node.key;
  const kept = { minus: false, node: taken.node };
  const isPut =
    (isSame(first!, kept) && isSame(second!, other)) ||
    (isSame(second!, kept) && isSame(first!, other));
  if (!isPut) return null;
  const by = other.node.value.rational;
  return { used: { kind: 'by', by: by ? numberOf(by, page.base) : other.node } };
};
