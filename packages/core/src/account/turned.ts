import type { Problem } from '../problem/problem.ts';
import { owedTerm, termId, termParts, turnedId } from './ids.ts';
import type { OwnChoice, Step, Trace } from './account.ts';
import type { Where } from './chance.ts';
import { reorderedTrace } from './reordered.ts';

/**
 * The work of two factors that were written with the second on top, read as the work of the problem: terms, owed
 * amounts, figures of the question and chances of slips have the problem's own names.
 */
export function turnedTrace(trace: Trace, problem: Problem): Trace {
  const reordered = reorderedTrace(trace, problem, [1, 0]);
  const { space } = reordered;
  const steps = reordered.steps.map((step): Step => ({
    ...step,
    takes: step.takes.map(turnedId),
    strikes: step.strikes.map(turnedId),
  }));
  return {
    ...reordered,
    steps,
    choice: turnedChoice(trace.choice),
    givens: reordered.givens.map((given) => ({ ...given, id: turnedId(given.id) })),
    start: reordered.start.map((entry) => {
      const id = turnedId(entry.id);
      return { ...entry, id, text: space.text(space.find(owedTerm(id) ?? '') ?? 0) };
    }),
    groups: reordered.groups.map((group) => ({ ...group, marks: group.marks.map(turnedId) })),
    opportunities: turnedChances(trace.opportunities),
    facts: turnedChances(trace.facts),
  };
}

/** Her own order of the products, each named by a part of each factor. */
export function turnedOrder(order: readonly string[]): readonly string[] {
  return order.map((pair) => termId([...termParts(pair)].reverse()));
}

function turnedChoice(choice: OwnChoice): OwnChoice {
  return { ...choice, order: turnedOrder(choice.order) };
}

/** Chances of slips by the names of the problem. */
export function turnedChances<C extends { readonly at: Where }>(
  chances: readonly C[],
): readonly C[] {
  return chances.map((chance) => ({ ...chance, at: turnedWhere(chance.at) }));
}

/** Where a slip may be made; a cell is named by a part of each factor. */
function turnedWhere(at: Where): Where {
  return at.what === 'cell' ? { ...at, at: [...at.at].reverse() } : at;
}
