import { createToken, Lexer, type CustomPatternMatcherFunc, type TokenType } from 'chevrotain';

/**
 * The words of the problem language. Signs that people use for the same thing are one token:
 * `*` `×` `·` for times, `-` `−` `–` for minus, `÷` `:` and a slash between spaces for division.
 */

function pattern(match: (text: string, offset: number) => string | null): CustomPatternMatcherFunc {
  return (text, offset) => {
    const found = match(text, offset);
    return found === null ? null : ([found] as unknown as RegExpExecArray);
  };
}

/** The letter x is a times sign between two numbers (`46 x 58`) and where `46 ` is all that stands before it. */
function timesAsLetter(text: string, offset: number): string | null {
  const letter = text[offset];
  if (letter !== 'x' && letter !== 'X') return null;
  const before = text.slice(0, offset);
  const after = text.slice(offset + 1);
  if (!/\d\s*$/.test(before)) return null;
  if (/^\s*\d/.test(after)) return letter;
  return /^\s*\d[\d.,]*\s+$/.test(before) && /^\s*$/.test(after) ? letter : null;
}

export const Space = createToken({ name: 'Space', pattern: /\s+/, group: Lexer.SKIPPED });
export const BasedNumber = createToken({
  name: 'BasedNumber',
  pattern: /[0-9A-Fa-f]+(?:\.[0-9A-Fa-f]+)?_\d+/,
});
export const CommaNumber = createToken({ name: 'CommaNumber', pattern: /\d+(?:\.\d+)?,[\d.,]*/ });
export const PlainNumber = createToken({ name: 'PlainNumber', pattern: /\d+(?:\.\d+)?/ });
export const LetterTimes = createToken({
  name: 'LetterTimes',
  pattern: { exec: pattern(timesAsLetter) } as never,
  start_chars_hint: ['x', 'X'],
  line_breaks: false,
});
export const Times = createToken({ name: 'Times', pattern: /[*×·∙⋅✕✖]/ });
export const Divide = createToken({ name: 'Divide', pattern: /\s+\/\s+|÷|:/, line_breaks: true });
export const Slash = createToken({ name: 'Slash', pattern: /\// });
export const Plus = createToken({ name: 'Plus', pattern: /\+/ });
export const Minus = createToken({ name: 'Minus', pattern: /[-−–]/ });
export const Power = createToken({ name: 'Power', pattern: /\^/ });
export const RaisedNumber = createToken({ name: 'RaisedNumber', pattern: /[⁰¹²³⁴⁵⁶⁷⁸⁹]+/ });
export const Open = createToken({ name: 'Open', pattern: /\(/ });
export const Close = createToken({ name: 'Close', pattern: /\)/ });
export const Root = createToken({ name: 'Root', pattern: /√|sqrt\b/ });
const WORD = /\p{L}{4,}|\p{Lu}\p{L}*|[^\P{L}a-z]/uy;

/** Four letters or more, or any letter that cannot be an unknown: prose, not a computation. */
function wordAt(text: string, offset: number): string | null {
  WORD.lastIndex = offset;
  return WORD.exec(text)?.[0] ?? null;
}

export const Word = createToken({
  name: 'Word',
  pattern: { exec: pattern(wordAt) } as never,
  line_breaks: false,
});
export const Letter = createToken({ name: 'Letter', pattern: /[a-z]/ });

/** In the order they are tried. */
export const TOKENS: TokenType[] = [
  Divide,
  Space,
  BasedNumber,
  CommaNumber,
  PlainNumber,
  LetterTimes,
  Times,
  Slash,
  Plus,
  Minus,
  Power,
  RaisedNumber,
  Open,
  Close,
  Root,
  Word,
  Letter,
];

export const problemLexer = new Lexer(TOKENS, {
  positionTracking: 'onlyOffset',
  ensureOptimizations: false,
});
