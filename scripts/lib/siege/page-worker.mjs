import { parentPort, workerData } from 'node:worker_threads';

/** The worker of the page, as it is built, in a thread of its own: what a page gives it of messages stands in for a browser. */
const listeners = new Set();
globalThis.self = globalThis;
globalThis.addEventListener = (_, listener) => listeners.add(listener);
globalThis.removeEventListener = (_, listener) => listeners.delete(listener);
globalThis.postMessage = (message, transfer) => parentPort.postMessage(message, transfer);
await import(workerData.file);
// Messages wait until somebody listens.
parentPort.on('message', (data) => {
  for (const listener of listeners) {
    const event = { data, origin: '', target: globalThis };
    if (typeof listener === 'function') listener(event);
    else listener.handleEvent(event);
  }
});
