import fc from 'fast-check';
import katex from 'katex';
import { numeralText } from '../exact/numeral.ts';
import { expressionText, type Expression, type SumPart } from './expression.ts';
import { expressionTex } from './expression-tex.ts';
import { failureText } from './failure.ts';
import { readExpression } from './read-expression.ts';

describe('expressionTex', () => {
  it.each([
    ['46 x 58', '46 \\times 58'],
    ['1011_2 * 110_2', '\\mathrm{1011}_{2} \\times \\mathrm{110}_{2}'],
    ['5 1/6 - 2 5/6', '5\\,\\frac{1}{6} - 2\\,\\frac{5}{6}'],
    ['(3x-1)(x+4)^2', '\\left(3x - 1\\right)\\left(x + 4\\right)^{2}'],
    ['sqrt(7396)', '\\sqrt{7396}'],
    ['31.5 ÷ 0.7', '31.5 \\div 0.7'],
    ['-3 × 4', '\\left(-3\\right) \\times 4'],
    ['2(3+4)', '2\\left(3 + 4\\right)'],
  ])('typesets %s', (text, tex) => {
    const read = readExpression(text);
    expect(read.ok && expressionTex(read.expression)).toBe(tex);
  });

  it('writes the times sign as it is wanted', () => {
    const read = readExpression('46 × 58');
    expect(read.ok && expressionTex(read.expression, { times: '·', point: '.' })).toBe(
      '46 \\cdot 58',
    );
  });
});

/** Typeset mathematics as it is read by a person, back in the problem language. */
function readBack(tex: string): string {
  const brace = String.raw`\{((?:[^{}]|\{[^{}]*\})*)\}`;
  let text = tex.replaceAll('\\left', '').replaceAll('\\right', '');
  for (let before = ''; before !== text;) {
    before = text;
    text = text
      .replaceAll(new RegExp(String.raw`\\mathrm\{([0-9A-F.]+)\}_\{(\d+)\}`, 'g'), '$1_$2')
      .replaceAll(/\\frac\{([0-9._A-F]+)\}\{([0-9._A-F]+)\}/g, '$1/$2')
      .replaceAll(new RegExp(String.raw`\\sqrt${brace}`, 'g'), '√($1)')
      .replaceAll(/\^\{([0-9._A-F]+)\}/g, '^$1');
  }
  return text.replaceAll('\\,', ' ').replaceAll('\\times', '×').replaceAll('\\div', '÷');
}

/** What an expression says: brackets that change nothing are gone, factors and addends in one list. */
function meaning(of: Expression): unknown {
  switch (of.kind) {
    case 'product':
      return signed(of.factors.flatMap(factorsOf));
    case 'negative':
      return meaning({ kind: 'product', factors: [MINUS, of.of] });
    case 'quotient':
      return ['quotient', meaning(of.dividend), meaning(of.divisor)];
    case 'sum':
      return ['sum', ...of.parts.flatMap(addendsOf)];
    case 'power':
      return ['power', meaning(of.of), numeralText(of.exponent)];
    case 'root':
      return ['root', meaning(of.of)];
    default:
      return expressionText(of);
  }
}

const MINUS: Expression = { kind: 'letter', name: '−1' };

/** Factors with the minuses among them in front. */
function signed(factors: readonly unknown[]): unknown {
  const minus = expressionText(MINUS);
  const others = factors.filter((factor) => factor !== minus);
  const turns = (factors.length - others.length) % 2 === 1 ? [minus] : [];
  return turns.length + others.length === 1 ? others[0] : ['product', ...turns, ...others];
}

function factorsOf(of: Expression): readonly unknown[] {
  if (of.kind === 'negative') return [expressionText(MINUS), ...factorsOf(of.of)];
  return of.kind === 'product' ? of.factors.flatMap(factorsOf) : [meaning(of)];
}

/** An addend with its sign; minuses among its factors count for it. */
function addendsOf({ minus, of }: SumPart): readonly unknown[] {
  const factors = factorsOf(of);
  const others = factors.filter((factor) => factor !== expressionText(MINUS));
  const turns = factors.length - others.length + (minus ? 1 : 0);
  return [[turns % 2 === 1, others.length === 1 ? others[0] : ['product', ...others]]];
}

const simple = fc.constantFrom('x', 'y', '7', '12.5', '1/2', '3 1/4', '1011_2', '40');
const expressions = fc.letrec<{ any: string }>((tie) => ({
  any: fc.oneof(
    { maxDepth: 4 },
    simple,
    fc.tuple(tie('any'), fc.integer({ min: 2, max: 12 })).map(([of, n]) => `(${of})^${n}`),
    fc.tuple(tie('any'), tie('any')).map(([a, b]) => `(${a}) × (${b})`),
    fc.tuple(tie('any'), tie('any')).map(([a, b]) => `(${a}) ÷ (${b})`),
    fc.tuple(tie('any'), tie('any')).map(([a, b]) => `(${a}) + (${b})`),
    fc.tuple(tie('any'), tie('any')).map(([a, b]) => `(${a}) - (${b})`),
    tie('any').map((of) => `-(${of})`),
    tie('any').map((of) => `√(${of})`),
  ),
})).any;

describe('typeset mathematics', () => {
  it.each([
    ['(3x)^2+1', '\\left(3x\\right)^{2} + 1'],
    ['(xy)^3(x+1)', '\\left(xy\\right)^{3}\\left(x + 1\\right)'],
    ['(x^2)^3+1', '\\left(x^{2}\\right)^{3} + 1'],
    ['(1/2)^2', '\\left(\\frac{1}{2}\\right)^{2}'],
    ['6 ÷ (2 × 3)', '6 \\div \\left(2 \\times 3\\right)'],
  ])('says of %s what it says', (text, tex) => {
    const read = readExpression(text);
    expect(read.ok && expressionTex(read.expression)).toBe(tex);
  });

  it('is read back as what was typed, and is never refused by the typesetter', () => {
    fc.assert(
      fc.property(expressions, (text) => {
        const typed = readExpression(text);
        if (!typed.ok) throw new Error(`${text}: ${failureText(typed.reason)}`);
        const tex = expressionTex(typed.expression);
        katex.renderToString(tex, { throwOnError: true });
        const back = readExpression(readBack(tex));
        if (!back.ok) throw new Error(`${tex}: ${failureText(back.reason)}`);
        expect(meaning(back.expression)).toEqual(meaning(typed.expression));
      }),
      { numRuns: 800 },
    );
  });
});
