/** Unit and property tests of every workspace, next to what they test. */
export default {
  testMatch: ['<rootDir>/{packages,apps}/*/src/**/*.test.{ts,tsx}', '<rootDir>/scripts/**/*.test.mjs'],
  testEnvironment: 'node',
  transform: {
    '^.+\\.(tsx?|mjs)$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2022',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  // The tests have the machine to themselves; by itself Jest leaves one processor idle, half of a small machine.
  maxWorkers: '100%',
  // For a slow machine; what takes longer by itself is a soak.
  testTimeout: 60_000,
  coverageProvider: 'v8',
  coverageReporters: ['json-summary'],
  coverageDirectory: '.local/reports',
  // Of the computation: putting the others' figures together takes longer than the tests.
  collectCoverageFrom: [
    '<rootDir>/packages/{core,session}/src/**/*.ts',
    '!**/{testing,demo}/**',
    '!**/index.ts',
  ],
  moduleFileExtensions: ['ts', 'tsx', 'js', 'mjs', 'json'],
};
