import type { Mark, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { placeCut } from '../../account/cut.ts';
import type { Problem } from '../../problem/problem.ts';
import type { AreaLayout } from '../../sheet/draft-sheet.ts';
import type { SheetSign } from '../../sheet/sheet.ts';
import { placeSquare } from '../shared/place-columns.ts';
import { mostPlaces } from '../shared/sums.ts';
import type { Addend } from '../shared/add-columns.ts';

/** Opens the account with every digit of every addend and puts the addends under each other. */
export function openAddends(scribe: Scribe, { operands }: Problem): void {
  scribe.openSum(operands.map(placeCut));
  operands.forEach((addend, row) =>
    addend.digits.forEach((_, column) =>
      scribe.give(row, column, 'operand digit', { area: 'addend', row, column }),
    ),
  );
}

/** Every digit of every addend, as figures to be added. */
export function digitAddends(scribe: Scribe, { operands }: Problem): readonly Addend[] {
  return operands.flatMap((addend, k) =>
    addend.digits.map((count, place) => ({ entry: scribe.owes(k, place), count, place })),
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
