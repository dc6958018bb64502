import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { chosenParts, PARTS } from './lib/bench/parts.mjs';
import { BRIEF, WHOLE } from './lib/bench/timing.mjs';
import { ensureCompiled, ensureInstalled, ensureSite, main, ROOT, say } from './lib/project.mjs';

/**
 * Speed as ratios of one run, so that they hold on any machine. `--only NAME,NAME` measures some parts; `--brief` every one once
 * and small, to see that all can be measured.
 */
await main(async () => {
  const args = process.argv.slice(2);
  const names = chosenParts(args);
  const isBrief = args.includes('--brief');
  ensureInstalled();
  ensureCompiled();
  ensureSite();
  const core = await import(pathToFileURL(join(ROOT, 'packages/core/dist/index.js')).href);
  const given = { core, clock: isBrief ? BRIEF : WHOLE, isBrief, tell: say };
  const started = performance.now();
  for (const name of names) {
    const began = performance.now();
    PARTS[name](given);
    say(`-- ${name}: ${((performance.now() - began) / 1000).toFixed(0)} s`);
  }
  say(`bench took ${Math.round((performance.now() - started) / 1000)} s`);
});
