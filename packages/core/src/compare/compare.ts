import type { Amount, Comparison } from './comparison.ts';
import type { Lane } from './comparison.ts';
import type { Entry, EntryId, Given, School, SlipRequest, Trace } from '../account/account.ts';
import { leaksOf } from '../account/leaks.ts';
import { allEntries } from '../account/owed.ts';
import { TermSet } from '../account/terms.ts';
import type { Exact } from '../exact/exact.ts';
import type { Method } from '../methods/method.ts';
import type { Problem } from '../problem/problem.ts';
import { commonTerms } from './common-terms.ts';
import { stopsOf } from './stops.ts';

export interface Choice {
  readonly method: Method;
  readonly school?: School;
  /** Term ids to deal with first, for methods of free order. */
  readonly order?: readonly string[];
  /** Her own hops, for methods that take them. */
  readonly hops?: readonly Exact[];
  /** Slips that a learner makes in it. */
  readonly slips?: readonly SlipRequest[];
  /** Its work on the problem, where that is there already. */
  readonly trace?: Trace;
}

/** Works a problem by several methods. RangeError when a method does not accept it. */
export function compare(problem: Problem, choices: readonly Choice[]): Comparison {
  const traces = choices.map((choice) => workOfChoice(problem, choice));
  return comparisonOf(
    problem,
    traces.map((trace, k) => ({
      method: choices[k]!.method,
      trace,
      leaks: trace.balanced ? [] : leaksOf(trace),
    })),
  );
}

/** A problem worked by one choice: its work where that is there already. RangeError when the method does not accept it. */
export function workOfChoice(
  problem: Problem,
  { method, school, order, hops, slips, trace }: Choice,
): Trace {
  return (
    trace ??
    method.trace(problem, {
      ...(school ? { school } : {}),
      ...(order ? { order } : {}),
      ...(hops ? { hops } : {}),
      ...(slips ? { slips } : {}),
    })
  );
}

/** One lane of a comparison by itself, in the terms of its own cut. */
export function alone(comparison: Comparison, lane: Lane): Comparison {
  return comparison.lanes.length === 1 ? comparison : comparisonOf(comparison.problem, [lane]);
}

function comparisonOf(
  problem: Problem,
  works: readonly Pick<Lane, 'method' | 'trace' | 'leaks'>[],
): Comparison {
  const traces = works.map(({ trace }) => trace);
  const { space, translate } = commonTerms(traces);
  const lanes = works.map(({ method, trace, leaks }, k): Lane => {
    const amounts = trace.groups.map((group): Amount => {
      const terms = translate[k]!(group.terms);
      return { group, terms, exact: group.worth.equals(terms.worth()) };
    });
    const entries = new Map(everything(trace).map((entry) => [entry.id, entry]));
    const find = (id: EntryId) => entries.get(id);
    const termsOf = (id: EntryId) => {
      const terms = entries.get(id)?.terms;
      return terms ? translate[k]!(terms) : TermSet.empty(space);
    };
    return { method, trace, leaks, amounts, termsOf, find };
  });
  return { problem, space, lanes, stops: stopsOf(lanes) };
}

function everything(trace: Trace): readonly (Entry | Given)[] {
  return [...trace.givens, ...allEntries(trace)];
}
