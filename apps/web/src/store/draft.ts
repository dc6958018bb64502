import type { ComparisonDocument } from '@levee/core';

/** A change that the server does not have yet, kept in the browser until it does. */
export interface Draft {
  /** The version that the change was made to. */
  readonly version: number;
  readonly base: ComparisonDocument;
  readonly document: ComparisonDocument;
  /** When it was made: ISO 8601 in UTC; empty where an earlier version kept it. */
  readonly at: string;
}
