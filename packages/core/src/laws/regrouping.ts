import { Exact } from '../exact/exact.ts';
import { decimalsNeeded, placeValue } from '../exact/numeral.ts';
import {
  held,
  sameTerms,
  worthOf,
  type Amount,
  type Change,
  type Fault,
  type LawFrame,
} from './law.ts';

/** A part of an amount that goes into another. */
interface Piece {
  readonly from: Amount;
  readonly to: Amount;
  readonly size: Exact;
}

/**
 * Whether amounts are put together by places or taken apart by them: what goes from one amount to another is
 * tens of its place, or one of it that is opened for a smaller place. Amounts against each other are looked at
 * apart. Null when it holds.
 */
export function regroups(change: Change, frame: Places): Fault {
  // A figure of nothing may be among them; what comes into its place may hold its terms too, or not.
  const nothing = held(change.takes.filter(({ worth }) => worth.isZero));
  const apart = { ...frame, spent: new Set([...frame.spent, ...nothing]) };
  const together = togetherFault(change, frame);
  const isLawful =
    together === null ||
    apartFault(change, apart) === null ||
    withoutKept(change).some((rest) => togetherFault(rest, frame) === null);
  return isLawful ? null : together;
}

/** What is left of a change where one amount that stays as it is, of the same terms, is left out; for each such amount. */
function withoutKept({ takes, gives }: Change): readonly Change[] {
  const none: ReadonlySet<string> = new Set();
  return takes.flatMap((take) =>
    gives
      .filter((give) => give.worth.equals(take.worth) && sameTerms(give.terms, take.terms, none))
      .map((give) => ({
        takes: takes.filter((own) => own !== take),
        gives: gives.filter((own) => own !== give),
      })),
  );
}

/** What regrouping is looked at by. */
export interface Places extends Pick<LawFrame, 'base' | 'spent'> {
  /** In a stage of several every amount is as many times as the factors to come say: places cannot be told then. */
  readonly isStage: boolean;
  /** Whether amounts against each other may be put together; on a paper a place may hold both. */
  readonly mayOppose: boolean;
}

/** Everything was put together first and then written by places: every new amount is of all terms. */
function togetherFault({ takes, gives }: Change, frame: Places): Fault {
  const all = held(takes);
  const signs = new Set(takes.map(({ worth }) => worth.isNegative));
  if (signs.size > 1 && !frame.mayOppose) return 'amounts against each other are worked out';
  if (!gives.every(({ terms }) => sameTerms(terms, all, frame.spent))) {
    return 'the terms of the places are not those of what they come from';
  }
  if (frame.isStage) return null;
  return splitFault(
    worthOf(takes),
    gives.map(({ worth }) => worth),
    frame.base,
  );
}

/** Every amount goes by itself into the places that follow from sizes alone. */
function apartFault(change: Change, { base, spent, isStage }: Places): Fault {
  const pieces = piecesOf(change, base);
  for (const take of change.takes) {
    const own = pieces.filter(({ from }) => from === take);
    const place = lastPlace(take.worth, base) ?? 0;
    const goesLower = ({ to, size }: Piece) =>
      to.worth.equals(size) || (lastPlace(to.worth, base) ?? 0) < place;
    if (isStage) continue;
    const fault = splitFault(
      take.worth,
      own.map(({ size }) => size),
      base,
      own.map(goesLower),
    );
    if (fault !== null) return fault;
  }
  for (const give of change.gives) {
    const into = pieces.filter(({ to }) => to === give);
    if (!Exact.sum(into.map(({ size }) => size)).equals(give.worth)) {
      return `nothing goes into ${give.worth}`;
    }
    const from = into.map((piece) => piece.from);
    if (!sameTerms(give.terms, held(from), spent)) {
      return 'the terms of a place are not those of what comes into it';
    }
  }
  return null;
}

/** For each new amount the terms of what goes into it, when every amount goes by itself. */
export function termsByPlaces(change: Change, base: number): readonly ReadonlySet<string>[] {
  const pieces = piecesOf(change, base);
  return change.gives.map((give) =>
    held(pieces.filter(({ to }) => to === give).map(({ from }) => from)),
  );
}

/** From the largest place down: which part of what goes where. */
function piecesOf({ takes, gives }: Change, base: number): readonly Piece[] {
  return [1, -1].flatMap((sign) => {
    const own = (amounts: readonly Amount[]) =>
      amounts
        .filter(({ worth }) => (worth.numerator > 0n ? 1 : -1) === sign)
        .sort((a, b) => byPlace(a.worth, b.worth, base));
    return flow(own(takes), own(gives));
  });
}

/** The larger place first, and of one place the larger amount. */
function byPlace(a: Exact, b: Exact, base: number): number {
  const [left, right] = [lastPlace(a, base) ?? 0, lastPlace(b, base) ?? 0];
  return left === right ? b.absolute().compare(a.absolute()) : right - left;
}

function flow(takes: readonly Amount[], gives: readonly Amount[]): readonly Piece[] {
  const pieces: Piece[] = [];
  let k = 0;
  let room = gives[0]?.worth ?? Exact.ZERO;
  for (const from of takes) {
    let left = from.worth;
    while (!left.isZero && k < gives.length) {
      const size = left.absolute().compare(room.absolute()) < 0 ? left : room;
      pieces.push({ from, to: gives[k]!, size });
      [left, room] = [left.minus(size), room.minus(size)];
      if (room.isZero) room = gives[++k]?.worth ?? Exact.ZERO;
    }
  }
  return pieces;
}

/** An amount falls into parts by places: all but one are tens of its last place, or one of it is opened. */
function splitFault(
  whole: Exact,
  parts: readonly Exact[],
  base: number,
  goesLower: readonly boolean[] = parts.map(() => true),
): Fault {
  if (parts.length < 2) return null;
  if (parts.some((part) => part.isNegative !== whole.isNegative)) {
    return `${whole} is not taken apart, but more and something taken back`;
  }
  const place = lastPlace(whole, base);
  if (place === null) return `${whole} has no last place`;
  const ten = placeValue(base, place + 1);
  const others = parts.filter((part) => !part.dividedBy(ten).isWhole);
  if (others.length <= 1) return null;
  return parts.length === 2 && opensOne(parts, goesLower, place, base)
    ? null
    : `${whole} does not fall into ${parts.join(' and ')} by places`;
}

/** One of a place is opened for a smaller one; ten of it may have been there from a place above. */
function opensOne(
  parts: readonly Exact[],
  goesLower: readonly boolean[],
  place: number,
  base: number,
): boolean {
  return [place, place - 1].some((own) => {
    const one = placeValue(base, own);
    const isOpened = parts.some((part, k) => goesLower[k]! && part.absolute().equals(one));
    return isOpened && parts.every((part) => part.dividedBy(one).isWhole);
  });
}

/** The place of the last figure that is not a zero; null for figures without end, and for zero. */
export function lastPlace(amount: Exact, base: number): number | null {
  const decimals = amount.isZero ? null : decimalsNeeded(amount, base);
  if (decimals === null) return null;
  const figures = amount.times(placeValue(base, decimals)).numerator.toString(base);
  return /0*$/.exec(figures)![0].length - decimals;
}
