import { decodeComparison, registry } from '@levee/core';
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { searchTextOf } from '../../comparisons/search-text.ts';

/** Rows are found by operation, method and tag too; what cannot be read keeps the text that it has. */
export class SearchText1790000000002 implements MigrationInterface {
  static readonly schema: readonly string[] = [];

  async up(runner: QueryRunner): Promise<void> {
    const rows = (await runner.query('SELECT "id", "document" FROM "comparison"')) as {
      readonly id: string;
      readonly document: string;
    }[];
    for (const { id, document } of rows) {
      const text = searchTextFor(document);
      if (text !== null) {
        await runner.query('UPDATE "comparison" SET "searchText" = ? WHERE "id" = ?', [text, id]);
      }
    }
  }

  /** The longer text serves the earlier search as well. */
  async down(): Promise<void> {}
}

function searchTextFor(document: string): string | null {
  try {
    const read = decodeComparison(JSON.parse(document), registry);
    return read.ok ? searchTextOf(read.document) : null;
  } catch {
    return null;
  }
}
