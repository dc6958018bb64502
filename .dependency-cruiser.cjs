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
      name: 'web-screens-stand-apart',
      comment: 'A screen uses what screens share, never another screen.',
      severity: 'error',
      from: { path: '^apps/web/src/features/([^/]+)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^apps/web/src/features/', pathNot: '^apps/web/src/features/$1/' },
    },
    {
      name: 'web-shared-below-screens',
      comment: 'What screens share knows no screen; only the application joins them.',
      severity: 'error',
      from: { path: '^apps/web/src/(?!features/|app/|main\\.ts|testing/)' },
      to: { path: '^apps/web/src/(features|app)/' },
    },
    {
      name: 'web-store-below-view',
      severity: 'error',
      from: { path: '^apps/web/src/(store|api)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^apps/web/src/(?!store/|api/)' },
    },
    {
      name: 'web-server-by-its-client',
      comment: 'Only the client knows the addresses of the server.',
      severity: 'error',
      from: { path: '^apps/web/src/(paper|sheet|worked|commands)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^apps/web/src/api/' },
    },
    {
      name: 'core-numbers-know-nothing',
      severity: 'error',
      from: { path: '^packages/core/src/exact/', pathNot: '\\.test\\.ts$' },
      to: { path: '^packages/core/src/(?!exact/)' },
    },
    {
      name: 'core-problems-below-accounts',
      severity: 'error',
      from: { path: '^packages/core/src/problem/', pathNot: '\\.test\\.ts$' },
      to: { path: '^packages/core/src/(?!exact/|problem/)' },
    },
    {
      name: 'core-accounts-below-methods',
      severity: 'error',
      from: {
        path: '^packages/core/src/(account|laws|sheet|phrases|describe)/',
        pathNot: '\\.test\\.ts$',
      },
      to: { path: '^packages/core/src/(methods|compare|checks|ground|formats)/' },
    },
    {
      name: 'core-methods-below-comparison',
      severity: 'error',
      from: { path: '^packages/core/src/methods/', pathNot: '\\.test\\.ts$' },
      to: { path: '^packages/core/src/(compare|checks|ground|formats)/' },
    },
    {
      name: 'core-comparison-below-documents',
      severity: 'error',
      from: { path: '^packages/core/src/(compare|ground)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^packages/core/src/(checks|formats)/' },
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
