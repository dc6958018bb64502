import type { Exact } from '../../exact/exact.ts';
import { placeValue } from '../../exact/numeral.ts';
import { isPlain } from '../../line/kinds.ts';
import { type Term, termValue } from '../../line/node.ts';
import { placesOf } from '../../line/places.ts';
import { type Change, type Fault, firstFault, type LawFrame, unequal } from '../law.ts';
import { defineMove } from '../move-spec.ts';
import { lastPlace } from '../regrouping.ts';

/** A difference is the sum of the jumps from the smaller number up to the larger: 523 − 268 as 2 + 30 + 223. */
export const JUMPS = defineMove({
  id: 'jumps',
  law: 'inverse',
  statement: 'The jumps from one number to another make their difference.',
  words: { brief: 'by jumps', says: 'the difference as the jumps between the numbers' },
  check: jumpsFault,
  recognise: (old, made, { base }) => {
    const landings = landingsOf(old, made, base) ?? landingsOf(old, [...made].reverse(), base);
    if (!landings) return null;
    return { used: { kind: 'landings', at: landings, base } };
  },
  fitsAnyNumbers: true,
  lays: 'jumps',
});

function jumpsFault(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  const isDifference = takes.some(({ worth }) => worth.isNegative);
  return firstFault(
    frame.isOwn ? null : 'it is not written as jumps',
    unequal(change),
    isDifference && gives.length > 1 && gives.every(({ worth }) => !worth.isNegative)
      ? null
      : 'it is not a difference that becomes a sum',
  );
}

/**
 * Where jumps land on the way from the smaller number to the larger, both of them told too. Any numbers that make a
 * difference are jumps somewhere: here one lands on a rounder number near by, and each but the last lands on one or goes
 * on by a count of one place.
 */
function landingsOf(
  old: readonly Term[],
  made: readonly Term[],
  base: number,
): readonly Exact[] | null {
  const [one, other, ...more] = old;
  if (!one || !other || more.length > 0 || one.minus === other.minus || made.length < 2)
    return null;
  if (![...old, ...made].every(({ node }) => isPlain(node))) return null;
  const start = (one.minus ? one : other).node.value.rational;
  const jumps = made.flatMap((term) => termValue(term).rational ?? []);
  if (!start || start.isZero || jumps.length < made.length) return null;
  if (jumps.some((jump) => jump.isNegative || jump.isZero)) return null;
  const landings = [start];
  let hasRounder = false;
  for (const [k, jump] of jumps.entries()) {
    const from = landings[k]!;
    const to = from.plus(jump);
    landings.push(to);
    if (k === jumps.length - 1) break;
    const isRounder = isRounderNear(from, to, base);
    hasRounder ||= isRounder;
    if (!isRounder && placesOf(jump, base)?.length !== 1) return null;
  }
  return hasRounder ? landings : null;
}

/** Whether a jump ends on a number of more zeros that is less than one of its last place away: 268 to 270, or to 300. */
function isRounderNear(from: Exact, to: Exact, base: number): boolean {
  const [place, before] = [lastPlace(to, base), lastPlace(from, base)];
  if (place === null || (before !== null && place <= before)) return false;
  return to.minus(from).compare(placeValue(base, place)) < 0;
}
