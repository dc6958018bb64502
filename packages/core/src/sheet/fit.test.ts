import { everySchool } from '../testing/arbitraries.ts';
import { problemFrom } from '../testing/work.ts';
import { drawSheet } from './drawing.ts';
import { fitOf, inRoom, measured, ON_BENCH, type Legible } from './fit.ts';
import { piecesOf } from './pieces.ts';

/** Problems of every sort, easy and worst. */
const PROBLEMS = [
  '46 × 58',
  '342 × 276',
  '987654321987 × 876543219876',
  '3.6 × 20.5',
  '12 × 25 × 8',
  '1011_2 × 110_2',
  '642 − 387',
  '9000 − 4567',
  '5.3 − 2.78',
  '386 + 58',
  '7 + 9 + 4 + 8 + 6',
  Array.from({ length: 40 }, (_, k) => 100 + ((k * 37) % 899)).join(' + '),
  '12.50 + 3.75 + 108.99',
  '952 ÷ 7',
  '1835 ÷ 24',
  '31.5 ÷ 0.7',
  '1 ÷ 7',
  '987654321 ÷ 98765',
  '3/4 + 1/6',
  '5 1/6 − 2 5/6',
  '1/2 + 1/3 + 1/4 + 1/5',
  '(x+4)(3x−2)',
  '(x−2)(x+5)(x−4)',
  '(x^2+2x−3)(2x^2−x+5)',
  '(x^3+5x^2)−(2x^2−7x)',
  '√7396',
  '√2',
  '√72',
  '√987654321',
].map(problemFrom);

/** Rooms of papers as the bench and presenting have them: how wide the view is, how many papers, pixels for one sheet. */
const ROOMS: readonly {
  readonly name: string;
  readonly papers: number;
  readonly width: number;
  readonly height: number;
  readonly legible: Legible;
}[] = [1024, 1280, 1920].flatMap((view) =>
  [1, 2, 3, 4, 6].flatMap((papers) => [
    {
      name: `bench ${view}`,
      papers,
      width: Math.max(204, (view - 336) / papers - 12),
      height: view === 1920 ? 410 : 230,
      legible: ON_BENCH,
    },
    {
      name: `room ${view}`,
      papers,
      width: Math.max(290, (view - 28) / papers - 14),
      height: view === 1920 ? 800 : 540,
      legible: inRoom(view),
    },
  ]),
);

const SHEETS = everySchool.flatMap(({ method, school }) =>
  PROBLEMS.filter((problem) => method.accepts(problem).ok).map((problem) => {
    const trace = method.trace(problem, { school });
    return {
      name: `${method.id} ${JSON.stringify(school)}`,
      drawing: drawSheet(method.sheet(trace), trace),
    };
  }),
);

describe('a page that is measured', () => {
  it('holds all that it will ever show, with every method, school and step', () => {
    const outside = SHEETS.flatMap(({ name, drawing }) => {
      const { x, y, width, height } = measured(drawing, true).view;
      return piecesOf(drawing)
        .filter(
          ({ box }) =>
            box.x < x ||
            box.y < y ||
            box.x + box.width > x + width ||
            box.y + box.height > y + height,
        )
        .map(({ what, text }) => `${name}: ${what} ${text}`);
    });
    expect(outside).toEqual([]);
    expect(SHEETS.length).toBeGreaterThan(500);
  });

  it('lies on the squares that its method asks for', () => {
    const beyond = SHEETS.filter(({ drawing }) => {
      const { x, y, width, height } = measured(drawing, true).view;
      return (
        x < -0.4 || y < -0.4 || x + width > drawing.width + 0.4 || y + height > drawing.height + 0.4
      );
    });
    expect(beyond.map(({ name }) => name)).toEqual([]);
  });

  it('is shown whole, or followed at the least size that can be read, in every room', () => {
    const table = new Map<
      string,
      { whole: number; followed: number; figures: number; smallest: number }
    >();
    const faults: string[] = [];
    for (const room of ROOMS) {
      const most = Math.max(30, room.legible.figures * 2.4);
      for (const { name, drawing } of SHEETS) {
        const page = measured(drawing, true);
        const { square, isWhole } = fitOf(page, room, { legible: room.legible, most });
        const [figures, smallest] = [page.figures * square, page.smallest * square];
        const fits =
          page.view.width * square <= room.width && page.view.height * square <= room.height;
        const isRead =
          figures >= room.legible.figures - 1e-9 &&
          smallest >= Math.min(room.legible.smallest, most * page.smallest) - 1e-9;
        if (!isRead) faults.push(`${name} in ${room.name}: ${figures} and ${smallest} pixels`);
        if (isWhole !== fits) faults.push(`${name} in ${room.name}: ${isWhole ? 'cut' : 'whole'}`);
        const key = `${room.name}, ${room.papers} papers`;
        const row = table.get(key) ?? {
          whole: 0,
          followed: 0,
          figures: Infinity,
          smallest: Infinity,
        };
        table.set(key, {
          whole: row.whole + (isWhole ? 1 : 0),
          followed: row.followed + (isWhole ? 0 : 1),
          figures: Math.min(row.figures, Math.round(figures)),
          smallest: Math.min(row.smallest, Math.round(smallest)),
        });
      }
    }
    expect(faults).toEqual([]);
    if (process.env.LEVEE_SHOW_FIT)
      process.stdout.write(
        `${[...table].map(([key, row]) => `${key}: ${JSON.stringify(row)}`).join('\n')}\n`,
      );
    expect(table.get('room 1280, 2 papers')!.whole).toBeGreaterThan(SHEETS.length * 0.7);
  });
});
