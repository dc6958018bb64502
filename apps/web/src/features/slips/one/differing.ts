import type { EntryId, Mark } from '@levee/core';
import { mergedBoxes } from '../../../worked/boxes.ts';
import { boxesOf, type Frame, type Lit } from '../../../worked/lit.ts';
import type { Paper } from '../../../worked/work.ts';

function spotOf({ spot }: Mark): string {
  return `${spot.area} ${spot.row} ${spot.column}`;
}

function marksOf({ lane }: Paper): readonly Mark[] {
  return lane.trace.steps.flatMap(({ gives }) => gives);
}

/** The marks of a paper that the other one has not, or has otherwise, at the same spot. */
export function differingMarks(paper: Paper, other: Paper): ReadonlySet<EntryId> {
  const there = new Map(marksOf(other).map((mark) => [spotOf(mark), mark.glyph]));
  return new Set(
    marksOf(paper)
      .filter((mark) => mark.medium === 'paper' && there.get(spotOf(mark)) !== mark.glyph)
      .map(({ id }) => id),
  );
}

/** Frames around those of the marks that are written after so many steps. */
export function framesAround(paper: Paper, marks: ReadonlySet<EntryId>, step: number): Lit {
  const boxes = mergedBoxes(boxesOf(paper, [...marks], step));
  const frames: Frame[] = boxes.length > 0 ? [{ light: 'point', boxes }] : [];
  return { frames, held: new Set(), framed: [] };
}
