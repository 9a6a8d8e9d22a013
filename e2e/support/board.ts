import { expect, type Page } from '@playwright/test';
import { cell } from './test.ts';

/** Shows only the rows of the Board that have a text. */
export async function showRows(page: Page, text: string): Promise<void> {
  await page.getByRole('textbox', { name: 'Search the Board' }).fill(text);
}

/** Types a shortcut into a cell of the Board; `search` brings its row into sight. */
export async function assign(
  page: Page,
  search: string,
  row: string,
  column: string,
  shortcut: string,
  shows: string,
): Promise<void> {
  await showRows(page, search);
  await cell(page, row, column).click();
  const field = page.getByRole('textbox', { name: 'Shortcut' });
  await field.fill(shortcut);
  await field.press('Enter');
  await expect(cell(page, row, column)).toContainText(shows);
}

/** Unfolds the triggers of a control and types a shortcut into one of them. */
export async function assignTrigger(
  page: Page,
  search: string,
  row: string,
  trigger: string,
  column: string,
  shortcut: string,
): Promise<void> {
  await showRows(page, search);
  await cell(page, row, column).click();
  if (!(await cell(page, `${row}, ${trigger}`, column).isVisible())) await page.keyboard.press('t');
  await cell(page, `${row}, ${trigger}`, column).click();
  const field = page.getByRole('textbox', { name: 'Shortcut' });
  await field.fill(shortcut);
  await field.press('Enter');
  await expect(cell(page, `${row}, ${trigger}`, column)).not.toContainText('native');
}

/** Chooses from the list of what a control can do, for the selected cell. */
export async function choose(page: Page, typed: string): Promise<void> {
  const chooser = page.getByRole('combobox', { name: 'Choose a command' });
  await chooser.fill(typed);
  await page.keyboard.press('Enter');
}

/** Sets one of a device's times in the Rig, long enough that no test depends on the machine's speed. */
export async function setTime(page: Page, device: string, name: RegExp, ms: number): Promise<void> {
  await page.getByRole('link', { name: 'Rig' }).click();
  await page
    .getByRole('navigation', { name: 'Devices of the rig' })
    .getByRole('button', { name: device })
    .click();
  await page.getByRole('tab', { name: 'Tuning' }).click();
  const field = page.getByRole('textbox', { name });
  await field.fill(String(ms));
  await field.press('Enter');
  await expect(field).toHaveValue(String(ms));
}

/** Brings a device of the tray into sight. */
export async function show(page: Page, device: string): Promise<void> {
  const tab = page.getByRole('group', { name: 'Devices in the tray' }).getByRole('button', { name: device });
  if ((await tab.getAttribute('aria-pressed')) !== 'true') await tab.click();
}
