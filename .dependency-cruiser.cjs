// Who may import whom (ARCHITECTURE.md); type imports count, too.
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  comment: `${from} may import of ours: ${allowed.join(', ') || 'nothing'}`,
  from: { path: `^packages/${from}/src` },
  to: { path: '^packages/', pathNot: [...new Set([from, ...allowed])].map((each) => `^packages/${each}/`) },
})

module.exports = {
  forbidden: [
    only('core-imports-nothing-of-ours', 'core', []),
    only('contract-imports-core', 'contract', ['core']),
    only('server-imports-contract-and-core', 'server', ['contract', 'core']),
    only('web-imports-contract-and-core', 'web', ['contract', 'core']),
    only('chatbox-imports-contract', 'chatbox', ['contract', 'core']),
    only('standins-import-core-at-most', 'standins', ['core']),
    only('demo-imports-core-at-most', 'demo', ['core']),
    {
      name: 'core-has-no-interface-code-and-no-io',
      severity: 'error',
      from: { path: '^packages/core/src' },
      to: {
        path: '^(?:vue|pinia|element-plus|express|pg|sequelize)(?:/|$)|node_modules/(?:vue|pinia|element-plus|express|pg|sequelize)/',
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'channels-stay-in-their-folders',
      comment: 'Nothing outside a connector asks which channel it is: others go through connectors/index.ts.',
      severity: 'error',
      from: { path: '^packages/server/src', pathNot: '^packages/server/src/connectors/' },
      to: { path: '^packages/server/src/connectors/(?:pages|maps|news)/' },
    },
    {
      name: 'routes-are-thin',
      comment: 'http asks services; it does not ask the database.',
      severity: 'error',
      from: { path: '^packages/server/src/http' },
      to: { path: '^packages/server/src/store' },
    },
    {
      name: 'services-know-no-http',
      severity: 'error',
      from: { path: '^packages/server/src/(?:services|store|connectors|jobs|live|access)' },
      to: { path: '^packages/server/src/http' },
    },
    {
      name: 'service-areas-by-their-face',
      comment:
        'What other parts may use of a service area stands in its index.ts. Workers load single files, to stay small.',
      severity: 'error',
      from: { path: '^packages/server/src/(?!services/|workers/)' },
      to: { path: '^packages/server/src/services/[^/]+/(?!index[.]ts$)' },
    },
    {
      name: 'service-areas-meet-by-their-faces',
      severity: 'error',
      from: { path: '^packages/server/src/services/([^/]+)/' },
      to: { path: '^packages/server/src/services/(?!$1/)[^/]+/(?!index[.]ts$)' },
    },
    {
      name: 'queries-know-no-use-cases',
      severity: 'error',
      from: { path: '^packages/server/src/store' },
      to: { path: '^packages/server/src/(?:services|jobs|live|connectors|workers)' },
    },
    { name: 'no-cycles', severity: 'error', from: { path: '^packages' }, to: { circular: true } },
    { name: 'not-to-tests', severity: 'error', from: { path: '/src/' }, to: { path: '/test/' } },
    {
      name: 'resolvable',
      severity: 'error',
      from: { path: '^packages/[^/]+/src' },
      to: { couldNotResolve: true, pathNot: '^~?virtual:' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(?:dist|\\.d\\.ts$|test-results)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.vue', '.mjs', '.js', '.json'],
    },
  },
}
