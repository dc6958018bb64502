import { registry, type ComparisonDocument } from '@levee/core';

/** What a demo comparison says; the rest is filled in alike for all. */
interface DemoComparison {
  readonly title: string;
  readonly story: string;
  readonly unit: string;
  readonly units?: readonly string[];
  readonly tags?: readonly string[];
  readonly counted?: boolean;
  readonly problem: string;
  readonly estimate: ComparisonDocument['estimate'];
  readonly papers: readonly (readonly [
    method: string,
    school?: Record<string, string>,
    hops?: readonly string[],
  ])[];
  readonly steps: readonly number[];
  readonly pace?: ComparisonDocument['pace'];
  readonly checks?: readonly Omit<ComparisonDocument['checks'][number], 'problem'>[];
}

/** The whole document of a demo comparison, papers in their usual schools. */
export function comparison(demo: DemoComparison): ComparisonDocument {
  const {
    papers,
    steps,
    pace = 'amount',
    counted = false,
    checks = [],
    units = [],
    tags = [],
    ...rest
  } = demo;
  const laid = papers.map(([method, school = {}, hops = []], k) => ({
    id: `p${k + 1}`,
    method,
    school: { ...registry.get(method).defaultSchool, ...school },
    order: [],
    hops,
    slips: [],
  }));
  return {
    format: 'levee-comparison',
    version: 6,
    earlier: [],
    pace,
    counted,
    units,
    tags,
    checks: checks.map((check) => ({ problem: rest.problem, ...check })),
    ...rest,
    papers: laid,
    steps: Object.fromEntries(laid.map(({ id }, k) => [id, steps[k]!])),
  };
}
