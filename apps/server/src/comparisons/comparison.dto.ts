import {
  CHECKS,
  COMPARISON_VERSION,
  JUDGEMENTS,
  LIMITS,
  MAX_CHECKS,
  MAX_HOPS,
  MAX_SLIPS,
  MAX_PAPERS,
  OUTCOMES,
  PACES,
  TEXT_LIMITS,
  type CheckId,
  type Judgement,
  type Outcome,
  type Pace,
} from '@levee/core';
import { ApiProperty } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';

export class PaperDto {
  @ApiProperty({ example: 'lattice' })
  @IsString()
  @MaxLength(80)
  method: string;

  @ApiProperty({ type: 'object', additionalProperties: { type: 'string' } })
  @IsObject()
  school: Record<string, string>;

  @ApiProperty({ type: [String], description: 'Term ids to deal with first.' })
  @IsArray()
  @ArrayMaxSize(LIMITS.products)
  @IsString({ each: true })
  @MaxLength(40, { each: true })
  order: string[];

  @ApiProperty({
    type: [String],
    required: false,
    description: 'Own hops: exact amounts, `13` or `1/20`.',
  })
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_HOPS)
  @IsString({ each: true })
  @MaxLength(60, { each: true })
  hops?: string[];

  @ApiProperty({
    type: [String],
    required: false,
    description: 'Slips made on purpose, by their addresses: `forget-carry@line-1.0`.',
  })
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_SLIPS)
  @IsString({ each: true })
  @MaxLength(80, { each: true })
  slips?: string[];
}

export class CheckDto {
  @ApiProperty({ enum: CHECKS })
  @IsIn(CHECKS)
  check: CheckId;

  @ApiProperty({ example: 'lattice' })
  @IsString()
  @MaxLength(80)
  method: string;

  @ApiProperty({ description: 'A second method, or what was keyed in.' })
  @IsString()
  @MaxLength(400)
  against: string;

  @ApiProperty({ enum: OUTCOMES })
  @IsIn(OUTCOMES)
  outcome: Outcome;

  @ApiProperty({ example: '2026-01-31T09:00:00.000Z' })
  @IsString()
  @MaxLength(40)
  at: string;
}

export class EstimateDto {
  @ApiProperty({ type: [String] })
  @IsArray()
  @ArrayMaxSize(LIMITS.addends)
  @IsString({ each: true })
  @MaxLength(LIMITS.figures, { each: true })
  operands: string[];

  @ApiProperty({ description: 'An exact amount.', example: '3000' })
  @IsString()
  @MaxLength(1000)
  value: string;

  @ApiProperty({ enum: JUDGEMENTS })
  @IsIn(JUDGEMENTS)
  judgement: Judgement;

  @ApiProperty()
  @IsBoolean()
  beforeWorking: boolean;
}

export class ComparisonDocumentDto {
  @ApiProperty({ enum: ['levee-comparison'] })
  @Equals('levee-comparison')
  format: 'levee-comparison';

  @ApiProperty({ enum: [1, COMPARISON_VERSION], description: 'Version 1 is brought up to date.' })
  @IsIn([1, COMPARISON_VERSION])
  version: number;

  @ApiProperty({ maxLength: TEXT_LIMITS.title })
  @IsString()
  @MaxLength(TEXT_LIMITS.title)
  title: string;

  @ApiProperty({ maxLength: TEXT_LIMITS.story })
  @IsString()
  @MaxLength(TEXT_LIMITS.story)
  story: string;

  @ApiProperty({ maxLength: TEXT_LIMITS.unit })
  @IsString()
  @MaxLength(TEXT_LIMITS.unit)
  unit: string;

  @ApiProperty({ required: false, description: 'Whether the unit cannot be split.' })
  @IsOptional()
  @IsBoolean()
  counted?: boolean;

  @ApiProperty({ example: '46 × 58' })
  @IsString()
  @MaxLength(LIMITS.text)
  problem: string;

  @ApiProperty({ type: EstimateDto, nullable: true })
  @ValidateIf((document: ComparisonDocumentDto) => document.estimate !== null)
  @ValidateNested()
  @Type(() => EstimateDto)
  estimate: EstimateDto | null;

  @ApiProperty({ type: [PaperDto] })
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MAX_PAPERS)
  @ValidateNested({ each: true })
  @Type(() => PaperDto)
  papers: PaperDto[];

  @ApiProperty({ type: [Number], description: 'Steps done, one count a paper.' })
  @IsArray()
  @ArrayMaxSize(MAX_PAPERS)
  @IsInt({ each: true })
  @Min(0, { each: true })
  steps: number[];

  @ApiProperty({ enum: PACES })
  @IsIn(PACES)
  pace: Pace;

  @ApiProperty({ type: [CheckDto], required: false })
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_CHECKS)
  @ValidateNested({ each: true })
  @Type(() => CheckDto)
  checks?: CheckDto[];
}

export class CreateComparisonDto {
  @ApiProperty({ type: ComparisonDocumentDto })
  @IsObject()
  @ValidateNested()
  @Type(() => ComparisonDocumentDto)
  document: ComparisonDocumentDto;
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
    type: ComparisonDocumentDto,
    nullable: true,
    description: 'Null in a list where this version cannot read it; see `unreadable`.',
  })
  document: ComparisonDocumentDto | null;

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
