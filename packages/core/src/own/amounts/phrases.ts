import { definePhrases, type Wording } from '../../phrases/phrasebook.ts';

const line: Wording<{ from: string; to: string; why: string }> = {
  digit: ({ from, to }) => (from === '' ? `**${to}** is put in.` : `**${to}** stands for ${from}.`),
  value: ({ from, to, why }) =>
    `${from === '' ? `${to} is nothing in all` : `${from} is **${to}**`}: ${why}.`,
};

const answer: Wording<Record<string, never>> = {
  digit: () => 'The last line',
  value: () => 'The last line',
};

/** What each step of someone's own lines says. */
export const { book: OWN_PHRASES, phrase: ownPhrase } = definePhrases({
  'own.line': line,
  'own.answer': answer,
});
