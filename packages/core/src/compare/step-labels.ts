import type { Step, Trace } from '../account/account.ts';
import type { Speaker } from '../phrases/speaker.ts';
import { scriptOf } from '../problem/script.ts';
import { OWN_LINES } from '../laws/replay.ts';
import { KIND_WORK, SCRIPT_WORK } from './kinds.ts';

/** A word or two for every step of a trace, in order: `40×8`, `tens`, `= 368`, `00`. */
export function stepLabels(trace: Trace, say: Speaker): readonly string[] {
  if (trace.method === OWN_LINES) return trace.steps.map(lineLabel);
  const { labels } = SCRIPT_WORK[scriptOf(trace.problem)] ?? KIND_WORK[trace.problem.kind];
  return labels(trace, say);
}

/** Most characters that a block of a lane has room for. */
const MOST_LETTERS = 9;

/** What a step of someone's own lines writes; what comes to nothing is let go of. */
function lineLabel({ gives, phase }: Step): string {
  const text = gives
    // Of a statement that stands aside, what it finds.
    .map((mark) => (mark.glyph.includes('=') ? mark.text : mark.glyph))
    .map((glyph, k) => (k === 0 || glyph.startsWith('−') ? glyph : `+${glyph}`))
    .join('')
    .replace(/ ?([×÷·+−]) ?/g, '$1');
  if (text === '') return 'let go';
  if (text.length > MOST_LETTERS && phase.kind === 'line') return `line ${phase.of}`;
  return gives.length === 1 ? `= ${text}` : text;
}
