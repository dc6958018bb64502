import {
  addressText,
  amountWriter,
  linesForAll,
  problemText,
  problemValue,
  slipIdea,
  wholeItems,
  wrongCopies,
  type Speaker,
  type WholeItem,
  type WrongCopy,
} from '@levee/core';
import type { Paper } from '../../../worked/work.ts';
import type { BeforeRow } from './slip-rows.ts';
import { whereWords } from '../../../worked/where-words.ts';

/** What goes wrong before the work is begun, or after it: another answer is handed in, or another computation set down. */
export function beforeRows(paper: Paper, say: Speaker): readonly BeforeRow[] {
  const { method, lane } = paper;
  const { problem } = lane.trace;
  const copies = wrongCopies(problem).filter((copy) => method.accepts(copy.problem).ok);
  return [
    ...[...wholeItems(problem), ...linesForAll(lane.trace)].map((item) =>
      itemRow(item, paper, say),
    ),
    ...copies.map((copy) => copyRow(copy, paper, say)),
  ];
}

function itemRow({ slip, at, answer }: WholeItem, { lane }: Paper, say: Speaker): BeforeRow {
  const address = addressText({ slip, at });
  return {
    // Other operations are told apart by what they give.
    address: slip === 'other-operation' ? `${address}=${answer.toString()}` : address,
    slip,
    label: slipIdea(slip).label,
    where: at.what === 'operand' || at.what === 'line' ? whereWords({ at }, lane.trace, say) : '',
    step: 0,
    answer: amountWriter(lane.trace.problem)(answer),
    off: answer.minus(lane.trace.total),
    kind: 'before',
    before: { answer, copied: null },
  };
}

function copyRow({ slip, at, problem }: WrongCopy, { lane }: Paper, say: Speaker): BeforeRow {
  const answer = problemValue(problem);
  return {
    address: addressText({ slip, at }),
    slip,
    label: `${slipIdea(slip).label}: ${problemText(problem)}`,
    where: whereWords({ at }, lane.trace, say),
    step: 0,
    answer: amountWriter(problem)(answer),
    off: answer.minus(lane.trace.total),
    kind: 'before',
    before: { answer, copied: problem },
  };
}
