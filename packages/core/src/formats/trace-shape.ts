import { GROUP_ROLES, LAWS, ROLES } from '../account/account.ts';
import { FEATURES } from '../account/chance.ts';
import {
  amount,
  count,
  fallback,
  flag,
  integer,
  listOf,
  oneOf,
  only,
  optional,
  orNull,
  record,
  said,
  tableOf,
  text,
  textLike,
  type Described,
} from '../describe/describe.ts';
import { PROBLEM_KINDS } from '../problem/kinds.ts';

const root = () =>
  textLike('an exact amount or a root such as 6√2', {
    most: 4000,
    pattern: /^(-?[0-9a-z^/+-]+|[0-9/]*√[0-9]+(\/[0-9]+)?)$/,
  });

/** A problem in every document. */
export const PROBLEM = record({
  text: text(),
  kind: oneOf(PROBLEM_KINDS),
  operands: listOf(text(), { least: 1 }),
  base: count(2, 16),
  value: root(),
});

export const SCHOOL = tableOf(text(80));

const ENTRY = record({
  id: text(),
  standing: oneOf(['owed', 'marked']),
  text: text(),
  glyph: orNull(text()),
  place: optional(
    said(
      'The place its last figure is written in; absent for what is written whole, or owed.',
      integer(),
    ),
  ),
  worth: amount(),
  medium: orNull(oneOf(['paper', 'head'])),
  role: orNull(oneOf(ROLES)),
  terms: listOf(text()),
  beyond: optional(
    said(
      'Cells beyond the edge of the problem that it holds, each so many times; absent where there are none.',
      listOf(record({ cell: text(), worth: amount(), count: integer() })),
    ),
  ),
});

const STEP = record({
  number: count(1),
  law: oneOf(LAWS),
  takes: listOf(text()),
  gives: listOf(text()),
  strikes: listOf(text()),
  balance: amount(),
  digitVoice: text(),
  valueVoice: text(),
});

/** What a method costs on one problem, every figure counted from the trace. */
export const COST = record({
  facts: count(),
  additions: count(),
  carries: count(),
  figures: count(),
  lines: count(),
  passes: count(),
  steps: count(),
  heldAtOnce: count(),
  largestHeld: amount(),
  largestWritten: amount(),
  leadingCertainAt: count(),
  simplifications: fallback(count(), 0),
  signs: fallback(count(), 0),
  terms: fallback(count(), 0),
  numbersMet: fallback(listOf(amount()), []),
});

/** The open format of one method's work, version 1. */
export const TRACE = record({
  format: only('levee-trace'),
  version: only(1),
  problem: PROBLEM,
  method: text(80),
  school: SCHOOL,
  answer: root(),
  answerText: text(),
  balanced: flag(),
  entries: listOf(ENTRY),
  steps: listOf(STEP),
  groups: listOf(
    record({
      id: text(),
      role: oneOf(GROUP_ROLES),
      name: text(),
      marks: listOf(text()),
      worth: amount(),
      terms: listOf(text()),
    }),
  ),
  opportunities: listOf(
    record({
      slip: text(),
      occurrence: count(1),
      at: fallback(said('By what is dealt with, such as `line-1.0`.', text()), ''),
      features: fallback(listOf(oneOf(FEATURES)), []),
      step: count(),
    }),
  ),
  leaks: fallback(
    said(
      'Where the work gains or loses something; empty for a clean one.',
      listOf(record({ step: count(), amount: amount() })),
    ),
    [],
  ),
  cost: COST,
});

/** Worths are exact strings in base ten. */
export type TraceDocument = Described<typeof TRACE>;
export type ProblemDocument = Described<typeof PROBLEM>;
export type EntryDocument = Described<typeof ENTRY>;
export type CostDocument = Described<typeof COST>;
