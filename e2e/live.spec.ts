import { randomUUID } from 'node:crypto';
import type { Browser, Page } from '@playwright/test';
import { slowLine } from './support/slowLine.ts';
import { openTablet, type Tablet } from './support/tablet.ts';
import {
  control,
  expect,
  expectAccessible,
  expectAccessibleInBoth,
  heldFor,
  open,
  rehearsing,
  test,
} from './support/test.ts';

/** A desk in one browser, and a tablet that shows a device of it in another. */
async function joined(page: Page, browser: Browser, address: string, device: string): Promise<Tablet> {
  await open(page, address, 'rehearse');
  await rehearsing(page);
  return openTablet(browser, address, device);
}

test('a press on a tablet is obeyed in the other browser; its page and faces follow the program in front', async ({
  app,
  quietPage: page,
  browser,
}) => {
  const tablet = await joined(page, browser, app.address, 'six-pad');
  await expect(page.getByText('Six pad joined')).toBeVisible();
  const key = (name: string) => tablet.page.getByRole('button', { name: new RegExp(`^${name}`) });
  await expect(tablet.page.getByText(/Larkframe in front/)).toBeVisible();
  await key('Key 6, Shot').tap();
  await expect(tablet.page.getByText(/Shot/).first()).toBeVisible();
  await key('Key 3, Onion').tap();
  await expect(page.getByText('Onion skin on')).toBeVisible();
  const account = page.getByRole('complementary', { name: 'What happened' });
  await expect(account.getByRole('listitem').first()).toContainText('Six pad');
  await expectAccessibleInBoth(tablet.page);
  // Another program in front: its own folder is offered, and what was open closes.
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  await expect(key('Key 6, Puppet')).toBeVisible();
  // The page at the desk is left: the tablet says so, and joins again by itself.
  await page.getByRole('link', { name: 'Board' }).click();
  await expect(tablet.page.getByText(/No desk is there/)).toBeVisible();
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await expect(tablet.page.getByText(/in front/)).toBeVisible();
  await tablet.context.close();
  await expect(page.getByText('Six pad joined')).toHaveCount(0);
});

test('two fingers at once hold two keys; a tablet that goes leaves nothing down', async ({
  app,
  quietPage: page,
  browser,
}) => {
  const tablet = await joined(page, browser, app.address, 'pen-tablet');
  const held = page.getByRole('region', { name: 'Held now' });
  const side = (number: number) => tablet.page.locator(`[data-control=side-${number}]`);
  await expect(side(1)).toBeVisible();
  await tablet.press(1, side(1));
  await tablet.press(2, side(2));
  await expect(held).toContainText('Shift');
  await expect(held).toContainText('Ctrl');
  await tablet.lift(1);
  await expect(held).not.toContainText('Shift');
  await expect(held).toContainText('Ctrl');
  await tablet.page.close();
  await expect(held).toContainText('Nothing');
  await tablet.context.close();
});

test('the server goes with a key held: it comes up, and what is pressed meanwhile is never sent', async ({
  app,
  page,
  browser,
}) => {
  const tablet = await joined(page, browser, app.address, 'pen-tablet');
  const held = page.getByRole('region', { name: 'Held now' });
  const side = (number: number) => tablet.page.locator(`[data-control=side-${number}]`);
  await expect(page.getByText('Pen tablet joined')).toBeVisible();
  await tablet.press(1, side(1));
  await expect(held).toContainText('Shift');
  await app.kill();
  await expect(held).toContainText('Nothing');
  await expect(tablet.page.getByText(/does not answer, for \d+ s/)).toBeVisible();
  await tablet.lift(1);
  await side(2).tap();
  await app.restart();
  await expect(page.getByText('Pen tablet joined')).toBeVisible({ timeout: 20_000 });
  const account = page.getByRole('complementary', { name: 'What happened' });
  await expect(account).not.toContainText('Ctrl');
  await side(2).tap();
  await expect(account).toContainText('Ctrl');
  await expect(control(page, 'Pen tablet', 'Side key 2')).toHaveCount(0);
  await tablet.context.close();
});

/** What one key of the six pad does when it is tapped and when it is held, set as another browser would. */
async function setTapAndHold(page: Page, address: string): Promise<void> {
  const set = (trigger: 'press' | 'hold', shortcut: string) => ({
    id: randomUUID(),
    role: 'do',
    author: { id: randomUUID(), name: 'Bench' },
    base: 0,
    edit: {
      kind: 'set',
      at: `profiles/everywhere/bindings/base/six-pad/key-1/${trigger}`,
      fields: { behaviour: { kind: 'action', action: { kind: 'shortcut', shortcut }, style: 'tap' } },
    },
  });
  const entries = [set('press', 'Ctrl+Alt+1'), set('hold', 'Ctrl+Alt+2')];
  const answer = await page.request.post(`${address}/api/set-ups/saltmarsh/edits`, {
    data: { after: 0, entries },
  });
  expect(await answer.json()).toMatchObject({ outcomes: [{ kind: 'saved' }, { kind: 'saved' }] });
}

test('a hold of 250 ms is one of the finger on the panel, over a network that takes 150 ms and now and then more', async ({
  app,
  page,
  browser,
}) => {
  const line = await slowLine(app.address, 150);
  await setTapAndHold(page, app.address);
  const tablet = await joined(page, browser, line.address, 'six-pad');
  const key = tablet.page.locator('[data-control=key-1]');
  await expect(key).toBeVisible();
  await expect(page.getByText('Six pad joined')).toBeVisible();
  const account = page.getByRole('complementary', { name: 'What happened' }).getByRole('listitem').first();
  // By which the desk learns how long the network takes at least.
  await tablet.tap(1, key);
  await expect(account).toContainText('Alt+1');
  await tablet.press(1, key);
  await heldFor(600);
  await tablet.lift(1);
  await expect(account).toContainText('Alt+2');
  await tablet.tap(1, key);
  await expect(account).toContainText('Alt+1');
  // The way down takes 450 ms longer than the way up: what comes in is 150 ms long, what was done 600.
  line.setDelay(600);
  await tablet.press(1, key);
  await heldFor(100);
  line.setDelay(150);
  await heldFor(500);
  await tablet.lift(1);
  await expect(account).toContainText('Alt+2');
  await tablet.context.close();
  await line.close();
});

test('a press at one server reaches a desk at another; when that one ends with a key held, it comes up', async ({
  app,
  page,
  browser,
}) => {
  const other = await app.beside();
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  const tablet = await openTablet(browser, other.address, 'pen-tablet');
  const held = page.getByRole('region', { name: 'Held now' });
  const side = (number: number) => tablet.page.locator(`[data-control=side-${number}]`);
  await expect(page.getByText('Pen tablet joined')).toBeVisible();
  await tablet.press(1, side(1));
  await expect(held).toContainText('Shift');
  // At once by a message, not by a time limit: the second sign comes back the same way.
  await expect(tablet.page.locator('.control.done, .control.lit').first()).toBeVisible();
  await tablet.lift(1);
  await expect(held).toContainText('Nothing');
  await tablet.press(1, side(1));
  await expect(held).toContainText('Shift');
  await other.kill();
  await expect(held).toContainText('Nothing');
  await expect(page.getByText('Pen tablet joined')).toHaveCount(0);
  await tablet.context.close();
});

test('a panel starts without its server as it was last, says so, and joins when the server is back', async ({
  app,
  page,
  browser,
}) => {
  const tablet = await joined(page, browser, app.address, 'six-pad');
  const manifest = await tablet.page.locator('link[rel=manifest]').getAttribute('href');
  expect(await (await tablet.page.request.get(`${app.address}${manifest}`)).json()).toMatchObject({
    start_url: '/panel/six-pad',
    display: 'fullscreen',
  });
  await expect(tablet.page.getByRole('button', { name: /^Key 6, Shot/ })).toBeVisible();
  // Kept: by the worker what it is made of, by the page how it looks.
  const isKept = async () => {
    const names = (await (await caches.open('nimble-lever-panel')).keys()).map(({ url }) => url);
    const last = localStorage.getItem('nimble-lever.panel.six-pad') ?? '';
    return names.some((url) => url.endsWith('.js')) && last.includes('Shot');
  };
  await expect.poll(() => tablet.page.evaluate(isKept)).toBe(true);
  await app.kill();
  await tablet.page.reload();
  await expect(tablet.page.getByRole('button', { name: /^Key 6, Shot/ })).toBeVisible();
  await expect(tablet.page.getByText(/does not answer/)).toBeVisible();
  await expectAccessible(tablet.page);
  await app.restart();
  await expect(tablet.page.getByText(/Larkframe in front/)).toBeVisible({ timeout: 30_000 });
  await tablet.page.getByRole('button', { name: /^Key 6, Shot/ }).tap();
  await expect(tablet.page.getByRole('button', { name: /^Key 6, Back/ })).toBeVisible();
  await tablet.context.close();
});
