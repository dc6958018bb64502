import { audit } from '../../laws/audit.ts';
import { Random } from '../../exact/random.ts';
import { readAsked } from '../read/asked.ts';
import { judgeLines } from '../judge/judge-lines.ts';
import { traceOfLines } from './trace.ts';

function traceOf(problem: string, lines: readonly string[]) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(`${problem}: ${read.reason}`);
  return traceOfLines(judgeLines(read.asked, lines));
}

const signed = (number: number) => `${number < 0 ? '−' : '+'} ${Math.abs(number)}`;
const lettered = (number: number) =>
  `${number < 0 ? '−' : '+'} ${Math.abs(number) === 1 ? '' : Math.abs(number)}x`;

/** `(ax + b)(cx + d)` with every part with every part, gathered, and cut along its first bracket. */
function brackets(random: Random) {
  const pick = (from: number, to: number) => from + Math.floor(random.next() * (to - from + 1));
  const sign = () => (random.next() < 0.5 ? -1 : 1);
  const [a, c] = [pick(1, 4), pick(1, 4)];
  const [b, d] = [sign() * pick(1, 9), sign() * pick(1, 9)];
  const x = (number: number) => (number === 1 ? 'x' : `${number}x`);
  const second = `(${x(c)} ${signed(d)})`;
  const square = a * c === 1 ? 'x^2' : `${a * c}x^2`;
  const middle = a * d + b * c;
  return {
    problem: `(${x(a)} ${signed(b)})${second}`,
    along: `= ${x(a)}${second} ${signed(b)}${second}`,
    each: `= ${square} ${lettered(a * d)} ${lettered(b * c)} ${signed(b * d)}`,
    end: `= ${square} ${middle === 0 ? '' : lettered(middle)} ${signed(b * d)}`,
  };
}

describe('brackets with letters, cell by cell', () => {
  it('balance and audit on random brackets, by three ways to the same terms', () => {
    const random = new Random(17);
    for (let k = 0; k < 60; k++) {
      const { problem, along, each, end } = brackets(random);
      for (const lines of [[end], [each, end], [along, each, end]]) {
        const trace = traceOf(problem, lines);
        expect([problem, ...lines, trace?.balanced, audit(trace!)]).toEqual([
          problem,
          ...lines,
          true,
          [],
        ]);
      }
    }
  });

  it('give every cell to one term alone until terms are gathered', () => {
    const random = new Random(23);
    for (let k = 0; k < 40; k++) {
      const { problem, each } = brackets(random);
      const { steps, space } = traceOf(problem, [each])!;
      const cells = steps.flatMap(({ gives }) => gives.map(({ terms }) => terms.ids()));
      expect(cells.map((ids) => ids.length)).toEqual([1, 1, 1, 1]);
      expect(new Set(cells.flat()).size).toBe(space.size);
    }
  });

  it('are told apart by their letters where there are many of them', () => {
    const { steps } = traceOf('(x+1)(x+2)(x+3)(x+4)', ['= x^4 + 10x^3 + 35x^2 + 50x + 24'])!;
    const written = steps.flatMap(({ gives }) => gives).filter(({ spot }) => spot.area === 'lines');
    expect(written.map(({ text, terms }) => [text, terms.size])).toEqual([
      ['x^4', 1],
      ['10x^3', 4],
      ['35x^2', 6],
      ['50x', 4],
      ['24', 1],
    ]);
  });

  it('leak where a line is wrong, by that amount', () => {
    const { steps, balanced } = traceOf('(x+4)(3x−2)', ['= 3x^2 + 10x + 8'])!;
    expect([balanced, steps[0]!.law, steps[0]!.balance.toString()]).toEqual([
      false,
      'unnamed',
      '3x^2+10x+8',
    ]);
  });
});
