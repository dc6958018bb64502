import fc from 'fast-check';
import { addressText, whereText } from '../account/chance.ts';
import { registry } from '../methods/index.ts';
import { once, type Mind } from '../testing/learners.ts';
import {
  countedAlike,
  crossedFractions,
  cutBothWays,
  improperFirst,
  multipliedAcross,
  pairedPrimes,
  pointed,
  ratioText,
  rooted,
  sharedDenominator,
  sharedOut,
  turnedOver,
  wholesApart,
  type Mixed,
  type Ratio,
} from '../testing/part-learners.ts';
import { problemFrom } from '../testing/work.ts';
import { slipIdea } from './catalogue.ts';

/**
 * At every chance of a slip that is often met the method answers as a learner does who knows nothing of accounts; gives the
 * slips that were met. `all` holds the others too.
 */
function held(id: string, text: string, learner: (mind: Mind) => string, school = {}): string[] {
  const method = registry.get(id);
  const problem = problemFrom(text);
  const options = { school: { ...method.defaultSchool, ...school } };
  return method
    .light(problem, options)
    .opportunities.filter(({ slip }) => slipIdea(slip).often > 1)
    .map((chance) => {
      const { answer } = method.light(problem, { ...options, slips: [chance] });
      const expected = learner(once(chance.slip, whereText(chance.at)));
      const address = addressText(chance);
      expect([id, text, address, answer.toString()]).toEqual([id, text, address, expected]);
      return chance.slip;
    });
}

/** Every slip of the method that is often met was met. */
function expectOften(
  id: string,
  met: ReadonlySet<string>,
  elsewhere: readonly string[] = [],
): void {
  const often = registry.get(id).slips.filter((slip) => slipIdea(slip.id).often > 1);
  const left = often.map((slip) => slip.id).filter((slip) => !met.has(slip));
  expect([id, left]).toEqual([id, [...elsewhere]]);
}

const whole = (most: number) => fc.integer({ min: 1, max: most });
const proper = fc
  .tuple(whole(11), fc.integer({ min: 2, max: 12 }))
  .map(([top, bottom]): Ratio => [((top - 1) % (bottom - 1)) + 1, bottom]);
const mixed = fc
  .tuple(whole(9), proper)
  .map(([count, [top, bottom]]): Mixed => ({ whole: count, top, bottom }));
const fractionText = ([top, bottom]: Ratio) => `${top}/${bottom}`;
const mixedText = ({ whole: count, top, bottom }: Mixed) => `${count} ${top}/${bottom}`;

describe('learners of fractions', () => {
  it.each([
    ['cross-products', crossedFractions],
    ['least-common-denominator', sharedDenominator],
  ])('answer by %s as those who work with figures alone', (id, learner) => {
    const met = new Set<string>();
    fc.assert(
      fc.property(proper, proper, fc.boolean(), (a, b, isSum) => {
        fc.pre(isSum || a[0] * b[1] > b[0] * a[1]);
        const text = `${fractionText(a)} ${isSum ? '+' : '−'} ${fractionText(b)}`;
        const slips = held(id, text, (mind) => ratioText(learner(a, b, isSum ? 1 : -1, mind)));
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 100 },
    );
    expectOften(id, met);
  });

  it('answer by wholes and parts apart likewise', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(mixed, mixed, (a, b) => {
        fc.pre(a.whole > b.whole);
        const text = `${mixedText(a)} − ${mixedText(b)}`;
        const slips = held('mixed-separate', text, (mind) => ratioText(wholesApart(a, b, mind)));
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 100 },
    );
    expectOften('mixed-separate', met);
  });

  it('answer by improper fractions likewise', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(mixed, mixed, fc.boolean(), (a, b, isSum) => {
        fc.pre(isSum || a.whole > b.whole);
        const text = `${mixedText(a)} ${isSum ? '+' : '−'} ${mixedText(b)}`;
        const sign = isSum ? 1 : -1;
        const slips = held('mixed-improper', text, (mind) =>
          ratioText(improperFirst(a, b, sign, mind)),
        );
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 100 },
    );
    expectOften('mixed-improper', met);
  });
});

describe('learners of products and quotients of fractions', () => {
  const asNumber = fc.tuple(fc.nat({ max: 3 }), proper).map(([count, [top, bottom]]): Mixed => ({
    whole: count,
    top,
    bottom,
  }));
  const textOf = (own: Mixed) =>
    own.whole === 0 ? fractionText([own.top, own.bottom]) : mixedText(own);

  it.each([
    ['fraction-product', '×', multipliedAcross],
    ['fraction-area', '×', cutBothWays],
    ['fraction-reciprocal', '÷', turnedOver],
    ['fraction-common-denominator', '÷', countedAlike],
  ] as const)('answer by %s as those who work with figures alone', (id, sign, learner) => {
    const met = new Set<string>();
    fc.assert(
      fc.property(asNumber, asNumber, fc.boolean(), (a, b, isAlike) => {
        const other = isAlike ? { ...b, bottom: a.bottom } : b;
        const text = `${textOf(a)} ${sign} ${textOf(other)}`;
        const slips = held(id, text, (mind) => ratioText(learner(a, other, mind)));
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 150 },
    );
    expectOften(id, met);
  });
});

describe('learners of division', () => {
  it.each(['short-division', 'long-division'])('answer by %s likewise', (id) => {
    const met = new Set<string>();
    fc.assert(
      fc.property(whole(99_999), fc.integer({ min: 2, max: 19 }), (dividend, divisor) => {
        fc.pre(dividend >= divisor);
        const slips = held(id, `${dividend} ÷ ${divisor}`, (mind) =>
          ratioText(sharedOut(dividend, divisor, mind)),
        );
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 100, examples: [[1804, 6]] },
    );
    expectOften(id, met, ['scale-one', 'rest-in-scaled-units']);
  });
});

describe('learners who scale a division by tenths', () => {
  it.each(['short-division', 'long-division', 'partial-quotients'])(
    'scale one number alone, or tell what is left in the scaled numbers, by %s',
    (id) => {
      const method = registry.get(id);
      const met = new Set<string>();
      const tenths = fc.integer({ min: 2, max: 99 }).filter((number) => number % 10 > 0);
      fc.assert(
        fc.property(whole(9999), tenths, (a, b) => {
          const problem = problemFrom(`${(a / 10).toFixed(1)} ÷ ${(b / 10).toFixed(1)}`);
          const school = { ...method.defaultSchool, stop: 'remainder' };
          for (const chance of method.light(problem, { school }).opportunities) {
            const { answer } = method.light(problem, { school, slips: [chance] });
            const [quotient, left] = [Math.floor(a / b), a % b];
            const expected: Record<string, Ratio> = {
              'scale-one': [a, 10 * b],
              'rest-in-scaled-units': [quotient * b + 10 * left, b],
            };
            const own = expected[chance.slip];
            if (!own) continue;
            expect([a, b, chance.slip, answer.toString()]).toEqual([
              ...[a, b, chance.slip],
              ratioText(own),
            ]);
            met.add(chance.slip);
          }
        }),
        { numRuns: 100 },
      );
      expect([...met].sort()).toEqual(['rest-in-scaled-units', 'scale-one']);
    },
  );
});

describe('learners of roots', () => {
  it('answer by digit pairs likewise', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(whole(999_999), (number) => {
        const slips = held('digit-pairs', `√${number}`, (mind) => `${rooted(number, mind)}`, {
          stop: 'whole-number',
        });
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 100, examples: [[7396], [41_616], [1_002_001]] },
    );
    expectOften('digit-pairs', met);
  });

  it('answer by prime pairs likewise', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(whole(60), whole(60), (a, b) => {
        const number = a * a * b;
        fc.pre(number > 1);
        const slips = held('prime-pairs', `√${number}`, (mind) => `${pairedPrimes(number, mind)}`);
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 80 },
    );
    expectOften('prime-pairs', met);
  });
});

describe('learners who set a point', () => {
  const POINTS = ['point-one-off', 'point-one-off-left', 'point-as-in-a-sum', 'point-dropped'];

  it.each(['column-multiplication', 'partial-products', 'crosswise', 'halving-doubling'])(
    'answer by %s likewise',
    (id) => {
      const met = new Set<string>();
      const digits = fc.integer({ min: 11, max: 99 }).filter((number) => number % 10 > 0);
      fc.assert(
        fc.property(digits, digits, whole(2), whole(2), (a, b, left, right) => {
          const text = (number: number, behind: number) => (number / 10 ** behind).toFixed(behind);
          const method = registry.get(id);
          const problem = problemFrom(`${text(a, left)} × ${text(b, right)}`);
          for (const chance of method.light(problem).opportunities) {
            if (!POINTS.includes(chance.slip)) continue;
            const { answer } = method.light(problem, { slips: [chance] });
            const mind = once(chance.slip, whereText(chance.at));
            const expected = ratioText(pointed(a * b, [left, right], mind));
            expect([chance.slip, answer.toString()]).toEqual([chance.slip, expected]);
            met.add(chance.slip);
          }
        }),
        { numRuns: 60 },
      );
      expect([...met].sort()).toEqual([...POINTS].sort());
    },
  );
});
