import { placeFeatures } from './two-rows.ts';
import { where, type Feature } from '../../account/chance.ts';
import type { Entry } from '../../account/account.ts';
import type { Phase } from '../../account/phase.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import type { Wording } from '../../phrases/phrasebook.ts';
import type { SchoolSpec, SlipSpec } from '../method.ts';
import type { TwoNumbers } from './two-rows.ts';

/** When the minuend is regrouped: place by place as the need shows, or all of it before anything is taken away. */
export const REGROUP: SchoolSpec = {
  id: 'regroup',
  label: 'Regroup',
  options: [
    {
      id: 'as-needed',
      label: 'as needed from the ones',
      reason: 'Nothing is opened in vain, but the work stops and starts.',
    },
    {
      id: 'scan-first',
      label: 'scan first, largest place down',
      reason: 'All is made ready, then all is taken away; a place passed may need a second look.',
    },
  ],
};

/** How a place that has been filled is written: anew, or with a little one before its figure, which stays. */
export const FILLED: SchoolSpec = {
  id: 'filled',
  label: 'Filled place',
  options: [
    {
      id: 'written-anew',
      label: 'written anew',
      reason: 'The 15 stands there as it is used; every filled figure is struck.',
    },
    {
      id: 'one-in-front',
      label: 'a little one in front',
      reason: 'Quick, and the figure stays; the little one must be read as ten.',
    },
  ],
};

export const SMALLER_FROM_LARGER: SlipSpec = {
  id: 'smaller-from-larger',
  label: 'Smaller from larger',
  mechanism: 'Where the upper figure is too small, it is taken from the lower one.',
};

export const LENDER_NOT_REDUCED: SlipSpec = {
  id: 'lender-not-reduced',
  label: 'Lender not reduced',
  mechanism: 'Ten are put to a place, but the place they come from keeps its figure.',
};

export type MoveValues = {
  readonly place: number;
  readonly before: number;
  readonly lowBefore: number;
  readonly needed: number;
  /** Why it is done: the lower place is short, or is empty and must lend itself, or has become short. */
  readonly why: string;
  readonly kept: boolean;
  /** Whether the ten is written as a little one before the figure. */
  readonly inFront: boolean;
};

export const move: Wording<MoveValues> = {
  digit: ({ before, lowBefore, needed, why, kept, inFront }, say) => {
    const low = say.number(lowBefore);
    const reasons: Record<string, string> = {
      short: `${low} is less than ${say.number(needed)}`,
      empty: 'There is only a 0 to open, so first its neighbour',
      again: `Now ${low} is less than ${say.number(needed)}`,
    };
    const stays = kept
      ? `the ${say.number(before)} is left as it is`
      : `**${say.number(before - 1)}** stays`;
    return `${reasons[why]}: ${say.ungroup} 1 of the ${say.number(before)}; ${stays}, and ${inFront ? `a little **1** before the ${low} makes it ${say.number(lowBefore + say.base)}` : `the ${low} becomes **${say.number(lowBefore + say.base)}**`}.`;
  },
  value: ({ place, before, lowBefore, needed, why, kept }, say) => {
    const low = say.count(lowBefore, place - 1);
    const reasons: Record<string, string> = {
      short: `${low} ${say.is(lowBefore)} fewer than ${say.count(needed, place - 1)}`,
      empty: `There are no ${say.places(place - 1)} to open yet`,
      again: `Now ${low} ${say.is(lowBefore)} fewer than ${say.count(needed, place - 1)}`,
    };
    const makes =
      lowBefore > 0 ? `, which makes **${say.count(lowBefore + say.base, place - 1)}**` : '';
    const stays = kept
      ? `but the ${say.count(before, place)} are left as they are`
      : before === 1
        ? `no ${say.places(place)} stay`
        : `${say.count(before - 1, place)} ${before === 2 ? 'stays' : 'stay'}`;
    return `${reasons[why]}: ${say.open(place)}${makes}; ${stays}.`;
  },
};

/** How a method writes what a place holds after a regrouping. */
export type WritePlace = (
  count: number,
  place: number,
  rewrite: number,
  from: readonly Entry[],
) => Writing;

/** How a method says a move. */
export type SayMove = (values: MoveValues) => Parameters<Scribe['step']>[0]['phrase'];

/** The minuend as it stands: what every place holds and the entry that holds it. */
export class Minuend {
  readonly counts: number[];
  /** What holds every place: its figure, and a little one before it once it is filled so. */
  private readonly parts: (readonly Entry[])[];
  /** Places at which a learner takes the smaller from the larger instead of regrouping. */
  readonly reversed = new Set<number>();
  private readonly rewrites: number[];
  private readonly asked = new Set<number>();
  /** Places that were short, where the smaller figure may be taken from the larger. */
  private readonly chances = new Set<number>();

  constructor(
    private readonly scribe: Scribe,
    private readonly numbers: TwoNumbers,
    private readonly write: WritePlace,
    private readonly say: SayMove,
    private readonly inFront: WritePlace | null = null,
  ) {
    const { digits } = numbers.minuend;
    this.counts = [...digits];
    this.parts = digits.map((_, place) => [scribe.owes(0, place)]);
    this.rewrites = digits.map(() => 0);
  }

  /** The entries that hold a place. */
  at(place: number): readonly Entry[] {
    return this.parts[place]!;
  }

  /** All that the minuend has become, when something of it was regrouped: no zeros. */
  regrouped(): readonly Entry[] {
    const all = this.parts.flat();
    if (all.every(({ standing }) => standing !== 'marked')) return [];
    return all.filter(({ worth }) => !worth.isZero);
  }

  /** Repairs every short place from the largest down, and again what a repair has made short. */
  scan(): void {
    for (let place = this.counts.length - 2; place >= 0; place--) this.repair(place, true);
  }

  /** Makes one place large enough for what is taken from it. */
  repair(place: number, again: boolean, why = 'short'): void {
    if (!this.isShort(place) || this.reversed.has(place)) return;
    if (!this.asked.has(place)) {
      const at = where('place', place);
      this.asked.add(place);
      if (!(again && this.isFilledLater(place))) this.chances.add(place);
      if (this.chances.has(place) && this.scribe.willSlip(SMALLER_FROM_LARGER.id, at)) {
        this.reversed.add(place);
        return;
      }
    }
    this.fill(place, why, again);
  }

  /** Names the chance at a place where it was short; called just before its difference is written. */
  chanceAt(place: number): void {
    this.scribe.slip(SMALLER_FROM_LARGER.id, this.chances.has(place), {
      at: where('place', place),
      features: this.features(place),
    });
  }

  private features(place: number): readonly Feature[] {
    return [
      ...placeFeatures(this.numbers, place),
      ...(this.rewrites[place]! > 0 || this.at(place).length > 1
        ? (['just-regrouped'] as const)
        : []),
    ];
  }

  private isShort(place: number): boolean {
    return (this.counts[place] ?? 0) < (this.numbers.subtrahend.digits[place] ?? 0);
  }

  /** Whether an empty place will be filled anyway because a lower one has to be opened from it. */
  private isFilledLater(place: number): boolean {
    if (this.counts[place] !== 0) return false;
    const { digits } = this.numbers.subtrahend;
    for (let low = place - 1; low >= 0; low--) {
      const over = this.counts[low]! - (digits[low] ?? 0);
      if (over !== 0) return over < 0;
    }
    return false;
  }

  /** Opens one of the next place; an empty neighbour is filled from its own neighbour first. */
  private fill(place: number, why: string, again: boolean, target = place): void {
    const lender = place + 1;
    if (this.counts[lender] === undefined) return;
    if (this.counts[lender] === 0) this.fill(lender, 'empty', again, target);
    this.move(lender, why, again ? {} : { serves: target });
    if (again) this.repair(lender, true, 'again');
  }

  private move(lender: number, why: string, serves: Pick<Phase, 'serves'>): void {
    const low = lender - 1;
    const [before, lowBefore] = [this.counts[lender]!, this.counts[low]!];
    const kept = this.scribe.slip(LENDER_NOT_REDUCED.id, true, {
      at: where('place', lender),
      features: this.features(lender),
    });
    const phrase = this.say({
      place: lender,
      before,
      lowBefore,
      needed: this.numbers.subtrahend.digits[low] ?? 0,
      why,
      kept,
      inFront: this.inFront !== null,
    });
    const [high, below] = [this.at(lender), this.at(low)];
    const stays = this.stays(before - 1, lender, kept);
    const gone = kept ? [] : high;
    const taken = this.inFront ? gone : [...gone, ...below];
    const filled = this.inFront
      ? this.inFront(1, low, this.rewrites[low]!, high)
      : this.write(lowBefore + this.scribe.base, low, this.rewrites[low]!++, [...below, ...gone]);
    const marks = this.scribe.step({
      law: 'place-value',
      phase: { kind: 'regrouping', ...serves },
      takes: taken,
      strikes: taken,
      writes: [...stays, filled],
      phrase,
    });
    this.parts[low] = [...(this.inFront ? below : []), marks.at(-1)!];
    if (!kept) this.parts[lender] = [marks[0]!];
    if (!kept) this.counts[lender] = before - 1;
    this.counts[low] = lowBefore + this.scribe.base;
  }

  /** What a lender keeps, written anew; nothing when it is left as it is. */
  private stays(count: number, lender: number, kept: boolean): readonly Writing[] {
    return kept ? [] : [this.write(count, lender, this.rewrites[lender]!++, this.at(lender))];
  }
}
