/** How many pieces are written in one frame: a page of more of them is written in several, so that none holds it up for long. */
const AT_ONCE = 150;

/** Writes pieces into the page in the order in which they came, as many at once as a frame has room for. */
export class InTurn<Key, Piece> {
  private readonly waiting = new Map<Key, Piece>();
  private frame = 0;

  constructor(private readonly write: (pieces: readonly Piece[]) => void) {}

  /** A piece to be written; the one with the same key that still waits is forgotten. */
  put(key: Key, piece: Piece): void {
    this.waiting.set(key, piece);
  }

  /** Writes the first of what waits, and the rest with the frames to come. */
  start(): void {
    cancelAnimationFrame(this.frame);
    const some = [...this.waiting].slice(0, AT_ONCE);
    if (some.length === 0) return;
    for (const [key] of some) this.waiting.delete(key);
    this.write(some.map(([, piece]) => piece));
    if (this.waiting.size > 0) this.frame = requestAnimationFrame(() => this.start());
  }

  /** Nothing more is written. */
  stop(): void {
    cancelAnimationFrame(this.frame);
    this.waiting.clear();
  }
}
