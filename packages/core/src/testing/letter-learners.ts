import type { Mind } from './learners.ts';

/** A term with one letter: its number and its power. */
export interface Term {
  readonly count: number;
  readonly power: number;
}

/** A term on a learner's paper, with the address of the product or term of the question that it comes from. */
interface Written extends Term {
  readonly from: string;
  /** How early it stands in the question: the larger the earlier. */
  readonly rank: number;
}

const right = (terms: readonly Term[]) => terms.reduce((sum, { count }) => sum + count, 0);

/** Terms of one kind put together, rightly or as a learner does. */
function together(terms: readonly Term[], slips: (slip: string) => boolean): Term {
  const { power } = terms[0]!;
  const negative = terms.filter(({ count }) => count < 0);
  if (terms.length > 1) {
    if (negative.length > 1 && slips('minus-and-minus-plus')) {
      return { count: right(terms) - 2 * right(negative), power };
    }
    const minus = terms.findIndex(({ count }, k) => k > 0 && count < 0);
    if (minus > 0 && slips('minus-cut-off')) {
      const [before, after] = [terms.slice(0, minus + 1), terms.slice(minus + 1)];
      return { count: right(before) - right(after), power };
    }
    if (slips('exponents-added-in-sum')) {
      const bare = terms.every(({ count }) => count === 1);
      return { count: bare ? 1 : right(terms), power: power * terms.length };
    }
    if (power > 0 && slips('unwritten-one-as-zero')) {
      return { count: right(terms.filter(({ count }) => Math.abs(count) !== 1)), power };
    }
  }
  return { count: right(terms), power };
}

interface Gathering {
  readonly mayMiss: boolean;
  readonly mayJoin: boolean;
}

/** Like terms kind by kind, highest power first. */
function gathered(
  terms: readonly Written[],
  mind: Mind,
  { mayMiss, mayJoin }: Gathering,
): readonly Term[] {
  const powers = [...new Set(terms.map(({ power }) => power))].sort((a, b) => b - a);
  const kinds = powers.map((power) => terms.filter((term) => term.power === power));
  const left = kinds.map((kind, k) => {
    const missed =
      mayMiss && kind.length > 1 && mind.slips('missed-term', addressOf(kinds[k]!), {});
    return missed ? kind.slice(0, -1) : [...kind];
  });
  const line = left.flatMap((kind, k): Term[] => {
    if (kind.length === 0) return [];
    const slips = (slip: string) => mind.slips(slip, addressOf(kinds[k]!), {});
    const next = left[k + 1];
    if (next && next.length > 0 && slips('unlike-gathered')) {
      return [{ count: right([...kind, next.shift()!]), power: powers[k]! }];
    }
    return [together(kind, slips)];
  });
  const shown = line.filter(({ count }) => count !== 0);
  const [first, second] = shown;
  const isPair = shown.length === 2 && first!.power > 0 && second!.power === 0;
  return mayJoin && isPair && mind.slips('sum-joined-to-one-term', 'answer-0', {})
    ? [{ count: first!.count + second!.count, power: first!.power }]
    : shown;
}

/** Where a kind of terms is found: at the first of them in the question, whatever order they were written in. */
const addressOf = (kind: readonly Written[]) =>
  `term-${[...kind].sort((a, b) => b.power - a.power || b.rank - a.rank)[0]!.from}`;

/** How the terms of a question are numbered: the last is 0. */
const numbered = (list: readonly Term[], k: number) => list.length - 1 - k;

/** A learner who multiplies out two brackets. */
export function multipliedOut(
  first: readonly Term[],
  second: readonly Term[],
  mind: Mind,
  order: 'by-first' | 'by-second' = 'by-first',
): readonly Term[] {
  const isSquare =
    first.length === second.length &&
    first.every(({ count, power }, k) => second[k]!.count === count && second[k]!.power === power);
  const squares =
    isSquare && first.length > 1 && mind.slips('middle-terms-forgotten', 'answer-0', {});
  const pairs = first.flatMap((_, i) => second.map((_term, j) => [i, j] as const));
  const inTurn = order === 'by-first' ? pairs : pairs.sort((a, b) => a[1] - b[1] || a[0] - b[0]);
  const products = inTurn.flatMap(([i, j]): Written[] => {
    if (squares && i !== j) return [];
    const from = `${numbered(first, i)}.${numbered(second, j)}`;
    const slips = (slip: string) => mind.slips(slip, `cell-${from}`, {});
    const [a, b] = [first[i]!, second[j]!];
    const rank = numbered(first, i);
    const made = { count: a.count * b.count, power: a.power + b.power, from, rank };
    if (slips('missed-product')) return [];
    if (slips('lost-sign')) return [{ ...made, count: -made.count }];
    if (first.length === 1 && j > 0 && slips('second-not-multiplied'))
      return [{ ...b, from, rank }];
    if (slips('square-as-double')) return [{ ...made, count: 2 * made.count, power: 1 }];
    if (slips('exponents-multiplied')) return [{ ...made, power: a.power * b.power }];
    if (isSquare && i === j && slips('number-not-squared')) return [{ ...made, count: a.count }];
    return [made];
  });
  return gathered(products, mind, { mayMiss: false, mayJoin: true });
}

/** A learner who puts like terms of two brackets together; a bracket that is taken away turns its signs. */
export function likeTogether(
  first: readonly Term[],
  second: readonly Term[],
  sign: 1 | -1,
  mind: Mind,
  way: 'row' | 'columns',
): readonly Term[] {
  const own = (list: readonly Term[], bracket: number, by: number): Written[] =>
    list.map((term, k) => {
      const from = `${bracket}.${numbered(list, k)}`;
      const kept = by < 0 && k > 0 && mind.slips('first-term-only', `term-${from}`, {});
      return { ...term, from, rank: -bracket, count: kept ? term.count : term.count * by };
    });
  const terms = [...own(first, 0, 1), ...own(second, 1, sign)];
  return gathered(terms, mind, { mayMiss: way === 'row', mayJoin: way === 'row' });
}

/** Terms as one text, highest power first: `3x^2-x+4`. */
export function termsText(terms: readonly Term[], letter = 'x'): string {
  const byPower = new Map<number, number>();
  for (const { count, power } of terms) byPower.set(power, (byPower.get(power) ?? 0) + count);
  const parts = [...byPower]
    .filter(([, count]) => count !== 0)
    .sort(([a], [b]) => b - a)
    .map(([power, count]) => {
      const letters = power === 0 ? '' : power === 1 ? letter : `${letter}^${power}`;
      const size = Math.abs(count) === 1 && power > 0 ? '' : `${Math.abs(count)}`;
      return `${count < 0 ? '-' : '+'}${size}${letters}`;
    });
  return parts.join('').replace(/^\+/, '') || '0';
}
