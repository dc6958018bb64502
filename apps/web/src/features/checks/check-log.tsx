import { checkOf, registry, type CheckRecord } from '@levee/core';
import { useComparison } from '../../store/comparison-store.ts';
import { csvText } from '../../ui/csv.ts';
import { download, fileName } from '../../ui/download.ts';
import { OUTCOME_TEXTS } from './outcome-texts.ts';

/** Every check that was recorded, latest first. */
export function CheckLog() {
  const { checks: records, title, problem } = useComparison((state) => state.content);
  const rows = [...records].reverse();
  return (
    <section className="check-log" aria-label="Recorded checks">
      <h2>
        Recorded{' '}
        {rows.length > 0 && (
          <button
            type="button"
            className="link caption"
            onClick={() =>
              download(fileName(`${title || problem} checks`, 'csv'), logCsv(rows), 'text/csv')
            }
          >
            CSV
          </button>
        )}
      </h2>
      {rows.length === 0 && (
        <p className="caption">
          No check yet. Each one that is recorded is kept with the comparison.
        </p>
      )}
      <ol>
        {rows.map((record, k) => (
          <li key={k}>
            <span className={`outcome ${record.outcome}`}>{OUTCOME_TEXTS[record.outcome]}</span>{' '}
            <strong>{checkOf(record.check).name}</strong> of {nameOf(record.method)}
            {againstText(record)}{' '}
            <time className="caption" dateTime={record.at}>
              {new Date(record.at).toLocaleString('en-GB', {
                dateStyle: 'medium',
                timeStyle: 'short',
              })}
            </time>
          </li>
        ))}
      </ol>
    </section>
  );
}

function nameOf(method: string): string {
  return registry.find(method)?.shortName ?? method;
}

function againstText({ check, against }: CheckRecord): string {
  if (against === '') return '';
  return check === 'second-method' ? ` against ${nameOf(against)}` : `: ${against}`;
}

function logCsv(records: readonly CheckRecord[]): string {
  return csvText([
    ['check', 'method', 'against', 'outcome', 'at'],
    ...records.map(({ check, method, against, outcome, at }) => [
      check,
      method,
      against,
      outcome,
      at,
    ]),
  ]);
}
