import { FEATURES } from '../account/chance.ts';
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
  share,
  text,
  type Described,
} from '../describe/describe.ts';
import { FORMS } from '../diagnose/answer.ts';
import { EFFECTS } from '../slips/slip-idea.ts';
import { PROBLEM, SCHOOL } from './trace-shape.ts';

const WHERE = oneOf(['all', ...FEATURES]);

const EXPLAINED_SLIP = record({
  slip: text(80),
  idea: said(
    'The idea of the catalogue: the slip itself, or what explains a wrong fact.',
    text(80),
  ),
  at: said('Its address, such as omit-placeholder@line-1 or wrong-fact@cell-1.0=25.', text()),
  step: said('The step of the first method named; null before any work.', orNull(count(1))),
  wrote: orNull(text()),
  due: orNull(text()),
  fact: said('The fact that is taken for another number.', orNull(text())),
});

const EXPLANATION = record({
  methods: said(
    'The methods by which these slips give this answer; none where the item as a whole is mistaken.',
    listOf(record({ method: text(80), school: SCHOOL })),
  ),
  slips: listOf(EXPLAINED_SLIP, { least: 1 }),
  habit: said(
    'Where the slip is made every time; null when it is made once.',
    orNull(record({ where: WHERE })),
  ),
  effect: oneOf(EFFECTS),
  cancels: said('Whether one slip takes back in part what another gains.', flag()),
  evidence: record({
    reaches: said(
      'How many different wrong answers such a search reaches on these numbers.',
      count(),
    ),
    near: said(
      'Of the wrong whole numbers with as many figures as the answer, the share that it reaches, to four places.',
      orNull(share()),
    ),
  }),
  copied: said('What was worked instead, where the question was copied wrongly.', orNull(text())),
});

const SEARCHED = record({
  methods: count(),
  schools: count(),
  singles: count(),
  habits: count(),
  pairs: count(),
  facts: count(),
  cut: said('Whether the search was broken off before it was through.', flag()),
});

/** The open format of a diagnosis, version 1. */
export const DIAGNOSIS = record({
  format: only('levee-diagnosis'),
  version: only(1),
  problem: PROBLEM,
  answer: text(),
  answered: flag(),
  right: said('Whether the amount is right, however it is written.', flag()),
  form: oneOf(FORMS),
  off: said('The answer less the right one; null where nothing was answered.', orNull(amount())),
  explanations: listOf(EXPLANATION),
  silent: said('Slips that these numbers cannot show.', listOf(text(80))),
  searched: SEARCHED,
});
export type DiagnosisDocument = Described<typeof DIAGNOSIS>;

const SHEET_ITEM = record({
  problem: text(),
  answer: text(),
  answered: flag(),
  read: flag(),
  right: flag(),
  spared: said(
    'Whether a habit of the sheet would have made it wrong, though it is right.',
    flag(),
  ),
  habits: said('Which of the slips above explain it, by their numbers from 0.', listOf(count())),
  explanation: said(
    'The slips that explain it beyond the habits; null where there are none.',
    orNull(listOf(text(), { least: 1 })),
  ),
  ideas: said('The ideas of the catalogue that these slips are of.', listOf(text(80))),
});

/** The open format of learners' sheets diagnosed, version 1. */
export const SHEET_DIAGNOSIS = record({
  format: only('levee-sheet-diagnosis'),
  version: only(1),
  learners: listOf(
    record({
      code: text(80),
      cut: said('Whether habits were left out because the search was broken off.', flag()),
      slips: listOf(
        record({
          slip: text(80),
          where: WHERE,
          method: text(80),
          made: count(),
          chances: count(),
          verdict: oneOf(['habit', 'now-and-then']),
        }),
      ),
      items: listOf(SHEET_ITEM),
    }),
  ),
});
export type SheetDiagnosisDocument = Described<typeof SHEET_DIAGNOSIS>;

/** The open format of a learner's papers, version 1. */
export const LEARNER = record({
  format: only('levee-learner'),
  version: only(1),
  method: text(80),
  school: SCHOOL,
  habits: listOf(text(), { least: 1 }),
  papers: listOf(
    record({
      problem: PROBLEM,
      answer: said('What the learner answers.', amount()),
      right: flag(),
      made: said('Where the habits were followed, by their addresses.', listOf(text())),
    }),
  ),
});
export type LearnerDocument = Described<typeof LEARNER>;
