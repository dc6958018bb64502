import { registry } from '../methods/index.ts';
import { problemFrom } from '../testing/work.ts';
import type { Agreement } from './certificate/agreement-shape.ts';
import { agreement } from './certificate/agreement.ts';
import {
  reasonsLatex,
  reasonsMarkdown,
  equationText,
  expressionLine,
  lawName,
  termTextsOf,
} from './certificate/agreement-export.ts';
import { compare } from './compare.ts';
import type { Expression } from './expressions.ts';
import type { Reasons } from './certificate/reasons.ts';
import { verifyAgreement } from './certificate/verify-agreement.ts';

const NAMES = {
  method: (id: string) => id,
  notation: { times: '×', point: '.' },
} as const;

function certificateOf(text: string, ...ids: string[]): Agreement {
  const choices = ids.map((id) => ({ method: registry.get(id) }));
  return agreement(compare(problemFrom(text), choices));
}

/** A certificate that stands alone as the reasons of its methods. */
function told(certificate: Agreement): Reasons {
  return { common: certificate, alone: [certificate], beyond: [] };
}

function linesOf(certificate: Agreement, method = 0): readonly string[] {
  const texts = termTextsOf(certificate);
  return certificate.methods[method]!.moves.map(
    ({ law, expression }) => `${law}: ${expressionLine(expression, texts, NAMES.notation)}`,
  );
}

describe('the agreement of brackets', () => {
  it('goes from products over like terms to the answer', () => {
    const certificate = certificateOf('(x − 2)(x + 2)', 'expand-arcs', 'expand-grid');
    expect(verifyAgreement(certificate)).toEqual({ ok: true });
    expect(certificate.script).toBe('terms');
    expect(linesOf(certificate)).toEqual([
      'distribute: x · x + x · 2 − 2 · x − 2 · 2',
      'evaluate: x² + 2x − 2x − 4',
      'reorder: x² + (2x − 2x) − 4',
      'like-terms: x² − 4',
    ]);
    expect(equationText(certificate)).toBe('(x − 2)(x + 2) = x² − 4');
  });

  it('turns signs in the open', () => {
    const certificate = certificateOf('(x^3 + 5x^2) − (2x^2 − 7x)', 'like-terms-row');
    expect(verifyAgreement(certificate)).toEqual({ ok: true });
    expect(linesOf(certificate)).toEqual([
      'place-value: x³ + 5x² − 2x² − (−7x)',
      'sign: x³ + 5x² − 2x² + 7x',
      'reorder: x³ + (5x² − 2x²) + 7x',
      'like-terms: x³ + 3x² + 7x',
    ]);
    expect(lawName('place-value', certificate)).toBe('an expression is the sum of its terms');
  });

  it('holds what an earlier stage has let cancel', () => {
    const certificate = certificateOf('(x − 2)(x + 2)(x + 1)', 'expand-arcs');
    expect(verifyAgreement(certificate)).toEqual({ ok: true });
    expect(certificate.terms).toHaveLength(8);
    expect(linesOf(certificate).at(-1)).toBe('like-terms: x³ + x² − 4x − 4');
  });

  it('is typeset with raised exponents and a dot for times', () => {
    const certificate = certificateOf('(1/2 x + 1)(x^12 − 3)', 'expand-grid');
    const latex = reasonsLatex(told(certificate), NAMES);
    expect(latex).toMatch(/\\tfrac\{1\}\{2\}x \+ 1\)\(x\^\{12\} - 3\)/);
    expect(latex).toMatch(/x\^\{13\}/);
    expect(latex).not.toMatch(/×|[⁰-⁹¹²³]|\d\/\d/);
    expect(reasonsMarkdown(told(certificate), NAMES)).not.toContain('×');
  });
});

describe('the agreement of roots', () => {
  it('lays pieces as a square and strips, and pairs primes', () => {
    const certificate = certificateOf('√7396', 'digit-pairs', 'prime-pairs');
    expect(verifyAgreement(certificate)).toEqual({ ok: true });
    expect(linesOf(certificate)).toEqual([
      'place-value: 6400 + 900 + 96',
      'reorder: 6400 + (900 + 96)',
      'square: 80² + (2·80+6)·6',
      'square: (80+6)²',
      'evaluate: 86²',
    ]);
    expect(linesOf(certificate, 1).slice(1)).toEqual([
      'evaluate: 7396',
      'pair-factors: 2·2·43·43',
      'pair-factors: (2·43)²',
      'evaluate: 86²',
    ]);
    expect(equationText(certificate)).toBe('(√7396)² = 7396');
    expect(reasonsLatex(told(certificate), NAMES)).toContain('\\left(\\sqrt{7396}\\right)^{2}');
  });

  it('keeps what is left beside the square', () => {
    const certificate = certificateOf('√72', 'digit-pairs', 'prime-pairs');
    expect(linesOf(certificate).at(-1)).toBe('evaluate: 8.48² + 0.0896');
    expect(linesOf(certificate, 1).at(-1)).toBe('evaluate: 6²·2');
  });

  it('writes other bases in their own figures', () => {
    const certificate = certificateOf('√1100100_2', 'digit-pairs');
    expect(verifyAgreement(certificate)).toEqual({ ok: true });
    expect(linesOf(certificate).at(-1)).toBe('evaluate: 1010²');
  });
});

/** The certificate with one line of its first method put in the place of another. */
function withLine(certificate: Agreement, move: number, expression: Expression): Agreement {
  const [first, ...others] = certificate.methods;
  const moves = first!.moves.map((own, k) => (k === move ? { ...own, expression } : own));
  return { ...certificate, methods: [{ ...first!, moves }, ...others] };
}

describe('the independent check', () => {
  const brackets = certificateOf('(x + 4)(3x − 2)', 'expand-foil');
  const root = certificateOf('√7396', 'digit-pairs');
  const amount = (worth: string, scaled?: string): Expression => ({
    kind: 'amount',
    worth,
    of: ['0', '1', '2'].slice(0, scaled ? 3 : 0),
    ...(scaled ? { scaled } : {}),
  });

  it('refuses lines that are worth something else, and terms that are not like', () => {
    const parts = ['3x^2', '10x', '8'].map((worth) => amount(worth));
    expect(verifyAgreement(withLine(brackets, 3, { kind: 'sum', parts }))).toMatchObject({
      ok: false,
      fault: expect.stringMatching(/the line is worth/) as unknown,
    });
    const unlike = ['3x^2', '12x', '-2x', '-8'].map((worth) => amount(worth));
    expect(verifyAgreement(withLine(brackets, 3, { kind: 'sum', parts: unlike }))).toMatchObject({
      ok: false,
    });
    const whole = amount('3x^2+10x-8');
    expect(verifyAgreement(withLine(brackets, 3, whole))).toMatchObject({
      ok: false,
      fault: expect.stringMatching(/like-terms/) as unknown,
    });
  });

  it('refuses squares that are not written truly', () => {
    expect(verifyAgreement(withLine(root, 3, amount('7396', '(80+7)^2')))).toMatchObject({
      ok: false,
    });
    expect(verifyAgreement(withLine(root, 4, amount('7396', '86^2')))).toEqual({ ok: true });
    expect(verifyAgreement(withLine(root, 4, amount('7396', '87^2')))).toMatchObject({ ok: false });
    expect(verifyAgreement(withLine(root, 3, amount('7396')))).toMatchObject({ ok: false });
    expect(verifyAgreement({ ...root, value: '86' })).toMatchObject({ ok: false });
  });
});
