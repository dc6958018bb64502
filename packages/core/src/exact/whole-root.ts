/** The greatest whole number whose square is not above a number. RangeError below zero. */
export function wholeRoot(of: bigint): bigint {
  if (of < 0n) throw new RangeError(`wholeRoot: ${of} is below zero`);
  if (of < 2n) return of;
  // Newton's iteration from above, which falls until it has reached the root.
  let root = 1n << BigInt((of.toString(2).length + 1) >> 1);
  for (;;) {
    const next = (root + of / root) >> 1n;
    if (next >= root) return root;
    root = next;
  }
}
