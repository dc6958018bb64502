import { answerText } from './answer-text.ts';
import { Exact } from '../exact/exact.ts';
import { numberText, numeral, numeralFor, padded, withoutPoint } from '../exact/numeral.ts';
import { marksOf, paperText, problemFrom, said, slipAnswers, worked } from '../testing/work.ts';
import { directions, directionText } from '../checks/direction-check.ts';
import { placedPoint } from '../problem/point.ts';
import { scaleOf } from '../problem/scale.ts';

describe('numbers with a point', () => {
  it('are written so that they end where their figures do', () => {
    const text = (top: number, bottom: number, base = 10) =>
      numberText(Exact.of(top, bottom), base);
    expect(text(369, 5)).toBe('73.8');
    expect(text(-1, 40)).toBe('−0.025');
    expect(text(22, 7)).toBe('22/7');
    expect(text(1, 3, 3)).toBe('0.1');
    expect(text(5, 2, 2)).toBe('10.1');
    expect(numeralFor(Exact.of(1, 3), 10)).toBeNull();
    expect(withoutPoint(padded(numeral('0.05'), 3)).digits).toEqual([0, 5]);
  });

  it('are scaled to whole numbers by kind', () => {
    expect(scaleOf(problemFrom('3.6 × 20.5'))).toMatchObject({ decimals: 2, operands: [1, 1] });
    expect(scaleOf(problemFrom('3.6 × 2.05'))!.unit.toString()).toBe('1/1000');
    expect(scaleOf(problemFrom('12.5 + 3.75'))!.whole.operands[0].digits).toEqual([0, 5, 2, 1]);
    expect(scaleOf(problemFrom('46 × 58'))).toBeNull();
    expect(scaleOf(problemFrom('31.5 ÷ 0.7'))).toBeNull();
  });
});

describe('works with decimals', () => {
  it('give every mark of the whole sheet its true worth', () => {
    const trace = worked('column-multiplication', '3.6 × 20.5');
    const seven = marksOf(trace).find(({ glyph, role }) => glyph === '7' && role === 'product')!;
    expect([seven.place, seven.worth.toString()]).toEqual([3, '70']);
    expect(trace.start[0]!.text).toBe('0.6×0.5');
    expect(trace.balanced).toBe(true);
    expect(answerText(trace)).toBe('73.8');
  });

  it('give hops and figures of the question their true worth', () => {
    const hops = (id: string, text: string) =>
      marksOf(worked(id, text)).flatMap(({ hop }) => (hop ? [`${hop.from}>${hop.to}`] : []));
    expect(hops('left-to-right-addition', '12.5 + 3.75')).toEqual([
      '25/2>31/2',
      '31/2>81/5',
      '81/5>65/4',
    ]);
    expect(hops('counting-up', '12.5 − 3.75')).toEqual(['15/4>19/5', '19/5>59/5', '59/5>25/2']);
    const givens = (id: string, text: string) =>
      worked(id, text).givens.map(({ glyph, worth }) => `${glyph}: ${worth}`);
    expect(givens('column-multiplication', '3.6 × 2.05')).toEqual([
      '6: 3/5',
      '3: 3',
      '5: 1/20',
      '0: 0',
      '2: 2',
    ]);
    expect(givens('left-to-right-addition', '12.5 + 3.75').slice(0, 2)).toEqual([
      '12.50: 25/2',
      '3.75: 15/4',
    ]);
  });

  it('place the point by counting and by the estimate, and flag what does not agree', () => {
    const last = said(worked('lattice', '3.6 × 20.5')).at(-1);
    expect(last).toBe(
      '1 + 1 = 2 figures after the point: 73.80. By rounded factors about 80, so it fits.',
    );
    const slips = [{ slip: 'point-one-off', occurrence: 1 }];
    const off = worked('lattice', '3.6 × 20.5', { slips });
    expect(off.answer.toString()).toBe('738');
    expect(said(off, 'value').at(-1)).toMatch(/would make it 73\.80: look again\.$/);
    expect(said(off, 'value', { point: ',' }).at(-1)).toContain('73,80');
    expect(placedPoint(problemFrom('0.7 × 31.5'), Exact.of(200))).toMatchObject({
      byCounting: '22.05',
      byEstimate: '220.5',
      agree: false,
    });
  });

  it('set points under each other in sums and differences', () => {
    expect(paperText(worked('column-addition', '12.5 + 3.75'))).toMatchInlineSnapshot(`
"       1̶
    1  2. 5  0
 +     3. 7  5
----------------
    1  6. 2  5"
`);
    expect(paperText(worked('decomposition', '5.01 − 4.98'))).toContain('0. 0  3');
    expect(said(worked('counting-up', '6.42 − 3.87'))[0]).toBe('3.87 + 0.03 = 3.9: ring 0.03.');
  });

  it('say every place by its true name', () => {
    const sum = said(worked('column-addition', '12.5 + 3.75'), 'value');
    expect(sum[1]).toBe('The tenths of all addends make 12 tenths: write 2 tenths, carry 1 one.');
    const product = said(worked('lattice', '3.6 × 20.5'), 'value');
    expect(product[0]).toMatch(/^5 tenths × 6 tenths make 30 hundredths/);
    const grid = said(worked('grid-multiplication', '3.6 × 20.5'), 'value');
    expect(grid.find((line) => line.startsWith('The row of 0.5'))).toBe(
      'The row of 0.5 gathers 3.6 × 0.5: 1.8.',
    );
  });

  it('slip where the point is put', () => {
    expect(slipAnswers('crosswise', '0.2 × 0.4')).toContain('point-one-off@1 4/5');
  });
});

describe('directions', () => {
  it('are foreseen: a factor below one shrinks, a divisor below one fits more often', () => {
    const lines = (text: string) => {
      const problem = problemFrom(text);
      return directions(problem).map((one) => directionText(one, problem));
    };
    expect(lines('0.7 × 31.5')).toEqual([
      '31.5 is more than 1, so 31.5 × 0.7 is more than 0.7.',
      '0.7 is less than 1, so 0.7 × 31.5 is less than 31.5.',
    ]);
    expect(lines('31.5 ÷ 0.7')).toEqual(['0.7 is less than 1, so 31.5 ÷ 0.7 is more than 31.5.']);
    expect(lines('1 × 8')).toContain('1 is just 1, so 1 × 8 is the same as 8.');
    expect(lines('46 + 58')).toEqual([]);
  });
});

describe('strings of factors', () => {
  it('go stage by stage, each owed as often as the factors to come say', () => {
    const trace = worked('column-multiplication', '46 × 58 × 3');
    expect(trace.stages.map(({ before, prefix }) => [before, prefix])).toEqual([
      [0, ''],
      [10, 's2.'],
    ]);
    const opening = trace.steps[9]!;
    expect(opening.opens.map(({ text, worth }) => `${text} ${worth}`)).toEqual([
      '8×3 24',
      '60×3 180',
      '600×3 1800',
      '2000×3 6000',
    ]);
    expect(trace.steps[0]!.gives[0]!.worth.toString()).toBe('24');
    expect(said(trace, 'value')[9]).toBe(
      'The first two factors make 2668; all of it is taken 3 times.',
    );
    expect(answerText(trace)).toBe('8004');
  });

  it('carry a slip of one stage on into the next', () => {
    const answers = slipAnswers('partial-products', '12 × 3 × 2');
    expect(answers).toEqual(expect.arrayContaining(['drop-zeros@1 18', 'drop-zeros@2 18']));
  });

  it('show the next factor only when its stage begins', () => {
    const trace = worked('grid-multiplication', '46 × 58 × 3');
    expect(paperText(trace, 6)).not.toContain('2668');
    expect(paperText(trace, 8)).toMatch(/2000 +600 +60 +8/);
  });
});
