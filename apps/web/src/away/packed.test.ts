import { judgedLines, workOf, type KnownLines } from '@levee/core';
import { judgeLines } from './lines-job.ts';
import { pack, unpack } from './packed.ts';

/** Ways of every kind of account: by places, jumps, brackets with letters, quotients, roots, tables and line by line. */
const WAYS: readonly (readonly [problem: string, ...lines: string[]])[] = [
  ['642 − 387', '= 642 − 400 + 13', '= 242 + 13', '= 255'],
  ['642 − 387', '387 → 400 → 600 → 642', '13 + 200 + 42 = 255'],
  ['46 × 58', '46 × 60 = 2760', '46 × 2 = 92', '= 2760 − 92', '= 2600'],
  ['(x+4)(3x−2)', '= 3x^2 − 2x + 12x − 8', '= 3x^2 + 10x − 8'],
  ['952 ÷ 7', '= 700 ÷ 7 + 252 ÷ 7', '= 100 + 36'],
  ['√72', '= √36 × √2', '= 6√2'],
  ['3 ÷ 8', '3 : 8 | 375 : 1000', '= 0.375'],
  ['(3 + 4)^2 − 5', '= 49 − 5', '= 44'],
  ['46 × 58', '= 40 × (', 'and so on', '= 7'],
];

/** As another thread gets it. */
function sent<T>(value: T): T {
  return unpack(structuredClone(pack(value)));
}

/** All that is in it, with the names of classes, so that nothing that looks alike passes for the same. */
function spelled(value: unknown): string {
  return JSON.stringify(value, (_, one: unknown) => {
    if (typeof one === 'bigint') return `${one}n`;
    if (one instanceof Map) return ['Map', ...one];
    if (one instanceof Set) return ['Set', ...one];
    if (typeof one !== 'object' || one === null || Array.isArray(one)) return one;
    return { 'made by': one.constructor.name, ...one };
  });
}

describe('data that goes between threads', () => {
  it.each(WAYS)('is what it was: own lines on %s', (problem, ...lines) => {
    const known = judgedLines(problem, workOf(lines));
    const came: KnownLines = unpack(structuredClone(judgeLines(problem, workOf(lines))));
    expect(spelled(came) === spelled(known)).toBe(true);
    // What a space works out when it is asked comes out the same.
    expect(JSON.stringify(came.trace) === JSON.stringify(known.trace)).toBe(true);
    expect(came.trace.start.map(({ terms }) => terms.worth().toString())).toEqual(
      known.trace.start.map(({ terms }) => terms.worth().toString()),
    );
  });

  it('stands once where it stood once', () => {
    const one = { of: [1n] };
    const [a, b] = sent([one, one]);
    expect(a).toBe(b);
    expect(a).toEqual(one);
  });

  it('is refused where it cannot go', () => {
    expect(() => pack({ run: () => 1 })).toThrow('a function cannot go');
    expect(() => pack([new Date()])).toThrow('a Date cannot go');
    expect(() => unpack({ packed: { '#class': 'Unheard' } })).toThrow(RangeError);
  });
});
