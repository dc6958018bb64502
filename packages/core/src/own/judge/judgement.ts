import type { JudgedLine, LineKind, Verdict } from './judged.ts';

/** Beside what was found, where there is nothing else to tell. */
export const NO_MISTAKE = { falseRule: null, nearest: [], chance: null } as const;

/** What is said of a line beside its number and text. */
export type Judgement = Partial<JudgedLine> & {
  readonly kind: LineKind;
  readonly verdict: Verdict;
};

/** What is said of a line of which nothing is said. */
export const BLANK = {
  form: null,
  value: null,
  against: null,
  off: null,
  totalOff: null,
  law: null,
  move: null,
  readings: [],
  signs: [],
  statements: [],
  pairs: [],
  joins: null,
  followed: false,
  ...NO_MISTAKE,
  units: [],
  isSketch: false,
  unread: null,
  ambiguous: false,
} as const;
