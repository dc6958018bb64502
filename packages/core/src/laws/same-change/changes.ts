import {
  type Amount,
  type Change,
  type Fault,
  firstFault,
  held,
  type LawFrame,
  unequal,
  worthOf,
} from '../law.ts';

/**
 * The size of a change between amounts of the same terms, one for each; null when they do not go together. What
 * stands nowhere afterwards has become nothing.
 */
function changesOf({ takes, gives }: Change, frame: LawFrame): readonly Delta[] | null {
  const used = new Set<Amount>();
  const deltas: Delta[] = [];
  for (const give of gives) {
    const own = takes.filter((take) => !used.has(take) && isOf(take, give)).slice(0, most(give));
    if (give.terms.size > 0 && held(own).size !== give.terms.size) return null;
    for (const take of own) used.add(take);
    deltas.push({ terms: give.terms, by: give.worth.minus(worthOf(own)) });
  }
  const gone = takes.filter((take) => !used.has(take));
  for (const own of byOperand(gone, frame)) {
    if (!isWholeOperand(own, frame)) return null;
    deltas.push({ terms: held(own), by: worthOf(own).negate() });
  }
  return deltas;
}

/** An amount of some terms is made of all that hold no others; one of none goes on from another of none. */
function isOf(take: Amount, give: Amount): boolean {
  if (give.terms.size === 0) return take.terms.size === 0;
  return take.terms.size > 0 && [...take.terms].every((term) => give.terms.has(term));
}

function most(give: Amount): number | undefined {
  return give.terms.size === 0 ? 1 : undefined;
}

/** Amounts of one number of the problem together. */
function byOperand(amounts: readonly Amount[], { partsOf }: LawFrame): readonly Amount[][] {
  const groups = new Map<number, Amount[]>();
  for (const amount of amounts) {
    const operand = [...amount.terms].flatMap(partsOf)[0]?.operand ?? -1;
    groups.set(operand, [...(groups.get(operand) ?? []), amount]);
  }
  return [...groups.values()];
}

/** Whether amounts are all of one number of the problem. */
function isWholeOperand(amounts: readonly Amount[], { partsOf, terms }: LawFrame): boolean {
  const own = held(amounts);
  const operand = [...own].flatMap(partsOf)[0]?.operand;
  return [...terms].every((term) => own.has(term) || partsOf(term)[0]?.operand !== operand);
}

interface Delta {
  readonly terms: ReadonlySet<string>;
  readonly by: ReturnType<typeof worthOf>;
}

/** Amounts keep their terms and change by amounts that are together worth nothing. */
export function sameChange(change: Change, frame: LawFrame, kind: 'sum' | 'difference'): Fault {
  const { takes, gives } = change;
  return firstFault(unequal(change), () => {
    if (frame.script === 'terms') return 'letters are not changed alike';
    if (frame.isOwn) return changesTwo(gives, kind);
    if (frame.kind !== kind) return `it is not a ${kind}`;
    const deltas = changesOf({ takes, gives }, frame);
    if (!deltas) return 'an amount is of other terms than before';
    const changed = deltas.filter(({ by }) => !by.isZero);
    if (changed.length < 2) return 'nothing is changed';
    const sizes = new Set(changed.map(({ by }) => by.absolute().toString()));
    if (changed.length % 2 !== 0 || sizes.size !== 1) return 'the changes are not alike';
    return frame.by === null || sizes.has(frame.by.absolute().toString())
      ? null
      : `the change is not ${frame.by}`;
  });
}

/** Of one's own lines: two numbers, added or one taken away, are there afterwards. */
function changesTwo(gives: readonly Amount[], kind: 'sum' | 'difference'): Fault {
  const below = gives.filter(({ worth }) => worth.isNegative).length;
  const isKind = kind === 'difference' ? below === 1 : below !== 1;
  return gives.length === 2 && isKind ? null : `it is not a ${kind} of two numbers`;
}
