/** The direction of imports: core ← shared ← server and app. `npm run imports` fails on any arrow against it. */
const forbid = (name, from, to, comment) => ({ name, severity: 'error', comment, from, to })
module.exports = {
  forbidden: [
    forbid(
      'core-is-pure',
      { path: '^core/', pathNot: '(\\.test\\.ts|^core/said\\.ts)$' },
      { pathNot: '^(core/|node_modules/(zod|fast-deep-equal)/)' },
      'core imports only itself, zod and a comparison of data; what may be said is typed by the English catalogue (core/said.ts)',
    ),
    forbid(
      'shared-below',
      { path: '^shared/', pathNot: '\\.test\\.ts$' },
      { path: '^(server|app)/' },
      'shared imports neither server nor app',
    ),
    forbid(
      'the-product-ships-no-examiner',
      { path: '^(core|words|shared|server|app)/', pathNot: '\\.test\\.ts$' },
      { path: '^evaluation/' },
      'evaluation is for tests and npm run robot',
    ),
    forbid(
      'evaluation-sees-the-core-alone',
      { path: '^evaluation/', pathNot: '\\.test\\.ts$' },
      { path: '^(shared|server|app)/' },
      'evaluation judges the core',
    ),
    forbid(
      'words-below',
      { path: '^words/' },
      { path: '^(evaluation|shared|server|app)/' },
      'words know the core’s facts and nothing else',
    ),
    forbid('server-not-app', { path: '^server/' }, { path: '^app/' }, 'server does not import app'),
    forbid('app-not-server', { path: '^app/' }, { path: '^server/' }, 'app does not import server'),
    forbid(
      'routes-are-thin',
      { path: '^server/(api|routes)/' },
      { path: '(^server/(repositories|database)/|node_modules/mysql2)' },
      'routes call services',
    ),
    forbid(
      'sql-in-repositories',
      { path: '^server/', pathNot: '^server/(database|repositories)/' },
      { path: 'node_modules/mysql2' },
      'mysql2 belongs to database and repositories',
    ),
    forbid(
      'components-no-stores',
      { path: '^app/components/' },
      { path: '^app/(stores|pages|utils/(api|upload)\\.)' },
      'components take props and emit, and fetch nothing: composables do',
    ),
    forbid(
      'schemas-by-one-door',
      { path: '^(core|words|shared|server|app)/', pathNot: '(\\.test\\.ts$|^core/zod\\.ts$)' },
      { path: 'node_modules/zod', dependencyTypesNot: ['type-only'] },
      'core/zod.ts sets the package up before the first schema is made',
    ),
    forbid(
      'no-circles',
      {},
      { circular: true, viaOnly: { pathNot: 'node_modules|^core/said\\.ts$' } },
      'no import circles',
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.imports.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.js', '.mjs'] },
  },
}
