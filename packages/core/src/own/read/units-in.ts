import { respelled, type Spelled } from '../../problem/spelling.ts';

/** Letters right behind a number, perhaps with a power: `12 m`, `36 m²`, `2668 tiles`, `5 km/h`. */
const UNIT = /(?<=[\d)]) *(\p{L}+(?:[²³]|\^[23])?(?:\/\p{L}+)?)(?= *(?:$|[-+−–*×·÷:=/)≈<>;,→|]))/gu;
const CURRENCY = /\p{Sc}/gu;

/**
 * The text without units, and the units that stood there, each once. Letters of the problem are no units, nor are words
 * that mean something in a line of figures.
 */
export function withoutUnits(
  of: Spelled,
  letters: ReadonlySet<string>,
): { readonly line: Spelled; readonly units: readonly string[] } {
  const units = new Set<string>();
  const isOwn = (word: string) =>
    [...word].every((glyph) => letters.has(glyph)) || RESERVED.has(word);
  const bare = respelled(of, UNIT, (whole, unit) => {
    if (letters.size > 0 && isOwn(unit.replace(/[²³]|\^[23]/g, ''))) return null;
    if (RESERVED.has(unit)) return null;
    units.add(unit);
    return ' '.repeat(whole.length);
  });
  const line = respelled(bare, CURRENCY, (sign) => {
    units.add(sign);
    return ' ';
  });
  return { line, units: [...units] };
}

/** The times sign as a letter, and what tells a remainder or a root. */
const RESERVED = new Set(['x', 'X', 'r', 'R', 'rest', 'remainder', 'sqrt']);
