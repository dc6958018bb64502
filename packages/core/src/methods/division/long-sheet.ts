import type { Trace } from '../../account/account.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { divisionFrame, questionBox } from './short-sheet.ts';

/** The bar with the divisor at its left, the quotient above it, the staircase under the dividend. */
export function longSheet(trace: Trace): Sheet {
  const frame = divisionFrame(trace, 1);
  const { x, divisor } = frame;
  return draftSheet(trace, {
    areas: {
      question: ({ column }) => questionBox(trace, frame, column),
      divisor: () => ({ x: divisor.x, y: 0, width: divisor.width, height: 1, align: 'right' }),
      dividend: ({ column }) => ({ x: x(column), y: 0, width: 1, height: 1 }),
      quotient: ({ column }) => ({ x: x(column), y: -1, width: 1, height: 1 }),
      work: ({ row, column }, { glyph, role }) => ({
        x: x(column) - (glyph.length - 1),
        y: 1 + row,
        width: glyph.length,
        height: 1,
        spread: true,
        underlined: role === 'product',
      }),
      left: (_, { glyph }) => ({
        x: x(frame.last) + 1.6,
        y: -1,
        width: glyph.length * 0.7,
        height: 1,
      }),
      repeats: ({ column }) => ({ x: x(column), y: -1, width: 1, height: 1 }),
    },
    rulings: frame.rulings,
    signs: frame.signs,
    links: frame.links,
  });
}
