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
  testTimeout: 300_000,
  moduleFileExtensions: ['ts', 'tsx', 'mjs', 'js', 'json'],
};
