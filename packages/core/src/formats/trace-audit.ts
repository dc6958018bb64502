import { beyondOf, NOTHING_BEYOND, type Beyond } from '../account/beyond.ts';
import { LAWS } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import type { Amount } from '../laws/law.ts';
import { lawFaults, type Work, type WorkStep } from '../laws/replay.ts';
import { failureText } from '../problem/failure.ts';
import { problemValue, readProblem, type Problem } from '../problem/problem.ts';
import { readExpression } from '../problem/read-expression.ts';
import { scriptOf } from '../problem/script.ts';
import {
  amountIn,
  attempt,
  countIn,
  fieldsOf,
  listIn,
  oneOfIn,
  ReadingFault,
  textIn,
  type Fields,
} from './reading.ts';

/** What is wrong with a trace that came from outside: the step, 0 for the document itself, and what. */
export interface TraceFault {
  readonly step: number;
  readonly fault: string;
}

/**
 * Replays a trace document from nothing but its own text: every entry is taken once and only while it is there,
 * the balance after every step is what is live and what the problem is worth, every step is an instance of the law
 * it names, marks name terms that are there, and the answer is what is left. The first fault, or null.
 */
export function auditDocument(input: unknown): TraceFault | null {
  const read = attempt(() => traceIn(input));
  if (!read.ok) return { step: 0, fault: `${read.where}: ${read.fault}` };
  const { work, balances, total, beyond } = read.value;
  const faults = [
    ...amountFaults(work, balances, total),
    ...beyondFaults(work, beyond),
    ...lawFaults(work),
  ];
  return faults.sort((a, b) => a.step - b.step)[0] ?? null;
}

interface ReadTrace {
  readonly work: Work;
  /** What entries hold beyond the edge of the problem, by their ids. */
  readonly beyond: ReadonlyMap<string, Beyond>;
  readonly balances: readonly Exact[];
  readonly total: Exact;
}

function traceIn(input: unknown): ReadTrace {
  const fields = fieldsOf(input, 'trace');
  if (fields['format'] !== 'levee-trace') throw new ReadingFault('format', 'this is not a trace');
  if (fields['version'] !== 1) {
    throw new ReadingFault('version', `version ${String(fields['version'])} is not known here`);
  }
  const source = textIn(fieldsOf(fields['problem'], 'problem')['text'], 'problem.text');
  const read = readProblem(source);
  if (!read.ok) throw new ReadingFault('problem.text', failureText(read.reason));
  const entries = new Map(
    listIn(fields['entries'], 'entries', (entry, where) => entryIn(entry, where, read.problem)),
  );
  const beyond = new Map(listIn(fields['entries'], 'entries', beyondIn));
  const steps = listIn(fields['steps'], 'steps', (step, where) => stepIn(step, where, entries));
  const given = new Set(steps.flatMap(({ step }) => [...step.gives.keys()]));
  const start = new Map([...entries].filter(([id, { owed }]) => owed && !given.has(id)));
  return {
    work: { problem: read.problem, start, steps: steps.map(({ step }) => step) },
    balances: steps.map(({ balance }) => balance),
    total: problemValue(read.problem),
    beyond,
  };
}

function entryIn(input: unknown, where: string, problem: Problem): readonly [string, Amount] {
  const fields = fieldsOf(input, where);
  const standing = oneOfIn(fields['standing'], `${where}.standing`, ['owed', 'marked']);
  return [
    textIn(fields['id'], `${where}.id`),
    {
      worth: Exact.parse(amountIn(fields['worth'], `${where}.worth`)),
      terms: new Set(listIn(fields['terms'], `${where}.terms`, textIn)),
      owed: standing === 'owed',
      written: writtenIn(fields, problem),
    },
  ];
}

function beyondIn(input: unknown, where: string): readonly [string, Beyond] {
  const { id, beyond = [] } = fieldsOf(input, where);
  const cells = listIn(beyond, `${where}.beyond`, (one, at) => {
    const { cell, worth, count } = fieldsOf(one, at);
    if (!Number.isSafeInteger(count))
      throw new ReadingFault(`${at}.count`, 'this is no whole number');
    const laid = {
      worth: Exact.parse(amountIn(worth, `${at}.worth`)),
      count: BigInt(count as number),
    };
    return [textIn(cell, `${at}.cell`), laid] as const;
  });
  return [textIn(id, `${where}.id`), new Map(cells)];
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

/** A fraction as it stands on the paper; other figures are told by their worth. */
function writtenIn({ glyph, worth }: Fields, problem: Problem): Amount['written'] {
  if (scriptOf(problem) !== 'fractions' || typeof glyph !== 'string') return null;
  const read = /^−?\d+\/\d+$/.test(glyph) ? readExpression(glyph) : null;
  return read?.ok && typeof worth === 'string' ? read.expression : null;
}

function stepIn(
  input: unknown,
  where: string,
  entries: ReadonlyMap<string, Amount>,
): { readonly step: WorkStep; readonly balance: Exact } {
  const fields = fieldsOf(input, where);
  const gives = listIn(fields['gives'], `${where}.gives`, textIn).map((id) => {
    const entry = entries.get(id);
    if (!entry) throw new ReadingFault(`${where}.gives`, `there is no entry ${id}`);
    return [id, entry] as const;
  });
  return {
    balance: Exact.parse(amountIn(fields['balance'], `${where}.balance`)),
    step: {
      number: countIn(fields['number'], `${where}.number`),
      law: oneOfIn(fields['law'], `${where}.law`, LAWS),
      takes: listIn(fields['takes'], `${where}.takes`, textIn),
      gives: new Map(gives),
    },
  };
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
