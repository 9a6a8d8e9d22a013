import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

// Two keys and a knob of 20 steps, written as a C array with comments.
const DESCRIPTOR = `const uint8_t reports[] = {
  0x05, 0x01, 0x09, 0x08, 0xA1, 0x01, // a controller of several axes
  0x05, 0x09, 0x19, 0x01, 0x29, 0x02, 0x15, 0x00, 0x25, 0x01, 0x75, 0x01, 0x95, 0x02, 0x81, 0x02,
  0x75, 0x06, 0x95, 0x01, 0x81, 0x03, /* padding */
  0x05, 0x01, 0x09, 0x37, 0x15, 0x81, 0x25, 0x7F, 0x75, 0x08, 0x95, 0x01, 0x81, 0x06, 0xC0
};`;

test('a device nobody has seen is added from its descriptor, bound on the Board and used in Rehearse', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await page.getByRole('link', { name: 'Add a device' }).click();
  const text = page.getByRole('textbox', { name: 'Report descriptor' });
  await text.fill('05 01 09 zz');
  await expect(page.getByRole('alert')).toContainText('“zz” is not a hexadecimal number');
  await text.fill('05 01 09 02 A1 01');
  await expect(page.getByRole('alert')).toContainText('at byte 6, a collection was not ended');

  await text.fill(DESCRIPTOR);
  await expect(page.getByText('3 controls, 43 bytes')).toBeVisible();
  const report = page.getByRole('textbox', { name: /^An input report/ });
  await report.fill('01 03');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listitem').filter({ hasText: '01 03' })).toContainText(
    'Button 1 down, Dial +3',
  );
  // A second interface of the same device; its reports come by themselves.
  await page.getByRole('button', { name: 'Another interface of the same device' }).click();
  const second = page.getByRole('textbox', { name: 'Report descriptor of interface 2' });
  await second.fill('05 0C 09 01');
  await expect(page.getByText('3 controls, 43 bytes')).toBeHidden();
  await second.fill('05 0C 09 01 A1 01 09 E9 15 00 25 01 75 01 95 01 81 02 95 07 81 03 C0');
  await expect(page.getByText('4 controls, 66 bytes')).toBeVisible();
  await page.getByRole('combobox', { name: 'By which interface it comes' }).click();
  await page.getByRole('option', { name: 'Interface 2' }).click();
  await report.fill('01');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listitem').filter({ hasText: /^01/ }).first()).toContainText('Vol + down');
  await page.getByRole('button', { name: 'Remove interface 2' }).click();
  await expect(page.getByText('3 controls, 43 bytes')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Brass knob');
  await page.getByRole('button', { name: 'Add to the rig' }).click();

  // On the Board: its drawing and its rows.
  await expect(page.getByRole('gridcell', { selected: true })).toHaveAccessibleName(/^Brass knob, /);
  await page.getByRole('grid').hover();
  await page.mouse.wheel(0, -9000);
  await control(page, 'Brass knob', 'Button 2').click();
  const target = page.getByRole('row', { name: /^Button 2/ }).getByRole('gridcell', { name: / in Brindle:/ });
  await expect(target).toHaveAttribute('aria-selected', /true|false/);
  await target.click();
  await page.getByRole('combobox', { name: 'Choose a command' }).fill('eras');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(target).toContainText('Eraser');
  await saved(page);

  // In Rehearse: pressed, and the program obeys.
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  await page.getByRole('button', { name: 'Brass knob', exact: true }).click();
  await control(page, 'Brass knob', 'Button 2').click();
  await expect(page.getByRole('region', { name: /^Brindle/ })).toContainText('Eraser');

  // Undone from the Board, and brought back.
  await page.getByRole('link', { name: 'Board' }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('group', { name: 'Brass knob' })).toBeHidden();
  await page.getByRole('button', { name: /^Redo/ }).click();
  const drawn = page.getByRole('group', { name: 'Brass knob' });
  // Drawn small where the matrix is scrolled.
  await expect(drawn.or(page.getByRole('button', { name: 'Brass knob', exact: true }))).toBeVisible();
  await page.getByRole('textbox', { name: 'Search the Board' }).fill('key 12');
  await expect(cell(page, 'Key 12', 'Everywhere')).toContainText('Save');
});

test('an example plays its recording; a shuttle ring and a slider can be moved in Rehearse', async ({
  app,
  quietPage: page,
}) => {
  await page.goto(`${app.address}/add-device`);
  await page.getByRole('button', { name: 'Shuttle', exact: true }).click();
  await page.getByRole('button', { name: 'Play the recording' }).click();
  await expect(page.getByText('Shuttle ring at 3')).toBeVisible();
  await expect(page.getByText('Button 9 up')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Old shuttle');
  await page.getByRole('button', { name: 'Add to the rig' }).click();

  await page.getByRole('textbox', { name: 'Search the Board' }).fill('old shuttle');
  const row = page.getByRole('row', { name: /^Shuttle ring, clockwise/ });
  await row.getByRole('gridcell', { name: / in Larkframe:/ }).click();
  await page.getByRole('textbox', { name: 'Shortcut' }).fill('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(row).toContainText('Step one frame on');
  await saved(page);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await page.getByRole('button', { name: 'Old shuttle', exact: true }).click();
  await control(page, 'Old shuttle', 'Shuttle ring').focus();
  await page.keyboard.down('ArrowUp');
  await expect(page.getByRole('region', { name: /^Larkframe/ })).toContainText('Frame 5 of 7');
  await page.keyboard.up('ArrowUp');
  await expect(page.getByRole('complementary', { name: 'What happened' })).toContainText(
    'shuttle ring back at rest',
  );
});
