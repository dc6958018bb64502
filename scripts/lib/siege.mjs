import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { request } from 'node:http';
import { Worker } from 'node:worker_threads';
import { document } from './siege-document.mjs';

/**
 * An attack on a server that was started for it on the loopback address: hostile requests of many kinds from a
 * seed, and kills while comparisons are saved. Bounded in count; every request has a time limit.
 */

/** Numbers from 0 to 1 that a seed repeats. */
export function randomFrom(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

const SIGNS = [
  '+',
  '-',
  '×',
  '÷',
  '/',
  '^',
  '√',
  '(',
  ')',
  '_',
  '.',
  ',',
  '=',
  ' ',
  'x',
  'y',
  'sqrt',
];
const FIGURES = [
  '0',
  '7',
  '12',
  '0.5',
  '1/2',
  '3 1/4',
  '1011_2',
  'ff_16',
  '9'.repeat(60),
  '4'.repeat(401),
];

/** A text of the problem language, or near it, with nesting and powers. */
export function hostileText(random, depth = 0) {
  return nestedText(random, depth).slice(0, MOST_TEXT);
}

/** Beyond what is read, so that too long ones are among them. */
const MOST_TEXT = 6000;

function nestedText(random, depth) {
  const pick = (list) => list[Math.floor(random() * list.length)];
  const inner = () => hostileText(random, depth + 1);
  if (depth > 9 || random() < 0.2) return pick(random() < 0.7 ? FIGURES : ['x', 'y^12', 'x+1']);
  switch (Math.floor(random() * 8)) {
    case 0:
      return `(${inner()})^${Math.floor(random() * 14)}`;
    case 1:
      return `(${inner()})(${inner()})`;
    case 2:
      return `${inner()} ${pick(['+', '−', '×', '÷'])} ${inner()}`;
    case 3:
      return repeated(inner(), 1 + Math.floor(random() * 400));
    case 4:
      return pick(['√', '-', '√-', '(']).repeat(1 + Math.floor(random() * 60)) + inner();
    case 5:
      return Array.from({ length: Math.floor(random() * 3000) }, () => pick(SIGNS)).join('');
    case 6:
      return pick([' ', '\t', '\u3000', '​', '\u0000', '😀', 'ﷺ', 'é']).repeat(random() * 4200);
    default:
      return `${inner()}+${inner()}`;
  }
}

function repeated(text, times) {
  return text.repeat(Math.min(times, Math.ceil(MOST_TEXT / Math.max(1, text.length))));
}

const json = (body) => ({
  method: 'POST',
  path: '/api/comparisons',
  headers: { 'Content-Type': 'application/json' },
  body: typeof body === 'string' ? body : JSON.stringify(body),
});

/** A value of any kind, now and then large or deep. */
function anyValue(random, depth = 0) {
  const size = Math.floor(random() * (depth === 0 && random() < 0.2 ? 3000 : 4));
  switch (Math.floor(random() * (depth > 4 ? 6 : 8))) {
    case 0:
      return null;
    case 1:
      return random() < 0.5;
    case 2:
      return (random() - 0.5) * 10 ** Math.floor(random() * 308);
    case 3:
      return hostileText(random, 5).slice(0, 3000);
    case 4:
      return 'x^' + '9'.repeat(1 + Math.floor(random() * 30));
    case 5:
      return '../../' + '%00'.repeat(3);
    case 6:
      return Array.from({ length: size }, () => anyValue(random, depth + 1));
    default:
      return Object.fromEntries(
        Array.from({ length: size }, (_, k) => [`__proto__${k}`, anyValue(random, depth + 1)]),
      );
  }
}

const FIELDS = Object.keys(document('1 + 1'));

/** One kind of attack: what it is called, and a request made from random numbers. */
export const ATTACKS = [
  ['problem texts', (random) => json({ document: document(hostileText(random)) })],
  [
    'fields of any kind',
    (random) => {
      const field = FIELDS[Math.floor(random() * FIELDS.length)];
      return json({ document: document('12 + 34', { [field]: anyValue(random) }) });
    },
  ],
  ['bodies of any kind', (random) => json(JSON.stringify(anyValue(random)) ?? 'nothing')],
  [
    'many empty objects',
    (random) => {
      const count = Math.floor(random() * 120000);
      return json({ document: document('12 + 34', { checks: Array(count).fill({}) }) });
    },
  ],
  [
    'deep nesting',
    (random) => {
      const depth = Math.floor(random() * 100000);
      return json(`{"document":${'['.repeat(depth)}${']'.repeat(depth)}}`);
    },
  ],
  [
    'broken JSON',
    (random) => {
      const text = JSON.stringify({ document: document('12 + 34') });
      return json(text.slice(0, Math.floor(random() * text.length)));
    },
  ],
  ['large bodies', (random) => json(`{"document":"${'x'.repeat(random() * 2e6)}"}`)],
  [
    'kinds of content',
    (random) => {
      const types = [
        'text/plain',
        'multipart/form-data',
        'application/xml',
        'a/b;c',
        'application/json; charset=x',
      ];
      const type = types[Math.floor(random() * types.length)];
      const encoding = random() < 0.5 ? { 'Content-Encoding': 'gzip' } : {};
      return { ...json('{}'), headers: { 'Content-Type': type, ...encoding } };
    },
  ],
  [
    'lists and searches',
    (random) => {
      const values = [
        '1e308',
        '-1',
        '0',
        'NaN',
        '',
        '[]',
        '%',
        '_',
        "' OR 1=1 --",
        'x'.repeat(5000),
        '1e9',
      ];
      const value = () => encodeURIComponent(values[Math.floor(random() * values.length)]);
      const path = `/api/comparisons?page=${value()}&pageSize=${value()}&search=${value()}`;
      return { method: 'GET', path, headers: {} };
    },
  ],
  [
    'addresses',
    (random) => {
      const paths = [
        '/api/comparisons/%ZZ',
        '/%C0%80',
        '/api/comparisons/' + 'a'.repeat(6000),
        '/api/../../etc/passwd',
        '//x',
        '/api/docs/..%2f..%2fmain.js',
        '/assets/%2e%2e/%2e%2e/package.json',
      ];
      const methods = ['GET', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD', 'TRACE'];
      return {
        method: methods[Math.floor(random() * methods.length)],
        path: paths[Math.floor(random() * paths.length)],
        headers: {},
      };
    },
  ],
  [
    'foreign names and origins',
    (random) => ({
      method: 'GET',
      path: '/api/comparisons',
      headers:
        random() < 0.5
          ? { Host: 'elsewhere.example' }
          : { Origin: ['null', 'http://elsewhere.example'][Math.floor(random() * 2)] },
    }),
  ],
  [
    'writes to what is not there',
    (random) => ({
      ...json({ version: Math.floor(random() * 9), document: document('12 + 34') }),
      method: 'PUT',
      path: `/api/comparisons/${Math.floor(random() * 1e9)}`,
    }),
  ],
];

const PATIENCE = 20000;

/** Sends one request; resolves with its status and the milliseconds that it took. */
function send(port, { method, path, headers, body }) {
  const started = performance.now();
  return new Promise((resolve) => {
    const done = (status, text = '') =>
      resolve({ status, text, took: performance.now() - started });
    const sent = request(
      { host: '127.0.0.1', port, method, path, headers, timeout: PATIENCE },
      (response) => {
        let text = '';
        response.on('data', (chunk) => (text += chunk.toString()));
        response.on('end', () => done(response.statusCode, text));
        response.on('error', () => done(response.statusCode, text));
      },
    );
    sent.on('timeout', () => sent.destroy(new Error('no answer')));
    sent.on('error', (error) => done(error.message === 'no answer' ? 0 : 499));
    sent.end(body);
  });
}

/** Resident memory of a process in MB; 0 where the system does not tell. */
function memoryOf(pid) {
  try {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1000;
  } catch {
    return 0;
  }
}

/** Starts the built server on a free port of the loopback address. */
async function serve(main, folder) {
  const child = spawn(process.execPath, [main, '--data', folder, '--port', '0'], {
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let printed = '';
  const port = await new Promise((resolve, reject) => {
    const read = (chunk) => {
      printed += chunk.toString();
      const found = /Levee is at http:\/\/127\.0\.0\.1:(\d+)/.exec(printed);
      if (found) resolve(Number(found[1]));
    };
    child.stdout.on('data', read);
    child.stderr.on('data', read);
    child.on('exit', () => reject(new Error(`the server ended: ${printed}`)));
  });
  const ended = new Promise((resolve) => child.on('exit', resolve));
  return { child, port, printed: () => printed, ended };
}

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
    const end = setTimeout(() => server.child.kill('SIGKILL'), 40 + random() * 200);
    for (let k = 0; ; k++) {
      const title = `${round}.${k}`;
      const saved = await send(server.port, json({ document: document('12 + 34', { title }) }));
      if (saved.status !== 201) break;
      acknowledged.set(JSON.parse(saved.text).id, title);
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
