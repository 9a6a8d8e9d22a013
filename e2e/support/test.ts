import { setTimeout as lasting } from 'node:timers/promises';
import AxeBuilder from '@axe-core/playwright';
import { test as base, expect, type Locator, type Page } from '@playwright/test';
import { type RunningApp, startApp } from './app.ts';
import { IN_FULL } from './inFull.ts';

/** A server that is started when it is first asked for, and stopped with the worker. */
interface SharedApp {
  readonly begun: () => Promise<RunningApp>;
}

/**
 * A test with a server that has nothing but the demo; errors the page logs fail it. The tests of a worker share one, which
 * is made as it began before each of them; with `settings`, further ones as the environment has them, it is one of its own.
 */
export const test = base.extend<
  { settings: Record<string, string>; app: RunningApp; quietPage: Page },
  { shared: SharedApp }
>({
  settings: [{}, { option: true }],
  shared: [
    // biome-ignore lint/correctness/noEmptyPattern: the runner reads from it which fixtures are asked for
    async ({}, use) => {
      const apps: Promise<RunningApp>[] = [];
      await use({
        begun: () => {
          if (apps.length === 0) apps.push(startApp());
          return apps[0] as Promise<RunningApp>;
        },
      });
      for (const app of apps) await (await app).stop();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  app: async ({ settings, shared }, use) => {
    if (Object.keys(settings).length === 0) {
      const app = await shared.begun();
      await app.reset();
      await use(app);
      return;
    }
    const app = await startApp(settings);
    await use(app);
    await app.stop();
  },
  quietPage: async ({ page }, use) => {
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error') errors.push(message.text());
    });
    await use(page);
    expect(errors).toEqual([]);
  },
});

export { expect };

/** A cell of the Board by its row and column. */
export function cell(page: Page, row: string, column: string): Locator {
  return page.getByRole('gridcell', { name: new RegExp(`^[^,]+, ${row} in ${column}:`) }).first();
}

/** A drawn control by its device and the start of its name. */
export function control(page: Page, device: string, name: string): Locator {
  return page
    .getByRole('group', { name: device })
    .getByRole('button', { name: new RegExp(`^${device}, ${name}`) });
}

/** Opens a view and waits until the set-up is shown. */
export async function open(
  page: Page,
  address: string,
  view:
    | 'board'
    | 'macros'
    | 'rig'
    | 'programs'
    | 'panels'
    | `panels?${string}`
    | 'rehearse'
    | 'settings'
    | 'add-device'
    | 'vault'
    | `vault?${string}`
    | `set-up/${string}`,
): Promise<void> {
  await page.goto(`${address}/${view}`);
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
}

/** Rehearse is shown, and no longer the view before it, which has drawings of its own. */
export async function rehearsing(page: Page): Promise<void> {
  await expect(page.getByRole('region', { name: 'Practice desk' })).toBeVisible();
  // Drawn is not yet listening: that comes with the next turn.
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve))));
}

/** Everything is saved. */
export async function saved(page: Page): Promise<void> {
  await expect(page.locator('[data-saving=saved]')).toBeVisible();
}

/** What was told to the page is drawn: one frame carries it out, the next shows it. */
export async function drawn(page: Page): Promise<void> {
  await page.evaluate(
    () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => done(null)))),
  );
}

/** Undoes so many edits, one after the other. */
export async function undo(page: Page, times: number): Promise<void> {
  for (let i = 0; i < times; i++) {
    await page.keyboard.press('Control+z');
    await drawn(page);
  }
}

/** A finger, a button or a key stays down so long: what it does then is what is tested. Milliseconds. */
export const heldFor = lasting;

/** Ready to be pictured: letters are there, nothing moves, all is drawn. */
export async function settled(page: Page): Promise<void> {
  await page.evaluate(() => document.fonts.ready.then(() => null));
  await drawn(page);
  await atRest(page);
  await drawn(page);
}

/** What fades or slides in has come to rest: half faded, its colours are not those that are read. */
async function atRest(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    document
      .getAnimations()
      .every(
        ({ playState, effect }) => playState !== 'running' || effect?.getTiming().iterations === Infinity,
      ),
  );
}

/** axe finds nothing serious or critical (WCAG 2.2 A and AA). */
export async function expectAccessible(page: Page): Promise<void> {
  await atRest(page);
  const { violations } = await new AxeBuilder({ page })
    // What passes is not listed, and no frames are put together (there are none): naming every sound cell of the
    // Board takes six times as long as looking at it.
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(
    serious.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`),
  ).toEqual([]);
}

/**
 * The same in both themes; in a share of the tests in the dark one, as the views are looked at in the light one, and what
 * the themes' colours are on each other is a test of the tokens.
 */
export async function expectAccessibleInBoth(page: Page): Promise<void> {
  if (!IN_FULL) {
    await page.emulateMedia({ colorScheme: 'dark' });
    await expectAccessible(page);
    await page.emulateMedia({ colorScheme: 'light' });
    return;
  }
  for (const colorScheme of ['dark', 'light'] as const) {
    await page.emulateMedia({ colorScheme });
    await expectAccessible(page);
  }
}
