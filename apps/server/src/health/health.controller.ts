import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';

@ApiTags('health')
@Controller('health')
export class HealthController {
  /** Answers when requests are served and migrations have run. */
  @Get()
  @ApiOkResponse({ schema: { properties: { status: { type: 'string' } } } })
  health(): { status: 'ok' } {
    return { status: 'ok' };
  }
}
