import { AGREEMENT, type Agreement } from '../compare/certificate/agreement-shape.ts';
import { readAs, type Read } from '../describe/describe.ts';
import { headFault, isFields } from './heading.ts';

const VERSIONS = [1, 2, 3];

/**
 * Reads a certificate from anything and trusts nothing; what it claims is for `verifyAgreement` to check. Version 1,
 * without numbers of lines, is read too.
 */
export function decodeAgreement(input: unknown): Read<Agreement> {
  const head = { format: 'levee-agreement', is: 'a certificate of agreement', versions: VERSIONS };
  const fault = headFault(input, head);
  return fault ? { ok: false, ...fault } : readAs(AGREEMENT, upToDate(input), 'certificate');
}

/** Version 1 did not say what is told in brief: a sum in three lines was. */
function upToDate(input: unknown): unknown {
  if (!isFields(input) || input['version'] !== 1 || !Array.isArray(input['methods'])) return input;
  const methods = input['methods'].map((method: unknown) => {
    if (!isFields(method) || method['brief'] !== undefined) return method;
    const { moves } = method;
    const brief = Array.isArray(moves) && moves.length <= 3 && isReordered(moves[1]);
    return { ...method, brief };
  });
  return { ...input, methods };
}

function isReordered(move: unknown): boolean {
  return isFields(move) && move['law'] === 'reorder';
}
