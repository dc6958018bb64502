import type { Random } from '../exact/random.ts';
import { mixedNumeral, numeralOf, numeralValue, type Numeral } from '../exact/numeral.ts';
import { makeProblem, type Problem } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';

/** A problem of the same kind with numbers of as many figures; null where none can be made up. */
export function anotherLike(like: Problem, random: Random): Problem | null {
  if (scriptOf(like) === 'terms' || like.kind === 'root' || like.kind === 'expression') {
    return null;
  }
  const made = like.operands.map((operand) => anotherNumber(operand, random));
  const turns =
    like.kind === 'difference' && numeralValue(made[0]!).compare(numeralValue(made[1]!)) < 0;
  return makeProblem(like.kind, turns ? [...made].reverse() : made);
}

/** As many figures, zeros more often than by chance, so that what happens beside them is met. */
function anotherNumber({ digits, decimals, base, fraction }: Numeral, random: Random): Numeral {
  const draw = (least: number, most: number) =>
    least + Math.floor(random.next() * (most - least + 1));
  if (fraction) {
    const bottom = draw(2, 12);
    return mixedNumeral(
      numeralValue({ digits, decimals, base }).isZero ? 0n : BigInt(draw(1, 6)),
      BigInt(draw(1, bottom - 1)),
      BigInt(bottom),
    );
  }
  // Now and then a number of fewer figures, on which some habits cannot show.
  const fewer = digits.length - decimals > 1 && random.next() < 0.2 ? 1 : 0;
  const kept = digits.slice(0, digits.length - fewer);
  const figures = kept.map((_, k) =>
    k === kept.length - 1 && kept.length > 1
      ? draw(1, base - 1)
      : random.next() < 0.15
        ? 0
        : draw(0, base - 1),
  );
  if (figures.every((figure) => figure === 0)) return { ...numeralOf(1n, base), decimals };
  return { digits: figures, decimals, base };
}
