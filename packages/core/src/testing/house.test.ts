import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { registry } from '../methods/index.ts';

const CORE = fileURLToPath(new URL('..', import.meta.url));
const HOUSE = join(CORE, '../../..');

/** Every file below a folder, from it on; no built ones. */
function filesIn(folder: string): readonly string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory())
      return ['node_modules', 'dist'].includes(entry.name) ? [] : filesIn(path);
    return [path];
  });
}

const SOURCES = [
  'packages/core/src',
  'packages/cli/src',
  'apps/server/src',
  'apps/web/src',
].flatMap((folder) => filesIn(join(HOUSE, folder)));
const PAGES = [
  'docs/architecture.md',
  ...SOURCES.filter((path) => path.endsWith('README.md')).map((path) => relative(HOUSE, path)),
  ...['apps/web', 'apps/server', 'packages/cli'].map((folder) => `${folder}/README.md`),
];

interface Rule {
  readonly name: string;
  readonly from: { readonly path?: string };
  readonly to: { readonly path?: string };
}

/** The floors as the rules of import have them: each rule forbids what lies above its folder. */
function floors(): readonly string[] {
  const require = createRequire(import.meta.url);
  const { forbidden } = require(join(HOUSE, '.dependency-cruiser.cjs')) as {
    readonly forbidden: readonly Rule[];
  };
  return forbidden.flatMap(({ name, from }) =>
    name.endsWith('-knows-what-is-below') ? [/src\/(.*)\/$/.exec(from.path ?? '')?.[1] ?? ''] : [],
  );
}

function folders(of: string): readonly string[] {
  return readdirSync(join(CORE, of), { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map(({ name }) => (of === '' ? name : `${of}/${name}`));
}

describe('the pages about the house', () => {
  it('know every folder of core, in the order of the floors', () => {
    const all = folders('').filter((name) => name !== 'testing' && name !== 'own');
    expect([...floors()].sort()).toEqual([...all, ...folders('own')].sort());
    const page = readFileSync(join(HOUSE, 'docs/architecture.md'), 'utf8');
    const told = [...page.matchAll(/^\| `([a-z/]+)` \|/gm)].map(([, folder]) => folder);
    expect(told).toEqual(floors());
  });

  it.each(PAGES)('%s names files that are there', (page) => {
    const text = readFileSync(join(HOUSE, page), 'utf8');
    const links = [...text.matchAll(/\]\(([^)#:]+)\)/g)].map(([, link]) => link!);
    for (const link of links)
      expect([link, existsSync(join(HOUSE, dirname(page), link))]).toEqual([link, true]);
    const named = [...text.matchAll(/`([\w./-]+\.(?:ts|tsx|mjs))`/g)].map(([, path]) => path!);
    const files = [...SOURCES, ...filesIn(join(HOUSE, 'e2e')), ...filesIn(join(HOUSE, 'scripts'))];
    const missing = named.filter(
      (path) => !files.some((file) => file.endsWith(`/${path.replace(/^core\//, '')}`)),
    );
    expect(missing).toEqual([]);
  });

  it.each(PAGES)('%s can be read: no cell of a table is a page', (page) => {
    const cells = readFileSync(join(HOUSE, page), 'utf8')
      .split('\n')
      .filter((line) => line.startsWith('|'))
      .flatMap((line) => line.split(' | '));
    expect(cells.filter((cell) => cell.length > 420)).toEqual([]);
  });
});

/** Where a method is named but in its own file, and why. */
const NAMED = [
  /^packages\/core\/src\/slips\/catalogue\//, // examples of slips
  /^packages\/core\/src\/problem\/sorts\//, // the papers that are laid first
  /^packages\/core\/src\/checks\/inverse-check\.ts$/, // adding back is column addition
  /^apps\/web\/src\/features\/methods\/example\.ts$/, // an example for the page of methods
  /^apps\/server\/src\/demo\//,
];

it('a method is named in its own family, and where it must be', () => {
  const ids = registry.methods.map(({ id }) => id);
  const families = /^packages\/core\/src\/methods\//;
  const strangers = SOURCES.filter(
    (path) => /\.tsx?$/.test(path) && !/\.test\.|\/testing\//.test(path),
  )
    .map((path) => [relative(HOUSE, path), readFileSync(path, 'utf8')] as const)
    .filter(([path]) => !families.test(path) && !NAMED.some((where) => where.test(path)))
    .flatMap(([path, text]) =>
      ids.filter((id) => text.includes(`'${id}'`)).map((id) => `${path}: ${id}`),
    );
  expect(strangers).toEqual([]);
});
