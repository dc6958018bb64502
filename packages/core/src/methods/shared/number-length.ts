import type { Part } from '../../account/cut.ts';
import { TermSet } from '../../account/terms.ts';
import { PieceSpace } from '../../account/spaces.ts';
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
    const last = this.edges.length - 1;
    const first = this.edgesBelow(from, (order) => order < 0);
    const end = this.edgesBelow(to, (order) => order <= 0) - 1;
    return first < end
      ? TermSet.run(this.space, last - end, last - first)
      : TermSet.empty(this.space);
  }

  /** How many edges come before a point; `isBefore` says of their order whether they do. */
  private edgesBelow(point: Exact, isBefore: (order: number) => boolean): number {
    let [low, high] = [0, this.edges.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (isBefore(this.edges[middle]!.compare(point))) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
