import { judgedLines, type KnownLines, type OwnWork } from '@levee/core';
import { pack, type Packed } from './packed.ts';

/** Someone's own lines judged and worked on a problem. Throws `RangeError` for a text that is no computation. */
export function judgeLines(problem: string, own: OwnWork): Packed<KnownLines> {
  return pack(judgedLines(problem, own));
}
