import { Exact } from '../exact/exact.ts';
import { evaluate } from '../problem/evaluate.ts';
import { readExpression } from '../problem/read-expression.ts';
import { decimalsNeeded, numeral, numeralValue, placeValue } from '../exact/numeral.ts';
import type { Agreement } from './agreement.ts';
import type { Expression, Move } from './expressions.ts';

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
  const { kind, base } = certificate;
  const value = Exact.parse(certificate.value);
  const frame: Frame = { worths, value, base, kind, script: certificate.script };
  for (const { method, moves, bracketing } of certificate.methods) {
    const wrong = bracketingFault(bracketing, frame) ?? movesFault(moves, frame);
    if (wrong) return { ok: false, method, ...wrong };
  }
  return { ok: true };
}

/** The operands, the value and the list of terms. */
function frameFault({ operands, value, terms, kind }: Agreement): string | null {
  const whole = operands.map((operand) => Exact.parse(operand.worth));
  const parts = operands.map((operand) => operand.parts.map((part) => Exact.parse(part)));
  const uneven = parts.findIndex((list, k) => !Exact.sum(list).equals(whole[k]!));
  if (uneven >= 0) return `the parts of ${operands[uneven]!.text} do not add up to it`;
  if (!combined(kind, whole).equals(Exact.parse(value))) return `the operands do not make ${value}`;
  const all = termsOf(kind, parts, whole);
  const expected = new Map(all.filter(([, worth]) => !worth.isZero));
  if (expected.size !== terms.length) return 'the terms are not all that the parts make';
  const wrong = terms.find((term) => !expected.get(term.id)?.equals(Exact.parse(term.worth)));
  return wrong ? `term ${wrong.id} is not what its parts make` : null;
}

function combined(kind: Agreement['kind'], whole: readonly Exact[]): Exact {
  const [first = Exact.ZERO, ...rest] = whole;
  switch (kind) {
    case 'product':
      return rest.reduce((total, factor) => total.times(factor), first);
    case 'sum':
      return Exact.sum(whole);
    case 'difference':
      return rest.reduce((left, part) => left.minus(part), first);
    case 'quotient':
      return rest.reduce((left, by) => left.dividedBy(by), first);
    case 'root':
      return first;
  }
}

function termsOf(
  kind: Agreement['kind'],
  parts: readonly (readonly Exact[])[],
  whole: readonly Exact[],
): [string, Exact][] {
  if (kind === 'product') return products(parts);
  if (kind === 'root') return parts[0]!.map((part, k) => [String(k), part]);
  if (kind !== 'quotient') return signedParts(kind, parts);
  return parts[0]!.map((part, k) => [String(k), part.dividedBy(whole[1]!)]);
}

function signedParts(
  kind: Agreement['kind'],
  parts: readonly (readonly Exact[])[],
): [string, Exact][] {
  return parts.flatMap((list, k) =>
    list.map((part, i): [string, Exact] => [
      `${k}.${i}`,
      kind === 'difference' && k > 0 ? Exact.ZERO.minus(part) : part,
    ]),
  );
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
  readonly kind: Agreement['kind'];
  /** How numbers are written: only figures in places limit what may be put together. */
  readonly script: Agreement['script'];
}

/** The one line must hold the whole total, and in a sum every term once. */
function bracketingFault(bracketing: Expression | null, frame: Frame): Fault | null {
  if (!bracketing) return null;
  const whole = valueOf(bracketing, frame.worths)?.equals(frame.value) ?? false;
  const fits = whole && (frame.kind === 'product' || opens(bracketing, frame.worths));
  return fits ? null : { move: 0, fault: 'the brackets do not hold all the terms' };
}

interface Fault {
  readonly move: number;
  readonly fault: string;
}

/** The law by which the problem becomes the sum of its terms. */
const OPENING: Record<Agreement['kind'], Move['law']> = {
  product: 'distribute',
  quotient: 'distribute',
  sum: 'place-value',
  difference: 'place-value',
  root: 'place-value',
};

function movesFault(moves: readonly Move[], frame: Frame): Fault | null {
  const { worths, value } = frame;
  if (moves.length === 0) return value.isZero ? null : { move: 0, fault: 'there are no moves' };
  for (const [move, { law, expression }] of moves.entries()) {
    const total = valueOf(expression, worths);
    if (!total?.equals(value))
      return { move, fault: `the line is worth ${total ?? 'nothing known'}, not ${value}` };
    const before = moves[move - 1]?.expression;
    const lawful = before
      ? follows(law, before, expression, frame)
      : law === OPENING[frame.kind] && opens(expression, worths);
    if (!lawful) return { move, fault: `the line does not follow by ${law}` };
  }
  const last = moves.at(-1)!.expression;
  return isFinished(last, frame)
    ? null
    : { move: moves.length - 1, fault: 'the sum is not finished' };
}

/** One amount; terms of which no two are alike; or a square and what is left over. */
function isFinished(line: Expression, { kind, script, worths }: Frame): boolean {
  if (line.kind !== 'sum') return true;
  if (kind === 'root') return leaves(line).length === 2;
  return script === 'terms' && areUnlike(leaves(line), worths);
}

/** Whether every one is a single term and no two have the same letters. */
function areUnlike(parts: readonly Expression[], worths: ReadonlyMap<string, Exact>): boolean {
  const kinds = parts.flatMap((part) => valueOf(part, worths)?.parts() ?? []);
  const letters = kinds.map((term) => term.letters);
  return kinds.length === parts.length && new Set(letters).size === letters.length;
}

/** The bracket held terms of one kind only, or kinds that all come to nothing. */
function gathersLike([before, after]: Change, worths: ReadonlyMap<string, Exact>): boolean {
  const made = valueOf(after, worths)!;
  const kinds = leaves(before).map((leaf) => valueOf(leaf, worths)!.letters);
  return made.isZero || (made.parts().length === 1 && kinds.every((kind) => kind === made.letters));
}

function valueOf(expression: Expression, worths: ReadonlyMap<string, Exact>): Exact | null {
  if (expression.kind === 'product') return worths.get(expression.term) ?? null;
  if (expression.kind === 'amount') {
    const worth = Exact.parse(expression.worth);
    return isWrittenTruly(expression.scaled, worth) ? worth : null;
  }
  const values = expression.parts.map((part) => valueOf(part, worths));
  return values.includes(null) ? null : Exact.sum(values as Exact[]);
}

/** Whether what is written out, where anything is, is worth what its amount says. */
function isWrittenTruly(scaled: string | undefined, worth: Exact): boolean {
  if (scaled === undefined) return true;
  const read = readExpression(scaled);
  const made = read.ok ? evaluate(read.expression) : null;
  return made?.ok === true && made.value.equals(worth);
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

function follows(law: Move['law'], before: Expression, after: Expression, frame: Frame): boolean {
  const { worths, kind, base } = frame;
  switch (law) {
    case 'reorder':
      return sameList(leaves(before).map(leafKey), leaves(after).map(leafKey));
    case 'place-value':
      return kind === 'product'
        ? splitsIntoFigures(before, after, frame)
        : (changedParts(before, after, worths) ?? [[before, after] as const]).every((change) =>
            regroups(change, frame),
          );
    case 'evaluate':
      return after.kind === 'amount' || changedParts(before, after, worths) !== null;
    case 'same-change':
      return (
        netsNothing(before, after, worths) ||
        partsOf(before).length === partsOf(after).length ||
        partsOf(after).length === 2 ||
        changedParts(before, after, worths) !== null
      );
    case 'scale-both':
      return kind === 'quotient'
        ? scalesAlike(before, after, worths, base)
        : changedParts(before, after, worths) !== null;
    case 'sign':
      return changedParts(before, after, worths) !== null;
    case 'like-terms':
      return (changedParts(before, after, worths) ?? [[before, after] as const]).every((change) =>
        gathersLike(change, worths),
      );
    case 'square':
    case 'pair-factors':
      return (
        (changedParts(before, after, worths) ?? null) !== null &&
        leaves(after).some((leaf) => leaf.kind === 'amount' && leaf.scaled !== undefined)
      );
    case 'inverse':
      return changedParts(before, after, worths)?.every(([old]) => cancels(old, worths)) === true;
    default:
      return false;
  }
}

function splitsIntoFigures(before: Expression, after: Expression, frame: Frame): boolean {
  const { worths, base } = frame;
  return (
    leaves(after).every((leaf) => isOneFigure(valueOf(leaf, worths), base)) &&
    (before.kind !== 'sum' || changedParts(before, after, worths) !== null)
  );
}

/** The same quotients in the same order, each with both its numbers scaled by one factor. */
function scalesAlike(
  before: Expression,
  after: Expression,
  worths: ReadonlyMap<string, Exact>,
  base: number,
): boolean {
  const [old, made] = [leaves(before), leaves(after)];
  return (
    old.length === made.length &&
    made.every((leaf, k) => {
      const from = old[k]!;
      if (leaf.kind !== 'product' || from.kind !== 'product' || leaf.term !== from.term)
        return false;
      const [top, bottom] = (leaf.scaled ?? '').split('÷').map((text) => numberOf(text, base));
      if (!top || !bottom || bottom.isZero) return false;
      return top.dividedBy(bottom).equals(worths.get(leaf.term)!);
    })
  );
}

/** A number as it is written, or null for what is none. */
function numberOf(text: string, base: number): Exact | null {
  return /^[0-9A-F]+(\.[0-9A-F]+)?$/.test(text) ? numeralValue(numeral(text, base)) : null;
}

type Change = readonly [before: Expression, after: Expression];

/** One side of a change lists counts of single places: they are put together, or come from one. */
function regroups([before, after]: Change, { worths, base, script }: Frame): boolean {
  if (script === 'fractions') return [before, after].every((side) => isWholesAndPart(side, worths));
  const placed = (side: Expression) =>
    leaves(side).every((leaf) => isCountOfPlace(valueOf(leaf, worths), base));
  return placed(before) || placed(after);
}

/** Whole numbers with one part of a whole at most, as a mixed number puts them together. */
function isWholesAndPart(side: Expression, worths: ReadonlyMap<string, Exact>): boolean {
  return leaves(side).filter((leaf) => !valueOf(leaf, worths)?.isWhole).length <= 1;
}

/** Whether an amount is a small count of one place: 130 is 13 tens. Strings of addends carry up to 40. */
function isCountOfPlace(amount: Exact | null, base: number): boolean {
  const figures = amount && significant(amount, base);
  if (figures === null) return false;
  return figures.length <= 2 || parseInt(figures, base) <= 40;
}

/** New amounts beside the old ones, which together are worth nothing. */
function netsNothing(
  before: Expression,
  after: Expression,
  worths: ReadonlyMap<string, Exact>,
): boolean {
  const old = leaves(before).map(leafKey);
  const added = leaves(after).filter((leaf) => {
    const at = old.indexOf(leafKey(leaf));
    if (at >= 0) old.splice(at, 1);
    return at < 0;
  });
  return old.length === 0 && Exact.sum(added.map((leaf) => valueOf(leaf, worths)!)).isZero;
}

/** Whether a bracket holds an amount and its opposite, so that only the rest remains. */
function cancels(bracket: Expression, worths: ReadonlyMap<string, Exact>): boolean {
  const values = partsOf(bracket).map((part) => valueOf(part, worths)!.toString());
  return values.some((value) => values.includes(Exact.parse(value).negate().toString()));
}

/** Whether an amount is one figure in one place: 400 or 0.5, but not 48. */
function isOneFigure(amount: Exact | null, base: number): boolean {
  return amount !== null && /^.?$/.test(significant(amount, base) ?? 'none');
}

/** The figures of an amount without the zeros and the point that tell their place; null when they never end. */
function significant(amount: Exact, base: number): string | null {
  const decimals = decimalsNeeded(amount, base);
  if (decimals === null) return null;
  const count = amount.times(placeValue(base, decimals)).numerator;
  return count.toString(base).replace('-', '').replace(/0+$/, '');
}

/**
 * The parts in which two lines differ, when part by part the new line is worth what the old one was;
 * null when it is not. Parts worth nothing may come and go.
 */
function changedParts(
  before: Expression,
  after: Expression,
  worths: ReadonlyMap<string, Exact>,
): readonly Change[] | null {
  const live = (line: Expression) => partsOf(line).filter((part) => !valueOf(part, worths)?.isZero);
  const [old, made] = [live(before), live(after)];
  const whole: Change = [before, after];
  if (old.length !== made.length) {
    return flattened(old, made, worths) ?? (made.length <= 1 ? [whole] : null);
  }
  const pairs = old.map((part, k): Change => [part, made[k]!]);
  const fits = pairs.every(([a, b]) => valueOf(a, worths)?.equals(valueOf(b, worths)!) ?? false);
  if (!fits) return null;
  const changed = pairs.filter(([a, b]) => JSON.stringify(a) !== JSON.stringify(b));
  return changed.length > 0 ? changed : [];
}

/** The same when a bracket's new amounts stand in the line without a bracket of their own. */
function flattened(
  old: readonly Expression[],
  made: readonly Expression[],
  worths: ReadonlyMap<string, Exact>,
): readonly Change[] | null {
  const changes: Change[] = [];
  let at = 0;
  for (const part of old) {
    const goal = valueOf(part, worths)!;
    const taken: Expression[] = [];
    let sum = Exact.ZERO;
    while (at < made.length && (taken.length === 0 || !sum.equals(goal))) {
      taken.push(made[at]!);
      sum = sum.plus(valueOf(made[at]!, worths) ?? Exact.ZERO);
      at++;
    }
    if (!sum.equals(goal)) return null;
    const side: Expression = taken.length === 1 ? taken[0]! : { kind: 'sum', parts: taken };
    if (JSON.stringify(side) !== JSON.stringify(part)) changes.push([part, side]);
  }
  return at === made.length ? changes : null;
}

function partsOf(expression: Expression): readonly Expression[] {
  return expression.kind === 'sum' ? expression.parts : [expression];
}

function leaves(expression: Expression): readonly Exclude<Expression, { kind: 'sum' }>[] {
  return expression.kind === 'sum' ? expression.parts.flatMap(leaves) : [expression];
}

function leafKey(leaf: Exclude<Expression, { kind: 'sum' }>): string {
  return leaf.kind === 'product'
    ? `product ${leaf.term} ${leaf.scaled ?? ''}`
    : `${leaf.scaled ?? leaf.worth} of ${leaf.of.join(' ')}`;
}

function sameList(a: readonly string[], b: readonly string[]): boolean {
  const [left, right] = [[...a].sort(), [...b].sort()];
  return left.length === right.length && left.every((item, k) => item === right[k]);
}
