import { Exact } from '../exact/exact.ts';
import { numberText, numeral, numeralValue, pointedText } from '../exact/numeral.ts';
import { nearestPoint, placedPoint, type PlacedPoint } from '../problem/point.ts';
import type { CheckFinding, CheckSpec, CheckSubject } from './check.ts';

/** The answer's figures without their point, as those of the whole product were. */
function wholeFigures(answer: Exact, decimals: number, base: number): bigint {
  let count = answer;
  for (let k = 0; k < decimals; k++) count = count.times(Exact.of(base));
  return count.numerator / count.denominator;
}

function make({ comparison: { problem }, estimate }: CheckSubject, answer: Exact): CheckFinding {
  const { base } = problem;
  const own = estimate ? Exact.parse(estimate.value) : undefined;
  const point = placedPoint(problem, own)!;
  const text = (amount: Exact) => numberText(amount, base);
  const figures = wholeFigures(answer, point.counted, base);
  const nothing = answer.isZero && Number(point.figures) === 0;
  const decimals = nothing ? point.counted : nearestPoint(figures, point.estimate, base);
  const fits = decimals === point.counted;
  const counts = point.counts.join(' + ');
  const lines = [
    `By counting: ${counts} = ${point.counted} figures after the point make ${point.byCounting}.`,
    `By the estimate, about ${text(point.estimate)}: of ${candidates(point, base)} it picks ${point.byEstimate}.`,
  ];
  if (!point.agree) {
    lines.push('The two do not agree: make a nearer estimate, then look again.');
    return { outcome: 'cannot-tell', lines };
  }
  lines.push(
    fits
      ? `Both put the point in the same place; the paper says ${text(answer)}.`
      : `The paper says ${text(answer)}; its figures should be ${pointedText(figures, decimals, base)}.`,
  );
  return { outcome: fits ? 'agrees' : 'disagrees', lines };
}

/** The same figures with the point a place further left, where the estimate has it, and further right. */
function candidates({ figures, estimated }: PlacedPoint, base: number): string {
  const whole = numeralValue(numeral(figures, base)).numerator;
  const places = [estimated + 1, estimated, estimated - 1].filter((decimals) => decimals >= 0);
  const texts = places.map((decimals) => pointedText(whole, decimals, base));
  return `${texts.slice(0, -1).join(', ')} and ${texts.at(-1)}`;
}

export const pointCheck: CheckSpec = {
  id: 'point',
  name: 'Place of the point',
  catches: 'A point that is one place or more off.',
  misses: 'Wrong figures: only where the point stands among them is looked at.',
  lacks: ({ comparison: { problem } }) =>
    placedPoint(problem) ? null : 'Only a product of numbers with a point needs it placed.',
  make,
};
