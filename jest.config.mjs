/** Three kinds of unit tests: the core (plain Node), what stands on it outside a browser, and components (jsdom). */
const transform = {
  '^.+\\.(t|j|mj)sx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        transform: { react: { runtime: 'automatic' } },
        target: 'es2022',
      },
    },
  ],
}

/** Tests run in a context of their own, in which every look at a global is slow: what the core uses most is handed in. */
const FAST_GLOBALS = ['Math', 'Number', 'Object', 'Array', 'JSON', 'Map', 'Set', 'Float64Array', 'Intl', 'String']

const shared = {
  transform,
  transformIgnorePatterns: [
    '/node_modules/(?!(typebox|d3-array|internmap|@tanstack|@date-fns|date-fns|uuid|@fontsource-variable)/)',
  ],
  moduleNameMapper: {
    '\\.css$': '<rootDir>/scripts/testing/no-css.cjs',
    '/storage/check-thread\\.ts$': '<rootDir>/app/storage/check-here.ts',
    '/worker/thread\\.ts$': '<rootDir>/scripts/testing/thread.ts',
  },
}

export default {
  // A busy machine is no fault of what is tested.
  testTimeout: 30_000,
  // By itself jest leaves a core idle, which of two is half of them.
  maxWorkers: '100%',
  projects: [
    {
      ...shared,
      displayName: 'core',
      sandboxInjectedGlobals: FAST_GLOBALS,
      testEnvironment: 'node',
      setupFiles: ['<rootDir>/core/catalogue/courses/all-definitions.ts'],
      testMatch: ['<rootDir>/(core|server|demo|scripts)/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'app',
      // A library declares some of the others by itself.
      sandboxInjectedGlobals: ['Math', 'Object'],
      testEnvironment: 'jsdom',
      setupFiles: ['<rootDir>/scripts/testing/browser.ts', '<rootDir>/core/catalogue/courses/all-definitions.ts'],
      setupFilesAfterEnv: [
        '@testing-library/jest-dom',
        '<rootDir>/scripts/testing/after-each.ts',
        '<rootDir>/scripts/testing/guard.ts',
      ],
      testMatch: ['<rootDir>/app/**/*.test.{ts,tsx}'],
    },
  ],
}
