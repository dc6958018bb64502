import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { homedir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import type { INestApplication } from '@nestjs/common';
import { ComparisonsService } from './comparisons/comparisons.service.ts';
import { createApp } from './create-app.ts';
import { copiesFolder, copiesOf, sizeText } from './database/copies.ts';
import { DailyCopies } from './database/daily-copies.ts';
import { dataFile, faultText } from './database/data-file.ts';
import { holdingOf, holdingText, restore } from './database/restore.ts';
import { ListComparisonsDto } from './comparisons/comparison.dto.ts';
import { DEMO_COMPARISONS } from './demo/comparisons.ts';
import { printable } from './common/printable.ts';
import { StartFailure } from './start-failure.ts';

const HOST = '127.0.0.1';
const DEFAULT_PORT = '4620';
const WEB_FOLDER = join(dirname(fileURLToPath(import.meta.url)), '../../web/dist/site');

interface Settings {
  readonly dataFolder: string;
  readonly port: number;
  readonly demo: boolean;
  /** Lists the daily copies instead of serving. */
  readonly copies: boolean;
  /** A copy that is to take the place of the data file. */
  readonly restore: string | null;
  /** Restores without asking. */
  readonly yes: boolean;
}

function settings(): Settings {
  const { values } = parseArgs({
    options: {
      data: { type: 'string', default: process.env['LEVEE_DATA'] ?? join(homedir(), 'levee-data') },
      port: { type: 'string', default: process.env['PORT'] ?? DEFAULT_PORT },
      demo: { type: 'boolean', default: false },
      copies: { type: 'boolean', default: false },
      restore: { type: 'string' },
      yes: { type: 'boolean', default: false },
    },
  });
  const port = Number(values.port);
  if (!/^\d{1,5}$/.test(values.port) || port > 65535) {
    throw new StartFailure(`"${values.port}" is no port; use a number from 1 to 65535.`);
  }
  const { demo, copies, yes, restore: file } = values;
  const restore = file === undefined ? null : resolve(file);
  return { dataFolder: resolve(values.data), port, demo, copies, restore, yes };
}

function say(text: string): void {
  process.stdout.write(`${printable(text)}\n`);
}

function listCopies(dataFolder: string): void {
  const file = join(dataFolder, 'levee.sqlite');
  const copies = copiesOf(file);
  if (copies.length === 0) return say(`There are no copies in ${copiesFolder(file)} yet.`);
  for (const { path, size } of copies) say(`${path} (${sizeText(size)})`);
  say('Bring one back with --restore FILE; what it holds is shown first.');
}

/** Shows what a copy holds and, when that is wanted, puts it in the place of the data file. */
async function bringBack(copy: string, { dataFolder, yes }: Settings): Promise<void> {
  const file = dataFile(dataFolder);
  say(holdingText(copy, holdingOf(copy)));
  if (!yes && !(await agrees(`Put it in the place of ${file}? What is there is kept beside it.`))) {
    return say('Nothing was changed. With --yes it is put there without asking.');
  }
  const replaced = await restore(copy, file, new Date());
  const back = replaced
    ? ` What was there is ${replaced}; --restore ${replaced} brings it back.`
    : '';
  say(`It is now ${file}.${back}`);
}

/** Asks the person at the terminal; where nobody is there, the answer is no. */
async function agrees(question: string): Promise<boolean> {
  if (!process.stdin.isTTY) return false;
  const terminal = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await terminal.question(`${question} [y/N] `);
  terminal.close();
  return /^y(es)?$/i.test(answer.trim());
}

async function start(wanted: Settings): Promise<void> {
  const { dataFolder, port, demo } = wanted;
  if (wanted.copies) return listCopies(dataFolder);
  if (wanted.restore !== null) return bringBack(wanted.restore, wanted);
  const app = await createApp({ dataFolder, webFolder: WEB_FOLDER, tell: say });
  if (demo) await loadDemo(app.get(ComparisonsService));
  const server = app.getHttpServer();
  try {
    server.listen(port, HOST);
    await once(server, 'listening');
  } catch (error) {
    await app.close();
    throw portFailure(error, port);
  }
  stopOnSignals(app);
  const address = `http://${HOST}:${(server.address() as AddressInfo).port}`;
  say(`Levee keeps its data in ${dataFolder}\nLevee is at ${address}`);
  await app.get(DailyCopies).start();
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
  const { total } = await comparisons.list(new ListComparisonsDto());
  if (total > 0) return;
  for (const document of [...DEMO_COMPARISONS].reverse()) await comparisons.create(document);
  say(`Loaded ${DEMO_COMPARISONS.length} comparisons of the demo scenario.`);
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

/** What went wrong, in one sentence and without a stack. */
function faultSentence(error: unknown): string {
  if (error instanceof StartFailure) return error.message;
  const { code, message } = error as NodeJS.ErrnoException;
  if (code?.startsWith('ERR_PARSE_ARGS')) return message;
  if (code === 'ERR_DLOPEN_FAILED') return faultText('', { kind: 'module' });
  return `Levee could not start: ${message.split('\n')[0]}.`;
}

try {
  await start(settings());
} catch (error) {
  process.stderr.write(`levee: ${printable(faultSentence(error))}\n`);
  process.exit(1);
}
