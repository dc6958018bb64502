import { Exact } from '../../exact/exact.ts';
import { factorsOf } from '../moves/distribute.ts';
import {
  flat,
  fractionNode,
  sumNode,
  valueOfTerms,
  type Factor,
  type FractionNode,
  type Node,
  type Term,
} from '../node.ts';
import type { FalseRule } from './rule.ts';
import { by, fractionsIn, over, partsOf, plainOf, plus, shared, single, whole } from './parts.ts';

/** Rules about quotients and fractions. */
export const OF_QUOTIENTS: readonly FalseRule[] = [
  {
    id: 'one-scaled',
    truth: 'A quotient, and so a fraction, stays when both its numbers are scaled alike.',
    write: (from, aim) => scaledAlone(from, aim),
  },
  {
    id: 'over-a-divisor',
    truth: 'A dividend may be taken apart and shared part by part; a divisor may not.',
    write: (from, aim) =>
      single(from, (node) => {
        const [a, b, ...more] = factorsOf(node);
        if (!a || !b?.under || a.under || more.length > 0) return null;
        const cut = partsOf(b.node) ?? divisorsOf(a, b, aim);
        const shares = cut?.map((part) => {
          const node = shared([a, over(part.node)]);
          return node && { minus: part.minus, node };
        });
        return !shares || shares.includes(null) ? null : (shares as readonly Term[]);
      }),
  },
  {
    id: 'tops-and-bottoms',
    truth:
      'Parts of one name are counted together and keep their name; tops and bottoms are multiplied in a product.',
    write: (from) => {
      const all = fractionsIn(from);
      if (!all || all.length < 2) return [];
      const total = (amounts: readonly Exact[]) =>
        from.reduce(
          (sum, term, k) => (term.minus ? sum.minus(amounts[k]!) : sum.plus(amounts[k]!)),
          Exact.ZERO,
        );
      const [top, bottom] = [
        total(all.map((own) => own.top.amount)),
        total(all.map((own) => own.bottom.amount)),
      ];
      const added = !bottom.isZero && !bottom.isNegative && !top.isNegative;
      return added ? [[plus(fractionNode(whole(top), whole(bottom)))]] : [];
    },
  },
  {
    id: 'same-added-to-both',
    truth: 'Top and bottom of a fraction are multiplied alike; to add the same to both changes it.',
    write: (from, aim) => {
      const [old, made] = [fractionsIn(from), fractionsIn(aim)];
      if (!old || !made || old.length !== made.length) return [];
      return [
        old.map((own, k) => {
          const change = made[k]!.top.amount.minus(own.top.amount);
          const bottom = own.bottom.amount.plus(change);
          const node =
            bottom.isZero || bottom.isNegative ? own : fractionNode(made[k]!.top, whole(bottom));
          return { minus: from[k]!.minus, node };
        }),
      ];
    },
  },
  {
    id: 'terms-struck',
    truth: 'Equal factors above and below may be struck; terms of a sum may not.',
    write: (from) => single(from, termsStruck),
  },
  {
    id: 'figures-struck',
    truth: 'Equal factors above and below may be struck; figures are no factors.',
    write: (from) =>
      single(from, (node) => (node.kind === 'fraction' ? figuresStruck(node) : null)),
  },
];

/** The parts into which a line takes a divisor apart, where each of its terms shares the same dividend by one of them. */
function divisorsOf(a: Factor, b: Factor, aim: readonly Term[]): readonly Term[] | null {
  const parts = aim.map((term): Term | null => {
    const [dividend, divisor, ...more] = factorsOf(term.node);
    const isShare = dividend && divisor?.under && !dividend.under && more.length === 0;
    const isSame = isShare && dividend.node.key === a.node.key;
    return isSame ? { minus: term.minus, node: divisor.node } : null;
  });
  const taken = parts.flatMap((part) => part ?? []);
  const isWhole = taken.length === aim.length && taken.length > 1;
  return isWhole && valueOfTerms(taken).equals(b.node.value) ? taken : null;
}

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
  const made = shared([by(sumNode(left)), over(sumNode(rest))]);
  return made && [plus(made)];
}

/** One figure that stands above and below is struck in both. */
export function figuresStruck(node: FractionNode): readonly Term[] | null {
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
