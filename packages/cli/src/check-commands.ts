import { readFileSync } from 'node:fs';
import { auditDocument, decodeAgreement, verifyAgreement } from '@levee/core';
import { RefutedError, UsageError } from './usage-error.ts';

/** Whether a certificate holds; a comparison report is read by its `agreement`. RefutedError with the first fault. */
export function verifyCommand(file: string): string {
  const input = documentIn(file);
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
  const fault = auditDocument(documentIn(file));
  if (fault)
    throw new RefutedError(fault.step === 0 ? fault.fault : `step ${fault.step}: ${fault.fault}`);
  return 'confirmed: every amount, balance, law and term\n';
}

function documentIn(file: string): unknown {
  let text: string;
  try {
    text = readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new UsageError(`${file} cannot be read (${code}).`);
  }
  try {
    return JSON.parse(text);
  } catch {
    throw new UsageError(`${file} is not JSON.`);
  }
}
