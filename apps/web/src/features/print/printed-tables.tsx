import { checkOf, cost, registry } from '@levee/core';
import { useComparison } from '../../store/comparison-store.ts';
import { ProblemText } from '../../ui/problem-text.tsx';
import { costItems } from '../../worked/cost-items.ts';
import { OUTCOME_TEXTS } from '../../worked/outcome-texts.ts';
import { useSpeaker } from '../../worked/use-worked.ts';
import type { Paper } from '../../worked/work.ts';

/** What each printed method costs on this problem, side by side. */
export function PrintedCosts({ papers }: { readonly papers: readonly Paper[] }) {
  const say = useSpeaker();
  const columns = papers.map(({ lane: { trace } }) => costItems(cost(trace), trace.problem, say));
  return (
    <section className="printed-paper">
      <h2>What each costs here</h2>
      <table className="printed-table">
        <thead>
          <tr>
            <th scope="col">counted from the work</th>
            {papers.map(({ id, title }) => (
              <th key={id} scope="col">
                {title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {(columns[0] ?? []).map(({ name }, row) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              {columns.map((items, k) => (
                <td key={k} className="figures">
                  {items[row]!.amount}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

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
            {checkOf(check).name} of {registry.find(method)?.name ?? method},{' '}
            <ProblemText problem={problem} />: {OUTCOME_TEXTS[outcome]}{' '}
            <span className="caption">{new Date(at).toLocaleDateString()}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
