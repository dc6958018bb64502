/** A text that was changed for reading, with the place in the typed text that each of its characters comes from. */
export interface Spelled {
  readonly text: string;
  readonly at: readonly number[];
}

export function spelled(text: string): Spelled {
  return { text, at: Array.from({ length: text.length }, (_, index) => index) };
}

/** Part of a text, still with its places. */
export function piece({ text, at }: Spelled, from: number, to: number = text.length): Spelled {
  return { text: text.slice(from, to), at: at.slice(from, to) };
}

/** Without spaces around it. */
export function trimmed(of: Spelled): Spelled {
  const from = of.text.length - of.text.trimStart().length;
  return piece(of, from, Math.max(from, of.text.trimEnd().length));
}

/** The typed place of a character, or of the end. */
export function placeOf({ text, at }: Spelled, index: number): number {
  if (index < at.length) return at[index]!;
  return at.length === 0 ? 0 : at[text.length - 1]! + 1;
}

/** The pieces between the places where something matches. */
export function split(of: Spelled, sign: RegExp): readonly Spelled[] {
  const pieces: Spelled[] = [];
  let from = 0;
  for (const match of of.text.matchAll(sign)) {
    pieces.push(piece(of, from, match.index));
    from = match.index + match[0].length;
  }
  return [...pieces, piece(of, from)];
}

/** Every match replaced; null leaves it as it is. */
export function respelled(
  of: Spelled,
  pattern: RegExp,
  put: (...match: string[]) => string | null,
): Spelled {
  let text = '';
  const at: number[] = [];
  let from = 0;
  const keep = (to: number) => {
    text += of.text.slice(from, to);
    at.push(...of.at.slice(from, to));
    from = to;
  };
  for (const match of of.text.matchAll(pattern)) {
    const made = put(...match);
    if (made === null) continue;
    keep(match.index);
    text += made;
    at.push(...[...made].map(() => placeOf(of, match.index)));
    from = match.index + match[0].length;
  }
  keep(of.text.length);
  return { text, at };
}
