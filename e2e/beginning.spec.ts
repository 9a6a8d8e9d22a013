import { expect, expectAccessible, open, saved, test, undo } from './support/test.ts';

test('who starts with nothing is led to the first control by keyboard alone, and all of it is undone', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'settings');
  await page.getByRole('button', { name: 'Start with an empty set-up' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Three steps to the first control' })).toBeVisible();
  await expectAccessible(page);
  // Tab goes to what is next; nothing asks for a pointer.
  const tabTo = async (name: string, role: 'button' | 'textbox' | 'combobox') => {
    const wanted = page.getByRole('main').getByRole(role, { name, exact: true });
    for (let i = 0; i < 60; i++) {
      if (await wanted.evaluate((element) => element === document.activeElement)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`Tab does not lead to ${name}.`);
  };
  await tabTo('Twelve pad', 'button');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'What lies on your desk' })).toContainText('done');
  await tabTo('Name of the program', 'textbox');
  await page.keyboard.type('Shelfmark');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Text');
  await page.keyboard.press('Enter');
  await tabTo('Add it', 'button');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'The program you work in' })).toContainText(
    'There: Shelfmark.',
  );
  await tabTo('Command', 'combobox');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Bold');
  await page.keyboard.press('Enter');
  await tabTo('Set it', 'button');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'What a first control does' })).toContainText('done');
  await expectAccessible(page);
  await tabTo('Go on to the Board', 'button');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('gridcell', { name: /Key 1 in Shelfmark: Bold/ })).toBeVisible();
  await saved(page);
  // Back to the demo, edit by edit.
  await undo(page, 4);
  await expect(page.getByRole('columnheader', { name: /Larkframe/ })).toBeVisible();
  await saved(page);
});
