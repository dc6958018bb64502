import type { Loss, PaperResult } from '@levee/core';
import type { EChartsCoreOption } from 'echarts/core';

export interface ChartPaper {
  readonly title: string;
  readonly result: PaperResult;
  /** The name of a point at which many are lost. */
  readonly nameOf: (loss: Loss) => string;
}

/** Lines are told apart by their strokes as well as by colour, and each is named at its end. */
const STROKES: readonly (string | readonly number[])[] = [
  'solid',
  [9, 4],
  [2, 4],
  [12, 3, 2, 3],
  [5, 2],
  [1, 2],
];
const COLOURS = [
  '--place-ones',
  '--place-tens',
  '--place-hundreds',
  '--place-thousands',
  '--place-ten-thousands',
  '--place-hundred-thousands',
];

export interface Look {
  /** The value of a token, such as `--ink`. */
  readonly token: (name: string) => string;
}

/** Pixels of one lane, the gap below it, and what the axis takes. */
const GAP = 14;
const FOOT = 44;
const TOP = 16;
const LEFT = 44;
const RIGHT = 150;

/** How high the chart is for so many papers. */
export function chartHeight(papers: number): number {
  return TOP + papers * (laneHeight(papers) + GAP) + FOOT;
}

function laneHeight(papers: number): number {
  return Math.max(70, Math.min(150, Math.round(330 / papers)));
}

/** The most drops of a lane that are named; of the others only the size stands there, the rest in the table. */
const NAMED = 2;

/**
 * How many of a class are still right, by the share of the terms that are dealt with: a lane a paper, all with one measure, every
 * drop with its size and the largest with the slip by which most are lost.
 */
export function classOption(
  papers: readonly ChartPaper[],
  learners: number,
  { token }: Look,
): EChartsCoreOption {
  const faint = token('--faint');
  const text = { color: faint, fontFamily: 'Figtree Variable, Figtree, sans-serif', fontSize: 12 };
  const height = laneHeight(papers.length);
  const floor = floorOf(papers, learners);
  const isLast = (k: number) => k === papers.length - 1;
  return {
    animation: false,
    textStyle: { fontFamily: text.fontFamily },
    grid: papers.map((_, k) => ({
      left: LEFT,
      right: RIGHT,
      top: TOP + k * (height + GAP),
      height,
    })),
    xAxis: papers.map((_, k) => ({
      gridIndex: k,
      type: 'value',
      min: 0,
      max: 100,
      name: isLast(k) ? 'share of the terms dealt with, in %' : '',
      nameLocation: 'middle',
      nameGap: 26,
      nameTextStyle: text,
      axisLabel: { ...text, show: isLast(k) },
      axisTick: { show: isLast(k) },
      splitLine: { show: false },
      axisLine: { show: true, lineStyle: { color: token('--line') } },
    })),
    yAxis: papers.map((_, k) => ({
      gridIndex: k,
      type: 'value',
      min: floor,
      max: learners,
      splitNumber: 2,
      // Where the axis is cut, its end says so.
      axisLabel: {
        ...text,
        formatter: (left: number) => (left === floor && floor > 0 ? '⋮' : `${left}`),
      },
      splitLine: { lineStyle: { color: token('--grid') } },
    })),
    series: papers.map((paper, k) => lane(paper, k, learners, token)),
  };
}

function lane(
  { title, result, nameOf }: ChartPaper,
  k: number,
  learners: number,
  token: Look['token'],
) {
  const color = token(COLOURS[k % COLOURS.length]!);
  const points = pointsOf(result, learners);
  const named = [...points].sort((a, b) => lostAt(b) - lostAt(a)).slice(0, NAMED);
  const width = Math.max(60, 500 / Math.max(1, points.length - 1));
  return {
    type: 'line',
    step: 'end',
    name: title,
    xAxisIndex: k,
    yAxisIndex: k,
    symbol: 'circle',
    symbolSize: 5,
    lineStyle: { width: 2, type: STROKES[k % STROKES.length], color },
    itemStyle: { color },
    endLabel: {
      show: true,
      color: token('--ink'),
      fontSize: 12.5,
      lineHeight: 14,
      width: RIGHT - 10,
      overflow: 'break',
      formatter: `${title} ${result.right.mean.toFixed(1)}\n${endText(points.at(-1)!, named, nameOf)}`,
    },
    data: points.map((point) => ({
      value: [point.share * 100, point.left],
      label: {
        show: lostAt(point) > 0 && point.share < 1,
        position: [8, 7],
        align: 'left',
        verticalAlign: 'top',
        color: token('--faint'),
        fontSize: 11.5,
        lineHeight: 13,
        width: width - 12,
        overflow: 'break',
        formatter: dropText(point, named.includes(point) ? nameOf : null),
      },
    })),
  };
}

function lostAt({ losses }: Point): number {
  return losses.reduce((sum, { lost }) => sum + lost, 0);
}

/** What is lost at the end, beside the name of the lane. */
function endText(point: Point, named: readonly Point[], nameOf: ChartPaper['nameOf']): string {
  if (lostAt(point) === 0) return '';
  return dropText(point, named.includes(point) ? nameOf : null);
}

/** What is lost at one share, and by which slip most. */
function dropText(point: Point, nameOf: ChartPaper['nameOf'] | null): string {
  const [largest, ...others] = [...point.losses].sort((a, b) => b.lost - a.lost);
  const size = `−${lostAt(point).toFixed(1)}`;
  if (!largest || !nameOf) return size;
  return `${size} ${nameOf(largest)}${others.length > 0 ? `, ${others.length} more` : ''}`;
}

interface Point {
  readonly share: number;
  readonly left: number;
  readonly losses: readonly Loss[];
}

/** Where a line goes: at every share at which somebody is lost, how many are left. */
export function pointsOf({ losses }: PaperResult, learners: number): readonly Point[] {
  const points: Point[] = [{ share: 0, left: learners, losses: [] }];
  for (const loss of losses) {
    const last = points.at(-1)!;
    if (last.share === loss.share && points.length > 1) {
      points[points.length - 1] = {
        share: loss.share,
        left: loss.left,
        losses: [...last.losses, loss],
      };
    } else points.push({ share: loss.share, left: loss.left, losses: [loss] });
  }
  const end = points.at(-1)!;
  return end.share < 1 ? [...points, { share: 1, left: end.left, losses: [] }] : points;
}

/** Where the axis of learners begins: below the fewest that are left, so that lines do not crowd at the top. */
export function floorOf(papers: readonly ChartPaper[], learners: number): number {
  const fewest = Math.min(...papers.map(({ result }) => result.losses.at(-1)?.left ?? learners));
  return Math.max(0, Math.floor(fewest - Math.max(2, (learners - fewest) * 0.15)));
}
