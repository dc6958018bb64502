import { worked } from '../testing/work.ts';
import { lawFaults, replayOf, type Work } from './replay.ts';

const WORK = replayOf(worked('column-multiplication', '46 × 58'));

/** The same with the terms of all that a step gives changed. */
function withTerms(step: number, terms: (own: ReadonlySet<string>) => Iterable<string>): Work {
  const steps = WORK.steps.map((own) => {
    const gives = [...own.gives].map(
      ([id, amount]) => [id, { ...amount, terms: new Set(terms(amount.terms)) }] as const,
    );
    return own.number === step ? { ...own, gives: new Map(gives) } : own;
  });
  return { ...WORK, steps };
}

describe('what a work is replayed for', () => {
  it('has no fault where it is as the method works it', () => {
    expect(lawFaults(WORK)).toEqual([]);
    expect(lawFaults(withTerms(2, (own) => own))).toEqual([]);
  });

  it('has the fault that a mark names a term that the problem has not, at its step', () => {
    const faults = lawFaults(withTerms(2, (own) => [...own, '9.9']));
    expect(faults[0]).toMatchObject({
      step: 2,
      fault: expect.stringContaining('names a term 9.9'),
    });
  });

  it('has the fault that a step is no instance of its law where terms are left out', () => {
    const [first] = lawFaults(withTerms(2, () => []));
    expect(first).toMatchObject({ step: 2, fault: expect.stringContaining('no instance of') });
  });
});
