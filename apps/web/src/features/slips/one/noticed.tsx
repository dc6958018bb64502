import {
  checks,
  inNotation,
  type CheckFinding,
  type CheckSubject,
  type Exact,
  type Trace,
} from '@levee/core';
import { useMemo } from 'react';
import { useComparison } from '../../../store/comparison-store.ts';
import { MathText } from '../../../ui/math-text.tsx';
import { useNotation, useWorked } from '../../../worked/use-worked.ts';
import type { Paper } from '../../../worked/work.ts';

interface NoticedProps {
  readonly paper: Paper;
  /** The wrong answer, with the work that gives it where it is one of the same computation. */
  readonly answer: Exact;
  readonly trace?: Trace;
  readonly isCovered: boolean;
}

/** Which checks would notice the slip, and which would let it through. */
export function Noticed({ paper, answer, trace, isCovered }: NoticedProps) {
  const notation = useNotation();
  const found = useFindings(paper, answer, trace);
  const through = found.filter(({ finding }) => finding.outcome !== 'disagrees').length;
  return (
    <section className="noticed" aria-label="Would it be noticed?">
      <h2>Would it be noticed?</h2>
      {isCovered ? (
        <p className="caption">covered</p>
      ) : (
        <ul>
          {found.map(({ id, name, finding }) => {
            const isNoticed = finding.outcome === 'disagrees';
            return (
              <li key={id} className={isNoticed ? 'caught' : 'through'}>
                <strong>
                  {isNoticed ? '✓ noticed by' : '✗ let through by'} {name.toLowerCase()}
                </strong>{' '}
                <span className="figures">
                  <MathText text={inNotation(finding.lines.at(-1) ?? '', notation)} />
                </span>
              </li>
            );
          })}
        </ul>
      )}
      {!isCovered && through === found.length && (
        <p className="caption">No check that can be made here would notice it.</p>
      )}
    </section>
  );
}

/** What every check that passes the right answer says of the slipped one; those that notice it first. */
function useFindings(paper: Paper, answer: Exact, trace: Trace | undefined) {
  const { comparison, papers } = useWorked();
  const estimate = useComparison((state) => state.content.estimate);
  return useMemo(() => {
    const other = papers.find(({ id }) => id !== paper.id)?.lane ?? null;
    const subject: CheckSubject = {
      comparison,
      lane: paper.lane,
      estimate,
      other,
      calculated: null,
    };
    const made = checks.flatMap((check): { id: string; name: string; finding: CheckFinding }[] => {
      if (check.lacks(subject) !== null) return [];
      if (check.make(subject, paper.lane.trace.answer).outcome !== 'agrees') return [];
      const { id, name } = check;
      return [{ id, name, finding: check.make(subject, answer, trace) }];
    });
    const rank = ({ finding }: (typeof made)[number]) => (finding.outcome === 'disagrees' ? 0 : 1);
    return [...made].sort((a, b) => rank(a) - rank(b));
  }, [comparison, papers, estimate, paper, answer, trace]);
}
