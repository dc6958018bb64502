import type { Exact } from './exact.ts';

const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/** Raised figures in a text. */
export const RAISED_RUN = /[⁰¹²³⁴-⁹]+/g;

/** A whole number in raised figures: `12` as `¹²`. */
export function raisedNumber(value: number | string): string {
  return [...String(value)]
    .map((figure) => (figure === '-' ? '⁻' : RAISED[Number(figure)]))
    .join('');
}

/** A run of raised figures as plain ones. */
export function plainNumber(run: string): string {
  return [...run].map((figure) => RAISED.indexOf(figure)).join('');
}

/** Exponents as raised figures: `x^2y` becomes `x²y`. */
export function raised(text: string): string {
  return text.replace(/\^(\d+)/g, (_, power: string) => raisedNumber(power));
}

/** Raised figures back as exponents: `x²y` becomes `x^2y`. */
export function lowered(text: string): string {
  return text.replace(RAISED_RUN, (run) => `^${plainNumber(run)}`);
}

/** A single term as it is written in a sentence or on paper: `3x²`, `−x`, `3/4 x`, `−7`. */
export function termText(term: Exact): string {
  const text = raised(term.toString()).replace('-', '−');
  return text.replace(/(\/\d+)(?=[a-z])/, '$1 ');
}

/** The term with its sign in front even when it is a plus: `+3x²`. */
export function signedTermText(term: Exact): string {
  const text = termText(term);
  return text.startsWith('−') ? text : `+${text}`;
}

/** Terms one after the other: `x² − 3x + 10`; `0` for none. */
export function termsText(list: readonly Exact[]): string {
  if (list.length === 0) return '0';
  return list
    .map(termText)
    .reduce((line, text) =>
      text.startsWith('−') ? `${line} − ${text.slice(1)}` : `${line} + ${text}`,
    );
}

/** An amount with letters as people write it, gathered and in its own order: `3x² − 2x + 4`. */
export function lettersText(amount: Exact): string {
  return termsText(amount.parts());
}

/** The same in a bracket where another sign must not reach into it: several terms, or a minus in front. */
export function closedText(amount: Exact): string {
  const text = lettersText(amount);
  return /[−+]/.test(text) ? `(${text})` : text;
}

/** The same terms in the problem language: `x^2 - 3x + 10`. */
export function termsSource(list: readonly Exact[]): string {
  return list
    .map(String)
    .reduce((line, text) =>
      text.startsWith('-') ? `${line} - ${text.slice(1)}` : `${line} + ${text}`,
    );
}
