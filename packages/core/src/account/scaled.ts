import { owedTerm } from './ids.ts';
import { pointRule } from '../problem/kinds.ts';
import { Exact } from '../exact/exact.ts';
import { numberText, placeValue, pointedText } from '../exact/numeral.ts';
import { problemValue, type Problem } from '../problem/problem.ts';
import type { Scale } from '../problem/scale.ts';
import type { Beyond } from './beyond.ts';
import type { Given, Mark, OwedEntry, Step, Trace } from './account.ts';
import type { TermSet, TermSpace } from './terms.ts';

/**
 * A work in whole numbers read as the work with decimals that it stands for: every mark keeps its figures
 * and its place on the paper and has its true worth. The numbers of sums and differences that are written
 * whole show their point; those of products are written without it.
 */
export function scaledTrace(whole: Trace, problem: Problem, scale: Scale): Trace {
  const space = trueSpace(whole.space, scale, problem.base);
  const total = problemValue(problem);
  const amount = (worth: Exact) => (worth.isZero ? worth : worth.times(scale.unit));
  const terms = (set: TermSet) => set.in(space);
  const figures = figuresOf(problem, scale);
  const owed = (entry: OwedEntry): OwedEntry => {
    const index = space.find(owedTerm(entry.id) ?? '');
    const text = index === null ? entry.text : space.text(index);
    return { ...entry, text, worth: amount(entry.worth), terms: terms(entry.terms) };
  };
  const mark = (of: Mark): Mark => {
    const glyph = of.place === undefined ? figures(of.glyph) : of.glyph;
    const hop = of.hop && { from: amount(of.hop.from), to: amount(of.hop.to) };
    return {
      ...of,
      glyph,
      text: glyph,
      worth: amount(of.worth),
      terms: terms(of.terms),
      ...(hop ? { hop } : {}),
      ...(of.beyond ? { beyond: scaledBeyond(of.beyond, scale.unit) } : {}),
    };
  };
  const given = (of: Given): Given => {
    const unit = placeValue(problem.base, -scale.operands[of.operand]!);
    const worth = of.worth.times(unit);
    const glyph = of.role === 'operand part' ? figures(of.glyph) : of.glyph;
    const text = numberText(worth, problem.base);
    return { ...of, text, glyph, worth, terms: terms(of.terms) };
  };
  const steps = whole.steps.map((step): Step => ({
    ...step,
    gives: step.gives.map(mark),
    opens: step.opens.map(owed),
    balance: amount(step.balance),
  }));
  return {
    ...whole,
    problem,
    space,
    givens: whole.givens.map(given),
    start: whole.start.map(owed),
    steps,
    groups: whole.groups.map((group) => ({
      ...group,
      worth: amount(group.worth),
      terms: terms(group.terms),
    })),
    total,
    answer: amount(whole.answer),
    scale,
    whole,
  };
}

function scaledBeyond(beyond: Beyond, unit: Exact): Beyond {
  return new Map(
    [...beyond].map(([cell, { worth, count }]) => [cell, { worth: worth.times(unit), count }]),
  );
}

function trueSpace(space: TermSpace, { operands }: Scale, base: number): TermSpace {
  const cuts = space.cuts.map((parts, k) =>
    parts.map((part) => {
      const worth = part.worth.times(placeValue(base, -operands[k]!));
      return { ...part, worth, text: numberText(worth, base) };
    }),
  );
  return space.over(cuts);
}

/** How a number that is written whole looks: with its point in a sum, without it in a product. */
function figuresOf({ kind, base }: Problem, { decimals }: Scale): (glyph: string) => string {
  if (pointRule(kind) === 'counted') return (glyph) => glyph;
  return (glyph) =>
    glyph.replace(/[0-9A-F]+/, (run) =>
      pointedText(Exact.of(wholeOf(run, base)).numerator, decimals, base),
    );
}

function wholeOf(figures: string, base: number): bigint {
  return [...figures].reduce(
    (total, figure) => total * BigInt(base) + BigInt(parseInt(figure, base)),
    0n,
  );
}
