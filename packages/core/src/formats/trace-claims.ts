import { termParts } from '../account/ids.ts';
import { glyphFault, measuresOf, valueOfText } from '../account/glyphs.ts';
import { Exact } from '../exact/exact.ts';
import { numeralText } from '../exact/numeral.ts';
import { OWN_LINES } from '../account/own-lines.ts';
import { exactRoot } from '../problem/evaluate.ts';
import { problemText, problemValue, type Problem } from '../problem/problem.ts';
import { answerFaults, whole } from './trace-answer-claims.ts';
import type { TraceFault } from './trace-fault.ts';
import type { EntryDocument, ProblemDocument, TraceDocument } from './trace-shape.ts';

/** What a trace claims that neither amounts nor laws nor numbers decide, in words for whoever asked for the audit. */
export const TRACE_NOT_CHECKED = [
  'names of the method and its schools',
  'sentences',
  'what marks and groups are for, and which marks are struck',
  'notes at the side, halves, stops and prime factors in their rows',
  'places, terms and groups of figures that are worth nothing',
  'how the terms of one step are shared among its figures',
  'chances of slips',
  'what was counted beyond the steps',
] as const;

/** The same by fields of the document; `[]` is every entry of a list, and what is under a field belongs to it. */
export const TRACE_UNCHECKED_FIELDS = [
  'method',
  'school',
  'steps[].digitVoice',
  'steps[].valueVoice',
  'steps[].strikes',
  'entries[].medium',
  'entries[].role',
  'entries[].text',
  'groups[].id',
  'groups[].name',
  'groups[].role',
  'opportunities',
  'cost',
] as const;

/** Whatever a trace claims beside its amounts and laws: the first fault of each kind. */
export function claimFaults(document: TraceDocument, problem: Problem): readonly TraceFault[] {
  return [
    ...problemFaults(document.problem, problem),
    ...entryFaults(document, problem),
    ...strikeFaults(document),
    ...groupFaults(document),
    ...leftFaults(document),
    ...answerFaults(document, problem),
    ...leakFaults(document),
    ...countFaults(document),
  ];
}

/** What a document says of its problem must be what the text of the problem says. */
export function problemFaults(told: ProblemDocument, problem: Problem): readonly TraceFault[] {
  const { kind, base, operands } = problem;
  const total = problemValue(problem);
  const root = kind === 'root' ? exactRoot(total) : total;
  const due: ProblemDocument = {
    text: problemText(problem),
    kind,
    operands: operands.map(numeralText),
    base,
    value: root?.toString() ?? `√${total}`,
  };
  return (Object.keys(due) as (keyof ProblemDocument)[])
    .filter((field) => String(due[field]) !== String(told[field]))
    .map((field) => whole(`problem.${field} is ${String(due[field])}, not ${String(told[field])}`));
}

function entryFaults(
  { entries, steps, method }: TraceDocument,
  problem: Problem,
): readonly TraceFault[] {
  const given = new Set(steps.flatMap(({ gives }) => gives));
  const seen = new Set<string>();
  const cells = new Map<string, string>();
  return entries.flatMap((entry): readonly TraceFault[] => {
    const faults: string[] = [];
    if (seen.has(entry.id)) faults.push('is there twice');
    seen.add(entry.id);
    if (new Set(entry.terms).size < entry.terms.length) faults.push('names a term twice');
    if (entry.standing === 'marked' && !given.has(entry.id)) faults.push('is written in no step');
    for (const { cell, worth, count } of entry.beyond ?? []) {
      const known = cells.get(cell) ?? worth;
      cells.set(cell, known);
      if (known !== worth) faults.push(`holds ${cell} beyond the edge as ${worth}, not ${known}`);
      if (count === 0) faults.push(`holds ${cell} beyond the edge no times`);
    }
    const fault =
      entry.standing === 'owed' ? owedFault(entry, problem) : markFault(entry, problem, method);
    return [...faults, ...(fault ? [fault] : [])].map((own) => whole(`${entry.id} ${own}`));
  });
}

/** What is owed is written nowhere, and its text is worth what it owes. */
function owedFault(entry: EntryDocument, problem: Problem): string | null {
  const { glyph, medium, role, place } = entry;
  if (glyph !== null || medium !== null || role !== null || place !== undefined)
    return 'is owed, and is said to be written';
  const value = valueOfText(entry.text, problem.base);
  if (value === null) return null;
  const worth = Exact.parse(entry.worth);
  // Of a string of factors, and of numbers with points, a term is owed as the sheet has it.
  const fits =
    value.equals(worth) ||
    (problem.kind === 'product' &&
      measuresOf(problem).some((measure) => value.times(measure).equals(worth)));
  return fits ? null : `owes ${worth}, but ${entry.text} is ${value}`;
}

function markFault(entry: EntryDocument, problem: Problem, method: string): string | null {
  const { glyph, role, medium, place } = entry;
  if (glyph === null || role === null || medium === null)
    return 'is marked, and is not said to be written';
  const worth = Exact.parse(entry.worth);
  if (method !== OWN_LINES) return glyphFault({ glyph, worth, role, place }, problem);
  if (problem.kind === 'root') return null;
  const value = valueOfText(glyph.replace(/^[−-]\s+/, '−'), problem.base);
  return value === null || value.equals(worth)
    ? null
    : `is worth ${worth}, but ${glyph} is ${value}`;
}

/** What is struck is there, and is struck once. */
function strikeFaults({ entries, steps }: TraceDocument): readonly TraceFault[] {
  const known = new Set(entries.map(({ id }) => id));
  const struck = new Set<string>();
  for (const { gives } of steps) for (const id of gives) known.delete(id);
  return steps.flatMap(({ number: step, gives, strikes }): readonly TraceFault[] => {
    for (const id of gives) known.add(id);
    return strikes.flatMap((id): readonly TraceFault[] => {
      const fault = !known.has(id) ? 'is not there' : struck.has(id) ? 'is struck already' : null;
      struck.add(id);
      return fault ? [{ step, fault: `${id} is struck, but ${fault}` }] : [];
    });
  });
}

/**
 * A group is worth what its marks are worth together, and holds their terms; the answer may name terms too that have come
 * to nothing on the way.
 */
function groupFaults(document: TraceDocument): readonly TraceFault[] {
  const { entries, groups } = document;
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  const live = liveOf(document);
  const stays = new Set(entries.flatMap(({ id, terms }) => (live.has(id) ? terms : [])));
  // A stage may have cancelled terms before they are terms of the whole.
  const all = new Set(entries.flatMap(({ terms }) => terms));
  const [one] = all;
  const shape = one === undefined ? 0 : termParts(one).length;
  const isTerm = (term: string) => all.has(term) || termParts(term).length === shape;
  return groups.flatMap(({ id, role, marks, worth, terms }): readonly TraceFault[] => {
    const members = marks.flatMap((mark) => byId.get(mark) ?? []);
    if (members.length < marks.length || new Set(marks).size < marks.length)
      return [whole(`group ${id} names marks that are not there, or twice`)];
    const sum = Exact.sum(members.map((member) => Exact.parse(member.worth)));
    if (!sum.equals(Exact.parse(worth)))
      return [whole(`group ${id} is worth ${sum}, not ${worth}`)];
    const own = new Set(members.flatMap((member) => member.terms));
    const said = new Set(terms);
    const isGone = (term: string) =>
      role === 'answer' && isTerm(term) && (!stays.has(term) || (shape ?? 0) > 2);
    const isOwn =
      said.size === terms.length &&
      [...own].every((term) => said.has(term)) &&
      [...said].every((term) => own.has(term) || isGone(term));
    return isOwn ? [] : [whole(`group ${id} is not of the terms of its marks`)];
  });
}

/** What is owed before the first step. */
function openingOf({ entries, steps }: TraceDocument): readonly EntryDocument[] {
  const given = new Set(steps.flatMap(({ gives }) => gives));
  return entries.filter(({ id, standing }) => standing === 'owed' && !given.has(id));
}

/** What is there at the end. */
function liveOf(document: TraceDocument): ReadonlySet<string> {
  const { steps } = document;
  const live = new Set(openingOf(document).map(({ id }) => id));
  for (const { takes, gives } of steps) {
    for (const id of takes) live.delete(id);
    for (const id of gives) live.add(id);
  }
  return live;
}

/** At the end nothing is left that is worth something but the marks of the answer, which are all there. */
function leftFaults(document: TraceDocument): readonly TraceFault[] {
  const { entries, steps, groups } = document;
  const live = liveOf(document);
  const last = groups.at(-1);
  if (last?.role !== 'answer') return [whole('its last group is not the answer')];
  const answer = new Set(last.marks);
  const step = steps.length;
  const left = entries.find(({ id, worth }) => live.has(id) && !answer.has(id) && worth !== '0');
  const gone = last.marks.find((id) => !live.has(id));
  return [
    ...(left ? [{ step, fault: `${left.id} (${left.text}) is left over` }] : []),
    ...(gone ? [{ step, fault: `${gone} of the answer is not there in the end` }] : []),
  ];
}

/** Leaks are where the balance changes, and a work without any is balanced. */
function leakFaults(document: TraceDocument): readonly TraceFault[] {
  const { steps, leaks, balanced, problem } = document;
  const start = openingOf(document);
  let before = Exact.sum(start.map(({ worth }) => Exact.parse(worth)));
  const due: string[] = [];
  for (const { number: step, balance } of steps) {
    const after = Exact.parse(balance);
    if (!after.equals(before)) due.push(`${after.minus(before)} in step ${step}`);
    before = after;
  }
  const told = leaks
    .filter(({ step }) => step > 0)
    .map(({ step, amount }) => `${amount} in step ${step}`);
  const early =
    leaks.some(({ step }) => step === 0) && problem.kind !== 'root'
      ? earlyFault(start, leaks, problem)
      : null;
  if (early) return [whole(early)];
  if (told.join() !== due.join())
    return [whole(`it leaks ${due.join(', ') || 'nothing'}, not ${told.join(', ') || 'nothing'}`)];
  return balanced === (leaks.length === 0)
    ? []
    : [whole(`it is ${balanced ? 'not ' : ''}balanced`)];
}

/** What is said to be lost before the first step. */
function earlyFault(
  start: readonly EntryDocument[],
  leaks: TraceDocument['leaks'],
  { value }: ProblemDocument,
): string | null {
  const opened = Exact.sum(start.map(({ worth }) => Exact.parse(worth)));
  const due = opened.minus(Exact.parse(value));
  const told = leaks.filter(({ step }) => step === 0);
  const isTold = told.length === 1 && told[0]!.amount === due.toString() && !due.isZero;
  return isTold ? null : `before the first step it leaks ${due}`;
}

function countFaults({ cost, steps, opportunities }: TraceDocument): readonly TraceFault[] {
  const late = opportunities.find(({ step }) => step > steps.length + 1);
  return [
    ...(cost.steps === steps.length
      ? []
      : [whole(`it has ${steps.length} steps, not ${cost.steps}`)]),
    ...(late
      ? [whole(`${late.slip} is said to be made in step ${late.step}, which is not there`)]
      : []),
  ];
}
