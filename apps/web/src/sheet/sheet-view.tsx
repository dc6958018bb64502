import {
  isLinkShown,
  linksMarkup,
  notesMarkup,
  rulingsMarkup,
  screenBrush,
  signsMarkup,
  type Box,
  type Brush,
  type Drawing,
  type Notation,
} from '@levee/core';
import { memo, useEffect, useLayoutEffect, useMemo, useRef } from 'react';
import type { Lit } from '../worked/lit.ts';
import type { Drawn } from '../worked/drawn.ts';
import { FramedAmounts } from './framed-amounts.tsx';
import { InTurn } from './in-turn.ts';
import './sheet.css';
import { WrittenPage } from './written.ts';

export interface SheetViewProps {
  readonly paper: Drawn;
  readonly step: number;
  readonly lit: Lit;
  readonly notation: Notation;
  readonly notes: boolean;
  readonly notches: boolean;
  /** Pixels a square is wide. */
  readonly square: number;
  readonly label: string;
  /** What of the sheet is shown, in squares; all of it when absent. */
  readonly view?: Box;
}

/** The one renderer: any method's sheet as it stands after so many steps. */
export const SheetView = memo(function SheetView(props: SheetViewProps) {
  const { paper, step, lit, notation, notes, notches, square, label } = props;
  const { drawing, line } = paper;
  const { x, y, width, height } = props.view ?? { x: 0, y: 0, ...drawing };
  const brush = useMemo(
    () => screenBrush({ notation, notches, strikes: (entry) => line.struckAt.has(entry) }),
    [notation, notches, line],
  );
  return (
    <svg
      className="sheet"
      viewBox={`${x} ${y} ${width} ${height}`}
      width={width * square}
      height={height * square}
      role="img"
      aria-label={label}
    >
      <Frames lit={lit} part="fill" />
      <FramedAmounts framed={lit.framed} unit={1} part="texture" />
      <Printed paper={paper} brush={brush} />
      <Written paper={paper} brush={brush} step={step} />
      {notes && <Notes paper={paper} brush={brush} step={step} />}
      {notes && <Links paper={paper} brush={brush} step={step} />}
      <Frames lit={lit} part="edge" />
      <FramedAmounts framed={lit.framed} unit={1} part="edge" />
    </svg>
  );
});

/** Tints under the figures, or the lines around them. */
function Frames({ lit, part }: { readonly lit: Lit; readonly part: 'fill' | 'edge' }) {
  return (
    <g className={`frames ${part}`}>
      {lit.frames.flatMap(({ light, boxes }) =>
        boxes.map((box, i) => (
          <rect key={`${light}${i}`} className={light} {...inset(box)} rx={0.08} />
        )),
      )}
    </g>
  );
}

function inset({ x, y, width, height }: Box): Box {
  return { x: x + 0.03, y: y + 0.03, width: width - 0.06, height: height - 0.06 };
}

/** What is on the paper from the start: rulings and signs. */
const Printed = memo(function Printed({ paper, brush }: Painted) {
  const layer = useRef<SVGGElement>(null);
  useLayoutEffect(() => {
    const { rulings, signs } = paper.drawing;
    layer.current!.innerHTML = rulingsMarkup(rulings, brush);
    const waiting = new InTurn<Sign, Sign>((some) =>
      layer.current!.insertAdjacentHTML('beforeend', signsMarkup(some, brush)),
    );
    for (const sign of signs) if (!sign.with) waiting.put(sign, sign);
    waiting.start();
    return () => waiting.stop();
  }, [paper, brush]);
  return <g ref={layer} className="printed" />;
});

/** A layer as the painter of core has it; its texts are escaped. It is put in anew only when it changes. */
const Painting = memo(function Painting(props: { readonly name: string; readonly markup: string }) {
  const { name, markup } = props;
  const html = useMemo(() => ({ __html: markup }), [markup]);
  return <g className={name} dangerouslySetInnerHTML={html} />;
});

type Sign = Drawing['signs'][number];

interface Painted {
  readonly paper: Drawn;
  readonly brush: Brush;
}

/** Everything that comes and goes with the steps. */
function Written({ paper, brush, step }: Painted & { readonly step: number }) {
  const slots = useRef<SVGGElement>(null);
  const figures = useRef<SVGGElement>(null);
  const page = useRef<WrittenPage | null>(null);
  useLayoutEffect(() => {
    if (!page.current?.isOf(paper, brush)) {
      page.current?.stop();
      const layers = { slots: slots.current!, figures: figures.current! };
      page.current = new WrittenPage(layers, paper, brush);
    }
    page.current.show(step);
  }, [paper, brush, step]);
  useEffect(
    () => () => {
      page.current?.stop();
      page.current = null;
    },
    [],
  );
  return (
    <>
      <g ref={slots} className="slots" />
      <g ref={figures} className="figures" />
    </>
  );
}

/** Lines between figures that the last step brought together, and arcs that stay. */
function Links({ paper, brush, step }: Painted & { readonly step: number }) {
  const links = paper.drawing.links.filter((link) => isLinkShown(link, step));
  return links.length > 0 && <Painting name="links" markup={linksMarkup(links, step, brush)} />;
}

function Notes({ paper, brush, step }: Painted & { readonly step: number }) {
  const written = useMemo(
    () =>
      paper.drawing.notes.map(({ marks }) =>
        marks.length === 0
          ? 0
          : Math.min(...marks.map((id) => paper.line.writtenAt.get(id) ?? Infinity)),
      ),
    [paper],
  );
  return (
    <g className="notes">
      {paper.drawing.notes.map(
        (note, k) =>
          written[k]! <= step && (
            <Painting key={k} name="note" markup={notesMarkup([note], brush)} />
          ),
      )}
    </g>
  );
}
