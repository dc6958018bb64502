import { answerText } from '../../account/answer-text.ts';
import { Exact } from '../../exact/exact.ts';
import { compare } from '../../compare/compare.ts';
import { cost } from '../../compare/counted/cost.ts';
import { foresee } from '../../compare/looked-at.ts';
import { pointAt } from '../../compare/amounts.ts';
import { stepLabels } from '../../compare/looked-at.ts';
import { speakerFor } from '../../phrases/speaker.ts';
import { DEFAULT_VOCABULARY } from '../../phrases/vocabulary.ts';
import { drawSheet } from '../../sheet/drawing.ts';
import { marksOf, problemFrom, said, slipAnswers, worked } from '../../testing/work.ts';
import { registry } from '../index.ts';
import { refusalText } from '../method.ts';

const refusal = (id: string, text: string): string => {
  const accepted = registry.get(id).accepts(problemFrom(text));
  return accepted.ok ? 'accepted' : refusalText(accepted.reason);
};

const glyphs = (id: string, text: string, area: string, school = {}): string =>
  marksOf(worked(id, text, { school }))
    .filter(({ spot }) => spot.area === area)
    .map(({ glyph }) => glyph)
    .join(' ');

describe('brackets multiplied', () => {
  it('go by arcs, by a grid and by four words to the same terms', () => {
    const answers = ['expand-arcs', 'expand-grid', 'expand-foil'].map((id) =>
      worked(id, '(x + 4)(3x − 2)').answer.toString(),
    );
    expect(new Set(answers)).toEqual(new Set(['3x^2+10x-8']));
    expect(glyphs('expand-arcs', '(x + 4)(3x − 2)', 'product')).toBe('3x² −2x +12x −8');
    expect(glyphs('expand-grid', '(x + 4)(3x − 2)', 'cell')).toBe('3x² 12x −2x −8');
    expect(glyphs('expand-foil', '(x + 4)(3x − 2)', 'answer')).toBe('3x² +10x −8');
  });

  it('gather by power as one-line multiplication gathers places', () => {
    const text = '(3x^2 + 4x + 6)(x^2 + 2x + 5)';
    const products = glyphs('expand-arcs', text, 'product', { order: 'by-power' });
    expect(products).toBe('3x⁴ +6x³ +4x³ +15x² +8x² +6x² +20x +12x +30');
    const [letters, figures] = [
      worked('expand-arcs', text, { school: { order: 'by-power' } }),
      worked('crosswise', '346 × 125'),
    ];
    expect(letters.start.map(({ id }) => id)).toEqual(figures.start.map(({ id }) => id));
  });

  it('are put together in the word that is chosen for it', () => {
    const trace = worked('expand-grid', '(x + 4)(3x − 2)');
    expect(said(trace, 'value').at(-2)).toBe('Collect 12 and −2 times x: 10x.');
    const combined = said(trace, 'value', { gather: 'combine' });
    expect(combined.at(-2)).toBe('Combine 12 and −2 times x: 10x.');
  });

  it('leave products as they are when nothing is to be gathered', () => {
    const trace = worked('expand-arcs', '3x(2x^2 + 5)');
    expect(trace.steps).toHaveLength(2);
    expect(answerText(trace)).toBe('6x³ + 15x');
    expect(answerText(worked('expand-arcs', '3x(5 + 2x^2)'))).toBe('6x³ + 15x');
    expect(worked('expand-arcs', '3x(5 + 2x^2)').steps).toHaveLength(4);
  });

  it('show terms cancelling, and write nothing for them', () => {
    const trace = worked('expand-foil', '(x − 2)(x + 2)');
    const cancelled = trace.steps.find(
      ({ phase, gives }) => phase.kind === 'gather' && gives.length === 0,
    )!;
    expect(cancelled.strikes).toHaveLength(2);
    expect(foresee(trace)).toEqual([{ kind: 'cancelling', places: [], times: 1 }]);
    expect(answerText(trace)).toBe('x² − 4');
    expect(answerText(worked('expand-grid', '(x − x)(x + 2)'))).toBe('0');
  });

  it('take three brackets two at a time, tidied or not, from either end, each stage in its way', () => {
    const text = '(x − 2)(x + 5)(x − 4)';
    const work = (school: Record<string, string>) => worked('expand-arcs', text, { school });
    const tidied = work({});
    const untidied = work({ tidy: 'at-the-end' });
    expect([cost(tidied).facts, cost(untidied).facts]).toEqual([10, 12]);
    expect([cost(tidied).terms, cost(untidied).terms]).toEqual([6, 8]);
    const fromRight = work({ start: 'the-last-two', third: 'grid' });
    for (const trace of [untidied, fromRight])
      expect(trace.answer.equals(tidied.answer)).toBe(true);
    expect(fromRight.givens.map(({ glyph, operand }) => `${operand} ${glyph}`).slice(0, 4)).toEqual(
      ['1 x', '1 +5', '2 x', '2 −4'],
    );
    const areas = new Set(marksOf(fromRight).map(({ spot }) => spot.area));
    expect(areas).toEqual(new Set(['product', 'answer', 's2.cell', 's2.answer']));
  });

  it('meet in the same terms from whichever end they start', () => {
    const problem = problemFrom('(x − 2)(x + 2)(x − 4)');
    const arcs = registry.get('expand-arcs');
    const schools = ['the-first-two', 'the-last-two'].map((start) => ({
      method: arcs,
      school: { ...arcs.defaultSchool, start, tidy: 'at-the-end' },
    }));
    const comparison = compare(problem, schools);
    const last = comparison.lanes[0]!.trace.steps.findLast(
      ({ phase }) => phase.kind === 'products' && phase.stage === 2,
    )!;
    const id = last.gives[0]!.id;
    const subject = pointAt(comparison, { kind: 'entry', lane: 0, id })!;
    expect(subject.worth.toString()).toBe('16');
    expect(subject.counterparts[1]!.relation).toBe('same');
  });

  it('start first to last with a pair it can name, the chosen one where all will do', () => {
    const firstGivens = (text: string, school = {}) =>
      worked('expand-foil', text, { school })
        .givens.slice(0, 4)
        .map(({ operand, glyph }) => `${operand} ${glyph}`);
    expect(firstGivens('(x^2 + x + 1)(x − 2)(x + 5)')).toEqual(['1 x', '1 −2', '2 x', '2 +5']);
    expect(firstGivens('(x − 2)(x^2 + x + 1)(x + 5)')).toEqual(['0 x', '0 −2', '2 x', '2 +5']);
    const start = 'first-and-last';
    expect(firstGivens('(x − 2)(x + 4)(x + 2)', { start })).toEqual(['0 x', '0 −2', '2 x', '2 +2']);
    const [school] = registry.get('expand-foil').schools;
    expect(school!.matters!(problemFrom('(x − 2)(x + 4)(x + 2)'))).toBe(true);
    expect(school!.matters!(problemFrom('(x^2 + x + 1)(x − 2)(x + 5)'))).toBe(false);
  });

  it('tie like terms along the diagonals of a grid where they fall there', () => {
    const strokes = (text: string) => {
      const trace = worked('expand-grid', text);
      const { links } = registry.get('expand-grid').sheet(trace);
      return links.map(({ step, x1, x2, y1, y2 }) => [step, x1 > x2, y1 < y2].join());
    };
    expect(strokes('(3x^2 + 4x + 6)(x^2 + 2x + 5)')).toEqual([
      '11,true,true',
      '12,true,true',
      '12,true,true',
      '13,true,true',
    ]);
    expect(strokes('(x^2 + 1)(x + 1)')).toEqual([]);
    expect(strokes('(x + y)(x − z)')).toEqual([]);
  });

  it('refuse what they cannot honestly do, and say why', () => {
    expect(refusal('expand-foil', '(x^2 + x + 1)(x − 2)')).toMatch(
      /four products of two brackets of two terms; bracket 1 has 3 terms/,
    );
    expect(refusal('expand-foil', '3x(x − 2)')).toMatch(/bracket 1 has one term/);
    expect(refusal('expand-foil', '(x − 2)(x + 5)(x^2 + x + 1)')).toBe('accepted');
    expect(refusal('expand-arcs', '0x(x + 2)')).toMatch(/worth nothing; leave it out/);
    expect(refusal('expand-arcs', '46 × 58')).toMatch(/read the numbers as brackets/);
    expect(refusal('grid-multiplication', '(x + 4)(3x − 2)')).toMatch(/methods of their own/);
    expect(refusal('column-addition', '3x + 2x')).toMatch(/methods of their own/);
    expect(refusal('cross-products', '1/2 x + 1/3 x')).toMatch(/here are none/);
    expect(refusal('expand-grid', '(x+1)^8')).toMatch(/make 256 products/);
  });

  it('slip as learners do, each with its own wrong answer', () => {
    expect(slipAnswers('expand-foil', '(x + 4)(3x − 2)')).toEqual([
      'missed-product@1 10x-8',
      'square-as-double@1 16x-8',
      'exponents-multiplied@1 13x-8',
      'lost-sign@1 3x^2+14x-8',
      'missed-product@2 3x^2+12x-8',
      'missed-product@3 3x^2-2x-8',
      'lost-sign@2 3x^2+10x+8',
      'missed-product@4 3x^2+10x',
      'unlike-gathered@1 x^2+12x-8',
      'unlike-gathered@2 3x^2+2x',
      'exponents-added-in-sum@1 13x^2-8',
    ]);
  });
});

describe('numbers with a point before letters', () => {
  it('keep it on paper, in sentences and in the answer', () => {
    const trace = worked('like-terms-row', '(0.5x + 1.25) − (2x − 0.5)');
    expect(answerText(trace)).toBe('−1.5x + 1.75');
    expect(marksOf(trace).map(({ glyph }) => glyph)).toContain('+1.25');
    expect(trace.givens[0]!.glyph).toBe('0.5x');
    expect(stepLabels(trace, speakerFor(trace.problem, DEFAULT_VOCABULARY)).at(-1)).toBe('= 1.75');
    expect(said(trace).slice(2, 4)).toEqual([
      'The sign of −0.5 is turned: 0.5.',
      '0.5x and −2x: crossed and copied.',
    ]);
    expect(said(trace, 'value')[5]).toBe('Collect 0.5 and −2 times x: −1.5x.');
    const words = { ...DEFAULT_VOCABULARY, point: ',' as const };
    expect(speakerFor(trace.problem, words).worth(trace.answer)).toBe('−1,5x + 1,75');
  });

  it('are fractions where one of them never ends or was typed as one', () => {
    expect(answerText(worked('like-terms-row', '0.5x + 1/2'))).toBe('1/2 x + 1/2');
    expect(answerText(worked('like-terms-row', '0.5x + 1.25x'))).toBe('1.75x');
  });
});

describe('terms put together', () => {
  it('turn every sign behind a minus, then gather kind by kind', () => {
    const text = '(x^3 + 5x^2) − (2x^2 − 7x)';
    expect(glyphs('like-terms-row', text, 'line')).toBe('x³ +5x² −2x² +7x');
    expect(glyphs('like-terms-row', text, 'answer')).toBe('x³ +3x² +7x');
    expect(glyphs('like-terms-columns', text, 'table')).toBe('−2x² +7x');
    expect(foresee(worked('like-terms-row', text))).toEqual([
      { kind: 'minus times minus', places: [], times: 1 },
    ]);
  });

  it('need no turning where only terms follow each other', () => {
    const trace = worked('like-terms-row', '3x + 5 − 2x + 7');
    expect(trace.givens.map(({ glyph }) => glyph)).toEqual(['3x', '+5', '−2x', '+7']);
    expect(trace.steps.map(({ law }) => law)).toEqual([
      'reorder',
      'reorder',
      'like-terms',
      'like-terms',
    ]);
    expect(answerText(trace)).toBe('x + 12');
  });

  it('stand in a column for every power, single terms in one row as long as there is room', () => {
    const rows = worked('like-terms-columns', '3x + 5 − 2x + 7').givens.map(
      ({ spot }) => `${spot.row} ${spot.column}`,
    );
    expect(rows).toEqual(['0 0', '0 1', '1 0', '1 1']);
    const brackets = worked('like-terms-columns', '(x + 2x^2) − (3 − x) + 5');
    expect(brackets.givens.map(({ glyph, spot }) => `${spot.row} ${glyph}`)).toEqual([
      '0 +x',
      '0 2x²',
      '1 +3',
      '1 −x',
      '3 5',
    ]);
    expect(answerText(brackets)).toBe('2x² + 2x + 2');
  });

  it('come to nothing in the open', () => {
    for (const id of ['like-terms-row', 'like-terms-columns']) {
      const trace = worked(id, '(x + 2) − (x + 2)');
      expect([trace.answer.isZero, answerText(trace)]).toEqual([true, '0']);
      expect(trace.balanced).toBe(true);
    }
  });

  it('slip as learners do', () => {
    expect(slipAnswers('like-terms-row', '(5x + 1) − (2x − 3)')).toEqual([
      'first-term-only@1 3x-2',
      'missed-term@1 5x+4',
      'missed-term@2 3x+1',
      'unlike-gathered@1 4x+3',
      'exponents-added-in-sum@1 3x^2+4',
      'sum-joined-to-one-term@1 7x',
    ]);
  });

  it('are labelled and underlined by their kinds', () => {
    const trace = worked('like-terms-row', '3x + 5 − 2x − 5');
    const say = speakerFor(trace.problem, DEFAULT_VOCABULARY);
    expect(stepLabels(trace, say)).toEqual(['3x −2x', '5 −5', '= x', 'cancel']);
    const drawing = drawSheet(registry.get('like-terms-row').sheet(trace), trace);
    const lines = drawing.figures.flatMap(({ alike }) => (alike ? [alike.path] : []));
    expect(lines).toHaveLength(4);
    expect(lines.filter((path) => path.match(/M/g)!.length === 2)).toHaveLength(2);
    expect(drawing.figures.every(({ lettered }) => lettered)).toBe(true);
  });

  it('show the size of their numbers step by step', () => {
    const { numbersMet, terms } = cost(worked('like-terms-row', '(9x + 8) − (2x − 15)'));
    expect(numbersMet.map(String)).toEqual(['9', '2', '15', '9', '15', '7', '23']);
    expect(terms).toBe(4);
    expect(Exact.sum(numbersMet).toString()).toBe('80');
  });
});
