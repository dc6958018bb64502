import type { Stored } from '../../api/client.ts';
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
export function listCsv(comparisons: readonly Stored[]): string {
  const rows = comparisons.map(({ id, document, createdAt, updatedAt }) => [
    id,
    document.title,
    document.story,
    document.problem,
    document.unit,
    document.papers.map((paper) => paper.method).join(' '),
    document.estimate?.value ?? '',
    createdAt,
    updatedAt,
  ]);
  return csvText([COLUMNS, ...rows]);
}
