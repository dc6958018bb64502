import { Exact } from '../exact/exact.ts';
import { decimalsNeeded, numeralFor, numeralValue, type Numeral } from '../exact/numeral.ts';
import { Surd } from '../exact/surd.ts';
import { numeralSource, type Expression } from '../problem/expression.ts';

/**
 * A computation in the shape in which two lines are laid on each other: sums as signed terms, products as factors
 * that multiply or divide. Two nodes with one key are the same but for order, brackets that change nothing, and
 * factors of one.
 */
export type Node =
  | NumberNode
  | FractionNode
  | MixedNode
  | LetterNode
  | SumNode
  | ProductNode
  | PowerNode
  | RootNode
  | OppositeNode;

interface Valued {
  readonly key: string;
  readonly value: Surd;
}

/** A whole number or one with a point; `75%` is one in hundredths. */
export interface NumberNode extends Valued {
  readonly kind: 'number';
  readonly amount: Exact;
  readonly isPercent: boolean;
  readonly text: string;
}

export interface FractionNode extends Valued {
  readonly kind: 'fraction';
  readonly top: NumberNode;
  readonly bottom: NumberNode;
}

export interface MixedNode extends Valued {
  readonly kind: 'mixed';
  readonly whole: NumberNode;
  readonly part: FractionNode;
}

/** A letter, or the box of an open sentence. */
export interface LetterNode extends Valued {
  readonly kind: 'letter';
  readonly name: string;
}

export interface SumNode extends Valued {
  readonly kind: 'sum';
  readonly terms: readonly Term[];
}

export interface ProductNode extends Valued {
  readonly kind: 'product';
  readonly factors: readonly Factor[];
}

export interface PowerNode extends Valued {
  readonly kind: 'power';
  readonly of: Node;
  readonly exponent: number;
}

export interface RootNode extends Valued {
  readonly kind: 'root';
  readonly of: Node;
}

/** A number below zero that stands in brackets: `5 − (−3)`. */
export interface OppositeNode extends Valued {
  readonly kind: 'opposite';
  readonly of: Node;
}

export interface Term {
  readonly minus: boolean;
  readonly node: Node;
}

export interface Factor {
  /** Whether it divides. */
  readonly under: boolean;
  readonly node: Node;
}

export function numberNode(amount: Exact, text: string, isPercent = false): NumberNode {
  // A number with a point is another writing than the fraction that it is worth.
  const key = isPercent ? `${amount}%` : amount.isWhole ? amount.toString() : `.${amount}`;
  return { kind: 'number', amount, isPercent, text, key, value: Surd.of(amount) };
}

/** A whole number or one with a point, as it is written in a base; a fraction for what has figures without end there. */
export function numberOf(amount: Exact, base: number): NumberNode | FractionNode | OppositeNode {
  if (amount.isNegative) return oppositeNode(numberOf(amount.negate(), base));
  if (amount.isWhole || decimalsNeeded(amount, base) !== null) return plainNumber(amount, base);
  const { numerator, denominator } = amount;
  return fractionNode(
    plainNumber(Exact.of(numerator), base),
    plainNumber(Exact.of(denominator), base),
  );
}

function plainNumber(amount: Exact, base: number): NumberNode {
  return numberNode(amount, numeralSource(numeralFor(amount, base)!));
}

/** A whole number as it is written in a base. */
export function wholeNode(amount: bigint, base: number): NumberNode {
  return plainNumber(Exact.of(amount), base);
}

export function fractionNode(top: NumberNode, bottom: NumberNode): FractionNode {
  const value = Surd.of(top.amount.dividedBy(bottom.amount));
  return { kind: 'fraction', top, bottom, value, key: `${top.key}/${bottom.key}` };
}

/** A fraction of whole numbers in base ten. */
export function fractionOf(top: bigint, bottom: bigint): FractionNode {
  return fractionNode(plainNumber(Exact.of(top), 10), plainNumber(Exact.of(bottom), 10));
}

export function mixedNode(whole: NumberNode, part: FractionNode): MixedNode {
  const value = whole.value.plus(part.value);
  return { kind: 'mixed', whole, part, value, key: `${whole.key}_${part.key}` };
}

export function oppositeNode(of: Node): OppositeNode {
  return { kind: 'opposite', of, value: of.value.negate(), key: `(-${of.key})` };
}

/** One number or bracket for terms; terms that stand in brackets with a plus are listed with the others. */
export function sumNode(terms: readonly Term[]): Node {
  const [only, ...more] = terms;
  if (only && more.length === 0) return only.minus ? oppositeNode(only.node) : only.node;
  const keys = flat(terms).map(termKey).sort();
  return { kind: 'sum', terms, value: valueOfTerms(terms), key: `(${keys.join(' ')})` };
}

export function termKey({ minus, node }: Term): string {
  return `${minus ? '-' : '+'}${node.key}`;
}

/** What two lines have in common that are the same but for order and brackets that change nothing. */
export function lineKey(terms: readonly Term[]): string {
  return flat(terms).map(termKey).sort().join(' ');
}

/** The same terms, each with the other sign. */
export function turned(terms: readonly Term[]): readonly Term[] {
  return terms.map(({ minus, node }) => ({ minus: !minus, node }));
}

/** The same terms without brackets that stand behind a plus. */
export function flat(terms: readonly Term[]): readonly Term[] {
  return terms.flatMap((term) =>
    !term.minus && term.node.kind === 'sum' ? flat(term.node.terms) : [term],
  );
}

export function valueOfTerms(terms: readonly Term[]): Surd {
  let total = Surd.ZERO;
  for (const { minus, node } of terms) {
    total = minus ? total.minus(node.value) : total.plus(node.value);
  }
  return total;
}

export function termValue({ minus, node }: Term): Surd {
  return minus ? node.value.negate() : node.value;
}

const ONE = Surd.of(Exact.ONE);

export function valueOfFactors(factors: readonly Factor[]): Surd {
  let made = ONE;
  // A divisor is never zero and never a sum of letters here: the whole line has a value.
  for (const { under, node } of factors) {
    made = under ? made.dividedBy(node.value)! : made.times(node.value);
  }
  return made;
}

export function factorKey({ under, node }: Factor): string {
  return `${under ? '÷' : '×'}${node.key}`;
}

/** A product, or what is left of it when there is one factor alone; products that multiply are listed with the others. */
export function productNode(factors: readonly Factor[]): Node {
  const all = flatFactors(factors);
  const [only, ...more] = all;
  if (only && more.length === 0 && !only.under) return only.node;
  const told = all.filter((factor) => !isOne(factor.node));
  const first = told[0];
  const value = valueOfFactors(all);
  if (told.length === 1 && !first!.under)
    return { kind: 'product', factors: all, value, key: first!.node.key };
  const keys = told.map(factorKey).sort();
  return { kind: 'product', factors: all, value, key: `[${keys.join(' ')}]` };
}

/** Factors of products inside are listed with the others, where they multiply. */
export function flatFactors(factors: readonly Factor[]): readonly Factor[] {
  return factors.flatMap((factor) =>
    !factor.under && factor.node.kind === 'product' ? flatFactors(factor.node.factors) : [factor],
  );
}

export function isOne(node: Node): boolean {
  return node.kind === 'number' && node.amount.equals(Exact.ONE) && !node.isPercent;
}

export function powerNode(of: Node, exponent: number): PowerNode {
  return {
    kind: 'power',
    of,
    exponent,
    value: of.value.power(exponent),
    key: `${of.key}^${exponent}`,
  };
}

/** Null where the root has no exact value. */
export function rootNode(of: Node): RootNode | null {
  const value = Surd.root(of.value);
  return value && { kind: 'root', of, value, key: `√${of.key}` };
}

/** The node of an expression that has an exact value; the box stands for the given one. */
function nodeOf(of: Expression, box: Surd = Surd.ZERO): Node {
  const node = (inner: Expression) => nodeOf(inner, box);
  switch (of.kind) {
    case 'number':
      return leaf(of.numeral);
    case 'percent':
      return numberNode(
        numeralValue(of.numeral).dividedBy(Exact.of(100)),
        `${numeralSource(of.numeral)}%`,
        true,
      );
    case 'mixed':
      return mixedNode(leaf(of.whole), fractionNode(leaf(of.top), leaf(of.bottom)));
    case 'letter':
      return { kind: 'letter', name: of.name, key: of.name, value: Surd.of(Exact.letter(of.name)) };
    case 'box':
      return { kind: 'letter', name: '□', key: '□', value: box };
    case 'negative':
      return oppositeNode(node(of.of));
    case 'sum':
      return sumNode(termsOf(of, box));
    case 'product':
    case 'quotient':
      return productOf(of, box);
    case 'power':
      return powerNode(node(of.of), Number(numeralValue(of.exponent).numerator));
    case 'root':
      return rootNode(node(of.of))!;
  }
}

function leaf(numeral: Numeral): NumberNode {
  return numberNode(numeralValue(numeral), numeralSource(numeral));
}

function productOf(of: Expression, box: Surd): Node {
  const factors = factorsIn(of, box);
  const [top, bottom, ...more] = factors;
  const isFraction = of.kind === 'quotient' && of.bar && more.length === 0;
  if (isFraction && top?.node.kind === 'number' && bottom?.node.kind === 'number')
    return fractionNode(top.node, bottom.node);
  return productNode(factors);
}

function factorsIn(of: Expression, box: Surd): readonly Factor[] {
  switch (of.kind) {
    case 'product':
      return of.factors.flatMap((factor) => factorsIn(factor, box));
    case 'quotient': {
      if (of.bar && of.dividend.kind === 'number' && of.divisor.kind === 'number')
        return [
          { under: false, node: fractionNode(leaf(of.dividend.numeral), leaf(of.divisor.numeral)) },
        ];
      return [...factorsIn(of.dividend, box), { under: true, node: nodeOf(of.divisor, box) }];
    }
    default:
      return [{ under: false, node: nodeOf(of, box) }];
  }
}

/** The signed terms of a line, brackets as they stand; a minus at its beginning belongs to its first term. */
export function termsOf(of: Expression, box: Surd = Surd.ZERO): readonly Term[] {
  if (of.kind !== 'sum') return [leading(of, false, box)];
  return of.parts.map((part, index) =>
    index === 0
      ? leading(part.of, part.minus, box)
      : { minus: part.minus, node: nodeOf(part.of, box) },
  );
}

function leading(of: Expression, minus: boolean, box: Surd): Term {
  if (of.kind === 'negative') return leading(of.of, !minus, box);
  const node = nodeOf(of, box);
  if (node.kind !== 'product') return { minus, node };
  const [first, ...rest] = node.factors;
  if (first?.node.kind !== 'opposite' || first.under) return { minus, node };
  return { minus: !minus, node: productNode([{ under: false, node: first.node.of }, ...rest]) };
}
