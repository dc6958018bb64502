import type { Given, OwedEntry } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import type { TermSet } from '../../account/terms.ts';
import type { PieceSpace } from '../../account/spaces.ts';
import { Exact } from '../../exact/exact.ts';
import { numberText, numeralText, numeralValue } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { NumberLength } from '../shared/number-length.ts';
import { unitOf, type DivisionPlan } from './division-plan.ts';

/**
 * The dividend laid out as a length: cut where its figures end and where the shares of the quotient end.
 * Amounts are counted in the dividend as it was given; what is owed of a piece is its share.
 */
export class DividendLength {
  private readonly length: NumberLength;
  private readonly divisor: Exact;
  private readonly by: Exact;

  /** `by` is what the work divides by, when a learner has made it something else than the divisor. */
  constructor({ operands, base }: Problem, cuts: readonly Exact[], by?: Exact) {
    const [dividend, divisor] = operands.map(numeralValue) as [Exact, Exact];
    this.divisor = divisor;
    this.by = by ?? divisor;
    this.length = new NumberLength(dividend, cuts, base, [divisor]);
  }

  get space(): PieceSpace {
    return this.length.space;
  }

  /** The whole dividend. */
  get end(): Exact {
    return this.length.end;
  }

  /** The terms of the stretch between two points, measured from where the largest figure begins. */
  between(from: Exact, to: Exact): TermSet {
    return this.length.between(from, to);
  }

  /** What an amount of the dividend comes to when it is shared by the divisor. */
  owed(amount: Exact): Exact {
    return amount.isZero ? amount : amount.dividedBy(this.divisor);
  }

  /** The same as the work has it. */
  share(amount: Exact): Exact {
    return amount.isZero ? amount : amount.dividedBy(this.by);
  }
}

/** Where the figures and the shares of a plan end, counted from the largest figure of the dividend. */
export interface Reach {
  /** The dividend's figures up to and with this one, and before it. */
  readonly from: Exact;
  readonly to: Exact;
  /** The shares up to and with this figure of the quotient, and before it. */
  readonly usedFrom: Exact;
  readonly usedTo: Exact;
}

/** The reach of every figure of a plan. */
export function reaches(plan: DivisionPlan): readonly Reach[] {
  let to = Exact.ZERO;
  let usedTo = Exact.ZERO;
  return plan.figures.map((figure): Reach => {
    const unit = unitOf(plan, figure.place);
    const [from, usedFrom] = [to, usedTo];
    if (!figure.again) to = to.plus(Exact.of(figure.digit).times(unit));
    usedTo = usedTo.plus(Exact.of(BigInt(figure.quotient) * plan.by).times(unit));
    return { from, to, usedFrom, usedTo };
  });
}

/** One figure of the dividend with what it owes. */
export interface DividendFigure {
  readonly index: number;
  readonly digit: number;
  readonly place: number;
  /** What it is worth in the dividend. */
  readonly amount: Exact;
  readonly entry: OwedEntry;
}

/**
 * Opens the account of a division that works figure by figure: each figure of the dividend is owed, shared
 * by the divisor. Figures beyond the last place that is worked are owed too.
 */
export function openFigures(
  scribe: Scribe,
  problem: Problem,
  plan: DivisionPlan,
  length: DividendLength,
): readonly DividendFigure[] {
  const { dividend, base } = plan;
  const divisorText = numeralText(problem.operands[1]!);
  let to = Exact.ZERO;
  const drafts = [...dividend.digits.keys()].reverse().map((index) => {
    const place = index - dividend.decimals;
    const amount = Exact.of(dividend.digits[index]!).times(unitOf(plan, place));
    const from = to;
    to = to.plus(amount);
    const text = `${numberText(amount, base)}÷${divisorText}`;
    const terms = length.between(from, to);
    return { place, index, amount, text, worth: length.owed(amount), terms };
  });
  const entries = scribe.openShares(length.space, drafts);
  return drafts.map(({ place, index, amount }, k) => ({
    index,
    place,
    amount,
    digit: dividend.digits[index]!,
    entry: entries[k]!,
  }));
}

/** Puts the dividend's figures on the paper, each standing for what it owes. */
export function giveFigures(
  scribe: Scribe,
  figures: readonly DividendFigure[],
  area: string,
): readonly Given[] {
  return figures.map(({ digit, place, amount, entry }) =>
    scribe.giveFigure({
      text: numberText(amount, scribe.base),
      glyph: digit.toString(scribe.base).toUpperCase(),
      worth: entry.worth,
      terms: entry.terms,
      role: 'operand digit',
      spot: { area, row: 0, column: place },
      operand: 0,
      place,
      owed: entry.id,
    }),
  );
}

/** Puts a whole number of the question on the paper. */
export function giveNumber(
  scribe: Scribe,
  of: {
    readonly text: string;
    readonly worth: Exact;
    readonly terms: TermSet;
    readonly operand: number;
  },
  area: string,
): Given {
  return scribe.giveFigure({
    ...of,
    glyph: of.text,
    role: 'operand part',
    spot: { area, row: 0, column: of.operand },
    place: undefined,
    owed: null,
  });
}
