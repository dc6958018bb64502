/** Prime factors with repeats, smallest first; none for 1. */
export function primesOf(value: bigint): readonly bigint[] {
  const primes: bigint[] = [];
  let rest = value;
  for (let by = 2n; by * by <= rest; by++) {
    while (rest % by === 0n) {
      primes.push(by);
      rest /= by;
    }
  }
  return rest > 1n ? [...primes, rest] : primes;
}
