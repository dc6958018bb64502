import {
  knownLinesMethod,
  unjudgedLinesMethod,
  waitingLinesMethod,
  type KnownLines,
  type Method,
  type OwnWork,
  type Trace,
} from '@levee/core';
import { create } from 'zustand';
import { away } from '../away/away.ts';
import { unpack } from '../away/packed.ts';
import { judgeOfNow } from './at-once.ts';
import { breathing, nextTask } from './breathing.ts';
import { drawAhead } from './drawn.ts';

/** Own lines on a problem, and what is known of them: nothing while they are asked for, or why they cannot be judged. */
interface Asked {
  readonly problem: string;
  readonly known?: KnownLines;
  readonly failed?: string;
}

/** Most papers of which the judgement is kept. */
const MOST_KEPT = 60;
const ASKED = new Map<string, Asked>();
/** The method of lines as it was made of what was known of them, so that the same lines stay the same. */
const MADE = new WeakMap<OwnWork, { readonly asked: Asked; readonly method: Method }>();

/** How many judgements have arrived. */
let arrived = 0;
export const arrivedSoFar = (): number => arrived;

/** How many of them are shown: whoever shows own lines looks again when there are more. */
export const useArrived = create<{ readonly count: number }>(() => ({ count: 0 }));

/** Works what has arrived, in tasks of its own, before anyone looks again. */
let workArrived: () => Promise<void> = () => Promise.resolve();
export function beforeShown(work: () => Promise<void>): void {
  workArrived = work;
}

/**
 * Own lines in the place of a method, on a problem. They are judged away from the page and stand unjudged until that has come,
 * with what was known of their first lines.
 */
export function linesMethod(problem: string, own: OwnWork): Method {
  const name = JSON.stringify([problem, own.lines]);
  const asked = ASKED.get(name) ?? ask(name, problem, own);
  const made = MADE.get(own);
  if (made?.asked === asked) return made.method;
  const method = methodAs(asked, own);
  MADE.set(own, { asked, method });
  return method;
}

function methodAs({ problem, known, failed }: Asked, own: OwnWork): Method {
  if (known) return knownLinesMethod(own, known);
  if (failed !== undefined) return unjudgedLinesMethod(own, failed);
  const judge = judgeOfNow();
  if (judge) return judge(own);
  const judged = [...ASKED.values()].flatMap((other) =>
    other.problem === problem && other.known ? [other.known] : [],
  );
  return waitingLinesMethod(own, judged.reverse());
}

function ask(name: string, problem: string, own: OwnWork): Asked {
  const asked = { problem };
  keep(name, asked);
  if (!judgeOfNow()) void arrives(name, problem, own);
  return asked;
}

/** What has come is drawn, piece by piece, before it takes the place of what stands. */
async function arrives(name: string, problem: string, own: OwnWork): Promise<void> {
  const asked = { problem, ...(await judged(problem, own)) };
  const method = methodAs(asked, own);
  await nextTask();
  if (asked.known) await drawnAhead(method, asked.known.trace);
  keep(name, asked);
  MADE.set(own, { asked, method });
  arrived += 1;
  await nextTask();
  await workArrived();
  await nextTask();
  useArrived.setState({ count: arrived });
}

/** Draws lines ahead; where they cannot be drawn, the screens say so in their place. */
async function drawnAhead(method: Method, trace: Trace): Promise<void> {
  try {
    await drawAhead(method, trace, breathing());
  } catch {
    return;
  }
}

async function judged(problem: string, own: OwnWork): Promise<Omit<Asked, 'problem'>> {
  try {
    const packed = await away('judgeLines', problem, own);
    await nextTask();
    return { known: unpack(packed) };
  } catch (fault) {
    return { failed: (fault as Error).message };
  }
}

/** Keeps what is known last; what was asked longest ago goes, where it is too many. */
function keep(name: string, asked: Asked): void {
  ASKED.delete(name);
  ASKED.set(name, asked);
  if (ASKED.size > MOST_KEPT) ASKED.delete([...ASKED.keys()][0]!);
}
