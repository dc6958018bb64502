import { onPages, type OnPages } from '@levee/core';
import { useMemo } from 'react';
import { SquaredSheet } from '../../sheet/squared-sheet.tsx';
import { useSettings } from '../../store/settings-store.ts';
import { framedOn, UNLIT } from '../../worked/lit.ts';
import { useFramed, useNotation } from '../../worked/use-worked.ts';
import type { Paper } from '../../worked/work.ts';

/** Most pixels of a square, and the room for a sheet on an upright page of either size. */
const MOST = 24;
const UPRIGHT = { width: 660, height: 940 };

/** Height of the head of the page, and of the name of a paper with its schools. */
const HEAD = 190;
const NAME = 60;

/** How the sheets of papers lie on pages; the first stands below the head of the page. */
export function useOnPages(papers: readonly Paper[]): readonly OnPages[] {
  const { notes } = useSettings();
  return useMemo(
    () =>
      papers.map(({ drawing }, k) =>
        onPages(drawing, notes, {
          upright: UPRIGHT,
          most: MOST,
          name: NAME,
          above: k === 0 ? HEAD : 0,
        }),
      ),
    [papers, notes],
  );
}

interface PrintedSheetProps {
  readonly paper: Paper;
  readonly step: number;
  /** Whether amounts that were framed on the bench are framed here too. */
  readonly framed: boolean;
  readonly pages: OnPages;
}

/** A sheet as it is printed: whole, or on several pages, each under the name of its method. */
export function PrintedSheet({ paper, step, framed: isFramed, pages }: PrintedSheetProps) {
  const { notes, notches } = useSettings();
  const notation = useNotation();
  const framed = useFramed();
  const { square, parts } = pages;
  const lit = { ...UNLIT, framed: isFramed ? framedOn(paper, framed, step) : [] };
  return parts.map((view, k) => (
    <figure key={k} className="printed-part">
      {k > 0 && (
        <figcaption>
          {paper.method.name}, page {k + 1} of {parts.length}
        </figcaption>
      )}
      <SquaredSheet
        className="printed-sheet"
        paper={paper.drawn}
        step={step}
        lit={lit}
        notation={notation}
        notes={notes}
        notches={notches}
        square={square}
        view={view}
        label={k === 0 ? paper.method.name : `${paper.method.name}, page ${k + 1}`}
      />
    </figure>
  ));
}
