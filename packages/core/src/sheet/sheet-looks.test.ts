import { registry } from '../methods/index.ts';
import { marksOf, paperText, worked } from '../testing/work.ts';
import type { Trace } from '../account/account.ts';
import { drawSheet } from './drawing.ts';
import { sheetSvg } from './svg-sink.ts';
import { givenState, timeline } from './visible.ts';

const drawingOf = (trace: Trace) => drawSheet(registry.get(trace.method).sheet(trace), trace);
const svgOf = (trace: Trace, step?: number) =>
  sheetSvg(registry.get(trace.method).sheet(trace), trace, step === undefined ? {} : { step });

describe('figures of the question', () => {
  const trace = worked('decomposition', '642 − 387');
  const line = timeline(trace);

  it('are struck with the amount that they are', () => {
    const states = (step: number) =>
      trace.givens
        .map(({ id }) => `${id} ${givenState(line, id, step)}`)
        .filter((s) => s.endsWith('struck'));
    expect(states(0)).toEqual([]);
    expect(states(1)).toEqual(['g0.0 struck', 'g0.1 struck']);
    expect(states(5)).toEqual(['g0.0 struck', 'g0.1 struck', 'g0.2 struck']);
    expect(paperText(trace, 1)).toContain('4̶');
    expect(paperText(trace, 0)).not.toContain('̶');
  });

  it('are the place of what they owe, without a dot', () => {
    const { slots, figures } = drawingOf(trace);
    for (const { entry, dot, x, y } of slots) {
      const figure = figures.find(({ entry: id }) => id === `g${entry.slice(1)}`)!;
      expect([dot, x, y]).toEqual([false, figure.box.x, figure.box.y]);
    }
  });

  it('are struck in a picture too', () => {
    const strokes = (svg: string) => svg.match(/stroke-width="0.045"/g)?.length ?? 0;
    expect(strokes(svgOf(trace, 0))).toBe(0);
    expect(strokes(svgOf(trace, 1))).toBe(2);
  });
});

describe('numbers written whole', () => {
  it('end under each other', () => {
    const trace = worked('partial-differences', '7042 − 2586');
    const { figures } = drawingOf(trace);
    const parts = marksOf(trace).filter(({ spot }) => spot.area === 'part');
    const ends = parts.map(({ id, glyph }) => {
      const { texts, size } = figures.find(({ entry }) => entry === id)!;
      return texts[0]!.x + (glyph.length * size * 0.64) / 2;
    });
    for (const end of ends) expect(end).toBeCloseTo(ends[0]!, 9);
  });

  it('are struck over all their figures, and single figures across', () => {
    const trace = worked('compensation-subtraction', '642 − 387');
    const whole = drawingOf(trace).figures.find(({ entry }) => entry === 'g0')!;
    expect(whole.strike.across).toBeGreaterThan(whole.strike.up);
    expect(whole.strike.middle).toBeCloseTo(whole.texts[0]!.x, 9);
    const digit = drawingOf(worked('decomposition', '642 − 387')).figures[0]!;
    expect(digit.strike.across).toBeCloseTo(digit.strike.up, 1);
  });

  it('have no notches where their zeros tell the place', () => {
    const { figures } = drawingOf(worked('expanded-subtraction', '642 − 387'));
    expect(
      figures.filter(({ kind }) => kind === 'given').flatMap(({ notches }) => notches),
    ).toEqual([]);
  });
});

describe('marks with a look of their own', () => {
  it('ring the hops of a count', () => {
    const trace = worked('counting-up', '642 − 387');
    const ringed = drawingOf(trace).figures.filter((figure) => figure.ringed);
    expect(ringed.map(({ texts }) => texts[0]!.text)).toEqual(['+3', '+200', '+50', '+2']);
    expect(svgOf(trace).match(/rx="0.4"/g)).toHaveLength(4);
  });

  it('show what is held beside its line in brackets, and not in the tray', () => {
    const trace = worked('running-total', '7 + 9 + 4');
    const { figures, held } = drawingOf(trace);
    expect(held).toEqual([]);
    expect(
      figures.filter(({ kind }) => kind === 'held').map(({ texts }) => texts[0]!.text),
    ).toEqual(['(7)', '(16)']);
  });

  it('give a scratch no figure, only its place on the addend', () => {
    const trace = worked('scratch-addition', '7 + 9 + 4');
    const [scratch] = marksOf(trace).filter(({ role }) => role === 'scratch');
    const { figures } = drawingOf(trace);
    const own = figures.find(({ entry }) => entry === scratch!.id)!;
    const addend = figures.find(({ entry }) => entry === 'g1.0')!;
    expect([own.texts[0]!.text, own.notches, own.box]).toEqual(['', [], addend.box]);
  });

  it('fork a split addend to its pieces', () => {
    const { rulings } = registry
      .get('bridging-addition')
      .sheet(worked('bridging-addition', '96 + 18'));
    expect(rulings.filter(({ kind }) => kind === 'fork')).toHaveLength(3);
  });

  it('link crossing digits in their own step only', () => {
    const trace = worked('crosswise', '46 × 58');
    const links = (step: number) =>
      svgOf(trace, step).match(/stroke="#6b7780" stroke-width="0.045"/g)?.length ?? 0;
    expect([0, 1, 2, 3].map(links)).toEqual([0, 1, 2, 1]);
  });

  it('print the signs that a paper needs', () => {
    const signs = (id: string, text: string) =>
      registry
        .get(id)
        .sheet(worked(id, text))
        .signs.map(({ sign }) => sign);
    expect(signs('decomposition', '642 − 387')).toEqual(['minus']);
    expect(signs('left-to-right-addition', '46 + 58')).toEqual([
      'plus',
      'equals',
      'plus',
      'equals',
    ]);
    expect(signs('expanded-subtraction', '86 − 42')).toEqual([
      'plus',
      'plus',
      'plus',
      'minus',
      'equals',
    ]);
  });
});
