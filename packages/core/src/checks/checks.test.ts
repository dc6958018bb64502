import { bothMake } from './totals-check.ts';
import fc from 'fast-check';
import { compare } from '../compare/compare.ts';
import { type Comparison } from '../compare/comparison.ts';
import { Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import { exactRoot } from '../problem/evaluate.ts';
import { placedPoint } from '../problem/point.ts';
import { readProblem } from '../problem/problem.ts';
import { comparisons, differences } from '../testing/arbitraries.ts';
import type { CheckSubject } from './check.ts';
import { isNearEnough } from './estimate-check.ts';
import { checkOf, checks } from './index.ts';
import { littleOnes } from './inverse-check.ts';
import { certainText, firstCertain } from './leading-figures-check.ts';
import { reachOf } from './reach.ts';

function comparisonOf(text: string, ...ids: string[]): Comparison {
  const read = readProblem(text);
  if (!read.ok) throw new RangeError(text);
  return compare(
    read.problem,
    ids.map((id) => ({ method: registry.get(id) })),
  );
}

function subject(comparison: Comparison, more: Partial<CheckSubject> = {}): CheckSubject {
  const [lane, other = null] = comparison.lanes;
  return { comparison, lane: lane!, other, estimate: null, calculated: null, ...more };
}

const estimate = (value: string, judgement: '' | 'close' | 'right size is enough' = '') => ({
  operands: ['600', '400'],
  value,
  judgement,
  beforeWorking: true,
});

const subtraction = comparisonOf('642 − 387', 'equal-additions', 'partial-differences');

describe('checks', () => {
  it('agree with every right answer, whatever the method', () => {
    fc.assert(
      fc.property(comparisons(4), ({ problem, chosen }) => {
        const comparison = compare(problem, chosen);
        const { total } = comparison.lanes[0]!.trace;
        for (const lane of comparison.lanes) {
          const shown = problem.kind === 'root' ? exactRoot(total) : total;
          const calculated = shown && { value: shown, same: true };
          const own = subject(comparison, { lane, calculated });
          for (const check of checks) {
            if (check.id === 'estimate' || check.lacks(own) !== null) continue;
            const apart = check.id === 'point' && !placedPoint(problem)!.agree;
            const wanted = [check.id, apart ? 'cannot-tell' : 'agrees'];
            expect([check.id, check.make(own, total).outcome]).toEqual(wanted);
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  it.each(['inverse', 'second-method', 'calculator'] as const)('%s finds every slip', (id) => {
    const whole = subject(subtraction, { calculated: { value: Exact.of(255), same: true } });
    const reach = reachOf(checkOf(id), whole);
    expect(reach.length).toBeGreaterThan(1);
    expect(reach.every(({ caught, answer }) => caught && answer !== '255')).toBe(true);
  });

  it('by rows and columns ask both', () => {
    const sums = (rows: number, columns: number) => ({
      rowSum: Exact.of(rows),
      columnSum: Exact.of(columns),
    });
    const right = Exact.of(2668);
    expect(bothMake(sums(2668, 2668), right)).toBe(true);
    expect(bothMake(sums(2668, 2667), right)).toBe(false);
    expect(bothMake(sums(2667, 2668), right)).toBe(false);
  });

  it('of size let small slips through and find large ones', () => {
    const near = (answer: number, about: number, judgement: '' | 'close') =>
      isNearEnough(Exact.of(answer), Exact.of(about), judgement);
    expect(near(255, 200, '')).toBe(true);
    expect(near(255, 200, 'close')).toBe(false);
    expect(near(215, 200, 'close')).toBe(true);
    expect([179, 180, 220, 221, 225].map((answer) => near(answer, 200, 'close'))).toEqual([
      false,
      true,
      true,
      false,
      false,
    ]);
    expect(near(2550, 200, '')).toBe(false);
    expect(near(-255, 200, '')).toBe(false);
    expect(near(0, 0, '')).toBe(true);
    const sum = comparisonOf('386 + 58', 'column-addition');
    const own = subject(sum, { estimate: estimate('460') });
    const verdicts = reachOf(checkOf('estimate'), own).map(
      ({ opportunity: { slip }, answer, caught }) => `${slip} ${answer} ${caught}`,
    );
    expect(verdicts).toEqual([
      'set-from-the-left 966 true',
      'all-figures-added 30 true',
      'carry-to-the-right 3315 true',
      'carry-the-ones 471 false',
      'whole-total-in-place 4314 true',
      'forget-carry 434 false',
      'carry-the-ones 714 false',
      'whole-total-in-place 3144 true',
      'forget-carry 344 false',
      'carries-as-eleven 1444 true',
    ]);
  });

  it('say what they lack', () => {
    const lacking = (text: string, method: string) => {
      const bare = subject(comparisonOf(text, method));
      return checks.filter((check) => check.lacks(bare) !== null).map(({ id }) => id);
    };
    const hers = ['estimate', 'second-method', 'calculator'];
    const LETTERED = ['substitution', 'degree', 'product-count', 'whole-groups'];
    expect(lacking('4.0 + 3.2', 'left-to-right-addition')).toEqual([
      'estimate',
      'direction',
      'point',
      'totals',
      ...hers.slice(1),
      ...LETTERED,
    ]);
    expect(lacking('46 × 58', 'lattice')).toEqual([
      'estimate',
      'leading-figures',
      'point',
      ...hers.slice(1),
      ...LETTERED,
    ]);
    expect(lacking('1_2 + 1_2 + 1_2', 'column-addition')).toEqual(
      checks.map(({ id }) => id).filter((id) => id !== 'inverse'),
    );
    const other = { value: Exact.of(255), same: false };
    const keyed = subject(subtraction, { calculated: other });
    expect(checkOf('calculator').make(keyed, Exact.of(255)).outcome).toBe('cannot-tell');
  });

  it('tell the estimate by her own judgement', () => {
    const own = subject(subtraction, { estimate: estimate('200', 'close') });
    const { outcome, lines } = checkOf('estimate').make(own, Exact.of(255));
    expect(outcome).toBe('disagrees');
    expect(lines).toEqual([
      '600 − 400 is 200; the answer 255 is 55 away.',
      'Near enough here is within a tenth of it: it is not.',
    ]);
  });
});

describe('adding back', () => {
  it('has the little ones of equal additions for its carries', () => {
    const { lines } = checkOf('inverse').make(subject(subtraction), Exact.of(255));
    expect(lines).toEqual([
      '255 + 387 = 642, the minuend.',
      'Adding back carries into the tens and hundreds.',
      'The little ones below stand in the tens and hundreds: they are these carries.',
    ]);
    const method = registry.get('equal-additions');
    fc.assert(
      fc.property(differences(6), (problem) => {
        if (!method.accepts(problem).ok) return;
        const comparison = compare(problem, [{ method }]);
        const own = subject(comparison);
        const made = checkOf('inverse').make(own, own.lane.trace.total);
        const places = littleOnes(own.lane);
        expect(made.lines.at(-1)).toMatch(
          places.length > 0 ? /they are these carries\.$/ : /^Adding back carries nowhere\.$/,
        );
        expect(places.length).toBe(new Set(places).size);
      }),
      { numRuns: 100 },
    );
  });

  it('takes an addend from a sum, and a negative difference back to its minuend', () => {
    const sum = subject(comparisonOf('46 + 58 + 7', 'scratch-addition'));
    expect(checkOf('inverse').make(sum, Exact.of(111)).lines).toEqual([
      '111 − 7 = 104, the sum of the others.',
    ]);
    const negative = subject(comparisonOf('387 − 642', 'partial-differences'));
    expect(checkOf('inverse').make(negative, Exact.of(-255)).lines).toEqual([
      '−255 + 642 = 387, the minuend.',
    ]);
    expect(checkOf('inverse').make(negative, Exact.of(-245)).outcome).toBe('disagrees');
  });
});

describe('leading figures', () => {
  it('are certain early from the left and late from the right', () => {
    const left = comparisonOf('3462 + 58', 'left-to-right-addition', 'column-addition');
    expect(firstCertain(left.lanes[0]!)!.step).toBe(1);
    expect(certainText(firstCertain(left.lanes[0]!)!.certain)).toBe('35··');
    expect(firstCertain(left.lanes[1]!)).toBeNull();
    const large = comparisonOf('746 + 2', 'partial-sums');
    expect(firstCertain(large.lanes[0]!)).toBeNull();
    const method = registry.get('partial-sums');
    const first = compare(large.problem, [{ method, school: { order: 'largest-first' } }])
      .lanes[0]!;
    const found = firstCertain(first)!;
    expect(found.step).toBe(2);
    expect(certainText(found.certain)).toBe('7··');
    const own = subject(large, { lane: first });
    expect(checkOf('leading-figures').make(own, Exact.of(748)).outcome).toBe('agrees');
    expect(checkOf('leading-figures').make(own, Exact.of(848)).outcome).toBe('disagrees');
  });
});
