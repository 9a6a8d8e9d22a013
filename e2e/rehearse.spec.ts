import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

test('“Rehearse it” brings the cell’s program to the front and its device into the tray; keys show their faces', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await page.getByRole('textbox', { name: 'Search the Board' }).fill('wall panel cell 1');
  await cell(page, 'Cell 1', 'Brindle').click();
  await page.getByRole('button', { name: 'Rehearse it' }).click();
  await rehearsing(page);
  await expect(page.locator('[data-program=brindle]')).toHaveAttribute('data-active', 'true');
  await expect(page.getByRole('group', { name: 'Wall panel' })).toBeVisible();
  await expect(control(page, 'Wall panel', 'Cell 1,')).toContainText(/Open\s*Larkframe/);

  // A further device takes the place of another, and that is said.
  await page.getByRole('button', { name: 'Shuttle', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: 'made room' })).toBeVisible();
  // Faces follow the program in front.
  await page.getByRole('button', { name: 'Twelve pad', exact: true }).click();
  await expect(control(page, 'Twelve pad', 'Key 5')).toHaveAccessibleName(/Brush/);
  await page.getByRole('toolbar').getByRole('button', { name: 'Larkframe' }).click();
  await expect(control(page, 'Twelve pad', 'Key 5')).toHaveAccessibleName(/Play/);
});

test('the account tells keys a program has nothing for, what a latch lets go of, and nudges by their key', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await cell(page, 'Key 9', 'Brindle').click();
  await page.getByRole('textbox', { name: 'Shortcut' }).fill('Ctrl+Shift+Z');
  await page.keyboard.press('Enter');
  await cell(page, 'Key 10', 'Brindle').click();
  await page.getByRole('textbox', { name: 'Shortcut' }).fill('Shift');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Latch', exact: true }).click();
  await saved(page);
  await page.getByRole('button', { name: 'Rehearse it' }).click();
  await rehearsing(page);
  const account = page.getByRole('complementary', { name: 'What happened' });
  await control(page, 'Twelve pad', 'Key 9').focus();
  await page.keyboard.press('Space');
  await expect(account).toContainText('Brindle has nothing for Ctrl+Shift+Z');
  await control(page, 'Twelve pad', 'Key 10').focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('Space');
  await expect(account.getByRole('listitem').first()).toContainText('Shift comes up');
});

test('a phrase is said by typing it; what is none tells the closest; two cannot be the same', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rig');
  await page.getByRole('button', { name: 'Add', exact: false }).first().click();
  await page.getByRole('menuitem', { name: /^Voice/ }).click();
  await page
    .getByRole('button', { name: /“?Take it/ })
    .first()
    .click();
  const field = page.getByRole('textbox', { name: /^Words of Take it/ });
  await field.fill('Take it | take that');
  await field.press('Enter');
  await saved(page);
  await page
    .getByRole('button', { name: /“?Next shot/ })
    .first()
    .click();
  const other = page.getByRole('textbox', { name: /^Words of Next shot/ });
  await other.fill('TAKE that.');
  await other.press('Enter');
  await expect(page.getByRole('alert')).toContainText('is said for Voice');
  await expect(other).toHaveValue('Next shot');
  await page.getByRole('button', { name: 'Add a phrase' }).click();
  await expect(page.getByRole('textbox', { name: /^Words of New phrase/ })).toBeFocused();
  await page.keyboard.type('onion please');
  await page.keyboard.press('Enter');
  await saved(page);

  await page.getByRole('link', { name: 'Board' }).click();
  await page.getByRole('textbox', { name: 'Search the Board' }).fill('onion please');
  await cell(page, '“onion please”', 'Larkframe').click();
  await page.keyboard.press('Enter');
  await page.keyboard.type('onion skin');
  await page.keyboard.press('Enter');
  await expect(cell(page, '“onion please”', 'Larkframe')).toContainText('Onion skin');
  await page.getByRole('button', { name: 'Rehearse it' }).click();
  await rehearsing(page);
  const say = page.getByRole('textbox', { name: 'Say something' });
  await say.fill('ONION  please.');
  await say.press('Enter');
  const account = page.getByRole('complementary', { name: 'What happened' });
  await expect(account).toContainText('Larkframe runs “Onion skin”');
  await say.fill('onion peas');
  await page.getByRole('button', { name: 'Say it' }).click();
  await expect(account).toContainText('The closest is “onion please”');
});
