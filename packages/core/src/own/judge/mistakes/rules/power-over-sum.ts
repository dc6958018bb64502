import { type Node, powerNode, rootNode, type Term } from '../../../../line/node.ts';
import { partsOf, single } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const POWER_OVER_SUM: FalseRule = {
  id: 'power-over-sum',
  truth:
    'A power or a root goes to every factor of a product; a sum must be worked out or multiplied out.',
  counter: { from: '(3 + 4)^2', line: '3^2 + 4^2' },
  write: (from) => single(from, powerOverSum),
};

function powerOverSum(node: Node): readonly Term[] | null {
  const of = node.kind === 'power' || node.kind === 'root' ? node.of : null;
  const cut = of && partsOf(of);
  if (!cut) return null;
  const made = cut.map((part): Term | null => {
    const own = node.kind === 'power' ? powerNode(part.node, node.exponent) : rootNode(part.node);
    return own && { minus: node.kind === 'root' && part.minus, node: own };
  });
  return made.includes(null) ? null : (made as Term[]);
}
