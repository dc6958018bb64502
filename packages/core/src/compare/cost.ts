import type { EntryId, Mark, Trace } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import { isOneNumber } from './amounts.ts';

/** What a method costs on one problem. Every figure is counted from the trace, none is estimated. */
export interface Cost {
  /** Owed products of two digits that are worked out, zeros included. */
  readonly facts: number;
  /** Times one amount other than zero is added to another. */
  readonly additions: number;
  /** Carries written or held. */
  readonly carries: number;
  /** Figures written on paper, the question's own not counted. */
  readonly figures: number;
  /** Rows of the paper that hold written figures. */
  readonly lines: number;
  /** Runs of steps of one phase: how often the work starts over somewhere else. */
  readonly passes: number;
  readonly steps: number;
  /** The most numbers held in the head at once, and the largest figure held. */
  readonly heldAtOnce: number;
  readonly largestHeld: Exact;
  /** The largest number written whole: a mark or a line read together. */
  readonly largestWritten: Exact;
  /**
   * The first step after which what is still owed cannot change the leading figure of the answer,
   * when all that is known of an owed product of two digits is that it lies below base² of its place.
   */
  readonly leadingCertainAt: number;
}

export function cost(trace: Trace): Cost {
  const owed = new Set<EntryId>(trace.start.map((entry) => entry.id));
  const marks = trace.steps.flatMap((step) => step.gives);
  const paper = marks.filter((mark) => mark.medium === 'paper');
  const held = heldLoad(trace);
  return {
    facts: count(
      trace.steps.flatMap((step) => step.takes),
      (id) => owed.has(id),
    ),
    additions: additions(trace),
    carries: count(marks, (mark) => mark.role === 'carry'),
    figures: paper.reduce((total, mark) => total + mark.glyph.length, 0),
    lines: new Set(paper.map((mark) => `${mark.spot.area} ${mark.spot.row}`)).size,
    passes: count(trace.steps, (step, i) => step.phase !== trace.steps[i - 1]?.phase),
    steps: trace.steps.length,
    heldAtOnce: held.most,
    largestHeld: held.largest,
    largestWritten: largest(
      [...paper, ...trace.groups.filter(isOneNumber)].map(({ worth }) => worth),
    ),
    leadingCertainAt: leadingCertainAt(trace),
  };
}

function count<T>(items: readonly T[], test: (item: T, index: number) => boolean): number {
  return items.reduce((total, item, i) => total + (test(item, i) ? 1 : 0), 0);
}

function largest(amounts: readonly Exact[]): Exact {
  return amounts.reduce((most, worth) => (worth.compare(most) > 0 ? worth : most), Exact.ZERO);
}

function additions(trace: Trace): number {
  const zero = new Set(
    [...trace.start, ...trace.steps.flatMap((step) => step.gives)]
      .filter((entry) => entry.worth.isZero)
      .map((entry) => entry.id),
  );
  return trace.steps
    .filter((step) => step.law !== 'reorder')
    .reduce((total, { takes }) => total + Math.max(0, count(takes, (id) => !zero.has(id)) - 1), 0);
}

function heldLoad(trace: Trace): { most: number; largest: Exact } {
  const inHead = new Map<EntryId, Mark>();
  let most = 0;
  let greatest = Exact.ZERO;
  for (const step of trace.steps) {
    for (const id of step.takes) inHead.delete(id);
    for (const mark of step.gives.filter((given) => given.medium === 'head')) {
      inHead.set(mark.id, mark);
      const figure = Exact.of(BigInt(parseInt(mark.glyph, trace.problem.base)));
      if (figure.compare(greatest) > 0) greatest = figure;
    }
    most = Math.max(most, inHead.size);
  }
  return { most, largest: greatest };
}

/** Bounds an owed product of two digits by the base's square over it, then walks the account. */
function leadingCertainAt(trace: Trace): number {
  const { base } = trace.problem;
  const worth = new Map<EntryId, bigint>();
  const bound = new Map<EntryId, bigint>();
  let open = 0n;
  for (const entry of trace.start) {
    const top = entry.worth.isZero
      ? 0n
      : upperBound(trace, entry.terms.indices().next().value ?? 0);
    bound.set(entry.id, top);
    open += top;
  }
  let marked = 0n;
  if (open === 0n) return 0;
  for (const step of trace.steps) {
    for (const id of step.takes) {
      open -= bound.get(id) ?? 0n;
      marked -= worth.get(id) ?? 0n;
    }
    for (const mark of step.gives) {
      worth.set(mark.id, mark.worth.numerator);
      marked += mark.worth.numerator;
    }
    if (marked > 0n && leading(marked, base) === leading(marked + open, base)) return step.number;
  }
  return trace.steps.length;
}

/** The product of two digits lies below base²: 4 tens × 8 is known beforehand to be under 100 tens. */
function upperBound({ space, problem }: Trace, index: number): bigint {
  const base = BigInt(problem.base);
  const places = space.parts(index).map((part, operand) => space.cuts[operand]![part]!.place);
  if (places.includes(undefined)) return space.worth(index).numerator * base;
  const place = places.reduce<number>((sum, one) => sum + (one ?? 0), 0);
  return base ** BigInt(place + places.length) - 1n;
}

/** The leading figure and the number of figures. */
function leading(amount: bigint, base: number): string {
  const text = amount.toString(base);
  return `${text[0]}${text.length}`;
}
