/** Numbers from a seed, the same every time: whole numbers from `least` to `most`, both included. */
export function seeded(seed: number): (least: number, most: number) => number {
  let state = seed >>> 0;
  return (least, most) => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    const share = ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
    return least + Math.floor(share * (most - least + 1));
  };
}
