import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  html: { cspNonce: '__LEVEE_NONCE__' },
  server: { proxy: { '/api': 'http://127.0.0.1:4620' } },
  build: {
    assetsInlineLimit: 0,
    outDir: 'dist/site',
    emptyOutDir: true,
    target: 'es2022',
    chunkSizeWarningLimit: 1500,
  },
});
