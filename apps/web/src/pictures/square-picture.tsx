import { framesOf, termsLight } from '../worked/lit.ts';
import { inNotation, type SquareGround, type SquarePart } from '@levee/core';
import { useMemo } from 'react';
import { FramedPart } from '../sheet/framed-amounts.tsx';
import {
  useFramed,
  useNotation,
  useSpeaker,
  useSteps,
  useSubject,
  useWorked,
} from '../worked/use-worked.ts';
import { apart } from './part-label.ts';
import { PicturePanel } from './picture-panel.tsx';
import { standingOf, standingsOf } from './standings.ts';
import { Picture, Region } from './region.tsx';

/** Room for the widths above the square, and the least at its left. */
const TOP = 26;
const LETTER = 7.4;

/** A square that grows by strips around it, with what is left of the number beside it. */
export function SquarePicture({ ground }: { readonly ground: SquareGround }) {
  const isOne = ground.parts.length === 1;
  return (
    <PicturePanel
      title={isOne ? 'Squares that make the number' : 'One square, widened strip by strip'}
      words={{ marked: 'laid on all', owed: 'not laid yet' }}
      note={!ground.toScale && 'thin strips are drawn wider'}
    >
      {(size) => <Square ground={ground} {...size} />}
    </PicturePanel>
  );
}

interface SquareProps {
  readonly ground: SquareGround;
  readonly width: number;
  readonly height: number;
}

function Square({ ground, width, height }: SquareProps) {
  const worked = useWorked();
  const steps = useSteps();
  const say = useSpeaker();
  const notation = useNotation();
  const standings = useMemo(() => standingsOf(worked, steps), [worked, steps]);
  const isRow = ground.parts.length === 1 && ground.parts[0]!.boxes.length > 1;
  const count = isRow ? ground.parts[0]!.boxes.length : 1;
  const edge = Math.max(...ground.widths.map(({ text }) => text.length)) * LETTER + 10;
  const room = Math.min(height - TOP, (width - edge - (ground.left ? 96 : 8)) / count);
  const side = Math.max(40, room) * count;
  const middles = apart(
    ground.widths.map(({ text, from, to }) => ({
      middle: ((from + to) / 2) * side,
      width: inNotation(text, notation).length * LETTER,
    })),
  );
  return (
    <Picture name="Square" width={width} height={height}>
      {ground.widths.map(({ text, from, to }, k) => {
        const label = inNotation(text, notation);
        const middle = ((from + to) / 2) * side;
        return (
          <g key={from} className="strips">
            <text x={edge + middles[k]!} y={TOP - 8} textAnchor="middle">
              {label}
            </text>
            {!isRow && (
              <text x={edge - 6} y={TOP + middle + 4} textAnchor="end">
                {label}
              </text>
            )}
          </g>
        );
      })}
      {ground.parts.map((part) => (
        <Part
          key={part.text}
          part={part}
          side={side}
          edge={edge}
          standing={standingOf(standings, part.terms)}
          title={`${inNotation(part.text, notation)} = ${say.worth(part.worth)}`}
          label={say.worth(part.worth)}
        />
      ))}
      {ground.left && (
        <LeftOver
          left={ground.left}
          standing={standingOf(standings, ground.left.terms)}
          x={edge + side + 14}
        />
      )}
    </Picture>
  );
}

interface LeftOverProps {
  readonly left: NonNullable<SquareGround['left']>;
  readonly standing: string;
  readonly x: number;
}

/** What is left beside the square. */
function LeftOver({ left: { terms, worth }, standing, x }: LeftOverProps) {
  const subject = useSubject();
  const framed = useFramed();
  const say = useSpeaker();
  const box = { x, y: TOP, width: 74, height: 40 };
  return (
    <Region
      name={`left over: ${say.worth(worth)}`}
      className={`region ${standing} ${termsLight(subject, terms)}`}
      point={{ kind: 'terms', terms }}
    >
      <rect {...box} strokeDasharray="4 3" />
      <FramedPart numbers={framesOf(framed, terms)} boxes={[box]} />
      <text x={x + 37} y={TOP + 17} textAnchor="middle">
        left
      </text>
      <text x={x + 37} y={TOP + 33} textAnchor="middle">
        {say.worth(worth)}
      </text>
    </Region>
  );
}

interface PartProps {
  readonly part: SquarePart;
  readonly side: number;
  readonly edge: number;
  readonly standing: string;
  readonly title: string;
  readonly label: string;
}

/** One square, or two strips and their corner, which are one amount. */
function Part({ part, side, edge, standing, title, label }: PartProps) {
  const subject = useSubject();
  const framed = useFramed();
  const pointed = { kind: 'terms', terms: part.terms } as const;
  const [first] = part.boxes;
  const boxes = part.boxes.map((box) => ({
    x: edge + box.x * side,
    y: TOP + box.y * side,
    width: box.width * side,
    height: box.height * side,
  }));
  const isTall = first!.width * side < label.length * LETTER;
  const [x, y] = [
    edge + (first!.x + first!.width / 2) * side,
    TOP + (first!.y + first!.height / 2) * side,
  ];
  return (
    <Region
      name={title}
      className={`region ${standing} ${termsLight(subject, part.terms)}`}
      point={pointed}
    >
      {boxes.map((box, k) => (
        <rect key={k} {...box} />
      ))}
      <FramedPart numbers={framesOf(framed, part.terms)} boxes={boxes} />
      {first!.height * side > label.length * LETTER || !isTall ? (
        <text
          x={x}
          y={y + 4}
          textAnchor="middle"
          {...(isTall ? { transform: `rotate(90 ${x} ${y})` } : {})}
        >
          {label}
        </text>
      ) : null}
    </Region>
  );
}
