import { slipIdea } from '../slips/catalogue.ts';
import { WRONG_FACT } from '../account/chance.ts';

/** How common a slip is in a class, as shares of one. All of it is an assumption. */
export interface SlipRate {
  /** How many learners have it as a habit, and make it at every chance. */
  readonly habit: number;
  /** How likely a learner who has not makes it at one chance. */
  readonly careless: number;
}

export type Rates = ReadonlyMap<string, SlipRate>;

/** Slips that are met often, now and then, and seldom, as the catalogue tells; to begin with, until she says otherwise. */
const BY_OFTEN: Readonly<Record<1 | 2 | 3, SlipRate>> = {
  3: { habit: 0.04, careless: 0.02 },
  2: { habit: 0.015, careless: 0.01 },
  1: { habit: 0, careless: 0.004 },
};

/** A single fact goes wrong so often; nobody has all facts wrong. */
const FACTS: SlipRate = { habit: 0, careless: 0.01 };

/** The rates that a class has to begin with, for the slips that are named. */
export function usualRates(slips: readonly string[]): Rates {
  return new Map(
    slips.map((slip) => [slip, slip === WRONG_FACT ? FACTS : BY_OFTEN[slipIdea(slip).often]]),
  );
}
