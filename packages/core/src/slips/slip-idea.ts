import type { Feature } from '../account/chance.ts';
import type { School } from '../account/account.ts';

/** What a slip does: a false amount, a right amount in another form than was asked for, or a needless way round. */
export const EFFECTS = ['amount', 'form', 'detour'] as const;
export type Effect = (typeof EFFECTS)[number];

/** One idea of what goes wrong, the same in whatever methods it can be made. */
export interface SlipIdea {
  readonly id: string;
  readonly label: string;
  /** What is done instead of what was due, in one sentence. */
  readonly mechanism: string;
  /** What stands on the paper. */
  readonly written: string;
  readonly effect: Effect;
  /** How often it is met, 1 to 3: an assumption, for ordering what explains an answer. */
  readonly often: 1 | 2 | 3;
  /** What the numbers are like where it is made as a habit; absent where it may be made anywhere. */
  readonly feature?: Feature;
  readonly examples: readonly SlipExample[];
}

/** A slip made once, with the answer that it gives; what is given by hand, and what a method must answer. */
export interface SlipExample {
  /** Absent for a slip that is made before any method is taken up. */
  readonly method?: string;
  readonly problem: string;
  /** Where it is made: the address without the slip. */
  readonly at: string;
  readonly answer: string;
  readonly school?: School;
}
