/** A text for a terminal: characters that a terminal obeys, and such as turn the direction of writing, are shown as a mark. */
export function printable(text: string): string {
  return text.replace(/(?!\n)[\p{Cc}\p{Cf}\p{Zl}\p{Zp}]/gu, '\uFFFD');
}
