import type { TraceFault } from './trace-fault.ts';
import { beyondOf, NOTHING_BEYOND, unlikeCells, type Beyond } from '../account/beyond.ts';
import { readAs, type Read } from '../describe/describe.ts';
import { Exact } from '../exact/exact.ts';
import type { Amount } from '../laws/law.ts';
import { lawFaults, lineIn, type Work } from '../laws/replay.ts';
import { OWN_LINES } from '../account/own-lines.ts';
import { failureText } from '../problem/failure.ts';
import { problemValue, type Problem } from '../problem/problem.ts';
import { readWorked } from '../problem/computation.ts';
import { readExpression } from '../problem/read-expression.ts';
import { scriptOf } from '../problem/script.ts';
import { headFault } from './heading.ts';
import { claimFaults } from './trace-claims.ts';
import { TRACE, type EntryDocument, type TraceDocument } from './trace-shape.ts';

/**
 * Replays a trace document from nothing but its own text: every entry is taken once and only while it is there,
 * the balance after every step is what is live and what the problem is worth, every step is an instance of the law
 * it names, marks name terms that are there and are the figures of what they are worth, and everything else that the
 * document claims holds, but for what {@link TRACE_NOT_CHECKED} names. The first fault, or null.
 */
export function auditDocument(input: unknown): TraceFault | null {
  const read = readTrace(input);
  if (!read.ok) return { step: 0, fault: `${read.where}: ${read.fault}` };
  const { work, balances, total, beyond } = read.value;
  const faults = [
    ...amountFaults(work, balances, total),
    ...beyondFaults(work, beyond),
    ...(work.isOwn ? ownFaults(work, beyond) : []),
    ...lawFaults(work),
  ];
  const [first] = faults.sort((a, b) => a.step - b.step);
  return first ?? claimFaults(read.value.document, work.problem)[0] ?? null;
}

interface ReadTrace {
  readonly document: TraceDocument;
  readonly work: Work;
  /** What entries hold beyond the edge of the problem, by their ids. */
  readonly beyond: ReadonlyMap<string, Beyond>;
  readonly balances: readonly Exact[];
  readonly total: Exact;
}

function readTrace(input: unknown): Read<ReadTrace> {
  const fault = headFault(input, { format: 'levee-trace', is: 'a trace', versions: [1] });
  if (fault) return { ok: false, ...fault };
  const described = readAs(TRACE, input, 'trace');
  if (!described.ok) return described;
  const { problem: told, entries: listed, steps } = described.value;
  const read = readWorked(told.text);
  if (!read.ok) return { ok: false, where: 'problem.text', fault: failureText(read.reason) };
  const isOwn = described.value.method === OWN_LINES;
  const entries = new Map(listed.map((entry) => [entry.id, amountOf(entry, read.problem, isOwn)]));
  const given = new Set(steps.flatMap(({ gives }) => gives));
  const k = steps.findIndex(({ gives }) => gives.some((id) => !entries.has(id)));
  if (k >= 0) {
    const id = steps[k]!.gives.find((one) => !entries.has(one));
    return { ok: false, where: `steps[${k}].gives`, fault: `there is no entry ${id}` };
  }
  const work: Work = {
    problem: read.problem,
    isOwn,
    start: new Map([...entries].filter(([id, { owed }]) => owed && !given.has(id))),
    steps: steps.map(({ number, law, takes, gives }) => ({
      number,
      law,
      takes,
      gives: new Map(gives.map((id) => [id, entries.get(id)!])),
    })),
  };
  const value = {
    document: described.value,
    work,
    balances: steps.map(({ balance }) => Exact.parse(balance)),
    total: problemValue(read.problem),
    beyond: new Map(listed.map((entry) => [entry.id, beyondIn(entry)])),
  };
  return { ok: true, value };
}

function amountOf(entry: EntryDocument, problem: Problem, isOwn: boolean): Amount {
  return {
    worth: Exact.parse(entry.worth),
    terms: new Set(entry.terms),
    owed: entry.standing === 'owed',
    written: writtenIn(entry, problem),
    ...(isOwn && entry.glyph !== null ? { line: lineIn(entry.glyph) } : {}),
  };
}

function beyondIn({ beyond = [] }: EntryDocument): Beyond {
  return new Map(
    beyond.map(({ cell, worth, count }) => [
      cell,
      { worth: Exact.parse(worth), count: BigInt(count) },
    ]),
  );
}

/**
 * What is laid beyond the edge of the problem is taken back: every step that gives something gives what it takes there,
 * and what is left in the end, with what came to nothing on the way, holds nothing beyond the edge.
 */
function beyondFaults({ steps }: Work, beyond: ReadonlyMap<string, Beyond>): readonly TraceFault[] {
  const all = (ids: Iterable<string>) =>
    [...ids].map((id) => ({ beyond: beyond.get(id) ?? NOTHING_BEYOND }));
  const faults = steps.flatMap(({ number: step, takes, gives }): TraceFault[] => {
    const more = gives.size === 0 ? NOTHING_BEYOND : beyondOf(all(gives.keys()), all(takes));
    const cells = [...more.keys()].join();
    return more.size === 0 ? [] : [{ step, fault: `it lays ${cells} beyond the edge` }];
  });
  const taken = new Set(steps.flatMap(({ takes, gives }) => (gives.size === 0 ? [] : takes)));
  const left = beyondOf(all([...beyond.keys()].filter((id) => !taken.has(id))));
  const fault = `the answer holds ${[...left.keys()].join()} beyond the edge`;
  return left.size === 0 ? faults : [...faults, { step: steps.length, fault }];
}

/** In someone's own lines every step gives just the cells that it takes. */
function ownFaults(
  { start, steps }: Work,
  beyond: ReadonlyMap<string, Beyond>,
): readonly TraceFault[] {
  const entries = [...start, ...steps.flatMap(({ gives }) => [...gives])];
  const cells = new Map(
    entries.map(([id, { terms }]) => {
      const own = new Map<string, bigint>([...terms].map((term) => [term, 1n]));
      for (const [cell, { count }] of beyond.get(id) ?? NOTHING_BEYOND) {
        own.set(cell, (own.get(cell) ?? 0n) + count);
      }
      return [id, own];
    }),
  );
  const moves = steps.map(({ number, takes, gives }) => ({
    number,
    takes,
    gives: [...gives.keys()],
  }));
  return unlikeCells(moves, cells);
}

/** A fraction as it stands on the paper; other figures are told by their worth. */
function writtenIn({ glyph }: EntryDocument, problem: Problem): Amount['written'] {
  if (scriptOf(problem) !== 'fractions' || glyph === null) return null;
  const read = /^−?\d+\/\d+$/.test(glyph) ? readExpression(glyph) : null;
  return read?.ok ? read.expression : null;
}

/** Entries taken twice, and balances that are not what is live or not what the problem is worth. */
function amountFaults(
  { start, steps }: Work,
  balances: readonly Exact[],
  total: Exact,
): readonly TraceFault[] {
  const live = new Map([...start].map(([id, { worth }]) => [id, worth]));
  const seen = new Set(live.keys());
  let sum = Exact.sum(live.values());
  const faults: TraceFault[] = [];
  if (!sum.equals(total))
    faults.push({ step: 0, fault: `the account opens with ${sum}, not ${total}` });
  for (const [k, { number: step, takes, gives }] of steps.entries()) {
    if (step !== k + 1) faults.push({ step, fault: `it should be step ${k + 1}` });
    for (const id of takes) {
      const worth = live.get(id);
      if (worth === undefined) faults.push({ step, fault: `${id} is taken but not there` });
      else sum = sum.minus(worth);
      live.delete(id);
    }
    for (const [id, { worth }] of gives) {
      if (seen.has(id)) faults.push({ step, fault: `${id} is given twice` });
      seen.add(id);
      live.set(id, worth);
      sum = sum.plus(worth);
    }
    if (!sum.equals(balances[k]!)) {
      faults.push({ step, fault: `the balance is ${sum}, not ${balances[k]}` });
    } else if (!sum.equals(total)) {
      faults.push({ step, fault: `the balance is ${sum}, but the problem is worth ${total}` });
    }
  }
  return faults;
}
