import type { Entry, Mark, OwedEntry } from '../../account/account.ts';
import { where } from '../../account/chance.ts';
import type { Part } from '../../account/cut.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { PieceSpace } from '../../account/spaces.ts';
import { TermSet } from '../../account/terms.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralText, numeralValue, type Numeral } from '../../exact/numeral.ts';
import { gcd } from '../../exact/rational.ts';
import type { Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import type { Acceptance } from '../method-spec.ts';
import { kindRefused } from '../shared/sums.ts';
import { fracText, worthOf, type Frac } from '../fractions/fraction.ts';
import { sideNumber, spotAt, writing, type Place } from '../fractions/fraction-work.ts';
import { ADDED_WHOLE } from '../fractions/schools.ts';
import { productPhrases } from './product-words.ts';

const { phrase } = productPhrases;

/** The largest number above or below the line that is worked. */
const MOST = 100_000n;

/** Accepts products, or quotients, in which a number is a fraction or a mixed number. */
export function acceptsFactors(kind: 'product' | 'quotient', most = Infinity) {
  return (problem: Problem): Acceptance => {
    if (problem.kind !== kind) return kindRefused(problem);
    if (scriptOf(problem) !== 'fractions') return { ok: false, reason: { code: 'no-fractions' } };
    const operands = problem.operands.length;
    if (operands > most) return { ok: false, reason: { code: 'two-operands-only', operands } };
    const all = problem.operands.map(factorOf);
    const product = (of: (frac: Frac) => bigint) =>
      all.reduce((so, frac) => so * (of(frac) || 1n), 1n);
    const size = [product(({ top }) => top), product(({ bottom }) => bottom)];
    return size.some((own) => own > MOST)
      ? { ok: false, reason: { code: 'denominator-too-large', limit: Number(MOST) } }
      : { ok: true };
  };
}

/** An operand as one fraction: 2 1/3 as 7/3, 5 as 5/1. */
export function factorOf(operand: Numeral): Frac {
  const { digits, base, decimals, fraction } = operand;
  const count = numeralValue({ digits, base, decimals }).numerator;
  if (!fraction) return { top: count, bottom: 1n };
  const [top, bottom] = [fraction.top, fraction.bottom].map((one) => numeralValue(one).numerator);
  return { top: count * bottom! + top!, bottom: bottom! };
}

/** Whether an operand is written as one fraction, with nothing before it. */
function isPlainFraction({ digits, fraction }: Numeral): boolean {
  return fraction !== undefined && digits.every((digit) => digit === 0);
}

/** An operand as one part of the account. */
function wholeCut(operand: Numeral): readonly Part[] {
  return [{ worth: numeralValue(operand), text: numeralText(operand), place: undefined }];
}

/** Opens the account of a product, all of it one term; the factors stand in a row of the paper. */
export function openFactors(scribe: Scribe, { operands }: Problem, row: number): OwedEntry {
  scribe.open(operands.map(wholeCut));
  operands.forEach((_, k) => scribe.give(k, 0, 'operand part', spotAt([row, k])));
  return scribe.owes(...operands.map(() => 0));
}

/** Opens the account of a quotient, all of it one share; dividend and divisor stand in a row of the paper. */
export function openShare(scribe: Scribe, { operands }: Problem, row: number): OwedEntry {
  const space = new PieceSpace(operands.map(wholeCut));
  const terms = TermSet.of(space, 0);
  const owed = { text: space.textOf([0]), worth: space.worthOf([0]), terms };
  const [entry] = scribe.openShares(space, [owed]);
  operands.forEach((operand, k) => {
    const text = numeralText(operand);
    scribe.giveFigure({
      text,
      glyph: text,
      worth: numeralValue(operand),
      terms: k === 0 ? terms : TermSet.empty(space),
      role: 'operand part',
      spot: spotAt([row, k]),
      operand: k,
      place: undefined,
      owed: null,
    });
  });
  return entry!;
}

/** The numbers of a row as they stand, and what all of them together are of the account. */
export interface Row {
  readonly entry: Entry;
  readonly texts: readonly string[];
  readonly all: readonly Frac[];
}

/** A row of numbers that is to be written: those that are new, and how they are worked together. */
export interface RowDraft {
  readonly texts: readonly string[];
  readonly all: readonly Frac[];
  /** Which of them are written anew. */
  readonly written: readonly number[];
  readonly row: number;
  readonly sign: '×' | '÷';
  readonly beside?: readonly Writing[];
}

/** What a row of numbers is worth. */
function worthOfRow(all: readonly Frac[], sign: '×' | '÷'): Exact {
  return all
    .map(worthOf)
    .reduce((made, own) => (sign === '×' ? made.times(own) : made.dividedBy(own)));
}

/**
 * Writes numbers of the computation otherwise. Each by itself is a note; the row is read as one amount, which is what was
 * there before as long as nothing went wrong.
 */
export function writeRow(
  scribe: Scribe,
  before: Entry,
  { texts, all, written, row, sign, beside = [] }: RowDraft,
  step: Pick<Parameters<Scribe['step']>[0], 'law' | 'phase' | 'phrase' | 'about'>,
): Row {
  const glyph = texts.join(` ${sign} `);
  const read: Writing = {
    ...writing('factors', glyph, worthOfRow(all, sign), [row, 0]),
    spot: { area: 'read', row, column: written[0] ?? 0 },
  };
  const [entry] = scribe.step({
    ...step,
    takes: [before],
    writes: [read, ...written.map((k) => factorNote(all[k]!, [row, k])), ...beside],
  });
  return { entry: entry!, texts, all };
}

/** A number of the computation in another writing, beside the others of its row. */
function factorNote(frac: Frac, at: Place): Writing {
  return { ...writing('factor', fracText(frac), Exact.ZERO, at), from: [] };
}

/** Writes every operand as one fraction where one of them is not. */
export function asFractions(
  scribe: Scribe,
  { operands }: Problem,
  owed: Entry,
  { row, sign }: Pick<RowDraft, 'row' | 'sign'>,
): Row {
  let now: Row = { entry: owed, texts: operands.map(numeralText), all: operands.map(factorOf) };
  if (operands.every(isPlainFraction)) return now;
  for (const [k, operand] of operands.entries()) {
    if (!isPlainFraction(operand)) now = improper(scribe, operand, now, { k, row, sign });
  }
  const copied = operands.flatMap((operand, k) => (isPlainFraction(operand) ? [k] : []));
  if (copied.length > 0) {
    scribe.step({
      law: 'scale-both',
      phase: { kind: 'copy' },
      takes: [],
      writes: copied.map((k) => factorNote(now.all[k]!, [row, k])),
      phrase: phrase('factors.copied', { texts: copied.map((k) => fracText(now.all[k]!)) }),
    });
  }
  return now;
}

interface At extends Pick<RowDraft, 'row' | 'sign'> {
  readonly k: number;
}

/** A mixed or whole number as one fraction. */
function improper(scribe: Scribe, operand: Numeral, now: Row, { k, row, sign }: At): Row {
  const own = factorOf(operand);
  const { bottom } = own;
  const count = numeralValue({ ...operand, fraction: undefined }).numerator;
  const top = own.top - count * bottom;
  const may = count > 0n && bottom > 1n && !isNothing(now, k);
  const wrong = scribe.slip(ADDED_WHOLE.id, may, { at: where('operand', k) });
  const made = wrong ? { top: count + top, bottom } : own;
  const all = now.all.with(k, made);
  return writeRow(
    scribe,
    now.entry,
    { texts: now.texts.with(k, fracText(made)), all, written: [k], row, sign },
    {
      law: 'scale-both',
      phase: { kind: operand.fraction ? 'improper' : 'copy' },
      phrase:
        operand.fraction === undefined
          ? phrase('factors.whole', { whole: `${count}` })
          : phrase('fraction.improper', {
              whole: `${count}`,
              top: `${top}`,
              bottom: `${bottom}`,
              made: `${made.top}`,
              slip: wrong ? ADDED_WHOLE.id : '',
            }),
    },
  );
}

/** Whether another number of a row is nothing, so that this one makes no difference. */
function isNothing({ all }: Row, k: number): boolean {
  return all.some(({ top }, other) => other !== k && top === 0n);
}

/** A factor that a top and a bottom have in common, both divided by it. */
interface Cancelled {
  readonly above: number;
  readonly below: number;
  readonly by: bigint;
}

function commonOf(all: readonly Frac[]): Cancelled | null {
  for (const [above, { top }] of all.entries()) {
    for (const [below, { bottom }] of all.entries()) {
      const by = gcd(top, bottom);
      if (by > 1n) return { above, below, by };
    }
  }
  return null;
}

/** Divides tops and bottoms by what they have in common, two numbers at a time, a row each; the next free row too. */
export function cancelled(
  scribe: Scribe,
  before: Row,
  from: number,
): { readonly made: Row; readonly row: number } {
  let made = before;
  let row = from;
  if (made.all.some(({ top }) => top === 0n)) return { made, row };
  const write = (
    all: readonly Frac[],
    by: bigint,
    of: { above: bigint; below: bigint },
    slip = '',
  ) => {
    made = writeRow(
      scribe,
      made.entry,
      {
        texts: all.map(fracText),
        all,
        written: all.map((_, k) => k),
        row,
        sign: '×',
        beside: [sideNumber(`÷${by}`, [row, all.length])],
      },
      {
        law: 'scale-both',
        phase: { kind: 'cancel' },
        about: { by: Exact.of(by) },
        phrase: phrase('factors.cancel', {
          above: `${of.above}`,
          below: `${of.below}`,
          by: `${by}`,
          slip,
        }),
      },
    );
    row += 1;
  };
  const same = sameSide(made.all);
  if (scribe.slip('same-side-cancelled', same !== null, { at: where('answer', 0) }) && same) {
    const { by, first, second } = same;
    const tops = { above: made.all[first]!.top, below: made.all[second]!.top };
    const all = made.all.map(({ top, bottom }, k) =>
      k === first || k === second ? { top: top / by, bottom } : { top, bottom },
    );
    write(all, by, tops, 'same-side-cancelled');
  }
  for (let common = commonOf(made.all); common; common = commonOf(made.all)) {
    const { above, below, by } = common;
    const of = { above: made.all[above]!.top, below: made.all[below]!.bottom };
    const all = made.all.map((frac, k) => ({
      top: k === above ? frac.top / by : frac.top,
      bottom: k === below ? frac.bottom / by : frac.bottom,
    }));
    write(all, by, of);
  }
  return { made, row };
}

/** Two tops with a common factor, where a learner may strike it in both. */
function sameSide(all: readonly Frac[]) {
  for (const [first, one] of all.entries()) {
    for (const [second, other] of all.entries()) {
      if (second <= first) continue;
      const by = gcd(one.top, other.top);
      if (by > 1n) return { first, second, by };
    }
  }
  return null;
}

/** How tops and bottoms are put together: rightly, or as a learner has it. */
export interface Multiplied {
  readonly tops: readonly bigint[];
  readonly bottoms: readonly bigint[];
  readonly slip: string;
}

/** Tops are multiplied, and bottoms; what was owed is written as the one fraction that they make. */
export function multiplied(
  scribe: Scribe,
  owed: Entry,
  { tops, bottoms, slip }: Multiplied,
  row: number,
): { readonly entry: Mark; readonly frac: Frac; readonly row: number } {
  const product = (all: readonly bigint[]) => all.reduce((so, own) => so * own, 1n);
  const frac = { top: product(tops), bottom: product(bottoms) };
  const told = { tops: tops.map(String), bottoms: bottoms.map(String), slip };
  scribe.step({
    law: 'evaluate',
    phase: { kind: 'tops' },
    takes: [],
    writes: [sideNumber(`${tops.join('×')} = ${frac.top}`, [row, 1])],
    phrase: phrase('factors.tops', { ...told, made: `${frac.top}` }),
  });
  const [entry] = scribe
    .step({
      law: 'evaluate',
      phase: { kind: 'bottoms' },
      takes: [owed],
      writes: [
        sideNumber(`${bottoms.join('×')} = ${frac.bottom}`, [row + 1, 1]),
        writing('subtotal', fracText(frac), worthOf(frac), [row + 2, 0]),
      ],
      phrase: phrase('factors.bottoms', { ...told, made: fracText(frac) }),
    })
    .slice(1);
  scribe.group(
    'parts',
    'subtotal',
    [entry!],
    phrase('fraction.named', { name: 'tops over bottoms' }),
  );
  return { entry: entry!, frac, row: row + 3 };
}
