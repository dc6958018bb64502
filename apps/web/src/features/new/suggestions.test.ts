import { problemText, registry, structureOf } from '@levee/core';
import { suggestions } from './suggestions.ts';

/** Numbers that look random and repeat with their seed. */
function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}

describe('suggested computations', () => {
  it('are of different kinds, hard enough to tell methods apart, and can be worked', () => {
    for (let seed = 1; seed < 60; seed++) {
      const offered = suggestions(3, random(seed));
      expect(offered).toHaveLength(3);
      const texts = offered.map(problemText);
      expect(new Set(texts.map((text) => /[×−÷/]|\+/.exec(text)![0])).size).toBe(3);
      for (const problem of offered) {
        expect(structureOf(problem).level).toBeGreaterThanOrEqual(2);
        expect(registry.methods.some((method) => method.accepts(problem).ok)).toBe(true);
      }
    }
  });
});
