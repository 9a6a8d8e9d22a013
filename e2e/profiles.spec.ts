import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Locator, Page } from '@playwright/test';
import { entry } from './support/programs.ts';
import { expect, open, saved, test, undo } from './support/test.ts';

const status = (page: Page, text: string | RegExp): Locator =>
  page.getByRole('status').filter({ hasText: text });

test('a profile is copied to a second program by intent, emptied, based on another, and stayed with', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'programs');
  // Two programs of ready-made lists: the second does by its own keys what the first does.
  for (const list of ['Sound wave', 'Frames and time line']) {
    await page.getByRole('button', { name: 'Add a program' }).click();
    await page.getByRole('menuitem', { name: new RegExp(`^${list}`) }).click();
    await expect(entry(page, list)).toHaveAttribute('aria-current', 'true');
  }
  await page.getByRole('tab', { name: 'Ready-made' }).click();
  await page.getByRole('button', { name: 'Look at A shuttle for what has a time' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('status')).toContainText(/Would set \d+ controls in Frames and time line/);
  await expect(dialog).toContainText('Next frame');
  await dialog.getByRole('button', { name: /^Set \d+/ }).click();
  await expect(status(page, 'controls set')).toBeVisible();

  await page.getByRole('tab', { name: 'Profiles' }).click();
  const card = page.getByRole('region', { name: 'Frames and time line' });
  await expect(card.getByRole('list')).toContainText('Everywhere');
  await card.getByRole('button', { name: 'Copy to another program…' }).click();
  await dialog.getByRole('combobox', { name: 'Into' }).click();
  await page.getByRole('option', { name: 'Sound wave' }).click();
  await expect(dialog.getByRole('status')).toContainText(/\d+ by intent/);
  await expect(dialog.getByRole('row', { name: /Next frame/ }).first()).toContainText('A step on');
  await dialog.getByRole('button', { name: /^Copy \d+/ }).click();
  await expect(status(page, 'of Sound wave set')).toBeVisible();
  await entry(page, 'Sound wave').click();
  const other = page.getByRole('region', { name: 'Sound wave' });
  await expect(other.getByRole('list')).toContainText(/Sound wave\s*1\d set/);
  await other.getByRole('combobox', { name: 'Based on' }).click();
  await page.getByRole('option', { name: 'Frames and time line' }).click();
  await expect(other.getByRole('listitem').nth(1)).toContainText('Frames and time line');
  await other.getByRole('button', { name: 'Put back to nothing set' }).click();
  await expect(other.getByRole('listitem').first()).toContainText('nothing set');

  // Stayed with, from here and from the chip; next and previous; back to automatic.
  await other.getByRole('button', { name: 'Stay with it' }).click();
  await expect(status(page, 'Applies now: Sound wave, pinned')).toBeVisible();
  await page.getByRole('button', { name: 'Previous' }).click();
  await expect(status(page, 'Applies now: Tin Can, pinned')).toBeVisible();
  await page
    .getByRole('banner')
    .getByRole('button', { name: /^Pinned:/ })
    .click();
  await page.getByRole('menuitem', { name: 'Next profile' }).click();
  await page.keyboard.press('Escape');
  await expect(status(page, 'Applies now: Sound wave, pinned')).toBeVisible();
  await page.getByRole('button', { name: 'Back to automatic' }).click();
  await expect(status(page, 'Applies now: Larkframe, as the program in front has it')).toBeVisible();
  // All of it is undone, to before the two programs.
  await undo(page, 6);
  await expect(entry(page, 'Sound wave')).toHaveCount(0);
  await saved(page);
});

test('profiles side by side show only what differs; one takes what another does, from another set-up too', async ({
  app,
  quietPage: page,
}, info) => {
  await open(page, app.address, 'programs');
  await entry(page, 'Larkframe').click();
  await page.getByRole('tab', { name: 'Compare' }).click();
  await expect(status(page, '51 differences')).toBeVisible();
  await page.getByRole('combobox', { name: 'Profile 2' }).click();
  await page.getByRole('option', { name: 'Hushbox' }).click();
  const table = page.getByRole('table');
  const marker = table.getByRole('row', { name: /^Twelve pad, key 8/ });
  await expect(marker).toContainText('Double the frame');
  await expect(marker).toContainText('Set a marker');
  // Both undo on key 1: no difference.
  await expect(table.getByRole('row', { name: /^Twelve pad, key 1 / })).toHaveCount(0);
  await marker.getByRole('button', { name: /in Larkframe/ }).click();
  await page.getByRole('menuitem', { name: 'Do as in Hushbox: Set a marker' }).click();
  await expect(status(page, 'Twelve pad, key 8 of Larkframe is set')).toBeVisible();
  await page.keyboard.press('Control+z');

  await page.getByRole('combobox', { name: 'By' }).click();
  await page.getByRole('option', { name: 'intent' }).click();
  await expect(table.getByRole('row', { name: /^Onion skin/ })).toContainText('no control yet');
  await page.getByRole('combobox', { name: 'By' }).click();
  await page.getByRole('option', { name: 'control', exact: true }).click();

  // Another set-up: the demo with something else on the dial.
  const document = JSON.parse(
    readFileSync(new URL('../docs/examples/demo.set-up.json', import.meta.url), 'utf8'),
  );
  document.setup.profiles.larkframe.bindings['base/bench-dial/dial/press'].behaviour.action = {
    kind: 'command',
    command: 'larkframe-play',
  };
  const file = path.join(info.outputPath(), 'loft.json');
  writeFileSync(file, JSON.stringify(document));
  await page.getByRole('tabpanel').getByLabel('Choose a file…').setInputFiles(file);
  await expect(status(page, 'loft.json stands beside')).toBeVisible();
  await expect(status(page, '1 difference')).toBeVisible();
  const dial = table.getByRole('row', { name: /^Bench dial, press/ });
  await expect(dial).toContainText('Take the frame');
  await dial.getByRole('button', { name: /in Larkframe/ }).click();
  await page.getByRole('menuitem', { name: /^Do as in Larkframe \(loft\.json\): Play or stop/ }).click();
  await expect(page.getByText('They do the same on every control.')).toBeVisible();
  writeFileSync(file, '{ "format": "nimble-lever/set-up", "version": 99 }');
  await page.getByRole('tabpanel').getByLabel('Choose a file…').setInputFiles(file);
  await expect(status(page, 'This is version 99, made by a newer Nimble Lever')).toBeVisible();
  await page.keyboard.press('Control+z');
  await saved(page);
});

test('an intent is renamed and merged; a set of five is put on one control after a look', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'programs');
  await page.getByRole('tab', { name: 'Intents' }).click();
  const name = page.getByRole('textbox', { name: 'Name of the intent Fit' });
  await name.fill('See all of it');
  await name.press('Enter');
  await expect(status(page, 'Fit is called See all of it now')).toBeVisible();
  await page.getByRole('button', { name: 'Merge See all of it into another' }).click();
  await page.getByRole('menuitem', { name: 'Zoom in' }).click();
  await expect(status(page, 'See all of it is part of Zoom in now')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Name of the intent See all of it' })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('textbox', { name: 'Name of the intent Fit' })).toBeVisible();

  await page.getByRole('tab', { name: 'Ready-made' }).click();
  await page.getByRole('button', { name: 'Look at Undo and kin' }).click();
  const dialog = page.getByRole('dialog', { name: 'Undo and kin' });
  await dialog.getByRole('combobox', { name: 'Device' }).click();
  await page.getByRole('option', { name: 'Twelve pad' }).click();
  await dialog.getByRole('combobox', { name: 'Control' }).click();
  await page.getByRole('option', { name: 'Key 12' }).click();
  await expect(dialog.getByRole('listitem')).toHaveCount(5);
  await dialog.getByRole('button', { name: 'Set 5' }).click();
  await expect(status(page, '5 controls set')).toBeVisible();
  await page.keyboard.press('Control+z');
  await saved(page);
});

test('Find does what is asked for by name, what was used last first, and places what nothing runs yet', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  const find = async (typed: string) => {
    await page.keyboard.press('Control+k');
    await expect(page.getByRole('dialog', { name: 'Find anything' })).toBeVisible();
    await page.keyboard.type(typed);
  };
  await find('add a program');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Add a program' })).toBeVisible();
  await page.keyboard.press('Escape');
  await find('next profile');
  await page.keyboard.press('Enter');
  const chip = page.getByRole('banner').getByRole('button', { name: /^(Pinned|In front):/ });
  await expect(chip).toContainText('Pinned:');
  await find('go back to automatic');
  await page.keyboard.press('Enter');
  await expect(chip).toContainText('In front:');
  // The last three stand on top, the newest first.
  await page.keyboard.press('Control+k');
  const options = page.getByRole('option');
  await expect(options.nth(0)).toContainText('Go back to automatic');
  await expect(options.nth(1)).toContainText('Next profile');
  await expect(options.nth(2)).toContainText('Add a program');
  await page.keyboard.type('stage light');
  await expect(options.first()).toContainText('no control yet: place it');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menu')).toContainText('Places for it');
  await page.keyboard.press('Enter');
  await expect(status(page, 'Stage light is on')).toBeVisible();
  await page.keyboard.press('Control+z');
  await saved(page);
});
