import { cost, scriptOf, type Cost, type Speaker } from '@levee/core';
import { Tip } from '../../../ui/tip.tsx';
import { Menu } from '../../../ui/menu.tsx';
import { memo, useMemo, useState } from 'react';
import { costItems, sizesText, type CostItem } from '../../../worked/cost-items.ts';
import { useSpeaker } from '../../../worked/use-worked.ts';
import type { Paper } from '../../../worked/work.ts';

export const CostStrip = memo(function CostStrip({ paper }: { readonly paper: Paper }) {
  const { trace } = paper.lane;
  const say = useSpeaker();
  const counted = useMemo(() => cost(trace), [trace]);
  const items = useMemo(
    () => costItems(counted, trace.problem, say).filter(({ short }) => short !== ''),
    [counted, trace, say],
  );
  return (
    <div className="cost caption" aria-label="Cost" role="group">
      <p>
        {scriptOf(trace.problem) === 'fractions' && <Sizes counted={counted} say={say} />}
        {items.map(({ short, name }) => (
          <Tip key={name} text={name}>
            <span>{short}</span>
          </Tip>
        ))}
      </p>
      <AllCosts paper={paper} items={items} />
    </div>
  );
});

/** Every measure with what it counts; the strip itself shows as many as there is room for. */
function AllCosts({
  paper,
  items,
}: {
  readonly paper: Paper;
  readonly items: readonly CostItem[];
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <button
        type="button"
        className="link"
        aria-label={`All costs of ${paper.method.shortName}`}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        all
      </button>
      <Menu
        dense
        anchor={anchor}
        close={() => setAnchor(null)}
        groups={() => [
          items.map(({ name, short }) => ({
            id: name,
            label: short,
            note: name,
            run: () => setAnchor(null),
          })),
        ]}
      />
    </>
  );
}

const BAR = 4;
const TALL = 12;

/** The size of the numbers that each step writes, a bar a step, as long as the number has figures. */
function Sizes({ counted, say }: { readonly counted: Cost; readonly say: Speaker }) {
  const lengths = counted.numbersMet.map((amount) => (amount.isZero ? 0 : String(amount).length));
  const most = Math.max(1, ...lengths);
  return (
    <Tip text={`largest number that each step writes: ${sizesText(counted, say)}`}>
      <svg
        className="sizes"
        width={lengths.length * BAR}
        height={TALL}
        role="img"
        aria-label={`Numbers met: ${sizesText(counted, say)}`}
      >
        {lengths.map((length, k) => (
          <rect
            key={k}
            x={k * BAR}
            y={TALL - (length / most) * TALL}
            width={BAR - 1}
            height={(length / most) * TALL}
          />
        ))}
      </svg>
    </Tip>
  );
}
