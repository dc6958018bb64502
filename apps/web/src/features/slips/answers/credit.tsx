import type { PaperReading } from '@levee/core';
import { useState } from 'react';

interface Stage {
  readonly name: string;
  readonly filled: number;
  readonly right: number;
  readonly followed: number;
}

/** Stages of the work credited by a scheme of her own: points a stage, and whether what follows through counts. */
export function Credit({ reading }: { readonly reading: PaperReading }) {
  const stages = stagesOf(reading);
  const [points, setPoints] = useState<ReadonlyMap<string, number>>(new Map());
  const [counts, setCounts] = useState(true);
  const pointsOf = (name: string) => points.get(name) ?? 1;
  const isEarned = ({ filled, right, followed }: Stage) =>
    filled > 0 && right + (counts ? followed : 0) === filled;
  const earned = stages.filter(isEarned).reduce((sum, { name }) => sum + pointsOf(name), 0);
  const all = stages.reduce((sum, { name }) => sum + pointsOf(name), 0);
  return (
    <section className="credit" aria-label="Credit">
      <h2>
        Credit {earned} of {all}
      </h2>
      <label>
        <input
          type="checkbox"
          checked={counts}
          onChange={(event) => setCounts(event.target.checked)}
        />{' '}
        what follows through counts
      </label>
      <table>
        <thead>
          <tr>
            <th scope="col">stage</th>
            <th scope="col" className="number">
              right
            </th>
            <th scope="col" className="number">
              followed
            </th>
            <th scope="col" className="number">
              of
            </th>
            <th scope="col" className="number">
              points
            </th>
          </tr>
        </thead>
        <tbody>
          {stages.map((stage) => (
            <StageRow
              key={stage.name}
              stage={stage}
              isEarned={isEarned(stage)}
              points={pointsOf(stage.name)}
              give={(count) => setPoints(new Map(points).set(stage.name, count))}
            />
          ))}
        </tbody>
      </table>
    </section>
  );
}

interface StageRowProps {
  readonly stage: Stage;
  readonly isEarned: boolean;
  readonly points: number;
  readonly give: (points: number) => void;
}

function StageRow({ stage, isEarned, points, give }: StageRowProps) {
  return (
    <tr className={isEarned ? 'earned' : ''}>
      <th scope="row">
        {isEarned ? '✓ ' : ''}
        {stage.name}
      </th>
      <td className="number figures">{stage.right}</td>
      <td className="number figures">{stage.followed}</td>
      <td className="number figures">{stage.filled}</td>
      <td className="number">
        <input
          type="number"
          min={0}
          max={20}
          aria-label={`Points for ${stage.name}`}
          value={points}
          onChange={(event) => {
            const count = Math.round(Number(event.target.value));
            if (count >= 0 && count <= 20) give(count);
          }}
        />
      </td>
    </tr>
  );
}

/** The phases of the work, such as line 1, line 2 and sum, with how their marks stand. */
function stagesOf({ marks, trace }: PaperReading): readonly Stage[] {
  const stages = new Map<string, Stage>();
  for (const { step, standing } of marks) {
    const phase = trace.steps[step - 1]?.phase;
    if (!phase) continue;
    const of = 'of' in phase && phase.of !== undefined ? ` ${phase.of + 1}` : '';
    const name = `${phase.kind}${of}`;
    const known = stages.get(name) ?? { name, filled: 0, right: 0, followed: 0 };
    stages.set(name, {
      name,
      filled: known.filled + (standing === 'empty' ? 0 : 1),
      right: known.right + (standing === 'right' ? 1 : 0),
      followed: known.followed + (standing === 'followed' ? 1 : 0),
    });
  }
  return [...stages.values()];
}
