import { Exact } from '../exact/exact.ts';
import { numberText, numeralValue, placeValue, pointedText } from '../exact/numeral.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import { amountWriter, scriptOf } from '../problem/script.ts';
import type { Mark, Trace } from './account.ts';
import { rootOf } from './root.ts';

/**
 * The answer of a trace as its paper gives it: `2668`, `73.8`, `136 r 3`, `0.(142857)` for figures that
 * repeat without end. A remainder is in the measure of the dividend.
 */
export function answerText(trace: Trace): string {
  switch (scriptOf(trace.problem)) {
    case 'figures':
      return ANSWERS[trace.problem.kind](trace);
    case 'fractions':
      return writtenAnswer(trace);
    case 'terms':
      return amountWriter(trace.problem)(trace.answer);
  }
}

/** How the answer of each kind is written in figures; a new kind adds its line here. */
const ANSWERS: Record<ProblemKind, (trace: Trace) => string> = {
  product: wholeAnswer,
  sum: wholeAnswer,
  difference: wholeAnswer,
  expression: wholeAnswer,
  quotient: quotientText,
  root: rootText,
};

/** Where a number is written with a last zero after its point, as prices are, the answer keeps as many figures there. */
function wholeAnswer({ answer, problem: { base, operands } }: Trace): string {
  const keepsZeros = operands.some(({ digits, decimals }) => decimals > 0 && digits[0] === 0);
  const decimals = keepsZeros ? Math.max(...operands.map((operand) => operand.decimals)) : 0;
  const count = answer.times(placeValue(base, decimals));
  return decimals > 0 && count.isWhole
    ? pointedText(count.numerator, decimals, base)
    : numberText(answer, base);
}

/** `136 r 3`, `0.(142857)`. */
function quotientText({ problem, groups, steps }: Trace): string {
  const { base } = problem;
  const ids = new Set(groups.at(-1)!.marks);
  const marks = steps.flatMap(({ gives }) => gives).filter(({ id }) => ids.has(id));
  const rest = marks.find(({ role }) => role === 'rest');
  const repeats = marks.find(({ role }) => role === 'repeats');
  const written = Exact.sum(
    marks.filter((mark) => mark !== rest && mark !== repeats).map(({ worth }) => worth),
  );
  if (repeats) {
    const decimals = -(repeats.place ?? 0);
    const count = written.times(placeValue(base, decimals)).numerator;
    return repeating(pointedText(count, decimals, base), repeats.text);
  }
  const divisor = numeralValue(problem.operands[1]!);
  const quotient = withKeptZeros(written, marks, base);
  return rest ? `${quotient} r ${numberText(rest.worth.times(divisor), base)}` : quotient;
}

/** A number with as many figures after the point as its marks have, zeros at its end included; a mark of no place is written whole. */
function withKeptZeros(amount: Exact, marks: readonly Mark[], base: number): string {
  const places = marks.flatMap(({ role, place, glyph }) =>
    role === 'answer' ? [place ?? -(glyph.split('.')[1] ?? '').length] : [],
  );
  const decimals = -Math.min(0, ...places);
  const count = amount.times(placeValue(base, decimals));
  return decimals > 0 && count.isWhole
    ? pointedText(count.numerator, decimals, base)
    : numberText(amount, base);
}

/** `86`, `6√2`, `8.48 r 0.0896`. */
function rootText(trace: Trace): string {
  const { base } = trace.problem;
  const { root, under, left } = rootOf(trace);
  const ids = new Set(trace.groups.at(-1)!.marks);
  const marks = trace.steps.flatMap(({ gives }) => gives).filter(({ id }) => ids.has(id));
  const outside = withKeptZeros(root, marks, base);
  if (!under.equals(Exact.ONE)) {
    return `${root.equals(Exact.ONE) ? '' : outside}√${numberText(under, base)}`;
  }
  return left.isZero ? outside : `${outside} r ${numberText(left, base)}`;
}

/** A sum of fractions is answered as its last line is written: `1 5/6`, `11/6`. */
function writtenAnswer({ groups, steps }: Trace): string {
  const ids = new Set(groups.at(-1)!.marks);
  const marks = steps.flatMap(({ gives }) => gives).filter(({ id }) => ids.has(id));
  return marks.map(({ glyph }) => glyph).join(' ');
}

/** `0.(142857)`: the last figures, which come again and again, in brackets. */
function repeating(text: string, block: string): string {
  return `${text.slice(0, -block.length)}(${block})`;
}
