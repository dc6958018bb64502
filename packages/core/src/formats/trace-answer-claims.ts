import { valueOfGlyph, valueOfText } from '../account/glyphs.ts';
import { Exact } from '../exact/exact.ts';
import { numeralValue, placeValue } from '../exact/numeral.ts';
import { OWN_LINES } from '../account/own-lines.ts';
import { problemValue, type Problem } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';
import type { TraceFault } from './trace-fault.ts';
import type { EntryDocument, TraceDocument } from './trace-shape.ts';

/** A fault of the whole work, of no step. */
export function whole(fault: string): TraceFault {
  return { step: 0, fault };
}

/** The answer is what its marks are worth, and its text says the same. */
export function answerFaults(document: TraceDocument, problem: Problem): readonly TraceFault[] {
  const { answer, answerText, groups, entries } = document;
  const marks = new Set(groups.at(-1)?.marks);
  const own = entries.filter(({ id }) => marks.has(id));
  if (problem.kind === 'root') return rootFaults(document, problem, own);
  const worth = groups.at(-1)?.worth ?? '0';
  if (answer !== worth) return [whole(`the answer is ${worth}, not ${answer}`)];
  const told = answerAmount(answerText, problem);
  // Someone’s own lines may stop in the middle: then the answer is told as the last line stands.
  if (document.method === OWN_LINES && (told === null || own.length > 1)) return [];
  if (told === null) return [whole(`the answer “${answerText}” cannot be read`)];
  return told.equals(Exact.parse(answer))
    ? []
    : [whole(`the answer is ${answer}, but “${answerText}” is ${told}`)];
}

/** What a root finds, squared, and what is left over are the number under it. */
function rootFaults(
  { answer, answerText, method }: TraceDocument,
  problem: Problem,
  own: readonly EntryDocument[],
): readonly TraceFault[] {
  if (method === OWN_LINES) return [];
  const number = problemValue(problem);
  const rest = Exact.sum(
    own.filter(({ role }) => role === 'rest').map(({ worth }) => Exact.parse(worth)),
  );
  const [, outside = '', under = '1'] = /^(-?[0-9/]*)(?:√([0-9]+))?$/.exec(answer) ?? [];
  const found = Exact.parse(outside || '1');
  const square = found.times(found).times(Exact.parse(under));
  if (!square.plus(rest).equals(number))
    return [whole(`${answer} squared and ${rest} are ${square.plus(rest)}, not ${number}`)];
  const figures = own.filter(({ role }) => role === 'answer');
  const isByFigures = figures.length > 0 && figures.every(({ place }) => place !== undefined);
  const written = figures.map(({ glyph, place }) =>
    valueOfGlyph(glyph ?? '', problem)?.times(placeValue(problem.base, place ?? 0)),
  );
  if (isByFigures && !(written.every(Boolean) && Exact.sum(written as Exact[]).equals(found)))
    return [whole(`the figures of the root are not those of ${answer}`)];
  const [root = '', left = '0'] = answerText.split(' r ');
  const [out = '', inside = '1'] = root.split('√');
  const told = [out || '1', inside, left].map((text) => valueOfGlyph(text, problem));
  const due = [found, Exact.parse(under), rest];
  const isTold = told.every((value, k) => value?.equals(due[k]!));
  return isTold ? [] : [whole(`the answer is ${answer}, but it is told as “${answerText}”`)];
}

/** What a text of an answer is worth: `136 r 3`, `0.(142857)`, `5 1/6`, `2x^2 + 6x`, figures in the base of the problem. */
function answerAmount(text: string, problem: Problem): Exact | null {
  if (/^-0(?![.(0-9])/.test(text)) return null;
  const { base, kind, operands } = problem;
  const [told = '', rest] = text.split(' r ');
  if (rest !== undefined) {
    const [quotient, left] = [told, rest].map((own) => valueOfGlyph(own, problem));
    if (kind !== 'quotient' || !quotient || !left) return null;
    return quotient.plus(left.dividedBy(numeralValue(operands[1])));
  }
  const [, before, block] = /^(-?[0-9A-Z]*\.[0-9A-Z]*)\(([0-9A-Z]+)\)$/.exec(text) ?? [];
  if (before !== undefined && block !== undefined) return repeating(before, block, problem);
  if (scriptOf(problem) === 'figures') return valueOfGlyph(text, problem);
  return valueOfText(text, base);
}

/** `0.(142857)`: the block over as many of the last figure of the base, behind the figures before it. */
function repeating(before: string, block: string, problem: Problem): Exact | null {
  const minus = before.startsWith('-');
  const decimals = before.length - before.indexOf('.') - 1;
  const whole = valueOfGlyph(
    before.replace(/^-/, '').replace(/\.$/, '').replace(/^\./, '0.'),
    problem,
  );
  const again = valueOfGlyph(block, problem);
  if (!whole || !again) return null;
  const nines = placeValue(problem.base, block.length).minus(Exact.ONE);
  const tail = again.dividedBy(nines).times(placeValue(problem.base, -decimals));
  const value = whole.plus(tail);
  return minus ? value.negate() : value;
}
