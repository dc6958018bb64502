import { cost, scriptOf, type Cost, type Speaker } from '@levee/core';
import { Tip } from '../../../ui/tip.tsx';
import { Menu } from '../../../ui/menu.tsx';
import { memo, useMemo, useState } from 'react';
import { costItems, sizesText, type CostItem } from '../../../worked/cost-items.ts';
import { useSettings } from '../../../store/settings-store.ts';
import { useSpeaker } from '../../../worked/use-worked.ts';
import type { Paper } from '../../../worked/work.ts';

/** What a method costs on the problem: told when it is asked for, or always, as she has it. */
export const CostStrip = memo(function CostStrip({ paper }: { readonly paper: Paper }) {
  const isShown = useSettings(({ costs }) => costs);
  return (
    <div className="cost caption" aria-label="Cost" role="group">
      {isShown && <ShownCosts paper={paper} />}
      <AllCosts paper={paper} isShown={isShown} />
    </div>
  );
});

/** As many measures as there is room for. */
function ShownCosts({ paper }: { readonly paper: Paper }) {
  const { trace } = paper.lane;
  const say = useSpeaker();
  const counted = useMemo(() => cost(trace), [trace]);
  return (
    <p>
      {scriptOf(trace.problem) === 'fractions' && <Sizes counted={counted} say={say} />}
      {itemsOf(counted, paper, say).map(({ short, name }) => (
        <Tip key={name} text={name}>
          <span>{short}</span>
        </Tip>
      ))}
    </p>
  );
}

function itemsOf(counted: Cost, paper: Paper, say: Speaker): readonly CostItem[] {
  return costItems(counted, paper.lane.trace.problem, say).filter(({ short }) => short !== '');
}

interface AllCostsProps {
  readonly paper: Paper;
  readonly isShown: boolean;
}

/** Every measure with what it counts, and whether they stay in sight. */
function AllCosts({ paper, isShown }: AllCostsProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const say = useSpeaker();
  const close = () => setAnchor(null);
  const measures = () =>
    itemsOf(cost(paper.lane.trace), paper, say).map(({ name, short }) => ({
      id: name,
      label: short,
      note: name,
      run: close,
    }));
  const keep = {
    id: 'keep',
    label: isShown ? 'tell costs only when asked' : 'keep costs in sight below papers',
    run: () => {
      useSettings.setState({ costs: !isShown });
      close();
    },
  };
  return (
    <>
      <button
        type="button"
        className="link"
        aria-label={`Costs of ${paper.method.shortName}`}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {isShown ? 'all' : 'costs…'}
      </button>
      <Menu dense anchor={anchor} close={close} groups={() => [measures(), [keep]]} />
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
