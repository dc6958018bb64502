/** Where the rectangle lies in the picture, in pixels. */
export interface Frame {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}
