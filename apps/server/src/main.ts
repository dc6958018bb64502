import { once } from 'node:events';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { homedir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import type { INestApplication } from '@nestjs/common';
import { ComparisonsService } from './comparisons/comparisons.service.ts';
import { createApp } from './create-app.ts';
import { DEMO_COMPARISONS } from './demo/comparisons.ts';
import { StartFailure } from './start-failure.ts';

const HOST = '127.0.0.1';
const DEFAULT_PORT = '4620';
const WEB_FOLDER = join(dirname(fileURLToPath(import.meta.url)), '../../web/dist/site');

interface Settings {
  readonly dataFolder: string;
  readonly port: number;
  readonly demo: boolean;
}

function settings(): Settings {
  const { values } = parseArgs({
    options: {
      data: { type: 'string', default: process.env['LEVEE_DATA'] ?? join(homedir(), 'levee-data') },
      port: { type: 'string', default: process.env['PORT'] ?? DEFAULT_PORT },
      demo: { type: 'boolean', default: false },
    },
  });
  const port = Number(values.port);
  if (!/^\d{1,5}$/.test(values.port) || port > 65535) {
    throw new StartFailure(`"${values.port}" is no port; use a number from 1 to 65535.`);
  }
  return { dataFolder: resolve(values.data), port, demo: values.demo };
}

async function start({ dataFolder, port, demo }: Settings): Promise<void> {
  const app = await createApp({ dataFolder, webFolder: WEB_FOLDER });
  if (demo) await loadDemo(app.get(ComparisonsService));
  const server = app.getHttpServer() as Server;
  try {
    server.listen(port, HOST);
    await once(server, 'listening');
  } catch (error) {
    await app.close();
    throw portFailure(error, port);
  }
  stopOnSignals(app);
  const address = `http://${HOST}:${(server.address() as AddressInfo).port}`;
  process.stdout.write(`Levee keeps its data in ${dataFolder}\nLevee is at ${address}\n`);
}

/** On the first stop signal: no new requests, the data file closed, exit code 0. */
function stopOnSignals(app: INestApplication): void {
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    void app.close().then(() => process.exit(0));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

/** In reverse, so that the first of the list is the latest. */
async function loadDemo(comparisons: ComparisonsService): Promise<void> {
  const { total } = await comparisons.list('', 1, 1);
  if (total > 0) return;
  for (const document of [...DEMO_COMPARISONS].reverse()) await comparisons.create(document);
  process.stdout.write(`Loaded ${DEMO_COMPARISONS.length} comparisons of the demo scenario.\n`);
}

function portFailure(error: unknown, port: number): unknown {
  const code = (error as NodeJS.ErrnoException).code;
  if (code === 'EADDRINUSE') {
    return new StartFailure(
      `Port ${port} is in use by another program; stop that one or start with --port NUMBER.`,
    );
  }
  if (code === 'EACCES') {
    return new StartFailure(`Port ${port} may not be used; choose one above 1023 with --port.`);
  }
  return error;
}

try {
  await start(settings());
} catch (error) {
  const usage = (error as NodeJS.ErrnoException).code?.startsWith('ERR_PARSE_ARGS');
  if (!(error instanceof StartFailure) && !usage) throw error;
  process.stderr.write(`levee: ${(error as Error).message}\n`);
  process.exitCode = 1;
}
