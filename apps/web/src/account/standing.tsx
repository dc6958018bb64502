import { Exact, numeralValue, type Level, type ProblemKind } from '@levee/core';
import type { ComponentType } from 'react';
import { AmountText } from '../ui/amount-text.tsx';
import { useSpeaker } from '../worked/use-worked.ts';
import type { Paper } from '../worked/work.ts';

interface StandingProps {
  readonly level: Level;
  readonly paper: Paper;
  readonly step: number;
}

/** How an account stands, told in what its kind of problem is about; a new kind adds its line here. */
export const STANDINGS: Record<ProblemKind, ComponentType<StandingProps>> = {
  product: Amounts,
  sum: Amounts,
  difference: Amounts,
  expression: Amounts,
  quotient: Shares,
  root: SquareAndRest,
};

/** What is owed, what is marked, and what of it is held. */
function Amounts({ level }: StandingProps) {
  const say = useSpeaker();
  const text = (amount: Exact) => say.worth(amount);
  const marked = level.balance.minus(level.owed);
  return (
    <dl className="gauge-words">
      <dt>owed</dt>
      <dd className="figures">
        <AmountText text={text(level.owed)} />
      </dd>
      <dt>marked</dt>
      <dd className="figures">
        <AmountText text={text(marked)} />
      </dd>
      {!level.held.isZero && (
        <>
          <dt>of it held</dt>
          <dd className="figures">{text(level.held)}</dd>
        </>
      )}
    </dl>
  );
}

/** The account of a quotient: what is found, what is left to share, and that both make the dividend. */
function Shares({ level, paper }: StandingProps) {
  const say = useSpeaker();
  const { problem } = paper.lane.trace;
  const [dividend, divisor] = problem.operands.map(numeralValue) as [Exact, Exact];
  const left = level.owed.times(divisor);
  const made = level.written.times(divisor).plus(left);
  const [found, by, rest, whole] = [level.written, divisor, left, dividend].map((amount) =>
    say.worth(amount),
  );
  return (
    <>
      <dl className="gauge-words">
        <dt>found</dt>
        <dd className="figures">{found}</dd>
        <dt>to share</dt>
        <dd className="figures">{rest}</dd>
      </dl>
      <p className="caption figures" aria-label="Quotient times divisor and what is left">
        {found} {say.times} {by} + {rest} {made.equals(dividend) ? '=' : '≠'} {whole}
      </p>
    </>
  );
}

/** The account of a root: the square of the root so far, and what is left of the number. */
function SquareAndRest({ level, paper, step }: StandingProps) {
  const say = useSpeaker();
  const { trace } = paper.lane;
  const root = Exact.sum(
    trace.steps
      .slice(0, step)
      .flatMap(({ gives }) => gives)
      .filter(({ role, place }) => role === 'answer' && place !== undefined)
      .map(({ glyph, place }) => digitAmount(glyph, place!, trace.problem.base)),
  );
  const [side, rest, whole] = [root, level.owed, trace.total].map((amount) => say.worth(amount));
  return (
    <>
      <dl className="gauge-words">
        <dt>laid</dt>
        <dd className="figures">{say.worth(level.written)}</dd>
        <dt>left</dt>
        <dd className="figures">{rest}</dd>
      </dl>
      {!root.isZero && (
        <p className="caption figures" aria-label="Root times root and what is left">
          {side} {say.times} {side} + {rest} {level.balance.equals(trace.total) ? '=' : '≠'} {whole}
        </p>
      )}
    </>
  );
}

function digitAmount(glyph: string, place: number, base: number): Exact {
  const unit = Exact.of(base).power(Math.abs(place));
  const count = Exact.of(parseInt(glyph, base));
  return place < 0 ? count.dividedBy(unit) : count.times(unit);
}
