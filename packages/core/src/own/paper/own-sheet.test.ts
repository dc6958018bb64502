import { drawSheet } from '../../sheet/drawing.ts';
import { sheetText } from '../../sheet/text-sink.ts';
import { readComputation } from '../../problem/computation.ts';
import { ownLinesMethod } from './method.ts';
import { lineBands } from './own-sheet.ts';
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

  it('has jumps on from a number, by statements too, as they were typed', () => {
    expect(written('38 + 27', '38 +2→ 40 +25→ 65')).toMatchInlineSnapshot(`
     "38 +  27

     38 + 2  →  40 +  25 →  65  ✓ missing part"
    `);
    expect(written('642 − 387', '387 + 13 = 400', '400 + 242 = 642', '13 + 242 = 255'))
      .toMatchInlineSnapshot(`
     "642  − 387

          387 + 13 = 400     ✓ goes on below
          400 + 242 = 642    ✓ goes on below
        13 +  242  =  255    ✓ missing part"
    `);
  });

  it('has several signs on a line where they were typed', () => {
    expect(written('38 + 27', '38 + 27 = 40 + 25 = 65')).toMatchInlineSnapshot(`
     "38 +  27

        38 + 27   =  40 +  25 =  65  ✓ give and take"
    `);
    expect(written('38 + 27', '= 40 + 25 = 65')).toMatchInlineSnapshot(`
     "38 +  27

     =  40 +  25  =  65 ✓ give and take"
    `);
  });

  it('has the pairs of a ratio table, and what each comes from', () => {
    expect(written('952 ÷ 7', '1 | 7', '10 | 70', '100 | 700', '30 | 210', '6 | 42', '136 | 952'))
      .toMatchInlineSnapshot(`
     "952  ÷ 7

           1 | 7     ✓ in the ratio
          10 | 70    ✓ times 10
         100 | 700   ✓ times 10

           30 | 210  ✓ times 3
            6 | 42   ✓ divided by 5

         136 | 952   ✓ missing part"
    `);
    expect(written('24 × 15', '1 | 15; 20 | 300; 4 | 60', '24 | 360')).toMatchInlineSnapshot(`
     "24 ×  15

           1 | 15; 20 | 300; 4 | 60    ✓ divided by 5
         24 | 360                      ✓ missing part"
    `);
  });

  it('has computations that no method works, and other bases', () => {
    expect(written('7 − 3 + 2', '= 9 − 3', '= 6')).toMatchInlineSnapshot(`
     "7  − 3 + 2

      =  9 − 3  ✓ worked out
      =  6      ✓ worked out"
    `);
    expect(written('3/4 ÷ 1/2', '= 6/4', '= 1 1/2')).toMatchInlineSnapshot(`
     "3/4÷ 1/2

       = 6/4  ✓ worked out

       = 1 1/2✓ wholes as parts"
    `);
    expect(written('132_5 + 44_5', '= 130_5 + 101_5', '= 231_5')).toMatchInlineSnapshot(`
     "132  +  44

     =  130  +  101  ✓ give and take
     =  231          ✓ worked out"
    `);
    expect(written('12 × 25 × 8', '= 12 × 200', '= 2400')).toMatchInlineSnapshot(`
     "12 ×  25 × 8

     =   12 × 200  ✓ worked out
     =   2400      ✓ worked out"
    `);
  });

  it('has long lines on several rows, each beginning with its sign, and what is said of them below', () => {
    const terms = Array.from({ length: 12 }, (_, k) => String(k + 11));
    const turned = [...terms.slice(1), terms[0]].join(' + ');
    expect(
      written(
        terms.join(' + '),
        `= ${turned}`,
        '= 198',
        'first I turned them all around, so that the first came last',
      ),
    ).toMatchInlineSnapshot(`
     "11 +  12 +  13 +  14 +  15 +  16 + 17 +  18

        +  19 +  20 +  21 +  22
     =  12 +  13 +  14 +  15 +  16 +  17 +  18 +  19
        +  20 +  21 +  22 +  11 ✓ other order

     =  198                     ✓ worked out
              first I turned them all around,

             so that the first came last"
    `);
  });
});

describe('a row of a line of someone’s own', () => {
  const sheetOf = (problem: string, lines: readonly string[]) => {
    const read = readComputation(problem);
    if (!read.ok) throw new Error(problem);
    const method = ownLinesMethod(workOf(lines));
    const trace = method.trace(read.problem);
    const bands = lineBands(trace, method.judged(read.problem));
    return { trace, sheet: method.sheet(trace), bands };
  };
  const many = Array.from({ length: 40 }, (_, k) => 100 + k).join(' + ');
  it.each([
    ['46 × 58', ['= 40 × 50 + 40 × 8 + 6 × 50 + 6 × 8 + 1000 − 1000 + 250 − 250', '= 2668']],
    [many, [`= ${many}`]],
    [
      '7 + 8',
      ['many words that nobody can read as mathematics but that are kept as they were typed here'],
    ],
    ['642 − 387', ['387 +13→ 400 +100→ 500 +100→ 600 +42→ 642', '= 255']],
  ])('of %s is never wider than can be read, and lies in its band', (problem, lines) => {
    const { trace, sheet, bands } = sheetOf(problem, lines);
    const { figures } = drawSheet(sheet, trace);
    const boxes = figures.map(({ box }) => box);
    const left = Math.min(...boxes.map(({ x }) => x));
    const right = Math.max(...boxes.map(({ x, width }) => x + width));
    expect(right - left).toBeLessThanOrEqual(17.5);
    expect(bands).toHaveLength(lines.length + 1);
    bands.slice(1).forEach(({ y }, k) => expect(y).toBeCloseTo(bands[k]!.y + bands[k]!.height));
    const last = bands.at(-1)!;
    for (const { y, height } of boxes) expect(y + height / 2).toBeLessThanOrEqual(last.y);
  });
});
