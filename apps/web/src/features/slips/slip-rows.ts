import {
  addressText,
  answerText,
  factErrors,
  slipIdea,
  type Exact,
  type Problem,
  type Speaker,
  type Trace,
} from '@levee/core';
import type { Paper } from '../../worked/work.ts';
import { beforeRows } from './before-rows.ts';
import { whereWords } from '../../worked/where-words.ts';

/** One chance of one slip on a paper, with what it gives when it is made once. */
export interface SlipRow {
  readonly address: string;
  readonly slip: string;
  readonly label: string;
  readonly where: string;
  readonly step: number;
  readonly answer: string;
  readonly off: Exact;
  /** How many of the rows give this answer. */
  readonly ways: number;
  readonly kind: 'slip' | 'fact' | 'before';
  /** Of what goes wrong before the work: the answer, and the computation that is worked instead where there is one. */
  readonly before?: { readonly answer: Exact; readonly copied: Problem | null };
}

/** The most rows that are worked for one paper. */
const MOST = 240;

const ROWS = new WeakMap<Trace, readonly SlipRow[]>();

/** Every chance of every slip on a paper, in the order of its steps, and every fact with what it is taken for. */
export function slipRows(paper: Paper, say: Speaker): readonly SlipRow[] {
  const { trace } = paper.lane;
  const known = ROWS.get(trace);
  if (known) return known;
  const within = [...chanceRows(paper, say), ...factRows(paper, say)].slice(0, MOST);
  const made = [...within, ...beforeRows(paper, say)];
  const counts = new Map<string, number>();
  for (const { answer } of made) counts.set(answer, (counts.get(answer) ?? 0) + 1);
  const rows = made.map((row) => ({ ...row, ways: counts.get(row.answer)! }));
  ROWS.set(trace, rows);
  return rows;
}

export type Row = Omit<SlipRow, 'ways'>;

function chanceRows({ method, lane: { trace } }: Paper, say: Speaker): readonly Row[] {
  const request = { school: trace.school, order: trace.choice.order, hops: trace.choice.hops };
  return [...trace.opportunities]
    .sort((a, b) => a.step - b.step)
    .slice(0, MOST)
    .map((chance): Row => {
      const { slip, at, step } = chance;
      const slipped = method.trace(trace.problem, { ...request, slips: [{ slip, at }] });
      const label = method.slips.find(({ id }) => id === slip)?.label ?? slipIdea(slip).label;
      return {
        address: addressText({ slip, at }),
        slip,
        label,
        where: whereWords(chance, trace, say),
        step,
        answer: answerText(slipped),
        off: slipped.answer.minus(trace.total),
        kind: 'slip',
      };
    });
}

function factRows({ method, lane: { trace } }: Paper, say: Speaker): readonly Row[] {
  const request = { school: trace.school, order: trace.choice.order, hops: trace.choice.hops };
  return trace.facts.slice(0, 24).flatMap((chance) => {
    const { slip, at, step, fact } = chance;
    const [column = 0, row = 0] = fact.of;
    const named = fact.sign === '×' ? [row, column] : fact.of;
    const sign = fact.sign === '×' ? say.times : fact.sign;
    const text = named.map((figure) => say.number(figure)).join(` ${sign} `);
    return factErrors(fact, trace.problem.base).map(({ idea, value }): Row => {
      const slipped = method.trace(trace.problem, { ...request, slips: [{ slip, at, value }] });
      return {
        address: addressText({ slip, at, value }),
        slip: idea,
        label: `${text} as ${say.number(value)}`,
        where: whereWords(chance, trace, say),
        step,
        answer: answerText(slipped),
        off: slipped.answer.minus(trace.total),
        kind: 'fact',
      };
    });
  });
}
