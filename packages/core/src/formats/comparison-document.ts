import type { School } from '../account/account.ts';
import type { Choice } from '../compare/compare.ts';
import { Exact } from '../exact/exact.ts';
import { failureText } from '../problem/failure.ts';
import { readProblem, type Problem } from '../problem/problem.ts';
import { refusalText, resolveSchool, schoolFailureText } from '../methods/method.ts';
import type { Registry } from '../methods/registry.ts';

/** How papers move when the transport is used: until the same terms are dealt with, a step each, or one paper. */
export const PACES = ['amount', 'step', 'alone'] as const;
export type Pace = (typeof PACES)[number];

/** How near an estimate must be, as she judges it; empty until she has. */
export const JUDGEMENTS = ['', 'right size is enough', 'close'] as const;
export type Judgement = (typeof JUDGEMENTS)[number];

export interface EstimateRecord {
  /** The rounded operands in figures of the problem's base. */
  readonly operands: readonly string[];
  /** What they make, an exact amount in base ten. */
  readonly value: string;
  readonly judgement: Judgement;
  /** False when some step had been done before the estimate was recorded. */
  readonly beforeWorking: boolean;
}

export interface PaperChoice {
  readonly method: string;
  readonly school: School;
  /** Term ids to deal with first, for methods of free order. */
  readonly order: readonly string[];
}

/** The open format of a kept comparison, version 1: what was chosen, never what can be computed. */
export interface ComparisonDocument {
  readonly format: 'levee-comparison';
  readonly version: 1;
  readonly title: string;
  /** What the numbers stand for, in a line. */
  readonly story: string;
  readonly unit: string;
  readonly problem: string;
  readonly estimate: EstimateRecord | null;
  readonly papers: readonly PaperChoice[];
  /** Steps done, one count a paper. */
  readonly steps: readonly number[];
  readonly pace: Pace;
}

export const MAX_PAPERS = 4;
/** Most characters of a title, story or unit. */
export const TEXT_LIMITS = { title: 120, story: 400, unit: 40 } as const;

export type DecodedComparison =
  | { readonly ok: true; readonly document: ComparisonDocument; readonly problem: Problem }
  | { readonly ok: false; readonly where: string; readonly fault: string };

class Fault extends Error {
  constructor(
    readonly where: string,
    readonly fault: string,
  ) {
    super(`${where}: ${fault}`);
  }
}

type Fields = Readonly<Record<string, unknown>>;

/**
 * Reads a comparison document from anything and trusts nothing: wrong types, unknown fields,
 * unreadable problems, methods that refuse the problem, schools and orders that do not exist.
 */
export function decodeComparison(input: unknown, registry: Registry): DecodedComparison {
  try {
    return decode(input, registry);
  } catch (error) {
    if (error instanceof Fault) return { ok: false, where: error.where, fault: error.fault };
    throw error;
  }
}

const KEYS = [
  'format',
  'version',
  'title',
  'story',
  'unit',
  'problem',
  'estimate',
  'papers',
  'steps',
  'pace',
];

function decode(input: unknown, registry: Registry): DecodedComparison {
  const fields = object(input, 'document', KEYS);
  if (fields['format'] !== 'levee-comparison') {
    throw new Fault('format', 'this is not a Levee comparison');
  }
  if (fields['version'] !== 1) {
    throw new Fault(
      'version',
      `version ${String(fields['version'])} is not known here; version 1 is`,
    );
  }
  const source = text(fields['problem'], 'problem', 4000);
  const read = readProblem(source);
  if (!read.ok) throw new Fault('problem', failureText(read.reason));
  const papers = list(fields['papers'], 'papers').map((paper, k) =>
    decodePaper(paper, `papers[${k}]`, read.problem, registry),
  );
  if (papers.length < 1 || papers.length > MAX_PAPERS) {
    throw new Fault('papers', `a comparison has one to ${MAX_PAPERS} papers, not ${papers.length}`);
  }
  const steps = list(fields['steps'], 'steps').map((count, k) => index(count, `steps[${k}]`));
  if (steps.length !== papers.length) throw new Fault('steps', 'there must be one count a paper');
  return {
    ok: true,
    problem: read.problem,
    document: {
      format: 'levee-comparison',
      version: 1,
      title: text(fields['title'], 'title', TEXT_LIMITS.title),
      story: text(fields['story'], 'story', TEXT_LIMITS.story),
      unit: text(fields['unit'], 'unit', TEXT_LIMITS.unit),
      problem: source,
      estimate: fields['estimate'] === null ? null : decodeEstimate(fields['estimate']),
      papers,
      steps,
      pace: oneOf(fields['pace'], 'pace', PACES),
    },
  };
}

function decodePaper(
  input: unknown,
  where: string,
  problem: Problem,
  registry: Registry,
): PaperChoice {
  const fields = object(input, where, ['method', 'school', 'order']);
  const id = text(fields['method'], `${where}.method`, 80);
  const method = registry.find(id);
  if (!method) throw new Fault(`${where}.method`, `there is no method "${id}"`);
  const accepted = method.accepts(problem);
  if (!accepted.ok) throw new Fault(`${where}.method`, refusalText(accepted.reason));
  const school = Object.entries(object(fields['school'], `${where}.school`)).map(
    ([key, value]) => [key, text(value, `${where}.school.${key}`, 80)] as const,
  );
  const resolved = resolveSchool(method, Object.fromEntries(school));
  if (!resolved.ok) throw new Fault(`${where}.school`, schoolFailureText(resolved.reason));
  const order = list(fields['order'], `${where}.order`).map((term, k) =>
    text(term, `${where}.order[${k}]`, 40),
  );
  return { method: id, school: resolved.school, order };
}

function decodeEstimate(input: unknown): EstimateRecord {
  const fields = object(input, 'estimate', ['operands', 'value', 'judgement', 'beforeWorking']);
  const beforeWorking = fields['beforeWorking'];
  if (typeof beforeWorking !== 'boolean') {
    throw new Fault('estimate.beforeWorking', 'this must be true or false');
  }
  const value = text(fields['value'], 'estimate.value', 1000);
  if (!isAmount(value)) throw new Fault('estimate.value', `"${value}" is not an exact amount`);
  return {
    operands: list(fields['operands'], 'estimate.operands').map((operand, k) =>
      text(operand, `estimate.operands[${k}]`, 400),
    ),
    value,
    judgement: oneOf(fields['judgement'], 'estimate.judgement', JUDGEMENTS),
    beforeWorking,
  };
}

function isAmount(value: string): boolean {
  try {
    return Exact.parse(value).toString() === value;
  } catch {
    return false;
  }
}

function object(input: unknown, where: string, keys?: readonly string[]): Fields {
  if (typeof input !== 'object' || input === null || Array.isArray(input)) {
    throw new Fault(where, 'this must be an object');
  }
  const unknown = keys && Object.keys(input).find((key) => !keys.includes(key));
  if (unknown !== undefined) throw new Fault(where, `there is no field "${unknown}"`);
  return input as Fields;
}

function list(input: unknown, where: string): readonly unknown[] {
  if (!Array.isArray(input)) throw new Fault(where, 'this must be a list');
  if (input.length > 4000) throw new Fault(where, 'this list is too long');
  return input;
}

function text(input: unknown, where: string, most: number): string {
  if (typeof input !== 'string') throw new Fault(where, 'this must be a text');
  if (input.length > most) {
    throw new Fault(where, `this has ${input.length} characters; ${most} are allowed`);
  }
  return input;
}

function index(input: unknown, where: string): number {
  if (typeof input !== 'number' || !Number.isSafeInteger(input) || input < 0) {
    throw new Fault(where, 'this must be a count, 0 or more');
  }
  return input;
}

function oneOf<T extends string>(input: unknown, where: string, known: readonly T[]): T {
  const found = known.find((candidate) => candidate === input);
  if (found === undefined) {
    throw new Fault(where, `this must be one of: ${known.map((k) => `"${k}"`).join(', ')}`);
  }
  return found;
}

/** The papers of a document as choices of a comparison. RangeError on a method that does not exist. */
export function choicesOf(papers: readonly PaperChoice[], registry: Registry): readonly Choice[] {
  return papers.map(({ method, school, order }) => ({
    method: registry.get(method),
    school,
    order,
  }));
}
