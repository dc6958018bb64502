import {
  listOf,
  oneOf,
  only,
  record,
  said,
  tableOf,
  text,
  textLike,
  type Described,
} from '../describe/describe.ts';
import { readCondition } from '../own/lettered/conditions.ts';
import { readRule } from '../own/lettered/rule-text.ts';
import { OWN_LIMITS } from '../own/paper/own-work.ts';
import { PROBLEM_KINDS } from '../problem/kinds.ts';

const letter = () => textLike('a letter', { most: 1, pattern: /^[a-z]$/ });

const rule = () =>
  textLike('a rule', {
    most: 200,
    pattern: /\S/,
    fits: (value) => readRule(value) !== null,
  });

const condition = () =>
  textLike('a condition', {
    most: 60,
    pattern: /\S/,
    fits: (value) => readCondition(value) !== null,
  });

/** The open format of a way with letters for its numbers, version 1. */
export const WAY = record({
  format: only('levee-way'),
  version: only(1),
  kind: oneOf(PROBLEM_KINDS),
  name: said('What the way is called; empty until it has a name.', text(OWN_LIMITS.name)),
  from: said('The computation that it was first written for.', text(400)),
  asked: said('What is worked, with letters for its numbers: `a × b`.', text(400)),
  given: said('The letters of what is worked, in their order.', listOf(letter(), { least: 1 })),
  lines: said(
    'The lines with letters for their numbers: `= a × c − a × d`.',
    listOf(text(OWN_LIMITS.characters), { least: 1, most: OWN_LIMITS.lines }),
  ),
  rules: said(
    'For every other letter how it comes from those that are known: a computation or a named rule.',
    tableOf(rule(), letter()),
  ),
  holds: said(
    'What must hold of the numbers: `even(a)`, `whole(c)`, `comes-out(c)`, `c > b`, `b = 11`.',
    listOf(condition()),
  ),
});

export type WayDocument = Described<typeof WAY>;
