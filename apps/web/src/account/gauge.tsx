import { isOwedStill } from '../worked/lit.ts';
import {
  answerText,
  Exact,
  substitutionOf,
  substitutionText,
  type Speaker,
  type Subject,
} from '@levee/core';
import { useMemo } from 'react';
import { useComparison } from '../store/comparison-store.ts';
import { useActive, useSpeaker, useSteps, useSubject, useWorked } from '../worked/use-worked.ts';
import { drawnAmount } from '../worked/drawn.ts';
import type { Paper } from '../worked/work.ts';
import { AmountText } from '../ui/amount-text.tsx';
import { MathText } from '../ui/math-text.tsx';
import { LevelColumn, LevelLines } from '../pictures/level-columns.tsx';
import { gaugeRange, type GaugeRange } from '../worked/gauge-range.ts';
import { STANDINGS } from './standing.tsx';
import './account.css';

/**
 * The account of every paper drawn as a level: marked below, held on top of it, owed above. One line
 * for the total goes through all of them and never moves on a lawful step. In a difference what is
 * marked may lie under zero or over the total; what is owed then leads from there to the line.
 */
export function Gauge() {
  const { papers, problem } = useWorked();
  const say = useSpeaker();
  const steps = useSteps();
  const subject = useSubject();
  const unit = useComparison((state) => state.content.unit);
  const { index: active } = useActive();
  const range = useMemo(
    () => gaugeRange(papers.map(({ drawnLevels }) => ({ levels: drawnLevels }))),
    [papers],
  );
  const drawn = useMemo(() => drawnAmount(problem), [problem]);
  const letters = substitutionText(substitutionOf(problem));
  const { total } = papers[0]!.lane.trace;
  const level = papers[active]!.levels[steps[active]!]!;
  const Standing = STANDINGS[problem.kind];
  return (
    <aside className="gauge" aria-label="Account">
      <h2>
        Account{' '}
        {unit && (
          <span className="caption">in {problem.kind === 'root' ? `square ${unit}` : unit}</span>
        )}
      </h2>
      <div className="gauge-total">
        <span className="figures">
          <AmountText text={totalText(papers, say)} />
        </span>
      </div>
      <div className="gauge-columns">
        {papers.map((paper, k) => (
          <Column
            key={k}
            paper={paper}
            step={steps[k]!}
            range={range}
            active={k === active}
            subject={subject}
          />
        ))}
        <LevelLines total={drawn(total)} range={range} />
      </div>
      <Standing level={level} paper={papers[active]!} step={steps[active]!} />
      {letters !== '' && (
        <p className="caption">
          drawn for <MathText text={letters} />
        </p>
      )}
      <Balance papers={papers} steps={steps} active={active} />
    </aside>
  );
}

interface BalanceProps {
  readonly papers: readonly Paper[];
  readonly steps: readonly number[];
}

/** Whether every paper still has what it began with. */
function Balance({ papers, steps, active }: BalanceProps & { readonly active: number }) {
  const balanced = papers.every((paper, k) => {
    const { balance } = paper.levels[steps[k]!]!;
    return balance.equals(paper.lane.trace.total);
  });
  return (
    <p className="caption balance" role="status">
      {balanced ? `balanced ✓ · ${papers[active]!.title}` : <Leaks papers={papers} steps={steps} />}
    </p>
  );
}

/** Which papers have gained or lost something so far, and how much. */
function Leaks({ papers, steps }: BalanceProps) {
  const say = useSpeaker();
  const told = papers.flatMap((paper, k) => {
    const { balance } = paper.levels[steps[k]!]!;
    const over = balance.minus(paper.lane.trace.total);
    if (over.isZero) return [];
    const isLess = over.isNegative;
    const size = say.worth(isLess ? over.negate() : over);
    return [`${paper.title} ${isLess ? 'has lost' : 'has gained'} ${size}`];
  });
  return <MathText text={told.join('; ')} />;
}

/** What the line of the gauge stands for: the answer, and of a root the number under it. */
function totalText(papers: readonly Paper[], say: Speaker): string {
  const { problem, total } = papers[0]!.lane.trace;
  const right = papers.find(({ lane }) => lane.trace.balanced);
  const isRead = problem.kind !== 'root' && right !== undefined;
  return isRead ? say.pointed(answerText(right.lane.trace)) : say.worth(total);
}

interface ColumnProps {
  readonly paper: Paper;
  readonly step: number;
  readonly range: GaugeRange;
  readonly active: boolean;
  readonly subject: Subject | null;
}

function Column({ paper, step, range, active, subject }: ColumnProps) {
  const drawn = drawnAmount(paper.lane.trace.problem);
  const pointed = drawn(subject ? subject.lookFor.worth() : Exact.ZERO);
  const foot = footOf(paper, step, subject);
  return (
    <LevelColumn
      level={paper.drawnLevels[step]!}
      range={range}
      name={`${paper.index + 1}`}
      title={paper.method.name}
      active={active}
    >
      {!pointed.isZero && <div className="pointed" style={range.span(foot, foot.plus(pointed))} />}
    </LevelColumn>
  );
}

/** Where the pointed amount begins in the column: at zero when marked, else where owed begins. */
function footOf(paper: Paper, step: number, subject: Subject | null): Exact {
  if (!subject) return Exact.ZERO;
  const { owed, balance } = paper.drawnLevels[step]!;
  const waiting = isOwedStill(paper, subject, step);
  return waiting ? balance.minus(owed) : Exact.ZERO;
}
