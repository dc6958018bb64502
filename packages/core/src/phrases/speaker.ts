import type { Exact } from '../exact/exact.ts';
import { placeValue } from '../exact/numeral.ts';
import type { Vocabulary } from './vocabulary.ts';

const THOUSANDS = [
  '',
  'thousand',
  'million',
  'billion',
  'trillion',
  'quadrillion',
  'quintillion',
  'sextillion',
];

const SUPERSCRIPTS = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/** Turns places, counts and amounts into words of one base and one vocabulary. */
export class Speaker {
  constructor(
    readonly words: Vocabulary,
    readonly base: number,
  ) {}

  /** `tens`, `hundred thousands`; outside base ten `ones`, `8s`, `64s`. */
  places(place: number): string {
    if (place === 0) return this.words.ones;
    return this.base === 10 ? decimalPlaces(place) : `${powerText(this.base, place)}s`;
  }

  /**
   * What a count of some place is worth: `3 tens`, `1 ten`, `0 ones`; outside base ten `3×64`. Count
   * and place are both said in base ten, whatever the base of the figures on the paper.
   */
  count(count: number, place: number): string {
    if (place > 0 && this.base !== 10) return `${count}${this.times}${powerText(this.base, place)}`;
    const places = this.places(place);
    return `${count} ${count === 1 ? places.replace(/s$/, '') : places}`;
  }

  /** A small number in the base of the problem. */
  number(count: number): string {
    return count.toString(this.base).toUpperCase();
  }

  /** An amount in figures of the base; long ones keep their first and last figures. */
  amount(amount: Exact): string {
    if (!amount.isWhole) return amount.toString();
    const figures = amount.numerator.toString(this.base).toUpperCase();
    return figures.length > 30 ? `${figures.slice(0, 12)}…${figures.slice(-6)}` : figures;
  }

  get times(): string {
    return this.words.times;
  }

  /** A fact in digits as the chosen habit says it: `8 × 6 = 48`, `8 lots of 6 are 48`, `8 6s are 48`. */
  fact(left: number, right: number, product: number): string {
    const [a, b, c] = [left, right, product].map((value) => this.number(value));
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
  placeFact(left: number, leftPlace: number, right: number, rightPlace: number): string {
    const first = leftPlace === 0 ? String(left) : this.count(left, leftPlace);
    const product = left * right;
    const verb = product === 1 ? 'is' : 'are';
    const sign = this.words.facts === 'lots of' ? 'lots of' : this.times;
    const result = this.count(product, leftPlace + rightPlace);
    return `${first} ${sign} ${this.count(right, rightPlace)} ${verb} **${result}**`;
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

  /** Joins with commas and a last `and`. */
  list(items: readonly string[]): string {
    const last = items.at(-1) ?? '';
    return items.length < 2 ? last : `${items.slice(0, -1).join(', ')} and ${last}`;
  }

  get placeholder(): string {
    return this.words.placeholder;
  }
}

function decimalPlaces(place: number): string {
  const group = THOUSANDS[Math.floor(place / 3)];
  if (group === undefined) return `places of 10${superscript(place)}`;
  const lead = ['', 'ten', 'hundred'][place % 3]!;
  return `${[lead, group].filter(Boolean).join(' ')}s`;
}

function powerText(base: number, place: number): string {
  const value = placeValue(base, place).toString();
  return value.length <= 6 ? value : `${base}${superscript(place)}`;
}

function superscript(value: number): string {
  return [...String(value)].map((digit) => SUPERSCRIPTS[Number(digit)]).join('');
}
