/** The rungs of core's ladder, lowest first: a room imports those below it, and nothing else. */
const RUNGS = `
  quantity numeric lattice jet
  fluid heat tank pipe fitting pump weir skimmer uv device scene
  run network drain sump rest
  design layout loop figures judge drill editing fit build-sheet
  finding key-figures idea assumed fix working basin
  currents sizing start compare`
  .trim()
  .split(/\s+/)

const upwards = RUNGS.slice(0, -1).map((room, i) => ({
  name: `core-${room}-imports-downwards`,
  comment: `core/src/${room} may not import what stands above it`,
  severity: 'error',
  from: { path: `^core/src/${room}/` },
  to: { path: `^core/src/(${RUNGS.slice(i + 1).join('|')})/` },
}))

/** What is asked of a room is asked at its index; core's own tests may import a room's file. */
const doors = RUNGS.map((room) => ({
  name: `core-${room}-through-its-door`,
  comment: `nobody outside core/src/${room} imports past its index.ts`,
  severity: 'error',
  from: { path: '^(core|contract|server|web|tools)/', pathNot: `^core/(src/${room}/|test/)` },
  to: { path: `^core/src/${room}/`, pathNot: `^core/src/${room}/index\\.ts$` },
}))

/** A room's own files import each other, not its index. */
const inside = RUNGS.map((room) => ({
  name: `core-${room}-knows-its-files`,
  comment: `inside core/src/${room} a file imports the file, never the index`,
  severity: 'error',
  from: { path: `^core/src/${room}/` },
  to: { path: `^core/src/${room}/index\\.ts$` },
}))

const unknownRoom = {
  name: 'core-has-no-room-off-the-ladder',
  severity: 'error',
  from: { path: '^core/src/', pathNot: `^core/src/((${RUNGS.join('|')})/|[^/]+\\.ts$)` },
  to: {},
}

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
    ...doors,
    ...inside,
    unknownRoom,
    {
      name: 'contract-takes-types-of-core',
      comment: 'contract imports core’s types only',
      severity: 'error',
      from: { path: '^contract/src' },
      to: { path: '^core/src', dependencyTypesNot: ['type-only'] },
    },
    wall(
      'the-application-asks-at-the-front-door',
      '^(contract|server|web)/src',
      '^core/src/lab\\.ts$',
      'engine internals are for tools and tests',
    ),
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
      'workers-through-calc',
      '^web/src/(?!calc/)',
      '(^|/)comlink/',
      'web/src/calc is the only door to workers',
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
