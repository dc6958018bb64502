import { problemFrom } from '../testing/work.ts';
import { answerFaultText, readAnswer } from './answer.ts';

/** The amount, form and unit of an answer; its fault, or null for none. */
function read(answer: string, text: string) {
  const made = readAnswer(answer, problemFrom(text));
  if (!made.ok) return answerFaultText(made.fault);
  if (!made.answered) return null;
  return [made.amount.toString(), made.form, made.unit];
}

describe('reading an answer', () => {
  it.each([
    ['2668', '46 × 58', ['2668', 'as-asked', '']],
    [' = 2 668 ', '46 × 58', ['2668', 'as-asked', '']],
    ['2668 bags', '46 × 58', ['2668', 'unit', 'bags']],
    ['−18', '24 − 42', ['-18', 'as-asked', '']],
    ['-18', '24 − 42', ['-18', 'as-asked', '']],
    ['13.5', '5.4 × 2.5', ['27/2', 'as-asked', '']],
    ['13,5 m²', '5.4 × 2.5', ['27/2', 'unit', 'm²']],
    ['22/24', '3/4 + 1/6', ['11/12', 'unreduced', '']],
    ['1 5/6', '5 1/6 − 3 1/3', ['11/6', 'as-asked', '']],
    ['11/6', '5 1/6 − 3 1/3', ['11/6', 'improper', '']],
    ['1 10/12', '5 1/6 − 3 1/3', ['11/6', 'unreduced', '']],
    ['5/6', '2/3 + 1/6', ['5/6', 'as-asked', '']],
    ['7/6', '2/3 + 1/2', ['7/6', 'improper', '']],
    ['1/1', '1/4 + 3/4', ['1', 'improper', '']],
    ['6/6', '2/3 + 1/3', ['1', 'unreduced', '']],
    ['9/2', '46 × 58', ['9/2', 'other-writing', '']],
    ['0.75', '1/4 + 1/2', ['3/4', 'other-writing', '']],
    ['136 r 3', '955 ÷ 7', ['955/7', 'as-asked', '']],
    ['136 rem. 3', '955 ÷ 7', ['955/7', 'as-asked', '']],
    ['86 r 3', '√7399', ['7399', 'as-asked', '']],
    ['-136 r 3', '955 ÷ 7', ['-955/7', 'as-asked', '']],
    ['86', '√7396', ['7396', 'as-asked', '']],
    ['3x^2+10x-8', '(x+4)(3x-2)', ['3x^2+10x-8', 'as-asked', '']],
    ['3x² + 10x − 8', '(x+4)(3x-2)', ['3x^2+10x-8', 'as-asked', '']],
    ['1010', '101_2 + 101_2', ['10', 'as-asked', '']],
    ['  ', '46 × 58', null],
  ])('reads %j as an answer to %s', (answer, text, made) => {
    expect(read(answer, text)).toEqual(made);
  });

  it.each([
    ['forty', '46 × 58', '“forty” is not a number'],
    ['46 × 58', '46 × 58', 'This is a computation, not an answer'],
    ['=SUM(A1:A3)', '46 × 58', 'This is a formula, not an answer'],
    ['<b>2668</b>', '46 × 58', 'This holds marks of a web page'],
    ['136 r 3', '46 × 58', 'A remainder is read in a division'],
    ['3/0', '3/4 + 1/6', 'A fraction over 0'],
    ['12', '101_2 + 101_2', '“12” is not a number'],
    ['(x+4)(3x-2)', '(x+4)(3x-2)', 'This is a computation'],
    ['9'.repeat(500), '46 × 58', 'An answer of 500 characters is not read'],
  ])('says in one sentence why %j is not read', (answer, text, fault) => {
    expect(read(answer, text)).toEqual(expect.stringContaining(fault));
  });
});
