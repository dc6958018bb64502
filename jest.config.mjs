const swc = (extra = {}) => ({
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      sourceMaps: 'inline',
      module: { type: 'es6' },
      jsc: {
        target: 'es2022',
        parser: { syntax: 'typescript', tsx: true, decorators: true },
        transform: {
          legacyDecorator: true,
          decoratorMetadata: true,
          react: { runtime: 'automatic' },
          ...extra,
        },
      },
    },
  ],
});

const project = (displayName, roots, extra = {}) => ({
  displayName,
  roots: roots.map((root) => `<rootDir>/${root}`),
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: swc(),
  setupFilesAfterEnv: ['<rootDir>/testing/patience.mjs'],
  testEnvironmentOptions: { customExportConditions: ['source', 'node', 'node-addons'] },
  ...extra,
});

/** Projects whose traces are all replayed while they are tested; those of core say themselves which. */
const WATCHED = {
  setupFilesAfterEnv: ['<rootDir>/testing/patience.mjs', '<rootDir>/testing/watch.mjs'],
};

/** Unit tests by package; real-browser tests and pictures are projects of their own. */
export default {
  projects: [
    project('core', ['packages/core/src']),
    project('cli', ['packages/cli/src'], WATCHED),
    project('server', ['apps/server/src'], WATCHED),
    project('scripts', ['scripts'], { testMatch: ['**/*.test.mjs'], transform: {} }),
    project('web', ['apps/web/src'], {
      setupFilesAfterEnv: [
        ...WATCHED.setupFilesAfterEnv,
        '<rootDir>/apps/web/src/testing/typesetter.ts',
        '<rootDir>/apps/web/src/testing/judge.ts',
      ],
      setupFiles: ['<rootDir>/apps/web/src/testing/browser-globals.ts'],
      moduleNameMapper: { '\\.css$': '<rootDir>/apps/web/src/testing/no-style.ts' },
    }),
    project('e2e', ['e2e'], {
      testMatch: ['**/*.e2e.ts'],
    }),
    project('bench', ['e2e'], {
      testMatch: ['**/*.bench.ts'],
    }),
    project('screenshots', ['e2e'], {
      testMatch: ['**/*.pictures.ts'],
    }),
  ],
};
