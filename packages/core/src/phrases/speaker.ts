import type { Exact } from '../exact/exact.ts';
import { fractionText, numberText, placeValue } from '../exact/numeral.ts';
import type { Problem } from '../problem/problem.ts';
import { pointedLetters, scriptOf } from '../problem/script.ts';
import { grouped, withCoefficients, type Notation } from '../exact/notation.ts';
import { lettersText } from '../exact/terms-text.ts';
import { placeNames, singular } from './place-names.ts';
import { scaleOf } from '../problem/scale.ts';
import type { Vocabulary } from './vocabulary.ts';

/** How many figures of the whole numbers on the paper stand after the point, in truth. */
export interface SpokenScale {
  readonly decimals: number;
  readonly operands: readonly number[];
  /** Whether the paper shows the whole numbers, without their points. */
  readonly stripped: boolean;
}

const WHOLE: SpokenScale = { decimals: 0, operands: [], stripped: false };

/** The speaker for a problem's work: it knows where the points of its numbers stand. */
export function speakerFor(problem: Problem, words: Vocabulary): Speaker {
  switch (scriptOf(problem)) {
    case 'fractions':
      return new Speaker(words, problem.base, WHOLE, fractionText);
    case 'terms':
      return new Speaker({ ...words, ...termSigns(problem) }, problem.base, WHOLE, lettersText);
    case 'figures':
      return figureSpeaker(problem, words);
  }
}

/** The times sign between terms, where × would be read as a letter; figures of other bases stand in no threes. */
export function notationFor(problem: Problem, notation: Notation): Notation {
  if (problem.base !== 10) return { ...notation, group: 'nothing' };
  return scriptOf(problem) === 'terms' ? { ...notation, ...termSigns(problem) } : notation;
}

/** Between letters × would be read as one of them; numbers typed with a point keep it. */
function termSigns(problem: Problem) {
  const pointed = pointedLetters(problem);
  return { times: '·', ...(pointed === undefined ? {} : { pointed }) } as const;
}

function figureSpeaker(problem: Problem, words: Vocabulary): Speaker {
  const scale = scaleOf(problem);
  if (!scale) return new Speaker(words, problem.base);
  const { decimals, operands } = scale;
  return new Speaker(words, problem.base, {
    decimals,
    operands,
    stripped: problem.kind === 'product',
  });
}

/**
 * Turns places, counts and amounts into words of one base and one vocabulary. Wordings give places and
 * amounts of the paper, where all numbers are whole; what is said of them is their true worth.
 */
export class Speaker {
  /** The same speaker for what stands on the paper: without points where the paper has none. */
  readonly onPaper: Speaker;

  constructor(
    readonly words: Vocabulary & Pick<Notation, 'pointed'>,
    readonly base: number,
    private readonly scale: SpokenScale = WHOLE,
    private readonly write: (amount: Exact, base: number) => string = numberText,
  ) {
    this.onPaper = scale.stripped ? new Speaker(words, base) : this;
  }

  /**
   * `tens`, `hundred thousands`, `tenths`; outside base ten `ones`, `eights`, `sixty-fours`. Of an operand when its
   * number is given, else of the answer.
   */
  places(place: number, operand?: number): string {
    const at = this.truePlace(place, operand);
    if (at === 0) return this.words.ones;
    return placeNames(this.base, at);
  }

  private truePlace(place: number, operand?: number): number {
    return (
      place - (operand === undefined ? this.scale.decimals : (this.scale.operands[operand] ?? 0))
    );
  }

  /**
   * What a count of some place is worth: `3 tens`, `1 ten`, `0 ones`; outside base ten `3 eights`. The count is in
   * figures of the base, as everything on the paper is, and places are named by words, so that no sentence has two bases.
   */
  count(count: number | bigint, place: number, operand?: number): string {
    const text = BigInt(count).toString(this.base).toUpperCase().replace('-', '−');
    const places = this.places(place, operand);
    return `${text} ${/^−?1$/.test(text) ? singular(places) : places}`;
  }

  /** A small number in the base of the problem. */
  number(count: number): string {
    return count.toString(this.base).toUpperCase().replace('-', '−');
  }

  /** An amount of the paper as what it truly is: 205 hundredths are `2.05`. */
  amount(amount: Exact): string {
    const { decimals } = this.scale;
    return this.worth(decimals === 0 ? amount : amount.times(placeValue(this.base, -decimals)));
  }

  /** A part of a factor, or all of it, as what it truly is. */
  factor(amount: Exact, operand: number): string {
    const decimals = this.scale.operands[operand] ?? 0;
    return this.worth(decimals === 0 ? amount : amount.times(placeValue(this.base, -decimals)));
  }

  /** A whole amount as it stands on the paper. */
  figures(amount: Exact): string {
    return this.inThrees(shortened(this.signed(this.write(amount, this.base))));
  }

  /** A true amount in figures of the base; long ones keep their first and last figures. */
  worth(amount: Exact): string {
    return this.inThrees(shortened(this.signed(this.write(amount, this.base))));
  }

  /** A text of numbers with the chosen sign before the tenths, and in threes. */
  pointed(text: string): string {
    return this.inThrees(this.signed(text));
  }

  /** A whole sentence, with the fractions of its terms as they are written. */
  spelt(text: string): string {
    return this.words.pointed === undefined ? text : this.signed(text);
  }

  private signed(written: string): string {
    const text = withCoefficients(written, this.words);
    return this.words.point === '.' ? text : text.replace(/(?<=[0-9A-F])\.(?=[0-9A-F])/g, ',');
  }

  private inThrees(text: string): string {
    return this.base === 10 ? grouped(text, this.words) : text;
  }

  get times(): string {
    return this.words.times;
  }

  /** A fact in digits as the chosen habit says it: `8 × 6 = 48`, `8 lots of 6 are 48`, `8 6s are 48`. */
  fact(left: number, right: number, product: number): string {
    const [a, b, c] = [left, right, product].map((value) => this.number(value));
    if (product !== left * right) return `${a} ${this.times} ${b} is taken for ${c}`;
    switch (this.words.facts) {
      case 'times':
        return `${a} ${this.times} ${b} = ${c}`;
      case 'lots of':
        return `${a} ${left === 1 ? 'lot' : 'lots'} of ${b} ${left === 1 ? 'is' : 'are'} ${c}`;
      case 'without a verb':
        return `${a} ${b}s, ${c}`;
    }
  }

  /** One place times another: `8 × 6 ones are 48 ones`, `5 tens × 4 tens are 20 hundreds`. */
  placeFact(
    left: number,
    leftPlace: number,
    right: number,
    rightPlace: number,
    leftOperand = 1,
    product = left * right,
  ): string {
    const isOnes = this.truePlace(leftPlace, leftOperand) === 0;
    const first = isOnes ? this.number(left) : this.count(left, leftPlace, leftOperand);
    const isRight = product === left * right;
    const verb = isRight ? (left === 1 ? 'makes' : 'make') : 'is taken for';
    const sign = this.words.facts === 'lots of' ? 'lots of' : this.times;
    const result = this.count(product, leftPlace + rightPlace);
    return `${first} ${sign} ${this.count(right, rightPlace, 1 - leftOperand)} ${verb} **${result}**`;
  }

  /** What is done in figures with a count that goes on to the next place: `carry 4`. */
  passOnFigures(count: number): string {
    return `${this.words.carry} **${this.number(count)}**`;
  }

  /** The same with its worth: `carry 4 tens`, `regroup 40 ones as 4 tens`, `trade 40 ones for 4 tens`. */
  passOn(count: number, place: number): string {
    const whole = `**${this.count(count, place)}**`;
    const lower = this.count(count * this.base, place - 1);
    switch (this.words.carry) {
      case 'regroup':
        return `regroup ${lower} as ${whole}`;
      case 'trade':
        return `trade ${lower} for ${whole}`;
      default:
        return `${this.words.carry} ${whole}`;
    }
  }

  /** How a count that came from the place before is called: `carried`, `regrouped`, `traded`, `held`. */
  get carried(): string {
    const words = {
      carry: 'carried',
      regroup: 'regrouped',
      trade: 'traded',
      hold: 'held',
    } as const;
    return words[this.words.carry];
  }

  /** One of a place opened into ten of the next lower: `regroup 1 hundred as 10 tens`. */
  open(place: number): string {
    const [one, ten] = [this.count(1, place), this.count(this.base, place - 1)];
    const { ungroup } = this.words;
    switch (ungroup) {
      case 'regroup':
      case 'borrow':
        return `${ungroup} ${one} as **${ten}**`;
      case 'exchange':
      case 'trade':
        return `${ungroup} ${one} for **${ten}**`;
      case 'ungroup':
        return `${ungroup} ${one} into **${ten}**`;
    }
  }

  /** The act of opening, as a noun or in a clause: `nothing to regroup`. */
  get ungroup(): string {
    return this.words.ungroup;
  }

  /** A difference as it is said: `13 tens minus 7 tens`. */
  minus(left: string, right: string): string {
    return `${left} ${this.words.minus} ${right}`;
  }

  /** How several of something take their verb: 1 one is, 2 ones are. */
  is(count: number): string {
    return Math.abs(count) === 1 ? 'is' : 'are';
  }

  /** The first letter made large, for the beginning of a sentence; a letter that stands for a number stays as it is. */
  opening(text: string): string {
    if (/^\p{Ll}(?:[⁰¹²³⁴-⁹]|\s*[·=+−^(:]|\p{Ll}(?:[⁰¹²³⁴-⁹]|\s*[·=+−]))/u.test(text)) return text;
    return text.charAt(0).toUpperCase() + text.slice(1);
  }

  /** Joins with commas and a last `and`. */
  list(items: readonly string[]): string {
    const last = items.at(-1) ?? '';
    return items.length < 2 ? last : `${items.slice(0, -1).join(', ')} and ${last}`;
  }

  get placeholder(): string {
    return this.words.placeholder;
  }
}

function shortened(figures: string): string {
  return figures.length > 30 ? `${figures.slice(0, 12)}…${figures.slice(-6)}` : figures;
}
