import { Module, type DynamicModule } from '@nestjs/common';
import { ComparisonsModule } from './comparisons/comparisons.module.ts';
import { DatabaseModule } from './database/database.module.ts';
import { HealthController } from './health/health.controller.ts';

@Module({})
export class AppModule {
  static forFile(file: string): DynamicModule {
    return {
      module: AppModule,
      imports: [DatabaseModule.forFile(file), ComparisonsModule],
      controllers: [HealthController],
    };
  }
}
