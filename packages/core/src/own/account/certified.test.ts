import { agreement } from '../../compare/certificate/agreement.ts';
import { compare } from '../../compare/compare.ts';
import { verifyAgreement } from '../../compare/certificate/verify-agreement.ts';
import { Random } from '../../exact/random.ts';
import { registry } from '../../methods/index.ts';
import type { Method } from '../../methods/method.ts';
import { Dice } from '../../testing/rewritings.ts';
import { readAsked } from '../read/asked.ts';
import { judgeLines } from '../judge/judge-lines.ts';
import { waysFor } from '../ways/ways.ts';
import { OWN_PHRASES } from './phrases.ts';
import { traceOfLines } from './trace.ts';

/** A paper of own lines in the place of a method. */
function paperOf(problem: string, lines: readonly string[]): Method {
  const read = readAsked(problem);
  if (!read.ok) throw new Error(read.reason);
  const trace = traceOfLines(judgeLines(read.asked, lines));
  if (!trace) throw new Error(`${problem} ${lines.join(' ')} has no trace`);
  return { ...registry.methods[0]!, id: 'own-lines', phrases: OWN_PHRASES, trace: () => trace };
}

const BESIDE = {
  sum: 'column-addition',
  difference: 'counting-up',
  product: 'lattice',
  quotient: 'partial-quotients',
} as const;

function certified(problem: string, lines: readonly string[]) {
  const read = readAsked(problem);
  if (!read.ok || !read.asked.problem) throw new Error(problem);
  const asked = read.asked.problem;
  const other = registry.get(BESIDE[asked.kind as keyof typeof BESIDE]);
  const beside = other.accepts(asked).ok ? [{ method: other }] : [];
  const comparison = compare(asked, [...beside, { method: paperOf(problem, lines) }]);
  return { comparison, verdict: verifyAgreement(agreement(comparison)) };
}

it('compares with methods: the same cells are the same amounts, and the certificate holds', () => {
  const { comparison, verdict } = certified('46 × 58', [
    '= 46 × 50 + 46 × 8',
    '= 2300 + 368',
    '= 2668',
  ]);
  expect(verdict).toEqual({ ok: true });
  expect(comparison.lanes.map(({ trace }) => `${trace.answer}`)).toEqual(['2668', '2668']);
});

it('is certified beside a method on ways that random numbers invite', () => {
  const dice = new Dice(new Random(12));
  let told = 0;
  for (let k = 0; k < 40; k++) {
    const [a, b] = [dice.plain(), dice.plain()];
    const problem = dice.one([`${a} + ${b}`, `${a + b} − ${b}`, `${a} × ${b}`, `${a * b} ÷ ${b}`]);
    const read = readAsked(problem);
    if (!read.ok) throw new Error(problem);
    for (const { lines } of waysFor(read.asked)) {
      const texts = lines.map(({ text }) => text);
      expect([problem, texts, certified(problem, texts).verdict]).toEqual([
        problem,
        texts,
        { ok: true },
      ]);
      told++;
    }
  }
  expect(told).toBeGreaterThan(80);
});

it('is certified as far as the line that is wrong, which leaks', () => {
  const lines = ['= 642 − 400 + 13', '= 242 − 13', '= 229'];
  const { comparison, verdict } = certified('642 − 387', lines);
  expect(verdict).toEqual({ ok: true });
  const [leak, ...more] = comparison.lanes.at(-1)!.leaks;
  expect([leak!.step, `${leak!.amount}`, more.length]).toEqual([3, '-26', 0]);
});
