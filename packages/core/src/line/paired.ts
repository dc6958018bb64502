/** What stands in both of two lists, one for one, and what is left of each. */
export interface Paired<T> {
  readonly pairs: readonly (readonly [T, T])[];
  readonly left: readonly T[];
  readonly rest: readonly T[];
}

/** Pairs the entries of two lists that have the same key; each is paired once, in the order of the first list. */
export function paired<T>(
  old: readonly T[],
  made: readonly T[],
  keyOf: (own: T) => string,
): Paired<T> {
  const rest = [...made];
  const pairs: (readonly [T, T])[] = [];
  const left = old.filter((own) => {
    const index = rest.findIndex((other) => keyOf(other) === keyOf(own));
    if (index >= 0) pairs.push([own, rest.splice(index, 1)[0]!]);
    return index < 0;
  });
  return { pairs, left, rest };
}
