import { type Exact } from '../../exact/exact.ts';
import { decimalsNeeded } from '../../exact/numeral.ts';
import { bottomOf, isPlain } from '../../line/kinds.ts';
import {
  fractionOf,
  mixedNode,
  type Node,
  numberOf,
  type Term,
  wholeNode,
} from '../../line/node.ts';
import { one } from '../../line/terms.ts';
import type { Aim, Written } from '../move-spec.ts';
import type { Writing } from './writing.ts';

/** A number in other writings, those of one kind: renamed, as a mixed number, with a point. */
export function writingsOf(term: Term, aim: Aim, kind: Writing): readonly Written[] {
  const { node } = term;
  const value = node.value.rational;
  if (!value?.isConstant || !isPlain(node)) return [];
  const all = [
    ...overBottoms(term, value, aim),
    ...ofMixed(term, value),
    ...ofFraction(term, value, aim.base),
    ...ofPoint(term, value, aim.base),
  ];
  return all.flatMap(({ as, variant, made }) =>
    as === kind ? [{ variant, terms: one(term, made) }] : [],
  );
}

interface Told {
  readonly as: Writing;
  readonly variant: string;
  readonly made: Node;
}

/** Over each denominator that is aimed at. */
function overBottoms({ node }: Term, value: Exact, { bottoms }: Aim): readonly Told[] {
  const own = bottomOf(node);
  const over = (of: Exact, bottom: bigint) =>
    fractionOf((of.numerator * bottom) / of.denominator, bottom);
  return bottoms.flatMap((bottom): readonly Told[] => {
    const variant = `over ${bottom}`;
    if (bottom === own || bottom % value.denominator !== 0n) return [];
    if (node.kind === 'mixed') {
      const part = node.part.value.rational;
      if (!part || bottom % part.denominator !== 0n) return [];
      return [{ as: 'rename', variant, made: mixedNode(node.whole, over(part, bottom)) }];
    }
    const isWhole = node.kind === 'number' && value.isWhole;
    const as = node.kind === 'fraction' ? 'rename' : isWhole ? 'whole-as-parts' : 'other-writing';
    return [{ as, variant, made: over(value, bottom) }];
  });
}

/** A mixed number as parts alone. */
function ofMixed({ node }: Term, value: Exact): readonly Told[] {
  if (node.kind !== 'mixed') return [];
  const bottom = bottomOf(node);
  const made = fractionOf((value.numerator * bottom) / value.denominator, bottom);
  return [{ as: 'whole-as-parts', variant: 'improper', made }];
}

/** A fraction in lowest terms, as a mixed number, with a point. */
function ofFraction({ node }: Term, value: Exact, base: number): readonly Told[] {
  if (node.kind !== 'fraction') return [];
  const made: Told[] = [];
  const bottom = bottomOf(node);
  if (bottom !== value.denominator) {
    const lowest = value.isWhole
      ? numberOf(value, base)
      : fractionOf(value.numerator, value.denominator);
    made.push({ as: 'rename', variant: 'lowest', made: lowest });
  }
  const whole = value.numerator / value.denominator;
  if (whole > 0n && !value.isWhole) {
    const rest = ((value.numerator - whole * value.denominator) * bottom) / value.denominator;
    const mixed = mixedNode(wholeNode(whole, base), fractionOf(rest, bottom));
    made.push({ as: 'whole-as-parts', variant: 'mixed', made: mixed });
  }
  if (decimalsNeeded(value, 10) !== null)
    made.push({ as: 'other-writing', variant: 'point', made: numberOf(value, 10) });
  return made;
}

/** A number with a point, or in hundredths, as a fraction. */
function ofPoint({ node }: Term, value: Exact, base: number): readonly Told[] {
  if (node.kind !== 'number' || value.isWhole) return [];
  const ten = 10n ** BigInt(decimalsNeeded(value, 10) ?? 0);
  const told = (variant: string, made: Node): Told => ({ as: 'other-writing', variant, made });
  return [
    told('tenths', fractionOf((value.numerator * ten) / value.denominator, ten)),
    told('lowest', fractionOf(value.numerator, value.denominator)),
    ...(node.isPercent ? [told('point', numberOf(value, base))] : []),
  ];
}
