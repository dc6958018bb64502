import { slipOf } from '../../slips/catalogue.ts';
import { cellBeyond } from '../../account/beyond.ts';
import { where } from '../../account/chance.ts';
import type { Entry, Mark, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue, wholeText, type Numeral } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { defineMethod, type HopVerdict } from '../method.ts';
import { acceptsSum, isPositive, roundingChange, wholeCut } from '../shared/sums.ts';
import { signed, wholeWriting } from '../shared/whole.ts';

type RoundValues = {
  readonly from: Exact;
  readonly to: Exact;
  readonly change: Exact;
  readonly wrongWay: boolean;
};

const round: Wording<RoundValues> = {
  digit: ({ from, to, change, wrongWay }, say) => {
    const put = wrongWay ? change : change.negate();
    const note = wrongWay ? ', the wrong way' : '';
    return `For ${say.amount(from)} take **${say.amount(to)}**, and mark **${isPositive(put) ? '+' : ''}${say.amount(put)}** for the end${note}.`;
  },
  value: ({ from, to, change, wrongWay }, say) => {
    const more = change.numerator > 0n;
    const by = say.amount(change.absolute());
    return `**${say.amount(to)}** is ${by} ${more ? 'more' : 'less'} than ${say.amount(from)}, so ${by} must be ${more ? 'taken away' : 'added'} at the end${wrongWay ? `, but it is marked to be ${more ? 'added' : 'taken away'}` : ''}.`;
  },
};

type AdjustValues = {
  readonly from: Exact;
  readonly change: Exact;
  readonly to: Exact;
  readonly slip: string;
};

const adjust: Wording<AdjustValues> = {
  digit: ({ from, change, to, slip }, say) =>
    slip === 'forget-adjustment'
      ? `The answer is read as **${say.amount(to)}**; the mark at the side is forgotten.`
      : `${say.amount(from)} ${change.isNegative ? '−' : '+'} ${say.amount(change.absolute())} = **${say.amount(to)}**${slip === '' ? '' : ', adjusted the wrong way'}.`,
  value: ({ from, change, to, slip }, say) => {
    if (slip === 'forget-adjustment')
      return `**${say.amount(to)}** is left as it is, though ${say.amount(change.absolute())} ${say.is(2)} still to be put right.`;
    const by = say.amount(change.absolute());
    const act = change.isNegative
      ? `${by} too much was added, so it is taken from ${say.amount(from)}`
      : `${by} was left out, so it is added to ${say.amount(from)}`;
    return slip === ''
      ? `${act}: **${say.amount(to)}**.`
      : `${change.isNegative ? `${by} is taken from` : `${by} is added to`} ${say.amount(from)}, which goes the wrong way: **${say.amount(to)}**.`;
  },
};

const phrases = definePhrases({
  'compensation.round': round,
  'compensation.sum': plain(
    ({ first, second, to }: { first: Exact; second: Exact; to: Exact }, say) =>
      `${say.amount(first)} + ${say.amount(second)} = **${say.amount(to)}**.`,
  ),
  'compensation.adjust': adjust,
  'compensation.rounded': fixed('the sum with the rounded addend'),
  'compensation.answer': fixed('answer of the compensation'),
});

const { phrase } = phrases;

export const compensationAddition = defineMethod({
  id: 'compensation-addition',
  family: 'addition',
  name: 'Compensation in a sum',
  shortName: 'Compensation',
  alsoCalled: ['round and adjust', 'adding too much and putting it right'],
  summary:
    'One addend is rounded, the easy sum is made, and the difference is put right at the end.',
  why: 'What is added too much and taken away again changes nothing.',
  medium: 'either',
  direction: 'whole numbers at once',
  freeOrder: false,
  schools: [],
  slips: [slipOf('forget-adjustment'), slipOf('wrong-way')],
  ownHops: {
    name: 'change',
    hint: 'Type the change of an addend, such as +2 for 58 as 60.',
    most: 1,
    from: ({ operands }, hops) => numeralValue(operands[1]!).plus(Exact.sum(hops)),
    judge: judgeChange,
  },
  linesLike: { rank: 4, moves: ['give-and-take'], hops: 'change', named: 'change' },
  phrases: phrases.book,
  accepts: acceptsSum(2),
  work,
  sheet,
});

interface Rounding {
  /** The addend that is changed. */
  readonly operand: number;
  readonly change: Exact;
}

function judgeChange({ operands }: Problem, hops: readonly Exact[]): readonly HopVerdict[] {
  return hops.map((change): HopVerdict => {
    if (change.isZero) return { ok: false, fault: 'A change of nothing changes nothing.' };
    const { operand } = target(operands, change);
    const lands = numeralValue(operands[operand]!).plus(change);
    if (lands.isNegative) {
      return { ok: false, fault: `${change.absolute()} is more than either addend has.` };
    }
    return { ok: true, lands, left: Exact.ZERO };
  });
}

/** Her change goes to the addend that it makes rounder, to the second when it makes no difference. */
function target(operands: readonly Numeral[], change: Exact): Rounding {
  const [first, second] = operands.map((addend) =>
    zerosOf(wholeText(numeralValue(addend).plus(change), addend.base)),
  );
  return { operand: first! > second! ? 0 : 1, change };
}

/** Zeros at the end of a number; none for one below zero. */
function zerosOf(text: string): number {
  return text.startsWith('−') ? -1 : /0*$/.exec(text)![0].length;
}

/** The addend that needs the smaller change to be round; the second when both need the same. */
function ownRounding(operands: readonly Numeral[]): Rounding {
  const [first, second] = operands.map(roundingChange);
  const nearer =
    !first!.isZero && (second!.isZero || first!.absolute().compare(second!.absolute()) < 0);
  return nearer ? { operand: 0, change: first! } : { operand: 1, change: second! };
}

/** What the rounded addend holds that the addend does not. */
const TOO_FAR = 'beyond.0';

function work(scribe: Scribe, { operands, base }: Problem): Trace {
  scribe.openSum(operands.map(wholeCut));
  operands.forEach((_, row) => scribe.giveWhole(row, { area: 'addend', row, column: 0 }));
  const [own] = scribe.hops;
  const { operand, change } = own ? target(operands, own) : ownRounding(operands);
  const worths = operands.map(numeralValue);
  const entries: Entry[] = operands.map((_, k) => scribe.owes(k, 0));
  const spot = (area: string, row = 0) => ({ area, row, column: 0 });
  let adjustment: Mark | null = null;
  if (!change.isZero) {
    const to = worths[operand]!.plus(change);
    const wrongWay = scribe.slip('wrong-way', true, { at: where('operand', operand) });
    const put = wrongWay ? change : change.negate();
    const [rounded, side] = scribe.step({
      law: 'same-change',
      phase: { kind: 'rounding' },
      takes: [entries[operand]!],
      strikes: [entries[operand]!],
      writes: [
        wholeWriting('adjusted number', to, spot('adjusted', operand), base, {
          beyond: cellBeyond(TOO_FAR, change),
        }),
        wholeWriting('adjustment', put, spot('adjustment'), base, {
          glyph: signed(put, base),
          from: [],
          beyond: cellBeyond(TOO_FAR, change, wrongWay ? 1n : -1n),
        }),
      ],
      phrase: phrase('compensation.round', { from: worths[operand]!, to, change, wrongWay }),
    });
    entries[operand] = rounded!;
    worths[operand] = to;
    adjustment = side!;
  }
  const sum = worths[0]!.plus(worths[1]!);
  const [mark] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'sum' },
    takes: entries,
    writes: [
      wholeWriting(
        adjustment ? 'subtotal' : 'answer',
        sum,
        spot(adjustment ? 'sum' : 'answer'),
        base,
        {
          hop: { from: worths[0]!, to: sum },
        },
      ),
    ],
    phrase: phrase('compensation.sum', { first: worths[0]!, second: worths[1]!, to: sum }),
  });
  const answer = adjustment
    ? givenBack(scribe, { subtotal: mark!, adjustment, sum, change, operand })
    : mark!;
  return scribe.close([answer], phrase('compensation.answer', {}));
}

interface Subtotal {
  readonly subtotal: Mark;
  readonly adjustment: Mark;
  readonly sum: Exact;
  readonly change: Exact;
  readonly operand: number;
}

/** The last step: what the rounding put in or took out goes back. */
function givenBack(scribe: Scribe, made: Subtotal): Mark {
  const { subtotal, adjustment, sum, change, operand } = made;
  const forgotten = scribe.slip('forget-adjustment', true, { at: where('operand', operand) });
  const wrongWay = !adjustment.worth.equals(change.negate());
  const put = forgotten ? Exact.ZERO : adjustment.worth;
  const to = sum.plus(put);
  const [answer] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'sum' },
    takes: [subtotal, adjustment],
    writes: [
      wholeWriting('answer', to, { area: 'answer', row: 0, column: 0 }, scribe.base, {
        hop: { from: sum, to },
      }),
    ],
    phrase: phrase('compensation.adjust', {
      from: sum,
      change: forgotten ? change : put,
      to,
      slip: forgotten ? 'forget-adjustment' : wrongWay ? 'wrong-way' : '',
    }),
  });
  return answer!;
}

function sheet(trace: Trace): Sheet {
  const texts = [...trace.givens, ...trace.steps.flatMap(({ gives }) => gives)].map(
    ({ glyph }) => glyph,
  );
  const width = Math.max(2, Math.ceil(Math.max(...texts.map(({ length }) => length)) * 0.7));
  const right = width + 1;
  const adjusted = trace.steps
    .flatMap(({ gives }) => gives)
    .find((mark) => mark.role === 'adjusted number');
  const at = (x: number, y: number) => ({ x, y, width, height: 1, align: 'right' as const });
  const given = trace.givens.find(
    ({ owed }) => owed !== null && trace.steps[0]!.takes.includes(owed),
  );
  const change = adjusted && given ? adjusted.worth.minus(given.worth) : null;
  return draftSheet(trace, {
    areas: {
      addend: ({ row }) => at(0, row),
      adjusted: ({ row }) => at(right, row),
      sum: () => at(0, 2),
      adjustment: () => at(0, 3),
      answer: () => at(0, adjusted ? 4 : 2),
    },
    rulings: [
      { kind: 'line', x1: -1, y1: 2, x2: width, y2: 2, weight: 'heavy' },
      ...(adjusted
        ? [{ kind: 'line' as const, x1: -1, y1: 4, x2: width, y2: 4, weight: 'heavy' as const }]
        : []),
    ],
    signs: [{ sign: 'plus', x: -1, y: 1, width: 1, height: 1 }],
    notes:
      change && adjusted
        ? [
            {
              x: right + width + 0.2,
              y: adjusted.spot.row,
              text: signed(change, trace.problem.base),
              marks: [adjusted.id],
            },
          ]
        : [],
  });
}
