import type { MigrationInterface, QueryRunner } from 'typeorm';

export class Comparisons1790000000001 implements MigrationInterface {
  /** What it does to the tables, statement by statement. */
  static readonly schema: readonly string[] = [
    `CREATE TABLE "comparison" (
        "id" TEXT PRIMARY KEY NOT NULL,
        "version" INTEGER NOT NULL,
        "title" TEXT NOT NULL,
        "problem" TEXT NOT NULL,
        "searchText" TEXT NOT NULL,
        "document" TEXT NOT NULL,
        "createdAt" TEXT NOT NULL,
        "updatedAt" TEXT NOT NULL,
        "deletedAt" TEXT
      )`,
    'CREATE INDEX "comparison_latest" ON "comparison" ("deletedAt", "updatedAt")',
  ];

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of Comparisons1790000000001.schema) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "comparison"');
  }
}
