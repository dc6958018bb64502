import { foresee } from '../compare/looked-at.ts';
import { registry } from '../methods/index.ts';
import { contextWarnings, contextWarningText } from './context.ts';
import { evaluate } from './evaluate.ts';
import { readProblem, type Problem } from './problem.ts';
import { readExpression } from './read-expression.ts';
import { structureOf } from './structure.ts';
import { findingText } from './structure-text.ts';

function problem(text: string): Problem {
  const read = readProblem(text);
  if (!read.ok) throw new RangeError(text);
  return read.problem;
}

describe('structureOf', () => {
  it.each([
    ['42 + 35', 0, 'no-place-reaches-ten', []],
    ['46 + 35', 1, 'one-carry', [0]],
    ['46 + 58', 2, 'several-carries', [0, 1]],
    [Array(12).fill('9').join('+'), 3, 'a-carry-above-nine', [0]],
    ['64 − 23', 0, 'no-place-is-short', []],
    ['64 − 28', 1, 'one-place-is-short', [0]],
    ['642 − 387', 2, 'several-places-are-short', [0, 1]],
    ['604 − 287', 3, 'short-across-a-zero', [0, 1]],
    ['28 − 64', 3, 'the-larger-is-taken-away', [1]],
    ['12 × 32', 0, 'no-place-reaches-ten', []],
    ['46 × 2', 1, 'one-carry', [0]],
    ['46 × 50', 2, 'several-carries', [1, 2]],
    ['99999999999 × 99999999999', 3, 'a-carry-above-nine', null],
    ['111_2 + 111_2', 2, 'several-carries', [0, 1, 2]],
  ] as const)('judges %s', (text, level, finding, places) => {
    const found = structureOf(problem(text));
    expect([found.level, found.finding]).toEqual([level, finding]);
    if (places) expect(found.places).toEqual(places);
  });
});

describe('findingText', () => {
  it.each([
    ['46 + 58', 'several carries'],
    ['12 + 32', 'no place reaches ten'],
    ['101_2 + 10_2', 'no place reaches the base'],
    [Array(12).fill('9').join('+'), 'a carry above nine'],
    ['11_2+11_2+11_2+11_2', 'a carry of two figures'],
  ])('says of %s: %s', (text, said) => {
    const asked = problem(text);
    expect(findingText(structureOf(asked).finding, asked.base)).toBe(said);
  });
});

describe('foresee', () => {
  const told = (id: string, text: string) =>
    foresee(registry.get(id).trace(problem(text))).map(
      ({ kind, places, times }) => `${kind} ${places.join()} ×${times}`,
    );

  it.each([
    ['column-addition', '386 + 58', ['carry 1,2 ×2']],
    ['partial-sums', '386 + 58', []],
    ['left-to-right-addition', '386 + 58', []],
    ['compensation-addition', '386 + 58', ['adjustment  ×1']],
    ['scratch-addition', '7+9+4+8+6+5', ['scratch 1 ×3']],
    ['decomposition', '642 − 387', ['opening 0,1 ×2']],
    ['decomposition', '7002 − 3', ['opening 0,1,2 ×3']],
    ['expanded-subtraction', '642 − 387', ['opening 0,1 ×2']],
    ['equal-additions', '642 − 387', ['little ones 1,2 ×2']],
    ['partial-differences', '642 − 387', ['shortfall 0,1 ×2']],
    ['counting-up', '642 − 387', []],
  ] as const)('%s on %s', (id, text, expected) => expect(told(id, text)).toEqual(expected));
});

describe('contextWarnings', () => {
  const told = (text: string, unit: string, counted: boolean) =>
    contextWarnings(problem(text), { unit, counted }).map((w) => contextWarningText(w, unit, 10));

  it('speak up where counted things would be fewer than none', () => {
    expect(told('38 − 52', 'bags', true)).toEqual([
      'Only 38 bags are there, so 52 cannot be taken away: counted things have no negative number.',
    ]);
    expect(told('38 − 52', 'metres', false)).toEqual([]);
    expect(told('38 − 52', '', true)).toEqual([]);
    expect(told('52 − 38', 'bags', true)).toEqual([]);
    expect(told('2.5 + 3', 'bags', true)).toEqual([
      '2.5 bags would have to be split, and they cannot be.',
    ]);
    expect(told('2.5 × 4', 'bags', true)).toEqual([]);
    expect(told('31.5 ÷ 0.7', 'staffs', true)).toEqual([]);
    expect(told('1835 ÷ 24', 'bundles', true)).toEqual([
      'They cannot be split: 76 bundles can be made, and 11 of the dividend is left over.',
    ]);
  });
});

describe('evaluate', () => {
  it.each([
    ['642 − 387', '255'],
    ['46 × 58 + 2', '2670'],
    ['7 ÷ 2', '7/2'],
    ['1/3 + 1/6', '1/2'],
    ['5 1/6 − 2 5/6', '7/3'],
    ['2^10', '1024'],
    ['√7921', '89'],
    ['−(3 − 5)', '2'],
    ['0.1 + 0.2', '3/10'],
    ['1011_2 × 110_2', '66'],
  ])('%s is %s', (text, value) => {
    const read = readExpression(text);
    const result = read.ok ? evaluate(read.expression) : null;
    expect(result?.ok && result.value.toString()).toBe(value);
  });

  it.each([
    ['7 ÷ (3 − 3)', /divides by zero/],
    ['√7', /does not come out/],
    ['x + 1', /letter x/],
    ['2^999', /up to 200/],
  ])('%s has no exact value', (text, fault) => {
    const read = readExpression(text);
    const result = read.ok ? evaluate(read.expression) : null;
    expect(result && !result.ok && result.fault).toMatch(fault);
  });
});
