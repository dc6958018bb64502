import { numeralValue, type Numeral } from '../exact/numeral.ts';
import type { Expression } from './expression.ts';
import type { ProblemShape } from './failure.ts';
import { LIMITS } from './limits.ts';
import { hasLetters, lettersShape } from './letters.ts';
import type { ProblemKind } from './kinds.ts';

/** A kind of problem with its operands, before it is held against the limits of the kind. */
export interface Worked {
  readonly kind: ProblemKind;
  readonly operands: readonly Numeral[];
}

/** The problem that an expression is, or the name of the kind of computation that is not worked. */
export function shapeOf(expression: Expression): Worked | ProblemShape {
  if (expression.kind === 'root') return rootShape(expression);
  return hasLetters(expression) ? lettersShape(expression) : numbersShape(expression);
}

/** The same for an expression without letters. */
function numbersShape(expression: Expression): Worked | ProblemShape {
  switch (expression.kind) {
    case 'root':
      return rootShape(expression);
    case 'sum':
      return sumShape(expression);
    case 'product':
      return flatShape('product', flatFactors(expression));
    case 'quotient':
      return flatShape('quotient', [expression.dividend, expression.divisor]);
    case 'power':
      return powerShape(expression);
    case 'negative':
      return 'signed product';
    default:
      return 'mixed operations';
  }
}

function rootShape({ of }: Extract<Expression, { kind: 'root' }>): Worked | ProblemShape {
  if (of.kind === 'number') return { kind: 'root', operands: [of.numeral] };
  return of.kind === 'negative' && isNumber(of.of) ? 'negative root' : 'root of an expression';
}

/** A number multiplied by itself. */
function powerShape({ of, exponent }: Extract<Expression, { kind: 'power' }>) {
  const times = numeralValue(exponent);
  if (
    of.kind !== 'number' ||
    !times.isWhole ||
    times.numerator < 2n ||
    times.numerator > BigInt(LIMITS.power)
  ) {
    return 'power';
  }
  return flatShape('product', Array<Expression>(Number(times.numerator)).fill(of));
}

function sumShape(sum: Extract<Expression, { kind: 'sum' }>): Worked | ProblemShape {
  const parts = flatAddends(sum);
  if (!parts) return 'mixed sum';
  const [first, ...rest] = parts;
  const minus = rest.filter((part) => part.minus).length;
  if (first?.minus) return 'signed sum';
  const operands = parts.map((part) => part.of);
  if (operands.some((operand) => operand.kind === 'negative')) return 'signed sum';
  if (minus === 0) return flatShape('sum', operands);
  if (operands.length > 2) return operands.every(isNumber) ? 'mixed sum' : firstShape(operands);
  return flatShape('difference', operands);
}

/** Addends with brackets around mere sums removed; null when a bracket is taken away. */
function flatAddends(expression: Expression): readonly { minus: boolean; of: Expression }[] | null {
  if (expression.kind !== 'sum') return [{ minus: false, of: expression }];
  const lists = expression.parts.map(({ minus, of }) => {
    const inner = flatAddends(of);
    if (!minus) return inner;
    return inner?.length === 1 && !inner[0]!.minus ? [{ minus, of: inner[0]!.of }] : null;
  });
  return lists.includes(null) ? null : lists.flatMap((list) => list!);
}

function flatFactors(expression: Expression): readonly Expression[] {
  return expression.kind === 'product' ? expression.factors.flatMap(flatFactors) : [expression];
}

function flatShape(kind: ProblemKind, operands: readonly Expression[]): Worked | ProblemShape {
  if (!operands.every(isNumber)) return firstShape(operands);
  if (operands.some(isUneven)) return 'fraction';
  return { kind, operands: operands.map(numeralOf) };
}

/** A fraction with a point in it. */
function isUneven(of: NumberExpression): boolean {
  return of.kind !== 'number' && (of.top.decimals > 0 || of.bottom.decimals > 0);
}

/** Fractions are added and taken away, in base ten and beside whole numbers. */
export function takesFractions(kind: ProblemKind, operands: readonly Numeral[]): boolean {
  const plain = operands.every(({ base, decimals }) => base === 10 && decimals === 0);
  return plain && (kind === 'sum' || kind === 'difference');
}

type NumberExpression = Extract<Expression, { kind: 'number' | 'fraction' | 'mixed' }>;

/** A number, fraction or mixed number as an operand. */
function numeralOf(expression: NumberExpression): Numeral {
  if (expression.kind === 'number') return expression.numeral;
  const { top, bottom } = expression;
  const fraction = { top, bottom };
  const whole =
    expression.kind === 'mixed' ? expression.whole : { digits: [0], base: top.base, decimals: 0 };
  return { ...whole, fraction };
}

export function isNumber(of: Expression): of is NumberExpression {
  return of.kind === 'number' || of.kind === 'fraction' || of.kind === 'mixed';
}

/** What the first operand that is no plain number is. */
function firstShape(operands: readonly Expression[]): ProblemShape {
  const [odd] = operands.filter((operand) => !isNumber(operand));
  const shape = odd ? numbersShape(odd) : 'mixed sum';
  return typeof shape === 'object' ? 'mixed operations' : shape;
}
