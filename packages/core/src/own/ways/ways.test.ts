import { Random } from '../../exact/random.ts';
import { Dice } from '../../testing/rewritings.ts';
import { readAsked } from '../read/asked.ts';
import { judgeLines } from '../judge/judge-lines.ts';
import { costOfLines, countedLines } from './cost.ts';
import { waysFor } from './ways.ts';

function costOf(problem: string, ...lines: readonly string[]): number {
  return costOfLines(countedLines(judgeLines(ways(problem).asked, lines)));
}

function ways(problem: string) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  return { asked: read.asked, made: waysFor(read.asked) };
}

function linesOf(problem: string): Readonly<Record<string, readonly string[]>> {
  const { made } = ways(problem);
  return Object.fromEntries(made.map(({ kind, lines }) => [kind, lines.map(({ text }) => text)]));
}

describe('ways that numbers invite', () => {
  it('use what the numbers are near to', () => {
    expect(linesOf('642 − 387')).toMatchObject({
      'same-change': ['= 655 − 400', '= 255'],
      overshoot: ['= 642 − 400 + 13', '= 242 + 13', '= 255'],
      'to-a-round-number': ['387 +13→ 400 +242→ 642', '= 255'],
    });
    expect(linesOf('46 × 58')).toMatchObject({
      overshoot: ['= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668'],
      'doubles-and-halves': ['= 23 × 116', '= 2668'],
    });
    expect(linesOf('16 × 25')['known-fact']).toEqual(['= 16 × 100 ÷ 4', '= 1600 ÷ 4', '= 400']);
    expect(linesOf('19 × 21')['known-fact']).toEqual(['= (20 − 1)(20 + 1)', '= 400 − 1', '= 399']);
    expect(linesOf('450 ÷ 25')['doubles-and-halves']).toEqual(['= 1800 ÷ 100', '= 18']);
    expect(linesOf('5 1/6 − 2 5/6')['same-change']![0]).toBe('= 5 2/6 − 3');
  });

  it('are lawful, complete and right on random numbers, at most once a kind, cheapest first', () => {
    const dice = new Dice(new Random(2));
    let told = 0;
    for (let k = 0; k < 80; k++) {
      const [a, b] = [dice.plain(), dice.plain()];
      const problem = dice.one([
        `${a} + ${b}`,
        `${a + b} − ${b}`,
        `${a} × ${b}`,
        `${a * b} ÷ ${b}`,
        `${a}.5 + ${b}.98`,
      ]);
      const { asked, made } = ways(problem);
      told += made.length;
      expect(new Set(made.map(({ kind }) => kind)).size).toBe(made.length);
      made.forEach(({ lines, cost }, n) => {
        const judged = judgeLines(
          asked,
          lines.map(({ text }) => text),
        );
        expect([problem, judged.complete, judged.right]).toEqual([problem, true, true]);
        expect(judged.lines.every(({ verdict }) => verdict === 'lawful')).toBe(true);
        expect(cost).toBeGreaterThanOrEqual(made[n - 1]?.cost ?? 0);
      });
    }
    expect(told / 80).toBeGreaterThan(2.5);
  });

  it('are none where nothing is known', () => {
    expect(ways('√7396').made).toEqual([]);
    expect(ways('7 − 3 + 2').made).toEqual([]);
  });
});

it('counts facts over 1, regroupings, and twice what is held', () => {
  // Held: 92 while 46 × 60 is worked out, of whose two products one waits too; facts 4·6, 6·6, 4·2, 6·2; 2760 − 92 opens two places.
  expect(costOf('46 × 58', '= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668')).toBe(10);
  expect(costOf('642 − 387', '= 655 − 400', '= 255')).toBe(2);
});
