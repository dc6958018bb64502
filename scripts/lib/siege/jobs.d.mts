import type { SiegeRow } from './siege.mjs';

/** True documents that are harmed. */
export interface Given {
  readonly traces: readonly unknown[];
  readonly ways: readonly unknown[];
}

export const JOBS: Readonly<Record<string, unknown>>;

export function givenDocuments(core: string): Promise<Given>;

export function besiegeJobs(options: {
  readonly site: string;
  readonly asked: number;
  readonly seed: number;
  readonly given: Given;
}): Promise<{
  readonly rows: readonly Omit<SiegeRow, 'stacks'>[];
  readonly faults: readonly string[];
}>;
