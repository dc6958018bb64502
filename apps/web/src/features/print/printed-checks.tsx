import { checkOf, shortNameOfMethod } from '@levee/core';
import { useComparison } from '../../store/comparison-store.ts';
import { ProblemText } from '../../ui/problem-text.tsx';
import { OUTCOME_TEXTS } from '../../worked/outcome-texts.ts';

/** The checks that were recorded, of this computation and of those before it. */
export function PrintedChecks() {
  const records = useComparison((state) => state.checks);
  return (
    <section className="printed-paper">
      <h2>Recorded checks</h2>
      {records.length === 0 && <p>No check is recorded yet.</p>}
      <ol className="printed-steps">
        {records.map(({ check, problem, method, outcome, at }) => (
          <li key={at + check}>
            {checkOf(check).name} of {shortNameOfMethod(method)}, <ProblemText problem={problem} />:{' '}
            {OUTCOME_TEXTS[outcome]}{' '}
            <span className="caption">{new Date(at).toLocaleDateString()}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
