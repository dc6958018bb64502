import fc from 'fast-check';
import { compare } from '../compare/compare.ts';
import { type Comparison } from '../compare/comparison.ts';
import { Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import { readProblem } from '../problem/problem.ts';
import { wholeNumeral } from '../testing/arbitraries.ts';
import { numeralValue } from '../exact/numeral.ts';
import { castOut } from './casting-out-check.ts';
import type { CheckId, CheckSubject } from './check.ts';
import { checkOf } from './index.ts';
import { reachOf } from './reach.ts';

function comparisonOf(text: string, ...ids: string[]): Comparison {
  const read = readProblem(text);
  if (!read.ok) throw new RangeError(text);
  return compare(
    read.problem,
    ids.map((id) => ({ method: registry.get(id) })),
  );
}

function subjectOf(comparison: Comparison, more: Partial<CheckSubject> = {}): CheckSubject {
  const [lane, other = null] = comparison.lanes;
  return { comparison, lane: lane!, other, estimate: null, calculated: null, ...more };
}

/** What a check says of an answer to a computation. */
function said(id: CheckId, text: string, method: string, answer?: Exact) {
  const comparison = comparisonOf(text, method);
  const { outcome, lines } = checkOf(id).make(
    subjectOf(comparison),
    answer ?? comparison.lanes[0]!.trace.answer,
  );
  return [outcome, ...lines];
}

const decimal = (hundredths: number) => Exact.of(hundredths, 100);

describe('the direction', () => {
  it('tells on which side of each number the answer must lie', () => {
    expect(said('direction', '0.4 × 3.5', 'lattice')).toEqual([
      'agrees',
      '3.5 is more than 1, so 3.5 × 0.4 is more than 0.4.',
      '0.4 is less than 1, so 0.4 × 3.5 is less than 3.5.',
      'The paper says 1.4: that fits.',
    ]);
    expect(said('direction', '31.5 ÷ 0.7', 'long-division', decimal(450))[0]).toBe('disagrees');
    expect(said('direction', '12 ÷ 1', 'short-division')).toEqual([
      'agrees',
      '1 is just 1, so 12 ÷ 1 is the same as 12.',
      'The paper says 12: that fits.',
    ]);
    expect(said('direction', '0 ÷ 7', 'short-division')[0]).toBe('agrees');
    expect(said('direction', '955 ÷ 7', 'short-division').at(-1)).toBe(
      'The paper says 136 3/7: that fits.',
    );
  });
});

describe('the place of the point', () => {
  it('is picked among candidates by the estimate and held against the count', () => {
    expect(said('point', '3.6 × 20.5', 'lattice')).toEqual([
      'agrees',
      'By counting: 1 + 1 = 2 figures after the point make 73.80.',
      'By the estimate, about 80: of 7.380, 73.80 and 738.0 it picks 73.80.',
      'Both put the point in the same place; the paper says 73.8.',
    ]);
    const [outcome, , , last] = said('point', '3.6 × 20.5', 'lattice', Exact.of(738));
    expect(outcome).toBe('disagrees');
    expect(last).toBe('The paper says 738; its figures should be 73.800.');
  });

  it('takes her own estimate, and says nothing when that is of another size', () => {
    const comparison = comparisonOf('3.6 × 20.5', 'lattice');
    const estimate = (value: string) => ({
      operands: ['4', '20'],
      value,
      judgement: '' as const,
      beforeWorking: true,
    });
    const make = (value: string) =>
      checkOf('point').make(
        subjectOf(comparison, { estimate: estimate(value) }),
        Exact.parse('369/5'),
      );
    expect(make('60').outcome).toBe('agrees');
    expect(make('800').outcome).toBe('cannot-tell');
    expect(make('800').lines.at(-1)).toMatch(/make a nearer estimate/);
  });

  it('finds a point one place off and lets wrong figures through', () => {
    const comparison = comparisonOf('3.6 × 20.5', 'column-multiplication');
    const reach = reachOf(checkOf('point'), subjectOf(comparison));
    const caught = (slip: string) =>
      reach.filter(({ opportunity }) => opportunity.slip === slip).map((one) => one.caught);
    expect(caught('point-one-off')).toEqual([true]);
    expect(caught('forget-carry')).toContain(false);
  });
});

describe('rows against columns', () => {
  it('adds the cells both ways', () => {
    expect(said('totals', '46 × 58', 'grid-multiplication')).toEqual([
      'agrees',
      'By rows: 2300 + 368 = 2668.',
      'By columns: 2320 + 348 = 2668.',
      'Both ways make the answer 2668.',
    ]);
    expect(said('totals', '4.6 × 5.8', 'lattice', decimal(2568))[0]).toBe('disagrees');
  });

  it('does not see a wrong cell, which stands in its row and its column alike', () => {
    const reach = reachOf(checkOf('totals'), subjectOf(comparisonOf('46 × 58', 'lattice')));
    const swapped = reach.filter(({ opportunity }) => opportunity.slip === 'swap-cell');
    expect(swapped.length).toBeGreaterThan(0);
    expect(swapped.map(({ caught }) => caught)).toEqual(swapped.map(() => false));
  });

  it('is not for strings of factors or other kinds', () => {
    const lacks = (text: string, method: string) =>
      checkOf('totals').lacks(subjectOf(comparisonOf(text, method)));
    expect(lacks('2 × 3 × 4', 'lattice')).toMatch(/two factors/);
    expect(lacks('46 + 58', 'column-addition')).toMatch(/two factors/);
  });
});

describe('counting whole groups', () => {
  const counted = (text: string, method: string, answer?: Exact) =>
    said('whole-groups', text, method, answer).slice(0, 4);

  it('counts equal parts and takes wholes out of them', () => {
    expect(counted('2 3/4 + 1 5/6', 'mixed-separate')).toEqual([
      'agrees',
      'In twelfths: 33 + 22 = 55.',
      'Counted out by 12: 12, 24, 36, 48; that is 4 wholes and 7 over.',
      'That is 4 7/12, the answer.',
    ]);
    expect(counted('3/4 + 1/4', 'cross-products')).toEqual([
      'agrees',
      'In fourths: 3 + 1 = 4.',
      'Counted out by 4: 4; that is 1 whole.',
      'That is 1, the answer.',
    ]);
    expect(counted('5 1/6 − 2 5/6', 'mixed-improper')[2]).toBe(
      'Counted out by 6: 6, 12; that is 2 wholes and 2 over.',
    );
    expect(counted('7 1/2 + 1 1/2', 'mixed-separate')[2]).toBe(
      'Counted out by 2: 2, 4, 6, … 18; that is 9 wholes.',
    );
    expect(counted('3/4 − 1/6', 'cross-products')[2]).toBe('12 would be a whole: there is none.');
  });

  it('finds denominators that were added and a whole that was lost', () => {
    expect(counted('3/4 + 5/6', 'cross-products', Exact.of(8n, 10n))).toEqual([
      'disagrees',
      'In twelfths: 9 + 10 = 19.',
      'Counted out by 12: 12; that is 1 whole and 7 over.',
      'That is 1 7/12; the paper says 4/5.',
    ]);
  });
});

describe('casting out', () => {
  it('keeps what the sum of the figures keeps, in every base', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 16 }).chain((base) => wholeNumeral(base, 12)),
        (number) => {
          const by = BigInt(number.base - 1);
          const figures = number.digits.reduce((sum, digit) => sum + BigInt(digit), 0n);
          expect(castOut(numeralValue(number), number.base)).toBe(figures % by);
        },
      ),
    );
  });

  it('does not look at the point, and refuses figures without end', () => {
    expect(castOut(decimal(2050), 10)).toBe(castOut(Exact.of(205), 10));
    expect(castOut(Exact.of(-4), 10)).toBe(5n);
    expect(() => castOut(Exact.of(1, 3), 10)).toThrow(RangeError);
  });

  it('is said with what each number leaves', () => {
    expect(said('casting-out', '46 × 58', 'lattice')).toEqual([
      'agrees',
      'With 9 cast out 46 leaves 1, 58 leaves 4.',
      'Together that leaves 4; the answer 2668 leaves 4: the same.',
    ]);
    expect(said('casting-out', '955 ÷ 7', 'long-division')).toEqual([
      'agrees',
      'With 9 cast out 955 leaves 1, 7 leaves 7.',
      'Quotient 136 × divisor + remainder 3 leaves 1, the dividend 1: the same.',
    ]);
    expect(said('casting-out', '64_8 − 17_8', 'decomposition')[0]).toBe('agrees');
    expect(said('casting-out', '46 × 58', 'lattice', Exact.of(2686))[0]).toBe('agrees');
    expect(said('casting-out', '46 × 58', 'lattice', Exact.of(2667))[0]).toBe('disagrees');
  });

  it('says nothing in base two and of fractions', () => {
    const lacks = (text: string, method: string) =>
      checkOf('casting-out').lacks(subjectOf(comparisonOf(text, method)));
    expect(lacks('11_2 × 10_2', 'lattice')).toMatch(/base two/);
    expect(lacks('1/2 + 1/3', 'cross-products')).toMatch(/Fractions/);
    expect(lacks('46 × 58', 'lattice')).toBeNull();
  });
});

describe('the inverse', () => {
  it.each([
    ['46 × 58', 'lattice', '2668 ÷ 58 = 46, the other factor.'],
    ['0 × 58', 'lattice', '0 ÷ 58 = 0, the other factor.'],
    ['2 × 3.5 × 4', 'lattice', '28 ÷ 4 = 7, the product of the others.'],
    [
      '955 ÷ 7',
      'long-division',
      '136 × 7 + 3 = 955, the dividend: quotient × divisor + remainder.',
    ],
    [
      '31.5 ÷ 0.7',
      'short-division',
      '45 × 0.7 = 31.5, the dividend: quotient × divisor + remainder.',
    ],
    ['5 1/6 − 2 5/6', 'mixed-separate', '2 1/3 + 2 5/6 = 5 1/6, the minuend.'],
    ['3/4 + 1/6', 'cross-products', '11/12 − 1/6 = 3/4, the other addend.'],
  ])('of %s by %s goes back', (text, method, line) => {
    expect(said('inverse', text, method)).toEqual(['agrees', line]);
  });

  it('tells a wrong quotient with what it would leave', () => {
    expect(said('inverse', '46 × 58', 'lattice', Exact.of(2600))).toEqual([
      'disagrees',
      '2600 ÷ 58 = 44 r 48, but the other factor is 46.',
    ]);
    const nothing = checkOf('inverse').lacks(subjectOf(comparisonOf('0 × 0', 'lattice')));
    expect(nothing).toMatch(/nothing can be divided back/);
  });
});
