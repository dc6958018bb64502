import { slipOf } from '../../slips/catalogue.ts';
import { where } from '../../account/chance.ts';
import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import {
  numberText,
  numeralText,
  numeralValue,
  placeValue,
  pointedText,
} from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { defineMethod } from '../method.ts';
import { judgeChunks, planChunks, type ChunkPlan } from './chunk-plan.ts';
import { chunkSheet } from './chunk-sheet.ts';
import { chunkPhrases } from './chunk-words.ts';
import { DividendLength, giveNumber } from './division-account.ts';
import { planDivision } from './division-plan.ts';
import { acceptsQuotient, plannedDivision, scalePhrase } from './division-start.ts';

import { REST_SLIPS, restSlip } from './rest-slips.ts';
import { SCALE_ONE, STOP } from './schools.ts';

const { phrase } = chunkPhrases;

const SKIP_CHUNK = slipOf('skip-chunk');

export const partialQuotients = defineMethod({
  id: 'partial-quotients',
  family: 'division',
  name: 'Partial quotients',
  shortName: 'Partial quotients',
  alsoCalled: ['chunking', 'repeated subtraction of multiples'],
  summary:
    'Easy multiples of the divisor are taken away until too little is left; how many were taken is added up at the side.',
  why: 'Each chunk shares a part of the dividend; the chunks together are how often the divisor was taken.',
  leadsTo: 'Long division, where every chunk is the largest of its place.',
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
  slips: [
    SKIP_CHUNK,
    slipOf('chunk-ten-times-off'),
    slipOf('products-added'),
    SCALE_ONE,
    ...REST_SLIPS,
  ],
  ownHops: {
    name: 'chunk',
    hint: 'Type how many of the divisor to take, such as 20.',
    most: 20,
    from: (_, hops) => Exact.sum(hops),
    judge: judgeChunks,
  },
  linesLike: { rank: 9, moves: ['distribute'], hops: 'parts', named: 'chunks' },
  phrases: chunkPhrases.book,
  accepts: acceptsQuotient,
  work,
  sheet: chunkSheet,
});

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
    const cuts = scribe.keepsTerms ? edges : [];
    this.length = new DividendLength(problem, cuts, slip === '' ? undefined : divisor);
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
      phase: { kind: 'scale' },
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
      phase: { kind: 'chunk', of: row / 2 },
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
        phase: { kind: 'chunk', of: row / 2 },
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
    const made = this.countedAs(chunks);
    const { counted, slip } = made;
    const to = Exact.sum(counted);
    const marks = scribe.step({
      law: 'evaluate',
      phase: { kind: 'total' },
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
          ...this.downToStop(to),
        },
      ],
      phrase: phrase('chunks.total', { chunks: counted, to, slip }),
    });
    const rest = this.rest(left, to);
    const answer = [...marks, ...rest];
    if (chunked.left.isZero || rest.length === 0)
      return scribe.close(answer, phrase('division.answer', {}));
    scribe.group('rest', 'rest', rest, phrase('division.rest', {}));
    return scribe.close(answer, phrase('division.answer', {}));
  }

  /** Where something is left, the quotient is written down to the place at which the work stops, zeros included. */
  private downToStop(quotient: Exact): Partial<Writing> {
    const { last, left, again, plan } = this.chunked;
    const count = quotient.times(placeValue(plan.base, -last));
    if (left.isZero || again || last >= 0 || !count.isWhole) return {};
    return { glyph: pointedText(count.numerator, -last, plan.base) };
  }

  /** The numbers that are added as the quotient: the chunks, or what a learner adds. */
  private countedAs(chunks: readonly Mark[]): {
    readonly counted: readonly Exact[];
    readonly slip: string;
  } {
    const { scribe, chunked } = this;
    const worths = chunks.map(({ worth }) => worth);
    const base = Exact.of(chunked.plan.base);
    const wrong = chunks.map((_, k) => {
      const at = where('chunk', k);
      const mayTen = worths[k]!.isWhole && worths[k]!.dividedBy(base).isWhole;
      const skips = scribe.slip(SKIP_CHUNK.id, chunks.length > 1, { at });
      const isOff = scribe.slip('chunk-ten-times-off', mayTen, { at });
      return skips ? 'skip' : isOff ? 'off' : '';
    });
    const mayAdd = chunks.length > 0 && !chunked.divisor.equals(Exact.ONE);
    if (scribe.slip('products-added', mayAdd, { at: where('answer', 0) })) {
      return { counted: worths.map((by) => by.times(chunked.divisor)), slip: 'products-added' };
    }
    const counted = worths.flatMap((worth, k) => {
      if (wrong[k] === 'skip') return [];
      return wrong[k] === 'off' ? [worth.dividedBy(base)] : [worth];
    });
    const slip = wrong.includes('skip')
      ? SKIP_CHUNK.id
      : wrong.includes('off')
        ? 'chunk-ten-times-off'
        : '';
    return { counted, slip };
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
    const { again } = chunked;
    const rest = chunked.left.times(unit);
    const wrong = again ? null : restSlip(scribe, this.problem, { rest, scaled: chunked.left });
    return scribe.step({
      law: 'evaluate',
      phase: { kind: 'rest' },
      takes: left,
      writes: wrong?.writes ?? [
        {
          role: again ? 'repeats' : 'rest',
          count: 0,
          place: 0,
          glyph: again ? '…' : `r ${numberText(rest, base)}`,
          ...(again ? { text: again.block, place: chunked.last, placed: true } : {}),
          worth,
          spot: { area: 'left', row: 0, column: 0 },
        },
      ],
      phrase: again
        ? phrase('division.repeats', again)
        : phrase('division.remainder', {
            rest,
            scaled: chunked.left,
            divisor: numeralValue(this.problem.operands[1]!),
            quotient,
            place: chunked.last,
            slip: wrong?.slip ?? '',
          }),
    });
  }
}
