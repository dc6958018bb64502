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

const SPACE = /\s/;
const DIGIT = /\d/;

/** The offset of the first character that is no space, going on by `step` from `from`. */
function pastSpaces(text: string, from: number, step: 1 | -1): number {
  let at = from;
  while (at >= 0 && at < text.length && SPACE.test(text[at]!)) at += step;
  return at;
}

/** The letter x is a times sign between two numbers (`46 x 58`) and where `46 ` is all that stands before it. */
function timesAsLetter(text: string, offset: number): string | null {
  const letter = text[offset];
  if (letter !== 'x' && letter !== 'X') return null;
  const before = pastSpaces(text, offset - 1, -1);
  if (before < 0 || !DIGIT.test(text[before]!)) return null;
  const after = pastSpaces(text, offset + 1, 1);
  if (after < text.length) return DIGIT.test(text[after]!) ? letter : null;
  return before < offset - 1 && /^\s*\d[\d.,]*\s+$/.test(text.slice(0, offset)) ? letter : null;
}

const Space = createToken({ name: 'Space', pattern: /\s+/, group: Lexer.SKIPPED });

const RUN = /[0-9A-Fa-f.]*/y;
const BASE = /_\d+/y;
/** The run of figures and points that was looked at last, so that a long one is walked through once. */
const run = { text: '', from: 0, end: 0 };

/** Figures with the base behind them. */
function basedNumber(text: string, offset: number): string | null {
  // A text may be read again, from its beginning.
  if (run.text !== text || offset < run.from || offset >= run.end) {
    RUN.lastIndex = offset;
    run.text = text;
    run.from = offset;
    run.end = offset + RUN.exec(text)![0].length;
  }
  BASE.lastIndex = run.end;
  const base = BASE.exec(text)?.[0];
  return base && isPointed(text, offset, run.end) ? text.slice(offset, run.end) + base : null;
}

/** Whether figures from one offset to another have at most one point, and that between two of them. */
function isPointed(text: string, from: number, to: number): boolean {
  const point = text.indexOf('.', from);
  if (point < 0 || point >= to) return to > from;
  const next = text.indexOf('.', point + 1);
  return point > from && point < to - 1 && (next < 0 || next >= to);
}

export const BasedNumber = createToken({
  name: 'BasedNumber',
  pattern: { exec: pattern(basedNumber) },
  line_breaks: false,
});
export const CommaNumber = createToken({ name: 'CommaNumber', pattern: /\d+(?:\.\d+)?,[\d.,]*/ });
/** Figures, perhaps in threes (`12 345`; not before a slash, where the last ones are a numerator), or from a point on (`.5`). */
export const PlainNumber = createToken({
  name: 'PlainNumber',
  pattern: /(?:\d{1,3}(?:[ ']\d{3})+(?![\d/])|\d+)(?:\.\d+)?|\.\d+/,
  line_breaks: false,
});
export const LetterTimes = createToken({
  name: 'LetterTimes',
  pattern: { exec: pattern(timesAsLetter) },
  start_chars_hint: ['x', 'X'],
  line_breaks: false,
});
export const Times = createToken({ name: 'Times', pattern: /[*×·∙⋅✕✖]/ });
export const Divide = createToken({
  name: 'Divide',
  pattern: /\s+\/\s+|÷|:/,
  line_breaks: true,
});
export const Slash = createToken({ name: 'Slash', pattern: /\// });
export const Percent = createToken({ name: 'Percent', pattern: /%/ });
/** The number that is looked for. */
export const Box = createToken({ name: 'Box', pattern: /[□▢◻☐?]/ });
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
  pattern: { exec: pattern(wordAt) },
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
  Percent,
  Box,
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
  // Some words are found by code, so first characters decide nothing; a test validates the words.
  safeMode: true,
  skipValidations: true,
});
