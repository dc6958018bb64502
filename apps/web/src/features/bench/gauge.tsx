import {
  answerText,
  Exact,
  numeralValue,
  owedEntries,
  type Level,
  type Problem,
  type Subject,
} from '@levee/core';
import { useMemo } from 'react';
import { useComparison } from '../../store/comparison-store.ts';
import { useSession } from '../../store/session-store.ts';
import { useSpeaker, useSteps, useSubject, useWorked } from '../../worked/use-worked.ts';
import type { Paper } from '../../worked/work.ts';
import { gaugeRange, levelParts, type GaugeRange } from './gauge-range.ts';

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
  const active = useSession((session) => Math.min(session.active, papers.length - 1));
  const range = useMemo(() => gaugeRange(papers), [papers]);
  const { total } = papers[0]!.lane.trace;
  const level = papers[active]!.levels[steps[active]!]!;
  const marked = level.balance.minus(level.owed);
  const text = (amount: Exact) => say.worth(amount);
  const balanced = papers.every((paper, k) => paper.levels[steps[k]!]!.balance.equals(total));
  return (
    <aside className="gauge" aria-label="Account">
      <h2>Account {unit && <span className="caption">in {unit}</span>}</h2>
      <div className="gauge-total">
        <span className="figures">{say.pointed(answerText(papers[0]!.lane.trace))}</span>
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
        <i className="total-line" style={{ bottom: `${range.at(total) * 100}%` }} />
        {range.low.numerator < 0n && (
          <i className="zero-line" style={{ bottom: `${range.at(Exact.ZERO) * 100}%` }} />
        )}
      </div>
      {problem.kind === 'quotient' ? (
        <Shares problem={problem} level={level} />
      ) : (
        <dl className="gauge-words">
          <dt>owed</dt>
          <dd className="figures">{text(level.owed)}</dd>
          <dt>marked</dt>
          <dd className="figures">{text(marked)}</dd>
          {!level.held.isZero && (
            <>
              <dt>of it held</dt>
              <dd className="figures">{text(level.held)}</dd>
            </>
          )}
        </dl>
      )}
      <p className="caption balance" role="status">
        {balanced ? `balanced ✓ · ${papers[active]!.method.shortName}` : 'out of balance'}
      </p>
    </aside>
  );
}

/** The account of a quotient: what is found, what is left to share, and that both make the dividend. */
function Shares({ problem, level }: { readonly problem: Problem; readonly level: Level }) {
  const say = useSpeaker();
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

interface ColumnProps {
  readonly paper: Paper;
  readonly step: number;
  readonly range: GaugeRange;
  readonly active: boolean;
  readonly subject: Subject | null;
}

function Column({ paper, step, range, active, subject }: ColumnProps) {
  const pointed = subject ? subject.lookFor.worth() : Exact.ZERO;
  const foot = footOf(paper, step, subject);
  return (
    <div className={active ? 'level active' : 'level'} title={paper.method.name}>
      {levelParts(paper.levels[step]!).map(({ kind, from, to }) => (
        <div key={kind} className={kind} style={range.span(from, to)} />
      ))}
      {!pointed.isZero && <div className="pointed" style={range.span(foot, foot.plus(pointed))} />}
      <span className="level-name">{paper.index + 1}</span>
    </div>
  );
}

/** Where the pointed amount begins in the column: at zero when marked, else where owed begins. */
function footOf(paper: Paper, step: number, subject: Subject | null): Exact {
  if (!subject) return Exact.ZERO;
  const { owed, balance } = paper.levels[step]!;
  const waiting = owedEntries(paper.lane.trace).some(
    (entry) =>
      (paper.line.takenAt.get(entry.id) ?? Infinity) > step &&
      paper.lane.termsOf(entry.id).intersects(subject.lookFor),
  );
  return waiting ? balance.minus(owed) : Exact.ZERO;
}
