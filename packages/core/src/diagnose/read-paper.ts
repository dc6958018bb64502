import type { Mark, School, Spot, Trace } from '../account/account.ts';
import {
  addressText,
  canBeTaken,
  whereText,
  WRONG_FACT,
  type Addressed,
} from '../account/chance.ts';
import type { Method } from '../methods/method.ts';
import type { Problem } from '../problem/problem.ts';
import { factErrors, factIdea } from '../slips/fact-errors.ts';

/** A square of a paper, by where the method writes in it. */
export function squareName({ area, row, column }: Spot): string {
  return `${area} ${row} ${column}`;
}

/** What is written in the squares of a paper; a square that is empty is absent. */
export type WrittenPaper = ReadonlyMap<string, string>;

/**
 * How a mark stands: as it should be; where the work first goes wrong; false, but right after what went wrong before it;
 * false anew, which nothing explains; not written; written where nothing is due.
 */
export type MarkStanding = 'right' | 'leak' | 'followed' | 'new' | 'empty' | 'beside';

export interface ReadMark {
  readonly square: string;
  readonly wrote: string;
  /** What is due there: after what went wrong before, or in a right work where nothing did. */
  readonly due: string;
  readonly standing: MarkStanding;
  /** The step that writes it; 0 beside the work. */
  readonly step: number;
}

export interface PaperReading {
  readonly marks: readonly ReadMark[];
  /** What went wrong, in order: slips and wrong facts. */
  readonly slips: readonly Addressed[];
  /** The work with these slips. */
  readonly trace: Trace;
  /** Whether most of what is written is no work of this method. */
  readonly isOther: boolean;
}

/** The most slips that one paper is explained by. */
const MOST_SLIPS = 6;

/** Facts are taken for any number up to this. */
const MOST_FACT = 99;

/**
 * Reads a learner's paper against a method: first what is right, then where it first leaks, what follows from that rightly, and
 * what is new. The work is followed mark by mark; where a mark differs, every slip and wrong fact that could have been
 * made up to there is tried, and the one kept with which most marks after it come out as they are written. What
 * nothing explains stays as it is, and the work goes on with what was due.
 */
export function readPaper(
  method: Method,
  problem: Problem,
  school: School,
  written: WrittenPaper,
): PaperReading {
  const clean = method.trace(problem, { school });
  const passed = new Set<string>();
  let slips: readonly Addressed[] = [];
  let trace = clean;
  while (slips.length < MOST_SLIPS) {
    const at = firstFalse(trace, written, passed);
    if (!at) break;
    const next = bestSlip(method, { problem, school }, { trace, slips, at, written, passed });
    if (next) [slips, trace] = [[...slips, next.slip], next.trace];
    else passed.add(at.square);
  }
  const marks = readMarks(clean, trace, written);
  const filled = marks.filter(({ standing }) => standing !== 'empty');
  const lost = filled.filter(({ standing }) => standing === 'new' || standing === 'beside');
  // A fact can be taken for any number, so that wrong facts explain nearly anything: each counts as one that is lost.
  const unknown = slips.filter((slip) => isUnknownFact(slip, trace));
  return { marks, slips, trace, isOther: (lost.length + unknown.length) * 2 >= filled.length };
}

/** Whether a fact is taken for a number for which it is not commonly taken. */
function isUnknownFact({ at, value }: Addressed, { facts, problem }: Trace): boolean {
  if (value === undefined) return false;
  const chance = facts.find((one) => whereText(one.at) === whereText(at));
  return !chance || factIdea(chance.fact, value, problem.base) === WRONG_FACT;
}

interface Place {
  readonly square: string;
  /** Its number among all marks, in the order in which they are written. */
  readonly index: number;
  readonly step: number;
}

/** The marks on the paper, in the order in which they are written. */
function onPaper({ steps }: Trace): readonly { readonly mark: Mark; readonly step: number }[] {
  return steps.flatMap(({ gives, number }) =>
    gives.flatMap((mark) =>
      mark.medium === 'paper' && mark.glyph !== '' ? [{ mark, step: number }] : [],
    ),
  );
}

/** The first mark that is written otherwise than the work has it; empty squares say nothing. */
function firstFalse(
  trace: Trace,
  written: WrittenPaper,
  passed: ReadonlySet<string>,
): Place | null {
  const all = onPaper(trace);
  const index = all.findIndex(({ mark }) => {
    const square = squareName(mark.spot);
    const wrote = written.get(square);
    return wrote !== undefined && wrote !== mark.glyph && !passed.has(square);
  });
  const found = all[index];
  return found ? { square: squareName(found.mark.spot), index, step: found.step } : null;
}

interface SoFar {
  readonly trace: Trace;
  readonly slips: readonly Addressed[];
  readonly at: Place;
  readonly written: WrittenPaper;
  readonly passed: ReadonlySet<string>;
}

/** The slip with which most of the paper comes out as it is written; null where none mends the mark in question. */
function bestSlip(
  method: Method,
  { problem, school }: { readonly problem: Problem; readonly school: School },
  { trace, slips, at, written, passed }: SoFar,
): { readonly slip: Addressed; readonly trace: Trace } | null {
  let best: { slip: Addressed; trace: Trace; score: number } | null = null;
  for (const slip of suspects(trace, at.step, slips)) {
    const made = method.trace(problem, { school, slips: [...slips, slip] });
    const next = firstFalse(made, written, passed);
    if (next && next.index <= at.index && next.step <= at.step) continue;
    const score = scoreOf(made, written);
    if (!best || score > best.score) best = { slip, trace: made, score };
  }
  return best && best.score > scoreOf(trace, written) ? best : null;
}

/** How many marks stand as they are written, less what is written where the work has nothing. */
function scoreOf(trace: Trace, written: WrittenPaper): number {
  const due = new Map(onPaper(trace).map(({ mark }) => [squareName(mark.spot), mark.glyph]));
  const all = [...written];
  const same = all.filter(([square, glyph]) => due.get(square) === glyph).length;
  const beside = all.filter(([square]) => !due.has(square)).length;
  const unlike = all.length - same - beside;
  return same - beside - unlike;
}

/** Every slip and every wrong fact that may have been made up to a step. */
function suspects(trace: Trace, step: number, made: readonly Addressed[]): readonly Addressed[] {
  const known = new Set(made.map(({ slip, at }) => addressText({ slip, at })));
  const isOpen = (one: Addressed) => !known.has(addressText({ slip: one.slip, at: one.at }));
  const slips = trace.opportunities
    .filter((chance) => chance.step <= step + 1)
    .map(({ slip, at }): Addressed => ({ slip, at }));
  const facts = trace.facts
    .filter((chance) => chance.step === step)
    .flatMap(({ slip, at, fact }) => {
      const known = factErrors(fact, trace.problem.base).map(({ value }) => value);
      const any = Array.from({ length: MOST_FACT + 1 }, (_, value) => value);
      return [...new Set([...known, ...any])]
        .filter((value) => canBeTaken(fact, value))
        .map((value): Addressed => ({ slip, at, value }));
    });
  return [...slips, ...facts].filter(isOpen);
}

/** How every mark stands, in the order of the work; what is written beside it comes last. */
function readMarks(clean: Trace, trace: Trace, written: WrittenPaper): readonly ReadMark[] {
  const right = new Map(onPaper(clean).map(({ mark }) => [squareName(mark.spot), mark.glyph]));
  const leaks = new Set<number>();
  let balance = trace.total;
  for (const step of trace.steps) {
    if (!step.balance.equals(balance)) leaks.add(step.number);
    balance = step.balance;
  }
  const due = onPaper(trace).map(({ mark, step }): ReadMark => {
    const square = squareName(mark.spot);
    const wrote = written.get(square) ?? '';
    return { square, wrote, due: mark.glyph, standing: standingOf(), step };
    function standingOf(): MarkStanding {
      if (wrote === '') return 'empty';
      if (wrote !== mark.glyph) return 'new';
      if (right.get(square) === wrote) return 'right';
      return leaks.has(step) ? 'leak' : 'followed';
    }
  });
  const known = new Set(due.map(({ square }) => square));
  const beside = [...written]
    .filter(([square]) => !known.has(square))
    .map(([square, wrote]): ReadMark => ({
      square,
      wrote,
      due: right.get(square) ?? '',
      standing: 'beside',
      step: 0,
    }));
  return [...due, ...beside];
}
