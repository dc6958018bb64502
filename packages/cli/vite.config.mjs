import { defineConfig } from 'vite';

/** The command line in one file with all that it uses, so that starting it reads one file. */
export default defineConfig({
  ssr: { noExternal: true },
  resolve: { conditions: ['source', 'node'] },
  build: {
    ssr: 'src/main.ts',
    outDir: 'dist/bundle',
    emptyOutDir: false,
    target: 'node20',
    minify: true,
    rollupOptions: { output: { entryFileNames: 'levee.js', codeSplitting: false } },
  },
});
