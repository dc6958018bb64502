import { Random } from '../exact/random.ts';
import { ordinaryInput } from '../testing/ordinary-input.ts';
import { Dice } from '../testing/rewritings.ts';
import { problemText, readProblem } from './problem.ts';
import { scriptOf } from './script.ts';

const READ = 1500;

describe('the text of a problem', () => {
  it.each([
    ['(0x+7) − (0x+7)', '7 − 7', 'figures'],
    ['−0 + 0', '0 + 0', 'figures'],
    ['(0x+7) − (3x)', '7 − 3x', 'terms'],
    ['(2x−2x) + (3)', '(2x − 2x) + 3', 'terms'],
    ['−5 − 3', '−5 − 3', 'terms'],
  ])('of %s is %s, in %s', (source, text, script) => {
    const read = readProblem(source);
    if (!read.ok) throw new Error(JSON.stringify(read.reason));
    expect([problemText(read.problem), scriptOf(read.problem)]).toEqual([text, script]);
  });

  it('gives the same problem when it is read again', () => {
    const dice = new Dice(new Random(27));
    let read = 0;
    for (let k = 0; k < READ; k++) {
      const first = readProblem(ordinaryInput(dice).problem);
      if (!first.ok) continue;
      read += 1;
      const text = problemText(first.problem);
      const again = readProblem(text);
      expect([text, again.ok && again.problem]).toEqual([text, first.problem]);
    }
    expect(read).toBeGreaterThan(READ / 4);
  });
});
