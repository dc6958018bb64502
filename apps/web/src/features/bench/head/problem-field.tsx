import { methodFor } from '../../../store/content.ts';
import { type Beside, type Notation, type Problem } from '@levee/core';
import { ComputationField } from '../../../computation/computation-field.tsx';
import { dispatch, useComparison } from '../../../store/comparison-store.ts';
import type { Content } from '../../../store/desk.ts';
import { changed } from '../../../store/edits.ts';
import { useSession } from '../../../store/session-store.ts';
import { withTyped } from '../../../store/story.ts';
import { notify } from '../../../ui/notices.tsx';
import { judgedAnswer } from './claimed.ts';
import { useNotation } from '../../../worked/use-worked.ts';

/** The one field for the computation of the bench. */
export function ProblemField() {
  const kept = useComparison((state) => state.content.problem);
  const notation = useNotation();
  return <ComputationField kept={kept} work={(reading) => applyProblem(reading, notation)} />;
}

function applyProblem(
  { problem, unit, claimed }: Beside & { problem: Problem },
  notation: Notation,
): void {
  const { content } = useComparison.getState();
  const typed = withTyped(content, problem);
  const next = unit !== undefined && typed.unit === '' ? { ...typed, unit } : typed;
  const judged = claimed ? [judgedAnswer(problem, claimed, notation)] : [];
  if (next.problem === content.problem) {
    if (judged.length > 0) notify(judged.join(''));
    return;
  }
  dispatch(changed(() => next));
  const gone = content.papers.filter((paper) => !methodFor(paper).accepts(problem).ok);
  const said = [
    ...paperNotice(gone.length, content.papers.length),
    ...(content.story + content.unit !== '' && next.story + next.unit === ''
      ? ['Story and unit belong to the other computation and were taken off.']
      : []),
    ...(content.estimate
      ? [`The estimate stays with ${content.problem} and comes back with it.`]
      : []),
  ];
  const undo = said.length > 0 ? ['Undo brings all back.'] : [];
  const titled = isAboutNumbers(content) ? [`Its title is still “${content.title}”.`] : [];
  const all = [...judged, ...said, ...undo, ...titled];
  if (all.length > 0) notify(all.join(' '), titled.length > 0 ? CHANGE_TITLE : undefined);
}

const CHANGE_TITLE = {
  label: 'Change it',
  run: () => useSession.setState({ dialog: 'about' as const }),
};

/** Whether a title speaks of the numbers that are worked, so that others no longer fit it. */
function isAboutNumbers({ title, problem }: Content): boolean {
  const numbers: readonly string[] = problem.match(/\d+(?:\.\d+)?/g) ?? [];
  const words = title.match(/\d+(?:[.,]\d+)?/g) ?? [];
  return words.some((word) => numbers.includes(word.replace(',', '.')));
}

function paperNotice(gone: number, all: number): readonly string[] {
  if (gone === 0) return [];
  if (gone === all) return ['None of these papers works this; others are laid.'];
  return gone === 1
    ? ['One paper cannot work this and was put away.']
    : [`${gone} papers cannot work this and were put away.`];
}
