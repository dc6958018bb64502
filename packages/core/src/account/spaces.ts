import { type Exact } from '../exact/exact.ts';
import type { Part } from './cut.ts';
import { TermSpace, type Bounds, type Cuts, type Members } from './terms.ts';

/**
 * The expansion of a product: every way to choose one part of each operand. The first operand's parts
 * run fastest, so that the terms of one written line are neighbours.
 */
export class ProductSpace extends TermSpace {
  readonly size: number;

  constructor(cuts: Cuts) {
    super(cuts);
    this.size = cuts.reduce((count, parts) => count * parts.length, 1);
  }

  index(parts: readonly number[]): number {
    return parts.reduceRight(
      (index, part, operand) => index * this.cuts[operand]!.length + part,
      0,
    );
  }

  parts(index: number): readonly number[] {
    let rest = index;
    return this.cuts.map((parts) => {
      const part = rest % parts.length;
      rest = (rest - part) / parts.length;
      return part;
    });
  }

  madeOf(parts: readonly number[]) {
    return parts.map((part, operand) => [operand, part] as const);
  }

  worthOf(parts: readonly number[]): Exact {
    let product = this.cuts[0]![parts[0]!]!.worth;
    for (let operand = 1; operand < parts.length; operand++) {
      product = product.times(this.cuts[operand]![parts[operand]!]!.worth);
    }
    return product;
  }

  textOf(parts: readonly number[]): string {
    let text = this.cuts[0]![parts[0]!]!.text;
    for (let operand = 1; operand < parts.length; operand++) {
      text += `×${closed(this.cuts[operand]![parts[operand]!]!.text)}`;
    }
    return text;
  }

  /** The product of two digits lies below base²: 4 tens × 8 is known beforehand to be under 100 tens. */
  bounds(index: number, base: number): Bounds {
    const places = this.parts(index).map((part, operand) => this.cuts[operand]![part]!.place);
    if (places.includes(undefined)) {
      return { low: 0n, high: this.worth(index).numerator * BigInt(base) };
    }
    const place = places.reduce<number>((sum, one) => sum + (one ?? 0), 0);
    return { low: 0n, high: BigInt(base) ** BigInt(place + places.length) - 1n };
  }

  over(cuts: Cuts): TermSpace {
    return new ProductSpace(cuts);
  }

  refined(parts: readonly number[], members: Members): readonly (readonly number[])[] {
    return choices(parts.map((part, operand) => members[operand]![part]!));
  }

  protected fits(parts: readonly number[]): boolean {
    return (
      parts.length === this.cuts.length &&
      parts.every((part, operand) => part < this.cuts[operand]!.length)
    );
  }
}

/** A part behind a sign: one with a minus of its own in a bracket. */
export function closed(text: string): string {
  return text.startsWith('−') ? `(${text})` : text;
}

/**
 * The expansion of a sum or difference: every part of every operand by itself, with the sign of its
 * operand. A term's coordinates are its operand and its part.
 */
export class SumSpace extends TermSpace {
  readonly size: number;
  /** The number of each operand's first term. */
  private readonly starts: readonly number[];

  constructor(
    cuts: Cuts,
    readonly signs: readonly (1 | -1)[],
  ) {
    super(cuts);
    let size = 0;
    this.starts = cuts.map((parts) => (size += parts.length) - parts.length);
    this.size = size;
  }

  index([operand = 0, part = 0]: readonly number[]): number {
    return this.starts[operand]! + part;
  }

  parts(index: number): readonly number[] {
    const operand = this.starts.findLastIndex((start) => start <= index);
    return [operand, index - this.starts[operand]!];
  }

  madeOf([operand = 0, part = 0]: readonly number[]) {
    return [[operand, part] as const];
  }

  worthOf([operand = 0, part = 0]: readonly number[]): Exact {
    const { worth } = this.cuts[operand]![part]!;
    return this.signs[operand] === 1 ? worth : worth.negate();
  }

  textOf([operand = 0, part = 0]: readonly number[]): string {
    const { text } = this.cuts[operand]![part]!;
    return this.signs[operand] === 1 ? text : `−${closed(text)}`;
  }

  /** A digit may be any digit of its place; a part written whole anything of its length. */
  bounds(index: number, base: number): Bounds {
    const [operand = 0, part = 0] = this.parts(index);
    const { place, worth } = this.cuts[operand]![part]!;
    const figures = place === undefined ? worth.numerator.toString(base).length : place + 1;
    const unit = place === undefined ? 1n : BigInt(base) ** BigInt(place);
    const most = BigInt(base) ** BigInt(figures) - unit;
    return this.signs[operand] === 1 ? { low: 0n, high: most } : { low: -most, high: 0n };
  }

  over(cuts: Cuts): TermSpace {
    return new SumSpace(cuts, this.signs);
  }

  refined([operand = 0, part = 0]: readonly number[], members: Members) {
    return members[operand]![part]!.map((finer) => [operand, finer]);
  }

  protected fits(parts: readonly number[]): boolean {
    const [operand = 0, part = 0] = parts;
    return parts.length === 2 && part < (this.cuts[operand]?.length ?? 0);
  }
}

/**
 * Pieces of one number: of the dividend of a quotient, each shared by the divisor, or of the number under
 * a root. The first operand's parts are the pieces, the only part of the second, where there is one, is
 * the divisor; a term's coordinate is its piece.
 */
export class PieceSpace extends TermSpace {
  readonly size: number;

  constructor(cuts: Cuts) {
    super(cuts);
    this.size = cuts[0]!.length;
  }

  private get divisor(): Part | undefined {
    return this.cuts[1]?.[0];
  }

  index([piece = 0]: readonly number[]): number {
    return piece;
  }

  parts(index: number): readonly number[] {
    return [index];
  }

  madeOf([piece = 0]: readonly number[]) {
    return this.cuts.map((_, operand) => [operand, operand === 0 ? piece : 0] as const);
  }

  worthOf([piece = 0]: readonly number[]): Exact {
    const { worth } = this.cuts[0]![piece]!;
    return this.divisor ? worth.dividedBy(this.divisor.worth) : worth;
  }

  textOf([piece = 0]: readonly number[]): string {
    const { text } = this.cuts[0]![piece]!;
    return this.divisor ? `${text}÷${this.divisor.text}` : text;
  }

  /** A share is not known by places; see the certainty of quotients. */
  bounds(): Bounds {
    return { low: 0n, high: 0n };
  }

  over(cuts: Cuts): TermSpace {
    return new PieceSpace(cuts);
  }

  refined([piece = 0]: readonly number[], members: Members): readonly (readonly number[])[] {
    return members[0]![piece]!.map((finer) => [finer]);
  }

  protected fits(parts: readonly number[]): boolean {
    return parts.length === 1 && (parts[0] ?? 0) < this.size;
  }
}

/** Every way to take one of each list, the first list running fastest. */
export function choices<T>(lists: readonly (readonly T[])[]): readonly (readonly T[])[] {
  return lists.reduceRight<readonly (readonly T[])[]>(
    (rest, list) => rest.flatMap((tail) => list.map((head) => [head, ...tail])),
    [[]],
  );
}
