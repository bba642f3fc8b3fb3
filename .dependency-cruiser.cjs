/** Which room may import which. In core a floor imports only the floors under it. */
const FLOORS = [
  'numerics',
  'quantity',
  'input',
  'heat',
  'meat',
  'shop',
  'kit',
  'doneness',
  'safety',
  'method',
  'request',
  'plan',
  'estimate',
  'words',
  'session',
  'book',
  'service',
  'usecase',
  'rehearsal',
  'formats',
  'evidence'
]

const floors = FLOORS.map((floor, height) => ({
  name: `core-${floor}-only-downward`,
  severity: 'error',
  from: { path: `^core/src/${floor}/` },
  to: { path: `^core/src/(${FLOORS.slice(height + 1).join('|') || 'nothing'})/` }
}))

module.exports = {
  forbidden: [
    ...floors,
    { name: 'core-imports-nothing-outside', severity: 'error', from: { path: '^core/' }, to: { path: '^(server|web|demo|e2e|scripts)/' } },
    { name: 'core-is-pure', severity: 'error', from: { path: '^core/src/', pathNot: '\\.test\\.ts$' }, to: { dependencyTypes: ['core'] } },
    {
      name: 'core-has-yup-and-its-numerics-a-library',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$|^core/src/(numerics|input)/' },
      to: { path: 'node_modules', pathNot: 'node_modules/yup/' }
    },
    {
      name: 'what-is-typed-is-read-by-two-libraries',
      severity: 'error',
      from: { path: '^core/src/input/', pathNot: '\\.test\\.ts$' },
      to: { path: 'node_modules', pathNot: 'node_modules/(yup|minisearch)/' }
    },
    {
      name: 'numerics-have-one-family-of-libraries',
      severity: 'error',
      from: { path: '^core/src/numerics/', pathNot: '\\.test\\.ts$' },
      to: { path: 'node_modules', pathNot: 'node_modules/(@types/)?d3-(array|random)/' }
    },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|demo|scripts)/' } },
    {
      name: 'the-truth-does-not-cross-to-the-page',
      severity: 'error',
      from: { path: '^web/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/src/rehearsal/(truth|twists|signs|cutOpen)', dependencyTypesNot: ['type-only'] }
    },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/' }, to: { path: '^web/' } },
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } } },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true } }
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.(css|svg)$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.vue', '.mjs', '.js', '.json'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default', 'types']
    }
  }
}
