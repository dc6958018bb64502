import { CHECKS, OUTCOMES } from './check-ids.ts';
import {
  amount,
  count,
  flag,
  listOf,
  oneOf,
  only,
  orNull,
  record,
  said,
  tableOf,
  text,
  textLike,
  type Described,
} from '../describe/describe.ts';
import { Exact } from '../exact/exact.ts';
import { MAX_ANSWER } from '../diagnose/answer.ts';
import { MAX_ROWS } from '../diagnose/rows.ts';
import { OWN_LIMITS } from '../own/paper/own-work.ts';
import { LIMITS } from '../problem/bounds.ts';
import {
  MAX_CHECKS,
  MAX_EARLIER,
  MAX_HOPS,
  MAX_PAPERS,
  MAX_SLIPS,
  MAX_TAGS,
  PACES,
  TEXT_LIMITS,
} from './comparison-limits.ts';
import { COVERS, ROOM_PARTS } from './room.ts';
import { SCHOOL } from './trace-shape.ts';

/** Names a paper of a comparison for as long as its work lasts: `p1`. */
const PAPER_ID = /^p[1-9][0-9]{0,8}$/;
const paperId = () => textLike('the name of a paper, such as p1', { most: 10, pattern: PAPER_ID });

const HOP = textLike('an amount such as 13, -5 or 1/20', {
  most: 60,
  pattern: /^-?[0-9]+(\/[0-9]*[1-9][0-9]*)?$/,
  fits: (value) => Exact.parse(value).toString() === value,
});

const SLIP = textLike('a slip such as forget-carry@line-1.0', {
  most: 80,
  pattern: /^[a-z]+(-[a-z]+)*@.+$/,
});

const CODE = () => textLike('a code such as T07', { most: 7, pattern: /^(\p{L}{0,3}\d{1,4})?$/u });

/** Someone's own lines, as they were typed. */
const OWN = record({
  lines: listOf(
    record({
      text: text(OWN_LIMITS.characters),
      struck: said('Struck lines stay legible and are not judged.', flag()),
    }),
    { most: OWN_LIMITS.lines },
  ),
  code: said('Whose way it is: up to three letters and one to four figures, or empty.', CODE()),
  name: said('What the way is called; empty until it has a name.', text(OWN_LIMITS.name)),
});

/** What was chosen for one paper. A field more is a field here, and a line of `comparison-migrations.ts`. */
export const PAPER = record({
  id: said('Unlike those of all papers that lay on this comparison before.', paperId()),
  method: text(80),
  school: SCHOOL,
  order: said('Term ids to deal with first.', listOf(text(40), { most: LIMITS.products })),
  hops: said('Own hops, pieces or changes: exact amounts.', listOf(HOP, { most: MAX_HOPS })),
  slips: said('Slips made on purpose, by their addresses.', listOf(SLIP, { most: MAX_SLIPS })),
  own: said('The lines of a paper of own lines; null for every other method.', orNull(OWN)),
});

const ESTIMATE = record({
  operands: said(
    'The rounded operands in figures of the problem’s base.',
    listOf(text(LIMITS.figures), { most: LIMITS.addends }),
  ),
  value: amount(),
  judgement: said(
    'How near is near enough, in words of her own; empty until it is said.',
    text(TEXT_LIMITS.judgement),
  ),
  beforeWorking: said(
    'False when some step had been done before the estimate was recorded.',
    flag(),
  ),
});

const TIME = textLike('a time such as 2026-01-31T09:00:00.000Z', {
  most: 40,
  pattern: /^[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9:.]+Z$/,
  fits: (at) => !Number.isNaN(Date.parse(at)) && new Date(at).toISOString() === at,
});

/** A check that was made, as it was found then. The log of checks is no matter for undo. */
const CHECK_RECORD = record({
  check: oneOf(CHECKS),
  problem: said('The computation that was checked.', text(LIMITS.text)),
  method: said('The method whose answer was checked.', text(80)),
  against: said('A second method, or what was keyed into the calculator; else empty.', text(400)),
  outcome: oneOf(OUTCOMES),
  at: said('When it was made: ISO 8601 in UTC.', TIME),
});

/** An answer of a learner; whoever it is has a code, and a name cannot be kept. */
const ANSWER = record({
  code: said('Up to three letters and one to four figures; empty where nobody is named.', CODE()),
  problem: said('The computation; empty for that of the comparison.', text(LIMITS.text)),
  answer: text(MAX_ANSWER),
});
export type AnswerRecord = Described<typeof ANSWER>;

const ROOM = record({
  covered: said(
    'What lies under a cover there until it is lifted.',
    listOf(oneOf(COVERS), { most: COVERS.length }),
  ),
  shown: said(
    'What is shown there; "steps" is how many steps are done.',
    listOf(oneOf(ROOM_PARTS), { most: ROOM_PARTS.length }),
  ),
});

/** The open format of a kept comparison: what was chosen, never what can be computed. */
export const COMPARISON = record({
  format: only('levee-comparison'),
  version: only(9),
  title: text(TEXT_LIMITS.title),
  story: said('What the numbers stand for, in a line.', text(TEXT_LIMITS.story)),
  unit: said('The unit of the answer.', text(TEXT_LIMITS.unit)),
  units: said(
    'The unit of each number, in their order; empty where it has none, and no list where none has.',
    listOf(text(TEXT_LIMITS.unit), { most: LIMITS.addends }),
  ),
  tags: said(
    'Words by which it is found with others.',
    listOf(text(TEXT_LIMITS.tag), { most: MAX_TAGS }),
  ),
  counted: said('Whether the unit is counted in wholes and cannot be split.', flag()),
  problem: text(LIMITS.text),
  estimate: orNull(ESTIMATE),
  earlier: said(
    'Estimates of computations that were worked in it before; each comes back with its computation.',
    listOf(record({ problem: text(LIMITS.text), estimate: ESTIMATE }), { most: MAX_EARLIER }),
  ),
  papers: listOf(PAPER, { least: 1, most: MAX_PAPERS }),
  steps: said('Steps done, by the ids of papers.', tableOf(count(), paperId())),
  pace: oneOf(PACES),
  room: said('How it stands before a class.', ROOM),
  checks: listOf(CHECK_RECORD, { most: MAX_CHECKS }),
  answers: said('Answers of learners, under codes.', listOf(ANSWER, { most: MAX_ROWS })),
});

export type ComparisonDocument = Described<typeof COMPARISON>;
export type PaperChoice = Described<typeof PAPER>;
export type PaperId = PaperChoice['id'];
/** How a paper is worked, whichever paper it is. */
export type PaperWork = Omit<PaperChoice, 'id'>;
export type EstimateRecord = Described<typeof ESTIMATE>;
export type CheckRecord = Described<typeof CHECK_RECORD>;
