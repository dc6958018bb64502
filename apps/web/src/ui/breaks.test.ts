import katex from 'katex';
import { brokenBeforeSigns, texBrokenBeforeSigns } from './breaks.ts';

describe('lines', () => {
  it('end before a sign between amounts, and anywhere between words', () => {
    expect(brokenBeforeSigns('(40 + 6) × 8 − 2 = 366, as −5 + 3')).toBe(
      '(40 +\u00a06) ×\u00a08 −\u00a02 =\u00a0366, as −5 +\u00a03',
    );
    expect(brokenBeforeSigns('ten of one place')).toBe('ten of one place');
  });

  it('of typeset mathematics end before a sign too', () => {
    const html = katex.renderToString(texBrokenBeforeSigns('80^2 + 6 \\cdot 7 = x'), {
      output: 'html',
    });
    // What KaTeX keeps together in a line: every piece after the first begins with its sign.
    const pieces = html.split('class="katex-base"').slice(1);
    const signs = pieces.map((piece) => /class="m(?:bin|rel)">(.)/.exec(piece)?.[1]);
    expect(signs).toEqual([undefined, '+', '⋅', '=']);
  });
});
