import { compare } from '../../compare/compare.ts';
import { registry } from '../../methods/index.ts';
import { problemFrom } from '../../testing/work.ts';
import { ownLinesMethod } from './method.ts';
import { nearestMethod } from './nearest-method.ts';
import { readAsked } from '../read/asked.ts';
import { workOf } from './own-work.ts';
import { judgeLines } from '../judge/judge-lines.ts';

function judgedPaper(problem: string, lines: readonly string[]) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  return judgeLines(read.asked, lines);
}

function nearest(problem: string, ...lines: readonly string[]) {
  const asked = problemFrom(problem);
  const found = nearestMethod(asked, judgedPaper(problem, lines), registry);
  return found && { id: found.method.id, hops: found.hops.map(String), says: found.says };
}

describe('the method that is nearest to a way', () => {
  it.each([
    ['642 − 387', ['387 +13→ 400 +242→ 642'], 'counting-up', ['13', '242']],
    ['642 − 387', ['= 655 − 400', '= 255'], 'compensation-subtraction', ['13']],
    ['642 − 387', ['= 300 − 40 − 5', '= 255'], 'partial-differences', []],
    ['38 + 27', ['= 50 + 15', '= 65'], 'partial-sums', []],
    ['46 × 58', ['= 23 × 116', '= 2668'], 'halving-doubling', []],
    ['46 × 58', ['= 46 × 50 + 46 × 8', '= 2668'], 'partial-products', []],
    ['46 × 58', ['= 40 × 50 + 40 × 8 + 6 × 50 + 6 × 8', '= 2668'], 'grid-multiplication', []],
    ['952 ÷ 7', ['= 700 ÷ 7 + 252 ÷ 7', '= 100 + 36', '= 136'], 'partial-quotients', ['100', '36']],
    ['3/4 + 1/6', ['= 9/12 + 2/12', '= 11/12'], 'least-common-denominator', []],
    ['(x+4)(3x−2)', ['= 3x^2 − 2x + 12x − 8'], 'expand-arcs', []],
  ] as const)('%s: %s', (problem, lines, id, hops) => {
    expect(nearest(problem, ...lines)).toMatchObject({ id, hops });
  });

  it('is said in a sentence, and can be laid beside the lines', () => {
    const lines = ['387 +13→ 400 +242→ 642', '= 255'];
    expect(nearest('642 − 387', ...lines)?.says).toBe('This is counting up with your own hops.');
    const problem = problemFrom('642 − 387');
    const own = ownLinesMethod(workOf(lines));
    const found = nearestMethod(problem, judgedPaper('642 − 387', lines), registry)!;
    const { lanes } = compare(problem, [
      { method: own },
      { method: found.method, hops: found.hops },
    ]);
    const sizes = lanes.map(({ trace }) =>
      trace.steps.flatMap(({ gives }) =>
        gives.flatMap(({ hop, worth }) => (hop ? [String(worth)] : [])),
      ),
    );
    expect(sizes[1]).toEqual(sizes[0]);
  });

  it('is none where nothing is near, or the way cannot be taken', () => {
    expect(nearest('46 × 58')).toBeNull();
    expect(nearest('46 × 58', 'by heart', '= 2668')).toBeNull();
    expect(nearest('642 − 387', '= 600')).toBeNull();
  });
});
