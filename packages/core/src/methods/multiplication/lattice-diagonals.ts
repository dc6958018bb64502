import { carryFeatures, where, type Where } from '../../account/chance.ts';
import type { Entry, Mark } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { digitAt, numeralValue } from '../../exact/numeral.ts';
import { latticePhrases } from './lattice-words.ts';
import type { TwoFactors } from './two-factors.ts';

const { phrase } = latticePhrases;

/** The two figures of a cell. */
export interface CellMarks {
  readonly upper: Mark;
  /** Absent where a learner writes one figure alone. */
  readonly lower: Mark | undefined;
}

/** The figures of a cell. */
export function figuresIn(cells: readonly CellMarks[]): readonly Mark[] {
  return cells.flatMap(({ upper, lower }) => (lower ? [upper, lower] : [upper]));
}

/** The figures whose place is `place`: the lower ones of its cells and the upper ones of the cells before. */
function onDiagonal(cells: readonly (readonly CellMarks[])[], place: number): readonly Mark[] {
  return cells.flatMap((row, j) => {
    const upper = row[place - j - 1]?.upper;
    const lower = row[place - j]?.lower;
    return [lower, upper].filter((mark) => mark !== undefined);
  });
}

/** Adds the diagonals from the lower right; gives the answer's figures, ones first. */
export function addDiagonals(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  cells: readonly (readonly CellMarks[])[],
): readonly Mark[] {
  const { base } = scribe;
  const places = top.digits.length + bottom.digits.length;
  const answer: Mark[] = [];
  let carry: Mark | null = null;
  let carried = 0;
  let gained = 0;
  const turned = readTurned(scribe, { top, bottom }, cells);
  for (let place = 0; place < places; place++) {
    const marks = onDiagonal(cells, place);
    if (skipsDiagonal(scribe, cells, { place, carry })) {
      leaveOutDiagonal(scribe, marks, carry, place);
      [carry, carried] = [null, 0];
      gained -= 1;
      continue;
    }
    const edge = edgeFigure(bottom, place);
    const { slip, total } = diagonalTotal(scribe, marks, { carried, edge, place });
    const last = place === places - 1;
    const whole = last || writesWholeTotal(scribe, cells, { place, total, isPlain: slip === '' });
    const keep: number = whole ? 0 : Math.floor(total / base);
    const takes: Entry[] = carry ? [...marks, carry] : [...marks];
    const written: readonly Mark[] = scribe.step({
      law: 'place-value',
      phase: { kind: 'diagonals' },
      takes,
      strikes: carry && slip !== 'forget-carry' ? [carry] : [],
      writes: diagonalWritings(whole ? total : total % base, keep, place, {
        gained,
        turned,
      }),
      phrase: phrase('lattice.diagonal', {
        figures: marks.map((mark) => mark.glyph),
        carried,
        total,
        place,
        keep,
        edge,
        slip,
      }),
    });
    scribe.group(
      `diagonal-${place}`,
      'diagonal',
      marks,
      phrase('lattice.diagonal name', { place }),
    );
    answer.push(written[0]!);
    carry = written[1] ?? null;
    carried = keep;
    if (whole && total >= base) gained += total.toString(base).length - 1;
  }
  return withoutLeadingZeros(answer);
}

function edgeFigure(bottom: TwoFactors['bottom'], place: number): number {
  return place < bottom.digits.length ? digitAt(bottom, place) : 0;
}

/** What a diagonal comes to with what is carried, or with what a learner adds or forgets. */
function diagonalTotal(
  scribe: Scribe,
  marks: readonly Mark[],
  {
    carried,
    edge,
    place,
  }: { readonly carried: number; readonly edge: number; readonly place: number },
) {
  const slip = diagonalSlip(scribe, carried, edge, where('diagonal', place));
  const sum = marks.reduce((total, mark) => total + parseInt(mark.glyph, scribe.base), 0);
  const joins = (slip === 'forget-carry' ? 0 : carried) + (slip === 'add-edge-digit' ? edge : 0);
  return { slip, total: sum + joins };
}

/** Whether a total of ten or more is written whole before the last diagonal. */
function writesWholeTotal(
  scribe: Scribe,
  cells: readonly (readonly CellMarks[])[],
  {
    place,
    total,
    isPlain,
  }: { readonly place: number; readonly total: number; readonly isPlain: boolean },
): boolean {
  const places = cells.length + (cells[0]?.length ?? 0);
  const next = nextFilled(cells, place, places);
  const may = total >= scribe.base && isPlain && next < places;
  return scribe.slip('whole-total-in-place', may, {
    at: where('diagonal', place),
    ahead: next - place,
  });
}

/** How places are shifted by what was written before, and how many figures are read from the wrong end; null for none. */
interface Reading {
  readonly gained: number;
  readonly turned: number | null;
}

/** The figure of a diagonal's total, and what is carried. */
function diagonalWritings(
  figure: number,
  keep: number,
  place: number,
  { gained, turned }: Reading,
): readonly Writing[] {
  const at = (area: string, column: number) => ({ area, row: 0, column });
  const isTurned = turned !== null && place < turned;
  const total: Writing = {
    role: 'answer',
    count: figure,
    place: isTurned ? turned - 1 - place : place + gained,
    spot: at('total', place),
  };
  if (keep === 0) return [total];
  const next = place + 1;
  return [total, { role: 'carry', count: keep, place: next + gained, spot: at('carry', next) }];
}

/** How many figures are read from the wrong end; null where they are read as they should be. */
function readTurned(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  cells: readonly (readonly CellMarks[])[],
): number | null {
  const product = numeralValue(top).times(numeralValue(bottom)).numerator;
  const text = product.toString(scribe.base);
  const first = [...text].reverse().findIndex((f, p) => f !== '0' && p !== text.length - 1 - p);
  const may = cells.length > 0 && [...text].reverse().join('') !== text;
  const chance = { at: where('answer', 0), ahead: Math.max(0, first) };
  return scribe.slip('read-from-wrong-end', may, chance) ? text.length : null;
}

/** Whether a diagonal is passed over: one that holds something, while another does too. */
function skipsDiagonal(
  scribe: Scribe,
  cells: readonly (readonly CellMarks[])[],
  { place, carry }: { readonly place: number; readonly carry: Mark | null },
): boolean {
  const places = cells.length + (cells[0]?.length ?? 0);
  const filled = Array.from({ length: places }, (_, at) => at).filter((at) =>
    onDiagonal(cells, at).some((mark) => !mark.worth.isZero),
  );
  const may = (filled.includes(place) || carry !== null) && filled.length > 1;
  return scribe.slip('skip-diagonal', may, { at: where('diagonal', place) });
}

function leaveOutDiagonal(
  scribe: Scribe,
  marks: readonly Mark[],
  carry: Mark | null,
  place: number,
): void {
  scribe.step({
    law: 'place-value',
    phase: { kind: 'diagonals' },
    takes: carry ? [...marks, carry] : [...marks],
    strikes: carry ? [carry] : [],
    writes: [],
    phrase: phrase('lattice.skipped', { place }),
  });
}

/** The next diagonal that holds a figure which a gained place would make worth too much; their number where none does. */
function nextFilled(
  cells: readonly (readonly CellMarks[])[],
  place: number,
  places: number,
): number {
  for (let later = place + 1; later < places; later++) {
    if (onDiagonal(cells, later).some((mark) => !mark.worth.isZero)) return later;
  }
  return places;
}

type DiagonalSlip = '' | 'forget-carry' | 'add-edge-digit';

function diagonalSlip(scribe: Scribe, carried: number, edge: number, at: Where): DiagonalSlip {
  const features = carryFeatures(carried);
  const forgotten = scribe.slip('forget-carry', carried > 0, { at, features });
  const added = scribe.slip('add-edge-digit', edge > 0, { at });
  return forgotten ? 'forget-carry' : added ? 'add-edge-digit' : '';
}

/** Zeros in front stay on the paper but are no part of the answer. */
export function withoutLeadingZeros(answer: readonly Mark[]): readonly Mark[] {
  const kept = [...answer];
  while (kept.length > 1 && kept.at(-1)!.worth.isZero) kept.pop();
  return kept;
}
