import type { Trace } from '../../account/account.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';

/** The dividend with what is taken away under it, and the chunks at the right, added up below. */
export function chunkSheet(trace: Trace): Sheet {
  const marks = trace.steps.flatMap(({ gives }) => gives);
  const written = [...trace.givens, ...marks];
  const widthOf = (...areas: readonly string[]) =>
    Math.max(
      2,
      ...written
        .filter(({ spot }) => areas.includes(spot.area))
        .map(({ glyph }) => Math.ceil(glyph.length * 0.8)),
    );
  const work = widthOf('work', 'dividend');
  const side = widthOf('chunk', 'quotient');
  const by = widthOf('divisor');
  const rows = Math.max(
    0,
    ...marks.filter(({ spot }) => spot.area === 'work').map(({ spot }) => spot.row + 1),
  );
  const right = (x: number, width: number, y: number) =>
    ({ x, y, width, height: 1, align: 'right' }) as const;
  const question = trace.givens.filter(({ spot }) => spot.area === 'question');
  const [first = 0] = question.map(({ glyph }) => glyph.length * 0.7 + 0.3);
  return draftSheet(trace, {
    areas: {
      question: ({ column }, { glyph }) => ({
        x: -by - 0.4 + (column === 0 ? 0 : first + 1),
        y: -2,
        width: glyph.length * 0.7 + 0.3,
        height: 1,
      }),
      divisor: () => right(-by - 0.2, by, 0),
      dividend: () => right(0, work, 0),
      work: ({ row }, { role }) => ({ ...right(0, work, 1 + row), underlined: role === 'product' }),
      chunk: ({ row }) => right(work + 0.6, side, 1 + row),
      quotient: () => right(work + 0.6, side, 1 + rows),
      left: (_, { glyph }) => ({
        x: work + side + 0.8,
        y: 1 + rows,
        width: glyph.length * 0.7,
        height: 1,
      }),
    },
    rulings: [
      { kind: 'line', x1: 0, y1: 0, x2: work + 0.3, y2: 0, weight: 'heavy' },
      { kind: 'line', x1: 0, y1: 0, x2: 0, y2: 1, weight: 'heavy' },
      { kind: 'line', x1: work + 0.4, y1: 0, x2: work + 0.4, y2: 1 + rows, weight: 'thin' },
      {
        kind: 'line',
        x1: work + 0.6,
        y1: 1 + rows,
        x2: work + 0.6 + side,
        y2: 1 + rows,
        weight: 'heavy',
      },
    ],
    signs:
      question.length > 0
        ? [{ sign: 'divide', x: -by - 0.4 + first, y: -2, width: 1, height: 1 }]
        : [],
  });
}
