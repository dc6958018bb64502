import { sheetText } from '../sheet/text-sink.ts';
import { readComputation } from './computation.ts';
import { ownLinesMethod } from './method.ts';
import { workOf } from './own-work.ts';

function written(problem: string, ...lines: readonly string[]): string {
  const read = readComputation(problem);
  if (!read.ok) throw new Error(problem);
  const method = ownLinesMethod(workOf(lines));
  const trace = method.trace(read.problem);
  return sheetText(method.sheet(trace), trace);
}

describe('the sheet of own lines as text', () => {
  it('has a word on the row of each line', () => {
    expect(written('46 × 58', '= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668'))
      .toMatchInlineSnapshot(`
     "46 ×  58

     =  46 × 60    − 46 × 2 ✓ distributive law
     =   2760   − 92        ✓ worked out
     =   2668               ✓ worked out"
    `);
  });

  it('has chunks as whole statements, and what they come to', () => {
    expect(written('952 ÷ 7', '7 × 100 = 700', '7 × 36 = 252', '100 + 36', '= 136'))
      .toMatchInlineSnapshot(`
     "952  ÷ 7

         7 × 100 = 700   ✓ goes on below
         7 × 36 = 252    ✓ goes on below
     =  100  +  36       ✓ distributive law

     =  136              ✓ worked out"
    `);
  });

  it('has letters as they are typed, a wrong line, and one that cannot be read', () => {
    expect(written('(x+4)(3x−2)', '= 3x(x+4) − 2(x+4)', '= 3x^2 + 10x + 8', '= 3x(('))
      .toMatchInlineSnapshot(`
     "(x + 4)  (3x − 2)

      =  3x(x + 4)   − 2(x + 4)  ✓ distributive law
      =  3x² +  10x  + 8         ✗ 16 too much
      =  3x((                    ? not read"
    `);
  });

  it('has jumps from landing to landing', () => {
    expect(written('642 − 387', '387 +13→ 400 +242→ 642', '= 255')).toMatchInlineSnapshot(`
     "642  − 387

     387  + 13  → 400  +  242  → 642  ✓ missing part
     =  255                           ✓ worked out"
    `);
  });
});
