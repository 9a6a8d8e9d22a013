import { choose, showRows } from './support/board.ts';
import { cell, control, expect, expectAccessible, open, rehearsing, saved, test } from './support/test.ts';

test('an intent bound once Everywhere is each program’s own command; where there is none, that is said', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await showRows(page, 'twelve pad key 11');
  await cell(page, 'Key 11', 'Everywhere').click();
  await choose(page, 'Zoom in, each program its own');
  await expect(cell(page, 'Key 11', 'Everywhere')).toContainText('Zoom in');
  await expect(cell(page, 'Key 11', 'Larkframe')).toContainText('Magnify here');
  await expect(cell(page, 'Key 11', 'Brindle')).toContainText('Ctrl+=');
  await expect(cell(page, 'Key 11', 'Hushbox')).toContainText('Zoom to selection');
  await saved(page);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  const key = control(page, 'Twelve pad', 'Key 11');
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  await key.click();
  await expect(page.getByRole('region', { name: /^Brindle/ })).toContainText('Last command Zoom in');
  await page.getByRole('button', { name: 'Hushbox', exact: true }).click();
  await key.click();
  await expect(page.getByRole('region', { name: /^Hushbox/ })).toContainText(
    'Last command Zoom to selection',
  );
  await page.getByRole('button', { name: 'Tin Can', exact: true }).click();
  await key.click();
  await expect(
    page.getByText('Tin Can has no command for “Zoom in”: nothing is sent.').first(),
  ).toBeVisible();
});

test('a drag is typed as lists write it, holds keys and a button, and lets both go', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await showRows(page, 'twelve pad key 11');
  const target = cell(page, 'Key 11', 'Brindle');
  await target.click();
  await page.getByRole('textbox', { name: 'Shortcut' }).fill('Alt+right drag');
  await page.keyboard.press('Enter');
  await expect(target).toContainText('Alt+right drag');
  const held = page.getByRole('textbox', { name: 'Keys held meanwhile' });
  await held.fill('Wobble');
  await held.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'Wobble' })).toBeVisible();
  await held.fill('Space');
  await held.press('Enter');
  await expect(target).toContainText('Space+right drag');
  await saved(page);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  const key = control(page, 'Twelve pad', 'Key 11');
  await key.focus();
  await page.keyboard.down('Enter');
  await expect(page.getByText('Space, right click')).toBeVisible();
  await page.keyboard.up('Enter');
  await expect(page.getByText('Space, right click')).toBeHidden();
});

test('a control that shows everything does so while it is held, with what lasts now', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await showRows(page, 'twelve pad key 11');
  await cell(page, 'Key 11', 'Everywhere').click();
  await choose(page, 'Show everything');
  await saved(page);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  await control(page, 'Twelve pad', 'Key 11').focus();
  await page.keyboard.down('Enter');
  const sheet = page.getByRole('region', { name: 'What controls do now' });
  await expect(sheet.getByRole('heading')).toHaveText([
    /Bench dial/,
    /Pocket mouse/,
    /Twelve pad/,
    /Pen tablet/,
    /Shuttle/,
    /Three pedals/,
    /Wall panel/,
  ]);
  await expect(sheet).toContainText('Brush larger');
  await expect(sheet).toContainText('82 %');
  await expectAccessible(page);
  await page.keyboard.up('Enter');
  await expect(sheet).toBeHidden();
});
