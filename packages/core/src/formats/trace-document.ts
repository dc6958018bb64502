import { leaksOf } from '../account/leaks.ts';
import { whereText } from '../account/chance.ts';
import type { Entry, Trace } from '../account/account.ts';
import { rootOf } from '../account/root.ts';
import { Exact } from '../exact/exact.ts';
import { lowered } from '../exact/terms-text.ts';
import { exactRoot } from '../problem/evaluate.ts';
import { answerText } from '../account/answer-text.ts';
import { allEntries } from '../account/owed.ts';
import { cost } from '../compare/counted/cost.ts';
import { numeralText } from '../exact/numeral.ts';
import type { Method } from '../methods/method.ts';
import { sayPlain } from '../phrases/phrasebook.ts';
import { speakerFor } from '../phrases/speaker.ts';
import { DEFAULT_VOCABULARY, type Vocabulary } from '../phrases/vocabulary.ts';
import { problemText } from '../problem/problem.ts';
import type { CostDocument, EntryDocument, ProblemDocument, TraceDocument } from './trace-shape.ts';

export function problemDocument({
  problem,
  total,
}: Pick<Trace, 'problem' | 'total'>): ProblemDocument {
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
  method: Pick<Method, 'phrases'>,
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
    ...(marked?.place === undefined ? {} : { place: marked.place }),
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
