import { hasStack, runWidth, setRunning } from './running.ts';

describe('mathematics that runs on in a line', () => {
  it('stands in one text where it has no fraction', () => {
    const { texts, bars, width } = setRunning('46 × 60', 1);
    expect(texts.map(({ text }) => text)).toEqual(['46 × 60']);
    expect(bars).toEqual([]);
    expect(width).toBeCloseTo(runWidth('46 × 60', 1));
  });

  it('has every fraction as a number over a number, with a bar as wide as the wider one', () => {
    const { texts, bars, width } = setRunning('= 9/12 + 2', 1);
    expect(texts.map(({ text }) => text)).toEqual(['=', '9', '12', '+ 2']);
    const [, top, bottom] = texts;
    expect(top!.x).toBeCloseTo(bottom!.x);
    expect(top!.y).toBeLessThan(0);
    expect(bottom!.y).toBeGreaterThan(0);
    expect(bars).toHaveLength(1);
    expect(bars[0]!.length).toBeGreaterThan(runWidth('12', top!.size!));
    expect(width).toBeGreaterThan(bars[0]!.x + bars[0]!.length);
  });

  it('is twice as wide at twice the height, and a line with a fraction is known', () => {
    expect(setRunning('= 9/12 + 2', 2).width / setRunning('= 9/12 + 2', 1).width).toBeCloseTo(2, 0);
    expect([hasStack('3/4'), hasStack('a/b'), hasStack('46 ÷ 2')]).toEqual([true, false, false]);
  });
});
