import { rowOf } from '../account/row-of.ts';
import type { EntryId, Group, GroupRole } from '../account/account.ts';
import { owedEntries } from '../account/owed.ts';
import { TermSet } from '../account/terms.ts';
import type { Exact } from '../exact/exact.ts';
import type { Amount, Comparison } from './comparison.ts';
import type { Lane } from './comparison.ts';

/** Groups of different methods that hold exactly the same terms. */
export interface SameAmount {
  readonly terms: TermSet;
  readonly worth: Exact;
  readonly members: readonly { readonly lane: number; readonly group: Group }[];
}

/** All amounts that at least two methods gather into a group. Smallest sets of terms first. */
export function sameAmounts(comparison: Comparison): readonly SameAmount[] {
  const byTerms = new Map<string, { amount: Amount; members: { lane: number; group: Group }[] }>();
  comparison.lanes.forEach((lane, k) => {
    for (const amount of lane.amounts) {
      if (!amount.exact || amount.terms.isEmpty) continue;
      const found = byTerms.get(amount.terms.key) ?? { amount, members: [] };
      found.members.push({ lane: k, group: amount.group });
      byTerms.set(amount.terms.key, found);
    }
  });
  return [...byTerms.values()]
    .filter(({ members }) => new Set(members.map((member) => member.lane)).size > 1)
    .map(({ amount, members }) => ({ terms: amount.terms, worth: amount.group.worth, members }))
    .sort((a, b) => a.terms.size - b.terms.size);
}

/**
 * How another method holds an amount: `same` as one group or one owed product; `scattered` over
 * groups that make it up but are not gathered; `within` one larger group; or only `overlap`.
 */
export type Relation = 'same' | 'scattered' | 'within' | 'overlap' | 'none';

export interface Counterpart {
  readonly lane: number;
  readonly relation: Relation;
  readonly groups: readonly Group[];
  /** The marks to light up, and the owed entry when the amount is one product. */
  readonly entries: readonly EntryId[];
}

/** What is pointed at: a mark, a given, a group, or a bare set of terms of the shared picture. */
export type Pointed =
  | { readonly kind: 'entry'; readonly lane: number; readonly id: EntryId }
  | { readonly kind: 'group'; readonly lane: number; readonly id: string }
  | { readonly kind: 'terms'; readonly terms: TermSet };

/** The amount people mean when they point: the thing itself and the group it is read in. */
export interface Subject {
  readonly worth: Exact;
  readonly terms: TermSet;
  readonly lane: number | null;
  readonly entry: EntryId | null;
  /** The smallest group that holds the pointed entry, or the pointed group. */
  readonly group: Group | null;
  /** The terms whose counterparts are looked for: the group's when the entry is only part of it. */
  readonly lookFor: TermSet;
  readonly counterparts: readonly Counterpart[];
}

/** Finds what is pointed at in its own method and in all others. Null for a stale pointer. */
export function pointAt(comparison: Comparison, pointed: Pointed): Subject | null {
  const found = locate(comparison, pointed);
  if (!found) return null;
  const counterparts = comparison.lanes.map((lane, k) => counterpart(lane, k, found.lookFor));
  return { ...found, counterparts };
}

function locate(comparison: Comparison, pointed: Pointed): Omit<Subject, 'counterparts'> | null {
  if (pointed.kind === 'terms') {
    const { terms } = pointed;
    return { worth: terms.worth(), terms, lane: null, entry: null, group: null, lookFor: terms };
  }
  const lane = comparison.lanes[pointed.lane];
  if (!lane) return null;
  if (pointed.kind === 'group') {
    const amount = lane.amounts.find((candidate) => candidate.group.id === pointed.id);
    if (!amount) return null;
    const { group, terms } = amount;
    return { worth: group.worth, terms, lane: pointed.lane, entry: null, group, lookFor: terms };
  }
  return locateEntry(lane, pointed.lane, pointed.id);
}

function locateEntry(lane: Lane, index: number, id: EntryId): Omit<Subject, 'counterparts'> | null {
  const entry = lane.find(id);
  if (!entry) return null;
  const row = entry.standing === 'marked' ? rowOf(lane.trace, entry) : null;
  // A number of a row is no amount by itself: the row is.
  if (row) return { ...locateEntry(lane, index, row.id)!, entry: id };
  const terms = lane.termsOf(id);
  const home = entry.standing === 'marked' ? homeOf(lane, id) : null;
  const alone = entry.standing !== 'marked' || entry.worth.equals(terms.worth());
  const lookFor = !alone && home?.exact ? home.terms : terms;
  return { worth: entry.worth, terms, lane: index, entry: id, group: home?.group ?? null, lookFor };
}

/** The smallest group a mark is read in; exact groups before those that only gather by place. */
function homeOf(lane: Lane, id: EntryId): Amount | null {
  const homes = lane.amounts.filter((amount) => amount.group.marks.includes(id));
  const exact = homes.filter((amount) => amount.exact);
  return smallest(exact.length > 0 ? exact : homes);
}

function smallest(amounts: readonly Amount[]): Amount | null {
  return amounts.reduce<Amount | null>(
    (least, amount) => (least && least.terms.size <= amount.terms.size ? least : amount),
    null,
  );
}

function counterpart(lane: Lane, index: number, terms: TermSet): Counterpart {
  const none: Counterpart = { lane: index, relation: 'none', groups: [], entries: [] };
  if (terms.isEmpty) return none;
  const exact = lane.amounts.filter((amount) => amount.exact && !amount.terms.isEmpty);
  const same = exact.filter((amount) => amount.terms.equals(terms));
  if (same.length > 0) return made(lane, index, 'same', bestGathered(same), terms);
  if (givesItself(lane, terms)) return made(lane, index, 'same', [], terms);
  const pieces = cover(exact, terms);
  if (pieces) return made(lane, index, 'scattered', pieces, terms);
  const around = smallest(exact.filter((amount) => terms.isWithin(amount.terms)));
  if (around)
    return made(
      lane,
      index,
      around.group.role === 'answer' ? 'overlap' : 'within',
      [around],
      terms,
    );
  return made(
    lane,
    index,
    'overlap',
    exact.filter((amount) => amount.terms.intersects(terms) && amount.group.role !== 'answer'),
    terms,
  );
}

/** Whether these very terms are a figure or number of the question on the method's own paper. */
function givesItself({ trace, termsOf }: Lane, terms: TermSet): boolean {
  return trace.givens.some(({ owed }) => owed !== null && termsOf(owed).equals(terms));
}

/** Roles of groups that are only seen together; their marks are added in some later step. */
const BY_EYE: ReadonlySet<GroupRole> = new Set(['row', 'column', 'diagonal']);

/** Whether the marks of a group are read as one number, not only seen together. */
export function isOneNumber(group: Group): boolean {
  return !BY_EYE.has(group.role);
}

/**
 * Of groups with the same terms, the one that is best called the amount: a number before what is only
 * seen together, and a total (fewest marks) before what it totals.
 */
function bestGathered(same: readonly Amount[]): readonly Amount[] {
  const numbers = same.filter(({ group }) => isOneNumber(group));
  const best = (numbers.length > 0 ? numbers : same).reduce((a, b) =>
    b.group.marks.length < a.group.marks.length ? b : a,
  );
  return [best];
}

/** Disjoint groups that together hold exactly these terms, largest first; null when there are none. */
function cover(exact: readonly Amount[], terms: TermSet): readonly Amount[] | null {
  const inside = exact
    .filter((amount) => amount.terms.isWithin(terms))
    .sort((a, b) => b.terms.size - a.terms.size || a.group.marks.length - b.group.marks.length);
  const chosen: Amount[] = [];
  let held = TermSet.empty(terms.space);
  for (const amount of inside) {
    if (amount.terms.intersects(held)) continue;
    chosen.push(amount);
    held = TermSet.union(terms.space, [held, amount.terms]);
  }
  return chosen.length > 0 && held.equals(terms) ? chosen : null;
}

function made(
  lane: Lane,
  index: number,
  relation: Relation,
  amounts: readonly Amount[],
  terms: TermSet,
): Counterpart {
  const groups = amounts.map((amount) => amount.group);
  const owed = owedEntries(lane.trace).filter((entry) => {
    const own = lane.termsOf(entry.id);
    return !own.isEmpty && own.isWithin(terms);
  });
  const entries = [...groups.flatMap((group) => group.marks), ...owed.map((entry) => entry.id)];
  return { lane: index, relation, groups, entries };
}
