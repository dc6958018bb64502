import { termParts } from '../../account/ids.ts';
import { valueOfText } from '../../account/glyphs.ts';
import { Exact } from '../../exact/exact.ts';
import { termShape } from '../../problem/kinds.ts';
import type { Agreement } from './agreement-shape.ts';
import { leavesOf, type Expression, type MethodAgreement } from '../expressions.ts';

/** What a certificate claims that its lines do not decide, in words for whoever asked to have it verified. */
export const CERTIFICATE_NOT_CHECKED = [
  'names of methods, and whether two works under one name are different ones',
  'that a work leaks, at which step and how much, or that it stops before its end',
  'which brackets the method of a sum makes',
  'whether a method is told in brief',
  'whether the same change is up or down',
] as const;

/** The same by fields of the document. */
export const CERTIFICATE_UNCHECKED_FIELDS = [
  'methods[].method',
  'methods[].title',
  'methods[].leak',
  'methods[].unfinished',
  'methods[].brief',
] as const;

/** The texts of terms must be what the terms are: their parts, and worth what these make. */
export function termTextFault({ terms, operands, base, kind }: Agreement): string | null {
  const parts = operands.map((operand) => operand.parts);
  for (const { id, text, worth } of terms) {
    if (!valueOfText(text, base)?.equals(Exact.parse(worth))) return `term ${id} is not ${text}`;
    if (termShape(kind) !== 'products') continue;
    const factors = text.split('×').map((factor) => valueOfText(factor, base));
    const due = termParts(id).map((part, operand) => parts[operand]?.[part]);
    const isOwn =
      factors.length === due.length && factors.every((own, k) => own?.toString() === due[k]);
    if (!isOwn) return `term ${id} is not made of ${text}`;
  }
  return null;
}

/** Version 1 had no numbers of lines; version 3 is read where nothing leaks too. */
export function versionFault({ version, methods }: Agreement): string | null {
  const isNumbered = methods.some(({ moves }) => moves.some(({ line }) => line !== undefined));
  return version === 1 && isNumbered ? 'version 1 has no numbers of lines' : null;
}

/**
 * The one line with a method's brackets holds every term of the problem once, and in a product or quotient every bracket is
 * one that the method itself works out in some line.
 */
export function bracketsFault(
  { bracketing, moves }: MethodAgreement,
  { kind, terms }: Agreement,
): string | null {
  if (!bracketing) return null;
  const told = leavesOf(bracketing).flatMap(termsOf);
  if (new Set(told).size !== terms.length) return 'the brackets do not hold all the terms';
  if (bracketing.kind === 'amount' && terms.length > 1)
    return 'the brackets are worked out already';
  if (termShape(kind) === 'parts') return null;
  const worked = new Set(
    moves.flatMap(({ expression }) => leavesOf(expression)).map((leaf) => keyOf(termsOf(leaf))),
  );
  const stray = innerOf(bracketing).find(
    (inner) =>
      !worked.has(keyOf([...new Set(leavesOf(inner).flatMap(termsOf))])) &&
      !comesToNothing(inner, terms),
  );
  return stray ? 'a bracket is none that the method works out' : null;
}

function comesToNothing(inner: Expression, terms: Agreement['terms']): boolean {
  const own = new Set(leavesOf(inner).flatMap(termsOf));
  return Exact.sum(terms.filter(({ id }) => own.has(id)).map(({ worth }) => Exact.parse(worth)))
    .isZero;
}

function termsOf(leaf: Expression): readonly string[] {
  return leaf.kind === 'product' ? [leaf.term] : leaf.kind === 'amount' ? leaf.of : [];
}

function keyOf(terms: readonly string[]): string {
  return [...terms].sort().join(' ');
}

/** The brackets inside a line, however deep. */
function innerOf(of: Expression): readonly Expression[] {
  if (of.kind !== 'sum') return [];
  return of.parts.flatMap((part) => (part.kind === 'sum' ? [part, ...innerOf(part)] : []));
}
