import { numeralText, type Numeral } from '../exact/numeral.ts';

/** A computation as it was typed, before anything is decided about how it is worked. */
export type Expression =
  | { readonly kind: 'number'; readonly numeral: Numeral }
  | { readonly kind: 'fraction'; readonly top: Numeral; readonly bottom: Numeral }
  | {
      readonly kind: 'mixed';
      readonly whole: Numeral;
      readonly top: Numeral;
      readonly bottom: Numeral;
    }
  | { readonly kind: 'letter'; readonly name: string }
  | { readonly kind: 'negative'; readonly of: Expression }
  | { readonly kind: 'sum'; readonly parts: readonly SumPart[] }
  | { readonly kind: 'product'; readonly factors: readonly Expression[] }
  | { readonly kind: 'quotient'; readonly dividend: Expression; readonly divisor: Expression }
  | { readonly kind: 'power'; readonly of: Expression; readonly exponent: Numeral }
  | { readonly kind: 'root'; readonly of: Expression };

export interface SumPart {
  readonly minus: boolean;
  readonly of: Expression;
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
  fraction: 4,
  power: 5,
  root: 6,
  letter: 7,
  number: 7,
};

/** The expression in the problem language: reading the text again gives the same expression. */
export function expressionText(expression: Expression): string {
  switch (expression.kind) {
    case 'number':
      return numeralSource(expression.numeral);
    case 'fraction':
      return `${numeralSource(expression.top)}/${numeralSource(expression.bottom)}`;
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
      return `${bracketed(expression.dividend, 2.5)} ÷ ${bracketed(expression.divisor, 3)}`;
    case 'power':
      return `${bracketed(expression.of, 6)}^${numeralSource(expression.exponent)}`;
    case 'root':
      return `√(${expressionText(expression.of)})`;
  }
}

function bracketed(expression: Expression, least: number): string {
  const text = expressionText(expression);
  return BINDING[expression.kind] < least ? `(${text})` : text;
}

function sumPartText({ minus, of }: SumPart, index: number): string {
  const text = bracketed(of, 2);
  if (index === 0) return minus ? `-${text}` : text;
  return `${minus ? ' - ' : ' + '}${text}`;
}
