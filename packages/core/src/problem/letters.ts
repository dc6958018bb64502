import { Exact } from '../exact/exact.ts';
import { decimalsNeeded, numeralValue, termsNumeral, type Numeral } from '../exact/numeral.ts';
import { evaluate } from './evaluate.ts';
import { isFraction, isNumber, some, type Expression } from './expression.ts';
import type { ProblemShape } from './failure.ts';
import { LIMITS } from './bounds.ts';
import type { WorkedShape } from './worked.ts';

export function hasLetters(expression: Expression): boolean {
  return some(expression, ({ kind }) => kind === 'letter');
}

/**
 * What an expression with letters asks for: terms or brackets put together, or brackets multiplied.
 * Operands keep their terms as they are written; a minus before a single term belongs to the term.
 */
export function lettersShape(expression: Expression): WorkedShape | ProblemShape {
  const shape = shapeOfTerms(expression);
  return typeof shape !== 'string' && hasPoint(expression) ? withPoints(shape) : shape;
}

/** Whether some of an expression's numbers are written with a point, and none as a fraction. */
function hasPoint(expression: Expression): boolean {
  const written = numbersIn(expression);
  return !written.includes('fraction') && written.includes('point');
}

function numbersIn(expression: Expression): readonly ('whole' | 'point' | 'fraction')[] {
  switch (expression.kind) {
    case 'number':
      return [expression.numeral.decimals > 0 ? 'point' : 'whole'];
    case 'mixed':
    case 'percent':
      return ['fraction'];
    case 'box':
      return [];
    case 'sum':
      return expression.parts.flatMap((part) => numbersIn(part.of));
    case 'product':
      return expression.factors.flatMap(numbersIn);
    case 'quotient':
      return ['fraction'];
    case 'negative':
    case 'power':
    case 'root':
      return numbersIn(expression.of);
    case 'letter':
      return [];
  }
}

/** The same with points in all its numbers, where each of them ends. */
function withPoints(shape: WorkedShape): WorkedShape {
  const all = shape.operands.flatMap(({ terms }) => terms?.list ?? []);
  const ends = all.every((term) => decimalsNeeded(term.coefficient, 10) !== null);
  if (!ends) return shape;
  const pointed = [...new Set(all.flatMap(({ letters }) => letters.match(/[a-z]/g) ?? []))].join(
    '',
  );
  const operands = shape.operands.map((operand) =>
    operand.terms ? { ...operand, terms: { ...operand.terms, pointed } } : operand,
  );
  return { ...shape, operands };
}

function shapeOfTerms(expression: Expression): WorkedShape | ProblemShape {
  if (termOf(expression)) return 'one term';
  if (expression.kind === 'sum') return sumOfTerms(expression);
  if (expression.kind === 'quotient' && !isFraction(expression)) return 'quotient with letters';
  const factors = factorsOf(expression);
  if (!factors) return 'mixed operations';
  const operands = factors.map((list) => termsNumeral(list));
  return operands.length < 2 ? 'one term' : { kind: 'product', operands };
}

type Sum = Extract<Expression, { kind: 'sum' }>;

/** Two brackets or terms with a minus between them are a difference, everything else is a sum. */
function sumOfTerms(sum: Sum): WorkedShape | ProblemShape {
  const parts = sum.parts.map(addendOf);
  if (parts.includes(null)) return 'mixed operations';
  const [first, second, ...more] = parts as readonly Addend[];
  if (second?.minus && more.length === 0 && !first!.minus) {
    return { kind: 'difference', operands: [first!, second].map(({ list }) => termsNumeral(list)) };
  }
  return { kind: 'sum', operands: (parts as readonly Addend[]).map(operandOf) };
}

interface Addend {
  readonly minus: boolean;
  readonly list: readonly Exact[];
}

/** A part of a sum: its terms, and whether a minus stands before all of them. */
function addendOf({ minus, of }: Sum['parts'][number]): Addend | null {
  if (of.kind === 'negative' && of.of.kind === 'sum') {
    const list = listOf(of.of);
    return list && { minus: !minus, list };
  }
  const list = listOf(of);
  return list && { minus, list };
}

function operandOf({ minus, list }: Addend): Numeral {
  if (!minus) return termsNumeral(list);
  return list.length === 1 ? termsNumeral([list[0]!.negate()]) : termsNumeral(list, true);
}

/** The brackets and terms of a product, powers written out; null where something else is in it. */
function factorsOf(expression: Expression): readonly (readonly Exact[])[] | null {
  const made: (readonly Exact[])[] = [];
  for (const factor of flat(expression)) {
    const list = factor && listOf(factor);
    if (!list) return null;
    const before = made.at(-1);
    if (list.length === 1 && before?.length === 1)
      made[made.length - 1] = [before[0]!.times(list[0]!)];
    else made.push(list);
  }
  return made;
}

const MINUS_ONE: Expression = {
  kind: 'negative',
  of: { kind: 'number', numeral: { digits: [1], base: 10, decimals: 0 } },
};

/** All factors of a product in order; null for a power that is not worked. */
function flat(expression: Expression): readonly (Expression | null)[] {
  switch (expression.kind) {
    case 'product':
      return expression.factors.flatMap(flat);
    case 'negative':
      return [MINUS_ONE, ...flat(expression.of)];
    case 'power': {
      if (termOf(expression)) return [expression];
      const exponent = exponentOf(expression);
      return exponent === null || exponent === 0
        ? [null]
        : Array.from({ length: exponent }, () => flat(expression.of)).flat();
    }
    default:
      return [expression];
  }
}

/** The terms of a bracket or a single term, in order, without those worth nothing; null for all else. */
function listOf(expression: Expression): readonly Exact[] | null {
  const all = termsIn(expression);
  if (!all) return null;
  const filled = all.filter(({ isZero }) => !isZero);
  return filled.length > 0 ? filled : [Exact.ZERO];
}

function termsIn(expression: Expression): readonly Exact[] | null {
  if (expression.kind !== 'sum') {
    const term = termOf(expression);
    return term && [term];
  }
  const lists = expression.parts.map(({ minus, of }) => {
    const inner = termsIn(of);
    return minus ? (inner?.map((term) => term.negate()) ?? null) : inner;
  });
  return lists.includes(null) ? null : lists.flatMap((list) => list!);
}

/** A number times powers of letters, as one amount; null for what is not a single term. */
function termOf(of: Expression): Exact | null {
  switch (of.kind) {
    case 'number':
      return of.numeral.base === 10 ? numeralValue(of.numeral) : null;
    case 'mixed':
    case 'quotient': {
      if (!isNumber(of)) return null;
      const made = evaluate(of);
      return made.ok ? made.value : null;
    }
    case 'letter':
      return Exact.letter(of.name);
    case 'negative':
      return termOf(of.of)?.negate() ?? null;
    case 'product': {
      const factors = of.factors.map(termOf);
      if (factors.includes(null)) return null;
      return (factors as readonly Exact[]).reduce((product, factor) => product.times(factor));
    }
    case 'power': {
      const [base, exponent] = [termOf(of.of), exponentOf(of)];
      return base && exponent !== null ? base.power(exponent) : null;
    }
    default:
      return null;
  }
}

function exponentOf({ exponent }: Extract<Expression, { kind: 'power' }>): number | null {
  const value = numeralValue(exponent);
  if (!value.isWhole || value.numerator > BigInt(LIMITS.exponent)) return null;
  return Number(value.numerator);
}
