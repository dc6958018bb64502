import { COMPARISON, jsonSchemaOf, readComparison, type ComparisonDocument } from '@levee/core';
import { ApiProperty } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { IsInt, IsObject, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { IsDescribed } from '../common/is-described.ts';

/** The document as the interface tells it: its one description, which is also what a body is held against. */
const DOCUMENT = jsonSchemaOf(COMPARISON, {
  id: 'levee-comparison',
  title: 'A comparison; earlier versions are taken and brought up to date',
});

export class CreateComparisonDto {
  @ApiProperty(DOCUMENT)
  @IsObject()
  @IsDescribed(readComparison)
  document: object;
}

export class UpdateComparisonDto extends CreateComparisonDto {
  @ApiProperty({ description: 'The version that this write replaces.' })
  @IsInt()
  @Min(1)
  version: number;
}

export class ListComparisonsDto {
  @ApiProperty({ required: false, description: 'Found in titles, stories and problems.' })
  @IsOptional()
  @IsString()
  @MaxLength(200)
  search = '';

  @ApiProperty({ required: false, default: 1 })
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(1_000_000)
  page = 1;

  @ApiProperty({ required: false, default: 20 })
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(100)
  pageSize = 20;
}

export class ComparisonDto {
  @ApiProperty()
  id: string;

  @ApiProperty()
  version: number;

  @ApiProperty()
  createdAt: string;

  @ApiProperty()
  updatedAt: string;

  @ApiProperty({ description: 'Kept beside the document, also where that cannot be read.' })
  title: string;

  @ApiProperty({ description: 'As the title.' })
  problem: string;

  @ApiProperty({
    oneOf: [DOCUMENT, { type: 'null' }],
    description: 'Null in a list where this version cannot read it; see `unreadable`.',
  })
  document: ComparisonDocument | null;

  @ApiProperty({
    nullable: true,
    type: 'object',
    properties: { code: { type: 'string' }, detail: { type: 'string' } },
    description: 'Why the document cannot be read: later-version, invalid or damaged.',
  })
  unreadable: { code: string; detail: string } | null;
}

export class ComparisonPageDto {
  @ApiProperty({ type: [ComparisonDto] })
  items: ComparisonDto[];

  @ApiProperty()
  total: number;

  @ApiProperty()
  page: number;

  @ApiProperty()
  pageSize: number;
}
