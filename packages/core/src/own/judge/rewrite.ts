import type { Law } from '../../account/account.ts';
import type { Surd } from '../../exact/surd.ts';
import type { MoveId } from '../../laws/moves.ts';
import type { Reading, ToldRule, Verdict } from './judged.ts';
import { NO_MISTAKE } from './judgement.ts';
import { chanceOf, falseRuleOf, type Chance } from './mistakes/mistaken.ts';
import { moveAt } from './move.ts';
import type { Page } from '../../laws/move-spec.ts';
import { isLong, nearest, type Nearest } from './mistakes/nearest.ts';
import { type Term, lineKey } from '../../line/node.ts';
import { termsText } from '../../line/node-text.ts';
import { explain, type Explained } from './search/search.ts';

/** What a line is held against. */
export interface LineValue {
  readonly terms: readonly Term[];
  readonly value: Surd;
}

export interface Rewriting {
  readonly verdict: 'lawful' | 'leap' | 'equal' | 'unequal';
  readonly off: Surd;
  readonly law: Law | null;
  readonly move: MoveId | null;
  readonly readings: readonly Reading[];
  /** The lines between, of the first reading. */
  readonly between: readonly (readonly Term[])[];
  /** The false rule that writes an unequal line. */
  readonly falseRule: ToldRule | null;
  /** The nearest true lines in place of an unequal one. */
  readonly nearest: readonly Nearest[];
  /** A false rule that writes a right line by chance. */
  readonly chance: Chance | null;
  readonly nodes: number;
  readonly cut: boolean;
}

/** Most rewritings that are remembered: some papers of sixty lines. */
const MOST_REMEMBERED = 400;
const REMEMBERED = new Map<string, Rewriting>();

/**
 * Judges a line against the one before: whether it is worth the same, and by which laws it follows. A rewriting on a page
 * with the same numbers is judged once, so that a line more on a long paper costs no more than on a short one.
 */
export function judgeRewriting(before: LineValue, after: LineValue, page: Page): Rewriting {
  const numbers = [...page.numbers].sort().join(' ');
  const key = [termsText(before.terms), termsText(after.terms), page.base, numbers].join('|');
  const known = REMEMBERED.get(key);
  const made = known ?? judged(before, after, page);
  REMEMBERED.delete(key);
  REMEMBERED.set(key, made);
  if (REMEMBERED.size > MOST_REMEMBERED) REMEMBERED.delete(REMEMBERED.keys().next().value!);
  return made;
}

function judged(before: LineValue, after: LineValue, page: Page): Rewriting {
  const off = after.value.minus(before.value);
  const unnamed = {
    off,
    law: null,
    move: null,
    readings: [],
    between: [],
    ...NO_MISTAKE,
    nodes: 0,
    cut: false,
  };
  if (!off.isZero) {
    const rule = falseRuleOf(before.terms, after.terms, page);
    const falseRule = rule && { id: rule.id, truth: rule.truth };
    const lines = nearest(before.terms, after.terms, page);
    return { ...unnamed, verdict: 'unequal', falseRule, nearest: lines, cut: isLong(after.terms) };
  }
  const chance = chanceOf(before.terms, after.terms);
  const order = onlyOrder(before.terms, after.terms);
  if (order) return { ...unnamed, verdict: 'lawful', ...order };
  const { explained, nodes, cut } = explain(before.terms, after.terms, page);
  const [first] = explained;
  if (!first) return { ...unnamed, verdict: 'equal', move: 'unnamed', chance, nodes, cut };
  const readings = explained.map(readingOf);
  return {
    verdict: first.isLawful ? 'lawful' : 'leap',
    off,
    ...named(readings),
    readings,
    between: first.between,
    ...NO_MISTAKE,
    chance,
    nodes,
    cut,
  };
}

function readingOf({ stages, between }: Explained): Reading {
  return { moves: stages.flat(), between: between.map(termsText) };
}

/** The law and the move that all readings share; null where they differ. */
export function named(readings: readonly Reading[]): Pick<Rewriting, 'law' | 'move'> {
  const moves = readings.flatMap((reading) => reading.moves);
  const laws = new Set(moves.map(({ law }) => law));
  const ids = new Set(moves.map((own) => own.move));
  return {
    law: laws.size === 1 ? [...laws][0]! : null,
    move: ids.size === 1 ? [...ids][0]! : null,
  };
}

/** A line with the same terms and factors: the same line again, or in another order or with other brackets. */
function onlyOrder(
  before: readonly Term[],
  after: readonly Term[],
): Pick<Rewriting, 'law' | 'move' | 'readings'> | null {
  if (lineKey(before) !== lineKey(after)) return null;
  if (termsText(before) === termsText(after)) return { law: null, move: null, readings: [] };
  const moves = [moveAt('order', before, after)];
  return { law: 'reorder', move: 'order', readings: [{ moves, between: [] }] };
}

export function isRightVerdict(verdict: Verdict): boolean {
  return verdict === 'lawful' || verdict === 'leap' || verdict === 'equal';
}
