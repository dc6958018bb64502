import type { Trace } from '../../account/account.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { divisionFrame, framedSheet } from './division-frame.ts';

/** How far apart the dividend's figures stand, so that a remainder has room before the next one. */
const PITCH = 2;

/** The bar with the divisor at its left, the quotient above it, remainders before the next figure. */
export function shortSheet(trace: Trace): Sheet {
  const frame = divisionFrame(trace, PITCH);
  return framedSheet(trace, frame, 1.2, {
    rest: ({ column }, { glyph }) => ({
      x: frame.x(column) - 1,
      y: 0,
      width: 1,
      height: 1,
      size: 'small',
      ...(glyph.length > 2 ? {} : { align: 'right' as const }),
    }),
  });
}
