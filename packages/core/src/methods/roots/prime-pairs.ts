import { where } from '../../account/chance.ts';
import type { Mark, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue, wholeText } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet, SheetLink } from '../../sheet/sheet.ts';
import { defineMethod } from '../method.ts';
import type { Acceptance } from '../method-spec.ts';
import { primesOf } from '../shared/primes.ts';
import { NumberLength } from '../shared/number-length.ts';
import { marksIn } from '../shared/place-columns.ts';
import { kindRefused } from '../shared/sums.ts';
import { rootPhrases } from './root-words.ts';
import { BOTH_OUT, PAIRS_ADDED, UNPAIRED_LOST } from './schools.ts';

const { phrase } = rootPhrases;

/** The largest number whose primes are looked for. */
const MOST = 10n ** 12n;

export const primePairs = defineMethod({
  id: 'prime-pairs',
  family: 'roots',
  name: 'Prime factors in pairs',
  shortName: 'Prime pairs',
  alsoCalled: ['factoring the root', 'taking out squares'],
  summary:
    'The number is divided by primes; of every pair of equal ones one comes out, what has no partner stays under the root.',
  why: 'The root of a product of squares is the product of their sides.',
  leadsTo: 'Simplifying roots, which can then be put together as like terms are.',
  medium: 'on paper',
  direction: 'from the smallest prime up; then pair by pair',
  freeOrder: false,
  schools: [],
  slips: [BOTH_OUT, UNPAIRED_LOST, PAIRS_ADDED],
  linesLike: { rank: 12, moves: ['pair-factors'] },
  phrases: rootPhrases.book,
  accepts,
  work,
  sheet,
});

function accepts(problem: Problem): Acceptance {
  if (problem.kind !== 'root') return kindRefused(problem);
  const value = numeralValue(problem.operands[0]);
  if (!value.isWhole) return { ok: false, reason: { code: 'not-whole' } };
  return value.numerator > MOST
    ? { ok: false, reason: { code: 'too-large-for-primes', limit: String(MOST) } }
    : { ok: true };
}

function work(scribe: Scribe, problem: Problem): Trace {
  const radicand = problem.operands[0];
  const total = numeralValue(radicand);
  const ladder = new Ladder(scribe, total, wholeText(total, radicand.base));
  if (total.numerator < 2n) return ladder.single();
  for (const prime of primesOf(total.numerator)) ladder.divide(prime);
  return ladder.takeOut();
}

/** The number over the quotients that its primes leave; all of it stays what the account holds. */
class Ladder {
  private readonly base: number;
  private number: bigint;
  private row = 0;
  private live: Parameters<Scribe['step']>[0]['takes'];
  private readonly primes: { readonly value: bigint; readonly mark: Mark }[] = [];

  constructor(
    private readonly scribe: Scribe,
    private readonly total: Exact,
    text: string,
  ) {
    this.base = scribe.base;
    this.number = total.numerator;
    const length = new NumberLength(total, [], this.base);
    const terms = length.between(Exact.ZERO, total);
    const [owed] = scribe.openShares(length.space, [{ text, worth: total, terms }]);
    scribe.giveFigure({
      text,
      glyph: text,
      worth: total,
      terms,
      role: 'operand part',
      spot: { area: 'ladder', row: 0, column: 0 },
      operand: 0,
      place: undefined,
      owed: owed!.id,
    });
    this.live = [owed!];
  }

  /** 0 and 1 have no primes; each is its own root. */
  single(): Trace {
    const text = this.text(this.number);
    const [answer] = this.scribe.step({
      law: 'evaluate',
      phase: { kind: 'out' },
      about: { root: { out: this.total, under: Exact.ONE } },
      takes: this.live,
      writes: [this.whole('answer', text, this.total, { area: 'answer', row: 0, column: 0 })],
      phrase: phrase('root.single', { number: this.total }),
    });
    return this.scribe.close([answer!], phrase('root.answer', {}));
  }

  divide(prime: bigint): void {
    const rest = this.number / prime;
    const [side, next] = this.scribe.step({
      law: 'pair-factors',
      phase: { kind: 'primes' },
      takes: this.live,
      writes: [
        this.aside('prime', this.text(prime), this.row, 1),
        this.whole('ladder number', this.text(rest), this.total, {
          area: 'ladder',
          row: this.row + 1,
          column: 0,
        }),
      ],
      phrase: phrase('root.prime', {
        number: Exact.of(this.number),
        prime: Exact.of(prime),
        rest: Exact.of(rest),
      }),
    });
    this.primes.push({ value: prime, mark: side! });
    this.number = rest;
    this.live = [next!];
    this.row += 1;
  }

  /** Equal primes in pairs, one of each taken out; the rest stays under the root. */
  takeOut(): Trace {
    const out: bigint[] = [];
    const alone: bigint[] = [];
    for (let k = 0; k < this.primes.length; k++) {
      const { value } = this.primes[k]!;
      if (this.primes[k + 1]?.value === value) out.push(...this.pair(value, ++k));
      else alone.push(value);
    }
    const lost = this.scribe.slip(UNPAIRED_LOST.id, alone.length > 0, {
      at: where('answer', 0),
    });
    const product = out.reduce((made, one) => made * one, 1n);
    const sum = out.reduce((made, one) => made + one, 0n);
    const added = this.scribe.slip(PAIRS_ADDED.id, out.length > 1 && sum !== product, {
      at: where('answer', 0),
    });
    const root = added ? sum : product;
    const under = alone.reduce((made, one) => made * one, 1n);
    const inside = lost ? 1n : under;
    const text = rootText(this.text(root), this.text(inside));
    const worth = Exact.of(root * root * inside);
    const [answer] = this.scribe.step({
      law: 'pair-factors',
      phase: { kind: 'out' },
      about: {
        primes: { out: out.map((one) => Exact.of(one)), inside: alone.map((one) => Exact.of(one)) },
        root: { out: Exact.of(root), under: Exact.of(inside) },
      },
      takes: this.live,
      writes: [this.whole('answer', text, worth, { area: 'answer', row: this.row + 1, column: 0 })],
      phrase: phrase('root.out', {
        out: out.map((one) => Exact.of(one)),
        root: Exact.of(root),
        inside: alone.map((one) => Exact.of(one)),
        under: Exact.of(under),
        text,
        slip: lost ? UNPAIRED_LOST.id : added ? PAIRS_ADDED.id : '',
      }),
    });
    return this.scribe.close([answer!], phrase('root.answer', {}));
  }

  /** One of a pair is written out at the row of its second; the slip takes both. */
  private pair(prime: bigint, second: number): readonly bigint[] {
    const both = this.scribe.slip(BOTH_OUT.id, true, {
      at: where('row', second),
      ahead: this.pairsAfter(second),
    });
    const text = this.text(prime);
    this.scribe.step({
      law: 'pair-factors',
      phase: { kind: 'pairs' },
      takes: [],
      strikes: [this.primes[second - 1]!.mark, this.primes[second]!.mark],
      writes: [this.aside('prime', both ? `${text} × ${text}` : text, second, 2)],
      phrase: phrase('root.pair', { prime: Exact.of(prime), slip: both ? BOTH_OUT.id : '' }),
    });
    return both ? [prime, prime] : [prime];
  }

  /** How many more pairs are taken out once the one that ends at a row is. */
  private pairsAfter(row: number): number {
    let pairs = 0;
    for (let k = row + 1; k + 1 < this.primes.length; k++) {
      if (this.primes[k]!.value !== this.primes[k + 1]!.value) continue;
      pairs += 1;
      k += 1;
    }
    return pairs + 1;
  }

  private text(value: bigint): string {
    return value.toString(this.base).toUpperCase();
  }

  private whole(role: Mark['role'], glyph: string, worth: Exact, spot: Mark['spot']): Writing {
    return { role, count: 0, place: 0, glyph, worth, spot };
  }

  private aside(role: Mark['role'], glyph: string, row: number, column: number): Writing {
    const spot = { area: 'ladder', row, column };
    return { ...this.whole(role, glyph, Exact.ZERO, spot), from: [] };
  }
}

/** `86`, `6√2`, `√15`. */
function rootText(root: string, under: string): string {
  if (under === '1') return root;
  return `${root === '1' ? '' : root}√${under}`;
}

function sheet(trace: Trace): Sheet {
  const written = [...trace.givens, ...marksIn(trace, 'ladder')];
  const wide = (column: number, least: number) =>
    Math.max(
      least,
      ...written
        .filter(({ spot }) => spot.column === column)
        .map(({ glyph }) => glyph.length * 0.72 + 0.2),
    );
  const [numbers, primes, outs] = [wide(0, 1.5), wide(1, 1.5), wide(2, 1.5)];
  const rows = Math.max(...written.map(({ spot }) => spot.row)) + 1;
  const from = [0, numbers + 0.4, numbers + primes + 1.6];
  const widths = [numbers, primes, outs];
  const answer = marksIn(trace, 'answer')[0]!;
  return draftSheet(trace, {
    areas: {
      ladder: ({ row, column }) => ({
        x: from[column]!,
        y: row,
        width: widths[column]!,
        height: 1,
        ...(column === 0 ? { align: 'right' as const } : { ringed: column === 2 }),
      }),
      answer: () => ({
        x: 0,
        y: rows + 0.4,
        width: Math.max(numbers, answer.glyph.length * 0.75 + 0.6),
        height: 1,
        ringed: true,
      }),
    },
    rulings:
      rows > 1
        ? [{ kind: 'line', x1: numbers + 0.2, y1: 0, x2: numbers + 0.2, y2: rows, weight: 'heavy' }]
        : [],
    signs: [{ sign: 'equals', x: -1, y: rows + 0.4, width: 1, height: 1, with: answer.id }],
    links: pairLinks(trace, from[1]! + primes),
  });
}

/** A bow at the right of two equal primes, from the step on that pairs them. */
function pairLinks(trace: Trace, x: number): readonly SheetLink[] {
  return trace.steps.flatMap(({ number, phase, gives }): SheetLink[] => {
    const row = gives[0]?.spot.row;
    if (phase.kind !== 'pairs' || row === undefined) return [];
    return [{ step: number, stays: true, across: 0.5, x1: x, y1: row - 0.5, x2: x, y2: row + 0.5 }];
  });
}
