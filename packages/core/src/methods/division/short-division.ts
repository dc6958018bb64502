import type { Entry, School, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import type { Problem } from '../../problem/problem.ts';
import { defineMethod } from '../method.ts';
import { acceptsQuotient } from './division-start.ts';
import { FigureDivision } from './division-work.ts';
import { divisionPhrases } from './division-words.ts';
import { REST_SLIPS } from './rest-slips.ts';
import { FORGET_REMAINDER, REMAINDER_AS_TENTHS, SCALE_ONE, SKIP_ZERO, STOP } from './schools.ts';
import { shortSheet } from './short-sheet.ts';
import {
  bringsNothingDown,
  FIGURE_BY_FIGURE,
  leavesTooMuch,
  NOT_DOWN,
  PLACE_OFF,
  REST_TOO_LARGE,
  restFact,
  TURNING_SLIPS,
  worksFigureByFigure,
  writesPlaceOff,
} from './turning-slips.ts';

const { phrase } = divisionPhrases;

export const shortDivision = defineMethod({
  id: 'short-division',
  family: 'division',
  name: 'Short division',
  shortName: 'Short',
  alsoCalled: ['bus-stop division', 'division in one line'],
  summary:
    'Each place is shared in turn from the largest; what is left joins the next figure, written small before it.',
  why: 'A sum is shared by sharing its parts; what is left of a place is ten times as many of the next.',
  medium: 'on paper',
  direction: 'from the largest place to the ones',
  freeOrder: false,
  schools: [
    STOP,
    {
      id: 'remainders',
      label: 'Remainders',
      options: [
        {
          id: 'small',
          label: 'small before the next figure',
          reason: 'The next number to share is read off the paper.',
        },
        {
          id: 'in-the-head',
          label: 'in the head',
          reason: 'One line of figures only; each remainder is remembered for a step.',
        },
      ],
    },
    {
      id: 'front',
      label: 'Zero in front',
      options: [
        {
          id: 'left-out',
          label: 'left out',
          reason: 'The first figures are taken together until the divisor fits.',
        },
        {
          id: 'written',
          label: 'written',
          reason:
            'Every figure of the dividend gets its figure above; the zero is no part of the answer.',
        },
      ],
    },
  ],
  slips: [
    FORGET_REMAINDER,
    SKIP_ZERO,
    REMAINDER_AS_TENTHS,
    SCALE_ONE,
    ...REST_SLIPS,
    FIGURE_BY_FIGURE,
    ...TURNING_SLIPS,
  ],
  phrases: divisionPhrases.book,
  accepts: acceptsQuotient,
  work,
  sheet: shortSheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const division = new FigureDivision(scribe, problem, school);
  const apart = worksFigureByFigure(division);
  const medium = school['remainders'] === 'in-the-head' ? 'head' : 'paper';
  let left: readonly Entry[] = [];
  let from: number | null = null;
  for (let k = 0; k < division.plan.figures.length; k++) {
    if (division.plan.figures[k]!.leading && school['front'] === 'left-out') continue;
    const share = { ...turnsAt(division, k, from === null, apart), from: from ?? 0 };
    left = shareFigure(division, k, share, medium, left);
    from = k + 1;
  }
  return division.finish(left);
}

/** What a learner does otherwise with a figure, said in a word. */
function turnsAt(division: FigureDivision, k: number, isFirst: boolean, apart: boolean) {
  if (apart) return { slip: FIGURE_BY_FIGURE.id, idle: false };
  const off = isFirst && writesPlaceOff(division, k);
  const idle = bringsNothingDown(division, k);
  const low = leavesTooMuch(division, k);
  if (!division.plan.figures[k]!.leading) restFact(division, k, 0);
  const slip = off ? PLACE_OFF.id : idle ? NOT_DOWN.id : low ? REST_TOO_LARGE.id : '';
  return { slip, idle };
}

/** One figure of the quotient with what is left; gives what is left. */
function shareFigure(
  division: FigureDivision,
  k: number,
  { slip, from }: { readonly slip: string; readonly from: number },
  medium: 'paper' | 'head',
  left: readonly Entry[],
): readonly Entry[] {
  const { leading, given } = division.plan.figures[k]!;
  const skipped = slip === '' && division.skipsZero(k);
  const pushed = skipped ? division.pushed(k, -1) : null;
  const values = division.values(k, '');
  const forgotten = division.forgets(k);
  const takes: Entry[] = [...left, ...division.given(from, k), ...(pushed?.takes ?? [])];
  const figure = leading ? division.frontZero(k) : division.figure(k);
  const isLeft = !values.rest.isZero && !forgotten;
  const restSpot = { area: 'rest', row: 0, column: values.place - 1 };
  const writes: Writing[] = [
    ...(pushed ? pushed.writes : [figure]),
    ...(isLeft ? [division.rest(k, restSpot, division.goesOn(k) ? medium : 'head')] : []),
    ...(given ? [] : [division.addedZero(k)]),
  ];
  const said = skipped ? SKIP_ZERO.id : forgotten ? FORGET_REMAINDER.id : slip;
  const marks = division.scribe.step({
    law: 'distribute',
    phase: { kind: 'quotient' },
    takes,
    writes,
    phrase: phrase('division.share', { ...values, slip: said }),
  });
  const made = pushed?.writes.length ?? 1;
  if (pushed) division.setQuotient(marks.slice(0, made));
  else if (!leading) division.addQuotient(marks[0]!);
  return isLeft ? [marks[made]!] : [];
}
