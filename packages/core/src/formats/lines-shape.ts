import { LAWS } from '../account/account.ts';
import {
  count,
  flag,
  listOf,
  oneOf,
  only,
  orNull,
  record,
  said,
  text,
  textLike,
  type Described,
} from '../describe/describe.ts';
import { FORMS } from '../diagnose/answer.ts';
import { MOVE_IDS } from '../laws/moves.ts';
import { TRACE } from './trace-shape.ts';
import { LINE_KINDS, VERDICTS } from '../own/judge/judged.ts';
import { PROBLEM_KINDS } from '../problem/kinds.ts';

const value = () =>
  textLike('an exact amount, with roots where they do not come out', {
    most: 4000,
    pattern: /^-?[0-9a-z^/+√()-]+$/,
  });

/** What is to be worked, in every document about one's own lines. */
export const ASKED = record({
  text: text(),
  kind: said('Null where no method works it.', orNull(oneOf(PROBLEM_KINDS))),
  operands: listOf(text()),
  base: count(2, 16),
  value: value(),
});

const LINE_MOVE = record({
  law: oneOf(LAWS),
  move: oneOf(MOVE_IDS),
  from: text(),
  to: text(),
  with: said('What it was used on, `58 = 60 − 2`, or by how much.', orNull(text())),
});

const READING = record({
  moves: listOf(LINE_MOVE),
  between: said('The lines that would stand between, for a leap.', listOf(text())),
});

const SIGN = record({
  at: said('The character that it is, from 0.', count()),
  verdict: oneOf(VERDICTS),
  off: orNull(value()),
});

const LINE = record({
  n: said('From 1.', count(1)),
  text: text(),
  kind: oneOf(LINE_KINDS),
  verdict: oneOf(VERDICTS),
  value: orNull(value()),
  against: said('The line that it is judged against; 0 is the problem.', orNull(count())),
  off: said(
    'Its value less that one’s; of a side line its right side less its left.',
    orNull(value()),
  ),
  totalOff: said('Its value less the problem’s.', orNull(value())),
  law: said('The one law of all its readings.', orNull(oneOf(LAWS))),
  move: orNull(oneOf(MOVE_IDS)),
  readings: listOf(READING),
  signs: said('Every equals sign of a line with several.', listOf(SIGN)),
  statements: said('What a run-on line says in full.', listOf(text())),
  joins: said('The line that a side line goes into.', orNull(count(1))),
  followed: said('Whether it is lawful after an unequal line.', flag()),
  chance: said(
    'A false rule that writes this right line too, and numbers on which it fails.',
    orNull(record({ rule: text(80), counter: text() })),
  ),
  falseRule: orNull(text(80)),
  nearest: said(
    'The nearest true lines, at most two; each explains all of what the line is off.',
    listOf(record({ text: text(), off: value() })),
  ),
  slip: said(
    'Where a slip or a habit gives what an unequal line gives for the one computation that it works out: `omit-placeholder@line-1`.',
    orNull(text()),
  ),
  unreadAt: said('The first character that does not fit, from 0.', orNull(count())),
  ambiguous: said('Whether people read it in two ways that are worth different amounts.', flag()),
  units: listOf(text()),
  says: text(),
});

/** The open format of someone's own working, judged line by line, version 1. */
export const OWN_LINES = record({
  format: only('levee-lines'),
  version: only(1),
  problem: ASKED,
  complete: said(
    'Whether the last rewriting, total or landing owes nothing more, whatever it is worth.',
    flag(),
  ),
  right: said('Whether it has the problem’s value.', flag()),
  form: oneOf(FORMS),
  unused: said('Side lines that go into nothing.', listOf(count(1))),
  searched: record({
    nodes: said('Lines that were held against a line.', count()),
    cut: said('Whether a bound was met before everything was looked at.', flag()),
  }),
  trace: said('The account of the lines; null where there is none.', orNull(TRACE)),
  lines: listOf(LINE),
});

export type OwnLinesDocument = Described<typeof OWN_LINES>;
