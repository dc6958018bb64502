/**
 * Everything that is bounded in a computation, in one table: core, command line, server and bench read it
 * here. Texts are held against it while they are read, before anything is multiplied out.
 */
export const LIMITS = {
  /** Characters of a text. */
  text: 4000,
  /** Numbers, letters, signs and brackets of a text. */
  signs: 1000,
  /** How deep brackets, roots and minuses may stand inside each other. */
  brackets: 40,
  /** Figures of a number. */
  figures: 400,
  addends: 40,
  factors: 8,
  /** The power of a number by itself. */
  power: 8,
  /** The exponent of a letter in a term, powers of powers multiplied, and of a bracket. */
  exponent: 12,
  /** Terms of all brackets together. */
  terms: 80,
  /** Figures of the number before a letter, above and below the line of a fraction. */
  coefficient: 40,
  /** Addends times the figures of the longest. */
  addedFigures: 800,
  /** Products of single figures that factors make, counted once for each stage of a string of factors. */
  products: 5000,
  /** The same where several methods are compared. */
  comparedProducts: 1200,
  /** What the bench draws: figures of a number, products and added figures as above. */
  benchFigures: 12,
  benchProducts: 300,
  benchAddedFigures: 120,
  /** Figures of a value that is worked out outright, as a calculator does, and the powers it takes. */
  value: 4000,
  valuePower: 200,
} as const;

export type LimitId = keyof typeof LIMITS;
