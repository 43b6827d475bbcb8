/** The rungs of core's ladder, lowest first: a folder imports its own rung and those below. */
const RUNGS = [
  ['quantity', 'numeric', 'lattice', 'jet'],
  ['fluid', 'tank', 'pipe', 'fitting', 'pump', 'weir', 'skimmer', 'uv', 'device', 'scene'],
  ['run'],
  ['network'],
  ['drain', 'sump'],
  ['basin'],
  ['drill', 'currents'],
  ['sizing'],
]

const upwards = RUNGS.map((rung, i) => ({
  name: `core-${rung[0]}-imports-downwards`,
  comment: `core/src/${rung.join(', ')} may not import what stands above it`,
  severity: 'error',
  from: { path: `^core/src/(${rung.join('|')})/` },
  to: {
    path: `^core/src/(${
      RUNGS.slice(i + 1)
        .flat()
        .join('|') || 'nothing-above'
    })/`,
  },
}))

const wall = (name, from, to, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: '/test/' },
  to: { path: to },
})

module.exports = {
  forbidden: [
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    wall('core-stands-alone', '^core/src', '^(?!core/src)', 'core imports nothing outside itself'),
    {
      name: 'no-barrel-inside-core',
      severity: 'error',
      from: { path: '^core/src/' },
      to: { path: '^core/src/index\\.ts$' },
    },
    ...upwards,
    {
      name: 'contract-takes-types-of-core',
      comment: 'contract imports core’s types only',
      severity: 'error',
      from: { path: '^contract/src' },
      to: { path: '^core/src', dependencyTypesNot: ['type-only'] },
    },
    wall(
      'contract-knows-no-sides',
      '^contract/src',
      '^(server|web|e2e|tools)/',
      'contract serves both sides',
    ),
    wall(
      'server-knows-no-web',
      '^server/src',
      '^(web|e2e|tools)/',
      'server imports core and contract',
    ),
    wall(
      'web-knows-no-server',
      '^web/src',
      '^(server|e2e|tools)/',
      'web imports core and contract',
    ),
    wall(
      'e2e-touches-only-the-app',
      '^e2e/',
      '^(core|contract|server|web)/src',
      'journeys drive the running application',
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(core|contract|server|web)/dist/' },
    tsPreCompilationDeps: 'specify',
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['source', 'import', 'types'],
    },
  },
}
