import { where, type Where } from '../../account/chance.ts';
import type { Entry, Mark, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue, placeValue, type Numeral } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Speaker } from '../../phrases/speaker.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Ruling, Sheet, SheetSign } from '../../sheet/sheet.ts';
import { partOf, placeParts, upTo, wholeCut } from '../shared/sums.ts';
import { wholeWriting } from '../shared/whole.ts';

/** A piece of an addend that is added by itself. */
export interface Piece {
  readonly worth: Exact;
  /** The place it is a count of, when it is one. */
  readonly place: number | undefined;
  /** Whether it is there to land on a round number, and whether it is what was left of a split part. */
  readonly why: 'part' | 'to round' | 'rest' | 'own';
}

type StopValues = {
  readonly from: Exact;
  readonly piece: Exact;
  readonly to: Exact;
  readonly count: number;
  readonly place: number;
  readonly why: string;
  /** The place of which ten become one of the next inside the total; −1 when none do. */
  readonly passes: number;
  readonly slip: string;
};

const stop: Wording<StopValues> = {
  digit: ({ from, piece, to, why, passes, slip }, say) => {
    if (slip === 'skip-part') return `${say.amount(piece)} is passed over.`;
    const sum = `${say.amount(from)} + ${say.amount(piece)} = **${say.amount(to)}**`;
    return `${sum}${tail(why, slip) || (passes < 0 ? '' : `, over the next ${say.places(passes + 1).replace(/s$/, '')}`)}.`;
  },
  value: ({ from, piece, to, count, place, why, passes, slip }, say) => {
    const part = place < 0 ? say.amount(piece) : say.count(count, place);
    if (slip === 'skip-part')
      return `${say.opening(part)} more should come, but they are passed over.`;
    return `${say.amount(from)} and ${part} ${say.is(2)} **${say.amount(to)}**${tail(why, slip) || inside(passes, say)}.`;
  },
};

/** The carry that happens inside the total when a part goes past a round number. */
function inside(passes: number, say: Speaker): string {
  if (passes < 0) return '';
  return `, in which ${say.count(say.base, passes)} have become ${say.count(1, passes + 1)}`;
}

function tail(why: string, slip: string): string {
  if (slip === 'part-as-ones') return ', as if they were ones';
  if (slip === 'whole-part-again') return ', one too far';
  if (why === 'to round') return ', a round number';
  if (why === 'rest') return ', with what is left of the part';
  return '';
}

const phrases = definePhrases({
  'chain.stop': stop,
  'chain.alone': plain(
    ({ from }: { from: Exact }, say) => `Nothing is added: **${say.amount(from)}** stays.`,
  ),
  'chain.so-far': plain(({ to }: { to: Exact }, say) => `the total so far, ${say.amount(to)}`),
  'chain.answer': fixed('the last stop of the chain'),
});

export const chainPhrases = phrases;
const { phrase } = phrases;

/** The parts of an addend at its places, largest first. */
export function placePieces(addend: Numeral): readonly Piece[] {
  return placeParts(addend).map((part) => ({ ...part, why: 'part' }));
}

/**
 * Keeps the first addend whole and adds the pieces of the others to it one by one. `piecesOf` cuts an
 * addend, knowing the total that it is added to.
 */
export function workChain(
  scribe: Scribe,
  { operands, base }: Problem,
  piecesOf: (addend: Numeral, total: Exact) => readonly Piece[],
): Trace {
  const [first, ...others] = operands;
  let reached = numeralValue(first);
  const lists = others.map((addend) => {
    const pieces = piecesOf(addend, reached);
    reached = reached.plus(numeralValue(addend));
    return pieces;
  });
  const cuts = lists.map((pieces) =>
    pieces.map(({ worth, place }) => partOf(worth, base, place)).reverse(),
  );
  scribe.openSum([
    wholeCut(first),
    ...cuts.map((cut) => (cut.length > 0 ? cut : [partOf(Exact.ZERO, base)])),
  ]);
  giveChain(scribe, lists);
  const chain = lists.flatMap((pieces, k) =>
    pieces.map((piece, i) => {
      const part = pieces.length - 1 - i;
      return { piece, owed: scribe.owes(k + 1, part), at: where('term', k + 1, part) };
    }),
  );
  let current: Entry = scribe.owes(0, 0);
  let total = numeralValue(first);
  chain.forEach(({ piece, owed, at }, row) => {
    const made = addPiece(scribe, {
      current,
      total,
      piece,
      owed,
      at,
      row,
      last: row === chain.length - 1,
    });
    current = made.mark;
    total = made.total;
  });
  if (chain.length === 0) current = keepAlone(scribe, current, total);
  return scribe.close([current], phrase('chain.answer', {}));
}

function keepAlone(scribe: Scribe, current: Entry, total: Exact): Mark {
  const [mark] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'chain' },
    takes: [current],
    writes: [wholeWriting('answer', total, stopSpot(0), scribe.base)],
    phrase: phrase('chain.alone', { from: total }),
  });
  return mark!;
}

interface Link {
  readonly current: Entry;
  readonly total: Exact;
  readonly piece: Piece;
  readonly owed: Entry;
  readonly at: Where;
  readonly row: number;
  readonly last: boolean;
}

function addPiece(scribe: Scribe, { current, total, piece, owed, at, row, last }: Link) {
  const { worth, place, why } = piece;
  const { base } = scribe;
  const asOnes = scribe.slip('part-as-ones', why === 'part' && place !== undefined && place > 0, {
    at,
  });
  const again = scribe.slip('whole-part-again', why === 'rest', { at });
  const skipped = scribe.slip('skip-part', !last, { at });
  const count =
    place === undefined ? 0 : Number(worth.dividedBy(placeValue(base, place)).numerator);
  const added = skipped
    ? Exact.ZERO
    : asOnes
      ? Exact.of(count)
      : again
        ? worth.plus(placeValue(base, place!))
        : worth;
  const to = total.plus(added);
  const [mark] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'chain' },
    takes: [current, owed],
    writes: [
      wholeWriting(last ? 'answer' : 'subtotal', to, stopSpot(row), base, {
        hop: { from: total, to },
      }),
    ],
    phrase: phrase('chain.stop', {
      from: total,
      piece: skipped || again ? worth : added,
      to,
      count,
      place: place ?? -1,
      why,
      passes: passing(total, to, place, base),
      slip: skipped ? 'skip-part' : asOnes ? 'part-as-ones' : again ? 'whole-part-again' : '',
    }),
  });
  if (!last) scribe.group(`stop-${row}`, 'subtotal', [mark!], phrase('chain.so-far', { to }));
  return { mark: mark!, total: to };
}

/** The place whose tens are carried inside the total: it goes past a round number of the next place. */
function passing(from: Exact, to: Exact, place: number | undefined, base: number): number {
  if (place === undefined) return -1;
  const gap = upTo(from, base, place + 1);
  return !gap.isZero && from.plus(gap).compare(to) < 0 ? place : -1;
}

function stopSpot(row: number) {
  return { area: 'stop', row, column: 0 };
}

/** The first addend at the head of the stops; every other one with its pieces under each other. */
function giveChain(scribe: Scribe, lists: readonly (readonly Piece[])[]): void {
  scribe.giveWhole(0, { area: 'first', row: 0, column: 0 });
  let row = 0;
  lists.forEach((pieces, k) => {
    if (pieces.length !== 1) scribe.giveWhole(k + 1, { area: 'whole', row, column: 0 });
    pieces.forEach((_, i) => {
      scribe.give(k + 1, pieces.length - 1 - i, 'operand part', { area: 'piece', row, column: 0 });
      row++;
    });
    if (pieces.length === 0) row++;
  });
}

/** Width of a number written whole, in squares. */
function widthOf(texts: readonly string[]): number {
  return Math.max(1, Math.ceil(Math.max(0, ...texts.map((text) => text.length)) * 0.7));
}

/** Three columns: addends that are split, their pieces, and the stops. */
export function chainSheet(trace: Trace): Sheet {
  const textsIn = (area: string) => [
    ...trace.givens.filter(({ spot }) => spot.area === area).map(({ glyph }) => glyph),
    ...trace.steps
      .flatMap(({ gives }) => gives.filter(({ spot }) => spot.area === area))
      .map(({ glyph }) => glyph),
  ];
  const wholes = textsIn('whole');
  const whole = wholes.length > 0 ? widthOf(wholes) + 1 : 0;
  const piece = widthOf(textsIn('piece'));
  const stops = widthOf([...textsIn('stop'), ...textsIn('first')]);
  const [pieceX, stopX] = [whole + 1, whole + piece + 2];
  const at = (x: number, y: number, width: number) => ({ x, y, width, height: 1 });
  const number = (x: number, y: number, width: number) => ({
    ...at(x, y, width),
    align: 'right' as const,
  });
  const rows = trace.givens.filter(({ spot }) => spot.area === 'piece').map(({ spot }) => spot.row);
  const signs = rows.flatMap((row): SheetSign[] => [
    { sign: 'plus', ...at(whole, row + 1, 1) },
    { sign: 'equals', ...at(whole + piece + 1, row + 1, 1) },
  ]);
  return draftSheet(trace, {
    areas: {
      first: () => number(stopX, 0, stops),
      whole: ({ row }) => number(0, row + 1, whole - 1),
      piece: ({ row }) => number(pieceX, row + 1, piece),
      stop: ({ row }) => number(stopX, row + 1, stops),
    },
    rulings: forks(trace, whole),
    signs,
  });
}

/** Lines from a split addend to each of its pieces. */
function forks(trace: Trace, whole: number): readonly Ruling[] {
  return trace.givens
    .filter(({ spot }) => spot.area === 'whole')
    .flatMap(({ operand, spot }) =>
      trace.givens
        .filter((given) => given.spot.area === 'piece' && given.operand === operand)
        .map((given): Ruling => ({
          kind: 'fork',
          x1: whole - 0.9,
          y1: spot.row + 1.5,
          x2: whole + 0.1,
          y2: given.spot.row + 1.5,
          weight: 'thin',
        })),
    );
}
