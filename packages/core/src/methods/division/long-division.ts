import type { Entry, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import type { Problem } from '../../problem/problem.ts';
import { defineMethod } from '../method.ts';
import { acceptsQuotient } from './division-start.ts';
import { FigureDivision } from './division-work.ts';
import { divisionPhrases } from './division-words.ts';
import { longSheet } from './long-sheet.ts';
import {
  bringsNothingDown,
  leavesTooMuch,
  NOT_DOWN,
  PLACE_OFF,
  REST_TOO_LARGE,
  restFact,
  TRIAL_TOO_SMALL,
  triesTwice,
  TURNING_SLIPS,
  writesPlaceOff,
} from './turning-slips.ts';
import { REST_SLIPS } from './rest-slips.ts';
import { FORGET_REMAINDER, REMAINDER_AS_TENTHS, SCALE_ONE, SKIP_ZERO, STOP } from './schools.ts';

const { phrase } = divisionPhrases;

export const longDivision = defineMethod({
  id: 'long-division',
  family: 'division',
  name: 'Long division',
  shortName: 'Long',
  alsoCalled: ['the staircase', 'divide, multiply, subtract, bring down'],
  summary:
    'Each figure of the quotient is multiplied back, taken away from what is there, and the next figure is brought down.',
  why: 'Every product taken away is its figure of the quotient times the divisor, so quotient times divisor and what is left make the dividend.',
  leadsTo: 'Decimals that repeat, and dividing one polynomial by another.',
  medium: 'on paper',
  direction: 'from the largest place to the ones',
  freeOrder: false,
  schools: [
    STOP,
    {
      id: 'products',
      label: 'Products',
      options: [
        {
          id: 'written',
          label: 'written under',
          reason: 'Every step can be checked; the paper grows by two lines a figure.',
        },
        {
          id: 'in-the-head',
          label: 'in the head',
          reason: 'Only what is left is written; product and difference are made at once.',
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
    TRIAL_TOO_SMALL,
    ...TURNING_SLIPS,
  ],
  phrases: divisionPhrases.book,
  accepts: acceptsQuotient,
  work,
  sheet: longSheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const division = new FigureDivision(scribe, problem, school);
  const staircase = new Staircase(division, school['products'] === 'in-the-head');
  for (let k = 0; k < division.plan.figures.length; k++) staircase.go(k);
  return division.finish(staircase.left);
}

/** The steps under the dividend: what is left, with the figures brought down to it. */
class Staircase {
  left: readonly Entry[] = [];
  private row = 0;
  private from = 0;
  private begun = false;

  constructor(
    private readonly division: FigureDivision,
    private readonly inHead: boolean,
  ) {}

  go(k: number): void {
    const { division } = this;
    const { leading, again } = division.plan.figures[k]!;
    if (leading) return;
    const off = !this.begun && writesPlaceOff(division, k);
    const idle = this.begun && bringsNothingDown(division, k);
    if (this.begun && !again && !idle) this.bringDown(k);
    else if (!this.begun) this.left = division.given(this.from, k);
    this.begun = true;
    if (idle) this.zero(k, NOT_DOWN.id);
    else if (division.plan.figures[k]!.quotient === 0) this.zero(k, off ? PLACE_OFF.id : '');
    else this.figure(k, off ? PLACE_OFF.id : '');
    this.from = k + 1;
  }

  /** A figure that fits, or that a learner tries. */
  private figure(k: number, off: string): void {
    const { division } = this;
    const twice = !this.inHead && triesTwice(division, k);
    const low = leavesTooMuch(division, k);
    const isAgain = division.plan.figures[k]!.again;
    const slip = twice || isAgain ? TRIAL_TOO_SMALL.id : low ? REST_TOO_LARGE.id : off;
    restFact(division, k, this.inHead ? 0 : 1);
    if (this.inHead) this.atOnce(k, slip);
    else this.multiplyAndSubtract(k, slip);
  }

  /** The next figure joins what is left; before anything is taken away it stands beside it already. */
  private bringDown(k: number): void {
    const { division } = this;
    const { before, part, place, digit, given } = division.plan.figures[k]!;
    const untouched = this.row === 0;
    if (untouched && given) {
      this.left = [...this.left, ...division.given(k, k)];
      return;
    }
    const spot = { area: 'work', row: this.row - 1, column: place };
    const [mark] = division.scribe.step({
      law: 'place-value',
      phase: { kind: 'figure', of: place },
      takes: division.given(k, k),
      writes: [untouched ? division.addedZero(k) : division.brought(k, spot)],
      phrase: phrase('division.bring-down', {
        digit,
        before: Exact.of(before),
        part: Exact.of(part),
        place,
        added: !given,
      }),
    });
    this.left = [...this.left, mark!];
  }

  /** The divisor does not fit: a zero in the quotient, and what is there stays; or nothing was brought down to it. */
  private zero(k: number, slip: string): void {
    const { division } = this;
    const { place } = division.plan.figures[k]!;
    const idle = slip === NOT_DOWN.id;
    const skipped = !idle && division.skipsZero(k);
    const pushed = skipped ? division.pushed(k, -1) : null;
    const unread = idle ? [...this.left, ...division.given(k, k)] : [];
    const stays = { ...division.rest(k, { area: 'pushed', row: k, column: place }, 'head') };
    const marks = division.scribe.step({
      law: 'place-value',
      phase: { kind: 'figure', of: place },
      takes: pushed?.takes ?? unread,
      writes: pushed?.writes ?? [division.figure(k), ...(idle ? [stays] : [])],
      phrase: phrase('division.share', {
        ...division.values(k, skipped ? SKIP_ZERO.id : slip),
        goesOn: false,
        rest: Exact.of(0n),
        added: false,
      }),
    });
    if (idle) this.left = marks.slice(1);
    if (pushed) division.setQuotient(marks);
    else division.addQuotient(marks[0]!);
  }

  private multiplyAndSubtract(k: number, slip: string): void {
    const { division } = this;
    const { place, again } = division.plan.figures[k]!;
    const values = division.values(k, slip);
    const pushed = again ? division.pushed(k, 1) : null;
    const [figure, product, ...moved] = division.scribe.step({
      law: 'distribute',
      phase: { kind: 'figure', of: place },
      takes: pushed?.takes ?? [],
      writes: [
        division.figure(k),
        division.product(k, { area: 'work', row: this.row, column: place }),
        ...(pushed?.writes ?? []),
      ],
      phrase: phrase('division.multiply', { ...values, again }),
    });
    if (pushed) division.setQuotient(moved);
    division.addQuotient(figure!);
    const forgotten = division.forgets(k);
    const marks = division.scribe.step({
      law: 'evaluate',
      phase: { kind: 'figure', of: place },
      takes: [...this.left, product!],
      writes: forgotten
        ? []
        : [division.rest(k, { area: 'work', row: this.row + 1, column: place })],
      phrase: phrase('division.subtract', {
        ...values,
        slip: forgotten ? FORGET_REMAINDER.id : slip,
      }),
    });
    this.left = marks;
    this.row += 2;
  }

  private atOnce(k: number, slip: string): void {
    const { division } = this;
    const { place } = division.plan.figures[k]!;
    const values = division.values(k, slip);
    const forgotten = division.forgets(k);
    const [figure, rest] = division.scribe.step({
      law: 'distribute',
      phase: { kind: 'figure', of: place },
      takes: this.left,
      writes: [
        division.figure(k),
        ...(forgotten ? [] : [division.rest(k, { area: 'work', row: this.row, column: place })]),
      ],
      phrase: phrase('division.share', {
        ...values,
        added: false,
        slip: forgotten ? FORGET_REMAINDER.id : slip,
      }),
    });
    division.addQuotient(figure!);
    this.left = rest ? [rest] : [];
    this.row += 1;
  }
}
