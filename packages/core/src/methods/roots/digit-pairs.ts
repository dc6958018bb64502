import { where } from '../../account/chance.ts';
import type { School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import type { Problem } from '../../problem/problem.ts';
import { defineMethod } from '../method.ts';
import { kindRefused } from '../shared/sums.ts';
import { PairWork } from './pair-work.ts';
import { pairsSheet } from './pairs-sheet.ts';
import { planRoot } from './root-plan.ts';
import { rootPhrases } from './root-words.ts';
import {
  NOT_DOUBLED,
  ONE_BOX,
  ONE_FIGURE,
  SMALLER_SQUARE,
  STOP,
  TRIALS,
  ZERO_LEFT_OUT,
} from './schools.ts';

export const digitPairs = defineMethod({
  id: 'digit-pairs',
  family: 'roots',
  name: 'Digit pairs',
  shortName: 'Digit pairs',
  alsoCalled: ['the long root', 'square root by hand', 'pairing and doubling'],
  mind: 'Some people call this long division of the root; what is divided by grows with every digit.',
  summary:
    'Figures are paired from the point; each pair gives a digit: the greatest that fits behind the doubled root.',
  why: 'The square of a sum: around a square go two strips and a corner, (2 · root + digit) · digit.',
  leadsTo: 'Completing the square: what is missing around a square is two strips and a corner.',
  medium: 'on paper',
  direction: 'from the largest pair to the right',
  freeOrder: false,
  schools: [STOP, TRIALS],
  slips: [NOT_DOUBLED, ONE_BOX, SMALLER_SQUARE, ONE_FIGURE, ZERO_LEFT_OUT],
  phrases: rootPhrases.book,
  accepts: (problem) => (problem.kind === 'root' ? { ok: true } : kindRefused(problem)),
  work,
  sheet: pairsSheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const plan = planRoot(problem.operands[0], school, (slip, place) =>
    scribe.willSlip(slip, where('place', place)),
  );
  return new PairWork(scribe, problem, plan).run();
}
