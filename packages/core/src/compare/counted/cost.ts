import { pointRule } from '../../problem/kinds.ts';
import { count } from './counts.ts';
import { sortOf } from '../../problem/sorts/sorts.ts';
import { lookedAt } from '../sort-work.ts';
import type { Entry, Mark, Role, Trace } from '../../account/account.ts';
import { tally } from '../../account/ledger.ts';
import { allEntries } from '../../account/owed.ts';
import { isRewriting } from '../../account/rewriting.ts';
import { samePhase } from '../../account/phase.ts';
import { Exact } from '../../exact/exact.ts';
import { decimalsNeeded, numeral, numeralValue, placeValue } from '../../exact/numeral.ts';
import { scriptOf } from '../../problem/script.ts';
import { isOneNumber } from '../amounts.ts';
import { certainties } from '../looked-at.ts';
import { meetsMinus } from './foresight.ts';

/** What a method costs on one problem. Every figure is counted from the trace, none is estimated. */
export interface Cost {
  /**
   * Facts of two single figures: owed products worked out, zeros included; in sums and differences every
   * time two figures other than zero meet in one place.
   */
  readonly facts: number;
  /** Times one amount other than zero is added to another. */
  readonly additions: number;
  /** Carries written or held, places opened, scratches made, pairs of little ones. */
  readonly carries: number;
  /** Figures written on paper, the question's own not counted. */
  readonly figures: number;
  /** Rows of the paper that hold written figures. */
  readonly lines: number;
  /** Runs of steps of one phase: how often the work starts over somewhere else. */
  readonly passes: number;
  readonly steps: number;
  /**
   * The most numbers held in the head at once, and the largest of them: numbers that a later step needs and that stand
   * nowhere on the paper, the running sum of a column from its third figure on included, the result being written not.
   */
  readonly heldAtOnce: number;
  readonly largestHeld: Exact;
  /** The largest number written whole: a mark or a line read together. */
  readonly largestWritten: Exact;
  /**
   * The first step after which what is still owed cannot change the leading figure of the answer; see
   * {@link certainties}.
   */
  readonly leadingCertainAt: number;
  /** Times a fraction is tried for lowest terms. */
  readonly simplifications: number;
  /** Times minus meets minus. */
  readonly signs: number;
  /** The most terms with letters that stand beside each other at once. */
  readonly terms: number;
  /** The largest number that each step writes, in the order of the steps; zero where it writes none. */
  readonly numbersMet: readonly Exact[];
}

export function cost(trace: Trace): Cost {
  const marks = trace.steps.flatMap((step) => step.gives);
  const paper = marks.filter((mark) => mark.medium === 'paper');
  const held = heldLoad(trace);
  const script = scriptOf(trace.problem);
  const work = lookedAt(trace);
  return {
    facts: work.facts(trace),
    additions: work.additions(trace),
    carries: work.carries(trace),
    figures: paper.reduce(
      (total, { role, glyph }) => total + (role === 'words' ? 0 : glyph.length),
      0,
    ),
    lines: new Set(paper.map((mark) => `${mark.spot.area} ${mark.spot.row}`)).size,
    passes: count(
      trace.steps,
      (step, i) => i === 0 || !samePhase(step.phase, trace.steps[i - 1]!.phase),
    ),
    steps: trace.steps.length,
    heldAtOnce: held.most,
    largestHeld: held.largest,
    largestWritten: largestWritten(trace, paper),
    leadingCertainAt: leadingCertainAt(trace),
    simplifications: count(trace.steps, ({ phase }) => phase.kind === 'simplify'),
    signs: count(trace.steps, meetsMinus),
    terms: script === 'terms' ? mostTerms(trace) : 0,
    numbersMet: numbersMet(trace),
  };
}

/** The largest of amounts; terms with letters have no order. */
function largest(amounts: readonly Exact[]): Exact {
  return amounts
    .filter(({ isConstant }) => isConstant)
    .reduce((most, worth) => (worth.compare(most) > 0 ? worth : most), Exact.ZERO);
}

/** The most terms that are owed or written and not dealt with yet, at any moment. */
function mostTerms(trace: Trace): number {
  return mostLive(trace, () => true);
}

/** The most entries of a sort that are there at once, at any moment. */
function mostLive(trace: Trace, isOfIt: (entry: Entry) => boolean): number {
  const counts = tally(trace, (entry) => (isOfIt(entry) ? Exact.ONE : null));
  return Number(largest(counts).numerator);
}

/** The largest number that each step writes. */
function numbersMet({ steps, problem, whole }: Trace): readonly Exact[] {
  const shown = whole && pointRule(problem.kind) === 'counted' ? whole.steps : steps;
  return shown.map(({ gives }) =>
    largest(gives.flatMap(({ glyph }) => numbersIn(glyph, problem.base))),
  );
}

/** The numbers of a glyph: both of a fraction, the coefficient of a term. */
function numbersIn(glyph: string, base: number): readonly Exact[] {
  const figures = base > 10 ? /[0-9A-F]+(\.[0-9A-F]+)?/g : /\d+(\.\d+)?/g;
  return (glyph.match(figures) ?? []).map((text) => numeralValue(numeral(text, base)));
}

/** The largest number on the paper: of products the whole numbers that are written, of quotients what stands there. */
function largestWritten(trace: Trace, paper: readonly Mark[]): Exact {
  const { kind, base } = trace.problem;
  if (scriptOf(trace.problem) !== 'figures') {
    return largest(paper.flatMap(({ glyph }) => numbersIn(glyph, base)));
  }
  if (sortOf(trace.problem).isFoundInPieces) {
    const glyphs = paper.map(({ glyph }) => glyph).filter((glyph) => /^[0-9A-F.]+$/.test(glyph));
    return largest(glyphs.map((glyph) => numeralValue(numeral(glyph, base))));
  }
  const read = pointRule(kind) === 'counted' && trace.whole ? trace.whole : trace;
  const marks = read === trace ? paper : read.steps.flatMap(({ gives }) => gives);
  const written = marks.filter(({ medium }) => medium === 'paper');
  return largest([...written, ...read.groups.filter(isOneNumber)].map(({ worth }) => worth));
}

/** Marks in the head, and the running sum of a column while its third figure and all further ones are added. */
function heldLoad(trace: Trace): { most: number; largest: Exact } {
  const isHeld = (entry: Entry) => entry.standing === 'marked' && entry.medium === 'head';
  const answer = new Set(trace.groups.at(-1)?.marks);
  const held = trace.steps.flatMap(({ gives }) =>
    gives.filter((mark) => isHeld(mark) && !answer.has(mark.id)),
  );
  const live = tally(trace, (entry) => (isHeld(entry) ? Exact.ONE : null));
  const sums = runningSums(trace);
  const loads = live.map((now, step) => {
    const before = step > 0 ? Number(live[step - 1]!.numerator) : 0;
    const inStep = step > 0 && sums[step - 1]!.length > 0 ? before + 1 : 0;
    return Math.max(Number(now.numerator), inStep);
  });
  return {
    most: Math.max(...loads),
    largest: largest([...held.map((mark) => heldNumber(mark, trace.problem.base)), ...sums.flat()]),
  };
}

/**
 * For each step the sums that are held while figures of one column are added, counted in its place. A carry is no figure
 * of the column, and scratches are counted, not added: they stand on the paper.
 */
function runningSums(trace: Trace): readonly (readonly Exact[])[] {
  const { base } = trace.problem;
  if (scriptOf(trace.problem) !== 'figures') return trace.steps.map(() => []);
  const entries = new Map(allEntries(trace).map((entry) => [entry.id, entry]));
  return trace.steps.map((step) => {
    const takes = step.takes.map((id) => entries.get(id)!).filter(({ worth }) => !worth.isZero);
    const added = takes.filter((entry) => entry.standing === 'owed' || !BESIDE.has(entry.role));
    const places = added.map(({ worth }) => figurePlace(worth, base));
    const isInPlaces = step.gives.some(({ place }) => place !== undefined);
    if (!isInPlaces || added.length < 3 || places.includes(null) || isRewriting(step)) return [];
    const unit = placeValue(base, Math.min(...(places as readonly number[])));
    let so = added[0]!.worth;
    return added.slice(1, -1).map(({ worth }) => (so = so.plus(worth)).dividedBy(unit));
  });
}

/** What stands beside a column and is no figure of it. */
const BESIDE: ReadonlySet<Role> = new Set(['scratch', 'carry']);

/** The place of a worth that is one figure of some place and not below zero; null for every other. */
function figurePlace(worth: Exact, base: number): number | null {
  if (!worth.isConstant || worth.isNegative) return null;
  const decimals = decimalsNeeded(worth, base);
  if (decimals === null) return null;
  const figures = worth.times(placeValue(base, decimals)).numerator.toString(base);
  return /^.0*$/.test(figures) ? figures.length - 1 - decimals : null;
}

/** The figure that is held, or the whole number where one is. */
function heldNumber({ glyph, place, worth }: Mark, base: number): Exact {
  if (place !== undefined) return Exact.of(BigInt(parseInt(glyph, base)));
  return worth.absolute();
}

function leadingCertainAt(trace: Trace): number {
  const all = certainties(trace);
  const at = all.findIndex(({ figures }) => figures.length > 0);
  return at < 0 ? trace.steps.length : at;
}
