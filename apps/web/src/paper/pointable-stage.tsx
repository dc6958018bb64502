import { ON_BENCH, type EntryId, type Legible } from '@levee/core';
import type { KeyboardEvent, MouseEvent, PointerEvent } from 'react';
import { hover, pin, useSession } from '../store/session-store.ts';
import { useSettings } from '../store/settings-store.ts';
import { useNotation } from '../worked/use-worked.ts';
import type { Lit } from '../worked/lit.ts';
import type { Paper } from '../worked/work.ts';
import { HeldTray } from './held-tray.tsx';
import { nearestMark } from './nearest-mark.ts';
import { PaperStage, type PaperStageProps } from './paper-stage.tsx';
import './paper.css';

export interface PointableStageProps {
  readonly paper: Paper;
  readonly step: number;
  readonly lit: Lit;
  /** How small letters may be; as at a desk when absent. */
  readonly legible?: Legible;
  /** Most pixels of a square. */
  readonly most: number;
  /** Times the size that suits the room. */
  readonly zoom?: number;
  readonly atCorner?: boolean;
  readonly over?: PaperStageProps['over'];
  /** What a click does that meets no figure; it lets go of what is pointed at when absent. */
  readonly clickBeside?: (event: MouseEvent) => void;
}

/** The drawing area: pointing with the pointer, or with arrow keys once it has the focus. */
export function PointableStage(props: PointableStageProps) {
  const { clickBeside = () => pin(null), ...stage } = props;
  const { paper, step, lit, legible = ON_BENCH, zoom = 1 } = stage;
  const { notes, notches } = useSettings();
  const notation = useNotation();
  const entry = (id: string) => ({ kind: 'entry', paper: paper.id, id: id as EntryId }) as const;
  const found = (event: PointerEvent | MouseEvent) =>
    (event.target as Element).closest('[data-entry]')?.getAttribute('data-entry') ?? null;
  const pass = (event: PointerEvent) => {
    const id = found(event);
    hover(id === null ? null : entry(id));
  };
  const click = (event: MouseEvent) => {
    const id = found(event);
    if (id === null) clickBeside(event);
    else pin(entry(id));
  };
  const press = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.target instanceof HTMLInputElement) return;
    const next = nearestMark(paper, step, useSession.getState().pointed, event.key);
    if (next === null) return;
    event.preventDefault();
    useSession.setState({ pointed: entry(next), pinned: true, active: paper.id });
  };
  return (
    <div
      className="stage-wrap"
      tabIndex={0}
      role="group"
      aria-label={`${paper.method.name}: arrow keys point at its marks`}
      onPointerOver={pass}
      onPointerLeave={() => hover(null)}
      onMouseDown={(event) => {
        if (!(event.target instanceof HTMLInputElement)) event.preventDefault();
      }}
      onClick={click}
      onKeyDown={press}
    >
      <PaperStage
        {...stage}
        paper={paper.drawn}
        notation={notation}
        notes={notes}
        notches={notches}
        legible={legible}
        zoom={zoom}
      />
      <HeldTray paper={paper} step={step} lit={lit} />
    </div>
  );
}
