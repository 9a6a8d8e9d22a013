import { expect, expectAccessible, expectAccessibleInBoth, open, rehearsing, test } from './support/test.ts';

test('a browser lends its pedals and its pen to a desk in another one: held as long as they are, and up when it goes', async ({
  app,
  quietPage: page,
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 1024, height: 768 } });
  const laptop = await context.newPage();
  // A key of the keyboard is the left pedal of the rig, as this browser hears it.
  await open(laptop, app.address, 'rig');
  await laptop
    .getByRole('navigation', { name: 'Devices of the rig' })
    .getByRole('button', { name: /^Three pedals/ })
    .click();
  await laptop.getByRole('button', { name: 'Find a control' }).click();
  await laptop.getByRole('group', { name: 'Three pedals' }).getByRole('button').first().click();
  await laptop.keyboard.press('F9');
  await laptop.getByRole('button', { name: /^It is / }).click();
  await laptop.getByRole('link', { name: 'Use this browser’s devices at…' }).click();
  const status = laptop
    .getByRole('status')
    .filter({ hasText: /desk|lent|use/i })
    .first();
  await expect(status).toContainText('No desk is there');
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  await expect(status).toContainText('Nothing is lent');
  await expectAccessibleInBoth(laptop);
  await laptop.getByRole('button', { name: 'Lend them' }).click();
  await expect(status).toContainText('In use at');
  await expect(page.getByText(/devices of .* joined/)).toBeVisible();
  await expect(laptop.getByText('heron_shot_04')).toBeVisible();
  const account = page.getByRole('complementary', { name: 'What happened' });
  await laptop.keyboard.down('F9');
  await expect(account.getByRole('listitem').first()).toContainText('Three pedals');
  await expect(laptop.getByRole('region', { name: 'What happened there' })).toContainText('Three pedals');
  await laptop.keyboard.up('F9');
  await expectAccessible(laptop);
  // The mouse over the field is the rig's mouse; what it holds comes up when the page goes.
  const field = laptop.locator('[data-lend-pad]');
  const box = await field.boundingBox();
  if (!box) throw new Error('The field is not drawn.');
  await laptop.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await laptop.mouse.down({ button: 'middle' });
  await expect(laptop.getByText('Mouse, wheel press')).toBeVisible();
  await laptop.close();
  await expect(page.getByText(/devices of .* joined/)).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Held now' })).toContainText('Nothing');
  await context.close();
});
