import { agreement } from '../../compare/certificate/agreement.ts';
import { PLAIN_NOTATION } from '../../exact/notation.ts';
import { expressionLine, termTextsOf } from '../../compare/certificate/agreement-export.ts';
import { compare } from '../../compare/compare.ts';
import { verifyAgreement } from '../../compare/certificate/verify-agreement.ts';
import { groupWorths, marksOf, problemFrom, said, worked } from '../../testing/work.ts';
import { registry } from '../index.ts';

describe('crosswise', () => {
  it('gathers every digit pair of a place in one line', () => {
    expect(said(worked('crosswise', '346 × 125'))).toEqual([
      '6×5 = 30: write 0, carry 3.',
      '6×2 + 4×5 + (3) = 35: write 5, carry 3.',
      '6×1 + 4×2 + 3×5 + (3) = 32: write 2, carry 3.',
      '4×1 + 3×2 + (3) = 13: write 3, carry 1.',
      '3×1 + (1) = 4: write 4.',
    ]);
  });

  it('carries two figures where many pairs meet', () => {
    const trace = worked('crosswise', '999999999999 × 999999999999');
    const longest = Math.max(
      ...marksOf(trace)
        .filter(({ role }) => role === 'carry')
        .map(({ glyph }) => glyph.length),
    );
    expect(longest).toBe(3);
    expect(trace.balanced).toBe(true);
  });

  it('lets one total grow from the largest place', () => {
    const trace = worked('crosswise', '346 × 125', { school: { order: 'largest-first' } });
    expect(groupWorths(trace, 'subtotal')).toEqual(['30000', '40000', '42900', '43220']);
    expect(marksOf(trace).map(({ medium }) => medium)).toEqual([
      'head',
      'head',
      'head',
      'head',
      'paper',
    ]);
  });

  it('links the digits that a step pairs, and only those', () => {
    const trace = worked('crosswise', '346 × 25');
    const { links } = registry.get('crosswise').sheet(trace);
    const perStep = trace.steps.map(
      ({ number }) => links.filter(({ step }) => step === number).length,
    );
    expect(perStep).toEqual([1, 2, 2, 1]);
  });

  it('gathers the same terms as the diagonals of a lattice, in other pieces', () => {
    const problem = problemFrom('46 × 58');
    const methods = ['crosswise', 'lattice'].map((id) => ({ method: registry.get(id) }));
    const certificate = agreement(compare(problem, methods));
    expect(verifyAgreement(certificate)).toEqual({ ok: true });
    const lines = certificate.methods.map(({ bracketing }) =>
      expressionLine(bracketing!, termTextsOf(certificate), PLAIN_NOTATION),
    );
    expect(lines).toEqual(['48 + (300 + 320) + 2000', '8 + (40 + 20) + (300 + 300) + 2000']);
  });
});

describe('halving and doubling', () => {
  it('halves, doubles and keeps the doubles beside odd halves', () => {
    const trace = worked('halving-doubling', '26 × 34');
    expect(said(trace, 'value').slice(1, 4)).toEqual([
      '26 × 34 is as much as 13 × 68: half as many, each twice as large.',
      '13 × 68 is one 68, which is kept, and 6 × 136.',
      '6 × 136 is as much as 3 × 272: half as many, each twice as large.',
    ]);
    expect(groupWorths(trace, 'product')).toEqual(['68', '272', '544']);
  });

  it('has every row stand for all that is not kept yet', () => {
    const rows = marksOf(worked('halving-doubling', '26 × 34')).filter(
      ({ role }) => role === 'doubled',
    );
    expect(rows.map(({ glyph, worth }) => `${glyph}: ${worth}`)).toEqual([
      '34: 884',
      '68: 884',
      '136: 816',
      '272: 816',
      '544: 544',
    ]);
    for (const { worth, terms } of rows) expect(terms.worth().equals(worth)).toBe(true);
  });

  it('strikes even rows, the heading row too, and never an odd one', () => {
    const trace = worked('halving-doubling', '26 × 34');
    const struck = new Set(trace.steps.flatMap(({ strikes }) => strikes));
    const left = marksOf(trace).filter(({ role, id }) => role === 'halved' && struck.has(id));
    expect(left.map(({ glyph }) => glyph)).toEqual(['26', '6']);
  });

  it('ticks the powers of two that make up the factor', () => {
    const trace = worked('halving-doubling', '26 × 34', { school: { show: 'powers-of-two' } });
    const ticks = marksOf(trace).filter(({ glyph }) => glyph === '✓');
    expect(ticks.map(({ worth }) => worth.toString())).toEqual(['544', '272', '68']);
    expect(said(trace).slice(5, 8)).toEqual([
      '16 fits: tick it, 10 left to make up.',
      '8 fits: tick it, 2 left to make up.',
      '2 fits: tick it, 0 left to make up.',
    ]);
  });

  it('drops the last figure in base two', () => {
    expect(said(worked('halving-doubling', '1101_2 × 11_2'))[1]).toBe(
      '1101 is odd: keep 11, leave out the half; then 110 and 110, the last figure dropped and a 0 put on.',
    );
  });

  it('keeps nothing of zero', () => {
    expect(said(worked('halving-doubling', '0 × 58')).at(-1)).toBe('Nothing is kept: 0.');
    expect(worked('halving-doubling', '58 × 0').answer.isZero).toBe(true);
    expect(said(worked('halving-doubling', '1 × 58')).slice(1)).toEqual([
      '1 is odd: keep 58.',
      'Only 58 is kept.',
    ]);
  });

  it('agrees with place-value methods on terms that are finer than both cuts', () => {
    const problem = problemFrom('26 × 34');
    const methods = ['halving-doubling', 'lattice'].map((id) => ({ method: registry.get(id) }));
    const certificate = agreement(compare(problem, methods));
    expect(certificate.operands[0]!.parts).toEqual(['2', '4', '4', '16']);
    expect(verifyAgreement(certificate)).toEqual({ ok: true });
  });
});
