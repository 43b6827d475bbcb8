const swc = (extra = {}) => [
  '<rootDir>/../tools/jest/transform.mjs',
  {
    jsc: {
      parser: { syntax: 'typescript', decorators: true },
      transform: { legacyDecorator: true, decoratorMetadata: false, useDefineForClassFields: true },
      target: 'es2022',
      ...extra,
    },
    module: { type: 'es6' },
    sourceMaps: 'inline',
  },
]

const project = (name, more = {}) => ({
  displayName: name,
  rootDir: `<rootDir>/${name}`,
  testMatch: ['<rootDir>/test/**/*.test.ts'],
  testEnvironment: 'node',
  testEnvironmentOptions: { customExportConditions: ['source', 'node', 'node-addons'] },
  extensionsToTreatAsEsm: ['.ts', '.vue'],
  transform: { '\\.ts$': swc() },
  ...more,
})

export default {
  // Wide enough for a slow, shared machine: a test fails by what it finds, never by a clock.
  testTimeout: 60_000,
  projects: [
    project('core'),
    project('contract'),
    project('server', {
      globalSetup: '<rootDir>/test/database.setup.mjs',
      globalTeardown: '<rootDir>/test/database.teardown.mjs',
    }),
    // How a start goes: the set-up scripts as they are.
    project('tools', { testMatch: ['<rootDir>/test/**/*.test.mjs'] }),
    project('web', {
      testEnvironment: 'jsdom',
      transform: { '\\.ts$': swc(), '\\.vue$': '<rootDir>/test/vue-transform.mjs' },
      moduleFileExtensions: ['ts', 'vue', 'js', 'mjs', 'json'],
    }),
  ],
}
