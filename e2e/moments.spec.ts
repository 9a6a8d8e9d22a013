import { edit, OSKAR, sends } from './support/edits.ts';
import { cell, expect, expectAccessibleInBoth, open, saved, test } from './support/test.ts';

test('a week of work is looked at as it was last Tuesday, and one control is taken from then', async ({
  app,
  quietPage: page,
}) => {
  // A week, three edits a day: Key 10 sends another key each day, the dial is renamed, Oskar sets Key 11.
  for (let day = 1; day <= 7; day++) {
    await edit(app.address, sends('twelve-pad', 'key-10', `Ctrl+F${day}`));
    await edit(app.address, { kind: 'set', at: 'devices/bench-dial', fields: { name: `Dial ${day}` } });
    await edit(app.address, sends('twelve-pad', 'key-11', `Alt+${day}`), OSKAR);
  }
  await app.query(`UPDATE edits SET at = '2026-11-21T09:00:00Z'::timestamptz
    + make_interval(days => (revision - 1) / 3, mins => revision)`);

  await open(page, app.address, 'vault');
  const history = page.getByRole('listbox', { name: 'History' });
  await expect(history.getByRole('option')).toHaveCount(21);
  await expect(page.getByText('Tuesday, November 24, 2026')).toBeVisible();
  // Saturday is the first day; Tuesday's are the edits 10 to 12.
  const tuesday = history.getByRole('option').nth(21 - 12);
  await expect(tuesday).toContainText('Oskar');
  await tuesday.click();
  const chosen = page.getByRole('complementary', { name: 'This edit' });
  await expect(chosen).toContainText('Oskar · No. 12');

  // Every view shows it as it was, and nothing can be changed there.
  await chosen.getByRole('link', { name: 'Look at it as it was after this' }).click();
  await expect(page).toHaveURL(/\/set-up\/saltmarsh\/at\/12\/board$/);
  const back = page.getByRole('region', { name: 'Looking back' });
  await expect(back).toContainText('The set-up as it was on Tuesday, November 24, 2026');
  await expect(cell(page, 'Key 10', 'Larkframe')).toContainText('Ctrl+F4');
  await expectAccessibleInBoth(page);
  await cell(page, 'Key 10', 'Larkframe').click();
  await page.getByRole('textbox', { name: 'Shortcut' }).fill('Ctrl+F11');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Nothing was changed; go back to now to edit.')).toBeVisible();
  await expect(cell(page, 'Key 10', 'Larkframe')).toContainText('Ctrl+F4');
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await expect(page.getByRole('region', { name: 'Practice desk' })).toBeVisible();
  await page.getByRole('button', { name: /^Twelve pad, Key 10/ }).click();
  await expect(page.getByText('Ctrl+F4').first()).toBeVisible();
  await page.reload();
  await expect(back).toBeVisible();
  await back.getByRole('button', { name: 'Back to now' }).click();
  await expect(page).toHaveURL(/\/set-up\/saltmarsh\/rehearse$/);
  await expect(back).toHaveCount(0);

  // One control of then, the rest as it is now.
  await open(page, app.address, 'vault?tab=compare&to=12');
  await expect(page.getByText('3 differences')).toBeVisible();
  await expectAccessibleInBoth(page);
  await expect(page.getByText('Key 10: Ctrl+F7 → Ctrl+F4')).toBeVisible();
  await page.getByRole('checkbox', { name: /^Twelve pad, Key 10/ }).check();
  await page.getByRole('button', { name: 'Take over this one' }).click();
  await expect(page.getByText('Taken over: 1 part.')).toBeVisible();
  await expect(page.getByText('2 differences')).toBeVisible();
  await saved(page);
  await open(page, app.address, 'board');
  await expect(cell(page, 'Key 10', 'Larkframe')).toContainText('Ctrl+F4');
  await expect(cell(page, 'Key 11', 'Larkframe')).toContainText('Alt+7');
  await page.keyboard.press('Control+z');
  await expect(cell(page, 'Key 10', 'Larkframe')).toContainText('Ctrl+F7');
});

test('what needs something that is gone brings it along', async ({ app, quietPage: page }) => {
  await edit(app.address, { kind: 'remove', at: 'devices/six-pad' });
  await open(page, app.address, 'vault?tab=compare');
  await page.getByRole('combobox', { name: 'With' }).click();
  await page.getByRole('option', { name: 'as it began' }).click();
  await page
    .getByRole('checkbox', { name: /^Six pad, Key 1 / })
    .first()
    .check();
  await page.getByRole('button', { name: 'Take over this one' }).click();
  await expect(page.getByText(/^Taken over: 1 part, and \d+ that it needs/)).toBeVisible();
  await open(page, app.address, 'rig');
  await expect(page.getByRole('button', { name: /^Six pad/ }).first()).toBeVisible();
});

test('a snapshot is kept by name, found again, renamed, gone back to and removed; a large edit leaves one', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'vault?tab=snapshots');
  await expect(page.getByText('There is no snapshot yet.')).toBeVisible();
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: 'Keep it as it is now…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Name' }).fill(' ');
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Give it a name.');
  await dialog.getByRole('textbox', { name: 'Name' }).fill('Before the heron shot');
  await dialog.getByRole('textbox', { name: 'Note' }).fill('The pad as we like it.');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(dialog).toHaveCount(0);
  const list = page.getByRole('list', { name: 'Snapshots' });
  const own = list.getByRole('button', { name: /^Before the heron shot/ });
  await own.click();
  const chosen = page.getByRole('complementary', { name: 'Snapshot' });
  await expect(chosen).toContainText('The pad as we like it.');
  await expectAccessibleInBoth(page);

  await edit(app.address, sends('twelve-pad', 'key-10', 'Ctrl+F9'));
  const many = Array.from({ length: 60 }, (_, i) => ({
    kind: 'set',
    at: 'devices/bench-dial',
    fields: { 'settings.holdMs': 300 + i },
  }));
  await edit(app.address, { kind: 'together', edits: many });
  await expect(list.getByRole('button', { name: /^Before a large edit/ })).toBeVisible();

  await chosen.getByRole('button', { name: 'Compare with now' }).click();
  await expect(page.getByText('2 differences')).toBeVisible();
  await page.goBack();
  await own.click();
  await chosen.getByRole('button', { name: 'Go back to it' }).click();
  await expect(page.getByText('The set-up is as it was at “Before the heron shot”.')).toBeVisible();
  await chosen.getByRole('button', { name: 'Compare with now' }).click();
  await expect(page.getByText('The two are the same.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('2 differences')).toBeVisible();

  await page.getByRole('tab', { name: 'Snapshots' }).click();
  await own.click();
  await chosen.getByRole('button', { name: 'Rename…' }).click();
  await dialog.getByRole('textbox', { name: 'Name' }).fill('The heron');
  await dialog.getByRole('button', { name: 'Rename' }).click();
  await expect(list.getByRole('button', { name: /^The heron/ })).toBeVisible();
  await chosen.getByRole('button', { name: 'Remove' }).click();
  await expect(list.getByRole('button', { name: /^The heron/ })).toHaveCount(0);
});

test('without the server nothing is kept, and it says so', async ({ app, page }) => {
  await open(page, app.address, 'vault?tab=snapshots');
  const keep = page.getByRole('button', { name: 'Keep it as it is now…' });
  await expect(keep).toBeVisible();
  await app.kill();
  await keep.click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog.getByRole('alert')).toContainText('The server does not answer. Nothing was changed.');
  await app.restart();
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole('list', { name: 'Snapshots' }).getByRole('button')).toHaveCount(1);
});
