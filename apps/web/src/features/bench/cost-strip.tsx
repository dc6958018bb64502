import { cost, wholeText, type Cost } from '@levee/core';
import { Tooltip } from '@mui/material';
import { useMemo } from 'react';
import type { Paper } from '../../worked/work.ts';

interface Item {
  readonly short: string;
  readonly full: string;
}

/** What the method costs on this problem, counted from its work. */
export function costItems(counted: Cost, base: number): readonly Item[] {
  const { facts, additions, carries, figures, lines, passes, heldAtOnce } = counted;
  const largest = wholeText(counted.largestWritten, base);
  const held = wholeText(counted.largestHeld, base);
  return [
    { short: count(facts, 'fact'), full: 'products of two digits worked out, zeros included' },
    { short: count(additions, 'addition'), full: 'times one amount is added to another' },
    { short: count(carries, 'carry', 'carries'), full: 'carries written or held' },
    { short: count(figures, 'figure'), full: 'figures written, the question not counted' },
    { short: count(lines, 'line'), full: 'rows that hold written figures' },
    { short: count(passes, 'pass', 'passes'), full: 'times the work starts over somewhere else' },
    {
      short: `${heldAtOnce} held`,
      full:
        heldAtOnce > 0
          ? `the most held at once; the largest is ${held}`
          : 'nothing held in the head',
    },
    { short: `to ${largest}`, full: 'the largest number written' },
    {
      short: `size at ${counted.leadingCertainAt}`,
      full: 'the step after which the leading figure of the answer is certain',
    },
  ];
}

function count(amount: number, one: string, many = `${one}s`): string {
  return `${amount} ${amount === 1 ? one : many}`;
}

export function CostStrip({ paper }: { readonly paper: Paper }) {
  const { trace } = paper.lane;
  const items = useMemo(() => costItems(cost(trace), trace.problem.base), [trace]);
  return (
    <p className="cost caption" aria-label="Cost">
      {items.map(({ short, full }) => (
        <Tooltip key={full} title={full}>
          <span>{short}</span>
        </Tooltip>
      ))}
    </p>
  );
}
