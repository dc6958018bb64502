import { where } from '../../account/chance.ts';
import type { Entry, Mark, Trace } from '../../account/account.ts';
import type { Part } from '../../account/cut.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue, wholeText } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Ruling, Sheet } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { partOf } from '../shared/sums.ts';
import { wholeWriting } from '../shared/whole.ts';
import { halvingPhrases } from './halving-words.ts';
import { acceptsProduct } from './two-factors.ts';

const { phrase } = halvingPhrases;
const TWO = Exact.of(2);

export const halvingDoubling = defineMethod({
  id: 'halving-doubling',
  family: 'multiplication',
  name: 'Halving and doubling',
  shortName: 'Halving, doubling',
  alsoCalled: ['doubling and halving in two columns', 'multiplication by doubling only'],
  summary: 'One factor is halved, the other doubled; the doubles beside odd halves are added.',
  why: 'Half as many, each twice as large, is as much; the doubles kept are those whose powers of two make up the factor.',
  leadsTo: 'Base two: the rows that stay spell the first factor in twos.',
  medium: 'on paper',
  direction: 'row by row downward; the sum at the end',
  freeOrder: false,
  schools: [
    {
      id: 'show',
      label: 'Show',
      options: [
        {
          id: 'strike-even-rows',
          label: 'strike even rows',
          reason: 'Nothing but halving, doubling and looking for odd numbers.',
        },
        {
          id: 'powers-of-two',
          label: 'powers of two beside the doubles',
          reason: 'One list of doubles; which of them are taken shows how the factor is made up.',
        },
      ],
    },
  ],
  slips: [
    slipOf('keep-even'),
    slipOf('strike-odd'),
    slipOf('miss-power'),
    slipOf('stops-before-one'),
    slipOf('odd-half-rounded-up'),
    slipOf('no-row-struck'),
    slipOf('both-columns-halved'),
  ],
  linesLike: { rank: 5, moves: ['factors-moved'] },
  phrases: halvingPhrases.book,
  accepts: acceptsProduct,
  work: (scribe, problem, school) =>
    school['show'] === 'powers-of-two' ? workPowers(scribe, problem) : workRows(scribe, problem),
  sheet,
});

interface Opened {
  readonly left: Exact;
  readonly right: Exact;
  /** The exponents of two that make up the first factor, smallest first. */
  readonly bits: readonly number[];
  readonly owed: ReadonlyMap<number, Entry>;
}

/** Opens the account with the first factor cut into its powers of two and the second whole. */
function openPowers(scribe: Scribe, problem: Problem): Opened {
  const [left, right] = problem.operands.map(numeralValue) as [Exact, Exact];
  const binary = [...left.numerator.toString(2)].reverse();
  const bits = binary.flatMap((bit, k) => (bit === '1' ? [k] : []));
  const powers: readonly Part[] =
    bits.length > 0
      ? bits.map((k) => partOf(power(k), problem.base))
      : [partOf(Exact.ZERO, problem.base)];
  scribe.open([powers, [partOf(right, problem.base)]]);
  scribe.giveWhole(0, { area: 'given', row: 0, column: 0 });
  scribe.giveWhole(1, { area: 'given', row: 0, column: 1 });
  return { left, right, bits, owed: new Map(bits.map((k, i) => [k, scribe.owes(i, 0)])) };
}

function power(exponent: number): Exact {
  return Exact.of(1n << BigInt(exponent));
}

/** Halves and doubles row by row; each row is worth all that is not kept yet. */
function workRows(scribe: Scribe, problem: Problem): Trace {
  const { base } = problem;
  const { left, right, owed } = openPowers(scribe, problem);
  const kept: Mark[] = [];
  const all = [...owed.values()];
  let met = 0;
  let [half, double] = [left.numerator, right];
  let struck: readonly Mark[] = scribe.step({
    law: 'reorder',
    phase: { kind: 'rows' },
    takes: all,
    writes: rowWritings(left, right, 0, base, all),
    phrase: phrase('halving.head', { left, right }),
  });
  let pair: readonly Entry[] = [struck[1]!];
  const slips = columnSlips(scribe, half, double);
  let row = 0;
  for (; half > 1n; row++) {
    const odd = half % 2n === 1n;
    const slip = rowSlip(scribe, row, odd, double);
    const keeps = slips.noneStruck || (odd ? slip !== 'strike-odd' : slip === 'keep-even');
    const rounds = roundsUp(scribe, row, half, double);
    const next: bigint = half / 2n + (rounds ? 1n : 0n);
    const twice: Exact = slips.bothHalved ? Exact.of(double.numerator / 2n) : double.times(TWO);
    const own = owed.get(row);
    if (own) met++;
    const onward = all.slice(met);
    const marks = scribe.step({
      law: odd ? 'distribute' : 'scale-both',
      phase: { kind: 'rows' },
      takes: pair,
      strikes: keeps ? [] : struck,
      writes: [
        ...rowWritings(Exact.of(next), twice, row + 1, base, onward),
        ...(keeps ? [keptWriting(double, row, base, own ? [own] : [])] : []),
      ],
      phrase: phrase('halving.row', {
        left: Exact.of(half),
        right: double,
        half: Exact.of(next),
        double: twice,
        odd,
        slip: slip !== '' ? slip : rounds ? 'odd-half-rounded-up' : slips.said(odd),
      }),
    });
    if (keeps) keep(scribe, kept, marks[2]!, row);
    [half, double] = [next, twice];
    pair = [marks[1]!];
    struck = [marks[0]!, marks[1]!];
  }
  finishRows(scribe, { row, half, double, pair, struck, kept }, base);
  return together(scribe, kept);
}

/** A row of the two columns; the right number stands for as many of it as the left one says. */
function rowWritings(
  left: Exact,
  right: Exact,
  row: number,
  base: number,
  from: readonly Entry[],
): readonly Writing[] {
  const spot = (area: string) => ({ area, row, column: 0 });
  return [
    { ...wholeWriting('halved', left, spot('left'), base), worth: Exact.ZERO, from: [] },
    { ...wholeWriting('doubled', right, spot('right'), base, { from }), worth: left.times(right) },
  ];
}

function rowSlip(scribe: Scribe, row: number, odd: boolean, double: Exact): string {
  const wrong = odd ? 'strike-odd' : 'keep-even';
  return scribe.slip(wrong, !double.isZero, { at: where('row', row) }) ? wrong : '';
}

/** Whether the half of an odd number is rounded up. */
function roundsUp(scribe: Scribe, row: number, half: bigint, double: Exact): boolean {
  const may = half % 2n === 1n && !double.isZero;
  return scribe.slip('odd-half-rounded-up', may, { at: where('row', row) });
}

/** What goes wrong in a whole column: nothing is struck, or the second column grows smaller as well. */
function columnSlips(scribe: Scribe, left: bigint, right: Exact) {
  let even = 0;
  for (let half = left; half > 1n && half % 2n === 1n; half /= 2n) even += 1;
  const isEven = left >> BigInt(even) > 1n;
  const at = where('answer', 0);
  const noneStruck = scribe.slip('no-row-struck', isEven && !right.isZero, { at, ahead: even });
  const bothHalved = scribe.slip('both-columns-halved', left > 1n && !right.isZero, { at });
  const said = (odd: boolean) =>
    bothHalved ? 'both-columns-halved' : noneStruck && !odd ? 'keep-even' : '';
  return { noneStruck, bothHalved, said };
}

interface LastRow {
  readonly half: bigint;
  readonly double: Exact;
  readonly pair: readonly Entry[];
  readonly struck: readonly Mark[];
  readonly kept: Mark[];
  readonly row: number;
}

/** The row of one is kept; a factor of nothing keeps nothing. */
function finishRows(scribe: Scribe, lastRow: LastRow, base: number): void {
  const { half, double, pair, struck, kept, row } = lastRow;
  if (half === 0n) {
    scribe.step({
      law: 'evaluate',
      phase: { kind: 'rows' },
      takes: pair,
      strikes: struck,
      writes: [],
      phrase: phrase('halving.zero', { right: double }),
    });
    return;
  }
  const may = kept.length > 0 && !double.isZero;
  const stopped = scribe.slip('stops-before-one', may, { at: where('row', row) });
  const [mark] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'rows' },
    takes: pair,
    strikes: stopped ? struck : [],
    writes: stopped ? [] : [keptWriting(double, row, base, pair)],
    phrase: phrase('halving.last', { right: double, stopped }),
  });
  if (mark) keep(scribe, kept, mark, row);
}

/** One double list; the powers that make up the factor are ticked from the largest down. */
function workPowers(scribe: Scribe, problem: Problem): Trace {
  const { base } = problem;
  const { left, right, bits, owed } = openPowers(scribe, problem);
  const top = Math.max(0, ...bits);
  for (let row = 0; row <= top; row++) {
    const double = right.times(power(row));
    scribe.step({
      law: 'evaluate',
      phase: { kind: 'doubles' },
      takes: [],
      writes: [
        {
          ...wholeWriting('halved', power(row), { area: 'left', row, column: 0 }, base),
          worth: Exact.ZERO,
        },
        {
          ...wholeWriting('doubled', double, { area: 'right', row, column: 0 }, base),
          worth: Exact.ZERO,
        },
      ],
      phrase: phrase('doubling.row', { power: power(row), double }),
    });
  }
  const kept: Mark[] = [];
  let rest = left;
  for (const row of [...bits].reverse()) {
    const double = right.times(power(row));
    const missed = scribe.slip('miss-power', !right.isZero, { at: where('row', row) });
    rest = rest.minus(power(row));
    const [mark] = scribe.step({
      law: 'evaluate',
      phase: { kind: 'ticks' },
      takes: [owed.get(row)!],
      writes: missed ? [] : [{ ...keptWriting(double, row, base, [owed.get(row)!]), glyph: '✓' }],
      phrase: phrase('doubling.tick', { power: power(row), double, rest, missed }),
    });
    if (mark) keep(scribe, kept, mark, row);
  }
  return together(scribe, kept);
}

/** What is kept of a row is its right number: nothing more is written in the two columns. */
function keptWriting(double: Exact, row: number, base: number, from: readonly Entry[]): Writing {
  return wholeWriting('kept row', double, { area: 'kept', row, column: 0 }, base, {
    glyph: '',
    from,
  });
}

function keep(scribe: Scribe, kept: Mark[], mark: Mark, exponent: number): void {
  kept.push(mark);
  const name = phrase('halving.kept', { power: power(exponent), double: mark.worth });
  scribe.group(`kept-${exponent}`, 'product', [mark], name);
}

function together(scribe: Scribe, kept: readonly Mark[]): Trace {
  const inOrder = [...kept].sort((a, b) => a.spot.row - b.spot.row);
  const to = Exact.sum(inOrder.map(({ worth }) => worth));
  const answer = scribe.step({
    law: 'evaluate',
    phase: { kind: 'together' },
    takes: inOrder,
    writes: [wholeWriting('answer', to, { area: 'answer', row: 0, column: 0 }, scribe.base)],
    phrase: phrase('halving.sum', { parts: inOrder.map(({ worth }) => worth), to }),
  });
  return scribe.close(answer, phrase('halving.answer', {}));
}

/** The question over two columns with a line between, and a row for the sum. */
function sheet(trace: Trace): Sheet {
  const { base } = trace.problem;
  const all = [...trace.givens, ...trace.steps.flatMap(({ gives }) => gives)];
  const widthOf = (fits: (area: string, column: number) => boolean) => {
    const lengths = all.flatMap(({ spot, glyph }) =>
      fits(spot.area, spot.column) ? [glyph.length] : [],
    );
    return Math.ceil(Math.max(1, ...lengths) * 0.7 + 0.2);
  };
  const left = widthOf((area, column) => area === 'left' || (area === 'given' && column === 0));
  const right = Math.max(
    widthOf((area, column) => area === 'right' || (area === 'given' && column === 1)),
    Math.ceil(wholeText(trace.answer, base).length * 0.7 + 0.2),
  );
  const powers = trace.school['show'] === 'powers-of-two';
  const rows = Math.max(...all.map(({ spot }) => spot.row)) + 1;
  const number = (x: number, y: number, width: number) => ({
    x,
    y,
    width,
    height: 1,
    align: 'right' as const,
  });
  const rightX = left + 1;
  const line = (x1: number, y1: number, x2: number, y2: number): Ruling => ({
    kind: 'line',
    x1,
    y1,
    x2,
    y2,
    weight: 'heavy',
  });
  return draftSheet(trace, {
    areas: {
      given: ({ column }) => number(column === 0 ? 0 : rightX, -1, column === 0 ? left : right),
      left: ({ row }) => number(0, row, left),
      right: ({ row }) => number(rightX, row, right),
      kept: ({ row }) =>
        powers ? { x: rightX + right, y: row, width: 1, height: 1 } : number(rightX, row, right),
      answer: () => number(rightX, rows, right),
    },
    slot: (entry) => ({ ...number(rightX, rowOf(entry.worth, trace), right), dot: false }),
    rulings: [
      line(left + 0.5, 0, left + 0.5, rows),
      line(0, 0, rightX + right, 0),
      line(rightX, rows, rightX + right, rows),
    ],
    signs: [{ sign: 'times', x: left, y: -1, width: 1, height: 1 }],
  });
}

/** The row in which a multiple of the second factor stands: its power of two. */
function rowOf(worth: Exact, { problem }: Trace): number {
  const right = numeralValue(problem.operands[1]!);
  if (right.isZero || worth.isZero) return 0;
  return (worth.numerator / right.numerator).toString(2).length - 1;
}
