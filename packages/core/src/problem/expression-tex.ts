import { PLAIN_NOTATION, pointTex, timesTex, type Notation } from '../exact/notation.ts';
import { numeralText, type Numeral } from '../exact/numeral.ts';
import type { Expression, SumPart } from './expression.ts';

/** A computation as LaTeX mathematics, with the times sign as the user writes it. */
export function expressionTex(expression: Expression, notation: Notation = PLAIN_NOTATION): string {
  const sign = timesTex(notation);
  return pointTex(tex(expression), notation);

  function tex(of: Expression): string {
    switch (of.kind) {
      case 'number':
        return number(of.numeral);
      case 'fraction':
        return `\\frac{${number(of.top)}}{${number(of.bottom)}}`;
      case 'mixed':
        return `${number(of.whole)}\\,\\frac{${number(of.top)}}{${number(of.bottom)}}`;
      case 'letter':
        return of.name;
      case 'negative':
        return `-${closed(of.of)}`;
      case 'sum':
        return of.parts.map(sumPart).join('');
      case 'product':
        return product(of.factors);
      case 'quotient':
        return `${closed(of.dividend)} \\div ${divisor(of.divisor)}`;
      case 'power':
        return `${powerBase(of.of)}^{${number(of.exponent)}}`;
      case 'root':
        return `\\sqrt{${tex(of.of)}}`;
    }
  }

  /** A part that stands beside another sign: sums, and anything that opens with a minus, in brackets. */
  function closed(of: Expression): string {
    const open = of.kind === 'sum' || of.kind === 'negative' || of.kind === 'quotient';
    return open ? bracketed(of) : tex(of);
  }

  /** Behind a division sign a product would be read as divided by its first factor alone. */
  function divisor(of: Expression): string {
    return of.kind === 'product' ? bracketed(of) : closed(of);
  }

  /** An exponent belongs to the one number or letter before it, so anything longer is in brackets. */
  function powerBase(of: Expression): string {
    return of.kind === 'number' || of.kind === 'letter' ? tex(of) : bracketed(of);
  }

  function bracketed(of: Expression): string {
    return `\\left(${tex(of)}\\right)`;
  }

  /** Whether a factor can stand right behind another: it does not begin with a figure. */
  function isBare(of: Expression): boolean {
    if (of.kind === 'power') return of.of.kind !== 'number';
    return of.kind === 'letter' || of.kind === 'sum';
  }

  /** Numbers need a sign between them; letters and brackets stand side by side. */
  function product(factors: readonly Expression[]): string {
    return factors
      .map((factor, i) => {
        return i === 0 || isBare(factor) ? closed(factor) : ` ${sign} ${closed(factor)}`;
      })
      .join('');
  }

  function sumPart({ minus, of }: SumPart, index: number): string {
    const text = of.kind === 'sum' || of.kind === 'negative' ? closed(of) : tex(of);
    if (index === 0) return minus ? `-${text}` : text;
    return `${minus ? ' - ' : ' + '}${text}`;
  }
}

function number(numeral: Numeral): string {
  const figures = `\\mathrm{${numeralText(numeral)}}`;
  return numeral.base === 10 ? numeralText(numeral) : `${figures}_{${numeral.base}}`;
}
