import { makeTestGroups } from './scripts/lib/testGroups.mjs';

/** All of them are run in groups; some of them, or with their coverage, each file by itself. */
const tests =
  process.env.TEST_GROUPS === '1' ? makeTestGroups() : ['<rootDir>/{packages,apps}/*/src/**/*.test.{ts,tsx}'];

/** Unit and property tests of every workspace, next to what they test. */
export default {
  testMatch: [...tests, '<rootDir>/scripts/**/*.test.mjs'],
  // Of random runs that take long: see packages/core/src/testing/fuzz.ts.
  globals: {
    FUZZ: {
      seed: Number(process.env.SEED || Math.floor(Math.random() * 2 ** 31)),
      share: Number(process.env.FUZZ_SHARE || 0.1),
    },
  },
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
