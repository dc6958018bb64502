import { checkOf, type CheckRecord, shortNameOfMethod } from '@levee/core';
import { dispatch, useComparison } from '../../store/comparison-store.ts';
import { forgotten } from '../../store/edits.ts';
import { MathText } from '../../ui/math-text.tsx';
import { notify } from '../../ui/notices.tsx';
import { csvText } from '../../ui/csv.ts';
import { download, fileName } from '../../ui/download.ts';
import { OUTCOME_TEXTS } from '../../worked/outcome-texts.ts';

/** Every check that was recorded, latest first. */
export function CheckLog() {
  const records = useComparison((state) => state.checks);
  const { title, problem } = useComparison((state) => state.content);
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
            <strong>{checkOf(record.check).name}</strong> of {shortNameOfMethod(record.method)}
            {againstText(record)}
            {record.problem !== problem && (
              <>
                {' '}
                in <MathText text={record.problem} />
              </>
            )}{' '}
            <time className="caption" dateTime={record.at}>
              {new Date(record.at).toLocaleString('en-GB', {
                dateStyle: 'medium',
                timeStyle: 'short',
              })}
            </time>{' '}
            <button
              type="button"
              className="link caption"
              aria-label={`Delete this record of ${checkOf(record.check).name}`}
              onClick={() => forget(record)}
            >
              delete
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** Takes a record out of the log; it can be put back at once, where it was. */
function forget(record: CheckRecord): void {
  const { checks } = useComparison.getState();
  dispatch(forgotten(record));
  notify('The record was deleted.', {
    label: 'Undo',
    run: () => dispatch((desk) => ({ ...desk, checks })),
  });
}

function againstText({ check, against }: CheckRecord): string {
  if (against === '') return '';
  return check === 'second-method' ? ` against ${shortNameOfMethod(against)}` : `: ${against}`;
}

function logCsv(records: readonly CheckRecord[]): string {
  return csvText([
    ['check', 'problem', 'method', 'against', 'outcome', 'at'],
    ...records.map(({ check, problem, method, against, outcome, at }) => [
      check,
      problem,
      method,
      against,
      outcome,
      at,
    ]),
  ]);
}
