import { Surd } from '../../../../exact/surd.ts';
import { productNode, type Term } from '../../../../line/node.ts';
import { plus, times } from '../../../../line/terms.ts';
import { number, numberPairOf } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const WRONG_FACTOR: FalseRule = {
  id: 'wrong-factor',
  truth:
    'When a factor is taken apart, each of its parts goes with the other factor, which stays as it is.',
  counter: { from: '46 × 58', line: '46 × 60 − 58 × 2' },
  write: (from, aim) => wrongFactor(from, aim),
};

/** R · f as R · f₁ ± f · f₂: the second part goes with the number that was taken apart. */
function wrongFactor(from: readonly Term[], aim: readonly Term[]): readonly (readonly Term[])[] {
  const pair = numberPairOf(from);
  const [first, second, ...more] = aim;
  if (pair?.sign !== '×' || !first || !second || more.length > 0) return [];
  return [
    [pair.a, pair.b],
    [pair.b, pair.a],
  ].flatMap(([kept, cut]) => {
    const part = first.node.value.dividedBy(Surd.of(kept!))?.rational;
    const rest = part && cut!.minus(part);
    if (!part?.isWhole || !rest || rest.isZero || part.isZero) return [];
    const wrong = productNode([times(number(cut!)), times(number(rest.absolute()))]);
    const right = productNode([times(number(kept!)), times(number(part))]);
    return [[plus(right), { minus: rest.isNegative, node: wrong }]];
  });
}
