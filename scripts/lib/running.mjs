import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { isAlive } from './one-at-a-time.mjs';

/** Servers that run from a folder of the repository, each a file with the number of its process for a name. */
export class Running {
  constructor(folder) {
    this.folder = folder;
  }

  /** Takes note of a server for as long as it runs. */
  add(id) {
    mkdirSync(this.folder, { recursive: true });
    writeFileSync(join(this.folder, String(id)), '');
  }

  remove(id) {
    rmSync(join(this.folder, String(id)), { force: true });
  }

  /** The numbers of those that are there still; what a killed one left is cleared away. */
  get ids() {
    let names = [];
    try {
      names = readdirSync(this.folder);
    } catch (failure) {
      if (failure.code !== 'ENOENT') throw failure;
    }
    return names.map(Number).filter((id) => {
      if (isAlive(id)) return true;
      this.remove(id);
      return false;
    });
  }
}
