import { where } from '../../account/chance.ts';
import type { Mark } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { worthAt } from '../../exact/numeral.ts';
import { figuresIn, withoutLeadingZeros, type CellMarks } from './lattice-diagonals.ts';
import { latticePhrases } from './lattice-words.ts';

const { phrase } = latticePhrases;

/**
 * The figures from the upper left to the lower right of the box, both of a cell together, from the upper right corner on:
 * what a learner adds who takes the diagonals the other way.
 */
function otherLines(cells: readonly (readonly CellMarks[])[]): readonly (readonly Mark[])[] {
  const rows = cells.length;
  const columns = cells[0]!.length;
  return Array.from({ length: rows + columns - 1 }, (_, line) =>
    cells.flatMap((row, j) => {
      const cell = row[line - (rows - 1) + j];
      return cell ? figuresIn([cell]) : [];
    }),
  );
}

/** Asks whether the diagonals are added the other way; gives the answer's figures then, ones first, else null. */
export function addOtherWay(
  scribe: Scribe,
  cells: readonly (readonly CellMarks[])[],
): readonly Mark[] | null {
  const lines = otherLines(cells);
  const sum = (marks: readonly Mark[]) =>
    marks.reduce((total, { glyph }) => total + parseInt(glyph, scribe.base), 0);
  const ahead = lines.findIndex(
    (marks, line) =>
      !Exact.sum(marks.map(({ worth }) => worth)).equals(worthAt(sum(marks), scribe.base, line)),
  );
  const chance = { at: where('answer', 0), ahead: Math.max(0, ahead) };
  if (!scribe.slip('diagonals-other-way', ahead >= 0, chance)) return null;
  const answer: Mark[] = [];
  let carry: Mark | null = null;
  let carried = 0;
  for (const [line, marks] of lines.entries()) {
    const total: number = sum(marks) + carried;
    const isLast = line === lines.length - 1;
    const keep: number = isLast ? 0 : Math.floor(total / scribe.base);
    const [figure, next]: readonly Mark[] = scribe.step({
      law: 'place-value',
      phase: { kind: 'diagonals' },
      takes: carry ? [...marks, carry] : marks,
      strikes: carry ? [carry] : [],
      writes: [
        {
          role: 'answer',
          count: isLast ? total : total % scribe.base,
          place: line,
          spot: { area: 'total', row: 0, column: line },
        },
        ...(keep > 0
          ? [
              {
                role: 'carry' as const,
                count: keep,
                place: line + 1,
                spot: { area: 'carry', row: 0, column: line + 1 },
              },
            ]
          : []),
      ],
      phrase: phrase('lattice.other way', {
        figures: marks.map(({ glyph }) => glyph),
        carried,
        total,
        keep,
        place: line,
      }),
    });
    answer.push(figure!);
    [carry, carried] = [next ?? null, keep];
  }
  return withoutLeadingZeros(answer);
}
