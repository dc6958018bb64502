import {
  inNotation,
  isLinkShown,
  linkPath,
  signGlyph,
  signSize,
  type Box,
  type Notation,
} from '@levee/core';
import { memo, useMemo, useRef } from 'react';
import type { Lit } from '../worked/lit.ts';
import type { Paper } from '../worked/work.ts';
import { FigureView } from './figure-view.tsx';
import { useMoment } from './moments.ts';
import './sheet.css';

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
function Written(props: {
  readonly paper: Paper;
  readonly step: number;
  readonly notches: boolean;
  readonly notation: Notation;
}) {
  const { paper, step, notches, notation } = props;
  const root = useRef<SVGGElement>(null);
  useMoment(root, paper, step);
  return (
    <g ref={root}>
      <Slots key={keyOf(paper)} paper={paper} />
      <ComingSigns key={`s${keyOf(paper)}`} paper={paper} notation={notation} />
      <Figures key={`f${keyOf(paper)}`} paper={paper} notches={notches} notation={notation} />
    </g>
  );
}

const KEYS = new WeakMap<Paper, number>();
let papers = 0;

/** A new key for every new paper, so that nothing drawn for another one is used again. */
function keyOf(paper: Paper): number {
  const key = KEYS.get(paper) ?? ++papers;
  KEYS.set(paper, key);
  return key;
}

/** Signs that come with a mark. */
const ComingSigns = memo(function ComingSigns(props: {
  readonly paper: Paper;
  readonly notation: Notation;
}) {
  const { paper, notation } = props;
  return paper.drawing.signs.map((sign, i) =>
    sign.with ? (
      <g key={i} className="figure sign" data-entry={sign.with}>
        <text
          x={sign.x + sign.width / 2}
          y={sign.y + sign.height / 2 + 0.36 * signSize(sign)}
          fontSize={signSize(sign)}
        >
          {signGlyph(sign, notation)}
        </text>
      </g>
    ) : null,
  );
});

/** A dot where the work for an owed amount will go; it can be pointed at before and after. */
const Slots = memo(function Slots({ paper }: { readonly paper: Paper }) {
  return (
    <g className="slots">
      {paper.drawing.slots.map(({ entry, x, y, width, height, dot }) => (
        <g key={entry} className="slot" data-entry={entry}>
          <rect className="touch" x={x} y={y} width={width} height={height} />
          {dot && <circle cx={x + width / 2} cy={y + height / 2} r={0.07} />}
        </g>
      ))}
    </g>
  );
});

const Figures = memo(function Figures(props: {
  readonly paper: Paper;
  readonly notches: boolean;
  readonly notation: Notation;
}) {
  return (
    <g className="figures">
      {props.paper.drawing.figures.map((figure) => (
        <FigureView
          key={figure.entry}
          figure={figure}
          notches={props.notches}
          notation={props.notation}
        />
      ))}
    </g>
  );
});

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
