import { isMonomial, isNumber } from '../../line/kinds.ts';
import { monomial } from '../../line/letters.ts';
import { flat, numberOf, productNode, type Term, turned } from '../../line/node.ts';
import { MOST_TERMS, plus, signed } from '../../line/terms.ts';
import { valueOfKind } from '../../problem/problem.ts';
import { type Change, type Fault, firstFault, type LawFrame, worthOf } from '../law.ts';
import { type Aim, defineMove, FITS, type Written } from '../move-spec.ts';
import { eachCuts } from './cuts.ts';

/** Every part of one number with every part of the others, and nothing else. */
export const EACH_WITH_EACH = defineMove({
  id: 'each-with-each',
  law: 'distribute',
  statement: 'Every part of one number goes with every part of the others.',
  words: {
    brief: 'distributive law',
    says: 'distributive law, every part with every part',
  },
  check: eachWithEach,
  recognise: (old, made, { base }) => {
    const [only, ...more] = old;
    if (!only || more.length > 0) return null;
    return eachCuts(only.node, only.minus ? turned(made) : made, base) ? FITS : null;
  },
  write: (term, aim) => eachWorked(term, aim),
  cutsEverySide: true,
});

function eachWithEach({ takes, gives }: Change, frame: LawFrame): Fault {
  const all = new Set(gives.flatMap(({ terms }) => [...terms]));
  return firstFault(
    takes.length === 0 ? null : 'it is not the whole problem that is taken apart',
    gives.every(({ owed, terms }) => owed && terms.size === 1)
      ? null
      : 'a term is worked out already',
    all.size === gives.length &&
      all.size === frame.terms.size &&
      [...all].every((t) => frame.terms.has(t))
      ? null
      : 'the terms are not every part with every part',
    () =>
      worthOf(gives).equals(valueOfKind(frame.kind, frame.operands))
        ? null
        : 'the terms do not make the problem',
  );
}

/** Every term of every bracket with every term of the others, each worked out. */
function eachWorked(term: Term, { base }: Aim): readonly Written[] {
  const factors = term.node.kind === 'product' ? term.node.factors : [];
  const brackets = factors.filter(({ node, under }) => node.kind === 'sum' && !under);
  if (brackets.length < 2 || factors.some(({ under }) => under)) return [];
  const lists = factors.map(({ node }) => (node.kind === 'sum' ? flat(node.terms) : [plus(node)]));
  const count = lists.reduce((product, list) => product * list.length, 1);
  if (count > MOST_TERMS) return [];
  const products = lists.reduce((all, list) =>
    all.flatMap((a) =>
      list.map((b) => ({
        minus: a.minus !== b.minus,
        node: productNode([
          { under: false, node: a.node },
          { under: false, node: b.node },
        ]),
      })),
    ),
  );
  const worked = products.map(({ minus, node }) => {
    const value = node.value.rational;
    if (!value || !isMonomial(node)) return { minus, node };
    return { minus, node: isNumber(node) ? numberOf(value, base) : monomial(value, base) };
  });
  return [{ variant: 'each worked', terms: signed(term, worked) }];
}
