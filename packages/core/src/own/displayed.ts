import { raised } from '../exact/terms-text.ts';

/** A typed line, or one in the problem language, as it stands on paper: `x^2` raised, a star as a times sign, an arrow. */
export function displayed(text: string): string {
  return raised(text)
    .replace(/->/g, '→')
    .replace(/\*/g, '×')
    .replace(/(^|[\s=(×÷+−])-(?=[\s\d(a-z√])/g, '$1−')
    .replace(/\bsqrt\s*/g, '√');
}
