import { Exact } from '../../exact/exact.ts';
import { isPlain, isWhole } from '../../line/kinds.ts';
import {
  type Factor,
  type FractionNode,
  type Node,
  type Term,
  termValue,
} from '../../line/node.ts';

export type Writing = 'rename' | 'whole-as-parts' | 'other-writing';

/** In which other writing a number stands, either way; null where it is no other writing. */
export function writingOf(old: readonly Term[], made: readonly Term[]): Writing | null {
  return writingMove(old, made) ?? writingMove(made, old);
}

function writingMove(old: readonly Term[], made: readonly Term[]): Writing | null {
  const [a, ...more] = old;
  if (!a || more.length > 0) return null;
  const [b, c, ...others] = made;
  if (!b || others.length > 0) return null;
  if (c) return isWholeBesidePart(a, made) ? 'whole-as-parts' : null;
  return a.minus === b.minus ? ofOne(a.node, b.node) : null;
}

/** `7/6` as 1 + 1/6, `11/12` as 1 − 1/12, `5` as 4 + 6/6, `5 1/6` as 4 + 7/6. */
function isWholeBesidePart(only: Term, made: readonly Term[]): boolean {
  const isParts = only.node.kind === 'fraction' || only.node.kind === 'mixed' || isWhole(only.node);
  const whole = made.find(({ node }) => isWhole(node));
  const part = made.find(({ node }) => node.kind === 'fraction');
  if (!isParts || !whole || !part) return false;
  if (only.node.kind === 'mixed' && whole.node.key === only.node.whole.key) return false;
  const bottom = bottomKey(only.node);
  return (bottom === null || bottom === bottomKey(part.node)) && termValue(whole).rational!.isWhole;
}

function bottomKey(node: Node): string | null {
  if (node.kind === 'fraction') return node.bottom.key;
  return node.kind === 'mixed' ? node.part.bottom.key : null;
}

function ofOne(a: Node, b: Node): Writing | null {
  if (a.kind === 'fraction' && b.kind === 'fraction') return 'rename';
  if (a.kind === 'mixed' && b.kind === 'mixed') {
    return a.whole.key === b.whole.key ? 'rename' : 'whole-as-parts';
  }
  if (a.kind === 'fraction' && isWholes(b)) return 'whole-as-parts';
  if (a.kind === 'mixed' && (b.kind === 'fraction' || isWholes(b))) return 'whole-as-parts';
  if (isPointed(a) && isPlain(b)) return 'other-writing';
  if (isQuotientOf(a, b)) return 'other-writing';
  return isTimesOne(a, b) ? 'rename' : null;
}

function isWholes(node: Node): boolean {
  return (
    isWhole(node) || (node.kind === 'mixed' && node.part.top.amount.equals(node.part.bottom.amount))
  );
}

/** A number with a point, or in hundredths. */
function isPointed(node: Node): boolean {
  return node.kind === 'number' && (node.isPercent || !node.amount.isWhole);
}

/** `3 ÷ 4` beside `3/4`. */
function isQuotientOf(a: Node, b: Node): boolean {
  if (a.kind !== 'fraction' || b.kind !== 'product') return false;
  const [top, bottom, ...more] = b.factors;
  return (
    more.length === 0 &&
    top?.under === false &&
    bottom?.under === true &&
    top.node.key === a.top.key &&
    bottom.node.key === a.bottom.key
  );
}

/** The same with a factor n/n beside it: 3/4 as 3/4 × 3/3. */
function isTimesOne(a: Node, b: Node): boolean {
  if (b.kind !== 'product') return false;
  const ones = b.factors.filter(({ node, under }) => !under && isUnit(node));
  const rest = b.factors.filter((factor) => !ones.includes(factor));
  const own: readonly Factor[] = a.kind === 'product' ? a.factors : [{ under: false, node: a }];
  const keys = (factors: readonly Factor[]) =>
    factors
      .map(({ under, node }) => `${under}${node.key}`)
      .sort()
      .join();
  return ones.length > 0 && keys(rest) === keys(own);
}

function isUnit(node: Node): node is FractionNode {
  return (
    node.kind === 'fraction' &&
    node.top.amount.equals(node.bottom.amount) &&
    !node.top.amount.equals(Exact.ONE)
  );
}
