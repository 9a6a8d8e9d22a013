import { choose, showRows } from './support/board.ts';
import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

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
