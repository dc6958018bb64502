import type { Kept } from '../../api/client.ts';
import { csvText } from '../../ui/csv.ts';

const COLUMNS = [
  'id',
  'title',
  'story',
  'problem',
  'unit',
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
  if (!document) return [id, title, '', problem, '', '', '', createdAt, updatedAt];
  const { story, unit, papers, estimate } = document;
  const methods = papers.map((paper) => paper.method).join(' ');
  const value = estimate?.value ?? '';
  return [id, document.title, story, document.problem, unit, methods, value, createdAt, updatedAt];
}
