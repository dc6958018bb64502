/** @jest-environment jsdom */
import { readProblem } from '@levee/core';
import { Rendered } from '../testing/render.tsx';
import { LettersOf } from './letters.tsx';
import { MathText, mathPieces } from './math-text.tsx';
import { SvgMath } from './svg-math.tsx';

const page = new Rendered();

const marked = (text: string, letters: string) =>
  mathPieces(text, letters)
    .map(({ kind, text: piece }) => (kind === 'plain' ? piece : `<${piece}>`))
    .join('');

describe('mathematics in a sentence', () => {
  it.each([
    ['3x² − 2x + 4', 'x', '3<x²> − 2<x> + 4'],
    ['Every x meets every 2xy.', 'xy', 'Every <x> meets every 2<xy>.'],
    ['the sixths: 5/6 and 1 1/3', '', 'the sixths: <5/6> and 1 <1/3>'],
    ['−1/2 x²y is left', 'xy', '−<1/2> <x²y> is left'],
    ['a pair makes 2a + 3b', 'ab', 'a pair makes 2<a> + 3<b>'],
    ['a · b = ab', 'ab', '<a> · <b> = <ab>'],
    ['this is an example', 'ais', 'this is an example'],
    ['46 × 58', '', '46 × 58'],
  ])('%s with %s is %s', (text, letters, pieces) => {
    expect(marked(text, letters)).toBe(pieces);
  });

  it('is set in slanted letters and as fractions, only where letters stand for numbers', () => {
    const read = readProblem('(x + 1)(x − 2)');
    if (!read.ok) throw new Error('the problem cannot be read');
    page.show(
      <LettersOf problem={read.problem}>
        <p>
          <MathText text="exactly 1/2 x²" />
        </p>
        <svg>
          <SvgMath x={0} y={0} text="3/4 x" />
        </svg>
      </LettersOf>,
    );
    expect(page.texts('p i')).toEqual(['x']);
    expect(page.text('p')).toBe('exactly 1/2 x²');
    expect(page.all('p .katex')).toHaveLength(1);
    expect(page.texts('svg .letters')).toEqual(['x']);
    expect(page.texts('svg .fraction')).toEqual(['3/4']);
    page.show(<MathText text="exactly x²" />);
    expect(page.all('i')).toHaveLength(0);
  });
});
