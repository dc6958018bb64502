import { useState } from 'react';
import { useComparison } from '../store/comparison-store.ts';
import { csvText } from './csv.ts';
import { MathText } from './math-text.tsx';
import { download, fileName } from './download.ts';
import { useWorked } from '../worked/use-worked.ts';
import './paper-table.css';

export interface PaperRow {
  readonly name: string;
  /** A text for every paper, in order. */
  readonly cells: readonly string[];
}

interface PaperTableProps {
  readonly title: string;
  /** What the names of the rows are. */
  readonly corner: string;
  readonly rows: readonly PaperRow[];
  /** Heads of the columns, where they are not the papers. */
  readonly columns?: readonly string[];
}

/** Rows that are shown before all are asked for: a table of hundreds would hold the page up, and nobody reads it at once. */
const AT_FIRST = 60;

/** A table with a column a paper, or with columns of its own; it exports as CSV. */
export function PaperTable({ title, corner, rows, columns }: PaperTableProps) {
  const { papers } = useWorked();
  const [all, setAll] = useState(false);
  const shown = all ? rows : rows.slice(0, AT_FIRST);
  const problem = useComparison((state) => state.content.problem);
  const head = [corner, ...(columns ?? papers.map(({ title: name }) => name))];
  const save = () =>
    download(
      fileName(`${problem} ${title}`, 'csv'),
      csvText([head, ...rows.map(({ name, cells }) => [name, ...cells])]),
      'text/csv',
    );
  return (
    <section className="paper-table" aria-label={title}>
      <h2>
        {title}{' '}
        <button type="button" className="link caption" onClick={save}>
          export CSV
        </button>
      </h2>
      <table>
        <thead>
          <tr>
            {head.map((text, k) => (
              <th key={k} scope="col">
                {text}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map(({ name, cells }, row) => (
            <tr key={row}>
              <th scope="row" className="figures">
                <MathText text={name} />
              </th>
              {cells.map((text, k) => (
                <td key={k} className="figures">
                  <MathText text={text} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length < rows.length && (
        <button type="button" className="link" onClick={() => setAll(true)}>
          Show all {rows.length} rows
        </button>
      )}
    </section>
  );
}
