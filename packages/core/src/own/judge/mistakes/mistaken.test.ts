import { readAsked } from '../../read/asked.ts';
import { judgeLines } from '../judge-lines.ts';
import { figuresBetween } from './nearest.ts';
import { FALSE_RULES } from './table.ts';

function judged(problem: string, line: string) {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  return judgeLines(read.asked, [line]).lines[0]!;
}

describe('every false rule', () => {
  it.each(FALSE_RULES.map((rule) => [rule.id, rule] as const))(
    '%s writes its counter-example, which is not worth the same',
    (id, { counter: { from, line }, truth }) => {
      const { verdict, falseRule } = judged(from, `= ${line}`);
      expect([verdict, falseRule]).toEqual(['unequal', { id, truth }]);
    },
  );

  it('has a file of its own and an id of its own', () => {
    expect(new Set(FALSE_RULES.map(({ id }) => id)).size).toBe(FALSE_RULES.length);
  });
});

describe('the nearest true line', () => {
  it.each([
    ['46 × 58', '= 46 × 6 − 46 × 2', '46 × 60 − 46 × 2'],
    ['46 × 60 − 46 × 2', '= 2670 − 92', '2760 − 92'],
    ['46 × 60 − 46 × 2', '= 2760 + 92', '2760 − 92'],
    ['642 − 387', '= 655 − 374', '629 − 374'],
    ['952 ÷ 7', '= 952 ÷ 14', '952 ÷ 7'],
    ['46 × 58', '= 2786', '2668'],
    ['3/4 + 1/6', '= 9/12 + 3/12', '9/12 + 2/12'],
  ])('of %s %s is %s', (problem, line, near) => {
    expect(judged(problem, line).nearest.map(({ text }) => text)).toContain(near);
  });

  it.each([
    ['the sign before a number', '46 × 60 − 46 × 2', '= 2760 + 92', ['2760 − 92', '2576 + 92']],
    ['fewer figures before more', '642 − 387', '= 655 − 374', ['629 − 374', '655 − 400']],
  ])('is %s', (_, problem, line, near) => {
    expect(judged(problem, line).nearest.map(({ text }) => text)).toEqual(near);
  });

  it('explains all of what is off, and at most two are told', () => {
    const { off, nearest } = judged('46 × 58', '= 46 × 6 − 46 × 2');
    expect(nearest.length).toBeLessThanOrEqual(2);
    for (const near of nearest) expect(near.off.equals(off!)).toBe(true);
  });

  it('counts figures as people mistake them', () => {
    expect(figuresBetween('6', '60')).toBe(1);
    expect(figuresBetween('2670', '2760')).toBe(1);
    expect(figuresBetween('58', '85')).toBe(1);
    expect(figuresBetween('46', '64')).toBe(1);
    expect(figuresBetween('', '12')).toBe(2);
  });
});

describe('a right line that a false rule writes too', () => {
  it.each([
    ['16/64 + 1', '= 1/4 + 1', 'figures-struck'],
    ['3 × 1.5', '= 3 + 1.5', 'sum-for-product'],
  ])('%s %s stands beside its law with numbers that tell them apart', (problem, line, rule) => {
    const { verdict, chance } = judged(problem, line);
    expect(verdict).toBe('lawful');
    expect(chance!.rule).toBe(rule);
    const [before = '', after = ''] = chance!.counter.split(' = ');
    expect(judged(before, `= ${after}`).verdict).toBe('unequal');
  });
});

it('says nothing of a rule by which nobody comes to such numbers, though it writes the line', () => {
  expect(judged('(0+3)^2', '= 0^2 + 3^2').chance).toBeNull();
  expect(judged('0 ÷ (2+3)', '= 0 ÷ 2 + 0 ÷ 3').chance).toBeNull();
});

it('has every false rule once, with one sentence of where the true one holds', () => {
  const ids = FALSE_RULES.map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const { truth } of FALSE_RULES) expect(truth).toMatch(/^[A-Z][^.]+\.$/);
});
