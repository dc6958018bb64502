import { leaksOf } from '../account/leaks.ts';
import type { Step, Trace } from '../account/account.ts';
import { lawFaults, OWN_LINES, workOf } from '../laws/replay.ts';
import type { Method } from '../methods/method.ts';
import { problemText, type Problem } from '../problem/problem.ts';
import { readComputation } from './computation.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { OWN_PHRASES } from './amounts/phrases.ts';
import { traceOfLines } from './amounts/trace.ts';
import { traceUpTo } from './amounts/up-to.ts';
import { traceOfWholeLines } from './amounts/whole.ts';
import { readAsked, type Asked } from './asked.ts';
import type { JudgedPaper } from './judged-paper.ts';
import {
  judgedWork,
  sameLines,
  textsOf,
  unjudgedPaper,
  type JudgedWork,
  type Said,
  type SaidPaper,
} from './judged-work.ts';
import { ownSheet } from './own-sheet.ts';
import { ownTitle, type OwnWork } from './own-work.ts';
import { judgeLines } from './paper.ts';

/** The account of someone's own lines: by the terms that each moves, or line by line where those cannot be followed. */
export function ownTrace(problem: Problem, paper: JudgedPaper): Trace {
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
  const judged = remembered((text) => judgeLines(asked(text), textsOf(own)));
  return methodOf(own, {
    said: (text) => ({ paper: judged(text) }),
    trace: (text) => ownTrace(problemOf(text), judged(text)),
  });
}

/** Someone's own lines on one problem, judged and worked: what a paper of them shows. */
export interface KnownLines {
  readonly paper: SaidPaper;
  readonly trace: Trace;
}

/** Judges and works someone's own lines on one problem, so that it can be kept or sent. RangeError for no computation. */
export function judgedLines(problem: string, own: OwnWork): KnownLines {
  const judged = judgeLines(asked(problem), textsOf(own));
  const { lines, complete, right } = judged;
  return { paper: { lines, complete, right }, trace: ownTrace(problemOf(problem), judged) };
}

/** The same lines where all of it is known for the problem that they are laid on. */
export function knownLinesMethod(own: OwnWork, { paper, trace }: KnownLines): OwnLinesMethod {
  return methodOf(own, { said: () => ({ paper }), trace: () => trace });
}

/**
 * The same lines while they are judged elsewhere. What stands is what was known, by one of the papers of this problem that were
 * judged, of the lines that have not changed; of the others nothing is said.
 */
export function waitingLinesMethod(own: OwnWork, judged: readonly KnownLines[]): OwnLinesMethod {
  const texts = textsOf(own);
  const [best] = judged
    .map(({ paper, trace }) => ({ paper, trace, same: sameLines(texts, paper) }))
    .filter(({ same }) => same > 0)
    .sort((a, b) => b.same - a.same);
  const paper = unjudgedPaper(texts, best?.paper.lines.slice(0, best.same) ?? []);
  return methodOf(own, {
    said: () => ({ paper, isWaiting: true }),
    trace: best ? () => traceUpTo(best.trace, best.same) : emptyTrace,
  });
}

/** The same lines with nothing said of them, so that a paper on which the judge fails fails alone and can be changed. */
export function unjudgedLinesMethod(own: OwnWork, failed: string): OwnLinesMethod {
  const paper = unjudgedPaper(textsOf(own), []);
  return methodOf(own, { said: () => ({ paper, failed }), trace: emptyTrace });
}

/** The account of a problem on which nothing is worked. */
function emptyTrace(text: string): Trace {
  return ownTrace(problemOf(text), judgeLines(asked(text), []));
}

/** What is said of lines, and the account of them, on a problem that is written so. */
interface Lines {
  readonly said: (problem: string) => Said;
  readonly trace: (problem: string) => Trace;
}

function methodOf(own: OwnWork, lines: Lines): OwnLinesMethod {
  const judged = remembered((text) => judgedWork(asked(text), own, lines.said(text)));
  const worked = remembered(lines.trace);
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

/** Whether a method is someone's own lines that are still being judged on a problem. */
export function isAwaiting(method: Method, problem: Problem): boolean {
  return isOwnLines(method) && method.judged(problem).isWaiting === true;
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
  if (!read.ok) throw new RangeError(`ownLinesMethod: "${text}": ${read.reason}`);
  return read.asked;
}

function problemOf(text: string): Problem {
  const read = readComputation(text);
  if (!read.ok) throw new RangeError(`ownLinesMethod: "${text}": nothing works it`);
  return read.problem;
}
