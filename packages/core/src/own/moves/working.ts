import { type Exact } from '../../exact/exact.ts';
import { flat, productNode, termKey, type Factor, type Node, type Term } from '../node.ts';
import { move, type Recogniser } from '../move.ts';

/** Numbers are worked out to the one number that they make; nested sums and products are one move. */
export const workedOut: Recogniser = (old, made) => {
  if (made.length > 1 || old.length === 0 || !isNumeric(old)) return [];
  const [result] = made;
  if (!result) {
    const isPair = isOpposites(old);
    return [[move(isPair ? ['inverse', 'add-take-back'] : ['evaluate', 'worked-out'], old, made)]];
  }
  if (!isResult(result.node) || (old.length === 1 && isResult(old[0]!.node))) return [];
  return areAlikeParts(old, result.node) ? [[move(['evaluate', 'worked-out'], old, made)]] : [];
};

function isOpposites(terms: readonly Term[]): boolean {
  const [a, b, ...more] = terms;
  return (
    more.length === 0 &&
    a !== undefined &&
    b !== undefined &&
    a.minus !== b.minus &&
    a.node.key === b.node.key
  );
}

/** A number as one is told: in figures, as a fraction, as a mixed number, or below zero. */
export function isPlain(node: Node): boolean {
  return node.kind === 'number' || node.kind === 'fraction' || node.kind === 'mixed';
}

function isResult(node: Node): boolean {
  return isPlain(node) || (node.kind === 'opposite' && isPlain(node.of));
}

/** Whether there are numbers alone, without letters; roots only where they come out. */
export function isNumeric(terms: readonly Term[]): boolean {
  return terms.every(({ node }) => isNumber(node));
}

export function isNumber(node: Node): boolean {
  switch (node.kind) {
    case 'letter':
      return false;
    case 'sum':
      return isNumeric(node.terms);
    case 'product':
      return node.factors.every((factor) => isNumber(factor.node));
    case 'power':
    case 'opposite':
      return isNumber(node.of);
    case 'root':
      return isNumber(node.of) && node.value.rational !== null;
    default:
      return true;
  }
}

/** Every sum in it is of wholes and of parts of one name, and so is the result: 3/4 + 1/6 is renamed first. */
function areAlikeParts(terms: readonly Term[], result: Node): boolean {
  const names = namesIn(terms);
  if (names === null) return false;
  const [only] = names;
  const name = bottomOf(result);
  return terms.length === 1 || name === 1n || (only !== undefined && only % name === 0n);
}

/** The denominators of the parts that a sum puts together; null where they are not one. */
function namesIn(terms: readonly Term[]): ReadonlySet<bigint> | null {
  const all = flat(terms);
  const inner = all.every(({ node }) => isInnerAlike(node));
  const names = new Set(all.map(({ node }) => bottomOf(node)).filter((bottom) => bottom !== 1n));
  return inner && names.size <= 1 ? names : null;
}

function isInnerAlike(node: Node): boolean {
  switch (node.kind) {
    case 'sum':
      return namesIn(node.terms) !== null;
    case 'product':
      return node.factors.every((factor) => isInnerAlike(factor.node));
    case 'power':
    case 'root':
    case 'opposite':
      return isInnerAlike(node.of);
    default:
      return true;
  }
}

/** The denominator that a number is written with; that of its worth for what is not a number yet. */
export function bottomOf(node: Node): bigint {
  switch (node.kind) {
    case 'fraction':
      return node.bottom.amount.isWhole ? node.bottom.amount.numerator : 1n;
    case 'mixed':
      return bottomOf(node.part);
    case 'opposite':
      return bottomOf(node.of);
    case 'number':
      return 1n;
    default: {
      const value = node.value.rational;
      if (!value?.isConstant) return 1n;
      return isDecimal(value) ? 1n : value.denominator;
    }
  }
}

function isDecimal(value: Exact): boolean {
  let rest = value.denominator;
  for (const prime of [2n, 5n]) while (rest % prime === 0n) rest /= prime;
  return rest === 1n;
}

/** Terms with the same letters become one, or cancel; factors with letters become one term. */
export const likeTerms: Recogniser = (old, made) => {
  if (isNumeric(old) || made.length > 1) return [];
  const all = flat(old);
  if (made.length === 0) {
    if (!all.every(({ node }) => isMonomial(node))) return [];
    return [
      [
        isOpposites(old)
          ? move(['inverse', 'add-take-back'], old, made)
          : move(['like-terms', 'like-terms'], old, made),
      ],
    ];
  }
  const result = made[0]!.node;
  const isDone = isMonomial(result) && old.some((term) => termKey(term) !== termKey(made[0]!));
  const isOne = old.length > 1 || !isTidy(old[0]!.node);
  if (!isDone || !isOne || !all.every(({ node }) => isMonomial(node))) return [];
  return all.length === 1 || letters(all) <= 1
    ? [[move(['like-terms', 'like-terms'], old, made)]]
    : [];
};

function letters(terms: readonly Term[]): number {
  return new Set(terms.map(({ node }) => node.value.rational?.parts()[0]?.letters ?? '')).size;
}

/** A number times powers of letters, worked out or not: `3x`, `x·x`, `3x·2x`. */
export function isMonomial(node: Node): boolean {
  switch (node.kind) {
    case 'letter':
    case 'number':
    case 'fraction':
      return true;
    case 'power':
    case 'opposite':
      return isMonomial(node.of);
    case 'product':
      return node.factors.every(
        (factor) => isMonomial(factor.node) && !(factor.under && !isNumber(factor.node)),
      );
    default:
      return false;
  }
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

/** An amount and its opposite are put in. */
export const takeBack: Recogniser = (old, made) => {
  if (old.length > 0 || !isOpposites(made)) return [];
  return [[move(['inverse', 'add-take-back'], old, made)]];
};

/** Brackets behind a minus are opened, or put; minus before minus is plus. */
export const signs: Recogniser = (old, made) => {
  const isSign = isTurned(old, made) || isTurned(made, old);
  return isSign ? [[move(['sign', 'sign'], old, made)]] : [];
};

function isTurned(old: readonly Term[], made: readonly Term[]): boolean {
  const [only, ...more] = old;
  if (!only || more.length > 0) return false;
  const opened = openedTerm(only);
  if (!opened) return false;
  const keys = (terms: readonly Term[]) => flat(terms).map(termKey).sort().join(' ');
  return keys(opened) === keys(made);
}

/** A term with the minus of its bracket, or of its factors, carried through; null where there is none. */
export function openedTerm({ minus, node }: Term): readonly Term[] | null {
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
