import { leaksOf } from '../account/leaks.ts';
import type { Trace } from '../account/account.ts';
import { OWN_LINES } from '../laws/replay.ts';
import type { Method } from '../methods/method.ts';
import { problemText, type Problem } from '../problem/problem.ts';
import { OWN_PHRASES } from './amounts/phrases.ts';
import { traceOfLines } from './amounts/trace.ts';
import { readAsked } from './asked.ts';
import { ownSheet } from './own-sheet.ts';
import { judgeLines } from './paper.ts';

/** The account of lines on a problem; null where they have none. */
export function ownTrace(problem: Problem, lines: readonly string[]): Trace | null {
  const read = readAsked(problemText(problem));
  return read.ok ? traceOfLines(judgeLines(read.asked, lines)) : null;
}

/**
 * A paper of someone's own lines in the place of a method, so that it is stepped, pointed at, compared and certified like
 * one. It has no schools and no slips: what is wrong in it leaks at its line. Its trace is a RangeError where the lines
 * have no account; ask `accepts` first.
 */
export function ownLinesMethod(lines: readonly string[]): Method {
  const trace = (problem: Problem): Trace => {
    const made = ownTrace(problem, lines);
    if (made) return made;
    throw new RangeError(`ownLinesMethod: these lines have no account of ${problemText(problem)}`);
  };
  return {
    id: OWN_LINES,
    family: 'own',
    name: 'Own lines',
    shortName: 'Own lines',
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
    accepts: (problem) =>
      ownTrace(problem, lines)
        ? { ok: true }
        : { ok: false, reason: { code: 'kind-not-worked', kind: problem.kind } },
    work: (_, problem) => trace(problem),
    sheet: ownSheet,
    trace,
    light: (problem) => {
      const made = trace(problem);
      const { answer, total, opportunities, facts } = made;
      return { answer, total, leaks: leaksOf(made), opportunities, facts };
    },
  };
}
