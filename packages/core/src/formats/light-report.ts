import { addressText } from '../account/chance.ts';
import type { LightRun } from '../account/light-run.ts';

/** A light run as plain data, as it goes to and from a worker: amounts as exact strings, chances by their addresses. */
export interface LightReport {
  readonly answer: string;
  readonly total: string;
  readonly leaks: readonly { readonly step: number; readonly amount: string }[];
  /** Chances as `forget-carry@line-1.0`, with what the numbers are like there. */
  readonly chances: readonly {
    readonly address: string;
    readonly features: readonly string[];
    readonly step: number;
  }[];
}

export function lightReport({ answer, total, leaks, opportunities }: LightRun): LightReport {
  return {
    answer: answer.toString(),
    total: total.toString(),
    leaks: leaks.map(({ step, amount }) => ({ step, amount: amount.toString() })),
    chances: opportunities.map((chance) => ({
      address: addressText(chance),
      features: chance.features,
      step: chance.step,
    })),
  };
}
