import { readAsked } from '../read/asked.ts';
import { judgeLines } from './judge-lines.ts';

function paper(problem: string, lines: readonly string[]) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  return judgeLines(read.asked, lines);
}

describe('side lines that go into a total', () => {
  it.each([
    [
      'the longest run that makes it',
      '9 + 9',
      ['10 + 8 = 18', '4 + 5 = 9', '2 + 7 = 9', '18'],
      [1],
    ],
    ['the last of runs as long', '9 + 9', ['4 + 5 = 9', '1 + 8 = 9', '2 + 7 = 9', '18'], [1]],
    ['those that hold alone', '46 × 58', ['40 × 58 = 2320', '6 × 58 = 346', '2320 + 346'], [1, 2]],
    [
      'a first one that is said again, and jumps from there',
      '642 − 387',
      ['642 − 300 = 342', '342 − 87 = 255', '= 342 − 87'],
      [],
    ],
    ['jumps from either addend', '38 + 27', ['27 + 30 = 57', '57 + 8 = 65', '= 57 + 8'], []],
    [
      'no jumps from what is taken away',
      '642 − 387',
      ['387 − 100 = 287', '287 − 32 = 255', '= 287 − 32'],
      [1],
    ],
    ['no jumps with a gap', '38 + 27', ['38 + 20 = 58', '50 + 15 = 65', '= 58 + 15'], [1, 2]],
    [
      'how often the divisor was taken away',
      '952 ÷ 7',
      ['952 − 700 = 252', '252 − 252 = 0', '100 + 36'],
      [],
    ],
    [
      'not what was taken from another number',
      '952 ÷ 7',
      ['1000 − 700 = 300', '300 − 252 = 48', '100 + 36'],
      [1, 2],
    ],
    [
      'not what was taken away with a gap',
      '952 ÷ 7',
      ['952 − 700 = 252', '259 − 252 = 7', '100 + 36'],
      [1, 2],
    ],
  ])('are %s: %s %j', (_, problem, lines, unused) => {
    expect(paper(problem, lines).unused).toEqual(unused);
  });
});

it('an open sentence goes into no total: its box is asked for, not put in', () => {
  const [open, found] = paper('642 − 387', ['387 + □ = 642', '255']).lines;
  expect([open!.verdict, open!.joins, found!.kind]).toEqual(['lawful', null, 'rewrite']);
});

describe('jumps from number to number of a difference', () => {
  it.each([
    ['642 − 387', '387 +13→ 400 +242→ 642', '255'],
    ['642 − 387', '642 −242→ 400 −13→ 387', '255'],
    ['387 − 642', '387 +13→ 400 +242→ 642', '-255'],
    ['387 − 642', '642 −255→ 387', '-255'],
  ])('of %s, %s, find it with its sign', (problem, line, value) => {
    const { lines, complete, right } = paper(problem, [line]);
    expect([lines[0]!.verdict, `${lines[0]!.value}`, complete, right]).toEqual([
      'lawful',
      value,
      true,
      true,
    ]);
  });
});

describe('pairs of a ratio table', () => {
  const verdicts = (problem: string, ...lines: readonly string[]) =>
    paper(problem, lines).lines.map(({ verdict }) => verdict);

  it('answer only where the dividend or a factor stands beside the answer', () => {
    expect(verdicts('952 ÷ 7', '136 | 952', '137 | 959')).toEqual(['lawful', 'side']);
    expect(verdicts('46 × 58', '2 | 92', '58 | 2668')).toEqual(['side', 'lawful']);
    expect(verdicts('46 × 58', '29 | 1334')).toEqual(['side']);
    // A number that is worth as much as the answer is none, where its pair is of other numbers.
    expect(verdicts('14 ÷ 7', '2 | 14')).toEqual(['lawful']);
    expect(verdicts('98 ÷ 7', '14 | 98', '2 | 14')).toEqual(['lawful', 'side']);
  });

  it('do not answer on a line with a pair that is out of the ratio', () => {
    expect(verdicts('952 ÷ 7', '10 | 71, 136 | 952')).toEqual(['unequal']);
    expect(verdicts('952 ÷ 7', '136 | 953')).toEqual(['unequal']);
  });
});

describe('a line that people read in two ways', () => {
  const verdict = (problem: string) => paper(problem, ['= 36 ÷ 2(1+1)']).lines[0]!;

  it('is read as it is due, where one of the readings is', () => {
    expect(verdict('36 ÷ 4').verdict).toBe('leap');
    expect(verdict('72 ÷ 4 × 2').verdict).toBe('leap');
  });

  it('is read as the paper reads it, where neither is due', () => {
    expect(`${verdict('36 ÷ 3').off}`).toBe('-3');
  });
});

describe('lines behind one that is not equal', () => {
  it('follow it where they are lawful, and only where the line before is not what is asked', () => {
    const made = paper('46 × 58', ['= 46 × 6', '= 276', '= 270 + 7', '= 46 × 58', '= 2668']);
    expect(made.lines.map(({ verdict, followed }) => [verdict, followed])).toEqual([
      ['unequal', false],
      ['lawful', true],
      ['unequal', false],
      ['unequal', false],
      ['lawful', false],
    ]);
  });

  it('do not follow it where no law is found', () => {
    const [, second] = paper('46 × 58', ['= 46 × 6', '= 268 + 8']).lines;
    expect([second!.verdict, second!.followed]).toEqual(['equal', false]);
  });
});
