import { isAwaiting, looksLikeName, type OwnWork, type PaperId } from '@levee/core';
import { dispatch, useComparison } from '../store/comparison-store.ts';
import { ownChanged, stepped } from '../store/edits.ts';
import { notify } from '../ui/notices.tsx';
import { useArrived } from '../worked/judged.ts';
import { work } from '../worked/work.ts';

/** Papers that were changed and are to be seen to their ends as soon as their lines are judged. */
const CHANGED = new Set<PaperId>();

/** Changes the lines of a paper, or whose they are; all of them are then seen. */
export function changeOwn(paper: PaperId, change: (own: OwnWork) => OwnWork): void {
  const before = ownOf(paper);
  dispatch(ownChanged(paper, change));
  const after = ownOf(paper);
  if (!after || after === before) return;
  CHANGED.add(paper);
  showEnds();
  askAboutNames(paper, after);
}

function ownOf(paper: PaperId): OwnWork | null {
  const { papers } = useComparison.getState().content;
  return papers.find(({ id }) => id === paper)?.own ?? null;
}

useArrived.subscribe(showEnds);

function showEnds(): void {
  for (const id of CHANGED) {
    const { papers, problem } = work(useComparison.getState().content);
    const paper = papers.find((one) => one.id === id);
    if (paper && isAwaiting(paper.method, problem)) continue;
    CHANGED.delete(id);
    if (paper) dispatch(stepped({ [id]: paper.last }));
  }
}

/** What was asked about in this tab, so that nothing is asked twice. */
const ASKED = new Set<string>();

/** Where lines are under a code, a note that looks like a name is asked about, once. */
function askAboutNames(paper: PaperId, { lines, code }: OwnWork): void {
  if (code === '') return;
  const found = lines.find(({ text }) => looksLikeName(text) && !ASKED.has(text));
  if (!found) return;
  ASKED.add(found.text);
  notify(
    `“${found.text}” beside ${code} looks like a name, and classes hold no names. Is it one?`,
    {
      label: 'Take it off',
      run: () =>
        changeOwn(paper, (own) => ({ ...own, lines: own.lines.filter((one) => one !== found) })),
    },
  );
}
