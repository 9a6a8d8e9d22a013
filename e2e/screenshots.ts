import path from 'node:path';
import type { RunningApp } from './support/app.ts';
import { assignTrigger, show, showRows } from './support/board.ts';
import { edit, OSKAR, sends, WREN } from './support/edits.ts';
import { openTablet } from './support/tablet.ts';
import { cell, control, heldFor, open, rehearsing, settled, test } from './support/test.ts';

const FOLDER = path.resolve(import.meta.dirname, '../docs/screenshots');

test.use({ reducedMotion: 'reduce' } as object);

/** One theme a view, turn about. */
test('Board', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'light' });
  await open(page, app.address, 'board');
  await cell(page, 'Turn clockwise', 'Larkframe').click();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'board-light.png') });
});

test('Rehearse', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'light' });
  await open(page, app.address, 'rehearse');
  const dial = control(page, 'Bench dial', 'Dial');
  await dial.focus();
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Space');
  await control(page, 'Twelve pad', 'Key 9').click();
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  await dial.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await control(page, 'Twelve pad', 'Key 1,').hover();
  await page.mouse.down();
  await heldFor(600);
  await page.screenshot({ path: path.join(FOLDER, 'rehearse-light.png') });
  await page.mouse.up();
});

test('Board with triggers', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await open(page, app.address, 'board');
  await assignTrigger(page, 'twelve pad', 'Key 5', 'hold', 'Larkframe', 'End');
  await assignTrigger(page, 'twelve pad', 'Key 5', 'double press', 'Larkframe', 'Home');
  await assignTrigger(page, 'twelve pad', 'Key 5', 'nudge right', 'Larkframe', 'ArrowRight');
  await showRows(page, '');
  await cell(page, 'Key 5, hold', 'Larkframe').click();
  await page.getByRole('button', { name: 'Repeat', exact: true }).click();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'triggers-dark.png') });
});

test('Rig', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'light' });
  await open(page, app.address, 'rig');
  await page.getByRole('button', { name: /^Twelve pad/ }).click();
  await control(page, 'Twelve pad', 'Key 9').click();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'rig-light.png') });
});

test('Tuning', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await open(page, app.address, 'rig');
  await page.getByRole('button', { name: /^Pocket mouse/ }).click();
  await page.getByRole('tab', { name: 'Tuning' }).click();
  await page.getByRole('checkbox', { name: /faster hand/ }).check();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'tuning-dark.png') });
});

test('Rehearse with a radial menu', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  await show(page, 'Pen tablet');
  await control(page, 'Pen tablet', 'Side key 4').focus();
  await page.keyboard.press('Space');
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowRight');
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'radial-dark.png') });
});

test('Programs', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'light' });
  await open(page, app.address, 'programs');
  await page.getByRole('gridcell').filter({ hasText: 'Delete the frame' }).click();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'programs-light.png') });
});

test('Windows of a program', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await open(page, app.address, 'programs');
  await page.getByRole('tab', { name: 'Windows' }).click();
  const side = page.getByRole('complementary');
  await side.getByRole('textbox', { name: 'Program file' }).fill('larkframe');
  await side.getByRole('textbox', { name: 'Title' }).fill('Export the film');
  await page.getByRole('button', { name: 'A profile for some of its windows…' }).click();
  await page.getByRole('textbox', { name: 'What these windows are called' }).fill('Larkframe, export');
  await page.keyboard.press('Enter');
  await side.getByRole('textbox', { name: 'Title' }).focus();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'windows-dark.png') });
});

test('Panels', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'light' });
  await open(page, app.address, 'panels?device=wall-panel&page=showing');
  await page.locator('[data-page-drawing] [data-control="showing-take"]').click();
  await page.mouse.move(700, 760);
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'panels-light.png') });
});

test('A panel in use, on a tablet and on a phone', async ({ app, page, browser }) => {
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  const tablet = await openTablet(browser, app.address, 'wall-panel');
  await tablet.page.emulateMedia({ colorScheme: 'dark' });
  await tablet.page.getByRole('button', { name: /^Cell 8/ }).tap();
  const lamp = tablet.page.locator('[data-control=showing-lamp]');
  await tablet.press(1, lamp);
  await tablet.drag(1, lamp, 0.5, 0.4);
  await tablet.press(2, tablet.page.locator('[data-control=showing-take]'));
  await settled(tablet.page);
  await tablet.page.screenshot({ path: path.join(FOLDER, 'live-dark.png') });
  await tablet.lift(1);
  await tablet.lift(2);
  await tablet.context.close();
  const phone = await openTablet(browser, app.address, 'six-pad');
  await phone.page.setViewportSize({ width: 844, height: 390 });
  await phone.page.getByRole('button', { name: /^Key 6/ }).tap();
  await settled(phone.page);
  await phone.page.screenshot({ path: path.join(FOLDER, 'phone-light.png') });
  await phone.context.close();
});

test('Board with pages', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await open(page, app.address, 'board');
  await page.getByRole('tab', { name: /^Film strip/ }).click();
  await cell(page, 'Turn clockwise', 'Larkframe').click();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'pages-dark.png') });
});

test('Compare', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'light' });
  await open(page, app.address, 'programs');
  await page.getByRole('tab', { name: 'Compare' }).click();
  await page.getByRole('combobox', { name: 'Profile 2' }).click();
  await page.getByRole('option', { name: 'Hushbox' }).click();
  await page.getByRole('button', { name: 'Add a profile' }).click();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'compare-light.png') });
});

test('Settings', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await open(page, app.address, 'settings');
  await page.getByRole('combobox', { name: 'Layout' }).waitFor();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'settings-dark.png') });
});

test('Add a device', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'light' });
  await open(page, app.address, 'add-device');
  await page.getByRole('button', { name: 'Pen tablet', exact: true }).click();
  await page.getByRole('button', { name: 'Play the recording' }).click();
  await page.getByText('Pen tip down').waitFor();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'add-device-light.png') });
});

test('Devices lent to a desk', async ({ app, page, browser }) => {
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, colorScheme: 'light' });
  const laptop = await context.newPage();
  await laptop.goto(`${app.address}/lend`);
  await laptop.getByRole('button', { name: 'Lend them' }).click();
  const field = await laptop.locator('[data-lend-pad]').boundingBox();
  const [x, y] = [(field?.x ?? 0) + 60, (field?.y ?? 0) + 60];
  await laptop.mouse.move(x, y);
  await laptop.mouse.click(x, y, { button: 'middle' });
  await laptop.mouse.wheel(0, 100);
  await settled(laptop);
  await laptop.screenshot({ path: path.join(FOLDER, 'lend-light.png') });
  await context.close();
});

test('Macros, tried', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'light' });
  await open(page, app.address, 'macros');
  await page.getByRole('button', { name: /^Send wings to grading/ }).click();
  await page.getByRole('button', { name: 'Try it', exact: true }).click();
  await page.getByRole('status', { name: 'Trying' }).getByText('Done').waitFor();
  await page.getByRole('option', { name: /menu: Window/ }).click();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'macros-light.png') });
});

/** A week of two people's work on the demo, a few edits a day. */
async function aWeek(app: RunningApp): Promise<void> {
  const SHORTCUTS = ['Ctrl+F7', 'Ctrl+F8', 'Ctrl+F9', 'Ctrl+E', 'Alt+Enter', 'Ctrl+Shift+L'];
  for (const [i, shortcut] of SHORTCUTS.entries()) {
    await edit(app.address, sends('twelve-pad', `key-${7 + (i % 5)}`, shortcut), i % 2 === 0 ? WREN : OSKAR);
    const at = i % 3 === 0 ? 'devices/bench-dial' : 'devices/shuttle';
    await edit(app.address, { kind: 'set', at, fields: { 'settings.holdMs': 260 + 10 * i } }, OSKAR);
    await edit(app.address, sends('three-pedals', 'left', shortcut), WREN);
  }
  await edit(app.address, { kind: 'remove', at: 'macros/hold-a-frame/steps/step-2' }, OSKAR);
  await app.query(`UPDATE edits SET at = '2026-11-20T08:40:00Z'::timestamptz
    + make_interval(days => (revision - 1) / 4, mins => ((revision - 1) % 4) * 17)`);
}

test('Vault: history', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'light' });
  await aWeek(app);
  await open(page, app.address, 'vault');
  await page.getByRole('option').nth(9).click();
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'history-light.png') });
});

test('Vault: taking a file in', async ({ app, page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  const file = await (
    await fetch(`${app.address}/api/set-ups/saltmarsh/file?part=program&of=larkframe`)
  ).text();
  await fetch(`${app.address}/api/set-ups`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      name: 'Travel bag',
      begin: { from: 'ready-made', models: ['six-pad', 'key-dial'] },
    }),
  });
  await open(page, app.address, 'set-up/travel-bag/vault?tab=files');
  await page.locator('input[type=file]').setInputFiles({
    name: 'larkframe.lever.json',
    mimeType: 'application/json',
    buffer: Buffer.from(file),
  });
  await page.getByRole('combobox', { name: 'In the place of Twelve pad', exact: true }).click();
  await page.getByRole('option', { name: 'Six pad' }).click();
  await page.getByRole('searchbox', { name: 'Search what comes' }).fill('pad');
  await settled(page);
  await page.screenshot({ path: path.join(FOLDER, 'take-in-dark.png') });
});
