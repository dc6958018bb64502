/** The figures of a fraction or mixed number as it stands on paper. */
export interface FractionFigures {
  readonly minus: boolean;
  /** Null for a fraction without wholes before it. */
  readonly whole: bigint | null;
  readonly top: bigint;
  readonly bottom: bigint;
}

const FIGURES = /^([−-]?)\s?(?:(\d+) )?(\d+)\/(\d+)$/;

/** Reads `3/4`, `−3/4`, `− 3/4` and `5 1/6`; null for all else. */
export function fractionFigures(text: string): FractionFigures | null {
  const [, minus, whole, top, bottom] = FIGURES.exec(text.trim()) ?? [];
  if (top === undefined || bottom === undefined) return null;
  return {
    minus: minus !== '',
    whole: whole === undefined ? null : BigInt(whole),
    top: BigInt(top),
    bottom: BigInt(bottom),
  };
}

/** The same figures as they stand, without a minus. */
export function figuresText({ whole, top, bottom }: FractionFigures): string {
  return `${whole === null ? '' : `${whole} `}${top}/${bottom}`;
}
