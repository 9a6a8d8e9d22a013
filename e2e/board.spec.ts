import { cell, control, drawn, expect, open, saved, test } from './support/test.ts';

test('the Board works from the keyboard: move, record, choose, clear, undo, redo', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await cell(page, 'Turn clockwise', 'Everywhere').click();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  const brindle = cell(page, 'Turn anticlockwise', 'Brindle');
  await expect(brindle).toBeFocused();

  await page.keyboard.press('r');
  await page.keyboard.down('Control');
  await page.keyboard.down('Shift');
  await expect(page.getByRole('textbox', { name: /^Press keys/ })).toContainText('Ctrl+Shift');
  await page.keyboard.press('K');
  await page.keyboard.up('Shift');
  await expect(page.getByRole('textbox', { name: /^Press keys/ })).toContainText('Ctrl+Shift+K');
  await page.keyboard.up('Control');
  await expect(brindle).toContainText('Ctrl+Shift+K');
  // A slip is mended at once: the next shortcut replaces it.
  await page.keyboard.press('Control+Shift+J');
  await expect(brindle).toContainText('Ctrl+Shift+J');
  await page.keyboard.press('Control+Shift+K');
  await expect(brindle).toContainText('Ctrl+Shift+K');
  await page.keyboard.press('Escape');
  await expect(brindle).toBeFocused();

  await page.keyboard.press('Enter');
  await page.keyboard.type('eras');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(brindle).toContainText('Eraser');
  await expect(brindle).toBeFocused();

  await page.keyboard.press('Delete');
  await expect(brindle).toContainText('Scroll up');
  await page.keyboard.press('Control+z');
  await expect(brindle).toContainText('Eraser');
  for (let i = 0; i < 4; i++) await page.keyboard.press('Control+z');
  await expect(brindle).toContainText('Brush smaller');
  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+Shift+z');
  await expect(brindle).toContainText('Ctrl+Shift+K');

  await page.keyboard.press('r');
  await page.keyboard.press('Escape');
  await expect(brindle).toBeFocused();
  await expect(brindle).toContainText('Ctrl+Shift+K');
});

test('what a cell does is copied into another program in that program’s words', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await cell(page, 'Thumb, rear', 'Brindle').click();
  await page.keyboard.press('Control+c');
  await cell(page, 'Key 11', 'Hushbox').click();
  await page.keyboard.press('Control+v');
  // Brindle's “Fit in window” is Ctrl+0; Hushbox has the same intent on F.
  await expect(cell(page, 'Key 11', 'Hushbox')).toHaveText('Fit in windowF');
  await page.keyboard.press('Shift+?');
  await expect(page.getByRole('dialog', { name: 'Keys of the Board' })).toContainText('Record a shortcut');
  await page.keyboard.press('Escape');
  await expect(cell(page, 'Key 11', 'Hushbox')).toBeFocused();
});

test('Ctrl+K finds a command and goes to the control that runs it, from any view', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rehearse');
  await page.keyboard.press('Control+k');
  await page.keyboard.type('split');
  await expect(page.getByRole('option', { name: /^Split here/ })).toContainText('Bench dial, press');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Press', 'Hushbox')).toBeFocused();
  await expect(cell(page, 'Press', 'Hushbox')).toHaveAttribute('aria-selected', 'true');
});

test('what is typed right after Ctrl+K is not lost, however long the dialog takes to come', async ({
  app,
  quietPage: page,
}) => {
  let hold: () => void = () => undefined;
  const held = new Promise<void>((resolve) => {
    hold = resolve;
  });
  await page.route(/FindDialog/, async (route) => {
    await held;
    await route.continue();
  });
  await open(page, app.address, 'rehearse');
  await page.keyboard.press('Control+k');
  await page.keyboard.type('spl');
  hold();
  await expect(page.getByRole('combobox', { name: 'Find anything' })).toHaveValue('spl');
  await page.keyboard.type('it');
  await expect(page.getByRole('option', { name: /^Split here/ })).toContainText('Bench dial, press');
});

test('what is pressed right after Enter or R on a cell waits for the dock', async ({
  app,
  quietPage: page,
}) => {
  let hold: () => void = () => undefined;
  const held = new Promise<void>((resolve) => {
    hold = resolve;
  });
  await page.route(/Dock-/, async (route) => {
    await held;
    await route.continue();
  });
  await open(page, app.address, 'board');
  await cell(page, 'Key 9', 'Brindle').click();
  await page.keyboard.press('Enter');
  await page.keyboard.type('canvas upright');
  await page.keyboard.press('Enter');
  hold();
  await expect(cell(page, 'Key 9', 'Brindle')).toContainText('Canvas upright');
  await expect(cell(page, 'Key 9', 'Brindle')).toBeFocused();

  await saved(page);
  const again = new Promise<void>((resolve) => {
    hold = resolve;
  });
  await page.unroute(/Dock-/);
  await page.route(/Dock-/, async (route) => {
    await again;
    await route.continue();
  });
  await open(page, app.address, 'board');
  await cell(page, 'Key 9', 'Brindle').click();
  await page.keyboard.press('r');
  await page.keyboard.press('Control+Shift+K');
  hold();
  await expect(cell(page, 'Key 9', 'Brindle')).toContainText('Ctrl+Shift+K');
  await page.keyboard.press('Control+Shift+J');
  await expect(cell(page, 'Key 9', 'Brindle')).toContainText('Ctrl+Shift+J');
});

test('Find shows what was hidden, forgives a slip, and finds views, layers, triggers and actions', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  const find = async (typed: string) => {
    await page.keyboard.press('Control+k');
    await expect(page.getByRole('dialog', { name: 'Find anything' })).toBeVisible();
    await page.keyboard.type(typed);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog', { name: 'Find anything' })).toBeHidden();
  };
  // A column that was put away, and a search that shows nothing of it.
  await page.getByRole('button', { name: 'Column Hushbox' }).click();
  await page.getByRole('menuitem', { name: 'Hide' }).click();
  await expect(page.getByRole('columnheader', { name: /Hushbox/ })).toBeHidden();
  await page.getByRole('textbox', { name: 'Search the Board' }).fill('pedal');
  await find('splt here');
  await expect(cell(page, 'Press', 'Hushbox')).toBeFocused();

  await find('key 5, hold');
  await expect(cell(page, 'Key 5, hold', 'Hushbox').or(cell(page, 'Hold', 'Hushbox'))).toBeFocused();
  await find('far');
  await expect(page.getByRole('tab', { name: 'Far' })).toHaveAttribute('aria-selected', 'true');
  await find('dark');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await find('rehear');
  await expect(page.getByRole('region', { name: 'Practice desk' })).toBeVisible();
});

test('undo of an edit after a reload', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  const takes = cell(page, 'Press', 'Larkframe');
  await takes.click();
  await page.getByRole('button', { name: 'Off', exact: true }).click();
  await expect(takes).toContainText('off here');
  await saved(page);
  await page.reload();
  await expect(takes).toContainText('off here');
  await page.getByRole('button', { name: /^Undo: set Bench dial, press in Larkframe/ }).click();
  await expect(takes).toContainText('Take the frame');
  await saved(page);
  await page.reload();
  await expect(takes).toContainText('Take the frame');
  await page.getByRole('button', { name: /^Redo/ }).click();
  await expect(takes).toContainText('off here');
});

test('behaviour, press style, face and note are edited in the dock and kept', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  const key = cell(page, 'Key 10', 'Hushbox');
  await key.click();
  await expect(page.getByRole('textbox', { name: 'Label' })).toBeDisabled();
  await page.getByRole('textbox', { name: 'Shortcut' }).fill('ctrl+shift+m');
  await page.keyboard.press('Enter');
  await expect(key).toContainText('Ctrl+Shift+M');
  await page.getByRole('button', { name: 'Tap', exact: true }).click();
  await page.getByRole('textbox', { name: 'Label' }).fill('Mark rain');
  await page.getByRole('button', { name: 'Colour: green' }).click();
  await page.getByRole('combobox', { name: 'Icon' }).click();
  await page.getByRole('option', { name: 'Marker' }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('Every drop that hits the umbrella.');
  await cell(page, 'Key 11', 'Hushbox').click();
  await saved(page);

  await page.reload();
  await expect(key).toContainText('Mark rain');
  await key.click();
  await expect(page.getByRole('textbox', { name: 'Label' })).toHaveValue('Mark rain');
  await expect(page.getByRole('button', { name: 'Tap', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByRole('button', { name: 'Colour: green' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('combobox', { name: 'Icon' })).toHaveValue('Marker');
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveValue('Every drop that hits the umbrella.');
});

test('bad input is refused in words and nothing is lost', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  const takes = cell(page, 'Press', 'Larkframe');
  await takes.click();
  for (const [typed, words] of [
    ['Ctrl+Wobble', '“Wobble” is not a key.'],
    ['A+B', '“A” and “B” are two.'],
    ['Ctrl+', 'A key is missing beside a “+”.'],
  ] as const) {
    await page.getByRole('textbox', { name: 'Shortcut' }).fill(typed);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText(words);
    await expect(page.getByRole('alert')).toContainText('Enter is kept.');
    await expect(takes).toContainText('Take the frame');
  }
});

test('a control and its row find each other; the real mouse is heard', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  await control(page, 'Twelve pad', 'Lower knob').focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('gridcell', { selected: true })).toHaveAccessibleName(
    /^Twelve pad, Lower knob, clockwise in Larkframe/,
  );
  // Far down the drawings are small, which leaves the room to the matrix; what is selected and used shows all the same.
  await cell(page, 'Key 3', 'Brindle').click();
  const small = (name: string) => page.getByRole('button', { name, exact: true });
  await expect(small('Twelve pad')).toHaveAttribute('data-current', 'true');

  await page.mouse.move(640, 420);
  await page.mouse.down({ button: 'middle' });
  await expect(small('Pocket mouse').locator('.lit')).toBeVisible();
  await expect(page.getByRole('gridcell', { selected: true })).toHaveAccessibleName(
    /^Pocket mouse, Wheel press in Brindle/,
  );
  await page.mouse.up({ button: 'middle' });
  await expect(page.locator('.lit')).toHaveCount(0);

  // A real click that works the page itself lights nothing.
  await page.mouse.down();
  await drawn(page);
  await expect(page.locator('.lit')).toHaveCount(0);
  await page.mouse.up();

  await page.getByRole('grid').hover();
  await page.mouse.wheel(0, -5000);
  // At its top again, with the large drawings above it.
  await expect(control(page, 'Bench dial', 'Dial')).toBeVisible();
  await cell(page, 'Press', 'Brindle').click();
  await expect(control(page, 'Bench dial', 'Dial')).toHaveClass(/selected/);
});

test('hovering over a cell lights up every cell of the same intent', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  await cell(page, 'Thumb, rear', 'Larkframe').hover();
  await expect(cell(page, 'Thumb, rear', 'Hushbox')).toHaveAttribute('data-same', 'true');
  await expect(cell(page, 'Thumb, rear', 'Brindle')).toHaveAttribute('data-same', 'true');
  await expect(cell(page, 'Thumb, rear', 'Everywhere')).toHaveAttribute('data-same', 'false');
});

test('the selected cell is in sight wherever the keys move, under the head and above the dock', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await cell(page, 'Turn clockwise', 'Larkframe').click();
  const selected = page.locator('[role=gridcell][aria-selected=true]');
  const head = page.locator('[role=grid] [role=row]').first();
  const dock = page.getByRole('complementary', { name: 'Dock' });
  const inSight = async () => {
    const [box, above, below] = await Promise.all([
      selected.boundingBox(),
      head.boundingBox(),
      dock.boundingBox(),
    ]);
    if (!box || !above || !below) throw new Error('not drawn');
    expect(box.y).toBeGreaterThanOrEqual(above.y + above.height - 1);
    expect(box.y + box.height).toBeLessThanOrEqual(below.y + 1);
  };
  for (const [key, times] of [
    ['ArrowDown', 18],
    ['ArrowUp', 12],
    ['PageDown', 3],
    ['PageUp', 2],
  ] as const) {
    for (let i = 0; i < times; i++) {
      await page.keyboard.press(key);
      await expect(selected).toBeInViewport();
      await inSight();
    }
  }
});
