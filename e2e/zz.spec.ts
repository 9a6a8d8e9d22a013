import path from 'node:path';
import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

const PICTURE = path.join(import.meta.dirname, '../docs/screenshots/radial-dark.png');
test.use({ colorScheme: 'dark' });
test('look', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'panels?device=six-pad&page=shot&profile=larkframe');
  await page.locator('[data-page-drawing] [data-control="key-3"]').click();
  await page.getByRole('button', { name: 'Latch' }).click();
  await page.locator('input[type=file]').first().setInputFiles(PICTURE);
  await expect(page.locator('[data-page-drawing] img')).toBeVisible();
  await page.locator('[data-page-drawing] [data-control="key-2"]').click();
  await page.getByRole('button', { name: 'Latch' }).click();
  await page
    .getByRole('button', { name: 'Adjust picture…' })
    .or(page.getByRole('button', { name: 'Picture…' }))
    .focus();
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/b1.png' });
  await page.locator('[data-page-drawing] [data-control="key-3"]').click();
  await page.getByRole('button', { name: 'Adjust picture…' }).click();
  await page.getByRole('button', { name: 'Seen whole' }).click();
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/b2.png' });
  await page.keyboard.press('Escape');
  await saved(page);
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  await page.getByRole('button', { name: 'Six pad', exact: true }).click();
  await control(page, 'Six pad', 'Key 6').click();
  await control(page, 'Six pad', 'Key 3').click();
  await control(page, 'Six pad', 'Key 2').click();
  await page.waitForTimeout(1500);
  await page.screenshot({ path: '/tmp/b3.png' });
  await open(page, app.address, 'board');
  await page.getByRole('textbox', { name: 'Search the Board' }).fill('six pad');
  await page.getByRole('tab', { name: /^Shot/ }).click();
  await cell(page, 'Key 3', 'Larkframe').click();
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/b4.png' });
});
