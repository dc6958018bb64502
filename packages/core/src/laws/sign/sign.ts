import { flat, productNode, type Term, termKey } from '../../line/node.ts';
import { termShape } from '../../problem/kinds.ts';
import { type Change, type Fault, firstFault, type LawFrame, oneForOne, unequal } from '../law.ts';
import { defineMove, FITS } from '../move-spec.ts';

/** A term loses the minus that stands before its bracket, or two minuses in a product become a plus. */
export const SIGN = defineMove({
  id: 'sign',
  law: 'sign',
  statement: 'A term is written with the sign that it has.',
  words: { brief: 'signs carried', says: 'signs carried through the bracket' },
  check: sign,
  recognise: (old, made) => (isTurned(old, made) || isTurned(made, old) ? FITS : null),
  write: (term) => {
    const terms = openedTerm(term);
    return terms ? [{ variant: 'sign', terms }] : [];
  },
});

function sign(change: Change, frame: LawFrame): Fault {
  if (frame.isOwn && change.takes.length + change.gives.length > 2) return bracket(change, frame);
  if (frame.isOwn && !change.takes.some(({ owed }) => owed)) return oneForOne(change);
  return firstFault(oneForOne(change), () => {
    const [take] = change.takes;
    if (change.takes.length !== 1) return 'it is not one term';
    if (!take!.owed || change.gives[0]!.owed) return 'no term is turned';
    if (!frame.inFigures && change.gives[0]!.written !== null)
      return 'the term is written otherwise';
    if (termShape(frame.kind) === 'products' && !frame.inFigures)
      return 'a product is worked out, not only turned';
    const parts = [...take!.terms].flatMap((term) => frame.partsOf(term));
    const minus = parts.some(
      ({ operand, worth }) => worth.coefficient.isNegative || frame.isTaken(operand),
    );
    return minus ? null : 'no minus is there';
  });
}

/**
 * In someone's own lines a bracket is one amount, or one number of the problem in all its parts: its terms come out of it, or
 * go into it, all at once.
 */
function bracket(change: Change, frame: LawFrame): Fault {
  const isOne = change.takes.length === 1 || change.gives.length === 1;
  return isOne || isOneNumber(change, frame) ? unequal(change) : 'it is no bracket';
}

function isOneNumber({ takes }: Change, { partsOf }: LawFrame): boolean {
  const numbers = takes.flatMap(({ terms }) => [...terms].flatMap(partsOf));
  return (
    takes.every(({ owed }) => owed) && new Set(numbers.map(({ operand }) => operand)).size === 1
  );
}

function isTurned(old: readonly Term[], made: readonly Term[]): boolean {
  const [only, ...more] = old;
  if (!only || more.length > 0) return false;
  const opened = openedTerm(only);
  if (!opened) return false;
  const keys = (terms: readonly Term[]) => flat(terms).map(termKey).sort().join(' ');
  return keys(opened) === keys(made);
}

/** A term with the minus of its bracket, or of its factors, carried through; null where there is none. */
function openedTerm({ minus, node }: Term): readonly Term[] | null {
  if (node.kind === 'opposite') return [{ minus: !minus, node: node.of }];
  if (node.kind === 'sum' && minus) {
    return node.terms.map((term) => ({ minus: !term.minus, node: term.node }));
  }
  if (node.kind !== 'product') return null;
  const turned = node.factors.filter((factor) => factor.node.kind === 'opposite').length;
  if (turned === 0) return null;
  const factors = node.factors.map(({ under, node: own }) => ({
    under,
    node: own.kind === 'opposite' ? own.of : own,
  }));
  return [{ minus: turned % 2 === 1 ? !minus : minus, node: productNode(factors) }];
}
