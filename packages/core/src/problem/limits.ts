import { LIMITS, type LimitId } from './bounds.ts';
import { numeralValue, type Numeral } from '../exact/numeral.ts';
import { isFraction, type Expression } from './expression.ts';
import type { ProblemFailure } from './failure.ts';

/** The first limit that an expression with letters goes past when it is written out, or null. */
export function lettersFailure(expression: Expression): ProblemFailure | null {
  const { factors, terms, coefficient, exponents } = sizeOf(expression);
  if ([...exponents.values()].some((exponent) => exponent > LIMITS.exponent)) {
    return overLimit('exponent');
  }
  if (terms > LIMITS.terms) return overLimit('terms');
  if (longest(coefficient) > LIMITS.coefficient) {
    return overLimit('coefficient');
  }
  return factors > LIMITS.factors ? overLimit('factors') : null;
}

/** The first limit that numbers go past together, or null: what all methods can still serve in seconds. */
export function workFailure(kind: string, operands: readonly Numeral[]): ProblemFailure | null {
  const figures = operands.map(lengthOf);
  switch (kind) {
    case 'sum':
    case 'difference':
      return operands.length * Math.max(...figures) > LIMITS.addedFigures
        ? overLimit('addedFigures')
        : null;
    case 'product':
      return productsOf(figures) > LIMITS.products ? overLimit('products') : null;
    default:
      return null;
  }
}

/** What is too much for several methods to be compared in seconds, or null. */
export function comparingFailure({ kind, operands }: Sized): ProblemFailure | null {
  const products = kind === 'product' ? productsOf(operands.map(lengthOf)) : 0;
  return products > LIMITS.comparedProducts ? overLimit('comparedProducts') : null;
}

/** What is too much for the bench to open at once and to be read on it, or null. */
export function benchFailure({ kind, operands }: Sized): ProblemFailure | null {
  const figures = Math.max(...operands.flatMap(numbersIn));
  if (figures > LIMITS.benchFigures) return overLimit('benchFigures');
  switch (kind) {
    case 'product':
      return productsOf(operands.map(lengthOf)) > LIMITS.benchProducts
        ? overLimit('benchProducts')
        : null;
    case 'sum':
      return operands.length * Math.max(...operands.map(lengthOf)) > LIMITS.benchAddedFigures
        ? overLimit('benchAddedFigures')
        : null;
    default:
      return null;
  }
}

/** The part of a problem that its size depends on. */
interface Sized {
  readonly kind: string;
  readonly operands: readonly Numeral[];
}

function lengthOf({ digits }: Numeral): number {
  return digits.length;
}

/** The lengths of all numbers that an operand is written with: figures, fractions, numbers before letters. */
function numbersIn(operand: Numeral): readonly number[] {
  const { digits, fraction, terms } = operand;
  if (terms) {
    return terms.list.flatMap(({ coefficient: { numerator, denominator } }) =>
      [numerator, denominator].map((number) => String(number).replace('-', '').length),
    );
  }
  const parts = fraction ? [fraction.top, fraction.bottom].map(lengthOf) : [];
  return [digits.length, ...parts];
}

function productsOf(figures: readonly number[]): number {
  return figures.reduce((count, own) => count * own, figures.length - 1);
}

/** Whether a computation can be worked out outright: no number on the way has too many figures. */
export function hasBoundedValue(expression: Expression): boolean {
  return longest(valueFigures(expression)) <= LIMITS.value;
}

export function overLimit(limit: LimitId): ProblemFailure {
  return { code: 'over-limit', limit, most: LIMITS[limit] };
}

/** Figures above and below the line of a fraction; none below for a whole number. */
interface Figures {
  readonly top: number;
  readonly bottom: number;
}

const NONE: Figures = { top: 0, bottom: 0 };

/**
 * How large an expression becomes when it is written out: upper bounds, found without writing anything out
 * and in one pass. Counts too large for a number are Infinity.
 */
interface Size {
  /** Brackets multiplied, powers written out; single terms side by side are one. */
  readonly factors: number;
  /** Terms of all brackets, powers written out. */
  readonly terms: number;
  /** Of the number before the letters of a term. */
  readonly coefficient: Figures;
  /** The greatest exponent of each letter in a term. */
  readonly exponents: ReadonlyMap<string, number>;
}

function sizeOf(of: Expression): Size {
  switch (of.kind) {
    case 'number':
    case 'percent':
    case 'mixed':
    case 'box':
      return termSize(valueFigures(of), new Map());
    case 'letter':
      return termSize(NONE, new Map([[of.name, 1]]));
    case 'negative':
    case 'root':
      return sizeOf(of.of);
    case 'sum':
      return sumSize(of.parts.map((part) => sizeOf(part.of)));
    case 'product':
      return productSize(of.factors.map(sizeOf));
    case 'quotient':
      if (isFraction(of)) return termSize(valueFigures(of), new Map());
      return productSize([sizeOf(of.dividend), sizeOf(of.divisor)]);
    case 'power':
      return powerSize(sizeOf(of.of), exponentOf(of.exponent));
  }
}

function termSize(coefficient: Figures, exponents: Size['exponents']): Size {
  return { factors: 1, terms: 1, coefficient, exponents };
}

/** Parts stand beside each other: their terms are listed, as they are. */
function sumSize(parts: readonly Size[]): Size {
  return {
    factors: 1,
    terms: total(parts, ({ terms }) => terms),
    coefficient: widest(parts),
    exponents: merged(parts, Math.max),
  };
}

/** Single terms melt into one; brackets stay factors with their own terms. */
function productSize(factors: readonly Size[]): Size {
  const brackets = factors.filter((factor) => !isTerm(factor));
  const single = factors.filter(isTerm);
  if (single.length === 0) return besideEachOther(brackets);
  const melted = termSize(sum(single.map((term) => term.coefficient)), merged(single, plus));
  return besideEachOther([...brackets, melted]);
}

function besideEachOther(factors: readonly Size[]): Size {
  return { ...sumSize(factors), factors: total(factors, (factor) => factor.factors) };
}

function powerSize(base: Size, exponent: number): Size {
  if (!isTerm(base)) {
    return { ...base, factors: base.factors * exponent, terms: base.terms * exponent };
  }
  const exponents = [...base.exponents].map(([letter, own]) => [letter, own * exponent] as const);
  return termSize(times(base.coefficient, exponent), new Map(exponents));
}

function isTerm({ terms }: Size): boolean {
  return terms === 1;
}

/** Figures that the value of an expression can have; letters count for nothing. */
function valueFigures(of: Expression): Figures {
  switch (of.kind) {
    case 'number':
      return figuresOf(of.numeral);
    case 'percent':
      return quotient(figuresOf(of.numeral), { top: 3, bottom: 0 });
    case 'mixed':
      return added([figuresOf(of.whole), quotient(figuresOf(of.top), figuresOf(of.bottom))]);
    case 'letter':
    case 'box':
      return NONE;
    case 'negative':
    case 'root':
      return valueFigures(of.of);
    case 'sum':
      return added(of.parts.map((part) => valueFigures(part.of)));
    case 'product':
      return sum(of.factors.map(valueFigures));
    case 'quotient':
      return quotient(valueFigures(of.dividend), valueFigures(of.divisor));
    case 'power':
      return times(valueFigures(of.of), exponentOf(of.exponent));
  }
}

function figuresOf({ digits, decimals }: Numeral): Figures {
  return { top: digits.length, bottom: decimals === 0 ? 0 : decimals + 1 };
}

function quotient(above: Figures, below: Figures): Figures {
  return { top: above.top + below.bottom, bottom: above.bottom + below.top };
}

/** Of a sum: over all denominators together, with room for what goes on. */
function added(parts: readonly Figures[]): Figures {
  const bottom = total(parts, (part) => part.bottom);
  const top = Math.max(...parts.map((part) => part.top));
  return { top: top + bottom + String(parts.length).length, bottom };
}

/** Of a product. */
function sum(factors: readonly Figures[]): Figures {
  return {
    top: total(factors, ({ top }) => top),
    bottom: total(factors, ({ bottom }) => bottom),
  };
}

function times({ top, bottom }: Figures, count: number): Figures {
  return { top: top * count, bottom: bottom * count };
}

function widest(parts: readonly Size[]): Figures {
  return {
    top: Math.max(...parts.map(({ coefficient }) => coefficient.top)),
    bottom: Math.max(...parts.map(({ coefficient }) => coefficient.bottom)),
  };
}

function longest({ top, bottom }: Figures): number {
  return Math.max(top, bottom);
}

function merged(
  sizes: readonly Pick<Size, 'exponents'>[],
  put: (a: number, b: number) => number,
): ReadonlyMap<string, number> {
  const all = new Map<string, number>();
  for (const { exponents } of sizes) {
    for (const [letter, own] of exponents) all.set(letter, put(all.get(letter) ?? 0, own));
  }
  return all;
}

function plus(a: number, b: number): number {
  return a + b;
}

function total<T>(items: readonly T[], count: (item: T) => number): number {
  return items.reduce((sum, item) => sum + count(item), 0);
}

/** An exponent as a count; a fraction of one counts as the whole above it. */
function exponentOf(exponent: Numeral): number {
  const { numerator, denominator } = numeralValue(exponent);
  return Math.max(1, Number((numerator + denominator - 1n) / denominator));
}
