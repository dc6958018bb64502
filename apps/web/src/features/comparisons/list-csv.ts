import type { Stored } from '../../api/client.ts';

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
  return [COLUMNS, ...rows].map((row) => row.map(field).join(',')).join('\r\n') + '\r\n';
}

/** Quotes what needs it; a leading sign that a spreadsheet would run as a formula gets an apostrophe. */
function field(value: string): string {
  const safe = /^[=+\-@\t]/.test(value) ? `'${value}` : value;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}
