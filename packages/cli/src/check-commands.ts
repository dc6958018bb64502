import {
  auditDocument,
  CERTIFICATE_NOT_CHECKED,
  decodeAgreement,
  decodeReport,
  REPORT_NOT_CHECKED,
  TRACE_NOT_CHECKED,
  verifyAgreement,
  verifyReport,
  type Agreement,
  type Verification,
} from '@levee/core';
import { fileText, jsonIn } from './files.ts';
import { RefutedError } from './usage-error.ts';

/** Whether a certificate or the report of a comparison holds. RefutedError with the first fault. */
export function verifyCommand(file: string): string {
  const input = jsonIn(fileText(file), file);
  const isReport = (input as { agreement?: unknown } | null)?.agreement !== undefined;
  return isReport ? verifiedReport(input) : verifiedCertificate(input);
}

function verifiedReport(input: unknown): string {
  const read = decodeReport(input);
  if (!read.ok) throw new RefutedError(`${read.where}: ${read.fault}`);
  refute(verifyReport(read.value));
  return confirmed(read.value.agreement, REPORT_NOT_CHECKED);
}

function verifiedCertificate(input: unknown): string {
  const read = decodeAgreement(input);
  if (!read.ok) throw new RefutedError(`${read.where}: ${read.fault}`);
  refute(verifyAgreement(read.value));
  return confirmed(read.value, CERTIFICATE_NOT_CHECKED);
}

function refute(verdict: Verification): void {
  if (verdict.ok) return;
  const { method, move, fault } = verdict;
  throw new RefutedError(method === null ? fault : `${method}, line ${move + 1}: ${fault}`);
}

function confirmed({ methods }: Agreement, claims: readonly string[]): string {
  const lines = methods.reduce((count, { moves }) => count + moves.length, 0);
  const leaking = methods.filter(({ leak, unfinished }) => leak || unfinished);
  const asFar =
    leaking.length > 0
      ? `; as far as it goes: ${leaking.map(({ method }) => method).join(', ')}`
      : '';
  return `confirmed: ${methods.length} methods, ${lines} lines${asFar}\n${notChecked(claims)}`;
}

/** Whether a trace holds. RefutedError with the first fault. */
export function auditCommand(file: string): string {
  const fault = auditDocument(jsonIn(fileText(file), file));
  if (fault)
    throw new RefutedError(fault.step === 0 ? fault.fault : `step ${fault.step}: ${fault.fault}`);
  return `confirmed: every amount, balance, law, figure and term\n${notChecked(TRACE_NOT_CHECKED)}`;
}

/** What a document claims that was not held against anything. */
function notChecked(claims: readonly string[]): string {
  return `not checked: ${claims.join('; ')}\n`;
}
