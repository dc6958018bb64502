import type { School } from '../account/account.ts';
import { WRONG_FACT } from '../account/chance.ts';
import type { Method } from '../methods/method.ts';
import type { Problem } from '../problem/problem.ts';
import { ClassFacts, ClassPaper, type ClassLearner, type Danger } from './paper.ts';
import { Random } from '../exact/random.ts';
import type { Rates, SlipRate } from './rates.ts';

export interface ClassRequest {
  readonly problem: Problem;
  readonly papers: readonly { readonly method: Method; readonly school: School }[];
  readonly learners: number;
  readonly runs: number;
  readonly seed: number;
  readonly rates: Rates;
  /** Whether one drawn learner works all papers, with the same habits and the same facts. */
  readonly sameLearners: boolean;
}

/** How many learners of a class are still right at some point, over all runs: the middle, and the middle half. */
export interface Spread {
  readonly mean: number;
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/** A point at which learners were lost. */
export interface Loss extends Danger {
  /** How many of a class are lost here, on average. */
  readonly lost: number;
  /** How many are still right after it, on average. */
  readonly left: number;
}

export interface PaperResult {
  readonly method: string;
  readonly school: School;
  readonly chances: number;
  readonly right: Spread;
  readonly losses: readonly Loss[];
  /** The answers that come out, most frequent first; how many of a class on average. */
  readonly answers: readonly {
    readonly answer: string;
    readonly right: boolean;
    readonly count: number;
  }[];
  /** How many different papers were worked for all of them. */
  readonly works: number;
}

const NO_HABITS: readonly string[] = [];

/** What of a paper is counted while classes work it. */
interface Tally {
  readonly paper: ClassPaper;
  readonly rights: number[];
  readonly lost: Map<string, number>;
  readonly answers: Map<string, { count: number; right: boolean }>;
}

/**
 * Classes of learners work a problem by several methods, run after run. Every learner is drawn: which slips are habits, and at
 * each meeting whether a slip is made carelessly. It goes on by as many runs as it is asked to, so that whoever
 * waits can be told how far it is, and can stop; the same seed gives the same result.
 */
export class ClassSimulation {
  private readonly tallies: readonly Tally[];
  private readonly random: Random;
  private readonly facts: ClassFacts;
  private readonly factRate: number;
  private readonly habits: readonly (readonly [slip: string, rate: SlipRate])[];
  private done = 0;

  constructor(private readonly request: ClassRequest) {
    const { problem, rates, papers, seed } = request;
    this.random = new Random(seed);
    this.facts = new ClassFacts(problem.base);
    this.factRate = rates.get(WRONG_FACT)?.careless ?? 0;
    this.habits = [...rates].filter(([slip, { habit }]) => slip !== WRONG_FACT && habit > 0);
    this.tallies = papers.map(({ method, school }) => ({
      paper: new ClassPaper(method, school, problem, rates, this.facts),
      rights: [],
      lost: new Map(),
      answers: new Map(),
    }));
  }

  /** How many runs are done. */
  get runs(): number {
    return this.done;
  }

  get isDone(): boolean {
    return this.done >= this.request.runs;
  }

  /** Works some more runs, at most those that are left. */
  advance(runs: number): void {
    const until = Math.min(this.request.runs, this.done + runs);
    for (; this.done < until; this.done++) this.runOnce();
  }

  private runOnce(): void {
    const { learners, sameLearners } = this.request;
    const rights = this.tallies.map(() => 0);
    for (let n = 0; n < learners; n++) {
      const shared = sameLearners ? this.drawLearner() : null;
      this.tallies.forEach((tally, k) => {
        if (this.workOne(tally, shared ?? this.drawLearner())) rights[k]! += 1;
      });
    }
    this.tallies.forEach((tally, k) => tally.rights.push(rights[k]!));
  }

  /** Which slips a learner makes at every chance, and which facts are wrong. */
  private drawLearner(): ClassLearner {
    let habits = NO_HABITS;
    for (const [slip, { habit }] of this.habits) {
      if (this.random.next() < habit) habits = [...habits, slip];
    }
    return { habits, facts: this.facts.draw(this.factRate, this.random) };
  }

  private workOne({ paper, lost, answers }: Tally, learner: ClassLearner): boolean {
    const { answer, right, lostAt } = paper.work(learner, this.random);
    if (lostAt !== null) lost.set(lostAt, (lost.get(lostAt) ?? 0) + 1);
    const known = answers.get(answer);
    if (known) known.count += 1;
    else answers.set(answer, { count: 1, right });
    return right;
  }

  /** What has come out so far. */
  get results(): readonly PaperResult[] {
    return this.tallies.map((tally) => this.resultOf(tally));
  }

  private resultOf({ paper, rights, lost, answers }: Tally): PaperResult {
    const runs = Math.max(1, this.done);
    let left = this.request.learners;
    const losses = paper.dangers.flatMap((danger): Loss[] => {
      const count = (lost.get(danger.address) ?? 0) / runs;
      if (count === 0) return [];
      left -= count;
      return [{ ...danger, lost: count, left }];
    });
    return {
      method: paper.method.id,
      school: paper.school,
      chances: paper.dangers.length,
      right: spreadOf(rights),
      losses,
      answers: [...answers]
        .map(([answer, { count, right }]) => ({ answer, right, count: count / runs }))
        .sort((a, b) => b.count - a.count),
      works: paper.works,
    };
  }
}

function spreadOf(counts: readonly number[]): Spread {
  if (counts.length === 0) return { mean: 0, low: 0, middle: 0, high: 0 };
  const sorted = [...counts].sort((a, b) => a - b);
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  const mean = counts.reduce((sum, count) => sum + count, 0) / counts.length;
  return { mean, low: at(0.25), middle: at(0.5), high: at(0.75) };
}
