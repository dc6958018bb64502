import { leaksOf } from '../account/leaks.ts';
import { whereText, type Feature } from '../account/chance.ts';
import type { Entry, EntryId, Law, Mark, Trace } from '../account/account.ts';
import { rootOf } from '../account/root.ts';
import { Exact } from '../exact/exact.ts';
import { lowered } from '../exact/terms-text.ts';
import { exactRoot } from '../problem/evaluate.ts';
import { answerText } from '../account/answer-text.ts';
import { allEntries } from '../account/owed.ts';
import { cost, type Cost } from '../compare/cost.ts';
import { numeralText } from '../exact/numeral.ts';
import type { Method } from '../methods/method.ts';
import { sayPlain } from '../phrases/phrasebook.ts';
import { speakerFor } from '../phrases/speaker.ts';
import { DEFAULT_VOCABULARY, type Vocabulary } from '../phrases/vocabulary.ts';
import { problemText } from '../problem/problem.ts';

/** A problem in every document. Worths are exact strings in base ten. */
export interface ProblemDocument {
  readonly text: string;
  readonly kind: string;
  readonly operands: readonly string[];
  readonly base: number;
  readonly value: string;
}

export interface EntryDocument {
  readonly id: EntryId;
  readonly standing: Entry['standing'];
  readonly text: string;
  readonly glyph: string | null;
  readonly worth: string;
  readonly medium: Mark['medium'] | null;
  readonly role: Mark['role'] | null;
  readonly terms: readonly string[];
  /** Cells beyond the edge of the problem that it holds, each so many times; absent where there are none. */
  readonly beyond?: readonly {
    readonly cell: string;
    readonly worth: string;
    readonly count: number;
  }[];
}

export interface StepDocument {
  readonly number: number;
  readonly law: Law;
  readonly takes: readonly EntryId[];
  readonly gives: readonly EntryId[];
  readonly strikes: readonly EntryId[];
  readonly balance: string;
  readonly digitVoice: string;
  readonly valueVoice: string;
}

/** The open format of one method's work, version 1. */
export interface TraceDocument {
  readonly format: 'levee-trace';
  readonly version: 1;
  readonly problem: ProblemDocument;
  readonly method: string;
  readonly school: Trace['school'];
  readonly answer: string;
  readonly answerText: string;
  readonly balanced: boolean;
  readonly entries: readonly EntryDocument[];
  readonly steps: readonly StepDocument[];
  readonly groups: readonly {
    readonly id: string;
    readonly role: string;
    readonly name: string;
    readonly marks: readonly EntryId[];
    readonly worth: string;
    readonly terms: readonly string[];
  }[];
  readonly opportunities: readonly {
    readonly slip: string;
    readonly occurrence: number;
    /** By what is dealt with, such as `line-1.0`. */
    readonly at: string;
    readonly features: readonly Feature[];
    readonly step: number;
  }[];
  /** Where the work gains or loses something; empty for a clean one. */
  readonly leaks: readonly { readonly step: number; readonly amount: string }[];
  readonly cost: CostDocument;
}

export type CostDocument = Omit<Cost, 'largestHeld' | 'largestWritten' | 'numbersMet'> & {
  readonly largestHeld: string;
  readonly largestWritten: string;
  readonly numbersMet: readonly string[];
};

export function problemDocument({ problem, total }: Trace): ProblemDocument {
  return {
    text: problemText(problem),
    kind: problem.kind,
    operands: problem.operands.map(numeralText),
    base: problem.base,
    value: problem.kind === 'root' ? rootText(exactRoot(total), total) : total.toString(),
  };
}

export function costDocument(trace: Trace): CostDocument {
  const counted = cost(trace);
  return {
    ...counted,
    largestHeld: counted.largestHeld.toString(),
    largestWritten: counted.largestWritten.toString(),
    numbersMet: counted.numbersMet.map(String),
  };
}

/** A trace as the open trace format, with its sentences in the given words. */
export function traceDocument(
  method: Method,
  trace: Trace,
  words: Vocabulary = DEFAULT_VOCABULARY,
): TraceDocument {
  const say = speakerFor(trace.problem, words);
  return {
    format: 'levee-trace',
    version: 1,
    problem: problemDocument(trace),
    method: trace.method,
    school: trace.school,
    answer: answerDocument(trace),
    answerText: lowered(answerText(trace)).replaceAll('−', '-'),
    balanced: trace.balanced,
    entries: allEntries(trace).map(entryDocument),
    steps: trace.steps.map((step) => ({
      number: step.number,
      law: step.law,
      takes: step.takes,
      gives: [...step.gives, ...step.opens].map(({ id }) => id),
      strikes: step.strikes,
      balance: step.balance.toString(),
      digitVoice: sayPlain(method.phrases, step.phrase, 'digit', say),
      valueVoice: sayPlain(method.phrases, step.phrase, 'value', say),
    })),
    groups: trace.groups.map(({ id, role, marks: members, worth, terms, phrase }) => ({
      id,
      role,
      name: sayPlain(method.phrases, phrase, 'digit', say),
      marks: members,
      worth: worth.toString(),
      terms: terms.ids(),
    })),
    opportunities: trace.opportunities.map(({ slip, occurrence, at, features, step }) => ({
      slip,
      occurrence,
      at: whereText(at),
      features,
      step,
    })),
    leaks: leaksOf(trace).map(({ step, amount }) => ({ step, amount: amount.toString() })),
    cost: costDocument(trace),
  };
}

/** A root that comes out is a number, any other is told by its number. */
function rootText(root: Exact | null, of: Exact): string {
  return root?.toString() ?? `√${of}`;
}

/** The answer as an exact string; of a root what the paper has for it: `86`, `212/25`, `6√2`. */
function answerDocument(trace: Trace): string {
  if (trace.problem.kind !== 'root') return trace.answer.toString();
  const { root, under } = rootOf(trace);
  if (under.equals(Exact.ONE)) return root.toString();
  return `${root.equals(Exact.ONE) ? '' : root}√${under}`;
}

function entryDocument(entry: Entry): EntryDocument {
  const marked = entry.standing === 'marked' ? entry : null;
  return {
    id: entry.id,
    standing: entry.standing,
    text: entry.text,
    glyph: marked?.glyph ?? null,
    worth: entry.worth.toString(),
    medium: marked?.medium ?? null,
    role: marked?.role ?? null,
    terms: entry.terms.ids(),
    ...(entry.beyond
      ? {
          beyond: [...entry.beyond].map(([cell, { worth, count }]) => ({
            cell,
            worth: worth.toString(),
            count: Number(count),
          })),
        }
      : {}),
  };
}
