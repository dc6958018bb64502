import type { Trace } from '../../account/account.ts';
import { numeralText } from '../../exact/numeral.ts';
import { draftSheet, type AreaLayout } from '../../sheet/draft-sheet.ts';
import type { Ruling, Sheet, SheetLink, SheetSign } from '../../sheet/sheet.ts';
import { planDivision, type DivisionPlan } from './division-plan.ts';

/**
 * The paper of a division that works figure by figure: the bar, the divisor at its left, the quotient
 * above it. `own` lays out what the method writes besides; `gap` is the room before a remainder.
 */
export function framedSheet(
  trace: Trace,
  frame: DivisionFrame,
  gap: number,
  own: Readonly<Record<string, AreaLayout>>,
): Sheet {
  const { x, divisor, rulings, signs, links } = frame;
  const figure =
    (y: number): AreaLayout =>
    ({ column }) => ({ x: x(column), y, width: 1, height: 1 });
  return draftSheet(trace, {
    areas: {
      question: ({ column }) => questionBox(trace, frame, column),
      divisor: () => ({ x: divisor.x, y: 0, width: divisor.width, height: 1, align: 'right' }),
      dividend: figure(0),
      quotient: figure(-1),
      repeats: figure(-1),
      beside: ({ column }) => ({
        x: x(column) + 0.72,
        y: -1,
        width: 0.5,
        height: 1,
        size: 'small',
      }),
      left: (_, { glyph }) => ({
        x: x(frame.last) + gap,
        y: -1,
        width: glyph.length * 0.7,
        height: 1,
      }),
      ...own,
    },
    rulings,
    signs,
    links,
  });
}

/** What the papers of short and long division have in common: columns, the bar, points. */
export interface DivisionFrame {
  readonly plan: DivisionPlan;
  /** The left edge of a place's column. */
  readonly x: (place: number) => number;
  readonly divisor: { readonly x: number; readonly width: number };
  /** The last place that has a column. */
  readonly last: number;
  readonly rulings: readonly Ruling[];
  readonly signs: readonly SheetSign[];
  readonly links: readonly SheetLink[];
}

export function divisionFrame(trace: Trace, pitch: number): DivisionFrame {
  const plan = planDivision(trace.problem, trace.school);
  const columns = trace.steps
    .flatMap(({ gives }) => gives)
    .filter(({ medium }) => medium === 'paper')
    .flatMap(({ spot }) => (COLUMNS.has(spot.area) ? [spot.column] : []));
  const own = trace.givens.flatMap(({ spot }) => (spot.area === 'dividend' ? [spot.column] : []));
  const top = Math.max(
    plan.dividend.digits.length - 1 - plan.dividend.decimals,
    ...columns,
    ...own,
  );
  const last = Math.min(-plan.dividend.decimals, ...columns, ...own);
  const x = (place: number) => -place * pitch;
  const width = Math.max(1, numeralText(plan.divisor).length * 0.8);
  const bar = x(top) - 0.3;
  const right = x(last) + 1.2;
  const rulings: Ruling[] = [
    { kind: 'line', x1: bar, y1: 0, x2: right, y2: 0, weight: 'heavy' },
    { kind: 'line', x1: bar, y1: 0, x2: bar, y2: 1, weight: 'heavy' },
  ];
  const points: SheetSign[] =
    last < 0
      ? [-1, 0].map((y) => ({
          sign: 'point',
          x: (x(0) + 1 + x(-1)) / 2 - 0.5 - (pitch > 1 ? 0.4 : 0),
          y,
          width: 1,
          height: 1,
        }))
      : [];
  const divisor = { x: bar - width - 0.2, width };
  const signs = [...points, ...questionSign(trace, divisor)];
  return { plan, x, divisor, last, rulings, signs, links: barOver(trace, plan, x) };
}

/** The division sign of a question that is written over the paper. */
function questionSign(trace: Trace, divisor: DivisionFrame['divisor']): readonly SheetSign[] {
  if (!trace.givens.some(({ spot }) => spot.area === 'question')) return [];
  const { x, width } = questionBox(trace, { divisor }, 0);
  return [{ sign: 'divide', x: x + width, y: -3, width: 1, height: 1 }];
}

const COLUMNS: ReadonlySet<string> = new Set(['dividend', 'quotient', 'rest', 'repeats']);

/** The question as it was given, over the paper that scales it. */
function questionBox(trace: Trace, { divisor }: Pick<DivisionFrame, 'divisor'>, operand: number) {
  const [first, second] = trace.problem.operands.map((n) => numeralText(n).length * 0.7 + 0.3);
  const x = divisor.x + (operand === 0 ? 0 : first! + 1);
  return { x, y: -3, width: operand === 0 ? first! : second!, height: 1 };
}

/** A bar over the figures that repeat, drawn when that is found. */
function barOver(
  trace: Trace,
  plan: DivisionPlan,
  x: (place: number) => number,
): readonly SheetLink[] {
  if (plan.repeatsFrom === null) return [];
  const from = plan.figures[plan.repeatsFrom]!.place;
  const to = plan.figures.at(-1)!.place;
  const y = -1;
  return [{ step: trace.steps.length, x1: x(from) + 0.1, y1: y, x2: x(to) + 0.9, y2: y }];
}
