import fc from 'fast-check';
import type { Mark, Trace } from '../account/account.ts';
import { audit } from '../account/audit.ts';
import { Exact } from '../exact/exact.ts';
import { numeral, placeValue } from '../exact/numeral.ts';
import { sayPlain } from '../phrases/phrasebook.ts';
import { Speaker } from '../phrases/speaker.ts';
import { DEFAULT_VOCABULARY, VOCABULARY, type Vocabulary } from '../phrases/vocabulary.ts';
import { productProblem, type ProductProblem } from '../problem/problem.ts';
import type { Box } from '../sheet/sheet.ts';
import {
  choiceName,
  deepFreeze,
  everySchool,
  integerOf,
  products,
} from '../testing/arbitraries.ts';
import { registry } from './index.ts';
import { defineMethod, hasOpportunity, resolveSchool, schoolFailureText } from './method.ts';
import { createRegistry } from './registry.ts';

const named = everySchool.map((choice) => [choiceName(choice), choice] as const);

function marksOf(trace: Trace): readonly Mark[] {
  return trace.steps.flatMap((step) => step.gives);
}

function product(a: string, b: string, base = 10): ProductProblem {
  return productProblem([numeral(a, base), numeral(b, base)]);
}

/** Cases a generator rarely makes: zeros everywhere, one figure, long by short. */
const CORNERS = [
  ['0', '0'],
  ['0', '58'],
  ['46', '0'],
  ['7', '8'],
  ['1', '1'],
  ['10', '10'],
  ['406', '7'],
  ['7', '406'],
  ['1000', '205'],
  ['999', '999'],
  ['40', '50'],
  ['123456789012', '9'],
  ['999999999999', '999999999999'],
] as const;

describe.each(named)('%s', (_, { method, school }) => {
  const cases = CORNERS.map(([a, b]) => product(a, b));
  const everyCase = (check: (problem: ProductProblem) => void) => {
    cases.forEach(check);
    fc.assert(fc.property(products(), check), { numRuns: 60 });
  };

  it('keeps the account: every step balances and nothing is taken twice or left over', () => {
    everyCase((problem) => {
      const trace = deepFreeze(method.trace(problem, { school }));
      expect(audit(trace)).toEqual([]);
      expect(trace.balanced).toBe(true);
    });
  });

  it('answers what the factors make', () => {
    everyCase((problem) => {
      const trace = method.trace(problem, { school });
      const expected = problem.operands.map(integerOf).reduce((a, b) => a * b);
      expect(trace.answer.numerator).toBe(expected);
      const answer = new Set(trace.groups.at(-1)!.marks);
      const written = marksOf(trace)
        .filter((mark) => answer.has(mark.id))
        .sort((a, b) => (b.place ?? 0) - (a.place ?? 0))
        .filter((mark, i, all) => mark.role !== 'placeholder' || i === all.length - 1);
      const text = written.map((mark) => mark.glyph).join('');
      expect(text).toBe(expected.toString(problem.base).toUpperCase());
    });
  });

  it('gives every mark the worth of its figures in their place', () => {
    everyCase((problem) => {
      for (const mark of marksOf(method.trace(problem, { school }))) {
        let value = 0n;
        for (const figure of mark.glyph)
          value = value * BigInt(problem.base) + BigInt(parseInt(figure, 16));
        const unit = placeValue(problem.base, mark.place ?? 0);
        expect(mark.worth.equals(Exact.of(value).times(unit))).toBe(true);
      }
    });
  });

  it('holds in every mark only terms that were owed, and in the answer all of them', () => {
    everyCase((problem) => {
      const trace = method.trace(problem, { school });
      const owed = Exact.sum(trace.start.map((entry) => entry.worth));
      expect(owed.equals(trace.total)).toBe(true);
      expect(trace.groups.at(-1)!.terms.worth().equals(trace.total)).toBe(true);
      for (const group of trace.groups)
        expect(group.terms.worth().compare(group.worth)).not.toBe(-1);
    });
  });

  it('writes every mark in a spot and a square of its own', () => {
    everyCase((problem) => {
      const trace = method.trace(problem, { school });
      const spots = marksOf(trace).map(({ spot }) => `${spot.area} ${spot.row} ${spot.column}`);
      expect(new Set(spots).size).toBe(spots.length);
      const sheet = method.sheet(trace);
      const drawn = sheet.cells.filter((cell) => !cell.held);
      expect(sheet.cells.length).toBe(spots.length + trace.givens.length);
      for (const cell of drawn) {
        expect(cell.x >= 0 && cell.y >= 0).toBe(true);
        expect(cell.x + cell.width <= sheet.width && cell.y + cell.height <= sheet.height).toBe(
          true,
        );
      }
      expect(overlapping(drawn)).toBeNull();
    });
  });

  it('gives the same trace for the same input', () => {
    everyCase((problem) => {
      const once = JSON.stringify(method.trace(problem, { school }));
      expect(JSON.stringify(method.trace(problem, { school }))).toBe(once);
    });
  });

  it('makes every slip it declares leak or overtop from its step on, and nowhere before', () => {
    const check = (problem: ProductProblem) => {
      const clean = method.trace(problem, { school });
      for (const opportunity of clean.opportunities) {
        expect(method.slips.map((slip) => slip.id)).toContain(opportunity.slip);
        const slipped = method.trace(problem, { school, slips: [opportunity] });
        const leak = slipped.steps.find((step) => !step.balance.equals(slipped.total));
        expect([opportunity, leak?.number ?? 0]).toEqual([opportunity, expect.any(Number)]);
        expect(leak!.number).toBeGreaterThanOrEqual(opportunity.step);
        expect(slipped.balanced).toBe(false);
        expect(hasOpportunity(slipped.opportunities, opportunity)).toBe(true);
        const spots = marksOf(slipped).map(({ spot }) => `${spot.area} ${spot.row} ${spot.column}`);
        expect(new Set(spots).size).toBe(spots.length);
      }
    };
    cases.filter((problem) => problem.operands[0]!.digits.length < 5).forEach(check);
    fc.assert(fc.property(products(3), check), { numRuns: 25 });
  });

  it('says every step and group in both voices and all words', () => {
    const words = fc.record(
      Object.fromEntries(
        Object.entries(VOCABULARY).map(([key, { options }]) => [key, fc.constantFrom(...options)]),
      ),
    ) as unknown as fc.Arbitrary<Vocabulary>;
    fc.assert(
      fc.property(
        products(4),
        words,
        fc.constantFrom('digit', 'value'),
        (problem, vocabulary, voice) => {
          const trace = method.trace(problem, { school });
          const say = new Speaker(vocabulary, problem.base);
          for (const step of trace.steps) {
            const sentence = sayPlain(method.phrases, step.phrase, voice as 'digit' | 'value', say);
            expect(sentence).toMatch(/^[A-Z0-9].*\.$/);
            expect(sentence).not.toMatch(/undefined|NaN|\*\*|\[object| {2}| ,|\.\./);
            if (vocabulary.ones === 'units') expect(sentence).not.toMatch(/\bones\b|\b1 one\b/);
            if (vocabulary.carry !== 'carry') expect(sentence).not.toMatch(/\bcarr/);
            if (vocabulary.times === '·') expect(sentence).not.toContain('×');
          }
          for (const group of trace.groups) {
            expect(sayPlain(method.phrases, group.phrase, 'digit', say)).toMatch(/^[a-z].*[^.]$/);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});

function overlapping(boxes: readonly Box[]): readonly [Box, Box] | null {
  const sorted = [...boxes].sort((a, b) => a.y - b.y);
  for (const [i, a] of sorted.entries()) {
    for (let k = i + 1; k < sorted.length && sorted[k]!.y < a.y + a.height - 1e-9; k++) {
      const b = sorted[k]!;
      if (b.x < a.x + a.width - 1e-9 && a.x < b.x + b.width - 1e-9) return [a, b];
    }
  }
  return null;
}

describe('free order', () => {
  const free = registry.methods.filter((method) => method.freeOrder);

  it.each(free.map((method) => [method.id, method] as const))('%s takes any order', (_, method) => {
    fc.assert(
      fc.property(products(3), fc.infiniteStream(fc.nat()), (problem, stream) => {
        const own = method.trace(problem);
        const ids = own.start.map((entry) => entry.id.slice(1));
        const order = ids
          .map((id) => [stream.next().value, id] as const)
          .sort((a, b) => a[0] - b[0])
          .map(([, id]) => id);
        const trace = method.trace(problem, { order });
        expect(audit(trace)).toEqual([]);
        expect(trace.answer.equals(own.answer)).toBe(true);
        const owed = new Set(own.start.map((entry) => entry.id));
        const dealt = trace.steps.flatMap((step) => step.takes.filter((id) => owed.has(id)));
        expect(dealt.map((id) => id.slice(1))).toEqual(order);
      }),
      { numRuns: 40 },
    );
  });

  it('takes the named terms first and the rest in its own order', () => {
    const trace = registry.get('lattice').trace(product('46', '58'), { order: ['1.1', '9.9'] });
    expect(trace.steps.slice(0, 4).map((step) => step.takes[0])).toEqual([
      'o1.1',
      'o0.0',
      'o1.0',
      'o0.1',
    ]);
  });
});

describe('slips', () => {
  it('leak by the amount that explains them', () => {
    const slipped = registry.get('column-multiplication').trace(product('46', '58'), {
      slips: [{ slip: 'omit-placeholder', occurrence: 1 }],
    });
    expect(slipped.answer.toString()).toBe('598');
    expect(slipped.total.minus(slipped.steps.at(-1)!.balance).toString()).toBe('2070');
  });

  it.each([
    ['column-multiplication', 'forget-carry', '2628'],
    ['column-multiplication', 'carry-before-multiplying', '2948'],
    ['column-multiplication', 'whole-product-in-place', '5548'],
    ['partial-products', 'drop-zeros', '2380'],
    ['grid-multiplication', 'skip-cell', '2620'],
    ['grid-multiplication', 'add-heading', '2676'],
    ['lattice', 'swap-cell', '2704'],
    ['lattice', 'add-edge-digit', '2676'],
  ])('%s with %s answers %s', (id, slip, answer) => {
    const trace = registry.get(id).trace(product('46', '58'), { slips: [{ slip, occurrence: 1 }] });
    expect(trace.answer.toString()).toBe(answer);
  });
});

describe('long numbers', () => {
  it.each(registry.methods.map((method) => [method.id, method] as const))(
    '%s works 200 figures',
    (_, method) => {
      const digits = (seed: number) =>
        Array.from({ length: 200 }, (_v, i) => (i * 7 + seed) % 10)
          .join('')
          .replace(/^0/, '3');
      const problem = product(digits(1), digits(4));
      const trace = method.trace(problem);
      expect(trace.balanced).toBe(true);
      expect(trace.answer.numerator).toBe(problem.operands.map(integerOf).reduce((a, b) => a * b));
    },
  );
});

describe('refusals', () => {
  it('are given for more than two factors', () => {
    const problem = productProblem([numeral('2'), numeral('3'), numeral('4')]);
    for (const method of registry.methods) {
      expect(method.accepts(problem)).toEqual({
        ok: false,
        reason: { code: 'two-operands-only', operands: 3 },
      });
      expect(() => method.trace(problem)).toThrow(/two factors at a time/);
    }
  });

  it('are given for schools that do not exist', () => {
    const column = registry.get('column-multiplication');
    const unknown = resolveSchool(column, { colour: 'red' });
    expect(!unknown.ok && schoolFailureText(unknown.reason)).toMatch(
      /no school "colour".*carries, shift/,
    );
    const option = resolveSchool(column, { carries: 'red' });
    expect(!option.ok && schoolFailureText(option.reason)).toMatch(
      /no option "red".*above, below, in-the-head/,
    );
    expect(resolveSchool(column, { shift: 'gap' })).toEqual({
      ok: true,
      school: { carries: 'above', shift: 'gap' },
    });
  });

  it('guard the registry and the specs', () => {
    const lattice = registry.get('lattice');
    expect(() => createRegistry([[lattice], [lattice]])).toThrow(/lattice/);
    expect(() => registry.get('none')).toThrow(RangeError);
    expect(() => defineMethod({ ...lattice, id: 'Not Kebab' })).toThrow(RangeError);
  });
});

describe('vocabulary', () => {
  it('has defaults that are the first options', () => {
    for (const [key, { options }] of Object.entries(VOCABULARY)) {
      expect(DEFAULT_VOCABULARY[key as keyof Vocabulary]).toBe(options[0]);
    }
  });
});
