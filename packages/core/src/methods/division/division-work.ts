import { where } from '../../account/chance.ts';
import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numberText, numeralText, numeralValue } from '../../exact/numeral.ts';
import { type Problem } from '../../problem/problem.ts';
import {
  DividendLength,
  giveFigures,
  giveNumber,
  openFigures,
  reaches,
  type Reach,
} from './division-account.ts';
import {
  NO_TURNS,
  planDivision,
  planFigures,
  unitOf,
  type DivisionPlan,
  type Turns,
} from './division-plan.ts';
import { plannedDivision, scalePhrase } from './division-start.ts';
import { DivisionEnd } from './division-end.ts';
import { divisionPhrases } from './division-words.ts';
import { FORGET_REMAINDER, SKIP_ZERO } from './schools.ts';

const { phrase } = divisionPhrases;

/** A division that works figure by figure, as far as it has come. */
export class FigureDivision {
  plan: DivisionPlan;
  private reach: readonly Reach[];
  private readonly length: DividendLength;
  /** What each place of the dividend holds. */
  private readonly entries = new Map<number, Entry>();
  private quotient: Mark[] = [];
  private turns: Turns = NO_TURNS;
  /** By how many places the quotient is written too far to the left. */
  off = 0;

  constructor(
    readonly scribe: Scribe,
    readonly problem: Problem,
    readonly school: School,
  ) {
    const { plan, slip } = plannedDivision(scribe, problem, school);
    this.plan = plan;
    this.reach = reaches(plan);
    const edges = () => [
      ...this.reach.flatMap(({ to, usedTo }) => [to, usedTo]),
      ...figureEdges(plan),
      ...lowEdges(scribe, plan),
    ];
    const by = slip === '' ? undefined : numeralValue(plan.divisor);
    this.length = new DividendLength(problem, scribe.keepsTerms ? edges() : [], by);
    const figures = openFigures(scribe, problem, plan, this.length);
    for (const { place, entry } of figures) this.entries.set(place, entry);
    const { shift } = planDivision(problem, school);
    if (shift === 0) {
      giveFigures(scribe, figures, 'dividend');
      this.giveWhole(1, 'divisor');
    } else {
      this.giveWhole(0, 'question');
      this.giveWhole(1, 'question');
      this.scale(slip);
    }
  }

  private giveWhole(operand: number, area: string): void {
    const number = this.problem.operands[operand]!;
    const terms = this.length.between(Exact.ZERO, this.length.end);
    giveNumber(
      this.scribe,
      { text: numeralText(number), worth: numeralValue(number), terms, operand },
      area,
    );
  }

  private scale(slip: string): void {
    const { plan } = this;
    const places = [...this.entries.keys()];
    const empty = this.length.between(Exact.ZERO, Exact.ZERO);
    const marks = this.scribe.step({
      law: 'scale-both',
      phase: { kind: 'scale' },
      takes: [...this.entries.values()],
      writes: [
        ...places.map((place): Writing => {
          const digit = plan.dividend.digits[place + plan.dividend.decimals]!;
          const amount = Exact.of(digit).times(unitOf(plan, place));
          return {
            role: 'adjusted number',
            count: digit,
            place,
            placed: true,
            worth: this.length.share(amount),
            terms: this.entries.get(place)!.terms,
            spot: { area: 'dividend', row: 0, column: place },
          };
        }),
        {
          role: 'adjusted number',
          count: 0,
          place: 0,
          glyph: numeralText(plan.divisor),
          worth: Exact.ZERO,
          terms: empty,
          spot: { area: 'divisor', row: 0, column: 1 },
        },
      ],
      phrase: scalePhrase(this.problem, plan, slip),
    });
    places.forEach((place, k) => this.entries.set(place, marks[k]!));
  }

  /** Whether another figure is worked after the one with this index. */
  goesOn(k: number): boolean {
    return k + 1 < this.plan.figures.length;
  }

  /** The dividend's own figures from one index to another, as entries to be taken. */
  given(from: number, to: number): readonly Entry[] {
    return this.plan.figures
      .slice(from, to + 1)
      .flatMap(({ place, given, again }) => (given && !again ? [this.entries.get(place)!] : []));
  }

  /** Plans anew with something that a learner does otherwise. */
  turn(more: Partial<Turns>): void {
    this.turns = { ...this.turns, ...more };
    this.work(planFigures(this.plan, this.plan.last, this.turns));
  }

  /** Goes on by another plan. */
  work(plan: DivisionPlan): void {
    this.plan = plan;
    this.reach = reaches(plan);
  }

  /** What is done otherwise so far. */
  get turned(): Turns {
    return this.turns;
  }

  /** Asks whether what is left after a figure is forgotten, and plans anew when it is. */
  forgets(k: number): boolean {
    const { rest, place } = this.plan.figures[k]!;
    const may = rest > 0n && this.goesOn(k) && !this.plan.figures[k + 1]!.again;
    if (!this.scribe.slip(FORGET_REMAINDER.id, may, { at: where('place', place) })) return false;
    this.turn({ forgotten: new Set([...this.turns.forgotten, place]) });
    return true;
  }

  /** Asks whether a zero of the quotient is left out. */
  skipsZero(k: number): boolean {
    const { quotient, place } = this.plan.figures[k]!;
    const live = this.quotient.some(({ worth }) => !worth.isZero);
    return this.scribe.slip(SKIP_ZERO.id, quotient === 0 && live, {
      at: where('place', place),
    });
  }

  /**
   * The figures written so far, each read a place lower, as a left-out zero makes them, or higher, as a second figure in one
   * place does.
   */
  pushed(
    k: number,
    by: 1 | -1,
  ): { readonly takes: readonly Mark[]; readonly writes: readonly Writing[] } {
    const takes = this.quotient;
    const writes = takes.map((mark): Writing => ({
      role: 'answer',
      count: parseInt(mark.glyph, this.plan.base),
      place: mark.place! + by,
      terms: mark.terms,
      medium: 'head',
      spot: { area: 'pushed', row: k, column: mark.place! + by },
    }));
    return { takes, writes };
  }

  setQuotient(marks: readonly Mark[]): void {
    this.quotient = [...marks];
  }

  addQuotient(mark: Mark): void {
    this.quotient.push(mark);
    if (mark.worth.isZero) return;
    const { place = 0, glyph } = mark;
    const quotient = parseInt(glyph, this.plan.base);
    const name = phrase('division.figure', { quotient, place });
    this.scribe.group(`share-${place}`, 'share', [mark], name);
  }

  /** A figure of the quotient over its place. */
  figure(k: number): Writing {
    const { place: own, quotient, again } = this.plan.figures[k]!;
    const { usedFrom, usedTo } = this.reach[k]!;
    const place = own + this.off;
    return {
      role: 'answer',
      count: quotient,
      place,
      terms: this.length.between(usedFrom, usedTo),
      spot: { area: again ? 'beside' : 'quotient', row: 0, column: place },
    };
  }

  /** A zero in front, which is no part of the answer. */
  frontZero(k: number): Writing {
    const nothing = this.length.between(Exact.ZERO, Exact.ZERO);
    return { ...this.figure(k), role: 'placeholder', terms: nothing };
  }

  /** What is taken off the dividend for a figure: a product that counts against it. */
  product(k: number, spot: Writing['spot']): Writing {
    const { place, quotient } = this.plan.figures[k]!;
    const { usedFrom, usedTo } = this.reach[k]!;
    return this.amount('product', BigInt(quotient) * this.plan.by, place, spot, {
      terms: this.length.between(usedFrom, usedTo),
      negative: true,
    });
  }

  /** What is left after a figure. */
  rest(k: number, spot: Writing['spot'], medium: 'paper' | 'head' = 'paper'): Writing {
    const { place, rest } = this.plan.figures[k]!;
    const { to, usedTo } = this.reach[k]!;
    const terms = this.length.between(usedTo, to);
    return { ...this.amount('remainder', rest, place, spot, { terms }), medium };
  }

  /** A figure of the dividend brought down beside what is left. */
  brought(k: number, spot: Writing['spot']): Writing {
    const { place, digit } = this.plan.figures[k]!;
    const { from, to } = this.reach[k]!;
    const terms = this.length.between(from, to);
    return this.amount('brought down', BigInt(digit), place, spot, { terms });
  }

  /** A zero put to the dividend after its last figure. */
  addedZero(k: number): Writing {
    const { place } = this.plan.figures[k]!;
    return {
      role: 'placeholder',
      count: 0,
      place,
      terms: this.length.between(Exact.ZERO, Exact.ZERO),
      spot: { area: 'dividend', row: 0, column: place },
    };
  }

  private amount(
    role: Writing['role'],
    count: bigint,
    place: number,
    spot: Writing['spot'],
    { terms, negative = false }: { terms: NonNullable<Writing['terms']>; negative?: boolean },
  ): Writing {
    const share = this.length.share(Exact.of(count).times(unitOf(this.plan, place)));
    const glyph = numberText(Exact.of(count), this.plan.base);
    const worth = negative ? share.negate() : share;
    return { role, count: 0, place, placed: true, glyph, worth, terms, spot };
  }

  /** The values with which a figure is said. */
  values(k: number, slip: string) {
    const { part, quotient, rest, place, given } = this.plan.figures[k]!;
    return {
      part: Exact.of(part),
      digit: this.plan.figures[k]!.digit,
      divisor: numeralValue(this.plan.divisor),
      quotient,
      product: Exact.of(BigInt(quotient) * this.plan.by),
      rest: Exact.of(rest),
      place,
      goesOn: this.goesOn(k),
      added: !given,
      slip,
    };
  }

  /** A zero in the place that is left over where the quotient stands too far to the left. */
  private fillPlace(): void {
    const [zero] = this.scribe.step({
      law: 'place-value',
      phase: { kind: 'rest' },
      takes: [],
      writes: [
        {
          role: 'placeholder',
          count: 0,
          place: 0,
          terms: this.length.between(Exact.ZERO, Exact.ZERO),
          spot: { area: 'quotient', row: 0, column: 0 },
        },
      ],
      phrase: phrase('division.filled', {}),
    });
    this.quotient.push(zero!);
  }

  /** Deals with what is left when the last figure is written, and closes the account. */
  finish(left: readonly Entry[]): Trace {
    const { scribe, problem, plan, entries, quotient } = this;
    if (this.off > 0) this.fillPlace();
    return new DivisionEnd(scribe, problem, plan, entries, quotient).finish(left);
  }
}

/**
 * Where the shares end that a last figure leaves which is one too small: nothing is lost then, so that the account still
 * knows what every piece of the dividend became.
 */
function lowEdges(scribe: Scribe, plan: DivisionPlan): readonly Exact[] {
  const places = plan.figures.flatMap(({ place }) =>
    scribe.willSlip('remainder-too-large', where('place', place)) ? [place] : [],
  );
  if (places.length === 0) return [];
  const low = planFigures(plan, plan.last, { ...NO_TURNS, low: new Set(places) });
  return reaches(low).map(({ usedTo }) => usedTo);
}

/** Where the dividend's figures end, worked or not. */
function figureEdges(plan: DivisionPlan): readonly Exact[] {
  const { digits, decimals } = plan.dividend;
  let edge = Exact.ZERO;
  return [...digits.keys()].reverse().map((index) => {
    edge = edge.plus(Exact.of(digits[index]!).times(unitOf(plan, index - decimals)));
    return edge;
  });
}
