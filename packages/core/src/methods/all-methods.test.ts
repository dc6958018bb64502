import { addressText } from '../account/chance.ts';
import fc from 'fast-check';
import type { Mark, School, Trace } from '../account/account.ts';
import { answerText } from '../account/answer-text.ts';
import { audit } from '../laws/audit.ts';
import { Exact } from '../exact/exact.ts';
import { numeral, placeValue } from '../exact/numeral.ts';
import { sayPlain } from '../phrases/phrasebook.ts';
import { speakerFor } from '../phrases/speaker.ts';
import { DEFAULT_VOCABULARY, VOCABULARY, type Vocabulary } from '../phrases/vocabulary.ts';
import {
  makeProblem,
  type Problem,
  type ProductProblem,
  problemText,
  problemValue,
  readProblem,
} from '../problem/problem.ts';
import { productProblem } from '../problem/problem.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import { scriptOf } from '../problem/script.ts';
import type { Box } from '../sheet/sheet.ts';
import { slipIdea } from '../slips/catalogue.ts';
import {
  accepted,
  choiceName,
  deepFreeze,
  everySchool,
  kindOf,
  problemsFor,
} from '../testing/arbitraries.ts';
import { expectedValue, isFraction } from '../testing/expected.ts';
import { comesTo, glyphAmount, letteredValue, rootFault } from '../testing/lettered.ts';
import { registry } from './index.ts';
import {
  defineMethod,
  hasOpportunity,
  resolveSchool,
  schoolFailureText,
  type Method,
} from './method.ts';
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
  ['1000', '1'],
  ['7042', '2586'],
  ['4000', '3999'],
  ['50300', '4777'],
  ['642', '387'],
  ['1800', '801'],
  ['3003', '1004'],
  ['524', '137'],
  ['100', '100'],
] as const;

/** Points in one number or both, unequal counts after them, less than one, zeros at the end. */
const POINTED = [
  ['3.6', '20.5'],
  ['0.7', '31.5'],
  ['31.5', '0.7'],
  ['12.50', '3.75'],
  ['5', '0.05'],
  ['0.10', '0.2'],
  ['100.00', '0.04'],
  ['7.2', '1.25'],
] as const;

/** Inner and leading zeros of the quotient, dividends less than the divisor, figures that repeat. */
const DIVIDED = [
  ['612', '6'],
  ['4200', '7'],
  ['3', '7'],
  ['1', '97'],
  ['80019', '8'],
  ['1004', '25'],
  ['22', '7'],
  ['1', '6'],
  ['0.5', '0.03'],
] as const;

const FACTORS = [
  ['46', '58', '3'],
  ['10', '0', '25'],
  ['2', '3', '4', '5'],
  ['1.5', '20', '0.4'],
  ['99', '99', '99'],
] as const;

/** Strings of addends: carries of two digits, unequal lengths, zeros only. */
const STRINGS = [
  ['7', '9', '4', '8', '6', '5'],
  Array<string>(40).fill('99'),
  ['467', '9', '1088', '76', '0', '899'],
  ['0', '0', '0'],
  ['5', '50', '500'],
] as const;

/** Marks of a quotient that are worth what they show. */
const QUOTIENT: ReadonlySet<Mark['role']> = new Set(['answer', 'chunk']);

/** Roles of marks that are worth something else than what they show. */
const UNLIKE: ReadonlySet<Mark['role']> = new Set([
  'scratch',
  'stop',
  'halved',
  'doubled',
  'kept row',
  'side number',
  'fraction product',
  'factor',
]);

function magnitude(amount: Exact): Exact {
  return amount.absolute();
}

/** Fractions: like and unlike, improper, zero, wholes alone, a whole opened, a difference of nothing. */
const PARTS = [
  '1/3 + 1/6',
  '3/4 + 1/6',
  '2/7 + 3/7',
  '0/5 + 0/3',
  '5/4 + 7/6 + 1/2',
  '3/8 − 3/8',
  '1/6 − 3/4',
  '5 1/6 − 2 5/6',
  '4 − 1 2/3',
  '1 3/4 + 2 5/6 + 3',
  '7 1/2 − 7 1/2',
  '2 3/3 + 1/1',
];

/** Letters: cancelling, unit coefficients, a minus before a minus, missing powers, several letters, powers. */
const LETTERED = [
  '3x + 5 − 2x + 7',
  '(x^3 + 5x^2) − (2x^2 − 7x)',
  '(x + 2) − (x + 2)',
  '−(x − y) + (2x − 3y) − (x^2 − 1/2 y)',
  'x + y + xy − x − y',
  '2x^2 − (−2x^2)',
  '(x + 4)(3x − 2)',
  '(x − 2)(x + 2)',
  '(−x − 1)(−x + 1)',
  '(x − 2)(x + 5)(x − 4)',
  '(3x − 1)(x + 4)^2',
  '(x + 1)^3',
  '3x(x − 2)',
  '(1/2 x + y)(2x − 3/4 y)',
  '(x^2 − x + 1)(x^2 + x + 1)',
  '(x + y)(x − y)(x^2 + y^2)',
  '−2(x + 1)(x − 1)',
];

/** Roots: squares, zeros inside and at the end, less than one, with and without something left. */
const ROOTED = [
  '0',
  '1',
  '2',
  '4',
  '72',
  '7396',
  '7921',
  '10609',
  '640000',
  '1000000',
  '0.25',
  '0.0049',
  '20.25',
  '2',
  '3.5',
  '999999',
];

const MULTIPLIED = [
  '3/4 × 4/5',
  '0/3 × 2/5',
  '1 1/2 × 2 1/3',
  '5 × 3/4',
  '2/3 × 0',
  '1/1 × 4/4',
  '11/12 × 5/12',
  '1/2 × 2/3 × 3/4',
  '4/7 × 2/5',
];
const SHARED = ['3/4 ÷ 2/3', '0/4 ÷ 2/3', '6 ÷ 3/4', '5 1/3 ÷ 8', '4/6 ÷ 2/3', '1/12 ÷ 2 5/12'];

function textCorners(method: Method, texts: readonly string[]): readonly Problem[] {
  return texts
    .map((text) => {
      const read = readProblem(text);
      if (!read.ok) throw new RangeError(text);
      return read.problem;
    })
    .filter((problem) => method.accepts(problem).ok);
}

function corners(method: Method): readonly Problem[] {
  const kind = kindOf(method);
  if (kind === 'fractions') return textCorners(method, PARTS);
  if (kind === 'fraction products') return textCorners(method, MULTIPLIED);
  if (kind === 'fraction quotients') return textCorners(method, SHARED);
  if (kind === 'letter sums' || kind === 'letter products') return textCorners(method, LETTERED);
  if (kind === 'root')
    return textCorners(
      method,
      ROOTED.map((text) => `√${text}`),
    );
  const own = [...CORNERS, ...POINTED, ...(kind === 'quotient' ? DIVIDED : [])];
  const strings3 = kind === 'product' ? FACTORS : [];
  const pairs = [...own, ...strings3]
    .filter(([, second]) => kind !== 'quotient' || Number(second) !== 0)
    .map((numbers) =>
      makeProblem(
        kind,
        numbers.map((text) => numeral(text)),
      ),
    );
  const strings =
    kind === 'sum'
      ? STRINGS.map((all) =>
          makeProblem(
            kind,
            all.map((text) => numeral(text)),
          ),
        )
      : [];
  return [...pairs, ...strings].map((problem) => accepted(method, problem));
}

/** The first and the last chance of every slip: what holds for both holds in between, where other tests look. */
function endsOf(chances: Trace['opportunities']): Trace['opportunities'] {
  return chances.filter(
    ({ slip }, k) =>
      chances.findIndex((one) => one.slip === slip) === k ||
      chances.findLastIndex((one) => one.slip === slip) === k,
  );
}

/** Problems that a method is tried on beside the corners. */
const DRAWN = 40;

/** Corners and random problems worked by a method, once for all that is asked of them. */
function worksOf(method: Method, school: School) {
  let traces: readonly Trace[] | null = null;
  const seed = seededBy(choiceName({ method, school }));
  const made = () => [
    ...corners(method),
    ...fc.sample(problemsFor(method), { numRuns: DRAWN, seed }),
  ];
  return {
    every: (check: (trace: Trace) => void) => {
      traces ??= made().map((problem) => deepFreeze(method.trace(problem, { school })));
      for (const trace of traces) {
        try {
          check(trace);
        } catch (fault) {
          (fault as Error).message += `\n\non ${problemText(trace.problem)} (seed ${seed})`;
          throw fault;
        }
      }
    },
    forget: () => {
      traces = null;
    },
  };
}

/** Another seed every day, and for every choice. */
function seededBy(name: string): number {
  const day = Math.floor(Date.now() / 86_400_000);
  return [...name].reduce((seed, letter) => (seed * 31 + letter.charCodeAt(0)) | 0, day);
}

describe.each(named)('%s', (_, { method, school }) => {
  const cases = corners(method);
  const works = worksOf(method, school);
  afterAll(() => works.forget());

  it('keeps the account: every step balances and nothing is taken twice or left over', () => {
    works.every((trace) => {
      expect(audit(trace)).toEqual([]);
      expect(trace.balanced).toBe(true);
    });
  });

  it('answers what the operands make', () => {
    works.every((trace) => {
      const { problem } = trace;
      if (problem.kind === 'root') return expect(rootFault(trace)).toBeNull();
      if (scriptOf(problem) === 'terms') {
        expect([String(trace.answer), comesTo(trace.answer, letteredValue(problem))]).toEqual([
          String(trace.answer),
          true,
        ]);
        return;
      }
      const expected = expectedValue(problem);
      expect([trace.answer.toString(), isFraction(trace.answer, expected)]).toEqual([
        trace.answer.toString(),
        true,
      ]);
      if (scriptOf(problem) === 'fractions') {
        const read = readProblem(`0/1 + ${answerText(trace).replace('−', '')}`);
        const size = read.ok ? problemValue(read.problem) : null;
        expect(size?.equals(magnitude(trace.answer))).toBe(true);
        return;
      }
      if (problem.kind === 'quotient') return;
      const answer = new Set(trace.groups.at(-1)!.marks);
      const written = marksOf(trace)
        .filter((mark) => answer.has(mark.id))
        .sort((a, b) => (b.place ?? 0) - (a.place ?? 0))
        .filter((mark, i, all) => mark.role !== 'placeholder' || i === all.length - 1);
      const text = written
        .map((mark) => mark.glyph)
        .join('')
        .replace(/[.]/, '');
      const figures = (trace.whole ?? trace).answer.numerator.toString(problem.base).toUpperCase();
      const decimals = trace.scale?.decimals ?? 0;
      const full = figures.replace('-', '').padStart(decimals + 1, '0');
      expect(text).toBe((figures.startsWith('-') ? '−' : '') + full);
    });
  });

  it('gives every mark the worth of its figures in their place', () => {
    works.every((trace) => {
      const { problem } = trace;
      const own = trace.stages.at(-1)?.prefix ?? '';
      for (const mark of marksOf(trace)) {
        // Before the last stage every amount is owed as many times as the factors to come say.
        if (!mark.id.startsWith(own) && mark.spot.area !== 'point') continue;
        // A scratch is a stroke, a stop a place on the line, and a number below may be written bare.
        // The numbers of a row of halves and doubles stand for the whole product that is left.
        // What is left of a dividend, and what is taken from it, is worth its share.
        // Words beside the work are no amount.
        if (mark.role === 'words') {
          expect(mark.worth.isZero).toBe(true);
          continue;
        }
        if (UNLIKE.has(mark.role) || problem.kind === 'root') continue;
        if (scriptOf(problem) === 'terms') {
          const shows = glyphAmount(mark.glyph).equals(mark.worth);
          expect([mark.role, mark.glyph, shows]).toEqual([mark.role, mark.glyph, true]);
          continue;
        }
        if (mark.role === 'factors') {
          const shows = rowWorth(mark.glyph).equals(mark.worth);
          expect([mark.role, mark.glyph, shows]).toEqual([mark.role, mark.glyph, true]);
          continue;
        }
        if (scriptOf(problem) === 'fractions') {
          const read = readProblem(`0/1 + ${mark.glyph.replace('−', '')}`);
          const shows = read.ok && problemValue(read.problem).equals(magnitude(mark.worth));
          expect([mark.role, mark.glyph, shows]).toEqual([mark.role, mark.glyph, true]);
          continue;
        }
        if (problem.kind === 'quotient' && !QUOTIENT.has(mark.role)) continue;
        const figures = mark.glyph.replace(/^[+−]/, '').replace('•', '1').replace('.', '');
        let value = 0n;
        for (const figure of figures)
          value = value * BigInt(problem.base) + BigInt(parseInt(figure, 16));
        const shown = mark.glyph.includes('.') ? mark.glyph.split('.')[1]!.length : null;
        const decimals = trace.scale?.decimals ?? 0;
        const stripped = (mark.place ?? 0) - decimals;
        const whole =
          problem.kind === 'quotient' ? (mark.glyph.length > 1 ? 0 : (mark.place ?? 0)) : stripped;
        const unit = placeValue(problem.base, shown === null ? whole : -shown);
        const worth = Exact.of(value).times(unit);
        const isBelow = mark.role === 'little one' || mark.role === 'adjusted number';
        const written = mark.glyph.startsWith('−') ? worth.negate() : worth;
        const fits = mark.worth.equals(written) || (isBelow && mark.worth.equals(written.negate()));
        expect([mark.role, mark.glyph, mark.worth.toString(), fits]).toEqual([
          mark.role,
          mark.glyph,
          mark.worth.toString(),
          true,
        ]);
      }
    });
  });

  it('holds in every mark only terms that were owed, and in the answer all of them', () => {
    works.every((trace) => {
      const { problem } = trace;
      const owed = Exact.sum(trace.start.map((entry) => entry.worth));
      expect(owed.equals(trace.total)).toBe(true);
      expect(trace.groups.at(-1)!.terms.worth().equals(trace.total)).toBe(true);
      if (problem.kind !== 'product' || trace.stages.length > 0) return;
      for (const group of trace.groups) {
        const own = group.terms.worth();
        if (scriptOf(problem) === 'terms') expect(own.equals(group.worth)).toBe(true);
        else expect(own.compare(group.worth)).not.toBe(-1);
      }
    });
  });

  it('writes every mark in a spot and a square of its own', () => {
    works.every((trace) => {
      const spots = marksOf(trace).map(({ spot }) => `${spot.area} ${spot.row} ${spot.column}`);
      expect(new Set(spots).size).toBe(spots.length);
      const sheet = method.sheet(trace);
      // A scratch, and a row that is kept, have no figure of their own and lie on what they mark.
      const scratches = new Set(
        marksOf(trace).flatMap(({ id, glyph }) => (glyph === '' ? [id] : [])),
      );
      const drawn = sheet.cells.filter(
        (cell) => (!cell.held || cell.beside) && !scratches.has(cell.entry),
      );
      expect(sheet.cells.length).toBe(spots.length + trace.givens.length);
      const isInside = ({ x, y, width, height }: Box) =>
        x >= 0 && y >= 0 && x + width <= sheet.width && y + height <= sheet.height;
      expect(drawn.filter((cell) => !isInside(cell))).toEqual([]);
      expect(overlapping(drawn)).toBeNull();
    });
  });

  it('gives the same trace for the same input', () => {
    works.every((trace) => {
      expect(JSON.stringify(method.trace(trace.problem, { school }))).toBe(JSON.stringify(trace));
    });
  });

  it('makes every slip it declares leak at its step, and nowhere before', () => {
    const check = (problem: Problem) => {
      const clean = method.trace(problem, { school });
      for (const opportunity of endsOf(clean.opportunities)) {
        expect(method.slips.map((slip) => slip.id)).toContain(opportunity.slip);
        const slipped = method.trace(problem, { school, slips: [opportunity] });
        const address = addressText(opportunity);
        if (slipIdea(opportunity.slip).effect !== 'amount') {
          // The amount stays; what is done or written is another.
          expect([address, slipped.balanced]).toEqual([address, true]);
          expect(slipped.answer.equals(slipped.total)).toBe(true);
          expect(phrasesOf(slipped)).not.toEqual(phrasesOf(clean));
          continue;
        }
        const made = slipped.opportunities.find((one) => addressText(one) === address);
        const leak = slipped.steps.find((step) => !step.balance.equals(slipped.total));
        expect([address, leak?.number]).toEqual([address, made?.step]);
        expect(slipped.balanced).toBe(false);
        expect(hasOpportunity(slipped, opportunity)).toBe(true);
        const spots = marksOf(slipped).map(({ spot }) => `${spot.area} ${spot.row} ${spot.column}`);
        expect(new Set(spots).size).toBe(spots.length);
      }
    };
    const short = ({ operands }: Problem) => operands[0].digits.length < 5 && operands.length < 20;
    cases.filter(short).forEach(check);
    fc.assert(fc.property(problemsFor(method, 3), check), { numRuns: 10 });
  });

  it('says every step and group in both voices and all words', () => {
    const words = fc.record(
      Object.fromEntries(
        Object.entries(VOCABULARY).map(([key, { options }]) => [key, fc.constantFrom(...options)]),
      ),
    ) as unknown as fc.Arbitrary<Vocabulary>;
    fc.assert(
      fc.property(
        problemsFor(method, 4),
        words,
        fc.constantFrom('digit', 'value'),
        (problem, vocabulary, voice) => {
          const trace = method.trace(problem, { school });
          const say = speakerFor(problem, vocabulary);
          for (const step of trace.steps) {
            const sentence = sayPlain(method.phrases, step.phrase, voice, say);
            expect(sentence).toMatch(
              scriptOf(problem) === 'terms' ? /^\S.*\.$/ : /^[A-Z0-9−+].*\.$/,
            );
            expect(sentence).not.toMatch(/undefined|NaN|\*\*|\[object| {2}| ,|\.\./);
            if (vocabulary.point === ',') expect(sentence).not.toMatch(/\d\.\d/);
            if (vocabulary.ones === 'units')
              expect(sentence).not.toMatch(/(?<!-)\bones\b|\b1 one\b/);
            if (vocabulary.carry !== 'carry') expect(sentence).not.toMatch(/\bcarr/);
            if (vocabulary.carry !== 'regroup' && vocabulary.ungroup !== 'regroup') {
              expect(sentence).not.toMatch(/regroup/);
            }
            if (vocabulary.ungroup !== 'borrow') expect(sentence).not.toMatch(/borrow/);
            if (vocabulary.minus !== 'minus' && scriptOf(problem) !== 'terms')
              expect(sentence).not.toMatch(/\bminus\b/);
            if (vocabulary.times === '·') expect(sentence).not.toContain('×');
          }
          for (const group of trace.groups) {
            expect(sayPlain(method.phrases, group.phrase, 'digit', say)).toMatch(
              scriptOf(problem) === 'terms' ? /^\S.*[^.]$/ : /^[a-z].*[^.]$/,
            );
          }
        },
      ),
      { numRuns: 15 },
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

/** What is said step by step, as data. */
function phrasesOf({ steps }: Trace): unknown {
  return steps.map(({ phrase }) => [phrase.key, Object.values(phrase.values).map(String)]);
}

/** What numbers with × or ÷ between them make: each is a whole, a fraction, or both. */
function rowWorth(glyph: string): Exact {
  const amounts = glyph.split(/ [×÷] /).map((text) =>
    Exact.sum(
      text.split(' ').map((part) => {
        const [top = '0', bottom = '1'] = part.split('/');
        return Exact.of(BigInt(top), BigInt(bottom));
      }),
    ),
  );
  return amounts.reduce((made, own) =>
    glyph.includes('÷') ? made.dividedBy(own) : made.times(own),
  );
}

describe('free order', () => {
  const free = registry.methods.filter((method) => method.freeOrder);

  it.each(free.map((method) => [method.id, method] as const))('%s takes any order', (_, method) => {
    fc.assert(
      fc.property(problemsFor(method, 3), fc.infiniteStream(fc.nat()), (problem, stream) => {
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
    ['grid-multiplication', 'skip-product', '2620'],
    ['grid-multiplication', 'add-heading', '2676'],
    ['lattice', 'swap-cell', '2704'],
    ['lattice', 'add-edge-digit', '2676'],
  ])('%s with %s answers %s', (id, slip, answer) => {
    const trace = registry.get(id).trace(product('46', '58'), { slips: [{ slip, occurrence: 1 }] });
    expect(trace.answer.toString()).toBe(answer);
  });
});

describe('long numbers', () => {
  const inFigures = registry.methods.filter(
    ({ family }) =>
      family !== 'fractions' &&
      family !== 'fraction-products' &&
      family !== 'polynomials' &&
      family !== 'roots',
  );
  it.each(inFigures.map((method) => [method.id, method] as const))(
    '%s works 120 figures',
    (_, method) => {
      const digits = (seed: number) =>
        Array.from({ length: 120 }, (_v, i) => (i * 7 + seed) % 10)
          .join('')
          .replace(/^0/, '3');
      const numbers = [digits(1), digits(4)].map((text) => numeral(text));
      const problem = accepted(method, makeProblem(kindOf(method) as ProblemKind, numbers));
      const trace = method.trace(problem);
      expect(trace.balanced).toBe(true);
      expect(isFraction(trace.answer, expectedValue(problem))).toBe(true);
    },
  );
});

describe('refusals', () => {
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
      school: { carries: 'above', shift: 'gap', 'zero-rows': 'written', 'on-top': 'as-given' },
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
