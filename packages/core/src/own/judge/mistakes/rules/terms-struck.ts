import { factorsOf } from '../../../../line/factors.ts';
import { flat, type Node, sumNode, type Term } from '../../../../line/node.ts';
import { plus, times } from '../../../../line/terms.ts';
import { over, shared, single } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const TERMS_STRUCK: FalseRule = {
  id: 'terms-struck',
  truth: 'Equal factors above and below may be struck; terms of a sum may not.',
  counter: { from: '(8 + 5) ÷ 5', line: '8' },
  isLucky: true,
  write: (from) => single(from, termsStruck),
};

function termsStruck(node: Node): readonly Term[] | null {
  const factors = factorsOf(node);
  const [top, bottom, ...more] = factors;
  if (!top || top.under || !bottom?.under || more.length > 0) return null;
  const above = top.node.kind === 'sum' ? flat(top.node.terms) : null;
  const below = bottom.node.kind === 'sum' ? flat(bottom.node.terms) : [plus(bottom.node)];
  if (!above) return null;
  const key = ({ minus: own, node: of }: Term) => `${own}${of.key}`;
  const common = above.find((term) => below.some((other) => key(other) === key(term)));
  if (!common) return null;
  const left = above.filter((term) => term !== common);
  const rest = below.filter((other) => key(other) !== key(common));
  if (rest.length === 0) return left;
  const made = shared([times(sumNode(left)), over(sumNode(rest))]);
  return made && [plus(made)];
}
