import { ensureCompiled, ensureInstalled, ensureSite, main, say, serve } from './lib/project.mjs';

/** Serves the user's own data folder: --data FOLDER, LEVEE_DATA, or levee-data in the home folder. */
await main(async () => {
  ensureInstalled();
  ensureCompiled();
  ensureSite();
  say('Serving your own data; Ctrl+C stops it.');
  process.exitCode = await serve(process.argv.slice(2));
});
