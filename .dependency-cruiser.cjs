/** Imports run one way: web, server and command line use core; nothing points back or across. */

/**
 * The folders of core from the ground up: each knows only those before it. docs/architecture.md tells what each is for.
 */
const CORE_FLOORS = [
  'exact',
  'problem',
  'line',
  'account',
  'phrases',
  'sheet',
  'laws',
  'describe',
  'slips',
  'methods',
  'own/read',
  'own/judge',
  'own/say',
  'own/account',
  'compare',
  'ground',
  'habits',
  'diagnose',
  'classroom',
  'own/ways',
  'own/lettered',
  'own/paper',
  'formats',
  'checks',
];

/** A folder of core knows no folder above it. */
function below(folder, floor) {
  const above = CORE_FLOORS.slice(floor + 1).join('|');
  return {
    name: `core-${folder.replace('/', '-')}-knows-what-is-below`,
    severity: 'error',
    from: { path: `^packages/core/src/${folder}/`, pathNot: '\\.test\\.ts$' },
    to: { path: above === '' ? '^$' : `^packages/core/src/(${above})/` },
  };
}

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
    ...CORE_FLOORS.map(below),
    {
      name: 'no-cycles',
      comment: 'Not by types alone either: files that know each other are one.',
      severity: 'error',
      from: {},
      to: { circular: true },
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
