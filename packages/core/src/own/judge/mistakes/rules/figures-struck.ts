import { Exact } from '../../../../exact/exact.ts';
import { fractionNode, type FractionNode, type Term } from '../../../../line/node.ts';
import { plus } from '../../../../line/terms.ts';
import { single, whole } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const FIGURES_STRUCK: FalseRule = {
  id: 'figures-struck',
  truth: 'Equal factors above and below may be struck; figures are no factors.',
  counter: { from: '13/35', line: '1/5' },
  isLucky: true,
  write: (from) => single(from, (node) => (node.kind === 'fraction' ? figuresStruck(node) : null)),
};

/** One figure that stands above and below is struck in both. */
function figuresStruck(node: FractionNode): readonly Term[] | null {
  const [top, bottom] = [node.top.text, node.bottom.text];
  for (const [i, glyph] of [...top].entries()) {
    const k = bottom.indexOf(glyph);
    if (k < 0 || glyph === '.') continue;
    const left = [top.slice(0, i) + top.slice(i + 1), bottom.slice(0, k) + bottom.slice(k + 1)];
    if (left.some((text) => !/^[1-9]\d*$/.test(text))) continue;
    const [a, b] = left.map((text) => whole(Exact.of(BigInt(text))));
    return [plus(fractionNode(a!, b!))];
  }
  return null;
}
