import path from 'node:path';
import { show, showRows } from './support/board.ts';
import { IN_FULL } from './support/inFull.ts';
import { cell, control, expect, expectAccessible, open, test } from './support/test.ts';

// What is dark is looked at where it is made: see `expectAccessibleInBoth`.
const THEMES = IN_FULL ? (['light', 'dark'] as const) : (['light'] as const);
for (const theme of THEMES) {
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
      await expect(page.getByRole('dialog', { name: 'Find anything' })).toBeVisible();
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

    test('axe finds nothing serious on the Rig and all its parts', async ({ app, quietPage: page }) => {
      await open(page, app.address, 'rig');
      await page.getByRole('button', { name: 'Find a control' }).click();
      await page.keyboard.press('F9');
      await expectAccessible(page);
      const list = page.getByRole('navigation', { name: 'Devices of the rig' });
      await list.getByRole('button', { name: /^Pocket mouse/ }).click();
      await page.getByRole('tab', { name: 'Tuning' }).click();
      await page.getByRole('button', { name: 'Pad to try presses on' }).click();
      await expectAccessible(page);
      await page.getByRole('tab', { name: 'Computers' }).click();
      await expectAccessible(page);
      await list.getByRole('button', { name: /^Twelve pad/ }).click();
      await page.getByRole('tab', { name: 'Memory' }).click();
      await page.getByRole('button', { name: 'Store in the slot' }).click();
      await expectAccessible(page);
    });

    test('axe finds nothing serious in Programs, whatever is shown of one, and in the first steps', async ({
      app,
      quietPage: page,
    }) => {
      await open(page, app.address, 'programs');
      await page.getByRole('gridcell').filter({ hasText: 'Delete the frame' }).click();
      await expectAccessible(page);
      await page.keyboard.press('ArrowRight');
      await page.keyboard.press('Enter');
      await expectAccessible(page);
      await page.keyboard.press('Escape');
      for (const tab of ['Windows', 'Profiles', 'Compare', 'Ready-made', 'Intents']) {
        await page.getByRole('tab', { name: tab }).click();
        await expect(page.getByRole('tabpanel', { name: tab })).not.toBeEmpty();
        if (tab === 'Windows') await page.getByRole('button', { name: /^Brindle —/ }).click();
        await expectAccessible(page);
      }
      await page.getByRole('tab', { name: 'Profiles' }).click();
      await page.getByRole('button', { name: 'Copy to another program…' }).click();
      await expectAccessible(page);
      await page.keyboard.press('Escape');
      await page.getByRole('tab', { name: 'Commands' }).click();
      await page.getByRole('button', { name: 'Paste a list…' }).click();
      await page.getByRole('textbox', { name: 'The list' }).fill('Wave\tF9\nRest\tGrtl+R\nUndo\tCtrl+U');
      await expect(page.getByRole('dialog').getByRole('table')).toBeVisible();
      await expectAccessible(page);
      await page.keyboard.press('Escape');
      await open(page, app.address, 'settings');
      await page.getByRole('button', { name: 'Start with an empty set-up' }).click();
      await expect(page.getByRole('heading', { name: 'Three steps to the first control' })).toBeVisible();
      await expectAccessible(page);
    });

    test('axe finds nothing serious on the Board’s triggers, layers, radial menus and copies', async ({
      app,
      quietPage: page,
    }) => {
      await open(page, app.address, 'board');
      await cell(page, 'Key 5', 'Larkframe').click();
      await page.keyboard.press('t');
      await page.getByRole('tab', { name: 'Far' }).click();
      await page.getByRole('button', { name: 'Compare with Base' }).click();
      await expectAccessible(page);
      await page.getByRole('tab', { name: 'Base' }).click();
      await showRows(page, 'pen tablet side');
      await cell(page, 'Side key 4', 'Brindle').click();
      await page.getByRole('button', { name: 'Edit the radial menu…' }).click();
      await expect(page.getByRole('dialog', { name: 'Radial menu' })).toBeVisible();
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Done' }).click();
      await page.getByRole('button', { name: 'Column Larkframe' }).click();
      await page.getByRole('menuitem', { name: 'Copy the column…' }).click();
      await expect(page.getByRole('dialog', { name: 'Copy of Larkframe' })).toBeVisible();
      await expectAccessible(page);
    });

    test('axe finds nothing serious on pages: their tabs, menus and drawings', async ({
      app,
      quietPage: page,
    }) => {
      await open(page, app.address, 'board');
      await page.getByRole('tab', { name: /^Film strip/ }).click();
      await cell(page, 'Turn clockwise', 'Larkframe').click();
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Change page Film strip' }).click();
      await expectAccessible(page);
      await page.getByRole('menuitem', { name: /Face, program/ }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
      await expectAccessible(page);
      await open(page, app.address, 'panels');
      await expectAccessible(page);
      await page.getByRole('treeitem', { name: /^Shot,/ }).click();
      await page.locator('[data-page-drawing] [data-control="key-4"]').click();
      await expect(page.getByRole('button', { name: 'Back to what is below' })).toBeVisible();
      const picture = page.getByLabel('Picture…', { exact: true }).and(page.locator('input'));
      await picture.setInputFiles(path.join(import.meta.dirname, '../docs/screenshots/radial-dark.png'));
      await expect(page.locator('[data-page-drawing] img')).toBeVisible();
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Adjust picture…' }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
      await expectAccessible(page);
      await open(page, app.address, 'panels?device=twelve-pad&profile=brindle');
      await expectAccessible(page);
    });

    test('axe finds nothing serious on Rehearse', async ({ app, quietPage: page }) => {
      await open(page, app.address, 'rehearse');
      await expectAccessible(page);
      await control(page, 'Bench dial', 'Dial').focus();
      await page.keyboard.press('ArrowUp');
      await page.keyboard.down('Space');
      await expectAccessible(page);
      await page.getByRole('button', { name: /^In front/ }).click();
      await expect(page.getByRole('menu')).toBeVisible();
      await expectAccessible(page);
      await page.keyboard.press('Escape');
      await page.keyboard.up('Space');
      // Every program once, a radial menu over the desk, and the list of one's own devices.
      for (const program of ['Hushbox', 'Tallow', 'Quillboard', 'Fernway', 'Tin Can', 'Brindle']) {
        await page.getByRole('button', { name: program, exact: true }).click();
      }
      await show(page, 'Pen tablet');
      await control(page, 'Pen tablet', 'Side key 4').focus();
      await page.keyboard.press('Space');
      await expect(page.getByRole('dialog', { name: 'Radial menu Paints' })).toBeVisible();
      await page.getByRole('button', { name: 'Use my own devices' }).click();
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

test('Board, Rig, Programs and Rehearse need no scrolling of the page at 1280×800, and work at 1024', async ({
  app,
  quietPage: page,
}) => {
  for (const width of [1280, 1024]) {
    await page.setViewportSize({ width, height: 800 });
    for (const view of ['board', 'rig', 'programs', 'rehearse'] as const) {
      await open(page, app.address, view);
      const overflow = await page.evaluate(() => [
        document.documentElement.scrollWidth - window.innerWidth,
        document.documentElement.scrollHeight - window.innerHeight,
      ]);
      expect(overflow).toEqual([0, 0]);
    }
  }
});

test('axe finds nothing serious on the page that tells what the server answers', async ({ app, page }) => {
  await page.goto(`${app.address}/api`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('What the server answers');
  await expectAccessible(page);
  await page.getByRole('link', { name: 'the OpenAPI 3.1 document' }).click();
  await expect(page.getByText('"openapi":"3.1.1"')).toBeVisible();
});
