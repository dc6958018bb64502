import { Exact } from '../../exact/exact.ts';
import { placeValue } from '../../exact/numeral.ts';
import { numberOf, type Term, termValue } from '../../line/node.ts';
import { placesCut, placesOf } from '../../line/places.ts';
import { signed } from '../../line/terms.ts';
import { isFraction } from '../../problem/expression.ts';
import { termShape } from '../../problem/kinds.ts';
import { apartFrom } from '../apart.ts';
import {
  type Amount,
  type Change,
  type Fault,
  firstFault,
  type LawFrame,
  otherTerms,
  unequal,
} from '../law.ts';
import { defineMove, type Page } from '../move-spec.ts';
import { lastPlace, regroups } from '../regrouping.ts';
import { denominatorOf } from '../written.ts';

/** Amounts by places; wholes and one part of a whole where numbers are written as fractions. */
export const PLACES = defineMove({
  id: 'places',
  law: 'place-value',
  statement: 'Amounts are put together or taken apart by places.',
  words: { brief: 'by places', says: 'taken apart by places' },
  check: places,
  recognise: (old, made, { base }) => {
    const apart = apartFrom(old, made, base);
    return apart?.as === 'places' ? { used: apart.used } : null;
  },
  between: allPlaces,
  write: (term, { base }) => {
    const cut = placesCut(term.node, base);
    return cut ? [{ variant: 'places', terms: signed(term, cut) }] : [];
  },
  alike: 'taken apart',
  isByPlaces: true,
});

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

/**
 * Two sums of numbers of which the second is what the places of the first make, place by place or a few places
 * together: 38 + 27 as 50 + 15, 642 − 387 as 300 − 45. The line between is all places apart.
 */
function allPlaces(
  old: readonly Term[],
  made: readonly Term[],
  { base }: Page,
): readonly Term[] | null {
  if (old.length < 2 || made.length < 2) return null;
  if (![...old, ...made].every(({ node }) => node.kind === 'number' && !node.isPercent))
    return null;
  const pieces = old.flatMap((term) => piecesOf(term, base));
  if (pieces.length <= old.length) return null;
  const all = [...new Set(pieces.map(({ place }) => place))].sort((a, b) => b - a);
  const totals = all.map((place) =>
    Exact.sum(pieces.filter((piece) => piece.place === place).map(({ worth }) => worth)),
  );
  const wanted = made.map((term) => termValue(term).rational!);
  if (!areRunsOf(totals, wanted)) return null;
  return pieces.map(({ minus, worth }) => ({ minus, node: numberOf(worth.absolute(), base) }));
}

interface Piece {
  readonly place: number;
  readonly worth: Exact;
  readonly minus: boolean;
}

function piecesOf(term: Term, base: number): readonly Piece[] {
  const value = term.node.value.rational!;
  return (placesOf(value, base) ?? []).map((worth) => ({
    place: placeOf(worth, base),
    worth: term.minus ? worth.negate() : worth,
    minus: term.minus,
  }));
}

function placeOf(worth: Exact, base: number): number {
  let place = 0;
  while (worth.compare(placeValue(base, place)) < 0) place--;
  while (worth.compare(placeValue(base, place + 1)) >= 0) place++;
  return place;
}

/** Whether the wanted amounts are sums of neighbouring totals, each total once, in any order. */
function areRunsOf(totals: readonly Exact[], wanted: readonly Exact[]): boolean {
  if (wanted.length > totals.length) return false;
  const cuts = (from: number, left: readonly Exact[]): boolean => {
    if (left.length === 0) return from === totals.length;
    let sum = Exact.ZERO;
    for (let to = from; to < totals.length; to++) {
      sum = sum.plus(totals[to]!);
      const at = left.findIndex((amount) => amount.equals(sum));
      if (at >= 0 && cuts(to + 1, [...left.slice(0, at), ...left.slice(at + 1)])) return true;
    }
    return false;
  };
  return cuts(0, wanted);
}
