import type { Trace } from '../../account/account.ts';
import { numeralValue } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import type { Ruling, Sheet, SheetLink } from '../../sheet/sheet.ts';
import { slotsOf, tableSheet, type TableSign } from '../fractions/fraction-sheet.ts';
import { factorOf } from './factors.ts';

/** Most parts that a whole side is cut into, and most wholes along a side. */
export const FINEST = 12n;
export const MOST_UNITS = 6;

/** Squares along the whole picture, at most, and along one whole. */
const LONGEST = 12;
const UNIT = 6;

/** Squares between the strokes with which a region is shaded. */
const STROKES = 0.55;

/** A region of the rectangle, from its upper left corner. */
interface Area {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A region is shaded by the step that counts its parts. */
function shaded({ x, y, width, height }: Area, step: number): readonly SheetLink[] {
  const count = Math.floor((width + height) / STROKES);
  return Array.from({ length: count }, (_, k) => {
    const at = (k + 0.5) * STROKES;
    const [low, high] = [Math.min(at, height), Math.max(0, at - width)];
    return {
      step,
      stays: true,
      x1: x + at - low,
      y1: y + low,
      x2: x + at - high,
      y2: y + high,
    };
  });
}

/** The regions in the order in which they are counted: wholes by wholes first. */
function regionsOf(problem: Problem, [a, b]: readonly [number, number]): readonly Area[] {
  const [across, down] = problem.operands.map((operand) => {
    const { top, bottom } = factorOf(operand);
    const count = numeralValue({ ...operand, fraction: undefined }).numerator;
    const wholes = { from: 0, size: Number(count * bottom) };
    const parts = { from: wholes.size, size: Number(top - count * bottom) };
    return [
      ...(count > 0n || !operand.fraction ? [wholes] : []),
      ...(operand.fraction ? [parts] : []),
    ];
  });
  return (across ?? []).flatMap((one) =>
    (down ?? []).map((other) => ({
      x: one.from * a,
      width: one.size * a,
      y: other.from * b,
      height: other.size * b,
    })),
  );
}

/** A side of the picture: its wholes and parts, and how long a part is drawn. */
interface Side {
  readonly top: number;
  readonly bottom: number;
  readonly units: number;
  readonly part: number;
}

/** Both sides, drawn to one scale. */
function sidesOf({ operands }: Problem): readonly [Side, Side] {
  const all = operands.map(factorOf).map(({ top, bottom }) => ({
    top: Number(top),
    bottom: Number(bottom),
    units: Math.max(1, Number((top + bottom - 1n) / bottom)),
  }));
  const unit = Math.min(UNIT, LONGEST / Math.max(...all.map(({ units }) => units)));
  return all.map((side) => ({ ...side, part: unit / side.bottom })) as unknown as [Side, Side];
}

/** How far a side goes: its whole units, and what the factor takes of them. */
function reach({ top, bottom, units, part }: Side) {
  return { all: units * bottom * part, taken: top * part };
}

/** The unit squares, and the rectangle of both factors. */
function rulingsOf(across: Side, down: Side): readonly Ruling[] {
  const [x, y] = [reach(across), reach(down)];
  const line = (
    [x1, y1, x2, y2]: readonly [number, number, number, number],
    weight: Ruling['weight'],
  ): Ruling => ({ kind: 'line', x1, y1, x2, y2, weight });
  const along = ({ units, bottom, part }: Side) =>
    Array.from({ length: units + 1 }, (_, k) => k * bottom * part);
  return [
    ...along(across).map((at) => line([at, 0, at, y.all], 'thin')),
    ...along(down).map((at) => line([0, at, x.all, at], 'thin')),
    line([0, 0, x.taken, 0], 'heavy'),
    line([0, y.taken, x.taken, y.taken], 'heavy'),
    line([0, 0, 0, y.taken], 'heavy'),
    line([x.taken, 0, x.taken, y.taken], 'heavy'),
  ];
}

/** The cuts of both sides, each drawn by its step. */
function cutsOf({ steps }: Trace, across: Side, down: Side): readonly SheetLink[] {
  const [x, y] = [reach(across).all, reach(down).all];
  const stepOf = (k: number) =>
    steps.find(({ phase }) => phase.kind === 'cut' && phase.of === k)?.number ?? 1;
  const along = ({ units, bottom, part }: Side) =>
    Array.from({ length: units * bottom - 1 }, (_, k) => (k + 1) * part);
  return [
    ...along(across).map((at) => ({ x1: at, y1: 0, x2: at, y2: y, step: stepOf(0), stays: true })),
    ...along(down).map((at) => ({ x1: 0, y1: at, x2: x, y2: at, step: stepOf(1), stays: true })),
  ];
}

/** Signs before the counts of the regions, and before what they come to. */
function signsOf({ steps }: Trace, regions: number): readonly TableSign[] {
  const rows = [...new Set(steps.flatMap(({ gives }) => gives.map(({ spot }) => spot.row)))];
  return [
    { sign: 'times', row: 0, column: 1 },
    ...Array.from({ length: regions }, (_, k): TableSign => ({
      sign: k === 0 ? 'equals' : 'plus',
      row: 2 + k,
      column: 0,
    })),
    ...rows
      .filter((row) => row >= 2 + regions)
      .map((row): TableSign => ({ sign: 'equals', row, column: 0 })),
  ];
}

/** The unit squares with the cuts of both factors, the rectangle of the product in them, and the table of counts beside it. */
export function areaSheet(trace: Trace): Sheet {
  const [across, down] = sidesOf(trace.problem);
  const [x, y] = [reach(across), reach(down)];
  const counting = trace.steps.filter(({ phase }) => phase.kind === 'cells');
  const areas = regionsOf(trace.problem, [across.part, down.part]);
  return tableSheet(trace, {
    picture: {
      width: x.all + 2.4,
      rulings: rulingsOf(across, down),
      areas: {
        across: () => ({ x: x.taken / 2 - 1, y: -2, width: 2, height: 2, size: 'side' }),
        down: () => ({ x: -3.2, y: y.taken / 2 - 1, width: 2, height: 2, size: 'side' }),
      },
    },
    slot: slotsOf(trace),
    signs: signsOf(trace, counting.length),
    links: () => [
      ...counting.flatMap(({ number }, k) => (areas[k] ? shaded(areas[k], number) : [])),
      ...cutsOf(trace, across, down),
    ],
  });
}
