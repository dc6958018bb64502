import type { Frame } from './frame.ts';
import { framesOf, termsLight, type PictureLight } from '../worked/lit.ts';
import {
  amountWriter,
  Exact,
  scriptOf,
  inNotation,
  numberText,
  TermSet,
  type EntryId,
  type Notation,
  type AreaGround,
} from '@levee/core';
import { memo, useCallback, useMemo } from 'react';
import { type PointedAt } from '../store/session-store.ts';
import { FramedPart } from '../sheet/framed-amounts.tsx';
import {
  useActive,
  useFramed,
  useNotation,
  useSteps,
  useSubject,
  useWorked,
} from '../worked/use-worked.ts';
import type { Size } from '../ui/use-size.ts';
import type { Worked } from '../worked/work.ts';
import { SvgMath } from '../ui/svg-math.tsx';
import { BeyondNote, BeyondStrips, goesBeyond, roomBeyond, useBeyond } from './beyond-strips.tsx';
import { labelsThatStand, partLabel } from './part-label.ts';
import { Picture, Region } from './region.tsx';
import { PicturePanel } from './picture-panel.tsx';
import { standingsOf, type Standing } from './standings.ts';

type Cell = AreaGround['regions'][number];

/** One rectangle with every method's cuts: what is dealt with, what is owed, what is pointed at. */
export function AreaPicture() {
  const worked = useWorked();
  const ground = worked.ground?.kind === 'area' ? worked.ground : null;
  if (!ground || ground.regions.length === 0) {
    return (
      <section className="panel area" aria-label="Shared picture">
        <h2>{headingOf(ground)}</h2>
        <p className="caption">
          {ground
            ? 'A side of it is 0, so there is no rectangle to be cut.'
            : 'This rectangle has too many cells to be told apart; point at the papers instead.'}
        </p>
      </section>
    );
  }
  return (
    <PicturePanel
      title={headingOf(ground)}
      words={{ marked: 'marked on all', owed: 'owed' }}
      note={
        <>
          <BeyondNote worked={worked} />
          {notesOf(worked, ground)}
        </>
      }
    >
      {(size) => <Rectangle worked={worked} ground={ground} {...size} />}
    </PicturePanel>
  );
}

function scaleNote({ problem }: Worked): string {
  return scriptOf(problem) === 'terms'
    ? 'cells are drawn alike: letters have no size'
    : 'a thin strip, ↔, is drawn wider';
}

function notesOf(worked: Worked, ground: AreaGround): string {
  const notes = ground.toScale ? [] : [scaleNote(worked)];
  if (!isInProportion(ground)) notes.push('sides not to one scale');
  return notes.join('; ');
}

/** A slimmer rectangle is not drawn to scale, so that its cells have room for figures. */
const SLIMMEST = 0.36;

/** Whether both sides can be drawn to one scale. */
function isInProportion({ ratio }: AreaGround): boolean {
  return ratio === null || (ratio >= SLIMMEST && ratio <= 1 / SLIMMEST);
}

/** The sides of a rectangle in a room of so many pixels: to one scale where they can be read so, else all of the room. */
function sidesIn(room: Size, ground: AreaGround): Size {
  const { ratio } = ground;
  if (ratio === null || !isInProportion(ground)) return room;
  const width = Math.min(room.width, room.height / ratio);
  return { width, height: width * ratio };
}

/** The same rectangle with its longer side across, where the room is wider than high; which factor lies where says nothing. */
function turnedFor(ground: AreaGround, { width, height }: Size): AreaGround {
  const { sides, ratio, across, down, regions } = ground;
  if (sides !== 'two factors' || ratio === null || ratio <= 1 || width <= height) return ground;
  return {
    ...ground,
    ratio: 1 / ratio,
    across: down,
    down: across,
    regions: regions.map((region) => ({
      ...region,
      x: region.y,
      y: region.x,
      width: region.height,
      height: region.width,
    })),
  };
}

function headingOf(ground: AreaGround | null): string {
  switch (ground?.sides) {
    case 'divisor and quotient':
      return ground.across.length > 1
        ? 'One known side, one found piece by piece'
        : 'One known side, one found';
    case 'last factor and the product of the others':
      return 'What the other factors make, by the last';
    default:
      return 'One rectangle, every method’s cuts';
  }
}

interface RectangleProps {
  readonly worked: Worked;
  readonly ground: AreaGround;
  readonly width: number;
  readonly height: number;
}

const TOP = 20;
/** Room for the strips’ own lengths under the found ones. */
const BAND = 16;
const LETTER = 7.8;
/** Least height of a cell with a label, in pixels: that of its figures. */
const LEAST_FOR_LABEL = 12;

function Rectangle({ worked, ground: own, width, height }: RectangleProps) {
  const steps = useSteps();
  const subject = useSubject();
  const framed = useFramed();
  const notation = useNotation();
  const standings = useMemo(() => standingsOf(worked, steps), [worked, steps]);
  const labelOf = (text: string) => partLabel(inNotation(text, notation));
  const beyond = useBeyond(worked);
  const ground = useMemo(
    () => (goesBeyond(worked) ? own : turnedFor(own, { width, height })),
    [worked, own, width, height],
  );
  const shares = useShares(worked, ground);
  const top = TOP + (shares.length > 0 ? BAND : 0);
  const isMarked = ground.down.some(({ isWidened }) => isWidened);
  const longest = Math.max(...ground.down.map(({ text }) => labelOf(text).length));
  const side = (longest + (isMarked ? 2 : 0)) * LETTER + 8;
  const room = roomBeyond(beyond);
  const sides = sidesIn(
    {
      width: Math.max(40, (width - side - 4) / (1 + room.across)),
      height: Math.max(40, (height - top - 4) / (1 + room.down)),
    },
    ground,
  );
  const frame = { left: side, top, ...sides };
  const { space } = worked.comparison;
  const write = useMemo(() => amountWriter(worked.problem), [worked]);
  const point = useCallback(
    (term: number) => ({ kind: 'terms', terms: TermSet.of(space, term) }) as const,
    [space],
  );
  return (
    <Picture name="Area picture" width={width} height={height}>
      <Strips ground={ground} labelOf={labelOf} frame={frame} />
      {shares.length > 0 && <Shared shares={shares} labelOf={labelOf} frame={frame} />}
      {ground.regions.map((region) => (
        <RegionView
          key={region.term}
          region={region}
          standing={standings[region.term] ?? 'owed'}
          lit={termsLight(subject, point(region.term).terms)}
          framed={framesOf(framed, point(region.term).terms).join(' ')}
          notation={notation}
          write={write}
          point={point}
          {...frame}
        />
      ))}
      <BeyondStrips strips={beyond} frame={frame} room={room} labelOf={labelOf} />
    </Picture>
  );
}

interface StripsProps {
  readonly ground: AreaGround;
  readonly labelOf: (text: string) => string;
  readonly frame: Frame;
}

/** The parts of both factors along the edges, where there is room for them. */
function Strips({ ground, labelOf, frame }: StripsProps) {
  const { left, top, width, height } = frame;
  const across = ground.across.map(({ part, text, from, to, isWidened }) => {
    const [label, room] = [labelOf(text), (to - from) * width];
    const told = marked(label, isWidened && fits(label, room - 12), '↔');
    return { part, told, room, middle: ((from + to) / 2) * width, width: told.length * LETTER };
  });
  const stands = labelsThatStand(across);
  return (
    <g className="strips">
      {across.map(
        ({ part, told, middle }, k) =>
          stands[k] && <SvgMath key={part} x={left + middle} y={top - 6} text={told} />,
      )}
      {ground.down.map(({ part, text, from, to, isWidened }) =>
        (to - from) * height >= 11 ? (
          <SvgMath
            key={part}
            x={left - 6}
            y={top + ((from + to) / 2) * height + 4.5}
            text={marked(labelOf(text), isWidened, '↕')}
            anchor="end"
          />
        ) : null,
      )}
    </g>
  );
}

/** The label of a strip, with the mark of one that is drawn wider than it is. */
function marked(label: string, isWidened: boolean, mark: '↔' | '↕'): string {
  return isWidened && label !== '' ? `${label} ${mark}` : label;
}

interface SharedProps extends Omit<StripsProps, 'ground'> {
  readonly shares: ReturnType<typeof useShares>;
}

/** The lengths that were found, above the strips. */
function Shared({ shares, labelOf, frame: { left, width } }: SharedProps) {
  return (
    <g className="shares">
      {shares.map(({ from, to, text }, k) => (
        <g key={k}>
          <path d={`M${left + from * width + 1} ${TOP}v-4H${left + to * width - 1}v4`} />
          {fits(labelOf(text), (to - from) * width + 10) && (
            <text x={left + ((from + to) / 2) * width} y={TOP - 8} textAnchor="middle">
              {labelOf(text)}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

interface RegionViewProps {
  readonly region: Cell;
  readonly standing: Standing;
  readonly lit: PictureLight;
  /** Numbers of framed amounts that it belongs to. */
  readonly framed: string;
  readonly notation: Notation;
  readonly write: (amount: Exact) => string;
  readonly point: (term: number) => PointedAt;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

const RegionView = memo(function RegionView(props: RegionViewProps) {
  const { region, standing, lit, framed, notation, write, point, left, top, width, height } = props;
  const { term, text } = region;
  const [worth, area] = [region.worth, region.area].map((amount) =>
    inNotation(write(Exact.parse(amount)), notation),
  ) as [string, string];
  const box = {
    x: left + region.x * width,
    y: top + region.y * height,
    width: region.width * width,
    height: region.height * height,
  };
  const product = inNotation(text, notation);
  const whole = `${product} = ${worth}`;
  const label = area === worth && fits(whole, box.width) ? whole : area;
  return (
    <Region
      name={`${product} = ${worth}, ${standing}`}
      className={`region ${standing} ${lit}`}
      point={point(term)}
    >
      <rect {...box} />
      <FramedPart numbers={framed === '' ? [] : framed.split(' ').map(Number)} boxes={[box]} />
      {box.height >= LEAST_FOR_LABEL && fits(label, box.width) && (
        <SvgMath x={box.x + box.width / 2} y={box.y + box.height / 2 + 4.5} text={label} />
      )}
    </Region>
  );
});

interface Share {
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

/** Of a quotient, the lengths that the active paper has found so far. */
function useShares(worked: Worked, ground: AreaGround): readonly Share[] {
  const steps = useSteps();
  const { index: active } = useActive();
  if (ground.sides !== 'divisor and quotient') return [];
  const { lane, line } = worked.papers[active]!;
  const written = (id: EntryId) => (line.writtenAt.get(id) ?? Infinity) <= steps[active]!;
  const found = lane.trace.groups.filter(
    ({ role, marks }) => role === 'share' && marks.every(written),
  );
  return found.flatMap(({ marks, worth }): Share[] => {
    const terms = TermSet.union(worked.comparison.space, marks.map(lane.termsOf));
    const strips = ground.regions.filter(({ term }) => terms.has(term));
    if (strips.length === 0) return [];
    const from = Math.min(...strips.map(({ x }) => x));
    const to = Math.max(...strips.map(({ x, width }) => x + width));
    return [{ from, to, text: numberText(worth, worked.problem.base) }];
  });
}

function fits(text: string, room: number): boolean {
  return text.length * LETTER < room;
}
