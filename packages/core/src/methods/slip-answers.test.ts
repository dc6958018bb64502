import { addressText, readWhere } from '../account/chance.ts';
import { leaksOf } from '../account/leaks.ts';
import { Exact } from '../exact/exact.ts';
import { problemFrom, worked } from '../testing/work.ts';
import { registry } from './index.ts';

type Row = readonly [method: string, problem: string, address: string, answer: string];

/** What each slip answers where it is made once, reckoned by hand. */
const ANSWERS: readonly Row[] = [
  ['column-addition', '386 + 58', 'whole-column-total@place-0', '4314'],
  ['column-addition', '386 + 58', 'forget-sum-carry@place-1', '434'],
  ['partial-sums', '386 + 58', 'skip-place@place-0', '430'],
  ['partial-sums', '386 + 58', 'drop-zeros@place-1', '327'],
  ['left-to-right-addition', '386 + 58', 'part-as-ones@term-1.1', '399'],
  ['left-to-right-addition', '386 + 58', 'skip-part@term-1.1', '394'],
  ['bridging-addition', '386 + 58', 'part-as-ones@term-1.2', '399'],
  ['bridging-addition', '386 + 58', 'skip-part@term-1.2', '394'],
  ['bridging-addition', '386 + 58', 'whole-part-again@term-1.0', '445'],
  ['compensation-addition', '386 + 58', 'forget-adjustment@operand-1', '446'],
  ['compensation-addition', '386 + 58', 'wrong-way@operand-1', '448'],
  ['running-total', '386 + 58', 'skip-addend@operand-0', '58'],
  ['running-total', '386 + 58', 'add-twice@operand-1', '502'],
  ['scratch-addition', '386 + 58', 'miss-scratch@operand-1.0', '434'],
  ['scratch-addition', '386 + 58', 'forget-scratches@place-0', '434'],
  ['decomposition', '642 − 387', 'lender-not-reduced@place-1', '265'],
  ['decomposition', '642 − 387', 'smaller-from-larger@place-0', '265'],
  ['expanded-subtraction', '642 − 387', 'lender-not-reduced@place-1', '265'],
  ['expanded-subtraction', '642 − 387', 'smaller-from-larger@place-0', '265'],
  ['counting-up', '642 − 387', 'count-the-start@hop-0', '256'],
  ['counting-up', '642 − 387', 'skip-ring@hop-0', '252'],
  ['partial-differences', '642 − 387', 'lost-sign@place-0', '265'],
  ['equal-additions', '642 − 387', 'forget-lower@place-0', '265'],
  ['compensation-subtraction', '642 − 387', 'one-changed@hop-0', '242'],
  ['compensation-subtraction', '642 − 387', 'opposite@hop-0', '229'],
  ['column-multiplication', '46 × 58', 'whole-product-in-place@line-0.0', '5548'],
  ['column-multiplication', '46 × 58', 'carry-before-multiplying@line-0.1', '2948'],
  ['column-multiplication', '46 × 58', 'forget-carry@line-0.1', '2628'],
  ['column-multiplication', '46 × 58', 'omit-placeholder@line-1', '598'],
  ['column-multiplication', '3.6 × 20.5', 'point-one-off@answer-0', '738'],
  ['column-multiplication', '768 × 67', 'forget-sum-carry@place-2', '51356'],
  ['partial-products', '46 × 58', 'skip-product@cell-0.0', '2620'],
  ['partial-products', '46 × 58', 'drop-zeros@cell-1.0', '2380'],
  ['partial-products', '3.6 × 20.5', 'point-one-off@answer-0', '738'],
  ['partial-products', '768 × 67', 'forget-sum-carry@place-2', '51356'],
  ['grid-multiplication', '46 × 58', 'skip-cell@cell-0.0', '2620'],
  ['grid-multiplication', '46 × 58', 'drop-zeros@cell-1.0', '2380'],
  ['grid-multiplication', '46 × 58', 'add-heading@operand-1.0', '2676'],
  ['grid-multiplication', '3.6 × 20.5', 'point-one-off@answer-0', '738'],
  ['lattice', '46 × 58', 'swap-cell@cell-0.0', '2704'],
  ['lattice', '46 × 58', 'add-edge-digit@diagonal-0', '2676'],
  ['lattice', '3.6 × 20.5', 'point-one-off@answer-0', '738'],
  ['lattice', '768 × 67', 'whole-total-in-place@diagonal-1', '513156'],
  ['lattice', '768 × 67', 'forget-carry@diagonal-2', '51356'],
  ['crosswise', '46 × 58', 'miss-pair@place-1', '2348'],
  ['crosswise', '46 × 58', 'forget-held@place-1', '2628'],
  ['crosswise', '3.6 × 20.5', 'point-one-off@answer-0', '738'],
  ['halving-doubling', '46 × 58', 'keep-even@row-0', '2726'],
  ['halving-doubling', '46 × 58', 'strike-odd@row-1', '2552'],
  ['halving-doubling', '3.6 × 20.5', 'point-one-off@answer-0', '738'],
  ['short-division', '952 ÷ 7', 'forget-remainder@place-2', '752/7'],
  ['short-division', '31.5 ÷ 0.7', 'scale-one@operand-1', '9/2'],
  ['short-division', '1804 ÷ 6', 'skip-zero@place-1', '92/3'],
  ['short-division', '1804 ÷ 6', 'remainder-as-tenths@answer-0', '1502/5'],
  ['long-division', '952 ÷ 7', 'forget-remainder@place-2', '752/7'],
  ['long-division', '31.5 ÷ 0.7', 'scale-one@operand-1', '9/2'],
  ['long-division', '1804 ÷ 6', 'skip-zero@place-1', '92/3'],
  ['long-division', '1804 ÷ 6', 'remainder-as-tenths@answer-0', '1502/5'],
  ['partial-quotients', '952 ÷ 7', 'skip-chunk@chunk-4', '135'],
  ['partial-quotients', '31.5 ÷ 0.7', 'scale-one@operand-1', '9/2'],
  ['cross-products', '3/4 + 1/6', 'tops-and-bottoms@operand-1', '2/5'],
  ['least-common-denominator', '3/4 + 1/6', 'tops-and-bottoms@operand-1', '2/5'],
  ['least-common-denominator', '3/4 + 1/6', 'bottom-only@operand-0', '5/12'],
  ['mixed-separate', '5 1/6 − 2 5/6', 'whole-as-ten@operand-0', '3'],
  ['mixed-separate', '5 1/6 − 2 5/6', 'whole-kept@operand-0', '10/3'],
  ['mixed-separate', '4 1/3 − 1 5/6', 'bottom-only@operand-0', '7/3'],
  ['mixed-improper', '5 1/6 − 2 5/6', 'whole-added@operand-0', '-11/6'],
  ['mixed-improper', '4 1/3 − 1 5/6', 'bottom-only@operand-0', '1/3'],
  ['like-terms-row', '(x^3+5x^2)−(2x^2−7x)', 'first-term-only@term-1.0', 'x^3+3x^2-7x'],
  ['like-terms-row', '(x^3+5x^2)−(2x^2−7x)', 'missed-term@term-0.0', 'x^3+5x^2+7x'],
  ['like-terms-row', '(x^3+5x^2)−(2x^2−7x)', 'unlike-gathered@term-0.1', '6x^3-2x^2+7x'],
  ['like-terms-columns', '(x^3+5x^2)−(2x^2−7x)', 'first-term-only@term-1.0', 'x^3+3x^2-7x'],
  ['like-terms-columns', '(x^3+5x^2)−(2x^2−7x)', 'unlike-gathered@term-0.1', '6x^3-2x^2+7x'],
  ['expand-arcs', '(x−4)(3x−2)', 'missed-product@cell-1.1', '-14x+8'],
  ['expand-arcs', '(x−4)(3x−2)', 'lost-sign@cell-1.0', '3x^2-10x+8'],
  ['expand-arcs', '(x−4)(3x−2)', 'unlike-gathered@term-1.1', 'x^2-12x+8'],
  ['expand-foil', '(x−4)(3x−2)', 'missed-product@cell-1.1', '-14x+8'],
  ['expand-foil', '(x−4)(3x−2)', 'lost-sign@cell-1.0', '3x^2-10x+8'],
  ['expand-foil', '(x−4)(3x−2)', 'unlike-gathered@term-1.1', 'x^2-12x+8'],
  ['expand-grid', '(x−4)(3x−2)', 'missed-product@cell-1.1', '-14x+8'],
  ['expand-grid', '(x−4)(3x−2)', 'lost-sign@cell-0.1', '3x^2+10x+8'],
  ['expand-grid', '(x−4)(3x−2)', 'unlike-gathered@term-1.1', '-9x^2-2x+8'],
  ['digit-pairs', '√7396', 'not-doubled@place-0', '8116'],
  ['digit-pairs', '√7396', 'one-box@place-0', '7432'],
  ['prime-pairs', '√7396', 'both-out@row-1', '29584'],
  ['prime-pairs', '√72', 'unpaired-lost@answer-0', '36'],
  ['partial-sums', '78 + 67 + 59', 'forget-sum-carry@place-2', '104'],
  ['halving-doubling', '46 × 58', 'miss-power@row-1', '2552'],
];

/** The school of doubling in which a power can be missed. */
const POWERS = { show: 'powers-of-two' };

describe('a slip', () => {
  it.each(ANSWERS)('of %s in %s, %s, answers %s', (id, text, address, answer) => {
    const [slip = '', place = ''] = address.split('@');
    const method = registry.get(id);
    const options = {
      school: { ...method.defaultSchool, ...(slip === 'miss-power' ? POWERS : {}) },
      slips: [{ slip, at: readWhere(place)! }],
    };
    const trace = worked(id, text, options);
    expect(trace.answer.toString()).toBe(answer);
    expect(method.light(problemFrom(text), options).answer.toString()).toBe(answer);
    const leaked = Exact.sum(leaksOf(trace).map(({ amount }) => amount));
    if (trace.problem.kind !== 'quotient') {
      expect(trace.total.plus(leaked).toString()).toBe(answer);
    }
    expect(trace.opportunities.map(addressText)).toContain(address);
  });

  it('of every method has an example', () => {
    const shown = new Set(
      ANSWERS.map(([method, , address]) => `${method} ${address.split('@')[0]}`),
    );
    const all = registry.methods.flatMap(({ id, slips }) =>
      slips.map((slip) => `${id} ${slip.id}`),
    );
    expect(all.filter((one) => !shown.has(one))).toEqual([]);
  });
});
