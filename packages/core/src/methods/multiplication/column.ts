import type { Mark, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import type { Problem } from '../../problem/problem.ts';
import { defineMethod } from '../method.ts';
import { addColumns, addends, answerOf } from '../shared/add-columns.ts';
import { columnByColumn } from './column-by-column.ts';
import { carryMedium, isLeftOut, writeLine } from './column-line.ts';
import { COLUMN_SCHOOLS } from './column-schools.ts';
import { columnSheet } from './column-sheet.ts';
import { COLUMN_MULTIPLICATION_SLIPS } from './column-slips.ts';
import { columnPhrases } from './column-words.ts';
import { isSecondOnTop, ON_TOP } from './schools.ts';
import { acceptsProduct, twoFactors } from './two-factors.ts';

const { phrase } = columnPhrases;

export const columnMultiplication = defineMethod({
  id: 'column-multiplication',
  family: 'multiplication',
  name: 'Column multiplication',
  shortName: 'Column',
  alsoCalled: ['long multiplication', 'short multiplication', 'multiplication in columns'],
  summary:
    'Each digit of the lower factor makes one line, digit by digit with carries; the lines are added.',
  why: 'Each digit of one factor multiplies all of the other, and the lines are parts of one sum.',
  medium: 'on paper',
  direction: 'from the ones',
  freeOrder: false,
  schools: [...COLUMN_SCHOOLS, ON_TOP],
  slips: COLUMN_MULTIPLICATION_SLIPS,
  phrases: columnPhrases.book,
  accepts: acceptsProduct,
  secondOnTop: isSecondOnTop,
  work,
  sheet: columnSheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const factors = twoFactors(problem);
  const { top, bottom } = factors;
  scribe.openProduct(problem.operands);
  top.digits.forEach((_, i) =>
    scribe.give(0, i, 'operand digit', { area: 'top', row: 0, column: i }),
  );
  bottom.digits.forEach((_, j) =>
    scribe.give(1, j, 'operand digit', { area: 'bottom', row: 0, column: j }),
  );
  const single = bottom.digits.filter((_, j) => !isLeftOut(factors, j, school)).length === 1;
  const alone = columnByColumn(scribe, factors, school);
  if (alone) return scribe.close(alone, phrase('column.answer', {}));
  const lines: (readonly Mark[])[] = [];
  let before: readonly number[] = [];
  bottom.digits.forEach((_, j) => {
    const { marks, carries } = writeLine(scribe, factors, j, school, { single, before });
    before = carries;
    if (marks.length > 0) lines.push(marks);
  });
  if (single) return scribe.close(lines[0]!, phrase('column.answer', {}));
  const columns = addColumns(scribe, {
    figures: addends(lines.flat(), scribe.base),
    what: 'lines',
    carryMedium: carryMedium(school),
    strikes: school['carries'] !== 'in-the-head',
  });
  return scribe.close(answerOf(columns), phrase('column.answer', {}));
}
