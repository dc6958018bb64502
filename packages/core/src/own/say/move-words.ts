import { usedText } from '../../laws/used.ts';
import type { Move } from '../judge/move.ts';

/** What is told of a move; empty where there is nothing to tell. */
export type ToldMove = {
  readonly move: string;
  readonly says: string;
  /** The same with the size of its change. */
  readonly change: string;
  /** What it was used on. */
  readonly used: string;
};

export function toldMove({ move, words, used }: Move): ToldMove {
  return { move, says: words.says, change: words.change ?? '', used: used ? usedText(used) : '' };
}

/** The moves of one line; moves of one name are told once. */
export function movesText(moves: readonly ToldMove[]): string {
  const names = new Map(moves.map(({ move, says }) => [move, says]));
  return [...names]
    .map(([name, says]) => {
      const own = moves.filter(({ move }) => move === name);
      const change = own.find((one) => one.change !== '')?.change;
      if (change !== undefined) return change;
      const used = own.map((one) => one.used).filter((text) => text !== '');
      return `${used.length > 0 ? `${used.join(', ')}: ` : ''}${says}`;
    })
    .join('; ');
}
