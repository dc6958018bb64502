import { decodeComparison, registry } from '@levee/core';
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { listedOf } from '../../comparisons/listed.ts';

/** What a list shows of a comparison stands in columns of its own, so that no document is read for it. */
export class Listed1790000000003 implements MigrationInterface {
  static readonly schema: readonly string[] = [
    'ALTER TABLE "comparison" ADD COLUMN "listed" TEXT',
    'ALTER TABLE "comparison" ADD COLUMN "size" INTEGER NOT NULL DEFAULT 0',
  ];

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of Listed1790000000003.schema) await runner.query(statement);
    const rows = (await runner.query('SELECT "id" FROM "comparison"')) as { readonly id: string }[];
    // One document at a time: together they may be larger than there is room for.
    for (const { id } of rows) {
      const [row] = (await runner.query('SELECT "document" FROM "comparison" WHERE "id" = ?', [
        id,
      ])) as { readonly document: string }[];
      await runner.query(
        'UPDATE "comparison" SET "listed" = ?, "size" = octet_length("document") WHERE "id" = ?',
        [row ? listedFor(row.document) : null, id],
      );
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "comparison" DROP COLUMN "listed"');
    await runner.query('ALTER TABLE "comparison" DROP COLUMN "size"');
  }
}

/** Null for what cannot be read: the list says so. */
function listedFor(document: string): string | null {
  try {
    const read = decodeComparison(JSON.parse(document), registry);
    return read.ok ? JSON.stringify(listedOf(read.document)) : null;
  } catch {
    return null;
  }
}
