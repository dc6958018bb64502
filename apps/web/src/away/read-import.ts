import {
  audit,
  auditDocument,
  choicesOf,
  ownLinesMethod,
  compare,
  decodeComparison,
  freshComparison,
  readComputation,
  registry,
  traceDocument,
  type ComparisonDocument,
  type Comparison,
} from '@levee/core';

/** An imported file as a comparison, with a sentence on what was checked; or what is wrong with it, and where. */
export type Import =
  | { readonly ok: true; readonly document: ComparisonDocument; readonly checked: string }
  | { readonly ok: false; readonly fault: string };

/**
 * Reads an imported file: a comparison, whose papers are worked and replayed; or the trace of one method, which is
 * replayed as it stands in the file and becomes a comparison of one paper.
 */
export function readImport(text: string): Import {
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch {
    return { ok: false, fault: 'it is not JSON.' };
  }
  return isTrace(input) ? traceImport(input) : comparisonImport(input);
}

interface TraceLike {
  readonly format: 'levee-trace';
  readonly problem?: { readonly text?: unknown };
  readonly method?: unknown;
  readonly school?: unknown;
  readonly entries?: unknown;
}

function isTrace(input: unknown): input is TraceLike {
  return (input as { format?: unknown } | null)?.format === 'levee-trace';
}

function traceImport(input: TraceLike): Import {
  const fault = auditDocument(input);
  if (fault) {
    const where = fault.step === 0 ? '' : `in step ${fault.step} `;
    return { ok: false, fault: sentence(`${where}${fault.fault}`) };
  }
  const { method, school } = input;
  const read = comparisonImport({
    ...freshComparison(''),
    problem: input.problem?.text,
    papers: [{ id: 'p1', method, school, order: [], hops: [], slips: [], own: null }],
    steps: { p1: 0 },
  });
  if (!read.ok) return read;
  const held = 'Every amount and law of its trace holds, as it stands in the file.';
  return { ...read, checked: isSameWork(input, read.document) ? held : `${held} ${OTHER_WORK}` };
}

const OTHER_WORK =
  'It is worked in another order or by other hops than the paper here, which has the order and hops of its method: those are not in the file.';

/** Whether the paper here has just the marks of the trace that came in. */
function isSameWork({ entries }: TraceLike, { papers, problem }: ComparisonDocument): boolean {
  const asked = readComputation(problem);
  const [choice] = choicesOf(papers, registry, ownLinesMethod);
  if (!asked.ok || !choice) return false;
  const made = choice.method.trace(asked.problem, choice);
  return JSON.stringify(traceDocument(choice.method, made).entries) === JSON.stringify(entries);
}

function comparisonImport(input: unknown): Import {
  const decoded = decodeComparison(input, registry);
  if (!decoded.ok) return { ok: false, fault: sentence(`${decoded.where}: ${decoded.fault}`) };
  const { document, problem } = decoded;
  const fault = firstFault(compare(problem, choicesOf(document.papers, registry, ownLinesMethod)));
  if (fault !== null) return { ok: false, fault };
  return { ok: true, document, checked: checkedText(document) };
}

/** Where a paper breaks a promise; null when none does. */
function firstFault({ lanes }: Comparison): string | null {
  for (const { method, trace, leaks } of lanes) {
    // A work with a slip breaks promises on purpose; that each slip has a chance there was asked before.
    const [fault] = leaks.length > 0 ? [] : audit(trace);
    if (fault) return sentence(`${method.name}, step ${fault.step}: ${fault.fault}`);
  }
  return null;
}

/** What was replayed, and what was not. */
function checkedText({ papers }: ComparisonDocument): string {
  const clean = papers.filter(({ slips }) => slips.length === 0).length;
  const papersOf = (count: number) => `${count} ${count === 1 ? 'paper' : 'papers'}`;
  const held = clean > 0 ? [`Every amount and law of ${papersOf(clean)} holds.`] : [];
  const slipped = papers.length - clean;
  const left =
    slipped > 0 ? [`${papersOf(slipped)} with a slip made on purpose: not replayed.`] : [];
  return [...held, ...left].join(' ');
}

function sentence(text: string): string {
  return text.endsWith('.') ? text : `${text}.`;
}
