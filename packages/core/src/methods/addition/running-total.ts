import { slipOf } from '../../slips/catalogue.ts';
import { where } from '../../account/chance.ts';
import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { defineMethod } from '../method.ts';
import { acceptsSum, remainder, wholeCut } from '../shared/sums.ts';
import { wholeWriting } from '../shared/whole.ts';

type StepValues = {
  readonly from: Exact;
  readonly addend: Exact;
  readonly to: Exact;
  readonly round: boolean;
  readonly slip: string;
};

function told(verb: string) {
  return (
    { from, addend, to, round, slip }: StepValues,
    say: { amount: (worth: Exact) => string },
  ) => {
    if (slip === 'skip-addend') return `${say.amount(addend)} is passed over.`;
    const twice = slip === 'add-twice' ? `, with ${say.amount(addend)} counted twice` : '';
    const [a, b, c] = [from, addend, to].map(say.amount.bind(say));
    const sum = verb === '+' ? `${a} + ${b} = **${c}**` : `${a} and ${b} are **${c}**`;
    return `${sum}${twice}${round ? ', a round number' : ''}.`;
  };
}

const phrases = definePhrases({
  'running.start': {
    digit: ({ addend }: { addend: Exact }, say) => `Begin with **${say.amount(addend)}**.`,
    value: ({ addend }: { addend: Exact }, say) =>
      `The first addend is the total so far: **${say.amount(addend)}**.`,
  },
  'running.step': { digit: told('+'), value: told('and') },
  'running.so-far': plain(({ to }: { to: Exact }, say) => `the running total ${say.amount(to)}`),
  'running.answer': fixed('the last running total'),
});

const { phrase } = phrases;

export const runningTotal = defineMethod({
  id: 'running-total',
  family: 'addition',
  name: 'Running total',
  shortName: 'Running total',
  alsoCalled: ['adding in the head one after another', 'cumulative adding'],
  summary:
    'One addend after another joins a total that is held in the head; only the last is written.',
  why: 'Addends may be taken in any order, each only once.',
  medium: 'in the head',
  direction: 'free; as written or making tens',
  freeOrder: true,
  schools: [
    {
      id: 'order',
      label: 'Order',
      options: [
        {
          id: 'as-written',
          label: 'as written',
          reason: 'Nothing is looked for, nothing passed over.',
        },
        {
          id: 'make-tens',
          label: 'making tens',
          reason:
            'An addend that makes the total round is taken first: easier sums, but each must be ticked off.',
        },
      ],
    },
  ],
  slips: [slipOf('skip-addend'), slipOf('add-twice')],
  phrases: phrases.book,
  accepts: acceptsSum(),
  work,
  sheet,
});

function work(scribe: Scribe, { operands, base }: Problem, school: School): Trace {
  scribe.openSum(operands.map(wholeCut));
  operands.forEach((_, row) => scribe.giveWhole(row, { area: 'addend', row, column: 0 }));
  const worths = operands.map(numeralValue);
  const own = school['order'] === 'make-tens' ? makingTens(worths, base) : worths.map((_, k) => k);
  const order = scribe
    .ordered(own.map((k): readonly [number, number] => [k, 0]))
    .map(([k = 0]) => k);
  let current: Mark | null = null;
  let total = Exact.ZERO;
  order.forEach((k, i) => {
    const owed = scribe.owes(k, 0);
    const last = i === order.length - 1;
    const addend = worths[k]!;
    const skipped = scribe.slip('skip-addend', !addend.isZero, { at: where('operand', k) });
    const twice = scribe.slip('add-twice', i > 0 && !addend.isZero, { at: where('operand', k) });
    const from = total;
    if (!skipped) total = total.plus(addend);
    if (twice) total = total.plus(addend);
    const takes: Entry[] = current ? [current, owed] : [owed];
    const round = i > 0 && !skipped && remainder(total, base, 1).isZero;
    const [mark] = scribe.step({
      law: 'evaluate',
      phase: { kind: 'total' },
      takes,
      writes: [
        last
          ? wholeWriting('answer', total, { area: 'answer', row: 0, column: 0 }, base, {
              hop: { from, to: total },
            })
          : wholeWriting('running total', total, { area: 'beside', row: k, column: 0 }, base, {
              medium: 'head',
              hop: { from, to: total },
            }),
      ],
      phrase:
        i === 0 && !skipped
          ? phrase('running.start', { addend })
          : phrase('running.step', {
              from,
              addend,
              to: total,
              round,
              slip: skipped ? 'skip-addend' : twice ? 'add-twice' : '',
            }),
    });
    if (!last && i > 0) {
      scribe.group(`total-${i}`, 'subtotal', [mark!], phrase('running.so-far', { to: total }));
    }
    current = mark!;
  });
  return scribe.close([current!], phrase('running.answer', {}));
}

/** From what is left always the first addend that makes the total round, or else the first. */
function makingTens(worths: readonly Exact[], base: number): readonly number[] {
  const left = worths.map((_, k) => k);
  const order: number[] = [];
  let total = Exact.ZERO;
  while (left.length > 0) {
    const fits = left.findIndex((k) => remainder(total.plus(worths[k]!), base, 1).isZero);
    const at = order.length > 0 && fits >= 0 ? fits : 0;
    const [next = 0] = left.splice(at, 1);
    total = total.plus(worths[next]!);
    order.push(next);
  }
  return order;
}

function sheet(trace: Trace): Sheet {
  const { operands } = trace.problem;
  const rows = operands.length;
  const texts = [...trace.givens, ...trace.steps.flatMap(({ gives }) => gives)].map(
    ({ glyph }) => glyph,
  );
  const width = Math.max(2, Math.ceil(Math.max(...texts.map(({ length }) => length)) * 0.7));
  return draftSheet(trace, {
    areas: {
      addend: ({ row }) => ({ x: 0, y: row, width, height: 1, align: 'right' }),
      beside: ({ row }) => ({
        x: width + 0.5,
        y: row,
        width: width + 1,
        height: 1,
        beside: true,
        align: 'right',
      }),
      answer: () => ({ x: 0, y: rows, width, height: 1, align: 'right' }),
    },
    rulings: [{ kind: 'line', x1: -1, y1: rows, x2: width, y2: rows, weight: 'heavy' }],
    signs: [{ sign: 'plus', x: -1, y: rows - 1, width: 1, height: 1 }],
  });
}
