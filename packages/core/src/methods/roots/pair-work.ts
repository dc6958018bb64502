import { where } from '../../account/chance.ts';
import type { Entry, Mark, OwedEntry, Trace } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { numberText, numeralValue, placeValue } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { NumberLength } from '../shared/number-length.ts';
import { leftAgain, pairText, readLower, sideNumber, spot, text, trialMark } from './pair-marks.ts';
import type { FigurePair, RootDigit, RootPlan, Trial } from './root-plan.ts';
import { rootPhrases } from './root-words.ts';
import { NOT_DOUBLED, ONE_BOX, ONE_FIGURE, SMALLER_SQUARE, ZERO_LEFT_OUT } from './schools.ts';

const { phrase } = rootPhrases;

/** A root that is worked pair by pair, as far as it has come. */
export class PairWork {
  private readonly length: NumberLength;
  private readonly owed: ReadonlyMap<number, OwedEntry>;
  private root: Mark[] = [];
  /** The root as it is read from its figures. */
  private read = 0n;
  /** What is not laid yet and stands on the paper. */
  private left: Entry[] = [];
  /** The row of what is left, and the row beside it for the doubled root, which may be lower. */
  private row = 0;
  private beside = 0;
  private laid = Exact.ZERO;

  constructor(
    private readonly scribe: Scribe,
    problem: Problem,
    private readonly plan: RootPlan,
  ) {
    const total = numeralValue(problem.operands[0]);
    this.length = new NumberLength(total, scribe.keepsTerms ? this.cuts() : [], problem.base);
    this.owed = this.open();
  }

  run(): Trace {
    this.plan.digits.forEach((digit, k) => (k === 0 ? this.first(digit) : this.next(digit)));
    return this.finish();
  }

  /** What a count in the last place of a pair amounts to. */
  private amount(count: bigint, place: number): Exact {
    return Exact.of(count).times(placeValue(this.plan.base, 2 * place));
  }

  private side(count: bigint | number, place: number): Exact {
    return Exact.of(count).times(placeValue(this.plan.base, place));
  }

  /** Where pairs end and where what is laid ends. */
  private cuts(): readonly Exact[] {
    let [pairs, laid] = [Exact.ZERO, Exact.ZERO];
    const worked = this.plan.digits.flatMap(({ pair, product, place }) => {
      pairs = pairs.plus(this.amount(pair, place));
      laid = laid.plus(this.amount(product, place));
      return [pairs, laid];
    });
    return [
      ...worked,
      ...this.unread().map(({ value, place }) => (pairs = pairs.plus(this.amount(value, place)))),
    ];
  }

  /** The pairs below the last place that is worked. */
  private unread(): readonly FigurePair[] {
    const last = this.plan.digits.at(-1)!.place;
    return this.plan.pairs.filter(({ place }) => place < last);
  }

  /** Every pair of the number is owed and stands on the paper. */
  private open(): ReadonlyMap<number, OwedEntry> {
    const { base, pairs: given } = this.plan;
    let to = Exact.ZERO;
    const drafts = given.map(({ value, place }) => {
      const worth = this.amount(value, place);
      const from = to;
      to = to.plus(worth);
      return { text: numberText(worth, base), worth, terms: this.length.between(from, to) };
    });
    const entries = this.scribe.openShares(this.length.space, drafts);
    given.forEach(({ value, place }, k) => {
      const entry = entries[k]!;
      this.scribe.giveFigure({
        text: entry.text,
        glyph: pairText(value, base, k === 0 && place >= 0),
        worth: entry.worth,
        terms: entry.terms,
        role: 'operand part',
        spot: spot('number', 0, place),
        operand: 0,
        place: undefined,
        owed: entry.id,
      });
    });
    return new Map(given.map(({ place }, k) => [place, entries[k]!]));
  }

  private first(digit: RootDigit): void {
    const { pair, place, product, trials } = digit;
    const above = trials.find(({ fits }) => !fits);
    this.scribe.slip(SMALLER_SQUARE.id, digit.mayBeSmaller, { at: where('place', place) });
    const [figure, square] = this.scribe.step({
      law: 'square',
      phase: { kind: 'digit', of: place },
      takes: [],
      writes: [
        ...this.digitAndProduct(digit),
        ...(digit.digit > 0
          ? [sideNumber(text(BigInt(digit.digit), this.plan.base), spot('doubled', 0, place))]
          : []),
        ...trials.map((one, row) => trialMark(one, row, place, digit.there, this.plan.base)),
      ],
      phrase: phrase('root.first', {
        pair: Exact.of(pair),
        there: this.amount(pair, place),
        digit: digit.digit,
        square: Exact.of(product),
        side: this.side(digit.digit, place),
        area: this.amount(product, place),
        above: above?.digit ?? 0,
        aboveSquare: Exact.of(above?.product ?? 0n),
        smaller: digit.smaller,
      }),
    });
    this.left = [this.owed.get(place)!];
    this.take(digit, figure!, square!);
  }

  private next(digit: RootDigit): void {
    this.bringDown(digit);
    const { place, before, digit: found, there, undoubled, oneBox } = digit;
    const { base } = this.plan;
    const doubled = undoubled ? before : before * 2n;
    this.scribe.slip(NOT_DOUBLED.id, digit.mayBeWrong, {
      at: where('place', place),
      ahead: 1 + digit.tried.undoubled,
    });
    this.scribe.step({
      law: 'square',
      phase: { kind: 'digit', of: place },
      takes: [],
      writes: [sideNumber(`${text(doubled, base)}▢ × ▢`, spot('doubled', this.beside, place))],
      phrase: phrase('root.double', {
        root: Exact.of(before),
        doubled: Exact.of(doubled),
        there: Exact.of(there),
        trueRoot: this.side(before * BigInt(base), place),
        slip: undoubled ? NOT_DOUBLED.id : '',
      }),
    });
    this.askOneBox(digit);
    digit.trials.forEach((one, row) => this.tryDigit(digit, one, row));
    if (this.leavesOutZero(digit)) return;
    const factor = doubled * BigInt(base) + BigInt(oneBox ? 0 : found);
    const tried = `${text(factor, base)} × ${found.toString(base).toUpperCase()}`;
    const marks = this.scribe.step({
      law: 'square',
      phase: { kind: 'digit', of: place },
      takes: [],
      writes: [
        ...this.digitAndProduct(digit),
        ...(found > 0 ? [sideNumber(tried, spot('doubled', this.beside + 1, place))] : []),
      ],
      phrase: phrase('root.digit', {
        digit: found,
        factor: Exact.of(factor),
        product: oneBox ? this.amount(digit.product, place) : Exact.of(digit.product),
        before: this.side(this.read * BigInt(base), place),
        width: this.side(found, place),
        area: this.areaOf(digit),
        oneBox,
        undoubled,
        taken: this.amount(digit.product, place),
      }),
    });
    if (found === 0) {
      this.root.push(marks[0]!);
      this.read *= BigInt(base);
      this.beside += 1;
      return;
    }
    this.take(digit, marks[0]!, marks[1]!);
  }

  private askOneBox({ place, tried, mayBeWrong, undoubled }: RootDigit): void {
    const chance = { at: where('place', place), ahead: tried.oneBox };
    this.scribe.slip(ONE_BOX.id, mayBeWrong && !undoubled, chance);
  }

  /** Asks whether nothing is written where no digit fits; the figures before are read a place lower then. */
  private leavesOutZero({ digit, place }: RootDigit): boolean {
    const may = digit === 0 && this.root.some(({ worth }) => !worth.isZero);
    if (!this.scribe.slip(ZERO_LEFT_OUT.id, may, { at: where('place', place) })) return false;
    const marks = this.scribe.step({
      law: 'square',
      phase: { kind: 'digit', of: place },
      takes: this.root,
      writes: this.root.map((mark) => readLower(mark, this.plan.base, this.beside)),
      phrase: phrase('root.zero', { root: Exact.of(this.read) }),
    });
    this.root = [...marks];
    this.beside += 1;
    return true;
  }

  private tryDigit(digit: RootDigit, one: Trial, row: number): void {
    const { place, there } = digit;
    const factor = one.product / BigInt(one.digit);
    this.scribe.step({
      law: 'evaluate',
      phase: { kind: 'digit', of: place },
      about: { digit: one.digit },
      takes: [],
      writes: [trialMark(one, row, place, there, this.plan.base)],
      phrase: phrase('root.trial', {
        digit: one.digit,
        factor: Exact.of(factor),
        product: Exact.of(one.product),
        there: Exact.of(there),
        width: this.side(one.digit, place),
        trueFactor: this.side(factor, place),
        trueProduct: this.amount(one.product, place),
        fits: one.fits,
      }),
    });
  }

  private bringDown(digit: RootDigit): void {
    const { place, pair, there, given, oneFigure, mayBeShort } = digit;
    const entry = given ? this.owed.get(place) : undefined;
    const { base } = this.plan;
    const brought = oneFigure ? pair / BigInt(base) : pair;
    const glyph = oneFigure ? text(brought, base) : pairText(pair, base, false);
    this.scribe.slip(ONE_FIGURE.id, mayBeShort, { at: where('place', place) });
    // With one figure alone what was left is read a figure shorter as well.
    const before = there - brought;
    const again = () => leftAgain(text(before, base), this.amount(before, place), this.row, place);
    const read = oneFigure ? [again()] : [];
    const marks = this.scribe.step({
      law: 'place-value',
      phase: { kind: 'digit', of: place },
      takes: [...(oneFigure ? this.left : []), ...(entry ? [entry] : [])],
      writes: [
        {
          role: 'brought down',
          count: 0,
          place: 2 * place,
          glyph,
          worth: this.amount(brought, place),
          placed: true,
          spot: spot('work', this.row, place),
        },
        ...read,
      ],
      phrase: phrase('root.bring', {
        pair: glyph,
        there: Exact.of(there),
        trueThere: this.amount(there, place),
        given,
        oneFigure,
      }),
    });
    this.left = oneFigure ? [...marks] : [...this.left, marks[0]!];
  }

  /** The digit of the root, worth the square or the strips that it lays, and what is taken away for them. */
  private digitAndProduct(digit: RootDigit): readonly Writing[] {
    const { place, digit: found, product } = digit;
    const terms = this.length.between(this.laid, this.laid.plus(this.amount(product, place)));
    const figure: Writing = {
      role: 'answer',
      count: found,
      place,
      worth: this.areaOf(digit),
      placed: true,
      spot: spot('root', 0, place),
      terms,
    };
    if (found === 0 && digit !== this.plan.digits[0]) return [figure];
    const taken: Writing = {
      role: 'strip',
      count: 0,
      place: 2 * place,
      glyph: text(product, this.plan.base),
      worth: this.amount(product, place).negate(),
      placed: true,
      spot: spot('work', this.beside + 1, place),
      terms,
    };
    return [figure, taken];
  }

  /** What a digit truly lays: the first a square, every other two strips and a corner. */
  private areaOf({ digit, place }: RootDigit): Exact {
    const width = BigInt(digit);
    return this.amount((2n * this.read * BigInt(this.plan.base) + width) * width, place);
  }

  /** Takes away what is laid; what is left stands under it. */
  private take(digit: RootDigit, figure: Mark, product: Mark): void {
    const { place, there, product: taken, left, before, digit: found } = digit;
    const { base } = this.plan;
    this.root.push(figure);
    this.read = this.read * BigInt(base) + BigInt(found);
    this.laid = this.laid.plus(this.amount(taken, place));
    const root = before * BigInt(base) + BigInt(found);
    const isFirst = before === 0n;
    this.scribe.group(
      `laid-${place}`,
      'share',
      [figure],
      isFirst
        ? phrase('root.square', { side: this.side(found, place) })
        : phrase('root.strip', { width: this.side(found, place) }),
    );
    this.left = [
      ...this.scribe.step({
        law: 'evaluate',
        phase: { kind: 'digit', of: place },
        takes: [...this.left, product],
        writes: [
          {
            role: 'remainder',
            count: 0,
            place: 2 * place,
            glyph: text(left, base),
            worth: this.amount(left, place),
            placed: true,
            spot: spot('work', this.beside + 2, place),
            terms: this.length.between(this.laid, this.known(place)),
          },
        ],
        phrase: phrase('root.subtract', {
          there: Exact.of(there),
          product: Exact.of(taken),
          left: Exact.of(left),
          trueLeft: this.amount(left, place),
          root: this.side(root, place),
        }),
      }),
    ];
    this.beside += 2;
    this.row = this.beside;
  }

  /** How far the number is known once the pair of a place is brought down. */
  private known(place: number): Exact {
    const read = this.plan.digits.filter((one) => one.place >= place);
    return Exact.sum(read.map((one) => this.amount(one.pair, one.place)));
  }

  /** What is left in the end is written beside the root. */
  private finish(): Trace {
    const name = phrase('root.answer', {});
    const takes = [...this.left, ...this.unread().map(({ place }) => this.owed.get(place)!)];
    const left = Exact.sum(takes.map(({ worth }) => worth));
    if (left.isZero) return this.scribe.close(this.root, name);
    const [rest] = this.scribe.step({
      law: 'place-value',
      phase: { kind: 'rest' },
      takes,
      writes: [
        {
          role: 'rest',
          count: 0,
          place: 0,
          glyph: `r ${numberText(left, this.plan.base)}`,
          worth: left,
          spot: spot('left', 0, 0),
        },
      ],
      phrase: phrase('root.over', { left, root: this.foundRoot() }),
    });
    this.scribe.group('left', 'rest', [rest!], phrase('root.left', {}));
    return this.scribe.close([...this.root, rest!], name);
  }

  private foundRoot(): Exact {
    return Exact.sum(this.plan.digits.map(({ digit, place }) => this.side(digit, place)));
  }
}
