import type { Page } from '@playwright/test';
import { showRows } from './support/board.ts';
import { cell, control, expect, expectAccessible, open, rehearsing, saved, test } from './support/test.ts';

/** A keyboard: its layout's id, and what its keys type by their places (xkb-data). */
interface Keyboard {
  readonly layout: string;
  /** The key that types Z, and the one at the place where a United States keyboard has it. */
  readonly z: { readonly code: string; readonly key: string };
  readonly placeOfZ: { readonly code: string; readonly key: string };
}

const KEYBOARDS: readonly Keyboard[] = [
  { layout: 'us', z: { code: 'KeyZ', key: 'z' }, placeOfZ: { code: 'KeyZ', key: 'z' } },
  { layout: 'de', z: { code: 'KeyY', key: 'z' }, placeOfZ: { code: 'KeyZ', key: 'y' } },
  { layout: 'fr', z: { code: 'KeyW', key: 'z' }, placeOfZ: { code: 'KeyZ', key: 'w' } },
];

/** The page is at a computer with this keyboard. */
async function sitDown(page: Page, { layout }: Pick<Keyboard, 'layout'>): Promise<void> {
  const kept = JSON.stringify({ layout, platform: 'linux' });
  await page.addInitScript((value) => localStorage.setItem('nimble-lever:keyboard', value), kept);
}

/** Records Ctrl with a key in a cell, as a keyboard of another country reports it. */
async function record(page: Page, column: string, key: { code: string; key: string }): Promise<void> {
  await cell(page, 'Key 11', column).click();
  await page.keyboard.press('r');
  const recorder = page.getByRole('textbox', { name: /^Press keys/ });
  await expect(recorder).toBeFocused();
  await recorder.dispatchEvent('keydown', { code: 'ControlLeft', key: 'Control' });
  await recorder.dispatchEvent('keydown', { ...key, ctrlKey: true });
  await recorder.dispatchEvent('keyup', { ...key, ctrlKey: true });
  await recorder.dispatchEvent('keyup', { code: 'ControlLeft', key: 'Control' });
  await page.keyboard.press('Escape');
}

/** Brings a program to the front and presses the key that was bound: its undo runs. */
async function undoes(page: Page, program: string): Promise<void> {
  await page.getByRole('button', { name: program, exact: true }).click();
  await control(page, 'Twelve pad', 'Key 11').click();
  await expect(page.getByRole('region', { name: new RegExp(`^${program}`) })).toContainText(
    'Last command Undo',
  );
}

for (const keyboard of KEYBOARDS) {
  test(`${keyboard.layout}: undo is recorded and rehearsed in a program by character and in one by place`, async ({
    app,
    quietPage: page,
  }) => {
    await sitDown(page, keyboard);
    await open(page, app.address, 'board');
    await showRows(page, 'twelve pad key 11');
    await record(page, 'Brindle', keyboard.z);
    await record(page, 'Hushbox', keyboard.placeOfZ);
    for (const program of ['Brindle', 'Hushbox']) {
      await expect(cell(page, 'Key 11', program)).toContainText('Undo');
      await expect(cell(page, 'Key 11', program)).toContainText('Ctrl+Z');
    }
    await saved(page);
    await page.getByRole('link', { name: 'Rehearse' }).click();
    await rehearsing(page);
    await undoes(page, 'Brindle');
    await undoes(page, 'Hushbox');
    // Told as what each of them reads.
    await expect(page.getByText('Ctrl+Z', { exact: true })).toHaveCount(2);
  });
}

test('two pages with different keyboards share a set-up: both read Ctrl+Z, both undo', async ({
  app,
  quietPage: page,
  browser,
}) => {
  const [, german, french] = KEYBOARDS;
  if (!german || !french) throw new Error('no keyboards');
  await sitDown(page, german);
  await open(page, app.address, 'board');
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  const other = await context.newPage();
  await sitDown(other, french);
  await open(other, app.address, 'board');
  await showRows(other, 'twelve pad key 11');
  await showRows(page, 'twelve pad key 11');
  await record(page, 'Brindle', german.z);
  for (const each of [page, other]) {
    await expect(cell(each, 'Key 11', 'Brindle')).toContainText('Ctrl+Z');
    await each.getByRole('link', { name: 'Rehearse' }).click();
    await rehearsing(each);
    await undoes(each, 'Brindle');
  }
  await context.close();
});

test('how a program reads keys is found out by one press, and what is sent follows', async ({
  app,
  quietPage: page,
}) => {
  await sitDown(page, { layout: 'de' });
  await open(page, app.address, 'board');
  await page.getByRole('button', { name: /^Column Hushbox/ }).click();
  await page.getByRole('menuitem', { name: 'How it reads keys…' }).click();
  const dialog = page.getByRole('dialog', { name: 'How Hushbox reads keys' });
  await expect(dialog.getByRole('radio', { name: /^By place/ })).toBeChecked();
  // The key where a United States keyboard has the Z is labelled Y here.
  await expect(dialog).toContainText('Ctrl+Y');
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'It did not' }).click();
  await expect(dialog.getByRole('radio', { name: /^By character/ })).toBeChecked();
  await dialog.getByRole('button', { name: 'It did “Undo”' }).click();
  await expect(dialog.getByRole('radio', { name: /^By place/ })).toBeChecked();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await saved(page);
});

test('what a keyboard cannot type is told and answered for it alone; another computer has its own', async ({
  app,
  quietPage: page,
}) => {
  await sitDown(page, { layout: 'ru' });
  await app.query(`UPDATE commands SET shortcut = 'Ctrl+Ñ' WHERE id = 'brindle-upright'`);
  await app.kill();
  await app.restart();
  await open(page, app.address, 'board');
  const notice = page
    .getByRole('alert')
    .filter({ hasText: /^1 of \d+ shortcuts cannot be typed well on Russian/ });
  await notice.getByRole('link', { name: 'Look at them' }).click();
  const card = page.getByRole('region', { name: 'Shortcuts on this keyboard' });
  await expect(card).toContainText('Brindle, Canvas upright');
  await expectAccessible(page);
  const field = card.getByRole('textbox', { name: /^As its menu shows it/ });
  await field.fill('Ctrl+Wobble');
  await field.press('Enter');
  await expect(card.getByRole('alert')).toContainText('Wobble');
  await field.fill('Strg+Umschalt+U');
  await field.press('Enter');
  await expect(card).toContainText(/^.*All \d+ shortcuts of this set-up can be typed on Russian/);
  await page.getByRole('combobox', { name: 'Layout' }).fill('German');
  await page.getByRole('option', { name: 'German', exact: true }).click();
  await expect(card).toContainText('Brindle, Canvas upright');
  await saved(page);
});

test('a set-up of an older version asks once on which keyboard it was made', async ({
  app,
  quietPage: page,
}) => {
  await sitDown(page, { layout: 'de' });
  await app.query('UPDATE set_ups SET made_on = NULL');
  await app.kill();
  await app.restart();
  await open(page, app.address, 'board');
  await expect(page.getByRole('alert').filter({ hasText: 'On which keyboard was it made?' })).toBeVisible();
  await page.getByRole('link', { name: 'Another…' }).click();
  const card = page.getByRole('region', { name: 'Shortcuts on this keyboard' });
  await card.getByRole('combobox', { name: 'Layout' }).fill('German');
  await page.getByRole('option', { name: 'German', exact: true }).click();
  await card.getByRole('button', { name: 'Read them so' }).click();
  await expect(card).not.toContainText('On which keyboard');
  await page.getByRole('link', { name: 'Board' }).click();
  await showRows(page, 'twelve pad key 1');
  // Made on a German keyboard, the key at the place of Z was Y.
  await expect(cell(page, 'Key 1', 'Everywhere')).toContainText('Ctrl+Y');
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(cell(page, 'Key 1', 'Everywhere')).toContainText('Ctrl+Z');
  await saved(page);
});

test('another computer has its own layout; a device’s memory says for which its keys were chosen', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rig');
  await page.getByRole('button', { name: /^Pocket mouse/ }).click();
  await page.getByRole('tab', { name: 'Computers' }).click();
  const layout = page.getByRole('combobox', { name: 'Keyboard layout of Loft laptop' });
  await layout.click();
  await page.getByRole('option', { name: 'German', exact: true }).click();
  await expect(layout).toHaveText('German');
  await page.getByRole('button', { name: /^Twelve pad/ }).click();
  await page.getByRole('tab', { name: 'Memory' }).click();
  await page.getByRole('button', { name: 'Store in the slot' }).click();
  await expect(page.getByRole('row', { name: /^Key 1,? /i }).first()).toContainText('the same');
  await saved(page);
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('combobox', { name: 'Layout' }).fill('French');
  await page.getByRole('option', { name: 'French (AZERTY)', exact: true }).click();
  await page.getByRole('link', { name: 'Rig' }).click();
  await page.getByRole('button', { name: /^Pocket mouse/ }).click();
  await page.getByRole('tab', { name: 'Computers' }).click();
  await expect(layout).toHaveText('German');
  await page.getByRole('button', { name: /^Twelve pad/ }).click();
  await page.getByRole('tab', { name: 'Memory' }).click();
  await expect(page.getByRole('note')).toContainText('chosen for a keyboard with English (United States)');
  // The keys of undo are others on a French keyboard.
  await expect(page.getByRole('row', { name: /differs/ }).first()).toBeVisible();
});
