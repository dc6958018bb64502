import { termShape } from '../problem/kinds.ts';
import { numeralValue } from '../exact/numeral.ts';
import { barOf, expressionText, isFraction, type Expression } from '../problem/expression.ts';
import {
  firstFault,
  held,
  left,
  otherTerms,
  sameTerms,
  unequal,
  worthOf,
  writtenFactors,
  type Amount,
  type Change,
  type Fault,
  type LawFrame,
  type LawRule,
} from './law.ts';
import { lastPlace } from './regrouping.ts';

/** A sum, a product, a quotient or a power of numbers becomes the number that it makes. */
function workedOut(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  return firstFault(unequal(change), () => {
    if (gives.length === 0) return null;
    if (gives.length > 1 && !frame.inFigures) return 'it is not worked out to one number';
    // Beside letters numbers are numbers in anyone's own lines; methods gather them as like terms.
    const areNumbers = frame.isOwn && takes.every(({ worth }) => worth.isConstant);
    if (frame.script === 'terms' && !isOneTerm(takes) && !areNumbers)
      return 'terms are put together, not worked out';
    if (frame.script === 'fractions' && !areLikeParts(change, frame))
      return 'the parts are not alike';
    if (gives.some(({ owed }) => owed)) return 'nothing is worked out';
    if (gives.some((give) => isUnworked(give, takes[0]!))) {
      return 'what stands there is still to be worked out';
    }
    if (!gives.some((give) => isOfAll(give, change, frame)))
      return otherTerms(change, frame) ?? ALL;
    return gives.length === 1 ? null : figuresFault(change, frame);
  });
}

/** Whether a product or power is written that is itself to be worked out; a square of one number may stand for one. */
function isUnworked({ written }: Amount, take: Amount): boolean {
  if (written?.kind !== 'product' && written?.kind !== 'power') return false;
  const squares = (of: Amount['written']) =>
    of ? writtenFactors(of).flatMap((factor) => (factor.kind === 'power' ? [factor.of] : [])) : [];
  const isSquare = squares(written).every((root) => root.kind === 'number');
  return !isSquare || squares(written).length === 0 || squares(take.written).length === 0;
}

const ALL = 'what is worked out is not of all terms that went into it';

function isOneTerm(takes: readonly Amount[]): boolean {
  return takes.length === 1;
}

/** Of all terms that went into it, or, on the paper of a quotient or root, of those that are left. */
function isOfAll(
  { terms }: Amount,
  { takes }: Change,
  { spent, inFigures, kind }: LawFrame,
): boolean {
  if (sameTerms(terms, held(takes), spent)) return true;
  const isPiecewise = inFigures && termShape(kind) === 'pieces';
  return isPiecewise && sameTerms(terms, left(takes), spent);
}

/** What is worked out and written figure by figure: each figure is of all terms, and a count of its place. */
function figuresFault(change: Change, frame: LawFrame): Fault {
  const other = change.gives.find((give) => !isOfAll(give, change, frame));
  if (other) return ALL;
  return change.gives.every(({ worth }) => lastPlace(worth, frame.base) !== null)
    ? null
    : 'it is not written in places';
}

/** Whether all fractions have one denominator, which what they make then has too, or a part of it. */
function areLikeParts({ takes, gives }: Change, { inFigures }: LawFrame): boolean {
  const isTold = [...takes, ...gives].every(({ written }) => written !== null);
  if (inFigures && !isTold) return true;
  const bottoms = [...new Set(takes.map(denominatorOf).filter((bottom) => bottom !== 1n))];
  const [only = 1n] = bottoms;
  return bottoms.length <= 1 && gives.every((give) => only % denominatorOf(give) === 0n);
}

/** The denominator that an amount is written with. */
export function denominatorOf({ worth, written }: Amount): bigint {
  const of = written?.kind === 'negative' ? written.of : written;
  if (of && (of.kind === 'mixed' || isFraction(of)))
    return numeralValue(barOf(of).bottom).numerator;
  return worth.denominator;
}

/** One number becomes several that make it. */
function parts(change: Change, frame: LawFrame, mixed: boolean): Fault {
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

export const EVALUATE: LawRule = {
  law: 'evaluate',
  statement: 'What a sum, product, quotient or power of numbers makes may stand in its place.',
  moves: [
    {
      id: 'worked-out',
      statement: 'Numbers are worked out to the one number that they make.',
      check: workedOut,
    },
    {
      id: 'parts',
      statement: 'A number is taken apart into numbers that make it.',
      check: (change, frame) => parts(change, frame, false),
    },
    {
      id: 'overshoot',
      statement: 'A number is written as a larger one with something taken back.',
      check: (change, frame) => parts(change, frame, true),
    },
  ],
};

/** Amounts change their places and brackets, and nothing else. */
function order(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  if (frame.inFigures) return firstFault(unequal(change), otherTerms(change, frame));
  const rest = [...takes];
  for (const give of gives) {
    const at = rest.findIndex((take) => isAlike(take, give));
    if (at < 0) return `${give.worth} was not there before`;
    rest.splice(at, 1);
  }
  return rest.length === 0 ? null : `${rest[0]!.worth} is gone`;
}

export function isAlike(a: Amount, b: Amount): boolean {
  return (
    a.worth.equals(b.worth) &&
    a.owed === b.owed &&
    a.terms.size === b.terms.size &&
    [...a.terms].every((term) => b.terms.has(term)) &&
    JSON.stringify(a.written) === JSON.stringify(b.written)
  );
}

/** Factors of one product go into another of the same worth. */
function factorsMoved(change: Change, frame: LawFrame): Fault {
  const [take, ...more] = change.takes;
  const [give, ...others] = change.gives;
  if (!take?.written || !give?.written || more.length + others.length > 0) {
    return 'it is not one product for another';
  }
  const isProduct = [take.written, give.written].every((of) => writtenFactors(of).length > 1);
  return firstFault(
    unequal(change),
    otherTerms(change, frame),
    isProduct ? null : 'it is not a product on both sides',
  );
}

export const REORDER: LawRule = {
  law: 'reorder',
  statement:
    'The addends of a sum, and the factors of a product, may stand in any order and in any brackets.',
  moves: [
    { id: 'order', statement: 'Amounts change places and brackets only.', check: order },
    {
      id: 'factors-moved',
      statement: 'A factor of one number of a product is given to another.',
      check: factorsMoved,
    },
  ],
};

/** An amount and its opposite are let go; what else there was stays, or is worked out with it. */
function addTakeBack(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  return firstFault(unequal(change), () => {
    if (frame.isOwn && takes.length === 0) return gives.length === 2 ? null : 'it is no pair';
    const [take, give] = [takes[0], gives[0]];
    // Within a bracket the pair is seen in what is written, not in what is worth something.
    if (frame.isOwn && take && give && takes.length + gives.length === 2) {
      const isSeen = [take, give].some(({ line }) => line && holdsOpposites(line));
      return isSeen
        ? otherTerms(change, frame)
        : 'no amount stands beside its opposite in a bracket';
    }
    const pair = takes.find(({ worth }) =>
      takes.some((other) => !worth.isZero && other.worth.equals(worth.negate())),
    );
    if (!pair) return 'nothing is there beside its opposite';
    if (gives.length > 1) return 'more than one amount is left';
    return otherTerms(change, frame);
  });
}

/** Whether somewhere in an expression a sum has a number or bracket and the same with the other sign. */
function holdsOpposites(of: Expression): boolean {
  switch (of.kind) {
    case 'sum': {
      const told = of.parts.map(({ minus, of: part }) => ({ minus, text: expressionText(part) }));
      const isPair = told.some((one) =>
        told.some((other) => one.text === other.text && one.minus !== other.minus),
      );
      return isPair || of.parts.some((part) => holdsOpposites(part.of));
    }
    case 'product':
      return of.factors.some(holdsOpposites);
    case 'quotient':
      return holdsOpposites(of.dividend) || holdsOpposites(of.divisor);
    case 'negative':
    case 'power':
    case 'root':
      return holdsOpposites(of.of);
    default:
      return false;
  }
}

/** What must be added to one amount to make the other is what their difference is. */
function findPart(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  return firstFault(
    unequal(change),
    gives.length === 1 && takes.length > 1 ? null : 'it is not one part that is found',
    () => (takes.some(({ worth }) => worth.isNegative) ? null : 'nothing is taken away'),
    otherTerms(change, frame),
  );
}

export const INVERSE: LawRule = {
  law: 'inverse',
  statement: 'Adding and taking away the same leaves everything as it was.',
  moves: [
    {
      id: 'add-take-back',
      statement: 'An amount and its opposite are let go, or put in.',
      check: (change, frame) => addTakeBack(change, frame),
    },
    {
      id: 'find-part',
      statement: 'The part that is missing between two numbers is their difference.',
      check: (change, frame) =>
        frame.isOpen ? findPart(change, frame) : 'it is not read as an open sentence',
    },
  ],
};

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
function sameChange(change: Change, frame: LawFrame, kind: 'sum' | 'difference'): Fault {
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

export const SAME_CHANGE: LawRule = {
  law: 'same-change',
  statement:
    'A difference stays when both numbers change alike, a sum when one gives what the other takes.',
  moves: [
    {
      id: 'same-change',
      statement: 'The same is added to, or taken from, both numbers of a difference.',
      check: (change, frame) => sameChange(change, frame, 'difference'),
    },
    {
      id: 'give-and-take',
      statement: 'One addend gives what another, or a correction, takes.',
      check: (change, frame) => sameChange(change, frame, 'sum'),
    },
  ],
};
