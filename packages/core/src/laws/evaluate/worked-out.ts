import { Exact } from '../../exact/exact.ts';
import { Surd } from '../../exact/surd.ts';
import {
  bottomOf,
  isNumber,
  isNumeric,
  isOpposites,
  isPlain,
  isWhole,
  isResult,
} from '../../line/kinds.ts';
import {
  type Factor,
  flat,
  isOne,
  type Node,
  numberOf,
  productNode,
  type Term,
  termValue,
} from '../../line/node.ts';
import { one } from '../../line/terms.ts';
import { termShape } from '../../problem/kinds.ts';
import {
  type Amount,
  type Change,
  type Fault,
  firstFault,
  held,
  type LawFrame,
  otherTerms,
  sameTerms,
  unequal,
  writtenFactors,
  left,
} from '../law.ts';
import { type Aim, defineMove, FITS, type Gathered, type Written } from '../move-spec.ts';
import { lastPlace } from '../regrouping.ts';
import { denominatorOf } from '../written.ts';

/** A sum, a product, a quotient or a power of numbers becomes the number that it makes. */
export const WORKED_OUT = defineMove({
  id: 'worked-out',
  law: 'evaluate',
  statement: 'Numbers are worked out to the one number that they make.',
  words: { brief: 'worked out', says: 'worked out' },
  check: workedOut,
  rewrites: (old, made) => (isQuotientOut(old, made) ? FITS : null),
  recognise: (old, made) => (isOneNumber(old, made) ? FITS : null),
  ofFactors: isNumberMade,
  write: worths,
  gather: pairsOfNumbers,
  alike: 'put together',
  isEnd: true,
});

function workedOut(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  return firstFault(unequal(change), () => {
    if (gives.length === 0) return null;
    if (gives.length > 1 && !frame.inFigures) return 'it is not worked out to one number';
    // Beside letters numbers are numbers in anyone's own lines; methods gather them as like terms.
    const areNumbers = frame.isOwn && takes.every(({ worth }) => worth.isConstant);
    if (frame.script === 'terms' && !isOneTerm(takes) && !areNumbers)
      return 'terms are put together, not worked out';
    // A product or a share is worked out at once; parts that are put together must be alike.
    const isSum =
      takes.length > 1 || !takes.every(({ owed }) => owed) || termShape(frame.kind) === 'parts';
    if (frame.script === 'fractions' && isSum && !areLikeParts(change, frame))
      return 'the parts are not alike';
    if (gives.some(({ owed }) => owed)) return 'nothing is worked out';
    if (gives.some((give) => isUnworked(give, takes[0]!))) {
      return 'what stands there is still to be worked out';
    }
    if (!gives.some((give) => isOfAll(give, change, frame)))
      return otherTerms(change, frame) ?? ALL;
    return gives.length === 1 ? null : figuresFault(change, frame);
  });
}

/** Whether a product or power is written that is itself to be worked out; a square of one number may stand for one. */
function isUnworked({ written }: Amount, take: Amount): boolean {
  if (written?.kind !== 'product' && written?.kind !== 'power') return false;
  const squares = (of: Amount['written']) =>
    of ? writtenFactors(of).flatMap((factor) => (factor.kind === 'power' ? [factor.of] : [])) : [];
  const isSquare = squares(written).every((root) => root.kind === 'number');
  return !isSquare || squares(written).length === 0 || squares(take.written).length === 0;
}

export const ALL = 'what is worked out is not of all terms that went into it';

function isOneTerm(takes: readonly Amount[]): boolean {
  return takes.length === 1;
}

/** Of all terms that went into it, or, on the paper of a quotient or root, of those that are left. */
function isOfAll(
  { terms }: Amount,
  { takes }: Change,
  { spent, inFigures, kind }: LawFrame,
): boolean {
  if (sameTerms(terms, held(takes), spent)) return true;
  const isPiecewise = inFigures && termShape(kind) === 'pieces';
  return isPiecewise && sameTerms(terms, left(takes), spent);
}

/** What is worked out and written figure by figure: each figure is of all terms, and a count of its place. */
function figuresFault(change: Change, frame: LawFrame): Fault {
  const other = change.gives.find((give) => !isOfAll(give, change, frame));
  if (other) return ALL;
  return change.gives.every(({ worth }) => lastPlace(worth, frame.base) !== null)
    ? null
    : 'it is not written in places';
}

/** Whether all fractions have one denominator, which what they make then has too, or a part of it. */
function areLikeParts({ takes, gives }: Change, { inFigures }: LawFrame): boolean {
  const isTold = [...takes, ...gives].every(({ written }) => written !== null);
  if (inFigures && !isTold) return true;
  const bottoms = [...new Set(takes.map(denominatorOf).filter((bottom) => bottom !== 1n))];
  const [only = 1n] = bottoms;
  return bottoms.length <= 1 && gives.every((give) => only % denominatorOf(give) === 0n);
}

/** Numbers are worked out to the one number that they make; nested sums and products are one move. */
function isOneNumber(old: readonly Term[], made: readonly Term[]): boolean {
  if (made.length > 1 || old.length === 0 || !isNumeric(old)) return false;
  const [result] = made;
  if (!result) return !isOpposites(old);
  const [only, ...more] = old;
  if (!isResult(result.node) || (only && more.length === 0 && isResult(only.node))) return false;
  return areAlikeParts(old, result.node);
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

/** A fraction that is a quotient which comes out, 952/7 as 136, and no whole as its parts, 12/12 as 1. */
function isQuotientOut([a, ...more]: readonly Term[], [b, ...others]: readonly Term[]): boolean {
  const isPair = a?.node.kind === 'fraction' && b !== undefined && isWhole(b.node);
  return isPair && more.length + others.length === 0 && !termValue(b).equals(Surd.of(Exact.ONE));
}

/** Numbers become the one number that they make. */
function isNumberMade(old: readonly Factor[], made: readonly Factor[]): boolean {
  if (old.length < 2 || made.length > 1 || made[0]?.under) return false;
  const isResult = made.length === 0 || isPlain(made[0]!.node);
  return isResult && old.every(({ node }) => isNumber(node));
}

/** A term worked out whole, its brackets alone, or two of its factors. */
function worths(term: Term, { base }: Aim): readonly Written[] {
  const { node } = term;
  const value = node.value.rational;
  const made: Written[] = [];
  if (!isPlain(node) && isNumber(node) && value)
    made.push({ variant: 'worth', terms: one(term, numberOf(value, base)) });
  if (node.kind !== 'product') return made;
  const inner = node.factors.map(({ under, node: own }) => ({
    under,
    node: bracketWorth(own, base),
  }));
  if (inner.some(({ node: own }, k) => own !== node.factors[k]?.node))
    made.push({ variant: 'brackets', terms: one(term, productNode(inner)) });
  return [...made, ...pairsWorkedOut(term, node.factors, base)];
}

/** A bracket of numbers worked out; anything else as it is. */
function bracketWorth(node: Node, base: number): Node {
  const value = node.value.rational;
  return node.kind === 'sum' && isNumber(node) && value ? numberOf(value, base) : node;
}

/** Two number factors as the one that they make, two at a time. */
function pairsWorkedOut(term: Term, factors: readonly Factor[], base: number): readonly Written[] {
  if (factors.length < 3) return [];
  return factors.flatMap((a, i) =>
    factors.slice(i + 1).flatMap((b, k): readonly Written[] => {
      if (a.under && b.under) return [];
      if (!isPlain(a.node) || !isPlain(b.node)) return [];
      const value = productNode(a.under ? [b, a] : [a, b]).value.rational;
      if (!value || (a.under !== b.under && !value.isWhole)) return [];
      const others = factors.filter((own) => own !== a && own !== b && !isOne(own.node));
      const terms = one(
        term,
        productNode([{ under: false, node: numberOf(value, base) }, ...others]),
      );
      return [{ variant: `${i} with ${i + 1 + k}`, terms }];
    }),
  );
}

/** Two numbers of a line as their sum, each two. */
function pairsOfNumbers(terms: readonly Term[], { base }: Aim): readonly Gathered[] {
  const made: Gathered[] = [];
  terms.forEach((a, i) => {
    terms.slice(i + 1).forEach((b, k) => {
      if (!isPlain(a.node) || !isPlain(b.node)) return;
      const [own, other] = [bottomOf(a.node), bottomOf(b.node)];
      if (own !== other && own !== 1n && other !== 1n) return;
      const sum = termValue(a).plus(termValue(b)).rational!;
      const node = numberOf(sum.absolute(), base);
      const result = sum.isZero ? [] : [{ minus: sum.isNegative, node }];
      const j = i + 1 + k;
      made.push({
        terms: [...terms.slice(0, i), ...result, ...terms.slice(i + 1, j), ...terms.slice(j + 1)],
        changes: [[[a, b], result]],
      });
    });
  });
  return made;
}
