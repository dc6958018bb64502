import fc from 'fast-check';
import { addressText } from '../account/chance.ts';
import { registry } from '../methods/index.ts';
import { problemFrom } from '../testing/work.ts';

/** Figures of a number, ones first. */
const figures = (number: number): number[] => [...String(number)].reverse().map(Number);

/** The number that figures make, ones first; what was not written is not read. */
const read = (written: readonly (number | undefined)[]): number =>
  Number(
    [...written]
      .map((one) => one ?? '')
      .reverse()
      .join('') || '0',
  );

/** A learner of decomposition who slips once, with figures alone: nothing of the account, terms or steps is used. */
function subtracted(minuend: number, subtrahend: number, slip: string, at: number): number {
  const upper = figures(minuend);
  const given = figures(minuend);
  const lower = figures(subtrahend);
  const slips = (id: string, place: number) => slip === id && at === place;
  const fill = (place: number): void => {
    const next = place + 1;
    const isEmpty = upper[next] === 0;
    const there = upper.flatMap((figure, k) => (k > place && figure > 0 ? [k] : []));
    if (slips('zero-skipped', place) && isEmpty) upper[there[0]!]! -= 1;
    else if (slips('zero-made-nine', place) && isEmpty) upper[next] = 9;
    else if (slips('lends-from-leftmost', place) && !isEmpty) upper[there.at(-1)!]! -= 1;
    else {
      if (isEmpty) fill(next);
      if (slips('lender-reduced-twice', next)) upper[next]! -= 2;
      else if (!slips('lender-not-reduced', next)) upper[next]! -= 1;
    }
    upper[place]! += 10;
  };
  const column = (place: number): number | undefined => {
    const below = lower[place];
    if (upper[place]! < (below ?? 0)) {
      if (slips('smaller-from-larger', place)) return below! - upper[place]!;
      if (slips('zero-minus-is-zero', place) && given[place] === 0) return 0;
      if (!upper.some((figure, k) => k > place && figure > 0)) return below! - upper[place]!;
      fill(place);
    }
    const above = upper[place]!;
    if (slip === 'blank-not-brought-down' && place >= lower.length) return undefined;
    if (slips('minus-zero-is-zero', place)) return 0;
    if (slips('equal-stays', place)) return above;
    if (slips('last-figure-again', place)) return above - lower.at(-1)!;
    if (slips('one-column-added', place)) return above + below!;
    return above - (below ?? 0);
  };
  return read(given.map((_, place) => column(place)));
}

const differences = fc
  .tuple(fc.integer({ min: 1, max: 90_909 }), fc.integer({ min: 1, max: 90_909 }))
  .map(([a, b]) => [Math.max(a, b), Math.min(a, b)] as const);

describe('a learner of decomposition', () => {
  const method = registry.get('decomposition');

  it('answers as one who works with figures alone, at every chance of every slip', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(differences, ([a, b]) => {
        const problem = problemFrom(`${a} − ${b}`);
        for (const chance of method.trace(problem).opportunities) {
          met.add(chance.slip);
          const { answer } = method.light(problem, { slips: [chance] });
          expect([a, b, addressText(chance), answer.toString()]).toEqual([
            a,
            b,
            addressText(chance),
            String(subtracted(a, b, chance.slip, chance.at.at[0]!)),
          ]);
        }
      }),
      { numRuns: 200, examples: [[[305, 127]], [[90_000, 7]], [[308, 120]], [[5558, 128]]] },
    );
    expect(method.slips.map(({ id }) => id).filter((id) => !met.has(id))).toEqual([]);
  });
});
