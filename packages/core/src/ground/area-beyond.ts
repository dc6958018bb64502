import type { EntryId, Trace } from '../account/account.ts';
import type { BeyondCell } from '../account/beyond.ts';
import { Exact } from '../exact/exact.ts';
import { numberText, numeralValue } from '../exact/numeral.ts';

/** A strip that a work lays beyond one side of the rectangle, and takes back. */
export interface StripBeyond {
  readonly side: 'across' | 'down';
  /** Where it lies, in shares of the whole side: from 1 on. */
  readonly from: number;
  readonly to: number;
  /** How wide it is, and what it is worth, as figures of the problem's base. */
  readonly text: string;
  readonly worth: Exact;
  /** The step that lays it first. */
  readonly since: number;
  /** The marks that hold some of it, laid or taken back. */
  readonly marks: ReadonlySet<EntryId>;
}

/**
 * What a work of a product or quotient holds beyond the edge of its rectangle, strip by strip. Cells whose place is not
 * known, and those beyond both sides, lie in no strip.
 */
export function stripsBeyond(trace: Trace): readonly StripBeyond[] {
  const sizes = sidesOf(trace);
  if (!sizes) return [];
  const strips = new Map<string, Growing>();
  for (const { number, gives } of trace.steps) {
    for (const { id, beyond } of gives) {
      for (const [name, cell] of beyond ?? []) put(strips, sizes, { name, cell, id, number });
    }
  }
  const { base } = trace.problem;
  const isWhole = sizes.every((size) => size.isWhole);
  // A part of a row that is no whole number wide lies nowhere that could be seen beside whole numbers.
  const seen = [...strips.values()].filter(
    ({ at }) => !isWhole || (at.from.isWhole && at.to.isWhole),
  );
  return seen.map(({ side, at, size, cells, since, marks }) => {
    const shares = [at.from, at.to].map((point) => share(point, size)) as [number, number];
    return {
      side,
      from: shares[0],
      to: shares[1],
      text: numberText(at.to.minus(at.from), base),
      worth: Exact.sum([...cells.values()]),
      since,
      marks,
    };
  });
}

interface Growing {
  readonly side: StripBeyond['side'];
  readonly at: { readonly from: Exact; readonly to: Exact };
  readonly size: Exact;
  readonly cells: Map<string, Exact>;
  readonly since: number;
  readonly marks: Set<EntryId>;
}

function put(
  strips: Map<string, Growing>,
  sizes: readonly Exact[],
  of: { name: string; cell: BeyondCell; id: EntryId; number: number },
): void {
  const { at } = of.cell;
  if (at?.length !== sizes.length) return;
  const out = at.flatMap(({ from }, k) => (from.compare(sizes[k]!) >= 0 ? [k] : []));
  const [axis] = out;
  if (axis === undefined || out.length > 1) return;
  const own = at[axis]!;
  const key = `${axis} ${own.from} ${own.to}`;
  const strip: Growing = strips.get(key) ?? {
    side: sizes.length === 2 && axis === 0 ? 'down' : 'across',
    at: own,
    size: sizes[axis]!,
    cells: new Map(),
    since: of.number,
    marks: new Set(),
  };
  strip.cells.set(of.name, of.cell.worth);
  strip.marks.add(of.id);
  strips.set(key, strip);
}

/** How long the sides are that something can be laid beyond. */
function sidesOf({ problem: { kind, operands } }: Trace): readonly Exact[] | null {
  if (kind === 'quotient') return [numeralValue(operands[0])];
  return kind === 'product' && operands.length === 2 ? operands.map(numeralValue) : null;
}

function share(point: Exact, size: Exact): number {
  const { numerator, denominator } = point.dividedBy(size);
  return Number(numerator) / Number(denominator);
}
