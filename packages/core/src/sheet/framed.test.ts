import { worked } from '../testing/work.ts';
import { registry } from '../methods/index.ts';
import { framedColour, framedEdges, MOST_FRAMED, texturePath } from './framed.ts';
import { sheetSvg } from './svg-sink.ts';

const box = { x: 2, y: 1, width: 3, height: 2 };
const NUMBERS = Array.from({ length: MOST_FRAMED }, (_, k) => k + 1);

/** The ends of every stroke of a path. */
function ends(path: string): readonly (readonly [number, number])[] {
  return [
    ...path.matchAll(/M(-?[\d.]+) (-?[\d.]+)(?:h(-?[\d.]+)|v(-?[\d.]+)|L(-?[\d.]+) (-?[\d.]+))/g),
  ].flatMap(([, x, y, h, v, lx, ly]): [number, number][] => {
    const from: [number, number] = [Number(x), Number(y)];
    if (h !== undefined) return [from, [from[0] + Number(h), from[1]]];
    if (v !== undefined) return [from, [from[0], from[1] + Number(v)]];
    return [from, [Number(lx), Number(ly)]];
  });
}

describe('textures of framed amounts', () => {
  it.each(NUMBERS)('number %d has strokes in its box, and none outside', (number) => {
    const found = ends(texturePath(number, box, 0.25));
    expect(found.length).toBeGreaterThan(6);
    for (const [x, y] of found) {
      expect(x).toBeGreaterThanOrEqual(box.x - 0.001);
      expect(x).toBeLessThanOrEqual(box.x + box.width + 0.001);
      expect(y).toBeGreaterThanOrEqual(box.y - 0.001);
      expect(y).toBeLessThanOrEqual(box.y + box.height + 0.001);
    }
  });

  it('are told apart without their colours', () => {
    expect(new Set(NUMBERS.map((number) => texturePath(number, box, 0.25))).size).toBe(MOST_FRAMED);
  });
});

describe('frames', () => {
  it('are dashed where the terms are not gathered, and put numbers beside each other', () => {
    const edges = framedEdges(
      [
        { number: 1, boxes: [box], gathered: true },
        { number: 4, boxes: [box], gathered: false },
      ],
      1,
      framedColour,
    );
    expect(edges.match(/stroke-dasharray/g)).toHaveLength(1);
    const across = [...edges.matchAll(/cx="([\d.]+)"/g)].map(([, x]) => Number(x));
    expect(across).toEqual([2, 2.5]);
  });

  it('are drawn in a file too', () => {
    const trace = worked('column-multiplication', '46 × 58');
    const sheet = registry.get('column-multiplication').sheet(trace);
    const framed = [{ number: 2, boxes: [box], gathered: true }];
    expect(sheetSvg(sheet, trace, { framed })).toMatch(/<circle fill="#8a3f6b"[\s\S]*>2<\/text>/);
    expect(sheetSvg(sheet, trace)).not.toMatch(/<circle/);
  });
});
