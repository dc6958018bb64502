import { compare, squareName, type Box, type EntryId, type Mark } from '@levee/core';
import { paperOfLane, type Paper } from '../../../worked/work.ts';

/** A square into which something may be written. */
export interface Square {
  readonly name: string;
  readonly box: Box;
  /** Whether it is small, such as that of a carry. */
  readonly small: boolean;
}

/** The most slips whose papers are looked at for squares of their own. */
const MOST = 60;

const SQUARES = new WeakMap<Paper, readonly Square[]>();

/**
 * The squares of a blank paper: all in which a right work writes, and those in which one slip makes it write, put where they
 * would stand on the right paper.
 */
export function squaresOf(paper: Paper): readonly Square[] {
  const known = SQUARES.get(paper);
  if (known) return known;
  const own = squaresIn(paper);
  const all = new Map(own.map((square) => [square.name, square]));
  const { method, lane } = paper;
  const { problem, school, opportunities } = lane.trace;
  for (const { slip, at } of opportunities.slice(0, MOST)) {
    const [slipped] = compare(problem, [{ method, school, slips: [{ slip, at }] }]).lanes;
    for (const square of moved(squaresIn(paperOfLane(slipped!, 0)), all)) {
      if (!all.has(square.name)) all.set(square.name, square);
    }
  }
  const squares = [...all.values()];
  SQUARES.set(paper, squares);
  return squares;
}

function squaresIn({ drawing, lane }: Paper): readonly Square[] {
  const boxes = new Map<EntryId, { box: Box; small: boolean }>(
    drawing.figures.map(({ entry, box, kind }) => [entry, { box, small: kind === 'small' }]),
  );
  const marks = lane.trace.steps.flatMap(({ gives }): readonly Mark[] => gives);
  return marks.flatMap(({ id, spot, glyph, medium }): Square[] => {
    const found = boxes.get(id);
    if (!found || glyph === '' || medium !== 'paper') return [];
    return [{ name: squareName(spot), ...found }];
  });
}

/** Squares of a slipped paper where they would stand on the right one: as far from one that both have in the same row. */
function moved(squares: readonly Square[], known: ReadonlyMap<string, Square>): readonly Square[] {
  const rowOf = (name: string) => name.slice(0, name.lastIndexOf(' '));
  return squares.flatMap((square): Square[] => {
    if (known.has(square.name)) return [];
    const anchor = squares.find(
      (other) => rowOf(other.name) === rowOf(square.name) && known.has(other.name),
    );
    const there = anchor && known.get(anchor.name);
    if (!anchor || !there) return [];
    const { x, y, width, height } = square.box;
    const box = {
      x: x + there.box.x - anchor.box.x,
      y: y + there.box.y - anchor.box.y,
      width,
      height,
    };
    return [{ ...square, box }];
  });
}
