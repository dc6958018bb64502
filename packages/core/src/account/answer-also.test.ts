import { ownLinesMethod } from '../own/paper/method.ts';
import { workOf } from '../own/paper/own-work.ts';
import { problemFrom, worked } from '../testing/work.ts';
import { answerAlso } from './answer-also.ts';

describe('what an answer is beside how it is written', () => {
  it.each([
    ['digit-pairs', '√72', {}, { kind: 'rounded', text: '8.49' }],
    ['prime-pairs', '√72', {}, { kind: 'rounded', text: '8.49' }],
    ['digit-pairs', '√2', { stop: 'three-places' }, { kind: 'rounded', text: '1.41' }],
    ['digit-pairs', '√7396', {}, null],
    ['digit-pairs', '√0.5', {}, { kind: 'rounded', text: '0.71' }],
    ['long-division', '1 ÷ 7', { stop: 'decimals' }, { kind: 'repeats', text: '142857' }],
    ['long-division', '1835 ÷ 24', {}, null],
    ['cross-products', '3/4 + 5/6', {}, null],
    ['cross-products', '3/4 + 1/6', {}, null],
    ['column-multiplication', '46 × 58', {}, null],
  ] as const)('by %s, %s', (id, text, school, also) => {
    expect(answerAlso(worked(id, text, { school }))).toEqual(also);
  });

  it('is no true root beside one that a slip has found', () => {
    const slips = [{ slip: 'not-doubled', occurrence: 1 }];
    const trace = worked('digit-pairs', '√72', { slips });
    expect(trace.balanced).toBe(false);
    expect(answerAlso(trace)).toBeNull();
  });

  it('is a mixed number where lines end with a fraction above one', () => {
    const own = ownLinesMethod(workOf(['= 9/12 + 10/12', '= 19/12']));
    const trace = own.trace(problemFrom('3/4 + 5/6'));
    expect(answerAlso(trace)).toEqual({ kind: 'mixed', text: '1 7/12' });
  });
});
