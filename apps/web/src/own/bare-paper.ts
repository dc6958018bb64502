import { drawSheet, isOwnLines } from '@levee/core';
import { useMemo } from 'react';
import type { Paper } from '../worked/work.ts';

/** A paper without a word on its lines: what is to be said of them is told beside it. */
export function useBare(paper: Paper): Paper {
  return useMemo(() => {
    const { method, lane } = paper;
    if (!isOwnLines(method)) return paper;
    const sheet = method.bareSheet(lane.trace);
    const bare = { sheet, drawing: drawSheet(sheet, lane.trace) };
    return { ...paper, ...bare, drawn: { ...paper.drawn, ...bare } };
  }, [paper]);
}
