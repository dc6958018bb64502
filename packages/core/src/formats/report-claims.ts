import { decodeAgreement } from './agreement-document.ts';
import { verifyAgreement, type Verification } from '../compare/certificate/verify-agreement.ts';
import { CERTIFICATE_NOT_CHECKED } from '../compare/certificate/certificate-claims.ts';
import { readAs, type Read } from '../describe/describe.ts';
import { Exact } from '../exact/exact.ts';
import { readWorked } from '../problem/computation.ts';
import { COMPARISON_REPORT, type ComparisonReport } from './comparison-report-shape.ts';
import { headFault, isFields } from './heading.ts';
import { problemFaults } from './trace-claims.ts';

/** What the report of a comparison claims that its certificate and its problem do not decide, in words. */
export const REPORT_NOT_CHECKED = [
  ...CERTIFICATE_NOT_CHECKED,
  'the schools, steps and costs of methods',
  'which terms and groups come to the same amount, and at which steps methods meet',
  'whether all results are told in one way',
] as const;

/** The same by fields of the document, beside those of its certificate. */
export const REPORT_UNCHECKED_FIELDS = [
  'methods[].school',
  'methods[].steps',
  'methods[].cost',
  'sameAmounts[].terms',
  'sameAmounts[].members',
  'stops',
  'sameResult',
] as const;

/** Reads the report of a comparison from anything; what it claims is for {@link verifyReport}. */
export function decodeReport(input: unknown): Read<ComparisonReport> {
  const head = {
    format: 'levee-comparison-report',
    is: 'the report of a comparison',
    versions: [1],
  };
  const fault = headFault(input, head);
  if (fault) return { ok: false, ...fault };
  const agreement = decodeAgreement(isFields(input) ? input['agreement'] : undefined);
  if (!agreement.ok) return { ...agreement, where: `agreement.${agreement.where}` };
  return readAs(COMPARISON_REPORT, { ...(input as object), agreement: agreement.value }, 'report');
}

/**
 * Checks the report of a comparison by its certificate: problem, terms and methods are those of the certificate, answers are its
 * value where nothing leaks, what is the same is worth what its terms are. What is not checked: {@link REPORT_NOT_CHECKED}.
 */
export function verifyReport(report: ComparisonReport): Verification {
  const { agreement } = report;
  const verified = verifyAgreement(agreement);
  if (!verified.ok) return verified;
  const fault =
    problemFault(report) ?? termsFault(report) ?? methodsFault(report) ?? sameFault(report);
  return fault === null ? { ok: true } : { ok: false, method: null, move: 0, fault };
}

function problemFault({ problem, agreement }: ComparisonReport): string | null {
  const read = readWorked(agreement.problem);
  if (!read.ok) return 'the problem cannot be read';
  return problemFaults(problem, read.problem)[0]?.fault ?? null;
}

function termsFault({ terms, agreement }: ComparisonReport): string | null {
  const isSame = JSON.stringify(terms) === JSON.stringify(agreement.terms);
  return isSame ? null : 'the terms are not those of the certificate';
}

function methodsFault({ methods, agree, agreement }: ComparisonReport): string | null {
  if (methods.length !== agreement.methods.length)
    return 'methods are not those of the certificate';
  for (const [k, { method, answer, balanced }] of methods.entries()) {
    const told = agreement.methods[k]!;
    if (told.method !== method) return `${method} is not the method of the certificate`;
    if (balanced === (told.leak !== undefined)) return `${method} is balanced where nothing leaks`;
    const isEnd = told.leak === undefined && !told.unfinished;
    if (isEnd && answer !== agreement.value) return `${method} does not answer ${answer}`;
  }
  return agree === methods.every(({ balanced }) => balanced)
    ? null
    : 'methods agree where every account balances';
}

function sameFault({ sameAmounts, methods, terms }: ComparisonReport): string | null {
  const worths = new Map(terms.map(({ id, worth }) => [id, Exact.parse(worth)]));
  const known = new Set(methods.map(({ method }) => method));
  for (const { terms: own, worth, members } of sameAmounts) {
    const parts = own.map((id) => worths.get(id));
    if (parts.includes(undefined)) return 'what is the same is of terms that are not there';
    const sum = Exact.sum(parts.flatMap((part) => part ?? []));
    if (!sum.equals(Exact.parse(worth))) return `${own.join(', ')} are not worth ${worth}`;
    if (members.some(({ method }) => !known.has(method))) return 'a method is not compared here';
  }
  return null;
}
