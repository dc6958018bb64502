import {
  groundOf,
  benchFailure,
  substitutionOf,
  choicesOf,
  compare,
  dealtSteps,
  drawSheet,
  failureText,
  levels,
  registry,
  timeline,
  type Ground,
  type Choice,
  type Comparison,
  type Drawing,
  type EntryId,
  type Exact,
  scriptOf,
  type Lane,
  type Level,
  type Method,
  type PaperId,
  type Problem,
  type Sheet,
  type Timeline,
  type Trace,
} from '@levee/core';
import { problemOf } from '../store/content.ts';
import type { Content } from '../store/desk.ts';
import { linesMethod, useArrived } from './judged.ts';
import { soundly } from './sound.ts';

/** One method's paper with all that is needed to draw any moment of it. */
export interface Paper {
  readonly id: PaperId;
  /** Where it lies, from 0: its lane of the comparison. */
  readonly index: number;
  readonly method: Method;
  /** The method's short name, with the paper's number where another one is of the same method. */
  readonly title: string;
  readonly lane: Lane;
  readonly sheet: Sheet;
  readonly drawing: Drawing;
  readonly line: Timeline;
  readonly levels: readonly Level[];
  /** The same as numbers that can be drawn, with small numbers put in for letters. */
  readonly drawnLevels: readonly Level[];
  readonly last: number;
  /** Ids of what belongs to the question. */
  readonly givens: ReadonlySet<EntryId>;
  /** For each common term the step that deals with it. */
  readonly dealtAt: ReadonlyMap<number, number>;
  /** For an owed entry that is itself a figure of the question, that figure. */
  readonly figureOf: ReadonlyMap<EntryId, EntryId>;
  /** For figures of the question that are not there from the start, the step that puts them there. */
  readonly givenAt: ReadonlyMap<EntryId, number>;
}

/** A comparison worked out: everything the screens show is read off this. */
export interface Worked {
  readonly problem: Problem;
  readonly comparison: Comparison;
  readonly papers: readonly Paper[];
  readonly ground: Ground | null;
}

type Laid = Pick<Content, 'problem' | 'papers'>;
let last: (Laid & { arrived: number; worked: Worked }) | null = null;

/**
 * Works the chosen papers; the same object as before while problem, papers and what is known of own lines are the same. Own lines
 * that are not judged yet stand with their words alone; who shows them asks {@link useArrived} when to look again.
 */
export function work({ problem: text, papers }: Laid): Worked {
  const arrived = useArrived.getState().count;
  if (last?.problem === text && last.papers === papers && last.arrived === arrived) {
    return last.worked;
  }
  const problem = problemOf({ problem: text });
  const choices = choicesOf(papers, registry, (own) => linesMethod(text, own)).map((choice, k) =>
    withTrace(text, papers[k]!, choice),
  );
  const worked = soundly(choices, (laid) => laidOut(compare(problem, laid), papers));
  worked.papers.forEach(({ method, lane }, k) => {
    TRACES.set(papers[k]!, { problem: text, method, trace: lane.trace });
  });
  last = { problem: text, papers, arrived, worked };
  return worked;
}

/** The work of a paper, kept for as long as nothing of it changes. */
const TRACES = new WeakMap<
  Laid['papers'][number],
  { readonly problem: string; readonly method: Method; readonly trace: Trace }
>();

function withTrace(problem: string, paper: Laid['papers'][number], choice: Choice): Choice {
  const known = TRACES.get(paper);
  const isSame = known?.problem === problem && known.method === choice.method;
  return isSame ? { ...choice, trace: known.trace } : choice;
}

function laidOut(comparison: Comparison, choices: Laid['papers']): Worked {
  return {
    problem: comparison.problem,
    comparison,
    papers: comparison.lanes.map((lane, k) => ({
      ...paperOfLane(lane, k),
      id: choices[k]!.id,
      title: titleOf(lane, comparison.lanes),
    })),
    ground: groundOf(comparison),
  };
}

/** The short name, and the number of the paper where another one is of the same method. */
function titleOf({ method, trace }: Lane, lanes: readonly Lane[]): string {
  const isAlone = lanes.every((other) => other.method !== method || other.trace === trace);
  const number = lanes.findIndex((other) => other.trace === trace) + 1;
  return isAlone ? method.shortName : `${method.shortName} ${number}`;
}

/** What of a paper depends on its own work alone; kept, so that it is drawn once while papers beside it change. */
type Drawn = Omit<Paper, 'id' | 'index' | 'title' | 'lane' | 'dealtAt'>;
const DRAWN = new WeakMap<Trace, Drawn>();

/** A lane with all that is needed to draw any moment of it. */
export function paperOfLane(lane: Lane, index: number): Paper {
  const { method, trace } = lane;
  const known = DRAWN.get(trace);
  const drawn = known?.method === method ? known : drawnWork(lane);
  DRAWN.set(trace, drawn);
  return { id: '', index, title: method.shortName, lane, dealtAt: dealtSteps(lane), ...drawn };
}

function drawnWork({ method, trace }: Lane): Drawn {
  const sheet = method.sheet(trace);
  const own = levels(trace);
  return {
    method,
    sheet,
    drawing: drawSheet(sheet, trace),
    line: timeline(trace),
    levels: own,
    drawnLevels: drawnLevels(own, trace.problem),
    last: trace.steps.length,
    givens: new Set(trace.givens.map((given) => given.id)),
    givenAt: new Map(
      trace.givens.flatMap(({ id, since }) => (since ? [[id, since] as const] : [])),
    ),
    figureOf: new Map(trace.givens.flatMap(({ id, owed }) => (owed ? [[owed, id] as const] : []))),
  };
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

/** Why a problem is too long to be drawn, or null. */
export function tooLong(problem: Problem): string | null {
  const failure = benchFailure(problem);
  return failure && failureText(failure);
}

/** The steps done on every paper in the order in which they lie, never past its end. */
export function fittedSteps(
  { papers }: Worked,
  steps: Readonly<Record<PaperId, number>>,
): readonly number[] {
  return papers.map(({ id, last: end }) => Math.min(steps[id] ?? 0, end));
}

/** The same by the ids of papers. */
export function stepsById(
  { papers }: Worked,
  steps: readonly number[],
): Readonly<Record<PaperId, number>> {
  return Object.fromEntries(papers.map(({ id }, k) => [id, steps[k] ?? 0]));
}
