import { pointAt, type EntryId } from '@levee/core';
import fc from 'fast-check';
import { documentWith, workedWith } from '../testing/scene.ts';
import { holds, mergedBoxes } from './boxes.ts';
import { litPapers } from './lit.ts';
import { fittedSteps, tooLong, work } from './work.ts';

const box = (x: number, y: number, width = 1, height = 1) => ({ x, y, width, height });

describe('mergedBoxes', () => {
  it('joins a row, then rows of the same width', () => {
    expect(mergedBoxes([box(0, 0), box(1, 0), box(2, 0)])).toEqual([box(0, 0, 3)]);
    expect(mergedBoxes([box(0, 0), box(1, 0), box(0, 1), box(1, 1)])).toEqual([box(0, 0, 2, 2)]);
    expect(mergedBoxes([box(0, 0), box(2, 0)])).toHaveLength(2);
  });

  it('drops boxes inside others and repeats', () => {
    expect(mergedBoxes([box(0, 0, 2, 2), box(1, 1), box(0, 0, 2, 2)])).toEqual([box(0, 0, 2, 2)]);
  });

  it('covers exactly the same unit squares', () => {
    const square = fc.record({ x: fc.nat(5), y: fc.nat(5) }).map(({ x, y }) => box(x, y));
    fc.assert(
      fc.property(fc.array(square), (squares) => {
        const merged = mergedBoxes(squares);
        const area = merged.reduce((sum, { width, height }) => sum + width * height, 0);
        expect(area).toBe(new Set(squares.map(({ x, y }) => `${x} ${y}`)).size);
        for (const one of squares) expect(merged.some((outer) => holds(outer, one))).toBe(true);
      }),
    );
  });
});

describe('work', () => {
  it('gives the same object while problem and papers are the same', () => {
    const content = documentWith('46 × 58', ['lattice', 'partial-products']);
    const worked = work(content);
    const retitled = { ...content, title: 'other' };
    expect(work(retitled)).toBe(worked);
    expect(work({ ...content, problem: '46 × 59' })).not.toBe(worked);
  });

  it('never goes past the end of a paper', () => {
    const worked = workedWith();
    expect(fittedSteps(worked, { p1: 99, p2: 2 })).toEqual([9, 2, 0]);
  });

  it('says what is too long to draw', () => {
    expect(tooLong(workedWith('999999999999 × 2', ['lattice']).problem)).toBeNull();
    const long = workedWith('1000000000000 × 2', ['lattice']).problem;
    expect(tooLong(long)).toMatch(/up to 12 figures; here is a longer one/);
  });
});

describe('litPapers', () => {
  const worked = workedWith();
  const mark = (lane: number, worth: string, role: string): EntryId =>
    worked.papers[lane]!.lane.trace.steps.flatMap((step) => step.gives).find(
      (one) => one.role === role && one.worth.toString() === worth,
    )!.id;
  const lights = (lane: number, id: EntryId, steps: readonly number[]) => {
    const subject = pointAt(worked.comparison, { kind: 'entry', lane, id });
    return litPapers(worked, subject, steps).map(({ frames }) => frames.map(({ light }) => light));
  };

  it('tells the same amount from the same terms that are not gathered', () => {
    const six = mark(0, '60', 'product');
    expect(lights(0, six, [4, 4, 3])).toEqual([['same', 'point'], ['same'], ['terms']]);
    expect(lights(0, six, [4, 2, 2])).toEqual([['same', 'point'], ['terms'], ['terms']]);
  });

  it('frames a whole row of cells at once', () => {
    const subject = pointAt(worked.comparison, { kind: 'group', lane: 0, id: 'line-0' });
    const [, , lattice] = litPapers(worked, subject, [9, 7, 8]);
    expect(lattice!.frames).toHaveLength(1);
    expect(lattice!.frames[0]!.boxes).toHaveLength(1);
    expect(lattice!.frames[0]!.boxes[0]).toMatchObject({ width: 4, height: 2 });
  });

  it('lights a cell alone inside a larger amount as only a part', () => {
    const cell = worked.papers[1]!.lane.trace.steps[0]!.gives[0]!.id;
    expect(lights(1, cell, [9, 7, 8])[0]).toEqual(['part']);
  });

  it('lights nothing when nothing is pointed at', () => {
    expect(litPapers(worked, null, [9, 7, 8]).every(({ frames }) => frames.length === 0)).toBe(
      true,
    );
  });
});
