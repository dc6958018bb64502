import { type Exact } from '../../exact/exact.ts';
import { Surd } from '../../exact/surd.ts';
import { factorsOf, isSame, repeated } from '../../line/factors.ts';
import { flat, type Node, type Term, termValue } from '../../line/node.ts';
import { placesOf } from '../../line/places.ts';

/** How the factors are cut so that each part with each part is one of the terms; null where they are not. */
export function eachCuts(
  node: Node,
  made: readonly Term[],
  base: number,
): readonly (readonly Surd[])[] | null {
  const factors = repeated(node);
  if (made.length < 4 || factors.length < 2 || factors.some(({ under }) => under)) return null;
  const wanted = made.map(termValue);
  const numbers = factorsIn(made);
  const choices = factors.map((factor) => cutsOf(factor.node, numbers, base));
  for (const cuts of combinations(choices, made.length)) {
    if (cuts.filter((cut) => cut.length > 1).length < 2) continue;
    const products = cuts.reduce((all, cut) => all.flatMap((a) => cut.map((b) => a.times(b))));
    if (isSame(products, wanted)) return cuts;
  }
  return null;
}

function factorsIn(terms: readonly Term[]): readonly Exact[] {
  const all = terms.flatMap(({ node }) =>
    factorsOf(node).flatMap(({ node: factor }) =>
      factor.kind === 'number' ? [factor.amount] : [],
    ),
  );
  return [...new Map(all.map((amount) => [amount.toString(), amount])).values()];
}

/** The ways a factor can be cut: as its bracket says; a number whole, by places, or by two numbers that stand there. */
function cutsOf(node: Node, numbers: readonly Exact[], base: number): readonly (readonly Surd[])[] {
  if (node.kind === 'sum') return [flat(node.terms).map(termValue)];
  const whole = [node.value];
  if (node.kind === 'mixed') return [whole, [node.whole.value, node.part.value]];
  if (node.kind !== 'number') return [whole];
  const places = placesOf(node.amount, base)?.map((amount) => Surd.of(amount)) ?? whole;
  const pairs = numbers
    .filter((part) => numbers.some((other) => areParts(part, other, node.amount)))
    .map((part) => [Surd.of(part), Surd.of(node.amount.minus(part))]);
  return [whole, places, ...pairs];
}

function areParts(part: Exact, other: Exact, whole: Exact): boolean {
  return other.equals(whole.minus(part)) || other.equals(part.minus(whole));
}

/** How many ways of cutting all factors are looked at. */
const MOST_COMBINED = 500;

/** One option of each choice, so that their lengths multiply to a count. */
function combinations<T>(
  choices: readonly (readonly (readonly T[])[])[],
  count: number,
): readonly (readonly (readonly T[])[])[] {
  const [first, ...rest] = choices;
  if (!first) return count === 1 ? [[]] : [];
  return first
    .filter((option) => count % option.length === 0)
    .flatMap((option) =>
      combinations(rest, count / option.length).map((others) => [option, ...others]),
    )
    .slice(0, MOST_COMBINED);
}
