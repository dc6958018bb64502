import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  Post,
  Put,
  Query,
} from '@nestjs/common';
import {
  ApiConflictResponse,
  ApiCreatedResponse,
  ApiNoContentResponse,
  ApiNotFoundResponse,
  ApiOkResponse,
  ApiOperation,
  ApiTags,
} from '@nestjs/swagger';
import type { ComparisonDocument } from '@levee/core';
import { DEMO_COMPARISONS } from '../demo/comparisons.ts';
import {
  ComparisonDto,
  ComparisonPageDto,
  CreateComparisonDto,
  ListComparisonsDto,
  NamedWayDto,
  UpdateComparisonDto,
} from './comparison.dto.ts';
import {
  ComparisonsService,
  type ComparisonPage,
  type KeptComparison,
  type NamedWay,
  type StoredComparison,
} from './comparisons.service.ts';

@ApiTags('comparisons')
@Controller('comparisons')
export class ComparisonsController {
  constructor(private readonly comparisons: ComparisonsService) {}

  @Get()
  @ApiOperation({ summary: 'Kept comparisons, the latest change first' })
  @ApiOkResponse({ type: ComparisonPageDto })
  list(@Query() wanted: ListComparisonsDto): Promise<ComparisonPage> {
    return this.comparisons.list(wanted);
  }

  @Get('tags')
  @ApiOperation({ summary: 'Every tag in use' })
  @ApiOkResponse({ type: [String] })
  tags(): Promise<readonly string[]> {
    return this.comparisons.tags();
  }

  @Get('ways')
  @ApiOperation({ summary: 'Ways of own lines that were given a name, the latest change first' })
  @ApiOkResponse({ type: [NamedWayDto] })
  namedWays(): Promise<readonly NamedWay[]> {
    return this.comparisons.namedWays();
  }

  @Get('examples')
  @ApiOperation({ summary: 'Documents to look at and copy; they are not kept here' })
  examples(): readonly ComparisonDocument[] {
    return DEMO_COMPARISONS;
  }

  @Post()
  @ApiOperation({ summary: 'Keep a new comparison' })
  @ApiCreatedResponse({ type: ComparisonDto })
  create(@Body() { document }: CreateComparisonDto): Promise<StoredComparison> {
    return this.comparisons.create(document);
  }

  @Get(':id')
  @ApiOkResponse({ type: ComparisonDto })
  @ApiNotFoundResponse()
  read(@Param('id') id: string): Promise<StoredComparison> {
    return this.comparisons.read(id);
  }

  @Get(':id/raw')
  @ApiOperation({ summary: 'The document just as it is kept, also where it cannot be read' })
  @ApiOkResponse({ schema: { type: 'string' } })
  @ApiNotFoundResponse()
  @Header('Content-Type', 'application/octet-stream')
  @Header('Content-Disposition', 'attachment; filename="comparison.levee.json"')
  raw(@Param('id') id: string): Promise<string> {
    return this.comparisons.raw(id);
  }

  @Put(':id')
  @ApiOperation({ summary: 'Replace the version named; refused when it is no longer the latest' })
  @ApiOkResponse({ type: ComparisonDto })
  @ApiConflictResponse({ description: 'Stale: the member `current` holds the latest version.' })
  update(
    @Param('id') id: string,
    @Body() { version, document }: UpdateComparisonDto,
  ): Promise<StoredComparison> {
    return this.comparisons.update(id, version, document);
  }

  @Post(':id/duplicate')
  @ApiCreatedResponse({ type: ComparisonDto })
  duplicate(@Param('id') id: string): Promise<StoredComparison> {
    return this.comparisons.duplicate(id);
  }

  @Delete(':id')
  @HttpCode(204)
  @ApiNoContentResponse()
  remove(@Param('id') id: string): Promise<void> {
    return this.comparisons.remove(id);
  }

  @Delete(':id/forever')
  @HttpCode(204)
  @ApiOperation({ summary: 'Let a deleted comparison go for good' })
  @ApiNoContentResponse()
  @ApiNotFoundResponse()
  forget(@Param('id') id: string): Promise<void> {
    return this.comparisons.forget(id);
  }

  @Post(':id/restore')
  @HttpCode(200)
  @ApiOperation({ summary: 'Bring a deleted comparison back' })
  @ApiOkResponse({ type: ComparisonDto })
  restore(@Param('id') id: string): Promise<KeptComparison> {
    return this.comparisons.restore(id);
  }
}
