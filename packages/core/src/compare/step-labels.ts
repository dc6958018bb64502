import type { Role, Step, Trace } from '../account/account.ts';
import { isBeside } from '../account/line-mark.ts';
import { owedEntries } from '../account/owed.ts';
import { Exact } from '../exact/exact.ts';
import { figure, numeralValue } from '../exact/numeral.ts';
import type { Speaker } from '../phrases/speaker.ts';

/** A word or two for every step of a trace, in order. */
export type Labels = (trace: Trace, say: Speaker) => readonly string[];

/** Of sums of fractions. */
export const partLabels: Labels = ({ steps }) => steps.map(partLabel);

/** Of works with letters. */
export const termLabels: Labels = (trace, say) => {
  const owed = owedTexts(trace, say);
  return trace.steps.map((step) => termLabel(step, owed));
};

export const rootLabels: Labels = ({ steps }, say) => steps.map((step) => rootLabel(step, say));

export const quotientLabels: Labels = ({ problem, steps }, say) => {
  const divisor = numeralValue(problem.operands[1]!);
  return steps.map((step) => shareLabel(step, divisor, say));
};

export const productLabels: Labels = (trace, say) =>
  dealtLabels(trace, say, new Map(owedEntries(trace).map(({ id, worth }) => [id, worth])));

/** Of sums and differences. */
export const sumLabels: Labels = (trace, say) => dealtLabels(trace, say, null);

function dealtLabels(trace: Trace, say: Speaker, products: Products | null): readonly string[] {
  const owed = owedTexts(trace, say);
  const marks = trace.steps.flatMap((step) => step.gives).filter(({ worth }) => !worth.isZero);
  const marked = new Map<string, string>(marks.map(({ id, worth }) => [id, say.worth(worth)]));
  return trace.steps.map(
    (step) => dealtLabel(step, owed, marked, products, say) ?? writtenLabel(step, say),
  );
}

function owedTexts(trace: Trace, say: Speaker): ReadonlyMap<string, string> {
  return new Map<string, string>(
    owedEntries(trace).map((entry) => [entry.id, say.pointed(entry.text)]),
  );
}

/** What the owed products of a work are worth, by their ids. */
type Products = ReadonlyMap<string, Exact>;

/** `100 each`, `252 left`, `↓ 5`: what a step of a division finds, leaves or brings down. */
function shareLabel({ law, gives }: Step, divisor: Exact, say: Speaker): string {
  if (law === 'scale-both') return 'scale both';
  const mark = (...roles: readonly Role[]) => gives.find(({ role }) => roles.includes(role));
  if (mark('repeats')) return 'repeats';
  if (mark('rest')) return 'remainder';
  const found = mark('answer', 'chunk');
  if (found) {
    if (!found.worth.isZero) return say.worth(found.worth);
    return found.place === undefined ? '0' : `0 ${say.places(found.place)}`;
  }
  const down = mark('brought down');
  if (down) return `↓ ${down.glyph}`;
  const left = mark('remainder');
  return left ? `${say.worth(left.worth.times(divisor))} left` : writtenLabel({ law, gives }, say);
}

/** `x·3x`, `+7x`, `= 10x`, `cancel`: what a step multiplies, turns or gathers. */
function termLabel(step: Step, owed: ReadonlyMap<string, string>): string {
  const { law, phase, takes, gives, opens } = step;
  if (opens.length > 0) return 'next bracket';
  if (phase.kind === 'products') return (owed.get(takes[0] ?? '') ?? '').replaceAll('×', '·');
  if (law === 'like-terms') return gives[0] ? `= ${gives[0].glyph.replace(/^\+/, '')}` : 'cancel';
  const texts = gives.map(({ glyph }, k) => (k === 0 ? glyph.replace(/^\+/, '') : glyph));
  return texts.length > 2 ? 'copied' : texts.join(' ');
}

/** `↓ 96`, `16▢`, `7?`, `6`, `996 left`: what a step of a root brings, tries, finds or leaves. */
function rootLabel({ phase, about, gives }: Step, say: Speaker): string {
  const mark = (...roles: readonly Role[]) => gives.find(({ role }) => roles.includes(role));
  if (mark('rest')) return 'left over';
  const prime = mark('prime');
  if (prime) return phase.kind === 'primes' ? `÷ ${prime.glyph}` : `out ${prime.glyph}`;
  const found = mark('answer');
  if (found) return `= ${found.glyph}`;
  const down = mark('brought down');
  if (down) return `↓ ${down.glyph}`;
  if (about?.digit !== undefined) return `${figure(about.digit)}?`;
  const left = mark('remainder');
  return left ? `${say.worth(left.worth)} left` : (gives[0]?.glyph.split(' ')[0] ?? '');
}

/** The fraction that a step writes, or that it looks for a common denominator. */
function partLabel({ gives }: Step): string {
  const made = gives
    .filter(({ role }) => role !== 'side number' && role !== 'factor')
    .map(({ glyph }) => glyph);
  return made.length > 0 ? made.join(' ') : gives.map(({ glyph }) => glyph).at(-1)!;
}

/** What a step deals with, when it deals with something owed. */
function dealtLabel(
  step: Step,
  owed: ReadonlyMap<string, string>,
  marked: ReadonlyMap<string, string>,
  products: Products | null,
  say: Speaker,
): string | undefined {
  if (step.opens.length > 0) return 'next factor';
  if (step.gives.some((mark) => mark.role === 'regrouped digit')) return say.ungroup;
  if (step.law === 'same-change') return 'same change';
  if (step.law === 'inverse' || step.law === 'reorder') return undefined;
  const [half, double] = ['halved', 'doubled'].map((role) =>
    step.gives.find((mark) => mark.role === role),
  );
  if (half && double) return `${half.glyph} | ${double.glyph}`;
  const texts = step.takes.flatMap((id) => owed.get(id) ?? []);
  const [only] = texts;
  if (only === undefined) return undefined;
  if (products) {
    return texts.length === 1 ? only.replaceAll('×', say.times) : manyProducts(step, products, say);
  }
  const marks = step.takes.flatMap((id) => marked.get(id) ?? []);
  return addedLabel([...marks, ...texts]);
}

/** Several products at once: a row of zeros, or all pairs of a place. */
function manyProducts({ takes }: Step, products: Products, say: Speaker): string {
  const taken = takes.flatMap((id) => products.get(id) ?? []);
  const zeros = taken.every((worth) => worth.isZero);
  return zeros ? `${taken.length} ${say.times} 0` : `${taken.length} products`;
}

const MOST_ADDED = 3;

/** `6+8`, `12−7`, `96+8`: amounts that are put together, those marked already first. */
function addedLabel(texts: readonly string[]): string {
  if (texts.length > MOST_ADDED) return `${texts.length} amounts`;
  return texts
    .map((text) => (text.startsWith('−') ? text : `+${text}`))
    .join('')
    .replace(/^\+/, '');
}

function writtenLabel(step: Pick<Step, 'law' | 'gives'>, say: Speaker): string {
  const placed = step.gives.find((mark) => mark.role === 'answer' && mark.place !== undefined);
  if (placed?.place !== undefined) return say.places(placed.place);
  const [first] = step.gives;
  if (first?.role === 'placeholder') return step.gives.map((mark) => mark.glyph).join('');
  if (step.law === 'reorder') return 'copied';
  const worth = Exact.sum(step.gives.map((mark) => mark.worth));
  return `= ${say.worth(worth)}`;
}

/** What the steps of someone's own lines write. */
export function ownLabels({ steps }: Trace): readonly string[] {
  return steps.map(lineLabel);
}

/** Most characters that a block of a lane has room for. */
const MOST_LETTERS = 9;

/** What a step of someone's own lines writes; what comes to nothing is let go of. */
function lineLabel({ gives, phase }: Step): string {
  const text = gives
    // Of a statement that stands aside, what it finds.
    .map((mark) => (mark.line && isBeside(mark.line) ? mark.text : mark.glyph))
    .map((glyph, k) => (k === 0 || gives[k]?.worth.isNegative ? glyph : `+${glyph}`))
    .join('')
    .replace(/ ?([×÷·+−]) ?/g, '$1');
  if (text === '') return 'let go';
  if (text.length > MOST_LETTERS && phase.kind === 'line') return `line ${phase.of}`;
  return gives.length === 1 ? `= ${text}` : text;
}
