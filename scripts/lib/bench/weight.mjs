import { existsSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../project.mjs';

/** Compressed script that the first screen loads before its papers stand: the entry and all it imports at once. */
export function weight({ tell }) {
  const site = join(ROOT, 'apps/web/dist/site');
  const read = (file) => readFileSync(join(site, file), 'utf8');
  // What the page asks for at once, be it made ready later.
  const queue = [...read('index.html').matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map(
    ([, file]) => file,
  );
  const files = new Set();
  for (const file of queue) {
    if (files.has(file)) continue;
    files.add(file);
    for (const [, next] of read(file).matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g)) {
      queue.push(`assets/${next}`);
    }
  }
  const size = (ending) =>
    [...files].reduce((sum, file) => {
      const sent = existsSync(join(site, file + ending)) ? file + ending : file;
      return sum + statSync(join(site, sent)).size;
    }, 0);
  const [brotli, gzip, plain] = ['.br', '.gz', ''].map((ending) => Math.round(size(ending) / 1000));
  tell(
    `Script of the first screen: ${brotli} kB as it is sent (goal 300), ${gzip} kB by gzip, ${plain} kB plain`,
  );
  for (const [part, share] of partsOf(files)) {
    if (share >= LEAST) tell(`  ${part.padEnd(28)} ${(share * 100).toFixed(0)} %`);
  }
}

/** The least share of the script that is told. */
const LEAST = 0.01;

/** What some scripts are made of: folders of core and of the web application, and packages, each with its share. */
function partsOf(files) {
  const modules = JSON.parse(readFileSync(join(ROOT, 'apps/web/dist/modules.json'), 'utf8'));
  const lengths = new Map();
  for (const file of files) {
    for (const [id, length] of Object.entries(modules[file] ?? {})) {
      lengths.set(partOf(id), (lengths.get(partOf(id)) ?? 0) + length);
    }
  }
  const whole = [...lengths.values()].reduce((sum, length) => sum + length, 0);
  return [...lengths].map(([part, length]) => [part, length / whole]).sort(([, a], [, b]) => b - a);
}

function partOf(id) {
  const [, name] = /node_modules\/((?:@[^/]+\/)?[^/]+)\/(?!.*node_modules\/)/.exec(id) ?? [];
  if (name) return name;
  const [, where, folder] = /(packages\/core|apps\/web)\/src\/([^/]+)/.exec(id) ?? [];
  return where ? `${where}: ${folder}` : 'what ties them together';
}
