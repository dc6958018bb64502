import { countsOfLines, type CountedLine } from '../../line/counts.ts';
import type { JudgedPaper } from '../judge/judged-paper.ts';

/**
 * What a way costs in the head: facts whose two figures are both over 1, carries and places that are too small, and
 * twice the most numbers that are held at once. Counted from the lines as they stand.
 */
export function costOfLines(lines: readonly CountedLine[], base = 10): number {
  const { facts, regroupings, held } = countsOfLines(lines, base);
  return facts + regroupings + 2 * held;
}

/** The rewritings and jumps of a paper in the order of its lines, as they are counted. */
export function countedLines({ rewritings, hops }: JudgedPaper): readonly CountedLine[] {
  const lines = [
    ...rewritings.map(({ n, to }) => ({ n, line: to })),
    ...hops.map(({ n, hops: all }) => ({ n, line: { jumps: all.length } })),
  ];
  return lines.sort((a, b) => a.n - b.n).map(({ line }) => line);
}
