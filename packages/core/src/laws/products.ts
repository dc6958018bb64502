import { Exact } from '../exact/exact.ts';
import { evaluate } from '../problem/evaluate.ts';
import type { Expression } from '../problem/expression.ts';
import { valueOfKind } from '../problem/problem.ts';
import {
  firstFault,
  held,
  oneForOne,
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
import { denominatorOf } from './numbers.ts';

/** What an expression is worth, or null where it has no exact value. */
export function valueOf(of: Expression): Exact | null {
  const made = evaluate(of);
  return made.ok ? made.value : null;
}

/** An amount falls into amounts of the terms that it holds, each term in one of them; opposites may come with it. */
function alongACut(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  return firstFault(unequal(change), () => {
    if (gives.length === 0) {
      return worthOf(takes).isZero && frame.inFigures ? null : 'nothing is there afterwards';
    }
    if (takes.length === 0 && frame.inFigures) return oppositesFault(gives);
    if (!frame.inFigures && (takes.length !== 1 || gives.length < 2)) {
      return 'it is not one amount that is taken apart';
    }
    const pieces = gives.filter(({ terms }) => terms.size > 0);
    const all = pieces.flatMap(({ terms }) => [...terms]);
    const isApart = new Set(all).size === all.length;
    if (!isApart && !frame.inFigures) return 'a term is in two amounts';
    return sameTerms(new Set(all), held(takes), frame.spent) ? null : 'the terms are not the same';
  });
}

/** What is found counts for the same as what it uses up counts against. */
function oppositesFault(gives: readonly Amount[]): Fault {
  const [found, ...used] = gives;
  const isOf = used.every(({ terms }) => [...terms].every((term) => found!.terms.has(term)));
  return used.length > 0 && isOf ? null : 'what is found is not what is used up';
}

/** Every part of one number with every part of the others, and nothing else. */
function eachWithEach({ takes, gives }: Change, frame: LawFrame): Fault {
  const all = new Set(gives.flatMap(({ terms }) => [...terms]));
  return firstFault(
    takes.length === 0 ? null : 'it is not the whole problem that is taken apart',
    gives.every(({ owed, terms }) => owed && terms.size === 1)
      ? null
      : 'a term is worked out already',
    all.size === gives.length &&
      all.size === frame.terms.size &&
      [...all].every((t) => frame.terms.has(t))
      ? null
      : 'the terms are not every part with every part',
    () =>
      worthOf(gives).equals(valueOfKind(frame.kind, frame.operands))
        ? null
        : 'the terms do not make the problem',
  );
}

/** Products with a factor in common become that factor times a sum. */
function factorOut(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  const [give] = gives;
  const lists = takes.map(({ written }) => (written ? writtenFactors(written).map(textOf) : []));
  const made = give?.written ? writtenFactors(give.written) : [];
  const [first = [], ...rest] = lists;
  const common = first.filter((factor) => rest.every((list) => list.includes(factor)));
  return firstFault(
    unequal(change),
    takes.length > 1 && gives.length === 1 ? null : 'it is not several products made one',
    common.length > 0 && made.some((factor) => common.includes(textOf(factor)))
      ? null
      : 'no factor is common to all',
    otherTerms(change, frame),
  );
}

function textOf(of: Expression): string {
  return JSON.stringify(of);
}

export const DISTRIBUTE: LawRule = {
  law: 'distribute',
  statement: 'A product, or a share, of a sum is the sum of the products, or shares, of its parts.',
  moves: [
    {
      id: 'distribute',
      statement: 'An amount is taken apart along a cut of a number.',
      check: (change, frame) => alongACut(change, frame),
    },
    {
      id: 'each-with-each',
      statement: 'Every part of one number goes with every part of the others.',
      check: eachWithEach,
    },
    { id: 'factor-out', statement: 'A factor that products share is taken out.', check: factorOut },
  ],
};

/** Both numbers of every share are multiplied by one factor. */
function scaleAll(change: Change, frame: LawFrame): Fault {
  const { kind, operands, inFigures, by } = frame;
  return firstFault(oneForOne(change), () => {
    if (inFigures) return frame.script === 'terms' ? 'letters are not scaled' : null;
    if (kind !== 'quotient') return 'it is not a quotient';
    const divisor = operands[1]!;
    const factors = new Set<string>();
    for (const { worth, written } of change.gives) {
      const [top, bottom] =
        written?.kind === 'quotient' ? [written.dividend, written.divisor].map(valueOf) : [];
      if (!top || !bottom || bottom.isZero) return 'a share is not written as one';
      const factor = bottom.dividedBy(divisor);
      if (!top.equals(worth.times(bottom))) return `${top} ÷ ${bottom} is not the share`;
      factors.add(factor.toString());
    }
    if (factors.size !== 1 || factors.has('1')) return 'not all are scaled by one factor';
    return by === null || factors.has(by.toString()) ? null : `they are not scaled by ${by}`;
  });
}

/** Top and bottom of a fraction are multiplied, or divided, by one whole number. */
function rename(change: Change, frame: LawFrame): Fault {
  return firstFault(oneForOne(change), () => {
    if (frame.script !== 'fractions') return 'there is no fraction';
    const scaled = change.takes.map((take, k) => {
      const [before, after] = [denominatorOf(take), denominatorOf(change.gives[k]!)];
      return before !== after && (after % before === 0n || before % after === 0n);
    });
    return scaled.every(Boolean) ? null : 'top and bottom are not scaled by one number';
  });
}

/** Wholes become as many parts as the denominator says, or the other way. */
function wholeAsParts(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  const bottoms = (side: readonly Amount[]) =>
    new Set(side.map(denominatorOf).filter((bottom) => bottom !== 1n));
  return firstFault(unequal(change), otherTerms(change, frame), () => {
    if (frame.script !== 'fractions') return 'there is no fraction';
    if (new Set(takes.map(({ worth }) => worth.isNegative)).size > 1) {
      return 'amounts against each other are worked out';
    }
    // On a paper what is owed is told by its worth alone, in lowest terms.
    if (frame.inFigures) return gives.length <= 2 ? null : 'more than one amount is left';
    const all = new Set([...bottoms(takes), ...bottoms(gives)]);
    const opened = gives.some(({ worth, written }) => written !== null || worth.denominator !== 1n);
    return all.size <= 1 && (opened || all.size === 1) && gives.length <= 2
      ? null
      : 'a whole is not opened into the parts that are there';
  });
}

/** A division by a product is a division by each of its factors. */
function divideByFactors(change: Change, frame: LawFrame): Fault {
  const written = [...change.takes, ...change.gives].map((amount) => amount.written);
  const isQuotient = written.every((of) => of?.kind === 'quotient');
  return firstFault(
    oneForOne(change),
    isQuotient && written.length > 0 ? null : 'it is not a quotient on both sides',
    frame.inFigures ? 'it is not written as a quotient' : null,
  );
}

/** The same amount is written in another way: as a fraction, with a point, in hundredths. */
function otherWriting(change: Change, frame: LawFrame): Fault {
  const isOther = change.gives.some(
    ({ written }, k) => JSON.stringify(written) !== JSON.stringify(change.takes[k]?.written),
  );
  const isWorked = change.takes.every(({ owed }) => !owed);
  return firstFault(
    oneForOne(change),
    isOther && isWorked ? null : 'it is written as before',
    frame.script === 'fractions' ? null : 'there is nothing to write otherwise',
    () =>
      change.gives.every(({ written }) => written === null) ? null : 'a fraction stands there',
  );
}

export const SCALE_BOTH: LawRule = {
  law: 'scale-both',
  statement:
    'A quotient, and so a fraction, stays when both its numbers are multiplied by one factor.',
  moves: [
    { id: 'scale', statement: 'Both numbers of a quotient are scaled alike.', check: scaleAll },
    {
      id: 'rename',
      statement: 'Top and bottom of a fraction are scaled alike: n/n is one.',
      check: rename,
    },
    {
      id: 'whole-as-parts',
      statement: 'A whole is as many parts as the denominator says.',
      check: wholeAsParts,
    },
    {
      id: 'divide-by-factors',
      statement: 'To divide by a product is to divide by each of its factors.',
      check: divideByFactors,
    },
    { id: 'other-writing', statement: 'The same number in another writing.', check: otherWriting },
  ],
};

/** Pieces of a number are written as a square, or as the strips that a further digit lays around one. */
function square(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  // Named identities of one's own lines: (a ± b)², (a + b)(a − b).
  if (frame.isOwn) return unequal(change);
  if (frame.kind !== 'root') return 'there is no root';
  if (frame.inFigures) {
    const isLaid = takes.length === 0 && (gives.length === 0 || oppositesFault(gives) === null);
    return firstFault(unequal(change), isLaid ? null : 'what is laid is not what is used up');
  }
  return firstFault(unequal(change), otherTerms(change, frame), () => {
    let side: Exact | null = null;
    for (const { worth, written } of gives) {
      if (!written) continue;
      const made = valueOf(written);
      if (!made?.equals(worth)) return 'what is written is not what it is worth';
      const width: Exact | null = side === null ? sideOf(written) : stripWidth(written, side);
      if (!width) return 'it is no square, and no strip around the one before';
      side = side === null ? width : side.plus(width);
    }
    return side === null ? 'nothing is written as a square' : null;
  });
}

/** The side of `86^2`, `(80+6)^2`. */
function sideOf(of: Expression): Exact | null {
  return of.kind === 'power' &&
    valueOf({ kind: 'number', numeral: of.exponent })?.equals(Exact.of(2))
    ? valueOf(of.of)
    : null;
}

/** The width w of `(2*s+w)*w` around a square of side s. */
function stripWidth(of: Expression, side: Exact): Exact | null {
  const [twice, width, ...more] = writtenFactors(of);
  if (!twice || !width || more.length > 0 || twice.kind !== 'sum') return null;
  const [two, again, ...rest] = twice.parts;
  const made = valueOf(width);
  const fits =
    two &&
    again &&
    rest.length === 0 &&
    !two.minus &&
    !again.minus &&
    valueOf(two.of)?.equals(side.times(Exact.of(2))) &&
    made &&
    valueOf(again.of)?.equals(made);
  return fits ? made : null;
}

export const SQUARE: LawRule = {
  law: 'square',
  statement:
    'The square of a sum is a square, and a square with two strips and a corner for every part that is added.',
  moves: [
    { id: 'square', statement: 'Pieces are laid as a square and strips around it.', check: square },
  ],
};

/** A number is written as factors, then equal ones in pairs as a square. */
function pairFactors(change: Change, frame: LawFrame): Fault {
  const [take] = change.takes;
  const [give] = change.gives;
  return firstFault(oneForOne(change), () => {
    if (frame.kind !== 'root') return 'there is no root';
    if (frame.inFigures) return null;
    if (change.takes.length !== 1 || !give?.written) return 'it is not one number as factors';
    if (!valueOf(give.written)?.equals(give.worth)) return 'the factors do not make it';
    if (take!.written && writtenFactors(take!.written).some(isSquareOfASum)) {
      return 'a square of a sum is no pair of factors';
    }
    if (!take!.written) return writtenFactors(give.written).length > 0 ? null : 'it has no factors';
    const [before, after] = [take!.written, give.written].map((of) =>
      factorsUnpaired(of)
        .filter((factor) => factor !== '1')
        .sort()
        .join(),
    );
    return before === after ? null : 'the factors are not the same';
  });
}

function isSquareOfASum(of: Expression): boolean {
  return of.kind === 'power' && of.of.kind === 'sum';
}

/** All factors in a row, each of a square twice. */
function factorsUnpaired(of: Expression): string[] {
  return writtenFactors(of).flatMap((factor) => {
    if (factor.kind !== 'power') return [String(valueOf(factor))];
    const once = writtenFactors(factor.of).map((one) => String(valueOf(one)));
    return [...once, ...once];
  });
}

export const PAIR_FACTORS: LawRule = {
  law: 'pair-factors',
  statement: 'Two equal factors under a root are one of them before it.',
  moves: [
    {
      id: 'pair-factors',
      statement: 'A number is written as factors, equal ones in pairs.',
      check: pairFactors,
    },
  ],
};

export const UNNAMED: LawRule = {
  law: 'unnamed',
  statement: 'Both sides are worked out, and are the same amount.',
  moves: [
    {
      id: 'unnamed',
      statement: 'Amounts are replaced by others of the same worth, and no law is told.',
      check: (change, frame) =>
        frame.isOwn ? unequal(change) : 'only one’s own lines may leave a law unnamed',
    },
  ],
};

/** Powers of numbers: one product is written as another, of the same terms; in a sum there are none to put together. */
function powers({ takes, gives }: Change, { kind, spent }: LawFrame): Fault {
  if (kind !== 'product' && kind !== 'expression') return 'there are no powers';
  const [only, ...more] = gives;
  const isOne =
    only !== undefined && more.length === 0 && sameTerms(only.terms, held(takes), spent);
  return isOne ? null : 'it is not one product';
}

/** Terms with the same letters become one. */
function likeTerms(change: Change, frame: LawFrame): Fault {
  const { takes, gives } = change;
  return firstFault(unequal(change), () => {
    // In one's own lines powers of numbers are put together, or written out, as letters are: 2² · 2³ for 2⁵.
    if (frame.script !== 'terms')
      return frame.isOwn ? powers(change, frame) : 'there are no letters';
    if (takes.length < 2 && !frame.inFigures) return 'one term alone is put with nothing';
    if (gives.some(({ owed }) => owed)) return 'nothing is put together';
    const kinds = new Set(
      takes.flatMap(({ worth }) => worth.parts().map(({ letters }) => letters)),
    );
    if (gives.length === 0) return null;
    if (gives.length > 1) return 'more than one term is left';
    // In a stage of several every amount is as many times as the brackets to come say.
    const isStage = frame.inFigures && frame.operands.length > 2;
    return kinds.size <= 1 || isStage || worthOf(takes).isZero
      ? otherTerms(change, frame)
      : 'the letters are not alike';
  });
}

export const LIKE_TERMS: LawRule = {
  law: 'like-terms',
  statement: 'Terms with the same letters are counted together.',
  moves: [{ id: 'like-terms', statement: 'Like terms become one term.', check: likeTerms }],
};
