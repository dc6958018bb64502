import { readAnswer, type Form } from '../diagnose/answer.ts';
import type { JudgedLine } from '../own/judge/judged.ts';
import type { JudgedPaper } from '../own/judge/judged-paper.ts';
import { OWN_PHRASES } from '../own/account/phrases.ts';
import { expressionProblem } from '../problem/computation.ts';
import { ownTrace } from '../own/paper/method.ts';
import { usedText } from '../laws/used.ts';
import { Budget } from '../diagnose/budget.ts';
import { lineSlip, PAPER_BUDGET, wrongWorking } from '../own/paper/line-slip.ts';
import { saysOf } from '../own/say/says.ts';
import type { OwnLinesDocument } from './lines-shape.ts';
import { traceDocument } from './trace-document.ts';
import { askedHead } from './ways-document.ts';

/** Someone's own working as an open document. */
export function linesDocument(paper: JudgedPaper): OwnLinesDocument {
  const { asked, complete, right, unused, searched } = paper;
  const budget = new Budget(PAPER_BUDGET);
  const lines = paper.lines.map((line) => ({
    ...lineOf(line),
    slip: slipOf(paper, line, budget),
  }));
  return {
    format: 'levee-lines',
    version: 1,
    problem: askedHead(asked),
    complete,
    right,
    form: formOf(paper),
    unused,
    searched: { ...searched, cut: searched.cut || budget.isCut },
    trace: traceOf(paper),
    lines,
  };
}

/** The slip of a method with which the computation of an unequal line comes to what the line gives. */
function slipOf(paper: JudgedPaper, { n }: JudgedLine, budget: Budget): string | null {
  const working = wrongWorking(paper, n);
  return working && (lineSlip(working, budget)?.address ?? null);
}

/** The account of the lines; null where no line works anything, or what is asked has roots in its value. */
function traceOf(paper: JudgedPaper): OwnLinesDocument['trace'] {
  const { problem, expression } = paper.asked;
  const asked = problem ?? expressionProblem(expression);
  const trace = asked && ownTrace(asked, paper);
  return trace && trace.steps.length > 0 ? traceDocument({ phrases: OWN_PHRASES }, trace) : null;
}

/** How the last line writes the answer. */
function formOf({ asked, lines, complete }: JudgedPaper): Form {
  const last = lines.findLast(({ kind, verdict }) => kind !== 'note' && verdict !== 'unread');
  if (!last || !asked.problem || !complete) return 'as-asked';
  const text = last.text.split('=').at(-1)!.trim();
  const read = readAnswer(text, asked.problem);
  return read.ok && read.answered ? read.form : 'as-asked';
}

function lineOf(line: JudgedLine): Omit<OwnLinesDocument['lines'][number], 'slip'> {
  const { n, text, kind, verdict, against, law, move, statements, joins, followed } = line;
  return {
    n,
    text,
    kind,
    verdict,
    value: line.value?.toString() ?? null,
    against,
    off: line.off?.toString() ?? null,
    totalOff: line.totalOff?.toString() ?? null,
    law,
    move,
    readings: line.readings.map(({ moves, between }) => ({
      moves: moves.map(({ law, move, from, to, used }) => ({
        law,
        move,
        from,
        to,
        with: used && usedText(used),
      })),
      between: [...between],
    })),
    signs: line.signs.map(({ at, verdict: own, off }) => ({
      at,
      verdict: own,
      off: off?.toString() ?? null,
    })),
    statements: [...statements],
    joins,
    followed,
    chance: line.chance,
    falseRule: line.falseRule?.id ?? null,
    nearest: line.nearest.map(({ text: near, off }) => ({ text: near, off: off.toString() })),
    unreadAt: line.unread?.at ?? null,
    ambiguous: line.ambiguous,
    units: [...line.units],
    says: saysOf(line),
  };
}
