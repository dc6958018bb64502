import { where } from '../../account/chance.ts';
import type { Entry, Mark, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numberText, numeralValue } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { leftAgain, unitOf, type DivisionPlan } from './division-plan.ts';
import { divisionPhrases } from './division-words.ts';
import { restSlip } from './rest-slips.ts';
import { REMAINDER_AS_TENTHS } from './schools.ts';

const { phrase } = divisionPhrases;

/** The end of a division: what is left when the last figure is written. */
export class DivisionEnd {
  constructor(
    private readonly scribe: Scribe,
    private readonly problem: Problem,
    private readonly plan: DivisionPlan,
    private readonly entries: ReadonlyMap<number, Entry>,
    private readonly quotient: readonly Mark[],
  ) {}

  /** Deals with what is left when the last figure is written, and closes the account. */
  finish(left: readonly Entry[]): Trace {
    const { scribe, plan } = this;
    const rest = this.joined(left);
    const answer = [...this.quotient];
    if (plan.end === 'repeats') answer.push(this.repeat(rest));
    else answer.push(...this.remainder(rest));
    return scribe.close(answer, phrase('division.answer', {}));
  }

  /** Puts figures that are not worked any more to what is left. */
  private joined(left: readonly Entry[]): readonly Entry[] {
    const lowest = this.plan.figures.at(-1)!.place;
    const others = [...this.entries].flatMap(([place, entry]) => (place < lowest ? [entry] : []));
    const live = others.filter(({ worth }) => !worth.isZero);
    if (live.length === 0) return left;
    const takes = [...left, ...others];
    const worth = Exact.sum(takes.map((entry) => entry.worth));
    const rest = this.inDividend(worth);
    const scaled = rest.dividedBy(unitOf(this.plan, 0));
    return this.scribe.step({
      law: 'place-value',
      phase: { kind: 'rest' },
      takes,
      writes: [
        {
          role: 'remainder',
          count: 0,
          place: 0,
          glyph: numberText(scaled, this.plan.base),
          worth,
          medium: 'head',
          spot: { area: 'joined', row: 0, column: 0 },
        },
      ],
      phrase: phrase('division.join', { rest: scaled }),
    });
  }

  /** What a share comes to in the dividend as the work has it. */
  private inDividend(share: Exact): Exact {
    return share.times(numeralValue(this.plan.divisor)).times(unitOf(this.plan, 0));
  }

  private remainder(rest: readonly Entry[]): readonly Mark[] {
    const { scribe, plan } = this;
    const worth = Exact.sum(rest.map((entry) => entry.worth));
    if (worth.isZero) return [];
    const amount = this.inDividend(worth);
    const scaled = amount.dividedBy(unitOf(plan, 0));
    const tenths = this.writtenAsTenths(scaled);
    const wrong = restSlip(scribe, this.problem, { rest: amount, scaled });
    const marks = scribe.step({
      law: 'evaluate',
      phase: { kind: 'rest' },
      takes: rest,
      writes: wrong
        ? wrong.writes
        : tenths
          ? [
              {
                role: 'answer',
                count: Number(scaled.numerator),
                place: -1,
                spot: { area: 'quotient', row: 0, column: -1 },
              },
            ]
          : [
              {
                role: 'rest',
                count: 0,
                place: 0,
                glyph: `r ${numberText(amount, plan.base)}`,
                worth,
                spot: { area: 'left', row: 0, column: 0 },
              },
            ],
      phrase: phrase('division.remainder', {
        rest: amount,
        scaled,
        divisor: numeralValue(this.problem.operands[1]!),
        quotient: Exact.sum(this.quotient.map((mark) => mark.worth)),
        place: plan.figures.at(-1)!.place,
        slip: wrong?.slip ?? (tenths ? REMAINDER_AS_TENTHS.id : ''),
      }),
    });
    if (!tenths && marks.length > 0) {
      scribe.group('rest', 'rest', marks, phrase('division.rest', {}));
    }
    return marks;
  }

  private writtenAsTenths(rest: Exact): boolean {
    const { base, by, figures } = this.plan;
    const fits =
      rest.isWhole &&
      rest.numerator < BigInt(base) &&
      by !== BigInt(base) &&
      figures.at(-1)!.place === 0;
    return this.scribe.slip(REMAINDER_AS_TENTHS.id, fits, { at: where('answer', 0) });
  }

  private repeat(rest: readonly Entry[]): Mark {
    const { figures } = this.plan;
    const again = leftAgain(this.plan)!;
    const [mark] = this.scribe.step({
      law: 'evaluate',
      phase: { kind: 'rest' },
      takes: rest,
      writes: [
        {
          role: 'repeats',
          count: 0,
          place: figures.at(-1)!.place,
          placed: true,
          glyph: '…',
          text: again.block,
          worth: Exact.sum(rest.map((entry) => entry.worth)),
          spot: { area: 'repeats', row: 0, column: figures.at(-1)!.place - 1 },
        },
      ],
      phrase: phrase('division.repeats', again),
    });
    this.scribe.group('rest', 'rest', [mark!], phrase('division.rest', {}));
    return mark!;
  }
}
