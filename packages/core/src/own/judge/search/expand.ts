import { type Exact } from '../../../exact/exact.ts';
import type { Aim, Written } from '../../../laws/move-spec.ts';
import { type MoveId, MOVES, moveSpec } from '../../../laws/moves.ts';
import { factorsOf } from '../../../line/factors.ts';
import { flat, type Node, productNode, sumNode, type Term, termKey } from '../../../line/node.ts';
import { numbersIn } from '../../../line/numbers-in.ts';
import { termsIn, times } from '../../../line/terms.ts';
import { type Move, moveAt } from '../move.ts';
import { bottomsFor } from './bottoms.ts';

/** What a term can become by one move. */
interface Expansion extends Written {
  readonly move: MoveId;
}

/** Every way in which one term is rewritten by one move, as far as it may help to reach the aim. */
function expansionsOf(term: Term, aim: Aim): readonly Expansion[] {
  return MOVES.flatMap(({ id, write }) =>
    (write?.(term, aim) ?? []).map((own) => ({ ...own, move: id })),
  );
}

/** A line that comes from another by one kind of move. */
export interface Expanded {
  readonly terms: readonly Term[];
  readonly moves: readonly Move[];
  /** The pieces of every number that was taken apart by places, largest first. */
  readonly split: readonly (readonly Term[])[];
}

/** What a line aims at that is to become another. */
export function aimFor(old: readonly Term[], made: readonly Term[], base: number): Aim {
  const worked = flat(made).filter(({ node }) => node.kind === 'product' || node.kind === 'power');
  const amounts = numbersIn(worked).flatMap((own): readonly Exact[] => {
    if (own.kind === 'fraction') return [];
    return [own.kind === 'mixed' ? own.whole.amount : own.amount];
  });
  const factors = new Map(amounts.map((amount) => [amount.toString(), amount]));
  return {
    base,
    factors: [...factors.values()].slice(0, MOST_NUMBERS),
    products: new Set(worked.map(({ node }) => node.key)),
    divisors: worked.flatMap(({ node }) =>
      factorsOf(node).flatMap(({ under, node: own }) =>
        under && own.kind === 'number' ? [own.amount] : [],
      ),
    ),
    bottoms: bottomsFor(old, made),
  };
}

const MOST_NUMBERS = 10;

/** Every line that comes from a line by one kind of move, at one place or at all where it can be made. */
export function expandLine(line: readonly Term[], aim: Aim): readonly Expanded[] {
  const terms = flat(line);
  const perTerm = terms.map((term) => [...expansionsOf(term, aim), ...insideOf(term, aim)]);
  return distinct([
    ...everywhere(terms, perTerm),
    ...singly(terms, perTerm),
    ...together(terms, aim),
  ]);
}

function distinct(all: readonly Expanded[]): readonly Expanded[] {
  const seen = new Set<string>();
  return all.filter(({ terms }) => {
    const key = flat(terms).map(termKey).sort().join(' ');
    return seen.has(key) ? false : seen.add(key);
  });
}

/** Each expansion that two terms or more have is made at all of them. */
function everywhere(
  terms: readonly Term[],
  perTerm: readonly (readonly Expansion[])[],
): readonly Expanded[] {
  const variants = new Set(perTerm.flatMap((list) => list.map(keyOf)));
  return [...variants].flatMap((key) => {
    const chosen = perTerm.map((list) => list.find((own) => keyOf(own) === key));
    return chosen.filter(Boolean).length < 2 ? [] : [put(terms, chosen)];
  });
}

function keyOf({ variant, move: id }: Expansion): string {
  return `${id} ${variant}`;
}

function singly(
  terms: readonly Term[],
  perTerm: readonly (readonly Expansion[])[],
): readonly Expanded[] {
  return perTerm.flatMap((list, index) =>
    list.map((own) =>
      put(
        terms,
        terms.map((_, k) => (k === index ? own : undefined)),
      ),
    ),
  );
}

function put(terms: readonly Term[], chosen: readonly (Expansion | undefined)[]): Expanded {
  return {
    split: chosen.flatMap((own) => (own && moveSpec(own.move).isByPlaces ? [own.terms] : [])),
    terms: terms.flatMap((term, k) => chosen[k]?.terms ?? [term]),
    moves: terms.flatMap((term, k) => {
      const own = chosen[k];
      return own ? [moveAt(own.move, [term], own.terms)] : [];
    }),
  };
}

/** The same inside a product or bracket: one factor changes, as a number or a bracket by itself. */
function insideOf(term: Term, aim: Aim): readonly Expansion[] {
  const factors = factorsOf(term.node);
  if (term.node.kind === 'power') {
    const { of, exponent } = term.node;
    return inNode(of, aim).map((own) => ({
      ...own,
      variant: `base ${own.variant}`,
      terms: [
        {
          minus: term.minus,
          node: { ...productNode(Array.from({ length: exponent }, () => times(own.node))) },
        },
      ],
    }));
  }
  if (term.node.kind === 'sum' && term.minus) {
    return inNode(term.node, aim).map((own) => ({
      ...own,
      variant: `bracket ${own.variant}`,
      terms: [{ minus: true, node: own.node }],
    }));
  }
  if (factors.length < 2) return [];
  return factors.flatMap((factor, index) =>
    inNode(factor.node, aim).map((own) => ({
      ...own,
      variant: `${index} ${own.variant}`,
      terms: [
        {
          minus: term.minus,
          node: productNode(
            factors.map((other, k) =>
              k === index ? { under: other.under, node: own.node } : other,
            ),
          ),
        },
      ],
    })),
  );
}

function inNode(
  node: Node,
  aim: Aim,
): readonly (Omit<Expansion, 'terms'> & { readonly node: Node })[] {
  const inner = termsIn(node);
  if (node.kind === 'letter' || node.kind === 'product') return [];
  return inner.flatMap((term, index) =>
    expansionsOf(term, aim).map(({ terms, ...rest }) => ({
      ...rest,
      variant: `${index} ${rest.variant}`,
      node: sumNode(inner.flatMap((own, k) => (k === index ? terms : [own]))),
    })),
  );
}

/** What is done to several terms at once: numbers and like terms put together, a factor taken out. */
function together(terms: readonly Term[], aim: Aim): readonly Expanded[] {
  return MOVES.flatMap(({ id, gather }) =>
    (gather?.(terms, aim) ?? []).map(({ terms: made, changes }) => ({
      terms: made,
      moves: changes.map(([old, own]) => moveAt(id, old, own)),
      split: [],
    })),
  );
}
