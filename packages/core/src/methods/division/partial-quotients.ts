import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import {
  numberText,
  numeralFor,
  numeralText,
  numeralValue,
  placeValue,
} from '../../exact/numeral.ts';
import { definePhrases, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { defineMethod, type HopVerdict } from '../method.ts';
import { DividendLength, giveNumber } from './division-account.ts';
import { planDivision, planFigures, type DivisionPlan } from './division-plan.ts';
import { acceptsQuotient, plannedDivision, scalePhrase } from './division-work.ts';
import { divisionPhrases } from './division-words.ts';
import { SCALE_ONE, STOP } from './schools.ts';

type ChunkValues = {
  readonly chunk: Exact;
  readonly divisor: Exact;
  readonly product: Exact;
  readonly left: Exact;
};

const chunk: Wording<ChunkValues> = {
  digit: ({ chunk: by, divisor, product }, say) =>
    `**${say.worth(by)}** ${say.times} ${say.worth(divisor)} = **${say.worth(product)}**.`,
  value: ({ chunk: by, divisor, product, left }, say) =>
    `${say.worth(by)} times the divisor ${say.worth(divisor)} can be taken from ${say.worth(left)}: **${say.worth(product)}** off the dividend, **${say.worth(by)}** to the quotient.`,
};

type TakeValues = {
  readonly from: Exact;
  readonly product: Exact;
  readonly left: Exact;
  readonly divisor: Exact;
};

const take: Wording<TakeValues> = {
  digit: ({ from, product, left }, say) =>
    `${say.opening(say.minus(say.worth(from), say.worth(product)))} is **${say.worth(left)}**.`,
  value: ({ left, divisor }, say) =>
    left.isZero
      ? `Nothing is left to share.`
      : `**${say.worth(left)}** ${left.equals(Exact.ONE) ? 'is' : 'are'} still to be shared by ${say.worth(divisor)}.`,
};

type TotalValues = {
  readonly chunks: readonly Exact[];
  readonly to: Exact;
  readonly skipped: boolean;
};

const total: Wording<TotalValues> = {
  digit: ({ chunks, to, skipped }, say) => {
    if (chunks.length === 0) return `No chunk fits: the quotient is **${say.worth(to)}**.`;
    if (chunks.length === 1 && !skipped) return `There is one chunk: **${say.worth(to)}**.`;
    const sum =
      chunks.length > 8
        ? `${chunks.length} chunks`
        : chunks.map((one) => say.worth(one)).join(' + ');
    return `${sum} = **${say.worth(to)}**${skipped ? ', with one chunk passed over' : ''}.`;
  },
  value: ({ chunks, to, skipped }, say) =>
    chunks.length === 0
      ? `The divisor does not fit once: **${say.worth(to)}**.`
      : `All chunks together say how often the divisor was taken: **${say.worth(to)} ${to.equals(Exact.ONE) ? 'time' : 'times'}**${skipped ? ', but one chunk is passed over' : ''}.`,
};

const phrases = definePhrases({
  ...divisionPhrases.wordings,
  'chunks.chunk': chunk,
  'chunks.take': take,
  'chunks.total': total,
  'chunks.share': plain(({ chunk: by }: { chunk: Exact }, say) => `the chunk of ${say.worth(by)}`),
});

const { phrase } = phrases;

const PRODUCT_AS_CHUNK = {
  id: 'skip-chunk',
  label: 'Chunk passed over',
  mechanism: 'One of the chunks is not added.',
};

export const partialQuotients = defineMethod({
  id: 'partial-quotients',
  family: 'division',
  name: 'Partial quotients',
  shortName: 'Partial quotients',
  alsoCalled: ['chunking', 'repeated subtraction of multiples'],
  summary:
    'Easy multiples of the divisor are taken away until too little is left; how many were taken is added up at the side.',
  why: 'Each chunk shares a part of the dividend; the chunks together are how often the divisor was taken.',
  medium: 'on paper',
  direction: 'from the largest chunk down, of any size that fits',
  freeOrder: false,
  schools: [
    STOP,
    {
      id: 'chunks',
      label: 'Chunks',
      options: [
        {
          id: 'easy',
          label: 'ones, twos and fives of a place',
          reason: 'Only doubles and halves of the divisor are needed; more lines.',
        },
        {
          id: 'largest',
          label: 'the largest of a place',
          reason: 'One chunk a figure, as long division has it.',
        },
      ],
    },
  ],
  slips: [PRODUCT_AS_CHUNK, SCALE_ONE],
  ownHops: {
    name: 'chunk',
    hint: 'Type how many of the divisor to take, such as 20.',
    most: 20,
    from: (_, hops) => Exact.sum(hops),
    judge: judgeChunks,
  },
  phrases: phrases.book,
  accepts: acceptsQuotient,
  work,
  sheet,
});

function judgeChunks(
  problem: Problem,
  chunks: readonly Exact[],
  school: School,
): readonly HopVerdict[] {
  const { operands, base } = problem;
  const finest = placeValue(base, planDivision(problem, school).last);
  const [dividend, divisor] = operands.map(numeralValue) as [Exact, Exact];
  let left = dividend;
  let so = Exact.ZERO;
  return chunks.map((by): HopVerdict => {
    if (by.numerator <= 0n) return { ok: false, fault: 'A chunk is more than nothing.' };
    if (!by.dividedBy(finest).isWhole) {
      return {
        ok: false,
        fault: `The quotient goes down to ${numberText(finest, base)} here; ${numberText(by, base)} is finer.`,
      };
    }
    const product = by.times(divisor);
    if (product.compare(left) > 0) {
      return {
        ok: false,
        fault: `${numberText(by, base)} × ${numberText(divisor, base)} is ${numberText(product, base)}, and only ${numberText(left, base)} is left.`,
      };
    }
    left = left.minus(product);
    so = so.plus(by);
    return { ok: true, lands: so, left };
  });
}

/** Chunks with what each leaves, in the scaled numbers. */
interface ChunkPlan {
  readonly plan: DivisionPlan;
  readonly dividend: Exact;
  readonly divisor: Exact;
  readonly chunks: readonly Exact[];
  readonly left: Exact;
  /** The last place that has a figure. */
  readonly last: number;
  /** The figures that repeat, when they do. */
  readonly block: string | null;
}

function planChunks(plan: DivisionPlan, own: readonly Exact[], school: School): ChunkPlan {
  const { base } = plan;
  const [dividend, divisor] = [plan.dividend, plan.divisor].map(numeralValue) as [Exact, Exact];
  const used = Exact.sum(own).times(divisor);
  const rest = planFigures(
    { ...plan, dividend: numeralFor(dividend.minus(used), base)! },
    plan.last,
  );
  const chunks = [...own];
  for (const { quotient, place } of rest.figures) {
    for (const count of countsOf(quotient, base, school)) {
      chunks.push(Exact.of(count).times(placeValue(base, place)));
    }
  }
  const left = dividend.minus(Exact.sum(chunks).times(divisor));
  const repeats = rest.repeatsFrom !== null && own.length === 0;
  const block = repeats
    ? rest.figures
        .slice(rest.repeatsFrom!)
        .map(({ quotient }) => quotient.toString(base).toUpperCase())
        .join('')
    : null;
  const last = rest.figures.at(-1)!.place;
  return { plan, dividend, divisor, chunks, left, last, block };
}

/** A figure as one chunk, or as easy ones: halves of the base, twos and ones. */
function countsOf(quotient: number, base: number, school: School): readonly number[] {
  if (quotient === 0) return [];
  if (school['chunks'] === 'largest') return [quotient];
  const easy = [...new Set([Math.floor(base / 2), 2, 1])].filter((n) => n > 0);
  const counts: number[] = [];
  let rest = quotient;
  for (const count of easy.sort((a, b) => b - a)) {
    while (rest >= count) {
      counts.push(count);
      rest -= count;
    }
  }
  return counts;
}

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const { plan, slip } = plannedDivision(scribe, problem, school);
  const chunks = planChunks(plan, slip === '' ? scribe.hops : [], school);
  return new ChunkWork(scribe, problem, chunks, slip).work();
}

class ChunkWork {
  private readonly length: DividendLength;
  /** One of the scaled numbers in the dividend as it was given. */
  private readonly unit: Exact;
  private row = 0;

  constructor(
    private readonly scribe: Scribe,
    private readonly problem: Problem,
    private readonly chunked: ChunkPlan,
    private readonly slip: string,
  ) {
    const { plan, chunks, divisor } = chunked;
    this.unit = placeValue(plan.base, -plan.shift);
    let edge = Exact.ZERO;
    const edges = chunks.map((by) => (edge = edge.plus(by.times(divisor).times(this.unit))));
    this.length = new DividendLength(problem, edges, slip === '' ? undefined : divisor);
  }

  work(): Trace {
    const { scribe, problem, chunked, length } = this;
    const all = length.between(Exact.ZERO, length.end);
    const [dividendText, divisorText] = problem.operands.map(numeralText) as [string, string];
    const text = `${dividendText}÷${divisorText}`;
    const [owed] = scribe.openShares(length.space, [
      { text, worth: length.owed(length.end), terms: all },
    ]);
    const scaled = planDivision(problem, {}).shift > 0;
    scribe.giveFigure({
      text: dividendText,
      glyph: dividendText,
      worth: length.owed(length.end),
      terms: all,
      role: 'operand part',
      spot: { area: scaled ? 'question' : 'dividend', row: 0, column: 0 },
      operand: 0,
      place: undefined,
      owed: owed!.id,
    });
    const worth = numeralValue(problem.operands[1]!);
    giveNumber(
      scribe,
      { text: divisorText, worth, terms: all, operand: 1 },
      scaled ? 'question' : 'divisor',
    );
    let left: readonly Entry[] = scaled ? [this.scale(owed!)] : [owed!];
    const marks: Mark[] = [];
    let from = chunked.dividend;
    let used = Exact.ZERO;
    for (const by of chunked.chunks) {
      const to = used.plus(by.times(chunked.divisor));
      marks.push(this.take(by, from, left, [used, to], (rest) => (left = rest)));
      from = from.minus(by.times(chunked.divisor));
      used = to;
    }
    return this.close(marks, left);
  }

  private scale(owed: Entry): Mark {
    const { plan } = this.chunked;
    const amount = numeralValue(plan.dividend).times(this.unit);
    const [mark] = this.scribe.step({
      law: 'scale-both',
      phase: 'scale',
      takes: [owed],
      writes: [
        {
          role: 'adjusted number',
          count: 0,
          place: 0,
          glyph: numeralText(plan.dividend),
          worth: this.length.share(amount),
          spot: { area: 'dividend', row: 0, column: 0 },
        },
        {
          role: 'adjusted number',
          count: 0,
          place: 0,
          glyph: numeralText(plan.divisor),
          worth: Exact.ZERO,
          terms: this.length.between(Exact.ZERO, Exact.ZERO),
          spot: { area: 'divisor', row: 0, column: 1 },
        },
      ],
      phrase: scalePhrase(this.problem, plan, this.slip),
    });
    return mark!;
  }

  /** Writes a chunk with its product, then takes the product away. */
  private take(
    by: Exact,
    from: Exact,
    left: readonly Entry[],
    [used, to]: readonly [Exact, Exact],
    leaves: (rest: readonly Mark[]) => void,
  ): Mark {
    const { scribe, chunked, length, unit } = this;
    const { base } = chunked.plan;
    const product = by.times(chunked.divisor);
    const rest = from.minus(product);
    const terms = length.between(used.times(unit), to.times(unit));
    const share = length.share(product.times(unit));
    const row = this.row;
    const [mark, taken] = scribe.step({
      law: 'distribute',
      phase: `chunk-${row / 2}`,
      takes: [],
      writes: [
        this.number('chunk', by, by, { area: 'chunk', row, column: 0 }, terms),
        this.number('product', product, share.negate(), { area: 'work', row, column: 0 }, terms),
      ],
      phrase: phrase('chunks.chunk', { chunk: by, divisor: chunked.divisor, product, left: from }),
    });
    const after = length.between(to.times(unit), length.end);
    const restSpot = { area: 'work', row: row + 1, column: 0 };
    leaves(
      scribe.step({
        law: 'evaluate',
        phase: `chunk-${row / 2}`,
        takes: [...left, taken!],
        writes: [this.number('remainder', rest, length.share(rest.times(unit)), restSpot, after)],
        phrase: phrase('chunks.take', { from, product, left: rest, divisor: chunked.divisor }),
      }),
    );
    this.row += 2;
    scribe.group(
      `share-${numberText(by, base)}-${row}`,
      'share',
      [mark!],
      phrase('chunks.share', { chunk: by }),
    );
    return mark!;
  }

  private number(
    role: Writing['role'],
    amount: Exact,
    worth: Exact,
    spot: Writing['spot'],
    terms: NonNullable<Writing['terms']>,
  ): Writing {
    const glyph = numberText(amount, this.chunked.plan.base);
    return { role, count: 0, place: 0, glyph, worth, spot, terms };
  }

  private close(chunks: readonly Mark[], left: readonly Entry[]): Trace {
    const { scribe, chunked } = this;
    const skipped = scribe.slip(PRODUCT_AS_CHUNK.id, chunks.length > 1);
    const counted = skipped ? chunks.slice(0, -1) : chunks;
    const to = Exact.sum(counted.map(({ worth }) => worth));
    const marks = scribe.step({
      law: 'evaluate',
      phase: 'total',
      takes: chunks,
      writes: [
        {
          ...this.number(
            'answer',
            to,
            to,
            { area: 'quotient', row: 0, column: 0 },
            this.usedTerms(),
          ),
        },
      ],
      phrase: phrase('chunks.total', { chunks: counted.map(({ worth }) => worth), to, skipped }),
    });
    const rest = this.rest(left, to);
    const answer = [...marks, ...rest];
    if (chunked.left.isZero) return scribe.close(answer, phrase('division.answer', {}));
    scribe.group('rest', 'rest', rest, phrase('division.rest', {}));
    return scribe.close(answer, phrase('division.answer', {}));
  }

  private usedTerms() {
    const { chunked, length, unit } = this;
    const used = chunked.dividend.minus(chunked.left).times(unit);
    return length.between(Exact.ZERO, used);
  }

  private rest(left: readonly Entry[], quotient: Exact): readonly Mark[] {
    const { scribe, chunked, unit } = this;
    const worth = Exact.sum(left.map((entry) => entry.worth));
    if (worth.isZero) return [];
    const { base } = chunked.plan;
    const { block } = chunked;
    const rest = chunked.left.times(unit);
    const lowest = chunked.chunks.at(-1) ?? Exact.ONE;
    return scribe.step({
      law: 'evaluate',
      phase: 'rest',
      takes: left,
      writes: [
        {
          role: block ? 'repeats' : 'rest',
          count: 0,
          place: 0,
          glyph: block ? '…' : `r ${numberText(rest, base)}`,
          ...(block ? { text: block, place: chunked.last, placed: true } : {}),
          worth,
          spot: { area: 'left', row: 0, column: 0 },
        },
      ],
      phrase: block
        ? phrase('division.repeats', { block, rest: chunked.left.dividedBy(lowest) })
        : phrase('division.remainder', {
            rest,
            scaled: chunked.left,
            divisor: numeralValue(this.problem.operands[1]!),
            quotient,
            slip: '',
          }),
    });
  }
}

/** The dividend with what is taken away under it, and the chunks at the right, added up below. */
function sheet(trace: Trace): Sheet {
  const marks = trace.steps.flatMap(({ gives }) => gives);
  const written = [...trace.givens, ...marks];
  const widthOf = (...areas: readonly string[]) =>
    Math.max(
      2,
      ...written
        .filter(({ spot }) => areas.includes(spot.area))
        .map(({ glyph }) => Math.ceil(glyph.length * 0.8)),
    );
  const work = widthOf('work', 'dividend');
  const side = widthOf('chunk', 'quotient');
  const by = widthOf('divisor');
  const rows = Math.max(
    0,
    ...marks.filter(({ spot }) => spot.area === 'work').map(({ spot }) => spot.row + 1),
  );
  const right = (x: number, width: number, y: number) =>
    ({ x, y, width, height: 1, align: 'right' }) as const;
  const question = trace.givens.filter(({ spot }) => spot.area === 'question');
  const [first = 0] = question.map(({ glyph }) => glyph.length * 0.7 + 0.3);
  return draftSheet(trace, {
    areas: {
      question: ({ column }, { glyph }) => ({
        x: -by - 0.4 + (column === 0 ? 0 : first + 1),
        y: -2,
        width: glyph.length * 0.7 + 0.3,
        height: 1,
      }),
      divisor: () => right(-by - 0.2, by, 0),
      dividend: () => right(0, work, 0),
      work: ({ row }, { role }) => ({ ...right(0, work, 1 + row), underlined: role === 'product' }),
      chunk: ({ row }) => right(work + 0.6, side, 1 + row),
      quotient: () => right(work + 0.6, side, 1 + rows),
      left: (_, { glyph }) => ({
        x: work + side + 0.8,
        y: 1 + rows,
        width: glyph.length * 0.7,
        height: 1,
      }),
    },
    rulings: [
      { kind: 'line', x1: 0, y1: 0, x2: work + 0.3, y2: 0, weight: 'heavy' },
      { kind: 'line', x1: 0, y1: 0, x2: 0, y2: 1, weight: 'heavy' },
      { kind: 'line', x1: work + 0.4, y1: 0, x2: work + 0.4, y2: 1 + rows, weight: 'thin' },
      {
        kind: 'line',
        x1: work + 0.6,
        y1: 1 + rows,
        x2: work + 0.6 + side,
        y2: 1 + rows,
        weight: 'heavy',
      },
    ],
    signs:
      question.length > 0
        ? [{ sign: 'divide', x: -by - 0.4 + first, y: -2, width: 1, height: 1 }]
        : [],
  });
}
