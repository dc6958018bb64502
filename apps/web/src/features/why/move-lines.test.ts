import { agreement, PLAIN_NOTATION } from '@levee/core';
import { workedWith } from '../../testing/scene.ts';
import { moveLines } from './move-lines.ts';

describe('moveLines', () => {
  it('begin with the problem and end with its value', () => {
    const certificate = agreement(workedWith('46 × 58', ['lattice']).comparison);
    const lines = moveLines(certificate.methods[0]!, certificate, { times: '·', point: '.' });
    expect(lines[0]!.tex).toBe(
      '46 \\cdot 58 = {6 \\cdot 8} + {40 \\cdot 8} + {6 \\cdot 50} + {40 \\cdot 50}',
    );
    expect(lines.at(-1)).toEqual({ tex: ' = 2668', law: 'evaluate' });
  });

  it('write the figures and the problem in its base', () => {
    const certificate = agreement(workedWith('11_2 × 10_2', ['lattice']).comparison);
    const lines = moveLines(certificate.methods[0]!, certificate, PLAIN_NOTATION);
    expect(lines[0]!.tex).toMatch(/^11_\{2\} \\times 10_\{2\} = /);
    expect(lines.at(-1)!.tex).toBe(' = 110');
  });
});
