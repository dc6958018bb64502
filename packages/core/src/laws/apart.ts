import { isPlain } from '../line/kinds.ts';
import { type Node, type Term, termValue, turned } from '../line/node.ts';
import { arePlacesOf } from '../line/places.ts';
import { ALL } from './evaluate/worked-out.ts';
import {
  type Change,
  type Fault,
  firstFault,
  held,
  type LawFrame,
  sameTerms,
  unequal,
} from './law.ts';
import type { Used } from './used.ts';

/** One number becomes several that make it. */
export function partsFault(change: Change, frame: LawFrame, mixed: boolean): Fault {
  const { takes, gives } = change;
  return firstFault(
    unequal(change),
    (takes.length === 1 || frame.isOwn) && gives.length > 1
      ? null
      : 'it is not one number taken apart',
    // In one's own lines every part holds its own piece; that together they hold the same is audited cell by cell.
    () =>
      frame.isOwn || gives.every(({ terms }) => sameTerms(terms, held(takes), frame.spent))
        ? null
        : ALL,
    () => {
      const signs = new Set(gives.map(({ worth }) => worth.isNegative));
      return mixed === signs.size > 1 ? null : 'a part is taken back';
    },
  );
}

/** How one number is taken apart. */
export interface Apart {
  readonly as: 'places' | 'parts' | 'overshoot';
  readonly used: Used;
}

/** One number that becomes several: its places, other parts, or more and a part taken back; null for all else. */
export function apartFrom(old: readonly Term[], made: readonly Term[], base: number): Apart | null {
  const [only, ...more] = old;
  if (!only || more.length > 0 || made.length < 2 || !isPlain(only.node)) return null;
  if (!made.every(({ node }) => isPlain(node))) return null;
  const told = only.minus ? turned(made) : made;
  const used = { kind: 'cut', of: only.node, parts: told } as const;
  return { as: kindOfParts(only.node, told, base), used };
}

function kindOfParts(whole: Node, made: readonly Term[], base: number): Apart['as'] {
  if (whole.kind === 'mixed') return isWholeAndPart(whole, made) ? 'places' : 'parts';
  const parts = made.map((term) => termValue(term).rational!);
  if (arePlacesOf(whole.value.rational!, parts, base)) return 'places';
  return new Set(parts.map((part) => part.isNegative)).size > 1 ? 'overshoot' : 'parts';
}

function isWholeAndPart(node: Extract<Node, { kind: 'mixed' }>, made: readonly Term[]): boolean {
  const keys = made.map((term) => term.node.key).sort();
  return made.length === 2 && keys.join() === [node.whole.key, node.part.key].sort().join();
}
