import { assign, assignTrigger, choose, setTime, show, showRows } from './support/board.ts';
import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

test('double press, nudge and repeat of one key: assigned as rows, told apart in Rehearse', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await assignTrigger(page, 'twelve pad key 5', 'Key 5', 'double press', 'Larkframe', 'Home');
  await assignTrigger(page, 'twelve pad key 5', 'Key 5', 'nudge right', 'Larkframe', 'End');
  await assign(page, 'twelve pad key 11', 'Key 11', 'Larkframe', 'ArrowLeft', 'Step one frame back');
  await page.getByRole('button', { name: 'Repeat', exact: true }).click();
  await page.getByRole('textbox', { name: /^then every/ }).fill('60');
  await page.keyboard.press('Enter');
  await setTime(page, 'Twelve pad', /^A double press within/, 3000);
  await saved(page);

  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  const larkframe = page.getByRole('region', { name: /^Larkframe/ });
  const key = control(page, 'Twelve pad', 'Key 5');
  await key.dblclick();
  await expect(larkframe).toContainText('Last command First frame');

  const box = await key.boundingBox();
  if (!box) throw new Error('no key');
  await page.mouse.move(box.x + 10, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + 12, { steps: 6 });
  await page.mouse.up();
  await expect(larkframe).toContainText('Last command Last frame');

  await control(page, 'Twelve pad', 'Key 11').focus();
  await page.keyboard.down('Space');
  await expect(larkframe).toContainText('Frame 1 of 7');
  await page.keyboard.up('Space');
  await key.click();
  await expect(larkframe).toContainText('Last command Play or stop');
});

test('a radial menu: made on the Board, ordered by keys and by dragging, chosen from in Rehearse; all undone', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await showRows(page, 'twelve pad key 10');
  await cell(page, 'Key 10', 'Brindle').click();
  await choose(page, 'New radial menu');
  const editor = page.getByRole('dialog', { name: 'Radial menu' });
  await editor.getByRole('button', { name: 'Add an item' }).click();
  await editor.getByRole('textbox', { name: 'Label' }).fill('Eraser');
  await editor.getByRole('textbox', { name: 'Shortcut' }).fill('E');
  await editor.getByRole('textbox', { name: 'Shortcut' }).press('Enter');
  await editor.getByRole('button', { name: 'Add an item' }).click();
  await editor.getByRole('textbox', { name: 'Label' }).fill('Closer');
  await editor.getByRole('textbox', { name: 'Shortcut' }).fill('Ctrl+=');
  await editor.getByRole('textbox', { name: 'Shortcut' }).press('Enter');
  const items = editor.locator('[data-item]');
  await expect(items).toHaveText(['Undo', 'Eraser', 'Closer']);
  // By keyboard: the third item becomes the second.
  await items.nth(2).focus();
  await page.keyboard.press('Alt+ArrowLeft');
  await expect(items).toHaveText(['Undo', 'Closer', 'Eraser']);
  // By dragging: the first is dropped on the last.
  const [from, to] = [await items.nth(0).boundingBox(), await items.nth(2).boundingBox()];
  if (!from || !to) throw new Error('no items');
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 10 });
  await page.mouse.up();
  await expect(items).toHaveText(['Closer', 'Eraser', 'Undo']);
  await editor.getByRole('button', { name: 'Done' }).click();
  await expect(cell(page, 'Key 10', 'Brindle')).toContainText('New radial menu');
  await saved(page);

  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  const brindle = page.getByRole('region', { name: /^Brindle/ });
  const key = control(page, 'Twelve pad', 'Key 10');
  // Pressed and let go it stays open; the arrow keys go round it and Enter chooses.
  await key.focus();
  await page.keyboard.press('Space');
  const menu = page.getByRole('dialog', { name: 'Radial menu New radial menu' });
  await expect(menu).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(brindle).toContainText('Eraser 16');
  await expect(menu).toBeHidden();
  // Flicked: pressed, moved upwards past the rim.
  const box = await key.boundingBox();
  if (!box) throw new Error('no key');
  await page.mouse.move(box.x + 8, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + 8, box.y - 112, { steps: 8 });
  await page.mouse.up();
  await expect(brindle).toContainText('Zoom 125 %');
  // Escape closes it and nothing is chosen.
  await key.focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('Escape');
  await expect(menu).toBeHidden();

  await page.getByRole('link', { name: 'Board' }).click();
  await showRows(page, 'twelve pad key 10');
  for (let i = 0; i < 9; i++) {
    await page.getByRole('button', { name: /^Undo: / }).click();
  }
  await expect(cell(page, 'Key 10', 'Brindle')).toContainText('—');
});

test('a layer while a pedal is down, Shift of a pedal with a press of the mouse, and nothing left held', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  // A layer of one's own: added, named, compared with Base, turned on by the middle pedal in Brindle.
  await page.getByRole('button', { name: 'New layer' }).click();
  await page.getByRole('textbox', { name: 'Name of the layer' }).fill('Feathers');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('tab', { name: 'Feathers' })).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByRole('img', { name: /^Nothing turns this layer on yet/ })).toBeVisible();
  await assign(page, 'bench dial', 'Turn clockwise', 'Brindle', 'Ctrl+=', 'Zoom in');
  await page.getByRole('button', { name: 'Compare with Base' }).click();
  await expect(cell(page, 'Turn clockwise', 'Brindle')).toContainText('was Brush larger');
  await page.getByRole('tab', { name: 'Base' }).click();
  await showRows(page, 'three pedals');
  await cell(page, 'Middle pedal', 'Brindle').click();
  await choose(page, 'Layer Feathers');
  await expect(cell(page, 'Middle pedal', 'Brindle')).toContainText('Layer Feathers');
  await assign(page, 'pocket mouse', 'Thumb, front', 'Brindle', 'F', 'Send keys');
  await saved(page);

  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  const held = page.getByRole('region', { name: 'Held now' });
  const account = page.getByRole('complementary', { name: 'What happened' });
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  const brindle = page.getByRole('region', { name: /^Brindle/ });
  await page.keyboard.down('F8');
  await expect(page.getByRole('group', { name: 'What lasts now' })).toContainText('Layer Feathers');
  await control(page, 'Bench dial', 'Dial').focus();
  await page.keyboard.press('ArrowUp');
  await expect(brindle).toContainText('Zoom 125 %');
  await page.keyboard.up('F8');
  await page.keyboard.press('ArrowUp');
  await expect(brindle).toContainText('Brush 20');

  // Shift of one device works with a press of another: Shift+F mirrors the canvas.
  await page.keyboard.down('F7');
  await expect(held).toContainText('Shift');
  await control(page, 'Pocket mouse', 'Thumb, front').click();
  await expect(brindle).toContainText('Last command Mirror the canvas');
  await page.keyboard.up('F7');
  await expect(held).toContainText('Nothing');

  // The middle pedal is down as another program comes to the front: what only Brindle set is let go.
  await page.keyboard.down('F8');
  await expect(held).toContainText('Layer Feathers');
  await page.keyboard.press('F6');
  await expect(held).toContainText('Nothing');
  await expect(page.getByRole('group', { name: 'What lasts now' })).not.toContainText('Layer');
  await page.keyboard.up('F8');
  await expect(account).toContainText('so it comes up in silence');
});

test('off here, but Tin Can hears its talk key in the background; a guarded command asks for a longer press', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rig');
  await setTime(page, 'Shuttle', /^A longer press is/, 2000);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  const account = page.getByRole('complementary', { name: 'What happened' });
  await page.keyboard.down('F9');
  await expect(page.getByLabel('talking')).toBeVisible();
  await expect(account).toContainText('Tin Can runs “Talk”. You are heard by Puppet room.');
  await expect(page.getByRole('button', { name: /^In front: Larkframe/ })).toBeVisible();
  await page.keyboard.up('F9');
  await expect(page.getByLabel('talking')).toBeHidden();

  await show(page, 'Shuttle');
  const larkframe = page.getByRole('region', { name: /^Larkframe/ });
  const guarded = control(page, 'Shuttle', 'Key 5');
  await guarded.click();
  await expect(larkframe).toContainText('of 7');
  await guarded.click({ delay: 2300 });
  await expect(larkframe).toContainText('of 6');

  // On the Board: what it hears and who hears it can be changed.
  await page.getByRole('link', { name: 'Board' }).click();
  await showRows(page, 'three pedals');
  await cell(page, 'Right pedal', 'Everywhere').click();
  await page.getByRole('combobox', { name: 'Still heard by' }).click();
  await page.getByRole('option', { name: 'Hushbox' }).click();
  await page.keyboard.press('Escape');
  await expect(cell(page, 'Right pedal', 'Everywhere')).toContainText('heard by Tin Can, Hushbox');
  await page.getByRole('combobox', { name: 'Still heard by' }).click();
  await page.getByRole('option', { name: 'Tin Can' }).click();
  await page.keyboard.press('Escape');
  await expect(cell(page, 'Right pedal', 'Everywhere')).toContainText('heard by Hushbox');
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(cell(page, 'Right pedal', 'Everywhere')).toContainText('heard by Tin Can');
});

test('a row, a device and a column are copied after a look at what that overwrites', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await page.getByRole('button', { name: 'Column Larkframe' }).click();
  await page.getByRole('menuitem', { name: 'Copy the column…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Copy of Larkframe' });
  await dialog.getByRole('combobox', { name: 'Program' }).click();
  await page.getByRole('option', { name: 'Brindle' }).click();
  await expect(dialog.getByRole('list').first()).toContainText('Brush larger →');
  await dialog.getByRole('button', { name: 'Copy' }).click();
  await expect(cell(page, 'Key 9', 'Brindle')).not.toContainText('—');
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(cell(page, 'Key 9', 'Brindle')).toContainText('—');

  await page.getByRole('button', { name: 'Row Twelve pad, Key 1', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Copy the row…' }).click();
  const row = page.getByRole('dialog', { name: 'Copy of Twelve pad, Key 1' });
  await row.getByRole('combobox', { name: 'Device' }).click();
  await page.getByRole('option', { name: 'Twelve pad' }).click();
  await row.getByRole('combobox', { name: 'Control' }).click();
  await page.getByRole('option', { name: 'Key 11', exact: true }).click();
  await row.getByRole('button', { name: 'Copy' }).click();
  await expect(cell(page, 'Key 11', 'Everywhere')).toContainText('Undo');

  // Columns: hidden, kept in sight, moved; kept over a reload.
  await page.getByRole('button', { name: 'Column Brindle' }).click();
  await page.getByRole('menuitem', { name: 'Hide' }).click();
  await page.getByRole('button', { name: 'Column Hushbox' }).click();
  await page.getByRole('menuitem', { name: 'Keep in sight' }).click();
  await expect(page.getByRole('columnheader').nth(1)).toContainText('Hushbox');
  await saved(page);
  await page.reload();
  await expect(page.getByRole('columnheader').nth(1)).toContainText('Hushbox');
  await expect(page.getByRole('columnheader', { name: 'Brindle' })).toBeHidden();
});

test('pointer speed and page are shown while they last', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  await showRows(page, 'pocket mouse');
  await page.getByRole('button', { name: 'New page of Pocket mouse' }).click();
  await page.getByRole('menuitem', { name: 'New folder' }).click();
  await page.getByRole('textbox', { name: 'Name of the page' }).fill('Far corner');
  await page.keyboard.press('Enter');
  await page.getByRole('tab', { name: 'Home' }).last().click();
  for (const [row, typed] of [
    ['Thumb, rear', 'Next pointer speed'],
    ['Right', 'Open Far corner'],
  ] as const) {
    await showRows(page, 'pocket mouse');
    await cell(page, row, 'Larkframe').click();
    await choose(page, typed);
    await expect(cell(page, row, 'Larkframe')).toContainText(typed);
  }
  await saved(page);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  const now = page.getByRole('group', { name: 'What lasts now' });
  await control(page, 'Pocket mouse', 'Thumb, rear').click();
  await expect(now).toContainText('Pocket mouse: speed ×0.5');
  await control(page, 'Pocket mouse', 'Right').click();
  await expect(now).toContainText('Pocket mouse: Far corner');
  // The pointer of the desk goes at that speed: 12 pixels of the arrow key are 6 on the desk.
  const pad = page.getByRole('application', { name: /^Pocket mouse, pad/ });
  await pad.focus();
  const pointer = page.locator('[data-desk-pointer]');
  await page.keyboard.press('ArrowRight');
  const left = async () =>
    Number.parseFloat((await pointer.getAttribute('style'))?.match(/left: ([\d.]+)/)?.[1] ?? '');
  const before = await left();
  await page.keyboard.press('ArrowRight');
  expect((await left()) - before).toBeCloseTo(6, 3);
});
