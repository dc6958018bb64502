import { slipOf } from '../../slips/catalogue.ts';
import type {
  EntryId,
  Group,
  Mark,
  Opportunity,
  Phrase,
  Step,
  Trace,
} from '../../account/account.ts';
import { addressText, where, withEnds } from '../../account/chance.ts';
import type { SlipAt } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue, pointedText } from '../../exact/numeral.ts';
import { definePhrases, fixed, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { nearestPoint, placedPoint, type PlacedPoint } from '../../problem/point.ts';
import type { Scale } from '../../problem/scale.ts';
import type { SlipSpec } from '../method-spec.ts';
import type { LightRun } from '../../account/light-run.ts';

export const POINT_ONE_OFF: SlipSpec = slipOf('point-one-off');

type PointValues = {
  readonly counts: readonly string[];
  readonly factors: readonly Exact[];
  readonly decimals: number;
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
    const { counts, decimals, placed, slip } = values;
    const many = (count: number) => (count === 1 ? '1 figure' : `${count} figures`);
    const sum = counts.length > 1 ? `${counts.join(' + ')} = ${decimals}` : `${decimals}`;
    const after = `${sum} ${decimals === 1 ? 'figure' : 'figures'} after the point`;
    if (slip !== '')
      return `${after}, but only ${many(decimals - 1)} are left there: **${say.pointed(placed)}**.`;
    return `${after}: **${say.pointed(placed)}**.${estimated(values, say)}`;
  },
  value: (values, say) => {
    const { factors, product, placed, slip } = values;
    const each = factors.map((factor, k) =>
      say.places(0, k) === say.words.ones ? say.figures(factor) : say.count(factor.numerator, 0, k),
    );
    const made = say.count(product.numerator, 0);
    const wrong = slip === '' ? '' : ', with the point one place off';
    return `${each.join(` ${say.times} `)} make ${made}: **${say.pointed(placed)}**${wrong}.${estimated(values, say)}`;
  },
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
  const may = !whole.answer.isZero;
  const off = may && isPointOff(slips);
  const mark = pointedMark(trace, scale, whole.answer, off);
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
    phrase: counting(scale, point, whole.answer, mark.text, off),
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
    opportunities: may ? withPointChance(trace.opportunities, number) : trace.opportunities,
    answer: worth,
    balanced: trace.balanced && !off,
  };
}

/** The answer with its point, or with it one place off. */
function pointedMark(trace: Trace, scale: Scale, read: Exact, off: boolean): Mark {
  const { base } = trace.problem;
  const text = pointedText(read.numerator, off ? scale.decimals - 1 : scale.decimals, base);
  return {
    id: 'p1' as EntryId,
    standing: 'marked',
    text,
    glyph: text,
    worth: off ? trace.answer.times(Exact.of(base)) : trace.answer,
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
  placed: string,
  off: boolean,
): Phrase {
  const { operands, base } = scale.whole;
  const whole = product.numerator;
  return phrase('point.counted', {
    counts: scale.operands.map(String),
    factors: operands.map(numeralValue),
    decimals: scale.decimals,
    product,
    placed,
    estimate,
    byEstimate: pointedText(whole, nearestPoint(whole, estimate, base), base),
    rounds: !estimate.equals(product.times(scale.unit)),
    slip: off ? POINT_ONE_OFF.id : '',
  });
}

const AT_ANSWER = where('answer', 0);

function isPointOff(slips: readonly SlipAt[]): boolean {
  const address = addressText({ slip: POINT_ONE_OFF.id, at: AT_ANSWER });
  return slips.some((one) => addressText(one) === address);
}

function withPointChance(chances: readonly Opportunity[], step: number): readonly Opportunity[] {
  const own = { slip: POINT_ONE_OFF.id, occurrence: 1, at: AT_ANSWER, features: [], step };
  return withEnds([...chances, own]);
}

/** What placing the point makes of a work that is followed for its amounts alone; `step` is the one that places it. */
export function pointSlip(
  run: LightRun,
  step: number,
  problem: Problem,
  slips: readonly SlipAt[],
): LightRun {
  if (!placedPoint(problem) || run.answer.isZero) return run;
  const opportunities = withPointChance(run.opportunities, step);
  if (!isPointOff(slips)) return { ...run, opportunities };
  const answer = run.answer.times(Exact.of(problem.base));
  const leaks = [...run.leaks, { step, amount: answer.minus(run.answer) }];
  return { ...run, answer, leaks, opportunities };
}
