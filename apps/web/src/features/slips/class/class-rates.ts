import {
  slipIdea,
  usualRates,
  WRONG_FACT,
  type Exact,
  type Observed,
  type SlipRate,
} from '@levee/core';
import type { Paper } from '../../../worked/work.ts';

export interface RateRow {
  readonly slip: string;
  readonly label: string;
  readonly rate: SlipRate;
  /** In how many of how many answers it was met, where that was counted. */
  readonly met: string | null;
  /** How many chances of it the papers have, in their order. */
  readonly chances: readonly number[];
}

/** The slips that the papers have chances of, with what is assumed of a class to begin with. */
export function usualRows(papers: readonly Paper[]): readonly RateRow[] {
  const ids = [
    ...new Set(papers.flatMap(({ lane }) => lane.trace.opportunities.map(({ slip }) => slip))),
    ...(papers.some(({ lane }) => lane.trace.facts.length > 0) ? [WRONG_FACT] : []),
  ];
  const rates = usualRates(ids);
  return ids.map((slip) => ({
    slip,
    label: slip === WRONG_FACT ? 'A fact taken for another number' : labelOf(slip, papers),
    rate: rates.get(slip)!,
    met: null,
    chances: papers.map(({ lane: { trace } }) =>
      slip === WRONG_FACT
        ? trace.facts.length
        : trace.opportunities.filter((chance) => chance.slip === slip).length,
    ),
  }));
}

function labelOf(slip: string, papers: readonly Paper[]): string {
  const own = papers.flatMap(({ method }) => method.slips.filter(({ id }) => id === slip));
  return own.length === 1 ? own[0]!.label : slipIdea(slip).label;
}

/** Rates as they were met in answers; a slip that was not met among enough answers is not made at all. */
export function rowsMet(rows: readonly RateRow[], met: readonly Observed[]): readonly RateRow[] {
  const [first] = met;
  if (!first || first.isFew) return rows;
  return rows.map((row) => {
    const one = met.find(({ slip }) => slip === row.slip);
    if (!one) return { ...row, rate: { habit: 0, careless: 0 }, met: `0 of ${first.of}` };
    const most = Math.max(1, ...row.chances);
    const habit = shareOf(one.asHabit, one.of);
    const careless = shareOf(one.count.minus(one.asHabit), one.of) / most;
    return { ...row, rate: { habit, careless }, met: `${one.count.toString()} of ${one.of}` };
  });
}

/** A share to a tenth of a percent: chances of a simulation, which are assumptions. */
function shareOf(count: Exact, of: number): number {
  const tenths = (count.numerator * 1000n) / (count.denominator * BigInt(of));
  return Number(tenths) / 1000;
}

/** A percentage that was typed, as a share; null for what is none. */
export function shareFrom(text: string): number | null {
  const percent = Number(text.replace(',', '.'));
  return text.trim() !== '' && percent >= 0 && percent <= 100 ? percent / 100 : null;
}
