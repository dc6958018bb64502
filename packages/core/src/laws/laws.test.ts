import { Exact } from '../exact/exact.ts';
import { readExpression } from '../problem/read-expression.ts';
import { LAWS, type Law } from '../account/account.ts';
import { MOVES, type MoveId } from './moves.ts';
import type { Amount, Change, LawFrame } from './law.ts';
import { checkLaw, LAW_TABLE, lawsOf } from './table.ts';

/** `40{a,b}` an amount of terms, `o40{a}` a term as it is owed, `3/4(9/12){a}` one that is written so. */
function amount(text: string): Amount {
  const [, owed, worth = '0', written, terms = ''] =
    /^(o?)(-?[0-9a-z/^+-]+)(?:\((.+)\))?(?:\{(.*)\})?$/.exec(text) ?? [];
  const read = written ? readExpression(written) : null;
  return {
    worth: Exact.parse(worth),
    terms: new Set(terms === '' ? [] : terms.split(',')),
    owed: owed === 'o',
    written: read?.ok ? read.expression : null,
  };
}

function change(text: string): Change {
  const [takes = [], gives = []] = text
    .split('->')
    .map((side) => side.trim().split(' ').filter(Boolean).map(amount));
  return { takes, gives };
}

const FRAME: LawFrame = {
  kind: 'sum',
  script: 'figures',
  base: 10,
  operands: [Exact.of(46), Exact.of(58)],
  isTaken: () => false,
  terms: new Set(['0.0', '0.1', '1.0', '1.1']),
  spent: new Set(),
  inFigures: false,
  by: null,
  partsOf: (term) => [{ operand: Number(term.split('.')[0]), worth: Exact.ONE }],
};

const verdict = (law: Law, text: string, frame: Partial<LawFrame> = {}) =>
  checkLaw(law, change(text), { ...FRAME, ...frame });

const fractions = { script: 'fractions' } as const;
const letters = { script: 'terms', kind: 'sum' } as const;
const root = { kind: 'root', operands: [Exact.of(7396)] } as const;
const quotient = { kind: 'quotient', operands: [Exact.of(63, 2), Exact.of(7, 10)] } as const;
const difference = { kind: 'difference' } as const;
const own = { isOwn: true } as const;

describe('an instance of a law', () => {
  it.each<[MoveId, Law, string, Partial<LawFrame>]>([
    ['places', 'place-value', '48{0.0} -> 40{0.0} 8{0.0}', { kind: 'product' }],
    ['places', 'place-value', '40{0.1} 2{0.0} -> 30{0.1} 12{0.0,0.1}', {}],
    ['places', 'place-value', '600{0.0} 40{0.1} -> 500{0.0} 140{0.0,0.1}', {}],
    ['places', 'place-value', '1000{0.0} -> 900{0.0} 100{0.0}', {}],
    ['places', 'place-value', '134{0.0,0.1} -> 4{0.0} 130{0.1}', own],
    ['places', 'place-value', '2{0.0} 1/3{0.1} -> 7/3{0.0,0.1}', fractions],
    ['worked-out', 'evaluate', 'o48{0.0} -> 48{0.0}', { kind: 'product' }],
    ['worked-out', 'evaluate', '48{0.0} 320{0.1} -> 368{0.0,0.1}', {}],
    ['worked-out', 'evaluate', '3/4(9/12){0.0} 1/6(2/12){0.1} -> 11/12{0.0,0.1}', fractions],
    ['parts', 'evaluate', '13{0.0} -> 6{0.0} 7{0.0}', {}],
    ['overshoot', 'evaluate', '58{0.0} -> 60{0.0} -2{0.0}', {}],
    ['distribute', 'distribute', '48{0.0,0.1} -> 8{0.0} 40{0.1}', {}],
    ['each-with-each', 'distribute', '-> o6{0.0} o40{0.1} o8{1.0} o50{1.1}', {}],
    ['factor-out', 'distribute', '12(3*4){0.0} 15(3*5){0.1} -> 27(3*(4+5)){0.0,0.1}', {}],
    ['order', 'reorder', '8{0.0} 40{0.1} -> 40{0.1} 8{0.0}', {}],
    ['factors-moved', 'reorder', '2668(46*58){0.0} -> 2668(23*116){0.0}', {}],
    ['same-change', 'same-change', '642{0.0} -387{1.0} -> 655{0.0} -400{1.0}', difference],
    ['same-change', 'same-change', '-> 10 -10', difference],
    ['give-and-take', 'same-change', '58{0.0} -> 60{0.0} -2', {}],
    ['scale', 'scale-both', 'o300/7{0.1} o5/7{0.0} -> o300/7(300÷7){0.1} o5/7(5÷7){0.0}', quotient],
    ['rename', 'scale-both', '3/4(3/4){0.0} -> 3/4(9/12){0.0}', fractions],
    ['whole-as-parts', 'scale-both', '5{0.1} 1/6{0.0} -> 4{0.1} 7/6(7/6){0.0,0.1}', fractions],
    ['add-take-back', 'inverse', '255{0.0} 387{0.1} -387{1.0} -> 255{0.0,0.1,1.0}', difference],
    ['find-part', 'inverse', '642{0.0} -387{1.0} -> 255{0.0,1.0}', { ...difference, isOpen: true }],
    ['sign', 'sign', 'o-2x^2{1.0} -> -2x^2{1.0}', { ...letters, isTaken: (k) => k === 1 }],
    ['like-terms', 'like-terms', '5x{0.0} -2x{1.0} -> 3x{0.0,1.0}', letters],
    ['square', 'square', '7300{0.0} 96{0.1} -> 6400(80^2){0.0} 996((2*80+6)*6){0.1}', root],
    ['pair-factors', 'pair-factors', '36(2*2*3*3){0.0} -> 36((2*3)^2){0.0}', root],
  ])('is found as %s', (move, law, text, frame) => {
    expect(verdict(law, text, frame)).toEqual({ ok: true, move });
  });

  it.each<[string, Law, string, Partial<LawFrame>]>([
    ['a regrouping of nine', 'place-value', '40{0.1} 2{0.0} -> 31{0.1} 11{0.0,0.1}', {}],
    ['a split within a place', 'place-value', '12{0.0} -> 9{0.0} 3{0.0}', {}],
    ['more with something taken back', 'place-value', '58{0.0} -> 60{0.0} -2{0.0}', {}],
    ['other terms', 'place-value', '40{0.1} 2{0.0} -> 30{0.0} 12{0.1}', {}],
    ['a gain', 'evaluate', '48{0.0} 320{0.1} -> 369{0.0,0.1}', {}],
    ['terms left out', 'evaluate', '48{0.0} 320{0.1} -> 368{0.0}', {}],
    ['parts that are not alike', 'evaluate', '1/2{0.0} 1/3{0.1} -> 5/6{0.0,0.1}', fractions],
    ['terms that are not alike', 'like-terms', '5x{0.0} -2{1.0} -> 5x-2{0.0,1.0}', letters],
    ['another amount', 'reorder', '8{0.0} 40{0.1} -> 40{0.0} 8{0.1}', {}],
    ['changes that differ', 'same-change', '642{0.0} -387{1.0} -> 655{0.0} -400{0.0}', difference],
    ['a same change of a sum', 'same-change', '642{0.0} 387{1.0} -> 655{0.0} 400{1.0}', {}],
    ['different factors', 'scale-both', '3/4(3/4){0.0} -> 2/3(6/9){0.0}', fractions],
    [
      'two factors',
      'scale-both',
      'o300/7{0.1} o5/7{0.0} -> o300/7(300÷7){0.1} o5/7(10÷14){0.0}',
      quotient,
    ],
    ['places that lie over each other', 'place-value', '134{0.0,0.1} -> 24{0.0} 110{0.1}', own],
    [
      'changes of two sizes',
      'same-change',
      '40{0.0} 50{0.1} 60{1.0} 70{1.1} -> 41{0.0} 49{0.1} 62{1.0} 68{1.1}',
      {},
    ],
    [
      'a part that is found where nothing is taken away',
      'inverse',
      '3{0.0} 5{1.0} -> 8{0.0,1.0}',
      { ...difference, isOpen: true },
    ],
    ['no opposite', 'inverse', '255{0.0} 387{0.1} -> 642{0.0,0.1}', difference],
    ['a term without a minus', 'sign', 'o2x^2{1.0} -> 2x^2{1.0}', letters],
    [
      'a strip that is too wide',
      'square',
      '7300{0.0} 96{0.1} -> 6400(80^2){0.0} 996(166*6){0.1}',
      root,
    ],
    ['other factors', 'pair-factors', '36(2*2*3*3){0.0} -> 36((1*6)^2){0.0}', root],
    ['a square without a root', 'square', '64{0.0} -> 64(8^2){0.0}', {}],
    ['a term in two amounts', 'distribute', '48{0.0,0.1} -> 8{0.0} 40{0.0,0.1}', {}],
    ['not all terms', 'distribute', '-> o6{0.0} o40{0.1} o8{1.0}', {}],
  ])('is not %s', (_, law, text, frame) => {
    expect(verdict(law, text, frame)).toMatchObject({ ok: false, fault: expect.any(String) });
  });

  it('keeps to what the line says of its size', () => {
    const text = '642{0.0} -387{1.0} -> 655{0.0} -400{1.0}';
    expect(verdict('same-change', text, { ...difference, by: Exact.of(13) }).ok).toBe(true);
    expect(verdict('same-change', text, { ...difference, by: Exact.of(12) }).ok).toBe(false);
  });

  it('may have two laws, and both are told', () => {
    expect(lawsOf(change('40{0.1} 8{0.0} -> 48{0.0,0.1}'), FRAME)).toEqual([
      'place-value',
      'evaluate',
    ]);
  });
});

describe('the table', () => {
  it('has every law and every move once, with a statement', () => {
    expect([...LAW_TABLE.keys()].sort()).toEqual([...LAWS].sort());
    const moves = [...LAW_TABLE.values()].flatMap((rule) => rule.moves);
    expect(new Set(moves.map(({ id }) => id)).size).toBe(MOVES.length);
    for (const { statement } of [...LAW_TABLE.values(), ...moves])
      expect(statement).toMatch(/^[A-Z].+\.$/);
  });
});
