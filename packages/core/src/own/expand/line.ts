import { numbersIn } from '../numbers-in.ts';
import { bottomsFor } from './writing.ts';
import { Exact } from '../../exact/exact.ts';
import type { Move } from '../move.ts';
import { move } from '../move.ts';
import { factorsOf } from '../moves/distribute.ts';
import { isMonomial, isNumber, isPlain, bottomOf } from '../moves/working.ts';
import {
  factorKey,
  flat,
  numberOf,
  productNode,
  sumNode,
  termKey,
  termValue,
  type Factor,
  type Node,
  type Term,
} from '../node.ts';
import { expansionsOf, monomial } from './terms.ts';
import { type Aim, type Expansion } from './expansion.ts';

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
    split: chosen.flatMap((own) => (own?.move === 'places' ? [own.terms] : [])),
    terms: terms.flatMap((term, k) => chosen[k]?.terms ?? [term]),
    moves: terms.flatMap((term, k) => {
      const own = chosen[k];
      return own ? [move([own.law, own.move], [term], own.terms)] : [];
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
          node: { ...productNode(Array.from({ length: exponent }, () => plusFactor(own.node))) },
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

function plusFactor(node: Node): Factor {
  return { under: false, node };
}

function inNode(
  node: Node,
  aim: Aim,
): readonly (Omit<Expansion, 'terms'> & { readonly node: Node })[] {
  const inner: readonly Term[] = node.kind === 'sum' ? node.terms : [{ minus: false, node }];
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
  return [...pairs(terms, aim), ...gathered(terms, aim), ...commonFactor(terms)];
}

function pairs(terms: readonly Term[], { base }: Aim): readonly Expanded[] {
  const made: Expanded[] = [];
  terms.forEach((a, i) => {
    terms.slice(i + 1).forEach((b, k) => {
      if (!isPlain(a.node) || !isPlain(b.node)) return;
      const [own, other] = [bottomOf(a.node), bottomOf(b.node)];
      if (own !== other && own !== 1n && other !== 1n) return;
      const sum = termValue(a).plus(termValue(b)).rational!;
      const node = numberOf(sum.absolute(), base);
      const result = sum.isZero ? [] : [{ minus: sum.isNegative, node }];
      made.push({
        terms: [
          ...terms.slice(0, i),
          ...result,
          ...terms.slice(i + 1, i + 1 + k),
          ...terms.slice(i + 2 + k),
        ],
        moves: [move(['evaluate', 'worked-out'], [a, b], result)],
        split: [],
      });
    });
  });
  return made;
}

/** All terms with the same letters as one. */
function gathered(terms: readonly Term[], { base }: Aim): readonly Expanded[] {
  if (terms.every(({ node }) => isNumber(node)) || !terms.every(({ node }) => isMonomial(node)))
    return [];
  const byLetters = new Map<string, Term[]>();
  for (const term of terms) {
    const letters = term.node.value.rational?.letters ?? '';
    byLetters.set(letters, [...(byLetters.get(letters) ?? []), term]);
  }
  const moves: Move[] = [];
  const made = [...byLetters.values()].flatMap((own): readonly Term[] => {
    if (own.length === 1) return own;
    const sum = Exact.sum(own.map((term) => termValue(term).rational!));
    const node = sum.isZero
      ? null
      : monomial(sum.coefficient.isNegative ? sum.negate() : sum, base);
    const result = node ? [{ minus: sum.coefficient.isNegative, node }] : [];
    moves.push(move(['like-terms', 'like-terms'], own, result));
    return result;
  });
  return moves.length === 0 ? [] : [{ terms: made, moves, split: [] }];
}

/** A factor that stands in every term, before a bracket of what is left. */
function commonFactor(terms: readonly Term[]): readonly Expanded[] {
  const [first, ...rest] = terms.map(({ node }) => factorsOf(node));
  const hasProduct = terms.some(({ node }) => node.kind === 'product');
  if (!first || rest.length === 0 || !hasProduct) return [];
  return first.flatMap((factor) => {
    const key = factorKey(factor);
    if (!rest.every((factors) => factors.some((own) => factorKey(own) === key))) return [];
    const left = terms.map(({ minus, node }) => {
      const factors = [...factorsOf(node)];
      factors.splice(
        factors.findIndex((own) => factorKey(own) === key),
        1,
      );
      return { minus, node: factors.length === 0 ? ONE : productNode(factors) };
    });
    const made: readonly Term[] = [
      { minus: false, node: productNode([factor, plusFactor(sumNode(left))]) },
    ];
    return [{ terms: made, moves: [move(['distribute', 'factor-out'], terms, made)], split: [] }];
  });
}

const ONE = numberOf(Exact.ONE, 10);
