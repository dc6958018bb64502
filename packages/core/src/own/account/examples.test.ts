import { readFileSync } from 'node:fs';
import { audit } from '../../laws/audit.ts';
import { agreement } from '../../compare/certificate/agreement.ts';
import { compare } from '../../compare/compare.ts';
import { verifyAgreement } from '../../compare/certificate/verify-agreement.ts';
import { leaksOf } from '../../account/leaks.ts';
import { Exact } from '../../exact/exact.ts';
import { readAsked } from '../read/asked.ts';
import { readComputation } from '../../problem/computation.ts';
import { ownLinesMethod } from '../paper/method.ts';
import { workOf } from '../paper/own-work.ts';
import { judgeLines } from '../judge/judge-lines.ts';

interface Example {
  readonly problem: string;
  readonly lines: readonly string[];
}

const EXAMPLES = readFileSync(
  new URL('../../../../../docs/examples/lines.jsonl', import.meta.url),
  'utf8',
)
  .trim()
  .split('\n')
  .map((line) => JSON.parse(line) as Example)
  // A fraction alone is judged, but is no computation that a comparison holds.
  .filter(({ problem }) => readComputation(problem).ok);

/** A worked example as a paper of a comparison, and as it is judged. */
function worked({ problem, lines }: Example) {
  const read = readComputation(problem);
  const asked = readAsked(problem);
  if (!read.ok || !asked.ok) throw new Error(problem);
  const method = ownLinesMethod(workOf(lines));
  return {
    paper: judgeLines(asked.asked, lines),
    trace: method.trace(read.problem),
    comparison: compare(read.problem, [{ method }]),
  };
}

describe('the account of every worked example', () => {
  it.each(EXAMPLES)('$problem: $lines is certified as far as it goes', (example) => {
    expect(verifyAgreement(agreement(worked(example).comparison))).toEqual({ ok: true });
  });

  it('is confirmed where no line is wrong, and leaks all that is wrong where one is', () => {
    const told = EXAMPLES.map((example) => {
      const { paper, trace } = worked(example);
      const isWrong = paper.lines.some(({ verdict }) => verdict === 'unequal');
      const lost = Exact.sum(leaksOf(trace).map(({ amount }) => amount));
      return { example, isWrong, faults: audit(trace), isBalanced: lost.isZero, paper, lost };
    });
    for (const { example, isWrong, faults, isBalanced } of told) {
      if (!isWrong) expect([example, faults, isBalanced]).toEqual([example, [], true]);
    }
    const leaking = told.filter(({ isBalanced }) => !isBalanced);
    expect(leaking.length).toBeGreaterThan(10);
    for (const { example, paper, lost } of leaking) {
      const off = paper.rewritings.reduce((sum, step) => sum.plus(step.off.rational!), Exact.ZERO);
      expect([example, `${lost}`]).toEqual([example, `${off}`]);
    }
  });
});
