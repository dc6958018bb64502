import fc from 'fast-check';
import { Scribe } from '../account/scribe.ts';
import type { Trace } from '../account/account.ts';
import type { Part } from '../account/cut.ts';
import { Exact } from '../exact/exact.ts';
import { numeral } from '../exact/numeral.ts';
import { registry } from '../methods/index.ts';
import { productProblem } from '../problem/problem.ts';
import { commonTerms } from './common-terms.ts';

const phrase = { key: 'test', values: {} };

function parts(...worths: number[]): readonly Part[] {
  return worths.map((worth) => ({ worth: Exact.of(worth), text: String(worth), place: undefined }));
}

/** A trace that opens its account with these cuts and works nothing. */
function opened(cuts: readonly (readonly Part[])[]): Trace {
  const values = cuts.map((cut) => Exact.sum(cut.map((part) => part.worth)).toString());
  const problem = productProblem(values.map((value) => numeral(value)));
  const scribe = new Scribe({ problem, method: 'test', school: {} });
  scribe.open(cuts);
  return scribe.close([], phrase);
}

describe('commonTerms', () => {
  it('keeps the terms of traces that cut alike', () => {
    const problem = productProblem([numeral('46'), numeral('58')]);
    const traces = ['lattice', 'column-multiplication'].map((id) =>
      registry.get(id).trace(problem),
    );
    const { space, translate } = commonTerms(traces);
    expect(space).toBe(traces[0]!.space);
    const { terms } = traces[1]!.start[0]!;
    expect(translate[1]!(terms)).toBe(terms);
  });

  it('cuts where any of them cuts: tens and ones against powers of two', () => {
    const places = opened([parts(6, 40), parts(8)]);
    const powers = opened([parts(2, 4, 8, 32), parts(8)]);
    const { space, translate } = commonTerms([places, powers]);
    const texts = Array.from({ length: space.size }, (_, index) => space.text(index));
    expect(texts).toEqual(['2×8', '4×8', '8×8', '32×8']);
    const [six, forty] = places.start.map((entry) => translate[0]!(entry.terms));
    expect(six!.ids()).toEqual(['0.0', '1.0']);
    expect(forty!.ids()).toEqual(['2.0', '3.0']);
    expect(translate[1]!(powers.start[2]!.terms).ids()).toEqual(['2.0']);
  });

  it('keeps the worth of every entry, whatever the cuts', () => {
    const cut = fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 5 });
    const sameSum = fc.tuple(cut, cut).map(([a, b]) => {
      const [sumA, sumB] = [a, b].map((list) => list.reduce((x, y) => x + y, 0));
      return sumA! < sumB!
        ? [[...a, sumB! - sumA!], b]
        : [a, sumA === sumB ? b : [...b, sumA! - sumB!]];
    });
    fc.assert(
      fc.property(sameSum, sameSum, ([a, b], [c, d]) => {
        const traces = [opened([parts(...a!), parts(...c!)]), opened([parts(...b!), parts(...d!)])];
        const { translate } = commonTerms(traces);
        traces.forEach((trace, k) => {
          for (const { terms, worth } of trace.start) {
            expect(translate[k]!(terms).worth().equals(worth)).toBe(true);
          }
        });
      }),
    );
  });

  it('needs at least one trace', () => {
    expect(() => commonTerms([])).toThrow(RangeError);
  });
});
