import { COVERS, type Cover } from '@levee/core';
import { useMemo, useState } from 'react';
import { dispatch, useComparison } from '../../store/comparison-store.ts';
import { covered, lifted } from '../../store/edits.ts';

/** The covers that lie on a wrong paper while it is read. */
const ON_SLIPS: readonly Cover[] = COVERS.filter((cover) => cover !== 'verdicts');

export interface Covers {
  /** Those that lie there. */
  readonly down: readonly Cover[];
  readonly isUp: (cover: Cover) => boolean;
  readonly lift: (cover: Cover) => void;
  readonly toggle: () => void;
}

/**
 * Covers over what tells a wrong paper, as the comparison has them: before a class always, at the desk when she looks how it will be
 * there. Lifted one by one; all are laid again, or lifted, at once.
 */
export function useCovers(inRoom: boolean): Covers {
  const laid = useComparison((state) => state.progress.room.covered);
  const [isTried, tryThem] = useState(false);
  return useMemo(() => {
    const isCovering = inRoom || isTried;
    const down = isCovering ? ON_SLIPS.filter((cover) => laid.includes(cover)) : [];
    const others = laid.filter((cover) => !ON_SLIPS.includes(cover));
    return {
      down,
      isUp: (cover) => !down.includes(cover),
      lift: (cover) => dispatch(lifted(cover)),
      toggle: () => {
        if (down.length > 0 && inRoom) dispatch(covered(others));
        else if (down.length > 0) tryThem(false);
        else {
          dispatch(covered([...others, ...ON_SLIPS]));
          tryThem(true);
        }
      },
    };
  }, [inRoom, isTried, laid]);
}
