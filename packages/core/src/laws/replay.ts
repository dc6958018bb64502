import { termParts } from '../account/ids.ts';
import { OWN_LINES } from '../account/own-lines.ts';
import { termShape } from '../problem/kinds.ts';
import { isTaken } from '../problem/problem.ts';
import type { Entry, Law, Trace } from '../account/account.ts';
import type { Expression } from '../problem/expression.ts';
import { readExpression } from '../problem/read-expression.ts';
import { Exact } from '../exact/exact.ts';
import { fractionFigures } from '../exact/fraction-figures.ts';
import { numeralValue } from '../exact/numeral.ts';
import type { Problem } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';
import type { Amount, LawFrame } from './law.ts';
import { checkLaw } from './table.ts';

/** A work as it is replayed: what is there from the start, and what each step takes and gives, by ids. */
export interface Work {
  readonly problem: Problem;
  readonly start: ReadonlyMap<string, Amount>;
  readonly steps: readonly WorkStep[];
  /** Whether it is someone's own lines. */
  readonly isOwn?: boolean;
}

export interface WorkStep {
  readonly number: number;
  readonly law: Law;
  readonly takes: readonly string[];
  readonly gives: ReadonlyMap<string, Amount>;
}

export interface LawFault {
  readonly step: number;
  readonly fault: string;
}

/**
 * Every step of a work that is no instance of the law it names, or whose marks name terms that are not there.
 * Steps that take what is not live are left to the audit of amounts.
 */
export function lawFaults({ problem, start, steps, isOwn = false }: Work): readonly LawFault[] {
  const frame = { ...workFrame(problem, start), isOwn };
  const live = new Map(start);
  const known = new Set([...start.values()].flatMap(({ terms }) => [...terms]));
  const faults: LawFault[] = [];
  for (const { number: step, law, takes, gives } of steps) {
    const taken = takes.flatMap((id) => live.get(id) ?? []);
    for (const id of takes) live.delete(id);
    for (const [id, amount] of gives) {
      live.set(id, amount);
      const stranger = [...amount.terms].find((term) => !known.has(term));
      if (stranger !== undefined)
        faults.push({ step, fault: `${id} names a term ${stranger} that is not there` });
    }
    const verdict = checkLaw(law, { takes: taken, gives: [...gives.values()] }, frame);
    if (!verdict.ok) faults.push({ step, fault: `it is no instance of ${law}: ${verdict.fault}` });
  }
  return faults;
}

function workFrame(problem: Problem, start: ReadonlyMap<string, Amount>): LawFrame {
  const { kind, base, operands } = problem;
  const worths = new Map(
    [...start.values()].flatMap(({ terms, worth }) =>
      terms.size === 1 ? [[[...terms][0]!, worth] as const] : [],
    ),
  );
  return {
    kind,
    base,
    script: scriptOf(problem),
    operands: operands.map(numeralValue),
    isTaken: (operand) => isTaken(problem, operand),
    terms: new Set(worths.keys()),
    spent: new Set(),
    inFigures: true,
    by: null,
    partsOf: (term) => {
      const numbers = termParts(term);
      const worth = worths.get(term) ?? Exact.ZERO;
      switch (termShape(kind)) {
        case 'products':
          return numbers.map((part, operand) => ({
            operand,
            worth: partOf(operands[operand], part),
          }));
        case 'parts':
          return [{ operand: numbers[0] ?? 0, worth }];
        case 'pieces':
          return [{ operand: 0, worth }];
      }
    },
  };
}

/** A part of a bracket, counted from its last term; of a number in figures only that it is not negative matters. */
function partOf(operand: Problem['operands'][number] | undefined, part: number): Exact {
  return operand?.terms?.list.at(-1 - part) ?? Exact.ONE;
}

/** A trace as a work that can be replayed. */
export function replayOf(trace: Trace): Work {
  const isFractions = scriptOf(trace.problem) === 'fractions';
  const isOwn = trace.method === OWN_LINES;
  const amount = (entry: Entry): Amount => ({
    worth: entry.worth,
    terms: new Set(entry.terms.ids()),
    owed: entry.standing === 'owed',
    written: isFractions && entry.standing === 'marked' ? fractionIn(entry.glyph) : null,
    ...(isOwn && entry.standing === 'marked' ? { line: lineIn(entry.glyph) } : {}),
  });
  const named = (entries: readonly Entry[]) =>
    new Map(entries.map((entry) => [entry.id as string, amount(entry)]));
  return {
    problem: trace.problem,
    isOwn,
    start: named(trace.start),
    steps: trace.steps.map(({ number, law, takes, gives, opens }) => ({
      number,
      law,
      takes,
      gives: named([...opens, ...gives]),
    })),
  };
}

function fractionIn(glyph: string): Amount['written'] {
  const read = fractionFigures(glyph)?.whole === null ? readExpression(glyph) : null;
  return read?.ok ? read.expression : null;
}

/** What stands on a line of someone's own, a sign before it left out; null where it is no expression. */
export function lineIn(glyph: string): Expression | null {
  const read = readExpression(glyph.replace(/^[−+-]\s+/, ''));
  return read.ok ? read.expression : null;
}
