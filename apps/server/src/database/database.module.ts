import { Module, type DynamicModule } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import type Database from 'better-sqlite3';
import { ComparisonEntity } from '../comparisons/comparison.entity.ts';
import { Comparisons1790000000001 } from './migrations/0001-comparisons.ts';

/**
 * One SQLite file. Writes go through a write-ahead log and are on the disk before they are answered;
 * tables change by numbered migrations only.
 */
@Module({})
export class DatabaseModule {
  static forFile(file: string): DynamicModule {
    return {
      module: DatabaseModule,
      imports: [
        TypeOrmModule.forRoot({
          type: 'better-sqlite3',
          database: file,
          entities: [ComparisonEntity],
          migrations: [Comparisons1790000000001],
          migrationsRun: true,
          synchronize: false,
          enableWAL: true,
          prepareDatabase: (database: Database.Database) => {
            database.pragma('synchronous = FULL');
            database.pragma('busy_timeout = 3000');
          },
          retryAttempts: 0,
        }),
      ],
    };
  }
}
