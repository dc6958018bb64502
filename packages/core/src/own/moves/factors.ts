import type { Law } from '../../account/account.ts';
import { Exact } from '../../exact/exact.ts';
import { Surd } from '../../exact/surd.ts';
import { lastPlace } from '../../laws/regrouping.ts';
import type { MoveId } from '../../laws/law.ts';
import { at, groupings } from '../groups.ts';
import {
  factorKey,
  isOne,
  productNode,
  valueOfFactors,
  type Factor,
  type Node,
  type Term,
} from '../node.ts';
import { kindOf, move, type Found, type Page } from '../move.ts';
import { isMonomial, isNumber, isPlain } from './working.ts';

/** How one node becomes another that is worth the same, by one kind of move. */
export type NodeStep = (old: Node, made: Node, page: Page) => readonly Found[];

const ONE = Surd.of(Exact.ONE);

/**
 * A product becomes another: equal factors stay, and what is left falls into groups of one worth, each of which is
 * moved, scaled or worked out, or changes inside.
 */
export function factorSteps(
  old: readonly Factor[],
  made: readonly Factor[],
  page: Page,
  inside: NodeStep,
): readonly Found[] {
  const [from, to] = withoutCommon(old, made);
  if (from.length === 0 && to.length === 0) return [];
  const put = (a: Surd, b: Surd) => a.times(b);
  const found = groupings(from.map(worthOf), to.map(worthOf), put, ONE).flatMap((way) =>
    alike(way.map((group) => groupStep(at(from, group.old), at(to, group.made), page, inside))),
  );
  return found.length > 0 ? found : groupStep(from, to, page, inside);
}

function worthOf(factor: Factor): Surd {
  return valueOfFactors([factor]);
}

export function withoutCommon(
  old: readonly Factor[],
  made: readonly Factor[],
): readonly [readonly Factor[], readonly Factor[]] {
  const rest = [...made];
  const left = old.filter((factor) => {
    const index = rest.findIndex((other) => factorKey(other) === factorKey(factor));
    if (index >= 0) rest.splice(index, 1);
    return index < 0;
  });
  return [left, rest];
}

/** One explanation for each group, all of one kind; several where groups have several. */
export function alike(groups: readonly (readonly Found[])[]): readonly Found[] {
  const [first, ...rest] = groups;
  if (!first || groups.some((found) => found.length === 0)) return [];
  return first.flatMap((found) => {
    const kind = kindOf(found[0]!);
    const others = rest.map((own) => own.find((other) => kindOf(other[0]!) === kind));
    return others.includes(undefined) ? [] : [[found, ...(others as readonly Found[])].flat()];
  });
}

function groupStep(
  old: readonly Factor[],
  made: readonly Factor[],
  page: Page,
  inside: NodeStep,
): readonly Found[] {
  const [a, b] = [old[0], made[0]];
  if (old.length === 1 && made.length === 1 && a!.under === b!.under) {
    return inside(a!.node, b!.node, page);
  }
  const told = ([law, id]: readonly [Law, MoveId], used: string | null = null): Found => [
    move([law, id], asTerms(old), asTerms(made), used),
  ];
  if (isWorkedOut(old, made)) return [told(['evaluate', 'worked-out'])];
  if (areLetters(old, made)) return [told(['like-terms', 'like-terms'])];
  const scaling = scaled(old, made) ?? scaled(made, old);
  if (scaling) return [told(['scale-both', scaling])];
  if (areSharesWritten(old, made)) return [told(['scale-both', 'scale'])];
  const isMoved = isTakenApart(old, made) || areMoved(old, made, page);
  return isMoved ? [told(['reorder', 'factors-moved'])] : [];
}

function asTerms(factors: readonly Factor[]): readonly Term[] {
  if (factors.length === 0) return [];
  return [{ minus: false, node: productNode(factors) }];
}

/** Numbers become the one number that they make. */
function isWorkedOut(old: readonly Factor[], made: readonly Factor[]): boolean {
  if (old.length < 2 || made.length > 1 || made[0]?.under) return false;
  const isResult = made.length === 0 || isPlain(made[0]!.node);
  return isResult && old.every(({ node }) => isNumber(node));
}

function areLetters(old: readonly Factor[], made: readonly Factor[]): boolean {
  const all = [...old, ...made];
  const hasLetter = all.some(({ node }) => !isNumber(node));
  return hasLetter && all.every(({ node, under }) => !under && isMonomial(node));
}

/** A number becomes factors, or a quotient: 32 = 4 · 8, 25 = 100 ÷ 4. */
function isTakenApart(old: readonly Factor[], made: readonly Factor[]): boolean {
  const [only, ...more] = old;
  if (!only || only.under || more.length > 0 || made.length < 2) return false;
  if (only.node.kind !== 'number') return false;
  return made.every(({ node }) => node.kind === 'number' && !isOne(node));
}

/** One factor gives another a part of itself: 46 · 58 = 23 · 116. */
function areMoved(old: readonly Factor[], made: readonly Factor[], page: Page): boolean {
  const all = [...old, ...made];
  if (old.length !== 2 || made.length !== 2 || all.some(({ under }) => under)) return false;
  const sizes = all.map(({ node }) => (node.kind === 'number' ? node.amount : null));
  if (sizes.includes(null)) return false;
  const [a, b, c, d] = sizes as [Exact, Exact, Exact, Exact];
  return [
    [c, d],
    [d, c],
  ].some(([first, second]) => isEasierPair([a, b], [first!, second!], page));
}

const EASY_FACTORS = new Set(['2', '4', '5', '10', '100', '1000']);

function isEasierPair(
  [a, b]: readonly [Exact, Exact],
  after: readonly [Exact, Exact],
  { base, numbers }: Page,
): boolean {
  // Nothing moves from a factor that is nothing.
  if (a.isZero || after[0].isZero) return false;
  const [by, back] = [after[0].dividedBy(a), a.dividedBy(after[0])];
  if (!by.isWhole && !back.isWhole) return false;
  if (EASY_FACTORS.has(by.toString()) || EASY_FACTORS.has(back.toString())) return true;
  if (after.some((amount) => numbers.has(amount.toString()))) return true;
  const place = (amount: Exact) => lastPlace(amount, base) ?? -Infinity;
  return Math.max(...after.map(place)) > Math.max(place(a), place(b)) || after.some(isAllNines);
}

function isAllNines(amount: Exact): boolean {
  return /^99+$/.test(amount.toString());
}

/** The ways in which a quotient, and so a fraction, stays when its numbers are scaled; looked for one way round. */
function scaled(old: readonly Factor[], made: readonly Factor[]): MoveId | null {
  if (isDividedByFactors(old, made)) return 'divide-by-factors';
  if (
    isShareGrown(old, made) ||
    isScaledShare(old, made) ||
    isUnitShare(old, made) ||
    isGrownAndShared(old, made)
  )
    return 'scale';
  return null;
}

/** a ÷ bc as a ÷ b ÷ c. */
function isDividedByFactors(old: readonly Factor[], made: readonly Factor[]): boolean {
  const [only, ...more] = old;
  return (
    more.length === 0 &&
    only?.under === true &&
    made.length > 1 &&
    made.every(({ under, node }) => under && isNumber(node))
  );
}

/** a ÷ b as ka ÷ kb; p/q ÷ r/q as p ÷ r is one of them. */
function isScaledShare(old: readonly Factor[], made: readonly Factor[]): boolean {
  if (old.length !== 2 || made.length !== 2) return false;
  const isShare = (factors: readonly Factor[]) => factors.filter(({ under }) => under).length === 1;
  return isShare(old) && isShare(made) && [...old, ...made].every(({ node }) => isNumber(node));
}

/** ÷ 25 as × 4 ÷ 100: dividend and divisor are both four times as much. */
function isShareGrown(old: readonly Factor[], made: readonly Factor[]): boolean {
  const [only, ...more] = old;
  if (!only?.under || more.length > 0 || made.length !== 2) return false;
  return (
    made.filter(({ under }) => under).length === 1 &&
    [...old, ...made].every(({ node }) => node.kind === 'number')
  );
}

/** Divided by p/q, multiplied by q/p: a ÷ 1/n as a · n, a ÷ b as a · 1/b. */
function isUnitShare(old: readonly Factor[], made: readonly Factor[]): boolean {
  const [only, ...more] = old;
  const [other, ...others] = made;
  if (!only?.under || !other || other.under || more.length + others.length > 0) return false;
  return [only.node, other.node].some(({ kind }) => kind === 'fraction');
}

/** A fraction as its top that is multiplied and its bottom that is divided by: 3/4 · 24 as 24 ÷ 4 · 3. */
function areSharesWritten(old: readonly Factor[], made: readonly Factor[]): boolean {
  const keys = (factors: readonly Factor[]) =>
    factors
      .flatMap(writtenOut)
      .filter(({ node }) => !isOne(node))
      .map(factorKey)
      .sort()
      .join(' ');
  return keys(old) === keys(made);
}

function writtenOut({ under, node }: Factor): readonly Factor[] {
  if (node.kind !== 'fraction') return [{ under, node }];
  return [
    { under, node: node.top },
    { under: !under, node: node.bottom },
  ];
}

/** a · b as 10a · 10b ÷ 100, and a as ka ÷ k. */
function isGrownAndShared(old: readonly Factor[], made: readonly Factor[]): boolean {
  const shares = made.filter(({ under }) => under);
  const grown = made.filter(({ under }) => !under);
  if (shares.length !== 1 || grown.length !== old.length || old.some(({ under }) => under))
    return false;
  if (grown.length === 1) return old[0]!.node.kind === 'number' && !isTakenApart(old, made);
  return grown.every(({ node }, k) => {
    const by = isNumber(old[k]!.node) && node.value.dividedBy(old[k]!.node.value)?.rational;
    return by && by.isWhole;
  });
}
