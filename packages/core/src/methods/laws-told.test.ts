import { worked } from '../testing/work.ts';

/** The laws by which a method's steps are lawful, run of steps by run of steps. */
function lawsTold(id: string, text: string): string {
  const runs = worked(id, text).steps.map(({ phase, law }) => `${phase.kind}: ${law}`);
  return [...new Set(runs)].join(', ');
}

/*
 * Some changes are instances of two laws: a column that is worked out is also regrouped by places. The table says
 * which of them a method tells, since that is what people read.
 */
describe('laws told', () => {
  it.each([
    ['column-addition', '386 + 58', 'sum: place-value'],
    ['column-addition', '7+9+4+8', 'sum: place-value'],
    ['partial-sums', '386 + 58', 'places: evaluate, sum: place-value'],
    ['partial-sums', '7+9+4+8', 'places: evaluate'],
    ['left-to-right-addition', '386 + 58', 'chain: evaluate'],
    ['left-to-right-addition', '7+9+4+8', 'chain: evaluate'],
    ['bridging-addition', '386 + 58', 'chain: evaluate'],
    ['bridging-addition', '7+9+4+8', 'chain: evaluate'],
    ['compensation-addition', '386 + 58', 'rounding: same-change, sum: evaluate'],
    ['running-total', '386 + 58', 'total: evaluate'],
    ['running-total', '7+9+4+8', 'total: evaluate'],
    ['scratch-addition', '386 + 58', 'column: place-value'],
    ['scratch-addition', '7+9+4+8', 'column: place-value'],
    ['decomposition', '642 − 387', 'regrouping: place-value, difference: evaluate'],
    [
      'expanded-subtraction',
      '642 − 387',
      'regrouping: place-value, differences: evaluate, together: place-value',
    ],
    ['counting-up', '642 − 387', 'hops: evaluate, together: inverse'],
    [
      'partial-differences',
      '642 − 387',
      'places: evaluate, together: place-value, together: evaluate',
    ],
    ['equal-additions', '642 − 387', 'equal additions: same-change, difference: evaluate'],
    ['compensation-subtraction', '642 − 387', 'change: same-change, difference: evaluate'],
    ['column-multiplication', '46 × 58', 'line: evaluate, line: place-value, sum: place-value'],
    ['partial-products', '46 × 58', 'products: evaluate, sum: place-value'],
    ['grid-multiplication', '46 × 58', 'cells: evaluate, totals: evaluate, answer: evaluate'],
    ['lattice', '46 × 58', 'cells: evaluate, diagonals: place-value'],
    ['crosswise', '46 × 58', 'places: place-value'],
    [
      'halving-doubling',
      '46 × 58',
      'rows: reorder, rows: scale-both, rows: distribute, rows: evaluate, together: evaluate',
    ],
    ['short-division', '952 ÷ 7', 'quotient: distribute'],
    ['short-division', '31.5 ÷ 0.7', 'scale: scale-both, quotient: distribute'],
    ['long-division', '952 ÷ 7', 'figure: distribute, figure: evaluate, figure: place-value'],
    [
      'long-division',
      '31.5 ÷ 0.7',
      'scale: scale-both, figure: distribute, figure: evaluate, figure: place-value',
    ],
    ['partial-quotients', '952 ÷ 7', 'chunk: distribute, chunk: evaluate, total: evaluate'],
    [
      'partial-quotients',
      '31.5 ÷ 0.7',
      'scale: scale-both, chunk: distribute, chunk: evaluate, total: evaluate',
    ],
    [
      'cross-products',
      '3/4 + 1/6',
      'cross: scale-both, cross: evaluate, combine: evaluate, simplify: scale-both',
    ],
    [
      'least-common-denominator',
      '3/4 + 1/6',
      'find: evaluate, rename: scale-both, combine: evaluate, simplify: scale-both',
    ],
    [
      'mixed-separate',
      '5 1/6 − 2 5/6',
      'open: scale-both, combine: evaluate, wholes: evaluate, simplify: scale-both, answer: place-value',
    ],
    [
      'mixed-improper',
      '5 1/6 − 2 5/6',
      'improper: scale-both, combine: evaluate, simplify: scale-both, answer: place-value',
    ],
    [
      'fraction-product',
      '1 1/2 × 2/9',
      'improper: scale-both, copy: scale-both, tops: evaluate, bottoms: evaluate, simplify: scale-both',
    ],
    [
      'fraction-area',
      '2/3 × 3/4',
      'cut: distribute, unit: evaluate, cells: evaluate, simplify: scale-both',
    ],
    [
      'fraction-reciprocal',
      '3/4 ÷ 2/3',
      'turn: scale-both, tops: evaluate, bottoms: evaluate, simplify: scale-both, answer: place-value',
    ],
    [
      'fraction-common-denominator',
      '3/4 ÷ 2/3',
      'find: evaluate, rename: scale-both, counts: evaluate, simplify: scale-both, answer: place-value',
    ],
    [
      'like-terms-row',
      '(x^3+5x^2)−(2x^2−7x)',
      'signs: reorder, signs: sign, copy: reorder, gather: like-terms',
    ],
    ['like-terms-columns', '(x^3+5x^2)−(2x^2−7x)', 'signs: sign, gather: like-terms'],
    ['expand-arcs', '(x−4)(3x−2)', 'products: evaluate, products: sign, gather: like-terms'],
    ['expand-foil', '(x−4)(3x−2)', 'products: evaluate, products: sign, gather: like-terms'],
    ['expand-grid', '(x−4)(3x−2)', 'products: evaluate, products: sign, gather: like-terms'],
    ['digit-pairs', '√7396', 'digit: square, digit: evaluate, digit: place-value'],
    ['digit-pairs', '√72', 'digit: square, digit: evaluate, digit: place-value, rest: place-value'],
    ['prime-pairs', '√7396', 'primes: pair-factors, pairs: pair-factors, out: pair-factors'],
    ['prime-pairs', '√72', 'primes: pair-factors, pairs: pair-factors, out: pair-factors'],
  ] as const)('by %s for %s: %s', (id, text, laws) => expect(lawsTold(id, text)).toBe(laws));
});
