import { cell, expect, expectAccessibleInBoth, open, saved, test } from './support/test.ts';

test('set-ups: made, switched by the chip and by address, renamed, binned and taken out; each is its own', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'vault?tab=set-ups');
  const list = page.getByRole('list', { name: 'Set-ups' });
  await expect(list.getByRole('listitem')).toHaveCount(1);
  await expect(page.getByRole('button', { name: 'Put Saltmarsh Paper Theatre in the bin' })).toBeDisabled();
  await expectAccessibleInBoth(page);

  await page.getByRole('button', { name: 'New set-up…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Name' }).fill('Travel bag');
  await dialog.getByRole('radio', { name: /^with ready-made devices/ }).check();
  await dialog.getByRole('checkbox', { name: 'Bench dial' }).uncheck();
  await dialog.getByRole('button', { name: 'Make it' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Choose at least one device.');
  await dialog.getByRole('checkbox', { name: 'Six pad' }).check();
  await expectAccessibleInBoth(page);
  await dialog.getByRole('button', { name: 'Make it' }).click();
  await expect(page).toHaveURL(/\/set-up\/travel-bag\/board$/);
  await expect(page.getByRole('heading', { name: 'Travel bag' })).toBeVisible();
  // Its devices are there already; a program makes it a Board.
  await expect(page.getByText('What lies on your desk: done')).toBeVisible();
  await page.getByRole('button', { name: 'Larkframe', exact: true }).click();
  await page.getByRole('button', { name: 'Go on to the Board' }).click();
  await expect(cell(page, 'Key 1', 'Everywhere')).toBeVisible();
  await saved(page);

  // What is edited there stays there, also after a reload of a bare address.
  await cell(page, 'Key 1', 'Everywhere').click();
  await page.getByRole('textbox', { name: 'Shortcut' }).fill('Ctrl+F7');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Key 1', 'Everywhere')).toContainText('Ctrl+F7');
  await saved(page);
  await page.goto(`${app.address}/rig`);
  await expect(page).toHaveURL(/\/set-up\/travel-bag\/rig$/);

  // Back to the demo by the chip: it knows nothing of that.
  await page.getByRole('button', { name: /^In front:/ }).click();
  await expect(page.getByRole('menuitemradio', { name: 'Travel bag' })).toHaveAttribute(
    'aria-checked',
    'true',
  );
  await page.getByRole('menuitemradio', { name: 'Saltmarsh Paper Theatre' }).click();
  await expect(page).toHaveURL(/\/set-up\/saltmarsh\/board$/);
  await expect(cell(page, 'Key 1', 'Everywhere')).not.toContainText('Ctrl+F7');
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeDisabled();

  await open(page, app.address, 'set-up/saltmarsh/vault?tab=set-ups');
  await page.getByRole('button', { name: 'Rename Travel bag' }).click();
  await dialog.getByRole('textbox', { name: 'Name' }).fill('Train');
  await dialog.getByRole('button', { name: 'Rename' }).click();
  await expect(list.getByText('Train')).toBeVisible();
  await page.getByRole('button', { name: 'Put Train in the bin' }).click();
  await expect(list.getByText('Train')).toHaveCount(0);
  await expectAccessibleInBoth(page);

  // In the bin it can be looked at, and says that it goes.
  await open(page, app.address, 'set-up/travel-bag/board');
  const bin = page.getByRole('region', { name: 'In the bin' });
  await expect(bin).toContainText('This set-up is in the bin. It goes for good on');
  await expect(cell(page, 'Key 1', 'Everywhere')).toContainText('Ctrl+F7');
  await bin.getByRole('button', { name: 'Take it out' }).click();
  await expect(bin).toHaveCount(0);
  await open(page, app.address, 'set-up/travel-bag/vault?tab=set-ups');
  await expect(list.getByText('Train')).toBeVisible();
});

test('the demo is begun again beside one’s own', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  await cell(page, 'Key 10', 'Larkframe').click();
  await page.getByRole('textbox', { name: 'Shortcut' }).fill('Ctrl+F7');
  await page.keyboard.press('Enter');
  await saved(page);
  await open(page, app.address, 'vault?tab=set-ups');
  await page.getByRole('button', { name: 'Start from the demo again' }).click();
  await expect(page).toHaveURL(/\/set-up\/saltmarsh-paper-theatre\/board$/);
  await expect(cell(page, 'Key 10', 'Larkframe')).not.toContainText('Ctrl+F7');
  await page.goto(`${app.address}/set-up/saltmarsh/board`);
  await expect(cell(page, 'Key 10', 'Larkframe')).toContainText('Ctrl+F7');
});

test('two pages show two set-ups at once; one that is not there says so, and leads on', async ({
  app,
  page,
  context,
}) => {
  await fetch(`${app.address}/api/set-ups`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Loft', begin: { from: 'copy', of: 'saltmarsh', revision: null } }),
  });
  const loft = await context.newPage();
  await open(page, app.address, 'set-up/saltmarsh/board');
  await open(loft, app.address, 'set-up/loft/board');
  for (const [on, keys] of [
    [page, 'Ctrl+F1'],
    [loft, 'Ctrl+F2'],
  ] as const) {
    await cell(on, 'Key 10', 'Larkframe').click();
    await on.getByRole('textbox', { name: 'Shortcut' }).fill(keys);
    await on.keyboard.press('Enter');
    await saved(on);
  }
  await page.reload();
  await expect(cell(page, 'Key 10', 'Larkframe')).toContainText('Ctrl+F1');
  await expect(cell(loft, 'Key 10', 'Larkframe')).toContainText('Ctrl+F2');

  await page.goto(`${app.address}/set-up/gone/board`);
  await expect(page.getByText('There is no set-up “gone”.')).toBeVisible();
  await page.getByRole('button', { name: 'Open the first set-up' }).click();
  await expect(page.getByRole('heading', { name: 'Saltmarsh Paper Theatre' })).toBeVisible();
});

test('edits that could not be sent before another set-up was opened wait, are told of, and are saved once it is opened', async ({
  app,
  page,
}) => {
  await fetch(`${app.address}/api/set-ups`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Loft', begin: { from: 'empty' } }),
  });
  await open(page, app.address, 'set-up/saltmarsh/board');
  await page.route('**/api/set-ups/saltmarsh/edits', (route) => route.abort());
  await cell(page, 'Key 10', 'Larkframe').click();
  await page.getByRole('textbox', { name: 'Shortcut' }).fill('Ctrl+F7');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Key 10', 'Larkframe')).toContainText('Ctrl+F7');
  await page.goto(`${app.address}/set-up/loft/vault?tab=set-ups`);

  await expect(page.getByText('Edits of it wait in this browser. Open it, and they are saved.')).toHaveCount(
    1,
  );
  await expectAccessibleInBoth(page);
  await page.unroute('**/api/set-ups/saltmarsh/edits');
  await page.getByRole('button', { name: 'Open Saltmarsh Paper Theatre' }).click();
  await expect(cell(page, 'Key 10', 'Larkframe')).toContainText('Ctrl+F7');
  await saved(page);
  await open(page, app.address, 'set-up/loft/vault?tab=set-ups');
  await expect(page.getByText('Saltmarsh Paper Theatre')).toBeVisible();
  await expect(page.getByText('Edits of it wait')).toHaveCount(0);
});
