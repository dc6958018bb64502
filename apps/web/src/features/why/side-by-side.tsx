import { cost, sameAmounts, sayPlain } from '@levee/core';
import { useSpeaker, useWorked } from '../../worked/use-worked.ts';
import { costItems } from '../../worked/cost-items.ts';
import { PaperTable } from '../../ui/paper-table.tsx';
import './why.css';

/** What each method costs on this problem, side by side. */
export function Costs() {
  const { papers } = useWorked();
  const say = useSpeaker();
  const columns = papers.map(({ lane: { trace } }) => costItems(cost(trace), trace.problem, say));
  const rows = columns[0]!.map(({ name }, row) => ({
    name,
    cells: columns.map((items) => items[row]!.amount),
  }));
  return <PaperTable title="What each costs here" corner="counted from the work" rows={rows} />;
}

/** Amounts that at least two methods gather into one number. */
export function SameAmounts() {
  const { comparison, papers } = useWorked();
  const say = useSpeaker();
  const shown = sameAmounts(comparison).filter(
    ({ terms }) => terms.size > 1 && terms.size < comparison.space.size,
  );
  if (shown.length === 0) return null;
  const rows = shown.map(({ worth, members }) => ({
    name: say.worth(worth),
    cells: papers.map(
      (paper) =>
        members
          .filter((member) => member.lane === paper.index)
          .map(({ group }) => sayPlain(paper.method.phrases, group.phrase, 'value', say))
          .join('; ') || '—',
    ),
  }));
  return <PaperTable title="The same amount in different methods" corner="amount" rows={rows} />;
}
