import { placeValue } from '../exact/numeral.ts';
import { isFraction } from '../problem/expression.ts';
import { termShape } from '../problem/kinds.ts';
import {
  firstFault,
  otherTerms,
  unequal,
  type Amount,
  type Change,
  type Fault,
  type LawFrame,
  type LawRule,
} from './law.ts';
import { denominatorOf } from './numbers.ts';
import { lastPlace, regroups } from './regrouping.ts';

/** Amounts by places; wholes and one part of a whole where numbers are written as fractions. */
function places(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  const { kind, script, inFigures, operands } = frame;
  return firstFault(unequal(change), () => {
    if (gives.length === 0 && !inFigures && !isWholeAndPart(change, frame))
      return 'nothing is left to regroup';
    const isOwn = frame.isOwn && areOwnPlaces(gives, frame.base);
    if (script === 'fractions') return isOwn ? null : mixedFault(change, frame);
    if (gives.length === 0) return null;
    if (script === 'terms' && !takes.every(({ worth }) => worth.isConstant))
      return 'letters have no places';
    const worked = termShape(kind) === 'parts' || inFigures;
    if (!worked && takes.some(({ owed }) => owed)) return 'a product is not worked out yet';
    if (gives.some(({ owed, written }) => owed || written)) return 'nothing is regrouped';
    if (takes.length === 1 && gives.length === 1 && !inFigures && !takes[0]!.owed) {
      return 'nothing is regrouped';
    }
    const isStage = termShape(kind) === 'products' && operands.length > 2;
    return isOwn ? null : regroups(change, { ...frame, isStage, mayOppose: inFigures });
  });
}

/** In one's own lines the places of a number may each hold their own piece of it; that together they hold it is audited. */
function areOwnPlaces(gives: readonly Amount[], base: number): boolean {
  const parts = gives.map(({ worth }) => ({
    size: worth.absolute(),
    last: lastPlace(worth, base),
  }));
  parts.sort((a, b) => (a.last ?? 0) - (b.last ?? 0));
  // Each ends where the next one begins: 4 and 130, but not 24 and 110.
  const areApart = parts.every(({ size, last }, k) => {
    const next = parts[k + 1]?.last;
    return (
      last !== null &&
      (next === undefined || next === null || size.compare(placeValue(base, next)) < 0)
    );
  });
  return areApart && new Set(gives.map(({ worth }) => worth.isNegative)).size === 1;
}

/** Whether a whole and a part written as a fraction are put together, where numbers are fractions. */
function isWholeAndPart({ takes }: Change, { script }: LawFrame): boolean {
  const parts = takes.filter(({ written }) => {
    const of = written?.kind === 'negative' ? written.of : written;
    return of !== null && isFraction(of);
  });
  return script === 'fractions' && parts.length === 1 && takes.length > 1;
}

function mixedFault(change: Change, frame: LawFrame): Fault {
  const broken = (side: readonly Amount[]) =>
    side.filter((amount) => denominatorOf(amount) !== 1n).length;
  const isRenamed =
    change.takes.length === 1 &&
    change.gives.length === 1 &&
    denominatorOf(change.takes[0]!) !== denominatorOf(change.gives[0]!);
  if (isRenamed && !frame.inFigures) return 'nothing is put together';
  if (broken(change.takes) > 1 || broken(change.gives) > 1) return 'there is more than one part';
  return otherTerms(change, frame);
}

export const PLACE_VALUE: LawRule = {
  law: 'place-value',
  statement: 'Ten of one place are one of the next, and a number is the sum of its places.',
  moves: [
    {
      id: 'places',
      statement: 'Amounts are put together or taken apart by places.',
      check: places,
    },
  ],
};
