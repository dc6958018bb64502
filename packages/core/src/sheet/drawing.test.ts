import { mixedNumeral, numeral, type Numeral } from '../exact/numeral.ts';
import type { Method } from '../methods/method.ts';
import { registry } from '../methods/index.ts';
import { makeProblem, type Problem } from '../problem/problem.ts';
import { productProblem } from '../problem/problem.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import { choiceName, everySchool, kindOf, type SampleKind } from '../testing/arbitraries.ts';
import { problemFrom } from '../testing/work.ts';
import { draftSheet } from './draft-sheet.ts';
import { drawSheet } from './drawing.ts';

function product(a: string, b: string) {
  return productProblem([numeral(a), numeral(b)]);
}

const column = registry.get('column-multiplication');
const trace = column.trace(product('346', '58'));
const drawing = drawSheet(column.sheet(trace), trace);
const figureOf = (id: string) => drawing.figures.find(({ entry }) => entry === id)!;

/** A problem that the method works: of fractions where it works those, else of the numbers given. */
function problemOf(method: Method, numbers: readonly Numeral[]): Problem {
  const kind = kindOf(method);
  const texts: Partial<Record<SampleKind, string>> = {
    'letter sums': '(123x^3 + 5/24 x) − (17x^2 − 101x + 3/7)',
    'letter products': '(12x − 3/14)(x^11 + 205)',
    root: '√7396512',
    'fraction products': '3 11/12 × 5 7/12',
    'fraction quotients': '12 101/240 ÷ 17/36',
  };
  const text = texts[kind];
  if (text) return problemFrom(text);
  if (kind !== 'fractions') return makeProblem(kind as ProblemKind, numbers);
  const whole = /mixed/.test(method.id) ? 123n : 0n;
  const part = (top: bigint, bottom: bigint) => mixedNumeral(whole, top, bottom);
  return makeProblem('sum', [part(17n, 240n), part(101n, 36n)]);
}

describe('drawSheet', () => {
  it('tells the place of a figure by notches: none, one dot, two dots, a bar', () => {
    const line = trace.groups.find(({ id }) => id === 'line-0')!.marks.map(figureOf);
    expect(line.map(({ place }) => place)).toEqual([0, 1, 2, 3]);
    expect(line.map(({ notches }) => notches.length)).toEqual([0, 1, 2, 1]);
    const [dot, bar] = [line[1]!.notches[0]!, line[3]!.notches[0]!];
    expect(bar.length).toBeGreaterThan(2 * dot.length);
  });

  it('centres notches under their figure', () => {
    for (const { notches, box } of drawing.figures) {
      if (notches.length === 0) continue;
      const from = notches[0]!.x;
      const last = notches.at(-1)!;
      expect((from + last.x + last.length) / 2).toBeCloseTo(box.x + box.width / 2, 9);
    }
  });

  it('keeps every figure inside its box', () => {
    for (const { method, school } of everySchool) {
      const numbers = [numeral('98765'), numeral('4321')];
      const own = method.trace(problemOf(method, numbers), { school });
      for (const figure of drawSheet(method.sheet(own), own).figures) {
        const widest = Math.max(...figure.texts.map(({ text }) => text.length));
        const apart = figure.texts.length > 1 && figure.bars.length === 0;
        const room = apart ? 1 : figure.box.width;
        expect(widest * figure.size * 0.6).toBeLessThanOrEqual(room);
      }
    }
  });

  it('draws small what is carried and large what is written whole', () => {
    const carry = trace.steps.flatMap((step) => step.gives).find((m) => m.role === 'carry')!;
    expect(figureOf(carry.id)).toMatchObject({ kind: 'small' });
    const grid = registry.get('grid-multiplication');
    const own = grid.trace(product('46', '58'));
    const cell = drawSheet(grid.sheet(own), own).figures.find(({ entry }) => entry === 'm1')!;
    expect(cell.size).toBeGreaterThan(figureOf(carry.id).size);
    expect(cell.notches).toEqual([]);
  });

  it('keeps what is held in the head off the paper', () => {
    const school = { ...column.defaultSchool, carries: 'in-the-head' };
    const held = column.trace(product('346', '58'), { school });
    const { figures, held: tray } = drawSheet(column.sheet(held), held);
    const inHead = held.steps.flatMap((step) => step.gives).filter((m) => m.medium === 'head');
    expect(tray.map(({ entry }) => entry)).toEqual(inHead.map(({ id }) => id));
    expect(figures.some(({ entry }) => inHead.some(({ id }) => id === entry))).toBe(false);
  });

  it('refuses a sheet that shows what its trace does not have', () => {
    const other = column.trace(product('7', '8'));
    expect(() => drawSheet(column.sheet(trace), other)).toThrow(/in no trace/);
  });
});

describe('draftSheet', () => {
  it('refuses a mark in an area that has no layout', () => {
    expect(() => draftSheet(trace, { areas: {}, rulings: [] })).toThrow(/no layout for area/);
  });

  it.each(everySchool.map((choice) => [choiceName(choice), choice] as const))(
    'lays %s with a margin of a square and every owed product in a slot',
    (_, { method, school }) => {
      const numbers = [numeral('406'), numeral('58')];
      const own = method.trace(problemOf(method, numbers), { school });
      const sheet = method.sheet(own);
      const boxes = sheet.cells.filter((cell) => !cell.held);
      const xs = [...boxes.flatMap(({ x, width }) => [x, x + width])];
      expect(Math.min(...xs)).toBeGreaterThanOrEqual(1);
      expect(Math.max(...xs)).toBeLessThanOrEqual(sheet.width - 1);
      expect(sheet.slots.map(({ entry }) => entry)).toEqual(own.start.map(({ id }) => id));
      for (const { x, y, width, height } of sheet.slots) {
        expect(x >= 0 && y >= 0 && x + width <= sheet.width && y + height <= sheet.height).toBe(
          true,
        );
      }
    },
  );
});
