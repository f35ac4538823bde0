/** Jest runs the core, the command line and the storage logic; the interface is Playwright's. */
export default {
  testEnvironment: 'node',
  // Every test file runs in a world of its own, where the way to a global is six times as long as the arithmetic behind it.
  sandboxInjectedGlobals: ['Math', 'Number', 'Array', 'Object', 'Map', 'Set', 'Float64Array', 'Infinity'],
  // By default one core is kept free, which on two cores doubles the time.
  maxWorkers: '100%',
  // A test ends when it is done: how long that takes is the machine's affair.
  testTimeout: 300_000,
  // Stores and the in-memory database still hold globals when a file ends; cleaning them up breaks the runner.
  testEnvironmentOptions: { globalsCleanup: 'off' },
  testMatch: ['<rootDir>/{core,app,server,cli,demo,docs,scripts}/**/*.test.ts'],
  moduleNameMapper: {
    '^~/(.*)$': '<rootDir>/app/$1',
    '^~~/(.*)$': '<rootDir>/$1',
    '^#core/(.*)$': '<rootDir>/core/$1',
  },
  modulePathIgnorePatterns: ['<rootDir>/.output', '<rootDir>/.nuxt'],
  transform: {
    '\\.[mc]?[jt]s$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } },
    ],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(nanoid|@zip.js|numeric-quantity|tinyqueue|earcut|fflate|dexie|immer|comlink|pinia|@vue/devtools-[a-z]+|@vueuse|perfect-debounce|birpc|hookable|nostics|@vue/devtools)/)',
  ],
}
