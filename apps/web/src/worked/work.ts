import {
  groundOf,
  benchFailure,
  choicesOf,
  compare,
  dealtSteps,
  failureText,
  registry,
  type Ground,
  type Choice,
  type Comparison,
  type Lane,
  type Method,
  type PaperId,
  type Problem,
  type Trace,
  workOfChoice,
} from '@levee/core';
import { problemOf } from '../store/content.ts';
import type { Content } from '../store/desk.ts';
import { breathing } from './breathing.ts';
import { drawAhead, drawnOf, type Drawn } from './drawn.ts';
import { arrivedSoFar, linesMethod } from './judged.ts';
import { soundly } from './sound.ts';

/** One method's paper with all that is needed to draw any moment of it. */
export interface Paper extends Drawn {
  readonly id: PaperId;
  /** Where it lies, from 0: its lane of the comparison. */
  readonly index: number;
  /** The method's short name, with the paper's number where another one is of the same method. */
  readonly title: string;
  readonly lane: Lane;
  /** For each common term the step that deals with it. */
  readonly dealtAt: ReadonlyMap<number, number>;
  /** What depends on its own work alone: the same for as long as that is, whatever is beside it. */
  readonly drawn: Drawn;
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
 * that are not judged yet stand with their words alone; who shows them asks `useArrived` when to look again.
 */
export function work({ problem: text, papers }: Laid): Worked {
  const arrived = arrivedSoFar();
  if (last?.problem === text && last.papers === papers && last.arrived === arrived) {
    return last.worked;
  }
  const problem = problemOf({ problem: text });
  const choices = choicesFor({ problem: text, papers });
  const worked = soundly(choices, (laid) => laidOut(compare(problem, laid), papers));
  worked.papers.forEach(({ method, lane }, k) => {
    TRACES.set(papers[k]!, { problem: text, method, trace: lane.trace });
  });
  last = { problem: text, papers, arrived, worked };
  return worked;
}

/** Whether papers are worked already, so that {@link work} takes no time. */
export function isWorked({ problem, papers }: Laid): boolean {
  return last?.problem === problem && last.papers === papers;
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

/**
 * Works papers and draws them piece by piece, so that {@link work} finds nearly all of it done and no task of the page is
 * long. What cannot be worked is left to it.
 */
export async function workAhead(laid: Laid): Promise<void> {
  const breathe = breathing();
  const problem = problemOf(laid);
  if (benchFailure(problem)) return;
  await breathe();
  try {
    for (const [k, choice] of choicesFor(laid).entries()) {
      const paper = laid.papers[k]!;
      const { method } = choice;
      const trace = workOfChoice(problem, choice);
      TRACES.set(paper, { problem: laid.problem, method, trace });
      await breathe();
      await drawAhead(method, trace, breathe);
    }
    work(laid);
    await breathe();
  } catch {
    // The screens say what failed, in its place.
  }
}

function choicesFor({ problem, papers }: Laid): readonly Choice[] {
  return choicesOf(papers, registry, (own) => linesMethod(problem, own)).map((choice, k) =>
    withTrace(problem, papers[k]!, choice),
  );
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

/** The short name, and the number of the paper where another one has it too. */
function titleOf({ method, trace }: Lane, lanes: readonly Lane[]): string {
  const isAlone = lanes.every(
    (other) => other.method.shortName !== method.shortName || other.trace === trace,
  );
  const number = lanes.findIndex((other) => other.trace === trace) + 1;
  return isAlone ? method.shortName : `${method.shortName} ${number}`;
}

/** A lane with all that is needed to draw any moment of it. */
export function paperOfLane(lane: Lane, index: number): Paper {
  const { method, trace } = lane;
  const drawn = drawnOf(method, trace);
  return {
    id: '',
    index,
    title: method.shortName,
    lane,
    dealtAt: dealtSteps(lane),
    ...drawn,
    drawn,
  };
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
