import { where } from '../../account/chance.ts';
import type { Scribe } from '../../account/scribe.ts';
import type { DigitPair } from './two-factors.ts';

/** What two figures are taken to make in a cell, the second factor's figure first; at most what two squares hold. */
export function cellFact(
  scribe: Scribe,
  [left, right]: readonly [number, number],
  [i, j]: DigitPair,
): number {
  const most = scribe.base ** 2 - 1;
  return scribe.fact(
    { sign: '×', of: [left, right], due: left * right, most },
    where('cell', i, j),
  );
}
