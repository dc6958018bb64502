import { termShape } from '../problem/kinds.ts';
import {
  firstFault,
  oneForOne,
  unequal,
  type Change,
  type Fault,
  type LawFrame,
  type LawRule,
} from './law.ts';

/** A term loses the minus that stands before its bracket, or two minuses in a product become a plus. */
function sign(change: Change, frame: LawFrame): Fault {
  if (frame.isOwn && change.takes.length + change.gives.length > 2) return bracket(change, frame);
  if (frame.isOwn && !change.takes.some(({ owed }) => owed)) return oneForOne(change);
  return firstFault(oneForOne(change), () => {
    const [take] = change.takes;
    if (change.takes.length !== 1) return 'it is not one term';
    if (!take!.owed || change.gives[0]!.owed) return 'no term is turned';
    if (!frame.inFigures && change.gives[0]!.written !== null)
      return 'the term is written otherwise';
    if (termShape(frame.kind) === 'products' && !frame.inFigures)
      return 'a product is worked out, not only turned';
    const parts = [...take!.terms].flatMap((term) => frame.partsOf(term));
    const minus = parts.some(
      ({ operand, worth }) => worth.coefficient.isNegative || frame.isTaken(operand),
    );
    return minus ? null : 'no minus is there';
  });
}

/**
 * In someone's own lines a bracket is one amount, or one number of the problem in all its parts: its terms come out of it, or
 * go into it, all at once.
 */
function bracket(change: Change, frame: LawFrame): Fault {
  const isOne = change.takes.length === 1 || change.gives.length === 1;
  return isOne || isOneNumber(change, frame) ? unequal(change) : 'it is no bracket';
}

function isOneNumber({ takes }: Change, { partsOf }: LawFrame): boolean {
  const numbers = takes.flatMap(({ terms }) => [...terms].flatMap(partsOf));
  return (
    takes.every(({ owed }) => owed) && new Set(numbers.map(({ operand }) => operand)).size === 1
  );
}

export const SIGN: LawRule = {
  law: 'sign',
  statement: 'A minus before a bracket turns every term in it, and minus by minus is plus.',
  moves: [{ id: 'sign', statement: 'A term is written with the sign that it has.', check: sign }],
};
