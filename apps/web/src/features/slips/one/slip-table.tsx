import { useMemo, useState } from 'react';
import type { Speaker } from '@levee/core';
import { MathText } from '../../../ui/math-text.tsx';
import type { Outcome, SlipRow } from './slip-rows.ts';

interface SlipTableProps {
  readonly rows: readonly SlipRow[];
  readonly chosen: string;
  readonly second: string | null;
  readonly choose: (address: string) => void;
  readonly say: Speaker;
}

/** Every chance on a paper: where, what slip, the answer and how far it is off. A row is chosen by click or by arrows. */
export function SlipTable({ rows, chosen, second, choose, say }: SlipTableProps) {
  const [kind, setKind] = useState<SlipRow['kind']>(
    rows.find(({ address }) => address === chosen)?.kind ?? 'slip',
  );
  const shown = useMemo(() => rows.filter((row) => row.kind === kind), [rows, kind]);
  const counts = KINDS.map((one) => rows.filter((row) => row.kind === one).length);
  return (
    <section className="slip-list" aria-label="Chances">
      <Kinds kind={kind} setKind={setKind} counts={counts} />
      <div className="slip-scroll" tabIndex={0} role="region" aria-label="List of chances">
        <table>
          <thead>
            <tr>
              <th scope="col">where</th>
              <th scope="col">slip</th>
              <th scope="col" className="number">
                answer
              </th>
              <th scope="col" className="number">
                off by
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map((row) => (
              <Row
                key={row.address}
                row={row}
                mark={row.address === chosen ? 'first' : row.address === second ? 'second' : ''}
                choose={choose}
                say={say}
              />
            ))}
          </tbody>
        </table>
      </div>
      <p className="caption">{listed(kind, shown, say)}</p>
    </section>
  );
}

/** Where something can go wrong, and how it is named. */
const KINDS = ['slip', 'fact', 'before'] as const;
const KIND_NAMES: Readonly<Record<SlipRow['kind'], string>> = {
  slip: 'slips',
  fact: 'facts',
  before: 'before the work',
};

interface KindsProps {
  readonly kind: SlipRow['kind'];
  readonly setKind: (kind: SlipRow['kind']) => void;
  readonly counts: readonly number[];
}

/** Whether slips of the method are listed, facts that are taken for other numbers, or what goes wrong before the work. */
function Kinds({ kind, setKind, counts }: KindsProps) {
  return (
    <p className="slip-kinds" role="group" aria-label="What goes wrong">
      {KINDS.map((one, k) =>
        counts[k] === 0 ? null : (
          <button
            key={one}
            type="button"
            className="chip"
            aria-pressed={kind === one}
            onClick={() => setKind(one)}
          >
            {KIND_NAMES[one]} · {counts[k]}
          </button>
        ),
      )}
    </p>
  );
}

interface RowProps {
  readonly row: SlipRow;
  readonly mark: '' | 'first' | 'second';
  readonly choose: (address: string) => void;
  readonly say: Speaker;
}

function Row({ row, mark, choose, say }: RowProps) {
  const { address, label, where, outcome, ways } = row;
  return (
    <tr className={mark} aria-current={mark !== ''} data-slip={address}>
      <td>{where}</td>
      <td>
        <button type="button" className="link" onClick={() => choose(address)}>
          <MathText text={label} />
        </button>
      </td>
      <td className="number figures">
        {outcome ? <MathText text={say.pointed(outcome.answer)} /> : '…'}
        {ways > 1 && <span className="caption ways">{ways} ways</span>}
      </td>
      <td className="number figures">{outcome && offText(outcome.off, say)}</td>
    </tr>
  );
}

/** `−2070`, `+280`; what does not show is said to be none. */
export function offText(off: Outcome['off'], say: Speaker): string {
  if (off.isZero) return 'none';
  const text = say.worth(off.absolute());
  if (!off.isConstant) return say.worth(off);
  return off.isNegative ? `−${text}` : `+${text}`;
}

/** How much is listed, and what of it cannot be told apart by the answer. */
function listed(kind: SlipRow['kind'], rows: readonly SlipRow[], say: Speaker): string {
  const many = (count: number, one: string, more: string) => `${count} ${count === 1 ? one : more}`;
  if (kind === 'before') return `${many(rows.length, 'way', 'ways')} to go wrong before the work.`;
  if (kind === 'fact') return `${many(rows.length, 'fact', 'facts')} taken for another number.`;
  const slips = new Set(rows.map(({ slip }) => slip)).size;
  const chances = many(rows.length, 'chance', 'chances');
  const done = rows.filter(({ outcome }) => outcome !== null).length;
  const rest = done < rows.length ? `${done} of them worked so far …` : twins(rows, say);
  return `${chances} of ${many(slips, 'slip', 'slips')}. ${rest}`;
}

/** Which answers come from more than one chance, so that they alone do not tell what happened. */
function twins(rows: readonly SlipRow[], say: Speaker): string {
  const byAnswer = new Map<string, Set<string>>();
  for (const { outcome, label } of rows) {
    if (!outcome || outcome.off.isZero) continue;
    byAnswer.set(outcome.answer, (byAnswer.get(outcome.answer) ?? new Set()).add(label));
  }
  const shared = [...byAnswer].filter(([, labels]) => labels.size > 1);
  if (shared.length === 0) return 'Every slip that shows gives an answer of its own.';
  const [[answer, labels]] = shared as [[string, Set<string>]];
  const names = [...labels].slice(0, 2).map((label) => label.toLowerCase());
  const one = `${say.pointed(answer)}: ${names.join(', or ')}`;
  return shared.length === 1
    ? `One answer can come from different slips (${one}).`
    : `${shared.length} answers can come from different slips (such as ${one}).`;
}
