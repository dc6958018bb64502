import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Figures of a number, all in use. */
function figures(count, shift = 5) {
  return Array.from({ length: count }, (_, k) => ((k * 7 + shift) % 9) + 1).join('');
}

const many = (count, one, between = ' + ') => Array.from({ length: count }, one).join(between);

/**
 * The inputs that are slowest of all that are accepted, by command: what `npm run siege` measures and docs/formats.md lists.
 * Those that hold something in a file have its name and text under `files`.
 */
export function slowestInputs() {
  const forty = many(40, (_, k) => figures(20, k));
  const terms = Array.from({ length: 245 }, (_, k) => String(1 + (k % 9)));
  const rotated = Array.from({ length: 60 }, (_, k) =>
    JSON.stringify(`= ${[...terms.slice(k), ...terms.slice(0, k)].join(' + ')}`),
  );
  const product = (a, b) => `${figures(a)} * ${figures(b, 3)}`;
  const batch = `{"problem": "${terms.slice(0, 40).join(' + ')}", "lines": [${rotated.join(', ')}]}\n`;
  const answers = many(1000, (_, k) => String(1000 + 613 * k), '\n');
  const sheet = many(
    1000,
    (_, k) => `T${k % 50}, ${4000 + 37 * (k % 40)} - ${1200 + 53 * (k % 40)}, ${2000 + 7 * k}`,
    '\n',
  );
  return [
    ['trace', [product(70, 70), '--method', 'lattice']],
    ['trace', [forty, '--method', 'scratch-addition']],
    ['trace', [`${figures(400)} ÷ ${figures(200)}`, '--method', 'long-division']],
    [
      'compare',
      [
        product(34, 34),
        '--methods',
        'column-multiplication,partial-products,grid-multiplication,lattice,crosswise,halving-doubling',
      ],
    ],
    [
      'compare',
      [forty, '--methods', 'column-addition,partial-sums,running-total,scratch-addition'],
    ],
    ['diagnose', [product(70, 70), '--answer', '5706']],
    ['diagnose', [`${figures(8)} ÷ ${figures(4)}`, '--answer', '5706']],
    ['diagnose', [`${figures(400)} ÷ ${figures(200)}`, '--answer', '5706']],
    ['diagnose', ['5 ÷ 8783', '--answer', '0.34']],
    ['diagnose', [forty, '--answer', '5706']],
    ['diagnose', ['46 * 58', '--answers', 'answers.txt'], { 'answers.txt': answers }],
    ['diagnose', ['--sheet', 'sheet.csv'], { 'sheet.csv': sheet }],
    ['lines', [product(12, 12), '--line', '= 323685713866482349697027']],
    ['lines', ['--batch', 'batch.jsonl'], { 'batch.jsonl': batch }],
    [
      'lines',
      [
        '(9x + 3y - 2)^5',
        '--line',
        '= (9x + 3y - 2)(9x + 3y - 2)(9x + 3y - 2)(9x + 3y - 2)(9x + 3y + 1)',
      ],
    ],
    ['ways', [product(12, 12)]],
    ['way', [product(6, 6), '--line', `= ${figures(6)} * ${figures(6, 3)}`]],
  ];
}

/** Runs one input with 1 GB of room; its seconds, and whether it ended as it should. */
export function timed(commandLine, [command, args, files = {}]) {
  const folder = mkdtempSync(join(tmpdir(), 'levee-slowest-'));
  try {
    for (const [name, text] of Object.entries(files)) writeFileSync(join(folder, name), text);
    const start = performance.now();
    const { status } = spawnSync(
      process.execPath,
      ['--max-old-space-size=1024', commandLine, command, ...args],
      { cwd: folder, stdio: ['ignore', 'ignore', 'ignore'], timeout: 120_000 },
    );
    return { seconds: (performance.now() - start) / 1000, ended: status === 0 || status === 1 };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** What an input is called in a table. */
export function nameOf([command, args]) {
  const told = args.map((arg) => (arg.length > 28 ? `${arg.slice(0, 25)}…` : arg)).join(' ');
  return `${command} ${told}`.slice(0, 76);
}
