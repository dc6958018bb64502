import { numeralText, type Numeral } from '../exact/numeral.ts';

/** A computation as it was typed, before anything is decided about how it is worked. */
export type Expression =
  | NumberNode
  | MixedNode
  /** A number of hundredths, `75%`. */
  | { readonly kind: 'percent'; readonly numeral: Numeral }
  /** The number that is looked for in an open sentence, `387 + □ = 642`. */
  | { readonly kind: 'box' }
  | { readonly kind: 'letter'; readonly name: string }
  | { readonly kind: 'negative'; readonly of: Expression }
  | { readonly kind: 'sum'; readonly parts: readonly SumPart[] }
  | { readonly kind: 'product'; readonly factors: readonly Expression[] }
  | QuotientNode
  | { readonly kind: 'power'; readonly of: Expression; readonly exponent: Numeral }
  | { readonly kind: 'root'; readonly of: Expression };

export interface NumberNode {
  readonly kind: 'number';
  readonly numeral: Numeral;
}

export interface MixedNode {
  readonly kind: 'mixed';
  readonly whole: Numeral;
  readonly top: Numeral;
  readonly bottom: Numeral;
}

/** A quotient; a fraction is one that is written with a bar. */
export interface QuotientNode {
  readonly kind: 'quotient';
  readonly dividend: Expression;
  readonly divisor: Expression;
  readonly bar: boolean;
}

/** A fraction of two numbers, `3/4`. */
export interface FractionNode extends QuotientNode {
  readonly dividend: NumberNode;
  readonly divisor: NumberNode;
  readonly bar: true;
}

export type NumberExpression = NumberNode | MixedNode | FractionNode;

export interface SumPart {
  readonly minus: boolean;
  readonly of: Expression;
}

export function isFraction(of: Expression): of is FractionNode {
  return of.kind === 'quotient' && of.bar && isPlain(of.dividend) && isPlain(of.divisor);
}

function isPlain(of: Expression): of is NumberNode {
  return of.kind === 'number';
}

/** A number, a fraction of two numbers or a mixed number: what an operand can be. */
export function isNumber(of: Expression): of is NumberExpression {
  return of.kind === 'number' || of.kind === 'mixed' || isFraction(of);
}

/** The numbers above and below the bar of a fraction or mixed number. */
export function barOf(of: FractionNode | MixedNode): Bar {
  return of.kind === 'mixed'
    ? { top: of.top, bottom: of.bottom }
    : { top: of.dividend.numeral, bottom: of.divisor.numeral };
}

export interface Bar {
  readonly top: Numeral;
  readonly bottom: Numeral;
}

export function numberNode(numeral: Numeral): NumberNode {
  return { kind: 'number', numeral };
}

export function fractionNode(top: Numeral, bottom: Numeral): FractionNode {
  return { kind: 'quotient', dividend: numberNode(top), divisor: numberNode(bottom), bar: true };
}

/** The computations that a computation is made of. */
export function insideOf(of: Expression): readonly Expression[] {
  switch (of.kind) {
    case 'sum':
      return of.parts.map((part) => part.of);
    case 'product':
      return of.factors;
    case 'quotient':
      return [of.dividend, of.divisor];
    case 'negative':
    case 'power':
    case 'root':
      return [of.of];
    default:
      return [];
  }
}

/** Whether something in a computation, or all of it, is so. */
export function some(of: Expression, isSo: (own: Expression) => boolean): boolean {
  return isSo(of) || insideOf(of).some((inner) => some(inner, isSo));
}

/** A numeral as the problem language writes it, with `_2` and the like outside base ten. */
export function numeralSource(number: Numeral): string {
  return number.base === 10 ? numeralText(number) : `${numeralText(number)}_${number.base}`;
}

/** How tightly each kind binds; an operand that binds less tightly than its place needs brackets. */
const BINDING: Record<Expression['kind'], number> = {
  sum: 1,
  product: 2,
  quotient: 2,
  negative: 3,
  mixed: 4,
  power: 5,
  root: 6,
  percent: 7,
  box: 7,
  letter: 7,
  number: 7,
};

/** The expression in the problem language: reading the text again gives the same expression. */
export function expressionText(expression: Expression): string {
  switch (expression.kind) {
    case 'number':
      return numeralSource(expression.numeral);
    case 'percent':
      return `${numeralSource(expression.numeral)}%`;
    case 'box':
      return '□';
    case 'mixed':
      return `${numeralSource(expression.whole)} ${numeralSource(expression.top)}/${numeralSource(expression.bottom)}`;
    case 'letter':
      return expression.name;
    case 'negative':
      return `-${bracketed(expression.of, 3)}`;
    case 'sum':
      return expression.parts.map(sumPartText).join('');
    case 'product':
      return expression.factors.map((factor) => bracketed(factor, 3)).join(' × ');
    case 'quotient':
      return expression.bar
        ? `${bracketed(expression.dividend, 5)}/${bracketed(expression.divisor, 5)}`
        : `${bracketed(expression.dividend, 2.5)} ÷ ${bracketed(expression.divisor, 3)}`;
    case 'power':
      return `${bracketed(expression.of, 6)}^${numeralSource(expression.exponent)}`;
    case 'root':
      return `√(${expressionText(expression.of)})`;
  }
}

function bracketed(expression: Expression, least: number): string {
  const text = expressionText(expression);
  return bindingOf(expression) < least ? `(${text})` : text;
}

function bindingOf(expression: Expression): number {
  return expression.kind === 'quotient' && expression.bar ? 4 : BINDING[expression.kind];
}

function sumPartText({ minus, of }: SumPart, index: number): string {
  const text = bracketed(of, 2);
  if (index === 0) return minus ? `-${text}` : text;
  return `${minus ? ' - ' : ' + '}${text}`;
}
