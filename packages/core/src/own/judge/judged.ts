import type { Law } from '../../account/account.ts';
import type { Surd } from '../../exact/surd.ts';
import type { MoveId } from '../../laws/moves.ts';
import type { Chance } from './mistakes/mistaken.ts';
import type { Move } from './move.ts';
import type { Nearest } from './mistakes/nearest.ts';
import type { LineForm } from '../read/read-line.ts';
import type { OriginTold } from './pairs.ts';

export const LINE_KINDS = ['rewrite', 'side', 'hops', 'table', 'total', 'note'] as const;
export type LineKind = (typeof LINE_KINDS)[number];

/** From the worst to the best, as far as several signs of one line are weighed against each other. */
export const VERDICTS = [
  'unread',
  'unequal',
  'run-on',
  'equal',
  'leap',
  'lawful',
  'side',
  'note',
] as const;
export type Verdict = (typeof VERDICTS)[number];

/** One way in which a line follows, with the lines that would stand between. */
export interface Reading {
  readonly moves: readonly Move[];
  readonly between: readonly string[];
}

/** A false rule with what is true in its place. */
export interface ToldRule {
  readonly id: string;
  readonly truth: string;
}

/** What is said of one equals sign of a line with several. */
export interface JudgedSign {
  /** Where it stands in the typed line, from 0. */
  readonly at: number;
  readonly verdict: Verdict;
  readonly off: Surd | null;
}

/** A line of someone's own working with all that is said of it. */
export interface JudgedLine {
  /** From 1. */
  readonly n: number;
  readonly text: string;
  /** How its equals signs part it; null where it is no chain of equal sides. */
  readonly form: LineForm | null;
  readonly kind: LineKind;
  readonly verdict: Verdict;
  readonly value: Surd | null;
  /** The line that it is judged against; 0 is the problem. */
  readonly against: number | null;
  /** What it is worth more than what it is judged against; of a side line its right side less its left. */
  readonly off: Surd | null;
  /** What it is worth more than the problem. */
  readonly totalOff: Surd | null;
  readonly law: Law | null;
  readonly move: MoveId | null;
  readonly readings: readonly Reading[];
  readonly signs: readonly JudgedSign[];
  /** What a run-on line says in full, statement by statement. */
  readonly statements: readonly string[];
  /** Where each pair of a ratio table comes from. */
  readonly pairs: readonly OriginTold[];
  /** The line that a side line goes into. */
  readonly joins: number | null;
  /** Whether it is lawful after a line that is not worth the problem. */
  readonly followed: boolean;
  /** The false rule that writes an unequal line in place of the one before. */
  readonly falseRule: ToldRule | null;
  /** True lines that differ from it by as little as can be; at most two. */
  readonly nearest: readonly Nearest[];
  /** A false rule that writes this line too, which is right here by chance. */
  readonly chance: Chance | null;
  readonly units: readonly string[];
  /** Whether it is drawn with signs, and no words or figures. */
  readonly isSketch: boolean;
  /** Why it could not be read, and at which character. */
  readonly unread: { readonly at: number; readonly reason: string } | null;
  /** Both readings of a line that people read in two ways. */
  readonly ambiguous: boolean;
}

/** The worst of several verdicts. */
export function worst(verdicts: readonly Verdict[]): Verdict {
  const ranks = verdicts.map((verdict) => VERDICTS.indexOf(verdict));
  return VERDICTS[Math.min(...ranks)]!;
}
