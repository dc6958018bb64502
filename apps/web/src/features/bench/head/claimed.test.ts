import { PLAIN_NOTATION, readProblem } from '@levee/core';
import { judgedAnswer } from './claimed.ts';

function judged(text: string): string {
  const read = readProblem(text);
  if (!read.ok || !read.claimed) throw new RangeError(text);
  return judgedAnswer(read.problem, read.claimed, PLAIN_NOTATION);
}

describe('an answer typed behind an equals sign', () => {
  it.each([
    ['46*58=2668', '2668 is right.'],
    ['46 × 58 = 2688', 'You wrote 2688; the work comes to 2668. Yours is 20 more.'],
    ['642 − 387 = 345', 'You wrote 345; the work comes to 255. Yours is 90 more.'],
    ['3/4 + 1/6 = 4/10', 'You wrote 2/5; the work comes to 11/12. Yours is 31/60 less.'],
    ['1.5 + 2.25 = 3.75', '3.75 is right.'],
    ['√7396 = 86', '86 is right.'],
    ['√2 = 1.4', 'The answer behind the equals sign is not judged here.'],
    ['(x+4)(3x−2) = 3', 'The answer behind the equals sign is not judged here.'],
  ])('is held against the work: %s', (text, sentence) => {
    expect(judged(text)).toBe(sentence);
  });

  it('is none where nothing stands behind it, and a reason where it cannot be read', () => {
    const bare = readProblem('46 × 58 =');
    expect(bare).toMatchObject({ ok: true });
    expect(bare).not.toHaveProperty('claimed');
    expect(readProblem('46 × 58 = ?')).toEqual({
      ok: false,
      reason: { code: 'answer-unread', found: '?' },
    });
  });
});
