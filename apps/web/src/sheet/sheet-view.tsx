import {
  inNotation,
  isLinkShown,
  linkPath,
  signGlyph,
  signSize,
  type Box,
  type Notation,
} from '@levee/core';
import { memo, useLayoutEffect, useMemo, useRef } from 'react';
import type { Lit } from '../worked/lit.ts';
import type { Paper } from '../worked/work.ts';
import './sheet.css';
import { WrittenPage } from './written.ts';

export interface SheetViewProps {
  readonly paper: Paper;
  readonly step: number;
  readonly lit: Lit;
  readonly notation: Notation;
  readonly notes: boolean;
  readonly notches: boolean;
  /** Pixels a square is wide. */
  readonly square: number;
  readonly label: string;
}

/** The one renderer: any method's sheet as it stands after so many steps. */
export const SheetView = memo(function SheetView(props: SheetViewProps) {
  const { paper, step, lit, notation, notes, notches, square, label } = props;
  const { drawing } = paper;
  return (
    <svg
      className="sheet"
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      width={drawing.width * square}
      height={drawing.height * square}
      role="img"
      aria-label={label}
    >
      <Frames lit={lit} part="fill" />
      <Printed paper={paper} notation={notation} />
      <Written paper={paper} step={step} notches={notches} notation={notation} />
      {notes && <Notes paper={paper} step={step} notation={notation} />}
      {notes && <Links paper={paper} step={step} />}
      <Frames lit={lit} part="edge" />
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
const Printed = memo(function Printed({
  paper,
  notation,
}: {
  readonly paper: Paper;
  readonly notation: Notation;
}) {
  const { rulings, signs } = paper.drawing;
  return (
    <g className="printed">
      {rulings.map(({ x1, y1, x2, y2, weight }, i) => (
        <line key={i} className={weight} x1={x1} y1={y1} x2={x2} y2={y2} />
      ))}
      {signs
        .filter((sign) => !sign.with)
        .map((sign, i) => (
          <text
            key={i}
            className={`sign-${sign.sign}`}
            x={sign.x + sign.width / 2}
            y={sign.y + sign.height / 2 + 0.36 * signSize(sign)}
            fontSize={signSize(sign)}
          >
            {signGlyph(sign, notation)}
          </text>
        ))}
    </g>
  );
});

/** Everything that comes and goes with the steps. */
function Written({
  paper,
  step,
  notches,
  notation,
}: {
  readonly paper: Paper;
  readonly step: number;
  readonly notches: boolean;
  readonly notation: Notation;
}) {
  const slots = useRef<SVGGElement>(null);
  const figures = useRef<SVGGElement>(null);
  const page = useRef<WrittenPage | null>(null);
  useLayoutEffect(() => {
    const hand = { notation, notches };
    if (!page.current?.isOf(paper, hand)) {
      const layers = { slots: slots.current!, figures: figures.current! };
      page.current = new WrittenPage(layers, paper, hand);
    }
    page.current.show(step);
  }, [paper, step, notches, notation]);
  return (
    <>
      <g ref={slots} className="slots" />
      <g ref={figures} className="figures" />
    </>
  );
}

/** Lines between figures that the last step brought together, and arcs that stay. */
function Links({ paper, step }: { readonly paper: Paper; readonly step: number }) {
  const links = paper.drawing.links.filter((link) => isLinkShown(link, step));
  if (links.length === 0) return null;
  return (
    <g className="links">
      {links.map((link, i) => {
        const { path, x, y } = linkPath(link);
        return (
          <g key={i} className={link.step === step ? 'new' : undefined}>
            <path d={path} />
            {link.label && (
              <text x={x} y={y + (link.bow && link.bow > 0 ? 0.42 : -0.12)} fontSize={0.4}>
                {link.label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

function Notes(props: {
  readonly paper: Paper;
  readonly step: number;
  readonly notation: Notation;
}) {
  const { paper, step, notation } = props;
  const written = useMemo(
    () =>
      paper.drawing.notes.map(({ marks }) =>
        Math.min(...marks.map((id) => paper.line.writtenAt.get(id) ?? Infinity)),
      ),
    [paper],
  );
  return (
    <g className="notes">
      {paper.drawing.notes.map(({ x, y, text }, i) =>
        written[i]! <= step ? (
          <text key={i} x={x} y={y + 0.68} fontSize={0.5}>
            {inNotation(text, notation)}
          </text>
        ) : null,
      )}
    </g>
  );
}
