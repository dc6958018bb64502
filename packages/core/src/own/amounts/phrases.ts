import { definePhrases, type Wording } from '../../phrases/phrasebook.ts';

const line: Wording<{ from: string; to: string; why: string }> = {
  digit: ({ from, to }) => (from === '' ? `**${to}** is put in.` : `**${to}** stands for ${from}.`),
  value: ({ from, to, why }) =>
    `${from === '' ? `${to} is nothing in all` : `${from} is **${to}**`}: ${why}.`,
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
