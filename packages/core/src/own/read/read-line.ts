import { Exact } from '../../exact/exact.ts';
import { Surd } from '../../exact/surd.ts';
import { type Term, termsOf } from '../../line/node.ts';
import { evaluateSurd } from '../../problem/evaluate.ts';
import type { Expression } from '../../problem/expression.ts';
import { failureText, type ProblemFailure } from '../../problem/failure.ts';
import { hasLetters } from '../../problem/letters.ts';
import { lettersFailure } from '../../problem/limits.ts';
import { readExpression } from '../../problem/read-expression.ts';
import { withoutAmountWords } from '../../problem/amount-words.ts';
import { type Asked, lettersIn, operandsOf } from './asked.ts';
import {
  piece,
  placeOf,
  respelled,
  spelled,
  type Spelled,
  split,
  trimmed,
} from '../../problem/spelling.ts';
import { withoutUnits } from './units-in.ts';

/** One side of a sign: a computation with its worth. */
export interface Side {
  /** As it was typed. */
  readonly text: string;
  readonly expression: Expression;
  readonly terms: readonly Term[];
  readonly value: Surd;
  /** The other of two readings in common use, where it is worth something else. */
  readonly other: Side | null;
  /** What is left over, behind `r`; the value is then with its share of the divisor. */
  readonly rest: Exact | null;
}

/** A hop from where the last one landed; its size is null where it was not written. */
export interface Hop {
  readonly size: Side | null;
  readonly landing: Side;
}

export type LineRead =
  | Unread
  | { readonly kind: 'note'; readonly isSketch?: true }
  | {
      readonly kind: 'compared';
      readonly sign: '≈' | '<' | '>' | '≤' | '≥' | '≠';
      readonly sides: readonly [Side, Side];
    }
  | {
      readonly kind: 'chain';
      /** Whether the line begins with an equals sign. */
      readonly goesOn: boolean;
      readonly sides: readonly Side[];
      /** Where each equals sign stands in the typed line, from 0; the first before the first side where it goes on. */
      readonly signs: readonly number[];
      readonly form: LineForm;
      readonly units: readonly string[];
    }
  | {
      readonly kind: 'hops';
      readonly start: Side;
      readonly hops: readonly Hop[];
      readonly units: readonly string[];
    }
  | {
      readonly kind: 'table';
      readonly rows: readonly (readonly [Side, Side])[];
      readonly units: readonly string[];
    };

/** How a typed line is parted by its equals signs. */
export interface LineForm {
  /** Whether it begins with one. */
  readonly goesOn: boolean;
  /** What stands between them, as it was typed. */
  readonly sides: readonly string[];
  /** Whether nothing stands behind the last one yet. */
  readonly waits: boolean;
}

export interface Unread {
  readonly kind: 'unread';
  /** The first character that does not fit, from 0 in the typed line. */
  readonly at: number;
  readonly reason: string;
}

/** The longest line that is read. */
const LONGEST_LINE = 1000;

class Stuck extends Error {
  constructor(
    readonly at: number,
    message: string,
  ) {
    super(message);
  }
}

/** Reads one line of someone's own working. Never throws on bad text. */
export function readLine(typed: string, asked: Asked): LineRead {
  if (typed.length > LONGEST_LINE) {
    const reason = `The line is ${typed.length} characters long; up to ${LONGEST_LINE} are read.`;
    return { kind: 'unread', at: LONGEST_LINE, reason };
  }
  try {
    return new LineReader(asked).read(typed);
  } catch (error) {
    if (error instanceof Stuck) return { kind: 'unread', at: error.at, reason: error.message };
    throw error;
  }
}

const EQUALS = /=/g;
const ARROW = /→|->|⟶|➝/g;
const COMPARED = /≈|<=|>=|≤|≥|≠|<|>/;
/** Two letters side by side that are no unit and no unknown: words. */
const WORDS = /\p{L}{2,}/gu;

/**
 * Numbers of a problem in another base than ten are in its base without saying so; exponents, bases and what is left over
 * are not.
 */
function inBase(line: Spelled, base: number): Spelled {
  if (base === 10) return line;
  const figures = base > 10 ? '[0-9A-F]' : '[0-9]';
  const number = new RegExp(
    `(?<![\\p{L}\\d._^]|[rR]\\.?\\s*)${figures}+(?:\\.${figures}+)?(?![\\p{L}\\d._])`,
    'gu',
  );
  return respelled(line, number, (own) => `${own}_${base}`);
}

class LineReader {
  constructor(private readonly asked: Asked) {}

  read(typed: string): LineRead {
    const plain = spelled(typed.replace(/[\u00a0\u2009\u202f]/g, ' '));
    const amounts = withoutAmountWords(inBase(plain, this.asked.base));
    const { line, units } = withoutUnits(amounts, this.asked.letters);
    const bare = trimmed(line);
    if (isSketch(bare.text)) return { kind: 'note', isSketch: true };
    if (bare.text === '' || this.hasWords(bare.text)) return { kind: 'note' };
    if (bare.text.includes('|')) return { kind: 'table', rows: this.rows(bare), units };
    if (/→|->|⟶|➝/.test(bare.text)) return { ...this.hops(bare), units };
    if (COMPARED.test(bare.text)) return this.compared(bare);
    return { ...this.chain(bare, typed), units };
  }

  private hasWords(text: string): boolean {
    const words = text.match(WORDS) ?? [];
    return words.some((word) => {
      if (/^(sqrt|rest|remainder)$/i.test(word)) return false;
      if (this.asked.base > 10 && /^[A-F]+$/.test(word)) return false;
      return [...word].some((letter) => !this.asked.letters.has(letter) && letter !== 'x');
    });
  }

  private chain(line: Spelled, typed: string): Omit<Extract<LineRead, { kind: 'chain' }>, 'units'> {
    const goesOn = line.text.startsWith('=');
    const body = goesOn ? trimmed(piece(line, 1)) : line;
    const pieces = split(body, EQUALS);
    const last = pieces.at(-1)!;
    // The last sign may wait for its number.
    const told = pieces.length > 1 && last.text.trim() === '' ? pieces.slice(0, -1) : pieces;
    const signs = [...line.text.matchAll(EQUALS)].map((match) => placeOf(line, match.index));
    const form = {
      goesOn,
      sides: typedSides(typed, signs, goesOn, told.length),
      waits: told !== pieces,
    };
    return { kind: 'chain', goesOn, sides: told.map((own) => this.side(own)), signs, form };
  }

  private compared(line: Spelled): LineRead {
    const match = COMPARED.exec(line.text)!;
    const sign = ({ '<=': '≤', '>=': '≥' }[match[0]] ?? match[0]) as '≈';
    const before = piece(line, 0, match.index);
    const after = piece(line, match.index + match[0].length);
    // A comparison may stand behind what is compared on the line before.
    if (before.text.trim() === '') return { kind: 'note' };
    return { kind: 'compared', sign, sides: [this.side(before), this.side(after)] };
  }

  /** `387 +13→ 400 +242→ 642`: a number, then the size before each arrow and the landing behind it. */
  private hops(line: Spelled): { kind: 'hops'; start: Side; hops: readonly Hop[] } {
    const pieces = split(line, ARROW).map(trimmed);
    const [first, ...others] = pieces.map((own, index) =>
      index < pieces.length - 1
        ? this.landingAndSize(own)
        : { landing: this.side(own), size: null },
    );
    let { size } = first!;
    const hops = others.map((next) => {
      const hop = { size, landing: next.landing };
      size = next.size;
      return hop;
    });
    return { kind: 'hops', start: first!.landing, hops };
  }

  /** A landing with the size of the next hop behind it, `400 +242`. */
  private landingAndSize(own: Spelled): { landing: Side; size: Side | null } {
    const match = /^(.*?[\d)])\s*([-+−–].*)$/.exec(own.text);
    if (!match) return { landing: this.side(own), size: null };
    const cut = match[1]!.length;
    const size = trimmed(piece(own, cut));
    const plus = size.text.startsWith('+') ? trimmed(piece(size, 1)) : size;
    return { landing: this.side(piece(own, 0, cut)), size: this.side(plus) };
  }

  /** `1 | 7`, or several pairs with a comma or semicolon between them. */
  private rows(line: Spelled): readonly (readonly [Side, Side])[] {
    return split(line, /[;,]/g).map((row) => {
      const [left, right, ...more] = split(row, /\|/g).filter(({ text }) => text.trim() !== '');
      if (!left || !right || more.length > 0) {
        throw new Stuck(placeOf(row, 0), 'A line of a table has two numbers with | between them.');
      }
      return [this.side(left), this.side(right)] as const;
    });
  }

  private side(typed: Spelled): Side {
    const own = trimmed(typed);
    const match = /^(.*\d)\s*(?:r|R|rest|remainder)\.?\s*(\d+)$/.exec(own.text);
    if (match) {
      return this.withRest(own, match[1]!.length, BigInt(match[2]!));
    }
    const strict = this.sideAs(own, false);
    const loose = this.looseSide(own);
    return loose && !loose.value.equals(strict.value) ? { ...strict, other: loose } : strict;
  }

  /** `136 r 3`, worth 136 and so much of the divisor. */
  private withRest(own: Spelled, length: number, count: bigint): Side {
    const whole = this.side(piece(own, 0, length));
    const [, divisor] = operandsOf(this.asked);
    const part = divisor && Surd.of(Exact.of(count)).dividedBy(divisor);
    if (this.asked.expression.kind !== 'quotient' || !part) {
      throw new Stuck(
        placeOf(own, length),
        'A rest can only be told of a quotient of two numbers.',
      );
    }
    return { ...whole, text: own.text, value: whole.value.plus(part), rest: Exact.of(count) };
  }

  private looseSide(own: Spelled): Side | null {
    if (!/[÷:/^²³⁴⁵⁶⁷⁸⁹]/.test(own.text)) return null;
    try {
      return this.sideAs(own, true);
    } catch (error) {
      if (error instanceof Stuck) return null;
      throw error;
    }
  }

  private sideAs(own: Spelled, loosely: boolean): Side {
    const read = readExpression(own.text, { boxes: true, loosely });
    if (!read.ok)
      throw new Stuck(placeOf(own, failedAt(read.reason, own.text)), failureText(read.reason));
    const { expression } = read;
    const stranger = lettersIn(expression).find((letter) => !this.asked.letters.has(letter));
    if (stranger !== undefined) {
      const at = placeOf(own, own.text.indexOf(stranger));
      throw new Stuck(at, `The letter ${stranger} does not stand in ${this.asked.text}.`);
    }
    const excess = hasLetters(expression) ? lettersFailure(expression) : null;
    if (excess) throw new Stuck(placeOf(own, 0), failureText(excess));
    const box = this.asked.value;
    const made = evaluateSurd(expression, { letters: true, box });
    if (!made.ok) throw new Stuck(placeOf(own, 0), made.fault);
    return {
      text: own.text,
      expression,
      terms: termsOf(expression, box),
      value: made.value,
      other: null,
      rest: null,
    };
  }
}

/** What stands between equals signs of a typed line, so many sides of them. */
function typedSides(
  typed: string,
  signs: readonly number[],
  goesOn: boolean,
  count: number,
): readonly string[] {
  const starts = [...(goesOn ? [] : [0]), ...signs.map((at) => at + 1)];
  const ends = [...signs.slice(goesOn ? 1 : 0), typed.length];
  return starts.slice(0, count).map((start, k) => typed.slice(start, ends[k]).trim());
}

/** Strokes, dots, boxes and lines drawn with signs alone, `||||| ||` or `●●●○`, without a figure or a sign of working. */
function isSketch(text: string): boolean {
  const isDrawn = /^[\s|/\\_\-–—*.:'’,[\]<>^~#\u2500-\u27bf\u2b00-\u2bff]+$/u.test(text);
  return isDrawn && text.replace(/\s/g, '').length > 1;
}

/** The character of a piece that a failure points at, from 0; its end where something is missing. */
function failedAt(reason: ProblemFailure, text: string): number {
  if ('at' in reason) return reason.at - 1;
  return reason.code === 'empty' ? 0 : text.length;
}
