import { Exact } from '../exact/exact.ts';
import type { Agreement, Expression, Move } from './agreement.ts';

export type Verification =
  | { readonly ok: true }
  | {
      readonly ok: false;
      readonly method: string | null;
      readonly move: number;
      readonly fault: string;
    };

/**
 * Checks a certificate from nothing but its own text: the operands are the sums of their parts, the
 * terms are all their products, and every move keeps the total by the law it names. Shares no code
 * with what wrote the certificate except exact arithmetic.
 */
export function verifyAgreement(certificate: Agreement): Verification {
  const fault = frameFault(certificate);
  if (fault) return { ok: false, method: null, move: 0, fault };
  const worths = new Map(certificate.terms.map((term) => [term.id, Exact.parse(term.worth)]));
  const frame: Frame = { worths, value: Exact.parse(certificate.value), base: certificate.base };
  for (const { method, moves } of certificate.methods) {
    const wrong = movesFault(moves, frame);
    if (wrong) return { ok: false, method, ...wrong };
  }
  return { ok: true };
}

/** The operands, the value and the list of terms. */
function frameFault({ operands, value, terms }: Agreement): string | null {
  const whole = operands.map((operand) => Exact.parse(operand.worth));
  const parts = operands.map((operand) => operand.parts.map((part) => Exact.parse(part)));
  const uneven = parts.findIndex((list, k) => !Exact.sum(list).equals(whole[k]!));
  if (uneven >= 0) return `the parts of ${operands[uneven]!.text} do not add up to it`;
  const product = whole.reduce((total, factor) => total.times(factor), Exact.ONE);
  if (!product.equals(Exact.parse(value))) return `the operands do not make ${value}`;
  const expected = new Map(products(parts).filter(([, worth]) => !worth.isZero));
  if (expected.size !== terms.length) return 'the terms are not all products of parts';
  const wrong = terms.find((term) => !expected.get(term.id)?.equals(Exact.parse(term.worth)));
  return wrong ? `term ${wrong.id} is not the product of its parts` : null;
}

function products(parts: readonly (readonly Exact[])[]): [string, Exact][] {
  return parts
    .reduce<[number[], Exact][]>(
      (made, list) =>
        made.flatMap(([ids, worth]) =>
          list.map((part, k): [number[], Exact] => [[...ids, k], worth.times(part)]),
        ),
      [[[], Exact.ONE]],
    )
    .map(([ids, worth]) => [ids.join('.'), worth]);
}

/** What every move is held against. */
interface Frame {
  readonly worths: ReadonlyMap<string, Exact>;
  readonly value: Exact;
  readonly base: number;
}

interface Fault {
  readonly move: number;
  readonly fault: string;
}

function movesFault(moves: readonly Move[], frame: Frame): Fault | null {
  const { worths, value } = frame;
  if (moves.length === 0) return value.isZero ? null : { move: 0, fault: 'there are no moves' };
  for (const [move, { law, expression }] of moves.entries()) {
    const total = valueOf(expression, worths);
    if (!total?.equals(value))
      return { move, fault: `the line is worth ${total ?? 'nothing known'}, not ${value}` };
    const before = moves[move - 1]?.expression;
    const lawful = before ? follows(law, before, expression, frame) : opens(expression, worths);
    if (!lawful) return { move, fault: `the line does not follow by ${law}` };
  }
  const last = moves.at(-1)!.expression;
  return last.kind === 'amount'
    ? null
    : { move: moves.length - 1, fault: 'the sum is not finished' };
}

function valueOf(expression: Expression, worths: ReadonlyMap<string, Exact>): Exact | null {
  if (expression.kind === 'product') return worths.get(expression.term) ?? null;
  if (expression.kind === 'amount') return Exact.parse(expression.worth);
  const values = expression.parts.map((part) => valueOf(part, worths));
  return values.includes(null) ? null : Exact.sum(values as Exact[]);
}

/** The first line must hold every term once, as a product. */
function opens(expression: Expression, worths: ReadonlyMap<string, Exact>): boolean {
  const parts = leaves(expression);
  const terms = parts.flatMap((leaf) => (leaf.kind === 'product' ? [leaf.term] : []));
  return (
    parts.length === worths.size &&
    new Set(terms).size === worths.size &&
    terms.every((term) => worths.has(term))
  );
}

function follows(
  law: Move['law'],
  before: Expression,
  after: Expression,
  { worths, base }: Frame,
): boolean {
  switch (law) {
    case 'reorder':
      return sameList(leaves(before).map(leafKey), leaves(after).map(leafKey));
    case 'place-value':
      return (
        leaves(after).every((leaf) => isOneFigure(valueOf(leaf, worths), base)) &&
        (before.kind !== 'sum' || partwise(before, after, worths))
      );
    case 'evaluate':
      return after.kind === 'amount' || partwise(before, after, worths);
    default:
      return false;
  }
}

/** Whether an amount is one figure in one place: 400, but neither 48 nor 0.5. */
function isOneFigure(amount: Exact | null, base: number): boolean {
  return amount?.isWhole === true && /^.0*$/.test(amount.numerator.toString(base));
}

/** Part by part, the new line is worth what the old one was. */
function partwise(
  before: Expression,
  after: Expression,
  worths: ReadonlyMap<string, Exact>,
): boolean {
  const old = partsOf(before);
  const made = partsOf(after);
  return (
    old.length === made.length &&
    old.every((part, k) => valueOf(part, worths)?.equals(valueOf(made[k]!, worths)!) ?? false)
  );
}

function partsOf(expression: Expression): readonly Expression[] {
  return expression.kind === 'sum' ? expression.parts : [expression];
}

function leaves(expression: Expression): readonly Exclude<Expression, { kind: 'sum' }>[] {
  return expression.kind === 'sum' ? expression.parts.flatMap(leaves) : [expression];
}

function leafKey(leaf: Exclude<Expression, { kind: 'sum' }>): string {
  return leaf.kind === 'product' ? `product ${leaf.term}` : `${leaf.worth} of ${leaf.of.join(' ')}`;
}

function sameList(a: readonly string[], b: readonly string[]): boolean {
  const [left, right] = [[...a].sort(), [...b].sort()];
  return left.length === right.length && left.every((item, k) => item === right[k]);
}
