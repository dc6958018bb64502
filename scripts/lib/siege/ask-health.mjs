import { get } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import { parentPort, workerData } from 'node:worker_threads';

/** A thread that asks a server for its health until it is told to stop, and then tells the slowest answer. */
let asking = true;
parentPort.once('message', () => (asking = false));

const health = { asked: 0, slowest: 0 };
while (asking) {
  const started = performance.now();
  const answered = await ask();
  health.asked++;
  if (answered && health.asked > 1)
    health.slowest = Math.max(health.slowest, performance.now() - started);
  await wait(10);
}
parentPort.postMessage(health);

function ask() {
  return new Promise((resolve) => {
    get({ host: '127.0.0.1', port: workerData.port, path: '/api/health' }, (response) => {
      response.resume();
      response.on('end', () => resolve(response.statusCode === 200));
    }).on('error', () => resolve(false));
  });
}
