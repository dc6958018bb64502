import { movesText, type ToldMove } from '../say/move-words.ts';
import { definePhrases, type Wording } from '../../phrases/phrasebook.ts';

/** Why a line holds that tells of no move: it is written again, worked out, or goes on in the same breath. */
export type Plainly = 'again' | 'worked out' | 'both sides' | 'and then';

const PLAINLY: Readonly<Record<Plainly, string>> = {
  again: 'it is written again',
  'worked out': 'worked out',
  'both sides': 'both sides are worked out',
  'and then': 'an equals sign says “and then”',
};

/** `moves` is empty where `plainly` tells why it holds. */
interface LineTold {
  readonly [name: string]: string | readonly ToldMove[];
  readonly from: string;
  readonly to: string;
  readonly moves: readonly ToldMove[];
  readonly plainly: Plainly;
}

const line: Wording<LineTold> = {
  digit: ({ from, to }) => (from === '' ? `**${to}** is put in.` : `**${to}** stands for ${from}.`),
  value: ({ from, to, moves, plainly }) => {
    const why = moves.length > 0 ? movesText(moves) : PLAINLY[plainly];
    return `${from === '' ? `${to} is nothing in all` : `${from} is **${to}**`}: ${why}.`;
  },
};

const letGo: Wording<{ what: string }> = {
  digit: ({ what }) => `${what}: nothing is left of it.`,
  value: ({ what }) => `What is in both numbers comes to nothing: ${what}.`,
};

const jump: Wording<{ from: string; to: string; size: string }> = {
  digit: ({ from, to, size }) => `From ${from} a jump of **${size}** lands on ${to}.`,
  value: ({ from, to, size }) => `From ${from} to ${to} it is **${size}**.`,
};

const answer: Wording<Record<string, never>> = {
  digit: () => 'The last line',
  value: () => 'The last line',
};

/** What each step of someone's own lines says. */
export const { book: OWN_PHRASES, phrase: ownPhrase } = definePhrases({
  'own.line': line,
  'own.jump': jump,
  'own.let-go': letGo,
  'own.answer': answer,
});
