import type { Wording } from '../../phrases/phrasebook.ts';

export type MoveValues = {
  /** The place that lends. */
  readonly place: number;
  /** The place that is filled: the next lower one, unless a learner passes places over. */
  readonly low: number;
  readonly before: number;
  readonly lowBefore: number;
  readonly needed: number;
  /** Why it is done: the lower place is short, or is empty and must lend itself, or has become short. */
  readonly why: string;
  /** What stays at the lender. */
  readonly left: number;
  /** What the learner does instead, if anything. */
  readonly slip: string;
  /** Whether the ten is written as a little one before the figure. */
  readonly inFront: boolean;
};

export const move: Wording<MoveValues> = {
  digit: ({ before, lowBefore, needed, why, left, slip, inFront }, say) => {
    const low = say.number(lowBefore);
    const reasons: Record<string, string> = {
      short: `${low} is less than ${say.number(needed)}`,
      empty: 'There is only a 0 to open, so first its neighbour',
      again: `Now ${low} is less than ${say.number(needed)}`,
      needless: `${low} would be enough for ${say.number(needed)}`,
    };
    const stays =
      left === before
        ? `the ${say.number(before)} is left as it is`
        : `**${say.number(left)}** stays`;
    const opened =
      slip === 'zero-made-nine'
        ? `the 0 is made **${say.number(left)}**, and nothing to its left lends`
        : `${say.ungroup} 1 of the ${say.number(before)}${passedOver(slip)}; ${stays}`;
    const raised =
      slip === RAISED ? `; a little **1** is written at the figure below it as well` : '';
    return `${reasons[why]}: ${opened}, and ${inFront ? `a little **1** before the ${low} makes it ${say.number(lowBefore + say.base)}` : `the ${low} becomes **${say.number(lowBefore + say.base)}**`}${raised}.`;
  },
  value: ({ place, low: at, before, lowBefore, needed, why, left, slip }, say) => {
    const low = say.count(lowBefore, at);
    const reasons: Record<string, string> = {
      short: `${low} ${say.is(lowBefore)} fewer than ${say.count(needed, at)}`,
      empty: `There are no ${say.places(at)} to open yet`,
      again: `Now ${low} ${say.is(lowBefore)} fewer than ${say.count(needed, at)}`,
      needless: `${low} would be enough for ${say.count(needed, at)}`,
    };
    const makes = lowBefore > 0 ? `, which makes **${say.count(lowBefore + say.base, at)}**` : '';
    const stays =
      left === before
        ? `but the ${say.count(before, place)} are left as they are`
        : left === 0
          ? `no ${say.places(place)} stay`
          : `${say.count(left, place)} ${left === 1 ? 'stays' : 'stay'}`;
    if (slip === 'zero-made-nine') {
      return `${reasons[why]}: **${say.count(left, place)}** are written where there are none, and ${say.count(say.base, at)} come from nowhere${makes}.`;
    }
    const opened =
      place === at + 1
        ? say.open(place)
        : `${say.count(1, place)} is counted as ${say.count(say.base, at)}`;
    const raised =
      slip === RAISED ? `, and **${say.count(1, place)}** more ${say.is(1)} to be taken away` : '';
    return `${reasons[why]}: ${opened}${makes}; ${stays}${raised}.`;
  },
};

/** The lending figure is made smaller, and the one below it larger as well. */
export const RAISED = 'upper-and-lower-changed';

function passedOver(slip: string): string {
  if (slip === 'zero-skipped') return ' beyond the 0';
  return slip === 'lends-from-leftmost' ? ' at the front' : '';
}
