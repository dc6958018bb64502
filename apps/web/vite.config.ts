import react from '@vitejs/plugin-react';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { constants } from 'node:zlib';
import licences from 'rollup-plugin-license';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { defineConfig, type Plugin } from 'vite';

const require = createRequire(import.meta.url);

/** What every screen needs of the packages: one file, so that it compresses well and seldom changes. */
const EVERYWHERE =
  /node_modules\/(react|react-dom|scheduler|react-router|zustand|zundo|stylis|chevrotain|lodash-es|@chevrotain|@emotion|@mui\/(system|styled-engine|private-theming|utils))\/|vite\/preload-helper/;

/** What of core and of the page the bench, and so the first screen, is made of; `.later` files are loaded when they are first needed. */
const FIRST_OF_CORE = /packages\/core\/src\/(account|exact|problem|methods|phrases|sheet)\//;
const FIRST =
  /apps\/web\/src\/(store|worked|computation|paper|sheet|commands|api|ui)\/(?!.*\.later\.)/;

/** Served compressed; fonts and pictures are compressed already. */
const compressed = compression({
  include: /\.(js|css|svg|html)$/,
  threshold: 1000,
  algorithms: [
    defineAlgorithm('gzip', { level: 9 }),
    defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }),
  ],
});

/** The licences of all that is in the pages, beside them. */
const noticed = licences({
  thirdParty: {
    multipleVersions: true,
    output: fileURLToPath(new URL('dist/site/licences.txt', import.meta.url)),
  },
});

/** The licences of the fonts, which no script imports. */
const fontsNoticed: Plugin = {
  name: 'font-licences',
  generateBundle() {
    const texts = ['figtree', 'literata'].map((font) => {
      const file = require.resolve(`@fontsource-variable/${font}/LICENSE`);
      return `${font}\n\n${readFileSync(file, 'utf8')}`;
    });
    this.emitFile({
      type: 'asset',
      fileName: 'font-licences.txt',
      source: texts.join('\n\n---\n\n'),
    });
  },
};

/** Beside what is served, how long each module is in each script, so that it can be told what a script is made of. */
const whatIsIn: Plugin = {
  name: 'what-is-in',
  generateBundle(_, bundle) {
    const root = fileURLToPath(new URL('../..', import.meta.url));
    const scripts = Object.values(bundle).flatMap((file) => {
      if (file.type !== 'chunk') return [];
      const modules = Object.entries(file.modules).map(
        ([id, { renderedLength }]) => [relative(root, id), renderedLength] as const,
      );
      return [[file.fileName, Object.fromEntries(modules)] as const];
    });
    const to = fileURLToPath(new URL('dist/modules.json', import.meta.url));
    mkdirSync(dirname(to), { recursive: true });
    writeFileSync(to, JSON.stringify(Object.fromEntries(scripts)));
  },
};

/** All that the first screen needs is asked for at once, though it is made ready part by part. */
const askedForAtOnce: Plugin = {
  name: 'asked-for-at-once',
  transformIndexHtml: {
    order: 'post',
    handler: (page, { bundle }) =>
      Object.values(bundle ?? {}).flatMap((file) =>
        file.type === 'chunk' &&
        ['packages', 'core', 'first', 'start'].includes(file.name) &&
        !page.includes(file.fileName)
          ? [
              {
                tag: 'link',
                attrs: { rel: 'modulepreload', crossorigin: true, href: `/${file.fileName}` },
                injectTo: 'head' as const,
              },
            ]
          : [],
      ),
  },
};

export default defineConfig({
  plugins: [react(), askedForAtOnce, whatIsIn, noticed, fontsNoticed, compressed],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  html: { cspNonce: '__LEVEE_NONCE__' },
  server: { proxy: { '/api': 'http://127.0.0.1:4620' } },
  build: {
    assetsInlineLimit: 0,
    outDir: 'dist/site',
    // Where a server runs from here, pages that are open still ask for the files of their own build.
    emptyOutDir: process.env.LEVEE_KEEP_FILES !== 'yes',
    target: 'es2022',
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'packages', test: EVERYWHERE },
            { name: 'core', test: FIRST_OF_CORE },
            { name: 'first', test: FIRST },
          ],
        },
      },
    },
  },
});
