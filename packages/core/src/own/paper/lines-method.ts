import { leaksOf } from '../../account/leaks.ts';
import type { Trace } from '../../account/account.ts';
import { OWN_LINES } from '../../account/own-lines.ts';
import type { Method } from '../../methods/method.ts';
import { problemText, type Problem } from '../../problem/problem.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { traceOfNoLines } from '../account/opening.ts';
import { OWN_PHRASES } from '../account/phrases.ts';
import { traceUpTo } from '../account/up-to.ts';
import { readAsked, type Asked } from '../read/asked.ts';
import { readComputation } from '../../problem/computation.ts';
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

/** Someone's own lines on one problem, judged and worked: what a paper of them shows. */
export interface KnownLines {
  readonly paper: SaidPaper;
  readonly trace: Trace;
}

/** The same lines where all of it is known for the problem that they are laid on. */
export function knownLinesMethod(own: OwnWork, { paper, trace }: KnownLines): OwnLinesMethod {
  return linesAsMethod(own, { said: () => ({ paper }), trace: () => trace });
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
  return linesAsMethod(own, {
    said: () => ({ paper, isWaiting: true }),
    trace: best ? () => traceUpTo(best.trace, best.same) : nothingWorked,
  });
}

/** The same lines with nothing said of them, so that a paper on which the judge fails fails alone and can be changed. */
export function unjudgedLinesMethod(own: OwnWork, failed: string): OwnLinesMethod {
  const paper = unjudgedPaper(textsOf(own), []);
  return linesAsMethod(own, { said: () => ({ paper, failed }), trace: nothingWorked });
}

/** The account of a problem on which nothing is worked. */
function nothingWorked(text: string): Trace {
  return traceOfNoLines(problemOf(text));
}

/** What is said of lines, and the account of them, on a problem that is written so. */
export interface Lines {
  readonly said: (problem: string) => Said;
  readonly trace: (problem: string) => Trace;
}

/** Someone's own lines in the place of a method, however what is said of them is had. */
export function linesAsMethod(own: OwnWork, lines: Lines): OwnLinesMethod {
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

/** The same text is made once. */
export function remembered<T>(make: (text: string) => T): (text: string) => T {
  const known = new Map<string, T>();
  return (text) => {
    const made = known.get(text) ?? make(text);
    known.set(text, made);
    return made;
  };
}

/** A computation as own lines take it. RangeError for a text that is none. */
export function asked(text: string): Asked {
  const read = readAsked(text);
  if (!read.ok) throw new RangeError(`ownLinesMethod: "${text}": ${read.reason}`);
  return read.asked;
}

/** A problem by its text. RangeError where nothing works it. */
export function problemOf(text: string): Problem {
  const read = readComputation(text);
  if (!read.ok) throw new RangeError(`ownLinesMethod: "${text}": nothing works it`);
  return read.problem;
}
