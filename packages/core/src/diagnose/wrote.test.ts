import { readProblem } from '../problem/problem.ts';
import { diagnosedDocument } from '../formats/diagnosis-document.ts';
import { Search } from './search.ts';

it('tells what was written and what was due, figures of one number together and those of two columns apart', () => {
  const read = readProblem('708 − 259');
  if (!read.ok) throw new Error('unread');
  const made = diagnosedDocument(new Search(read.problem, ['decomposition']), '549');
  if (!made.ok) throw new Error('unread');
  const told = made.document.explanations.flatMap(({ slips }) =>
    slips.map(({ slip, wrote, due }) => [slip, wrote, due]),
  );
  expect(told).toContainEqual(['lender-not-reduced', '10', '6 and 10']);
});
