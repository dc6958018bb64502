import { auditDocument } from '../formats/trace-audit.ts';
import { traceDocument } from '../formats/trace-document.ts';
import { Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import { marksOf, worked } from '../testing/work.ts';
import { audit } from '../laws/audit.ts';
import { beyondOf, holds, cellBeyond, NOTHING_BEYOND } from './beyond.ts';
import { worthBeyond } from '../testing/worth-beyond.ts';
import { ledgerAt } from './ledger.ts';

describe('cells beyond the edge', () => {
  const two = cellBeyond('b', Exact.of(2));

  it('are counted together, and are gone where they net to nothing', () => {
    const back = cellBeyond('b', Exact.of(2), -1n);
    expect(beyondOf([{ beyond: two }, { beyond: back }])).toBe(NOTHING_BEYOND);
    expect(beyondOf([{ beyond: two }, { beyond: two }]).get('b')!.count).toBe(2n);
    expect(worthBeyond(beyondOf([{ beyond: two }, { beyond: two }])).toString()).toBe('4');
    expect(beyondOf([{ beyond: two }], [{ beyond: two }]).size).toBe(0);
    expect(beyondOf([{}, { beyond: back }]).get('b')!.count).toBe(-1n);
    expect(cellBeyond('b', Exact.ZERO).size).toBe(0);
    const other = cellBeyond('b', Exact.of(3), -1n);
    expect([...beyondOf([{ beyond: two }, { beyond: other }]).keys()]).toEqual(['b', 'b of 3']);
  });

  it.each([
    ['compensation-addition', '386 + 58', ['60: 2', '−2: -2', '446: 2', '444: 0']],
    ['compensation-subtraction', '642 − 387', ['655: 13', '400: -13', '255: 0']],
    [
      'equal-additions',
      '642 − 387',
      ['1: 10', '1: -10', '5: 10', '1: 100', '1: -100', '5: 90', '2: -100'],
    ],
    ['compensation-addition', '12.5 + 3.9', ['4.0: 1/10', '−0.1: -1/10', '16.5: 1/10', '16.4: 0']],
  ])('are laid by %s for %s and taken back', (id, text, expected) => {
    const trace = worked(id, text);
    const told = marksOf(trace).map(
      ({ glyph, beyond }) => `${glyph}: ${worthBeyond(beyond ?? NOTHING_BEYOND)}`,
    );
    expect(told).toEqual(expected);
    for (let done = 0; done <= trace.steps.length; done++) {
      expect(beyondOf([...ledgerAt(trace, done).live.values()]).size).toBe(0);
    }
    expect(audit(trace)).toEqual([]);
  });

  it.each([
    ['642 − 387', [300, -40], ['300: 45', '−45: -45', '−40: -40', '−5: -5', '−5: -5', '255: 0']],
    [
      '642 − 387',
      [300, -60, 15],
      ['300: 45', '−45: -45', '−60: -45', '+15: 0', '+15: 0', '255: 0'],
    ],
    ['387 − 642', [-300, 45], ['−300: -45', '+45: 45', '+45: 45', '−255: 0']],
  ])('are what hops of %s by %j lay past an end', (text, hops, expected) => {
    const trace = worked('counting-up', text, { hops });
    const told = marksOf(trace)
      .filter(({ role }) => role !== 'stop')
      .map(
        ({ glyph, beyond }) =>
          `${glyph.replace('+300', '300')}: ${worthBeyond(beyond ?? NOTHING_BEYOND)}`,
      );
    expect(told).toEqual(expected);
    expect(audit(trace)).toEqual([]);
  });

  it('are part of the answer where a place comes to nothing and is not written', () => {
    const trace = worked('equal-additions', '1004 − 987');
    expect(marksOf(trace).filter(({ role }) => role === 'answer')).toHaveLength(2);
    expect(audit(trace)).toEqual([]);
    const method = registry.get('equal-additions');
    const document = traceDocument(method, trace);
    expect(auditDocument(document)).toBeNull();
    const spent = document.steps.filter(({ gives }) => gives.length === 0).at(-1)!;
    const last = document.entries.find(({ id, beyond }) => beyond && spent.takes.includes(id))!;
    const entries = document.entries.map((entry) => {
      const { beyond, ...rest } = entry;
      return entry === last ? rest : { ...rest, ...(beyond ? { beyond } : {}) };
    });
    expect(auditDocument({ ...document, entries })?.fault).toMatch(/beyond the edge$/);
  });

  it('make a rounded number just what it holds', () => {
    const trace = worked('compensation-addition', '386 + 58');
    const [sixty, back] = marksOf(trace);
    expect([...holds(sixty!)]).toEqual([
      ['1.0', 1n],
      ['beyond.0', 1n],
    ]);
    expect([...holds(back!)]).toEqual([['beyond.0', -1n]]);
    const own = sixty!.terms;
    const again = cellBeyond('1.0', Exact.of(58));
    expect([...holds({ terms: own, beyond: again })]).toEqual([['1.0', 2n]]);
    const away = cellBeyond('1.0', Exact.of(58), -1n);
    expect([...holds({ terms: own, beyond: away })]).toEqual([]);
    for (const { worth, terms, beyond } of marksOf(trace)) {
      const held = terms.worth().plus(worthBeyond(beyond ?? NOTHING_BEYOND));
      expect(held.toString()).toBe(worth.toString());
    }
  });

  it('stay where a learner does not take them back, and the audit says so', () => {
    const slips = [{ slip: 'forget-lower', occurrence: 1 }];
    const faults = audit(worked('equal-additions', '642 − 387', { slips })).map(
      ({ fault }) => fault,
    );
    expect(faults).toContain('it lays beyond.0 beyond the edge');
    expect(faults).toContain('the answer holds beyond.0 beyond the edge');
  });

  it('are told in documents and replayed from them', () => {
    const method = registry.get('compensation-subtraction');
    const document = traceDocument(method, worked(method.id, '642 − 387'));
    const entries = document.entries.filter(({ beyond }) => beyond);
    expect(entries.map(({ beyond }) => beyond)).toEqual([
      [{ cell: 'beyond.0', worth: '13', count: 1 }],
      [{ cell: 'beyond.0', worth: '13', count: -1 }],
    ]);
    expect(auditDocument(document)).toBeNull();
    const silent = document.entries.map(({ beyond, ...entry }) =>
      beyond?.[0]!.count === 1 ? entry : { ...entry, ...(beyond ? { beyond } : {}) },
    );
    expect(auditDocument({ ...document, entries: silent })).toEqual({
      step: 1,
      fault: 'it lays beyond.0 beyond the edge',
    });
  });
});
