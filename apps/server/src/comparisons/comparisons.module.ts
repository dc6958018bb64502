import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ComparisonEntity } from './comparison.entity.ts';
import { ComparisonsController } from './comparisons.controller.ts';
import { ComparisonsService } from './comparisons.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([ComparisonEntity])],
  controllers: [ComparisonsController],
  providers: [ComparisonsService],
  exports: [ComparisonsService],
})
export class ComparisonsModule {}
