import { entryLight, framesOfEntry } from '../worked/lit.ts';
import { blockPlaces, blocksAt, isTaken, type BlockRun, type Subject } from '@levee/core';
import { useMemo } from 'react';
import { FramedPart } from '../sheet/framed-amounts.tsx';
import { useFramed, useSpeaker, useSubject } from '../worked/use-worked.ts';
import type { Paper } from '../worked/work.ts';
import { Picture, Region } from './region.tsx';

interface BlockPictureProps {
  readonly paper: Paper;
  readonly step: number;
  readonly width: number;
  readonly height: number;
}

const HEAD = 18;
const GAP = 8;

/**
 * The active paper's live amounts as counts of base blocks, a column a place. Blocks to be taken away
 * are hollow and stand to the right; ten of one column are one of the next.
 */
export function BlockPicture({ paper, step, width, height }: BlockPictureProps) {
  const { trace } = paper.lane;
  const subject = useSubject();
  const say = useSpeaker();
  const places = useMemo(() => blockPlaces(trace), [trace]);
  const columns = blocksAt(trace, step);
  const most = useMemo(() => mostStacked(paper), [paper]);
  const room = (width - GAP * (places - 1)) / places;
  const signed = isTaken(trace.problem, 1);
  return (
    <Picture name={`Base blocks of ${paper.method.shortName}`} width={width} height={height}>
      {columns.map(({ place, plus, minus }) => {
        const x = (places - 1 - place) * (room + GAP);
        const half = signed ? room / 2 : room;
        return (
          <g key={place} className={`blocks place-${place % 6}`}>
            <text x={x + room / 2} y={12} textAnchor="middle">
              {columnTitle(say.places(place), room)}
            </text>
            <Side
              runs={plus}
              side="plus"
              x={x}
              width={half - 2}
              {...{ paper, subject, height, most }}
            />
            {signed && (
              <Side
                runs={minus}
                side="minus"
                x={x + half}
                width={half - 2}
                {...{ paper, subject, height, most }}
              />
            )}
            <path className="foot" d={`M${x} ${height - HEAD + 0.5}h${room}`} />
            <text className="count" x={x + room / 2} y={height - 4} textAnchor="middle">
              {countText(plus, minus)}
            </text>
          </g>
        );
      })}
    </Picture>
  );
}

function mostStacked({ lane: { trace }, last }: Paper): number {
  const moments = Array.from({ length: last + 1 }, (_, step) => blocksAt(trace, step));
  return Math.max(...moments.flat().flatMap(({ plus, minus }) => [total(plus), total(minus)]));
}

/** A place's name as long as there is room, else its first letters. */
function columnTitle(name: string, room: number): string {
  const letters = Math.floor(room / 6.6);
  return name.length <= letters ? name : `${name.slice(0, Math.max(1, letters - 1))}…`;
}

function total(runs: readonly BlockRun[]): number {
  return runs.reduce((sum, { count }) => sum + count, 0);
}

function countText(plus: readonly BlockRun[], minus: readonly BlockRun[]): string {
  return minus.length > 0 ? `${total(plus)} − ${total(minus)}` : String(total(plus));
}

interface SideProps {
  readonly runs: readonly BlockRun[];
  readonly side: 'plus' | 'minus';
  readonly paper: Paper;
  readonly subject: Subject | null;
  readonly x: number;
  readonly width: number;
  readonly height: number;
  /** The most blocks that any moment stacks on one side, so that they keep their size. */
  readonly most: number;
}

/** The widest blocks of which so many fit into a room. */
export function blockSize(
  count: number,
  width: number,
  height: number,
): { readonly across: number; readonly size: number } {
  return [1, 2, 3, 4, 5, 6, 8, 10, 15, 20, 30, 40]
    .map((across) => ({
      across,
      size: Math.min(width / across, height / Math.ceil(count / across), 18),
    }))
    .reduce((best, next) => (next.size > best.size ? next : best));
}

/** Blocks stacked from the foot up; runs of one entry belong together. */
function Side({ runs, side, paper, subject, x, width, height, most }: SideProps) {
  const framed = useFramed();
  const { across, size } = blockSize(Math.max(total(runs), most), width, height - HEAD * 2 - 4);
  let n = 0;
  return (
    <>
      {runs.map((run) => {
        const pointed = { kind: 'entry', paper: paper.id, id: run.entry } as const;
        const boxes = Array.from({ length: run.count }, () => {
          const k = n++;
          return {
            x: x + (k % across) * size + 1,
            y: height - HEAD - (Math.floor(k / across) + 1) * size,
            width: size - 2,
            height: size - 2,
          };
        });
        return (
          <Region
            key={run.entry}
            name={`${run.count} ${run.count === 1 ? 'block' : 'blocks'}, ${run.standing}`}
            className={`run ${side} ${run.standing} ${entryLight(paper, run.entry, subject)}`}
            point={pointed}
          >
            {boxes.map((box, k) => (
              <rect key={k} {...box} />
            ))}
            <FramedPart numbers={framesOfEntry(framed, paper, run.entry)} boxes={boxes} />
          </Region>
        );
      })}
    </>
  );
}
