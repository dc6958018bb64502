import { Exact } from '../../exact/exact.ts';
import { numeralValue, type Numeral } from '../../exact/numeral.ts';
import { lcm } from '../../exact/rational.ts';
import type { WayDraft } from './kinds.ts';

/** Ways for fractions and mixed numbers, and for brackets with letters. */

function mixedText(amount: Exact, bottom: bigint): string {
  const whole = amount.numerator / amount.denominator;
  const top = ((amount.numerator - whole * amount.denominator) * bottom) / amount.denominator;
  if (top === 0n) return `${whole}`;
  return whole === 0n ? `${top}/${bottom}` : `${whole} ${top}/${bottom}`;
}

/** A sum or difference of two fractions or mixed numbers, the first not smaller. */
export function waysOfFractions(
  sign: '+' | '−',
  [a, b]: readonly [Numeral, Numeral],
): readonly WayDraft[] {
  const [x, y] = [numeralValue(a), numeralValue(b)];
  const total = sign === '+' ? x.plus(y) : x.minus(y);
  if (total.isNegative) return [];
  const bottom = lcm(x.denominator, y.denominator);
  const [left, right] = [x, y].map((amount) => mixedText(amount, bottom));
  const answers = [mixedText(total, bottom), mixedText(total, total.denominator)];
  const ends = [...new Set(answers)].map((text) => `= ${text}`);
  const drafts: WayDraft[] = [];
  if (x.denominator !== y.denominator) {
    drafts.push({
      kind: 'by-parts',
      lines: [`= ${left} ${sign} ${right}`, ...ends],
      why: `Both are cut into parts of ${bottom}.`,
    });
  }
  const tops = [x, y].map(
    (amount) => `${(amount.numerator * bottom) / amount.denominator}/${bottom}`,
  );
  const isMixed = [x, y].some((amount) => amount.compare(Exact.ONE) > 0);
  if (isMixed) {
    drafts.push({
      kind: 'known-fact',
      lines: [
        `= ${tops.join(` ${sign} `)}`,
        `= ${(total.numerator * bottom) / total.denominator}/${bottom}`,
        ends.at(-1)!,
      ],
      why: `A whole is ${bottom}/${bottom}, so all is counted in one kind of part.`,
    });
  }
  if (sign === '−' && !y.isWhole) {
    const up = Exact.of((y.numerator + y.denominator - 1n) / y.denominator);
    const by = up.minus(y);
    const shared = lcm(bottom, by.denominator);
    drafts.push({
      kind: 'same-change',
      lines: [`= ${mixedText(x.plus(by), shared)} − ${mixedText(up, 1n)}`, ...ends],
      why: `${mixedText(by, by.denominator)} more makes ${mixedText(y, y.denominator)} whole, and the distance stays.`,
    });
  }
  return drafts;
}

function termsText(terms: readonly Exact[]): string {
  return terms
    .map((term, k) => {
      const size = `${term.coefficient.isNegative ? term.negate() : term}`;
      if (k === 0) return term.coefficient.isNegative ? `−${size}` : size;
      return `${term.coefficient.isNegative ? '−' : '+'} ${size}`;
    })
    .join(' ');
}

/** Two brackets with letters multiplied. */
export function waysOfBrackets(lists: readonly (readonly Exact[])[]): readonly WayDraft[] {
  const [a, b, ...more] = lists;
  if (!a || !b || more.length > 0) return [];
  const products = a.flatMap((x) => b.map((y) => x.times(y)));
  const total = Exact.sum(products).parts();
  const ends = [termsText(products), termsText(total)].map((text) => `= ${text}`);
  const drafts: WayDraft[] = [
    { kind: 'by-parts', lines: ends, why: 'Every term with every term, then like terms together.' },
  ];
  if (b.length > 1 && a.length > 1) {
    const bracket = `(${termsText(a)})`;
    const parts = b.map((term, k) => {
      const size = `${term.coefficient.isNegative ? term.negate() : term}`;
      const isFirst = k === 0 && !term.coefficient.isNegative;
      return `${isFirst ? '' : term.coefficient.isNegative ? '− ' : '+ '}${size}${bracket}`;
    });
    const second = b.flatMap((y) => a.map((x) => x.times(y)));
    drafts.push({
      kind: 'one-kept-whole',
      lines: [`= ${parts.join(' ')}`, `= ${termsText(second)}`, ends[1]!],
      why: `${bracket} stays whole and the other bracket falls into its terms.`,
    });
  }
  return drafts;
}
