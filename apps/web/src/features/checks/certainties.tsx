import { certainText, certainties, stepLabels } from '@levee/core';
import { PaperTable } from '../../ui/paper-table.tsx';
import { useSpeaker, useWorked } from '../../worked/use-worked.ts';

const MOST_ROWS = 24;

/**
 * What each work is sure of by itself: after every step what is marked, which is an estimate where the
 * largest places come first, and which leading figures cannot change any more.
 */
export function Certainties() {
  const { papers } = useWorked();
  const say = useSpeaker();
  const columns = papers.map(({ lane }) => {
    const labels = stepLabels(lane.trace, say);
    return certainties(lane.trace).map((certain, step) => {
      const label = step === 0 ? '' : `${labels[step - 1]!}: `;
      const marked = say.worth(certain.marked);
      const sure = say.pointed(certainText(certain));
      return `${label}${marked}${sure === '' ? '' : ` · sure ${sure}`}`;
    });
  });
  const longest = Math.max(...columns.map((column) => column.length));
  const rows = Array.from({ length: Math.min(longest, MOST_ROWS) }, (_, step) => ({
    name: step === 0 ? 'before' : `step ${step}`,
    cells: columns.map((column) => column[step] ?? ''),
  }));
  return (
    <div className="certainties">
      <PaperTable
        title="What the work is sure of by itself"
        corner="marked so far, and certain leading figures"
        rows={rows}
      />
      <p className="caption">
        A dot is a figure that can still change. From the largest place the size is known at once;
        from the ones only the last figure is.
      </p>
    </div>
  );
}
