/** Imports run one way: web, server and command line use core; nothing points back or across. */
module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^packages/core' },
      to: { path: '^(apps|packages/cli)|node_modules/(@nestjs|typeorm|react|@mui|better-sqlite3)' },
    },
    {
      name: 'no-web-to-server',
      severity: 'error',
      from: { path: '^apps/web' },
      to: { path: '^(apps/server|packages/cli)' },
    },
    {
      name: 'no-server-to-web',
      severity: 'error',
      from: { path: '^apps/server' },
      to: { path: '^(apps/web|packages/cli)' },
    },
    {
      name: 'cli-is-thin',
      severity: 'error',
      from: { path: '^packages/cli' },
      to: { path: '^apps' },
    },
    {
      name: 'core-by-its-index',
      severity: 'error',
      from: { path: '^(apps|packages/cli)' },
      to: { path: '^packages/core/src/(?!index\\.ts)' },
    },
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.test.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['source', 'import', 'default'],
    },
  },
};
