import { answerText } from '../../account/answer-text.ts';
import { Exact } from '../../exact/exact.ts';
import { sayPlain, type Voice } from '../../phrases/phrasebook.ts';
import { speakerFor } from '../../phrases/speaker.ts';
import { DEFAULT_VOCABULARY } from '../../phrases/vocabulary.ts';
import { readProblem } from '../../problem/problem.ts';
import { refusalText } from '../method.ts';
import { registry } from '../index.ts';
import { primesOf } from '../shared/primes.ts';
import { gcd, lcm } from '../../exact/rational.ts';
import { divisorsOf, mixedFracText, partsNamed, partsSaid } from './fraction.ts';

function problem(text: string) {
  const read = readProblem(text);
  if (!read.ok) throw new RangeError(text);
  return read.problem;
}

function work(id: string, text: string, school: Record<string, string> = {}, slips: string[] = []) {
  const method = registry.get(id);
  return method.trace(problem(text), {
    school: { ...method.defaultSchool, ...school },
    slips: slips.map((slip) => ({ slip, occurrence: 1 })),
  });
}

function said(id: string, text: string, voice: Voice, school: Record<string, string> = {}) {
  const trace = work(id, text, school);
  const say = speakerFor(trace.problem, DEFAULT_VOCABULARY);
  return trace.steps.map(({ phrase }) => sayPlain(registry.get(id).phrases, phrase, voice, say));
}

describe('numbers of fractions', () => {
  it('are divided, listed and named', () => {
    expect([gcd(18n, 24n), lcm(4n, 6n), gcd(-7n, 0n)]).toEqual([6n, 12n, 7n]);
    expect(primesOf(360n)).toEqual([2n, 2n, 2n, 3n, 3n, 5n]);
    expect(primesOf(1n)).toEqual([]);
    expect(divisorsOf(24n)).toEqual([1n, 2n, 3n, 4n, 6n, 8n, 12n, 24n]);
    expect(divisorsOf(49n)).toEqual([1n, 7n, 49n]);
    const names = [1n, 2n, 3n, 12n, 20n, 21n, 42n, 99n, 101n, 112n, 122n];
    expect(names.map((bottom) => partsSaid(2n, bottom))).toEqual([
      '2 wholes',
      '2 halves',
      '2 thirds',
      '2 twelfths',
      '2 twentieths',
      '2 twenty-firsts',
      '2 forty-seconds',
      '2 ninety-ninths',
      '2/101',
      '2/112',
      '2/122',
    ]);
    expect(partsSaid(-1n, 6n)).toBe('−1 sixth');
    expect([101n, 112n, 122n, 720n].map(partsNamed)).toEqual([
      '101sts',
      '112ths',
      '122nds',
      '720ths',
    ]);
    expect(mixedFracText(-1n, { top: -1n, bottom: 3n })).toBe('−1 1/3');
    expect(mixedFracText(0n, { top: 0n, bottom: 3n })).toBe('0');
  });
});

describe('fraction methods', () => {
  it('are each offered for their numbers, and say why not', () => {
    const told = (id: string, text: string) => {
      const answer = registry.get(id).accepts(problem(text));
      return answer.ok || refusalText(answer.reason);
    };
    expect(told('cross-products', '3/4 + 1/6')).toBe(true);
    expect(told('cross-products', '1 3/4 + 1/6')).toMatch(/takes fractions alone/);
    expect(told('mixed-separate', '3/4 + 1/6')).toMatch(/only fractions/);
    expect(told('mixed-separate', '1/6 − 2 3/4')).toMatch(/larger one is taken away/);
    expect(told('mixed-improper', '1/6 − 2 3/4')).toBe(true);
    expect(told('least-common-denominator', '46 + 58')).toMatch(/here are none/);
    expect(told('column-addition', '3/4 + 1/6')).toMatch(/fractions have methods of their own/);
    expect(told('cross-products', '1/9973 + 1/9967')).toMatch(/larger than 100000/);
  });

  it('say what they do in parts and in figures', () => {
    expect(said('least-common-denominator', '3/4 + 1/6', 'value')).toEqual([
      'The parts are fourths and sixths; all of them can be cut into twelfths.',
      'Each part is cut into 3: 3 fourths are 9 twelfths.',
      'Each part is cut into 2: 1 sixth is 2 twelfths.',
      '9 twelfths and 2 twelfths are 11 twelfths.',
      'Nothing to simplify: factors of 11: 1, 11; of 12: 1, 2, 3, 4, 6, 12; no factor but 1 is in both.',
    ]);
    expect(said('cross-products', '3/4 + 1/6', 'digit')).toEqual([
      'Across: 3 × 6 = 18.',
      'Across: 1 × 4 = 4.',
      'Denominators: 4 × 6 = 24.',
      '18 + 4 = 22: 22/24.',
      'Factors of 22: 1, 2, 11, 22; of 24: 1, 2, 3, 4, 6, 8, 12, 24: 22 ÷ 2 = 11, 24 ÷ 2 = 12: 11/12.',
    ]);
    expect(said('mixed-separate', '5 1/6 − 2 5/6', 'value')[0]).toBe(
      '1 sixth is fewer than 5 sixths: 1 whole is opened into 6 sixths, which makes 7 sixths; 4 wholes stay.',
    );
  });

  it('simplify by every school to the same fraction, with a line even when there is nothing', () => {
    const lines = (simplify: string) =>
      work('cross-products', '5/6 + 7/10', { simplify }).steps.flatMap(({ gives, phase }) =>
        phase.kind === 'simplify' ? [gives.map(({ glyph }) => glyph).join(' ')] : [],
      );
    expect(lines('listing-factors')).toEqual(['÷4 23/15']);
    expect(lines('repeated-factors')).toEqual(['÷2 46/30', '÷2 23/15']);
    expect(lines('greatest-common-factor')).toEqual(['÷4 23/15']);
    const stays = work('least-common-denominator', '3/4 + 1/6').steps.at(-1)!;
    expect(stays.gives.map(({ glyph }) => glyph)).toEqual(['already simplest']);
  });

  it('answer in the asked form', () => {
    const form = (id: string, text: string, school = {}) => answerText(work(id, text, school));
    expect(form('cross-products', '5/6 + 7/10')).toBe('1 8/15');
    expect(form('cross-products', '5/6 + 7/10', { answer: 'fraction' })).toBe('23/15');
    expect(form('mixed-separate', '1 3/4 + 2 5/6 + 3')).toBe('7 7/12');
    expect(form('mixed-separate', '7 1/2 − 7 1/2')).toBe('0');
    expect(form('mixed-improper', '1/6 − 2 3/4')).toBe('−2 7/12');
    expect(form('least-common-denominator', '1/2 + 1/2')).toBe('1');
  });

  it.each([
    ['least-common-denominator', '1/3 + 1/6', 'tops-and-bottoms', '2/9'],
    ['least-common-denominator', '1/3 + 1/6', 'bottom-only', '1/3'],
    ['cross-products', '3/4 + 1/6', 'tops-and-bottoms', '2/5'],
    ['mixed-separate', '5 1/6 − 2 5/6', 'whole-as-ten', '3'],
    ['mixed-separate', '5 1/6 − 2 5/6', 'whole-kept', '10/3'],
    ['mixed-improper', '5 1/6 − 2 5/6', 'whole-added', '-11/6'],
  ])('%s on %s with %s answers %s', (id, text, slip, answer) => {
    const trace = work(id, text, {}, [slip]);
    expect(trace.balanced).toBe(false);
    expect(trace.answer.toString()).toBe(answer);
    expect(trace.answer.equals(Exact.parse(answer))).toBe(true);
  });
});
