import { isOwnLines, type Cover, type Room } from '@levee/core';
import { useComparison } from '../../store/comparison-store.ts';
import { useWorked } from '../../worked/use-worked.ts';

/** How the open comparison stands before a class. */
export function useRoom(): Room {
  return useComparison((state) => state.progress.room);
}

/** The covers that lie over something that is shown now. */
export function useCovered(): readonly Cover[] {
  const { covered, shown } = useRoom();
  const { papers } = useWorked();
  const lies: Partial<Record<Cover, boolean>> = {
    verdicts: shown.includes('papers') && papers.some(({ method }) => isOwnLines(method)),
    gauge: shown.includes('account'),
  };
  return covered.filter((cover) => lies[cover]);
}
