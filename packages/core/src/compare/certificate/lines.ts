import { Exact } from '../../exact/exact.ts';
import type { Amount, Change } from '../../laws/law.ts';
import { valueOf } from '../../laws/written.ts';
import { isOnlyOrder } from '../../laws/written.ts';
import { readExpression } from '../../problem/read-expression.ts';
import type { Expression, Move } from '../expressions.ts';

/** What each term of a certificate is worth. */
export type Worths = ReadonlyMap<string, Exact>;

/** What leaves are read by: the terms with their worths, and how they are written. */
export interface Terms {
  readonly worths: Worths;
  readonly base: number;
  /** The operand whose part a term is; the same for all where terms are of several. */
  readonly operandOf: (term: string) => number;
  /** The text of a term where terms are fractions, `4/18` for two ninths; null where it is told by its worth. */
  readonly textOf: (term: string) => string | null;
  /** The text of a number of the problem where numbers are fractions; null where it is told by its worth. */
  readonly numberText: (operand: number) => string | null;
}

/** A line of a certificate read once: a leaf with its amount, or a bracket. */
export interface Line {
  readonly worth: Exact;
  /** A text that is equal exactly where lines are. */
  readonly key: string;
  /** Empty for a leaf. */
  readonly parts: readonly Line[];
  /** Its amounts in order, without brackets. */
  readonly leaves: readonly Amount[];
  /** The amount of a number of the problem that is given in several terms; null for any other bracket. */
  readonly number: Amount | null;
}

/** Reads a line; a text says what is wrong with one that names no terms or is not worth what it says. */
export function lineOf(expression: Expression, terms: Terms): Line | string {
  if (expression.kind !== 'sum') return leafOf(expression, terms);
  if (expression.parts.length < 2) return 'a bracket holds one amount alone';
  const parts: Line[] = [];
  for (const part of expression.parts) {
    const line = lineOf(part, terms);
    if (typeof line === 'string') return line;
    parts.push(line);
  }
  const leaves = parts.flatMap((part) => part.leaves);
  return {
    worth: Exact.sum(parts.map((part) => part.worth)),
    key: `(${parts.map(({ key }) => key).join(' ')})`,
    parts,
    leaves,
    number: numberOf(leaves, terms),
  };
}

/** Owed terms of one number as that number, written as the problem has it where they are all of it. */
function numberOf(leaves: readonly Amount[], known: Terms): Amount | null {
  const ids = leaves.flatMap((leaf) => [...leaf.terms]);
  const [operand, ...more] = new Set(ids.map(known.operandOf));
  if (operand === undefined || more.length > 0 || !leaves.every(({ owed }) => owed)) return null;
  const worth = Exact.sum(leaves.map((leaf) => leaf.worth));
  const text = known.numberText(operand);
  const written =
    text === null ? null : writtenAs(`${worth.isNegative ? '−' : ''}${text}`, worth, known.base);
  return { worth, terms: new Set(ids), owed: true, written: written || null };
}

function leafOf(leaf: Exclude<Expression, { kind: 'sum' }>, known: Terms): Line | string {
  const owed = leaf.kind === 'product';
  const names = owed ? [leaf.term] : leaf.of;
  const terms = new Set(names);
  const stranger = names.find((term) => !known.worths.has(term));
  if (stranger !== undefined) return `there is no term ${stranger}`;
  if (terms.size !== names.length) return 'a term is named twice';
  const worth = owed ? known.worths.get(leaf.term)! : Exact.parse(leaf.worth);
  const text = leaf.scaled ?? (owed ? known.textOf(leaf.term) : null);
  const written = text === null ? null : writtenAs(text, worth, known.base);
  if (written === false) return `${text} is not worth ${worth}`;
  return {
    worth,
    key: `${owed ? 'o' : 'a'}${worth}|${leaf.scaled ?? ''}|${[...terms].sort().join(',')}`,
    parts: [],
    leaves: [{ worth, terms, owed, written }],
    number: null,
  };
}

/** What is written out, where it is worth what its amount says; else false. Quotients are in figures of the base. */
function writtenAs(text: string, worth: Exact, base: number): Amount['written'] | false {
  const quotient = text.includes('÷') && base !== 10;
  const source = quotient ? text.replaceAll(/[0-9A-F]+(\.[0-9A-F]+)?/g, `$&_${base}`) : text;
  const read = readExpression(source);
  if (!read.ok) return false;
  const made = valueOf(read.expression);
  return made?.equals(worth) ? read.expression : false;
}

/** The amounts of a part, a number of the problem that is cut into terms being one of them. */
function unitsOf(part: Line): readonly Amount[] {
  return part.parts.flatMap((inner) => {
    if (inner.number) return [inner.number];
    return inner.parts.length === 0 ? inner.leaves : unitsOf(inner);
  });
}

function takenOf(part: Line): readonly Amount[] {
  return part.parts.length === 0 ? part.leaves : unitsOf(part);
}

/**
 * How many brackets that are still to be worked out stand inside each other: 0 for an amount alone or a number
 * of the problem in its terms, 1 for a plain sum.
 */
export function depthOf(line: Line): number {
  if (line.parts.length === 0) return 0;
  const inner = line.parts.filter(({ number }) => number === null);
  return 1 + Math.max(0, ...inner.map(depthOf));
}

/** A change with the part of the line before in which it happens. */
export interface PlacedChange {
  readonly change: Change;
  readonly part: Line;
  /** The same change of a number of the problem, where that is one amount and not its terms. */
  readonly asOne?: Change;
}

/** Laws that are looked at over the whole line at once. */
const OF_THE_WHOLE: ReadonlySet<Move['law']> = new Set(['reorder', 'same-change', 'distribute']);

/** Laws whose amounts may be grouped anew: the parts of the next line need not be worth what those of the line before are. */
const REGROUPED: ReadonlySet<Move['law']> = new Set([
  'place-value',
  'like-terms',
  'inverse',
  'unnamed',
]);

/**
 * What changes from one line to the next, part by part: a part of the line before becomes one or several
 * parts of the next that are worth the same. Null when the parts do not go together. Order and the same
 * change are changes of the whole line.
 */
export function changesBetween(
  law: Move['law'],
  before: Line,
  after: Line,
): readonly PlacedChange[] | null {
  if (before.key === after.key) return [];
  if (law === 'reorder') return [placed(before, before.leaves, after.leaves)];
  if (OF_THE_WHOLE.has(law)) {
    const [takes, gives] = withoutCommon(before.leaves, after.leaves);
    return [placed(before, takes, gives)];
  }
  const aligned = align(law, partsOf(before), partsOf(after));
  if (aligned) return aligned;
  const isOne = partsOf(after).length === 1;
  if (!isOne && !REGROUPED.has(law)) return null;
  const [takes, gives] = isOne
    ? [takenOf(before), after.leaves]
    : withoutCommon(before.leaves, after.leaves);
  return [placed(before, takes, gives)];
}

/** Whether the changes of a line are one: a square and its strips belong together, and all shares that are scaled. */
export function isOfTheWhole(law: Move['law'], changes: readonly PlacedChange[]): boolean {
  if (law === 'square') return true;
  return (
    law === 'scale-both' &&
    changes.every(
      ({ change }) =>
        change.takes.every(({ owed }) => owed) && change.gives.every(({ owed }) => owed),
    )
  );
}

/** Several changes of a line as one. */
export function together(part: Line, changes: readonly PlacedChange[]): PlacedChange {
  return placed(
    part,
    changes.flatMap(({ change }) => change.takes),
    changes.flatMap(({ change }) => change.gives),
  );
}

function placed(part: Line, takes: readonly Amount[], gives: readonly Amount[]): PlacedChange {
  return { part, change: { takes, gives } };
}

function partsOf(line: Line): readonly Line[] {
  return line.parts.length === 0 ? [line] : line.parts;
}

/** What a part becomes. A number of the problem is scaled as one amount, and has its places as one or in its terms. */
function inTerms(law: Move['law'], part: Line, gives: readonly Amount[]): PlacedChange {
  const own = placed(part, takenOf(part), gives);
  if (part.number === null) return own;
  const asOne = placed(part, [part.number], gives);
  if (law === 'scale-both') return asOne;
  return law === 'place-value' ? { ...own, asOne: asOne.change } : own;
}

/** Part by part in order: alike but for brackets, or as many parts of the next line as make the same. Parts worth nothing may go. */
function align(
  law: Move['law'],
  old: readonly Line[],
  made: readonly Line[],
): readonly PlacedChange[] | null {
  const changes: PlacedChange[] = [];
  let at = 0;
  for (const part of old) {
    if (made[at]?.key === part.key) {
      at++;
      continue;
    }
    const from = at;
    let sum = Exact.ZERO;
    while (at < made.length && (at === from ? !part.worth.isZero : !sum.equals(part.worth))) {
      sum = sum.plus(made[at]!.worth);
      at++;
    }
    if (!sum.equals(part.worth)) return null;
    const gives = made.slice(from, at).flatMap(({ leaves }) => leaves);
    // A bracket that is left out beside what changes is no change.
    if (isOnlyOrder({ takes: part.leaves, gives })) continue;
    changes.push(inTerms(law, part, gives));
  }
  return at === made.length ? changes : null;
}

/** Both lists without what they have in common. */
function withoutCommon(
  old: readonly Amount[],
  made: readonly Amount[],
): readonly [takes: readonly Amount[], gives: readonly Amount[]] {
  const rest = new Map<string, Amount[]>();
  for (const amount of old) rest.set(keyOf(amount), [...(rest.get(keyOf(amount)) ?? []), amount]);
  const gives = made.filter((amount) => !rest.get(keyOf(amount))?.pop());
  return [[...rest.values()].flat(), gives];
}

function keyOf({ worth, terms, owed, written }: Amount): string {
  return `${owed}${worth}|${[...terms].sort().join(',')}|${written ? JSON.stringify(written) : ''}`;
}
