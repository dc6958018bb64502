import fs from 'node:fs';
import { syncBuiltinESMExports } from 'node:module';
import { fileURLToPath } from 'node:url';
import { transformFileSync } from '@swc/core';

/** Puts a file in the place of another, and dies before the call of the file system that is counted out. */
const [incoming, file, calls] = process.argv.slice(-3);
const source = fileURLToPath(new URL('../database/set-aside.ts', import.meta.url));
const { code } = transformFileSync(source, {
  jsc: { parser: { syntax: 'typescript' }, target: 'es2022' },
});
const module = await import(`data:text/javascript,${encodeURIComponent(code)}`);

let left = Number(calls);
for (const name of ['openSync', 'fsyncSync', 'linkSync', 'copyFileSync', 'renameSync', 'rmSync']) {
  const call = fs[name];
  fs[name] = (...args) => {
    if (left-- === 0) {
      fs.writeSync(1, name);
      process.kill(process.pid, 'SIGKILL');
    }
    return call(...args);
  };
}
syncBuiltinESMExports();
module.swapIn(incoming, file, new Date());
