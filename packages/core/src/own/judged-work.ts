import type { Asked } from './asked.ts';
import type { JudgedLine } from './judged.ts';
import { BLANK } from './judgement.ts';
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
  /** Why nothing is said of the lines, where the judge itself has failed; null where it has not. */
  readonly failed: string | null;
}

/** Judges the lines that count: not those that are struck or empty. */
export function judgeWork(asked: Asked, own: OwnWork): JudgedWork {
  return judgedWork(asked, own, judgeLines(asked, textsOf(own)), null);
}

/** The lines as they stand, with nothing said of them and nothing worked, where the judge has failed on them. */
export function unjudgedWork(asked: Asked, own: OwnWork, failed: string): JudgedWork {
  const none = judgeLines(asked, []);
  const lines = textsOf(own).map((text, k): JudgedLine => ({
    ...BLANK,
    n: k + 1,
    text,
    kind: 'note',
    verdict: 'note',
  }));
  return judgedWork(asked, own, { ...none, lines }, failed);
}

function textsOf({ lines }: OwnWork): readonly string[] {
  return lines.filter(isCounted).map(({ text }) => text);
}

function judgedWork(
  asked: Asked,
  own: OwnWork,
  paper: JudgedPaper,
  failed: string | null,
): JudgedWork {
  const counted = own.lines.flatMap((line, index) => (isCounted(line) ? [index] : []));
  const lineAt = (index: number) => {
    const at = counted.indexOf(index);
    return at < 0 ? null : (paper.lines[at] ?? null);
  };
  return { own, asked, paper, lineAt, failed };
}
