import { Exact } from '../../exact/exact.ts';
import type { Factor, FractionNode, Node, NumberNode, Term } from '../../line/node.ts';
import { termsText } from '../../line/node-text.ts';

const HUNDRED = Exact.of(100);

/** What a number comes to as it is written; of `75%` it is 75. */
export function figureOf(leaf: NumberNode): Exact {
  return leaf.isPercent ? leaf.amount.times(HUNDRED) : leaf.amount;
}

/** A line with its numbers written otherwise, letters for instance. */
export function textWith(terms: readonly Term[], name: (leaf: NumberNode) => string): string {
  const leaf = (own: NumberNode): NumberNode => ({
    ...own,
    text: `${name(own)}${own.isPercent ? '%' : ''}`,
  });
  const fraction = (own: FractionNode): FractionNode => ({
    ...own,
    top: leaf(own.top),
    bottom: leaf(own.bottom),
  });
  const factor = ({ under, node }: Factor): Factor => ({ under, node: inside(node) });
  const term = ({ minus, node }: Term): Term => ({ minus, node: inside(node) });
  function inside(node: Node): Node {
    switch (node.kind) {
      case 'number':
        return leaf(node);
      case 'fraction':
        return fraction(node);
      case 'mixed':
        return { ...node, whole: leaf(node.whole), part: fraction(node.part) };
      case 'sum':
        return { ...node, terms: node.terms.map(term) };
      case 'product':
        return { ...node, factors: node.factors.map(factor) };
      case 'power':
      case 'root':
      case 'opposite':
        return { ...node, of: inside(node.of) };
      case 'letter':
        return node;
    }
  }
  return termsText(terms.map(term));
}

/** What a line comes to when its numbers stand for others; null where it divides by nothing, or has a root. */
export function valueWith(
  terms: readonly Term[],
  valueOf: (leaf: NumberNode) => Exact | null,
  box: Exact | null,
): Exact | null {
  try {
    return sum(terms);
  } catch (error) {
    if (error instanceof NoValue) return null;
    throw error;
  }

  function sum(own: readonly Term[]): Exact {
    let total = Exact.ZERO;
    for (const { minus, node } of own) {
      const value = of(node);
      total = minus ? total.minus(value) : total.plus(value);
    }
    return total;
  }

  function of(node: Node): Exact {
    switch (node.kind) {
      case 'number':
        return leaf(node);
      case 'fraction':
        return divided(leaf(node.top), leaf(node.bottom));
      case 'mixed':
        return leaf(node.whole).plus(divided(leaf(node.part.top), leaf(node.part.bottom)));
      case 'letter':
        return node.name === '□' ? told(box) : Exact.letter(node.name);
      case 'sum':
        return sum(node.terms);
      case 'product':
        return node.factors.reduce(
          (made, { under, node: own }) => (under ? divided(made, of(own)) : made.times(of(own))),
          Exact.ONE,
        );
      case 'power':
        return of(node.of).power(node.exponent);
      case 'opposite':
        return of(node.of).negate();
      case 'root':
        throw new NoValue();
    }
  }

  function leaf(own: NumberNode): Exact {
    const value = told(valueOf(own));
    return own.isPercent ? value.dividedBy(HUNDRED) : value;
  }
}

class NoValue extends Error {}

function told(value: Exact | null): Exact {
  if (value === null) throw new NoValue();
  return value;
}

function divided(top: Exact, bottom: Exact): Exact {
  if (bottom.isZero || !bottom.isConstant) throw new NoValue();
  return top.dividedBy(bottom);
}
