import fc from 'fast-check';
import { addressText, whereText } from '../account/chance.ts';
import { registry } from '../methods/index.ts';
import { likeTogether, multipliedOut, termsText, type Term } from '../testing/letter-learners.ts';
import { once, type Mind } from '../testing/learners.ts';
import { problemFrom } from '../testing/work.ts';
import { slipIdea } from './catalogue.ts';

/** At every chance the method answers as a learner does; gives the slips that were met. */
function held(id: string, text: string, learner: (mind: Mind) => readonly Term[]): string[] {
  const method = registry.get(id);
  const problem = problemFrom(text);
  return method
    .light(problem)
    .opportunities.filter(({ slip }) => slipIdea(slip).often > 1)
    .map((chance) => {
      const { answer } = method.light(problem, { slips: [chance] });
      const expected = termsText(learner(once(chance.slip, whereText(chance.at))));
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

const count = fc.integer({ min: -6, max: 6 }).filter((number) => number !== 0);
const list = (powers: readonly number[]): fc.Arbitrary<Term[]> =>
  fc.tuple(...powers.map(() => count)).map((counts) => {
    const terms = powers.map((power, k): Term => ({ count: counts[k]!, power }));
    // A bracket that begins with a minus is written so; the first number is kept positive to keep texts plain.
    return [{ ...terms[0]!, count: Math.abs(terms[0]!.count) }, ...terms.slice(1)];
  });
/** Two brackets whose middle terms cancel. */
const SUM: Term[] = [
  { count: 1, power: 1 },
  { count: 4, power: 0 },
];
const DIFFERENCE: Term[] = [
  { count: 1, power: 1 },
  { count: -4, power: 0 },
];
const bracket = (terms: readonly Term[]) => `(${termsText(terms)})`;

describe('learners who multiply out', () => {
  it.each([
    ['expand-arcs', 'by-first'],
    ['expand-foil', 'by-first'],
    ['expand-grid', 'by-second'],
  ] as const)('answer by %s as those who know nothing of accounts', (id, order) => {
    const met = new Set<string>();
    const keep = (slips: readonly string[]) => slips.forEach((slip) => met.add(slip));
    const two = list([1, 0]);
    fc.assert(
      fc.property(two, two, (a, b) => {
        const pair = `${bracket(a)}${bracket(b)}`;
        keep(held(id, pair, (mind) => multipliedOut(a, b, mind, order)));
        const square = `${bracket(a)}^2`;
        keep(held(id, square, (mind) => multipliedOut(a, a, mind, order)));
      }),
      { numRuns: 80, examples: [[SUM, DIFFERENCE]] },
    );
    if (id !== 'expand-foil') {
      fc.assert(
        fc.property(list([1]), two, (a, b) => {
          keep(
            held(id, `${termsText(a)}${bracket(b)}`, (mind) => multipliedOut(a, b, mind, order)),
          );
        }),
        { numRuns: 40 },
      );
      fc.assert(
        fc.property(two, list([2, 1, 0]), (a, b) => {
          const text = `${bracket(a)}${bracket(b)}`;
          keep(held(id, text, (mind) => multipliedOut(a, b, mind, order)));
        }),
        { numRuns: 40 },
      );
    }
    // Two minuses, or one with something behind it, need three terms of a kind; two brackets of three have them.
    fc.assert(
      fc.property(list([2, 1, 0]), list([2, 1, 0]), (a, b) => {
        if (id === 'expand-foil') return;
        const text = `${bracket(a)}${bracket(b)}`;
        keep(held(id, text, (mind) => multipliedOut(a, b, mind, order)));
      }),
      { numRuns: 40 },
    );
    const elsewhere = id === 'expand-foil' ? ['minus-cut-off'] : [];
    expectOften(id, met, elsewhere);
  });
});

describe('learners who put like terms together', () => {
  it.each([
    ['like-terms-row', 'row'],
    ['like-terms-columns', 'columns'],
  ] as const)('answer by %s likewise', (id, way) => {
    const met = new Set<string>();
    const three = list([2, 1, 0]);
    fc.assert(
      fc.property(three, three, fc.boolean(), (a, b, isSum) => {
        const text = `${bracket(a)}${isSum ? '+' : '−'}${bracket(b)}`;
        const slips = held(id, text, (mind) => likeTogether(a, b, isSum ? 1 : -1, mind, way));
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 150 },
    );
    fc.assert(
      fc.property(list([1, 0]), list([1, 0]), (a, b) => {
        const slips = held(id, `${bracket(a)}−${bracket(b)}`, (mind) =>
          likeTogether(a, b, -1, mind, way),
        );
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 60 },
    );
    expectOften(id, met, ['minus-cut-off']);
  });
});
