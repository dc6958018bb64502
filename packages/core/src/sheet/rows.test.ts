import { DEFAULT_VOCABULARY } from '../phrases/vocabulary.ts';
import { speakerFor } from '../phrases/speaker.ts';
import { registry } from '../methods/index.ts';
import { worked } from '../testing/work.ts';
import { drawSheet } from './drawing.ts';
import { paperRows } from './rows.ts';
import { timeline } from './visible.ts';

function rows(id: string, text: string, step?: number): readonly string[] {
  const trace = worked(id, text);
  const drawing = drawSheet(registry.get(id).sheet(trace), trace);
  const say = speakerFor(trace.problem, DEFAULT_VOCABULARY);
  return paperRows(trace, drawing, timeline(trace), step ?? trace.steps.length, say);
}

describe('a paper as rows', () => {
  it('is read from the top, each figure with its place', () => {
    expect(rows('column-multiplication', '46 × 58')).toEqual([
      '3 as carry in the hundreds, struck',
      '4 as carry in the tens, struck',
      '4 in the tens, 6 in the ones',
      '5 in the tens, 8 in the ones',
      '3 in the hundreds, 6 in the tens, 8 in the ones',
      '2 in the thousands, 3 in the hundreds, 0 in the tens, 0 in the ones',
      '2 in the thousands, 6 in the hundreds, 6 in the tens, 8 in the ones',
    ]);
  });

  it('has only what is written so far', () => {
    expect(rows('decomposition', '642 − 387', 0)).toEqual([
      '6 in the hundreds, 4 in the tens, 2 in the ones',
      '3 in the hundreds, 8 in the tens, 7 in the ones',
    ]);
    expect(rows('decomposition', '642 − 387', 1)[1]).toBe(
      '6 in the hundreds, 4 in the tens, struck, 2 in the ones, struck',
    );
  });

  it('names no place for a number of several figures', () => {
    expect(rows('grid-multiplication', '46 × 58', 0)[0]).toBe('40, 6 in the ones');
  });
});
