import { Exact } from '../exact/exact.ts';
import { numeral, numeralValue, type Numeral } from '../exact/numeral.ts';
import { problemValue, type Problem } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';

/** How a right answer is written beside how it was asked for. */
export const FORMS = ['as-asked', 'unreduced', 'improper', 'other-writing', 'unit'] as const;
export type Form = (typeof FORMS)[number];

/** An answer as it was given. Its amount is in the measure of the problem's account. */
export type ReadAnswer =
  | { readonly ok: true; readonly answered: false }
  | {
      readonly ok: true;
      readonly answered: true;
      readonly amount: Exact;
      readonly form: Form;
      readonly unit: string;
    }
  | { readonly ok: false; readonly fault: AnswerFault };

/** Why an answer cannot be read; sentences are in {@link answerFaultText}. */
export type AnswerFault =
  | { readonly code: 'too-long'; readonly length: number }
  | { readonly code: 'computation' }
  | { readonly code: 'formula' }
  | { readonly code: 'markup' }
  | { readonly code: 'remainder' }
  | { readonly code: 'zero-below' }
  | { readonly code: 'no-number'; readonly found: string };

/** The longest answer that is read, in characters. */
export const MAX_ANSWER = 200;

const NUMBER = String.raw`\d+(?:[ \u00a0\u202f]\d{3})*(?:[.,]\d+)?|[.,]\d+`;
const SHAPE = new RegExp(
  String.raw`^(?<minus>[-−–])?\s*(?:(?<whole>\d+)\s+(?<partTop>\d+)\s*[/⁄]\s*(?<partBottom>\d+)` +
    String.raw`|(?<top>\d+)\s*[/⁄]\s*(?<bottom>\d+)` +
    String.raw`|(?<number>${NUMBER})(?:\s*(?:r|R|rem\.?|remainder)\s*(?<rest>${NUMBER}))?)` +
    String.raw`\s*(?<unit>\p{Sc}|[\p{L}%°][\p{L}²³%°/·. ]{0,39})?$`,
  'u',
);

/**
 * Reads an answer: `2668`, `-18`, `13.5` or `13,5`, `22/24`, `1 5/6`, `136 r 3`, `3x^2+10x-8`, each with or without a unit
 * behind it. Nothing at all is not an answer. Never throws on bad text.
 */
export function readAnswer(source: string, problem: Problem): ReadAnswer {
  const text = source
    .replace(/[²³]/g, (raised) => (raised === '²' ? '^2' : '^3'))
    .normalize('NFKC')
    .replace(/^\s*=\s*(?=[\d.,−-])/, '')
    .trim();
  if (text === '') return { ok: true, answered: false };
  if (text.length > MAX_ANSWER) return unread({ code: 'too-long', length: text.length });
  if (/[<>]/.test(text)) return unread({ code: 'markup' });
  if (/^[=@]|[()]\s*$/.test(text) && !/^[^=@]*[a-z]/.test(text)) return unread({ code: 'formula' });
  if (scriptOf(problem) === 'terms') return lettered(text);
  const parts = SHAPE.exec(sourcePlain(source))?.groups;
  if (!parts) return unread(faultOf(text));
  return numberAnswer(parts, problem);
}

/** An answer as it may be kept, and whatever else stood there. */
export interface KeptAnswer {
  /** Figures and signs as they were written, letters of the problem, a unit of the comparison. */
  readonly answer: string;
  /** What was not read as an answer, to be offered back once; empty where all was. */
  readonly beside: string;
}

/**
 * What may be kept of an answer: nothing but what was read as one. The text that was typed is never kept, since a name may
 * stand in it. Null where no answer can be read.
 * @param units the units of the comparison; any other word behind a number is beside it.
 */
export function keptAnswer(
  source: string,
  problem: Problem,
  units: readonly string[] = [],
): KeptAnswer | null {
  const read = readAnswer(source, problem);
  if (!read.ok) return null;
  if (!read.answered) return { answer: '', beside: '' };
  const plain = sourcePlain(source).replace(/[\u00a0\u202f]/g, ' ');
  if (scriptOf(problem) === 'terms') {
    const letters = [...plain.toLowerCase()].filter((glyph) => /\p{L}/u.test(glyph));
    const own = new Set(lettersOf(problem));
    return letters.every((letter) => own.has(letter)) ? { answer: plain, beside: '' } : null;
  }
  const answer = plain.slice(0, plain.length - read.unit.length).trim();
  const isOwn = units.some((unit) => unit !== '' && unit === read.unit.trim());
  return isOwn
    ? { answer: `${answer} ${read.unit.trim()}`, beside: '' }
    : { answer, beside: read.unit.trim() };
}

function lettersOf({ operands }: Problem): readonly string[] {
  return operands.flatMap((operand) => [...numeralValue(operand).toString()].filter(isLetter));
}

function isLetter(glyph: string): boolean {
  return /[a-z]/.test(glyph);
}

function unread(fault: AnswerFault): ReadAnswer {
  return { ok: false, fault };
}

/** What is not a number in figures becomes plain, but raised figures of a unit stay. */
function sourcePlain(source: string): string {
  return source
    .replace(/^\s*=\s*/, '')
    .replace(/[０-９]/g, (figure) => figure.normalize('NFKC'))
    .trim();
}

function faultOf(text: string): AnswerFault {
  if (/\d\s*[-+*×·:÷−]\s*\d/.test(text)) return { code: 'computation' };
  if (/\d\s*r/i.test(text)) return { code: 'remainder' };
  return { code: 'no-number', found: text.length > 24 ? `${text.slice(0, 24)}…` : text };
}

function numberAnswer(
  parts: Readonly<Record<string, string | undefined>>,
  problem: Problem,
): ReadAnswer {
  const { base } = problem;
  const { whole, partTop, partBottom, top, bottom, number, rest, unit = '' } = parts;
  const sign = parts['minus'] ? Exact.of(-1) : Exact.ONE;
  if ([partBottom, bottom].some((below) => below && /^0+$/.test(below)))
    return unread({ code: 'zero-below' });
  const given = (amount: Exact, form: Form): ReadAnswer => ({
    ok: true,
    answered: true,
    amount: sign.times(amount),
    form: form === 'as-asked' && unit !== '' ? 'unit' : form,
    unit,
  });
  if (partTop && partBottom) {
    const part = Exact.of(BigInt(partTop), BigInt(partBottom));
    const form = isReduced(partTop, partBottom) ? 'as-asked' : 'unreduced';
    const isProper = BigInt(partTop) < BigInt(partBottom);
    return given(Exact.of(BigInt(whole!)).plus(part), isProper ? form : 'improper');
  }
  if (top && bottom) {
    const form = isReduced(top, bottom)
      ? BigInt(top) >= BigInt(bottom)
        ? 'improper'
        : 'as-asked'
      : 'unreduced';
    return given(
      Exact.of(BigInt(top), BigInt(bottom)),
      scriptOf(problem) === 'fractions' ? form : 'other-writing',
    );
  }
  const value = figuresValue(number!, base);
  if (value === null) return unread({ code: 'no-number', found: number! });
  if (rest !== undefined) return withRest(value, figuresValue(rest, base), problem, given);
  const inOtherWriting = scriptOf(problem) === 'fractions' && /[.,]/.test(number!);
  return given(inMeasure(value, problem), inOtherWriting ? 'other-writing' : 'as-asked');
}

function isReduced(top: string, bottom: string): boolean {
  return Exact.of(BigInt(top), BigInt(bottom)).denominator === BigInt(bottom);
}

/** A number in figures of the base; the comma before tenths is read as the point. Null for a figure that the base has not. */
function figuresValue(text: string, base: number): Exact | null {
  const plain = text
    .replace(/[ \u00a0\u202f]/g, '')
    .replace(',', '.')
    .replace(/^\./, '0.');
  const figures: Numeral | null = [...plain].every((one) => one === '.' || parseInt(one, 36) < base)
    ? numeral(plain, base)
    : null;
  return figures && numeralValue(figures);
}

/** A root is held in the account by the number that it is the root of. */
function inMeasure(value: Exact, { kind }: Problem): Exact {
  return kind === 'root' ? value.times(value) : value;
}

function withRest(
  value: Exact,
  rest: Exact | null,
  problem: Problem,
  given: (amount: Exact, form: Form) => ReadAnswer,
): ReadAnswer {
  if (rest === null || (problem.kind !== 'quotient' && problem.kind !== 'root')) {
    return unread({ code: 'remainder' });
  }
  if (problem.kind === 'root') return given(inMeasure(value, problem).plus(rest), 'as-asked');
  const divisor = numeralValue(problem.operands[1]);
  return given(value.plus(rest.dividedBy(divisor)), 'as-asked');
}

/** An answer with letters: a sum of terms, not brackets still to be worked. */
function lettered(text: string): ReadAnswer {
  if (/[()]/.test(text)) return unread({ code: 'computation' });
  const plain = text
    .replace(/[−–]/g, '-')
    .replace(/[\s·*]/g, '')
    .toLowerCase();
  if (!TERMS.test(plain)) return unread(faultOf(text));
  return { ok: true, answered: true, amount: Exact.parse(plain), form: 'as-asked', unit: '' };
}

/** `3x^2+10x-8`, `1/2xy`: terms joined by their signs. */
const TERM = String.raw`(?:\d{1,40}(?:\/[1-9]\d{0,40})?(?:[a-z](?:\^\d{1,3})?)*|(?:[a-z](?:\^\d{1,3})?)+)`;
const TERMS = new RegExp(`^-?${TERM}(?:[+-]${TERM})*$`);

/** Whether an answer has the problem's own amount. */
export function isRight(problem: Problem, amount: Exact): boolean {
  return amount.equals(problemValue(problem));
}

/** One sentence for an answer that cannot be read. */
export function answerFaultText(fault: AnswerFault): string {
  switch (fault.code) {
    case 'too-long':
      return `An answer of ${fault.length} characters is not read; give one number.`;
    case 'computation':
      return 'This is a computation, not an answer; write what it comes to.';
    case 'formula':
      return 'This is a formula, not an answer; write the number that it comes to.';
    case 'markup':
      return 'This holds marks of a web page; write the number alone.';
    case 'remainder':
      return 'A remainder is read in a division, as in 136 r 3.';
    case 'zero-below':
      return 'A fraction over 0 is not a number.';
    case 'no-number':
      return `“${fault.found}” is not a number; write one such as 2668, 13.5, 1 5/6 or 136 r 3.`;
  }
}
