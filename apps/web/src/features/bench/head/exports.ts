import {
  notationFor,
  reasonsLatex,
  reasonsMarkdown,
  reasonsOf,
  sheetSvg,
  nameOfMethod,
} from '@levee/core';
import { currentDocument } from '../../../store/comparison-store.ts';
import type { Settings } from '../../../store/settings-store.ts';
import { download, fileName } from '../../../ui/download.ts';
import { framedOn, type FramedSubject } from '../../../worked/lit.ts';
import type { Worked } from '../../../worked/work.ts';

/** What can be exported of the open comparison. */
export type Export = 'json' | 'markdown' | 'latex' | 'svg';

/** Exports the open comparison in her words, as it stands. */
export function exportAs(
  as: Export,
  framed: readonly FramedSubject[],
  { comparison, papers, problem }: Worked,
  { words, notes, notches }: Pick<Settings, 'words' | 'notes' | 'notches'>,
): void {
  const document = currentDocument();
  const name = (ending: string) => fileName(document.title || document.problem, ending);
  const notation = notationFor(problem, words);
  const names = { method: nameOfMethod, notation };
  switch (as) {
    case 'json':
      return download(name('levee.json'), JSON.stringify(document, null, 2), 'application/json');
    case 'markdown':
      return download(name('md'), reasonsMarkdown(reasonsOf(comparison), names), 'text/markdown');
    case 'latex':
      return download(name('tex'), reasonsLatex(reasonsOf(comparison), names), 'text/x-tex');
    case 'svg':
      for (const paper of papers) {
        const { id, method, sheet, lane, index } = paper;
        const svg = sheetSvg(sheet, lane.trace, {
          step: document.steps[id] ?? 0,
          notation,
          framed: framedOn(paper, framed, document.steps[paper.id] ?? 0),
          notes,
          notches,
          title: `${method.name}, ${document.problem}`,
        });
        download(name(`${method.id}-${index + 1}.svg`), svg, 'image/svg+xml');
      }
  }
}
