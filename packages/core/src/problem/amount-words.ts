import { respelled, type Spelled } from './spelling.ts';

/** Names of places, as powers of ten. */
const PLACES: Readonly<Record<string, number>> = {
  one: 0,
  ten: 1,
  hundred: 2,
  thousand: 3,
};

/** Names of parts of a whole. */
const PARTS: Readonly<Record<string, number>> = {
  half: 2,
  halve: 2,
  third: 3,
  quarter: 4,
  fourth: 4,
  fifth: 5,
  sixth: 6,
  seventh: 7,
  eighth: 8,
  ninth: 9,
  tenth: 10,
  eleventh: 11,
  twelfth: 12,
  fifteenth: 15,
  sixteenth: 16,
  twentieth: 20,
  hundredth: 100,
  thousandth: 1000,
};

const FIGURES = String.raw`(\d+(?:\.\d+)?)`;
const PLACE_NAMES = new RegExp(`${FIGURES} +(${Object.keys(PLACES).join('|')})s?\\b`, 'gi');
const PART_NAMES = new RegExp(`(\\d+) +(${Object.keys(PARTS).join('|')})s?\\b`, 'gi');
const PART_OF = new RegExp(`\\b(?:an? +)?(${Object.keys(PARTS).join('|')}) +of\\b`, 'gi');

/**
 * Words of amount as figures and signs: `4 tens + 6 ones`, `9 twelfths`, `half of 46`, `double 23`, `25% of 80`. All
 * other words stay.
 */
export function withoutAmountWords(of: Spelled): Spelled {
  let made = respelled(of, PLACE_NAMES, (_, count, name) =>
    placed(count, PLACES[name.toLowerCase()]!),
  );
  made = respelled(made, PART_NAMES, (_, count, name) => `${count}/${PARTS[name.toLowerCase()]}`);
  made = respelled(made, PART_OF, (_, name) => `1/${PARTS[name.toLowerCase()]} ×`);
  made = respelled(made, /\b(?:double|twice) +(?=[\d(√])/gi, () => '2 × ');
  return respelled(made, /(?<=[\d%)]) +of +(?=[\d(√])/gi, () => ' × ');
}

/** So many of a place: `4 tens` is 40; a count with a point stays a product. */
function placed(count: string, place: number): string {
  const ten = `1${'0'.repeat(place)}`;
  return count.includes('.') ? `(${count} × ${ten})` : `${count}${'0'.repeat(place)}`;
}
