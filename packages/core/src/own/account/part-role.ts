import type { Role } from '../../account/account.ts';
import { isPlain } from '../../line/kinds.ts';
import type { Term } from '../../line/node.ts';
import { termShape } from '../../problem/kinds.ts';
import type { Problem } from '../../problem/problem.ts';

/** A lone number on a paper of a quotient is a part of it that is found; any other amount is still worked on. */
export function partRole({ kind }: Problem, [only, ...more]: readonly Term[]): Role {
  const isNumber = only !== undefined && more.length === 0 && isPlain(only.node);
  return termShape(kind) === 'pieces' && isNumber ? 'answer' : 'subtotal';
}
