import { numeralText } from '../exact/numeral.ts';
import { problemFrom } from '../testing/work.ts';
import { wrongCopies } from './copies.ts';

/** What is worked instead, by the slip with which a number was copied. */
function copied(text: string, slip: string): readonly string[] {
  return wrongCopies(problemFrom(text))
    .filter((own) => own.slip === slip)
    .map(({ problem }) => problem.operands.map((own) => numeralText(own)).join(' '));
}

describe('a number that is copied wrongly', () => {
  it.each([
    ['neighbours that change places', 'neighbours-exchanged', '642 + 11', ['624 11', '462 11']],
    ['no neighbours that are alike', 'neighbours-exchanged', '55 + 11', []],
    ['a figure for one that looks like it', 'look-alike', '36 + 22', ['39 22', '30 22', '86 22']],
    ['none that its base has not', 'look-alike', '36_8 + 22_8', ['30 22']],
    ['the figure above, where it is another', 'from-the-line-above', '46 + 56', ['46 46']],
  ])('has %s', (_, slip, text, all) => {
    expect([...copied(text, slip)].sort()).toEqual([...all].sort());
  });
});
