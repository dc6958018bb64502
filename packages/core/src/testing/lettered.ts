import { rootOf } from '../account/root.ts';
import type { Trace } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import { placeValue } from '../exact/numeral.ts';
import { lowered } from '../exact/terms-text.ts';
import { problemText, type Problem } from '../problem/problem.ts';
import { integerOf, type Fraction } from './expected.ts';

/** What the letters of a problem come to here, by plain integers. */
const LETTERS: Readonly<Record<string, bigint>> = { x: 1009n, y: 2003n, z: 3001n };

/** A term at these letters, read from its own text. */
function termAt(text: string): Fraction {
  const [, sign, top = '', bottom = '1', letters = ''] =
    /^([-−+]?)(\d*)(?:\/(\d+))?((?:[a-z](?:\^\d+)?)*)$/.exec(text.replace(' ', '')) ?? [];
  let value = BigInt(top === '' ? '1' : top) * (sign === '-' || sign === '−' ? -1n : 1n);
  for (const [, letter = '', power = '1'] of letters.matchAll(/([a-z])(?:\^(\d+))?/g)) {
    value *= LETTERS[letter]! ** BigInt(power);
  }
  return [value, BigInt(bottom)];
}

function sum(list: readonly Fraction[]): Fraction {
  return list.reduce<Fraction>(([a, b], [c, d]) => [a * d + c * b, b * d], [0n, 1n]);
}

/** What a problem with letters comes to, by plain integers and the texts of its terms. */
export function letteredValue({ kind, operands }: Problem): Fraction {
  const values = operands.map(({ terms }, k): Fraction => {
    const [top, bottom] = sum(terms!.list.map((term) => termAt(String(term))));
    const isTaken = terms!.taken || (kind === 'difference' && k > 0);
    return [isTaken ? -top : top, bottom];
  });
  if (kind !== 'product') return sum(values);
  return values.reduce<Fraction>(([a, b], [c, d]) => [a * c, b * d], [1n, 1n]);
}

/** Whether an amount comes to a fraction at these letters. */
export function comesTo(amount: Exact, [top, bottom]: Fraction): boolean {
  const parts = amount.isZero ? [] : amount.parts().map((part) => termAt(String(part)));
  const [own, under] = sum(parts);
  return own * bottom === top * under;
}

/** The amount that a glyph shows: `+3x²`, `−1/2 x`. */
export function glyphAmount(glyph: string): Exact {
  const text = lowered(glyph).replace('−', '-').replace('+', '').replace(' ', '');
  return Exact.parse(text);
}

/**
 * What is wrong with a root: its square and what is left must be the number, and one more in its last place
 * must be too much; under a root no square may be left. Null when nothing is.
 */
export function rootFault(trace: Trace): string | null {
  const { operands, base } = trace.problem;
  const [radicand] = operands;
  const number = Exact.of(integerOf(radicand)).times(placeValue(base, -radicand.decimals));
  const { root, under, left } = rootOf(trace);
  const text = `${problemText(trace.problem)}: ${root} √${under} r ${left}`;
  if (!root.times(root).times(under).plus(left).equals(number)) return `${text} is not the number`;
  const places = trace.steps
    .flatMap(({ gives }) => gives)
    .filter(({ role, place }) => role === 'answer' && place !== undefined)
    .map(({ place }) => place!);
  if (places.length > 0 && under.equals(Exact.ONE)) {
    const next = root.plus(placeValue(base, Math.min(...places)));
    return next.times(next).compare(number) > 0 ? null : `${text}: the root could be larger`;
  }
  for (let by = 2n; by * by <= under.numerator && by < 1000n; by++) {
    if (under.numerator % (by * by) === 0n) return `${text}: ${by} could come out`;
  }
  return null;
}
