import { Exact } from '../../exact/exact.ts';
import { decimalsNeeded } from '../../exact/numeral.ts';
import { lcm } from '../../exact/rational.ts';
import type { MoveId } from '../../laws/law.ts';
import { bottomOf, isPlain } from '../moves/working.ts';
import { fractionOf, mixedNode, numberOf, type Node, type NumberNode, type Term } from '../node.ts';

import { one, signed, type Aim, type Expansion } from './expansion.ts';

/** A number in other writings: renamed, as a mixed number, with a point. */
export function renamed(term: Term, aim: Aim): readonly Expansion[] {
  const { node } = term;
  const made: Expansion[] = [];
  const told = (variant: string, move: MoveId, terms: readonly Term[]) =>
    made.push({ variant, law: 'scale-both', move, terms });
  const value = node.value.rational;
  if (!value?.isConstant || !isPlain(node)) return [];
  const own = bottomOf(node);
  for (const bottom of aim.bottoms) {
    if (bottom === own || bottom % value.denominator !== 0n) continue;
    if (node.kind === 'mixed') {
      const part = node.part.value.rational!;
      if (bottom % part.denominator === 0n)
        told(
          `over ${bottom}`,
          'rename',
          one(
            term,
            mixedNode(node.whole, fractionOf((part.numerator * bottom) / part.denominator, bottom)),
          ),
        );
    } else {
      const isWhole = node.kind === 'number' && value.isWhole;
      const move =
        node.kind === 'fraction' ? 'rename' : isWhole ? 'whole-as-parts' : 'other-writing';
      told(
        `over ${bottom}`,
        move,
        one(term, fractionOf((value.numerator * bottom) / value.denominator, bottom)),
      );
    }
  }
  if (node.kind === 'mixed') {
    const bottom = bottomOf(node);
    told(
      'improper',
      'whole-as-parts',
      one(term, fractionOf((value.numerator * bottom) / value.denominator, bottom)),
    );
    made.push({
      variant: 'whole and part',
      law: 'place-value',
      move: 'places',
      terms: signed(term, [
        { minus: false, node: node.whole },
        { minus: false, node: node.part },
      ]),
    });
  }
  if (node.kind === 'fraction') made.push(...ofFraction(term, value, aim.base));
  if (node.kind === 'number' && !value.isWhole) made.push(...ofPoint(term, value, aim.base));
  return made;
}

function ofFraction(term: Term, value: Exact, base: number): readonly Expansion[] {
  const made: Expansion[] = [];
  const node = term.node;
  if (node.kind !== 'fraction') return [];
  const told = (variant: string, move: MoveId, terms: readonly Term[]) =>
    made.push({ variant, law: 'scale-both', move, terms });
  if (bottomOf(node) !== value.denominator) {
    const lowest = value.isWhole
      ? numberOf(value, base)
      : fractionOf(value.numerator, value.denominator);
    told('lowest', 'rename', one(term, lowest));
  }
  const whole = value.numerator / value.denominator;
  if (whole > 0n && !value.isWhole) {
    const bottom = bottomOf(node);
    const rest = ((value.numerator - whole * value.denominator) * bottom) / value.denominator;
    const number = numberOf(Exact.of(whole), base) as NumberNode;
    told('mixed', 'whole-as-parts', one(term, mixedNode(number, fractionOf(rest, bottom))));
  }
  if (decimalsNeeded(value, 10) !== null)
    told('point', 'other-writing', one(term, numberOf(value, 10)));
  return made;
}

/** A number with a point, or in hundredths, as a fraction. */
function ofPoint(term: Term, value: Exact, base: number): readonly Expansion[] {
  const { node } = term;
  const told = (variant: string, made: Node): Expansion => ({
    variant,
    law: 'scale-both',
    move: 'other-writing',
    terms: one(term, made),
  });
  const ten = 10n ** BigInt(decimalsNeeded(value, 10) ?? 0);
  const isPercent = node.kind === 'number' && node.isPercent;
  return [
    told('tenths', fractionOf((value.numerator * ten) / value.denominator, ten)),
    told('lowest', fractionOf(value.numerator, value.denominator)),
    ...(isPercent ? [told('point', numberOf(value, base))] : []),
  ];
}

/** Denominators to rename to: those that are aimed at, and what the present ones share. */
export function bottomsFor(old: readonly Term[], made: readonly Term[]): readonly bigint[] {
  const bottoms = (terms: readonly Term[]) =>
    terms.flatMap(({ node }) => bottomsIn(node)).filter((bottom) => bottom !== 1n);
  const own = bottoms(old);
  const shared = own.length > 1 ? [own.reduce(lcm), own.reduce((a, b) => a * b, 1n)] : [];
  return [...new Set([...bottoms(made), ...shared, ...own])];
}

function bottomsIn(node: Node): readonly bigint[] {
  switch (node.kind) {
    case 'product':
      return node.factors.flatMap((factor) => bottomsIn(factor.node));
    case 'sum':
      return node.terms.flatMap((term) => bottomsIn(term.node));
    case 'fraction':
    case 'mixed':
      return [bottomOf(node)];
    default:
      return [];
  }
}
