import type { Trace } from '../../account/account.ts';
import type { Sheet, SheetSign } from '../../sheet/sheet.ts';
import { slotsOf, tableSheet, type TableSign } from '../fractions/fraction-sheet.ts';

/** The row of numbers, its rows in other writings with the sign between, and what is worked out under them. */
export function factorSheet(
  trace: Trace,
  first: SheetSign['sign'],
  after: (row: number) => SheetSign['sign'] = () => first,
): Sheet {
  const { problem, steps } = trace;
  const between = (row: number, sign: SheetSign['sign']): readonly TableSign[] =>
    problem.operands.slice(1).map((_, k) => ({ sign, row, column: k + 1 }));
  const marks = steps.flatMap(({ gives }) => gives);
  const rows = (test: (role: string) => boolean) => [
    ...new Set(marks.filter(({ role }) => test(role)).map(({ spot }) => spot.row)),
  ];
  return tableSheet(trace, {
    slot: slotsOf(trace),
    signs: [
      ...between(0, first),
      ...rows((role) => role === 'factor').flatMap((row) => between(row, after(row))),
      ...rows((role) => role === 'subtotal' || role === 'simplified' || role === 'answer').map(
        (row): TableSign => ({ sign: 'equals', row, column: 0 }),
      ),
    ],
  });
}
