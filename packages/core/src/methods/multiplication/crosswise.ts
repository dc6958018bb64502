import { carryFeatures, where } from '../../account/chance.ts';
import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { digitAt, placeValue } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet, SheetLink } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { crosswisePhrases } from './crosswise-words.ts';
import { cellFact } from './facts.ts';
import { placeRule, placeSquare, widest } from '../shared/place-columns.ts';
import { orderSchool } from '../shared/schools.ts';
import { wholeWriting } from '../shared/whole.ts';
import { acceptsProduct, twoFactors, type DigitPair, type TwoFactors } from './two-factors.ts';

const { phrase } = crosswisePhrases;

export const crosswise = defineMethod({
  id: 'crosswise',
  family: 'multiplication',
  name: 'Crosswise multiplication',
  shortName: 'Crosswise',
  alsoCalled: [
    'vertically and crosswise',
    'cross multiplication of digits',
    'one-line multiplication',
  ],
  mind: 'Crossing here joins digits whose places add up to one place; opening brackets crosswise and the cross products of fractions are other acts.',
  summary: 'In one line: each place gathers every digit pair whose places add up to it.',
  why: 'Two digits make a product of the place that their places add up to, so pairs of one place may be gathered.',
  leadsTo: 'Brackets with letters: what is gathered by place here is gathered by power there.',
  medium: 'either',
  direction: 'from the ones to the left, or from the largest place',
  freeOrder: false,
  bridge: [{ method: 'expand-arcs', school: { order: 'by-power' } }],
  schools: [
    orderSchool('place'),
    {
      id: 'results',
      label: 'What goes on',
      options: [
        {
          id: 'held',
          label: 'held',
          reason:
            'One line and nothing else is written; the head holds a carry or the total so far.',
        },
        {
          id: 'written',
          label: 'written',
          reason: 'Nothing is held; carries and totals can have two figures and more.',
        },
      ],
    },
  ],
  slips: [
    {
      ...slipOf('forget-carry'),
      label: 'Held number not added',
      mechanism: 'What was carried to this place does not join its pairs.',
    },
    slipOf('miss-pair'),
    slipOf('pair-twice'),
    slipOf('pair-in-next-place'),
    {
      ...slipOf('like-places-only'),
      label: 'Straight pairs only',
      mechanism: 'Only figures that stand under each other are multiplied.',
    },
  ],
  phrases: crosswisePhrases.book,
  accepts: acceptsProduct,
  work,
  sheet,
});

/** The pairs of places that add up to a place, the first factor's smallest place first. */
function pairsOf({ top, bottom }: TwoFactors, place: number): readonly DigitPair[] {
  return top.digits.flatMap((_, i): DigitPair[] => {
    const j = place - i;
    return j >= 0 && j < bottom.digits.length ? [[i, j]] : [];
  });
}

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const factors = twoFactors(problem);
  const { top, bottom } = factors;
  scribe.openProduct(problem.operands);
  [top, bottom].forEach(({ digits }, row) =>
    digits.forEach((_, column) =>
      scribe.give(row, column, 'operand digit', {
        area: row === 0 ? 'top' : 'bottom',
        row: 0,
        column,
      }),
    ),
  );
  const places = top.digits.length + bottom.digits.length - 1;
  for (let place = 0; place < places; place++) {
    const pairs = pairsOf(factors, place).map(([i, j]) => scribe.owes(i, j));
    scribe.group(`place-${place}`, 'place total', pairs, phrase('crosswise.pairs', { place }));
  }
  const answer =
    school['order'] === 'largest-first'
      ? fromTheLeft(scribe, factors, places, school)
      : fromTheOnes(scribe, factors, places, school);
  return scribe.close(answer, phrase('crosswise.answer', {}));
}

interface Gathered {
  readonly takes: readonly Entry[];
  readonly digits: readonly string[];
  /** Facts that are taken for another number: two figures and what they are taken to make, in turn. */
  readonly mistaken: readonly string[];
  readonly count: number;
  readonly slip: PairSlip;
  /** Whether pairs of the place below are counted here. */
  readonly isMoved: boolean;
}

/** Pairs that are counted one place too high, by that place. */
type MovedPairs = Map<number, readonly { readonly pair: DigitPair; readonly product: number }[]>;

/** Slips in gathering the pairs of a place, in the order in which their chances are named. */
const PAIR_SLIPS = ['miss-pair', 'pair-twice', 'like-places-only'] as const;
type PairSlip = (typeof PAIR_SLIPS)[number] | '';

/** Works out the pairs of one place; a learner may miss one of them, count one twice, or see straight ones alone. */
function gatherPlace(
  scribe: Scribe,
  factors: TwoFactors,
  place: number,
  moved: MovedPairs | null = null,
): Gathered {
  const { top, bottom } = factors;
  const here = moved?.get(place) ?? [];
  const pairs = pairsOf(factors, place);
  const products = pairs.map((pair) =>
    cellFact(scribe, [digitAt(top, pair[0]), digitAt(bottom, pair[1])], pair),
  );
  const filled = products.findIndex((product) => product > 0);
  const crossing = products.findIndex((product, k) => k > 0 && product > 0);
  const isStraight = pairs.map(([i, j]) => i === j);
  const may: Readonly<Record<(typeof PAIR_SLIPS)[number], boolean>> = {
    'miss-pair': crossing >= 0,
    'pair-twice': filled >= 0,
    'like-places-only': products.some((product, k) => product > 0 && !isStraight[k]),
  };
  const slip =
    PAIR_SLIPS.filter((id) => scribe.slip(id, may[id], { at: where('place', place) }))[0] ?? '';
  const times = (k: number): number => {
    if (slip === 'miss-pair') return k === crossing ? 0 : 1;
    if (slip === 'like-places-only') return isStraight[k] ? 1 : 0;
    return slip === 'pair-twice' && k === filled ? 2 : 1;
  };
  const isLast = place === top.digits.length + bottom.digits.length - 2;
  const leaves = pairs.map(([i, j], k) => {
    const may = moved !== null && !isLast && products[k]! > 0;
    const isMade = scribe.slip('pair-in-next-place', may, { at: where('cell', i, j), ahead: 1 });
    return isMade && slip === '';
  });
  const stays = (_: unknown, k: number) => !leaves[k];
  const leaving = pairs.flatMap((pair, k) => (leaves[k] ? [{ pair, product: products[k]! }] : []));
  if (leaving.length > 0) moved?.set(place + 1, leaving);
  const told = [
    ...pairs.flatMap((pair, k) => Array.from({ length: leaves[k] ? 0 : times(k) }, () => pair)),
    ...here.map(({ pair }) => pair),
  ];
  const own = products.reduce((sum, product, k) => sum + (leaves[k] ? 0 : product * times(k)), 0);
  return {
    takes: [...pairs.filter(stays), ...here.map(({ pair }) => pair)].map(([i, j]) =>
      scribe.owes(i, j),
    ),
    digits: told.flatMap(([i, j]) =>
      [digitAt(top, i), digitAt(bottom, j)].map((d) => d.toString(scribe.base).toUpperCase()),
    ),
    mistaken: pairs.flatMap(([i, j], k) => {
      const [above, below, taken] = [digitAt(top, i), digitAt(bottom, j), products[k]!];
      if (taken === above * below) return [];
      return [above, below, taken].map((count) => count.toString(scribe.base).toUpperCase());
    }),
    count: here.reduce((sum, { product }) => sum + product, own),
    slip,
    isMoved: here.length > 0,
  };
}

function fromTheOnes(
  scribe: Scribe,
  factors: TwoFactors,
  places: number,
  school: School,
): readonly Mark[] {
  const { base } = scribe;
  const medium = school['results'] === 'held' ? 'head' : 'paper';
  const answer: Mark[] = [];
  const top = lastFilled(factors, places);
  let carry: Mark | null = null;
  let carried = 0;
  const moved: MovedPairs = new Map();
  for (let place = 0; place < places; place++) {
    const gathered = gatherPlace(scribe, factors, place, moved);
    const { takes, digits, mistaken, count, slip, isMoved } = gathered;
    const forgotten = scribe.slip('forget-carry', carried > 0, {
      at: where('place', place),
      features: carryFeatures(carried),
    });
    const total = count + (forgotten ? 0 : carried);
    const last = place >= top;
    const isWritten = place <= top;
    const keep = last ? 0 : Math.floor(total / base);
    const figures = last
      ? [...total.toString(base)].reverse().map((f) => parseInt(f, base))
      : [total % base];
    const marks: readonly Mark[] = scribe.step({
      law: 'place-value',
      phase: { kind: 'places' },
      takes: carry ? [...takes, carry] : takes,
      strikes: carry && medium === 'paper' && !forgotten ? [carry] : [],
      writes: placeWritings(isWritten ? figures : [], keep, place, medium),
      phrase: phrase('crosswise.place', {
        digits,
        mistaken,
        carried,
        total,
        place,
        keep,
        last,
        written: isWritten,
        slip: forgotten ? 'forget-carry' : isMoved ? 'pair-in-next-place' : slip,
      }),
    });
    carry = keep > 0 ? marks.at(-1)! : null;
    carried = keep;
    answer.push(...marks.filter((mark) => mark.role === 'answer'));
  }
  return answer;
}

/** The figures that a place leaves in the answer, and what it keeps for the next. */
function placeWritings(
  figures: readonly number[],
  keep: number,
  place: number,
  medium: Mark['medium'],
): readonly Writing[] {
  const written = figures.map((figure, i): Writing => ({
    role: 'answer',
    count: figure,
    place: place + i,
    spot: { area: 'answer', row: 0, column: place + i },
  }));
  if (keep === 0) return written;
  const spot = { area: 'carry', row: 0, column: place + 1 };
  return [...written, { role: 'carry', count: keep, place: place + 1, spot, medium }];
}

/** The largest place that has a pair other than zero; the places above it stay empty. */
function lastFilled({ top, bottom }: TwoFactors, places: number): number {
  const isZero = top.digits.every((d) => d === 0) || bottom.digits.every((d) => d === 0);
  return isZero ? 0 : places - 1;
}

/** From the largest place one total grows; only the last is written as the answer. */
function fromTheLeft(
  scribe: Scribe,
  factors: TwoFactors,
  places: number,
  school: School,
): readonly Mark[] {
  const { base } = scribe;
  const medium = school['results'] === 'held' ? 'head' : 'paper';
  let so: Mark | null = null;
  let total = Exact.ZERO;
  for (let place = places - 1; place >= 0; place--) {
    const { takes, digits, mistaken, count, slip } = gatherPlace(scribe, factors, place);
    const forgotten = scribe.slip('forget-carry', so !== null && !total.isZero, {
      at: where('place', place),
    });
    const from = forgotten ? Exact.ZERO : total;
    total = from.plus(Exact.of(count).times(placeValue(base, place)));
    const last = place === 0;
    const row = places - 1 - place;
    const [mark]: readonly Mark[] = scribe.step({
      law: 'evaluate',
      phase: { kind: 'places' },
      takes: so ? [so, ...takes] : takes,
      strikes: so && medium === 'paper' ? [so] : [],
      writes: [
        last
          ? wholeWriting(
              'answer',
              total,
              { area: 'whole', row: medium === 'head' ? 0 : row, column: 0 },
              base,
            )
          : wholeWriting('running total', total, { area: 'total', row, column: 0 }, base, {
              medium,
            }),
      ],
      phrase: phrase('crosswise.running', {
        digits,
        mistaken,
        count,
        place,
        from,
        to: total,
        slip: forgotten ? 'forget-carry' : slip,
      }),
    });
    so = mark!;
    if (!last)
      scribe.group(`so-far-${place}`, 'subtotal', [so], phrase('crosswise.so-far', { to: total }));
  }
  return [so!];
}

function sheet(trace: Trace): Sheet {
  const { top, bottom } = twoFactors(trace.problem);
  const heading = Math.max(top.digits.length, bottom.digits.length) + 1;
  const width = Math.max(widest(trace, heading), top.digits.length + bottom.digits.length);
  const places = top.digits.length + bottom.digits.length - 1;
  const whole = (row: number) => ({
    x: 1 - width,
    y: 3 + row,
    width,
    height: 1,
    align: 'right' as const,
  });
  return draftSheet(trace, {
    areas: {
      top: ({ column }) => placeSquare(column, 0),
      bottom: ({ column }) => placeSquare(column, 2),
      answer: ({ column }) => placeSquare(column, 3),
      carry: ({ column }) => ({ ...placeSquare(column, 4), size: 'small' }),
      total: ({ row }) => whole(row),
      whole: ({ row }) => whole(row),
    },
    slot: (_, [i = 0, j = 0]) => placeSquare(i + j, 3),
    rulings: [placeRule(width, 3)],
    signs: [{ sign: 'times', ...placeSquare(heading - 1, 2) }],
    links: linksOf(trace, places),
  });
}

/** For every step the lines between the digits that it pairs. */
function linksOf(trace: Trace, places: number): readonly SheetLink[] {
  const factors = twoFactors(trace.problem);
  const down = trace.school['order'] === 'largest-first';
  return trace.steps.flatMap(({ number }) => {
    const place = down ? places - number : number - 1;
    return pairsOf(factors, place).map(([i, j]) => ({
      step: number,
      x1: 0.5 - i,
      y1: 0.95,
      x2: 0.5 - j,
      y2: 2.05,
    }));
  });
}
