import { raisedNumber } from '../exact/terms-text.ts';

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

/** What a place other than the ones is called: `tens`, `hundred-thousandths`; in base eight `eights`, `sixty-fourths`. */
export function placeNames(base: number, place: number): string {
  return base === 10 ? decimalPlaces(place) : powerPlaces(base, place);
}

/** One of some places: `ten`, `six`, `half`, `place of 8⁴`. */
export function singular(places: string): string {
  if (places === 'halves') return 'half';
  return places.replace(/^places/, 'place').replace(/(?<=x)es$|s$/, '');
}

function decimalPlaces(place: number): string {
  const group = THOUSANDS[Math.floor(Math.abs(place) / 3)];
  if (group === undefined) return `places of 10${raisedNumber(place)}`;
  if (place < 0) return `${singular(decimalPlaces(-place)).replace(' ', '-')}ths`;
  const lead = ['', 'ten', 'hundred'][place % 3]!;
  return `${[lead, group].filter(Boolean).join(' ')}s`;
}

/** From a hundred on a place is called by its power: `places of 8³`. */
function powerPlaces(base: number, place: number): string {
  const size = base ** Math.abs(place);
  if (size >= 100) return `places of ${base}${raisedNumber(place)}`;
  const word = inWords(size);
  if (place > 0) return word.endsWith('x') ? `${word}es` : `${word}s`;
  return size === 2 ? 'halves' : `${ordinal(word)}s`;
}

const SMALL = [
  ...['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'],
  ...['eleven', 'twelve', 'thirteen', 'fourteen', 'fifteen', 'sixteen'],
  ...['seventeen', 'eighteen', 'nineteen'],
];
const TENS = ['twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];

/** A number below a hundred in words, as places of other bases are named. */
function inWords(number: number): string {
  if (number < 20) return SMALL[number]!;
  const ones = number % 10;
  return `${TENS[Math.floor(number / 10) - 2]!}${ones === 0 ? '' : `-${SMALL[ones]!}`}`;
}

const ORDINALS: Readonly<Record<string, string>> = {
  one: 'first',
  two: 'second',
  three: 'third',
  five: 'fifth',
  eight: 'eighth',
  nine: 'ninth',
  twelve: 'twelfth',
};

function ordinal(word: string): string {
  const at = word.lastIndexOf('-') + 1;
  const last = word.slice(at);
  return word.slice(0, at) + (ORDINALS[last] ?? `${last.replace(/y$/, 'ie')}th`);
}
