import { Exact } from '../../exact/exact.ts';
import { numberText } from '../../exact/numeral.ts';
import { isFarUp, NAMED_RULES } from './named-rules.ts';
import {
  BY,
  constantRow,
  isSameRow,
  MINUS,
  named,
  PLUS,
  rowOf,
  TIMES,
  type Origin,
  type Row,
  type Sign,
} from './symbols.ts';

/** How far-fetched each origin is; what stands in the step itself comes before what stands elsewhere on the page. */
const COST = {
  copy: 0,
  rule: 2,
  scaled: 3,
  pair: 3,
  three: 5,
  shifted: 8,
  own: 9,
  hundred: 2.5,
  ten: 6,
  one: 1.5,
};
const FAR = 3;
const BELOW = 2;
const DERIVED = 1;
const MOST = 24;

/** What is known of a number whose origin is asked. */
export interface Asking {
  readonly value: Exact;
  /** Where it stands in a fraction. */
  readonly bar: 'above' | 'below' | null;
  /** Whether origins of three numbers are looked at: there are many of them. */
  readonly threes: boolean;
  /** Whether it stands in a statement of its own, where numbers are chosen freely. */
  readonly isChosen: boolean;
  /** How many rows of numbers there are. */
  readonly length: number;
}

/** Where a number may come from, likeliest first: each origin is worth it here. */
export function originsOf(
  { value, bar, threes: hasThrees, isChosen, length }: Asking,
  near: readonly Sign[],
  far: readonly Sign[],
): readonly Origin[] {
  const found: Origin[] = [];
  const add = (rule: string, row: Row, cost: number) => {
    if (row[0]?.equals(value)) found.push({ rule, row, cost });
  };
  for (const [signs, more] of [
    [near, 0],
    [far, FAR],
  ] as const) {
    for (const sign of signs) {
      // What stands below a bar comes from what stood below others, not from so many times one of them.
      const isDerived = sign.rule !== null;
      const changed = more + (bar === 'below' ? BELOW : 0) + (isDerived ? DERIVED : 0);
      add(named(sign), sign.row, COST.copy + more);
      byRule(sign, value, changed, add);
      scaled(sign, value, changed, add);
    }
  }
  const all = [...near, ...far];
  const moreOf = (...signs: readonly Sign[]) =>
    signs.every((own) => near.includes(own)) ? 0 : FAR;
  for (const a of all) {
    for (const b of all) {
      if (a !== b) pairs(a, b, { value, bar }, moreOf(a, b), add);
      else add(`${named(a)} × ${named(a)}`, rowOf(a.row, a.row, TIMES), COST.pair + moreOf(a));
    }
  }
  const three = hasThrees ? near : [];
  for (const a of three) {
    for (const b of three) {
      for (const c of three) {
        if (a !== b && b !== c && a !== c) threes([a, b, c], value, add);
      }
    }
  }
  add(numberText(value, 10), constantRow(value, length), ownCost(value.toString(), isChosen));
  return distinct(found).slice(0, MOST);
}

function ownCost(value: string, isChosen: boolean): number {
  if (value === '1' || (isChosen && /^10+$/.test(value))) return COST.one;
  if (value === '10') return COST.ten;
  return /^10+$/.test(value) ? COST.hundred : COST.own;
}

type Add = (rule: string, row: Row, cost: number) => void;

function byRule(sign: Sign, value: Exact, more: number, add: Add): void {
  const [own] = sign.row;
  if (!own) return;
  NAMED_RULES.forEach((rule, k) => {
    const { id, takes, of, guess } = rule;
    if (takes !== 1 || isFarUp(rule, own, value) || !of(own)?.equals(value)) return;
    const row = sign.row.map((one) => (one === null ? null : of(one)));
    add(`${id}(${named(sign)})`, row, COST.rule + guess + k / 100 + more);
  });
}

const MOST_SCALE = Exact.of(10);

/** So many times another number, or another number taken so many times smaller; last of all so much more or less. */
function scaled(sign: Sign, value: Exact, more: number, add: Add): void {
  const [own] = sign.row;
  if (!own || own.isZero || !own.isConstant || !value.isConstant || value.isZero) return;
  const by = (row: Row, put: typeof TIMES, count: Exact) =>
    rowOf(row, constantRow(count, row.length), put);
  const [up, down] = [value.dividedBy(own), own.dividedBy(value)];
  const isScale = (count: Exact) =>
    count.isWhole &&
    (count.compare(MOST_SCALE) < 0 || /^10*$/.test(count.toString())) &&
    count.compare(Exact.ONE) > 0;
  if (isScale(up)) add(`${up} × ${named(sign)}`, by(sign.row, TIMES, up), COST.scaled + more);
  if (isScale(down)) add(`${named(sign)} ÷ ${down}`, by(sign.row, BY, down), COST.scaled + more);
  const shift = value.minus(own);
  if (shift.isZero) return;
  const size = numberText(shift.absolute(), 10);
  const text = `${named(sign)} ${shift.isNegative ? '−' : '+'} ${size}`;
  const isOne = shift.absolute().equals(Exact.ONE);
  add(text, by(sign.row, PLUS, shift), (isOne ? COST.scaled : COST.shifted) + more);
}

function pairs(
  a: Sign,
  b: Sign,
  { value, bar }: Pick<Asking, 'value' | 'bar'>,
  more: number,
  add: Add,
): void {
  const [x, y] = [a.row[0], b.row[0]];
  if (!x || !y) return;
  const put = (text: string, pair: typeof PLUS) => {
    if (pair(x, y)?.equals(value)) add(text, rowOf(a.row, b.row, pair), COST.pair + more);
  };
  const [left, right] = [named(a), named(b)];
  if (a.id < b.id) {
    put(`${left} + ${right}`, PLUS);
    put(`${left} × ${right}`, TIMES);
  }
  put(`${left} − ${right}`, MINUS);
  put(`${left} ÷ ${right}`, BY);
  NAMED_RULES.forEach(({ id, takes, of, guess, only }) => {
    if (takes !== 2 || (only && only !== bar) || !of(x, y)?.equals(value)) return;
    const row = rowOf(a.row, b.row, (one, other) => of(one, other));
    add(`${id}(${left}, ${right})`, row, COST.pair + guess + more);
  });
}

/** `a + (b − c)`, `a − (b − c)`, `a × (b ÷ c)`, `a ÷ (b ÷ c)`. */
function threes([a, b, c]: readonly [Sign, Sign, Sign], value: Exact, add: Add): void {
  const [x, y, z] = [a.row[0], b.row[0], c.row[0]];
  if (!x || !y || !z) return;
  const put = (text: string, outer: typeof PLUS, inner: typeof PLUS, more = 0) => {
    const between = inner(y, z);
    if (!between || between.isNegative || !outer(x, between)?.equals(value)) return;
    add(text, rowOf(a.row, rowOf(b.row, c.row, inner), outer), COST.three + more);
  };
  const [left, middle, right] = [named(a), named(b), named(c)];
  put(`${left} + (${middle} − ${right})`, PLUS, MINUS);
  put(`${left} − (${middle} − ${right})`, MINUS, MINUS);
  put(`${left} − (${middle} + ${right})`, MINUS, PLUS);
  put(`${left} × (${middle} ÷ ${right})`, TIMES, BY);
  put(`${left} ÷ (${middle} ÷ ${right})`, BY, BY, 0.1);
  put(`${left} + ${middle} × ${right}`, PLUS, TIMES);
  put(`${left} − ${middle} × ${right}`, MINUS, TIMES);
  put(`(${middle} − ${right}) ÷ ${left}`, (one, other) => BY(other, one), MINUS);
}

/** Cheapest first, and of those that come to the same everywhere the cheapest. */
function distinct(found: readonly Origin[]): readonly Origin[] {
  const sorted = [...found].sort((a, b) => a.cost - b.cost);
  const kept: Origin[] = [];
  for (const one of sorted)
    if (!kept.some((other) => isSameRow(one.row, other.row))) kept.push(one);
  return kept;
}
