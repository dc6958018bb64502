import {
  canSwap,
  decodeComparison,
  FRESH_ROOM,
  makeProblem,
  MAX_EARLIER,
  numeral,
  productProblem,
  registry,
} from '@levee/core';
import {
  freshDocument,
  withEstimate,
  withProblem,
  withSchool,
  problemOf,
  withAnotherPaper,
  withBase,
  withHops,
  withSwappedOperands,
  paperOf,
} from './content.ts';
import { deskOf, documentOf, settled, type Content } from './desk.ts';
import { decodeSettings, useSettings } from './settings-store.ts';

const fresh = deskOf(freshDocument());
const content: Content = {
  ...fresh.content,
  papers: fresh.content.papers.map((paper) => ({ ...paper, order: ['1.1'] })),
};
const named = (own: Content) => settled({ ...fresh, content: own });

describe('content', () => {
  it('makes documents that can be read', () => {
    const document = freshDocument();
    expect(decodeComparison(document, registry)).toMatchObject({ ok: true, document });
    const stretched = documentOf({
      ...fresh,
      content,
      progress: { steps: { p1: 4, p9: 2 }, pace: 'step', room: FRESH_ROOM },
    });
    expect(stretched.steps).toEqual({ p1: 4, p2: 0, p3: 0 });
  });

  it('takes another problem: schools stay, own orders go, and the estimate waits for its computation', () => {
    const chosen = withSchool(content, 'p1', 'carries', 'below');
    const estimated = withEstimate(chosen, {
      operands: ['50', '60'],
      value: '3000',
      judgement: '',
      beforeWorking: true,
    });
    const next = withProblem(estimated, productProblem([numeral('7'), numeral('365')]));
    expect(next.problem).toBe('7 × 365');
    expect(next.estimate).toBeNull();
    expect(next.papers.map(({ order }) => order.length)).toEqual([0, 0, 0]);
    expect(next.papers[0]!.school['carries']).toBe('below');
    expect(next.earlier).toEqual([{ problem: content.problem, estimate: estimated.estimate }]);
    const back = withProblem(next, problemOf(content));
    expect(back.estimate).toEqual(estimated.estimate);
    expect(back.earlier).toEqual([]);
  });

  it('keeps the latest estimates, each of its own computation, and none where none was made', () => {
    const estimate = { operands: ['1', '2'], value: '2', judgement: '', beforeWorking: false };
    let own = content;
    const problems = Array.from({ length: MAX_EARLIER + 3 }, (_, k) => `${k + 2} × 9`);
    for (const [k] of problems.entries()) {
      own = withProblem(own, productProblem([numeral(String(k + 2)), numeral('9')]));
      own = withEstimate(own, { ...estimate, judgement: problems[k]! });
    }
    const last = withProblem(own, productProblem([numeral('7'), numeral('365')]));
    expect(last.earlier.map(({ problem }) => problem)).toEqual(problems.slice(-MAX_EARLIER));
    expect(last.earlier.map((one) => one.estimate.judgement)).toEqual(problems.slice(-MAX_EARLIER));
    expect(withProblem(last, problemOf(content)).earlier).toEqual(last.earlier);
  });

  it('takes slips off a paper that is worked in another way, and off no other', () => {
    const slipped = {
      ...content,
      papers: content.papers.map((paper) => ({ ...paper, slips: ['forget-carry@line-0.0'] })),
    };
    const chosen = withSchool(slipped, 'p1', 'carries', 'below');
    expect(chosen.papers.map(({ slips }) => slips.length)).toEqual([0, 1, 1]);
    expect(withSchool(slipped, 'p1', 'carries', 'nowhere')).toBe(slipped);
    expect(withSchool(slipped, 'p9', 'carries', 'below')).toBe(slipped);
  });

  it('keeps answers with the computation that they were given to', () => {
    const given = { code: 'T07', problem: '', answer: '598' };
    const other = { code: 'T07', problem: '7 × 365', answer: '2555' };
    const next = withProblem(
      { ...content, answers: [given, other] },
      productProblem([numeral('7'), numeral('365')]),
    );
    expect(next.answers.map(({ problem }) => problem)).toEqual([content.problem, '']);
    const back = withProblem(next, problemOf(content));
    expect(back.answers).toEqual([given, other]);
  });

  it('puts papers away that refuse the problem', () => {
    const bridging = {
      ...content,
      papers: ['compensation-addition', 'column-addition'].map(paperOf),
    };
    const three = makeProblem('sum', [numeral('2'), numeral('3'), numeral('4')]);
    expect(withProblem(bridging, three).papers.map(({ method }) => method)).toEqual([
      'column-addition',
    ]);
  });

  it('turns factors and their estimate about, twice back to the start', () => {
    const estimated = withEstimate(content, {
      operands: ['50', '60'],
      value: '3000',
      judgement: 'close',
      beforeWorking: false,
    });
    const swapped = withSwappedOperands(estimated);
    expect(swapped.problem).toBe('58 × 46');
    expect(swapped.estimate).toMatchObject({ operands: ['60', '50'], value: '3000' });
    expect(withSwappedOperands(swapped)).toMatchObject({
      problem: '46 × 58',
      estimate: estimated.estimate,
    });
  });

  it('lays papers that suit another kind of problem, and takes old hops away', () => {
    const numbers = [numeral('642'), numeral('387')];
    const difference = named(withProblem(content, makeProblem('difference', numbers))).content;
    expect(difference.papers.map(({ method }) => method)).toEqual([
      'decomposition',
      'equal-additions',
      'counting-up',
    ]);
    expect(canSwap(problemOf(difference))).toBe(false);
    const own = withHops(difference, 'p6', ['13', '242']);
    expect(own.papers[2]!.hops).toEqual(['13', '242']);
    expect(withHops(own, 'p9', ['1'])).toBe(own);
    expect(decodeComparison(documentOf({ ...fresh, content: own }), registry).ok).toBe(true);
    const negative = withProblem(own, makeProblem('difference', [...numbers].reverse()));
    expect(negative.papers.map(({ method, hops }) => [method, hops.length])).toEqual([
      ['counting-up', 0],
    ]);
    const sum = withProblem(own, makeProblem('sum', numbers));
    expect(sum.papers).toHaveLength(3);
    expect(withSwappedOperands(sum).problem).toBe('387 + 642');
  });

  it('rewrites the computation in another base under the same papers', () => {
    const binary = withBase(content, 2);
    expect(binary.problem).toBe('101110_2 × 111010_2');
    expect(binary.papers.map(({ method }) => method)).toEqual(
      content.papers.map(({ method }) => method),
    );
    expect(withBase(binary, 10).problem).toBe('46 × 58');
  });

  it('lays another method, and when all are laid another school of one', () => {
    const laid = (problem: string, methods: readonly string[]) =>
      withAnotherPaper({ ...content, problem, papers: methods.map(paperOf) }).papers.at(-1)!;
    const another = laid('46 × 58', ['column-multiplication', 'grid-multiplication', 'lattice']);
    expect(another.method).toBe('partial-products');
    const apart = laid('5 1/6 − 2 3/4', ['mixed-separate', 'mixed-improper']);
    expect([apart.method, apart.school]).toEqual([
      'mixed-separate',
      { ...paperOf('mixed-separate').school, find: 'primes' },
    ]);
  });

  it('leaves schools alone that do not exist', () => {
    expect(withSchool(content, 'p1', 'colour', 'red')).toBe(content);
    expect(withSchool(content, 'p9', 'carries', 'below')).toBe(content);
  });
});

describe('settings', () => {
  it('keep what is known and drop the rest', () => {
    const current = useSettings.getState();
    const kept = {
      voice: 'digit',
      theme: 'sepia',
      notes: 'no',
      notches: false,
      words: { ones: 'units', carry: 'magic' },
    };
    expect(decodeSettings(kept, current)).toMatchObject({
      voice: 'digit',
      theme: 'system',
      notes: true,
      notches: false,
      words: { ones: 'units', carry: 'carry' },
    });
    expect(decodeSettings(null, current)).toMatchObject({ voice: 'value' });
  });
});
