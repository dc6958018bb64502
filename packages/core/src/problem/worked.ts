import type { Numeral } from '../exact/numeral.ts';
import type { ProblemKind } from './kinds.ts';

/** A kind of problem with its operands, before it is held against the limits of the kind. */
export interface WorkedShape {
  readonly kind: ProblemKind;
  readonly operands: readonly Numeral[];
}
