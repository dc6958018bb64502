import type { Opportunity, School } from '../account/account.ts';
import { addressText, type Addressed, type Fact } from '../account/chance.ts';
import type { LightRun } from '../account/light-run.ts';
import { compare } from '../compare/compare.ts';
import { dealtSteps } from '../compare/stops.ts';
import type { Method } from '../methods/method.ts';
import type { Problem } from '../problem/problem.ts';
import { slipIdea } from '../slips/catalogue.ts';
import { factErrors } from '../slips/fact-errors.ts';
import { workWithHabits, type HabitWork } from '../habits/habits.ts';
import type { Random } from '../exact/random.ts';
import type { Rates } from './rates.ts';

/** One learner's work: what it comes to, and the first chance at which it was lost. */
export interface WorkedPaper {
  readonly answer: string;
  readonly right: boolean;
  /** The address of the slip by which it first leaks; null for a work that leaks nowhere. */
  readonly lostAt: string | null;
}

/** Where works may be lost: a chance of the clean work, in its order. */
export interface Danger {
  readonly address: string;
  readonly slip: string;
  readonly step: number;
  /** The share of the problem's terms that are dealt with once its step is done. */
  readonly share: number;
}

/** A chance at which a learner may slip carelessly. */
interface Chance {
  readonly address: string;
  readonly one: Addressed;
  /** How likely it is. */
  readonly rate: number;
}

/** A point at which a fact is used, and the number of that fact in the class. */
interface FactUse {
  readonly one: Addressed;
  readonly fact: number;
}

/**
 * A method's paper as a class works it. Learners who make the same slips have the same paper, so that every set of slips is
 * worked once, however many learners and runs there are.
 */
export class ClassPaper {
  readonly dangers: readonly Danger[];
  private readonly chances: readonly Chance[];
  private readonly uses: readonly FactUse[];
  private readonly steps: ReadonlyMap<string, number>;
  private readonly withHabits = new Map<string, HabitWork>();
  private readonly known = new Map<string, WorkedPaper>();

  constructor(
    readonly method: Method,
    readonly school: School,
    private readonly problem: Problem,
    rates: Rates,
    facts: ClassFacts,
  ) {
    const clean = method.light(problem, { school });
    const all: readonly Opportunity[] = [...clean.opportunities, ...clean.facts];
    this.chances = clean.opportunities.flatMap(({ slip, at }): Chance[] => {
      const rate = rates.get(slip)?.careless ?? 0;
      return rate > 0 ? [{ address: addressText({ slip, at }), one: { slip, at }, rate }] : [];
    });
    this.uses = clean.facts.map(({ slip, at, fact }) => ({
      one: { slip, at },
      fact: facts.of(fact),
    }));
    this.steps = new Map(all.map((chance) => [placeOf(chance), chance.step]));
    const shares = sharesOf(method, school, problem);
    this.dangers = [...all]
      .sort((a, b) => a.step - b.step)
      .map((chance) => ({
        address: placeOf(chance),
        slip: chance.slip,
        step: chance.step,
        share: shares[chance.step] ?? 1,
      }));
  }

  /** How many different sets of slips were worked. */
  get works(): number {
    return this.known.size;
  }

  /** What a learner makes of it, with what goes wrong carelessly besides. */
  work({ habits, facts }: ClassLearner, random: Random): WorkedPaper {
    const careless: Addressed[] = [];
    for (const { one, rate } of this.chances) if (random.next() < rate) careless.push(one);
    for (const { one, fact } of this.uses) {
      const value = facts.get(fact);
      if (value !== undefined) careless.push({ ...one, value });
    }
    const name = habits.join(' ');
    const key = careless.length === 0 ? name : `${name}|${careless.map(addressText).join(' ')}`;
    const known = this.known.get(key);
    if (known) return known;
    const base = this.habitWork(name, habits);
    const work = careless.length === 0 ? base : this.workWith(habits, careless, base.made);
    const worked = this.judged(work.run, [...work.made, ...careless]);
    this.known.set(key, worked);
    return worked;
  }

  private habitWork(name: string, habits: readonly string[]): HabitWork {
    const known = this.withHabits.get(name) ?? this.workWith(habits, []);
    this.withHabits.set(name, known);
    return known;
  }

  private workWith(
    habits: readonly string[],
    slips: readonly Addressed[],
    likely: readonly Addressed[] = [],
  ): HabitWork {
    return workWithHabits(this.method, this.problem, {
      school: this.school,
      habits: habits.map((slip) => ({ slip, where: 'all' })),
      slips,
      likely,
    });
  }

  /**
   * Lost by the slip that was made at the first step that leaks, or by the last one before it; by none that only goes a longer
   * way or leaves another form.
   */
  private judged(
    { answer, total, leaks, opportunities, facts }: LightRun,
    made: readonly Addressed[],
  ): WorkedPaper {
    const right = answer.equals(total);
    const [first] = leaks;
    if (!first) return { answer: answer.toString(), right, lostAt: null };
    const asked = new Set(made.map(placeOf));
    const slipped = [...opportunities, ...facts]
      .filter((chance) => asked.has(placeOf(chance)) && chance.step <= first.step)
      .filter(({ slip }) => slipIdea(slip).effect === 'amount')
      .sort((a, b) => b.step - a.step);
    const at = slipped.map(placeOf).find((place) => this.steps.has(place)) ?? null;
    return { answer: answer.toString(), right, lostAt: at };
  }
}

/** A learner as drawn: slips that are habits, and facts that are wrong with what they are taken for, by their numbers. */
export interface ClassLearner {
  readonly habits: readonly string[];
  readonly facts: ReadonlyMap<number, number>;
}

/** The facts that the papers of a class use, each once, so that who has one wrong has it wrong wherever it is used. */
export class ClassFacts {
  private readonly numbers = new Map<string, number>();
  private readonly values: (readonly number[])[] = [];

  constructor(private readonly base: number) {}

  /** The number of a fact, its figures in any order. */
  of(fact: Fact): number {
    const name = `${fact.sign} ${[...fact.of].sort((a, b) => a - b).join(' ')}`;
    const known = this.numbers.get(name);
    if (known !== undefined) return known;
    const number = this.values.length;
    this.numbers.set(name, number);
    this.values.push(factErrors(fact, this.base).map(({ value }) => value));
    return number;
  }

  /** The facts that a learner has wrong, each for one of the numbers that it is commonly taken for. */
  draw(rate: number, random: Random): ReadonlyMap<number, number> {
    let wrong: Map<number, number> | null = null;
    if (rate === 0) return ALL_RIGHT;
    for (const [number, values] of this.values.entries()) {
      if (random.next() >= rate || values.length === 0) continue;
      wrong ??= new Map();
      wrong.set(number, values[Math.floor(random.next() * values.length)]!);
    }
    return wrong ?? ALL_RIGHT;
  }
}

const ALL_RIGHT: ReadonlyMap<number, number> = new Map();

/** Where a chance is, whatever a fact is taken for. */
function placeOf({ slip, at }: Addressed): string {
  return addressText({ slip, at });
}

/** By step, the share of the problem's terms that are dealt with. */
function sharesOf(method: Method, school: School, problem: Problem): readonly number[] {
  const [lane] = compare(problem, [{ method, school }]).lanes;
  const dealt = [...dealtSteps(lane!).values()];
  const share = (step: number) => dealt.filter((at) => at <= step).length / dealt.length;
  return [0, ...lane!.trace.steps.map(({ number }) => share(number))];
}
