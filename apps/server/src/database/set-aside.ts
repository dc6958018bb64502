import {
  closeSync,
  constants,
  copyFileSync,
  existsSync,
  fsyncSync,
  linkSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
} from 'node:fs';
import { basename, dirname, join } from 'node:path';

/** Data files that were set aside when another was put in their place, the latest first. */
export function setAsideOf(file: string): readonly string[] {
  const stem = `${basename(file, '.sqlite')}-replaced-`;
  return readdirSync(dirname(file))
    .filter((name) => name.startsWith(stem) && name.endsWith('.sqlite'))
    .sort()
    .reverse()
    .map((name) => join(dirname(file), name));
}

/**
 * Puts a file in the place of another, which stays beside it under a name of its own: that name comes back, or null where
 * nothing was there. There is a file in that place at every moment, the old one or the new one, whatever breaks off; a fault
 * leaves everything as it was. Throws what the file system throws.
 */
export function swapIn(incoming: string, file: string, now: Date): string | null {
  sync(incoming);
  if (!existsSync(file)) {
    renameSync(incoming, file);
    sync(dirname(file));
    return null;
  }
  const aside = secondName(file, now);
  const moved: string[] = [];
  try {
    sync(dirname(file));
    // A log that could not be written into a damaged file stays beside that file, never beside the new one.
    for (const ending of ['-wal', '-shm', '-journal']) {
      if (!existsSync(file + ending)) continue;
      renameSync(file + ending, aside + ending);
      moved.push(ending);
    }
    renameSync(incoming, file);
  } catch (fault) {
    for (const ending of moved) renameSync(aside + ending, file + ending);
    rmSync(aside, { force: true });
    throw fault;
  }
  sync(dirname(file));
  return aside;
}

/** Gives a file a second name that no file had, from the moment; where a file cannot have two, it is copied. */
function secondName(file: string, now: Date): string {
  const stamp = now.toISOString().slice(0, 19).replaceAll(':', '-');
  const stem = `${file.replace(/\.sqlite$/, '')}-replaced-${stamp}`;
  for (let count = 1; ; count++) {
    const aside = count === 1 ? `${stem}.sqlite` : `${stem}-${count}.sqlite`;
    try {
      linkOrCopy(file, aside);
      return aside;
    } catch (fault) {
      if ((fault as NodeJS.ErrnoException).code !== 'EEXIST') throw fault;
    }
  }
}

const NO_LINKS: ReadonlySet<string> = new Set([
  'EPERM',
  'ENOTSUP',
  'ENOSYS',
  'EOPNOTSUPP',
  'EMLINK',
]);

function linkOrCopy(file: string, aside: string): void {
  try {
    linkSync(file, aside);
  } catch (fault) {
    const { code = '' } = fault as NodeJS.ErrnoException;
    if (!NO_LINKS.has(code)) throw fault;
    try {
      copyFileSync(file, aside, constants.COPYFILE_EXCL);
      sync(aside);
    } catch (broken) {
      if ((broken as NodeJS.ErrnoException).code !== 'EEXIST') rmSync(aside, { force: true });
      throw broken;
    }
  }
}

/** Waits until a file or folder is on the disk. */
function sync(path: string): void {
  const handle = openSync(path, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}
