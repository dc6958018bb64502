import { cost, type Cost, type Speaker } from '@levee/core';
import { Tooltip } from '@mui/material';
import { memo, useMemo } from 'react';
import { useSpeaker } from '../../worked/use-worked.ts';
import type { Paper } from '../../worked/work.ts';

export interface CostItem {
  /** What is counted, in full. */
  readonly name: string;
  readonly amount: string;
  /** Amount and name in a word or two. */
  readonly short: string;
}

/** What the method costs on this problem, counted from its work; the most telling first. */
export function costItems(counted: Cost, say: Speaker): readonly CostItem[] {
  const { facts, additions, carries, figures, lines, passes, heldAtOnce } = counted;
  const [largest, held] = [counted.largestWritten, counted.largestHeld].map((amount) =>
    say.worth(amount),
  );
  return [
    item('facts that are worked out', facts, 'fact'),
    item('times one amount is added to another', additions, 'addition'),
    item('carries, places opened, scratches or pairs of little ones', carries, 'carry', 'carries'),
    item('figures written, the question not counted', figures, 'figure'),
    item('most numbers held in the head at once', heldAtOnce, 'held', 'held'),
    { name: 'largest number held', amount: held!, short: `${held} the largest held` },
    item('rows that hold written figures', lines, 'line'),
    item('times the work starts over somewhere else', passes, 'pass', 'passes'),
    { name: 'largest number written', amount: largest!, short: `numbers to ${largest}` },
    ...(counted.simplifications > 0
      ? [
          {
            name: 'times a fraction is tried for lowest terms',
            amount: String(counted.simplifications),
            short: `${counted.simplifications} tried for lowest terms`,
          },
        ]
      : []),
    {
      name: 'step after which the leading figure of the answer is certain',
      amount: String(counted.leadingCertainAt),
      short: `leading figure sure at step ${counted.leadingCertainAt}`,
    },
  ];
}

function item(name: string, amount: number, one: string, many = `${one}s`): CostItem {
  return { name, amount: String(amount), short: `${amount} ${amount === 1 ? one : many}` };
}

export const CostStrip = memo(function CostStrip({ paper }: { readonly paper: Paper }) {
  const { trace } = paper.lane;
  const say = useSpeaker();
  const items = useMemo(() => costItems(cost(trace), say), [trace, say]);
  return (
    <p className="cost caption" aria-label="Cost">
      {items.map(({ short, name }) => (
        <Tooltip key={name} title={name}>
          <span>{short}</span>
        </Tooltip>
      ))}
    </p>
  );
});
