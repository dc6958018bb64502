import type { TwoNumbers } from './two-rows.ts';

/**
 * How many places are opened when a minuend is made ready before anything is taken away, from the largest place down and again
 * what a repair has made short, where some places are left short.
 */
export function openingsOfScan(
  { minuend, subtrahend }: TwoNumbers,
  base: number,
  isLeft: (place: number) => boolean,
): number {
  const counts = [...minuend.digits];
  const left = new Set(counts.map((_, place) => place).filter(isLeft));
  let opened = 0;
  const repair = (place: number): void => {
    if (left.has(place) || (counts[place] ?? 0) >= (subtrahend.digits[place] ?? 0)) return;
    if (counts.some((count, at) => at > place && count > 0)) fill(place);
    else left.add(place);
  };
  const fill = (place: number): void => {
    const lender = place + 1;
    const there = counts[lender];
    if (there === undefined) return;
    if (there === 0) fill(lender);
    counts[lender]! -= 1;
    counts[place]! += base;
    opened += 1;
    repair(lender);
  };
  for (let place = counts.length - 2; place >= 0; place--) repair(place);
  return opened;
}
