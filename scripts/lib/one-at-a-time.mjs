import {
  closeSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  writeSync,
} from 'node:fs';
import { dirname } from 'node:path';

/** Milliseconds between two looks at whether a lock is free. */
const LOOK = 200;

/**
 * Does something that no two processes may do at once: it is done behind a lock file with the number of the process that
 * holds it. Others wait, and `waiting` is told once of whom they wait for; the lock of a process that is gone is taken over.
 */
export function oneAtATime(file, waiting, body) {
  mkdirSync(dirname(file), { recursive: true });
  let told = false;
  while (!taken(file)) {
    const holder = holderOf(file);
    if (holder !== null && !isAlive(holder)) {
      takeAway(file);
      continue;
    }
    if (!told && holder !== null) waiting(holder);
    told ||= holder !== null;
    sleep(LOOK);
  }
  try {
    return body();
  } finally {
    if (holderOf(file) === process.pid) rmSync(file, { force: true });
  }
}

/** Whether the lock could be taken: the file is made by one process only. */
function taken(file) {
  try {
    const handle = openSync(file, 'wx');
    writeSync(handle, String(process.pid));
    closeSync(handle);
    return true;
  } catch (failure) {
    if (failure.code === 'EEXIST') return false;
    throw failure;
  }
}

/** The process that holds a lock; null where it is free, or not written yet. */
function holderOf(file) {
  try {
    const holder = Number(readFileSync(file, 'utf8'));
    return holder > 0 ? holder : null;
  } catch (failure) {
    if (failure.code === 'ENOENT') return null;
    throw failure;
  }
}

/** Takes a dead lock away. Of several that try, one moves it; a lock that was taken anew meanwhile is put back. */
function takeAway(file) {
  const aside = `${file}.${process.pid}`;
  try {
    renameSync(file, aside);
  } catch (failure) {
    if (failure.code === 'ENOENT') return;
    throw failure;
  }
  const holder = holderOf(aside);
  if (holder !== null && isAlive(holder)) renameSync(aside, file);
  else rmSync(aside, { force: true });
}

export function isAlive(id) {
  try {
    process.kill(id, 0);
    return true;
  } catch (failure) {
    return failure.code === 'EPERM';
  }
}

function sleep(milliseconds) {
  Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, milliseconds);
}
