import type { Exact } from '../../exact/exact.ts';
import { worthAt } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Speaker } from '../../phrases/speaker.ts';

type PlaceValues = {
  /** Digit of the first factor, digit of the second, in turn. */
  readonly digits: readonly string[];
  /** Facts taken for another number: two figures and what they are taken to make, in turn. */
  readonly mistaken: readonly string[];
  readonly carried: number;
  readonly total: number;
  readonly place: number;
  readonly keep: number;
  readonly last: boolean;
  /** Whether a figure is written; a place in front that holds nothing stays empty. */
  readonly written: boolean;
  readonly slip: string;
};

const gathered: Wording<PlaceValues> = {
  digit: ({ digits, mistaken, carried, total, keep, last, written, slip }, say) => {
    const end = tail(slip, mistaken, say);
    const sum = `${pairText(digits, carried, slip, say)} = ${say.number(total)}`;
    if (!written) return `${sum}: nothing is written in front${end}.`;
    if (last || keep === 0) return `${sum}: write **${say.number(total)}**${end}.`;
    return `${sum}: write **${say.number(total % say.base)}**, ${say.passOnFigures(keep)}${end}.`;
  },
  value: ({ digits, mistaken, carried, total, place, keep, last, slip }, say) => {
    const end = tail(slip, mistaken, say);
    const pairs = digits.length / 2;
    const from = `${pairNames(pairs)} of the ${say.places(place)}`;
    const joined =
      carried > 0 && slip !== 'forget-carry'
        ? ` with the ${say.count(carried, place)} ${say.carried}`
        : '';
    const sum = `${from}${joined} ${pairs === 1 && joined === '' ? 'makes' : 'make'} **${say.count(total, place)}**`;
    if (last || keep === 0) return `${sum}${end}.`;
    return `${sum}: write ${say.count(total % say.base, place)}, ${say.passOn(keep, place + 1)}${end}.`;
  },
};

function pairText(digits: readonly string[], carried: number, slip: string, say: Speaker): string {
  const pairs = Array.from(
    { length: digits.length / 2 },
    (_, k) => `${digits[2 * k]}${say.times}${digits[2 * k + 1]}`,
  );
  const joined = carried > 0 && slip !== 'forget-carry' ? [`(${say.number(carried)})`] : [];
  const all = [...pairs, ...joined];
  if (all.length === 0) return 'no pair';
  return all.length > 7
    ? `${pairs.length} products${joined.length > 0 ? ` + ${joined[0]}` : ''}`
    : all.join(' + ');
}

function pairNames(count: number): string {
  if (count === 0) return 'No pair';
  return count === 1 ? 'The one pair' : `The ${count} pairs`;
}

function tail(slip: string, mistaken: readonly string[], say: Speaker): string {
  const facts = Array.from({ length: mistaken.length / 3 }, (_, k) => {
    const [left, right, taken] = mistaken.slice(3 * k, 3 * k + 3);
    return `${left}${say.times}${right} taken for ${taken}`;
  });
  return `${pairTail(slip)}${facts.length > 0 ? `, with ${say.list(facts)}` : ''}`;
}

function pairTail(slip: string): string {
  if (slip === 'forget-carry') return ', and what was held is forgotten';
  if (slip === 'miss-pair') return ', with one pair missed';
  if (slip === 'pair-in-next-place') return ', with a pair of the place below';
  if (slip === 'pair-twice') return ', with one pair counted twice';
  return slip === 'like-places-only' ? ', from straight pairs alone' : '';
}

type RunningValues = {
  readonly digits: readonly string[];
  /** Facts taken for another number: two figures and what they are taken to make, in turn. */
  readonly mistaken: readonly string[];
  readonly count: number;
  readonly place: number;
  readonly from: Exact;
  readonly to: Exact;
  readonly slip: string;
};

const running: Wording<RunningValues> = {
  digit: ({ digits, mistaken, count, place, from, to, slip }, say) => {
    const end = tail(slip, mistaken, say);
    const sum = `${pairText(digits, 0, '', say)} = ${say.number(count)}`;
    if (from.isZero) return `${sum}: that is **${say.amount(to)}** so far${end}.`;
    return `${sum}: ${say.amount(from)} + ${say.amount(worthAt(count, say.base, place))} = **${say.amount(to)}**${end}.`;
  },
  value: ({ digits, mistaken, count, place, from, to, slip }, say) => {
    const end = tail(slip, mistaken, say);
    const pairs = digits.length / 2;
    const sum = `${pairs === 1 ? 'The one pair' : `The ${pairs} pairs`} of the ${say.places(place)} ${pairs === 1 ? 'makes' : 'make'} ${say.count(count, place)}`;
    return from.isZero
      ? `${sum}: **${say.amount(to)}** so far${end}.`
      : `${sum}; with ${say.amount(from)} that is **${say.amount(to)}**${end}.`;
  },
};

export const crosswisePhrases = definePhrases({
  'crosswise.place': gathered,
  'crosswise.running': running,
  'crosswise.pairs': plain(
    ({ place }: { place: number }, say) => `all digit pairs of the ${say.places(place)}`,
  ),
  'crosswise.so-far': plain(({ to }: { to: Exact }, say) => `the total so far, ${say.amount(to)}`),
  'crosswise.answer': fixed('answer of the crosswise product'),
});
