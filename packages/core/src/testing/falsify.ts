import fc from 'fast-check';
import { LAWS } from '../account/account.ts';
import type { Agreement } from '../compare/certificate/agreement-shape.ts';
import type { Expression } from '../compare/expressions.ts';
import { Exact } from '../exact/exact.ts';

/** A certificate that can be changed, as somebody with an editor would. */
type Open<T> = { -readonly [K in keyof T]: Open<T[K]> };
type Leaf = Open<Extract<Expression, { kind: 'amount' }>>;

/** A false certificate, and what was done to a true one. */
export interface Falsified {
  readonly kind: FalsificationKind;
  readonly certificate: Agreement;
  readonly method: number;
  readonly move: number;
}

/** Takes random whole numbers below a bound. */
export type Pick = (below: number) => number;

/** Ways to make a true certificate false; null where one has nothing to work on. */
const WAYS = {
  'a law renamed': (certificate, method, pick) => {
    const move = pick(certificate.methods[method]!.moves.length);
    const own = certificate.methods[method]!.moves[move]!;
    const others = LAWS.filter((law) => law !== own.law);
    own.law = others[pick(others.length)]!;
    return move;
  },
  'a term left out of a list': (certificate, method, pick) => {
    const found = leafOf(certificate, method, pick, ({ of }) => of.length > 0);
    found?.leaf.of.splice(pick(found.leaf.of.length), 1);
    return found?.move ?? null;
  },
  'a term put into a list': (certificate, method, pick) => {
    const strange = (leaf: Leaf) => certificate.terms.filter(({ id }) => !leaf.of.includes(id));
    const found = leafOf(certificate, method, pick, (leaf) => strange(leaf).length > 0);
    if (!found) return null;
    const others = strange(found.leaf);
    found.leaf.of.push(others[pick(others.length)]!.id);
    return found.move;
  },
  'a term replaced in a list': (certificate, method, pick) => {
    const strange = (leaf: Leaf) => certificate.terms.filter(({ id }) => !leaf.of.includes(id));
    const found = leafOf(
      certificate,
      method,
      pick,
      (leaf) => leaf.of.length > 0 && strange(leaf).length > 0,
    );
    if (!found) return null;
    const others = strange(found.leaf);
    found.leaf.of[pick(found.leaf.of.length)] = others[pick(others.length)]!.id;
    return found.move;
  },
  'a worth changed and made up for': (certificate, method, pick) => {
    const sizes = [1n, 9n, 10n, 90n, 3n].map((size) => Exact.of(size));
    return shifted(certificate, method, pick, sizes[pick(sizes.length)]!);
  },
  'a regrouping of nine': (certificate, method, pick) => {
    const nine = Exact.of(9n).times(Exact.of(BigInt(certificate.base) ** BigInt(pick(3))));
    return shifted(certificate, method, pick, nine);
  },
  'a line dropped': (certificate, method, pick) => {
    const { moves } = certificate.methods[method]!;
    const move = pick(moves.length);
    moves.splice(move, 1);
    return move;
  },
  'two lines swapped': (certificate, method, pick) => {
    const { moves } = certificate.methods[method]!;
    if (moves.length < 2) return null;
    const move = pick(moves.length - 1);
    moves.splice(move, 2, moves[move + 1]!, moves[move]!);
    return move;
  },
  'a fraction renamed by different factors': (certificate, method, pick) => {
    const found = leafOf(certificate, method, pick, ({ scaled }) =>
      /^−?\d+\/\d+$/.test(scaled ?? ''),
    );
    if (!found) return null;
    const [top = '', bottom = ''] = found.leaf.scaled!.replace('−', '').split('/');
    found.leaf.scaled = `${BigInt(top) * 2n}/${BigInt(bottom) * 3n}`;
    return found.move;
  },
  'lists of nonsense': (certificate, method) => {
    for (const { expression } of certificate.methods[method]!.moves) {
      for (const leaf of amountsOf(expression)) leaf.of = ['nonsense'];
    }
    return 0;
  },
  'every working out called a rule of signs': (certificate, method) => {
    const { moves } = certificate.methods[method]!;
    for (const move of moves) if (move.law === 'evaluate') move.law = 'sign';
    return 0;
  },
  'an operand changed': (certificate, _, pick) => {
    const operand = certificate.operands[pick(certificate.operands.length)]!;
    operand.worth = Exact.parse(operand.worth).plus(Exact.ONE).toString();
    return 0;
  },
} satisfies Record<
  string,
  (certificate: Open<Agreement>, method: number, pick: Pick) => number | null
>;

export type FalsificationKind = keyof typeof WAYS;
export const FALSIFICATIONS = Object.keys(WAYS) as readonly FalsificationKind[];

/** A false copy of a certificate; null where this way has nothing to work on, or changes nothing. */
export function falsified(
  certificate: Agreement,
  kind: FalsificationKind,
  pick: Pick,
): Falsified | null {
  const copy = JSON.parse(JSON.stringify(certificate)) as Open<Agreement>;
  const method = pick(copy.methods.length);
  if (copy.methods[method]!.moves.length === 0) return null;
  const move = WAYS[kind](copy, method, pick);
  if (move === null || JSON.stringify(copy) === JSON.stringify(certificate)) return null;
  return { kind, certificate: copy, method, move };
}

/** Moves an amount between two leaves of one line. */
function shifted(
  certificate: Open<Agreement>,
  method: number,
  pick: Pick,
  by: Exact,
): number | null {
  const { moves } = certificate.methods[method]!;
  const open = moves.flatMap(({ expression }, move) =>
    amountsOf(expression).length > 1 ? [move] : [],
  );
  if (open.length === 0) return null;
  const move = open[pick(open.length)]!;
  const leaves = amountsOf(moves[move]!.expression);
  const from = pick(leaves.length);
  const to = (from + 1 + pick(leaves.length - 1)) % leaves.length;
  const change = (leaf: Leaf, size: Exact) => {
    leaf.worth = Exact.parse(leaf.worth).plus(size).toString();
    delete leaf.scaled;
  };
  change(leaves[from]!, by.negate());
  change(leaves[to]!, by);
  return move;
}

function leafOf(
  certificate: Open<Agreement>,
  method: number,
  pick: Pick,
  fits: (leaf: Leaf) => boolean,
): { leaf: Leaf; move: number } | null {
  const found = certificate.methods[method]!.moves.flatMap(({ expression }, move) =>
    amountsOf(expression)
      .filter(fits)
      .map((leaf) => ({ leaf, move })),
  );
  return found.length === 0 ? null : found[pick(found.length)]!;
}

function amountsOf(expression: Open<Expression>): Leaf[] {
  if (expression.kind === 'sum') return expression.parts.flatMap((part) => amountsOf(part));
  return expression.kind === 'amount' ? [expression] : [];
}

/** A way to falsify, with the numbers that it picks. */
export const falsifications: fc.Arbitrary<{
  readonly kind: FalsificationKind;
  readonly pick: Pick;
}> = fc
  .tuple(fc.constantFrom(...FALSIFICATIONS), fc.infiniteStream(fc.nat()))
  .map(([kind, numbers]) => ({
    kind,
    pick: (below: number) => numbers.next().value! % below,
  }));
