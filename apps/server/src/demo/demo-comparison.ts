import { freshComparison, OWN_LINES, registry, workOf, type ComparisonDocument } from '@levee/core';

type DemoPaper = readonly [
  method: string,
  school?: Record<string, string>,
  hops?: readonly string[],
];

/** A paper of someone's own lines; one that begins with a tilde is struck. */
interface DemoLines {
  readonly lines: readonly string[];
  readonly code?: string;
  readonly name?: string;
}

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
  readonly papers: readonly (DemoPaper | DemoLines)[];
  readonly steps: readonly number[];
  readonly pace?: ComparisonDocument['pace'];
  readonly checks?: readonly Omit<ComparisonDocument['checks'][number], 'problem'>[];
  /** Answers under codes, `T07 598`, and to other problems, `T07 642 − 387: 255`. */
  readonly answers?: readonly string[];
}

/** The whole document of a demo comparison, papers in their usual schools. */
export function comparison(demo: DemoComparison): ComparisonDocument {
  const { papers, steps, checks = [], answers = [], ...said } = demo;
  const laid = papers.map((paper, k) => ({
    id: `p${k + 1}`,
    ...('lines' in paper ? ownPaper(paper) : methodPaper(paper)),
  }));
  return {
    ...freshComparison(said.problem),
    ...said,
    answers: answers.map(answered),
    checks: checks.map((check) => ({ problem: said.problem, ...check })),
    papers: laid,
    steps: Object.fromEntries(laid.map(({ id }, k) => [id, steps[k]!])),
  };
}

function methodPaper([method, school = {}, hops = []]: DemoPaper) {
  const whole = { ...registry.get(method).defaultSchool, ...school };
  return { method, school: whole, order: [], hops, slips: [], own: null };
}

function ownPaper({ lines, code = '', name = '' }: DemoLines) {
  const typed = workOf(lines).lines.map(({ text }) => ({
    text: text.replace(/^~\s*/, ''),
    struck: text.startsWith('~'),
  }));
  const own = { lines: typed, code, name };
  return { method: OWN_LINES, school: {}, order: [], hops: [], slips: [], own };
}

function answered(text: string): ComparisonDocument['answers'][number] {
  const [, code, problem = '', answer] = /^(\S+) (?:(.+): )?(.+)$/.exec(text) ?? [];
  if (code === undefined || answer === undefined) throw new RangeError(`answered: "${text}"`);
  return { code, problem, answer };
}
