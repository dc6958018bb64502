/** What came of one kind of attack. */
export interface SiegeRow {
  readonly name: string;
  readonly tried: number;
  readonly taken: number;
  readonly refused: number;
  readonly failed: number;
  /** Milliseconds. */
  readonly slowest: number;
  /** Answers that showed a stack. */
  readonly stacks: number;
}

export interface Siege {
  readonly rows: readonly SiegeRow[];
  readonly health: { readonly slowest: number; readonly asked: number };
  /** MB after a quarter of the requests and at the end. */
  readonly memory: { readonly before: number; readonly after: number };
  readonly code: number | null;
  /** Stacks on the console. */
  readonly stacks: number;
}

export function besiege(options: {
  readonly main: string;
  readonly folder: string;
  readonly requests: number;
  readonly seed: number;
}): Promise<Siege>;

export function killWhileSaving(options: {
  readonly main: string;
  readonly folder: string;
  readonly kills: number;
  readonly seed: number;
}): Promise<{ readonly kills: number; readonly acknowledged: number; readonly lost: number }>;
