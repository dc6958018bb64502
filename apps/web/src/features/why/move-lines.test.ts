import { agreement, PLAIN_NOTATION } from '@levee/core';
import { workedWith } from '../../testing/scene.ts';
import { moveLines, MOST_TOLD } from './move-lines.ts';

describe('moveLines', () => {
  it('begin with the problem and end with its value', () => {
    const certificate = agreement(workedWith('46 × 58', ['lattice']).comparison);
    const lines = moveLines(certificate.methods[0]!, certificate, { times: '·', point: '.' });
    expect(lines[0]!.tex(true)).toBe(
      '46 \\cdot 58 = {6 \\cdot 8} + {40 \\cdot 8} + {6 \\cdot 50} + {40 \\cdot 50}',
    );
    expect([lines.at(-1)!.tex(true), lines.at(-1)!.law]).toEqual([' = 2668', 'evaluate']);
  });

  it('write the figures and the problem in its base', () => {
    const certificate = agreement(workedWith('11_2 × 10_2', ['lattice']).comparison);
    const lines = moveLines(certificate.methods[0]!, certificate, PLAIN_NOTATION);
    expect(lines[0]!.tex(true)).toMatch(/^11_\{2\} \\times 10_\{2\} = /);
    expect(lines.at(-1)!.tex(true)).toBe(' = 110');
  });

  it('tell a long line by its ends and by what is new in it', () => {
    const addends = Array.from({ length: 40 }, (_, k) => 3 + (k % 6)).join(' + ');
    const certificate = agreement(workedWith(addends, ['running-total']).comparison);
    const lines = moveLines(certificate.methods[0]!, certificate, PLAIN_NOTATION);
    const [, second] = lines;
    expect(lines[0]!.size).toBe(40);
    expect(second!.tex(true).length).toBeGreaterThan(150);
    for (const line of lines.filter(({ size }) => size > MOST_TOLD)) {
      expect(line.tex(false).length).toBeLessThan(120);
      expect(line.tex(false)).toContain('\\cdots');
    }
    for (const line of lines.filter(({ size }) => size <= MOST_TOLD)) {
      expect(line.tex(false)).toBe(line.tex(true));
    }
    expect(lines.map(({ tex }) => tex(false)).slice(0, 3)).toMatchInlineSnapshot(`
     [
       " = {3} + {4} + {5} + \\cdots + {5} + {6}",
       " = ({3} + {4}) + {5} + {6} + \\cdots + {5} + {6}",
       " = 7 + {5} + {6} + \\cdots + {5} + {6}",
     ]
    `);
  });
});
