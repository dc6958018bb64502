import type { Asked } from '../read/asked.ts';
import type { JudgedLine } from '../judge/judged.ts';
import { BLANK } from '../judge/judgement.ts';
import type { JudgedPaper } from '../judge/judged-paper.ts';
import { isCounted, type OwnWork } from './own-work.ts';

/** What a paper says of its lines, without how that was found. */
export type SaidPaper = Pick<JudgedPaper, 'lines' | 'complete' | 'right'>;

/** What is said of someone's own lines, and why it is no more. */
export interface Said {
  readonly paper: SaidPaper;
  /** Why nothing is said of the lines, where the judge itself has failed. */
  readonly failed?: string;
  /** Whether nothing is said yet of the lines behind those that were judged before. */
  readonly isWaiting?: boolean;
}

/** Someone's own work on a computation with all that is said of it. */
export interface JudgedWork extends Said {
  readonly own: OwnWork;
  readonly asked: Asked;
  /** What is said of the line at a place, from 0; null for one that is struck or empty. */
  readonly lineAt: (index: number) => JudgedLine | null;
}

/** Someone's lines with what is said of those that count. */
export function judgedWork(asked: Asked, own: OwnWork, said: Said): JudgedWork {
  const counted = own.lines.flatMap((line, index) => (isCounted(line) ? [index] : []));
  const lineAt = (index: number) => {
    const at = counted.indexOf(index);
    return at < 0 ? null : (said.paper.lines[at] ?? null);
  };
  return { own, asked, lineAt, ...said };
}

/** Lines of which nothing is said behind those that are known. */
export function unjudgedPaper(texts: readonly string[], known: readonly JudgedLine[]): SaidPaper {
  const lines = texts.map(
    (text, k): JudgedLine =>
      known[k] ?? { ...BLANK, n: k + 1, text, kind: 'note', verdict: 'note' },
  );
  return { lines, complete: false, right: false };
}

/** How many lines a paper that was judged has in common with these, from the first on. */
export function sameLines(texts: readonly string[], { lines }: SaidPaper): number {
  const at = texts.findIndex((text, k) => lines[k]?.text !== text);
  return at < 0 ? texts.length : at;
}

/** The lines that are judged, in their order: not those that are struck or empty. */
export function textsOf({ lines }: OwnWork): readonly string[] {
  return lines.filter(isCounted).map(({ text }) => text);
}
