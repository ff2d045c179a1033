/** The import table of the project: who may import what. `npm run check` runs it. */
const stages = ['measure', 'book', 'rice', 'mise', 'wok', 'line', 'record']
const laterStages = stages.map((stage, i) => ({
  name: `core-${stage}-knows-no-later-stage`,
  severity: 'error',
  from: { path: `^core/src/${stage}/` },
  to: { path: `^core/src/(${stages.slice(i + 1).join('|') || 'none'})/` },
}))
/** The book and the kitchen's set-up are read by every stage; the stages' own tables are not. */
const serverStages = ['rice', 'mise', 'wok', 'line', 'record']
const appStages = ['book', 'rice', 'mise', 'wok', 'line', 'record', 'setup']

module.exports = {
  forbidden: [
    // What is imported when it is first needed closes no circle of evaluation.
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['dynamic-import'] } },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '(\\.test\\.ts$|^core/src/test/)' },
      // Calendar arithmetic and exact decimals come from libraries that are pure themselves.
      to: { pathNot: '^(core/src/|node_modules/(date-fns|@date-fns/tz|decimal\\.js)/)' },
    },
    ...laterStages,
    {
      name: 'contract-takes-zod-and-core',
      severity: 'error',
      from: { path: '^contract/src/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^(contract/src/|core/src/|node_modules/zod/)' },
    },
    { name: 'server-knows-no-app', severity: 'error', from: { path: '^server/' }, to: { path: '^(app|e2e)/' } },
    {
      name: 'only-sql-files-use-mysql',
      severity: 'error',
      from: { path: '^server/src/', pathNot: '(\\.sql\\.ts$|^server/src/db/|\\.test\\.ts$)' },
      to: { path: 'node_modules/mysql2', dependencyTypesNot: ['type-only'] },
    },
    ...serverStages.map((stage) => ({
      name: `server-${stage}-keeps-its-sql`,
      severity: 'error',
      from: { path: '^server/src/', pathNot: `^server/src/(${stage}|db|demo)/|\\.test\\.ts$` },
      to: { path: `^server/src/${stage}/.*\\.sql\\.ts$` },
    })),
    { name: 'app-knows-no-server', severity: 'error', from: { path: '^app/' }, to: { path: '^(server|e2e|tools)/' } },
    ...appStages.map((stage) => ({
      name: `app-${stage}-keeps-its-screens`,
      severity: 'error',
      from: { path: '^app/src/', pathNot: `^app/src/((app|${stage})/|screens\\.ts$)` },
      to: { path: `^app/src/${stage}/.*Screen\\.tsx$` },
    })),
    {
      name: 'e2e-drives-from-outside',
      severity: 'error',
      from: { path: '^e2e/' },
      to: { path: '^(core|server|app)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|\\.expo|\\.okazu|\\.okazu-build)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.web.ts', '.web.tsx', '.ts', '.tsx', '.js'],
    },
  },
}
