import {
  addressText,
  Exact,
  factErrors,
  slipIdea,
  type Problem,
  type Speaker,
  type Trace,
} from '@levee/core';
import type { Paper } from '../../../worked/work.ts';
import { whereWords } from '../../../worked/where-words.ts';

/** Where something can go wrong on a paper, and what: a step of the work, a fact, or what is done before it. */
export interface Chance {
  readonly address: string;
  readonly slip: string;
  readonly label: string;
  readonly where: string;
  readonly step: number;
  readonly kind: 'slip' | 'fact' | 'before';
}

/** What comes of a chance when it is taken once. */
export interface Outcome {
  readonly answer: string;
  readonly off: Exact;
}

/** What goes wrong before the work, with what it gives, and the computation that is worked instead where there is one. */
export interface BeforeRow extends Chance, Outcome {
  readonly before: { readonly answer: Exact; readonly copied: Problem | null };
}

/** A row of the list of chances; what comes of it is null until it is worked. */
export interface SlipRow extends Chance {
  readonly outcome: Outcome | null;
  /** How many of the rows worked so far give this answer. */
  readonly ways: number;
  /** Of what goes wrong before the work, all of it. */
  readonly before?: BeforeRow;
}

/** The most chances that are listed for one paper. */
const MOST = 240;

/** Every chance of every slip on a paper, in the order of its steps, and every fact with what it is taken for. */
export function chancesOf(paper: Paper, say: Speaker): readonly Chance[] {
  return [...slipChances(paper, say), ...factChances(paper, say)].slice(0, MOST);
}

function slipChances({ method, lane: { trace } }: Paper, say: Speaker): readonly Chance[] {
  return [...trace.opportunities]
    .sort((a, b) => a.step - b.step)
    .slice(0, MOST)
    .map((chance): Chance => {
      const { slip, at, step } = chance;
      const label = method.slips.find(({ id }) => id === slip)?.label ?? slipIdea(slip).label;
      const address = addressText({ slip, at });
      return { address, slip, label, where: whereWords(chance, trace, say), step, kind: 'slip' };
    });
}

function factChances({ lane: { trace } }: Paper, say: Speaker): readonly Chance[] {
  return trace.facts.slice(0, 24).flatMap((chance) => {
    const { slip, at, step, fact } = chance;
    const [column = 0, row = 0] = fact.of;
    const named = fact.sign === '×' ? [row, column] : fact.of;
    const sign = fact.sign === '×' ? say.times : fact.sign;
    const text = named.map((figure) => say.number(figure)).join(` ${sign} `);
    return factErrors(fact, trace.problem.base).map(({ idea, value }): Chance => ({
      address: addressText({ slip, at, value }),
      slip: idea,
      label: `${text} as ${say.number(value)}`,
      where: whereWords(chance, trace, say),
      step,
      kind: 'fact',
    }));
  });
}

/** Chances with what has come of them so far, and what goes wrong before the work. */
export function slipRows(
  chances: readonly Chance[],
  outcomes: ReadonlyMap<string, Outcome>,
  before: readonly BeforeRow[],
): readonly SlipRow[] {
  const made = [
    ...chances.map((chance) => ({ ...chance, outcome: outcomes.get(chance.address) ?? null })),
    ...before.map((row) => ({ ...row, outcome: row, before: row })),
  ];
  const counts = new Map<string, number>();
  for (const { outcome } of made)
    if (outcome) counts.set(outcome.answer, (counts.get(outcome.answer) ?? 0) + 1);
  return made.map((row) => ({ ...row, ways: counts.get(row.outcome?.answer ?? '') ?? 0 }));
}

/** What came of chances, for as long as the work is there. */
const OUTCOMES = new WeakMap<Trace, Map<string, Outcome>>();

/** What has come of the chances of some work so far; it grows. */
export function outcomesOf(trace: Trace): Map<string, Outcome> {
  const known = OUTCOMES.get(trace) ?? new Map<string, Outcome>();
  OUTCOMES.set(trace, known);
  return known;
}

/** The same as it was told from elsewhere: its amount as an exact number. */
export function outcomeOf(
  { answer, amount }: { readonly answer: string; readonly amount: string },
  trace: Trace,
): Outcome {
  return { answer, off: Exact.parse(amount).minus(trace.total) };
}
