import type { PaperWork } from '@levee/core';
import { useMemo } from 'react';
import { useComparison } from '../../../store/comparison-store.ts';
import type { Paper } from '../../../worked/work.ts';

/** What a paper of the comparison is made of, without the slips that lie on it. */
export function useWorkOf({ id }: Paper): PaperWork {
  const papers = useComparison(({ content }) => content.papers);
  return useMemo(() => ({ ...papers.find((paper) => paper.id === id)!, slips: [] }), [papers, id]);
}
