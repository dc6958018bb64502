import { readProblem, registry, type Problem } from '@levee/core';
import { methodGroups } from './method-groups.ts';

function problemOf(text: string): Problem {
  const read = readProblem(text);
  if (!read.ok) throw new Error(text);
  return read.problem;
}

describe('the list of methods', () => {
  const problem = problemOf('1835 ÷ 24');
  const works = registry.methods.filter((method) => method.accepts(problem).ok).map(({ id }) => id);
  const others = registry.methods.length - works.length;

  it('has what works the problem, head and paper apart, and the others in one line', () => {
    let asked = 0;
    const [own, ...groups] = methodGroups(problemOf('642 − 387'), false, () => (asked += 1));
    expect(own!.map(({ id }) => id)).toEqual(['own-lines']);
    const headings = groups.flatMap((group) => group.flatMap(({ heading }) => heading ?? []));
    expect(headings).toContain('On paper');
    expect(headings.length).toBeGreaterThan(1);
    const [line] = groups.at(-1)!;
    expect(line).toMatchObject({ stays: true });
    line!.run!();
    expect(asked).toBe(1);
  });

  it('says of the others why, when it is asked', () => {
    const line = methodGroups(problem, false, () => undefined).at(-1)!;
    expect(line.map(({ label }) => label)).toEqual([
      `${others} others do not work such a quotient: why?`,
    ]);
    const told = methodGroups(problem, true, () => undefined).at(-1)!;
    expect(told).toHaveLength(others);
    expect(told.every(({ disabled, note }) => disabled && note !== '')).toBe(true);
    const offered = methodGroups(problem, true, () => undefined)
      .slice(1, -1)
      .flat()
      .map(({ id }) => id);
    expect(offered.sort()).toEqual([...works].sort());
  });
});
