import type { Trace } from '../account/account.ts';
import { scriptOf } from '../problem/script.ts';
import type { CheckFinding, CheckSpec } from './check.ts';

/** For every stage, how many products there must be, and how many stand on the paper. */
function make(work: Trace): CheckFinding {
  const stages = work.stages.length > 0 ? work.stages.map(({ trace }) => trace) : [work];
  const counts = stages.map(({ space, steps }) => {
    const sizes = space.cuts.map((parts) => parts.length);
    const made = steps
      .flatMap(({ gives }) => gives)
      .filter(({ role }) => role === 'product').length;
    return { sizes, wanted: sizes.reduce((product, size) => product * size, 1), made };
  });
  const fits = counts.every(({ wanted, made }) => wanted === made);
  return {
    outcome: fits ? 'agrees' : 'disagrees',
    lines: counts.map(({ sizes, wanted, made }, k) => {
      const stage = counts.length > 1 ? `Stage ${k + 1}: ` : '';
      return `${stage}${sizes.join(' · ')} = ${wanted} products; the paper has ${made}.`;
    }),
  };
}

export const productCountCheck: CheckSpec = {
  id: 'product-count',
  name: 'Number of products',
  catches: 'A pair of terms that was overlooked.',
  misses: 'Wrong products, lost signs, and like terms put together wrongly.',
  lacks: ({ comparison: { problem } }) =>
    scriptOf(problem) === 'terms' && problem.kind === 'product'
      ? null
      : 'Only brackets that are multiplied have a number of products.',
  make: ({ lane }, _answer, work = lane.trace) => make(work),
};
