import fc from 'fast-check';
import type { School } from '../account/account.ts';
import { numeral, type Numeral } from '../exact/numeral.ts';
import { registry } from '../methods/index.ts';
import type { Method } from '../methods/method.ts';
import { productProblem, type ProductProblem } from '../problem/problem.ts';

/** A whole number of up to `most` figures in a base, zeros in every position likely. */
export function wholeNumeral(base: number, most: number): fc.Arbitrary<Numeral> {
  const digit = fc.oneof(
    { weight: 1, arbitrary: fc.constant(0) },
    { weight: 3, arbitrary: fc.integer({ min: 0, max: base - 1 }) },
  );
  return fc
    .array(digit, { minLength: 1, maxLength: most })
    .map((digits) => numeral(digits.map((d) => d.toString(base)).join(''), base));
}

/** Products of two whole numbers, mostly in base ten. */
export function products(most = 5): fc.Arbitrary<ProductProblem> {
  const base = fc.oneof(
    { weight: 3, arbitrary: fc.constant(10) },
    { weight: 1, arbitrary: fc.integer({ min: 2, max: 16 }) },
  );
  return base.chain((b) =>
    fc
      .tuple(wholeNumeral(b, most), wholeNumeral(b, most))
      .map((factors) => productProblem(factors)),
  );
}

export interface MethodChoice {
  readonly method: Method;
  readonly school: School;
}

/** Every method with every combination of its schools. */
export const everySchool: readonly MethodChoice[] = registry.methods.flatMap((method) =>
  method.schools
    .reduce<School[]>(
      (made, { id, options }) =>
        made.flatMap((school) => options.map((option) => ({ ...school, [id]: option.id }))),
      [{}],
    )
    .map((school) => ({ method, school })),
);

/** A readable name for a method choice, for test titles. */
export function choiceName({ method, school }: MethodChoice): string {
  return `${method.id} [${Object.values(school).join(', ')}]`;
}

/** The figures of a numeral multiplied as integers, sharing nothing with the core's arithmetic. */
export function integerOf({ digits, base }: Numeral): bigint {
  return digits.reduceRight((total, digit) => total * BigInt(base) + BigInt(digit), 0n);
}

export function deepFreeze<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    Object.values(value).forEach(deepFreeze);
  }
  return value;
}
