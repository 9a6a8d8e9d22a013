import type { Page } from '@playwright/test';
import { cell, expect, expectAccessibleInBoth, open, saved, test } from './support/test.ts';

const history = (page: Page) => page.getByRole('listbox', { name: 'History' });
const edits = (page: Page) => history(page).getByRole('option');

test('every edit stands in the history, of whomever; one goes back to before one, and undoes that', async ({
  app,
  quietPage: page,
  browser,
}) => {
  await open(page, app.address, 'vault');
  await expect(page.getByText('Nothing was changed yet.')).toBeVisible();
  await expectAccessibleInBoth(page);

  await open(page, app.address, 'board');
  const sets = async (on: Page, key: string, shortcut: string) => {
    await cell(on, key, 'Larkframe').click();
    await on.getByRole('textbox', { name: 'Shortcut' }).fill(shortcut);
    await on.keyboard.press('Enter');
    await expect(cell(on, key, 'Larkframe')).toContainText(shortcut);
    await saved(on);
  };
  await sets(page, 'Key 10', 'Ctrl+F7');
  await sets(page, 'Key 11', 'Ctrl+F8');

  // Another browser edits as well: it stands here by itself.
  await open(page, app.address, 'vault');
  await expect(edits(page)).toHaveCount(2);
  const other = await (await browser.newContext()).newPage();
  await open(other, app.address, 'board');
  await sets(other, 'Key 12', 'Ctrl+F9');
  await expect(edits(page)).toHaveCount(3);
  await expect(edits(page).first()).toContainText('Set Twelve pad, key 12 in Larkframe to Ctrl+F9');
  await expect(page.getByText('The first edit.')).toBeVisible();

  // By keys alone: to the oldest, and back to right after it.
  await history(page).focus();
  await page.keyboard.press('End');
  await expect(edits(page).last()).toHaveAttribute('aria-selected', 'true');
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: 'Go back to right after it' }).click();
  await expect(page.getByText(/^The set-up is as it was right after/)).toBeVisible();
  await saved(page);
  await expect(edits(page)).toHaveCount(4);
  await expect(cell(other, 'Key 12', 'Larkframe')).not.toContainText('Ctrl+F9');
  await expect(cell(other, 'Key 11', 'Larkframe')).not.toContainText('Ctrl+F8');
  await expect(cell(other, 'Key 10', 'Larkframe')).toContainText('Ctrl+F7');
  await page.keyboard.press('Control+z');
  await expect(cell(other, 'Key 12', 'Larkframe')).toContainText('Ctrl+F9');
  await expect(cell(other, 'Key 11', 'Larkframe')).toContainText('Ctrl+F8');
  await expect(edits(page)).toHaveCount(5);
  await expect(edits(page).first()).toContainText('Took back');

  // Looked for by words and by thing.
  const search = page.getByRole('searchbox', { name: 'Search history' });
  await search.fill('key 11');
  await expect(page.getByText('All edits were looked through.')).toBeVisible();
  await expect(edits(page).last()).toContainText('key 11');
  await search.fill('nothing of the kind');
  await expect(page.getByText('No edit fits.')).toBeVisible();
  await search.press('Escape');
  await page.getByRole('combobox', { name: 'About' }).click();
  await page.getByRole('option', { name: 'Bench dial', exact: true }).click();
  await expect(page.getByText('No edit fits.')).toBeVisible();
});

test('a history that cannot be read says so, and is read again by hand', async ({ app, page }) => {
  await open(page, app.address, 'board');
  let fails = true;
  await page.route('**/moments?after=*', (route) => (fails ? route.abort() : route.continue()));
  await page.getByRole('link', { name: 'Vault' }).click();
  await expect(page.getByRole('alert')).toContainText(
    'The history could not be read. The server does not answer.',
  );
  fails = false;
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('Nothing was changed yet.')).toBeVisible();
});
