import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import { proxy, wrap } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { fullDocument } from './document.mjs';
import { hostileText, pickFrom, randomFrom } from './random.mjs';

const PROBLEMS = [
  '46 × 58',
  '642 − 387',
  '386 + 58',
  '952 ÷ 7',
  '3/4 + 1/6',
  '(x+4)(3x−2)',
  '√7396',
  '12 × 35 × 7',
  '1011_2 × 110_2',
  '15% of 60',
  '(3 + 4)^4',
  '0 ÷ 5',
];

/** A problem that can be read, or any text. */
function problemText(random) {
  return random() < 0.75 ? pickFrom(random, PROBLEMS) : hostileText(random);
}

function lines(random) {
  const line = () => {
    const text = random() < 0.5 ? pickFrom(random, PROBLEMS) : hostileText(random).slice(0, 300);
    return pickFrom(random, ['= ', '', '→ ', 'so ']) + text;
  };
  return Array.from({ length: 1 + Math.floor(random() * 6) }, line);
}

const own = (random) => ({
  lines: lines(random).map((text) => ({ text, struck: random() < 0.1 })),
  code: 'T07',
  name: '',
});

function answers(random) {
  return Array.from({ length: 1 + Math.floor(random() * 4) }, () => ({
    problem: pickFrom(random, PROBLEMS),
    answer: random() < 0.7 ? String(Math.floor(random() * 3000)) : hostileText(random).slice(0, 60),
    code: 'T07',
  }));
}

/** A document with one of its places changed, or cut off. */
function harmed(random, document) {
  const text = JSON.stringify(document);
  if (random() < 0.2) return text.slice(0, Math.floor(random() * text.length));
  const places = [];
  const walk = (value, path) => {
    places.push(path);
    if (typeof value !== 'object' || value === null) return;
    for (const key of Object.keys(value)) walk(value[key], [...path, key]);
  };
  walk(document, []);
  const copy = JSON.parse(text);
  const path = pickFrom(random, places.slice(1));
  const at = path.slice(0, -1).reduce((value, key) => value[key], copy);
  const values = [null, 0, -1, 1e300, '', 'x', '9'.repeat(500), [], {}, true, '1/0', '√-4'];
  at[path.at(-1)] = pickFrom(random, values);
  return JSON.stringify(copy);
}

/** A slip on a paper of 46 × 58 by columns, or any text. */
function slip(random) {
  const slips = ['forget-carry@line-0.1', 'carry-first@line-0.1', 'forget-sum-carry@total.1'];
  return random() < 0.7 ? pickFrom(random, slips) : hostileText(random).slice(0, 80);
}

const column = (random) => ({
  ...{ method: 'column-multiplication', school: {}, order: [], hops: [], own: null },
  slips: [slip(random)],
});

const product = (random) => (random() < 0.75 ? '46 × 58' : hostileText(random));

/** What every job of the worker is asked, from random numbers; `given` are true documents to be harmed. */
export const JOBS = {
  certificate: (random) => [
    problemText(random),
    [{ school: {}, order: [], hops: [], slips: [], method: 'own-lines', own: own(random) }],
  ],
  readImport: (random, { traces }) => [
    harmed(random, random() < 0.5 ? pickFrom(random, traces) : fullDocument()),
  ],
  classRuns: (random) => [
    {
      problem: problemText(random),
      papers: [],
      learners: Math.floor(random() * 40),
      runs: Math.floor(random() * 200),
      seed: 7,
      rates: [],
      sameLearners: random() < 0.5,
    },
    () => random() < 0.9,
  ],
  diagnoseAnswers: (random) => [answers(random), null, () => random() < 0.9],
  diagnoseSheets: (random) => [answers(random)],
  habitItems: (random) => [
    {
      ...{ problem: product(random), paper: column(random), slip: slip(random) },
      ...{ where: pickFrom(random, ['all', 'first', 'carry-of-one', '?']), seed: 7 },
    },
  ],
  judgeLines: (random) => [problemText(random), own(random)],
  judgeTyped: (random) => [problemText(random), lines(random), lines(random)[0]],
  slipAnswers: (random) => [
    product(random),
    column(random),
    Array.from({ length: Math.floor(random() * 6) }, () => slip(random)),
    () => random() < 0.9,
  ],
  slipSaid: (random) => {
    const typed = lines(random);
    return [problemText(random), typed, 1 + Math.floor(random() * typed.length)];
  },
  wayAnswer: (random) => [problemText(random), lines(random), 'a way'],
  wayFromFile: (random, { ways }) => [
    pickFrom(random, PROBLEMS),
    harmed(random, pickFrom(random, ways)),
  ],
  waySuggested: (random, { lettered }) => [problemText(random), pickFrom(random, lettered)],
  waysInvited: (random) => [problemText(random), lines(random)],
  waysThere: (random) => [
    problemText(random),
    [{ name: 'a way', problem: pickFrom(random, PROBLEMS), lines: lines(random) }],
  ],
};

/** True documents of traces and ways, to be harmed, and a way as it goes between threads; made by the built core. */
export async function givenDocuments(core) {
  const { judgeLines, readAsked, readProblem, registry, traceDocument, wayDocument, wayOf } =
    await import(pathToFileURL(core).href);
  const plain = (value) => JSON.parse(JSON.stringify(value));
  const traces = PROBLEMS.slice(0, 8).map((text) => {
    const { problem } = readProblem(text);
    const method = registry.methods.find((one) => one.accepts(problem).ok);
    return plain(traceDocument(method, method.trace(problem)));
  });
  const { asked } = readAsked('46 × 58');
  const { way } = wayOf(judgeLines(asked, ['= 46 × 60 − 46 × 2', '= 2668']), 'a way');
  return { traces, ways: [plain(wayDocument(way))], lettered: [plain(way)] };
}

/** Milliseconds that a job may take. */
const PATIENCE = 20_000;
/** What a job says that was asked about a text that is none of its own. */
const REFUSAL = /^[\w ]+: "[^]*"(: | is (not a problem|no address))/;

function startedWorker(site) {
  const [name] = readdirSync(join(site, 'assets')).filter((one) =>
    /^away\.worker.*\.js$/.test(one),
  );
  const file = pathToFileURL(join(site, 'assets', name)).href;
  return new Worker(new URL('./page-worker.mjs', import.meta.url), { workerData: { file } });
}

/**
 * Asks the worker of the page, as it is built, for every job it has, with texts and documents of any kind. Resolves with a row for
 * each job, and what failed first.
 */
export async function besiegeJobs({ site, asked, seed, given }) {
  const random = randomFrom(seed);
  let worker = startedWorker(site);
  let jobs = wrap(nodeEndpoint(worker));
  const rows = [];
  const faults = [];
  for (const [name, make] of Object.entries(JOBS)) {
    const row = { name, tried: 0, taken: 0, refused: 0, failed: 0, slowest: 0 };
    for (let k = 0; k < asked; k++) {
      const args = make(random, given);
      const started = performance.now();
      const told = await outcome(jobs, name, args);
      row.tried++;
      row[told.kind]++;
      row.slowest = Math.max(row.slowest, performance.now() - started);
      if (told.kind !== 'failed') continue;
      faults.push(`${name}: ${told.fault.slice(0, 600)} of ${JSON.stringify(args).slice(0, 900)}`);
      if (!told.isLate) continue;
      await worker.terminate();
      worker = startedWorker(site);
      jobs = wrap(nodeEndpoint(worker));
    }
    rows.push(row);
  }
  await worker.terminate();
  return { rows, faults };
}

async function outcome(jobs, name, args) {
  let end;
  const late = new Promise((resolve) => {
    end = setTimeout(() => resolve({ kind: 'failed', fault: 'no answer', isLate: true }), PATIENCE);
  });
  const sent = args.map((one) => (typeof one === 'function' ? proxy(one) : one));
  const answer = jobs[name](...sent).then(
    () => ({ kind: 'taken' }),
    (fault) =>
      REFUSAL.test(fault.message)
        ? { kind: 'refused' }
        : { kind: 'failed', fault: fault.stack ?? String(fault), isLate: false },
  );
  const first = await Promise.race([answer, late]);
  clearTimeout(end);
  return first;
}
