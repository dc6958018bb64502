import { Comparisons1790000000001 } from './0001-comparisons.ts';
import { SearchText1790000000002 } from './0002-search-text.ts';
import { Listed1790000000003 } from './0003-listed.ts';

/** Every migration of the tables, in order. */
export const MIGRATIONS = [
  Comparisons1790000000001,
  SearchText1790000000002,
  Listed1790000000003,
] as const;

/** The names under which a data file lists those that it has been through. */
export const MIGRATION_NAMES: ReadonlySet<string> = new Set(MIGRATIONS.map(({ name }) => name));
