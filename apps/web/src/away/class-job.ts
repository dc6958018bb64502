import {
  ClassSimulation,
  readProblem,
  registry,
  type PaperResult,
  type School,
  type SlipRate,
} from '@levee/core';
import { inPieces, type Done, type Tell } from './long.ts';

/** A class to be worked, as plain data. */
export interface ClassPlan {
  readonly problem: string;
  readonly papers: readonly { readonly method: string; readonly school: School }[];
  readonly learners: number;
  readonly runs: number;
  readonly seed: number;
  readonly rates: readonly (readonly [slip: string, rate: SlipRate])[];
  readonly sameLearners: boolean;
}

export interface ClassOutcome {
  readonly papers: readonly PaperResult[];
  /** How many runs were done: fewer than asked for when it was stopped. */
  readonly runs: number;
}

/** Runs that are done before it is looked at the clock. */
const AT_ONCE = 5;

/** Works a class run after run. RangeError for a text that is no problem. */
export async function classRuns(plan: ClassPlan, tell: Tell<Done>): Promise<ClassOutcome> {
  const read = readProblem(plan.problem);
  if (!read.ok) throw new RangeError(`classRuns: "${plan.problem}" is not a problem`);
  const simulation = new ClassSimulation({
    ...plan,
    problem: read.problem,
    papers: plan.papers.map(({ method, school }) => ({ method: registry.get(method), school })),
    rates: new Map(plan.rates),
  });
  const { runs: of } = plan;
  await inPieces(
    of,
    () => {
      simulation.advance(AT_ONCE);
      return simulation.runs;
    },
    (done) => tell({ done, of }),
  );
  return { papers: simulation.results, runs: simulation.runs };
}
