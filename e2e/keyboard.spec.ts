import { cell, expect, open, saved, test } from './support/test.ts';

test('the layout is chosen in Settings: keycaps, typing and the keys on screen are the person’s own', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  const larger = cell(page, 'Turn clockwise', 'Brindle');
  await expect(larger).toContainText(']');
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('combobox', { name: 'Layout' }).fill('German (Sw');
  await page.getByRole('option', { name: 'German (Switzerland)' }).click();
  await expect(page.getByRole('combobox', { name: 'Layout' })).toHaveValue('German (Switzerland)');
  await page.getByRole('combobox', { name: 'Layout' }).fill('German');
  await page.getByRole('option', { name: 'German', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Ü (BracketLeft)' })).toBeVisible();

  // What a program reads is called the same on every keyboard.
  await page.getByRole('link', { name: 'Board' }).click();
  await expect(larger).toContainText(']');
  await expect(cell(page, 'Key 1', 'Everywhere')).toContainText('Ctrl+Z');

  // Typed by character, with a word where that needs AltGr; the same place is called by this keyboard's label.
  const field = page.getByRole('textbox', { name: 'Shortcut' });
  await cell(page, 'Key 11', 'Larkframe').click();
  await field.fill('strg + z');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Key 11', 'Larkframe')).toContainText('Ctrl+Z');
  await field.fill('Ctrl+[');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Key 11', 'Larkframe')).toContainText('Ctrl+[');
  await expect(page.getByText('Ctrl+[ needs AltGr on your keyboard')).toBeVisible();
  await page.getByRole('button', { name: 'Use Ctrl+{Ü}' }).click();
  await expect(cell(page, 'Key 11', 'Larkframe')).toContainText('Ctrl+Ü');
  await expect(cell(page, 'Key 11', 'Larkframe').getByRole('img', { name: 'by place' })).toBeVisible();
  await expect(field).toHaveValue('Ctrl+{Ü}');
  await saved(page);

  // Kept in this browser.
  await page.reload();
  await expect(cell(page, 'Key 11', 'Larkframe')).toContainText('Ctrl+Ü');
  const keyboard = await page.evaluate(() => localStorage.getItem('nimble-lever:keyboard'));
  expect(JSON.parse(keyboard ?? '')).toMatchObject({ layout: 'de' });
});

test('shortcuts of two steps are recorded, and sent one after the other', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  const target = cell(page, 'Key 11', 'Brindle');
  await target.click();
  await page.keyboard.press('r');
  const recorder = page.getByRole('textbox', { name: /^Press keys/ });
  await expect(recorder).toBeFocused();
  await page.keyboard.press('Control+k');
  await expect(target).toContainText('Ctrl+K');
  await page.getByRole('button', { name: 'Then…' }).click();
  await expect(recorder).toContainText('Press the next step');
  await page.keyboard.press('b');
  await expect(target).toContainText('Ctrl+K, B');
  await page.keyboard.press('Escape');
  await saved(page);
  await page.reload();
  await expect(target).toContainText('Ctrl+K, B');
});

test('numpad, media, international and AltGr keys are taken as what they are', async ({
  app,
  quietPage: page,
}) => {
  // A system that says Ctrl before AltGr although nobody pressed it.
  const windows = JSON.stringify({ layout: 'us', platform: 'windows' });
  await page.addInitScript((kept) => localStorage.setItem('nimble-lever:keyboard', kept), windows);
  await open(page, app.address, 'board');
  const target = cell(page, 'Key 11', 'Hushbox');
  await target.click();
  await page.keyboard.press('r');
  const recorder = page.getByRole('textbox', { name: /^Press keys/ });
  await expect(recorder).toBeFocused();
  for (const [code, shown] of [
    ['Numpad5', 'Num 5'],
    ['NumpadAdd', 'Num +'],
    ['MediaPlayPause', 'Play'],
  ] as const) {
    await page.keyboard.press(code);
    await expect(target).toContainText(shown);
  }
  // Keys that a keyboard of this layout does not have arrive as they would from one that does.
  const press = async (...keys: { code: string; key: string }[]) => {
    for (const key of keys) await recorder.dispatchEvent('keydown', key);
    for (const key of keys.toReversed()) await recorder.dispatchEvent('keyup', key);
  };
  await press({ code: 'IntlRo', key: 'ろ' });
  await expect(target).toContainText('Ro');
  const [phantom, altGr] = [
    { code: 'ControlLeft', key: 'Control' },
    { code: 'AltRight', key: 'AltGraph' },
  ];
  await press(phantom, altGr, { code: 'KeyE', key: '€' });
  await expect(target).toContainText('AltGr+E');
  await expect(target).not.toContainText('Ctrl');
});

test('what the browser keeps is put together from keys on screen, found by name, and warned of', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  const target = cell(page, 'Key 11', 'Brindle');
  await target.click();
  await page.getByRole('button', { name: 'Put it together from keys on screen' }).click();
  const dialog = page.getByRole('dialog', { name: 'Keys on screen' });
  await dialog.getByRole('button', { name: 'Alt', exact: true }).click();
  await dialog.getByRole('button', { name: 'Tab', exact: true }).click();
  await expect(dialog).toContainText('The system keeps Alt+Tab for itself: it switches windows.');
  await dialog.getByRole('button', { name: 'Alt', exact: true }).click();
  await expect(dialog.getByRole('button', { name: 'AltGr, Right Alt' })).toHaveText('AltGr');
  await dialog.getByRole('textbox', { name: 'Find a key by name' }).fill('bracket');
  await dialog.getByRole('group', { name: 'Further keys' }).getByRole('button', { name: ']' }).click();
  await dialog.getByRole('button', { name: 'Then…' }).click();
  await dialog.getByRole('button', { name: 'Esc', exact: true }).click();
  await dialog.getByRole('button', { name: 'Use it' }).click();
  await expect(target).toContainText('], Esc');
  await expect(target).toBeFocused();
});
