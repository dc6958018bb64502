import { OWN_LINES_NAME } from '../../account/own-lines.ts';

/** A line as it is typed. One that is struck stays legible and is no longer judged, as a correction on paper. */
export interface OwnLine {
  readonly text: string;
  readonly struck: boolean;
}

/** Someone's own way of working a problem. */
export interface OwnWork {
  readonly lines: readonly OwnLine[];
  /** Whose it is, as a code; empty where nobody is named. */
  readonly code: string;
  /** What the way is called; empty until it has a name. */
  readonly name: string;
}

export const NO_LINES: OwnWork = { lines: [], code: '', name: '' };

/** Most lines of a paper, characters of a line, and of the name of a way. */
export const OWN_LIMITS = { lines: 60, characters: 2000, name: 60 } as const;

/** Whether a line is judged: it is neither struck nor empty. */
export function isCounted({ text, struck }: OwnLine): boolean {
  return !struck && text.trim() !== '';
}

/** Lines that were typed, and nothing else. */
export function workOf(lines: readonly string[]): OwnWork {
  return { ...NO_LINES, lines: lines.map((text) => ({ text, struck: false })) };
}

/** What a paper of own lines is called. */
export function ownTitle({ code, name }: OwnWork): string {
  if (name !== '') return name;
  return code === '' ? OWN_LINES_NAME : `${code}’s lines`;
}
