import { Worker } from 'node:worker_threads';
import { ATTACKS, json } from './attacks.mjs';
import { fullDocument } from './document.mjs';
import { randomFrom } from './random.mjs';
import { memoryOf, send, serve } from './server.mjs';

/**
 * An attack on a server that was started for it on the loopback address: hostile requests of many kinds from a
 * seed, and kills while comparisons are saved. Bounded in count; every request has a time limit.
 */

/** Asks for health all the while, from a thread of its own so that making the attack does not count. */
function askHealth(port) {
  const worker = new Worker(new URL('./ask-health.mjs', import.meta.url), { workerData: { port } });
  return {
    stop: () =>
      new Promise((resolve) => {
        worker.on('message', resolve);
        worker.postMessage('stop');
      }),
  };
}

/**
 * The attack with requests, in turn of all kinds. Health is asked for all the while. Resolves with a row for
 * each kind and what happened to the server.
 */
export async function besiege({ main, folder, requests, seed }) {
  const server = await serve(main, folder);
  const random = randomFrom(seed);
  const rows = ATTACKS.map(([name]) => ({
    name,
    tried: 0,
    taken: 0,
    refused: 0,
    failed: 0,
    slowest: 0,
    stacks: 0,
  }));
  const asking = askHealth(server.port);
  let before = 0;
  for (let k = 0; k < requests; k++) {
    const row = rows[k % ATTACKS.length];
    const { status, text, took } = await send(server.port, ATTACKS[k % ATTACKS.length][1](random));
    row.tried++;
    if (status >= 500 || status === 0) row.failed++;
    else if (status >= 400) row.refused++;
    else row.taken++;
    if (/\n\s+at .+:\d+/.test(text)) row.stacks++;
    row.slowest = Math.max(row.slowest, took);
    if (k === Math.floor(requests / 4)) before = memoryOf(server.child.pid);
  }
  const health = await asking.stop();
  const memory = { before, after: memoryOf(server.child.pid) };
  server.child.kill('SIGTERM');
  const code = await server.ended;
  const stacks = (server.printed().match(/\n\s+at .+:\d+/g) ?? []).length;
  return { rows, health, memory, code, stacks };
}

/** Kills the server while comparisons are saved, again and again; counts what was acknowledged and is gone. */
export async function killWhileSaving({ main, folder, kills, seed }) {
  const random = randomFrom(seed);
  const acknowledged = new Map();
  for (let round = 0; round < kills; round++) {
    const server = await serve(main, folder);
    let end;
    for (let k = 0; ; k++) {
      const title = `${round}.${k}`;
      const saved = await send(server.port, json({ document: fullDocument({ title }) }));
      if (saved.status !== 201) break;
      acknowledged.set(JSON.parse(saved.text).id, title);
      // From the first save on, however long a machine takes for it.
      end ??= setTimeout(() => server.child.kill('SIGKILL'), 10 + random() * 200);
    }
    clearTimeout(end);
    server.child.kill('SIGKILL');
    await server.ended;
  }
  const server = await serve(main, folder);
  let lost = 0;
  for (const [id, title] of acknowledged) {
    const { status, text } = await send(server.port, {
      method: 'GET',
      path: `/api/comparisons/${id}`,
      headers: {},
    });
    if (status !== 200 || JSON.parse(text).title !== title) lost++;
  }
  server.child.kill('SIGTERM');
  await server.ended;
  return { kills, acknowledged: acknowledged.size, lost };
}
