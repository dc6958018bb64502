import {
  COMPARISON,
  jsonSchemaOf,
  PROBLEM_KINDS,
  readComparison,
  TEXT_LIMITS,
  type ComparisonDocument,
} from '@levee/core';
import { ApiProperty, OmitType } from '@nestjs/swagger';
import { Transform, Type } from 'class-transformer';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { IsDescribed } from '../common/is-described.ts';

/** The document as the interface tells it: its one description, which is also what a body is held against. */
const DOCUMENT = jsonSchemaOf(COMPARISON, {
  id: 'levee-comparison',
  title: 'A comparison; earlier versions are taken and brought up to date',
});

const KINDS_LISTED = ['', ...PROBLEM_KINDS];
const SORTS = ['updatedAt', 'createdAt', 'title', 'problem'] as const;

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

  @ApiProperty({ required: false, enum: KINDS_LISTED, description: 'Only this operation.' })
  @IsOptional()
  @IsIn(KINDS_LISTED)
  kind = '';

  @ApiProperty({ required: false, description: 'Only with a paper by this method.' })
  @IsOptional()
  @IsString()
  @MaxLength(80)
  method = '';

  @ApiProperty({ required: false, description: 'Only with this tag.' })
  @IsOptional()
  @IsString()
  @MaxLength(TEXT_LIMITS.tag)
  tag = '';

  @ApiProperty({ required: false, enum: SORTS, default: 'updatedAt' })
  @IsOptional()
  @IsIn(SORTS)
  sort: (typeof SORTS)[number] = 'updatedAt';

  @ApiProperty({ required: false, enum: ['asc', 'desc'], default: 'desc' })
  @IsOptional()
  @IsIn(['asc', 'desc'])
  order: 'asc' | 'desc' = 'desc';

  @ApiProperty({ required: false, default: false, description: 'Those that were deleted.' })
  @IsOptional()
  @Transform(({ value }) => value === 'true' || value === true)
  @IsBoolean()
  deleted = false;

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
    description: 'Null where this version cannot read it; see `unreadable`.',
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

class ListedPaperDto {
  @ApiProperty()
  method: string;

  @ApiProperty({ description: 'What own lines are called; empty for every other method.' })
  name: string;
}

class HoldsDto {
  @ApiProperty()
  lines: number;

  @ApiProperty()
  slips: number;

  @ApiProperty()
  checks: number;

  @ApiProperty()
  answers: number;
}

class ListedDto {
  @ApiProperty()
  story: string;

  @ApiProperty()
  unit: string;

  @ApiProperty({ type: String, nullable: true })
  estimate: string | null;

  @ApiProperty({ type: [String] })
  tags: string[];

  @ApiProperty({ type: [ListedPaperDto] })
  papers: ListedPaperDto[];

  @ApiProperty({ type: HoldsDto })
  holds: HoldsDto;
}

/** A row of a list; the document itself is asked for by its id. */
export class ListedComparisonDto extends OmitType(ComparisonDto, ['document'] as const) {
  @ApiProperty({ type: ListedDto, nullable: true, description: 'Null where it cannot be read.' })
  listed: ListedDto | null;
}

export class NamedWayDto {
  @ApiProperty()
  problem: string;

  @ApiProperty()
  name: string;

  @ApiProperty({ type: [String] })
  lines: string[];
}

export class ComparisonPageDto {
  @ApiProperty({ type: [ListedComparisonDto] })
  items: ListedComparisonDto[];

  @ApiProperty()
  total: number;

  @ApiProperty()
  page: number;

  @ApiProperty()
  pageSize: number;
}
