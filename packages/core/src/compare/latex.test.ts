import fc from 'fast-check';
import { PLAIN_NOTATION } from '../exact/notation.ts';
import { valueOf } from '../laws/written.ts';
import { problemText, problemValue } from '../problem/problem.ts';
import { readExpression } from '../problem/read-expression.ts';
import { scriptOf } from '../problem/script.ts';
import { comparisons } from '../testing/arbitraries.ts';
import { reasonsLatex } from './certificate/agreement-export.ts';
import { reasonsOf } from './certificate/reasons.ts';
import { compare } from './compare.ts';

/** The right sides of all lines of a display, as the problem language has them. */
function linesOf(latex: string): readonly string[] {
  return latex.split('\n').flatMap((line) => {
    const [, side] = /&= (.*) && /.exec(line) ?? [];
    return side === undefined ? [] : [side.replaceAll(/[{}]/g, '').replaceAll('\\times', '×')];
  });
}

describe('certificates in LaTeX', () => {
  it('hold in every line what the problem makes, with every sign', () => {
    let read = 0;
    const named = comparisons(4).map((one) => ({
      ...one,
      [fc.toStringMethod]: () => problemText(one.problem),
    }));
    fc.assert(
      fc.property(named, ({ problem, chosen }) => {
        const isPlain = scriptOf(problem) === 'figures' && problem.base === 10;
        if (!isPlain || problem.kind === 'quotient' || problem.kind === 'root') return;
        const comparison = compare(problem, chosen);
        const names = { method: (id: string) => id, notation: PLAIN_NOTATION };
        for (const line of linesOf(reasonsLatex(reasonsOf(comparison), names))) {
          const expression = readExpression(line);
          if (!expression.ok) throw new Error(`"${line}" cannot be read`);
          const made = valueOf(expression.expression);
          expect([line, made?.toString()]).toEqual([line, problemValue(problem).toString()]);
          read += 1;
        }
      }),
      { numRuns: 150 },
    );
    expect(read).toBeGreaterThan(200);
  });
});
