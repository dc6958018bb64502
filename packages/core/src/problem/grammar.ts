import { EmbeddedActionsParser, type IToken } from 'chevrotain';
import { numeral, MAX_BASE, MIN_BASE, type Numeral } from '../exact/numeral.ts';
import type { Expression, SumPart } from './expression.ts';
import type { ProblemFailure } from './failure.ts';
import { LIMITS } from './bounds.ts';
import * as t from './tokens.ts';

/** Carries a failure out of the grammar's actions; never leaves this folder. */
export class ProblemRefusal extends Error {
  constructor(readonly failure: ProblemFailure) {
    super(failure.code);
  }
}

/**
 * sum      := term (("+" | "-") term)*
 * term     := signed (("×" signed) | ("÷" signed))*
 * signed   := "-"* run
 * run      := ratio ratio*                      a run of factors without a sign: 3x, 2(x+1)
 * ratio    := power ("/" power)*                a bar without spaces: 3/4, (x+4)/2
 * power    := atom ("^" number | raised figures)*
 * atom     := mixed | percent | number | box | letter | root ["-"] atom | "(" sum ")"
 *
 * Read loosely, a run behind a division sign gives its first factor alone to it, `6 ÷ 2(1+2)` = 3 · 3; a power takes in
 * the minus before it, `−3²` = 9; and a bar takes in the run behind it, `2/3x` = 2/(3x).
 */
class ProblemGrammar extends EmbeddedActionsParser {
  /** Which of two readings in common use is taken; see above. */
  isLoose = false;

  constructor() {
    super(t.TOKENS, { recoveryEnabled: false, maxLookahead: 1, skipValidations: true });
    this.performSelfAnalysis();
  }

  readonly sum = this.RULE('sum', (): Expression => {
    const parts: SumPart[] = [{ minus: false, of: this.SUBRULE(this.term) }];
    this.MANY(() => {
      const minus = this.OR([
        { ALT: () => (this.CONSUME(t.Plus), false) },
        { ALT: () => (this.CONSUME(t.Minus), true) },
      ]);
      parts.push({ minus, of: this.SUBRULE2(this.term) });
    });
    return parts.length === 1 ? parts[0]!.of : { kind: 'sum', parts };
  });

  private readonly term = this.RULE('term', (): Expression => {
    const first = this.SUBRULE(this.signed);
    const more: { readonly divides: boolean; readonly by: Signed }[] = [];
    this.MANY(() => {
      const divides = this.OR([
        { ALT: () => (this.CONSUME(t.Times), false) },
        { ALT: () => (this.CONSUME(t.LetterTimes), false) },
        { ALT: () => (this.CONSUME(t.Divide), true) },
      ]);
      more.push({ divides, by: this.SUBRULE2(this.signed) });
    });
    return this.ACTION(() => termOf(first, more, this.isLoose));
  });

  private readonly signed = this.RULE('signed', (): Signed => {
    let minuses = 0;
    this.MANY(() => {
      this.CONSUME(t.Minus);
      minuses++;
    });
    let factors = this.SUBRULE(this.run);
    this.ACTION(() => {
      for (; minuses > 0; minuses--) factors = negated(factors, this.isLoose);
    });
    return factors;
  });

  private readonly run = this.RULE('run', (): Signed => {
    const factors: Expression[] = [this.SUBRULE(this.ratio)];
    this.MANY({
      GATE: () => this.LA(1).tokenType !== t.PlainNumber && this.LA(1).tokenType !== t.BasedNumber,
      DEF: () => {
        factors.push(this.SUBRULE2(this.ratio));
      },
    });
    return this.ACTION(() => (this.isLoose ? underTheBar(factors) : factors));
  });

  private readonly ratio = this.RULE('ratio', (): Expression => {
    let result = this.SUBRULE(this.power);
    this.MANY(() => {
      this.CONSUME(t.Slash);
      const divisor = this.SUBRULE2(this.power);
      result = { kind: 'quotient', dividend: result, divisor, bar: true };
    });
    return result;
  });

  private readonly power = this.RULE('power', (): Expression => {
    let result = this.SUBRULE(this.atom);
    this.MANY(() => {
      const exponent = this.OR([
        { ALT: () => (this.CONSUME(t.Power), this.SUBRULE(this.number)) },
        {
          ALT: () => {
            const { image } = this.CONSUME(t.RaisedNumber);
            return this.ACTION(() => numeral(image.normalize('NFKC')));
          },
        },
      ]);
      result = { kind: 'power', of: result, exponent };
    });
    return result;
  });

  private readonly atom = this.RULE('atom', (): Expression => {
    return this.OR<Expression>([
      { ALT: () => this.SUBRULE(this.quantity) },
      { ALT: () => ({ kind: 'letter', name: this.CONSUME(t.Letter).image }) as const },
      { ALT: () => (this.CONSUME(t.Box), { kind: 'box' } as const) },
      {
        ALT: () => {
          this.CONSUME(t.Root);
          const minus = this.OPTION(() => this.CONSUME(t.Minus));
          const of = this.SUBRULE(this.atom);
          return { kind: 'root', of: minus ? { kind: 'negative', of } : of };
        },
      },
      {
        ALT: () => {
          this.CONSUME(t.Open);
          const inner = this.SUBRULE(this.sum);
          this.CONSUME(t.Close);
          return inner;
        },
      },
    ]);
  });

  private readonly quantity = this.RULE('quantity', (): Expression => {
    const first = this.SUBRULE(this.number);
    return this.OR<Expression>([
      { ALT: () => (this.CONSUME(t.Percent), { kind: 'percent', numeral: first } as const) },
      {
        GATE: () => this.LA(2).tokenType === t.Slash,
        ALT: () => {
          const top = this.SUBRULE3(this.number);
          this.CONSUME(t.Slash);
          return { kind: 'mixed', whole: first, top, bottom: this.SUBRULE4(this.number) };
        },
      },
      { ALT: () => ({ kind: 'number', numeral: first }) },
    ]);
  });

  private readonly number = this.RULE('number', (): Numeral => {
    const token = this.OR([
      { ALT: () => this.CONSUME(t.PlainNumber) },
      { ALT: () => this.CONSUME(t.BasedNumber) },
    ]);
    return this.ACTION(() => readNumeral(token));
  });
}

/** The factors of a run, as yet apart. */
type Signed = readonly Expression[];

/** A row of factors and divisors, from the left. */
function termOf(
  first: Signed,
  more: readonly { readonly divides: boolean; readonly by: Signed }[],
  isLoose: boolean,
): Expression {
  let result = together(first);
  for (const { divides, by } of more) {
    const [next, ...rest] = isLoose && divides ? by : [together(by)];
    result = divides
      ? { kind: 'quotient', dividend: result, divisor: next!, bar: false }
      : times(result, next!);
    for (const factor of rest) result = times(result, factor);
  }
  return result;
}

function together(factors: Signed): Expression {
  return factors.reduce(times);
}

/** A minus before a run; read loosely it belongs to the base of a power. */
function negated(factors: Signed, isLoose: boolean): Signed {
  const [first, ...rest] = factors;
  if (isLoose && first?.kind === 'power') {
    return [{ ...first, of: { kind: 'negative', of: first.of } }, ...rest];
  }
  return [{ kind: 'negative', of: together(factors) }];
}

/** What stands right behind a bar with all of it below: `2/3x` as 2/(3x). */
function underTheBar([first, ...rest]: Signed): Signed {
  if (first?.kind !== 'quotient' || rest.length === 0) return [first!, ...rest];
  return [{ ...first, divisor: together([first.divisor, ...rest]) }];
}

function times(left: Expression, right: Expression): Expression {
  const factors = left.kind === 'product' ? [...left.factors, right] : [left, right];
  return { kind: 'product', factors };
}

function readNumeral(token: IToken): Numeral {
  const [image = '', suffix] = token.image.split('_');
  const figures = image.replace(/[ ']/g, '').replace(/^\./, '0.');
  const at = token.startOffset + 1;
  const base = suffix === undefined ? 10 : Number(suffix);
  if (base < MIN_BASE || base > MAX_BASE) {
    throw new ProblemRefusal({
      code: 'base-unknown',
      base: suffix ?? '',
      at: at + figures.length + 1,
    });
  }
  const digits = figures.replace('.', '').replace(/^0+(?=.)/, '').length;
  if (digits > LIMITS.figures) {
    throw new ProblemRefusal({ code: 'number-too-long', digits, limit: LIMITS.figures, at });
  }
  const stranger = [...figures].findIndex((glyph) => glyph !== '.' && parseInt(glyph, 16) >= base);
  if (stranger >= 0) {
    const digit = figures[stranger]!;
    throw new ProblemRefusal({ code: 'digit-not-in-base', digit, base, at: at + stranger });
  }
  return numeral(figures, base);
}

let made: ProblemGrammar | null = null;

/** The grammar, made when something is read for the first time: that takes as long as reading a thousand problems. */
export function problemGrammar(): ProblemGrammar {
  made ??= new ProblemGrammar();
  return made;
}
