import { choices } from '../../account/spaces.ts';
import type { Part } from '../../account/cut.ts';
import type { BeyondCell } from '../../account/beyond.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralFor, numeralText } from '../../exact/numeral.ts';
import { gathered, type Held, type Span } from './held.ts';

/** How the numbers of a problem span its space. */
export interface SpaceShape {
  /** A line for each number, the one line of a dividend that is shared, or a box with a side for each factor. */
  readonly form: 'lines' | 'share' | 'box';
  /** How long each number is; the sides of a box are all of line 0. */
  readonly sizes: readonly Exact[];
  /** What a length on a line is worth: 1, or one over the divisor. */
  readonly unit: Exact;
  /** Whether each number counts for or against, 1 or −1. */
  readonly signs: readonly (1 | -1)[];
  /** Which numbers are below 0 themselves, so that their parts are too. */
  readonly areNegative: readonly boolean[];
  readonly base: number;
  /** For numbers that are written as fractions their denominators; null where parts are written with a point. */
  readonly bottoms: readonly Exact[] | null;
}

/** Cells of the problem with how many times each is held, and cells beyond its edge. */
export interface Counted {
  /** Part indices, smallest (rightmost) part first, as term spaces have them. */
  readonly inside: ReadonlyMap<string, bigint>;
  readonly beyond: ReadonlyMap<string, BeyondCell>;
}

/** A common cut of all that the amounts of a paper hold, so that each holds whole cells. */
export class Grid {
  /** For each line and side the points at which it is cut, in order. */
  private readonly points: ReadonlyMap<string, readonly Exact[]>;

  constructor(
    private readonly shape: SpaceShape,
    all: readonly Held[],
  ) {
    const points = new Map<string, Map<string, Exact>>();
    const put = (key: string, point: Exact) => {
      const own = points.get(key) ?? new Map<string, Exact>();
      points.set(key, own.set(point.toString(), point));
    };
    shape.sizes.forEach((size, k) => {
      const key = shape.form === 'box' ? `0.${k}` : `${k}.0`;
      put(key, Exact.ZERO);
      put(key, size);
    });
    for (const { line, at, axes } of all.flatMap(gathered)) {
      at.forEach(({ from, to }, side) => {
        put(`${line}.${axes[side]}`, from);
        put(`${line}.${axes[side]}`, to);
      });
    }
    this.points = new Map(
      [...points].map(([key, own]) => [key, [...own.values()].sort((a, b) => a.compare(b))]),
    );
  }

  /** The parts of every number, the rightmost first, as a term space takes them. */
  get cuts(): readonly (readonly Part[])[] {
    return this.shape.sizes.map((size, k) => {
      const points = this.points.get(this.keyOf(k))!.filter((point) => point.compare(size) <= 0);
      const worths = points.slice(1).map((to, n) => to.minus(points[n]!));
      return worths
        .reverse()
        .map((worth) => this.part(this.shape.areNegative[k] ? worth.negate() : worth, k));
    });
  }

  private keyOf(operand: number): string {
    return this.shape.form === 'box' ? `0.${operand}` : `${operand}.0`;
  }

  private part(worth: Exact, operand: number): Part {
    const { bottoms, base } = this.shape;
    return {
      worth,
      text: bottoms ? inParts(worth, bottoms[operand]!) : figures(worth, base),
      place: undefined,
    };
  }

  /** What an amount holds in cells. */
  count(held: Held): Counted {
    const inside = new Map<string, bigint>();
    const beyond = new Map<string, BeyondCell>();
    for (const { line, at, axes, count } of gathered(held)) {
      const bySide = [...axes.keys()].sort((a, b) => axes[a]! - axes[b]!);
      const sides = bySide.map((k) => this.cellsOf(line, axes[k]!, at[k]!));
      for (const cells of choices(sides)) {
        const isInside = line >= 0 && cells.every(({ part }) => part !== null);
        const name = cells.map(({ name: own }) => own).join('.');
        if (isInside) {
          const key =
            this.shape.form === 'box'
              ? cells.map(({ part }) => part).join('.')
              : `${line}.${cells[0]!.part}`;
          inside.set(key, (inside.get(key) ?? 0n) + count);
        } else {
          const key = `b${line}.${name}`;
          const sign = this.shape.signs[line] ?? 1;
          const unit = this.shape.unit.times(Exact.of(sign));
          const worth = cells.reduce((product, { size }) => product.times(size), unit);
          const known = beyond.get(key)?.count ?? 0n;
          // Lines of changes lie beside the problem, and nowhere along its numbers.
          const place = line < 0 ? {} : { at: cells.map((cell) => cell.at) };
          beyond.set(key, { worth, count: known + count, ...place });
        }
      }
    }
    for (const [key, { count }] of beyond) if (count === 0n) beyond.delete(key);
    for (const [key, count] of inside) if (count === 0n) inside.delete(key);
    return { inside, beyond };
  }

  /** The cells of one side that a span covers. */
  private cellsOf(line: number, side: number, { from, to }: Span): readonly SideCell[] {
    const points = this.points.get(`${line}.${side}`)!;
    const size = line < 0 ? Exact.ZERO : this.shape.sizes[this.shape.form === 'box' ? side : line]!;
    const within = points.filter((point) => point.compare(size) <= 0).length - 1;
    const cells: SideCell[] = [];
    for (let k = 0; k < points.length - 1; k++) {
      if (points[k]!.compare(from) < 0 || points[k + 1]!.compare(to) > 0) continue;
      const isInside = line >= 0 && k < within;
      cells.push({
        part: isInside ? within - 1 - k : null,
        name: `${k}`,
        at: { from: points[k]!, to: points[k + 1]! },
        size: points[k + 1]!.minus(points[k]!),
      });
    }
    return cells;
  }
}

/** A piece of a fraction keeps its denominator, so that its pieces are alike: 4/8, and not 1/2. */
function inParts(worth: Exact, bottom: Exact): string {
  const top = worth.times(bottom);
  return worth.isWhole || !top.isWhole ? worth.toString() : `${top}/${bottom}`;
}

function figures(worth: Exact, base: number): string {
  const numeral = numeralFor(worth, base);
  return numeral ? numeralText(numeral) : worth.toString();
}

interface SideCell {
  /** Its number among the parts of the operand, the rightmost 0; null beyond its end. */
  readonly part: number | null;
  readonly name: string;
  readonly at: Span;
  readonly size: Exact;
}
