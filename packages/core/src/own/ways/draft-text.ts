import { Exact } from '../../exact/exact.ts';
import { numeralFor, numeralText } from '../../exact/numeral.ts';

/** Numbers of drafts as they are written, and the round numbers near them. */

export const TWO = Exact.of(2);
export const TEN = Exact.of(10);

export function text(amount: Exact): string {
  const written = numeralFor(amount.absolute(), 10);
  const figures = written ? numeralText(written) : amount.absolute().toString();
  return amount.isNegative ? `−${figures}` : figures;
}

export function sum(parts: readonly Exact[]): string {
  return parts
    .map((part, k) =>
      k === 0 ? text(part) : `${part.isNegative ? '−' : '+'} ${text(part.absolute())}`,
    )
    .join(' ');
}

/** The worths of its figures, largest first. */
export function places(amount: Exact): readonly Exact[] {
  const figures = text(amount);
  const point = figures.includes('.') ? figures.indexOf('.') : figures.length;
  return [...figures].flatMap((glyph, k) => {
    if (glyph === '.' || glyph === '0') return [];
    const place = k < point ? point - 1 - k : point - k;
    return [powerOfTen(place).times(Exact.of(Number(glyph)))];
  });
}

export function powerOfTen(place: number): Exact {
  return place >= 0 ? Exact.of(10n ** BigInt(place)) : Exact.of(1, 10n ** BigInt(-place));
}

/** The nearest number with one figure and zeros behind it that is larger, where that is near; null where it is not. */
export function roundAbove(amount: Exact, share = Exact.of(3, 10)): Exact | null {
  for (const place of [5, 4, 3, 2, 1, 0, -1]) {
    const ten = powerOfTen(place);
    const up = ceiling(amount, ten);
    const more = up.minus(amount);
    const isNear = more.compare(ten.times(share)) <= 0;
    if (!more.isZero && isNear && up.compare(TEN.times(more)) > 0) return up;
  }
  return null;
}

function ceiling(amount: Exact, unit: Exact): Exact {
  const { numerator, denominator } = amount.dividedBy(unit);
  return unit.times(Exact.of((numerator + denominator - 1n) / denominator));
}

/** The next larger multiple of the largest power of ten that is not above a number. */
export function nextRound(amount: Exact): Exact {
  const size = places(amount)[0];
  const unit = size ? powerOfTen(text(amount).split('.')[0]!.length - 1) : Exact.ONE;
  return ceiling(amount, unit.compare(TEN) < 0 ? TEN : unit);
}

/** One of the place that the only figure of a number stands in. */
export function unitOf(part: Exact): Exact {
  const figure = text(part).replace(/[0.]/g, '');
  return part.dividedBy(Exact.of(Number(figure)));
}

/** A product as it is written; a factor of one is not. */
export function timesText(a: Exact, b: Exact): string {
  if (b.equals(Exact.ONE)) return text(a);
  return a.equals(Exact.ONE) ? text(b) : `${text(a)} × ${text(b)}`;
}
