import { benchFailure } from '../problem/limits.ts';
import { addressText, readAddress } from '../account/chance.ts';
import type { School } from '../account/account.ts';
import { CHECKS, OUTCOMES, type CheckId, type Outcome } from '../checks/check.ts';
import type { Choice } from '../compare/compare.ts';
import { Exact } from '../exact/exact.ts';
import { failureText } from '../problem/failure.ts';
import { readProblem, type Problem } from '../problem/problem.ts';
import {
  hasOpportunity,
  refusalText,
  resolveSchool,
  schoolFailureText,
  type Method,
} from '../methods/method.ts';
import type { Registry } from '../methods/registry.ts';
import { COMPARISON_VERSION, migrateComparison } from './comparison-migrations.ts';

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
  /** Her own hops, pieces or changes: exact amounts in base ten (`13`, `-5`, `1/20`), for methods that take them. */
  readonly hops: readonly string[];
  /** Slips that a learner makes on it, by their addresses, such as `forget-carry@line-1.0`. */
  readonly slips: readonly string[];
}

/** A check that was made, as it was found then. */
export interface CheckRecord {
  readonly check: CheckId;
  /** The method whose answer was checked. */
  readonly method: string;
  /** The second method, or what was keyed into the calculator; empty for other checks. */
  readonly against: string;
  readonly outcome: Outcome;
  /** When it was made: an ISO 8601 time in UTC. */
  readonly at: string;
}

/** The open format of a kept comparison, version 3: what was chosen, never what can be computed. */
export interface ComparisonDocument {
  readonly format: 'levee-comparison';
  readonly version: 3;
  readonly title: string;
  /** What the numbers stand for, in a line. */
  readonly story: string;
  readonly unit: string;
  /** Whether the unit is counted in wholes and cannot be split. */
  readonly counted: boolean;
  readonly problem: string;
  readonly estimate: EstimateRecord | null;
  readonly papers: readonly PaperChoice[];
  /** Steps done, one count a paper. */
  readonly steps: readonly number[];
  readonly pace: Pace;
  readonly checks: readonly CheckRecord[];
}

export const MAX_PAPERS = 4;
/** Most checks that a comparison keeps, and most hops of a paper. */
export const MAX_CHECKS = 200;
export const MAX_HOPS = 40;
/** Most slips of a paper. */
export const MAX_SLIPS = 20;
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
  'counted',
  'problem',
  'estimate',
  'papers',
  'steps',
  'pace',
  'checks',
];

function decode(input: unknown, registry: Registry): DecodedComparison {
  const given = object(input, 'document');
  if (given['format'] !== 'levee-comparison') {
    throw new Fault('format', 'this is not a Levee comparison');
  }
  const current = migrateComparison(given);
  if (!current) {
    throw new Fault(
      'version',
      `version ${String(given['version'])} is not known here; versions up to ${COMPARISON_VERSION} are`,
    );
  }
  const fields = object(current, 'document', KEYS);
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
      version: COMPARISON_VERSION,
      title: text(fields['title'], 'title', TEXT_LIMITS.title),
      story: text(fields['story'], 'story', TEXT_LIMITS.story),
      unit: text(fields['unit'], 'unit', TEXT_LIMITS.unit),
      counted: flag(fields['counted'], 'counted'),
      problem: source,
      estimate: fields['estimate'] === null ? null : decodeEstimate(fields['estimate']),
      papers,
      steps,
      pace: oneOf(fields['pace'], 'pace', PACES),
      checks: decodeChecks(fields['checks'], registry),
    },
  };
}

function decodePaper(
  input: unknown,
  where: string,
  problem: Problem,
  registry: Registry,
): PaperChoice {
  const fields = object(input, where, ['method', 'school', 'order', 'hops', 'slips']);
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
  const hops = list(fields['hops'], `${where}.hops`).map((hop, k) =>
    exactAmount(hop, `${where}.hops[${k}]`),
  );
  if (hops.length > MAX_HOPS) {
    throw new Fault(`${where}.hops`, `a paper has up to ${MAX_HOPS} hops, not ${hops.length}`);
  }
  const slips = list(fields['slips'], `${where}.slips`).map((slip, k) =>
    text(slip, `${where}.slips[${k}]`, 80),
  );
  const paper = { method: id, school: resolved.school, order, hops, slips };
  const fault = slipFault(method, problem, paper);
  if (fault !== null) throw new Fault(`${where}.slips`, fault);
  return paper;
}

/** Why the slips of a paper cannot be made; null when each has a chance of its own there. */
function slipFault(
  method: Method,
  problem: Problem,
  { school, order, hops, slips }: PaperChoice,
): string | null {
  if (slips.length === 0) return null;
  const long = benchFailure(problem);
  if (long) return `slips are made on work that the bench shows: ${failureText(long)}`;
  if (slips.length > MAX_SLIPS) return `a paper has up to ${MAX_SLIPS} slips, not ${slips.length}`;
  const wished = slips.flatMap((slip) => readAddress(slip) ?? []);
  if (wished.length < slips.length) {
    const unread = slips.find((slip) => !readAddress(slip));
    return `"${unread}" is not a slip such as ${method.slips[0]?.id ?? 'forget-carry'}@place-0`;
  }
  const own = hops.map((hop) => Exact.parse(hop));
  const { opportunities } = method.light(problem, { school, order, hops: own, slips: wished });
  const strange = wished.find((slip) => !hasOpportunity(opportunities, slip));
  return strange ? `there is no chance for ${addressText(strange)} on this paper` : null;
}

/** `13`, `-5` or `1/20` in lowest terms, the one way in which an amount is kept. */
function exactAmount(input: unknown, where: string): string {
  const amount = text(input, where, 60);
  const fits = /^-?\d+(\/\d*[1-9]\d*)?$/.test(amount) && Exact.parse(amount).toString() === amount;
  if (!fits) throw new Fault(where, `"${amount}" is not an amount such as 13, -5 or 1/20`);
  return amount;
}

function decodeChecks(input: unknown, registry: Registry): readonly CheckRecord[] {
  const records = list(input, 'checks');
  if (records.length > MAX_CHECKS) {
    throw new Fault('checks', `up to ${MAX_CHECKS} checks are kept, not ${records.length}`);
  }
  return records.map((record, k) => decodeCheck(record, `checks[${k}]`, registry));
}

function decodeCheck(input: unknown, where: string, registry: Registry): CheckRecord {
  const fields = object(input, where, ['check', 'method', 'against', 'outcome', 'at']);
  const method = text(fields['method'], `${where}.method`, 80);
  if (!registry.find(method)) throw new Fault(`${where}.method`, `there is no method "${method}"`);
  const at = text(fields['at'], `${where}.at`, 40);
  if (Number.isNaN(Date.parse(at)) || new Date(at).toISOString() !== at) {
    throw new Fault(`${where}.at`, `"${at}" is not a time such as 2026-01-31T09:00:00.000Z`);
  }
  return {
    check: oneOf(fields['check'], `${where}.check`, CHECKS),
    method,
    against: text(fields['against'], `${where}.against`, 400),
    outcome: oneOf(fields['outcome'], `${where}.outcome`, OUTCOMES),
    at,
  };
}

function decodeEstimate(input: unknown): EstimateRecord {
  const fields = object(input, 'estimate', ['operands', 'value', 'judgement', 'beforeWorking']);
  const beforeWorking = flag(fields['beforeWorking'], 'estimate.beforeWorking');
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

function flag(input: unknown, where: string): boolean {
  if (typeof input !== 'boolean') throw new Fault(where, 'this must be true or false');
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
  return papers.map(({ method, school, order, hops, slips }) => ({
    method: registry.get(method),
    school,
    order,
    hops: hops.map((hop) => Exact.parse(hop)),
    ...(slips.length > 0 ? { slips: slips.flatMap((slip) => readAddress(slip) ?? []) } : {}),
  }));
}
