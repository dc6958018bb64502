import { laidBeyond, type LaidBeyond } from '../laid-beyond.ts';
import { agreement } from './agreement.ts';
import type { Agreement } from './agreement-shape.ts';
import { alone } from '../compare.ts';
import { type Comparison } from '../comparison.ts';

/** Why methods agree: each in its own cut, as it would be written alone, and all of them in common terms. */
export interface Reasons {
  /** A certificate of one method for every paper, in turn. */
  readonly alone: readonly Agreement[];
  readonly common: Agreement;
  /** What works lay beyond the numbers and make good again. */
  readonly beyond: readonly LaidBeyond[];
}

export function reasonsOf(comparison: Comparison): Reasons {
  const common = agreement(comparison);
  return {
    common,
    alone: comparison.lanes.map((lane, k) => {
      const own = alone(comparison, lane);
      return own.space.size === comparison.space.size
        ? { ...common, methods: [common.methods[k]!] }
        : agreement(own);
    }),
    beyond: comparison.lanes.flatMap(({ trace, method }) => laidBeyond(trace, method.name) ?? []),
  };
}

/** The operands that methods cut differently, by their numbers. */
export function differingCuts({ alone: own, common }: Reasons): readonly number[] {
  return common.operands.flatMap((operand, k) =>
    own.every((one) => one.operands[k]!.parts.length === operand.parts.length) ? [] : [k],
  );
}
