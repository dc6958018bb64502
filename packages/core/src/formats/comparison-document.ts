import { addressText, readAddress } from '../account/chance.ts';
import { readAs, type Read, type ReadFault } from '../describe/describe.ts';
import { Exact } from '../exact/exact.ts';
import { OWN_LINES } from '../account/own-lines.ts';
import {
  hasOpportunity,
  refusalText,
  resolveSchool,
  schoolFailureText,
  type Method,
} from '../methods/method.ts';
import type { Registry } from '../methods/registry.ts';
import { failureText } from '../problem/failure.ts';
import { benchFailure } from '../problem/limits.ts';
import { problemText, readProblem, type Problem } from '../problem/problem.ts';
import { keptAnswer } from '../diagnose/answer.ts';
import { readComputation } from '../problem/computation.ts';
import { COMPARISON_VERSIONS, laterField, migrateComparison } from './comparison-migrations.ts';
import {
  COMPARISON,
  type ComparisonDocument,
  type PaperChoice,
  type PaperWork,
} from './comparison-shape.ts';
import { methodOfPaper } from './choices.ts';
import { headFault } from './heading.ts';

const HEADING = {
  format: 'levee-comparison',
  is: 'a Levee comparison',
  versions: COMPARISON_VERSIONS,
};

/** A document of any known version as the one that is written now, by its description alone. */
export function readComparison(input: unknown): Read<ComparisonDocument> {
  const fault = headFault(input, HEADING) ?? laterField(input);
  return fault ? { ok: false, ...fault } : readAs(COMPARISON, migrateComparison(input), 'document');
}

export type DecodedComparison =
  | { readonly ok: true; readonly document: ComparisonDocument; readonly problem: Problem }
  | ({ readonly ok: false } & ReadFault);

/**
 * Reads a comparison document from anything and trusts nothing: what its description does not allow, unreadable
 * problems, methods that refuse the problem, schools, orders and slips that do not exist, papers of one name.
 */
export function decodeComparison(input: unknown, registry: Registry): DecodedComparison {
  const described = readComparison(input);
  if (!described.ok) return { ok: false, where: described.where, fault: described.fault };
  const document = described.value;
  const read = readComputation(document.problem);
  if (!read.ok) return { ok: false, where: 'problem', fault: failureText(read.reason) };
  const fault =
    paperFault(document, read.problem, registry) ??
    stepsFault(document) ??
    checksFault(document, registry);
  if (fault) return { ok: false, ...fault };
  const papers = document.papers.map((paper) => ({
    ...paper,
    school: fullSchool(paper, registry),
  }));
  const answers = keptAnswers(document, read.problem);
  return { ok: true, problem: read.problem, document: { ...document, papers, answers } };
}

/** Of answers nothing is kept but what is read as one; what cannot be read is an answer that was not given. */
function keptAnswers(
  { answers, unit, units }: ComparisonDocument,
  own: Problem,
): ComparisonDocument['answers'] {
  const problems = new Map<string, Problem | null>([['', own]]);
  return answers.map((given) => {
    const known = problems.get(given.problem);
    const read = known === undefined ? readProblem(given.problem) : null;
    const problem = known ?? (read?.ok ? read.problem : null);
    problems.set(given.problem, problem);
    const of = given.problem === '' || !problem ? '' : problemText(problem);
    const kept = problem && keptAnswer(given.answer, problem, [unit, ...units]);
    return { ...given, problem: of, answer: kept?.answer ?? '' };
  });
}

/** The first thing about the papers that makes no sense. */
function paperFault(
  { papers }: ComparisonDocument,
  problem: Problem,
  registry: Registry,
): ReadFault | null {
  const ids = papers.map(({ id }) => id);
  for (const [k, paper] of papers.entries()) {
    const at = (field: string) => `papers[${k}].${field}`;
    if (ids.indexOf(paper.id) < k) {
      return { where: at('id'), fault: `two papers have the id "${paper.id}"` };
    }
    const method = methodOfPaper(paper, registry);
    if (!method) return { where: at('method'), fault: methodFault(paper) };
    if (method.id !== paper.method) {
      return { where: at('own'), fault: `only papers of ${OWN_LINES} have lines of their own` };
    }
    const accepted = method.accepts(problem);
    if (!accepted.ok) return { where: at('method'), fault: refusalText(accepted.reason) };
    const resolved = resolveSchool(method, paper.school);
    if (!resolved.ok) return { where: at('school'), fault: schoolFailureText(resolved.reason) };
    const fault = slipFault(method, problem, { ...paper, school: resolved.school });
    if (fault !== null) return { where: at('slips'), fault };
  }
  return null;
}

function methodFault({ method }: PaperWork): string {
  if (method === OWN_LINES) return `a paper of ${OWN_LINES} has its lines under "own"`;
  return `there is no method "${method}"`;
}

/** Every paper has a count of steps, and nothing else has. */
function stepsFault({ papers, steps }: ComparisonDocument): ReadFault | null {
  const known = new Set(papers.map(({ id }) => id));
  const strange = Object.keys(steps).find((id) => !known.has(id));
  if (strange !== undefined) return { where: 'steps', fault: `there is no paper "${strange}"` };
  const without = papers.find(({ id }) => steps[id] === undefined);
  return without ? { where: 'steps', fault: `there is no count for "${without.id}"` } : null;
}

function checksFault({ checks }: ComparisonDocument, registry: Registry): ReadFault | null {
  const isKnown = (method: string) => method === OWN_LINES || registry.find(method) !== undefined;
  const k = checks.findIndex(({ method }) => !isKnown(method));
  if (k < 0) return null;
  return { where: `checks[${k}].method`, fault: `there is no method "${checks[k]!.method}"` };
}

function fullSchool(paper: PaperChoice, registry: Registry): PaperChoice['school'] {
  const method = methodOfPaper(paper, registry);
  const resolved = method && resolveSchool(method, paper.school);
  return resolved?.ok ? resolved.school : paper.school;
}

/** Why the slips of a paper cannot be made; null when each has a chance of its own there. */
function slipFault(
  method: Method,
  problem: Problem,
  { school, order, hops, slips }: PaperWork,
): string | null {
  if (slips.length === 0) return null;
  const long = benchFailure(problem);
  if (long) return `slips are made on work that the bench shows: ${failureText(long)}`;
  const wished = slips.flatMap((slip) => readAddress(slip) ?? []);
  if (wished.length < slips.length) {
    const unread = slips.find((slip) => !readAddress(slip));
    return `"${unread}" is not a slip such as ${method.slips[0]?.id ?? 'forget-carry'}@place-0`;
  }
  const own = hops.map((hop) => Exact.parse(hop));
  const run = method.light(problem, { school, order, hops: own, slips: wished });
  const strange = wished.find((slip) => !hasOpportunity(run, slip));
  return strange ? `there is no chance for ${addressText(strange)} on this paper` : null;
}
