import { Exact } from '../../exact/exact.ts';
import { decimalsNeeded, placeValue } from '../../exact/numeral.ts';
import { numberOf, termValue, type Node, type Term, turned } from '../node.ts';
import { termsText } from '../node-text.ts';
import { move, type Move, type Page, type Recogniser } from '../move.ts';
import { isPlain } from './working.ts';

/** One number becomes several: its places, other parts, or more and a part taken back. */
export const takenApart: Recogniser = (old, made, page) => {
  const apart = apartFrom(old, made);
  if (!apart) return [];
  const { whole, parts, isTurned } = apart;
  const told = (law: Parameters<typeof move>[0]) => [
    move(
      law,
      old,
      made,
      `${termsText([{ minus: false, node: whole }])} = ${termsText(isTurned ? turned(made) : made)}`,
    ),
  ];
  if (whole.kind === 'mixed')
    return isWholeAndPart(whole, made)
      ? [told(['place-value', 'places'])]
      : [told(['evaluate', 'parts'])];
  const value = whole.value.rational!;
  if (arePlacesOf(value, parts, page.base)) return [told(['place-value', 'places'])];
  const signs = new Set(parts.map((part) => part.isNegative));
  return [told(['evaluate', signs.size > 1 ? 'overshoot' : 'parts'])];
};

interface Apart {
  readonly whole: Node;
  /** Signed as beside the whole without its minus. */
  readonly parts: readonly Exact[];
  readonly isTurned: boolean;
}

function apartFrom(old: readonly Term[], made: readonly Term[]): Apart | null {
  const [only, ...more] = old;
  if (!only || more.length > 0 || made.length < 2 || !isPlain(only.node)) return null;
  if (!made.every(({ node }) => isPlain(node))) return null;
  const parts = made.map((term) => {
    const value = termValue(term).rational!;
    return only.minus ? value.negate() : value;
  });
  return { whole: only.node, parts, isTurned: only.minus };
}

function isWholeAndPart(node: Extract<Node, { kind: 'mixed' }>, made: readonly Term[]): boolean {
  const keys = made.map((term) => term.node.key).sort();
  return made.length === 2 && keys.join() === [node.whole.key, node.part.key].sort().join();
}

/** Whether parts are the figures of a number at their places, neighbouring figures perhaps together: 2668 = 2600 + 68. */
export function arePlacesOf(whole: Exact, parts: readonly Exact[], base: number): boolean {
  const places = placesOf(whole, base);
  if (!places || places.length < parts.length) return false;
  if (!parts.every(({ isConstant }) => isConstant)) return false;
  const sorted = [...parts].sort((a, b) => b.compare(a));
  let at = 0;
  for (const part of sorted) {
    let sum = Exact.ZERO;
    while (at < places.length && sum.compare(part) < 0) sum = sum.plus(places[at++]!);
    if (!sum.equals(part)) return false;
  }
  return at === places.length;
}

/** The worths of the figures of a number, largest first, zeros left out; null for what is no number of figures that end. */
export function placesOf(whole: Exact, base: number): readonly Exact[] | null {
  if (!whole.isConstant || whole.isNegative) return null;
  const decimals = decimalsNeeded(whole, base);
  if (decimals === null) return null;
  const figures = whole.times(placeValue(base, decimals)).numerator.toString(base);
  return [...figures].flatMap((glyph, index) => {
    const digit = parseInt(glyph, base);
    const place = figures.length - 1 - index - decimals;
    return digit === 0 ? [] : [placeValue(base, place).times(Exact.of(digit))];
  });
}

/**
 * Two sums of numbers of which the second is what the places of the first make, place by place or a few places
 * together: 38 + 27 as 50 + 15, 642 − 387 as 300 − 45. The line between is all places apart.
 */
export function byPlaces(
  old: readonly Term[],
  made: readonly Term[],
  { base }: Page,
): { readonly moves: readonly Move[]; readonly between: readonly Term[] } | null {
  if (old.length < 2 || made.length < 2) return null;
  if (![...old, ...made].every(({ node }) => node.kind === 'number' && !node.isPercent))
    return null;
  const pieces = old.flatMap((term) => piecesOf(term, base));
  if (pieces.length <= old.length) return null;
  const places = [...new Set(pieces.map(({ place }) => place))].sort((a, b) => b - a);
  const totals = places.map((place) =>
    Exact.sum(pieces.filter((piece) => piece.place === place).map(({ worth }) => worth)),
  );
  const wanted = made.map((term) => termValue(term).rational!);
  if (!areRunsOf(totals, wanted)) return null;
  const between = pieces.map(({ minus, worth }) => ({
    minus,
    node: numberOf(worth.isNegative ? worth.negate() : worth, base),
  }));
  return {
    moves: [
      move(['place-value', 'places'], old, between),
      move(['evaluate', 'worked-out'], between, made),
    ],
    between,
  };
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
