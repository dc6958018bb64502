import { sameAmounts, sayPlain } from '@levee/core';
import { useSpeaker, useWorked } from '../../worked/use-worked.ts';
import { CostTable } from '../../ui/cost-table.tsx';
import { PaperTable } from '../../ui/paper-table.tsx';
import './why.css';

/** What each method costs on this problem, side by side. */
export function Costs() {
  const { papers } = useWorked();
  return <CostTable papers={papers} />;
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
