import { raised } from '../../exact/terms-text.ts';

const LOWERED = '₀₁₂₃₄₅₆₇₈₉';

/**
 * A typed line, or one in the problem language, as it is printed: `x^2` raised, the base of `231_5` lowered, a star as a
 * times sign, an arrow.
 */
export function displayed(text: string): string {
  return raised(text)
    .replace(/_(\d+)/g, (_, digits: string) =>
      [...digits].map((own) => LOWERED[Number(own)]).join(''),
    )
    .replace(/->/g, '→')
    .replace(/\*/g, '×')
    .replace(/(^|[\s=(×÷+−])-(?=[\s\d(a-z√])/g, '$1−')
    .replace(/\bsqrt\s*/g, '√');
}

/** The same on the paper of a problem, on which all numbers are in one base. */
export function onPaper(text: string, base: number): string {
  return displayed(withoutBase(text, base));
}

/** Numbers of one base without the base behind them. */
export function withoutBase(text: string, base: number): string {
  return base === 10 ? text : text.replaceAll(`_${base}`, '');
}
