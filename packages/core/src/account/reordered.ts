import type { Problem } from '../problem/problem.ts';
import type { Trace } from './account.ts';
import { TermSet } from './terms.ts';
import { ProductSpace } from './spaces.ts';

/**
 * A product that was worked with its factors in another order, read as the work of the problem itself: the same
 * marks and steps, with terms and figures of the question named by the problem's own factors. `order` gives for
 * every factor of the work its index in the problem.
 */
export function reorderedTrace(trace: Trace, problem: Problem, order: readonly number[]): Trace {
  const cuts = problem.operands.map((_, operand) => trace.space.cuts[order.indexOf(operand)]!);
  const space = new ProductSpace(cuts);
  const known = new Map<string, TermSet>();
  const moved = (set: TermSet): TermSet => {
    const found = known.get(set.key);
    if (found) return found;
    const indices = [...set.indices()].map((index) => {
      const parts = trace.space.parts(index);
      return space.index(problem.operands.map((_, operand) => parts[order.indexOf(operand)]!));
    });
    const made = TermSet.from(space, indices);
    known.set(set.key, made);
    return made;
  };
  const own = <T extends { readonly terms: TermSet }>(of: T): T => ({
    ...of,
    terms: moved(of.terms),
  });
  return {
    ...trace,
    problem,
    space,
    givens: trace.givens.map((given) => ({ ...own(given), operand: order[given.operand]! })),
    start: trace.start.map(own),
    steps: trace.steps.map((step) => ({
      ...step,
      gives: step.gives.map(own),
      opens: step.opens.map(own),
    })),
    groups: trace.groups.map(own),
  };
}
