import { AGREEMENT } from '../compare/certificate/agreement-shape.ts';
import { jsonSchemaOf, type Description } from '../describe/describe.ts';
import { COMPARISON_REPORT } from './comparison-report-shape.ts';
import { COMPARISON_VERSION } from './comparison-migrations.ts';
import { COMPARISON } from './comparison-shape.ts';
import { DIAGNOSIS, LEARNER, SHEET_DIAGNOSIS } from './diagnosis-shape.ts';
import { OWN_LINES } from './lines-shape.ts';
import { METHODS } from './methods-shape.ts';
import { TRACE } from './trace-shape.ts';
import { WAY } from './way-shape.ts';
import { WAYS } from './ways-shape.ts';

/** One of the open documents: what it is called in its `format`, its version and its one description. */
export interface OpenDocument {
  readonly format: string;
  readonly version: number;
  readonly title: string;
  readonly description: Description;
}

/** Every document that is stored or exported. */
export const DOCUMENTS: readonly OpenDocument[] = [
  {
    format: 'levee-comparison',
    version: COMPARISON_VERSION,
    title: 'A kept comparison: what was chosen, never what can be computed',
    description: COMPARISON,
  },
  {
    format: 'levee-trace',
    version: 1,
    title: 'One method’s work on a problem',
    description: TRACE,
  },
  {
    format: 'levee-comparison-report',
    version: 1,
    title: 'Several methods on one problem, worked out',
    description: COMPARISON_REPORT,
  },
  {
    format: 'levee-agreement',
    version: 3,
    title: 'A certificate that methods agree',
    description: AGREEMENT,
  },
  {
    format: 'levee-methods',
    version: 1,
    title: 'The methods, and which accept a problem',
    description: METHODS,
  },
  {
    format: 'levee-diagnosis',
    version: 1,
    title: 'What explains one answer to a problem',
    description: DIAGNOSIS,
  },
  {
    format: 'levee-sheet-diagnosis',
    version: 1,
    title: 'What explains the answers of learners to several problems',
    description: SHEET_DIAGNOSIS,
  },
  {
    format: 'levee-learner',
    version: 1,
    title: 'What a learner with habits makes of problems',
    description: LEARNER,
  },
  {
    format: 'levee-lines',
    version: 1,
    title: 'Someone’s own working, judged line by line',
    description: OWN_LINES,
  },
  {
    format: 'levee-ways',
    version: 1,
    title: 'Ways that numbers invite, proved line by line',
    description: WAYS,
  },
  {
    format: 'levee-way',
    version: 1,
    title: 'A way with letters for its numbers, to be laid on others',
    description: WAY,
  },
];

/** The JSON Schema of a document as a file. */
export function schemaFile({ format, version, title, description }: OpenDocument): {
  readonly name: string;
  readonly text: string;
} {
  const schema = jsonSchemaOf(description, { id: `${format}:${version}`, title });
  return { name: `${format}.schema.json`, text: `${JSON.stringify(schema, null, 2)}\n` };
}
