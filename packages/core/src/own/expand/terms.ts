import { Exact } from '../../exact/exact.ts';
import { Surd } from '../../exact/surd.ts';
import type { Law } from '../../account/account.ts';
import type { MoveId } from '../../laws/law.ts';
import { placesOf } from '../moves/apart.ts';
import { termsText } from '../node-text.ts';
import { isMonomial, isNumber, isPlain, openedTerm } from '../moves/working.ts';
import {
  flat,
  isOne,
  numberOf,
  oppositeNode,
  powerNode,
  productNode,
  type Factor,
  type Node,
  type Term,
} from '../node.ts';

import { MOST_TERMS, one, signed, type Aim, type Expansion } from './expansion.ts';
import { renamed } from './writing.ts';

/** Every way in which one term is rewritten by one move, as far as it may help to reach the aim. */
export function expansionsOf(term: Term, aim: Aim): readonly Expansion[] {
  return [
    ...opened(term),
    ...workedOut(term, aim),
    ...renamed(term, aim),
    ...distributed(term, aim),
    ...apart(term, aim),
    ...refactored(term, aim),
  ];
}

function opened(term: Term): readonly Expansion[] {
  const terms = openedTerm(term);
  return terms ? [{ variant: 'sign', law: 'sign', move: 'sign', terms }] : [];
}

function workedOut(term: Term, { base }: Aim): readonly Expansion[] {
  const { node } = term;
  const value = node.value.rational;
  const made: Expansion[] = [];
  if (!isPlain(node) && isNumber(node) && value) {
    made.push({
      variant: 'worth',
      law: 'evaluate',
      move: 'worked-out',
      terms: one(term, numberOf(value, base)),
    });
  }
  if (node.kind === 'product') {
    const inner = node.factors.map(({ under, node: own }) => ({
      under,
      node: bracketWorth(own, base),
    }));
    if (inner.some(({ node: own }, k) => own !== node.factors[k]!.node)) {
      made.push({
        variant: 'brackets',
        law: 'evaluate',
        move: 'worked-out',
        terms: one(term, productNode(inner)),
      });
    }
  }
  if (!isNumber(node) && isMonomial(node) && value && node.kind === 'product') {
    made.push({
      variant: 'letters',
      law: 'like-terms',
      move: 'like-terms',
      terms: one(term, monomial(value, base)),
    });
  }
  return made;
}

/** A bracket of numbers worked out; anything else as it is. */
function bracketWorth(node: Node, base: number): Node {
  const value = node.value.rational;
  return node.kind === 'sum' && isNumber(node) && value ? numberOf(value, base) : node;
}

/** A single term as it is written: `3x^2`, `−x`. */
export function monomial(value: Exact, base: number): Node {
  const { coefficient, letters } = value;
  const size = coefficient.absolute();
  const factors: Factor[] = [...letters.matchAll(/([a-z])(?:\^(\d+))?/g)].map(
    ([, name = '', power]) => {
      const letter: Node = { kind: 'letter', name, key: name, value: Surd.of(Exact.letter(name)) };
      return { under: false, node: power ? powerNode(letter, Number(power)) : letter };
    },
  );
  if (!size.equals(Exact.ONE) || factors.length === 0) {
    factors.unshift({ under: false, node: numberOf(size, base) });
  }
  const node = productNode(factors);
  return coefficient.isNegative ? oppositeNode(node) : node;
}

function distributed(term: Term, aim: Aim): readonly Expansion[] {
  const factors = term.node.kind === 'product' ? term.node.factors : [];
  if (factors.length < 2) return [];
  const made: Expansion[] = [...eachWithEach(term, factors, aim)];
  factors.forEach((factor, index) => {
    if (factor.under) return;
    const rest = (node: Node) =>
      productNode(factors.map((own, k) => (k === index ? { under: false, node } : own)));
    const along = (variant: string, cut: readonly Term[]) =>
      made.push({
        variant,
        law: 'distribute',
        move: 'distribute',
        terms: signed(
          term,
          cut.map(({ minus, node }) => ({ minus, node: rest(node) })),
        ),
      });
    if (factor.node.kind === 'sum') along(`bracket ${index}`, flat(factor.node.terms));
    for (const [variant, cut] of placesCut(factor.node, aim)) along(`${variant} ${index}`, cut);
    for (const [variant, cut] of partsCut(factor.node, aim)) {
      // A cut that fits any numbers explains nothing: one of its products must stand there.
      if (cut.some(({ node }) => aim.products.has(rest(node).key)))
        along(`${variant} ${index}`, cut);
    }
  });
  return made;
}

/** Every term of every bracket with every term of the others, each worked out. */
function eachWithEach(term: Term, factors: readonly Factor[], { base }: Aim): readonly Expansion[] {
  const brackets = factors.filter(({ node, under }) => node.kind === 'sum' && !under);
  if (brackets.length < 2 || factors.some(({ under }) => under)) return [];
  const lists = factors.map(({ node }) => (node.kind === 'sum' ? flat(node.terms) : [plus(node)]));
  const count = lists.reduce((product, list) => product * list.length, 1);
  if (count > MOST_TERMS) return [];
  const products = lists.reduce((all, list) =>
    all.flatMap((a) =>
      list.map((b) => ({
        minus: a.minus !== b.minus,
        node: productNode([
          { under: false, node: a.node },
          { under: false, node: b.node },
        ]),
      })),
    ),
  );
  const worked = products.map(({ minus, node }) => {
    const value = node.value.rational;
    if (!value || !isMonomial(node)) return { minus, node };
    return { minus, node: isNumber(node) ? numberOf(value, base) : monomial(value, base) };
  });
  const told = { law: 'distribute', move: 'each-with-each' } as const;
  return [{ ...told, variant: 'each worked', terms: signed(term, worked) }];
}

type Cut = readonly [variant: string, parts: readonly Term[]];

/** A number by its places. */
function placesCut(node: Node, { base }: Aim): readonly Cut[] {
  if (node.kind === 'mixed') return [['places', [plus(node.whole), plus(node.part)]]];
  const places = node.kind === 'number' ? placesOf(node.amount, base) : null;
  if (!places || places.length < 2) return [];
  return [['places', places.map((amount) => plus(numberOf(amount, base)))]];
}

/** A number by every factor that is aimed at. */
function partsCut(node: Node, { base, factors }: Aim): readonly Cut[] {
  if (node.kind !== 'number') return [];
  const made: Cut[] = [];
  for (const part of factors) {
    if (part.isNegative || part.isZero || part.equals(node.amount)) continue;
    const rest = node.amount.minus(part);
    made.push([
      `part ${part}`,
      [
        plus(numberOf(part, base)),
        { minus: rest.isNegative, node: numberOf(rest.absolute(), base) },
      ],
    ]);
  }
  return made;
}

function plus(node: Node): Term {
  return { minus: false, node };
}

function apart(term: Term, aim: Aim): readonly Expansion[] {
  return placesCut(term.node, aim).map(([variant, cut]) => ({
    variant,
    law: 'place-value',
    move: 'places',
    terms: signed(term, cut),
  }));
}

/** Factors taken apart, put together, or scaled, as the aim asks for it. */
function refactored(term: Term, aim: Aim): readonly Expansion[] {
  const { base, factors: numbers } = aim;
  const factors = term.node.kind === 'product' ? term.node.factors : [];
  const made: Expansion[] = [];
  const told = (variant: string, law: Law, move: MoveId, changed: readonly Factor[]) =>
    made.push({ variant, law, move, terms: one(term, productNode(changed)) });
  factors.forEach(({ under, node }, index) => {
    if (node.kind !== 'number' || !node.amount.isWhole || node.amount.isZero) return;
    for (const part of numbers) {
      if (!part.isWhole || part.compare(Exact.ONE) <= 0 || part.equals(node.amount)) continue;
      const other = node.amount.dividedBy(part);
      const over = part.dividedBy(node.amount);
      const put = (extra: readonly Factor[]) =>
        factors.flatMap((own, k) => (k === index ? extra : [own]));
      if (other.isWhole && !under) {
        told(
          `${part} in ${index}`,
          'reorder',
          'factors-moved',
          put([part, other].map((amount) => ({ under, node: numberOf(amount, base) }))),
        );
      } else if (other.isWhole) {
        told(
          `${part} in ${index}`,
          'scale-both',
          'divide-by-factors',
          put([part, other].map((amount) => ({ under, node: numberOf(amount, base) }))),
        );
      } else if (over.isWhole && !under) {
        told(
          `${part} over ${index}`,
          'reorder',
          'factors-moved',
          put([
            { under: false, node: numberOf(part, base) },
            { under: true, node: numberOf(over, base) },
          ]),
        );
      }
    }
  });
  made.push(...asQuotients(term, factors, aim), ...pairsWorkedOut(term, factors, base));
  const [top, bottom, ...more] = factors;
  if (top && bottom?.under && !top.under && more.length === 0) {
    for (const part of numbers) {
      const by = part.dividedBy(bottom.node.value.rational ?? Exact.ONE);
      const scaled = top.node.value.rational?.times(by);
      if (!scaled?.isConstant || by.equals(Exact.ONE) || by.isNegative || by.isZero) continue;
      told(`scaled ${part}`, 'scale-both', 'scale', [
        { under: false, node: numberOf(scaled, base) },
        { under: true, node: numberOf(part, base) },
      ]);
    }
  }
  return made;
}

/** A factor as a larger one that is divided by a number that divides in the aim: 25 as 100 ÷ 4. */
function asQuotients(
  term: Term,
  factors: readonly Factor[],
  { base, divisors }: Aim,
): readonly Expansion[] {
  const roundFirst = (a: Expansion, b: Expansion) => zerosIn(b) - zerosIn(a);
  const all = factors.flatMap(({ under, node }, index): readonly Expansion[] => {
    if (under || node.kind !== 'number') return [];
    return divisors.map((by) => {
      const parts: readonly Factor[] = [
        { under: false, node: numberOf(node.amount.times(by), base) },
        { under: true, node: numberOf(by, base) },
      ];
      const changed = factors.flatMap((own, k) => (k === index ? parts : [own]));
      const terms = one(term, productNode(changed));
      return { variant: `${index} over ${by}`, law: 'reorder', move: 'factors-moved', terms };
    });
  });
  return all.sort(roundFirst);
}

/** How many zeros its numbers end in. */
function zerosIn({ terms }: Expansion): number {
  return (
    termsText(terms)
      .match(/0+(?!\d)/g)
      ?.join('').length ?? 0
  );
}

/** Two number factors as the one that they make, two at a time. */
function pairsWorkedOut(
  term: Term,
  factors: readonly Factor[],
  base: number,
): readonly Expansion[] {
  if (factors.length < 3) return [];
  return factors.flatMap((a, i) =>
    factors.slice(i + 1).flatMap((b, k): readonly Expansion[] => {
      if (a.under && b.under) return [];
      if (!isPlain(a.node) || !isPlain(b.node)) return [];
      const value = productNode(a.under ? [b, a] : [a, b]).value.rational;
      if (!value || (a.under !== b.under && !value.isWhole)) return [];
      const left = factors.filter((own) => own !== a && own !== b && !isOne(own.node));
      const terms = one(
        term,
        productNode([{ under: false, node: numberOf(value, base) }, ...left]),
      );
      return [{ variant: `${i} with ${i + 1 + k}`, law: 'evaluate', move: 'worked-out', terms }];
    }),
  );
}
