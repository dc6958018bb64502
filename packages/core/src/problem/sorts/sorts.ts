import type { Numeral } from '../../exact/numeral.ts';
import type { ProblemKind } from '../kinds.ts';
import { scriptOf } from '../script.ts';
import { EXPRESSIONS } from './expressions.ts';
import { OF_FIGURES } from './figures.ts';
import { OF_FRACTIONS } from './fractions.ts';
import { OF_LETTERS } from './letters.ts';
import type { Sort, SortId } from './sort.ts';

/** Every sort of problem; a new one is an object of its writing's file. */
export const SORTS: readonly Sort[] = [
  ...OF_FIGURES,
  ...OF_FRACTIONS,
  ...OF_LETTERS,
  ...EXPRESSIONS,
];

const BY_ID: ReadonlyMap<SortId, Sort> = new Map(SORTS.map((sort) => [sort.id, sort]));

/** What sort of problem it is. RangeError for one that cannot be read, as a root of fractions is. */
export function sortOf(problem: {
  readonly kind: ProblemKind;
  readonly operands: readonly Numeral[];
}): Sort {
  return sortNamed(`${problem.kind} of ${scriptOf(problem)}`);
}

/** A sort by its id. RangeError where there is none. */
export function sortNamed(id: SortId): Sort {
  const sort = BY_ID.get(id);
  if (!sort) throw new RangeError(`sortNamed: there is no ${id}`);
  return sort;
}
