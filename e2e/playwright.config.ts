import { defineConfig } from '@playwright/test';

/** Screenshots are taken by their own command, not by the tests. */
const pictures = process.env.SCREENSHOTS === '1';

/**
 * Parts of the browser's own window that are made anew for each test and that nobody sees: half of what opening a page
 * costs. The second list is the runner's own, which this one takes the place of.
 */
const WITHOUT = [
  ...['WebUIOmniboxPopup', 'WebUIOmniboxAimPopup', 'WebUIOmniboxFullPopup', 'PreloadTopChromeWebUI'],
  ...['InitialWebUI', 'WebUIReloadButton', 'WebUIToolbar'],
  ...[
    'AvoidUnnecessaryBeforeUnloadCheckSync',
    'DestroyProfileOnBrowserClose',
    'HttpsUpgrades',
    'LensOverlay',
  ],
  ...['HttpsFirstBalancedModeAutoEnable', 'MediaRouter', 'PaintHolding', 'ThirdPartyStoragePartitioning'],
  ...['AvoidCorsURLLoaderRestartOnRedirect', 'OptimizationHints', 'NetworkTimeServiceQuerying', 'AimEnabled'],
];

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
        `--disable-features=${WITHOUT.join(',')}`,
        // A name by which this computer is reached as other devices reach it: no page there is trusted for where it is.
        '--host-resolver-rules=MAP studio.test 127.0.0.1',
      ],
    },
  },
});
