import fc from 'fast-check';
import { addressText, whereText } from '../account/chance.ts';
import type { Mark, Trace } from '../account/account.ts';
import { registry } from '../methods/index.ts';
import { once, type Mind } from '../testing/learners.ts';
import { ratioText } from '../testing/part-learners.ts';
import { addedInParts, placeByPlace, scratched, totalled } from '../testing/sum-learners.ts';
import { problemFrom, worked } from '../testing/work.ts';
import { slipIdea } from './catalogue.ts';

/** At every chance of these slips the method answers as a learner does; gives those that were met. */
function held(id: string, text: string, learner: (mind: Mind) => number, out: string[] = []) {
  const method = registry.get(id);
  const problem = problemFrom(text);
  return method
    .light(problem)
    .opportunities.filter(({ slip }) => slipIdea(slip).often > 1 && !out.includes(slip))
    .map((chance) => {
      const { answer } = method.light(problem, { slips: [chance] });
      const expected = `${learner(once(chance.slip, whereText(chance.at)))}`;
      const address = addressText(chance);
      expect([id, text, address, answer.toString()]).toEqual([id, text, address, expected]);
      return chance.slip;
    });
}

function expectOften(
  id: string,
  met: ReadonlySet<string>,
  elsewhere: readonly string[] = [],
): void {
  const often = registry.get(id).slips.filter((slip) => slipIdea(slip.id).often > 1);
  const left = often.map((slip) => slip.id).filter((slip) => !met.has(slip));
  expect([id, left]).toEqual([id, [...elsewhere]]);
}

const number = fc.integer({ min: 1, max: 9999 });
const addends = fc.array(fc.integer({ min: 1, max: 999 }), { minLength: 3, maxLength: 6 });

describe('learners of sums', () => {
  it.each([
    ['left-to-right-addition', false],
    ['bridging-addition', true],
  ] as const)('answer by %s as those who add part by part', (id, bridges) => {
    const met = new Set<string>();
    fc.assert(
      fc.property(number, number, (a, b) => {
        const slips = held(id, `${a} + ${b}`, (mind) => addedInParts(a, b, mind, bridges));
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 80, examples: [[348, 276]] },
    );
    expectOften(id, met);
  });

  it.each([
    ['running-total', totalled, []],
    ['scratch-addition', scratched, []],
    ['partial-sums', placeByPlace, ['forget-carry']],
  ] as const)('answer by %s likewise', (id, learner, elsewhere) => {
    const met = new Set<string>();
    fc.assert(
      fc.property(addends, (all) => {
        const slips = held(id, all.join(' + '), (mind) => learner(all, mind), [...elsewhere]);
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 80, examples: [[[57, 79, 84, 38]]] },
    );
    expectOften(id, met, elsewhere);
  });
});

/** The numbers of a role on a right paper, in their order. */
function read({ steps }: Trace, role: Mark['role']): number[] {
  return steps
    .flatMap(({ gives }) => gives)
    .filter((mark) => mark.role === role)
    .map(({ worth }) => Number(worth.toString()));
}

describe('learners who follow a right paper up to one number of it', () => {
  const pairs = fc
    .tuple(fc.integer({ min: 2, max: 9999 }), fc.integer({ min: 1, max: 9998 }))
    .map(([a, b]): [number, number] => (a > b ? [a, b] : [b + 1, a]));

  /** What a slip gives when it is made at the first, or each, chance for it. */
  function answers(id: string, text: string, slip: string): string[] {
    const method = registry.get(id);
    const problem = problemFrom(text);
    return method
      .light(problem)
      .opportunities.filter((chance) => chance.slip === slip)
      .map((chance) => method.light(problem, { slips: [chance] }).answer.toString());
  }

  it('skip one ring, or count the number they start from', () => {
    fc.assert(
      fc.property(pairs, ([a, b]) => {
        const text = `${a} − ${b}`;
        const hops = read(worked('counting-up', text), 'hop');
        const skipped = answers('counting-up', text, 'skip-ring');
        if (hops.length > 1) expect(skipped).toEqual(hops.map((hop) => `${a - b - hop}`));
        for (const one of answers('counting-up', text, 'count-the-start')) {
          expect(one).toBe(`${a - b + 1}`);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('forget the adjustment, make it the wrong way, or change one number alone', () => {
    fc.assert(
      fc.property(pairs, ([a, b]) => {
        const sum = `${a} + ${b}`;
        const [change = 0] = read(worked('compensation-addition', sum), 'adjustment');
        for (const one of answers('compensation-addition', sum, 'forget-adjustment')) {
          expect(one).toBe(`${a + b - change}`);
        }
        for (const one of answers('compensation-addition', sum, 'wrong-way')) {
          expect(one).toBe(`${a + b - 2 * change}`);
        }
        const difference = `${a} − ${b}`;
        const [, lower = -b] = read(
          worked('compensation-subtraction', difference),
          'adjusted number',
        );
        for (const one of answers('compensation-subtraction', difference, 'one-changed')) {
          expect(one).toBe(`${a + lower}`);
        }
        for (const one of answers('compensation-subtraction', difference, 'opposite')) {
          expect(one).toBe(`${a - (-lower - b) + lower}`);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('leave out one chunk of a division', () => {
    fc.assert(
      fc.property(number, fc.integer({ min: 2, max: 19 }), (dividend, divisor) => {
        const text = `${dividend} ÷ ${divisor}`;
        const chunks = read(worked('partial-quotients', text), 'chunk');
        const expected = chunks.map((chunk) => {
          return ratioText([dividend - chunk * divisor, divisor]);
        });
        const made = answers('partial-quotients', text, 'skip-chunk');
        if (chunks.length > 1) expect(made).toEqual(expected);
      }),
      { numRuns: 100 },
    );
  });
});
