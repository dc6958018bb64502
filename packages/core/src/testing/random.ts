import { Random } from '../exact/random.ts';

/** Numbers from a seed, the same every time: whole numbers from `least` to `most`, both included. */
export function seeded(seed: number): (least: number, most: number) => number {
  const random = new Random(seed);
  return (least, most) => least + Math.floor(random.next() * (most - least + 1));
}
