import { registry } from '../methods/index.ts';
import { readProblem } from '../problem/problem.ts';
import { answerText } from './answer-text.ts';

function answerOf(text: string, method: string): string {
  const read = readProblem(text);
  if (!read.ok) throw new Error(`"${text}" is not read`);
  return answerText(registry.get(method).trace(read.problem));
}

describe('an answer in figures', () => {
  it.each([
    ['35.50 + 1.60', 'column-addition', '37.10'],
    ['20.10 − 35.40', 'counting-up', '−15.30'],
    ['2.50 × 4', 'column-multiplication', '10.00'],
    ['0.50 × 0.30', 'lattice', '0.15'],
    ['0.25 × 0.50', 'lattice', '0.125'],
    ['3.6 + 1.4', 'partial-sums', '5'],
    ['40 + 60', 'column-addition', '100'],
  ])('of %s by %s is %s: a price keeps its last zero', (text, method, answer) => {
    expect(answerOf(text, method)).toBe(answer);
  });
});
