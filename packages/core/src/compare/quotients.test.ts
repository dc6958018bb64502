import { Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import { speakerFor } from '../phrases/speaker.ts';
import { DEFAULT_VOCABULARY } from '../phrases/vocabulary.ts';
import { readProblem } from '../problem/problem.ts';
import { agreement } from './certificate/agreement.ts';
import { reasonsLatex, reasonsMarkdown, lawName } from './certificate/agreement-export.ts';
import { reasonsOf } from './certificate/reasons.ts';
import { certainties } from './looked-at.ts';
import { compare } from './compare.ts';
import { cost } from './counted/cost.ts';
import { foresee } from './looked-at.ts';
import { foundShares } from '../account/rewriting.ts';
import { levels } from './counted/levels.ts';
import { stepLabels } from './looked-at.ts';
import { verifyAgreement } from './certificate/verify-agreement.ts';

function problem(text: string) {
  const read = readProblem(text);
  if (!read.ok) throw new RangeError(text);
  return read.problem;
}

function worked(id: string, text: string, school: Record<string, string> = {}) {
  const method = registry.get(id);
  return method.trace(problem(text), { school: { ...method.defaultSchool, ...school } });
}

const together = (text: string, ...ids: string[]) =>
  compare(
    problem(text),
    ids.map((id) => ({ method: registry.get(id) })),
  );

const labels = (id: string, text: string, school = {}) => {
  const trace = worked(id, text, school);
  return stepLabels(trace, speakerFor(trace.problem, DEFAULT_VOCABULARY));
};

describe('a quotient that is found', () => {
  it('grows by its shares, and what is left is owed', () => {
    const trace = worked('partial-quotients', '955 ÷ 7');
    expect(foundShares(trace).map(String)).toEqual([
      '0',
      '100',
      '100',
      '120',
      '120',
      '130',
      '130',
      '135',
      '135',
      '136',
      '136',
      '136',
      '136',
    ]);
    const last = levels(trace).at(-1)!;
    expect([last.written, last.owed, last.held].map(String)).toEqual(['136', '3/7', '0']);
    const first = levels(trace)[0]!;
    expect([first.written, first.balance].map(String)).toEqual(['0', '955/7']);
  });

  it('is known between powers of the base before it is done', () => {
    const all = certainties(worked('long-division', '952 ÷ 7'));
    const [, afterHundreds] = all;
    expect(afterHundreds!.figures).toBe('1');
    expect(all.at(-1)!.low.equals(Exact.of(136))).toBe(true);
  });

  it('labels its steps by what they find, leave and bring down', () => {
    expect(labels('long-division', '952 ÷ 7')).toEqual([
      '100',
      '200 left',
      '↓ 5',
      '30',
      '40 left',
      '↓ 2',
      '6',
      '0 left',
    ]);
    expect(labels('short-division', '31.5 ÷ 0.7')).toEqual(['scale both', '40', '5']);
    expect(labels('short-division', '955 ÷ 7').at(-1)).toBe('remainder');
    expect(labels('short-division', '1 ÷ 3', { stop: 'decimals' })).toEqual([
      '0 ones',
      '0.3',
      'repeats',
    ]);
  });

  it('is foreseen: scaling, and the places that what is left goes on into', () => {
    expect(foresee(worked('long-division', '31.5 ÷ 0.7'))).toEqual([
      { kind: 'scaling', places: [], times: 1 },
      { kind: 'remainder', places: [0], times: 1 },
    ]);
    expect(foresee(worked('short-division', '84 ÷ 2'))).toEqual([]);
    const halved = foresee(worked('halving-doubling', '26 × 34'));
    expect(halved.map(({ kind }) => kind)).not.toContain('scaling');
  });

  it('costs facts, subtractions and remainders', () => {
    const counted = cost(worked('long-division', '952 ÷ 7'));
    expect(counted).toMatchObject({ facts: 3, additions: 3, carries: 2, heldAtOnce: 0 });
    expect(counted.largestWritten.toString()).toBe('42');
    expect(cost(worked('long-division', '1296 ÷ 24')).facts).toBe(4);
    expect(cost(worked('short-division', '1296 ÷ 24')).facts).toBe(4);
    expect(cost(worked('partial-quotients', '1296 ÷ 24')).facts).toBe(6);
    const chunks = cost(worked('partial-quotients', '952 ÷ 7'));
    expect(chunks).toMatchObject({ facts: 5, additions: 9, carries: 0 });
    expect(chunks.largestWritten.toString()).toBe('700');
  });
});

describe('certificates of quotients and fractions', () => {
  it('scale both numbers as a line of their own, and are confirmed', () => {
    const reasons = reasonsOf(together('31.5 ÷ 0.7', 'long-division', 'partial-quotients'));
    const certificate = reasons.common;
    expect(verifyAgreement(certificate)).toEqual({ ok: true });
    const laws = certificate.methods.map(({ moves }) => moves.map(({ law }) => law));
    expect(laws[0]).toEqual(['distribute', 'scale-both', 'reorder', 'evaluate', 'evaluate']);
    const names = { method: (id: string) => id, notation: { times: '·', point: ',' } as const };
    expect(reasonsMarkdown(reasons, names)).toMatch(/# Why the methods agree: 31,5 ÷ 0,7 = 45/);
    expect(reasonsLatex(reasons, names)).toMatch(/14 \\div 0\{,\}7/);
  });

  it('are not confirmed when a share, a scaling or a fraction is another one', () => {
    const quotient = agreement(together('31.5 ÷ 0.7', 'long-division'));
    expect(JSON.stringify(quotient)).toContain('"scaled":"280÷7"');
    const spoiled = (from: string, to: string) =>
      verifyAgreement(JSON.parse(JSON.stringify(quotient).replace(from, to)) as typeof quotient).ok;
    expect(spoiled('"scaled":"280÷7"', '"scaled":"281÷7"')).toBe(false);
    expect(spoiled('"worth":"40"', '"worth":"41"')).toBe(false);
    expect(spoiled('"law":"scale-both"', '"law":"reorder"')).toBe(false);
    const parts = agreement(together('3/4 + 1/6', 'cross-products'));
    const text = JSON.stringify(parts);
    expect(text).toContain('"scaled":"18/24"');
    const other = JSON.parse(text.replace('"scaled":"18/24"', '"scaled":"19/24"')) as typeof parts;
    expect(verifyAgreement(other).ok).toBe(false);
    const none = JSON.parse(text.replace('"scaled":"18/24"', '"scaled":"18/0"')) as typeof parts;
    expect(verifyAgreement(none).ok).toBe(false);
  });

  it('write fractions as the papers do, typeset in LaTeX, with the laws of parts', () => {
    const reasons = reasonsOf(together('5 1/6 − 2 5/6', 'mixed-separate', 'mixed-improper'));
    const certificate = reasons.common;
    expect(verifyAgreement(certificate)).toEqual({ ok: true });
    const names = { method: (id: string) => id, notation: { times: '×', point: '.' } as const };
    const markdown = reasonsMarkdown(reasons, names);
    expect(markdown).toMatch(/# Why the methods agree: 5 1\/6 − 2 5\/6 = 2 1\/3/);
    expect(markdown).toMatch(/31\/6 − 17\/6/);
    const latex = reasonsLatex(reasons, names);
    expect(latex).toMatch(/5\\tfrac\{1\}\{6\} - 2\\tfrac\{5\}\{6\}/);
    expect(latex.split('Every method')[0]).not.toMatch(/\d\/\d/);
    expect(lawName('scale-both', certificate)).toMatch(/n\/n is one/);
    expect(lawName('scale-both', { script: 'figures' })).toBe('the same scaling of both');
  });
});

describe('fractions beside each other', () => {
  it('cost renamings, crossings and simplifying, and show the size of their numbers', () => {
    const least = cost(worked('least-common-denominator', '3/4 + 1/6'));
    expect(least).toMatchObject({ facts: 4, additions: 1, simplifications: 1 });
    expect(least.largestWritten.toString()).toBe('12');
    const cross = cost(worked('cross-products', '3/4 + 1/6'));
    expect(cross).toMatchObject({ facts: 5, additions: 1, simplifications: 1 });
    expect(cross.largestWritten.toString()).toBe('24');
    expect(cost(worked('mixed-separate', '5 1/6 − 2 5/6')).carries).toBe(1);
  });

  it('are foreseen by how many must be renamed and whether a whole is opened', () => {
    expect(foresee(worked('mixed-separate', '5 1/6 − 2 3/4'))).toEqual([
      { kind: 'renaming', places: [], times: 2 },
      { kind: 'whole opened', places: [], times: 1 },
    ]);
    expect(foresee(worked('least-common-denominator', '2/7 + 3/7'))).toEqual([]);
  });

  it('label their steps by the fractions they write', () => {
    expect(labels('least-common-denominator', '3/4 + 1/6')).toEqual([
      '12',
      '9/12',
      '2/12',
      '11/12',
      'already simplest',
    ]);
    expect(labels('mixed-separate', '5 1/6 − 2 5/6')[0]).toBe('4 7/6');
  });

  it('share amounts that one gathers and another is given', () => {
    const { lanes } = together('3/4 + 1/6', 'cross-products', 'least-common-denominator');
    const three = lanes[0]!.amounts.find(({ group }) => group.role === 'product')!;
    expect(three.group.worth.toString()).toBe('3/4');
    expect(three.exact).toBe(true);
  });
});
