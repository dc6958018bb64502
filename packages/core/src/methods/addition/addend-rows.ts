import type { Mark, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { placeCut } from '../../account/cut.ts';
import type { Problem } from '../../problem/problem.ts';
import type { AreaLayout } from '../../sheet/draft-sheet.ts';
import type { SheetSign } from '../../sheet/sheet.ts';
import { placeSquare } from '../shared/place-columns.ts';
import { mostPlaces } from '../shared/sums.ts';
import type { Addend } from '../shared/add-columns.ts';

/**
 * Opens the account with every digit of every addend and puts the addends under each other, each so many places to the
 * left of where it belongs.
 */
export function openAddends(
  scribe: Scribe,
  { operands }: Problem,
  shiftsOf: () => readonly number[] = () => [],
): readonly number[] {
  scribe.openSum(operands.map(placeCut));
  const shifts = shiftsOf();
  operands.forEach((addend, row) =>
    addend.digits.forEach((_, place) => {
      const column = place + (shifts[row] ?? 0);
      scribe.give(row, place, 'operand digit', { area: 'addend', row, column });
    }),
  );
  return shifts;
}

/** Every digit of every addend, as figures to be added where they stand. */
export function digitAddends(
  scribe: Scribe,
  { operands }: Problem,
  shifts: readonly number[] = [],
): readonly Addend[] {
  return operands.flatMap((addend, k) =>
    addend.digits.map((count, place) => ({
      entry: scribe.owes(k, place),
      count,
      place: place + (shifts[k] ?? 0),
    })),
  );
}

/** Addends stand a row each, places under each other. */
export const addendArea: AreaLayout = ({ row, column }) => placeSquare(column, row);

/** The plus sign before the last addend. */
export function plusSign({ operands }: Problem): SheetSign {
  return { sign: 'plus', ...placeSquare(mostPlaces(operands), operands.length - 1) };
}

/** Whether any mark of a trace is written in an area. */
export function isUsed(trace: Trace, area: string): boolean {
  return trace.steps.some(({ gives }) => gives.some((mark: Mark) => mark.spot.area === area));
}
