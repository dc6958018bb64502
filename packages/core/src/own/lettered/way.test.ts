import { readFileSync } from 'node:fs';
import { Random } from '../../exact/random.ts';
import { readAsked } from '../read/asked.ts';
import { judgeLines } from '../judge/judge-lines.ts';
import { waysFor } from '../ways/ways.ts';
import { choicesFor, withRule } from './choices.ts';
import { layOn } from './lay.ts';
import { NAMED_RULES } from './named-rules.ts';
import { wayOf } from './way.ts';
import { type LetteredWay } from './lettered-way.ts';

function asked(problem: string) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(`${problem}: ${read.reason}`);
  return read.asked;
}

function made(problem: string, lines: readonly string[]): LetteredWay {
  const way = wayOf(judgeLines(asked(problem), lines));
  if (!way.ok) throw new Error(`${problem}: ${way.says}`);
  return way.way;
}

function refusal(problem: string, lines: readonly string[]): string {
  const way = wayOf(judgeLines(asked(problem), lines));
  if (way.ok) throw new Error(`${problem} is a way: ${way.way.lines.join(' ')}`);
  return way.says;
}

function laidLines(way: LetteredWay, problem: string): readonly string[] {
  const laid = layOn(way, asked(problem));
  if (!laid.ok) throw new Error(`${problem}: ${laid.says}`);
  return laid.lines;
}

/** A way, its letters, and its lines on other numbers. */
const WAYS: readonly (readonly [
  problem: string,
  lines: string,
  letters: string,
  rules: string,
  other: string,
  there: string,
])[] = [
  [
    '46 × 58',
    '= 46 × 60 − 46 × 2; = 2760 − 92; = 2668',
    '= a × c − a × d; = e − f; = g',
    'c = up-to-ten(b), d = c − b, e = a × c, f = a × d, g = e − f',
    '34 × 27',
    '= 34 × 30 − 34 × 3; = 1020 − 102; = 918',
  ],
  [
    '46 × 58',
    '= 50 × 58 − 4 × 58; = 2900 − 232; = 2668',
    '= c × b − d × b; = e − f; = g',
    'c = up-to-ten(a), d = c − a, e = c × b, f = d × b, g = e − f',
    '17 × 64',
    '= 20 × 64 − 3 × 64; = 1280 − 192; = 1088',
  ],
  [
    '34 × 27',
    '= 17 × 54; = 918',
    '= c × d; = e',
    'c = half(a), d = double(b), e = c × d',
    '28 × 45',
    '= 14 × 90; = 1260',
  ],
  [
    '25 × 16',
    '= 100 × 4; = 400',
    '= c × d; = e',
    'c = 4 × a, d = b ÷ 4, e = c × d',
    '25 × 36',
    '= 100 × 9; = 900',
  ],
  [
    '16 × 25',
    '= 16 × 100 ÷ 4; = 1600 ÷ 4; = 400',
    '= a × c ÷ d; = e ÷ d; = f',
    'c = 100, d = c ÷ b, e = 100 × a, f = e ÷ d',
    '34 × 50',
    '= 34 × 100 ÷ 2; = 3400 ÷ 2; = 1700',
  ],
  [
    '642 − 387',
    '= 655 − 400; = 255',
    '= c − d; = e',
    'd = up-to-hundred(b), c = a + (d − b), e = c − d',
    '724 − 458',
    '= 766 − 500; = 266',
  ],
  [
    '1003 − 458',
    '= 999 − 454; = 545',
    '= c − d; = e',
    'c = nines-below(a), d = b − (a − c), e = c − d',
    '10005 − 736',
    '= 9999 − 730; = 9269',
  ],
  [
    '38 + 27',
    '= 38 + 2 + 25; = 40 + 25; = 65',
    '= a + c + d; = e + d; = f',
    'c = to-ten(a), d = b − c, e = a + c, f = e + d',
    '47 + 36',
    '= 47 + 3 + 33; = 50 + 33; = 83',
  ],
  [
    '642 − 387',
    '387 +13→ 400 +242→ 642; 255',
    'b +c→ d +e→ a; f',
    'd = up-to-hundred(b), c = d − b, e = a − d, f = a − b',
    '503 − 276',
    '276 +24→ 300 +203→ 503; 227',
  ],
  [
    '952 ÷ 7',
    '= 700 ÷ 7 + 252 ÷ 7; = 100 + 36; = 136',
    '= c ÷ b + d ÷ b; = e + f; = g',
    'c = 100 × b, d = a − c, e = c ÷ b, f = d ÷ b, g = e + f',
    '864 ÷ 6',
    '= 600 ÷ 6 + 264 ÷ 6; = 100 + 44; = 144',
  ],
  [
    '952 ÷ 7',
    '7 × 100 = 700; 7 × 36 = 252; 100 + 36; = 136',
    'b × c = d; b × e = f; c + e; = g',
    'c = 100, d = b × c, f = a − d, e = f ÷ b, g = c + e',
    '864 ÷ 6',
    '6 × 100 = 600; 6 × 44 = 264; 100 + 44; = 144',
  ],
  [
    '955 ÷ 7',
    '= 136 r 3',
    '= c r d',
    'c = whole-part(a, b), d = rest(a, b)',
    '100 ÷ 8',
    '= 12 r 4',
  ],
  [
    '3/4 + 1/6',
    '= 9/12 + 2/12; = 11/12',
    '= e/f + g/f; = h/f',
    'f = least-common-multiple(b, d), e = a × (f ÷ b), g = c × (f ÷ d), h = e + g',
    '3/8 + 1/6',
    '= 9/24 + 4/24; = 13/24',
  ],
  [
    '4 × 3.98',
    '= 16 − 0.08; = 15.92',
    '= c − d; = e',
    'f = up-to-one(b), c = a × f, g = f − b, d = a × g, e = c − d',
    '3 × 4.95',
    '= 15 − 0.15; = 14.85',
  ],
  [
    '(x+4)(3x−2)',
    '= 3x^2 − 2x + 12x − 8; = 3x^2 + 10x − 8',
    '= bx^2 − cx + dx − e; = bx^2 + fx − e',
    'd = a × b, e = a × c, f = d − c',
    '(x+7)(2x−5)',
    '= 2x^2 − 5x + 14x − 35; = 2x^2 + 9x − 35',
  ],
  [
    '46 + 58 + 4',
    '= 46 + 4 + 58; = 50 + 58; = 108',
    '= a + c + b; = d + b; = e',
    'd = a + c, e = d + b',
    '37 + 25 + 3',
    '= 37 + 3 + 25; = 40 + 25; = 65',
  ],
];

describe('a way with letters', () => {
  it.each(WAYS)('of %s as %s', (problem, lines, letters, rules, other, there) => {
    const way = made(problem, lines.split('; '));
    expect(way.lines.join('; ')).toBe(letters);
    const told = Object.entries(way.rules).map(([letter, rule]) => `${letter} = ${rule}`);
    expect(told.join(', ')).toBe(rules);
    expect(laidLines(way, other).join('; ')).toBe(there);
    const judged = judgeLines(asked(other), laidLines(way, other));
    expect([judged.complete, judged.right]).toEqual([true, true]);
    expect(judged.lines.filter(({ verdict }) => !['lawful', 'side'].includes(verdict))).toEqual([]);
  });

  it('follows where a number came from, not that it is worth the same', () => {
    // The second 4 of 25 × 4 × 4 is what is left of 16, not the 4 that goes to 25.
    const way = made('25 × 16', ['= 25 × 4 × 4', '= 100 × 4', '= 400']);
    expect(laidLines(way, '25 × 36')).toEqual(['= 25 × 9 × 4', '= 100 × 9', '= 900']);
    expect(laidLines(way, '25 × 24')).toEqual(['= 25 × 6 × 4', '= 100 × 6', '= 600']);
  });

  it('is for one number alone where it rests on that number', () => {
    const way = made('25% of 80', ['= 1/4 × 80', '= 80 ÷ 4', '= 20']);
    expect(way.holds).toContain('a = 25');
    expect(laidLines(way, '25% of 36')).toEqual(['= 1/4 × 36', '= 36 ÷ 4', '= 9']);
    expect(layOn(way, asked('20% of 36'))).toMatchObject({ ok: false, condition: 'a = 25' });
  });

  it('keeps its words and units out', () => {
    const way = made('46 × 58', ['4 tens × 58 + 6 ones × 58', 'that is', '= 2668 bags']);
    expect(way.lines).toEqual(['c × b + d × b', '= e']);
  });
});

describe('laid on other numbers', () => {
  it.each([
    ['46 × 58', '= 46 × 60 − 46 × 2; = 2760 − 92; = 2668', '46 × 60', 'c > b'],
    ['46 × 58', '= 23 × 116; = 2668', '47 × 58', 'even(a)'],
    ['642 − 387', '= 642 − 400 + 13; = 242 + 13; = 255', '312 − 287', null],
    ['642 − 387', '= 642 − 400 + 13; = 242 + 13; = 255', '250 − 238', 'a > c'],
    ['952 ÷ 7', '= 700 ÷ 7 + 252 ÷ 7; = 100 + 36; = 136', '953 ÷ 7', 'whole(f)'],
    ['25 × 16', '= 100 × 4; = 400', '25 × 18', 'whole(d)'],
  ])('%s as %s on %s names what fails: %s', (problem, lines, other, condition) => {
    const laid = layOn(made(problem, lines.split('; ')), asked(other));
    if (condition === null) expect(laid).toMatchObject({ ok: true });
    else expect(laid).toMatchObject({ ok: false, why: 'condition', condition });
  });

  it('says in a sentence what fails, and with which numbers', () => {
    const halved = made('34 × 27', ['= 17 × 54', '= 918']);
    expect(layOn(halved, asked('35 × 27'))).toMatchObject({
      says: 'The way takes half of a, and a is 35, which is not even.',
    });
    expect(layOn(halved, asked('35 + 27'))).toMatchObject({
      why: 'form',
      says: 'This is a way for a × b; 35 + 27 is not written like that.',
    });
  });

  it('takes the way that every proved way of these numbers is, back to the same lines', () => {
    const random = new Random(21);
    const number = (figures: number) =>
      Math.floor(10 ** (figures - 1) + random.next() * 9 * 10 ** (figures - 1));
    const problems = Array.from({ length: 4 }, () => [
      `${number(2)} × ${number(2)}`,
      `${number(3) + 900} − ${number(3)}`,
      `${number(2)} + ${number(3)}`,
      `${number(2) * 6} ÷ 6`,
    ]).flat();
    let [count, followed] = [0, 0];
    for (const problem of problems) {
      for (const { lines } of waysFor(asked(problem))) {
        count++;
        const texts = lines.map(({ text }) => text);
        const way = wayOf(judgeLines(asked(problem), texts));
        if (!way.ok) continue;
        followed++;
        expect([problem, ...laidLines(way.way, problem)]).toEqual([problem, ...texts]);
        for (const other of problems.filter((_, k) => k < 8)) {
          const laid = layOn(way.way, asked(other));
          if (!laid.ok) continue;
          const { right, complete, lines: judged } = judgeLines(asked(other), laid.lines);
          const wrong = judged.filter(({ verdict }) => /unequal|unread|run-on/.test(verdict));
          expect([other, right, complete, wrong]).toEqual([other, true, true, []]);
        }
      }
    }
    expect(count).toBeGreaterThan(40);
    expect(followed).toBeGreaterThanOrEqual(0.95 * count);
  });
});

describe('no way', () => {
  it.each([
    ['46 × 58', ['= 48 × 56', '= 2688'], 'not come to the answer'],
    ['46 × 58', ['= 46 × 60 − 46 × 2'], 'not come to the answer'],
    ['46 × 58', ['46 × 60 = 2760 − 92 = 2668'], 'Line 1 runs on'],
    ['46 × 58', ['= 46 × (', '= 2668'], 'Line 1 cannot be read'],
    ['46 × 58', ['= 1234 + 1434', '= 2668'], 'No law is known for line 1'],
    ['46 × 58', ['= 46 × 59', '= 2668'], 'Line 1 is not equal'],
    ['(a+b)^2', ['= a^2 + 2ab + b^2'], 'no number that could be another'],
    ['√7396', ['= 86'], 'stays with its number'],
    ['101_2 × 11_2', ['= 1111_2'], 'base ten only'],
    ['46 × 58', [], 'no line yet'],
  ])('of %s as %j: %s', (problem, lines, says) => {
    expect(refusal(problem, lines)).toContain(says);
  });
});

describe('another rule for a letter', () => {
  const way = made('46 × 58', ['= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668']);
  const here = asked('46 × 58');

  it('is one that gives the same number here and holds elsewhere', () => {
    expect(choicesFor(way, 'c', here)).toEqual([
      'up-to-ten(b)',
      'up-to-round(b)',
      'nearest-ten(b)',
      '60',
    ]);
    const near = made('34 × 98', ['= 34 × 100 − 34 × 2', '= 3400 − 68', '= 3332']);
    expect(near.rules.c).toBe('up-to-hundred(b)');
    expect(choicesFor(way, 'e', here)).toEqual([]);
    const halved = made('34 × 27', ['= 17 × 54', '= 918']);
    // 17 is no rule for other numbers: with another half the product is another.
    expect(choicesFor(halved, 'c', asked('34 × 27'))).toEqual(['half(a)']);
  });

  it('is followed by the letters that come from it, and by what must hold', () => {
    const other = withRule(way, 'c', 'up-to-round(b)', here);
    expect(laidLines(other, '46 × 487')).toEqual([
      '= 46 × 500 − 46 × 13',
      '= 23000 − 598',
      '= 22402',
    ]);
    const own = withRule(way, 'c', '60', here);
    expect(own.holds).toEqual(['c > b']);
    expect(layOn(own, asked('46 × 61'))).toMatchObject({ ok: false, condition: 'c > b' });
  });
});

it('has every named rule in the table of formats', () => {
  const table = readFileSync(new URL('../../../../../docs/formats.md', import.meta.url), 'utf8');
  const missing = NAMED_RULES.map(({ id }) =>
    id.replace(/(tenth|one|ten|hundred|thousand)(s?)/, 'U$2'),
  ).filter((id) => !table.includes(`\`${id}(`));
  expect(missing).toEqual([]);
});

describe('lines that stand aside', () => {
  it('must come to the total with other numbers too, not only be true by themselves', () => {
    expect(refusal('38 + 27', ['38 + 30 = 68', '68 − 3 = 65', '65'])).toMatch(/cannot tell where/);
    const way = made('642 − 387', ['387 + 13 = 400', '400 + 242 = 642', '13 + 242 = 255']);
    expect(laidLines(way, '503 − 276')).toEqual([
      '276 + 24 = 300',
      '300 + 203 = 503',
      '24 + 203 = 227',
    ]);
  });

  it('are refused where a way from a file has rules that do not go together', () => {
    const way: LetteredWay = {
      kind: 'sum',
      name: '',
      from: '38 + 27',
      asked: 'a + b',
      given: ['a', 'b'],
      lines: ['a + c = d', 'd − e = f', 'g'],
      rules: { c: 'largest-place(a)', d: 'a + c', e: 'b ÷ 9', f: 'd − e', g: 'a + b' },
      holds: [],
    };
    expect(layOn(way, asked('38 + 27'))).toMatchObject({ ok: true });
    expect(layOn(way, asked('57 + 36'))).toMatchObject({
      ok: false,
      why: 'line',
      says: 'With these numbers the lines aside do not come to the total.',
    });
  });
});
