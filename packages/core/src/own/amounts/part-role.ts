import type { Role } from '../../account/account.ts';
import { termShape } from '../../problem/kinds.ts';
import type { Problem } from '../../problem/problem.ts';

/** A lone number on a paper of a quotient is a part of it that is found; any other amount is still worked on. */
export function partRole({ kind }: Problem, text: string): Role {
  return termShape(kind) === 'pieces' && /^−?\s?\d[\d. ]*(\/\d+)?$/.test(text)
    ? 'answer'
    : 'subtotal';
}
