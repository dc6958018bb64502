import { NestFactory } from '@nestjs/core';
import { type NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import { AppModule } from './app.module.ts';
import { MOST_BYTES } from './common/body.ts';
import { jsonOnly, readableAddress } from './common/readable-requests.ts';
import { ProblemDetailsFilter } from './common/problem-details.filter.ts';
import { requestValidation } from './common/validation.ts';
import { checkDatabaseModule, checkDataFile, dataFile } from './database/data-file.ts';
import { ownHostOnly, securityHeaders } from './web/security.ts';
import { webPages } from './web/web-pages.ts';

export interface AppOptions {
  readonly dataFolder: string;
  /** The built web application; null serves the interface alone. */
  readonly webFolder: string | null;
  /** Takes a line for the person at the terminal; nothing is said when absent. */
  readonly tell?: (line: string) => void;
}

/** Makes the application, migrations run, not yet listening. StartFailure when it cannot be. */
export async function createApp({
  dataFolder,
  webFolder,
  tell = () => undefined,
}: AppOptions): Promise<NestExpressApplication> {
  checkDatabaseModule();
  const file = dataFile(dataFolder);
  checkDataFile(file);
  const pages = webFolder === null ? [] : webPages(webFolder);
  const app = await NestFactory.create<NestExpressApplication>(AppModule.forFile(file, tell), {
    logger: ['error', 'warn'],
    abortOnError: false,
    bodyParser: false,
    forceCloseConnections: true,
  });
  app.disable('x-powered-by');
  app.use(ownHostOnly, securityHeaders, readableAddress, jsonOnly);
  app.useBodyParser('json', { limit: MOST_BYTES, inflate: false });
  for (const handler of pages) app.use(handler);
  app.setGlobalPrefix('api');
  app.useGlobalPipes(requestValidation());
  app.useGlobalFilters(new ProblemDetailsFilter());
  describe(app);
  await app.init();
  return app;
}

/** The description of the interface, at /api/docs and, as JSON, at /api/openapi.json. */
function describe(app: NestExpressApplication): void {
  const config = new DocumentBuilder().setTitle('Levee').setVersion('1').build();
  SwaggerModule.setup('api/docs', app, () => SwaggerModule.createDocument(app, config), {
    jsonDocumentUrl: 'api/openapi.json',
  });
}
