/** What the figures are like where a learner may slip. */
export interface State {
  readonly above?: number;
  readonly below?: number | undefined;
  /** The upper figure of the next place. */
  readonly next?: number | undefined;
  readonly carried?: number;
}

/** A learner's mind: where it slips, by the slip's name and its place, and what it takes facts for. */
export interface Mind {
  readonly slips: (slip: string, at: string, state: State) => boolean;
  readonly product?: (a: number, b: number, at: string) => number | undefined;
  readonly difference?: (a: number, b: number, at: string) => number | undefined;
}

/** A mind that slips once. */
export function once(slip: string, at: string): Mind {
  return { slips: (id, place) => id === slip && place === at };
}

/** A mind that slips wherever a figure is so. */
export function always(slip: string, when: (state: State) => boolean = () => true): Mind {
  return { slips: (id, _, state) => id === slip && when(state) };
}

/** Figures of a number, ones first. */
export const figures = (number: number): number[] => [...String(number)].reverse().map(Number);

/** The number that figures make, ones first; what was not written is not read. */
export const read = (written: readonly (number | undefined)[]): number =>
  Number(
    [...written]
      .map((one) => one ?? '')
      .reverse()
      .join('') || '0',
  );
