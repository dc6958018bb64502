import { Exact, shareOf, wholeText, type Subject } from '@levee/core';
import { useSteps, useSubject, useWorked } from '../../worked/use-worked.ts';
import type { Paper } from '../../worked/work.ts';
import { useComparison } from '../../store/comparison-store.ts';
import { useSession } from '../../store/session-store.ts';

/**
 * The account of every paper drawn as a level: marked below, held on top of it, owed above. One line
 * for the total goes through all of them and never moves on a lawful step.
 */
export function Gauge() {
  const { papers, problem } = useWorked();
  const steps = useSteps();
  const subject = useSubject();
  const unit = useComparison((state) => state.content.unit);
  const active = useSession((session) => Math.min(session.active, papers.length - 1));
  const { total } = papers[0]!.lane.trace;
  const level = papers[active]!.levels[steps[active]!]!;
  const marked = level.balance.minus(level.owed);
  const text = (amount: Exact) => wholeText(amount, problem.base);
  const balanced = papers.every((paper, k) => paper.levels[steps[k]!]!.balance.equals(total));
  return (
    <aside className="gauge" aria-label="Account">
      <h2>Account {unit && <span className="caption">in {unit}</span>}</h2>
      <div className="gauge-total">
        <span className="figures">{text(total)}</span>
      </div>
      <div className="gauge-columns">
        {papers.map((paper, k) => (
          <Column key={k} paper={paper} step={steps[k]!} active={k === active} subject={subject} />
        ))}
      </div>
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
      <p className="caption balance" role="status">
        {balanced ? `balanced ✓ · ${papers[active]!.method.shortName}` : 'out of balance'}
      </p>
    </aside>
  );
}

interface ColumnProps {
  readonly paper: Paper;
  readonly step: number;
  readonly active: boolean;
  readonly subject: Subject | null;
}

function Column({ paper, step, active, subject }: ColumnProps) {
  const { total } = paper.lane.trace;
  const { owed, written, held, balance } = paper.levels[step]!;
  const full = balance.compare(total) > 0 ? balance : total;
  const percent = (part: Exact) => `${shareOf(part, full) * 100}%`;
  const pointed = subject ? subject.lookFor.worth() : Exact.ZERO;
  return (
    <div className={active ? 'level active' : 'level'} title={paper.method.name}>
      <div className="owed" style={{ height: percent(owed) }} />
      <div className="in-head" style={{ height: percent(held) }} />
      <div className="water" style={{ height: percent(written) }} />
      {!pointed.isZero && (
        <div
          className="pointed"
          style={{ height: percent(pointed), bottom: percent(foot(paper, step, subject)) }}
        />
      )}
      <span className="level-name">{paper.index + 1}</span>
    </div>
  );
}

/** Where the pointed amount begins in the column: at the bottom when marked, else where owed begins. */
function foot(paper: Paper, step: number, subject: Subject | null): Exact {
  if (!subject) return Exact.ZERO;
  const { owed, balance } = paper.levels[step]!;
  const waiting = paper.lane.trace.start.some(
    (entry) =>
      (paper.line.takenAt.get(entry.id) ?? Infinity) > step &&
      paper.lane.termsOf(entry.id).intersects(subject.lookFor),
  );
  return waiting ? balance.minus(owed) : Exact.ZERO;
}
