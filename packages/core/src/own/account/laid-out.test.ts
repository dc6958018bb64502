import { audit } from '../../laws/audit.ts';
import { holds } from '../../account/beyond.ts';
import { leaksOf } from '../../account/leaks.ts';
import { agreement } from '../../compare/certificate/agreement.ts';
import { compare } from '../../compare/compare.ts';
import { verifyAgreement } from '../../compare/certificate/verify-agreement.ts';
import { Random } from '../../exact/random.ts';
import { auditDocument } from '../../formats/trace-audit.ts';
import { traceDocument } from '../../formats/trace-document.ts';
import { Dice } from '../../testing/rewritings.ts';
import { readAsked } from '../read/asked.ts';
import { readComputation } from '../../problem/computation.ts';
import { ownLinesMethod } from '../paper/method.ts';
import { workOf } from '../paper/own-work.ts';
import { judgeLines } from '../judge/judge-lines.ts';
import { OWN_PHRASES } from './phrases.ts';
import { traceOfLines } from './trace.ts';

function traceOf(problem: string, lines: readonly string[]) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(`${problem}: ${read.reason}`);
  return traceOfLines(judgeLines(read.asked, lines));
}

/** Cells with their counts, mark by mark, of a trace whose audit finds nothing. */
function held(problem: string, ...lines: readonly string[]): Readonly<Record<string, string>> {
  const trace = traceOf(problem, lines)!;
  expect([problem, audit(trace)]).toEqual([problem, []]);
  const told = ([cell, count]: readonly [string, bigint]) =>
    count === 1n ? cell : `${count}·${cell}`;
  return Object.fromEntries(
    trace.steps.flatMap(({ gives }) =>
      gives.map((mark) => [mark.text, [...holds(mark)].map(told).join(' ')]),
    ),
  );
}

/** Audits the trace, its document, and its certificate; all lines are right. */
function expectSound(problem: string, lines: readonly string[]): void {
  const trace = traceOf(problem, lines);
  expect([problem, lines, trace === null]).toEqual([problem, lines, false]);
  const document: unknown = JSON.parse(
    JSON.stringify(traceDocument({ phrases: OWN_PHRASES }, trace!)),
  );
  const read = readComputation(problem);
  if (!read.ok) throw new Error(problem);
  const comparison = compare(read.problem, [{ method: ownLinesMethod(workOf(lines)) }]);
  expect([
    problem,
    lines,
    audit(trace!),
    auditDocument(document),
    trace!.answer.equals(trace!.total),
    verifyAgreement(agreement(comparison)),
  ]).toEqual([problem, lines, [], null, true, { ok: true }]);
}

describe('several numbers multiplied', () => {
  it('are a box, in which a product of two is laid in slices, so that later cuts still meet its cells', () => {
    expect(held('12 × 25 × 8', '= 12 × 200', '= 2400')).toEqual({
      '12 × 200': '0.0.0',
      '2400': '0.0.0',
    });
    // Half of the 200 is four of the eight slices.
    expect(held('12 × 25 × 8', '= 12 × 200', '= 12 × 100 + 12 × 100', '= 2400')).toEqual({
      '12 × 200': '0.0.0 0.0.1',
      '12 × 100': '0.0.0',
      '2400': '0.0.0 0.0.1',
    });
  });

  it('reach beyond one side and are taken back', () => {
    expect(held('8 × 25 × 99', '= 200 × 99', '= 200 × 100 − 200 × 1', '= 19800')).toMatchObject({
      '200 × 99': '0.0.0',
      '200 × 100': '0.0.0 b0.0.0.1',
      '−200 × 1': '-1·b0.0.0.1',
    });
  });

  it('balance, audit and certify on random factors, grouped and cut at random', () => {
    const dice = new Dice(new Random(31));
    for (let k = 0; k < 60; k++) {
      const [a, b, c] = [dice.from(2, 12), dice.from(2, 30), dice.from(3, 40)];
      const part = dice.from(1, c - 1);
      const [first, second] = dice.one([
        [`${a * b} × ${c}`, `${a * b} × ${part} + ${a * b} × ${c - part}`],
        [`${a} × ${b * c}`, `${a} × ${b * part} + ${a} × ${b * (c - part)}`],
        [`${c} × ${a} × ${b}`, `${part} × ${a} × ${b} + ${c - part} × ${a} × ${b}`],
      ]);
      expectSound(`${a} × ${b} × ${c}`, [`= ${first}`, `= ${second}`, `= ${a * b * c}`]);
    }
  });

  it('are squares and cubes as well', () => {
    expect(held('46^2', '= 46 × 40 + 46 × 6', '= 1840 + 276', '= 2116')).toMatchObject({
      '46 × 40': '1.0',
      '46 × 6': '0.0',
    });
    expectSound('12^3', ['= 12 × 144', '= 12 × 100 + 12 × 44', '= 1728']);
    expectSound('2^5', ['= 4 × 4 × 2', '= 32']);
  });

  it('hold everything in one piece where slices would be too many', () => {
    expect(held('7 × 997 × 991', '= 7 × 988027', '= 6916189')['7 × 988027']).toBe('0.0.0');
  });
});

describe('strings of numbers', () => {
  it('have a line for each number, below zero too', () => {
    expect(held('7 − 3 + 2', '= 7 + 2 − 3', '= 9 − 3', '= 6')).toEqual({
      '7': '0.0',
      '2': '2.0',
      '−3': '1.0',
      '9': '0.0 2.0',
      '6': '0.0 1.0 2.0',
    });
  });

  it('leak where a minus is cut off', () => {
    const trace = traceOf('12 − 4 + 5', ['= 12 − 9', '= 3'])!;
    expect(leaksOf(trace).map(({ step, amount }) => [step, `${amount}`])).toEqual([[1, '-10']]);
  });

  it('balance, audit and certify in another order, gathered, and by parts', () => {
    const dice = new Dice(new Random(5));
    for (let k = 0; k < 60; k++) {
      const [a, b, c] = [dice.from(20, 90), dice.from(2, 60), dice.from(2, 60)];
      const [d, part] = [dice.from(2, 9), dice.from(1, b - 1)];
      expectSound(`${a} − ${b} + ${c} − ${d}`, [
        `= ${a} + ${c} − ${b} − ${d}`,
        `= ${a + c} − ${part} − ${b - part} − ${d}`,
        `= ${a + c} − ${part + d} − ${b - part}`,
        `= ${a - b + c - d}`.replace('-', '−'),
      ]);
    }
  });
});

describe('computations that no method works', () => {
  it('are one length, in which every term has its stretch', () => {
    expect(held('46 × 58 + 46 × 42', '= 46 × 100', '= 4600')).toEqual({
      '46 × 58': '0.1',
      '46 × 42': '0.0',
      '46 × 100': '0.0 0.1',
      '4600': '0.0 0.1',
    });
  });

  it('lay what goes beyond a term beside the length, and never over the next term', () => {
    const made = held('85 × 955 + 795', '= 85 × 1000 − 85 × 45 + 795', '= 81970');
    expect(made['85 × 1000']).toBe('0.1 b-1.0');
    expect(made['−85 × 45']).toBe('-1·b-1.0');
    expect(made['795']).toBe('0.0');
  });

  it('balance, audit and certify: fractions, shares, percent, brackets, below zero', () => {
    expectSound('3/4 ÷ 1/2', ['= 6/4', '= 1 1/2']);
    expectSound('3 1/2 × 2', ['= 3 × 2 + 1/2 × 2', '= 6 + 1', '= 7']);
    expectSound('25% × 84', ['= 84/4', '= 21']);
    expectSound('(6 × 4) ÷ 3', ['= 24 ÷ 3', '= 8']);
    expectSound('3 × 4 − 5 × 6', ['= 12 − 30', '= −18']);
    expectSound('366 − (31 + 51)', ['= 366 − 31 − 51', '= 284']);
  });

  it('balance, audit and certify on random sums of products', () => {
    const dice = new Dice(new Random(77));
    for (let k = 0; k < 60; k++) {
      const [a, b, c] = [dice.from(2, 60), dice.from(11, 99), dice.from(11, 99)];
      const round = Math.ceil(b / 10) * 10;
      const over = round === b ? '' : ` − ${a} × ${round - b}`;
      expectSound(`${a} × ${b} + ${a} × ${c}`, [`= ${a} × ${b + c}`, `= ${a * (b + c)}`]);
      expectSound(`${a} × ${b} + ${c}`, [`= ${a} × ${round}${over} + ${c}`, `= ${a * b + c}`]);
    }
  });
});

describe('numbers of other bases', () => {
  it('are laid out as tens are, and written as on a paper that is all in one base', () => {
    expect(held('132_5 + 44_5', '= 130_5 + 101_5', '= 231_5')).toEqual({
      '130': '0.1',
      '101': '0.0 1.0',
      '231': '0.0 0.1 1.0',
    });
    expectSound('1101_2 + 111_2', ['= 10000_2 + 100_2', '= 10100_2']);
    expectSound('203_6 − 55_6', ['= 204_6 − 100_6', '= 104_6']);
  });

  it('are in the base of the problem where a line does not say so, with letters as figures too', () => {
    expectSound('132_5 + 44_5', ['= 130 + 101', '= 231']);
    expectSound('203_6 − 55_6', ['= 204 − 100', '= 104']);
    expectSound('1AF_16 + FF_16', ['= 1AE + 100', '= 2AE']);
    const read = readAsked('132_5 + 44_5');
    if (!read.ok) throw new Error(read.reason);
    const [line] = judgeLines(read.asked, ['= 136']).lines;
    expect([line!.verdict, line!.unread?.reason]).toEqual([
      'unread',
      'The digit 6 at character 3 does not exist in base 5.',
    ]);
  });
});
