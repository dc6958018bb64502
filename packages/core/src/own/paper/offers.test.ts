import { readAsked } from '../read/asked.ts';
import { offersFor, typedLine, type OfferKind } from './offers.ts';

function offers(problem: string, before: readonly string[], text: string) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  return offersFor(typedLine(read.asked, before, text));
}

function linesOf(kind: OfferKind, problem: string, before: readonly string[], text: string) {
  return offers(problem, before, text)
    .filter((offer) => offer.kind === kind)
    .map(({ lines }) => lines);
}

describe('what can be taken in the place of a line', () => {
  it('is the number that its last equals sign waits for, and nothing nearest meanwhile', () => {
    expect(offers('46 × 58', [], '46 × 60 =')).toEqual([
      { kind: 'value', label: '2760', lines: ['46 × 60 = 2760'] },
    ]);
    expect(linesOf('value', '3/4 + 1/6', [], '= 9/12 + 2/12 =')).toEqual([
      ['= 9/12 + 2/12 = 11/12'],
    ]);
    expect(linesOf('value', '(x+4)(3x−2)', [], '= 3x(x+4) − 2(x+4) =')).toEqual([
      ['= 3x(x+4) − 2(x+4) = 3x² + 10x − 8'],
    ]);
  });

  it('is the sizes of jumps, forth and back', () => {
    expect(linesOf('size', '642 − 387', [], '387 → 400 → 642')).toEqual([
      ['387 +13→ 400 +242→ 642'],
    ]);
    expect(linesOf('size', '642 − 387', [], '642 → 242 → 255')).toEqual([
      ['642 −400→ 242 +13→ 255'],
    ]);
    expect(linesOf('size', '642 − 387', [], '387 +13→ 400 +242→ 642')).toEqual([]);
  });

  it('is either reading of a line that people read in two ways', () => {
    expect(linesOf('reading', '6 ÷ 2', [], '= 6 ÷ 2(1+0.5)')).toEqual([
      ['= 6 ÷ (2 × (1 + 0.5))'],
      ['= 6 ÷ 2 × (1 + 0.5)'],
    ]);
  });

  it('is a line for each statement of a run-on, or the same with arrows', () => {
    expect(linesOf('break', '7 + 9 + 4', [], '7 + 9 = 16 + 4 = 20')).toEqual([
      ['7 + 9 = 16', '16 + 4 = 20'],
    ]);
    expect(linesOf('arrows', '7 + 9 + 4', [], '7 + 9 = 16 + 4 = 20')).toEqual([
      ['7 +9→ 16 +4→ 20'],
    ]);
    expect(linesOf('arrows', '23 − 9 + 4', [], '23 − 9 = 14 + 4 = 18')).toEqual([
      ['23 −9→ 14 +4→ 18'],
    ]);
  });

  it('is the nearest true line, the lines between of a leap, and nothing for a lawful line', () => {
    expect(linesOf('nearest', '46 × 58', [], '= 46 × 60 − 46 × 6')).toContainEqual([
      '= 46 × 60 − 46 × 2',
    ]);
    const [between] = linesOf('between', '642 − 387', [], '= 300 − 45');
    expect(between).toHaveLength(2);
    expect(between!.at(-1)).toBe('= 300 − 45');
    expect(offers('46 × 58', [], '= 46 × 60 − 46 × 2')).toEqual([]);
  });

  it('is judged lawful when it is taken', () => {
    const read = readAsked('46 × 58');
    if (!read.ok) throw new Error(read.reason);
    for (const { lines } of offers('46 × 58', [], '')) {
      expect(typedLine(read.asked, [], lines[0]!).line?.verdict).toBe('lawful');
    }
  });

  it.each([
    ['46 × 58', ['= 46 × 60 − 46 × 2', '= 2760 − 82'], '= 2678'],
    ['46 × 58', ['= 2760 − 82', '= 2700 + 60 − 82'], '= 2678'],
    ['46 × 58', ['= 46 × 6 − 46 × 2'], '= 276 − 92'],
  ])(
    'is on an empty line what stands there worked out, though it is wrong: %s %j',
    (problem, lines, next) => {
      expect(linesOf('next', problem, lines, '')).toEqual([[next]]);
      const read = readAsked(problem);
      if (!read.ok) throw new Error(read.reason);
      const { line } = typedLine(read.asked, lines, next);
      expect(line?.verdict).toBe('lawful');
    },
  );

  it('is no next line where nothing is owed any more', () => {
    expect(offers('46 × 58', ['= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668'], '')).toEqual([]);
    expect(offers('(x+4)(x+3)', ['= x^2 + 7x + 12'], '')).toEqual([]);
  });

  it('is on an empty line the next one of a way, or the last one worked out', () => {
    const first = offers('46 × 58', [], '').map(({ lines }) => lines[0]);
    expect(first).toContain('= 46 × 60 − 46 × 2');
    expect(linesOf('next', '46 × 58', ['= 46 × 60 − 46 × 2'], '= ')).toEqual([['= 2760 − 92']]);
    expect(linesOf('next', '46 × 58', ['= 46 × 60 − 46 × 2', '= 2760 − 92'], '')).toEqual([
      ['= 2668'],
    ]);
    expect(offers('46 × 58', ['= 46 × 60 − 46 × 2', '= 2668'], '')).toEqual([]);
    expect(offers('46 × 58', ['by heart'], '')).toEqual([]);
  });

  it('goes on from a wrong line with what that line makes', () => {
    expect(linesOf('next', '46 × 58', ['= 46 × 60 − 46 × 6'], '')).toEqual([['= 2760 − 276']]);
  });
});
