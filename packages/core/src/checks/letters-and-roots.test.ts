import { compare } from '../compare/compare.ts';
import { Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import { problemFrom, worked } from '../testing/work.ts';
import type { CheckId, CheckSubject } from './check.ts';
import { checkOf, checks } from './index.ts';
import { reachOf } from './reach.ts';

function subject(text: string, ...ids: string[]): CheckSubject {
  const comparison = compare(
    problemFrom(text),
    ids.map((id) => ({ method: registry.get(id) })),
  );
  const [lane, other = null] = comparison.lanes;
  return { comparison, lane: lane!, other, estimate: null, calculated: null };
}

const lines = (id: CheckId, own: CheckSubject) =>
  checkOf(id).make(own, own.lane.trace.answer).lines.join(' ');

const caught = (id: CheckId, own: CheckSubject) =>
  reachOf(checkOf(id), own).map((slip) => `${slip.opportunity.slip} ${slip.answer} ${slip.caught}`);

describe('checks of expressions with letters', () => {
  const product = subject('(x + 4)(3x − 2)', 'expand-foil', 'expand-grid');
  const difference = subject('(5x + 1) − (2x − 3)', 'like-terms-row', 'like-terms-columns');

  it('put numbers in for the letters on both sides', () => {
    expect(lines('substitution', product)).toBe(
      'With x = 2: x + 4 = 6, 3x − 2 = 4. 6 · 4 = 24; the answer 3x² + 10x − 8 gives 24: the same.',
    );
    expect(lines('substitution', difference)).toMatch(/With x = 2: .*11 − 1 = 10; .* gives 10/);
    // Twice two is two and two: x · x taken for 2x cannot be seen with x = 2.
    const through = caught('substitution', product).filter((slip) => slip.endsWith('false'));
    expect(through).toEqual(['square-as-double 16x − 8 false']);
  });

  it('look at the highest and the lowest terms, and let the middle through', () => {
    expect(lines('degree', product)).toMatch(/make x · 3x = 3x²; .*make 4 · \(−2\) = −8/);
    expect(caught('degree', product)).toEqual([
      'missed-product 10x − 8 true',
      'square-as-double 16x − 8 true',
      'exponents-multiplied 13x − 8 true',
      'lost-sign 3x² + 14x − 8 false',
      'missed-product 3x² + 12x − 8 false',
      'missed-product 3x² − 2x − 8 false',
      'lost-sign 3x² + 10x + 8 true',
      'missed-product 3x² + 10x true',
      'unlike-gathered x² + 12x − 8 true',
      'unlike-gathered 3x² + 2x true',
      'exponents-added-in-sum 13x² − 8 true',
    ]);
    const strange = checkOf('degree').make(difference, Exact.parse('3x^2'));
    expect(strange.outcome).toBe('disagrees');
    expect(strange.lines[1]).toMatch(/3x² is of a kind that does not occur/);
  });

  it('count the products, stage by stage', () => {
    expect(lines('product-count', product)).toBe('2 · 2 = 4 products; the paper has 4.');
    const staged = subject('(x − 2)(x + 5)(x − 4)', 'expand-arcs');
    expect(lines('product-count', staged)).toBe(
      'Stage 1: 2 · 2 = 4 products; the paper has 4. Stage 2: 3 · 2 = 6 products; the paper has 6.',
    );
    const found = caught('product-count', product).filter((slip) => slip.endsWith('true'));
    expect(found).toHaveLength(4);
    expect(found.every((slip) => slip.startsWith('missed-product'))).toBe(true);
  });

  it('add rows and columns, add back, and compare a second paper', () => {
    expect(lines('totals', product)).toMatch(
      /By rows: \(3x² \+ 12x\) \+ \(−2x − 8\) = 3x² \+ 10x − 8/,
    );
    expect(lines('inverse', difference)).toMatch(/\(3x \+ 4\) \+ \(2x − 3\) = 5x \+ 1/);
    expect(lines('second-method', product)).toMatch(
      /makes 3x² \+ 10x − 8, this paper 3x² \+ 10x − 8/,
    );
  });

  it('find a slip in gathering by rows and columns, but no wrong product that stands in a cell', () => {
    const anew = caught('totals', product).map((slip) => slip.endsWith('true'));
    expect(anew).not.toContain(false);
    expect(caught('totals', subject('(x + 4)(3x − 2)', 'expand-grid'))).toEqual([
      'missed-product 10x − 8 false',
      'square-as-double 16x − 8 false',
      'exponents-multiplied 13x − 8 false',
      'missed-product 3x² − 2x − 8 false',
      'lost-sign 3x² + 14x − 8 false',
      'missed-product 3x² + 12x − 8 false',
      'lost-sign 3x² + 10x + 8 false',
      'missed-product 3x² + 10x false',
      'unlike-gathered 15x² − 2x − 8 true',
      'unlike-gathered 3x² + 2x true',
      'exponents-added-in-sum 13x² − 8 true',
    ]);
  });

  it('say why the others cannot be made', () => {
    const lacking = (own: CheckSubject) =>
      checks.flatMap((check) => (check.lacks(own) === null ? [] : [check.id]));
    expect(lacking(product)).toEqual([
      'estimate',
      'leading-figures',
      'direction',
      'point',
      'inverse',
      'casting-out',
      'calculator',
      'whole-groups',
    ]);
    for (const check of checks) {
      const reason = check.lacks(product);
      if (reason !== null) expect(reason).toMatch(/^[A-Z].*\.$/);
    }
  });
});

describe('checks of square roots', () => {
  const root = subject('√7396', 'digit-pairs', 'prime-pairs');
  const uneven = subject('√72', 'digit-pairs', 'prime-pairs');

  it('square back', () => {
    expect(lines('inverse', root)).toBe(
      '86 × 86 = 7396, the number under the root: the square of the root with what is left. Nothing is left over: the root comes out.',
    );
    expect(lines('inverse', uneven)).toMatch(
      /8\.48 × 8\.48 \+ 0\.0896 = 72, the number under the root/,
    );
    const primes = { ...uneven, lane: uneven.comparison.lanes[1]! };
    expect(lines('inverse', primes)).toMatch(/6 × 6 × 2 = 72, the number under the root/);
    expect(caught('inverse', primes)).toEqual([
      'both-out 12√2 true',
      'both-out 18√2 true',
      'unpaired-lost 6 true',
      'pairs-added 5√2 true',
    ]);
  });

  it('hold the estimate, the leading figures and a calculator against the root, not the number', () => {
    const estimate = {
      operands: ['8100'],
      value: '90',
      judgement: 'close',
      beforeWorking: true,
    } as const;
    const estimated = { ...root, estimate };
    expect(lines('estimate', estimated)).toMatch(
      /√8100 is 90; the paper says 86\. .*tenth of it: it is\./,
    );
    const far = { ...root, estimate: { ...estimate, operands: ['2500'], value: '50' } };
    expect(checkOf('estimate').make(far, root.lane.trace.answer).outcome).toBe('disagrees');
    expect(lines('leading-figures', root)).toMatch(/from 80 to 89: 8·\. 86 lies there/);
    const keyed = (value: number) => ({
      ...root,
      calculated: { value: Exact.of(value), same: true },
    });
    expect(checkOf('calculator').make(keyed(86), root.lane.trace.answer).outcome).toBe('agrees');
    expect(checkOf('calculator').make(keyed(85), root.lane.trace.answer).outcome).toBe('disagrees');
  });

  it('cast out the root, its square and what is left', () => {
    expect(lines('casting-out', root)).toMatch(
      /root leaves 5, what is left 0\. .*leaves 7, the number 7: the same/,
    );
    expect(lines('second-method', uneven)).toMatch(
      /makes 6√2, this paper 8\.48 r 0\.0896: not the same number, but squared/,
    );
    const slipped = worked('digit-pairs', '√7396', { slips: [{ slip: 'one-box', occurrence: 1 }] });
    expect(checkOf('casting-out').make(root, slipped.answer, slipped).outcome).toBe('agrees');
    expect(checkOf('inverse').make(root, slipped.answer, slipped).outcome).toBe('disagrees');
  });
});
