import { auditDocument, decodeAgreement, verifyAgreement } from '@levee/core';
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
  const leaks = methods.flatMap(({ method, leak }) =>
    leak ? [`${method} leaks ${leak.amount} in step ${leak.step}`] : [],
  );
  const asFar = leaks.length > 0 ? `; as far as it goes: ${leaks.join(', ')}` : '';
  return `confirmed: ${methods.length} methods, ${lines} lines${asFar}\n`;
}

/** Whether a trace holds. RefutedError with the first fault. */
export function auditCommand(file: string): string {
  const fault = auditDocument(jsonIn(fileText(file), file));
  if (fault)
    throw new RefutedError(fault.step === 0 ? fault.fault : `step ${fault.step}: ${fault.fault}`);
  return 'confirmed: every amount, balance, law and term\n';
}
