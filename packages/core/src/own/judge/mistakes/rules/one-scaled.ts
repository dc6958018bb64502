import { type Exact } from '../../../../exact/exact.ts';
import { factorsOf } from '../../../../line/factors.ts';
import type { Factor, Term } from '../../../../line/node.ts';
import { plainOf } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const ONE_SCALED: FalseRule = {
  id: 'one-scaled',
  truth: 'A quotient, and so a fraction, stays when both its numbers are scaled alike.',
  counter: { from: '144 ÷ 16', line: '72 ÷ 16' },
  write: (from, aim) => scaledAlone(from, aim),
};

function scaledAlone(from: readonly Term[], aim: readonly Term[]): readonly (readonly Term[])[] {
  const [only, ...more] = from;
  const [target, ...others] = aim;
  if (!only || !target || more.length + others.length > 0) return [];
  const [old, made] = [factorsOf(only.node), factorsOf(target.node)];
  const isShare = (factors: readonly Factor[]) =>
    factors.length === 2 && !factors[0]!.under && factors[1]!.under;
  if (!isShare(old) || !isShare(made)) return [];
  const amounts = [...old, ...made].map(({ node }) => plainOf(node));
  if (amounts.includes(null)) return [];
  const [a, b, c, d] = amounts as [Exact, Exact, Exact, Exact];
  const isTop = b.equals(d) && !a.equals(c);
  const isBottom = a.equals(c) && !b.equals(d);
  const [x, y] = isTop ? [c, a] : [d, b];
  const scale =
    y.isZero || x.isZero ? null : [x.dividedBy(y), y.dividedBy(x)].some(({ isWhole }) => isWhole);
  return (isTop || isBottom) && scale ? [aim] : [];
}
