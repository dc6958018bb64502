import { Exact } from '../../exact/exact.ts';
import type { Expression } from '../../problem/expression.ts';
import { oppositesFault } from '../distribute/distribute.ts';
import {
  type Change,
  type Fault,
  firstFault,
  type LawFrame,
  otherTerms,
  unequal,
  writtenFactors,
} from '../law.ts';
import { defineMove, FITS } from '../move-spec.ts';
import { valueOf } from '../written.ts';
import { isIdentity } from './identities.ts';

/** Pieces of a number are written as a square, or as the strips that a further digit lays around one. */
export const SQUARE = defineMove({
  id: 'square',
  law: 'square',
  statement: 'Pieces are laid as a square and strips around it.',
  words: { brief: 'named square', says: 'a named square' },
  check: square,
  recognise: (old, made) => (isIdentity(old, made) || isIdentity(made, old) ? FITS : null),
});

function square(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  // Named identities of one's own lines: (a ± b)², (a + b)(a − b).
  if (frame.isOwn) return unequal(change);
  if (frame.kind !== 'root') return 'there is no root';
  if (frame.inFigures) {
    const isLaid = takes.length === 0 && (gives.length === 0 || oppositesFault(gives) === null);
    return firstFault(unequal(change), isLaid ? null : 'what is laid is not what is used up');
  }
  return firstFault(unequal(change), otherTerms(change, frame), () => {
    let side: Exact | null = null;
    for (const { worth, written } of gives) {
      if (!written) continue;
      const made = valueOf(written);
      if (!made?.equals(worth)) return 'what is written is not what it is worth';
      const width: Exact | null = side === null ? sideWritten(written) : stripWidth(written, side);
      if (!width) return 'it is no square, and no strip around the one before';
      side = side === null ? width : side.plus(width);
    }
    return side === null ? 'nothing is written as a square' : null;
  });
}

/** The side of `86^2`, `(80+6)^2`. */
function sideWritten(of: Expression): Exact | null {
  return of.kind === 'power' &&
    valueOf({ kind: 'number', numeral: of.exponent })?.equals(Exact.of(2))
    ? valueOf(of.of)
    : null;
}

/** The width w of `(2*s+w)*w` around a square of side s. */
function stripWidth(of: Expression, side: Exact): Exact | null {
  const [twice, width, ...more] = writtenFactors(of);
  if (!twice || !width || more.length > 0 || twice.kind !== 'sum') return null;
  const [two, again, ...rest] = twice.parts;
  const made = valueOf(width);
  const fits =
    two &&
    again &&
    rest.length === 0 &&
    !two.minus &&
    !again.minus &&
    valueOf(two.of)?.equals(side.times(Exact.of(2))) &&
    made &&
    valueOf(again.of)?.equals(made);
  return fits ? made : null;
}
