import { DEFAULT_VOCABULARY, registry } from '@levee/core';
import { exampleOf, lawsOf, mediaOf, scopeOf } from './example.ts';

describe('every method', () => {
  it.each(registry.methods.map((method) => [method.id, method] as const))(
    '%s is told with an example, its scope and its laws',
    (_, method) => {
      const example = exampleOf(method, method.defaultSchool);
      expect(example.answer).toMatch(
        /^(\d+( \d+\/\d+|\/\d+)?|6√2|3x² \+ 10x − 8|x³ \+ 3x² \+ 7x)$/,
      );
      expect(example.paper.lane.trace.balanced).toBe(true);
      expect(example.say(DEFAULT_VOCABULARY).base).toBe(10);
      expect(lawsOf(example.paper).length).toBeGreaterThan(0);
      expect(mediaOf(example.paper).written).toMatch(/\d+ figures in \d+ line/);
      const scope = scopeOf(method);
      expect(scope.some(({ works }) => works)).toBe(true);
      for (const { works, reason } of scope) expect(reason === null).toBe(works);
    },
  );

  it('says what it refuses of its own kind only', () => {
    const told = (id: string) =>
      scopeOf(registry.get(id)).map(({ what, works }) => `${works ? '+' : '-'} ${what}`);
    expect(told('decomposition')).toEqual([
      '+ differences',
      '- negative differences',
      '+ differences of decimals',
      '+ other bases',
    ]);
    expect(told('compensation-addition')).toEqual([
      '+ two addends',
      '- a string of addends',
      '+ sums of decimals',
      '+ other bases',
    ]);
    expect(
      mediaOf(exampleOf(registry.get('running-total'), { order: 'as-written' }).paper).held,
    ).toBe('one number at a time, up to 34');
  });
});
