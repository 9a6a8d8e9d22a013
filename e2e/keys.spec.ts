import { KEY_TABLE } from '@nimble-lever/core/keys';
import { chromium } from '@playwright/test';
import { openDisplay } from './support/display.ts';
import { expect, test } from './support/test.ts';

/** Keys that lock or switch something for the whole screen, so that they are pressed twice. */
const LOCKS = ['CapsLock', 'NumLock', 'ScrollLock', 'KanaMode', 'Lang1', 'Lang2', 'Lang3', 'Lang4', 'Lang5'];

/** Chromium has no code for this key. */
const UNKNOWN = 'Props';

/**
 * The browser's own word for real keys: each X keycode of the table is pressed through the X server, and what
 * Chromium reports as `event.code` is compared. Nothing here tells Chromium the code.
 */
test('Chromium calls every key by the code of the key table', async () => {
  const display = await openDisplay();
  const browser = await chromium.launch({
    headless: false,
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
    env: { ...process.env, DISPLAY: display.name },
  });
  try {
    const page = await browser.newPage();
    await page.setContent('<title>every key</title><p tabindex="0">keys</p>');
    await page.evaluate(() => {
      const heard: string[] = [];
      Object.assign(window, { heard });
      for (const kind of ['keydown', 'keyup']) {
        window.addEventListener(kind, (event) => {
          event.preventDefault();
          if (kind === 'keydown' && event instanceof KeyboardEvent) heard.push(event.code);
        });
      }
    });
    display.focus('every key');
    await page.locator('p').click();
    const wrong: string[] = [];
    let heardOf = 0;
    for (const { code, linux } of KEY_TABLE) {
      if (!linux || linux.code + 8 > 255 || code === UNKNOWN) continue;
      const times = LOCKS.includes(code) ? 2 : 1;
      for (let i = 0; i < times; i++) display.key(linux.code + 8);
      // A busy machine hears it later; a key that is never heard is told below.
      await page.waitForFunction(`heard.length >= ${times}`, null, { timeout: 2000 }).catch(() => undefined);
      const heard = await page.evaluate<string[]>('heard.splice(0)');
      if (heard.length > 0) heardOf += 1;
      if (heard.some((other) => other !== code)) wrong.push(`${code}: ${heard.join(', ')}`);
      if (heard.length === 0) wrong.push(`${code}: nothing`);
    }
    expect(wrong).toEqual([]);
    expect(heardOf).toBeGreaterThan(130);
  } finally {
    await browser.close();
    display.stop();
  }
});
