import { Exact } from '../../exact/exact.ts';
import { withoutCommon } from '../../line/factors.ts';
import { isMonomial, isNumber, isNumeric, isOpposites } from '../../line/kinds.ts';
import { monomial } from '../../line/letters.ts';
import { type Factor, flat, type Node, type Term, termKey, termValue } from '../../line/node.ts';
import { writtenOut } from '../../line/powers.ts';
import { one } from '../../line/terms.ts';
import {
  type Change,
  type Fault,
  firstFault,
  held,
  type LawFrame,
  otherTerms,
  sameTerms,
  unequal,
  worthOf,
} from '../law.ts';
import { type Aim, defineMove, FITS, type Gathered } from '../move-spec.ts';

/** Terms with the same letters become one. */
export const LIKE_TERMS = defineMove({
  id: 'like-terms',
  law: 'like-terms',
  statement: 'Like terms become one term.',
  words: { brief: 'like terms', says: 'like terms together' },
  check: likeTerms,
  recognise: (old, made) => (areGathered(old, made) ? FITS : null),
  ofFactors: areLetters,
  ofPowers: (old, made) => {
    const [from, to] = [writtenOut(old), writtenOut(made)];
    const [left, rest] = from && to ? withoutCommon(from, to) : [null, null];
    return left?.length === 0 && rest?.length === 0;
  },
  write: (term, { base }) => {
    const { node } = term;
    const value = node.value.rational;
    const isProduct = node.kind === 'product' && !isNumber(node) && isMonomial(node);
    return isProduct && value
      ? [{ variant: 'letters', terms: one(term, monomial(value, base)) }]
      : [];
  },
  gather: byLetters,
  alike: 'put together',
});

/** Powers of numbers: one product is written as another, of the same terms; in a sum there are none to put together. */
function powers({ takes, gives }: Change, { kind, spent }: LawFrame): Fault {
  if (kind !== 'product' && kind !== 'expression') return 'there are no powers';
  const [only, ...more] = gives;
  const isOne =
    only !== undefined && more.length === 0 && sameTerms(only.terms, held(takes), spent);
  return isOne ? null : 'it is not one product';
}

function likeTerms(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  return firstFault(unequal(change), () => {
    // In one's own lines powers of numbers are put together, or written out, as letters are: 2² · 2³ for 2⁵.
    if (frame.script !== 'terms')
      return frame.isOwn ? powers(change, frame) : 'there are no letters';
    if (takes.length < 2 && !frame.inFigures) return 'one term alone is put with nothing';
    if (gives.some(({ owed }) => owed)) return 'nothing is put together';
    const kinds = new Set(
      takes.flatMap(({ worth }) => worth.parts().map(({ letters }) => letters)),
    );
    if (gives.length === 0) return null;
    if (gives.length > 1) return 'more than one term is left';
    // In a stage of several every amount is as many times as the brackets to come say.
    const isStage = frame.inFigures && frame.operands.length > 2;
    return kinds.size <= 1 || isStage || worthOf(takes).isZero
      ? otherTerms(change, frame)
      : 'the letters are not alike';
  });
}

/** Terms with the same letters become one, or cancel; factors with letters become one term. */
function areGathered(old: readonly Term[], made: readonly Term[]): boolean {
  const [first, ...others] = old;
  const [result, ...more] = made;
  if (!first || isNumeric(old) || more.length > 0) return false;
  const all = flat(old);
  if (!all.every(({ node }) => isMonomial(node))) return false;
  if (!result) return !isOpposites(old);
  const isDone = isMonomial(result.node) && old.some((term) => termKey(term) !== termKey(result));
  const isOne = others.length > 0 || !isTidy(first.node);
  return isDone && isOne && (all.length === 1 || letters(all) <= 1);
}

function letters(terms: readonly Term[]): number {
  return new Set(terms.map(({ node }) => node.value.rational?.parts()[0]?.letters ?? '')).size;
}

/** One number at most before letters that each stand once. */
function isTidy(node: Node): boolean {
  if (node.kind !== 'product') return node.kind !== 'power' || node.of.kind === 'letter';
  const numbers = node.factors.filter((factor) => isNumber(factor.node));
  const names = node.factors.filter((factor) => !isNumber(factor.node)).map(letterOf);
  return numbers.length <= 1 && !names.includes(null) && new Set(names).size === names.length;
}

function letterOf({ node, under }: Factor): string | null {
  if (under) return null;
  if (node.kind === 'letter') return node.name;
  return node.kind === 'power' && node.of.kind === 'letter' ? node.of.name : null;
}

function areLetters(old: readonly Factor[], made: readonly Factor[]): boolean {
  const all = [...old, ...made];
  const hasLetter = all.some(({ node }) => !isNumber(node));
  return hasLetter && all.every(({ node, under }) => !under && isMonomial(node));
}

/** All terms with the same letters as one. */
function byLetters(terms: readonly Term[], { base }: Aim): readonly Gathered[] {
  if (terms.every(({ node }) => isNumber(node)) || !terms.every(({ node }) => isMonomial(node)))
    return [];
  const groups = new Map<string, Term[]>();
  for (const term of terms) {
    const letters = term.node.value.rational?.letters ?? '';
    groups.set(letters, [...(groups.get(letters) ?? []), term]);
  }
  const changes: Gathered['changes'][number][] = [];
  const made = [...groups.values()].flatMap((own): readonly Term[] => {
    if (own.length === 1) return own;
    const sum = Exact.sum(own.map((term) => termValue(term).rational!));
    const node = sum.isZero
      ? null
      : monomial(sum.coefficient.isNegative ? sum.negate() : sum, base);
    const result = node ? [{ minus: sum.coefficient.isNegative, node }] : [];
    changes.push([own, result]);
    return result;
  });
  return changes.length === 0 ? [] : [{ terms: made, changes }];
}
