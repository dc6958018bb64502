import { audit } from '../../laws/audit.ts';
import { Random } from '../../exact/random.ts';
import { Dice } from '../../testing/rewritings.ts';
import { traceOfLines } from '../account/trace.ts';
import { readAsked } from '../read/asked.ts';
import { judgeLines } from './judge-lines.ts';
import { briefOf, saysOf } from '../say/says.ts';

function paper(problem: string, lines: readonly string[]) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  return judgeLines(read.asked, lines);
}

function says(problem: string, ...lines: readonly string[]): readonly string[] {
  return paper(problem, lines).lines.map((line) => saysOf(line));
}

/** What every mark of a table is worth and holds, in the order in which they are written. */
function marks(problem: string, ...lines: readonly string[]): readonly string[] {
  const trace = traceOfLines(paper(problem, lines))!;
  expect(audit(trace)).toEqual([]);
  return trace.steps.flatMap(({ gives }) =>
    gives.map(({ text, glyph, terms }) => `${text} “${glyph}” ${terms.ids().join(' ')}`),
  );
}

describe('where a pair of a ratio table comes from', () => {
  it('is named: times, divided, put together, the first in the ratio', () => {
    expect(
      says('952 ÷ 7', '1 | 7', '10 | 70', '100 | 700', '30 | 210', '6 | 42', '136 | 952'),
    ).toEqual([
      'In the ratio of the problem.',
      '1 | 7, times 10.',
      '10 | 70, times 10.',
      '10 | 70, times 3.',
      '30 | 210, divided by 5.',
      '100 | 700 and 30 | 210 and 6 | 42 together. The missing number is found.',
    ]);
  });

  it('is one pair less another where that is all there is', () => {
    expect(says('952 ÷ 7', '1 | 7', '140 | 980', '4 | 28', '136 | 952').at(-1)).toBe(
      '140 | 980 less 4 | 28. The missing number is found.',
    );
  });

  it('is doubled rather than added to itself', () => {
    expect(says('952 ÷ 7', '17 | 119', '34 | 238', '68 | 476', '136 | 952')).toEqual([
      'In the ratio of the problem.',
      '17 | 119, times 2.',
      '34 | 238, times 2.',
      '68 | 476, times 2. The missing number is found.',
    ]);
  });

  it('is told for every pair of a line, and never for one that is not in the ratio', () => {
    const made = paper('24 × 15', ['1 | 15, 20 | 300', '4 | 61', '4 | 60', '24 | 360']);
    expect(made.lines.map(({ verdict }) => verdict)).toEqual(['side', 'unequal', 'side', 'lawful']);
    expect(made.lines[0]!.pairs.map(({ kind }) => kind)).toEqual(['ratio', 'times']);
    expect(made.pairs.map(({ text }) => text)).toEqual([
      '1 | 15',
      '20 | 300',
      '4 | 60',
      '24 | 360',
    ]);
    expect(briefOf(made.lines[2]!)).toEqual({ sign: '✓', words: 'divided by 5' });
  });

  it('counts either factor of a product', () => {
    expect(says('24 × 15', '1 | 24', '10 | 240', '5 | 120', '15 | 360').at(-1)).toBe(
      '10 | 240 and 5 | 120 together. The missing number is found.',
    );
  });
});

describe('the account of a ratio table', () => {
  it('gives each pair that goes in its piece of the dividend, and leaves the others aside', () => {
    expect(
      marks('952 ÷ 7', '1 | 7', '10 | 70', '100 | 700', '30 | 210', '6 | 42', '136 | 952'),
    ).toEqual(['100 “100 | 700” 2', '30 “30 | 210” 1', '6 “6 | 42” 0', '136 “136 | 952” 0 1 2']);
  });

  it('gives each pair of a product its strip, along the factor that the pairs count', () => {
    expect(marks('24 × 15', '1 | 15', '20 | 300', '4 | 60', '24 | 360')).toEqual([
      '300 “20 | 300” 1.0',
      '60 “4 | 60” 0.0',
      '360 “24 | 360” 0.0 1.0',
    ]);
    expect(marks('24 × 15', '10 | 240', '5 | 120', '15 | 360')).toEqual([
      '240 “10 | 240” 0.1',
      '120 “5 | 120” 0.0',
      '360 “15 | 360” 0.0 0.1',
    ]);
  });

  it('passes pairs in the head that share a line', () => {
    const trace = traceOfLines(paper('952 ÷ 7', ['100 | 700, 30 | 210, 6 | 42', '136 | 952']))!;
    const media = trace.steps.flatMap(({ gives }) => gives.map(({ medium }) => medium));
    expect(media).toEqual(['head', 'head', 'head', 'paper']);
  });

  it('is one amount where the last pair is only scaled', () => {
    expect(marks('952 ÷ 7', '17 | 119', '34 | 238', '136 | 952')).toEqual(['136 “136 | 952” 0']);
  });

  it('balances and audits on random tables, with more than is asked taken off again', () => {
    const dice = new Dice(new Random(12));
    for (let k = 0; k < 60; k++) {
      const [by, share] = [dice.from(3, 19), dice.from(21, 180)];
      const round = Math.ceil(share / 10) * 10;
      const [tens, ones] = [share - (share % 10), share % 10];
      const rows =
        dice.from(0, 1) === 0 && round > share
          ? [round, round - share, share]
          : [tens, ...(ones > 0 ? [ones, share] : [])];
      const quotient = rows.map((left) => `${left} | ${left * by}`);
      const trace = traceOfLines(paper(`${share * by} ÷ ${by}`, quotient))!;
      expect([quotient, audit(trace), `${trace.answer}`]).toEqual([quotient, [], `${share}`]);
      const product = traceOfLines(paper(`${share} × ${by}`, quotient))!;
      expect([quotient, audit(product), `${product.answer}`]).toEqual([
        quotient,
        [],
        `${share * by}`,
      ]);
    }
  });
});
