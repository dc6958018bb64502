import type { WorkedShape } from './worked.ts';
import { numeralValue, type Numeral } from '../exact/numeral.ts';
import {
  barOf,
  isFraction,
  isNumber,
  type Expression,
  type NumberExpression,
} from './expression.ts';
import type { ProblemShape } from './failure.ts';
import { LIMITS } from './bounds.ts';
import { hasLetters, lettersShape } from './letters.ts';
import type { ProblemKind } from './kinds.ts';

/** The problem that an expression is, or the name of the kind of computation that is not worked. */
export function shapeOf(expression: Expression): WorkedShape | ProblemShape {
  if (expression.kind === 'root') return rootShape(expression);
  if (hasLetters(expression)) return lettersShape(expression);
  const shape = numbersShape(expression);
  const isSigned = shape === 'mixed sum' || shape === 'negative number';
  return isSigned && expression.kind === 'sum' && isOfWholes(expression)
    ? lettersShape(expression)
    : shape;
}

/** Whether it is a sum of whole numbers, some with a minus: a line of terms without letters. */
function isOfWholes(of: Expression): boolean {
  switch (of.kind) {
    case 'number':
      return of.numeral.base === 10 && of.numeral.decimals === 0;
    case 'negative':
      return isOfWholes(of.of);
    case 'sum':
      return of.parts.every((part) => isOfWholes(part.of));
    default:
      return false;
  }
}

/** The same for an expression without letters. */
function numbersShape(expression: Expression): WorkedShape | ProblemShape {
  switch (expression.kind) {
    case 'root':
      return rootShape(expression);
    case 'sum':
      return sumShape(expression);
    case 'product':
      return flatShape('product', flatFactors(expression));
    case 'quotient':
      if (isFraction(expression)) return 'mixed operations';
      return expression.dividend.kind === 'quotient' && !isFraction(expression.dividend)
        ? 'string of divisions'
        : flatShape('quotient', [expression.dividend, expression.divisor]);
    case 'power':
      return powerShape(expression);
    case 'negative':
      return 'negative number';
    case 'percent':
      return 'percent';
    default:
      return 'mixed operations';
  }
}

function rootShape({ of }: Extract<Expression, { kind: 'root' }>): WorkedShape | ProblemShape {
  if (of.kind === 'number') return { kind: 'root', operands: [of.numeral] };
  return of.kind === 'negative' && isNumber(of.of) ? 'negative root' : 'root of an expression';
}

/** A number multiplied by itself. */
function powerShape({ of, exponent }: Extract<Expression, { kind: 'power' }>) {
  const times = numeralValue(exponent);
  if (!isNumber(of) || !times.isWhole || times.numerator < 2n) {
    return 'power';
  }
  if (times.numerator > BigInt(LIMITS.power)) return 'large power';
  return flatShape('product', Array<Expression>(Number(times.numerator)).fill(of));
}

function sumShape(sum: Extract<Expression, { kind: 'sum' }>): WorkedShape | ProblemShape {
  const parts = flatAddends(sum);
  if (!parts) return 'mixed sum';
  const [first, ...rest] = parts;
  const minus = rest.filter((part) => part.minus).length;
  if (first?.minus) return 'negative number';
  const operands = parts.map((part) => part.of);
  if (operands.some((operand) => operand.kind === 'negative')) return 'negative number';
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

function flatShape(kind: ProblemKind, operands: readonly Expression[]): WorkedShape | ProblemShape {
  if (!operands.every(isNumber)) return firstShape(operands);
  if (operands.some(isUneven)) return 'uneven fraction';
  const hasFraction = operands.some((operand) => operand.kind !== 'number');
  if (hasFraction && operands.some(isOfOtherBase)) return 'fraction in another base';
  return { kind, operands: operands.map(hasFraction ? asParts : numeralOf) };
}

/** A fraction with a point in it. */
function isUneven(of: NumberExpression): boolean {
  if (of.kind === 'number') return false;
  const { top, bottom } = barOf(of);
  return top.decimals > 0 || bottom.decimals > 0;
}

/** Whether some of its figures are not those of base ten. */
function isOfOtherBase(of: NumberExpression): boolean {
  const parts = of.kind === 'number' ? [of.numeral] : Object.values(barOf(of));
  const all = of.kind === 'mixed' ? [of.whole, ...parts] : parts;
  return all.some(({ base }) => base !== 10);
}

/** A number, fraction or mixed number as an operand. */
function numeralOf(expression: NumberExpression): Numeral {
  if (expression.kind === 'number') return expression.numeral;
  const { top, bottom } = barOf(expression);
  const fraction = { top, bottom };
  const whole =
    expression.kind === 'mixed' ? expression.whole : { digits: [0], base: top.base, decimals: 0 };
  return { ...whole, fraction };
}

/** The same, and a number with a point as a whole and tenths, hundredths or further parts. */
function asParts(expression: NumberExpression): Numeral {
  if (expression.kind !== 'number' || expression.numeral.decimals === 0) {
    return numeralOf(expression);
  }
  const { digits, decimals, base } = expression.numeral;
  const wholes = digits.slice(decimals);
  const whole = (list: readonly number[]): Numeral => ({ digits: list, base, decimals: 0 });
  const fraction = {
    top: trimmed(whole(digits.slice(0, decimals))),
    bottom: whole([...Array<number>(decimals).fill(0), 1]),
  };
  return { ...whole(wholes.length > 0 ? wholes : [0]), fraction };
}

function trimmed(number: Numeral): Numeral {
  const last = number.digits.findLastIndex((digit) => digit > 0);
  return { ...number, digits: number.digits.slice(0, Math.max(1, last + 1)) };
}

/** What the first operand that is no plain number is. */
function firstShape(operands: readonly Expression[]): ProblemShape {
  const [odd] = operands.filter((operand) => !isNumber(operand));
  const shape = odd ? numbersShape(odd) : 'mixed sum';
  return typeof shape === 'object' ? 'mixed operations' : shape;
}
