import { PLAIN_NOTATION } from '../exact/notation.ts';
import fc from 'fast-check';
import { carriedOn } from '../account/rewriting.ts';
import { Exact } from '../exact/exact.ts';
import { numeral } from '../exact/numeral.ts';
import { scriptOf } from '../problem/script.ts';
import { registry } from '../methods/index.ts';
import { Speaker } from '../phrases/speaker.ts';
import { DEFAULT_VOCABULARY } from '../phrases/vocabulary.ts';
import { makeProblem, type Problem, type ProductProblem } from '../problem/problem.ts';
import { productProblem } from '../problem/problem.ts';
import { comparisons } from '../testing/arbitraries.ts';
import { problemFrom } from '../testing/work.ts';
import type { Agreement } from './certificate/agreement-shape.ts';
import { agreement } from './certificate/agreement.ts';
import {
  commonText,
  expressionLine,
  reasonsLatex,
  termTextsOf,
  reasonsMarkdown,
  texText,
} from './certificate/agreement-export.ts';
import { pointAt, sameAmounts } from './amounts.ts';
import { compare } from './compare.ts';
import { type Comparison } from './comparison.ts';
import { cost } from './counted/cost.ts';
import { levels, shareOf } from './counted/levels.ts';
import { stepLabels } from './looked-at.ts';
import { sameUnit } from '../account/phase.ts';
import { reasonsOf } from './certificate/reasons.ts';
import { areTogether, nextStop, previousStop } from './stops.ts';
import { verifyAgreement } from './certificate/verify-agreement.ts';

function product(a: string, b: string, base = 10): ProductProblem {
  return productProblem([numeral(a, base), numeral(b, base)]);
}

function of(problem: Problem, ...ids: string[]): Comparison {
  return compare(
    problem,
    ids.map((id) => ({ method: registry.get(id) })),
  );
}

const bench = of(
  product('46', '58'),
  'column-multiplication',
  'grid-multiplication',
  'lattice',
  'partial-products',
);

describe('agreement', () => {
  it('is confirmed by the independent check for all methods and schools', () => {
    fc.assert(
      fc.property(comparisons(4), ({ problem, chosen }) => {
        const certificate = agreement(compare(problem, chosen));
        expect(verifyAgreement(certificate)).toEqual({ ok: true });
        expect(JSON.parse(JSON.stringify(certificate))).toEqual(certificate);
      }),
      { numRuns: 60 },
    );
  });

  const clean = () => JSON.parse(JSON.stringify(agreement(bench))) as Writable<Agreement>;

  it.each<[string, (certificate: Writable<Agreement>) => void, RegExp]>([
    ['a value', (c) => (c.value = '2669'), /do not make 2669/],
    ['a part', (c) => (c.operands[0]!.parts[0] = '7'), /do not add up/],
    ['a term', (c) => (c.terms[1]!.worth = '330'), /not what its parts make/],
    ['a missing term', (c) => c.terms.pop(), /not all that the parts make/],
    ['a law', (c) => (c.methods[0]!.moves[2]!.law = 'evaluate'), /does not follow by evaluate/],
    ['a missing move', (c) => c.methods[2]!.moves.splice(2, 1), /line 3 is missing/],
    ['an unfinished sum', (c) => c.methods[0]!.moves.pop(), /not finished/],
    ['no moves', (c) => (c.methods[0]!.moves = []), /no moves/],
    [
      'a split that is not by place',
      (c) => {
        const line = c.methods[2]!.moves[2]!.expression;
        const [first] = line.kind === 'sum' ? line.parts : [];
        if (first?.kind === 'sum') {
          first.parts = [
            { kind: 'amount', worth: '15', of: ['0.0'] },
            { kind: 'amount', worth: '33', of: ['0.0'] },
          ];
        }
      },
      /does not follow by place-value/,
    ],
    [
      'a changed amount',
      (c) => {
        const line = c.methods[0]!.moves[1]!.expression;
        if (line.kind === 'sum') line.parts[0] = { kind: 'amount', worth: '47', of: ['0.0'] };
      },
      /worth 2667, not 2668/,
    ],
  ])('is not confirmed when %s is wrong', (_, spoil, fault) => {
    const certificate = clean();
    spoil(certificate);
    const verdict = verifyAgreement(certificate);
    expect(verdict.ok).toBe(false);
    expect(!verdict.ok && verdict.fault).toMatch(fault);
  });

  const slides = () => {
    const problem = makeProblem('difference', [numeral('642'), numeral('387')]);
    const methods = ['counting-up', 'equal-additions', 'compensation-subtraction'];
    return JSON.parse(JSON.stringify(agreement(of(problem, ...methods)))) as Writable<Agreement>;
  };

  it.each<[string, (certificate: Writable<Agreement>) => void, RegExp]>([
    ['a sign', (c) => (c.kind = 'sum'), /the problem is no sum/],
    ['an opening law', (c) => (c.methods[1]!.moves[0]!.law = 'distribute'), /not follow by distr/],
    [
      'the reason of a slide',
      (c) => {
        const slide = c.methods[1]!.moves.find(({ law }) => law === 'same-change')!;
        slide.law = 'reorder';
      },
      /does not follow by reorder/,
    ],
    [
      'an inverse that undoes nothing',
      (c) => {
        const { moves } = c.methods[2]!;
        moves[moves.length - 1]!.law = 'inverse';
      },
      /does not follow by inverse/,
    ],
    [
      'a bracket',
      (c) => (c.methods[0]!.bracketing = { kind: 'amount', worth: '255', of: [] }),
      /brackets do not hold all/,
    ],
  ])('of a difference is not confirmed when %s is wrong', (_, spoil, fault) => {
    const certificate = slides();
    expect(verifyAgreement(certificate)).toEqual({ ok: true });
    spoil(certificate);
    const verdict = verifyAgreement(certificate);
    expect(!verdict.ok && verdict.fault).toMatch(fault);
  });

  it('exports with law names', () => {
    const names = {
      method: (id: string) => registry.get(id).name,
      notation: { times: '·', point: '.' } as const,
    };
    const markdown = reasonsMarkdown(reasonsOf(bench), names);
    expect(markdown).toContain('# Why the methods agree: 46 · 58 = 2668');
    expect(markdown).toContain('| = | (48 + 320) + (300 + 2000) | order and brackets');
    const latex = reasonsLatex(reasonsOf(bench), { ...names, notation: PLAIN_NOTATION });
    expect(latex).toContain('46 \\times 58 &= {6 \\times 8} + {40 \\times 8}');
    expect(latex.match(/\\begin\{aligned\}/g)).toHaveLength(4);
    expect(texText('1011_2 × 110_2', { times: '·', point: '.' })).toBe('1011_{2} \\cdot 110_{2}');
  });
});

/** Certificates are read-only; tests that spoil one need it otherwise. */
type Writable<T> = T extends readonly (infer U)[]
  ? Writable<U>[]
  : T extends object
    ? { -readonly [K in keyof T]: Writable<T[K]> }
    : T;

describe('reasons', () => {
  const bracketed = (certificate: Agreement) =>
    expressionLine(certificate.methods[0]!.bracketing!, termTextsOf(certificate), PLAIN_NOTATION);

  it('tell each method in its own cut, as if no other stood beside it', () => {
    const problem = problemFrom('642 − 387');
    const ids = ['decomposition', 'equal-additions', 'counting-up'];
    const { alone, common } = reasonsOf(of(problem, ...ids));
    alone.forEach((own, k) => {
      expect(own).toEqual(reasonsOf(of(problem, ids[k]!)).common);
      expect(verifyAgreement(own)).toEqual({ ok: true });
    });
    expect(bracketed(alone[0]!)).toBe('(2 − 7) + (40 − 80) + (600 − 300)');
    expect(bracketed(common)).toContain('387');
  });

  it('say in one line how the cuts meet', () => {
    const meet = (text: string, ...ids: string[]) =>
      commonText(reasonsOf(of(problemFrom(text), ...ids)), (math) => math);
    expect(meet('46 × 58', 'grid-multiplication', 'halving-doubling')).toBe(
      'The cuts meet in 46 = 32 + 8 + 4 + 2 and 58 = 50 + 8: in these, every method deals with the same 8 terms.',
    );
    expect(meet('46 × 58', 'grid-multiplication', 'lattice')).toBe(
      'All cut the numbers alike and deal with the same 4 terms; only brackets and order differ.',
    );
    expect(meet('46 × 58', 'lattice')).toBe('It deals with 4 terms.');
  });

  it('hold for random comparisons, every method alone', () => {
    fc.assert(
      fc.property(comparisons(3), ({ problem, chosen }) => {
        for (const own of reasonsOf(compare(problem, chosen)).alone) {
          expect(verifyAgreement(own)).toEqual({ ok: true });
          expect(own.methods).toHaveLength(1);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('same amounts', () => {
  it('find the column line in the grid row and the lattice row', () => {
    const line = sameAmounts(bench).find(({ worth }) => worth.toString() === '368')!;
    expect(line.members.map(({ lane, group }) => `${lane} ${group.role}`)).toEqual(
      expect.arrayContaining(['0 line', '1 row total', '2 row']),
    );
  });

  it('hold the same terms and the same worth in every method', () => {
    fc.assert(
      fc.property(comparisons(4), ({ problem, chosen }) => {
        for (const { worth, terms, members } of sameAmounts(compare(problem, chosen))) {
          expect(terms.worth().equals(worth)).toBe(true);
          for (const { group } of members) expect(group.worth.equals(worth)).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('pointing', () => {
  const markOf = (lane: number, worth: string, role: string) =>
    bench.lanes[lane]!.trace.steps.flatMap((step) => step.gives).find(
      (mark) => mark.role === role && mark.worth.toString() === worth,
    )!;

  it('finds the line that a figure belongs to, and where it lives elsewhere', () => {
    const six = markOf(0, '60', 'product');
    const subject = pointAt(bench, { kind: 'entry', lane: 0, id: six.id })!;
    expect(subject.worth.toString()).toBe('60');
    expect(subject.group?.worth.toString()).toBe('368');
    expect(subject.counterparts.map(({ relation }) => relation)).toEqual([
      'same',
      'same',
      'same',
      'scattered',
    ]);
    expect(subject.counterparts[3]!.groups.map(({ worth }) => worth.toString()).sort()).toEqual([
      '320',
      '48',
    ]);
  });

  it('finds a cell inside a line, and an owed product on its own paper', () => {
    const cell = bench.lanes[2]!.trace.groups.find(({ id }) => id === 'cell-0.0')!;
    const subject = pointAt(bench, { kind: 'group', lane: 2, id: cell.id })!;
    expect(subject.counterparts.map(({ relation }) => relation)).toEqual([
      'within',
      'same',
      'same',
      'same',
    ]);
    const owed = bench.lanes[0]!.trace.start[0]!;
    expect(pointAt(bench, { kind: 'entry', lane: 0, id: owed.id })!.worth.toString()).toBe('48');
  });

  it('calls a product the cell that holds it, not the diagonal that it is alone on', () => {
    const owed = bench.lanes[0]!.trace.start.find(({ id }) => id === 'o1.1')!;
    const terms = bench.lanes[0]!.termsOf(owed.id);
    const lattice = pointAt(bench, { kind: 'terms', terms })!.counterparts[2]!;
    expect(lattice.relation).toBe('same');
    expect(lattice.groups.map(({ id }) => id)).toEqual(['cell-1.1']);
  });

  it('finds a figure of the question that is the same amount', () => {
    const problem = makeProblem('difference', [numeral('642'), numeral('387')]);
    const two = of(problem, 'equal-additions', 'decomposition');
    const hundreds = two.lanes[0]!.trace.givens.find(({ id }) => id === 'g0.2')!;
    const subject = pointAt(two, { kind: 'entry', lane: 0, id: hundreds.id })!;
    expect(subject.counterparts[1]).toMatchObject({ relation: 'same', entries: ['o0.2'] });
  });

  it('takes terms of the shared picture, and nothing from a stale pointer', () => {
    const terms = bench.lanes[1]!.termsOf(bench.lanes[1]!.trace.start[0]!.id);
    expect(pointAt(bench, { kind: 'terms', terms })!.worth.toString()).toBe('48');
    const stale = 'm999' as (typeof bench.lanes)[0]['trace']['start'][0]['id'];
    expect(pointAt(bench, { kind: 'entry', lane: 0, id: stale })).toBeNull();
    expect(pointAt(bench, { kind: 'group', lane: 9, id: 'answer' })).toBeNull();
  });

  it('never calls anything the same that is worth something else', () => {
    fc.assert(
      fc.property(comparisons(3), fc.nat(), ({ problem, chosen }, pick) => {
        const comparison = compare(problem, chosen);
        const marks = comparison.lanes[0]!.trace.steps.flatMap((step) => step.gives);
        const subject = pointAt(comparison, {
          kind: 'entry',
          lane: 0,
          id: marks[pick % marks.length]!.id,
        })!;
        const worth = subject.lookFor.worth();
        for (const { relation, groups, entries, lane } of subject.counterparts) {
          const owed = entries.map((id) => comparison.lanes[lane]!.find(id)!.worth);
          const sum = Exact.sum(groups.length > 0 ? groups.map((group) => group.worth) : owed);
          if (relation === 'same' || relation === 'scattered') expect(sum.equals(worth)).toBe(true);
        }
      }),
    );
  });
});

describe('stops', () => {
  it('line up the four methods and let the last row be gathered', () => {
    const three = of(
      product('46', '58'),
      'column-multiplication',
      'grid-multiplication',
      'lattice',
    );
    expect(three.stops).toEqual([
      [0, 0, 0],
      [1, 1, 1],
      [2, 2, 2],
      [2, 3, 2],
      [4, 4, 3],
      [5, 5, 4],
      [6, 6, 5],
      [7, 7, 6],
      [8, 7, 7],
      [9, 7, 8],
    ]);
  });

  it('go forward to the end and back to the start, one lane never behind', () => {
    fc.assert(
      fc.property(comparisons(4), ({ problem, chosen }) => {
        const { stops, lanes } = compare(problem, chosen);
        const end = lanes.map((lane) => lane.trace.steps.length);
        let at: readonly number[] = lanes.map(() => 0);
        for (const stop of stops.slice(1)) {
          const next = nextStop(lanes, at);
          expect(next).toEqual(stop);
          expect(next.every((step, k) => step >= at[k]!)).toBe(true);
          expect(previousStop(stops, next)).toEqual(at);
          at = next;
        }
        expect(at).toEqual(end);
        expect(nextStop(lanes, end)).toEqual(end);
      }),
      { numRuns: 40 },
    );
  });

  it('never pass more than one unit of a paper, and meet wherever all can within one', () => {
    fc.assert(
      fc.property(comparisons(3), ({ problem, chosen }) => {
        const { stops, lanes } = compare(problem, chosen);
        stops.slice(1).forEach((stop, k) => {
          lanes.forEach(({ trace }, lane) => {
            const passed = trace.steps.slice(stops[k]![lane], stop[lane]).map(({ phase }) => phase);
            passed.slice(1).forEach((phase, i) => expect(sameUnit(passed[i]!, phase)).toBe(true));
          });
        });
        expect(areTogether(lanes, stops[0]!)).toBe(true);
        expect(areTogether(lanes, stops.at(-1)!)).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  it('go one unit from wherever single papers have been moved to', () => {
    const { lanes } = of(problemFrom('46 × 58'), 'column-multiplication', 'grid-multiplication');
    expect(nextStop(lanes, [5, 0])).toEqual([5, 1]);
    expect(nextStop(lanes, [5, 3])).toEqual([5, 4]);
    expect(nextStop(lanes, [0, 7])).toEqual([2, 7]);
    expect(areTogether(lanes, [5, 5])).toBe(true);
    expect(areTogether(lanes, [5, 4])).toBe(false);
  });

  it('deal with a cell when it is worked, not when it is copied into a list', () => {
    const problem = problemFrom('99 × 89');
    const [grid, lattice] = ['grid-multiplication', 'lattice'].map((id) => registry.get(id));
    const both = compare(problem, [
      { method: grid!, school: { ...grid!.defaultSchool, totals: 'one-list' } },
      { method: lattice! },
    ]);
    expect(both.stops.slice(0, 5)).toEqual([0, 1, 2, 3, 4].map((step) => [step, step]));
  });

  it('never finish a work in one press that has several places, figures or rows', () => {
    const presses = (text: string, ...ids: string[]) =>
      of(problemFrom(text), ...ids).stops.length - 1;
    expect(presses('642 − 387', 'decomposition', 'counting-up', 'equal-additions')).toBe(5);
    expect(presses('642 − 387', 'decomposition', 'equal-additions')).toBe(3);
    expect(presses('7002 − 2586', 'decomposition', 'counting-up')).toBe(6);
    expect(presses('√5200', 'digit-pairs', 'prime-pairs')).toBe(11);
    expect(presses('5 1/6 − 2 5/8', 'mixed-separate', 'mixed-improper')).toBe(9);
  });

  it('are together where every lane has dealt with the same terms', () => {
    fc.assert(
      fc.property(comparisons(3), ({ problem, chosen }) => {
        const { stops, lanes } = compare(problem, chosen);
        // Stages are looked at one by one: what one has dealt with is owed again in the next.
        fc.pre(lanes.every(({ trace }) => trace.stages.length === 0));
        for (const stop of stops) {
          // What is still to be dealt with is what a later step takes for good: owed, or from a mark that only rewrites it.
          const left = lanes.map(({ trace, termsOf }, k) => {
            const { start, steps } = trace;
            const carriers = new Set(start.map(({ id }) => id));
            for (const step of steps) {
              // A copy of what was taken for good carries nothing on.
              const isOwed = step.takes.some((id) => carriers.has(id));
              if (isOwed) for (const { id } of carriedOn(step)) carriers.add(id);
            }
            const terms = steps.slice(stop[k]).flatMap((step) => {
              const stays = new Set(carriedOn(step).flatMap(({ id }) => termsOf(id).ids()));
              const taken = step.takes.filter((id) => carriers.has(id));
              return taken.flatMap((id) => termsOf(id).ids()).filter((id) => !stays.has(id));
            });
            return [...new Set(terms)].sort().join(' ');
          });
          expect(areTogether(lanes, stop)).toBe(new Set(left).size === 1);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('wait for each other in every stage of a string of factors', () => {
    const problem = problemFrom('(3x − 1)(x + 4)^2');
    const ways = of(problem, 'expand-arcs', 'expand-grid');
    expect(ways.stops.every((stop) => stop[0] === stop[1])).toBe(true);
    expect(ways.stops).toHaveLength(ways.lanes[0]!.trace.steps.length + 1);
    const [arcs, grid] = ['expand-arcs', 'expand-grid'].map((id) => registry.get(id));
    const apart = compare(problem, [
      { method: arcs! },
      { method: grid!, school: { ...grid!.defaultSchool, start: 'the-last-two' } },
    ]);
    // Other pairs of brackets have no terms in common before the end of the stage.
    const level = apart.stops.filter((stop) => areTogether(apart.lanes, stop));
    expect(level.slice(0, 2).map(([step]) => step)).toEqual([0, 4]);
    expect(of(problemFrom('12 × 34 × 5'), 'lattice', 'grid-multiplication').stops).toContainEqual([
      8, 7,
    ]);
  });

  it('let a place that lends be dealt with in its own turn', () => {
    const problem = makeProblem('difference', [numeral('642'), numeral('387')]);
    const both = of(problem, 'decomposition', 'equal-additions', 'partial-differences');
    expect(both.stops).toEqual([
      [0, 0, 0],
      [2, 2, 1],
      [4, 4, 2],
      [5, 5, 3],
      [5, 5, 4],
      [5, 5, 5],
      [5, 5, 6],
    ]);
  });
});

describe('cost', () => {
  it('is counted from the work', () => {
    const counted = bench.lanes.map(({ trace }) => {
      const { facts, additions, carries, figures, heldAtOnce } = cost(trace);
      return { facts, additions, carries, figures, heldAtOnce };
    });
    expect(counted).toEqual([
      { facts: 4, additions: 3, carries: 2, figures: 13, heldAtOnce: 0 },
      { facts: 4, additions: 3, carries: 0, figures: 23, heldAtOnce: 0 },
      { facts: 4, additions: 2, carries: 0, figures: 12, heldAtOnce: 0 },
      { facts: 4, additions: 2, carries: 0, figures: 16, heldAtOnce: 0 },
    ]);
  });

  it('counts what is held apart from what is written', () => {
    const column = registry.get('column-multiplication');
    const held = cost(
      column.trace(product('99', '89'), {
        school: { ...column.defaultSchool, carries: 'in-the-head' },
      }),
    );
    expect(held.heldAtOnce).toBe(1);
    expect(held.largestHeld.toString()).toBe('8');
    expect(held.figures).toBe(cost(column.trace(product('99', '89'))).figures - held.carries);
  });

  it('knows from which step the leading figure cannot change', () => {
    const first = registry.get('partial-products');
    const largest = { ...first.defaultSchool, order: 'largest-first' };
    const problem = product('41', '52');
    expect(cost(first.trace(problem)).leadingCertainAt).toBeGreaterThan(
      cost(first.trace(problem, { school: largest })).leadingCertainAt,
    );
  });
});

describe('levels', () => {
  it('add up to the balance and end with nothing owed or held', () => {
    fc.assert(
      fc.property(comparisons(4), ({ problem, chosen }) => {
        const { method, school } = chosen[0]!;
        const trace = method.trace(problem, { school });
        const all = levels(trace);
        expect(all).toHaveLength(trace.steps.length + 1);
        for (const { owed, written, held, balance } of all) {
          expect(Exact.sum([owed, written, held]).equals(balance)).toBe(true);
          const isFigures = scriptOf(problem) === 'figures';
          if (problem.kind === 'product' && isFigures) {
            expect(written.compare(Exact.ZERO)).not.toBe(-1);
          }
        }
        const { owed, held } = all.at(-1)!;
        expect(held.isZero).toBe(true);
        const open = trace.groups.some(({ role }) => role === 'rest');
        const isDivided = problem.kind === 'quotient' || problem.kind === 'root';
        expect(owed.isZero || (isDivided && open)).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  it('show a slip as an account that has lost an amount', () => {
    const trace = registry
      .get('column-multiplication')
      .trace(product('46', '58'), { slips: [{ slip: 'forget-carry', occurrence: 1 }] });
    expect(levels(trace).at(-1)!.balance.toString()).toBe('2628');
  });

  it('give shares for drawing', () => {
    expect(shareOf(Exact.of(1), Exact.of(3))).toBe(0.3333);
    expect(shareOf(Exact.of(5), Exact.ZERO)).toBe(0);
  });
});

describe('step labels', () => {
  it('name what a step deals with or writes', () => {
    const say = new Speaker({ ...DEFAULT_VOCABULARY, ones: 'units', times: '·' }, 10);
    const labels = (lane: number) => stepLabels(bench.lanes[lane]!.trace, say).join(' | ');
    expect(labels(0)).toBe('6·8 | 40·8 | 0 | 6·50 | 40·50 | units | tens | hundreds | thousands');
    expect(labels(1)).toBe('6·8 | 40·8 | = 368 | 6·50 | 40·50 | = 2300 | = 2668');
  });
});

describe('an amount that a later stage opens', () => {
  it('is found on the other papers too, where their work on it goes', () => {
    const problem = problemFrom('12 × 34 × 5');
    const methods = ['lattice', 'lattice'].map((id) => ({ method: registry.get(id) }));
    const comparison = compare(problem, methods);
    const [first, second] = comparison.lanes.map(({ trace }) =>
      trace.steps.flatMap(({ opens }) => opens),
    );
    expect(first!.length).toBeGreaterThan(0);
    const subject = pointAt(comparison, { kind: 'entry', lane: 0, id: first![0]!.id })!;
    const there = new Set(subject.counterparts[1]!.entries);
    expect(second!.some(({ id }) => there.has(id))).toBe(true);
  });
});
