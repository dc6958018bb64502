import { problemSign, type EstimateRecord, type ProblemKind, type Speaker } from '@levee/core';

/** Rounded operands with their sign between them; long strings only begin and end. */
export function estimateLine(
  { operands }: EstimateRecord,
  kind: ProblemKind,
  say: Speaker,
): string {
  if (kind === 'root') return say.pointed(`√${operands.join('')}`);
  const sign = kind === 'product' ? say.times : problemSign(kind);
  const shown = operands.length > 6 ? [...operands.slice(0, 4), '…', operands.at(-1)!] : operands;
  return say.pointed(shown.join(` ${sign} `));
}
