import type { ListedComparison } from '../../api/client.ts';
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
  'own lines',
  'slips',
  'checks',
  'answers',
  'created',
  'changed',
];

/** The list as CSV (RFC 4180), one comparison a row. */
export function listCsv(comparisons: readonly ListedComparison[]): string {
  return csvText([COLUMNS, ...comparisons.map(cells)]);
}

/** Of a comparison that cannot be read only what is kept beside it is told. */
function cells(row: ListedComparison): readonly string[] {
  const { id, title, problem, listed, createdAt, updatedAt } = row;
  const times = [createdAt, updatedAt];
  if (!listed) return [id, title, '', problem, ...Array<string>(8).fill(''), ...times];
  const { story, unit, estimate, tags, papers, holds } = listed;
  const methods = papers.map((paper) => paper.method).join(' ');
  const counts = [holds.lines, holds.slips, holds.checks, holds.answers].map(String);
  const said = [id, title, story, problem, unit, tags.join(', '), methods, estimate ?? ''];
  return [...said, ...counts, ...times];
}
