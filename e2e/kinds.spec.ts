import { assign, show, showRows } from './support/board.ts';
import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

test('every kind of device: assigned on the Board, used in Rehearse, and the program in front obeys', async ({
  app,
  quietPage: page,
}) => {
  // A spoken device joins the rig from the catalogue.
  await open(page, app.address, 'rig');
  await page.getByRole('button', { name: 'Add a device' }).click();
  await page.getByRole('menuitem', { name: /^Voice/ }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the device' })).toHaveValue('Voice');

  await page.getByRole('link', { name: 'Board' }).click();
  const rows = [
    ['pocket mouse', 'Thumb, front', 'Home', 'First frame'],
    ['bench dial', 'Press', 'K', 'Stage light'],
    ['twelve pad key 11', 'Key 11', 'G', 'Picture guides'],
    ['pen tablet side', 'Side key 5', 'End', 'Last frame'],
    ['shuttle key 2', 'Key 2', 'Shift+F', 'Turn the film round'],
    ['three pedals', 'Left pedal', 'O', 'Onion skin'],
    ['wall panel cell 9', 'Cell 9', 'D', 'Double the frame'],
    ['voice next', '“Next shot”', 'ArrowLeft', 'Step one frame back'],
  ] as const;
  for (const [search, row, shortcut, shows] of rows) {
    await assign(page, search, row, 'Larkframe', shortcut, shows);
  }
  await saved(page);

  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  const larkframe = page.getByRole('region', { name: /^Larkframe/ });
  const uses = [
    ['Pocket mouse', 'Thumb, front', 'First frame'],
    ['Bench dial', 'Dial', 'Stage light'],
    ['Twelve pad', 'Key 11', 'Picture guides'],
    ['Pen tablet', 'Side key 5', 'Last frame'],
    ['Shuttle', 'Key 2', 'Turn the film round'],
    ['Three pedals', 'Left pedal', 'Onion skin'],
    ['Wall panel', 'Cell 9', 'Double the frame'],
    ['Voice', 'Next shot', 'Step one frame back'],
  ] as const;
  for (const [device, name, command] of uses) {
    await show(page, device);
    await control(page, device, name).focus();
    await page.keyboard.press('Space');
    await expect(larkframe).toContainText(`Last command ${command}`);
  }

  // All of it is taken back, one by one; the device goes last.
  await page.getByRole('link', { name: 'Board' }).click();
  await showRows(page, '');
  for (const _ of [...rows, 'the device']) await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(page.getByRole('group', { name: 'Voice' })).toBeHidden();
  await showRows(page, 'bench dial');
  await expect(cell(page, 'Press', 'Larkframe')).toContainText('Take the frame');
  await saved(page);
});

test('faders act on the picture, a tablet’s pen paints where its pad points, the shuttle steps at its rates', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  const account = page.getByRole('complementary', { name: 'What happened' });
  await page.getByRole('button', { name: 'Tallow', exact: true }).click();
  await show(page, 'Wall panel');
  await control(page, 'Wall panel', 'Fader 2').focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('region', { name: /^Tallow/ })).toContainText('Last command Saturation');
  await expect(account).toContainText('Saturation 10 %.');

  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  await show(page, 'Pen tablet');
  const pad = page.getByRole('application', { name: /^Pen tablet, pad/ });
  await pad.focus();
  for (const key of ['ArrowRight', 'ArrowRight']) await page.keyboard.press(key);
  await page.keyboard.down('Space');
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.up('Space');
  await show(page, 'Twelve pad');
  await control(page, 'Twelve pad', 'Key 1,').focus();
  await page.keyboard.press('Space');
  await expect(account).toContainText('3 marks on the canvas.');

  // Hovering, the upper switch is the hand; touching, it looks closer.
  await pad.focus();
  await page.keyboard.press('1');
  const brindle = page.getByRole('region', { name: /^Brindle/ });
  await expect(brindle).toContainText('Last command Hand');
  await page.keyboard.down('Space');
  await page.keyboard.press('1');
  await page.keyboard.up('Space');
  await expect(brindle).toContainText('Zoom 125 %');

  await page.getByRole('button', { name: 'Hushbox', exact: true }).click();
  await show(page, 'Shuttle');
  const ring = control(page, 'Shuttle', 'Shuttle ring');
  // What falls due is told with the time at which it was due, whatever the machine's speed.
  const apart = async (positions: number) => {
    await page.getByRole('button', { name: 'Clear the list' }).click();
    await ring.focus();
    for (let i = 0; i < positions; i++) await page.keyboard.down('ArrowUp');
    const steps = account.getByRole('listitem').filter({ hasText: 'runs “Scrub on”' });
    await expect.poll(() => steps.count()).toBeGreaterThanOrEqual(positions + 2);
    const [newest = '', before = ''] = await steps.locator('time').allTextContents();
    await page.keyboard.up('ArrowUp');
    return Number.parseFloat(newest) - Number.parseFloat(before);
  };
  // One step a second at the first position, eight at the fourth.
  expect(await apart(1)).toBeCloseTo(1, 2);
  expect(await apart(4)).toBeCloseTo(0.125, 2);
});
