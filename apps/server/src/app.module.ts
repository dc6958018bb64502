import { Module, type DynamicModule } from '@nestjs/common';
import { ComparisonsModule } from './comparisons/comparisons.module.ts';
import { DatabaseModule } from './database/database.module.ts';
import { HealthController } from './health/health.controller.ts';

@Module({})
export class AppModule {
  static forFile(file: string, tell: (line: string) => void): DynamicModule {
    return {
      module: AppModule,
      imports: [DatabaseModule.forFile(file, tell), ComparisonsModule],
      controllers: [HealthController],
    };
  }
}
