import { entryLight, framesOfEntry, type PictureLight } from '../worked/lit.ts';
import {
  Exact,
  isTaken,
  lineAt,
  numberText,
  scaleOf,
  shareOf,
  type LineHop,
  type LineSegment,
  type Problem,
  type Speaker,
  type Subject,
} from '@levee/core';
import { memo, useMemo, useState, type PointerEvent } from 'react';
import { useSession } from '../store/session-store.ts';
import { FramedPart } from '../sheet/framed-amounts.tsx';
import { useFramed, useSpeaker, useSubject } from '../worked/use-worked.ts';
import type { LineGround } from '@levee/core';
import type { Paper, Worked } from '../worked/work.ts';
import { landingOf, takeHop } from '../paper/hops.ts';
import { SvgMath } from '../ui/svg-math.tsx';
import { Picture, Region } from './region.tsx';
import { partLabel } from './part-label.ts';

interface LinePictureProps {
  readonly worked: Worked;
  readonly steps: readonly number[];
  readonly ground: LineGround;
  readonly width: number;
  readonly height: number;
}

const LEFT = 16;
const RIGHT = 10;
const AXIS = 16;
const LETTER = 7;
/** Height of jumps, and the least of them that has room for a label. */
const ARCS = 16;
const LABELLED = 13;

/** Places on the picture in pixels. */
interface Scale {
  readonly x: (at: Exact) => number;
  /** The number under a pixel, to a ten-thousandth of the whole. */
  readonly at: (x: number) => Exact;
}

/** A row a paper: what counts for it, what counts against it, the stretch between, and its hops. */
export function LinePicture({ worked, steps, ground, width, height }: LinePictureProps) {
  const subject = useSubject();
  const scale = useMemo(() => lengthScale(ground, width), [ground, width]);
  const choosing = useSession((session) => session.choosing);
  const row = Math.min(64, (height - AXIS) / worked.papers.length);
  const signed = isTaken(worked.problem, 1) || hasNegative(worked);
  return (
    <Picture name="Line picture" width={width} height={height}>
      {worked.papers.map((paper, k) => (
        <Row
          key={k}
          paper={paper}
          step={steps[k]!}
          subject={subject}
          scale={scale}
          top={k * row}
          height={row}
          signed={signed}
          width={width}
          choosing={choosing === paper.id}
        />
      ))}
      <Axis ground={ground} scale={scale} y={worked.papers.length * row} problem={worked.problem} />
    </Picture>
  );
}

/** Whether some amount counts against the total, as one of a computation that no method works may. */
function hasNegative({ problem, papers }: Worked): boolean {
  const marks = papers.flatMap(({ lane }) => lane.trace.steps.flatMap(({ gives }) => gives));
  return problem.kind === 'expression' && marks.some(({ worth }) => worth.isNegative);
}

function lengthScale({ low, high }: LinePictureProps['ground'], width: number): Scale {
  const whole = high.minus(low);
  const room = Math.max(40, width - LEFT - RIGHT);
  return {
    x: (at) => LEFT + shareOf(at.minus(low), whole) * room,
    at: (x) => {
      const share = Math.round(Math.min(1, Math.max(0, (x - LEFT) / room)) * 10_000);
      return low.plus(whole.times(Exact.of(share, 10_000)));
    },
  };
}

interface RowProps {
  readonly paper: Paper;
  readonly step: number;
  readonly subject: Subject | null;
  readonly scale: Scale;
  readonly top: number;
  readonly height: number;
  readonly width: number;
  readonly signed: boolean;
  readonly choosing: boolean;
}

const Row = memo(function Row(props: RowProps) {
  const { paper, step, subject, scale, top, height, signed, width, choosing } = props;
  const { trace } = paper.lane;
  const { plus, minus, stretch, hops } = useMemo(() => lineAt(trace, step), [trace, step]);
  const framed = useFramed();
  const arcs = Math.min(ARCS, height * 0.38);
  const bar = Math.min(15, (height - arcs - (signed ? 8 : 3)) / (signed ? 2 : 1));
  const upper = top + arcs;
  const lower = upper + bar + 1;
  const bars = (segments: readonly LineSegment[], y: number, side: string) =>
    segments.map((segment) => (
      <SegmentView
        key={segment.entry}
        segment={segment}
        paper={paper}
        light={entryLight(paper, segment.entry, subject)}
        framed={framesOfEntry(framed, paper, segment.entry)}
        scale={scale}
        y={y}
        height={bar}
        side={side}
      />
    ));
  const [from, to] = [scale.x(stretch.from), scale.x(stretch.to)];
  const under = lower + (signed ? bar : 0) + 2.5;
  return (
    <g>
      <text className="row-name" x={2} y={upper + bar * 0.75}>
        {paper.index + 1}
      </text>
      {bars(plus, upper, 'plus')}
      {signed && bars(minus, lower, 'minus')}
      {hops.map((hop) => (
        <HopArc
          key={hop.entry}
          hop={hop}
          paper={paper}
          lit={subject?.entry === hop.entry && subject.lane === paper.index}
          scale={scale}
          y={upper}
          height={arcs}
        />
      ))}
      {signed && (
        <path className="stretch" d={`M${from} ${under - 2}V${under}H${to}V${under - 2}`} />
      )}
      {choosing && (
        <Chooser
          paper={paper}
          scale={scale}
          x={LEFT}
          y={top}
          width={width - LEFT}
          height={height - 1}
        />
      )}
    </g>
  );
});

interface SegmentProps {
  readonly segment: LineSegment;
  readonly paper: Paper;
  readonly light: PictureLight;
  readonly framed: readonly number[];
  readonly scale: Scale;
  readonly y: number;
  readonly height: number;
  readonly side: string;
}

function SegmentView({ segment, paper, light, framed, scale, y, height, side }: SegmentProps) {
  const { entry, standing, held, unit } = segment;
  const text = partLabel(segment.text);
  const pointed = { kind: 'entry', paper: paper.id, id: entry } as const;
  const [x1, x2] = [scale.x(segment.from), scale.x(segment.to)];
  const room = x2 - x1;
  const box = { x: x1, y, width: Math.max(0.8, room), height };
  const state = held ? 'held' : standing;
  return (
    <Region
      name={`${text}, ${side === 'minus' ? 'taken away, ' : ''}${state}`}
      className={`segment ${side} ${state} ${light}`}
      entry={entry}
      point={pointed}
    >
      <rect {...box} />
      <FramedPart numbers={framed} boxes={[box]} />
      {unit && room > 24 && <Ticks segment={segment} unit={unit} scale={scale} y={y} h={height} />}
      {height >= 9 && text.length * LETTER < room && (
        <SvgMath x={(x1 + x2) / 2} y={y + height * 0.5 + 4} text={text} />
      )}
    </Region>
  );
}

interface TicksProps {
  readonly segment: LineSegment;
  readonly unit: Exact;
  readonly scale: Scale;
  readonly y: number;
  readonly h: number;
}

/** One of a place opened into ten of the next: a tick at every one of them. */
function Ticks({ segment, unit, scale, y, h }: TicksProps) {
  const count = Number(segment.to.minus(segment.from).dividedBy(unit).numerator);
  const marks = Array.from({ length: count - 1 }, (_, k) =>
    scale.x(segment.from.plus(unit.times(Exact.of(k + 1)))),
  );
  return <path className="ticks" d={marks.map((x) => `M${x} ${y + h}v${-h * 0.4}`).join('')} />;
}

interface HopProps {
  readonly hop: LineHop;
  readonly paper: Paper;
  readonly lit: boolean;
  readonly scale: Scale;
  readonly y: number;
  readonly height: number;
}

function HopArc({ hop, paper, lit, scale, y, height }: HopProps) {
  const pointed = { kind: 'entry', paper: paper.id, id: hop.entry } as const;
  const [x1, x2] = [scale.x(hop.from), scale.x(hop.to)];
  const middle = (x1 + x2) / 2;
  const lift = Math.min(height, 5 + Math.abs(x2 - x1) / 5);
  const tip = x2 > x1 ? -3.5 : 3.5;
  return (
    <Region name={hop.text} className={lit ? 'hop exact' : 'hop'} point={pointed}>
      <path d={`M${x1} ${y}Q${middle} ${y - lift * 1.7} ${x2} ${y}`} />
      <path className="tip" d={`M${x2 + tip} ${y - 3.5}L${x2} ${y}L${x2 + tip} ${y + 0.5}`} />
      {height >= LABELLED && Math.abs(x2 - x1) > partLabel(hop.text).length * LETTER && (
        <SvgMath x={middle} y={y - 2} text={partLabel(hop.text)} />
      )}
    </Region>
  );
}

interface AxisProps {
  readonly ground: LinePictureProps['ground'];
  readonly scale: Scale;
  readonly y: number;
  readonly problem: Problem;
}

/** The line with round numbers on it. */
function Axis({ ground: { low, high }, scale, y, problem }: AxisProps) {
  const say = useSpeaker();
  const room = scale.x(high) - scale.x(low);
  return (
    <g className="axis">
      <path d={`M${scale.x(low)} ${y}H${scale.x(high)}`} />
      {roundMarks(low, high, problem.base, room, scaleOf(problem)?.unit).map((at) => {
        const x = scale.x(at);
        const label = partLabel(say.worth(at));
        // The last one has room beside the line for half of it, or is drawn in.
        const middle = Math.min(x, scale.x(high) + RIGHT - (label.length * LETTER) / 2);
        return (
          <g key={at.toString()}>
            <path d={`M${x} ${y - 2}V${y + 3}`} />
            <text x={middle} y={y + 13} textAnchor="middle">
              {label}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/**
 * Multiples of a round step, as many of them as have room for their figures; the step is a multiple of
 * the unit in which the numbers of the problem are whole.
 */
export function roundMarks(
  lowest: Exact,
  highest: Exact,
  base: number,
  room: number,
  unit = Exact.ONE,
): readonly Exact[] {
  const counted = (amount: Exact) => {
    const { numerator, denominator } = amount.dividedBy(unit);
    return numerator / denominator;
  };
  const [low, high] = [counted(lowest), counted(highest)];
  const span = high - low;
  const widest = [lowest, highest].map(
    (at) => numberText(at, base).replace(/0{6,}$/, '·10¹¹').length + (unit.isWhole ? 0 : 1),
  );
  const most = BigInt(
    Math.max(2, Math.floor(room / (Math.min(12, Math.max(...widest)) * LETTER + 8))),
  );
  const steps = stepsOf(base);
  let step = 1n;
  for (let k = 0; span / step > most; k++) {
    step = BigInt(base) ** BigInt(Math.floor(k / steps.length)) * steps[k % steps.length]!;
  }
  const first = (low / step) * step;
  const marks: Exact[] = [];
  for (let at = first; at <= high; at += step) {
    if (at >= low) marks.push(Exact.of(at).times(unit));
  }
  return marks;
}

/** The round steps within one place: one, two and half of the base. */
function stepsOf(base: number): readonly bigint[] {
  if (base < 4) return [1n];
  return base % 2 === 0 && base > 4 ? [1n, 2n, BigInt(base / 2)] : [1n, 2n];
}

interface ChooserProps {
  readonly paper: Paper;
  readonly scale: Scale;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

function landingText({ to, by }: { to: Exact; by: Exact }, say: Speaker): string {
  const hop = say.worth(by);
  return `${hop.startsWith('−') ? hop : `+${hop}`} → ${say.worth(to)}`;
}

/** While hops are chosen, a click on the row makes the next one land there. */
function Chooser({ paper, scale, x, y, width, height }: ChooserProps) {
  const say = useSpeaker();
  const [landing, setLanding] = useState<{ to: Exact; by: Exact } | null>(null);
  const found = (event: PointerEvent<SVGRectElement>) => {
    const left = event.currentTarget.ownerSVGElement!.getBoundingClientRect().left;
    const pixels = event.clientX - left;
    return landingOf(paper, scale.at(pixels), scale.at(pixels + 6).minus(scale.at(pixels)));
  };
  return (
    <g className="chooser">
      {landing && (
        <>
          <path d={`M${scale.x(landing.to)} ${y}V${y + height}`} />
          <text x={scale.x(landing.to)} y={y + 9} textAnchor="middle">
            {landingText(landing, say)}
          </text>
        </>
      )}
      <rect
        data-chooser
        x={x}
        y={y}
        width={width}
        height={height}
        onPointerMove={(event) => setLanding(found(event))}
        onPointerLeave={() => setLanding(null)}
        onClick={() => landing && takeHop(paper, landing.by)}
      />
    </g>
  );
}
