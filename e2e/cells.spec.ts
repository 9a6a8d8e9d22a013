import type { Page } from '@playwright/test';
import { cell, control, expect, open, saved, test } from './support/test.ts';

/** The cells that are selected, by their names. */
const selected = (page: Page) => page.getByRole('gridcell', { selected: true });

test('cells are copied, cut and pasted, alone and as a block, each in the words of its program', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await cell(page, 'Turn clockwise', 'Larkframe').click();
  // Two rows of a column: a block.
  await page.keyboard.press('Shift+ArrowDown');
  await expect(selected(page)).toHaveCount(2);
  await page.keyboard.press('Control+c');
  await cell(page, 'Wheel up', 'Larkframe').click();
  await page.keyboard.press('Control+v');
  await expect(cell(page, 'Wheel up', 'Larkframe')).toContainText('Step one frame on');
  await expect(cell(page, 'Wheel down', 'Larkframe')).toContainText('Step one frame back');

  // Cut: it is taken away where it was when it is pasted, and not before; a second paste copies.
  await page.keyboard.press('Control+x');
  await expect(cell(page, 'Wheel up', 'Larkframe')).toContainText('Step one frame on');
  await cell(page, 'Left', 'Larkframe').click();
  await page.keyboard.press('Control+v');
  await expect(cell(page, 'Wheel up', 'Larkframe')).toContainText('native: Scroll up');
  await expect(cell(page, 'Left', 'Larkframe')).toContainText('Step one frame on');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Control+v');
  await expect(cell(page, 'Left', 'Larkframe')).toContainText('Step one frame on');
  // Brindle has no such command: the keys it was.
  await expect(cell(page, 'Left', 'Brindle')).toContainText('→');

  // One edit each: three steps back and all is as it was.
  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
  await expect(cell(page, 'Left', 'Larkframe')).toContainText('native: Left click');
  await expect(cell(page, 'Wheel up', 'Larkframe')).toContainText('native: Scroll up');
  await saved(page);
});

test('a cell is dragged to move, with Ctrl to copy, and onto another to change places', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  const [from, free] = [cell(page, 'Wheel press', 'Larkframe'), cell(page, 'Left', 'Larkframe')];
  await from.dragTo(free);
  await expect(free).toContainText('Onion skin');
  await expect(from).toContainText('native: Middle click');
  await page.keyboard.press('Control+z');

  await page.keyboard.down('Control');
  await from.dragTo(free);
  await page.keyboard.up('Control');
  await expect(free).toContainText('Onion skin');
  await expect(from).toContainText('Onion skin');
  await page.keyboard.press('Control+z');

  const other = cell(page, 'Thumb, front', 'Larkframe');
  await from.dragTo(other);
  await expect(other).toContainText('Onion skin');
  await expect(from).toContainText('Magnify here');
  await page.keyboard.press('Control+z');
  await expect(from).toContainText('Onion skin');
});

test('several cells are set, sent in a way, and cleared at once', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  await cell(page, 'Left', 'Larkframe').click();
  await cell(page, 'Right', 'Brindle').click({ modifiers: ['Shift'] });
  await expect(selected(page)).toHaveCount(4);
  await cell(page, 'Left', 'Brindle').click({ modifiers: ['Control'] });
  await expect(selected(page)).toHaveCount(3);
  await page.keyboard.press('Enter');
  await page.keyboard.type('undo');
  await page.keyboard.press('Enter');
  for (const [row, column] of [
    ['Left', 'Larkframe'],
    ['Right', 'Larkframe'],
    ['Right', 'Brindle'],
  ] as const) {
    await expect(cell(page, row, column)).toContainText('Undo');
  }
  await expect(cell(page, 'Left', 'Brindle')).toContainText('native');
  await page.getByRole('button', { name: 'Tap', exact: true }).click();
  await cell(page, 'Left', 'Larkframe').click();
  await expect(page.getByRole('button', { name: 'Tap', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );

  await cell(page, 'Right', 'Brindle').click({ modifiers: ['Shift'] });
  await page.keyboard.press('Delete');
  await expect(cell(page, 'Right', 'Brindle')).toContainText('native: Right click');
  await page.keyboard.press('Control+z');
  await expect(cell(page, 'Right', 'Brindle')).toContainText('Undo');
});

test('a cell’s menu opens by the right button and by keys, and does what it says', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await cell(page, 'Wheel press', 'Larkframe').click({ button: 'right' });
  await page.getByRole('menuitem', { name: /^Copy Ctrl\+C/ }).click();
  await cell(page, 'Right', 'Larkframe').click();
  await page.keyboard.press('Shift+F10');
  await page.getByRole('menuitem', { name: /^Paste/ }).press('Enter');
  await expect(cell(page, 'Right', 'Larkframe')).toContainText('Onion skin');
  await page.keyboard.press('ContextMenu');
  await page.getByRole('menuitem', { name: 'Off', exact: true }).click();
  await expect(cell(page, 'Right', 'Larkframe')).toContainText('off here');
  await page.keyboard.press('Shift+F10');
  await page.getByRole('menuitem', { name: /^Choose what it does/ }).click();
  await page.keyboard.type('magnify here');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Right', 'Larkframe')).toContainText('Magnify here');
});

test('both ways of a turn are set at once, and the one that was chosen is undone with the other', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await cell(page, 'Wheel up', 'Brindle').click();
  await page.keyboard.press('Enter');
  await page.keyboard.type('brush larger, and');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Wheel up', 'Brindle')).toContainText('Brush larger');
  await expect(cell(page, 'Wheel down', 'Brindle')).toContainText('Brush smaller');
  await page.keyboard.press('Control+z');
  await expect(cell(page, 'Wheel up', 'Brindle')).toContainText('native: Scroll up');
  await expect(cell(page, 'Wheel down', 'Brindle')).toContainText('native: Scroll down');
});

test('the dock comes with a cell, goes with Escape, is as high as it is dragged; at least sixteen rows show without it', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await expect(page.getByRole('row').first()).toBeVisible();
  const grid = page.getByRole('grid').locator('..');
  const whole = async () => {
    const box = await grid.boundingBox();
    const rows = await page
      .getByRole('row')
      .evaluateAll((all) => all.map((row) => row.getBoundingClientRect().bottom));
    // The head is a row too.
    return rows.filter((bottom) => bottom <= (box?.y ?? 0) + (box?.height ?? 0)).length - 1;
  };
  expect(await whole()).toBeGreaterThanOrEqual(16);

  const dock = page.getByRole('complementary', { name: 'Dock' });
  await cell(page, 'Press', 'Brindle').click();
  await expect(dock).toBeVisible();
  const edge = dock.getByRole('separator');
  const before = (await dock.boundingBox())?.height ?? 0;
  await edge.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp');
  await expect.poll(async () => (await dock.boundingBox())?.height).toBe(before + 48);
  const { x, y } = (await edge.boundingBox()) ?? { x: 0, y: 0 };
  await page.mouse.move(x + 300, y + 4);
  await page.mouse.down();
  await page.mouse.move(x + 300, y - 36, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => (await dock.boundingBox())?.height).toBe(before + 88);

  await cell(page, 'Press', 'Brindle').focus();
  await page.keyboard.press('Escape');
  await expect(dock).toBeHidden();
  // The keys are still on the cell: they go on, and Enter brings the dock back.
  await page.keyboard.press('ArrowDown');
  await expect(dock).toBeHidden();
  await page.reload();
  await cell(page, 'Press', 'Brindle').focus();
  await expect(selected(page)).toHaveCount(1);
  await expect(dock).toBeHidden();
  await page.keyboard.press('Enter');
  await expect(dock).toBeVisible();
  expect((await dock.boundingBox())?.height).toBe(before + 88);
});

test('devices are drawn small by a button, and the choice is kept; a drawing is one stop of the Tab key', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  // From the last button before the rig to the first one behind it: a stop for each of the seven devices.
  await control(page, 'Twelve pad', 'Key 1,')
    .or(control(page, 'Twelve pad', 'Key 1'))
    .first()
    .focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(control(page, 'Twelve pad', 'Key 3')).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('group', { name: 'Pen tablet' }).locator(':focus')).toHaveCount(1);
  await page.keyboard.press('Shift+Tab');
  await expect(control(page, 'Twelve pad', 'Key 3')).toBeFocused();

  await page.getByRole('button', { name: 'Draw the devices small' }).click();
  await expect(page.getByRole('group', { name: 'Twelve pad' })).toBeHidden();
  await page.reload();
  await page.getByRole('button', { name: 'Twelve pad', exact: true }).click();
  await expect(selected(page)).toHaveAccessibleName(/^Twelve pad, Key 1 in/);
  await page.getByRole('button', { name: 'Draw the devices large' }).click();
});

test('from the top of the page one key press leads past everything to the matrix', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await expect(page.getByRole('row').first()).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Go to the view' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(selected(page)).toBeFocused();
});
