import { registry } from '../methods/index.ts';
import { problemFrom } from '../testing/work.ts';
import { drawSheet } from './drawing.ts';
import { measured } from './fit.ts';
import { onPages, type PageRoom } from './page-parts.ts';

const UPRIGHT: PageRoom = { width: 660, height: 900 };

function laid(method: string, problem: string) {
  const trace = registry.get(method).trace(problemFrom(problem));
  const drawing = drawSheet(registry.get(method).sheet(trace), trace);
  return {
    drawing,
    view: measured(drawing, true).view,
    pages: onPages(drawing, true, { upright: UPRIGHT, most: 24 }),
  };
}

describe('a work on printed pages', () => {
  it('stands upright where it can be read so', () => {
    const { pages, view } = laid('column-multiplication', '46 × 58');
    expect(pages).toEqual({ square: 24, isAcross: false, parts: [view] });
  });

  it('turns across where it is too wide', () => {
    const { pages, view } = laid('lattice', '987654321987 × 4');
    expect(pages.parts).toEqual([view]);
    const wide = laid('grid-multiplication', '9876543219 × 12');
    expect(wide.pages.isAcross).toBe(true);
    expect(wide.pages.parts).toEqual([wide.view]);
  });

  it.each([
    ['partial-products', '987654321987 × 876543219876'],
    ['grid-multiplication', '987654321987 × 876543219876'],
    ['running-total', Array.from({ length: 40 }, (_, k) => 100 + k).join(' + ')],
    ['long-division', '987654321987 ÷ 7'],
  ])('of %s %s goes on on further pages, no figure cut', (method, problem) => {
    const { drawing, view, pages } = laid(method, problem);
    const { square, isAcross, parts } = pages;
    if (method === 'partial-products') expect(parts.length).toBeGreaterThan(1);
    const [width, height] = isAcross ? [900, 660] : [660, 900];
    for (const part of parts) {
      expect(part.width * square).toBeLessThanOrEqual(width + 1);
      expect(part.height * square).toBeLessThanOrEqual(height + 1);
    }
    // They cover all of it, once.
    const area = parts.reduce((sum, part) => sum + part.width * part.height, 0);
    expect(area).toBeCloseTo(view.width * view.height, 3);
    const isIn = (x: number, y: number) =>
      parts.findIndex(
        (part) =>
          x >= part.x && x <= part.x + part.width && y >= part.y && y <= part.y + part.height,
      );
    for (const { box } of drawing.figures.filter((figure) => figure.box.width <= 3)) {
      const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
      const part = parts[isIn(x, y)]!;
      expect(box.x).toBeGreaterThanOrEqual(part.x - 0.3);
      expect(box.x + box.width).toBeLessThanOrEqual(part.x + part.width + 0.3);
      expect(box.y + box.height / 2).toBeLessThanOrEqual(part.y + part.height);
    }
  });

  it('leaves room for what stands above it on its first page, and for its name on every page', () => {
    const above = 200;
    const fit = { upright: UPRIGHT, most: 24, name: 60, above };
    const pagesOf = (method: string, problem: string) =>
      onPages(laid(method, problem).drawing, true, fit);
    const long = pagesOf('partial-products', '987654321987 × 876543219876');
    const heights = long.parts.map(({ height }) => height * long.square);
    expect(heights.length).toBeGreaterThan(1);
    const page = long.isAcross ? UPRIGHT.width : UPRIGHT.height;
    expect(heights[0]).toBeLessThanOrEqual(page - 60 - above + 1);
    expect(Math.max(...heights)).toBeLessThanOrEqual(page - 60 + 1);
    const short = pagesOf('column-multiplication', '46 × 58');
    expect(short).toEqual(laid('column-multiplication', '46 × 58').pages);
    // Too high to stand below it, yet not for a page of its own: it is not cut.
    const high = pagesOf('running-total', Array.from({ length: 30 }, (_, k) => 10 + k).join(' + '));
    expect(high.parts).toHaveLength(1);
  });
});
