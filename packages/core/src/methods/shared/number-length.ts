import type { Part } from '../../account/cut.ts';
import { PieceSpace, TermSet } from '../../account/terms.ts';
import { Exact } from '../../exact/exact.ts';
import { numberText } from '../../exact/numeral.ts';

/**
 * A number laid out as a length, its largest figure first, and cut at some points. The pieces are the terms
 * of the work; those between two cuts are what an amount of it is made of.
 */
export class NumberLength {
  readonly space: PieceSpace;
  private readonly edges: readonly Exact[];

  /** `others` are the parts of further operands, such as a divisor. */
  constructor(
    readonly end: Exact,
    cuts: readonly Exact[],
    base: number,
    others: readonly Exact[] = [],
  ) {
    const unique = new Map([Exact.ZERO, ...cuts, end].map((edge) => [edge.toString(), edge]));
    this.edges = [...unique.values()].sort((a, b) => a.compare(b));
    const partOf = (worth: Exact): Part => ({
      worth,
      text: numberText(worth, base),
      place: undefined,
    });
    const pieces = this.edges
      .slice(1)
      .map((edge, k) => partOf(edge.minus(this.edges[k]!)))
      .reverse();
    const whole = pieces.length > 0 ? pieces : [partOf(Exact.ZERO)];
    this.space = new PieceSpace([whole, ...others.map((other) => [partOf(other)])]);
  }

  /** The terms of the stretch between two points, measured from where the largest figure begins. */
  between(from: Exact, to: Exact): TermSet {
    const inside = this.edges.slice(1).flatMap((edge, k) => {
      const start = this.edges[k]!;
      const fits = start.compare(from) >= 0 && edge.compare(to) <= 0;
      return fits ? [this.edges.length - 2 - k] : [];
    });
    return TermSet.from(this.space, inside);
  }
}
