import { slipOf } from '../../slips/catalogue.ts';
import { carryFeatures, where } from '../../account/chance.ts';
import type { Entry, Mark, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { digitAt } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Speaker } from '../../phrases/speaker.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Box, Sheet } from '../../sheet/sheet.ts';
import { defineMethod } from '../method.ts';
import { acceptsSum, mostPlaces } from '../shared/sums.ts';
import { openAddends } from './addend-rows.ts';

type FigureValues = {
  readonly kept: number;
  readonly digit: number;
  readonly total: number;
  readonly place: number;
  readonly missed: boolean;
  /** Whether the full total goes on all the same. */
  readonly full: boolean;
};

const figureStep: Wording<FigureValues> = {
  digit: ({ kept, digit, total, missed, full }, say) => {
    const sum = `${say.number(kept)} + ${say.number(digit)} = ${say.number(total)}`;
    if (total < say.base) return `${sum}: go on with **${say.number(total)}**.`;
    if (full)
      return `${sum}: scratch the ${say.number(digit)}, and go on with all **${say.number(total)}**.`;
    const rest = say.number(total - say.base);
    if (missed) return `${sum}: go on with **${rest}**, but nothing is scratched.`;
    return `${sum}: scratch the ${say.number(digit)}, go on with **${rest}**.`;
  },
  value: ({ kept, digit, total, place, missed, full }, say) => {
    const sum = `${say.count(kept, place)} and ${say.count(digit, place)} make **${say.count(total, place)}**`;
    if (total < say.base) return `${sum}; go on with them.`;
    if (full)
      return `${sum}: the scratch keeps ${say.count(1, place + 1)}, and yet all of it goes on.`;
    const goes = total - say.base === 1 ? 'goes on' : 'go on';
    const rest = `${say.count(total - say.base, place)} ${goes}`;
    if (missed) return `${sum}, and ${rest}, but no scratch keeps the ${say.count(1, place + 1)}.`;
    return `${sum}: the scratch keeps ${say.count(1, place + 1)}, and ${rest}.`;
  },
};

type ColumnValues = {
  readonly kept: number;
  readonly scratches: number;
  readonly place: number;
  readonly last: boolean;
  readonly lost: boolean;
};

const columnEnd: Wording<ColumnValues> = {
  digit: ({ kept, scratches, last, lost }, say) => {
    if (kept >= say.base) return fullEnd(kept, lost ? 0 : scratches, last, say);
    const write = `write **${say.number(kept)}**`;
    if (scratches === 0) return `No scratches: ${write}.`;
    const counted = `${say.opening(scratchCount(scratches))} and ${say.number(kept)}`;
    if (lost) return `${counted}: ${write}; the scratches are not counted.`;
    if (last) return `${counted}: write **${say.number(scratches)}${say.number(kept)}**.`;
    return `${counted}: ${write}, ${say.passOnFigures(scratches)}.`;
  },
  value: ({ kept, scratches, place, last, lost }, say) => {
    if (kept >= say.base) {
      const ten = lost ? '' : `, and the scratches ${say.count(scratches, place + 1)} besides`;
      return `${say.opening(say.count(kept, place))} went on to the end${ten}.`;
    }
    const write = `write **${say.count(kept, place)}**`;
    if (scratches === 0) return `Nothing was scratched: ${write}.`;
    const kind = say.count(scratches, place + 1);
    const told = scratches === 1 ? 'The scratch is' : 'The scratches are';
    if (lost) return `${told} ${kind}, but it is forgotten: ${write}.`;
    if (last)
      return `${told} **${kind}**, and ${say.count(kept, place)} ${say.is(kept)} left over.`;
    return `${told} **${kind}**: ${write} and count them with the ${say.places(place + 1)}.`;
  },
};

/** The end of a column in which a full total went on. */
function fullEnd(kept: number, scratches: number, last: boolean, say: Speaker): string {
  const [own, tens] = [kept % say.base, Math.floor(kept / say.base) + scratches];
  const counted =
    scratches > 0 ? `${say.number(kept)} and ${scratchCount(scratches)}` : say.number(kept);
  return last
    ? `${counted}: write **${say.number(tens)}${say.number(own)}**.`
    : `${counted}: write **${say.number(own)}**, ${say.passOnFigures(tens)}.`;
}

function scratchCount(count: number): string {
  return `${count} ${count === 1 ? 'scratch' : 'scratches'}`;
}

const phrases = definePhrases({
  'scratch.figure': figureStep,
  'scratch.column': columnEnd,
  'scratch.carry': {
    digit: ({ count, kept }: { count: number; kept: number; place: number }, say) =>
      `${say.number(count)} came over: that is ${scratchCount(Math.floor(count / say.base))} and **${say.number(kept)}** to go on with.`,
    value: ({ count, kept, place }: { count: number; kept: number; place: number }, say) =>
      `${say.count(count, place)} came over: ${say.count(Math.floor(count / say.base), place + 1)} and ${say.count(kept, place)} to go on with.`,
  },
  'scratch.group': plain(
    ({ place }: { place: number }, say) => `the ${say.places(place)} of all addends`,
  ),
  'scratch.answer': fixed('answer of the scratch addition'),
});

const { phrase } = phrases;

export const scratchAddition = defineMethod({
  id: 'scratch-addition',
  family: 'addition',
  name: 'Scratch addition',
  shortName: 'Scratch',
  alsoCalled: ['adding with scratched tens', 'strike-out addition'],
  summary:
    'Down a column, whenever the total reaches ten the addend is scratched: the scratch is worth ten, and only what is over goes on.',
  why: 'A scratch keeps ten of the place, which is one of the next; so no total above nineteen is ever held.',
  medium: 'on paper',
  direction: 'down each column, from the ones to the left',
  freeOrder: false,
  schools: [],
  slips: ['miss-scratch', 'forget-scratches', 'keep-full-total'].map(slipOf),
  phrases: phrases.book,
  accepts: acceptsSum(),
  work,
  sheet,
});

/** How far a column has come. */
interface Column {
  readonly place: number;
  current: Entry | null;
  kept: number;
  readonly scratches: Mark[];
  scratched: number;
}

function work(scribe: Scribe, problem: Problem): Trace {
  openAddends(scribe, problem);
  const places = mostPlaces(problem.operands);
  const answer: Mark[] = [];
  let carry: { mark: Mark; count: number } | null = null;
  for (let place = 0; place < places; place++) {
    const column: Column = { place, current: null, kept: 0, scratches: [], scratched: 0 };
    if (carry) openWithCarry(scribe, column, carry);
    goDown(scribe, problem, column);
    const ended = endColumn(scribe, column, place === places - 1);
    answer.push(...ended.answer);
    carry = ended.carry;
    groupColumn(scribe, problem, place);
  }
  return scribe.close(answer, phrase('scratch.answer', {}));
}

/** Counted scratches come first; when they make tens themselves, those count on. */
function openWithCarry(
  scribe: Scribe,
  column: Column,
  { mark, count }: { mark: Mark; count: number },
) {
  column.current = mark;
  column.kept = count;
  if (count < scribe.base) return;
  const kept = count % scribe.base;
  const tens = Math.floor(count / scribe.base);
  const [keptMark, scratch] = scribe.step({
    law: 'place-value',
    phase: { kind: 'column', of: column.place },
    takes: [mark],
    strikes: [mark],
    writes: [keptFigure(kept, column.place, -1), scratchMark(tens, column.place, -1)],
    phrase: phrase('scratch.carry', { count, kept, place: column.place }),
  });
  column.current = keptMark!;
  column.kept = kept;
  column.scratches.push(scratch!);
  column.scratched += tens;
}

function goDown(scribe: Scribe, { operands }: Problem, column: Column): void {
  const { place } = column;
  operands.forEach((addend, row) => {
    if (place >= addend.digits.length) return;
    const owed = scribe.owes(row, place);
    const digit = digitAt(addend, place);
    if (!column.current) {
      column.current = owed;
      column.kept = digit;
      return;
    }
    const total = column.kept + digit;
    const over = total >= scribe.base;
    const missed = scribe.slip('miss-scratch', over, { at: where('operand', row, place) });
    const full = scribe.slip('keep-full-total', over && !missed, {
      at: where('operand', row, place),
    });
    const rest = over && !full ? total - scribe.base : total;
    const scratching = over && !missed;
    const [kept, scratch] = scribe.step({
      law: 'place-value',
      phase: { kind: 'column', of: place },
      takes: [column.current, owed],
      strikes: scratching ? [owed] : [],
      writes: [keptFigure(rest, place, row), ...(scratching ? [scratchMark(1, place, row)] : [])],
      phrase: phrase('scratch.figure', { kept: column.kept, digit, total, place, missed, full }),
    });
    column.current = kept!;
    column.kept = rest;
    if (!scratch) return;
    column.scratches.push(scratch);
    column.scratched++;
  });
}

function endColumn(scribe: Scribe, column: Column, last: boolean) {
  const { place, current, kept, scratches, scratched } = column;
  const lost = scribe.slip('forget-scratches', scratched > 0, {
    at: where('place', place),
    features: carryFeatures(scratched),
  });
  // Only a learner who kept a full total comes to the end of a column with ten or more.
  const [own, more] = [kept % scribe.base, Math.floor(kept / scribe.base)];
  const counted = (lost ? 0 : scratched) + more;
  const onward = last ? counted.toString(scribe.base) : '0';
  const figures = [
    own,
    ...(counted > 0 && last ? [...onward].reverse().map((f) => parseInt(f, scribe.base)) : []),
  ];
  const carries = counted > 0 && !last;
  const tens = more > 0 && current ? [...scratches, current] : scratches;
  const marks = scribe.step({
    law: 'place-value',
    phase: { kind: 'column', of: place },
    takes: [...(current ? [current] : []), ...scratches],
    writes: [
      ...figures.map((count, i): Writing => ({
        role: 'answer',
        count,
        place: place + i,
        spot: { area: 'answer', row: 0, column: place + i },
        ...(i === 0 && current ? { from: [current] } : { from: tens }),
      })),
      ...(carries
        ? [
            {
              role: 'carry' as const,
              count: counted,
              place: place + 1,
              spot: { area: 'carry', row: 0, column: place + 1 },
              from: tens,
            },
          ]
        : []),
    ],
    phrase: phrase('scratch.column', { kept, scratches: scratched, place, last, lost }),
  });
  const answer = marks.filter((mark) => mark.role === 'answer');
  return { answer, carry: carries ? { mark: marks.at(-1)!, count: counted } : null };
}

function groupColumn(scribe: Scribe, { operands }: Problem, place: number): void {
  const entries = operands.flatMap(({ digits }, row) =>
    place < digits.length ? [scribe.owes(row, place)] : [],
  );
  if (entries.length < 2) return;
  scribe.group(`column-${place}`, 'column', entries, phrase('scratch.group', { place }));
}

function keptFigure(count: number, place: number, row: number): Writing {
  return { role: 'kept figure', count, place, spot: { area: 'kept', row, column: place } };
}

/** The stroke itself is the mark: it is drawn by striking the addend and has no figure of its own. */
function scratchMark(count: number, place: number, row: number): Writing {
  return {
    role: 'scratch',
    count,
    place: place + 1,
    glyph: '',
    spot: { area: 'scratch', row, column: place },
  };
}

function sheet(trace: Trace): Sheet {
  const { operands } = trace.problem;
  const rows = operands.length;
  const places = Math.max(
    mostPlaces(operands),
    ...trace.steps.flatMap(({ gives }) =>
      gives.filter((m) => m.spot.area === 'answer').map((m) => m.spot.column + 1),
    ),
  );
  const square = (place: number, y: number, beside = 0): Box => ({
    x: -2 * place + beside,
    y,
    width: 1,
    height: 1,
  });
  return draftSheet(trace, {
    areas: {
      addend: ({ row, column }) => square(column, row),
      kept: ({ row, column }) => ({ ...square(column, row, 1), size: 'small' }),
      scratch: ({ row, column }) => square(column, row),
      carry: ({ column }) => ({ ...square(column, -1), size: 'small' }),
      answer: ({ column }) => square(column, rows),
    },
    rulings: [{ kind: 'line', x1: -2 * places, y1: rows, x2: 2, y2: rows, weight: 'heavy' }],
    signs: [{ sign: 'plus', ...square(mostPlaces(operands), rows - 1, 1) }],
  });
}
