import { numeral } from '../exact/numeral.ts';
import { registry } from '../methods/index.ts';
import { makeProblem, readProblem } from '../problem/problem.ts';
import { productProblem } from '../problem/problem.ts';
import {
  choiceName,
  everySchool,
  kindOf,
  type MethodChoice,
  type SampleKind,
} from '../testing/arbitraries.ts';
import { sheetSvg } from './svg-sink.ts';
import { sheetText } from './text-sink.ts';
import { markState, timeline } from './visible.ts';

function product(a: string, b: string, base = 10) {
  return productProblem([numeral(a, base), numeral(b, base)]);
}

const NEGATIVE = makeProblem('difference', [numeral('38'), numeral('52')]);

describe('plain-text sheets', () => {
  const works = (kind: SampleKind) =>
    everySchool
      .filter(({ method }) => kindOf(method) === kind)
      .map((choice) => [choiceName(choice), choice] as const);
  const page = ({ method, school }: MethodChoice, text: string) => {
    const read = readProblem(text);
    if (!read.ok) throw new RangeError(text);
    const trace = method.trace(read.problem, { school });
    return `\n${sheetText(method.sheet(trace), trace)}\n`;
  };

  it.each(works('product'))('%s on 406 × 58', (_, choice) => {
    expect(page(choice, '406 × 58')).toMatchSnapshot();
  });

  it.each(works('sum'))('%s on 386 + 58', (_, choice) => {
    expect(page(choice, '386 + 58')).toMatchSnapshot();
  });

  it.each(works('sum').filter(([, { method }]) => method.id !== 'compensation-addition'))(
    '%s on a string of addends',
    (_, choice) => expect(page(choice, '47 + 9 + 188 + 76')).toMatchSnapshot(),
  );

  it.each(works('difference'))('%s on 7042 − 2586', (_, choice) => {
    expect(page(choice, '7042 − 2586')).toMatchSnapshot();
  });

  it.each(works('difference').filter(([, { method }]) => method.accepts(NEGATIVE).ok))(
    '%s on 38 − 52, a negative difference',
    (_, choice) => {
      expect(page(choice, '38 − 52')).toMatchSnapshot();
    },
  );

  const stopsBy = (...stops: readonly string[]) =>
    works('quotient').filter(([, { school }]) => stops.includes(school['stop']!));

  it.each(stopsBy('by-the-numbers'))('%s on 2835 ÷ 7 and on 1835 ÷ 24', (_, choice) => {
    expect(page(choice, '2835 ÷ 7') + page(choice, '1835 ÷ 24')).toMatchSnapshot();
  });

  it.each(stopsBy('decimals', 'tenths'))('%s on 0.16 ÷ 2.2', (_, choice) => {
    expect(page(choice, '0.16 ÷ 2.2')).toMatchSnapshot();
  });

  const mixed = registry.methods.filter(({ family }) => family === 'fractions');
  it.each(
    mixed.map((method): [string, MethodChoice] => [
      method.id,
      { method, school: method.defaultSchool },
    ]),
  )('%s on fractions', (id, choice) => {
    const text = id.startsWith('mixed') ? '5 1/6 − 2 3/4' : '1/2 + 1/3 + 3/4';
    expect(page(choice, text)).toMatchSnapshot();
  });

  it.each(works('fraction products'))('%s on fractions and mixed numbers', (_, choice) => {
    const texts = ['3/4 × 4/9', '1 1/2 × 2 1/3', '5 × 3/4'];
    expect(texts.map((text) => page(choice, text)).join('')).toMatchSnapshot();
  });

  it.each(works('fraction quotients'))('%s on fractions and mixed numbers', (_, choice) => {
    const texts = ['3/4 ÷ 2/3', '6 ÷ 3/4', '5 1/3 ÷ 1 1/6'];
    expect(texts.map((text) => page(choice, text)).join('')).toMatchSnapshot();
  });

  const lettered = (kind: SampleKind) =>
    everySchool
      .filter(({ method }) => kindOf(method) === kind)
      .map((choice) => [choiceName(choice), choice] as const);

  it.each(lettered('letter sums'))('%s on brackets and on a line of terms', (_, choice) => {
    const texts = ['(x^3 + 5x^2) − (2x^2 − 7x)', '3x + 5 − 2x − 1/2 y − 5'];
    expect(texts.map((text) => page(choice, text)).join('')).toMatchSnapshot();
  });

  it.each(lettered('letter products'))('%s on two brackets and on a power', (_, choice) => {
    const texts = ['(x + 4)(3x − 2)', '(2x − 1)^3', '(x − 2)(x + 2)'];
    expect(texts.map((text) => page(choice, text)).join('')).toMatchSnapshot();
  });

  it.each(works('root'))('%s on roots', (_, choice) => {
    const texts = ['√7396', '√72', '√10609'];
    expect(texts.map((text) => page(choice, text)).join('')).toMatchSnapshot();
  });

  const byDefault = registry.methods.map((method): [string, MethodChoice] => [
    method.id,
    { method, school: method.defaultSchool },
  ]);
  const POINTED = { product: '3.06 × 1.8', sum: '3.06 + 1.8', difference: '5.2 − 1.84' } as const;

  it.each(byDefault.filter(([, { method }]) => kindOf(method) in POINTED))(
    '%s on numbers with a point',
    (_, choice) => {
      const kind = kindOf(choice.method) as keyof typeof POINTED;
      expect(page(choice, POINTED[kind])).toMatchSnapshot();
    },
  );

  it.each(byDefault.filter(([, { method }]) => kindOf(method) === 'product'))(
    '%s on three factors',
    (_, choice) => expect(page(choice, '12 × 3.5 × 0.4')).toMatchSnapshot(),
  );

  it('show a moment of the work, with struck marks and what is held', () => {
    const column = registry.get('column-multiplication');
    const school = { ...column.defaultSchool, carries: 'in-the-head' };
    const trace = column.trace(product('46', '58'), { school });
    expect(`\n${sheetText(column.sheet(trace), trace, { step: 4 })}\n`).toMatchSnapshot();
    const above = column.trace(product('46', '58'));
    const text = sheetText(column.sheet(above), above, {
      step: 4,
      notes: false,
      notation: { times: '·', point: '.' },
    });
    expect(text).toContain('4̶');
    expect(text).toContain('·');
    expect(text).not.toContain('46 ×');
  });

  it('write other bases in their own figures', () => {
    const lattice = registry.get('lattice');
    const trace = lattice.trace(product('AF', '2C', 16));
    expect(`\n${sheetText(lattice.sheet(trace), trace)}\n`).toMatchSnapshot();
  });
});

describe('SVG sheets', () => {
  const grid = registry.get('grid-multiplication');
  const trace = grid.trace(product('46', '58'));

  it('hold every written mark by its entry and nothing foreign', () => {
    const svg = sheetSvg(grid.sheet(trace), trace, { title: 'a < b & "c"' });
    for (const mark of trace.steps.flatMap((step) => step.gives)) {
      expect(svg).toContain(`data-entry="${mark.id}"`);
    }
    expect(svg).toContain('<title>a &lt; b &amp; &quot;c&quot;</title>');
    expect(svg).not.toMatch(/NaN|undefined|href|<script/);
  });

  it('leave out what is not written yet', () => {
    const [first, second] = trace.steps.flatMap((step) => step.gives);
    const svg = sheetSvg(grid.sheet(trace), trace, { step: 1, notches: false });
    expect(svg).toContain(`data-entry="${first!.id}"`);
    expect(svg).not.toContain(`data-entry="${second!.id}"`);
  });
});

describe('the timeline', () => {
  it('tells when a mark is new, live, used and struck', () => {
    const column = registry.get('column-multiplication');
    const trace = column.trace(product('46', '58'));
    const line = timeline(trace);
    const carry = trace.steps[0]!.gives.find((mark) => mark.role === 'carry')!;
    const eight = trace.steps[0]!.gives.find((mark) => mark.role === 'product')!;
    const states = (id: typeof carry.id) =>
      [0, 1, 2, 9].map((step) => markState(line, id, step)).join(' ');
    expect(states(carry.id)).toBe('absent new struck struck');
    expect(states(eight.id)).toBe('absent new live used');
  });
});
