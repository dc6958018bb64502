import { useMemo, useState } from 'react';

/** What can lie under a cover while a wrong paper is read. */
export const COVERS = ['name', 'marks', 'gauge', 'checks'] as const;
export type Cover = (typeof COVERS)[number];

export interface Covers {
  /** Whether covers are in use at all. */
  readonly isCovered: boolean;
  readonly isUp: (cover: Cover) => boolean;
  readonly lift: (cover: Cover) => void;
  readonly toggle: () => void;
}

/** Covers over what tells a wrong paper: all down to begin with, or all up; lifted one by one. */
export function useCovers(down: boolean): Covers {
  const [under, setUnder] = useState<readonly Cover[]>(down ? COVERS : []);
  return useMemo(
    () => ({
      isCovered: under.length > 0,
      isUp: (cover) => !under.includes(cover),
      lift: (cover) => setUnder((all) => all.filter((one) => one !== cover)),
      toggle: () => setUnder((all) => (all.length > 0 ? [] : COVERS)),
    }),
    [under],
  );
}
