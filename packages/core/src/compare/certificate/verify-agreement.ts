import { termParts } from '../../account/ids.ts';
import { KINDS, termShape } from '../../problem/kinds.ts';
import { bracketsFault, termTextFault, versionFault } from './certificate-claims.ts';
import { isTaken } from '../../problem/problem.ts';
import { readWorked } from '../../problem/computation.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralText, numeralValue } from '../../exact/numeral.ts';
import { failureText } from '../../problem/failure.ts';
import { valueOfKind, type Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import { held, otherTerms, sameTerms, type LawFrame } from '../../laws/law.ts';
import { OWN_LINES } from '../../account/own-lines.ts';
import { checkLaw } from '../../laws/table.ts';
import type { Agreement } from './agreement-shape.ts';
import type { MethodAgreement, Move } from '../expressions.ts';
import { endFault } from '../finished.ts';
import {
  changesBetween,
  depthOf,
  isOfTheWhole,
  lineOf,
  together,
  type Line,
  type Terms,
  type Worths,
} from './lines.ts';

export type Verification =
  | { readonly ok: true }
  | {
      readonly ok: false;
      readonly method: string | null;
      readonly move: number;
      readonly fault: string;
    };

/**
 * Checks a certificate from nothing but its own text: the operands are the sums of their parts, the
 * terms are all their products, every line is worth the total and holds the terms that it says, and what
 * changes from one line to the next is an instance of the law that is named, by the table of laws; texts of terms, brackets
 * and ends are held against them too. What it cannot decide is named by {@link CERTIFICATE_NOT_CHECKED}. Shares no
 * code with what wrote the certificate except exact arithmetic and that table. A certificate of version 1 is
 * read too.
 */
export function verifyAgreement(certificate: Agreement): Verification {
  const read = readWorked(certificate.problem);
  const fault = read.ok
    ? (problemFault(certificate, read.problem) ??
      frameFault(certificate) ??
      termTextFault(certificate) ??
      versionFault(certificate))
    : failureText(read.reason);
  if (!read.ok || fault !== null) {
    return { ok: false, method: null, move: 0, fault: fault ?? 'the problem cannot be read' };
  }
  const worths = new Map(certificate.terms.map((term) => [term.id, Exact.parse(term.worth)]));
  const value = Exact.parse(certificate.value);
  const frame: Frame = {
    terms: termsFor(certificate, worths),
    isNumbered: (certificate.version as number) !== 1,
    laws: lawFrame(certificate, worths, read.problem),
    worths,
    value,
  };
  for (const agreement of certificate.methods) {
    const early = earlyFault(agreement, certificate.version);
    if (early !== null) return { ok: false, method: agreement.method, move: 0, fault: early };
    const wrong = methodFault(agreement, frame);
    if (wrong) return { ok: false, method: agreement.method, ...wrong };
    const brackets = bracketsFault(agreement, certificate);
    if (brackets !== null) return { ok: false, method: agreement.method, move: 0, fault: brackets };
  }
  return { ok: true };
}

/** Why a method may not end before its total, where it does. */
function earlyFault({ method, leak, unfinished }: MethodAgreement, version: number): string | null {
  if ((leak ?? unfinished) && version !== 3) return 'only version 3 tells leaks';
  return unfinished && method !== OWN_LINES ? 'only own lines may stop before the end' : null;
}

/** How terms are read: fractions by their own text. */
function termsFor({ terms, operands, script, base, kind }: Agreement, worths: Worths): Terms {
  const texts = new Map(terms.map(({ id, text }) => [id, text]));
  return {
    worths,
    base,
    operandOf: (term) => (termShape(kind) === 'parts' ? (termParts(term)[0] ?? 0) : 0),
    textOf: (term) => (script === 'fractions' ? (texts.get(term) ?? null) : null),
    numberText: (operand) => (script === 'fractions' ? (operands[operand]?.text ?? null) : null),
  };
}

/** The numbers of the problem, for the table of laws. */
function lawFrame(certificate: Agreement, worths: Worths, problem: Problem): LawFrame {
  const { kind, script, base, operands } = certificate;
  const parts = operands.map((operand) => operand.parts.map((part) => Exact.parse(part)));
  return {
    kind,
    script,
    base,
    operands: operands.map(({ worth }) => Exact.parse(worth)),
    terms: new Set(worths.keys()),
    isTaken: (operand) => isTaken(problem, operand),
    spent: new Set(),
    inFigures: false,
    by: null,
    partsOf: (term) => {
      const numbers = termParts(term);
      switch (termShape(kind)) {
        case 'products':
          return numbers.map((part, operand) => ({ operand, worth: parts[operand]![part]! }));
        case 'parts': {
          const [operand = 0, part = 0] = numbers;
          return [{ operand, worth: parts[operand]![part]! }];
        }
        case 'pieces':
          return [{ operand: 0, worth: parts[0]![numbers[0]!]! }];
      }
    },
  };
}

/** What is said of the problem must be what its text says. */
function problemFault(certificate: Agreement, problem: Problem): string | null {
  const { kind, base, script, operands } = certificate;
  if (problem.kind !== kind) return `the problem is no ${kind}`;
  if (problem.base !== base) return `the problem is not in base ${base}`;
  if (scriptOf(problem) !== script) return `the problem is not written in ${script}`;
  const isOwn = ({ worth, text }: Agreement['operands'][number], k: number) => {
    const own = problem.operands[k];
    return own && numeralText(own) === text && numeralValue(own).equals(Exact.parse(worth));
  };
  const fits = operands.length === problem.operands.length && operands.every(isOwn);
  return fits ? null : 'the operands are not those of the problem';
}

/** The operands, the value and the list of terms. */
function frameFault({ operands, value, terms, kind }: Agreement): string | null {
  const whole = operands.map((operand) => Exact.parse(operand.worth));
  const parts = operands.map((operand) => operand.parts.map((part) => Exact.parse(part)));
  const uneven = parts.findIndex((list, k) => !Exact.sum(list).equals(whole[k]!));
  if (uneven >= 0) return `the parts of ${operands[uneven]!.text} do not add up to it`;
  if (!valueOfKind(kind, whole).equals(Exact.parse(value)))
    return `the operands do not make ${value}`;
  const all = termsOf(kind, parts, whole);
  const expected = new Map(all.filter(([, worth]) => !worth.isZero));
  if (expected.size !== terms.length) return 'the terms are not all that the parts make';
  const wrong = terms.find((term) => !expected.get(term.id)?.equals(Exact.parse(term.worth)));
  return wrong ? `term ${wrong.id} is not what its parts make` : null;
}

function termsOf(
  kind: Agreement['kind'],
  parts: readonly (readonly Exact[])[],
  whole: readonly Exact[],
): [string, Exact][] {
  switch (termShape(kind)) {
    case 'products':
      return products(parts);
    case 'parts':
      return signedParts(kind, parts);
    case 'pieces':
      return parts[0]!.map((part, k) => [String(k), valueOfKind(kind, [part, ...whole.slice(1)])]);
  }
}

function signedParts(
  kind: Agreement['kind'],
  parts: readonly (readonly Exact[])[],
): [string, Exact][] {
  return parts.flatMap((list, k) =>
    list.map((part, i): [string, Exact] => [
      `${k}.${i}`,
      KINDS[kind].takesAway && k > 0 ? part.negate() : part,
    ]),
  );
}

function products(parts: readonly (readonly Exact[])[]): [string, Exact][] {
  return parts
    .reduce<[number[], Exact][]>(
      (made, list) =>
        made.flatMap(([ids, worth]) =>
          list.map((part, k): [number[], Exact] => [[...ids, k], worth.times(part)]),
        ),
      [[[], Exact.ONE]],
    )
    .map(([ids, worth]) => [ids.join('.'), worth]);
}

/** What every move is held against. */
interface Frame {
  readonly laws: LawFrame;
  readonly worths: Worths;
  readonly terms: Terms;
  readonly value: Exact;
  /** Whether lines are numbered and say by how much they change: from version 2 on. */
  readonly isNumbered: boolean;
}

interface Fault {
  readonly move: number;
  readonly fault: string;
}

/** The law by which the problem becomes the sum of its terms. */
const OPENING: Record<Agreement['kind'], Move['law']> = {
  product: 'distribute',
  quotient: 'distribute',
  sum: 'place-value',
  difference: 'place-value',
  expression: 'place-value',
  root: 'place-value',
};

function methodFault(agreement: MethodAgreement, frame: Frame): Fault | null {
  const { moves, bracketing, leak } = agreement;
  if (leak && !isLeak(leak)) return { move: 0, fault: 'a leak has a step and an amount' };
  if (moves.length === 0)
    return frame.value.isZero ? null : { move: 0, fault: 'there are no moves' };
  const lines: Line[] = [];
  for (const [move, { expression, line: number }] of moves.entries()) {
    if (frame.isNumbered && number !== move + 1)
      return { move, fault: `line ${move + 1} is missing` };
    const line = lineOf(expression, frame.terms);
    if (typeof line === 'string') return { move, fault: line };
    if (!line.worth.equals(frame.value)) {
      return { move, fault: `the line is worth ${line.worth}, not ${frame.value}` };
    }
    lines.push(line);
  }
  return (
    openingFault(moves[0]!, lines[0]!, frame) ??
    stepsFault(agreement, lines, frame) ??
    unfinishedFault(agreement, lines, frame) ??
    bracketingFault(bracketing, lines, frame)
  );
}

/** The first line must hold every term of the problem once, as it is owed. */
function openingFault({ law }: Move, line: Line, frame: Frame): Fault | null {
  const lawful = law === OPENING[frame.laws.kind] && opens(line, frame);
  return lawful ? null : { move: 0, fault: `the line does not follow by ${law}` };
}

function opens({ leaves }: Line, { worths }: Frame): boolean {
  const terms = new Set(leaves.flatMap(({ terms: own }) => [...own]));
  return (
    leaves.every(({ owed, terms: own }) => owed && own.size === 1) &&
    leaves.length === worths.size &&
    terms.size === worths.size
  );
}

/** Every line after the first follows from the one before by the law that it names. */
function stepsFault(
  { method, moves, brief }: MethodAgreement,
  lines: readonly Line[],
  frame: Frame,
): Fault | null {
  const spent = new Set<string>();
  for (const [move, { law, by }] of moves.entries()) {
    if (move === 0) continue;
    const [before, after] = [lines[move - 1]!, lines[move]!];
    const isLast = move === moves.length - 1;
    const said = by === undefined ? null : amountOrNull(by);
    const isOwn = method === OWN_LINES;
    const laws = { ...frame.laws, isOwn, spent: isLast ? spent : NOTHING, by: said };
    if (frame.isNumbered && NAMES_ITS_SIZE.has(law) && frame.laws.script === 'figures' && !said) {
      return { move, fault: `the line does not say by how much (${law})` };
    }
    const fault = moveFault(law, before, after, laws, brief);
    if (fault !== null) return { move, fault: `the line does not follow by ${law}: ${fault}` };
    if (by !== undefined && !NAMES_ITS_SIZE.has(law)) {
      return { move, fault: `the line says by how much, which ${law} does not` };
    }
    const stays = new Set(after.leaves.flatMap(({ terms }) => [...terms]));
    for (const { terms } of before.leaves) {
      for (const term of terms) if (!stays.has(term)) spent.add(term);
    }
  }
  return null;
}

const NOTHING: ReadonlySet<string> = new Set();

/** Laws whose lines say by how much both numbers are changed or scaled. */
const NAMES_ITS_SIZE: ReadonlySet<Move['law']> = new Set(['same-change', 'scale-both']);

function amountOrNull(text: string): Exact | null {
  try {
    return Exact.parse(text);
  } catch {
    return null;
  }
}

function moveFault(
  law: Move['law'],
  before: Line,
  after: Line,
  frame: LawFrame,
  brief: boolean,
): string | null {
  const parts = changesBetween(law, before, after);
  if (!parts) return 'the amounts of the two lines do not go together';
  if (parts.length === 0) return 'nothing changes';
  const changes = isOfTheWhole(law, parts) ? [together(before, parts)] : parts;
  for (const { change, part, asOne } of changes) {
    if (law === 'evaluate' && !brief && depthOf(part) > 1 && !part.worth.isZero)
      return 'brackets in brackets are worked out at once';
    const verdict = checkLaw(law, change, frame);
    const isOther = asOne !== undefined && checkLaw(law, asOne, frame).ok;
    if (!verdict.ok && !isOther) return verdict.fault;
  }
  const [only, ...more] = after.leaves;
  if (only?.worth.isZero && more.length === 0) {
    const all = held(before.leaves);
    if (!sameTerms(only.terms, all, frame.spent)) return 'nothing is left, but not of all terms';
  }
  const stray = parts.find(({ change }) => otherTerms(change, frame) !== null);
  return stray && law !== 'same-change' ? 'the terms of a part are not the same' : null;
}

/** A work that leaks says where and how much; what it has come to before is no claim on the total. */
function isLeak({ step, amount }: NonNullable<MethodAgreement['leak']>): boolean {
  const leaks = amountOrNull(amount);
  return step >= 1 && leaks !== null && !leaks.isZero;
}

/** A work that comes to its end without a leak ends in a finished line. */
function unfinishedFault(
  { leak, unfinished, unreduced }: MethodAgreement,
  lines: readonly Line[],
  { laws }: Frame,
): Fault | null {
  const fault = leak || unfinished ? null : endFault(lines.at(-1)!, laws, unreduced);
  return fault === null ? null : { move: lines.length - 1, fault };
}

/** The one line holds every term once, or is a line of the moves. */
function bracketingFault(
  bracketing: MethodAgreement['bracketing'],
  lines: readonly Line[],
  frame: Frame,
): Fault | null {
  if (!bracketing) return null;
  const line = lineOf(bracketing, frame.terms);
  const fits =
    typeof line !== 'string' &&
    line.worth.equals(frame.value) &&
    (opens(line, frame) || lines.some(({ key }) => key === line.key));
  return fits ? null : { move: 0, fault: 'the brackets do not hold all the terms' };
}
