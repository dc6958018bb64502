import { PLAIN_NOTATION, pointTex, timesTex, type Notation } from '../exact/notation.ts';
import { numeralText, type Numeral } from '../exact/numeral.ts';
import type { Expression, SumPart } from './expression.ts';

/** A computation as LaTeX mathematics, with the times sign as the user writes it. */
export function expressionTex(expression: Expression, notation: Notation = PLAIN_NOTATION): string {
  return pointTex(new TexWriter(timesTex(notation)).tex(expression), notation);
}

class TexWriter {
  constructor(private readonly sign: string) {}

  tex(of: Expression): string {
    switch (of.kind) {
      case 'number':
        return number(of.numeral);
      case 'percent':
        return `${number(of.numeral)}\\%`;
      case 'box':
        return '\\square';
      case 'mixed':
        return `${number(of.whole)}\\,\\frac{${number(of.top)}}{${number(of.bottom)}}`;
      case 'letter':
        return of.name;
      case 'negative':
        return `-${this.closed(of.of)}`;
      case 'sum':
        return of.parts.map((part, k) => this.sumPart(part, k)).join('');
      case 'product':
        return this.product(of.factors);
      case 'quotient':
        return of.bar
          ? `\\frac{${this.tex(of.dividend)}}{${this.tex(of.divisor)}}`
          : `${this.closed(of.dividend)} \\div ${this.divisor(of.divisor)}`;
      case 'power':
        return `${this.powerBase(of.of)}^{${number(of.exponent)}}`;
      case 'root':
        return `\\sqrt{${this.tex(of.of)}}`;
    }
  }

  /** A part that stands beside another sign: sums, and anything that opens with a minus, in brackets. */
  private closed(of: Expression): string {
    const open = of.kind === 'sum' || of.kind === 'negative' || (of.kind === 'quotient' && !of.bar);
    return open ? this.bracketed(of) : this.tex(of);
  }

  /** Behind a division sign a product would be read as divided by its first factor alone. */
  private divisor(of: Expression): string {
    return of.kind === 'product' ? this.bracketed(of) : this.closed(of);
  }

  /** An exponent belongs to the one number or letter before it, so anything longer is in brackets. */
  private powerBase(of: Expression): string {
    return of.kind === 'number' || of.kind === 'letter' ? this.tex(of) : this.bracketed(of);
  }

  private bracketed(of: Expression): string {
    return `\\left(${this.tex(of)}\\right)`;
  }

  /** Whether a factor can stand right behind another: it does not begin with a figure. */
  private isBare(of: Expression): boolean {
    if (of.kind === 'power') return of.of.kind !== 'number';
    return of.kind === 'letter' || of.kind === 'sum';
  }

  /** Numbers need a sign between them; letters and brackets stand side by side. */
  private product(factors: readonly Expression[]): string {
    return factors
      .map((factor, i) => {
        return i === 0 || this.isBare(factor)
          ? this.closed(factor)
          : ` ${this.sign} ${this.closed(factor)}`;
      })
      .join('');
  }

  private sumPart({ minus, of }: SumPart, index: number): string {
    const text = of.kind === 'sum' || of.kind === 'negative' ? this.closed(of) : this.tex(of);
    if (index === 0) return minus ? `-${text}` : text;
    return `${minus ? ' - ' : ' + '}${text}`;
  }
}

function number(numeral: Numeral): string {
  const figures = `\\mathrm{${numeralText(numeral)}}`;
  return numeral.base === 10 ? numeralText(numeral) : `${figures}_{${numeral.base}}`;
}
