import { type Exact } from '../../exact/exact.ts';

/**
 * What a number comes to: first with the numbers of the paper, then with some others. Two numbers with the same row
 * come from the same place; two that are only worth the same here do not. Null where there is none.
 */
export type Row = readonly (Exact | null)[];

/** A number of a way, wherever it stands. */
export interface Sign {
  /** Its place in the list of all, from 0; rules name it so until letters are given out. */
  readonly id: number;
  readonly row: Row;
  /** How it comes from others, `{0} × {2}`; null where it is given. */
  readonly rule: string | null;
}

/** How a number may come from others. */
export interface Origin {
  readonly rule: string;
  readonly row: Row;
  /** How far-fetched it is: 0 for the very same number. */
  readonly cost: number;
}

export function named({ id }: Pick<Sign, 'id'>): string {
  return `{${id}}`;
}

export function isSameRow(a: Row, b: Row): boolean {
  return a.every((value, k) => {
    const other = b[k]!;
    return value === null || other === null ? value === other : value.equals(other);
  });
}

export function constantRow(value: Exact, length: number): Row {
  return Array.from({ length }, () => value);
}

type Pair = (a: Exact, b: Exact) => Exact | null;

export const PLUS: Pair = (a, b) => a.plus(b);
export const MINUS: Pair = (a, b) => a.minus(b);
export const TIMES: Pair = (a, b) => a.times(b);
export const BY: Pair = (a, b) => (b.isZero || !b.isConstant ? null : a.dividedBy(b));

/** Two rows put together, value by value. */
export function rowOf(a: Row, b: Row, put: Pair): Row {
  return a.map((value, k) => {
    const other = b[k]!;
    return value === null || other === null ? null : put(value, other);
  });
}
