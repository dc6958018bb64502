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
} from '@levee/core';
import { problemOf } from '../store/content.ts';
import type { Content } from '../store/desk.ts';
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
let last: (Laid & { worked: Worked }) | null = null;

/** Works the chosen papers; the same object as before while problem and papers are the same. */
export function work(content: Laid): Worked {
  if (last?.problem === content.problem && last.papers === content.papers) return last.worked;
  const problem = problemOf(content);
  const worked = soundly(choicesOf(content.papers, registry), (choices) =>
    laidOut(compare(problem, choices), content.papers),
  );
  const { problem: text, papers } = content;
  last = { problem: text, papers, worked };
  return worked;
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

/** A lane with all that is needed to draw any moment of it. */
export function paperOfLane(lane: Lane, index: number): Paper {
  const { method, trace } = lane;
  const sheet = method.sheet(trace);
  const own = levels(trace);
  return {
    id: '',
    index,
    method,
    title: method.shortName,
    lane,
    sheet,
    drawing: drawSheet(sheet, trace),
    line: timeline(trace),
    levels: own,
    drawnLevels: drawnLevels(own, trace.problem),
    last: trace.steps.length,
    givens: new Set(trace.givens.map((given) => given.id)),
    dealtAt: dealtSteps(lane),
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
