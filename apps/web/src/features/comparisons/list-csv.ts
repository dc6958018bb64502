import type { Kept } from '../../api/client.ts';
import { csvText } from '../../ui/csv.ts';

const COLUMNS = [
  'id',
  'title',
  'story',
  'problem',
  'unit',
  'tags',
  'methods',
  'estimate',
  'created',
  'changed',
];

/** The list as CSV (RFC 4180), one comparison a row. */
export function listCsv(comparisons: readonly Kept[]): string {
  return csvText([COLUMNS, ...comparisons.map(cells)]);
}

/** Of a comparison that cannot be read only what is kept beside it is told. */
function cells({ id, title, problem, document, createdAt, updatedAt }: Kept): readonly string[] {
  if (!document) return [id, title, '', problem, '', '', '', '', createdAt, updatedAt];
  const { story, unit, tags, papers, estimate } = document;
  const methods = papers.map((paper) => paper.method).join(' ');
  const value = estimate?.value ?? '';
  const said = [document.title, story, document.problem, unit, tags.join(', ')];
  return [id, ...said, methods, value, createdAt, updatedAt];
}
