import { numeral } from '../exact/numeral.ts';
import { Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import { productProblem } from '../problem/problem.ts';
import type { Step, Trace } from '../account/account.ts';
import { audit } from './audit.ts';

const problem = productProblem([numeral('46'), numeral('58')]);
const clean = registry.get('column-multiplication').trace(problem);

/** The trace with one of its steps changed. */
function withStep(number: number, change: (step: Step) => Partial<Step>): Trace {
  const steps = clean.steps.map((step) =>
    step.number === number ? { ...step, ...change(step) } : step,
  );
  return { ...clean, steps };
}

function faultsOf(trace: Trace): readonly string[] {
  return audit(trace).map(({ step, fault }) => `${step}: ${fault}`);
}

describe('audit', () => {
  it('finds nothing in a clean trace', () => {
    expect(audit(clean)).toEqual([]);
  });

  it('finds an account that opens with another amount', () => {
    const trace = { ...clean, start: clean.start.slice(1) };
    expect(faultsOf(trace)).toContain('0: the account opens with 2620');
  });

  it('finds an entry that is taken twice', () => {
    const [first] = clean.steps[0]!.takes;
    const trace = withStep(2, (step) => ({ takes: [...step.takes, first!] }));
    expect(faultsOf(trace)).toContain(`2: ${first} is taken but not live`);
  });

  it('finds an entry that was never opened', () => {
    const trace = withStep(1, () => ({ takes: ['o9.9' as Step['takes'][number]] }));
    expect(faultsOf(trace)[0]).toBe('1: o9.9 is taken but not live');
  });

  it('finds a mark that is given twice', () => {
    const [mark] = clean.steps[0]!.gives;
    const trace = withStep(2, (step) => ({ gives: [...step.gives, mark!] }));
    expect(faultsOf(trace)).toContain(`2: ${mark!.id} is given twice`);
  });

  it('finds a balance that is not the sum of the live entries', () => {
    const trace = withStep(3, () => ({ balance: Exact.of(2667) }));
    expect(faultsOf(trace)).toEqual(['3: balance 2667, live 2668']);
  });

  it('finds a mark that is worth something else', () => {
    const trace = withStep(1, (step) => ({
      gives: step.gives.map((mark, i) => (i === 0 ? { ...mark, worth: Exact.of(9) } : mark)),
    }));
    expect(faultsOf(trace)[0]).toBe('1: balance 2668, live 2669');
  });

  it('finds what is left over at the end', () => {
    const last = clean.steps.length;
    const trace = withStep(last, (step) => ({ takes: step.takes.slice(1) }));
    expect(faultsOf(trace).some((fault) => /is left over$/.test(fault))).toBe(true);
  });

  it('calls a slip what it is: a balance that is honest, but not the total', () => {
    const slipped = registry
      .get('column-multiplication')
      .trace(problem, { slips: [{ slip: 'forget-carry', occurrence: 1 }] });
    expect(slipped.balanced).toBe(false);
    expect(faultsOf(slipped).filter((fault) => fault.includes('balance'))).toEqual([]);
  });
});
