import { diagnosedDocument } from '../formats/diagnosis-document.ts';
import { problemFrom } from '../testing/work.ts';
import { Search } from './search.ts';

function diagnosed(problem: string, answer: string, methods?: readonly string[]) {
  const made = diagnosedDocument(new Search(problemFrom(problem), methods), answer);
  if (!made.ok) throw new Error(`${answer} is not read`);
  return made.document;
}

it('tells what was written and what was due, figures of one number together and those of two columns apart', () => {
  const { explanations } = diagnosed('708 − 259', '549', ['decomposition']);
  const told = explanations.flatMap(({ slips }) =>
    slips.map(({ slip, wrote, due }) => [slip, wrote, due]),
  );
  expect(told).toContainEqual(['lender-not-reduced', '10', '6 and 10']);
});

it('explains answers with letters, also by two slips of which one takes back what the other gains', () => {
  const { explanations } = diagnosed('(x+4)(3x-2)', '3x^2-8');
  expect(explanations.length).toBeGreaterThan(0);
  const pairs = explanations.filter(({ slips }) => slips.length === 2);
  for (const { cancels } of pairs) expect(typeof cancels).toBe('boolean');
  expect(diagnosed('(x+4)(3x-2)', '-3x^2+7x+8').explanations).toEqual([]);
});
