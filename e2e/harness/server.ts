import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const MAIN = fileURLToPath(new URL('../../apps/server/dist/main.js', import.meta.url));

/** A port that nothing listens on. */
export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      const port = typeof address === 'object' && address ? address.port : 0;
      probe.close(() => resolve(port));
    });
  });
}

export interface Run {
  readonly child: ChildProcess;
  /** All that it has printed so far. */
  readonly printed: () => string;
  /** Its exit code, once it has ended. */
  readonly ended: Promise<number | null>;
}

/** Starts the built server with these arguments. */
export function runServer(args: readonly string[]): Run {
  const child = spawn(process.execPath, [MAIN, ...args], { stdio: ['ignore', 'pipe', 'pipe'] });
  let printed = '';
  child.stdout.on('data', (chunk: Buffer) => (printed += chunk.toString()));
  child.stderr.on('data', (chunk: Buffer) => (printed += chunk.toString()));
  const ended = new Promise<number | null>((resolve) => child.on('exit', resolve));
  return { child, printed: () => printed, ended };
}

/** The real server on a data folder of its own; it can be stopped and started again. */
export class TestServer {
  readonly folder = mkdtempSync(join(tmpdir(), 'levee-e2e-'));
  port = 0;
  private run: Run | null = null;

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start({ demo = true } = {}): Promise<void> {
    if (this.port === 0) this.port = await freePort();
    const args = ['--data', this.folder, '--port', String(this.port)];
    this.run = runServer(demo ? [...args, '--demo'] : args);
    for (let tries = 0; tries < 150; tries++) {
      if (await this.answers()) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error(`The server did not start: ${this.run.printed()}`);
  }

  /** Asks it to stop, and gives the exit code. */
  async stop(): Promise<number | null> {
    this.run?.child.kill('SIGTERM');
    const code = await this.run?.ended;
    this.run = null;
    return code ?? null;
  }

  async remove(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }

  async json<T>(path: string, init?: RequestInit): Promise<T> {
    const response = await fetch(`${this.address}/api/${path}`, init);
    return (await response.json()) as T;
  }

  private async answers(): Promise<boolean> {
    try {
      return (await fetch(`${this.address}/api/health`)).ok;
    } catch {
      return false;
    }
  }
}
