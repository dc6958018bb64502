import type { ReadFault } from '../describe/describe.ts';

type Fields = Readonly<Record<string, unknown>>;

/** Whether this is an object with fields. */
export function isFields(input: unknown): input is Fields {
  return typeof input === 'object' && input !== null && !Array.isArray(input);
}

/** What a document says of itself before anything else of it is looked at. */
export interface Heading {
  readonly format: string;
  /** What it is called in a sentence. */
  readonly is: string;
  /** The versions that are read. */
  readonly versions: readonly number[];
}

/** Why this is not such a document at all, or not of a version that is known; null when it is. */
export function headFault(input: unknown, { format, is, versions }: Heading): ReadFault | null {
  if (!isFields(input)) return { where: 'document', fault: 'this must be an object' };
  if (input['format'] !== format) return { where: 'format', fault: `this is not ${is}` };
  if (versions.includes(input['version'] as number)) return null;
  const known =
    versions.length === 1
      ? `version ${versions[0]} is`
      : `versions up to ${Math.max(...versions)} are`;
  const fault = `version ${String(input['version'])} is not known here; ${known}`;
  return { where: 'version', fault };
}
