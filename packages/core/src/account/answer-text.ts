import { Exact } from '../exact/exact.ts';
import { lettersText } from '../exact/terms-text.ts';
import { numberText, numeralValue, placeValue, pointedText } from '../exact/numeral.ts';
import { scriptOf } from '../problem/script.ts';
import type { Trace } from './account.ts';
import { rootOf } from './root.ts';

/**
 * The answer of a trace as its paper gives it: `2668`, `73.8`, `136 r 3`, `0.(142857)` for figures that
 * repeat without end. A remainder is in the measure of the dividend.
 */
export function answerText(trace: Trace): string {
  const { problem, answer, groups, steps } = trace;
  const { base } = problem;
  const script = scriptOf(problem);
  if (script === 'fractions') return writtenAnswer(groups, steps);
  if (script === 'terms') return lettersText(answer);
  if (problem.kind === 'root') return rootText(trace);
  if (problem.kind !== 'quotient') return numberText(answer, base);
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
  const divisor = numeralValue(problem.operands[1]);
  const quotient = numberText(written, base);
  return rest ? `${quotient} r ${numberText(rest.worth.times(divisor), base)}` : quotient;
}

/** `86`, `6√2`, `8.48 r 0.0896`. */
function rootText(trace: Trace): string {
  const { base } = trace.problem;
  const { root, under, left } = rootOf(trace);
  const outside = numberText(root, base);
  if (!under.equals(Exact.ONE)) {
    return `${root.equals(Exact.ONE) ? '' : outside}√${numberText(under, base)}`;
  }
  return left.isZero ? outside : `${outside} r ${numberText(left, base)}`;
}

/** A sum of fractions is answered as its last line is written: `1 5/6`, `11/6`. */
function writtenAnswer(groups: Trace['groups'], steps: Trace['steps']): string {
  const ids = new Set(groups.at(-1)!.marks);
  const marks = steps.flatMap(({ gives }) => gives).filter(({ id }) => ids.has(id));
  return marks.map(({ glyph }) => glyph).join(' ');
}

/** `0.(142857)`: the last figures, which come again and again, in brackets. */
function repeating(text: string, block: string): string {
  return `${text.slice(0, -block.length)}(${block})`;
}
