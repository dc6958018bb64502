import { leaksOf } from '../../account/leaks.ts';
import type { Step, Trace } from '../../account/account.ts';
import { lawFaults, replayOf } from '../../laws/replay.ts';
import type { Problem } from '../../problem/problem.ts';
import { traceOfLines } from '../account/trace.ts';
import { traceOfWholeLines } from '../account/whole.ts';
import type { JudgedPaper } from '../judge/judged-paper.ts';
import { textsOf } from './judged-work.ts';
import {
  asked,
  linesAsMethod,
  problemOf,
  remembered,
  type KnownLines,
  type OwnLinesMethod,
} from './lines-method.ts';
import type { OwnWork } from './own-work.ts';
import { judgeLines } from '../judge/judge-lines.ts';

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
    lawFaults(replayOf(trace))
      .map(({ step }) => step)
      .filter((step) => !leaking.has(step)),
  );
  if (faulty.size === 0) return trace;
  const steps = trace.steps.map((step): Step =>
    faulty.has(step.number) ? { ...step, law: 'unnamed' } : step,
  );
  const made = { ...trace, steps };
  return lawFaults(replayOf(made)).some(({ step }) => faulty.has(step)) ? null : made;
}

/** Methods of own lines by the lines: the same ones are judged and worked once. */
const MADE = new WeakMap<OwnWork, OwnLinesMethod>();

/**
 * A paper of someone's own lines in the place of a method, so that it is stepped, pointed at, compared and certified like
 * one. It takes every problem, has no schools and no slips: what is wrong in it leaks at its line. The same problem is
 * judged and worked once.
 */
export function ownLinesMethod(own: OwnWork): OwnLinesMethod {
  const made = MADE.get(own) ?? judgedMethod(own);
  MADE.set(own, made);
  return made;
}

function judgedMethod(own: OwnWork): OwnLinesMethod {
  const judged = remembered((text) => judgeLines(asked(text), textsOf(own)));
  return linesAsMethod(own, {
    said: (text) => ({ paper: judged(text) }),
    trace: (text) => ownTrace(problemOf(text), judged(text)),
  });
}

/** Judges and works someone's own lines on one problem, so that it can be kept or sent. RangeError for no computation. */
export function judgedLines(problem: string, own: OwnWork): KnownLines {
  const judged = judgeLines(asked(problem), textsOf(own));
  const { lines, complete, right } = judged;
  return { paper: { lines, complete, right }, trace: ownTrace(problemOf(problem), judged) };
}
