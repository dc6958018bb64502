import type { Given, Mark, Trace } from '../account/account.ts';
import type { Speaker } from '../phrases/speaker.ts';
import type { Drawing, Figure } from './drawing.ts';
import { givenState, markState, marksById, type Timeline } from './visible.ts';

/** Figures whose middles are nearer than this stand in one row, in squares. */
const SAME_ROW = 0.3;

/**
 * What stands on a paper after so many steps, row by row from the top, each figure with its place, as one who listens goes
 * through it: `4 in the tens, 6 in the ones`. What is struck is said to be.
 */
export function paperRows(
  trace: Trace,
  drawing: Pick<Drawing, 'figures'>,
  line: Timeline,
  step: number,
  say: Speaker,
): readonly string[] {
  const marks = marksById(trace);
  const givens = new Map(trace.givens.map((given) => [given.id, given]));
  const stands = drawing.figures.flatMap((figure): Standing[] => {
    const given = givens.get(figure.entry);
    const written = given ?? marks.get(figure.entry);
    if (!written) return [];
    const of = given ? givenState : markState;
    const state = of(line, figure.entry, step);
    return state === 'absent' ? [] : [{ figure, written, isStruck: state === 'struck' }];
  });
  return inRows(stands).map((row) => row.map((one) => figureText(one, say)).join(', '));
}

interface Standing {
  readonly figure: Figure;
  readonly written: Mark | Given;
  readonly isStruck: boolean;
}

function inRows(stands: readonly Standing[]): readonly (readonly Standing[])[] {
  const middle = ({ figure: { box } }: Standing) => box.y + box.height / 2;
  const rows: Standing[][] = [];
  for (const one of [...stands].sort((a, b) => middle(a) - middle(b))) {
    const last = rows.at(-1);
    if (last && middle(one) - middle(last[0]!) < SAME_ROW) last.push(one);
    else rows.push([one]);
  }
  return rows.map((row) => row.sort((a, b) => a.figure.box.x - b.figure.box.x));
}

function figureText({ figure, written, isStruck }: Standing, say: Speaker): string {
  const small = figure.kind === 'small' && 'role' in written ? ` as ${written.role}` : '';
  const isOneFigure = [...written.glyph].length === 1;
  const place =
    figure.place === undefined || !isOneFigure ? '' : ` in the ${say.places(figure.place)}`;
  return `${say.pointed(written.glyph)}${small}${place}${isStruck ? ', struck' : ''}`;
}
