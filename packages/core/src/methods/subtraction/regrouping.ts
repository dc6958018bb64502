import { openingsOfScan } from './openings.ts';
import { placeFeatures } from './two-rows.ts';
import { where, type Feature } from '../../account/chance.ts';
import type { Entry } from '../../account/account.ts';
import type { Phase } from '../../account/phase.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { slipOf } from '../../slips/catalogue.ts';
import type { SchoolSpec, SlipSpec } from '../method.ts';
import { RAISED, type MoveValues } from './regrouping-words.ts';
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

/** Slips of a regrouping itself, which every method that regroups can make. */
export const REGROUPING_SLIPS: readonly SlipSpec[] = [
  'smaller-from-larger',
  'zero-minus-is-zero',
  'lender-not-reduced',
  'lender-reduced-twice',
  'zero-skipped',
  'zero-made-nine',
  'lends-from-leftmost',
].map(slipOf);

/** Slips at a short place that is not filled, in the order in which their chances are named. */
const LEFT_SHORT = ['smaller-from-larger', 'zero-minus-is-zero'] as const;
export type LeftShort = (typeof LEFT_SHORT)[number] | typeof TAIL_NOT_FILLED;

/** The figures of the subtrahend's tail are brought down where the minuend has none. */
export const TAIL_NOT_FILLED = 'tail-not-filled';

/** Slips that only a paper with single figures shows. */
export const ON_PAPER_SLIPS: readonly SlipSpec[] = [
  'regrouped-without-need',
  'upper-and-lower-changed',
  TAIL_NOT_FILLED,
].map(slipOf);

/** Slips of a filling, in the order in which their chances are named. */
const FILLING = ['zero-skipped', 'zero-made-nine', 'lends-from-leftmost'] as const;

/** How a method writes what a place holds after a regrouping. */
export type WritePlace = (
  count: number,
  place: number,
  rewrite: number,
  from: readonly Entry[],
) => Writing;

/** One of a place made ten of a lower one. */
interface Move {
  readonly lender: number;
  readonly low: number;
  /** The place that is in need. */
  readonly target: number;
  readonly why: string;
  readonly slip: string;
}

/** How a method says a move. */
export type SayMove = (values: MoveValues) => Parameters<Scribe['step']>[0]['phrase'];

/** How a paper of single figures writes beside them. */
export interface FigurePaper {
  /** A little one before a figure that is filled; null where it is written anew. */
  readonly inFront: WritePlace | null;
  /** A little one at a figure of the subtrahend. */
  readonly raise: (place: number) => Writing;
}

/** The minuend as it stands: what every place holds and the entry that holds it. */
export class Minuend {
  readonly counts: number[];
  /** What holds every place: its figure, and a little one before it once it is filled so. */
  private readonly parts: (readonly Entry[])[];
  /** Places that a learner leaves short, and by which slip. */
  readonly leftShort = new Map<number, LeftShort>();
  private readonly rewrites: number[];
  private readonly asked = new Set<number>();
  /** Places that were short, where the smaller figure may be taken from the larger. */
  private readonly chances = new Set<number>();
  /** Little ones at figures of the subtrahend, by their places. */
  private readonly raised = new Map<number, Entry>();
  /** Places that were filled though they were large enough. */
  private readonly needless = new Set<number>();
  /** Places whose filling was asked about. */
  private readonly filled = new Set<number>();
  /** How many steps were done before a place was opened for its own sake. */
  private readonly before = new Map<number, number>();
  private isScanned = false;

  constructor(
    private readonly scribe: Scribe,
    private readonly numbers: TwoNumbers,
    private readonly write: WritePlace,
    private readonly say: SayMove,
    private readonly paper: FigurePaper | null = null,
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
    this.isScanned = true;
    for (let place = this.counts.length - 2; place >= 0; place--) this.repair(place, true);
  }

  /** Makes one place large enough for what is taken from it. */
  repair(place: number, again: boolean, why = 'short'): void {
    if (this.leftShort.has(place)) return;
    if (!this.isShort(place)) {
      if (!again) this.fillsNeedlessly(place);
      return;
    }
    if (!this.asked.has(place)) {
      const at = where('place', place);
      this.asked.add(place);
      if (!(again && this.isFilledLater(place))) this.chances.add(place);
      const slip = LEFT_SHORT.find(
        (id) => this.chances.has(place) && this.mayLeave(id, place) && this.scribe.willSlip(id, at),
      );
      if (slip) {
        this.leftShort.set(place, slip);
        return;
      }
    }
    if (!this.before.has(place)) this.before.set(place, this.scribe.stepsDone);
    // After a slip there may be nothing left that lends: the smaller is taken from the larger then.
    if (this.counts.some((count, at) => at > place && count > 0)) this.fill(place, why, again);
    else this.leftShort.set(place, 'smaller-from-larger');
  }

  /** Leaves so many places of the tail short, since nothing stands there: what is below will be brought down. */
  leaveTail(places: number): void {
    for (let place = 0; place < places; place++) this.leftShort.set(place, TAIL_NOT_FILLED);
  }

  /** What is taken from a place: its figure of the subtrahend, and one more where a little one was written there. */
  taken(place: number): number {
    return (this.numbers.subtrahend.digits[place] ?? 0) + (this.raised.has(place) ? 1 : 0);
  }

  /** The little one at a figure of the subtrahend, if any. */
  raisedAt(place: number): readonly Entry[] {
    const mark = this.raised.get(place);
    return mark ? [mark] : [];
  }

  /** Fills a place that is large enough, as a learner does who fills every place; its figures are written whole then. */
  private fillsNeedlessly(place: number): void {
    const lender = place + 1;
    const spare = (this.counts[lender] ?? 0) - this.taken(lender);
    const has = place < this.numbers.subtrahend.digits.length;
    const may = this.paper !== null && has && spare > 0 && !this.needless.has(place);
    const chance = { at: where('place', place), features: this.features(place) };
    if (!this.scribe.slip('regrouped-without-need', may, chance)) return;
    this.needless.add(place);
    this.move({ lender, low: place, target: place, why: 'needless', slip: '' }, { serves: place });
  }

  /** Names the chance at a place where it was short; called just before its difference is written. */
  chanceAt(place: number): void {
    if (this.leftShort.get(place) === TAIL_NOT_FILLED) return;
    for (const id of LEFT_SHORT) {
      this.scribe.slip(id, this.chances.has(place) && this.mayLeave(id, place), {
        at: where('place', place),
        features: this.features(place),
        ahead: this.leftShort.has(place) ? 0 : -this.openedFor([place], place),
      });
    }
  }

  /**
   * How many of the steps that are done would not have been, had some places been left short, when the difference of the first of
   * them is due.
   */
  openedFor(places: readonly number[], first: number): number {
    if (!this.isScanned)
      return this.scribe.stepsDone - (this.before.get(first) ?? this.scribe.stepsDone);
    const { base } = this.scribe;
    const openings = (more: readonly number[]) =>
      openingsOfScan(
        this.numbers,
        base,
        (place) => this.leftShort.has(place) || more.includes(place),
      );
    return openings([]) - openings(places);
  }

  /** Whether a short place can be left so: only from a 0 of the question nothing seems to be left. */
  private mayLeave(id: (typeof LEFT_SHORT)[number], place: number): boolean {
    return id !== 'zero-minus-is-zero' || this.numbers.minuend.digits[place] === 0;
  }

  features(place: number): readonly Feature[] {
    return [
      ...placeFeatures(this.numbers, place),
      ...(this.rewrites[place]! > 0 || this.at(place).length > 1
        ? (['just-regrouped'] as const)
        : []),
    ];
  }

  private isShort(place: number): boolean {
    return (this.counts[place] ?? 0) < this.taken(place);
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
    const serves = again ? {} : { serves: target };
    const slip = this.fillingSlip(place);
    if (slip) {
      const from = slip === 'zero-made-nine' ? lender : this.lenderBy(slip, place);
      this.move({ lender: from, low: place, target, why, slip }, serves);
    } else {
      if (this.counts[lender] === 0) this.fill(lender, 'empty', again, target);
      this.move({ lender, low: place, target, why, slip: '' }, serves);
    }
    if (again) this.repair(lender, true, 'again');
  }

  /** The slip that is made in filling a place, if any. The chances of a place are named once. */
  private fillingSlip(place: number): (typeof FILLING)[number] | undefined {
    if (this.filled.has(place)) return undefined;
    this.filled.add(place);
    const chance = { at: where('place', place), features: this.features(place) };
    const isEmpty = this.counts[place + 1] === 0;
    const may = {
      'zero-skipped': isEmpty,
      'zero-made-nine': isEmpty,
      'lends-from-leftmost': !isEmpty && this.lenderBy('lends-from-leftmost', place) > place + 1,
    };
    const made = FILLING.filter((id) => this.scribe.slip(id, may[id], chance));
    return made[0];
  }

  /** The place that lends when others are passed over: the first beyond the empty ones, or the leftmost of all. */
  private lenderBy(slip: string, place: number): number {
    const there = this.counts.flatMap((count, at) => (at > place && count > 0 ? [at] : []));
    return (slip === 'zero-skipped' ? there[0] : there.at(-1)) ?? place + 1;
  }

  private move({ lender, low, target, why, slip }: Move, serves: Pick<Phase, 'serves'>): void {
    const [before, lowBefore] = [this.counts[lender]!, this.counts[low]!];
    const left =
      slip === 'zero-made-nine' ? this.scribe.base - 1 : this.leftAt(lender, before, target);
    const kept = left === before;
    const raises = this.raises(lender, kept, slip !== '' || why === 'needless');
    const phrase = this.say({
      place: lender,
      low,
      before,
      lowBefore,
      needed: this.taken(low),
      why,
      left,
      slip: raises ? RAISED : slip,
      inFront: this.inFront !== null,
    });
    const [high, below] = [this.at(lender), this.at(low)];
    const stays = this.stays(left, lender, kept);
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
      writes: [...stays, filled, ...(raises ? [this.paper!.raise(lender)] : [])],
      phrase,
    });
    this.parts[low] = [...(this.inFront ? below : []), marks[stays.length]!];
    if (raises) this.raised.set(lender, marks.at(-1)!);
    if (!kept) this.parts[lender] = [marks[0]!];
    this.counts[lender] = left;
    this.counts[low] = lowBefore + this.scribe.base;
  }

  /** Whether a learner who makes the lender smaller makes the figure below it larger as well. */
  private raises(lender: number, kept: boolean, isSlipped: boolean): boolean {
    const has = lender < this.numbers.subtrahend.digits.length && !this.raised.has(lender);
    const may = this.paper !== null && has && !kept && !isSlipped;
    return this.scribe.slip(RAISED, may, { at: where('place', lender) });
  }

  private get inFront(): WritePlace | null {
    return this.paper?.inFront ?? null;
  }

  /** What stays at a lender: one less, or what a learner leaves there. */
  private leftAt(lender: number, before: number, target: number): number {
    const chance = { at: where('place', lender), features: this.lenderFeatures(lender, target) };
    // Ten that stay ten would leave a difference of two figures, which nobody writes into one column.
    const mayStay = before - (this.numbers.subtrahend.digits[lender] ?? 0) < this.scribe.base;
    const kept = this.scribe.slip('lender-not-reduced', mayStay, chance);
    const twice = this.scribe.slip('lender-reduced-twice', before > 1, chance);
    if (kept) return before;
    return twice ? before - 2 : before - 1;
  }

  /** What a lender is like: its figures, and whether the place that is in need has a zero beside it, so that more lend. */
  private lenderFeatures(lender: number, target: number): readonly Feature[] {
    const own = this.features(lender).filter((feature) => feature !== 'neighbour-zero');
    const { digits } = this.numbers.minuend;
    return digits[target + 1] === 0 ? [...own, 'neighbour-zero'] : own;
  }

  /** What a lender keeps, written anew; nothing when it is left as it is. */
  private stays(count: number, lender: number, kept: boolean): readonly Writing[] {
    return kept ? [] : [this.write(count, lender, this.rewrites[lender]!++, this.at(lender))];
  }
}
