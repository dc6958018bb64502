/** A piece of text centred on a point, in squares. */
export interface PlacedText {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  /** Height of its letters, where it is not that of all of them. */
  readonly size?: number;
}

/** A short stroke under a figure that tells its place. */
export interface Notch {
  readonly x: number;
  readonly y: number;
  readonly length: number;
}
