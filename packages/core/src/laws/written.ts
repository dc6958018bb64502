import { type Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import { evaluate } from '../problem/evaluate.ts';
import { barOf, type Expression, isFraction } from '../problem/expression.ts';
import type { Amount, Change } from './law.ts';

/** The denominator that an amount is written with. */
export function denominatorOf({ worth, written }: Amount): bigint {
  const of = written?.kind === 'negative' ? written.of : written;
  if (of && (of.kind === 'mixed' || isFraction(of)))
    return numeralValue(barOf(of).bottom).numerator;
  return worth.denominator;
}

/** What an expression is worth, or null where it has no exact value. */
export function valueOf(of: Expression): Exact | null {
  const made = evaluate(of);
  return made.ok ? made.value : null;
}

export function isAlike(a: Amount, b: Amount): boolean {
  return (
    a.worth.equals(b.worth) &&
    a.owed === b.owed &&
    a.terms.size === b.terms.size &&
    [...a.terms].every((term) => b.terms.has(term)) &&
    JSON.stringify(a.written) === JSON.stringify(b.written)
  );
}

/** Whether the same amounts are there before and after. */
export function isOnlyOrder({ takes, gives }: Change): boolean {
  const rest = [...takes];
  const isThere = (give: Change['gives'][number]) => {
    const at = rest.findIndex((take) => isAlike(take, give));
    if (at >= 0) rest.splice(at, 1);
    return at >= 0;
  };
  return takes.length === gives.length && gives.every(isThere);
}
