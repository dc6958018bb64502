import react from '@vitejs/plugin-react';
import { constants } from 'node:zlib';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { defineConfig } from 'vite';

/** What every screen needs of the packages: one file, so that it compresses well and seldom changes. */
const EVERYWHERE =
  /node_modules\/(react|react-dom|scheduler|react-router|zustand|zundo|stylis|chevrotain|lodash-es|@chevrotain|@emotion|@mui\/(system|styled-engine|private-theming|utils))\//;

/** Served compressed; fonts and pictures are compressed already. */
const compressed = compression({
  include: /\.(js|css|svg|html)$/,
  threshold: 1000,
  algorithms: [
    defineAlgorithm('gzip', { level: 9 }),
    defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }),
  ],
});

export default defineConfig({
  plugins: [react(), compressed],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  html: { cspNonce: '__LEVEE_NONCE__' },
  server: { proxy: { '/api': 'http://127.0.0.1:4620' } },
  build: {
    assetsInlineLimit: 0,
    outDir: 'dist/site',
    emptyOutDir: true,
    target: 'es2022',
    rolldownOptions: {
      output: { codeSplitting: { groups: [{ name: 'packages', test: EVERYWHERE }] } },
    },
  },
});
