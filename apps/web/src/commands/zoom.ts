import { useSession } from '../store/session-store.ts';
import type { Command } from './command.ts';

/** The least and the most that a paper is shown at, in times the size at which all of it is seen. */
const LEAST_ZOOM = 0.5;
const MOST_ZOOM = 12;
const STEP = 1.25;
/** Pixels that a key moves a paper by. */
const PAN = 120;

/** Shows the large paper so many times larger. */
export function zoomBy(factor: number): void {
  useSession.setState(({ zoom }) => ({
    zoom: Math.min(MOST_ZOOM, Math.max(LEAST_ZOOM, zoom * factor)),
  }));
}

const isLarge = () => useSession.getState().large !== null;

function zoomCommand(id: string, label: string, keys: string[], run: () => void): Command {
  return { id, group: 'show', label, keys, can: isLarge, run };
}

function pan(name: string, key: string, across: number, down: number): Command {
  return zoomCommand(`pan-${name}`, `Move the large paper ${name}`, [`Control+${key}`], () =>
    document.querySelector('.large-paper .stage')?.scrollBy(across * PAN, down * PAN),
  );
}

/** What moves and sizes the one paper that is shown large. */
export const ZOOM: readonly Command[] = [
  zoomCommand('zoom-in', 'Large paper: larger', ['+', '='], () => zoomBy(STEP)),
  zoomCommand('zoom-out', 'Large paper: smaller', ['-'], () => zoomBy(1 / STEP)),
  zoomCommand('zoom-fit', 'Large paper: all of it', ['0'], () => useSession.setState({ zoom: 1 })),
  pan('left', 'ArrowLeft', -1, 0),
  pan('right', 'ArrowRight', 1, 0),
  pan('up', 'ArrowUp', 0, -1),
  pan('down', 'ArrowDown', 0, 1),
];
