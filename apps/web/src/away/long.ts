/**
 * Tells how far a long job is, and is answered whether to go on. A job waits for the answer, so that whoever listens can
 * stop it, and the place where it is done has time for other things in between.
 */
export type Tell<Progress> = (progress: Progress) => boolean | Promise<boolean>;

/** How far a long job is. */
export interface Done {
  readonly done: number;
  readonly of: number;
}

/** Milliseconds of work between two tellings. */
const PIECE = 60;

/** Works piece by piece until all is done or somebody stops it; gives whether it came to the end. */
export async function inPieces(
  of: number,
  work: (from: number) => number,
  tell: (done: number) => boolean | Promise<boolean>,
): Promise<boolean> {
  let done = 0;
  while (done < of) {
    const until = performance.now() + PIECE;
    do done = work(done);
    while (done < of && performance.now() < until);
    if (!(await tell(done))) return done >= of;
  }
  return true;
}
