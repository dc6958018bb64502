import { rootOf, numeralValue, Exact, type ProblemKind } from '@levee/core';
import type { ComponentType } from 'react';
import { useSpeaker, useWorked } from '../../worked/use-worked.ts';
import './why.css';

/** How what was found leads back to the numbers of the problem, for the kinds whose answer is no amount of the account. */
export const WAYS_BACK: Record<ProblemKind, ComponentType | null> = {
  product: null,
  sum: null,
  difference: null,
  expression: null,
  quotient: BackToDividend,
  root: BackToNumber,
};

/** Of a quotient: what each paper found, times the divisor, and what it left, back to the dividend. */
function BackToDividend() {
  const { papers, problem } = useWorked();
  const say = useSpeaker();
  const [dividend, divisor] = problem.operands.map(numeralValue) as [Exact, Exact];
  const text = (amount: Exact) => say.worth(amount);
  return (
    <section className="why-same" aria-label="Back to the dividend">
      <h2>Quotient × divisor + what is left</h2>
      {papers.map(({ index, method, levels }) => {
        const { written, owed } = levels.at(-1)!;
        const left = owed.times(divisor);
        const whole = written.times(divisor).plus(left);
        return (
          <p key={index} className="figures">
            {text(written)} {say.times} {text(divisor)} + {text(left)} ={' '}
            <strong>{text(whole)}</strong> {whole.equals(dividend) ? '✓' : '✗'}{' '}
            <span className="caption">{method.shortName}</span>
          </p>
        );
      })}
    </section>
  );
}

/** Of a root: what each paper found, squared, and what it left, back to the number. */
function BackToNumber() {
  const { papers } = useWorked();
  const say = useSpeaker();
  return (
    <section className="why-same" aria-label="Back to the number">
      <h2>Root × root + what is left</h2>
      {papers.map(({ index, method, lane }) => {
        const { root, under, left } = rootOf(lane.trace);
        const made = root.times(root).times(under).plus(left);
        const [side, inside, rest] = [root, under, left].map((amount) => say.worth(amount));
        return (
          <p key={index} className="figures">
            {side} {say.times} {side}
            {under.equals(Exact.ONE) ? '' : ` ${say.times} ${inside}`}
            {left.isZero ? '' : ` + ${rest}`} = <strong>{say.worth(made)}</strong>{' '}
            {made.equals(lane.trace.total) ? '✓' : '✗'}{' '}
            <span className="caption">{method.shortName}</span>
          </p>
        );
      })}
    </section>
  );
}
