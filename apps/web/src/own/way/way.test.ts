import { workOf } from '@levee/core';
import { jobs } from '../../away/jobs.ts';
import { fittedBefore, rememberFit } from './moved.ts';
import { namedLines } from './use-ways.ts';
import { layThere } from './use-way.ts';
import type { NamedWay } from '../../api/client.ts';

const LINES = ['= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668'];

function answered(problem: string, lines: readonly string[]) {
  const answer = jobs.wayAnswer(problem, lines, '');
  if (!answer.ok) throw new Error(answer.says);
  return answer;
}

function named(problem: string, name: string, lines: readonly string[]): NamedWay {
  return { problem, name, lines };
}

describe('the way of some lines', () => {
  it('comes as plain data, with rules to choose from and numbers that it fits', () => {
    const answer = answered('46 × 58', LINES);
    expect(structuredClone(answer)).toEqual(answer);
    expect(answer.choices.c).toEqual(['up-to-ten(b)', 'up-to-round(b)', 'nearest-ten(b)', '60']);
    const suggested = jobs.waySuggested('46 × 58', answer.way);
    expect(suggested).toHaveLength(4);
    for (const problem of suggested) {
      expect(layThere(answer.way, problem)).toMatchObject({ ok: true, text: problem });
    }
  });

  it('is refused with a sentence', () => {
    expect(jobs.wayAnswer('46 × 58', ['= 48 × 56'], '')).toMatchObject({ ok: false });
    expect(() => jobs.wayAnswer('46 ×', [], '')).toThrow('46 ×');
  });
});

describe('a way there', () => {
  const { way } = answered('46 × 58', LINES);

  it.each([
    ['34*27', { ok: true, text: '34 × 27' }],
    ['34 × 30', { ok: false, says: expect.stringContaining('more than b') as string }],
    ['34 ×', { ok: false }],
    ['34 + 27', { ok: false, says: expect.stringContaining('a way for a × b') as string }],
  ])('%s: %j', (typed, there) => {
    expect(layThere(way, typed)).toMatchObject(there);
  });

  it('is nothing before anything is typed', () => {
    expect(layThere(way, ' ')).toBeNull();
  });
});

describe('ways that have a name', () => {
  const kept = [
    named('46 × 58', 'round up', LINES),
    named('34 × 27', 'round up', ['= 34 × 30 − 34 × 3', '= 1020 − 102', '= 918']),
    named('24 × 35', 'half and double', ['= 12 × 70', '= 840']),
    named('38 + 27', 'to the next ten', ['= 40 + 25', '= 65']),
    named('17 × 48', 'of these numbers', ['= 17 × 50 − 34']),
  ];

  it('are the latest under each name, of other numbers', () => {
    expect(namedLines(kept, '17 × 48').map(({ name, problem }) => [name, problem])).toEqual([
      ['round up', '46 × 58'],
      ['half and double', '24 × 35'],
      ['to the next ten', '38 + 27'],
    ]);
  });

  it('are laid on these numbers where they fit, and say why not where they do not', () => {
    const there = jobs.waysThere('17 × 48', namedLines(kept, '17 × 48'));
    // A way for sums is none for a product.
    expect(there.map(({ name, laid }) => [name, laid])).toEqual([
      ['round up', ['= 17 × 50 − 17 × 2', '= 850 − 34', '= 816']],
      ['half and double', null],
    ]);
    expect(there[1]!.says).toContain('a is 17, which is not even');
  });
});

describe('a way from a file', () => {
  const text = JSON.stringify({
    format: 'levee-way',
    version: 1,
    ...answered('46 × 58', LINES).way,
    name: 'round up',
  });

  it('is laid with its name', () => {
    expect(jobs.wayFromFile('17 × 48', text)).toEqual({
      ok: true,
      name: 'round up',
      lines: ['= 17 × 50 − 17 × 2', '= 850 − 34', '= 816'],
    });
  });

  it.each([
    ['nothing', 'no JSON'],
    ['{}', 'way'],
    [text.replace('c − b', 'c − z'), 'rules.d'],
  ])('is refused with where it goes wrong: %.20s', (file, says) => {
    const opened = jobs.wayFromFile('17 × 48', file);
    expect(opened.ok ? '' : opened.says).toContain(says);
  });
});

it('remembers for which numbers lines were right', () => {
  const own = workOf(LINES);
  expect(fittedBefore(own, '34 × 27')).toBeNull();
  rememberFit(own, '46 × 58');
  expect(fittedBefore(own, '34 × 27')).toBe('46 × 58');
  expect(fittedBefore(own, '46 × 58')).toBeNull();
  expect(fittedBefore(workOf(['= 2668']), '34 × 27')).toBeNull();
});
