import { cell, control, expect, expectAccessible, open, test } from './support/test.ts';

for (const theme of ['light', 'dark'] as const) {
  test.describe(theme, () => {
    test.use({ colorScheme: theme });

    test('axe finds nothing serious on the Board', async ({ app, quietPage: page }) => {
      await open(page, app.address, 'board');
      await expectAccessible(page);
      await cell(page, 'Turn clockwise', 'Larkframe').click();
      await expectAccessible(page);
      await page.getByRole('textbox', { name: 'Shortcut' }).fill('Ctrl+Wobble');
      await page.keyboard.press('Enter');
      await expect(page.getByRole('alert')).toBeVisible();
      await expectAccessible(page);
      await cell(page, 'Wheel press', 'Brindle').click();
      await page.keyboard.press('r');
      await expectAccessible(page);
      await page.keyboard.press('Escape');
      await page.keyboard.press('Control+k');
      await page.keyboard.type('fit');
      await expectAccessible(page);
    });

    test('axe finds nothing serious in Settings, the keys on screen, and adding a device', async ({
      app,
      quietPage: page,
    }) => {
      await open(page, app.address, 'settings');
      await expectAccessible(page);
      await open(page, app.address, 'board');
      await cell(page, 'Turn clockwise', 'Larkframe').click();
      await page.getByRole('button', { name: 'Put it together from keys on screen' }).click();
      await expect(page.getByRole('dialog', { name: 'Keys on screen' })).toBeVisible();
      await expectAccessible(page);
      await open(page, app.address, 'add-device');
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Pen tablet', exact: true }).click();
      await page.getByRole('button', { name: 'Play the recording' }).click();
      await expect(page.getByText('Pen tip down')).toBeVisible();
      await expectAccessible(page);
    });

    test('axe finds nothing serious on Rehearse', async ({ app, quietPage: page }) => {
      await open(page, app.address, 'rehearse');
      await expectAccessible(page);
      await control(page, 'Bench dial', 'Dial').focus();
      await page.keyboard.press('ArrowRight');
      await page.keyboard.down('Space');
      await expectAccessible(page);
      await page.getByRole('button', { name: /^In front/ }).click();
      await expectAccessible(page);
    });
  });
}

test('the theme follows the system and can be chosen', async ({ app, quietPage: page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await open(page, app.address, 'board');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.getByRole('button', { name: 'Theme' }).click();
  await page.getByRole('menuitemradio', { name: 'Paper (light)' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
});

test('Board and Rehearse need no scrolling of the page at 1280×800, and work at 1024', async ({
  app,
  quietPage: page,
}) => {
  for (const width of [1280, 1024]) {
    await page.setViewportSize({ width, height: 800 });
    for (const view of ['board', 'rehearse'] as const) {
      await open(page, app.address, view);
      const overflow = await page.evaluate(() => [
        document.documentElement.scrollWidth - window.innerWidth,
        document.documentElement.scrollHeight - window.innerHeight,
      ]);
      expect(overflow).toEqual([0, 0]);
    }
  }
});
