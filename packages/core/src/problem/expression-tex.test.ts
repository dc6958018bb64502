import { expressionTex } from './expression-tex.ts';
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
