import type { Exact } from '../exact/exact.ts';
import type { FactChance, Opportunity } from './account.ts';
import type { Leak } from './leaks.ts';

/** What a work comes to, without how it looks or what is said of it. */
export interface LightRun {
  /** How many steps it takes. */
  readonly steps: number;
  readonly answer: Exact;
  readonly total: Exact;
  readonly leaks: readonly Leak[];
  readonly opportunities: readonly Opportunity[];
  readonly facts: readonly FactChance[];
}
