import { Exact, shareOf, type Level } from '@levee/core';

/** A stretch of a level, from where it begins to where it ends; it may lead down. */
export interface LevelPart {
  readonly kind: 'water' | 'in-head' | 'owed' | 'owed against';
  readonly from: Exact;
  readonly to: Exact;
}

/** Written, held and owed one after another from zero to the balance. */
export function levelParts({ written, held, owed, balance }: Level): readonly LevelPart[] {
  const marked = written.plus(held);
  const against = owed.isNegative;
  return [
    { kind: 'water', from: Exact.ZERO, to: written },
    { kind: 'in-head', from: written, to: marked },
    { kind: against ? 'owed against' : 'owed', from: marked, to: balance },
  ];
}

/** One measure for the levels of all papers at all moments, so that the total stays where it is. */
export interface GaugeRange {
  readonly low: Exact;
  readonly high: Exact;
  /** How high an amount lies, from 0 at the bottom to 1 at the top. */
  readonly at: (amount: Exact) => number;
  /** Bottom and height of a stretch, in percent. */
  readonly span: (from: Exact, to: Exact) => { bottom: string; height: string };
}

/** The range that all levels of these papers need. */
export function gaugeRange(papers: readonly { readonly levels: readonly Level[] }[]): GaugeRange {
  let [low, high] = [Exact.ZERO, Exact.ZERO];
  for (const { levels } of papers) {
    for (const level of levels) {
      for (const { from, to } of levelParts(level)) {
        for (const amount of [from, to]) {
          if (amount.compare(low) < 0) low = amount;
          if (amount.compare(high) > 0) high = amount;
        }
      }
    }
  }
  const whole = high.minus(low);
  const at = (amount: Exact) => Math.min(1, Math.max(0, shareOf(amount.minus(low), whole)));
  const span = (from: Exact, to: Exact) => {
    const [bottom, top] = from.compare(to) <= 0 ? [at(from), at(to)] : [at(to), at(from)];
    return { bottom: `${bottom * 100}%`, height: `${(top - bottom) * 100}%` };
  };
  return { low, high, at, span };
}
