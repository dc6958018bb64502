import {
  allEntries,
  drawSheet,
  levels,
  scriptOf,
  substitutionOf,
  timeline,
  type Drawing,
  type EntryId,
  type Exact,
  type Level,
  type Method,
  type Problem,
  type Sheet,
  type Timeline,
  type Trace,
} from '@levee/core';

/** What of a paper depends on its own work alone. */
export interface Drawn {
  readonly method: Method;
  readonly trace: Trace;
  readonly sheet: Sheet;
  readonly drawing: Drawing;
  readonly line: Timeline;
  readonly levels: readonly Level[];
  /** The same as numbers that can be drawn, with small numbers put in for letters. */
  readonly drawnLevels: readonly Level[];
  readonly last: number;
  /** Ids of what is owed at some moment. */
  readonly owed: ReadonlySet<EntryId>;
  /** Ids of what belongs to the question. */
  readonly givens: ReadonlySet<EntryId>;
  /** For an owed entry that is itself a figure of the question, that figure. */
  readonly figureOf: ReadonlyMap<EntryId, EntryId>;
  /** For figures of the question that are not there from the start, the step that puts them there. */
  readonly givenAt: ReadonlyMap<EntryId, number>;
}

/** Work that is drawn, kept, so that it is drawn once while papers beside it change. */
const DRAWN = new WeakMap<Trace, Drawn>();

/** The work of a method with all of it that needs nothing beside it. */
export function drawnOf(method: Method, trace: Trace): Drawn {
  const known = DRAWN.get(trace);
  if (known?.method === method) return known;
  const pieces = drawing(method, trace);
  for (;;) {
    const { done, value } = pieces.next();
    if (done) return value;
  }
}

/** The same piece by piece, so that others have their turn in between. */
export async function drawAhead(
  method: Method,
  trace: Trace,
  breathe: () => Promise<void>,
): Promise<void> {
  if (DRAWN.get(trace)?.method === method) return;
  const pieces = drawing(method, trace);
  while (!pieces.next().done) await breathe();
}

/** Draws work, in pieces. */
function* drawing(method: Method, trace: Trace): Generator<void, Drawn> {
  const sheet = method.sheet(trace);
  yield;
  const drawn = drawSheet(sheet, trace);
  yield;
  const own = levels(trace);
  const made: Drawn = {
    method,
    trace,
    sheet,
    drawing: drawn,
    line: timeline(trace),
    levels: own,
    drawnLevels: drawnLevels(own, trace.problem),
    last: trace.steps.length,
    owed: new Set(
      allEntries(trace).flatMap(({ id, standing }) => (standing === 'owed' ? [id] : [])),
    ),
    givens: new Set(trace.givens.map((given) => given.id)),
    givenAt: new Map(
      trace.givens.flatMap(({ id, since }) => (since ? [[id, since] as const] : [])),
    ),
    figureOf: new Map(trace.givens.flatMap(({ id, owed }) => (owed ? [[owed, id] as const] : []))),
  };
  DRAWN.set(trace, made);
  return made;
}

/** An amount as a number that can be drawn: numbers are put in for its letters. */
export function drawnAmount(problem: Problem): (amount: Exact) => Exact {
  const values = substitutionOf(problem);
  return values.size === 0 ? (amount) => amount : (amount) => amount.at(values);
}

function drawnLevels(all: readonly Level[], problem: Problem): readonly Level[] {
  if (scriptOf(problem) !== 'terms') return all;
  const drawn = drawnAmount(problem);
  return all.map(({ owed, written, held, balance }) => ({
    owed: drawn(owed),
    written: drawn(written),
    held: drawn(held),
    balance: drawn(balance),
  }));
}
