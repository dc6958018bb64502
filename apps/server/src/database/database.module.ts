import { Module, type DynamicModule } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import type Database from 'better-sqlite3';
import { ComparisonEntity } from '../comparisons/comparison.entity.ts';
import { DailyCopies } from './daily-copies.ts';
import { MIGRATIONS } from './migrations/index.ts';

/**
 * One SQLite file. Writes go through a write-ahead log and are on the disk before they are answered;
 * tables change by numbered migrations only.
 */
@Module({})
export class DatabaseModule {
  static forFile(file: string, tell: (line: string) => void): DynamicModule {
    return {
      module: DatabaseModule,
      imports: [
        TypeOrmModule.forRoot({
          type: 'better-sqlite3',
          database: file,
          entities: [ComparisonEntity],
          migrations: [...MIGRATIONS],
          migrationsRun: true,
          synchronize: false,
          enableWAL: true,
          prepareDatabase: (database: Database.Database) => {
            database.pragma('synchronous = FULL');
            // Waiting is done between tries, where other requests are answered; see patience.ts.
            database.pragma('busy_timeout = 0');
          },
          retryAttempts: 0,
        }),
      ],
      providers: [{ provide: DailyCopies, useFactory: () => new DailyCopies(file, tell) }],
    };
  }
}
