import { existsSync, mkdtempSync, readFileSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import {
  ensureCompiled,
  ensureInstalled,
  ensureSite,
  main,
  ROOT,
  run,
  say,
} from './lib/project.mjs';

/** Milliseconds that a sample takes at least. */
const SAMPLE = 40;
const SAMPLES = 15;

/** One work of every sort, to be followed for its amounts alone. */
const LIGHT = [
  ['386 + 58', 'column-addition'],
  ['642 − 387', 'decomposition'],
  ['46 × 58', 'column-multiplication'],
  ['46 × 58', 'lattice'],
  ['952 ÷ 7', 'long-division'],
  ['3/4 + 1/6', 'cross-products'],
  ['(x+4)(3x−2)', 'expand-arcs'],
  ['√7396', 'digit-pairs'],
];

/** Speed as ratios of one run, so that they hold on any machine. */
await main(async () => {
  ensureInstalled();
  ensureCompiled();
  ensureSite();
  await benchCore();
  benchWeight();
  process.env.LEVEE_EMPTY_PAGE = emptyPage();
  say('Opening, and frames at 12 x 12 figures on four papers, in headless Chromium');
  const jest = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js'];
  run(process.execPath, [...jest, '--selectProjects', 'bench', '--runInBand']);
});

/** Compressed script that the first screen loads before its papers stand: the entry and all it imports at once. */
function benchWeight() {
  const site = join(ROOT, 'apps/web/dist/site');
  const read = (file) => readFileSync(join(site, file), 'utf8');
  const queue = [...read('index.html').matchAll(/src="\/(assets\/[^"]+\.js)"/g)].map(
    ([, file]) => file,
  );
  const files = new Set();
  for (const file of queue) {
    if (files.has(file)) continue;
    files.add(file);
    for (const [, next] of read(file).matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g)) {
      queue.push(`assets/${next}`);
    }
  }
  const size = (ending) =>
    [...files].reduce((sum, file) => {
      const sent = existsSync(join(site, file + ending)) ? file + ending : file;
      return sum + statSync(join(site, sent)).size;
    }, 0);
  const [brotli, gzip, plain] = ['.br', '.gz', ''].map((ending) => Math.round(size(ending) / 1000));
  say(
    `Script of the first screen: ${brotli} kB as it is sent (goal 300), ${gzip} kB by gzip, ${plain} kB plain`,
  );
}

/** A page with React and nothing else, built as the application is; its folder. */
function emptyPage() {
  const folder = join(mkdtempSync(join(tmpdir(), 'levee-empty-')), 'site');
  const vite = join(ROOT, 'node_modules/vite/bin/vite.js');
  const page = join(ROOT, 'e2e/empty-page');
  run(process.execPath, [vite, 'build', page, '--outDir', folder, '--logLevel', 'error']);
  return folder;
}

/** The core alone. */
async function benchCore() {
  const core = await import(pathToFileURL(join(ROOT, 'packages/core/dist/index.js')).href);
  const { methods: all } = core.registry;
  const ofFamily = (...names) => all.filter(({ family }) => names.includes(family));
  const methods = ofFamily('addition', 'subtraction', 'multiplication', 'division');
  say('Time to trace two numbers of 80 figures over two of 40 (goal at most 4.60)');
  for (const method of methods) {
    const [large, small] = [80, 40].map((n) => problemFor(core, method, n));
    const times = ratio(
      () => method.trace(large),
      () => method.trace(small),
    );
    say(`  ${method.id.padEnd(24)} ${times.toFixed(2)}`);
  }
  say('Time to trace the same figures with a point in them over without; quotients go on further');
  for (const method of methods.filter(({ family }) => family !== 'division')) {
    const [pointed, whole] = [problemFor(core, method, 12, 2), problemFor(core, method, 12)];
    const times = ratio(
      () => method.trace(pointed),
      () => method.trace(whole),
    );
    say(`  ${method.id.padEnd(24)} ${times.toFixed(2)}`);
  }
  say('Time to trace, and to trace with sentences, over a light run of the same work');
  for (const [text, id] of LIGHT) {
    const { problem } = core.readProblem(text);
    const method = core.registry.get(id);
    const light = () => method.light(problem);
    const bare = ratio(() => method.trace(problem), light);
    const whole = ratio(() => core.traceDocument(method, method.trace(problem)), light);
    say(`  ${id.padEnd(24)} ${bare.toFixed(2)}   ${whole.toFixed(2)}`);
  }
  say(
    'Time to trace two numbers of n figures over time to write that trace as JSON (goal at most 1.50)',
  );
  for (const method of methods) {
    const ratios = [4, 12, 40, 120].map((n) => {
      const problem = problemFor(core, method, n);
      return `${n}: ${overJson(method, problem).toFixed(2)}`;
    });
    say(`  ${method.id.padEnd(24)} ${ratios.join('   ')}`);
  }
  benchFractions(core, ofFamily('fractions'));
  benchLetters(core, ofFamily('polynomials'));
  benchRoots(core, core.registry.get('digit-pairs'));
  benchSlips(core);
  benchLines(core);
  benchWays(core);
}

/** Diagnosing answers, and a class of learners, in milliseconds beside their goals and over a light run. */
/** Lines of numbers to six figures and eight parts: lawful, leaping, equal by their worth alone, and unequal ones. */
function benchLines(core) {
  let state = 7;
  const draw = (least, most) => {
    state = (state * 48271) % 2147483647;
    return least + (state % (most - least + 1));
  };
  const number = () => draw(1000, 999_999);
  const places = (value) =>
    [...String(value)]
      .map((figure, k, all) => Number(figure) * 10 ** (all.length - 1 - k))
      .filter(Boolean);
  const makers = [
    () => {
      const parts = Array.from({ length: 8 }, number);
      const pairs = [0, 2, 4, 6].map((k) => parts[k] + parts[k + 1]);
      return [parts.join(' + '), pairs.join(' + ')];
    },
    () => {
      const [a, b] = [draw(12, 989), number()];
      return [
        `${a} × ${b}`,
        places(b)
          .map((part) => `${a} × ${part}`)
          .join(' + '),
      ];
    },
    () => {
      const [a, b] = [number(), number()];
      return [`${a} + ${b}`, [...places(a), ...places(b)].slice(0, 8).join(' + ')];
    },
    () => {
      const [a, b, c] = [number(), number(), draw(2, 9)];
      const most = a * c + b;
      const part = draw(1, most - 1);
      return [`${a} × ${c} + ${b}`, `${part} + ${most - part}`];
    },
    () => [`${number()} × ${draw(12, 99)} − ${number()}`, `${number()} + ${number()}`],
  ];
  const times = [];
  for (let k = 0; k < 400; k++) {
    const [problem, line] = makers[k % makers.length]();
    const { asked } = core.readAsked(problem);
    const start = performance.now();
    core.judgeLines(asked, [`= ${line}`]);
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  const share = (part) => times[Math.floor(times.length * part)].toFixed(1);
  say('Own lines, judged one by one');
  say(
    `  numbers to 6 figures, up to 8 parts            half under ${share(0.5)} ms, 95 in 100 under ${share(0.95)} ms (goal 50)`,
  );
}

/** Papers of every operation, each made a way with letters. */
const WAYS = [
  ['46 × 58', '= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668'],
  ['46 × 58', '= 40 × 50 + 40 × 8 + 6 × 50 + 6 × 8', '= 2000 + 320 + 300 + 48', '= 2668'],
  ['642 − 387', '387 +13→ 400 +242→ 642', '= 255'],
  ['368 + 475', '= 300 + 400 + 60 + 70 + 8 + 5', '= 700 + 130 + 13', '= 843'],
  ['952 ÷ 7', '= 700 ÷ 7 + 252 ÷ 7', '= 100 + 36', '= 136'],
  ['3/4 + 1/6', '= 9/12 + 2/12', '= 11/12'],
  ['(x+4)(3x−2)', '= 3x^2 − 2x + 12x − 8', '= 3x^2 + 10x − 8'],
];

function benchWays(core) {
  const papers = WAYS.map(([problem, ...lines]) =>
    core.judgeLines(core.readAsked(problem).asked, lines),
  );
  const times = papers.flatMap((paper) =>
    Array.from({ length: 8 }, () => {
      const start = performance.now();
      if (!core.wayOf(paper).ok) throw new Error(`${paper.asked.text} is no way`);
      return performance.now() - start;
    }),
  );
  times.sort((a, b) => a - b);
  const share = (part) => times[Math.floor(times.length * part)].toFixed(0);
  say(
    `  a way with letters, away from the page         half under ${share(0.5)} ms, 95 in 100 under ${share(0.95)} ms (goal 500)`,
  );
}

function benchSlips(core) {
  const { problem } = core.readProblem('46 × 58');
  const column = core.registry.get('column-multiplication');
  const timed = (work) => {
    const start = performance.now();
    work();
    return performance.now() - start;
  };
  const light =
    timed(() => {
      for (let k = 0; k < 1000; k++) column.light(problem);
    }) / 1000;
  const told = (name, ms, goal) =>
    say(
      `  ${name.padEnd(46)} ${ms.toFixed(0)} ms (goal ${goal}), ${(ms / light).toFixed(0)} light runs`,
    );
  say('Diagnoses, and a class that thins out');
  told(
    '46 × 58 against all methods, one answer',
    timed(() => core.diagnose(new core.Search(problem), '598')),
    1000,
  );
  told(
    '200 answers to 40 products and differences',
    timed(() => {
      for (let k = 0; k < 40; k++) {
        const text = k % 2 ? `${4000 + 37 * k} − ${1200 + 53 * k}` : `${21 + k} × ${97 - k}`;
        const search = new core.Search(core.readProblem(text).problem);
        for (let n = 0; n < 5; n++) core.diagnose(search, `${1000 + 613 * k + 17 * n}`);
      }
    }),
    10_000,
  );
  const methods = ['column-multiplication', 'partial-products', 'grid-multiplication', 'lattice'];
  const papers = methods.map((id) => {
    const method = core.registry.get(id);
    return { method, school: method.defaultSchool };
  });
  const slips = [...new Set(papers.flatMap(({ method }) => method.slips.map(({ id }) => id)))];
  told(
    '30 learners, 1000 runs, 346 × 58 on four papers',
    timed(() => {
      const simulation = new core.ClassSimulation({
        ...{ problem: core.readProblem('346 × 58').problem, papers, learners: 30, runs: 1000 },
        ...{ seed: 7, rates: core.usualRates([...slips, 'wrong-fact']), sameLearners: true },
      });
      simulation.advance(1000);
    }),
    2000,
  );
}

/** Two brackets of 2, 4 and 8 terms, multiplied or taken from each other. */
function benchLetters(core, methods) {
  say(
    'Time to trace two brackets of 2, 4 and 8 terms over time to write it as JSON (goal at most 1.50)',
  );
  for (const method of methods) {
    const ratios = [2, 4, 8].flatMap((n) => {
      const bracket = Array.from({ length: n }, (_, k) => `${k + 2}x^${n - k - 1}`).join(' - ');
      const texts = [`(${bracket})(${bracket})`, `(${bracket}) - (${bracket})`];
      const problem = texts
        .map((text) => core.readProblem(text).problem)
        .find((one) => method.accepts(one).ok);
      return problem ? [`${n}: ${overJson(method, problem).toFixed(2)}`] : [];
    });
    say(`  ${method.id.padEnd(24)} ${ratios.join('   ')}`);
  }
}

/** Roots of whole numbers, by their figures. */
function benchRoots(core, method) {
  say('Time to trace a root of n figures over time to write it as JSON (goal at most 1.50)');
  const ratios = [4, 12, 40].map((n) => {
    const figures = Array.from({ length: n }, (_, i) => ((i * 7 + 5) % 9) + 1).join('');
    const problem = core.makeProblem('root', [core.numeral(figures)]);
    return `${n}: ${overJson(method, problem).toFixed(2)}`;
  });
  say(`  ${method.id.padEnd(24)} ${ratios.join('   ')}`);
}

function overJson(method, problem) {
  const trace = method.trace(problem);
  return ratio(
    () => method.trace(problem),
    () => JSON.stringify(trace),
  );
}

/** Sums of fractions or mixed numbers, by how many are added. */
function benchFractions(core, methods) {
  say(
    'Time to trace a sum of 2, 3 and 5 fractions over time to write it as JSON (goal at most 1.50)',
  );
  for (const method of methods) {
    const mixed = method.id.startsWith('mixed');
    const ratios = [2, 3, 5].map((n) => {
      const operands = Array.from({ length: n }, (_, k) =>
        core.mixedNumeral(mixed ? BigInt(k + 1) : 0n, BigInt(k + 1), BigInt(k + 2)),
      );
      const problem = core.makeProblem('sum', operands);
      return `${n}: ${overJson(method, problem).toFixed(2)}`;
    });
    say(`  ${method.id.padEnd(24)} ${ratios.join('   ')}`);
  }
}

/**
 * Two numbers of n figures, all figures in use, as the method's kind of problem; `decimals` of them stand
 * after the point. A divisor has half as many figures as its dividend.
 */
function problemFor(core, method, n, decimals = 0) {
  const number = (shift, length) => {
    const figures = Array.from({ length }, (_, i) => ((i * 7 + shift) % 9) + 1).join('');
    const split = length - decimals;
    return core.numeral(decimals ? `${figures.slice(0, split)}.${figures.slice(split)}` : figures);
  };
  const kinds = core.PROBLEM_KINDS.filter((kind) => kind !== 'root' && kind !== 'expression');
  const problems = kinds.map((kind) =>
    core.makeProblem(kind, [number(5, n), number(3, kind === 'quotient' ? n / 2 : n)]),
  );
  return problems.find((problem) => method.accepts(problem).ok);
}

/**
 * How many times as long the first takes as the second: medians of samples taken in turn. A sample
 * runs its body until it has taken as long as one of the other, so that both pay for their garbage.
 */
function ratio(first, second) {
  const longest = Math.max(SAMPLE, timeOf(first, 1), timeOf(second, 1));
  const bodies = [first, second].map((body) => ({ body, runs: runsFor(body, longest), times: [] }));
  for (let round = 0; round < SAMPLES; round++) {
    for (const { body, runs, times } of bodies) times.push(timeOf(body, runs) / runs);
  }
  const [a, b] = bodies.map(({ times }) => times.sort((x, y) => x - y)[SAMPLES >> 1]);
  return a / b;
}

/** How many runs make a sample, found after warming up. */
function runsFor(body, least) {
  let runs = 1;
  while (timeOf(body, runs) < least * 0.7) runs *= 2;
  return runs;
}

function timeOf(body, runs) {
  const start = performance.now();
  for (let run = 0; run < runs; run++) body();
  return performance.now() - start;
}
