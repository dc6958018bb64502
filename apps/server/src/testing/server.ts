import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import supertest from 'supertest';
import { createApp } from '../create-app.ts';
import { DailyCopies } from '../database/daily-copies.ts';

/** A folder of its own for one test. */
export function temporaryFolder(): { path: string; remove: () => void } {
  const path = mkdtempSync(join(tmpdir(), 'levee-test-'));
  return { path, remove: () => rmSync(path, { recursive: true, force: true }) };
}

export interface TestServer {
  readonly app: NestExpressApplication;
  readonly ask: ReturnType<typeof supertest>;
  readonly close: () => Promise<void>;
}

/** A running server on a data folder, with a small page in place of the web application. */
export async function testServer(dataFolder: string): Promise<TestServer> {
  const web = temporaryFolder();
  writeFileSync(
    join(web.path, 'index.html'),
    '<meta property="csp-nonce" nonce="__LEVEE_NONCE__"><title>Levee</title>',
  );
  writeFileSync(join(web.path, 'icon.svg'), '<svg/>');
  const app = await createApp({ dataFolder, webFolder: web.path });
  await app.listen(0, '127.0.0.1');
  await app.get(DailyCopies).start();
  return {
    app,
    ask: supertest(app.getHttpServer()),
    close: async () => {
      await app.close();
      web.remove();
    },
  };
}
