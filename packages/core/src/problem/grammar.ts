import { EmbeddedActionsParser, type IToken } from 'chevrotain';
import { numeral, MAX_BASE, MIN_BASE, type Numeral } from '../exact/numeral.ts';
import type { Expression, SumPart } from './expression.ts';
import type { ProblemFailure } from './failure.ts';
import { LIMITS } from './limits.ts';
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
 * run      := power power*                      a run of factors without a sign: 3x, 2(x+1)
 * power    := atom ("^" number | raised figures)*
 * atom     := mixed | fraction | number | letter | root ["-"] atom | "(" sum ")"
 */
class ProblemGrammar extends EmbeddedActionsParser {
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
    let result = this.SUBRULE(this.signed);
    this.MANY(() => {
      const divides = this.OR([
        { ALT: () => (this.CONSUME(t.Times), false) },
        { ALT: () => (this.CONSUME(t.LetterTimes), false) },
        { ALT: () => (this.CONSUME(t.Divide), true) },
      ]);
      const next = this.SUBRULE2(this.signed);
      result = divides
        ? { kind: 'quotient', dividend: result, divisor: next }
        : times(result, next);
    });
    return result;
  });

  private readonly signed = this.RULE('signed', (): Expression => {
    let minuses = 0;
    this.MANY(() => {
      this.CONSUME(t.Minus);
      minuses++;
    });
    let result = this.SUBRULE(this.run);
    for (; minuses > 0; minuses--) result = { kind: 'negative', of: result };
    return result;
  });

  private readonly run = this.RULE('run', (): Expression => {
    let result = this.SUBRULE(this.power);
    this.MANY({
      GATE: () => this.LA(1).tokenType !== t.PlainNumber && this.LA(1).tokenType !== t.BasedNumber,
      DEF: () => {
        result = times(result, this.SUBRULE2(this.power));
      },
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
      {
        ALT: () => {
          this.CONSUME(t.Slash);
          return { kind: 'fraction', top: first, bottom: this.SUBRULE2(this.number) };
        },
      },
      {
        GATE: () => this.LA(2).tokenType === t.Slash,
        ALT: () => {
          const top = this.SUBRULE3(this.number);
          this.CONSUME2(t.Slash);
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

export const problemGrammar = new ProblemGrammar();
