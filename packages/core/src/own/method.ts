import { leaksOf } from '../account/leaks.ts';
import type { Step, Trace } from '../account/account.ts';
import { lawFaults, OWN_LINES, workOf } from '../laws/replay.ts';
import type { Method } from '../methods/method.ts';
import { problemText, type Problem } from '../problem/problem.ts';
import { readComputation } from './computation.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { OWN_PHRASES } from './amounts/phrases.ts';
import { traceOfLines } from './amounts/trace.ts';
import { traceOfWholeLines } from './amounts/whole.ts';
import { readAsked, type Asked } from './asked.ts';
import { judgeWork, unjudgedWork, type JudgedWork } from './judged-work.ts';
import { ownSheet } from './own-sheet.ts';
import { ownTitle, type OwnWork } from './own-work.ts';

/** The account of someone's own lines: by the terms that each moves, or line by line where those cannot be followed. */
export function ownTrace(problem: Problem, { paper }: Pick<JudgedWork, 'paper'>): Trace {
  const byTerms = traceOfLines(paper);
  const trace = (byTerms && proved(byTerms)) ?? traceOfWholeLines(problem, paper);
  return paper.complete ? trace : { ...trace, isUnfinished: true };
}

/**
 * The same account with every law held against the table of laws: a step that cannot be proved by its law names none, and
 * says no more than that both sides are worth the same. Null where its terms do not hold even so.
 */
function proved(trace: Trace): Trace | null {
  const leaking = new Set(leaksOf(trace).map(({ step }) => step));
  const faulty = new Set(
    lawFaults(workOf(trace))
      .map(({ step }) => step)
      .filter((step) => !leaking.has(step)),
  );
  if (faulty.size === 0) return trace;
  const steps = trace.steps.map((step): Step =>
    faulty.has(step.number) ? { ...step, law: 'unnamed' } : step,
  );
  const made = { ...trace, steps };
  return lawFaults(workOf(made)).some(({ step }) => faulty.has(step)) ? null : made;
}

/**
 * A paper of someone's own lines in the place of a method, so that it is stepped, pointed at, compared and certified like
 * one. It takes every problem, has no schools and no slips: what is wrong in it leaks at its line. The same problem is
 * judged and worked once.
 */
export function ownLinesMethod(own: OwnWork): OwnLinesMethod {
  return methodOf(own, judgeWork);
}

/** The same lines with nothing said of them, so that a paper on which the judge fails fails alone and can be changed. */
export function unjudgedLinesMethod(own: OwnWork, failed: string): OwnLinesMethod {
  return methodOf(own, (question) => unjudgedWork(question, own, failed));
}

function methodOf(
  own: OwnWork,
  judge: (question: Asked, own: OwnWork) => JudgedWork,
): OwnLinesMethod {
  const judged = remembered((text) => judge(asked(text), own));
  const worked = remembered((text) => ownTrace(problemOf(text), judged(text)));
  const trace = (problem: Problem): Trace => worked(problemText(problem));
  const title = ownTitle(own);
  return {
    id: OWN_LINES,
    family: 'own',
    name: title,
    shortName: title,
    alsoCalled: [],
    summary: 'Anyone’s own way of working, line by line.',
    why: 'Every line is worth what the line before is worth.',
    medium: 'either',
    direction: 'as it is written',
    schools: [],
    slips: [],
    freeOrder: false,
    phrases: OWN_PHRASES,
    defaultSchool: {},
    accepts: () => ({ ok: true }),
    work: (_, problem) => trace(problem),
    sheet: (made) => ownSheet(made, judged(problemText(made.problem))),
    trace,
    light: (problem) => {
      const made = trace(problem);
      const { answer, total, opportunities, facts } = made;
      const { steps } = made;
      return { steps: steps.length, answer, total, leaks: leaksOf(made), opportunities, facts };
    },
    own,
    bareSheet: (made) => ownSheet(made, judged(problemText(made.problem)), true),
    judged: (problem) => judged(problemText(problem)),
  };
}

/** A method that is someone's own lines. */
export interface OwnLinesMethod extends Method {
  readonly own: OwnWork;
  /** Its paper without a word on its lines. */
  readonly bareSheet: (trace: Trace) => Sheet;
  /** What is said of the lines on a problem. */
  readonly judged: (problem: Problem) => JudgedWork;
}

/** Whether a method is someone's own lines. */
export function isOwnLines(method: Method): method is OwnLinesMethod {
  return method.id === OWN_LINES;
}

function remembered<T>(make: (text: string) => T): (text: string) => T {
  const known = new Map<string, T>();
  return (text) => {
    const made = known.get(text) ?? make(text);
    known.set(text, made);
    return made;
  };
}

function asked(text: string): Asked {
  const read = readAsked(text);
  if (!read.ok) throw new RangeError(`ownLinesMethod: ${text}: ${read.reason}`);
  return read.asked;
}

function problemOf(text: string): Problem {
  const read = readComputation(text);
  if (!read.ok) throw new RangeError(`ownLinesMethod: ${text} is not worked`);
  return read.problem;
}
