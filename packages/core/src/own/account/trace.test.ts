import { audit } from '../../laws/audit.ts';
import { holds } from '../../account/beyond.ts';
import { Random } from '../../exact/random.ts';
import { traceDocument } from '../../formats/trace-document.ts';
import { auditDocument } from '../../formats/trace-audit.ts';
import { leaksOf } from '../../account/leaks.ts';
import { Dice, MAKERS, written } from '../../testing/rewritings.ts';
import { readAsked } from '../read/asked.ts';
import { judgeLines } from '../judge/judge-lines.ts';
import { waysFor } from '../ways/ways.ts';
import { OWN_PHRASES } from './phrases.ts';
import { traceOfLines } from './trace.ts';

function traceOf(problem: string, ...lines: readonly string[]) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  return traceOfLines(judgeLines(read.asked, lines));
}

/** What each mark of a paper holds, cell by cell, with how many times. */
function held(problem: string, ...lines: readonly string[]): Readonly<Record<string, string>> {
  const trace = traceOf(problem, ...lines)!;
  expect(audit(trace)).toEqual([]);
  return Object.fromEntries(
    trace.steps.flatMap(({ gives }) =>
      gives.map((mark) => [
        mark.text,
        [...holds(mark)]
          .map(([cell, count]) => (count === 1n ? cell : `${count}·${cell}`))
          .join(' '),
      ]),
    ),
  );
}

describe('what a line holds', () => {
  it('reaches beyond the edge and is taken back', () => {
    expect(held('46 × 58', '= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668')).toEqual({
      '46 × 60': '0.0 b0.0.1',
      '−46 × 2': '-1·b0.0.1',
      '2760': '0.0 b0.0.1',
      '−92': '-1·b0.0.1',
      '2668': '0.0',
    });
  });

  it('is a re-laid rectangle where factors move, so that later cuts still meet the grid', () => {
    // The right half is set under the left one: 100 of the 116 take all of one half and 42 of 58 of the other.
    const made = held('46 × 58', '= 23 × 116', '= 23 × 100 + 23 × 16', '= 2668');
    expect(made['23 × 116']!.split(' ')).toHaveLength(4);
    expect(made['23 × 100']!.split(' ')).toHaveLength(3);
    expect(made['23 × 16']!.split(' ')).toHaveLength(1);
  });

  it('is a piece of the other number where one gives and the other takes', () => {
    expect(held('38 + 27', '= 40 + 25', '= 65')).toEqual({
      '40': '0.0 1.0',
      '25': '1.1',
      '65': '0.0 1.0 1.1',
    });
  });

  it('is the same strip laid beside both numbers of a difference', () => {
    expect(held('642 − 387', '= 655 − 400', '= 255')).toEqual({
      '655': '0.0 b-1.0',
      '−400': '1.0 -1·b-1.0',
      '255': '0.0 1.0',
    });
  });

  it('passes the line between of a leap in the head', () => {
    const trace = traceOf('38 + 27', '= 50 + 15', '= 65')!;
    expect(audit(trace)).toEqual([]);
    const media = trace.steps.flatMap(({ gives }) =>
      gives.map(({ text, medium }) => [text, medium]),
    );
    expect(media).toEqual([
      ['30', 'head'],
      ['8', 'head'],
      ['20', 'head'],
      ['7', 'head'],
      ['50', 'paper'],
      ['15', 'paper'],
      ['65', 'paper'],
    ]);
  });
});

it('leaks at the line that is wrong, by its amount, and goes on from there', () => {
  const trace = traceOf('46 × 58', '= 46 × 6 − 46 × 2', '= 276 − 92', '= 184')!;
  expect(trace.balanced).toBe(false);
  expect(leaksOf(trace).map(({ step, amount }) => [step, `${amount}`])).toEqual([[1, '-2484']]);
  expect(`${trace.answer}`).toBe('184');
  expect(audit(trace).map(({ step }) => step)).toEqual([1]);
});

it('balances, audits and is confirmed as a document on random papers of every law', () => {
  const dice = new Dice(new Random(4));
  let told = 0;
  for (let k = 0; k < 400; k++) {
    const { before, after } = MAKERS[dice.one(Object.keys(MAKERS))]!(dice);
    const trace = traceOf(written(before), `= ${written(after)}`);
    if (!trace) continue;
    told++;
    expect([written(before), written(after), audit(trace)]).toEqual([
      written(before),
      written(after),
      [],
    ]);
    expect(
      auditDocument(JSON.parse(JSON.stringify(traceDocument({ phrases: OWN_PHRASES }, trace)))),
    ).toBeNull();
  }
  expect(told).toBeGreaterThan(200);
});

it('balances and audits on ways that random numbers invite', () => {
  const dice = new Dice(new Random(8));
  let told = 0;
  for (let k = 0; k < 60; k++) {
    const [a, b] = [dice.plain(), dice.plain()];
    const problem = dice.one([`${a} + ${b}`, `${a + b} − ${b}`, `${a} × ${b}`, `${a * b} ÷ ${b}`]);
    const read = readAsked(problem);
    if (!read.ok) throw new Error(problem);
    for (const { lines } of waysFor(read.asked)) {
      const trace = traceOf(problem, ...lines.map(({ text }) => text));
      if (!trace) continue;
      told++;
      expect([problem, audit(trace)]).toEqual([problem, []]);
      expect(trace.answer.equals(trace.total)).toBe(true);
    }
  }
  expect(told).toBeGreaterThan(100);
});

it('takes side lines as what the problem falls into, each worked out on its own line', () => {
  const trace = traceOf('46 × 58', '46 × 60 = 2760', '46 × 2 = 92', '2760 − 92', '= 2668')!;
  expect(audit(trace)).toEqual([]);
  expect(trace.steps.map(({ phase }) => phase.of)).toEqual([1, 1, 2, 3, 4]);
  const four = traceOf(
    '46 × 58',
    '40 × 50 = 2000',
    '40 × 8 = 320',
    '6 × 50 = 300',
    '6 × 8 = 48',
    '2668',
  )!;
  expect(audit(four)).toEqual([]);
  expect(four.steps.map(({ phase }) => phase.of)).toEqual([1, 1, 2, 3, 4, 5]);
});

it('takes jumps as pieces of the larger number, and lets the smaller one go on both sides', () => {
  expect(held('642 − 387', '387 +13→ 400 +242→ 642', '= 255')).toEqual({
    '13': '0.1',
    '242': '0.0',
    '255': '0.0 0.1',
  });
  const aside = traceOf('642 − 387', '387 + 13 = 400', '400 + 242 = 642', '13 + 242 = 255')!;
  expect(audit(aside)).toEqual([]);
  expect(aside.steps.map(({ phase, law }) => [phase.of, law])).toEqual([
    [1, 'evaluate'],
    [2, 'evaluate'],
    [2, 'inverse'],
    // The hops are written again before they are put together.
    [3, 'reorder'],
    [3, 'evaluate'],
  ]);
});

it('follows fractions along their line', () => {
  expect(held('5 1/6 − 2 5/6', '= 5 2/6 − 3', '= 2 2/6', '= 2 1/3')).toMatchObject({
    '5 2/6': '0.0 b-1.0',
    '−3': '1.0 -1·b-1.0',
  });
  expect(audit(traceOf('3/4 + 1/6', '= 11/12')!)).toEqual([]);
});

it('is not told where a line has no place in it, or what is asked has no parts', () => {
  expect(traceOf('642 − 387', '387 +13→ 410 +232→ 642')).toBeNull();
  expect(traceOf('√7396', '= 86')).toBeNull();
  expect(traceOf('38 + 27 − 65', '= 65 − 65', '= 0')).not.toBeNull();
  expect(traceOf('3 × 4 − 12', '= 12 − 12', '= 0')).toBeNull();
});

it.each([
  ['642 − 387', ['= 642 − (300 + 87)', '= 642 − 300 − 87', '= 255']],
  ['642 − 387', ['= 642 − (400 − 13)', '= 642 − 400 + 13', '= 255']],
  ['46 − 58', ['= −(58 − 46)', '= −12']],
  ['(x+5)−(2x−3)', ['= x + 5 − 2x + 3', '= 8 − x']],
  ['(x−3)^2', ['= x^2 − 6x + 9']],
  ['(x+2)(x−2)', ['= x^2 − 2x + 2x − 4', '= x^2 − 4']],
  ['(x+4)(3x−2)', ['= 3x(x+4) − 2(x+4)', '= 3x^2 + 10x − 8']],
])('%s %j: signs and letters balance and audit', (problem, lines) => {
  const trace = traceOf(problem, ...lines)!;
  expect([trace.balanced, audit(trace)]).toEqual([true, []]);
});

it('tells the cells of brackets apart by what they are worth', () => {
  const lines = ['= 3x(x+4) − 2(x+4)', '= 3x^2 + 12x − 2x − 8', '= 3x^2 + 10x − 8'];
  const { steps } = traceOf('(x+4)(3x−2)', ...lines)!;
  const told = steps.map(({ law, gives }) => [
    law,
    ...gives.map(({ text, terms }) => `${text}: ${terms.ids().join(' ')}`),
  ]);
  expect(told).toEqual([
    ['distribute', '3x(x + 4): 0.1 1.1', '−2(x + 4): 0.0 1.0'],
    ['distribute', '3x^2: 1.1', '12x: 0.1'],
    ['distribute', '−2x: 1.0', '−8: 0.0'],
    ['like-terms', '10x: 1.0 0.1'],
    ['reorder', '3x^2: 1.1', '−8: 0.0'],
  ]);
});
