import { spawn } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { json } from './attacks.mjs';
import { fullDocument } from './document.mjs';
import { randomFrom } from './random.mjs';
import { send, serve } from './server.mjs';

/** How many comparisons the data file and the copy hold, so that they are told apart. */
const HERE = 3;
const IN_COPY = 1;

/** A data file with so many comparisons. */
async function filled(main, folder, count) {
  const server = await serve(main, folder);
  for (let k = 0; k < count; k++) {
    await send(server.port, json({ document: fullDocument({ title: `${count}.${k}` }) }));
  }
  server.child.kill('SIGTERM');
  await server.ended;
  return join(folder, 'levee.sqlite');
}

/** The titles of all that a data folder holds, read one by one; null where the server does not start. */
async function titles(main, folder) {
  const server = await serve(main, folder).catch(() => null);
  if (!server) return null;
  const get = async (path) => {
    const { status, text } = await send(server.port, { method: 'GET', path, headers: {} });
    return status === 200 ? JSON.parse(text) : { items: [] };
  };
  const { items } = await get('/api/comparisons?pageSize=50');
  const all = [];
  for (const { id } of items) all.push((await get(`/api/comparisons/${id}`)).title);
  server.child.kill('SIGTERM');
  await server.ended;
  return all.sort();
}

/**
 * Restores a copy again and again and kills it, at any moment from its start on; counts after how many kills the data file was
 * neither what it was nor what the copy is, or was gone.
 */
export async function killWhileRestoring({ main, folder, kills, seed }) {
  const random = randomFrom(seed);
  const [here, there] = ['restored', 'copy'].map((name) => join(folder, name));
  for (const one of [here, there]) mkdirSync(one);
  const file = await filled(main, here, HERE);
  const copy = join(folder, 'copy.sqlite');
  copyFileSync(await filled(main, there, IN_COPY), copy);
  const before = join(folder, 'before.sqlite');
  copyFileSync(file, before);
  const [old, made] = [await titles(main, here), await titles(main, there)].map(String);
  const counts = { kills, swapped: 0, lost: 0 };
  const restored = async (killedAfter) => {
    copyFileSync(before, file);
    const args = [main, '--data', here, '--restore', copy, '--yes'];
    const child = spawn(process.execPath, args, { stdio: 'ignore' });
    const end = setTimeout(() => child.kill('SIGKILL'), killedAfter);
    await new Promise((resolve) => child.on('exit', resolve));
    clearTimeout(end);
  };
  const started = performance.now();
  await restored(60_000);
  const whole = performance.now() - started;
  for (let round = 0; round < kills; round++) {
    // Most of the time goes by before anything is swapped.
    await restored(whole * (0.5 + 0.6 * random()));
    const found = existsSync(file) ? String(await titles(main, here)) : null;
    if (found === made) counts.swapped++;
    else if (found !== old) counts.lost++;
  }
  return counts;
}
