import { Exact } from '../exact/exact.ts';
import type { Amount } from '../laws/law.ts';
import { readExpression } from '../problem/read-expression.ts';
import { endFault } from './finished.ts';

/** A last line of amounts: `2668`, `o40` as a problem gives it, `11/12(22/24)` as it is written. */
function line(...texts: readonly string[]) {
  const leaves = texts.map((text): Amount => {
    const [, owed, worth = '0', written] = /^(o?)([^(]+)(?:\((.+)\))?$/.exec(text) ?? [];
    const read = written ? readExpression(written) : null;
    return {
      worth: Exact.parse(worth),
      terms: new Set(['0.0']),
      owed: owed === 'o',
      written: read?.ok ? read.expression : null,
    };
  });
  return { leaves } as unknown as Parameters<typeof endFault>[0];
}

const ROOT = { kind: 'root', script: 'figures' } as const;
const SUM = { kind: 'sum', script: 'figures' } as const;
const PRODUCT = { kind: 'product', script: 'figures' } as const;
const FRACTIONS = { kind: 'sum', script: 'fractions' } as const;
const LETTERS = { kind: 'product', script: 'terms' } as const;

describe('a last line', () => {
  it.each<[readonly string[], Parameters<typeof endFault>[1]]>([
    [['2668'], PRODUCT],
    [['o46'], SUM],
    [['11/12(11/12)'], FRACTIONS],
    [['2x', '5'], LETTERS],
    [['7396(86^2)'], ROOT],
    [['72(6^2*2)'], ROOT],
    [['6400(80^2)', '996'], ROOT],
  ])('%j is finished', (texts, laws) => {
    expect(endFault(line(...texts), laws)).toBeNull();
  });

  it.each<[string, readonly string[], Parameters<typeof endFault>[1]]>([
    ['two numbers', ['2300', '368'], PRODUCT],
    ['a product that is not worked out', ['o2668'], PRODUCT],
    ['a fraction that can be reduced', ['11/12(22/24)'], FRACTIONS],
    ['two like terms', ['2x', '3x'], LETTERS],
    ['two squares', ['144(2^2*6^2)'], ROOT],
    ['two numbers beside a square', ['144(2^2*6*6)'], ROOT],
    ['a square of a sum', ['7396((80+6)^2)'], ROOT],
    ['a rest that is not worked out', ['6400(80^2)', 'o996'], ROOT],
    ['more than a square and a rest', ['6400(80^2)', '900', '96'], ROOT],
  ])('of %s is not finished', (_, texts, laws) => {
    expect(endFault(line(...texts), laws)).toMatch(/^the sum is not finished$/);
  });

  it('is unreduced only as a fraction that can be reduced', () => {
    expect(endFault(line('11/12(22/24)'), FRACTIONS, true)).toBeNull();
    expect(endFault(line('11/12(11/12)'), FRACTIONS, true)).toMatch(/reduced/);
    expect(endFault(line('2668'), PRODUCT, true)).toMatch(/reduced/);
  });
});
