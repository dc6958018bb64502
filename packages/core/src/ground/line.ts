import type { Entry, EntryId, Trace } from '../account/account.ts';
import { ledgerAt, tally } from '../account/ledger.ts';
import type { TermSet } from '../account/terms.ts';
import { Exact } from '../exact/exact.ts';
import { figuresText, fractionFigures } from '../exact/fraction-figures.ts';
import { numberText, placeValue } from '../exact/numeral.ts';
import { amountWriter } from '../problem/script.ts';
import { scriptOf } from '../problem/script.ts';

/** A live entry as a length on the line. */
export interface LineSegment {
  readonly entry: EntryId;
  readonly text: string;
  readonly standing: 'owed' | 'marked';
  readonly held: boolean;
  readonly from: Exact;
  readonly to: Exact;
  /** For a place that was opened, the length of one of what it now counts: 13 tens have ticks every 10. */
  readonly unit: Exact | null;
}

/** A hop made so far, with the mark that tells of it. */
export interface LineHop {
  readonly entry: EntryId;
  readonly text: string;
  readonly from: Exact;
  readonly to: Exact;
}

/**
 * An account drawn as lengths at one moment: what counts for it laid end to end from zero, what counts
 * against it from zero beneath, and the stretch by which the one is longer, which is the total. A sum
 * has nothing beneath. Every lawful step keeps the stretch as long as it is; the same change slides it.
 */
export interface LineMoment {
  readonly plus: readonly LineSegment[];
  readonly minus: readonly LineSegment[];
  readonly stretch: { readonly from: Exact; readonly to: Exact };
  readonly hops: readonly LineHop[];
}

/** The line of a trace once `step` steps are done. */
export function lineAt(trace: Trace, step: number): LineMoment {
  const live = liveEntries(trace, step);
  const plus = laid(
    trace,
    live.filter(({ worth }) => worth.numerator > 0n),
  );
  const minus = laid(
    trace,
    live.filter(({ worth }) => worth.isNegative),
  );
  const from = minus.at(-1)?.to ?? Exact.ZERO;
  const to = plus.at(-1)?.to ?? Exact.ZERO;
  return { plus, minus, stretch: { from, to }, hops: hopsUpTo(trace, step) };
}

/** The least and the greatest number that any moment of these traces reaches on the line. */
export function lineExtent(traces: readonly Trace[]): {
  readonly low: Exact;
  readonly high: Exact;
} {
  let [low, high] = [Exact.ZERO, Exact.ZERO];
  const reach = (at: Exact) => {
    if (at.compare(low) < 0) low = at;
    if (at.compare(high) > 0) high = at;
  };
  for (const trace of traces) {
    const plus = tally(trace, ({ worth }) => (worth.numerator > 0n ? worth : null));
    const minus = tally(trace, ({ worth }) => (worth.isNegative ? worth.negate() : null));
    [...plus, ...minus].forEach(reach);
    for (const { hop } of trace.steps.flatMap(({ gives }) => gives)) {
      if (hop) [hop.from, hop.to].forEach(reach);
    }
  }
  return { low, high };
}

/** The entries that are live once `step` steps are done and worth something. */
export function liveEntries(trace: Trace, step: number): readonly Entry[] {
  return [...ledgerAt(trace, step).live.values()].filter(({ worth }) => !worth.isZero);
}

function laid(trace: Trace, entries: readonly Entry[]): readonly LineSegment[] {
  let at = Exact.ZERO;
  const order = new Map(entries.map((entry) => [entry.id, positionOf(entry.terms)]));
  const size = ({ worth }: Entry) => worth.absolute();
  return [...entries]
    .sort((a, b) => order.get(a.id)! - order.get(b.id)! || size(b).compare(size(a)))
    .map((entry) => {
      const from = at;
      at = at.plus(size(entry));
      return {
        entry: entry.id,
        text: lengthText(entry, size(entry), trace),
        standing: entry.standing,
        held: entry.standing === 'marked' && entry.medium === 'head',
        from,
        to: at,
        unit: unitOf(entry, trace),
      };
    });
}

/** Operand by operand, the largest part first; amounts that are of no term come last. */
function positionOf(terms: TermSet): number {
  let first = Infinity;
  const { space } = terms;
  for (const index of terms.indices()) {
    const [operand = 0, part = 0] = space.parts(index);
    const parts = space.cuts[operand]!.length;
    first = Math.min(first, operand * 10_000 + (parts - 1 - part));
  }
  return first;
}

/** A fraction as it is written on the paper at this moment, any other length in figures. */
function lengthText(entry: Entry, size: Exact, { problem }: Trace): string {
  const figures = scriptOf(problem) === 'fractions' ? fractionFigures(entry.text) : null;
  return figures ? figuresText(figures) : amountWriter(problem)(size);
}

/** One of the parts that a fraction counts, so that its length is cut by its denominator. */
function partOf({ text, worth }: Entry): Exact | null {
  const unit = Exact.of(1n, fractionFigures(text)?.bottom ?? 1n);
  const count = worth.dividedBy(unit);
  const size = count.isNegative ? -count.numerator : count.numerator;
  return size > 1n && size <= MOST_CUTS && count.isWhole ? unit : null;
}

/** The most pieces that a length is cut into, so that the cuts can still be seen. */
const MOST_CUTS = 60n;

function unitOf(entry: Entry, trace: Trace): Exact | null {
  if (scriptOf(trace.problem) === 'fractions') return partOf(entry);
  const {
    problem: { base },
    scale,
  } = trace;
  if (entry.standing !== 'marked' || entry.role !== 'regrouped digit') return null;
  const decimals = scale?.decimals ?? 0;
  const figures = entry.worth.times(placeValue(base, decimals)).numerator.toString(base);
  const zeros = /0*$/.exec(figures)![0].length;
  const unit = placeValue(base, (entry.place ?? zeros) - decimals);
  return entry.worth.compare(unit.times(Exact.of(base))) >= 0 ? unit : null;
}

function hopsUpTo(trace: Trace, step: number): readonly LineHop[] {
  return trace.steps.slice(0, step).flatMap(({ gives }) =>
    gives.flatMap((mark): LineHop[] => {
      if (!mark.hop || mark.hop.from.equals(mark.hop.to)) return [];
      const { from, to } = mark.hop;
      const by = to.minus(from);
      const text = `${by.isNegative ? '' : '+'}${numberText(by, trace.problem.base)}`;
      return [{ entry: mark.id, text, from, to }];
    }),
  );
}
