import { Exact } from '../../../../exact/exact.ts';
import { Surd } from '../../../../exact/surd.ts';
import { type Node, productNode, type Term, termValue } from '../../../../line/node.ts';
import { times } from '../../../../line/terms.ts';
import { number } from '../parts.ts';
import type { FalseRule } from '../rule.ts';

export const UNLIKE_JOINED: FalseRule = {
  id: 'unlike-joined',
  truth: 'Only terms with the same letters are counted together.',
  counter: { from: '3x + 4', line: '7x' },
  write: (from) => unlikeJoined(from),
};

/** A number goes to the count of a letter: 3x + 4 as 7x. */
function unlikeJoined(from: readonly Term[]): readonly (readonly Term[])[] {
  const [a, b, ...more] = from;
  if (!a || !b || more.length > 0) return [];
  const parts = [a, b].map((term) => termValue(term).rational?.parts() ?? []);
  if (parts.some((list) => list.length !== 1)) return [];
  const [x, y] = parts.map(([only]) => only!);
  if (x!.letters === y!.letters) return [];
  const count = x!.coefficient.plus(y!.coefficient);
  const letters = [...new Set([...`${x!.letters}${y!.letters}`])].filter((glyph) =>
    /[a-z]/.test(glyph),
  );
  if (count.isZero || letters.length !== 1) return [];
  const name = letters[0]!;
  const letter: Node = { kind: 'letter', name, key: name, value: Surd.of(Exact.letter(name)) };
  return [
    [
      {
        minus: count.isNegative,
        node: productNode([times(number(count.absolute())), times(letter)]),
      },
    ],
  ];
}
