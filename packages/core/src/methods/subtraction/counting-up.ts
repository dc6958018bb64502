import { slipOf } from '../../slips/catalogue.ts';
import { cellBeyond } from '../../account/beyond.ts';
import { where } from '../../account/chance.ts';
import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralOf, numeralValue, placeValue } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { defineMethod, type HopVerdict } from '../method.ts';
import { acceptsDifference, isPositive, partOf, placeParts, upTo } from '../shared/sums.ts';
import { signed, wholeWriting } from '../shared/whole.ts';

type HopValues = {
  readonly from: Exact;
  readonly hop: Exact;
  readonly to: Exact;
  readonly target: Exact;
  readonly slip: string;
};

const hop: Wording<HopValues> = {
  digit: ({ from, hop: by, to, slip }, say) => {
    const sign = isPositive(by) ? '+' : '−';
    const counted = slip === '' ? '' : ', with the number it starts from counted too';
    return `${say.amount(from)} ${sign} ${say.amount(by.absolute())} = **${say.amount(to)}**${counted}: ring ${say.amount(by.absolute())}.`;
  },
  value: ({ from, hop: by, to, target, slip }, say) => {
    const way = isPositive(by) ? 'on' : 'back';
    const reached = to.equals(target)
      ? `reaches **${say.amount(to)}**, the end`
      : target.compare(from) !== target.compare(to)
        ? `goes past the end, to **${say.amount(to)}**`
        : `lands on **${say.amount(to)}**`;
    const counted = slip === '' ? '' : ', as if the number it starts from were counted too';
    return `A hop of ${say.amount(by.absolute())} ${way} from ${say.amount(from)} ${reached}${counted}.`;
  },
};

type TotalValues = {
  readonly hops: readonly Exact[];
  readonly to: Exact;
  readonly start: Exact;
  readonly target: Exact;
  readonly skipped: boolean;
};

const total: Wording<TotalValues> = {
  digit: ({ hops, to, skipped }, say) => {
    if (hops.length === 0) return `Nothing is ringed: write **${say.amount(to)}**.`;
    const missing = skipped ? ', with one ring passed over' : '';
    if (hops.length === 1 && !skipped) return `Only one ring: **${say.amount(to)}**.`;
    return `The rings: ${ringSum(hops, (one) => say.amount(one))} = **${say.amount(to)}**${missing}.`;
  },
  value: ({ hops, to, start, target, skipped }, say) => {
    if (hops.length === 0)
      return `Both numbers are **${say.amount(start)}**, so nothing lies between them: **0**.`;
    if (skipped) return `The hops are put together, but one is passed over: **${say.amount(to)}**.`;
    const way = isPositive(to) ? 'on' : 'back';
    return `From ${say.amount(start)} it is **${say.amount(to.absolute())}** ${way} to ${say.amount(target)}, so the difference is **${say.amount(to)}**.`;
  },
};

function ringSum(hops: readonly Exact[], text: (hop: Exact) => string): string {
  if (hops.length > 8) return `${hops.length} hops`;
  return hops
    .map((one, k) => {
      const sign = isPositive(one) ? (k === 0 ? '' : ' + ') : k === 0 ? '−' : ' − ';
      return `${sign}${text(one.absolute())}`;
    })
    .join('');
}

const phrases = definePhrases({
  'counting.hop': hop,
  'counting.total': total,
  'counting.ring': plain(
    ({ from, to }: { from: Exact; to: Exact }, say) =>
      `the hop from ${say.amount(from)} to ${say.amount(to)}`,
  ),
  'counting.answer': fixed('all hops together'),
});

const { phrase } = phrases;

export const countingUp = defineMethod({
  id: 'counting-up',
  family: 'subtraction',
  name: 'Counting up',
  shortName: 'Counting up',
  alsoCalled: ['adding on', 'shopkeeper’s subtraction', 'complementary addition'],
  summary:
    'From the number taken away up to the other one, in hops; the hops together are the difference.',
  why: 'The difference is what must be added to the smaller number; hops over any stops make up the same distance.',
  medium: 'either',
  direction: 'along the line, from the subtrahend to the minuend',
  freeOrder: false,
  schools: [
    {
      id: 'hops',
      label: 'Hops',
      options: [
        {
          id: 'by-place',
          label: 'by place',
          reason:
            'To the next round number, then the largest places first: each hop has one figure.',
        },
        {
          id: 'fewest',
          label: 'fewest',
          reason:
            'From round number to rounder number, then one jump: few hops, but a larger last one.',
        },
      ],
    },
  ],
  slips: [slipOf('count-the-start'), slipOf('skip-ring')],
  ownHops: {
    name: 'hop',
    hint: 'Type how far to hop next, such as 13, or −5 to hop back.',
    most: 20,
    from: ({ operands }, hops) => numeralValue(operands[1]!).plus(Exact.sum(hops)),
    judge: judgeHops,
  },
  linesLike: { rank: 1, moves: [], hops: 'jumps', named: 'hops' },
  phrases: phrases.book,
  accepts: acceptsDifference(true),
  work,
  sheet,
});

function judgeHops({ operands }: Problem, hops: readonly Exact[]): readonly HopVerdict[] {
  const [target, start] = operands.map(numeralValue);
  let at = start!;
  return hops.map((by): HopVerdict => {
    if (at.equals(target!)) return { ok: false, fault: `${target} is reached; no hop is left.` };
    if (by.isZero) return { ok: false, fault: 'A hop of nothing goes nowhere.' };
    at = at.plus(by);
    if (at.isNegative) return { ok: false, fault: 'This hop goes back past zero.' };
    return { ok: true, lands: at, left: target!.minus(at) };
  });
}

/** One hop with the part of the account that it moves. */
interface PlannedHop {
  readonly from: Exact;
  readonly by: Exact;
  /** What it takes: a piece of the stretch, the gap that an earlier hop left, or all that is owed yet. */
  readonly piece: Exact | null;
}

/** The way from the subtrahend to the minuend. */
interface Way {
  readonly start: Exact;
  readonly target: Exact;
  readonly hops: readonly PlannedHop[];
  /** Pieces of the stretch in the order in which they are hopped over. */
  readonly pieces: readonly Exact[];
}

/**
 * Her own hops first, then the method's own to the end. Hops toward the end that do not pass it move a
 * piece of the stretch each; the first that does otherwise moves all the rest and leaves a gap.
 */
function planWay({ operands, base }: Problem, own: readonly Exact[], school: School): Way {
  const [target, start] = operands.map(numeralValue) as [Exact, Exact];
  const up = target.compare(start) >= 0;
  const reached = own.reduce((at, by) => at.plus(by), start);
  const all = [...own, ...hopsBetween(reached, target, base, school)];
  const hops: PlannedHop[] = [];
  const pieces: Exact[] = [];
  let at = start;
  let gap = false;
  for (const by of all) {
    const left = target.minus(at);
    const fits: boolean =
      !gap && isPositive(by) === up && by.absolute().compare(left.absolute()) <= 0;
    const piece = gap ? null : (fits ? by : left).absolute();
    if (piece) pieces.push(piece);
    hops.push({ from: at, by, piece });
    gap ||= !fits;
    at = at.plus(by);
  }
  return { start, target, hops, pieces };
}

/** The method's own hops from one number to another; those back are the ones on, turned round. */
function hopsBetween(from: Exact, to: Exact, base: number, school: School): readonly Exact[] {
  if (to.compare(from) < 0) {
    return hopsUp(to, from, base, school)
      .map((by) => by.negate())
      .reverse();
  }
  return hopsUp(from, to, base, school);
}

function hopsUp(from: Exact, to: Exact, base: number, school: School): readonly Exact[] {
  return school['hops'] === 'fewest' ? fewestHops(from, to, base) : hopsByPlace(from, to, base);
}

/** To the next round number, to a rounder one, and so on while that is not too far; then one jump. */
function fewestHops(from: Exact, to: Exact, base: number): readonly Exact[] {
  const hops: Exact[] = [];
  let at = from;
  for (let place = 1; placeValue(base, place - 1).compare(to) <= 0; place++) {
    const by = upTo(at, base, place);
    if (at.plus(by).compare(to) > 0) break;
    if (by.isZero) continue;
    hops.push(by);
    at = at.plus(by);
  }
  return at.equals(to) ? hops : [...hops, to.minus(at)];
}

/** The ones up to a round number, then the largest places first. */
function hopsByPlace(from: Exact, to: Exact, base: number): readonly Exact[] {
  const by = upTo(from, base, 1);
  const fills = !by.isZero && from.plus(by).compare(to) <= 0;
  const at = fills ? from.plus(by) : from;
  const rest = placeParts(numeralOf(to.minus(at).numerator, base)).map(({ worth }) => worth);
  return fills ? [by, ...rest] : rest;
}

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const { base } = problem;
  const way = planWay(problem, scribe.hops, school);
  const up = way.target.compare(way.start) >= 0;
  const [larger, smaller] = up ? [0, 1] : [1, 0];
  const small = partOf(up ? way.start : way.target, base);
  const stretch = way.pieces.map((worth) => partOf(worth, base));
  const cut = [...(up ? [...stretch].reverse() : stretch), small];
  scribe.openSum(up ? [cut, [small]] : [[small], cut]);
  scribe.giveWhole(1, { area: 'end', row: 0, column: 0 });
  scribe.giveWhole(0, { area: 'end', row: Math.max(1, way.hops.length), column: 0 });
  const count = stretch.length;
  const owed = (k: number) => scribe.owes(larger, up ? count - 1 - k : k);
  const rings = hopAlong(scribe, way, owed);
  const skipped = rings.map((_, k) => scribe.slip('skip-ring', true, { at: where('hop', k) }));
  const told = rings.filter((_, k) => !skipped[k]);
  const to = Exact.sum(told.map(({ worth }) => worth));
  const answer = scribe.step({
    law: small.worth.isZero ? 'evaluate' : 'inverse',
    phase: { kind: 'together' },
    takes: [...rings, scribe.owes(larger, count), scribe.owes(smaller, 0)],
    writes: [wholeWriting('answer', to, { area: 'answer', row: 0, column: 0 }, base)],
    phrase: phrase('counting.total', {
      hops: told.map(({ worth }) => worth),
      to,
      start: way.start,
      target: way.target,
      skipped: skipped.includes(true),
    }),
  });
  return scribe.close(answer, phrase('counting.answer', {}));
}

/** Makes the hops; each gives its ring and, before the end, the number on which it lands. */
function hopAlong(scribe: Scribe, way: Way, owed: (k: number) => Entry): readonly Mark[] {
  const { base } = scribe;
  const rings: Mark[] = [];
  let piece = 0;
  let gap: Mark | null = null;
  way.hops.forEach(({ from, by, piece: moves }, row) => {
    const to = from.plus(by);
    const left = way.target.minus(to);
    const last = row === way.hops.length - 1;
    const takes: Entry[] = moves ? [owed(piece++)] : gap ? [gap] : [];
    const opensGap = !last && (moves === null || !moves.equals(by.absolute()) || isPast(way, by));
    const onesHop = by.absolute().compare(Exact.of(base)) < 0;
    const startCounted = scribe.slip('count-the-start', onesHop && isPositive(by), {
      at: where('hop', row),
    });
    const worth = startCounted ? by.plus(Exact.ONE) : by;
    const before = gap?.beyond?.get(PAST)?.count ?? 0n;
    const after = opensGap ? pastBy(way, to) : 0n;
    const hopTo = { from, to };
    const marks: readonly Mark[] = scribe.step({
      law: 'evaluate',
      phase: { kind: 'hops' },
      takes,
      writes: [
        wholeWriting('hop', worth, { area: 'hop', row, column: 0 }, base, {
          glyph: signed(worth, base),
          hop: hopTo,
          beyond: cellBeyond(PAST, Exact.ONE, before - after),
        }),
        ...(last ? [] : [stopAt(to, row, base)]),
        ...(opensGap
          ? [
              wholeWriting('hop too far', left, { area: 'gap', row, column: 0 }, base, {
                medium: 'head',
                glyph: signed(left, base),
                beyond: cellBeyond(PAST, Exact.ONE, after),
              }),
            ]
          : []),
      ],
      phrase: phrase('counting.hop', {
        from,
        hop: worth,
        to,
        target: way.target,
        slip: startCounted ? 'count-the-start' : '',
      }),
    });
    rings.push(marks[0]!);
    gap = opensGap ? marks.at(-1)! : null;
    scribe.group(`hop-${row}`, 'hop', [marks[0]!], phrase('counting.ring', hopTo));
  });
  return rings;
}

/** Ones of the line that lie past its ends. */
const PAST = 'beyond.0';

/** How much of what is still missing lies past an end of the stretch: less than nothing once a hop went too far. */
function pastBy({ start, target }: Way, at: Exact): bigint {
  const up = target.compare(start) >= 0;
  const [low, high] = up ? [start, target] : [target, start];
  const edge = at.compare(low) < 0 ? low : at.compare(high) > 0 ? high : at;
  return edge.minus(at).numerator;
}

/** Whether a hop goes the other way than the end lies. */
function isPast({ start, target }: Way, by: Exact): boolean {
  return isPositive(by) !== target.compare(start) >= 0;
}

/** A number on the line: a place where a hop lands, no amount of the account. */
function stopAt(at: Exact, row: number, base: number): Writing {
  return {
    ...wholeWriting('stop', at, { area: 'stop', row, column: 0 }, base),
    worth: Exact.ZERO,
    from: [],
  };
}

function sheet(trace: Trace): Sheet {
  const all = [...trace.givens, ...trace.steps.flatMap(({ gives }) => gives)];
  const longest = Math.max(...all.map(({ glyph }) => glyph.length));
  const width = Math.max(2, Math.ceil(longest * 0.7));
  const hops = trace.steps.length - 1;
  const rings = all.flatMap((written) =>
    written.spot.area === 'hop' || written.spot.area === 'answer' ? [written.glyph.length] : [],
  );
  const ring = { x: width + 1, width: Math.ceil(Math.max(...rings) * 0.7 + 0.5), height: 1 };
  const below = Math.max(1, hops) + 0.5;
  const pieces = new Map(
    trace.steps.slice(0, -1).flatMap(({ takes }, row) => takes.map((id) => [id, row] as const)),
  );
  // The part that both numbers have stands where the smaller of them does.
  const shared = trace.start.find(
    ({ id }) => !pieces.has(id) && trace.givens.every((g) => g.owed !== id),
  )?.id;
  const start = trace.total.isNegative ? Math.max(1, hops) : 0;
  return draftSheet(trace, {
    areas: {
      end: ({ row }) => ({ x: 0, y: row, width, height: 1, align: 'right' }),
      stop: ({ row }) => ({ x: 0, y: row + 1, width, height: 1, align: 'right' }),
      hop: ({ row }) => ({ ...ring, y: row + 0.5, ringed: true, align: 'right' }),
      answer: () => ({ ...ring, width: ring.width - 0.25, y: below, align: 'right' }),
    },
    slot: ({ id }) => {
      const row = pieces.get(id);
      if (row !== undefined) return { ...ring, y: row + 0.5 };
      return id === shared ? { x: 0, y: start, width, height: 1, dot: false } : null;
    },
    rulings: [
      { kind: 'line', x1: ring.x, y1: below, x2: ring.x + ring.width, y2: below, weight: 'heavy' },
    ],
  });
}
