import { cost, type Cost, type Trace } from '@levee/core';
import { costItems } from '../worked/cost-items.ts';
import { useSpeaker } from '../worked/use-worked.ts';
import type { Paper } from '../worked/work.ts';
import { PaperTable } from './paper-table.tsx';
import { useTurns } from './use-turns.ts';

/** What was counted. */
const COUNTED = new WeakMap<Trace, Cost>();

function costOnce(trace: Trace): Cost {
  const counted = COUNTED.get(trace) ?? cost(trace);
  COUNTED.set(trace, counted);
  return counted;
}

/** What each of these papers costs on this problem, side by side; they are counted one with every frame. */
export function CostTable({ papers }: { readonly papers: readonly Paper[] }) {
  const turn = useTurns(papers.length);
  const counted = papers.slice(0, turn).map(({ lane: { trace } }) => costOnce(trace));
  return counted.length < papers.length ? null : <Counted papers={papers} counted={counted} />;
}

interface CountedProps {
  readonly papers: readonly Paper[];
  readonly counted: readonly Cost[];
}

function Counted({ papers, counted }: CountedProps) {
  const say = useSpeaker();
  const columns = papers.map(({ lane: { trace } }, k) =>
    costItems(counted[k]!, trace.problem, say),
  );
  const rows = (columns[0] ?? []).map(({ name }, row) => ({
    name,
    cells: columns.map((items) => items[row]!.amount),
  }));
  return (
    <PaperTable
      title="What each costs here"
      corner="counted from the work"
      rows={rows}
      columns={papers.map(({ title }) => title)}
    />
  );
}
