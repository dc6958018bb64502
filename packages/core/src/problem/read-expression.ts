import { EOF, type ILexingResult, type IToken } from 'chevrotain';
import type { Expression } from './expression.ts';
import type { ProblemFailure } from './failure.ts';
import { problemGrammar, ProblemRefusal } from './grammar.ts';
import { overLimit } from './limits.ts';
import { LIMITS } from './bounds.ts';
import * as t from './tokens.ts';

export type ReadExpression =
  | {
      readonly ok: true;
      readonly expression: Expression;
      /** The answer that was typed behind an equals sign. */
      readonly claimed?: Expression;
      /** The currency that stands beside a number, such as `€`. */
      readonly unit?: string;
    }
  | { readonly ok: false; readonly reason: ProblemFailure };

export interface ReadOptions {
  /** Whether a comma between two figures is the sign before the tenths. */
  readonly decimalComma?: boolean;
  /** Whether a box, `□` or `?`, may stand for the number that is looked for. */
  readonly boxes?: boolean;
  /** Whether the other of two readings in common use is taken: `6 ÷ 2(1+2)`, `−3²`, `2/3x`. */
  readonly loosely?: boolean;
}

/**
 * Reads a computation as people write it: `12,5` where the comma can only stand before tenths, `12 345`, `.5`, currencies, a
 * trailing `=`, or an equals sign with an answer behind it. Never throws on bad text.
 */
export function readExpression(source: string, options: ReadOptions = {}): ReadExpression {
  const { decimalComma = false } = options;
  if (source.length > LIMITS.text) {
    const { length } = source;
    return { ok: false, reason: { code: 'text-too-long', length, limit: LIMITS.text } };
  }
  const plain = plainCharacters(source);
  const unit = CURRENCY.exec(plain)?.[0];
  const bare = plain.replace(new RegExp(CURRENCY, 'gu'), ' ');
  const typed = decimalComma ? bare.replace(/(\d),(?=\d)/g, '$1.') : withSurePoints(bare);
  const [text, claim] = atEqualsSign(typed);
  if (text.trim() === '') return { ok: false, reason: { code: 'empty' } };
  const read = readPlain(text, options);
  if (!read.ok) return read;
  const claimed = claim === '' ? null : readPlain(claim, options);
  if (claimed && !claimed.ok) {
    return { ok: false, reason: { code: 'answer-unread', found: claim.trim() } };
  }
  return {
    ...read,
    ...(claimed ? { claimed: claimed.expression } : {}),
    ...(unit ? { unit } : {}),
  };
}

const CURRENCY = /\p{Sc}/u;

/** A comma that cannot stand between thousands stands before tenths: `12,5`, `3,75`. */
function withSurePoints(text: string): string {
  return text.replace(
    /(?<![\d.,])(\d+),(\d+)(?![\d.,])/g,
    (whole, before: string, after: string) =>
      after.length === 3 && before.length <= 3 && before !== '0' ? whole : `${before}.${after}`,
  );
}

/** What is asked, and what stands behind the one equals sign. */
function atEqualsSign(typed: string): readonly [asked: string, answer: string] {
  const at = typed.indexOf('=');
  if (at < 0 || typed.indexOf('=', at + 1) >= 0) return [typed.trimEnd(), ''];
  return [typed.slice(0, at).trimEnd(), typed.slice(at + 1).trim()];
}

function readPlain(text: string, { boxes = false, loosely = false }: ReadOptions): ReadExpression {
  const lexed = t.problemLexer.tokenize(text);
  const reason =
    lexicalFailure(text, lexed) ??
    (boxes ? null : boxFailure(lexed.tokens)) ??
    nestingFailure(lexed.tokens);
  return reason ? { ok: false, reason } : parse(lexed.tokens, loosely);
}

function boxFailure(tokens: readonly IToken[]): ProblemFailure | null {
  const box = tokens.find(({ tokenType }) => tokenType === t.Box);
  return box ? { code: 'unknown-character', found: box.image, at: box.startOffset + 1 } : null;
}

/** Full-width and other compatibility figures become plain ones, one character for one; exponents stay. */
function plainCharacters(source: string): string {
  return [...source]
    .map((character) => {
      if (/[⁰¹²³⁴-⁹]/.test(character)) return character;
      const plain = character.normalize('NFKC');
      return plain.length === 1 ? plain : character;
    })
    .join('');
}

function lexicalFailure(text: string, { tokens, errors }: ILexingResult): ProblemFailure | null {
  const word = tokens.find((token) => token.tokenType === t.Word);
  const error = errors[0];
  if (word && (!error || word.startOffset < error.offset)) {
    return { code: 'word', found: word.image, at: word.startOffset + 1 };
  }
  if (error) {
    const found = String.fromCodePoint(text.codePointAt(error.offset) ?? 63);
    return { code: 'unknown-character', found, at: error.offset + 1 };
  }
  const comma = tokens.find((token) => token.tokenType === t.CommaNumber);
  if (!comma) return null;
  return { code: 'comma-in-number', at: comma.startOffset + comma.image.indexOf(',') + 1 };
}

/** How deep things stand inside each other: brackets, and the roots and minuses in a row before them. */
function nestingFailure(tokens: readonly IToken[]): ProblemFailure | null {
  const open: { at: number; depth: number }[] = [];
  let depth = 0;
  let inRow = 0;
  for (const { tokenType, startOffset } of tokens) {
    const at = startOffset + 1;
    if (tokenType === t.Open) {
      open.push({ at, depth });
      depth += inRow + 1;
    }
    if (tokenType === t.Close) {
      const opened = open.pop();
      if (!opened) return { code: 'bracket-unopened', at };
      depth = opened.depth;
    }
    inRow = tokenType === t.Root || tokenType === t.Minus ? inRow + 1 : 0;
    if (depth + inRow > LIMITS.brackets) {
      return { code: 'brackets-too-deep', at, limit: LIMITS.brackets };
    }
  }
  const last = open.pop();
  if (last) return { code: 'bracket-open', at: last.at };
  return tokens.length > LIMITS.signs ? overLimit('signs') : null;
}

function parse(tokens: IToken[], isLoose: boolean): ReadExpression {
  const grammar = problemGrammar();
  grammar.input = tokens;
  grammar.isLoose = isLoose;
  try {
    const expression = grammar.sum();
    const error = grammar.errors[0];
    if (!error) return { ok: true, expression };
    return { ok: false, reason: grammarFailure(tokens, error.token) };
  } catch (error) {
    if (error instanceof ProblemRefusal) return { ok: false, reason: error.failure };
    throw error;
  }
}

const NUMBERS = new Set([t.PlainNumber, t.BasedNumber]);
const SIGNS = new Set([t.Times, t.LetterTimes, t.Divide, t.Plus, t.Minus, t.Slash, t.Power]);

/** Turns the first token that does not fit into a sentence's worth of reason. */
function grammarFailure(tokens: readonly IToken[], stuck: IToken): ProblemFailure {
  const index = tokens.indexOf(stuck);
  const before = tokens[index < 0 ? tokens.length - 1 : index - 1];
  const sign = before && SIGNS.has(before.tokenType) ? before : undefined;
  if (stuck.tokenType === EOF || index < 0 || stuck.tokenType === t.Close) {
    const after = sign ?? before ?? stuck;
    return { code: 'number-missing-after', sign: image(after), at: after.startOffset + 1 };
  }
  const at = stuck.startOffset + 1;
  if (NUMBERS.has(stuck.tokenType)) return { code: 'sign-missing-before', found: stuck.image, at };
  if (sign) return { code: 'repeated-sign', found: image(stuck), at };
  return { code: 'number-missing-before', sign: image(stuck), at };
}

function image(token: IToken): string {
  return token.image.trim();
}
