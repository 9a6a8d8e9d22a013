import { defineConfig } from '@playwright/test';

/** Screenshots are taken by their own command, not by the tests. */
const pictures = process.env.SCREENSHOTS === '1';

export default defineConfig({
  testDir: '.',
  testMatch: pictures ? 'screenshots.ts' : '**/*.spec.ts',
  outputDir: '../.local/test-results',
  // Tests share nothing but a server that is made new before each: the last ones keep both processors busy.
  fullyParallel: true,
  workers: 2,
  retries: 0,
  forbidOnly: true,
  timeout: 120_000,
  expect: { timeout: 30_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    trace: 'off',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        // A name by which this computer is reached as other devices reach it: no page there is trusted for where it is.
        '--host-resolver-rules=MAP studio.test 127.0.0.1',
      ],
    },
  },
});
