import type { Phrase, PhraseValues } from '../account/account.ts';
import type { Speaker } from './speaker.ts';

/** The two ways in which every step is said. */
export type Voice = 'digit' | 'value';

/** The wording of one message: a plain sentence in each voice; `**` marks what is stressed. */
export interface Wording<V extends PhraseValues = PhraseValues> {
  readonly digit: (values: V, say: Speaker) => string;
  readonly value: (values: V, say: Speaker) => string;
}

/** Wordings by message key. */
export type Phrasebook = Readonly<Record<string, Wording>>;

type ValuesOf<W> = W extends Wording<infer V> ? V : never;

/**
 * A phrasebook and the function that makes its phrases. The values are checked against the wording
 * when it is compiled, so a phrase cannot lack what its sentence needs. `wordings` is for books that
 * take another's sentences in.
 */
export function definePhrases<T extends Record<string, Wording<never>>>(wordings: T) {
  const make = <K extends keyof T & string>(key: K, values: ValuesOf<T[K]>): Phrase => ({
    key,
    values: values,
  });
  return { book: wordings as unknown as Phrasebook, wordings, phrase: make };
}

/** The same words in both voices. */
export function plain<V extends PhraseValues>(
  text: (values: V, say: Speaker) => string,
): Wording<V> {
  return { digit: text, value: text };
}

/** One sentence without values, the same in both voices. */
export function fixed(text: string): Wording<Record<string, never>> {
  return { digit: () => text, value: () => text };
}

/**
 * Renders a phrase with stress marks; digit voice says what stands on the paper. Throws RangeError when
 * the book lacks the key.
 */
export function sayMarked(book: Phrasebook, phrase: Phrase, voice: Voice, say: Speaker): string {
  const wording = book[phrase.key];
  if (!wording) throw new RangeError(`sayMarked: no wording for "${phrase.key}"`);
  return say.spelt(wording[voice](phrase.values, voice === 'digit' ? say.onPaper : say));
}

/** Renders a phrase as plain text. */
export function sayPlain(book: Phrasebook, phrase: Phrase, voice: Voice, say: Speaker): string {
  return sayMarked(book, phrase, voice, say).replaceAll('**', '');
}

export interface PhrasePiece {
  readonly text: string;
  readonly stressed: boolean;
}

/** Splits marked text into plain and stressed pieces, for screens. */
export function phrasePieces(marked: string): readonly PhrasePiece[] {
  return marked
    .split('**')
    .map((text, index) => ({ text, stressed: index % 2 === 1 }))
    .filter((piece) => piece.text !== '');
}
