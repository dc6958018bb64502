import { addressText, Exact, registry } from '@levee/core';
import { paperOf, problemOf } from '../store/content.ts';
import { slipAnswers, type SlipAnswer } from './slip-answers-job.ts';

const problem = problemOf({ problem: '46 × 58' });
const method = registry.get('column-multiplication');
const trace = method.trace(problem);
const slips = trace.opportunities.map(({ slip, at }) => addressText({ slip, at }));
const paper = paperOf('column-multiplication');

describe('what slips on a paper give', () => {
  it('is told for each of them, as the method works it', async () => {
    const told: SlipAnswer[] = [];
    await slipAnswers('46 × 58', paper, slips, (some) => told.push(...some) > 0);
    expect(told.map(({ slip }) => slip)).toEqual(slips);
    trace.opportunities.forEach(({ slip, at }, k) => {
      const slipped = method.trace(problem, { slips: [{ slip, at }] });
      expect(Exact.parse(told[k]!.amount).equals(slipped.answer)).toBe(true);
    });
    expect(told.some(({ amount }) => amount !== '2668')).toBe(true);
  });

  it('goes on no further when nobody wants it', async () => {
    const many = Array.from({ length: 400 }, () => slips).flat();
    let told = 0;
    await slipAnswers('46 × 58', paper, many, (some) => {
      told += some.length;
      return false;
    });
    expect(told).toBeGreaterThan(0);
    expect(told).toBeLessThan(many.length);
  });

  it('leaves out slips that lie on the paper already, and refuses what is no problem and no address', async () => {
    const told: SlipAnswer[] = [];
    const slipped = { ...paper, slips: [slips[0]!] };
    await slipAnswers('46 × 58', slipped, [slips[1]!], (some) => told.push(...some) > 0);
    const alone: SlipAnswer[] = [];
    await slipAnswers('46 × 58', paper, [slips[1]!], (some) => alone.push(...some) > 0);
    expect(told).toEqual(alone);
    await expect(slipAnswers('46 ×', paper, slips, () => true)).rejects.toThrow('46 ×');
    await expect(slipAnswers('46 × 58', paper, ['?'], () => true)).rejects.toThrow('?');
  });
});
