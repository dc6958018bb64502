import { POINT_ID } from '../../account/ids.ts';
import { slipOf } from '../../slips/catalogue.ts';
import type { Group, Mark, Opportunity, Phrase, Step, Trace } from '../../account/account.ts';
import { addressText, where, withEnds } from '../../account/chance.ts';
import type { SlipAt } from '../../account/scribe.ts';
import { type Exact } from '../../exact/exact.ts';
import { numeralValue, placeValue, pointedText } from '../../exact/numeral.ts';
import { definePhrases, fixed, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { nearestPoint, placedPoint, type PlacedPoint } from '../../problem/point.ts';
import type { Scale } from '../../problem/scale.ts';
import type { SlipSpec } from '../method-spec.ts';
import type { LightRun } from '../../account/light-run.ts';

/** Slips in placing the point, in the order in which their chances are named. */
const POINT_IDS = [
  'point-one-off',
  'point-one-off-left',
  'point-as-in-a-sum',
  'point-dropped',
] as const;
type PointSlip = (typeof POINT_IDS)[number];

export const POINT_SLIPS: readonly SlipSpec[] = POINT_IDS.map(slipOf);

/** How many figures are left after the point. */
function figuresLeft(slip: PointSlip | null, { decimals, operands }: Scale): number {
  switch (slip) {
    case 'point-one-off':
      return decimals - 1;
    case 'point-one-off-left':
      return decimals + 1;
    case 'point-as-in-a-sum':
      return Math.max(...operands);
    case 'point-dropped':
      return 0;
    case null:
      return decimals;
  }
}

type PointValues = {
  readonly counts: readonly string[];
  readonly factors: readonly Exact[];
  readonly decimals: number;
  /** How many figures are left after the point. */
  readonly left: number;
  /** What the whole numbers make. */
  readonly product: Exact;
  readonly placed: string;
  readonly estimate: Exact;
  readonly byEstimate: string;
  /** Whether rounding the factors changes anything. */
  readonly rounds: boolean;
  readonly slip: string;
};

const counted: Wording<PointValues> = {
  digit: (values, say) => {
    const { counts, decimals, left, placed, slip } = values;
    const many = (count: number) => (count === 1 ? '1 figure' : `${count} figures`);
    const sum = counts.length > 1 ? `${counts.join(' + ')} = ${decimals}` : `${decimals}`;
    const after = `${sum} ${decimals === 1 ? 'figure' : 'figures'} after the point`;
    if (slip === 'point-dropped') return `The point is left out: **${say.pointed(placed)}**.`;
    if (slip === 'point-as-in-a-sum') {
      return `As many figures after the point as the factor with most of them has, ${left}: **${say.pointed(placed)}**.`;
    }
    if (slip !== '') {
      const only = left < decimals ? 'only ' : '';
      return `${after}, but ${only}${many(left)} ${left === 1 ? 'is' : 'are'} left there: **${say.pointed(placed)}**.`;
    }
    return `${after}: **${say.pointed(placed)}**.${estimated(values, say)}`;
  },
  value: (values, say) => {
    const { factors, product, placed, slip } = values;
    const each = factors.map((factor, k) =>
      say.places(0, k) === say.words.ones ? say.figures(factor) : say.count(factor.numerator, 0, k),
    );
    const made = say.count(product.numerator, 0);
    const wrong = slip === '' ? '' : `, with the point ${POINT_WORDS[slip] ?? 'one place off'}`;
    return `${each.join(` ${say.times} `)} make ${made}: **${say.pointed(placed)}**${wrong}.${estimated(values, say)}`;
  },
};

const POINT_WORDS: Readonly<Record<string, string>> = {
  'point-dropped': 'left out',
  'point-as-in-a-sum': 'where a sum would have it',
};

type Say = Parameters<typeof counted.digit>[1];

/** Whether rounded factors put the point in the same place; nothing is said where rounding changes nothing. */
function estimated({ placed, estimate, byEstimate, rounds }: PointValues, say: Say): string {
  if (!rounds) return '';
  const about = say.worth(estimate);
  return placed === byEstimate
    ? ` By rounded factors about ${about}, so it fits.`
    : ` By rounded factors about ${about}, which would make it ${say.pointed(byEstimate)}: look again.`;
}

const phrases = definePhrases({
  'point.counted': counted,
  'point.answer': fixed('answer with its point'),
});

/** The wordings that every method of products takes in. */
export const pointPhrases = phrases.book;

const { phrase } = phrases;

/**
 * Goes on from the whole answer of a product of decimals: counts the figures after the points of the
 * factors, holds an estimate against them and writes the answer with its point.
 */
export function withPoint(trace: Trace, problem: Problem, slips: readonly SlipAt[]): Trace {
  const { scale, whole } = trace;
  const point = placedPoint(problem);
  if (!scale || !whole || !point) return trace;
  const number = trace.steps.length + 1;
  const figures = trace.groups.at(-1)!;
  const slip = pointSlipOf(slips, scale, whole.answer);
  const mark = pointedMark(trace, scale, whole.answer, slip);
  const { worth, terms } = mark;
  const before = trace.steps.at(-1)?.balance ?? trace.total;
  const step: Step = {
    number,
    law: 'place-value',
    phase: { kind: 'point' },
    takes: figures.marks,
    gives: [mark],
    opens: [],
    strikes: [],
    phrase: counting(scale, point, whole.answer, { placed: mark.text, slip }),
    balance: before.minus(trace.answer).plus(worth),
  };
  const stays: Group = { ...figures, id: 'figures', role: 'subtotal' };
  const answer: Group = {
    id: 'answer',
    role: 'answer',
    marks: [mark.id],
    worth,
    terms,
    phrase: phrase('point.answer', {}),
  };
  return {
    ...trace,
    steps: [...trace.steps, step],
    groups: [...trace.groups.slice(0, -1), stays, answer],
    opportunities: withPointChances(trace.opportunities, number, scale, whole.answer),
    answer: worth,
    balanced: trace.balanced && slip === null,
  };
}

/** The answer with its point, or with it where a slip puts it. */
function pointedMark(trace: Trace, scale: Scale, read: Exact, slip: PointSlip | null): Mark {
  const { base } = trace.problem;
  const left = figuresLeft(slip, scale);
  const text = pointedText(read.numerator, left, base);
  return {
    id: POINT_ID,
    standing: 'marked',
    text,
    glyph: text,
    worth: trace.answer.times(placeValue(base, scale.decimals - left)),
    terms: trace.groups.at(-1)!.terms,
    medium: 'paper',
    role: 'answer',
    spot: { area: 'point', row: 0, column: 0 },
    place: undefined,
  };
}

function counting(
  scale: Scale,
  { estimate }: PlacedPoint,
  product: Exact,
  { placed, slip }: { readonly placed: string; readonly slip: PointSlip | null },
): Phrase {
  const { operands, base } = scale.whole;
  const whole = product.numerator;
  return phrase('point.counted', {
    counts: scale.operands.map(String),
    factors: operands.map(numeralValue),
    decimals: scale.decimals,
    left: figuresLeft(slip, scale),
    product,
    placed,
    estimate,
    byEstimate: pointedText(whole, nearestPoint(whole, estimate, base), base),
    rounds: !estimate.equals(product.times(scale.unit)),
    slip: slip ?? '',
  });
}

const AT_ANSWER = where('answer', 0);

/** The slips that would put the point elsewhere. */
function pointChances(scale: Scale, answer: Exact): readonly PointSlip[] {
  if (answer.isZero) return [];
  return POINT_IDS.filter((slip) => figuresLeft(slip, scale) !== scale.decimals);
}

/** The slip that is made, if any. */
function pointSlipOf(slips: readonly SlipAt[], scale: Scale, answer: Exact): PointSlip | null {
  if (slips.length === 0) return null;
  const asked = new Set(slips.map(addressText));
  const made = pointChances(scale, answer).filter((slip) =>
    asked.has(addressText({ slip, at: AT_ANSWER })),
  );
  return made[0] ?? null;
}

function withPointChances(
  chances: readonly Opportunity[],
  step: number,
  scale: Scale,
  answer: Exact,
): readonly Opportunity[] {
  const own = pointChances(scale, answer).map((slip) => ({
    slip,
    occurrence: 1,
    at: AT_ANSWER,
    features: [],
    step,
  }));
  return withEnds([...chances, ...own]);
}

/** What placing the point makes of a work that is followed for its amounts alone; `step` is the one that places it. */
export function pointSlip(
  run: LightRun,
  step: number,
  problem: Problem,
  { slips, scale }: { readonly slips: readonly SlipAt[]; readonly scale: Scale },
): LightRun {
  if (!placedPoint(problem) || run.answer.isZero) return run;
  const opportunities = withPointChances(run.opportunities, step, scale, run.answer);
  const slip = pointSlipOf(slips, scale, run.answer);
  if (slip === null) return { ...run, opportunities };
  const by = placeValue(problem.base, scale.decimals - figuresLeft(slip, scale));
  const answer = run.answer.times(by);
  const leaks = [...run.leaks, { step, amount: answer.minus(run.answer) }];
  return { ...run, answer, leaks, opportunities };
}
