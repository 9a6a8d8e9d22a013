import type { Page } from '@playwright/test';
import { COLUMN, entry, sheetCell } from './support/programs.ts';
import { cell, drawn, expect, open, saved, test } from './support/test.ts';

/** Presses a key with Ctrl as a keyboard of another country reports it. */
async function pressCtrl(page: Page, key: string, code: string): Promise<void> {
  const session = await page.context().newCDPSession(page);
  for (const type of ['keyDown', 'keyUp'] as const) {
    await session.send('Input.dispatchKeyEvent', { type, key, code, modifiers: 2 });
  }
  await session.detach();
}

test('the page’s own shortcuts are where a German, a French and a Hebrew keyboard have their letters', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'programs');
  await entry(page, 'Larkframe').click();
  for (const [key, code] of [
    ['z', 'KeyY'],
    ['z', 'KeyW'],
    ['ז', 'KeyZ'],
  ] as const) {
    await sheetCell(page, 'Stage light', COLUMN.note).click();
    await page.keyboard.type('Bright');
    await page.keyboard.press('Enter');
    await expect(sheetCell(page, 'Stage light', COLUMN.note)).toContainText('Bright');
    await pressCtrl(page, key, code);
    await expect(sheetCell(page, 'Stage light', COLUMN.note)).not.toContainText('Bright');
  }
  // What stands at the place of Z there is something else.
  await sheetCell(page, 'Stage light', COLUMN.note).click();
  await page.keyboard.type('Bright');
  await page.keyboard.press('Enter');
  await pressCtrl(page, 'y', 'KeyZ');
  await expect(sheetCell(page, 'Stage light', COLUMN.note)).toContainText('Bright');
  await pressCtrl(page, 'ל', 'KeyK');
  await expect(page.getByRole('dialog', { name: 'Find anything' })).toBeVisible();
  await page.keyboard.press('Escape');
  // Keys are typed in German words, too, and shown as the platform has them.
  await sheetCell(page, 'Stage light', COLUMN.keys).click();
  await page.keyboard.press('F2');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Strg+Umschalt+L');
  await page.keyboard.press('Enter');
  await expect(sheetCell(page, 'Stage light', COLUMN.keys)).toContainText('Ctrl+Shift+L');
  await saved(page);
});

test('two pages on one sheet: edits of both stand, and a line that goes gives its place to the next', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'programs');
  await entry(page, 'Brindle').click();
  const context = await page.context().browser()?.newContext();
  const other = await context?.newPage();
  if (!context || !other) throw new Error('no browser');
  await open(other, app.address, 'programs');
  await entry(other, 'Brindle').click();

  // Here a note is typed while there the name changes.
  await sheetCell(page, 'Eraser', COLUMN.note).click();
  await page.keyboard.type('Soft');
  await sheetCell(other, 'Eraser', COLUMN.name).click();
  await other.keyboard.press('F2');
  await other.keyboard.press('Control+a');
  await other.keyboard.type('Rubber');
  await other.keyboard.press('Enter');
  await expect(sheetCell(page, 'Rubber', COLUMN.name)).toBeVisible();
  await expect(page.getByRole('textbox', { name: /^Note/ })).toHaveValue('Soft');
  await page.keyboard.press('Enter');
  await expect(sheetCell(other, 'Rubber', COLUMN.note)).toContainText('Soft');

  // There the line that has the keys here is removed.
  await sheetCell(page, 'Next colour', COLUMN.name).click();
  await sheetCell(other, 'Next colour', COLUMN.name).click();
  await other.keyboard.press('Control+Delete');
  await expect(sheetCell(page, 'Previous colour', COLUMN.name)).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await expect(sheetCell(page, 'Rubber', COLUMN.name)).toBeFocused();

  // The program goes there while a list is looked at here: nothing breaks, and it says what became of it.
  await page.getByRole('button', { name: 'Paste a list…' }).click();
  await page.getByRole('textbox', { name: 'The list' }).fill('Smear\tShift+S\nBlot\tShift+B\n');
  await expect(page.getByRole('button', { name: 'Add 2' })).toBeVisible();
  await other.getByRole('button', { name: 'More for Brindle' }).click();
  await other.getByRole('menuitem', { name: /^Remove with/ }).click();
  await expect(entry(page, 'Brindle')).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('grid')).toBeVisible();
  await other.getByRole('button', { name: /^Undo: / }).click();
  await expect(entry(page, 'Brindle')).toBeVisible();
  await saved(page);
  await context.close();
});

test('typing that is left by a click is kept; what does not fit stays to be mended; placed ones give way', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'programs');
  await entry(page, 'Hushbox').click();
  await sheetCell(page, 'Look closer', COLUMN.name).click();
  await page.keyboard.press('F2');
  await page.keyboard.press('End');
  await page.keyboard.type(' still');
  await sheetCell(page, 'Look wider', COLUMN.name).click();
  await expect(sheetCell(page, 'Look closer still', COLUMN.name)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('F2');
  await page.keyboard.type('Grtl+P');
  await sheetCell(page, 'Select on', COLUMN.name).click();
  await expect(page.getByRole('textbox', { name: 'Keys, Look wider' })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(sheetCell(page, 'Look wider', COLUMN.keys)).toBeFocused();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('status').filter({ hasText: 'Name, keys and family stay.' })).toBeVisible();
  // Left in another program, nothing of it stays behind.
  await page.keyboard.press('F2');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Ctrl+Alt+W');
  await entry(page, 'Tallow').click();
  await entry(page, 'Hushbox').click();
  await expect(sheetCell(page, 'Look wider', COLUMN.keys)).toContainText('Ctrl+Alt+W');

  // One after the other is placed from the list of those without a control.
  await page.getByRole('button', { name: /^no control/ }).click();
  const without = page.getByRole('button', { name: /^no control/ });
  const left = async () => Number((await without.textContent())?.match(/\d+/)?.[0]);
  await sheetCell(page, 'Look closer still', COLUMN.where).click({ position: { x: 8, y: 8 } });
  for (let i = 0; i < 3; i++) {
    const before = await left();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('menu')).toBeVisible();
    await page.keyboard.press('Enter');
    // One, or two that go onto both ways of a movement.
    await expect.poll(left).toBeLessThan(before);
    await expect(page.locator('[role=gridcell]:focus')).toHaveCount(1);
  }
  await page.getByRole('link', { name: 'Board' }).click();
  await expect(cell(page, 'Turn clockwise', 'Hushbox')).toBeVisible();
  await saved(page);
});

test('lines that scroll by under a pressed pointer are not selected; a pull selects as far as it goes', async ({
  app,
  quietPage: page,
}) => {
  await page.setViewportSize({ width: 1280, height: 640 });
  await open(page, app.address, 'programs');
  await entry(page, 'Tallow').click();
  await page.getByRole('gridcell').first().click();
  const grid = page.getByRole('grid');
  const box = await grid.locator('..').boundingBox();
  if (!box) throw new Error('There is no sheet.');
  await page.mouse.move(box.x + 60, box.y + 150);
  await page.mouse.down();
  await page.mouse.wheel(0, 64);
  await expect.poll(() => grid.locator('..').evaluate((sheet) => sheet.scrollTop)).toBeGreaterThan(30);
  // What lies under the pointer now is told to the page with the next frames.
  await drawn(page);
  await page.mouse.up();
  await expect(grid.locator('[aria-selected=true]')).toHaveCount(1);
  await page.mouse.move(box.x + 60, box.y + 50);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + 82, { steps: 4 });
  await page.mouse.move(box.x + 60, box.y + 114, { steps: 4 });
  await page.mouse.up();
  await expect(grid.locator('[aria-selected=true]')).toHaveCount(3);
  await expect(page.getByRole('complementary')).toContainText('3 commands selected');
});

test('the line that is chosen stays in sight when what is known of it opens below', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'programs');
  await entry(page, 'Tallow').click();
  const last = sheetCell(page, 'Redo', COLUMN.name);
  await last.click();
  await expect(page.getByRole('complementary')).toContainText('Redo');
  const whole = async () => {
    const [line, sheet] = [
      await last.boundingBox(),
      await page.getByRole('grid').locator('..').boundingBox(),
    ];
    return line && sheet ? line.y >= sheet.y && line.y + line.height <= sheet.y + sheet.height : false;
  };
  await expect.poll(whole).toBe(true);
  await page.setViewportSize({ width: 1280, height: 560 });
  await expect.poll(whole).toBe(true);
});
