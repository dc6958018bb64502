import { estimateOf, Exact, numeral, numeralValue, type ProblemKind } from '@levee/core';

/**
 * What typed operands come to, or null when one is no number of the base or when it would divide by nothing.
 */
export function worthOf(
  kind: ProblemKind,
  operands: readonly string[],
  base: number,
): Exact | null {
  const figures = '0123456789ABCDEF'.slice(0, base);
  const number = new RegExp(`^(?=.{1,24}$)[${figures}]+(\\.[${figures}]+)?$`, 'i');
  const worths = operands.map((text) =>
    number.test(text) ? numeralValue(numeral(text, base)) : mixedValue(text),
  );
  if (worths.includes(null)) return null;
  return estimateOfNumbers(kind, worths as Exact[]);
}

/** `1/2`, `5 1/6`: a fraction or mixed number, or null. */
function mixedValue(text: string): Exact | null {
  const [, whole = '0', top, bottom] =
    /^(?:(\d{1,9}) )?(\d{1,9})\/(\d{0,8}[1-9]\d{0,8})$/.exec(text) ?? [];
  return top && bottom ? Exact.of(BigInt(whole)).plus(Exact.of(BigInt(top), BigInt(bottom))) : null;
}

function estimateOfNumbers(kind: ProblemKind, worths: readonly Exact[]): Exact | null {
  const nothing = kind === 'quotient' && worths.slice(1).some((worth) => worth.isZero);
  return nothing ? null : estimateOf(kind, worths);
}
