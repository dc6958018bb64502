import { Exact } from '../../exact/exact.ts';
import type { OriginTold } from '../judge/pairs.ts';

/** What is said of where a pair comes from, and the same in a word or two. */
export interface PairWords {
  readonly brief: string;
  readonly says: string;
}

export function pairWords(origin: OriginTold): PairWords {
  switch (origin.kind) {
    case 'ratio':
      return { brief: 'in the ratio', says: 'In the ratio of the problem.' };
    case 'times': {
      const isDown = !origin.by.isWhole;
      const by = isDown ? Exact.ONE.dividedBy(origin.by) : origin.by;
      const brief = `${isDown ? 'divided by' : 'times'} ${by}`;
      return { brief, says: `${origin.of}, ${brief}.` };
    }
    case 'together': {
      const [first, ...more] = origin.parts;
      const text = more.map(({ of, isTaken }) => `${isTaken ? ' less ' : ' and '}${of}`);
      const isLess = more.some(({ isTaken }) => isTaken);
      return {
        brief: isLess ? 'one less the other' : 'put together',
        says: `${first!.of}${text.join('')}${isLess ? '' : ' together'}.`,
      };
    }
  }
}
