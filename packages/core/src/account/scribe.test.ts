import { where } from './chance.ts';
import { Exact } from '../exact/exact.ts';
import { numeral } from '../exact/numeral.ts';
import { productProblem } from '../problem/problem.ts';
import { audit } from '../laws/audit.ts';
import { Scribe, type ScribeRequest, type Writing } from './scribe.ts';

const phrase = { key: 'test', values: {} };

function scribe(more: Partial<ScribeRequest> = {}, a = '46', b = '8', base = 10): Scribe {
  const problem = productProblem([numeral(a, base), numeral(b, base)]);
  const made = new Scribe({ problem, method: 'test', school: {}, ...more });
  made.openProduct(problem.operands);
  return made;
}

function writing(count: number, place: number, more: Partial<Writing> = {}): Writing {
  return { role: 'product', count, place, spot: { area: 'line', row: 0, column: place }, ...more };
}

function evaluate(by: Scribe, parts: readonly number[], ...writes: readonly Writing[]) {
  return by.step({
    law: 'evaluate',
    phase: { kind: 'line' },
    takes: [by.owes(...parts)],
    writes,
    phrase,
  });
}

describe('Scribe', () => {
  it('opens the account with every product of parts, all of it owed', () => {
    const by = scribe();
    expect(by.owes(0, 0)).toMatchObject({ id: 'o0.0', standing: 'owed', text: '6×8' });
    expect(by.owes(1, 0).worth.toString()).toBe('320');
    expect(() => by.owes(2, 0)).toThrow(/no term 2.0/);
  });

  it('gives a mark the worth of the place that it is written in', () => {
    const by = scribe();
    const [eight, four] = evaluate(by, [0, 0], writing(8, 0), writing(4, 1));
    expect([eight, four].map((mark) => `${mark!.glyph} ${mark!.worth}`)).toEqual(['8 8', '4 40']);
    const trace = by.close([eight!], phrase);
    expect(trace.steps[0]!.balance.toString()).toBe('368');
    expect(trace.balanced).toBe(true);
  });

  it('lets a figure in the wrong place leak by itself', () => {
    const by = scribe();
    const marks = evaluate(by, [0, 0], writing(8, 0), writing(4, 0, { spot: spotAt(7) }));
    const trace = by.close(marks, phrase);
    expect(trace.steps[0]!.balance.toString()).toBe('332');
    expect(trace.balanced).toBe(false);
    expect(audit(trace).filter(({ fault }) => fault.startsWith('balance'))).toEqual([]);
  });

  it('writes figures of the base, and numbers whole on request', () => {
    const by = scribe({}, 'F', 'F', 16);
    const [low, high] = evaluate(by, [0, 0], writing(1, 0), writing(14, 1));
    expect([low!.glyph, high!.glyph]).toEqual(['1', 'E']);
    expect(high!.worth.toString()).toBe('224');
    const other = scribe();
    const [whole] = evaluate(other, [0, 0], writing(48, 0, { worth: Exact.of(48) }));
    expect(whole).toMatchObject({ glyph: '48', place: undefined });
  });

  it('lets marks inherit the terms of what they came from', () => {
    const by = scribe();
    const first = evaluate(by, [0, 0], writing(8, 0), writing(4, 1));
    const second = by.step({
      law: 'evaluate',
      phase: { kind: 'line' },
      takes: [by.owes(1, 0), first[1]!],
      strikes: [first[1]!],
      writes: [writing(6, 1, { spot: spotAt(1, 1) }), writing(3, 2)],
      phrase,
    });
    expect(first[0]!.terms.ids()).toEqual(['0.0']);
    expect(second[0]!.terms.ids()).toEqual(['0.0', '1.0']);
    by.group('line', 'line', [first[0]!, ...second], phrase);
    const trace = by.close([first[0]!, ...second], phrase);
    expect(trace.groups[0]).toMatchObject({ id: 'line', role: 'line' });
    expect(trace.groups[0]!.worth.toString()).toBe('368');
    expect(trace.answer.toString()).toBe('368');
    expect(audit(trace)).toEqual([]);
  });

  it('does not let an entry be taken twice', () => {
    const by = scribe();
    evaluate(by, [0, 0], writing(8, 0), writing(4, 1));
    expect(() => evaluate(by, [0, 0])).toThrow(/step 2 takes o0.0, which is not there or is gone/);
  });

  it('collects the chances of every slip and makes only those that are asked for', () => {
    const by = scribe({ slips: [{ slip: 'forget', at: where('place', 1) }] });
    expect(by.slip('forget', true, { at: where('place', 0) })).toBe(false);
    expect(by.slip('forget', false, { at: where('place', 1) })).toBe(false);
    expect(by.slip('other', true, { at: where('place', 1), ahead: 3 })).toBe(false);
    evaluate(by, [0, 0], writing(8, 0));
    expect(by.willSlip('forget', where('place', 1))).toBe(true);
    expect(by.slip('forget', true, { at: where('place', 1), features: ['zero-above'] })).toBe(true);
    const { opportunities } = by.close([], phrase);
    expect(opportunities).toEqual([
      { slip: 'forget', occurrence: 1, at: where('place', 0), features: ['first'], step: 1 },
      { slip: 'other', occurrence: 1, at: where('place', 1), features: ['first', 'last'], step: 4 },
      {
        slip: 'forget',
        occurrence: 2,
        at: where('place', 1),
        features: ['zero-above', 'last'],
        step: 2,
      },
    ]);
  });

  it('puts the wished order first and ignores what is not there', () => {
    const own = [
      [0, 0],
      [1, 0],
      [0, 1],
    ];
    expect(scribe().ordered(own)).toBe(own);
    expect(scribe({ order: ['0.1', '9.9', '0.0', '0.0'] }).ordered(own)).toEqual([
      [0, 1],
      [0, 0],
      [1, 0],
    ]);
  });

  it('gives figures of the question every term that they take part in', () => {
    const by = scribe({}, '46', '58');
    const spot = { area: 'top', row: 0, column: 1 };
    const four = by.give(0, 1, 'operand digit', spot);
    expect(four).toMatchObject({ standing: 'given', glyph: '4', text: '40', operand: 0, place: 1 });
    expect(four.terms.ids()).toEqual(['1.0', '1.1']);
    expect(by.give(1, 1, 'operand part', spot).glyph).toBe('50');
  });

  it('leaves terms that are worth nothing out of every set', () => {
    const by = scribe({}, '40', '8');
    expect(by.owes(0, 0).terms.isEmpty).toBe(true);
    expect(by.give(0, 0, 'operand digit', spotAt(0)).terms.isEmpty).toBe(true);
  });

  it('opens only the parts that are kept', () => {
    const problem = productProblem([numeral('406'), numeral('7')]);
    const by = new Scribe({ problem, method: 'test', school: {} });
    by.openProduct(problem.operands, [[0, 2], [0]]);
    expect(by.close([], phrase).start.map((entry) => entry.text)).toEqual(['6×7', '400×7']);
  });
});

function spotAt(column: number, row = 0) {
  return { area: 'line', row, column };
}
