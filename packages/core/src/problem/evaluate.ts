import { Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import { wholeRoot } from '../exact/whole-root.ts';
import { expressionText, type Expression } from './expression.ts';
import { failureText } from './failure.ts';
import { hasBoundedValue, LIMITS, overLimit } from './limits.ts';

export type Evaluated =
  { readonly ok: true; readonly value: Exact } | { readonly ok: false; readonly fault: string };

class Fault extends Error {}

/** Works out an expression exactly. What has no exact value gives a fault in one sentence. */
export function evaluate(expression: Expression): Evaluated {
  try {
    if (!hasBoundedValue(expression)) throw new Fault(failureText(overLimit('value')));
    return { ok: true, value: valueOf(expression) };
  } catch (error) {
    if (error instanceof Fault) return { ok: false, fault: error.message };
    throw error;
  }
}

function valueOf(of: Expression): Exact {
  switch (of.kind) {
    case 'number':
      return numeralValue(of.numeral);
    case 'fraction':
      return divided(numeralValue(of.top), numeralValue(of.bottom), of);
    case 'mixed':
      return numeralValue(of.whole).plus(
        divided(numeralValue(of.top), numeralValue(of.bottom), of),
      );
    case 'letter':
      throw new Fault(`The letter ${of.name} has no value here; type numbers only.`);
    case 'negative':
      return valueOf(of.of).negate();
    case 'sum':
      return of.parts.reduce(
        (total, part) =>
          part.minus ? total.minus(valueOf(part.of)) : total.plus(valueOf(part.of)),
        Exact.ZERO,
      );
    case 'product':
      return of.factors.map(valueOf).reduce((total, factor) => total.times(factor));
    case 'quotient':
      return divided(valueOf(of.dividend), valueOf(of.divisor), of);
    case 'power':
      return power(valueOf(of.of), numeralValue(of.exponent).numerator);
    case 'root':
      return root(valueOf(of.of));
  }
}

function divided(top: Exact, bottom: Exact, of: Expression): Exact {
  if (bottom.isZero) throw new Fault(`${expressionText(of)} divides by zero, which has no value.`);
  return top.dividedBy(bottom);
}

function power(base: Exact, exponent: bigint): Exact {
  if (exponent > BigInt(LIMITS.valuePower)) {
    throw new Fault(failureText(overLimit('valuePower')));
  }
  let value = Exact.ONE;
  for (let i = 0n; i < exponent; i++) value = value.times(base);
  return value;
}

function root(of: Exact): Exact {
  const exact = of.isConstant ? exactRoot(of) : null;
  if (!exact) throw new Fault(`√${of} does not come out, so it has no exact value here.`);
  return exact;
}

/** The root of a fraction, where it is one; null where it does not come out. */
export function exactRoot({ numerator, denominator }: Exact): Exact | null {
  if (numerator < 0n) return null;
  const [top, bottom] = [wholeRoot(numerator), wholeRoot(denominator)];
  const isSquare = top * top === numerator && bottom * bottom === denominator;
  return isSquare ? Exact.of(top, bottom) : null;
}
