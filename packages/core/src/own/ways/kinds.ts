/** The kinds of way that numbers may invite. */
export const WAY_KINDS = [
  'by-parts',
  'one-kept-whole',
  'to-a-round-number',
  'overshoot',
  'same-change',
  'give-and-take',
  'doubles-and-halves',
  'by-factors',
  'multiply-up',
  'known-fact',
] as const;
export type WayKind = (typeof WAY_KINDS)[number];

/** A way before it is judged: its lines as they would be written, and why these numbers invite it. */
export interface WayDraft {
  readonly kind: WayKind;
  readonly lines: readonly string[];
  readonly why: string;
}
