import {
  auditDocument,
  CERTIFICATE_NOT_CHECKED,
  decodeAgreement,
  TRACE_NOT_CHECKED,
  verifyAgreement,
} from '@levee/core';
import { fileText, jsonIn } from './files.ts';
import { RefutedError } from './usage-error.ts';

/** Whether a certificate holds; a comparison report is read by its `agreement`. RefutedError with the first fault. */
export function verifyCommand(file: string): string {
  const input = jsonIn(fileText(file), file);
  const certificate = (input as { agreement?: unknown } | null)?.agreement ?? input;
  const read = decodeAgreement(certificate);
  if (!read.ok) throw new RefutedError(`${read.where}: ${read.fault}`);
  const verdict = verifyAgreement(read.value);
  if (!verdict.ok) {
    const { method, move, fault } = verdict;
    throw new RefutedError(method === null ? fault : `${method}, line ${move + 1}: ${fault}`);
  }
  const { methods } = read.value;
  const lines = methods.reduce((count, { moves }) => count + moves.length, 0);
  const leaking = methods.filter(({ leak, unfinished }) => leak || unfinished);
  const asFar =
    leaking.length > 0
      ? `; as far as it goes: ${leaking.map(({ method }) => method).join(', ')}`
      : '';
  return `confirmed: ${methods.length} methods, ${lines} lines${asFar}\n${notChecked(CERTIFICATE_NOT_CHECKED)}`;
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
