import fc from 'fast-check';
import { problemText } from '../problem/problem.ts';
import { problemFrom } from '../testing/work.ts';
import { MAX_ROWS, readRows } from './rows.ts';

const product = problemFrom('46 × 58');

function read(text: string, given: ReturnType<typeof problemFrom> | null = product) {
  const { rows, faults, renamed } = readRows(text, given);
  const told = rows.map(({ line, code, problem, answer }) => [
    line,
    code,
    problemText(problem),
    answer,
  ]);
  return { rows: told, faults, renamed };
}

describe('a list of answers', () => {
  it('is read by answer, by code and answer, by code, problem and answer', () => {
    expect(read('2668\n598').rows).toEqual([
      [1, '', '46 × 58', '2668'],
      [2, '', '46 × 58', '598'],
    ]);
    expect(read('code,answer\nT07, 2668\n\nT12,598').rows).toEqual([
      [2, 'T07', '46 × 58', '2668'],
      [4, 'T12', '46 × 58', '598'],
    ]);
    expect(read('T07;305 − 127;288\nT07;46 × 58;2668', null).rows).toEqual([
      [1, 'T07', '305 − 127', '288'],
      [2, 'T07', '46 × 58', '2668'],
    ]);
    expect(read('T07\t"642 - 387"\t255', null).rows).toEqual([[1, 'T07', '642 − 387', '255']]);
  });

  it('takes a comma between figures that stand alone for the sign before tenths', () => {
    expect(
      read('13,5\n13.5', problemFrom('5.4 × 2.5')).rows.map(([, code, , answer]) => [code, answer]),
    ).toEqual([
      ['', '13,5'],
      ['', '13.5'],
    ]);
  });

  it('gives whoever is named by no code a fresh one, and keeps no name in a row', () => {
    const { rows, renamed } = read('Ann Reed, 2668\nN1, 598\nAnn Reed, 2368\nBo, 2620');
    expect(rows.map(([, code]) => code)).toEqual(['N2', 'N1', 'N2', 'N3']);
    expect(renamed).toEqual([
      { given: 'Ann Reed', code: 'N2' },
      { given: 'Bo', code: 'N3' },
    ]);
    expect(JSON.stringify(rows)).not.toContain('Ann');
  });

  it('says in one sentence what is wrong with a line, and reads the others', () => {
    const { rows, faults } = read('T01, 46 ×, 12\nT02, 46 × 58, 2668\nT03, a, b, c, d\nT04', null);
    expect(rows).toEqual([[2, 'T02', '46 × 58', '2668']]);
    expect(faults).toEqual([
      { line: 1, fault: expect.stringMatching(/^The problem: /) },
      { line: 3, fault: 'This line has 5 parts; write code, problem, answer.' },
      { line: 4, fault: 'This line names no problem; write code, problem, answer.' },
    ]);
  });

  it('reads nothing of a list that is too long, and says so', () => {
    const { rows, faults } = read('2668\n'.repeat(10_000));
    expect(rows).toEqual([]);
    expect(faults).toEqual([
      {
        line: 1,
        fault: `The list has 10000 lines; at most ${MAX_ROWS} answers are read at a time. Nothing of it was read.`,
      },
    ]);
    expect(read('').rows).toEqual([]);
    const [long] = read('7'.repeat(400_001)).faults;
    expect(long!.fault).toContain('The list has 400001 characters; at most 400000 are read');
  });

  it('keeps of an answer only what is read as one, and offers the rest back once', () => {
    const text = 'T01, 375 Maria S.\nPer Berg: 375\nT02\t598\nMaria S., 375\nT03, 2668 m²';
    const made = readRows(text, product, ['m²']);
    expect(made.rows.map(({ code, answer }) => [code, answer])).toEqual([
      ['T01', '375'],
      ['T02', '598'],
      ['N1', '375'],
      ['T03', '2668 m²'],
    ]);
    expect(made.beside).toEqual([{ line: 1, text: 'Maria S.' }]);
    expect(made.faults.map(({ line }) => line)).toEqual([2]);
    expect(made.renamed).toEqual([{ given: 'Maria S.', code: 'N1' }]);
  });

  it('keeps no name of any script, wherever it stands', () => {
    const names = [
      'Maria S.',
      'Per Moe',
      'Łukasz',
      'Ömer',
      '李明',
      'Анна',
      'محمد',
      'Ana-Lucía',
      'O’Neil',
      'नेहा',
      'X Æ',
      'bo',
    ];
    const problems = [
      product,
      problemFrom('3/4 + 1/6'),
      problemFrom('(x+4)(3x−2)'),
      problemFrom('955 ÷ 7'),
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...names),
        fc.constantFrom(...problems),
        fc.constantFrom('375', '1 5/6', '3x+2', '136 r 3', '13,5', ''),
        fc.constantFrom(': ', ' ', ', ', '; ', '\t', '\t; ', ' (', ' = '),
        fc.nat({ max: 3 }),
        (name, problem, answer, between, order) => {
          const line = [
            `${name}${between}${answer}`,
            `${answer}${between}${name}`,
            `T07${between}${answer} ${name}`,
            `T07${between}${name} ${answer}`,
          ][order]!;
          const { rows } = readRows(`T01\t2\n${line}\nT02, 2`, problem, ['m']);
          expect(JSON.stringify(rows.map((row) => [row.code, row.answer]))).not.toContain(name);
        },
      ),
      { numRuns: 1500 },
    );
  });
});
