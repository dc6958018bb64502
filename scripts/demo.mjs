import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureCompiled, ensureInstalled, ensureSite, main, say, serve } from './lib/project.mjs';

/** Serves the demo scenario from a folder that is removed again at the end. */
await main(async () => {
  ensureInstalled();
  ensureCompiled();
  ensureSite();
  const folder = mkdtempSync(join(tmpdir(), 'levee-demo-'));
  process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
  say('Serving the demo data from a throw-away copy; Ctrl+C stops it.');
  process.exitCode = await serve(['--demo', '--data', folder, ...process.argv.slice(2)]);
});
