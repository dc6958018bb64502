import type { Exact } from '../exact/exact.ts';
import { fractionText, mixedText, pointedTerms, type Numeral } from '../exact/numeral.ts';
import { lettersText } from '../exact/terms-text.ts';

/**
 * How the numbers of a problem are written: in figures with places, as fractions and mixed numbers, or
 * as terms with letters. It decides how amounts of the problem are written, counted and named.
 */
export const SCRIPTS = ['figures', 'fractions', 'terms'] as const;
export type Script = (typeof SCRIPTS)[number];

/** The script of a problem, by its operands. */
export function scriptOf({ operands }: { readonly operands: readonly Numeral[] }): Script {
  if (operands.some(({ terms }) => terms)) return 'terms';
  return operands.some(({ fraction }) => fraction) ? 'fractions' : 'figures';
}

/** The letters of a problem whose terms are written with points, `0.5x` and not `1/2 x`; undefined where they are not. */
export function pointedLetters(of: { readonly operands: readonly Numeral[] }): string | undefined {
  return of.operands.find(({ terms }) => terms)?.terms?.pointed;
}

/** How an amount is written in a script; figures are those of a base. */
export function writeAmount(script: Script, base: number, amount: Exact): string {
  switch (script) {
    case 'figures':
      return mixedText(amount, base);
    case 'fractions':
      return fractionText(amount);
    case 'terms':
      return lettersText(amount);
  }
}

/** How amounts of a problem are written: as its own numbers are. */
export function amountWriter(problem: {
  readonly operands: readonly Numeral[];
  readonly base: number;
}): (amount: Exact) => string {
  const script = scriptOf(problem);
  const pointed = pointedLetters(problem);
  if (pointed !== undefined) return (amount) => pointedTerms(lettersText(amount), pointed);
  return (amount) => writeAmount(script, problem.base, amount);
}
