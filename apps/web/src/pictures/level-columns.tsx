import { Exact, type Level } from '@levee/core';
import type { ReactNode } from 'react';
import { levelParts, type GaugeRange } from '../worked/gauge-range.ts';
import './levels.css';

interface LevelColumnProps {
  readonly level: Level;
  readonly range: GaugeRange;
  readonly name: string;
  readonly title: string;
  readonly active?: boolean;
  readonly children?: ReactNode;
}

/** The account of one paper as a level: marked below, held on top of it, owed above. */
export function LevelColumn(props: LevelColumnProps) {
  const { level, range, name, title, active = false, children } = props;
  return (
    <div className={active ? 'level active' : 'level'} title={title}>
      {levelParts(level).map(({ kind, from, to }) => (
        <div key={kind} className={kind} style={range.span(from, to)} />
      ))}
      {children}
      <span className="level-name">{name}</span>
    </div>
  );
}

/** The line of the total, which never moves on a lawful step, and zero where something lies under it. */
export function LevelLines({
  total,
  range,
}: {
  readonly total: Exact;
  readonly range: GaugeRange;
}) {
  return (
    <>
      <i className="total-line" style={{ bottom: `${range.at(total) * 100}%` }} />
      {range.low.isNegative && (
        <i className="zero-line" style={{ bottom: `${range.at(Exact.ZERO) * 100}%` }} />
      )}
    </>
  );
}
