import { Exact } from '../exact/exact.ts';
import { numeralValue } from '../exact/numeral.ts';
import { Surd } from '../exact/surd.ts';
import { wholeRoot } from '../exact/whole-root.ts';
import { expressionText, type Expression } from './expression.ts';
import { failureText } from './failure.ts';
import { hasBoundedValue, overLimit } from './limits.ts';
import { LIMITS } from './bounds.ts';

export type Evaluated<Value = Exact> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly fault: string };

/** What letters and the box of an open sentence stand for; a letter with no number here stands for itself. */
export interface StandsFor {
  readonly letters?: boolean;
  /** What letters stand for. */
  readonly standing?: ReadonlyMap<string, Surd>;
  readonly box?: Surd;
}

class Fault extends Error {}

/** Works out an expression exactly. What has no exact value gives a fault in one sentence. */
export function evaluate(expression: Expression): Evaluated {
  const made = evaluateSurd(expression, {});
  if (!made.ok) return made;
  const value = made.value.rational;
  if (value) return { ok: true, value };
  return {
    ok: false,
    fault: `${made.value} has a root that does not come out, so it has no exact value here.`,
  };
}

/** The same where letters may stand for themselves, and roots that do not come out stay as roots. */
export function evaluateSurd(expression: Expression, standing: StandsFor): Evaluated<Surd> {
  try {
    if (!hasBoundedValue(expression)) throw new Fault(failureText(overLimit('value')));
    return { ok: true, value: valueOf(expression, standing) };
  } catch (error) {
    if (error instanceof Fault) return { ok: false, fault: error.message };
    throw error;
  }
}

function valueOf(of: Expression, standing: StandsFor): Surd {
  const value = (inner: Expression) => valueOf(inner, standing);
  switch (of.kind) {
    case 'number':
      return Surd.of(numeralValue(of.numeral));
    case 'percent':
      return Surd.of(numeralValue(of.numeral).dividedBy(Exact.of(100)));
    case 'mixed': {
      const part = divided(Surd.of(numeralValue(of.top)), Surd.of(numeralValue(of.bottom)), of);
      return Surd.of(numeralValue(of.whole)).plus(part);
    }
    case 'letter': {
      const value = standing.standing?.get(of.name);
      if (value) return value;
      if (standing.letters) return Surd.of(Exact.letter(of.name));
      throw new Fault(`The letter ${of.name} has no value here; type numbers only.`);
    }
    case 'box':
      if (standing.box) return standing.box;
      throw new Fault('The box has no value yet; say what stands in it.');
    case 'negative':
      return value(of.of).negate();
    case 'sum':
      return of.parts.reduce(
        (total, part) => (part.minus ? total.minus(value(part.of)) : total.plus(value(part.of))),
        Surd.ZERO,
      );
    case 'product':
      return of.factors.map(value).reduce((total, factor) => total.times(factor));
    case 'quotient':
      return divided(value(of.dividend), value(of.divisor), of);
    case 'power':
      return power(value(of.of), numeralValue(of.exponent));
    case 'root':
      return root(value(of.of));
  }
}

function divided(top: Surd, bottom: Surd, of: Expression): Surd {
  if (bottom.isZero) throw new Fault(`${expressionText(of)} divides by zero, which has no value.`);
  const made = top.dividedBy(bottom);
  if (made) return made;
  throw new Fault(
    `${expressionText(of)} divides by a sum of letters or roots, which is not worked out here.`,
  );
}

function power(base: Surd, exponent: Exact): Surd {
  if (exponent.compare(Exact.of(LIMITS.valuePower)) > 0) {
    throw new Fault(failureText(overLimit('valuePower')));
  }
  if (!exponent.isWhole) throw new Fault(`The exponent ${exponent} is no whole number.`);
  return base.power(Number(exponent.numerator));
}

function root(of: Surd): Surd {
  const made = Surd.root(of);
  if (made) return made;
  throw new Fault(`√(${of}) has no exact value here.`);
}

/** The root of a fraction, where it is one; null where it does not come out. */
export function exactRoot({ numerator, denominator }: Exact): Exact | null {
  if (numerator < 0n) return null;
  const [top, bottom] = [wholeRoot(numerator), wholeRoot(denominator)];
  const isSquare = top * top === numerator && bottom * bottom === denominator;
  return isSquare ? Exact.of(top, bottom) : null;
}
