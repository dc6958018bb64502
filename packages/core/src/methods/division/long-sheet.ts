import type { Trace } from '../../account/account.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { divisionFrame, framedSheet } from './division-frame.ts';

/** The bar with the divisor at its left, the quotient above it, the staircase under the dividend. */
export function longSheet(trace: Trace): Sheet {
  const frame = divisionFrame(trace, 1);
  return framedSheet(trace, frame, 1.6, {
    work: ({ row, column }, { glyph, role }) => ({
      x: frame.x(column) - (glyph.length - 1),
      y: 1 + row,
      width: glyph.length,
      height: 1,
      spread: true,
      underlined: role === 'product',
    }),
  });
}
