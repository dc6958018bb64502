import type { Step, Trace } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import type { Speaker } from '../phrases/speaker.ts';

/** A word or two for every step of a trace, in order: `40×8`, `tens`, `= 368`, `00`. */
export function stepLabels(trace: Trace, say: Speaker): readonly string[] {
  const owed = new Map<string, string>(trace.start.map((entry) => [entry.id, entry.text]));
  return trace.steps.map((step) => dealtLabel(step, owed, say) ?? writtenLabel(step, say));
}

/** What a step deals with, when it deals with something owed. */
function dealtLabel(
  step: Step,
  owed: ReadonlyMap<string, string>,
  say: Speaker,
): string | undefined {
  const texts = step.takes.flatMap((id) => owed.get(id) ?? []);
  const [only] = texts;
  if (only === undefined) return undefined;
  if (texts.length === 1) return only.replaceAll('×', say.times);
  return `${texts.length} ${say.times} 0`;
}

function writtenLabel(step: Step, say: Speaker): string {
  const placed = step.gives.find((mark) => mark.role === 'answer' && mark.place !== undefined);
  if (placed?.place !== undefined) return say.places(placed.place);
  const [first] = step.gives;
  if (first?.role === 'placeholder') return step.gives.map((mark) => mark.glyph).join('');
  if (step.law === 'reorder') return 'copied';
  const worth = Exact.sum(step.gives.map((mark) => mark.worth));
  return `= ${say.amount(worth)}`;
}
