import { addressText, readWhere, whereText, type Where } from '../account/chance.ts';
import { leaksOf } from '../account/leaks.ts';
import { Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import { problemValue } from '../problem/problem.ts';
import { problemFrom, worked } from '../testing/work.ts';
import { linesForAll, wholeItems } from '../diagnose/whole-item.ts';
import { FACTS_SLIPS } from './catalogue/facts.ts';
import { WHOLE_ITEM_SLIPS } from './catalogue/whole-item.ts';
import { SLIP_IDEAS, slipIdea } from './catalogue.ts';
import { isWrongCopy, wrongCopies } from './copies.ts';
import { factErrors } from './fact-errors.ts';
import type { SlipExample } from './slip-idea.ts';

type Case = readonly [slip: string, method: string, problem: string, at: string, of: SlipExample];

const cases = SLIP_IDEAS.flatMap(({ id, examples }) =>
  examples.map((of): Case => [id, of.method ?? '', of.problem, of.at, of]),
);

/** Whether a method can make a slip. */
function canMake(method: string, slip: string): boolean {
  return registry.methods.some(
    ({ id, slips }) => id === method && slips.some((one) => one.id === slip),
  );
}

const built = cases.filter(([slip, method]) => canMake(method, slip));
const rest = cases.filter(([slip, method]) => !canMake(method, slip));

/** What an idea gives that no single method makes: of the whole item, of a fact, or of a copy; null for any other. */
function beside([slip, id, text, place]: Case): readonly string[] | null {
  const problem = problemFrom(text);
  const isHere = (one: { readonly slip: string; readonly at: Where }) =>
    one.slip === slip && whereText(one.at) === place;
  if (WHOLE_ITEM_SLIPS.some((idea) => idea.id === slip)) {
    const made = id === '' ? wholeItems(problem) : linesForAll(registry.get(id).trace(problem));
    return made.filter(isHere).map(({ answer }) => answer.toString());
  }
  if (isWrongCopy(slip)) {
    return wrongCopies(problem)
      .filter(isHere)
      .map((copy) => problemValue(copy.problem).toString());
  }
  if (!FACTS_SLIPS.some((idea) => idea.id === slip)) return null;
  const method = registry.get(id);
  return method.light(problem).facts.flatMap((chance) => {
    if (whereText(chance.at) !== place) return [];
    return factErrors(chance.fact, problem.base)
      .filter(({ idea }) => idea === slip)
      .map(({ value }) =>
        method.light(problem, { slips: [{ ...chance, value }] }).answer.toString(),
      );
  });
}

const besides = rest.filter((one) => beside(one) !== null);
const others = rest.filter((one) => beside(one) === null);

describe('the catalogue of slips', () => {
  it('has one idea an id, each told in sentences', () => {
    const ids = SLIP_IDEAS.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const { id, label, mechanism, written } of SLIP_IDEAS) {
      expect(id).toMatch(/^[a-z]+(-[a-z]+)*$/);
      expect(label).toMatch(/[^.]$/);
      expect(mechanism).toMatch(/^[A-Z0-9].*\.$/);
      expect(written).toMatch(/^\S.*\.$/);
    }
    expect(() => slipIdea('no-such-slip')).toThrow(/no-such-slip/);
  });

  it('has every slip of every method, with an example for it', () => {
    const shown = new Set(cases.map(([slip, method]) => `${method} ${slip}`));
    const all = registry.methods.flatMap(({ id, slips }) =>
      slips.map((slip) => `${id} ${slip.id}`),
    );
    expect(all.filter((one) => !shown.has(one))).toEqual([]);
  });

  it.each(built)('makes %s by %s in %s at %s as it says', (slip, id, text, place, of) => {
    const method = registry.get(id);
    const options = {
      school: { ...method.defaultSchool, ...of.school },
      slips: [{ slip, at: readWhere(place)! }],
    };
    const trace = worked(id, text, options);
    expect(trace.answer.toString()).toBe(of.answer);
    expect(method.light(problemFrom(text), options).answer.toString()).toBe(of.answer);
    const leaked = Exact.sum(leaksOf(trace).map(({ amount }) => amount));
    if (trace.problem.kind !== 'quotient') {
      expect(trace.total.plus(leaked).toString()).toBe(of.answer);
    }
    expect(trace.opportunities.map(addressText)).toContain(`${slip}@${place}`);
  });

  it.each(besides)('finds %s by %s in %s at %s among what is tried', (...of) => {
    expect(beside(of)).toContain(of[4].answer);
  });

  it('has no example that nothing makes, and no idea without one but for those that need more than one item or any number', () => {
    expect(others).toEqual([]);
    const bare = SLIP_IDEAS.filter(({ examples }) => examples.length === 0).map(({ id }) => id);
    expect(bare).toEqual(['another-item', 'wrong-fact']);
  });
});

it('copies no divisor as 0, whatever figure is taken for another', () => {
  for (const problem of ['864 ÷ 6', '700 ÷ 7', '60 ÷ 6', '5 ÷ 0.6', '66 ÷ 66', '36_7 ÷ 6_7']) {
    for (const { problem: copied } of wrongCopies(problemFrom(problem))) {
      expect(problemValue(copied).toString()).toMatch(/^-?\d/);
    }
  }
});
