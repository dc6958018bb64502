import type { Mind } from './learners.ts';

/** A fraction as two whole numbers; nothing of the product's own arithmetic is used here. */
export type Ratio = readonly [top: number, bottom: number];

const divisorOf = (a: number, b: number): number => (b === 0 ? Math.abs(a) : divisorOf(b, a % b));

/** A ratio in lowest terms as a text: `11/12`, `-3`. */
export function ratioText([top, bottom]: Ratio): string {
  const by = divisorOf(top, bottom) * Math.sign(bottom);
  return bottom / by === 1 ? `${top / by}` : `${top / by}/${bottom / by}`;
}

const times = ([a, b]: Ratio, [c, d]: Ratio): Ratio => [a * c, b * d];
const plus = ([a, b]: Ratio, [c, d]: Ratio, sign: 1 | -1 = 1): Ratio => [
  a * d + sign * c * b,
  b * d,
];

/** A mixed number: wholes and a part. */
export interface Mixed {
  readonly whole: number;
  readonly top: number;
  readonly bottom: number;
}

const atOperand = (mind: Mind, slip: string, k: number) => mind.slips(slip, `operand-${k}`, {});
const atAnswer = (mind: Mind, slip: string) => mind.slips(slip, 'answer-0', {});

/** A fraction brought to lowest terms, or only its numerator. */
function reduced([top, bottom]: Ratio, mind: Mind): Ratio {
  const by = divisorOf(top, bottom);
  return by > 1 && atAnswer(mind, 'one-number-reduced') ? [top / by, bottom] : [top, bottom];
}

/** One fraction renamed to a common denominator. */
function renamed([top, bottom]: Ratio, common: number, k: number, mind: Mind): Ratio {
  const by = common / bottom;
  if (atOperand(mind, 'bottom-only', k)) return [top, common];
  if (atOperand(mind, 'same-added-above-and-below', k)) return [top + common - bottom, common];
  return [top * by, common];
}

const leastCommon = (a: number, b: number) => (a * b) / divisorOf(a, b);

/** Tops by themselves and bottoms by themselves, the smaller from the larger. */
function bothLevels(a: Ratio, b: Ratio, sign: 1 | -1): Ratio {
  return [Math.abs(a[0] + sign * b[0]), Math.abs(a[1] + sign * b[1])];
}

/** A learner of cross products with two proper fractions. */
export function crossedFractions(a: Ratio, b: Ratio, sign: 1 | -1, mind: Mind): Ratio {
  if (a[1] !== b[1] && atOperand(mind, 'tops-and-bottoms', 1)) return bothLevels(a, b, sign);
  return reduced([a[0] * b[1] + sign * b[0] * a[1], a[1] * b[1]], mind);
}

/** A learner of the least common denominator with two fractions. */
export function sharedDenominator(a: Ratio, b: Ratio, sign: 1 | -1, mind: Mind): Ratio {
  if (atOperand(mind, 'tops-and-bottoms', 1)) return bothLevels(a, b, sign);
  if (atAnswer(mind, 'larger-bottom-taken')) return [a[0] + sign * b[0], Math.max(a[1], b[1])];
  const common = leastCommon(a[1], b[1]);
  const [first, second] = [renamed(a, common, 0, mind), renamed(b, common, 1, mind)];
  return reduced([first[0] + sign * second[0], common], mind);
}

/** A learner who takes one mixed number from another, wholes and parts apart. */
export function wholesApart(a: Mixed, b: Mixed, mind: Mind): Ratio {
  const common = leastCommon(a.bottom, b.bottom);
  let [top] = renamed([a.top, a.bottom], common, 0, mind);
  const [taken] = renamed([b.top, b.bottom], common, 1, mind);
  let whole = a.whole;
  if (top < taken) {
    if (atAnswer(mind, 'part-smaller-from-larger')) {
      return plus([whole - b.whole, 1], reduced([taken - top, common], mind));
    }
    if (atOperand(mind, 'whole-as-ten', 0)) top += 10;
    else if (atOperand(mind, 'one-before-numerator', 0)) top = Number(`1${top}`);
    else top += common;
    if (!atOperand(mind, 'whole-kept', 0)) whole -= 1;
  }
  const part = reduced([top - taken, common], mind);
  return atAnswer(mind, 'whole-forgotten') ? part : plus([whole - b.whole, 1], part);
}

/** A learner who makes mixed numbers into parts first. */
export function improperFirst(a: Mixed, b: Mixed, sign: 1 | -1, mind: Mind): Ratio {
  const parts = [a, b].map(({ whole, top, bottom }, k): Ratio => {
    const wholes = atOperand(mind, 'whole-added', k) ? whole : whole * bottom;
    return [wholes + top, bottom];
  });
  const [first, second] = parts as [Ratio, Ratio];
  const common = leastCommon(first[1], second[1]);
  const [one, other] = [renamed(first, common, 0, mind), renamed(second, common, 1, mind)];
  return reduced([one[0] + sign * other[0], common], mind);
}

/** Both numbers as one fraction each, where a learner may add the whole to the top. */
function asOne(all: readonly Mixed[], mind: Mind): readonly [Ratio, Ratio] {
  return all.map(({ whole, top, bottom }, k): Ratio => {
    const wholes = whole > 0 && atOperand(mind, 'whole-added', k) ? whole : whole * bottom;
    return [wholes + top, bottom];
  }) as unknown as [Ratio, Ratio];
}

/** A learner who multiplies tops and bottoms. */
export function multipliedAcross(a: Mixed, b: Mixed, mind: Mind): Ratio {
  if (atAnswer(mind, 'wholes-and-parts-apart')) {
    const bottom = a.bottom * b.bottom;
    return reduced([a.whole * b.whole * bottom + a.top * b.top, bottom], mind);
  }
  const [[p, q], [r, s]] = asOne([a, b], mind);
  if (atAnswer(mind, 'crossed-product')) return reduced([p * s, q * r], mind);
  if (atAnswer(mind, 'bottom-kept')) return reduced([p * r, q], mind);
  return reduced([p * r, q * s], mind);
}

/** A learner who cuts a unit square both ways. */
export function cutBothWays(a: Mixed, b: Mixed, mind: Mind): Ratio {
  const [[p, q], [r, s]] = asOne([a, b], mind);
  const all = mind.slips('any-shading-counted', 'cell-0.0', {}) ? p * s + r * q - p * r : p * r;
  return reduced([all, q * s], mind);
}

/** A learner who turns the divisor and multiplies. */
export function turnedOver(a: Mixed, b: Mixed, mind: Mind): Ratio {
  const [[p, q], [r, s]] = asOne([a, b], mind);
  if (atOperand(mind, 'dividend-turned', 1)) return reduced([q * r, p * s], mind);
  if (atOperand(mind, 'nothing-turned', 1)) return reduced([p * r, q * s], mind);
  return reduced([p * s, q * r], mind);
}

/** A learner who counts both in the same parts. */
export function countedAlike(a: Mixed, b: Mixed, mind: Mind): Ratio {
  const both = asOne([a, b], mind);
  const common = leastCommon(both[0][1], both[1][1]);
  const [[p], [r]] = both.map((own, k) => renamed(own, common, k, mind)) as [Ratio, Ratio];
  if (atAnswer(mind, 'name-kept')) {
    const by = divisorOf(p, r);
    return reduced([p / by, (r / by) * common], mind);
  }
  if (atAnswer(mind, 'counts-exchanged')) return reduced([r, p], mind);
  return reduced([p, r], mind);
}

/** A learner of division figure by figure, in whole numbers with a remainder. */
export function sharedOut(dividend: number, divisor: number, mind: Mind): Ratio {
  const given = [...String(dividend)].map(Number);
  const slips = (slip: string, place: number) => mind.slips(slip, `place-${place}`, {});
  if (atAnswer(mind, 'figure-by-figure')) {
    const each = given.map((one) =>
      one === 0 ? 0 : Math.floor(Math.max(one, divisor) / Math.min(one, divisor)),
    );
    return [Number(each.join('')), 1];
  }
  let [written, left] = ['', 0];
  given.forEach((one, k) => {
    const place = given.length - 1 - k;
    const there = left * 10 + one;
    const fits = Math.floor(there / divisor);
    left = there % divisor;
    if (fits === 0 && Number(written) > 0 && slips('skip-zero', place)) return;
    written += fits > 1 && slips('trial-too-small', place) ? `${fits - 1}1` : `${fits}`;
    if (place > 0 && slips('forget-remainder', place)) left = 0;
  });
  const quotient: Ratio = [Number(written), 1];
  if (left === 0 || atAnswer(mind, 'remainder-dropped')) return quotient;
  if (atAnswer(mind, 'remainder-as-tenths')) return plus(quotient, [left, 10]);
  return plus(quotient, [left, divisor]);
}

/** A learner of the long root of a whole number, worked to the ones; what the root and what is left make. */
export function rooted(number: number, mind: Mind): number {
  const text = String(number).padStart(Math.ceil(String(number).length / 2) * 2, '0');
  const pairs = text.match(/../g)!.map(Number);
  let [root, left, read] = [0, 0, 0];
  pairs.forEach((pair, k) => {
    const place = pairs.length - 1 - k;
    const slips = (slip: string) => mind.slips(slip, `place-${place}`, {});
    const there = left * 100 + pair;
    const before = root > 0 && slips('not-doubled') ? root : root * 2;
    const one = root > 0 && slips('one-box');
    const takes = (digit: number) => (before * 10 + (one ? 0 : digit)) * digit;
    let digit = 9;
    while (takes(digit) > there) digit -= 1;
    const isOut = digit === 0 && root > 0 && slips('root-zero-left-out');
    if (!isOut) read = read * 10 + digit;
    root = root * 10 + digit;
    left = there - takes(digit);
  });
  return read * read + left;
}

/** A learner who takes primes out in pairs; the number that the answer stands for. */
export function pairedPrimes(number: number, mind: Mind): number {
  const primes: number[] = [];
  let rest = number;
  for (let prime = 2; rest > 1; prime++) {
    for (; rest % prime === 0; rest /= prime) primes.push(prime);
  }
  let [outside, inside] = [1, 1];
  for (let k = 0; k < primes.length; k++) {
    const prime = primes[k]!;
    if (primes[k + 1] !== prime) {
      inside *= prime;
      continue;
    }
    k += 1;
    outside *= mind.slips('both-out', `row-${k}`, {}) ? prime * prime : prime;
  }
  if (atAnswer(mind, 'unpaired-lost')) inside = 1;
  return outside * outside * inside;
}

/** Where a learner puts the point of a product of two numbers with so many figures behind it. */
export function pointed(product: number, decimals: readonly [number, number], mind: Mind): Ratio {
  const all = decimals[0] + decimals[1];
  const behind = atAnswer(mind, 'point-one-off')
    ? all - 1
    : atAnswer(mind, 'point-one-off-left')
      ? all + 1
      : atAnswer(mind, 'point-as-in-a-sum')
        ? Math.max(...decimals)
        : atAnswer(mind, 'point-dropped')
          ? 0
          : all;
  return times([product, 1], [1, 10 ** behind]);
}
