import { writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { COLUMN, entry, sheetCell } from './support/programs.ts';
import { expect, open, rehearsing, saved, test, undo } from './support/test.ts';

const names = (page: Page) =>
  page
    .getByRole('grid')
    .getByRole('row')
    .evaluateAll((rows) =>
      rows.flatMap((row) => row.querySelector('[role=gridcell] .words')?.textContent ?? []),
    );

test('a program is picked from the desk; its commands are typed, recorded, ticked, filled, moved, removed; all undone', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  await page.getByRole('toolbar').getByRole('button', { name: 'Kettleby' }).click();
  await page.getByRole('link', { name: 'Programs' }).click();
  await page.getByRole('button', { name: 'Add a program' }).click();
  await page.getByRole('menuitem', { name: /^Kettleby/ }).click();
  await expect(entry(page, 'Kettleby')).toContainText('in front');
  await expect(entry(page, 'Kettleby')).toHaveAttribute('aria-current', 'true');

  // From the keyboard: a name, its keys, and on to the next.
  await page.getByRole('gridcell', { name: 'Add a command…' }).first().click();
  for (const [name, keys] of [
    ['New node', 'n'],
    ['Delete the node', 'Delete'],
    ['Value up', 'ArrowUp'],
    ['Value down', 'ArrowDown'],
  ] as const) {
    await page.keyboard.type(name);
    await page.keyboard.press('Enter');
    await page.keyboard.press(keys);
    await expect(sheetCell(page, name, COLUMN.keys)).not.toBeEmpty();
  }
  expect(await names(page)).toEqual(['New node', 'Delete the node', 'Value up', 'Value down']);
  // Ticked, given a note, filled down.
  await sheetCell(page, 'Delete the node', COLUMN.risky).click();
  await page.keyboard.press(' ');
  await expect(sheetCell(page, 'Delete the node', COLUMN.name)).toContainText('risky');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.type('Takes its links along');
  await page.keyboard.press('Tab');
  await expect(sheetCell(page, 'Delete the node', COLUMN.note)).toContainText('Takes its links');
  await sheetCell(page, 'Value up', COLUMN.family).click();
  await page.keyboard.press('Enter');
  await page.getByRole('menuitem', { name: 'Tool' }).click();
  await expect(sheetCell(page, 'Value up', COLUMN.family)).toBeFocused();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Control+d');
  await expect(sheetCell(page, 'Value down', COLUMN.family)).toContainText('tool');
  // Keys that are none are told and kept to be mended; the same keys twice are seen.
  await sheetCell(page, 'Value down', COLUMN.keys).click();
  await page.keyboard.press('F2');
  await page.keyboard.type('Grtl+L');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: '“Grtl” is not a key.' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Keys, Value down' })).toHaveValue('Grtl+L');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Up');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'doubled 2' })).toBeVisible();
  await expect(sheetCell(page, 'Value down', COLUMN.keys).getByRole('img')).toHaveAccessibleName(
    'The same keys as Value up',
  );
  // Moved, removed.
  await sheetCell(page, 'Value down', COLUMN.name).click();
  await page.keyboard.press('Alt+ArrowUp');
  expect(await names(page)).toEqual(['New node', 'Delete the node', 'Value down', 'Value up']);
  await page.keyboard.press('Control+Delete');
  await expect(page.getByRole('status').filter({ hasText: '1 command removed' })).toBeVisible();
  await expect(sheetCell(page, 'Value up', COLUMN.name)).toBeFocused();
  // All of it is undone, down to the program.
  for (let i = 0; i < 20 && (await entry(page, 'Kettleby').count()) > 0; i++) {
    await undo(page, 1);
  }
  await expect(entry(page, 'Kettleby')).toHaveCount(0);
  await saved(page);
});

test('blocks go to and from a spreadsheet; lines are sorted, searched and filtered; a command is placed', async ({
  app,
  quietPage: page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await open(page, app.address, 'programs');
  await entry(page, 'Larkframe').click();
  await sheetCell(page, 'Onion skin', COLUMN.name).click();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Control+c');
  const copied = () => page.evaluate(() => navigator.clipboard.readText());
  await expect.poll(copied).toBe('Onion skin\tO\nMagnify here\tM');
  // As a spreadsheet gives it: one line over another, one below the last.
  await page.evaluate(() =>
    navigator.clipboard.writeText('Redo it\tCtrl+Y\r\nWave\tF9\tview\r\nNo keys\t\r\n'),
  );
  await sheetCell(page, 'Redo', COLUMN.name).click();
  await page.keyboard.press('Control+v');
  await expect(sheetCell(page, 'Redo it', COLUMN.keys)).toContainText('Ctrl+Y');
  await expect(sheetCell(page, 'Wave', COLUMN.family)).toContainText('view');
  await expect(page.getByRole('status').filter({ hasText: '1 command added; 1 cell left' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(sheetCell(page, 'Wave', COLUMN.name)).toHaveCount(0);

  await page.getByRole('columnheader', { name: 'Keys' }).getByRole('button').click();
  await expect(page.getByRole('columnheader', { name: 'Keys' })).toHaveAttribute('aria-sort', 'ascending');
  await page.getByRole('columnheader', { name: 'Keys' }).getByRole('button').click();
  await page.getByRole('columnheader', { name: 'Keys' }).getByRole('button').click();
  await expect(page.getByRole('columnheader', { name: 'Keys' })).toHaveAttribute('aria-sort', 'none');
  await page.getByRole('searchbox', { name: 'Search commands' }).fill('stage');
  expect(await names(page)).toEqual(['Stage light']);
  await page.getByRole('searchbox', { name: 'Search commands' }).fill('');
  await page.getByRole('button', { name: /^no control/ }).click();
  await page.getByRole('button', { name: 'Place Stage light' }).click();
  await page.getByRole('menuitem').first().click();
  await expect(page.getByRole('status').filter({ hasText: 'Stage light is on' })).toBeVisible();
  await expect(sheetCell(page, 'Stage light', COLUMN.name)).toHaveCount(0);
  await page.getByRole('button', { name: /^all/ }).click();
  await sheetCell(page, 'Stage light', COLUMN.where).click();
  await page.getByRole('complementary').getByRole('button', { name: 'Show on the Board' }).click();
  await expect(page.locator('[role=gridcell][data-current=true]')).toContainText('Stage light');
  await saved(page);
});

/** A help page's table of sixty commands, as it is copied. */
const SIXTY = ['Command\tShortcut\tMenu']
  .concat(
    Array.from(
      { length: 58 },
      (_, i) => `Prop ${i + 1}\tCtrl+Alt+${String.fromCharCode(65 + (i % 26))}\tEdit`,
    ),
  )
  .concat(['Zoom In\tCtrl++\tView', 'Undo\tCtrl+Z\tEdit'])
  .join('\n');

test('a list of sixty commands is looked at and taken in as one edit; a wrong file is refused by its line', async ({
  app,
  quietPage: page,
}, info) => {
  await open(page, app.address, 'programs');
  await page.getByRole('button', { name: 'Add a program' }).click();
  await page.getByRole('menuitem', { name: 'By name…' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Tallow');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('There is a program called Tallow already.');
  await page.getByRole('textbox', { name: 'Name' }).fill('Shelfmark');
  await page.getByRole('textbox', { name: 'Program file' }).fill('shelfmark');
  await page.getByRole('dialog').getByRole('button', { name: 'Add' }).click();
  await expect(entry(page, 'Shelfmark')).toHaveAttribute('aria-current', 'true');

  await page.getByRole('button', { name: 'Paste a list…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Commands for Shelfmark' });
  await dialog.getByRole('textbox', { name: 'The list' }).fill(SIXTY);
  await expect(dialog.getByRole('status')).toContainText('Read as a table, 60 lines.');
  await expect(dialog.getByRole('button', { name: 'new 60' })).toBeVisible();
  // A column can be left out, and is found again.
  await dialog.getByRole('combobox', { name: 'Column 3' }).click();
  await page.getByRole('option', { name: 'left out' }).click();
  await expect(dialog.getByRole('combobox', { name: 'Column 3' })).toContainText('left out');
  await expect(dialog.getByRole('button', { name: 'new 60' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Add 60' }).click();
  await expect(page.getByRole('button', { name: 'all 60' })).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: '60 commands added' })).toBeVisible();
  // The intents that names speak of were taken; another is accepted by itself.
  await page.getByRole('searchbox', { name: 'Search commands' }).fill('undo');
  await expect(sheetCell(page, 'Undo', COLUMN.intent)).toContainText('undo');
  await sheetCell(page, 'Undo', COLUMN.intent).click();
  await page.keyboard.press('Delete');
  await page.getByRole('button', { name: 'Take “undo”' }).click();
  await expect(sheetCell(page, 'Undo', COLUMN.intent)).toContainText('undo');
  await page.getByRole('searchbox', { name: 'Search commands' }).fill('');

  // Pasted again, all is there; a changed line is marked.
  await page.getByRole('button', { name: 'Paste a list…' }).click();
  await dialog
    .getByRole('textbox', { name: 'The list' })
    .fill(`Undo – Ctrl+Alt+Z\nProp 1 – Grtl+Q\nFly – F8`);
  await expect(dialog.getByRole('button', { name: 'changed 1' })).toBeVisible();
  await expect(dialog.getByRole('table')).toContainText('left out');
  await dialog.getByRole('button', { name: 'Cancel' }).click();

  // A file of the product's own form that is not as it should be.
  const wrong = path.join(info.outputPath(), 'wrong.json');
  writeFileSync(
    wrong,
    '{\n  "format": "nimble-lever/command-list",\n  "version": 1,\n  "program": "Shelfmark",\n  "commands": [\n    { "name": "Fly", "shortcut": "Hyper+F", "family": "move" }\n  ]\n}\n',
  );
  await page.getByRole('button', { name: 'Paste a list…' }).click();
  await dialog.getByLabel('Choose a file…').setInputFiles(wrong);
  await expect(dialog.getByRole('alert')).toContainText(/Line 6, column \d+, commands\[0\]\.shortcut/);
  await expect(dialog.getByRole('button', { name: 'Nothing to add' })).toBeDisabled();
  await page.keyboard.press('Escape');

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByRole('menuitem', { name: /^Table \(CSV\)/ }).click();
  expect((await download).suggestedFilename()).toBe('shelfmark.csv');
  await undo(page, 3);
  await expect(page.getByRole('button', { name: 'all 0' })).toBeVisible();
});

test('a dialog has a profile of its own by its title, while its program’s stays behind; a rule keeps windows out', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  await page.getByRole('toolbar').getByRole('button', { name: 'Kettleby' }).click();
  await page.getByRole('link', { name: 'Programs' }).click();
  await page.getByRole('button', { name: 'Add a program' }).click();
  await page.getByRole('menuitem', { name: /^Kettleby/ }).click();
  await page.getByRole('tab', { name: 'Windows' }).click();

  // Typed in before it was ever open.
  const side = page.getByRole('complementary');
  await side.getByRole('textbox', { name: 'Program file' }).fill('kettleby');
  await side.getByRole('textbox', { name: 'Title' }).fill('Bake the prop');
  await expect(side.getByRole('status')).toContainText('Gets Kettleby');
  await page.getByRole('button', { name: 'A profile for some of its windows…' }).click();
  const own = page.getByRole('region', { name: 'Dialog' });
  await expect(own.getByRole('textbox', { name: 'What Title is compared with' })).toHaveValue(
    'Bake the prop',
  );
  await expect(side.getByRole('status')).toContainText('Gets Dialog');
  await expect(side.getByRole('status')).toContainText('Kettleby fits too, but another rule says more');
  await own.getByRole('textbox', { name: 'What these windows are called' }).fill('Kettleby, baking');
  await page.keyboard.press('Enter');

  // A wrong expression is told; nothing is lost.
  const rules = page.getByRole('region', { name: 'Windows of Kettleby' });
  await rules.getByRole('button', { name: 'Add a rule' }).click();
  const second = rules.getByRole('listitem').nth(1);
  await expect(second).toContainText('fits');
  await second.getByRole('combobox', { name: 'How the rule counts' }).click();
  await page.getByRole('option', { name: 'everywhere except' }).click();
  await expect(rules).toContainText('It can never fit');
  await second.getByRole('combobox', { name: 'How Title is compared' }).click();
  await page.getByRole('option', { name: 'fits the expression' }).click();
  await second.getByRole('textbox', { name: 'What Title is compared with' }).fill('^Help(');
  await page.keyboard.press('Enter');
  await expect(second.getByRole('alert')).toBeVisible();
  await second.getByRole('textbox', { name: 'What Title is compared with' }).fill('^Help');
  await page.keyboard.press('Enter');
  await expect(rules).not.toContainText('It can never fit');
  await side.getByRole('textbox', { name: 'Title' }).fill('Help with kettles');
  await expect(side.getByRole('status')).toContainText('Gets Everywhere');

  // On the desk: the dialog changes the profile, and closing it changes it back.
  const chip = page.getByRole('banner').getByRole('button', { name: /^In front:/ });
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await page.getByRole('toolbar').getByRole('button', { name: 'Kettleby' }).click();
  await expect(chip).toContainText('Kettleby');
  await page.locator('[data-program=kettleby] [data-keys]').focus();
  await page.keyboard.press('Control+b');
  await expect(chip).toContainText('Kettleby, baking');
  await page.keyboard.press('Escape');
  await expect(chip).not.toContainText('baking');
  await saved(page);
});

test('a program goes with what hangs on it and comes back with it; a copy has a profile of its own', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'programs');
  await entry(page, 'Hushbox').click();
  await page.getByRole('button', { name: 'More for Hushbox' }).click();
  await page.getByRole('menuitem', { name: 'Make a copy' }).click();
  await expect(entry(page, 'Hushbox 2')).toHaveAttribute('aria-current', 'true');
  await page.getByRole('tab', { name: 'Windows' }).click();
  await expect(page.getByRole('region', { name: 'Windows of Hushbox 2' })).toContainText(
    'It can never decide: Hushbox takes all its windows',
  );
  await page.getByRole('button', { name: 'More for Hushbox 2' }).click();
  await page.getByRole('menuitem', { name: 'Name, colour and keys…' }).click();
  await page.getByRole('dialog').getByRole('textbox', { name: 'Name' }).fill('Hushbox, old');
  await page.getByRole('dialog').getByRole('button', { name: 'Colour: plum' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).click();
  await expect(entry(page, 'Hushbox, old')).toBeVisible();
  await entry(page, 'Hushbox, old').press('Alt+ArrowUp');
  const hushbox = entry(page, 'Hushbox').filter({ hasNotText: 'old' });
  await hushbox.click();
  await page.getByRole('button', { name: 'More for Hushbox', exact: true }).click();
  await page
    .getByRole('menuitem', { name: /^Remove with 18 commands, 1 profile and \d+ assignments/ })
    .click();
  await expect(page.getByRole('status').filter({ hasText: 'Hushbox is removed' })).toBeVisible();
  await saved(page);
  await page.getByRole('button', { name: /^Undo: remove/ }).click();
  await expect(hushbox).toContainText('18 commands');
  await saved(page);
});

test('reading a list that takes long is told and can be stopped; one that breaks says so; nothing is changed', async ({
  app,
  page,
}) => {
  let hold: () => void = () => undefined;
  const held = new Promise<void>((resolve) => {
    hold = resolve;
  });
  await page.route(/importList/, async (route) => {
    await held;
    await route.abort();
  });
  await open(page, app.address, 'programs');
  await page.getByRole('button', { name: 'Paste a list…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'The list' }).fill('Wave\tF9');
  await expect(dialog.getByRole('status')).toContainText('Reading…');
  await dialog.getByRole('button', { name: 'Stop' }).click();
  await expect(dialog.getByRole('status')).toContainText('Stopped. Nothing was changed.');
  hold();
  await dialog.getByRole('textbox', { name: 'The list' }).fill('Wave\tF9\nRest\tF8');
  await expect(dialog.getByRole('alert')).toContainText(
    'Reading the list did not work. Nothing was changed.',
  );
  await expect(dialog.getByRole('button', { name: 'Nothing to add' })).toBeDisabled();
  await page.unroute(/importList/);
  await dialog.getByRole('textbox', { name: 'The list' }).fill('Wave\tF9\nRest\tF8\n');
  await expect(dialog.getByRole('button', { name: 'Add 2' })).toBeVisible();
});
