import fc from 'fast-check';
import { answerText } from '../../account/answer-text.ts';
import { Exact } from '../../exact/exact.ts';
import type { Problem } from '../../problem/problem.ts';
import { quotients } from '../../testing/arbitraries.ts';
import { integerOf } from '../../testing/expected.ts';
import {
  groupWorths,
  marksOf,
  paperText,
  problemFrom,
  said,
  slipAnswers,
  worked,
} from '../../testing/work.ts';
import { registry } from '../index.ts';
import { planDivision } from './division-plan.ts';

const METHODS = ['short-division', 'long-division', 'partial-quotients'] as const;
const answered = (id: string, text: string, stop = 'by-the-numbers') =>
  answerText(worked(id, text, { school: { stop } }));

describe('division plans', () => {
  const figures = (text: string, stop = 'by-the-numbers') =>
    planDivision(problemFrom(text), { stop })
      .figures.map(({ quotient, rest }) => `${quotient}r${rest}`)
      .join(' ');

  it('share figure by figure and stop where they are asked to', () => {
    expect(figures('952 ÷ 7')).toBe('1r2 3r4 6r0');
    expect(figures('955 ÷ 7')).toBe('1r2 3r4 6r3');
    expect(figures('955 ÷ 7', 'tenths')).toBe('1r2 3r4 6r3 4r2');
    expect(figures('31.5 ÷ 0.7')).toBe('0r3 4r3 5r0');
    expect(figures('7.25 ÷ 4', 'remainder')).toBe('1r3');
    expect(figures('0 ÷ 4', 'decimals')).toBe('0r0');
  });

  it('find the figures that repeat by the remainder that comes again', () => {
    const repeats = (text: string) => {
      const { figures: all, repeatsFrom } = planDivision(problemFrom(text), { stop: 'decimals' });
      return all
        .slice(repeatsFrom ?? all.length)
        .map(({ quotient }) => quotient)
        .join('');
    };
    expect(repeats('1 ÷ 7')).toBe('142857');
    expect(repeats('1 ÷ 6')).toBe('6');
    expect(repeats('1 ÷ 8')).toBe('');
    expect(repeats('1 ÷ 97')).toHaveLength(96);
    expect(repeats('1 ÷ 503')).toBe('');
  });
});

describe('quotients', () => {
  it.each([
    ['952 ÷ 7', 'by-the-numbers', '136'],
    ['955 ÷ 7', 'by-the-numbers', '136 r 3'],
    ['955 ÷ 7', 'tenths', '136.4 r 0.2'],
    ['612 ÷ 6', 'by-the-numbers', '102'],
    ['3 ÷ 7', 'by-the-numbers', '0 r 3'],
    ['2 ÷ 9', 'hundredths', '0.22 r 0.02'],
    ['22 ÷ 7', 'decimals', '3.(142857)'],
    ['1 ÷ 7', 'decimals', '0.(142857)'],
    ['31.5 ÷ 0.7', 'by-the-numbers', '45'],
    ['31.6 ÷ 0.7', 'remainder', '45 r 0.1'],
    ['31.6 ÷ 0.7', 'hundredths', '45.14 r 0.002'],
    ['7.25 ÷ 4', 'by-the-numbers', '1.8125'],
    ['7.25 ÷ 4', 'remainder', '1 r 3.25'],
    ['1 ÷ 0.6', 'by-the-numbers', '1.(6)'],
    ['110111_2 ÷ 101_2', 'by-the-numbers', '1011'],
    ['1_3 ÷ 2_3', 'decimals', '0.(1)'],
  ])('%s (%s) is %s by every method', (text, stop, expected) => {
    for (const id of METHODS) expect([id, answered(id, text, stop)]).toEqual([id, expected]);
  });

  it('cuts figures that go on too long, and says what is left', () => {
    expect(answered('short-division', '1 ÷ 503', 'decimals')).toMatch(
      /^0\.\d{240} r 0\.0{237,}\d+$/,
    );
  });

  it('are whole quotients with remainders less than the divisor, as integers have them', () => {
    fc.assert(
      fc.property(quotients(6), (problem) => {
        const [n, d] = problem.operands.map(integerOf) as [bigint, bigint];
        const text = answerText(registry.get('long-division').trace(problem));
        const [quotient = '', rest = '0'] = text.split(' r ');
        const value = (figures: string) =>
          [...figures].reduce((so, f) => so * BigInt(problem.base) + BigInt(parseInt(f, 16)), 0n);
        expect([value(quotient), value(rest)]).toEqual([n / d, n % d]);
      }),
    );
  });

  it('hold q × d + r = n after every step', () => {
    fc.assert(
      fc.property(quotients(5), fc.constantFrom(...METHODS), (problem, id) => {
        const trace = registry.get(id).trace(problem);
        const divisor = Exact.of(integerOf(problem.operands[1]!));
        const dividend = Exact.of(integerOf(problem.operands[0]));
        const live = new Map(trace.start.map(({ id: entry, worth }) => [entry, worth]));
        const inQuotient = new Set<string>();
        for (const { takes, gives } of trace.steps) {
          for (const taken of takes) live.delete(taken);
          for (const mark of gives) {
            live.set(mark.id, mark.worth);
            if (mark.role === 'answer' || mark.role === 'chunk') inQuotient.add(mark.id);
          }
          const part = (own: boolean) =>
            Exact.sum(
              [...live].flatMap(([key, worth]) => (inQuotient.has(key) === own ? [worth] : [])),
            );
          const rest = part(false).times(divisor);
          expect(rest.isWhole).toBe(true);
          expect(part(true).times(divisor).plus(rest).equals(dividend)).toBe(true);
        }
      }),
    );
  });
});

describe('short division', () => {
  it('writes what is left small before the next figure', () => {
    const trace = worked('short-division', '952 ÷ 7');
    const small = marksOf(trace).filter(({ spot }) => spot.area === 'rest');
    expect(small.map(({ glyph, spot }) => `${glyph}@${spot.column}`)).toEqual(['2@1', '4@0']);
    expect(small.map(({ worth }) => worth.toString())).toEqual(['200/7', '40/7']);
    expect(paperText(trace)).toMatchInlineSnapshot(`
"     1     3     6
  +-----------------
7 |  9  2  5  4  2"
`);
  });

  it('writes a zero in front when it is asked to, and never counts it', () => {
    const trace = worked('short-division', '315 ÷ 7', { school: { front: 'written' } });
    expect(marksOf(trace)[0]!.role).toBe('placeholder');
    expect(answerText(trace)).toBe('45');
    expect(said(trace)[0]).toBe('7 does not go into 3: write 0, 3 goes to the next figure.');
  });

  it('tells each share as a count of its place', () => {
    expect(said(worked('short-division', '612 ÷ 6'), 'value')).toEqual([
      '6 hundreds shared by 6 give 1 hundred each.',
      '1 ten shared by 6 gives no tens: 0; 1 ten is left, as many as 10 ones.',
      '12 ones shared by 6 give 2 ones each.',
    ]);
  });
});

describe('long division', () => {
  it('takes every product off the dividend', () => {
    const trace = worked('long-division', '952 ÷ 7');
    const products = marksOf(trace).filter(({ role }) => role === 'product');
    expect(products.map(({ glyph, worth }) => `${glyph} ${worth}`)).toEqual([
      '7 -100',
      '21 -30',
      '42 -6',
    ]);
    expect(groupWorths(trace, 'share')).toEqual(['100', '30', '6']);
    expect(paperText(trace)).toMatchInlineSnapshot(`
"     1  3  6
  +-----------
7 |  9  5  2
     7
     2  5
     2  1
        4  2
        4  2
           0"
`);
  });
});

describe('partial quotients', () => {
  it('take chunks of her own, then easy ones', () => {
    const trace = worked('partial-quotients', '952 ÷ 7', { hops: [30, 70] });
    expect(groupWorths(trace, 'share')).toEqual(['30', '70', '20', '10', '5', '1']);
    expect(answerText(trace)).toBe('136');
    const { ownHops, defaultSchool } = registry.get('partial-quotients');
    const verdicts = ownHops!.judge(
      problemFrom('952 ÷ 7'),
      [100, 50].map((n) => Exact.of(n)),
      defaultSchool,
    );
    expect(verdicts.map((v) => (v.ok ? `${v.lands} ${v.left}` : v.fault))).toEqual([
      '100 252',
      '50 × 7 is 350, and only 252 is left.',
    ]);
  });
});

describe('scaling both numbers', () => {
  it('keeps every share what it was', () => {
    for (const id of METHODS) {
      const [first] = worked(id, '31.5 ÷ 0.7').steps;
      expect([id, first!.law, first!.balance.toString()]).toEqual([id, 'scale-both', '45']);
    }
    expect(said(worked('long-division', '31.5 ÷ 0.7'), 'value')[0]).toBe(
      'Both numbers become 10 times as large, so 315 ÷ 7 has the same quotient as 31.5 ÷ 0.7.',
    );
  });
});

describe('slips of division', () => {
  it('answer what learners answer', () => {
    expect(slipAnswers('short-division', '612 ÷ 6')).toEqual([
      'figure-by-figure@1 163',
      'skip-zero@1 12',
      'forget-remainder@1 301/3',
      'next-figure-not-down@1 601/6',
      'remainder-too-large@1 102',
    ]);
    expect(slipAnswers('long-division', '31.5 ÷ 0.7')).toContain('scale-one@1 9/2');
    expect(slipAnswers('short-division', '955 ÷ 7')).toContain('remainder-as-tenths@1 1363/10');
    expect(slipAnswers('partial-quotients', '952 ÷ 7')).toEqual([
      'skip-chunk@1 36',
      'chunk-ten-times-off@1 46',
      'skip-chunk@2 116',
      'chunk-ten-times-off@2 118',
      'skip-chunk@3 126',
      'chunk-ten-times-off@3 127',
      'skip-chunk@4 131',
      'skip-chunk@5 135',
      'products-added@1 952',
    ]);
  });
});

describe('schools of stopping', () => {
  it.each(['by-the-numbers', 'remainder', 'decimals', 'tenths', 'hundredths', 'thousandths'])(
    'give one answer by every division: %s',
    (stop) => {
      const answer = (id: string, problem: Problem) =>
        answerText(registry.get(id).trace(problem, { school: { stop } }));
      fc.assert(
        fc.property(quotients(4), (problem) => {
          const long = answer('long-division', problem);
          expect(answer('short-division', problem)).toBe(long);
          expect(answer('partial-quotients', problem)).toBe(long);
        }),
        { numRuns: 60 },
      );
    },
  );

  it('write zeros down to the place at which the work stops', () => {
    for (const id of ['long-division', 'short-division', 'partial-quotients']) {
      expect(answered(id, '7 ÷ 960', 'hundredths')).toBe('0.00 r 7');
      expect(answered(id, '50 ÷ 99', 'hundredths')).toBe('0.50 r 0.5');
    }
  });
});
