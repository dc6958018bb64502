import type { Asked } from './asked.ts';
import type { JudgedLine } from './judged.ts';
import type { JudgedPaper } from './judged-paper.ts';
import { isCounted, type OwnWork } from './own-work.ts';
import { judgeLines } from './paper.ts';

/** Someone's own work on a computation with all that is said of it. */
export interface JudgedWork {
  readonly own: OwnWork;
  readonly asked: Asked;
  readonly paper: JudgedPaper;
  /** What is said of the line at a place, from 0; null for one that is struck or empty. */
  readonly lineAt: (index: number) => JudgedLine | null;
}

/** Judges the lines that count: not those that are struck or empty. */
export function judgeWork(asked: Asked, own: OwnWork): JudgedWork {
  const paper = judgeLines(
    asked,
    own.lines.filter(isCounted).map(({ text }) => text),
  );
  const counted = own.lines.flatMap((line, index) => (isCounted(line) ? [index] : []));
  const lineAt = (index: number) => {
    const at = counted.indexOf(index);
    return at < 0 ? null : (paper.lines[at] ?? null);
  };
  return { own, asked, paper, lineAt };
}
