/** What a run of steps is for. */
export type PhaseKind =
  | 'answer'
  | 'apart'
  | 'bottoms'
  | 'cancel'
  | 'cells'
  | 'chain'
  | 'change'
  | 'chunk'
  | 'column'
  | 'combine'
  | 'copy'
  | 'counts'
  | 'cross'
  | 'cut'
  | 'diagonals'
  | 'difference'
  | 'differences'
  | 'digit'
  | 'doubles'
  | 'equal additions'
  | 'figure'
  | 'find'
  | 'gather'
  | 'hops'
  | 'improper'
  | 'line'
  | 'open'
  | 'out'
  | 'pairs'
  | 'places'
  | 'point'
  | 'primes'
  | 'products'
  | 'quotient'
  | 'regrouping'
  | 'rename'
  | 'rest'
  | 'rounding'
  | 'rows'
  | 'scale'
  | 'signs'
  | 'simplify'
  | 'stage'
  | 'sum'
  | 'ticks'
  | 'together'
  | 'total'
  | 'tops'
  | 'totals'
  | 'turn'
  | 'unit'
  | 'wholes';

/** Steps of one phase belong together: a line, the final sum. */
export interface Phase {
  readonly kind: PhaseKind;
  /** Which of its kind: a line's place, a chunk's number; absent where there is one alone. */
  readonly of?: number;
  /** The stage of a string of factors, from 1; absent for a work of one stage. */
  readonly stage?: number;
  /** The place that a step serves, where steps of several phases serve one: what is opened for it, and its difference. */
  readonly serves?: number;
}

/**
 * Whether two steps that follow each other are one unit of a paper: of one line, figure, chunk, column or digit,
 * or both for one place.
 */
export function sameUnit(a: Phase, b: Phase): boolean {
  if (a.stage !== b.stage) return false;
  if (a.serves !== undefined && a.serves === b.serves) return true;
  return a.of !== undefined && samePhase(a, b);
}

/** Whether two steps belong to one phase. */
export function samePhase(a: Phase, b: Phase): boolean {
  return a.kind === b.kind && a.of === b.of && a.stage === b.stage;
}
