import { type Exact } from '../../exact/exact.ts';
import { type Surd } from '../../exact/surd.ts';
import { isPlain } from '../../line/kinds.ts';
import { flat, type Node, type Term, termValue } from '../../line/node.ts';
import { type Asked, operandsOf } from '../read/asked.ts';

/** What a paper comes to: the last rewriting, total or landing. */
export interface End {
  readonly terms: readonly Term[];
  readonly value: Surd;
  /** What is left over, where a whole quotient is told. */
  readonly rest: Exact | null;
}

/** Whether nothing is left to be worked out: one number, like terms gathered, roots as small as they can be. */
export function owesNothing({ terms }: End): boolean {
  const all = flat(terms);
  if (all.length <= 1 && all.every(({ node }) => isPlain(node) || isSurd(node))) return true;
  const letters = all.map((term) => lettersOf(term));
  return !letters.includes(null) && new Set(letters).size === letters.length;
}

function isSurd(node: Node): boolean {
  if (node.kind === 'root')
    return node.of.kind === 'number' && node.value.toString() === `√${node.of.amount}`;
  if (node.kind !== 'product' || node.factors.some(({ under }) => under)) return false;
  const [a, b, ...more] = node.factors;
  return (
    more.length === 0 && a?.node.kind === 'number' && b?.node.kind === 'root' && isSurd(b.node)
  );
}

/** The letters of a term that is worked out, empty for a number; null for one that is not. */
function lettersOf(term: Term): string | null {
  const value = termValue(term).rational;
  if (!value || value.parts().length > 1) return null;
  const { node } = term;
  const factors = node.kind === 'product' ? node.factors : [{ under: false, node }];
  const numbers = factors.filter((factor) => isPlain(factor.node));
  const others = factors.filter((factor) => !isPlain(factor.node));
  const names = others.map(({ node: own, under }) =>
    under
      ? null
      : own.kind === 'letter'
        ? own.name
        : own.kind === 'power' && own.of.kind === 'letter'
          ? own.of.name
          : null,
  );
  const isTidy =
    numbers.length <= 1 && !names.includes(null) && new Set(names).size === names.length;
  return isTidy ? value.letters : null;
}

/** Whether it has the problem's value; a whole quotient with its rest, where both are right. */
export function isRightEnd({ value, rest }: End, asked: Asked): boolean {
  return value.equals(asked.value) && (rest === null || isRestOf(rest, asked));
}

/** Whether a rest is smaller than the divisor. */
function isRestOf(rest: Exact, asked: Asked): boolean {
  const divisor = operandsOf(asked)[1]?.rational;
  return divisor !== null && divisor !== undefined && rest.compare(divisor) < 0;
}
