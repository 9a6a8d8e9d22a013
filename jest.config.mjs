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
  // Ends what hangs. How fast the machine is, and what else it does, decides nothing.
  testTimeout: 600_000,
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
