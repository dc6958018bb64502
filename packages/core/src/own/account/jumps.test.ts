import { audit } from '../../laws/audit.ts';
import { Random } from '../../exact/random.ts';
import { Dice } from '../../testing/rewritings.ts';
import { readAsked } from '../read/asked.ts';
import { judgeLines } from '../judge/judge-lines.ts';
import { traceOfLines } from './trace.ts';

function judged(problem: string, lines: readonly string[]) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  return judgeLines(read.asked, lines);
}

/** What every mark says and holds, of a trace whose audit finds nothing. */
function marks(problem: string, ...lines: readonly string[]): readonly string[] {
  const trace = traceOfLines(judged(problem, lines))!;
  expect([problem, audit(trace)]).toEqual([problem, []]);
  return trace.steps.flatMap(({ gives }) =>
    gives.map(({ glyph, terms }) => `${glyph}: ${terms.ids().join(' ')}`),
  );
}

describe('jumps from a number on', () => {
  it('are pieces of the other number, and each landing holds what is counted in so far', () => {
    expect(marks('38 + 27', '38 +2→ 40 +25→ 65')).toEqual([
      '2: 1.0',
      '40: 0.0 1.0',
      '25: 1.1',
      '65: 0.0 1.0 1.1',
    ]);
  });

  it('go down by pieces of what is taken away', () => {
    expect(marks('642 − 387', '642 −300→ 342 −87→ 255')).toEqual([
      '300: 1.1',
      '342: 0.0 1.1',
      '87: 1.0',
      '255: 0.0 1.0 1.1',
    ]);
  });

  it('may go too far and back', () => {
    expect(marks('642 − 387', '642 −400→ 242 +13→ 255')).toEqual([
      '400: 1.0',
      '13: ',
      '242: 0.0 1.0',
      '255: 0.0 1.0',
    ]);
  });

  it('are told by statements as well, of which each is what it comes to', () => {
    expect(marks('38 + 27', '38 + 2 = 40', '40 + 25 = 65', '65')).toEqual([
      '38 + 2 = 40: 0.0 1.0',
      '40 + 25 = 65: 0.0 1.0 1.1',
      '65: 0.0 1.0 1.1',
    ]);
    expect(marks('38 + 27', '38 + 30 = 68', '68 − 3 = 65', '65')).toEqual([
      '30: 1.0',
      '− 3: ',
      '38 + 30 = 68: 0.0 1.0',
      '68 − 3 = 65: 0.0 1.0',
      '65: 0.0 1.0',
    ]);
  });

  it('go by whole numbers of a string, by arrows or by statements', () => {
    expect(marks('6 + 8 + 5 + 9', '6 +8→ 14 +5→ 19 +9→ 28')).toEqual([
      '8: 1.0',
      '14: 0.0 1.0',
      '5: 2.0',
      '19: 0.0 1.0 2.0',
      '9: 3.0',
      '28: 0.0 1.0 2.0 3.0',
    ]);
    expect(marks('6 + 8 + 5', '6 + 8 = 14', '14 + 5 = 19', '19')).toEqual([
      '6 + 8 = 14: 0.0 1.0',
      '14 + 5 = 19: 0.0 1.0 2.0',
      '19: 0.0 1.0 2.0',
    ]);
    expect(marks('7 − 3 + 2', '7 +2→ 9 −3→ 6')).toEqual([
      '2: 2.0',
      '9: 0.0 2.0',
      '3: 1.0',
      '6: 0.0 1.0 2.0',
    ]);
  });

  it('balance and audit on random sums and differences', () => {
    const dice = new Dice(new Random(3));
    for (let k = 0; k < 80; k++) {
      const [a, b] = [dice.from(200, 980), dice.from(12, 190)];
      const piece = dice.from(1, b + 8);
      const sign = dice.one(['+', '-'] as const);
      const turn = sign === '+' ? 1 : -1;
      const steps = [piece, b - piece].filter((size) => size !== 0).map((size) => turn * size);
      let at = a;
      const path = steps.map((size) => {
        at += size;
        return `${size < 0 ? '-' : '+'}${Math.abs(size)}→ ${at}`;
      });
      const problem = `${a} ${sign === '+' ? '+' : '−'} ${b}`;
      const trace = traceOfLines(judged(problem, [`${a} ${path.join(' ')}`]))!;
      expect([problem, path, audit(trace), `${trace.answer}`]).toEqual([
        problem,
        path,
        [],
        `${at}`,
      ]);
    }
  });
});

describe('chunks of a dividend', () => {
  it('may be too much, with what is too much taken off again', () => {
    expect(marks('952 ÷ 7', '7 × 140 = 980', '7 × 4 = 28', '140 − 4', '= 136')).toEqual([
      '7 × 140 = 980: 0',
      '7 × 4 = 28: ',
      '140: 0',
      '− 4: ',
      '136: 0',
    ]);
  });

  it('may be taken away one after the other, down to nothing', () => {
    expect(marks('952 ÷ 7', '952 − 700 = 252', '252 − 252 = 0', '136')).toEqual([
      '952 − 700 = 252: 1',
      '252 − 252 = 0: 0',
      '136: 0 1',
    ]);
  });

  it('leave what is left over as a piece of its own', () => {
    expect(marks('955 ÷ 7', '= 136 r 3')).toEqual(['136: 1', 'r 3: 0']);
    expect(marks('955 ÷ 7', '= 700 ÷ 7 + 255 ÷ 7', '= 136 r 3').slice(-2)).toEqual([
      '136: 1 2',
      'r 3: 0',
    ]);
  });
});

describe('a statement that finds what is looked for', () => {
  it('is the piece of the larger number that it adds, or all that is shared', () => {
    expect(marks('642 − 387', '387 + 255 = 642')).toEqual(['387 + 255 = 642: 0.0']);
    expect(marks('952 ÷ 7', '7 × 136 = 952')).toEqual(['7 × 136 = 952: 0']);
  });

  it('is copied by the answer behind it', () => {
    expect(marks('642 − 387', '387 + 255 = 642', '= 255')).toEqual([
      '387 + 255 = 642: 0.0',
      '255: 0.0',
    ]);
  });
});
