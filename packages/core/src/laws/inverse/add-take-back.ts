import { isMonomial, isNumeric, isOpposites } from '../../line/kinds.ts';
import { flat } from '../../line/node.ts';
import { type Expression, expressionText } from '../../problem/expression.ts';
import { type Change, type Fault, firstFault, type LawFrame, otherTerms, unequal } from '../law.ts';
import { defineMove, FITS } from '../move-spec.ts';

/** An amount and its opposite are let go; what else there was stays, or is worked out with it. */
export const ADD_TAKE_BACK = defineMove({
  id: 'add-take-back',
  law: 'inverse',
  statement: 'An amount and its opposite are let go, or put in.',
  words: { brief: 'put in, taken back', says: 'put in and taken back' },
  check: addTakeBack,
  recognise: (old, made) => {
    if (old.length === 0) return isOpposites(made) ? FITS : null;
    const isPlainPair = isNumeric(old) || flat(old).every(({ node }) => isMonomial(node));
    return made.length === 0 && isOpposites(old) && isPlainPair ? FITS : null;
  },
  alike: 'put together',
});

function addTakeBack(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  return firstFault(unequal(change), () => {
    if (frame.isOwn && takes.length === 0) return gives.length === 2 ? null : 'it is no pair';
    const [take, give] = [takes[0], gives[0]];
    // Within a bracket the pair is seen in what is written, not in what is worth something.
    if (frame.isOwn && take && give && takes.length + gives.length === 2) {
      const isSeen = [take, give].some(({ line }) => line && holdsOpposites(line));
      return isSeen
        ? otherTerms(change, frame)
        : 'no amount stands beside its opposite in a bracket';
    }
    const pair = takes.find(({ worth }) =>
      takes.some((other) => !worth.isZero && other.worth.equals(worth.negate())),
    );
    if (!pair) return 'nothing is there beside its opposite';
    if (gives.length > 1) return 'more than one amount is left';
    return otherTerms(change, frame);
  });
}

/** Whether somewhere in an expression a sum has a number or bracket and the same with the other sign. */
function holdsOpposites(of: Expression): boolean {
  switch (of.kind) {
    case 'sum': {
      const told = of.parts.map(({ minus, of: part }) => ({ minus, text: expressionText(part) }));
      const isPair = told.some((one) =>
        told.some((other) => one.text === other.text && one.minus !== other.minus),
      );
      return isPair || of.parts.some((part) => holdsOpposites(part.of));
    }
    case 'product':
      return of.factors.some(holdsOpposites);
    case 'quotient':
      return holdsOpposites(of.dividend) || holdsOpposites(of.divisor);
    case 'negative':
    case 'power':
    case 'root':
      return holdsOpposites(of.of);
    default:
      return false;
  }
}
