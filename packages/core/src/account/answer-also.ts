import type { Exact } from '../exact/exact.ts';
import { fractionText, pointedText } from '../exact/numeral.ts';
import { wholeRoot } from '../exact/whole-root.ts';
import { scriptOf } from '../problem/script.ts';
import type { Trace } from './account.ts';
import { answerText } from './answer-text.ts';

/** What an answer is beside how its paper gives it. */
export type AnswerAlso =
  /** A fraction above one, with its wholes apart: `1 5/6`. */
  | { readonly kind: 'mixed'; readonly text: string }
  /** The figures that come again without end. */
  | { readonly kind: 'repeats'; readonly text: string }
  /** A root that does not come out, rounded. */
  | { readonly kind: 'rounded'; readonly text: string };

/** Figures after the point to which a root is rounded. */
const PLACES = 2;

/** What helps to read an answer; null where its text says all. Roots are rounded half up, in the base of the problem. */
export function answerAlso(trace: Trace): AnswerAlso | null {
  const { problem, answer, total } = trace;
  const text = answerText(trace);
  const [, block] = /\(([0-9A-Z]+)\)$/.exec(text) ?? [];
  if (block !== undefined) return { kind: 'repeats', text: block };
  // The root of the number is no rounding of what a slip has found.
  if (problem.kind === 'root') return trace.balanced ? rooted(total, problem.base, text) : null;
  if (scriptOf(problem) !== 'fractions' || answer.isWhole || text.includes(' ')) return null;
  const mixed = fractionText(answer);
  return mixed === text ? null : { kind: 'mixed', text: mixed };
}

function rooted(number: Exact, base: number, text: string): AnswerAlso | null {
  if (!/[√r]/.test(text)) return null;
  // Twice as many as the rounded root has of its last place, so that half of one decides.
  const scale = BigInt(base) ** BigInt(PLACES);
  const doubled = wholeRoot((number.numerator * 4n * scale * scale) / number.denominator);
  return { kind: 'rounded', text: pointedText((doubled + 1n) / 2n, PLACES, base) };
}
