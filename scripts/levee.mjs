import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureCompiled, ensureInstalled, main, ROOT } from './lib/project.mjs';

/** The command line; prints nothing but what the command prints. */
await main(async () => {
  ensureInstalled({ quiet: true });
  ensureCompiled({ quiet: true });
  await import(pathToFileURL(join(ROOT, 'packages/cli/dist/main.js')).href);
});
