import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

test('a hold, a latch and a turn while pressed: assigned on the Board, obeyed in Rehearse', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  const shortcut = page.getByRole('textbox', { name: 'Shortcut' });

  // Key 5 plays in Larkframe; held, it goes to the last frame.
  await cell(page, 'Key 5', 'Larkframe').click();
  await page.keyboard.press('t');
  await cell(page, 'Key 5, hold', 'Larkframe').click();
  await shortcut.fill('End');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Key 5, hold', 'Larkframe')).toContainText('Last frame');
  // Key 10 holds Shift until it is pressed again.
  await cell(page, 'Key 10', 'Everywhere').click();
  await shortcut.fill('Shift');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Latch', exact: true }).click();
  // The dial, turned while it is pressed, goes to the first frame; pressed alone it still takes the frame.
  await page.getByRole('textbox', { name: 'Search the Board' }).fill('bench dial');
  await page.getByRole('button', { name: 'All ways of using Dial' }).click();
  await cell(page, 'Turn anticlockwise while pressed', 'Larkframe').click();
  await shortcut.fill('Home');
  await page.keyboard.press('Enter');
  await saved(page);

  await page.getByRole('button', { name: 'Rehearse it' }).click();
  await rehearsing(page);
  const larkframe = page.getByRole('region', { name: /^Larkframe/ });
  const held = page.getByRole('region', { name: 'Held now' });
  const account = page.getByRole('complementary', { name: 'What happened' });
  await control(page, 'Twelve pad', 'Key 5').hover();
  await page.mouse.down();
  await expect(larkframe).toContainText('Frame 7 of 7');
  await page.mouse.up();
  await expect(larkframe).toContainText('Last command Last frame');

  await control(page, 'Twelve pad', 'Key 10').click();
  await expect(held).toContainText('Shift');
  await control(page, 'Twelve pad', 'Key 10').click();
  await expect(held).toContainText('Nothing');

  await control(page, 'Bench dial', 'Dial').focus();
  await page.keyboard.down('Space');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.up('Space');
  await expect(larkframe).toContainText('Frame 1 of 7');
  await expect(account).toContainText('turned while pressed back 18°');
  await page.keyboard.press('Space');
  await expect(larkframe).toContainText('Frame 2 of 8');
});
