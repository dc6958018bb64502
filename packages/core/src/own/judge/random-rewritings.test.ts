import { Random } from '../../exact/random.ts';
import { NEAR_MISSES } from '../../testing/near-misses.ts';
import {
  Dice,
  drawn,
  isSame,
  MAKERS,
  sum,
  worth,
  written,
  type Tree,
} from '../../testing/rewritings.ts';
import { readAsked } from '../read/asked.ts';
import { judgeLines } from './judge-lines.ts';
import { readLine } from '../read/read-line.ts';

/** Lines made, and worked out, by code that shares nothing with the judge. */

function judged(before: Tree | string, after: Tree | string) {
  const text = (of: Tree | string) => (typeof of === 'string' ? of : written(of));
  const read = readAsked(text(before));
  if (!read.ok) throw new Error(`${text(before)}: ${read.reason}`);
  return judgeLines(read.asked, [`= ${text(after)}`]).lines[0]!;
}

describe('rewritings by one law', () => {
  it.each(Object.keys(MAKERS))('%s: the law is among the readings and comes first', (name) => {
    const dice = new Dice(new Random(11));
    let [among, first] = [0, 0];
    for (let k = 0; k < 60; k++) {
      const { before, after, law } = MAKERS[name]!(dice);
      const { readings, verdict } = judged(before, after);
      expect(verdict).not.toBe('unequal');
      if (readings.some(({ moves }) => moves.some((own) => own.law === law))) among++;
      if (readings[0]?.moves.every((own) => own.law === law)) first++;
    }
    expect(among).toBeGreaterThanOrEqual(59);
    expect(first).toBeGreaterThanOrEqual(51);
  });

  it('are held in 99 of 100, and first in 95', () => {
    const dice = new Dice(new Random(5));
    let [among, first] = [0, 0];
    for (let k = 0; k < 600; k++) {
      const { before, after, law } = drawn(dice);
      const { readings } = judged(before, after);
      if (readings.some(({ moves }) => moves.some((own) => own.law === law))) among++;
      if (readings[0]?.moves.every((own) => own.law === law)) first++;
    }
    expect(among).toBeGreaterThanOrEqual(594);
    expect(first).toBeGreaterThanOrEqual(570);
  });
});

it('finds both laws of two rewritings side by side in 90 of 100, order apart, which is no change of terms', () => {
  const dice = new Dice(new Random(3));
  const names = Object.keys(MAKERS).filter((name) => name !== 'order');
  let [found, count] = [0, 0];
  while (count < 300) {
    const [a, b] = [dice.one(names), dice.one(names)];
    if (a === b) continue;
    const [x, y] = [MAKERS[a]!(dice), MAKERS[b]!(dice)];
    const { readings } = judged(inRow(x.before, y.before), inRow(x.after, y.after));
    const laws = new Set(readings.flatMap(({ moves }) => moves.map(({ law }) => law)));
    if (laws.has(x.law) && laws.has(y.law)) found++;
    count++;
  }
  expect(found).toBeGreaterThanOrEqual(270);
});

/** Two lines as one sum, without brackets that change nothing. */
function inRow(a: Tree, b: Tree): Tree {
  const parts = [a, b].flatMap((tree) =>
    tree.kind === 'sum' ? tree.parts : [{ minus: false, of: tree }],
  );
  return sum(...parts.map(({ minus, of }) => [minus, of] as const));
}

it.each(Object.keys(NEAR_MISSES))('names the false rule of near misses: %s', (id) => {
  const dice = new Dice(new Random(7));
  let [named, wrong] = [0, 0];
  for (let k = 0; k < 40; k++) {
    const { before, after } = NEAR_MISSES[id]!(dice);
    const { verdict, falseRule } = judged(before, after);
    if (verdict !== 'unequal') continue;
    wrong++;
    if (falseRule?.id === id) named++;
  }
  expect(wrong).toBeGreaterThanOrEqual(30);
  expect(named).toBeGreaterThanOrEqual(0.9 * wrong);
});

it('says no more than equal of sums and products that are equal by nothing but their worth, in 990 of 1,000', () => {
  const dice = new Dice(new Random(9));
  let equal = 0;
  for (let k = 0; k < 1000; k++) {
    const [a, b, c, d] = [dice.plain(), dice.plain(), dice.plain(), dice.plain()];
    const total = a * b + c;
    const rest = total - d;
    const after = rest < 0 ? `${total + d} - ${d}` : `${d} + ${rest}`;
    if (judged(`${a} × ${b} + ${c}`, after).verdict === 'equal') equal++;
  }
  expect(equal).toBeGreaterThanOrEqual(990);
});

it('judges 20,000 rewritings equal and 20,000 near misses unequal by just the difference', () => {
  const dice = new Dice(new Random(1));
  const asked = readAsked('1 + 1');
  if (!asked.ok) throw new Error('unread');
  const value = (text: string) => {
    const read = readLine(`= ${text}`, asked.asked);
    if (read.kind !== 'chain') throw new Error(text);
    return read.sides[0]!.value;
  };
  for (let k = 0; k < 20_000; k++) {
    const { before, after } = drawn(dice);
    const [a, b] = [value(written(before)), value(written(after))];
    expect(a.equals(b)).toBe(true);
    const due = worth(before)!;
    expect(isSame(due, worth(after)!)).toBe(true);
    const missed = nearMiss(after, dice);
    const off = worth(missed)!;
    const [top, bottom] = [off.top * due.bottom - due.top * off.bottom, off.bottom * due.bottom];
    const told = value(written(missed)).minus(a).rational!;
    expect(told.numerator * bottom).toBe(top * told.denominator);
    expect(told.isZero).toBe(top === 0n);
  }
});

/** The same line with its last number one larger. */
function nearMiss(tree: Tree, dice: Dice): Tree {
  if (tree.kind === 'number') {
    const value = tree.value.top + BigInt(dice.from(1, 9)) * tree.value.bottom;
    const { bottom } = tree.value;
    const text = bottom === 1n ? `${value}` : `${value}/${bottom}`;
    return { kind: 'number', text, value: { top: value, bottom } };
  }
  if (tree.kind === 'sum') {
    const last = tree.parts.at(-1)!;
    return {
      kind: 'sum',
      parts: [...tree.parts.slice(0, -1), { ...last, of: nearMiss(last.of, dice) }],
    };
  }
  const last = tree.parts.at(-1)!;
  return {
    kind: 'product',
    parts: [...tree.parts.slice(0, -1), { ...last, of: nearMiss(last.of, dice) }],
  };
}
