import type { Locator, Page } from '@playwright/test';
import { cell, expect, open, test } from './support/test.ts';

/**
 * A hand that counts: each click, and each press of a key or of keys together, is one; a word or a name that is typed is
 * one as well, however long it is.
 */
function handOn(page: Page) {
  let count = 0;
  return {
    click: async (what: Locator) => {
      count += 1;
      await what.click();
    },
    press: async (...keys: readonly string[]) => {
      for (const key of keys) {
        count += 1;
        await page.keyboard.press(key);
      }
    },
    type: async (text: string) => {
      count += 1;
      await page.keyboard.type(text);
    },
    used: () => count,
  };
}

/** What the most frequent jobs may take: no more than they took when they were counted first. */
const MOST = { key: 4, pair: 4, nudges: 23, menu: 29, layer: 8 };

test('a key in one program', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  const hand = handOn(page);
  await hand.click(cell(page, 'Key 9', 'Brindle'));
  await hand.press('Enter');
  await hand.type('canvas upright');
  await hand.press('Enter');
  await expect(cell(page, 'Key 9', 'Brindle')).toContainText('Canvas upright');
  expect(hand.used()).toBeLessThanOrEqual(MOST.key);
});

test('a pair of turns', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  const hand = handOn(page);
  await hand.click(cell(page, 'Wheel up', 'Brindle'));
  await hand.press('Enter');
  await hand.type('zoom in, and');
  await hand.press('Enter');
  await expect(cell(page, 'Wheel up', 'Brindle')).toContainText('Zoom in');
  await expect(cell(page, 'Wheel down', 'Brindle')).toContainText('Zoom out');
  expect(hand.used()).toBeLessThanOrEqual(MOST.pair);
});

test('a press and its four nudges', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  const hand = handOn(page);
  const commands = ['brush', 'eraser', 'zoom in', 'zoom out', 'undo'];
  await hand.click(cell(page, 'Key 9', 'Brindle'));
  await hand.press('t');
  for (const [i, command] of commands.entries()) {
    // Past hold and double press, then from nudge to nudge.
    if (i > 0) await hand.press(...(i === 1 ? ['ArrowDown', 'ArrowDown', 'ArrowDown'] : ['ArrowDown']));
    await hand.press('Enter');
    await hand.type(command);
    await hand.press('Enter');
  }
  await expect(cell(page, 'Key 9, nudge left', 'Brindle')).toContainText('Undo');
  expect(hand.used()).toBeLessThanOrEqual(MOST.nudges);
});

test('a radial menu of six of the program’s own commands', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  const hand = handOn(page);
  await hand.click(cell(page, 'Key 9', 'Brindle'));
  await hand.press('Enter');
  await hand.type('new radial menu');
  await hand.press('Enter');
  const editor = page.getByRole('dialog', { name: 'Radial menu' });
  const chooser = editor.getByRole('combobox', { name: 'Choose a command' });
  const commands = ['brush larger', 'brush smaller', 'eraser', 'zoom in', 'zoom out', 'redo'];
  for (const [i, command] of commands.entries()) {
    if (i > 0) await hand.click(editor.getByRole('button', { name: 'Add an item' }));
    await hand.click(chooser);
    await hand.type(command);
    await hand.press('Enter');
    await expect(chooser).toHaveValue(new RegExp(command, 'i'));
  }
  await hand.click(editor.getByRole('button', { name: 'Done' }));
  await expect(cell(page, 'Key 9', 'Brindle')).toContainText('New radial menu');
  expect(hand.used()).toBeLessThanOrEqual(MOST.menu);
});

test('a layer, and a key that turns it on', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  const hand = handOn(page);
  await hand.click(page.getByRole('button', { name: 'New layer' }));
  await hand.type('Fine');
  await hand.press('Enter');
  await hand.click(page.getByRole('tab', { name: 'Base' }));
  await hand.click(cell(page, 'Key 9', 'Everywhere'));
  await hand.press('Enter');
  await hand.type('layer fine');
  await hand.press('Enter');
  await expect(cell(page, 'Key 9', 'Everywhere')).toContainText('Layer Fine');
  expect(hand.used()).toBeLessThanOrEqual(MOST.layer);

  // The layer is renamed where it stands, and ordered by keys: the one farther right wins.
  await page.getByRole('tab', { name: 'Fine' }).click();
  await page.getByRole('button', { name: 'Change layer Fine' }).click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  const name = page.getByRole('textbox', { name: 'Name of the layer' });
  await expect(name).toBeFocused();
  await name.fill('Finest');
  await name.press('Enter');
  const tabs = page.getByRole('tablist', { name: 'Layers' }).getByRole('tab');
  await expect(tabs).toHaveText(['Base', 'Far', 'Finest']);
  await page.getByRole('tab', { name: 'Finest' }).focus();
  await page.keyboard.press('Alt+ArrowLeft');
  await expect(tabs).toHaveText(['Base', 'Finest', 'Far']);
  await page.getByRole('tab', { name: 'Far' }).dragTo(page.getByRole('tab', { name: 'Finest' }));
  await expect(tabs).toHaveText(['Base', 'Far', 'Finest']);
  await page.keyboard.press('Control+z');
  await expect(tabs).toHaveText(['Base', 'Finest', 'Far']);
});
