import { Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import { lcm } from '../exact/rational.ts';
import { magnitude, partsNamed } from '../methods/fractions/fraction.ts';
import { amountWriter } from '../problem/script.ts';
import { sortOf } from '../problem/sorts/sorts.ts';
import type { CheckFinding, CheckSpec, CheckSubject } from './check.ts';

/** More groups than these are not counted out one by one. */
const MOST_GROUPS = 6;

/** `12, 24, 36`: how far the parts are counted with every whole group. */
function countedOut(groups: bigint, size: bigint): string {
  const far = Array.from({ length: Number(groups) }, (_, k) => String(size * BigInt(k + 1)));
  return far.length <= MOST_GROUPS
    ? far.join(', ')
    : `${far.slice(0, 3).join(', ')}, … ${far.at(-1)!}`;
}

function make({ comparison: { problem } }: CheckSubject, answer: Exact): CheckFinding {
  const text = amountWriter(problem);
  const worths = problem.operands.map(numeralValue);
  const size = worths.map(({ denominator }) => denominator).reduce(lcm);
  const counts = worths.map((worth) => worth.times(Exact.of(size)).numerator);
  const isSum = problem.kind === 'sum';
  const total = counts.reduce((so, count) => (isSum ? so + count : so - count));
  const sign = isSum ? ' + ' : ' − ';
  const [groups, over] = [magnitude(total) / size, magnitude(total) % size];
  const made = Exact.of(total, size);
  const name = partsNamed(size);
  const wholes = groups === 1n ? '1 whole' : `${groups} wholes`;
  const counted =
    groups === 0n
      ? `${size} would be a whole: there is none.`
      : `Counted out by ${size}: ${countedOut(groups, size)}; that is ${wholes}${over === 0n ? '' : ` and ${over} over`}.`;
  const fits = made.equals(answer);
  return {
    outcome: fits ? 'agrees' : 'disagrees',
    lines: [
      `In ${name}: ${counts.join(sign)} = ${total < 0n ? `−${magnitude(total)}` : total}.`,
      counted,
      fits
        ? `That is ${text(answer)}, the answer.`
        : `That is ${text(made)}; the paper says ${text(answer)}.`,
    ],
  };
}

/** An answer of fractions confirmed by counting equal parts in groups of a whole. */
export const wholeGroupsCheck: CheckSpec = {
  id: 'whole-groups',
  name: 'Counting whole groups',
  catches: 'A whole forgotten or given twice, parts of different sizes counted together.',
  misses: 'Numbers copied wrongly at the start, and an answer that is right but not simplified.',
  lacks: ({ comparison: { problem } }) =>
    sortOf(problem).needsLikeParts
      ? null
      : 'Only sums and differences of fractions are counted in equal parts.',
  make,
};
