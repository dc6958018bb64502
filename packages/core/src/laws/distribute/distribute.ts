import { withoutPower } from '../../line/factors.ts';
import { flat, type Node, numberOf, productNode, type Term, turned } from '../../line/node.ts';
import { placesCut } from '../../line/places.ts';
import { plus, signed } from '../../line/terms.ts';
import {
  type Amount,
  type Change,
  type Fault,
  firstFault,
  held,
  type LawFrame,
  sameTerms,
  unequal,
  worthOf,
} from '../law.ts';
import { type Aim, defineMove, type Written } from '../move-spec.ts';
import { cutOf } from './along-a-cut.ts';

/** A product, or a share, of a sum becomes the products, or shares, of its parts; worked out at once or not. */
export const DISTRIBUTED = defineMove({
  id: 'distribute',
  law: 'distribute',
  statement: 'An amount is taken apart along a cut of a number.',
  words: { brief: 'distributive law', says: 'distributive law' },
  check: alongACut,
  recognise: (old, made, { base }) => {
    const [only, ...more] = old;
    if (!only || more.length > 0 || made.length < 2) return null;
    const parts = only.minus ? turned(made) : made;
    const cut = cutOf(withoutPower(only.node), parts, base);
    return cut && { used: cut.used };
  },
  write: distributed,
});

/** An amount falls into amounts of the terms that it holds, each term in one of them; opposites may come with it. */
function alongACut(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  return firstFault(unequal(change), () => {
    if (gives.length === 0) {
      return worthOf(takes).isZero && frame.inFigures ? null : 'nothing is there afterwards';
    }
    if (takes.length === 0 && frame.inFigures) return oppositesFault(gives);
    if (!frame.inFigures && (takes.length !== 1 || gives.length < 2)) {
      return 'it is not one amount that is taken apart';
    }
    const pieces = gives.filter(({ terms }) => terms.size > 0);
    const all = pieces.flatMap(({ terms }) => [...terms]);
    const isApart = new Set(all).size === all.length;
    if (!isApart && !frame.inFigures) return 'a term is in two amounts';
    return sameTerms(new Set(all), held(takes), frame.spent) ? null : 'the terms are not the same';
  });
}

/** What is found counts for the same as what it uses up counts against. */
export function oppositesFault(gives: readonly Amount[]): Fault {
  const [found, ...used] = gives;
  const isOf = used.every(({ terms }) => [...terms].every((term) => found!.terms.has(term)));
  return used.length > 0 && isOf ? null : 'what is found is not what is used up';
}

function distributed(term: Term, aim: Aim): readonly Written[] {
  const factors = term.node.kind === 'product' ? term.node.factors : [];
  if (factors.length < 2) return [];
  const made: Written[] = [];
  factors.forEach((factor, index) => {
    if (factor.under) return;
    const rest = (node: Node) =>
      productNode(factors.map((own, k) => (k === index ? { under: false, node } : own)));
    const along = (variant: string, cut: readonly Term[]) => {
      const terms = cut.map(({ minus, node }) => ({ minus, node: rest(node) }));
      made.push({ variant: `${variant} ${index}`, terms: signed(term, terms) });
    };
    if (factor.node.kind === 'sum') along('bracket', flat(factor.node.terms));
    const places = placesCut(factor.node, aim.base);
    if (places) along('places', places);
    for (const [variant, cut] of partsCut(factor.node, aim)) {
      // A cut that fits any numbers explains nothing: one of its products must stand there.
      if (cut.some(({ node }) => aim.products.has(rest(node).key))) along(variant, cut);
    }
  });
  return made;
}

type Cut = readonly [variant: string, parts: readonly Term[]];

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
