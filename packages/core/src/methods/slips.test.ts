import fc from 'fast-check';
import { addressText, readWhere, whereText } from '../account/chance.ts';
import { leaksOf } from '../account/leaks.ts';
import { choiceName, everySchool, problemsFor } from '../testing/arbitraries.ts';
import { worked } from '../testing/work.ts';

const named = everySchool.map((choice) => [choiceName(choice), choice] as const);

describe.each(named)('slips of %s', (_, { method, school }) => {
  it('have an address each, and leak first at the step that is named', () => {
    fc.assert(
      fc.property(problemsFor(method), (problem) => {
        const clean = method.trace(problem, { school });
        expect(leaksOf(clean)).toEqual([]);
        const addresses = clean.opportunities.map(addressText);
        expect(new Set(addresses).size).toBe(addresses.length);
        for (const [k, chance] of clean.opportunities.entries()) {
          const { slip, at, occurrence, step } = chance;
          const address = addressText(chance);
          expect(readWhere(whereText(at))).toEqual(at);
          const slipped = method.light(problem, { school, slips: [{ slip, at }] });
          const named = slipped.opportunities.find((one) => addressText(one) === address);
          expect([address, named !== undefined]).toEqual([address, true]);
          // The clean work, the slipped one and where it leaks name one step.
          const [first] = slipped.leaks;
          if (first)
            expect([address, step, named!.step]).toEqual([address, first.step, first.step]);
          if (k >= 4) continue;
          const whole = method.trace(problem, { school, slips: [{ slip, at }] });
          expect([address, leaksOf(whole)[0]?.step]).toEqual([address, first?.step]);
          const again = method.trace(problem, { school, slips: [{ slip, occurrence }] });
          expect([address, again.answer.toString()]).toEqual([address, whole.answer.toString()]);
        }
      }),
      { numRuns: 5 },
    );
  });

  it('leak at the step that is named where a fact is taken for another number', () => {
    fc.assert(
      fc.property(problemsFor(method), (problem) => {
        for (const { slip, at, step, fact } of method.trace(problem, { school }).facts) {
          const slips = [{ slip, at, value: fact.due + 1 }];
          const [first] = method.light(problem, { school, slips }).leaks;
          if (first) expect([whereText(at), first.step]).toEqual([whereText(at), step]);
        }
      }),
      { numRuns: 2 },
    );
  });
});

/** Works in which a learner who slips does other steps before the one that is wrong. */
describe('the step of a slip', () => {
  it.each([
    ['decomposition', '50 − 7', 'smaller-from-larger@place-0', 1],
    ['decomposition', '2053 − 84.317', 'tail-not-filled@answer-0', 1],
    ['expanded-subtraction', '2604 − 33', 'zero-minus-is-zero@place-1', 2],
    ['digit-pairs', '√6', 'not-doubled@place--2', 12],
  ])('by %s of %s, %s, is %d', (id, text, address, step) => {
    const school: Readonly<Record<string, string>> =
      id === 'digit-pairs' ? { stop: 'two-places', trials: 'from-a-guess' } : {};
    const clean = worked(id, text, { school });
    const chance = clean.opportunities.find((one) => addressText(one) === address);
    expect(chance?.step).toBe(step);
    const slips = [{ slip: chance!.slip, at: chance!.at }];
    expect(leaksOf(worked(id, text, { school, slips }))[0]?.step).toBe(step);
  });
});

describe('addresses', () => {
  const addressesOf = (id: string, text: string) => worked(id, text).opportunities.map(addressText);

  it.each([
    ['column-multiplication', '46 × 58', ['omit-placeholder@line-1', 'forget-carry@line-1.1']],
    ['decomposition', '642 − 387', ['lender-not-reduced@place-2', 'smaller-from-larger@place-0']],
    ['lattice', '46 × 58', ['swap-cell@cell-1.0', 'add-edge-digit@diagonal-0']],
    ['left-to-right-addition', '386 + 58', ['skip-part@term-1.1']],
    ['column-multiplication', '12 × 35 × 7', ['forget-carry@stage-1/line-0.2']],
    ['short-division', '952 ÷ 7', ['forget-remainder@place-1']],
    ['mixed-improper', '5 1/6 − 2 5/6', ['whole-added@operand-1']],
    [
      'fraction-product',
      '1 1/2 × 2 1/3',
      ['wholes-and-parts-apart@answer-0', 'whole-added@operand-0', 'crossed-product@answer-0'],
    ],
    ['fraction-reciprocal', '3/4 ÷ 2/3', ['dividend-turned@operand-1', 'both-turned@operand-1']],
    ['fraction-common-denominator', '3/4 ÷ 2/3', ['bottom-only@operand-0', 'name-kept@answer-0']],
    ['fraction-area', '2/3 × 1/4', ['any-shading-counted@cell-0.0']],
    ['expand-arcs', '(x+4)(3x−2)', ['lost-sign@cell-1.0', 'unlike-gathered@term-1.0']],
  ])('of %s for %s hold %j', (id, text, some) => {
    expect(addressesOf(id, text)).toEqual(expect.arrayContaining(some));
  });

  it('stay the same when another slip is made', () => {
    const both = worked('column-multiplication', '768 × 67', {
      slips: [
        { slip: 'forget-carry', at: { what: 'line', at: [0, 1] } },
        { slip: 'forget-carry', at: { what: 'line', at: [1, 2] } },
      ],
    });
    expect(leaksOf(both).map(({ step, amount }) => [step, amount.toString()])).toEqual([
      [2, '-50'],
      [7, '-4000'],
    ]);
  });

  it.each(['line', 'line-', 'line-x', 'nowhere-1', 'stage-1/', 'line-1.0.', 'stage--1/line-1', ''])(
    'are not read from %j',
    (text) => expect(readWhere(text)).toBeNull(),
  );
});
