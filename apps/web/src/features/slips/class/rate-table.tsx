import { shareFrom, type RateRow } from './class-rates.ts';

interface RateTableProps {
  readonly rows: readonly RateRow[];
  readonly change: (rows: readonly RateRow[]) => void;
}

/** What is assumed of the class: for every slip how many have it as a habit, and the chance of a careless one. */
export function RateTable({ rows, change }: RateTableProps) {
  const put = (slip: string, part: 'habit' | 'careless', text: string) => {
    const share = shareFrom(text);
    if (share === null) return;
    change(
      rows.map((row) =>
        row.slip === slip ? { ...row, rate: { ...row.rate, [part]: share } } : row,
      ),
    );
  };
  return (
    <div className="rate-table" tabIndex={0} role="region" aria-label="Assumed chances">
      <table>
        <thead>
          <tr>
            <th scope="col">assumed of the class</th>
            <th scope="col" className="number">
              have the habit, %
            </th>
            <th scope="col" className="number">
              careless each time, %
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ slip, label, rate, met }) => (
            <tr key={slip}>
              <th scope="row">
                {label}
                {met !== null && <span className="caption"> {met}</span>}
              </th>
              {(['habit', 'careless'] as const).map((part) => (
                <td key={part} className="number">
                  {part === 'habit' && slip === 'wrong-fact' ? (
                    ''
                  ) : (
                    <input
                      type="number"
                      min={0}
                      max={100}
                      step={0.1}
                      aria-label={`${label}: ${part === 'habit' ? 'have the habit' : 'careless each time'}, in percent`}
                      value={percent(rate[part])}
                      onChange={(event) => put(slip, part, event.target.value)}
                    />
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** To a tenth. */
function percent(share: number): number {
  return Math.round(share * 1000) / 10;
}
