import { slipOf } from '../../slips/catalogue.ts';
import { beyondOf, cellBeyond, NOTHING_BEYOND } from '../../account/beyond.ts';
import { where } from '../../account/chance.ts';
import type { Entry, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue } from '../../exact/numeral.ts';
import { definePhrases, fixed, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { defineMethod, type HopVerdict } from '../method.ts';
import {
  acceptsDifference,
  isPositive,
  roundingChange,
  toNearest,
  wholeCut,
} from '../shared/sums.ts';
import { changeNote, wholeWriting } from '../shared/whole.ts';
import { twoNumbers, type TwoNumbers } from './two-rows.ts';

type ChangeValues = {
  readonly change: Exact;
  readonly minuend: Exact;
  readonly subtrahend: Exact;
  readonly slip: string;
};

const changed: Wording<ChangeValues> = {
  digit: ({ change, minuend, subtrahend, slip }, say) => {
    const sign = isPositive(change) ? '+' : '−';
    const by = `${sign} ${say.amount(change.absolute())}`;
    const result = `**${say.amount(minuend)}** − **${say.amount(subtrahend)}**`;
    if (slip === 'one-changed') return `${by} below only: ${result}.`;
    if (slip === 'opposite') return `${by} below and the opposite above: ${result}.`;
    return `${by} to both: ${result}.`;
  },
  value: ({ change, minuend, subtrahend, slip }, say) => {
    const by = say.amount(change.absolute());
    const act = isPositive(change) ? 'larger' : 'smaller';
    const result = `**${say.amount(minuend)}** and **${say.amount(subtrahend)}**`;
    if (slip === 'one-changed')
      return `Only the number taken away is made ${by} ${act}: ${result}, and the difference changes.`;
    if (slip === 'opposite')
      return `One number is made ${by} larger and the other ${by} smaller: ${result}, and the difference changes.`;
    return `Both numbers are made ${by} ${act}: ${result} lie just as far apart.`;
  },
};

type TakeValues = { readonly minuend: Exact; readonly subtrahend: Exact; readonly to: Exact };

const phrases = definePhrases({
  'same-change.both': changed,
  'same-change.take': {
    digit: ({ minuend, subtrahend, to }: TakeValues, say) =>
      `${say.amount(minuend)} − ${say.amount(subtrahend)} = **${say.amount(to)}**.`,
    value: ({ minuend, subtrahend, to }: TakeValues, say) =>
      `${say.minus(say.amount(minuend), say.amount(subtrahend))} ${to.isNegative ? 'is' : 'leaves'} **${say.amount(to)}**.`,
  },
  'same-change.answer': fixed('answer of the compensation'),
});

const { phrase } = phrases;

export const compensationSubtraction = defineMethod({
  id: 'compensation-subtraction',
  family: 'subtraction',
  name: 'Compensation in a difference',
  shortName: 'Compensation',
  alsoCalled: ['the same change to both', 'sliding both numbers'],
  summary:
    'Both numbers get the same change, so that an easy one is taken away and the difference stays.',
  why: 'When both numbers change alike, they stay as far apart as they were.',
  medium: 'either',
  direction: 'whole numbers at once',
  freeOrder: false,
  schools: [
    {
      id: 'round-to',
      label: 'Round to',
      options: [
        {
          id: 'nearest',
          label: 'the nearest round number',
          reason: 'The smallest change that makes the subtrahend easy.',
        },
        {
          id: 'leading-place',
          label: 'its leading place',
          reason: 'Only one figure is left to take away, after a larger change.',
        },
      ],
    },
  ],
  slips: [slipOf('one-changed'), slipOf('opposite')],
  ownHops: {
    name: 'change',
    hint: 'Type what to add to both numbers, such as +13 or −7.',
    most: 6,
    from: ({ operands }, hops) => numeralValue(operands[1]!).plus(Exact.sum(hops)),
    judge: judgeChanges,
  },
  linesLike: { rank: 2, moves: ['same-change'], hops: 'change', named: 'change' },
  phrases: phrases.book,
  accepts: acceptsDifference(true),
  work,
  sheet,
});

function judgeChanges(problem: Problem, changes: readonly Exact[]): readonly HopVerdict[] {
  const { minuend, subtrahend } = twoNumbers(problem);
  let [above, below] = [numeralValue(minuend), numeralValue(subtrahend)];
  return changes.map((change): HopVerdict => {
    if (change.isZero) return { ok: false, fault: 'A change of nothing changes nothing.' };
    above = above.plus(change);
    below = below.plus(change);
    if (above.isNegative || below.isNegative) {
      return { ok: false, fault: `${change.absolute()} is more than one of the numbers has.` };
    }
    return { ok: true, lands: below, left: Exact.ZERO };
  });
}

function ownChange({ subtrahend }: TwoNumbers, school: School): readonly Exact[] {
  const leading = toNearest(
    numeralValue(subtrahend),
    subtrahend.base,
    subtrahend.digits.length - 1,
  );
  const change = school['round-to'] === 'leading-place' ? leading : roundingChange(subtrahend);
  return change.isZero ? [] : [change];
}

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const numbers = twoNumbers(problem);
  const { base } = problem;
  scribe.openSum(problem.operands.map(wholeCut));
  problem.operands.forEach((_, row) => scribe.giveWhole(row, { area: 'given', row, column: 0 }));
  let [minuend, subtrahend] = [numeralValue(numbers.minuend), numeralValue(numbers.subtrahend)];
  let [above, below]: Entry[] = [scribe.owes(0, 0), scribe.owes(1, 0)];
  const changes =
    scribe.hops.length > 0 ? scribe.hops : fitting(ownChange(numbers, school), minuend);
  changes.forEach((change, column) => {
    const at = where('hop', column);
    const cell = `beyond.${column}`;
    const changed = (worth: Exact, row: number, more: Parameters<typeof wholeWriting>[4]) =>
      wholeWriting('adjusted number', worth, { area: 'changed', row, column }, base, more);
    const oneOnly = scribe.slip('one-changed', true, { at });
    const opposite = scribe.slip('opposite', true, { at });
    minuend = oneOnly ? minuend : opposite ? minuend.minus(change) : minuend.plus(change);
    subtrahend = subtrahend.plus(change);
    [above, below] = scribe.step({
      law: 'same-change',
      phase: { kind: 'change' },
      takes: [above!, below!],
      strikes: [above!, below!],
      writes: [
        changed(minuend, 0, {
          from: [above!],
          beyond: beyondOf([
            above!,
            { beyond: oneOnly ? NOTHING_BEYOND : cellBeyond(cell, change, opposite ? -1n : 1n) },
          ]),
        }),
        changed(subtrahend.negate(), 1, {
          from: [below!],
          beyond: beyondOf([below!, { beyond: cellBeyond(cell, change, -1n) }]),
          glyph: wholeGlyph(subtrahend, base),
        }),
      ],
      phrase: phrase('same-change.both', {
        change,
        minuend,
        subtrahend,
        slip: oneOnly ? 'one-changed' : opposite ? 'opposite' : '',
      }),
    });
  });
  const to = minuend.minus(subtrahend);
  const answer = scribe.step({
    law: 'evaluate',
    phase: { kind: 'difference' },
    takes: [above!, below!],
    writes: [
      wholeWriting('answer', to, { area: 'answer', row: 0, column: changes.length }, base, {
        hop: { from: minuend, to },
      }),
    ],
    phrase: phrase('same-change.take', { minuend, subtrahend, to }),
  });
  return scribe.close(answer, phrase('same-change.answer', {}));
}

/** What is written over a change: which numbers it goes to. */
function noteOf({ change, slip }: ChangeValues, trace: Trace): string {
  const note = changeNote(change, trace);
  if (slip === 'one-changed') return `${note} below`;
  return slip === 'opposite'
    ? `${changeNote(change.negate(), trace)} above, ${note} below`
    : `${note} both`;
}

/** A change downward that the minuend cannot stand is left out. */
function fitting(changes: readonly Exact[], minuend: Exact): readonly Exact[] {
  return changes.filter((change) => minuend.plus(change).numerator >= 0n);
}

function wholeGlyph(worth: Exact, base: number): string {
  return worth.numerator.toString(base).toUpperCase();
}

function sheet(trace: Trace): Sheet {
  const all = [...trace.givens, ...trace.steps.flatMap(({ gives }) => gives)];
  const width = Math.max(2, Math.ceil(Math.max(...all.map(({ glyph }) => glyph.length)) * 0.7));
  const step = width + 2;
  const changes = trace.steps.slice(0, -1);
  const at = (column: number, y: number) => ({
    x: column * step,
    y,
    width,
    height: 1,
    align: 'right' as const,
  });
  return draftSheet(trace, {
    areas: {
      given: ({ row }) => at(0, row),
      changed: ({ row, column }) => at(column + 1, row),
      answer: ({ column }) => at(column, 2),
    },
    rulings: [
      {
        kind: 'line',
        x1: changes.length * step - 1,
        y1: 2,
        x2: changes.length * step + width,
        y2: 2,
        weight: 'heavy',
      },
    ],
    signs: Array.from({ length: changes.length + 1 }, (_, k) => ({
      sign: 'minus' as const,
      x: k * step - 1,
      y: 1,
      width: 1,
      height: 1,
    })),
    notes: changes.map(({ gives, phrase: { values } }, k) => ({
      x: (k + 1) * step - 0.6,
      y: -1,
      text: noteOf(values as ChangeValues, trace),
      marks: gives.map(({ id }) => id),
    })),
  });
}
