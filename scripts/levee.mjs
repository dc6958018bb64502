import { pathToFileURL } from 'node:url';
import { COMMAND_LINE, ensureCommandLine, ensureInstalled, main } from './lib/project.mjs';

/** The command line; prints nothing but what the command prints. */
await main(async () => {
  ensureInstalled({ quiet: true });
  ensureCommandLine();
  await import(pathToFileURL(COMMAND_LINE).href);
});
