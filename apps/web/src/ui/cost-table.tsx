import { cost } from '@levee/core';
import { costItems } from '../worked/cost-items.ts';
import { useSpeaker } from '../worked/use-worked.ts';
import type { Paper } from '../worked/work.ts';
import { PaperTable } from './paper-table.tsx';

/** What each of these papers costs on this problem, side by side. */
export function CostTable({ papers }: { readonly papers: readonly Paper[] }) {
  const say = useSpeaker();
  const columns = papers.map(({ lane: { trace } }) => costItems(cost(trace), trace.problem, say));
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
