import { readFileSync } from 'node:fs';
import type { Download, Page } from '@playwright/test';
import { edit, sends } from './support/edits.ts';
import { cell, expect, expectAccessibleInBoth, open, saved, test } from './support/test.ts';

const textOf = async (download: Download) => readFileSync(await download.path(), 'utf8');

/** Saves what is chosen as a file. */
async function save(page: Page, what: string, button = 'Save the file'): Promise<Download> {
  await page.getByRole('combobox', { name: 'What is saved' }).click();
  await page.getByRole('option', { name: what, exact: true }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ]);
  return download;
}

const chooser = (page: Page) => page.locator('input[type=file]');
const refused = (page: Page) => page.getByRole('region', { name: 'Take a file in' }).getByRole('alert');

test('a program goes out of one browser and comes into another rig, is rehearsed there, and taken back', async ({
  app,
  quietPage: page,
  browser,
}) => {
  await edit(app.address, sends('twelve-pad', 'key-10', 'Ctrl+]'));
  await open(page, app.address, 'vault?tab=files');
  await expectAccessibleInBoth(page);
  const download = await save(page, 'Larkframe: program, commands and profile');
  expect(download.suggestedFilename()).toMatch(/\.lever\.json$/);
  const file = await textOf(download);
  expect(JSON.parse(file)).toMatchObject({ version: 5, part: { kind: 'program', id: 'larkframe' } });

  // Another browser, with another rig and a German keyboard, and a Larkframe of its own with another shortcut.
  await fetch(`${app.address}/api/set-ups`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      name: 'Loft',
      begin: { from: 'ready-made', models: ['six-pad', 'key-dial'] },
    }),
  });
  const other = await (await browser.newContext()).newPage();
  await other.addInitScript(() => {
    localStorage.setItem('nimble-lever:keyboard', JSON.stringify({ layout: 'de', platform: 'linux' }));
  });
  await open(other, app.address, 'set-up/loft/vault?tab=files');
  await chooser(other).setInputFiles({
    name: 'larkframe.lever.json',
    mimeType: 'application/json',
    buffer: Buffer.from(file),
  });
  const side = other.getByRole('complementary', { name: 'Take a file in' });
  await expect(side).toContainText('Larkframe, from “Saltmarsh Paper Theatre”');
  await expect(side.getByRole('combobox', { name: 'In the place of Bench dial', exact: true })).toHaveText(
    'Key dial',
  );
  await expectAccessibleInBoth(other);
  // On a German keyboard a bracket needs AltGr, which with Ctrl many programs miss.
  await expect(side).toContainText('1 shortcut cannot be typed on this keyboard: Ctrl+]');
  // By keys alone one is in the list already.
  await other.keyboard.press('Tab');
  await expect(other.getByRole('searchbox', { name: 'Search what comes' })).toBeFocused();
  // The pad of twelve keys becomes the one of six; what has no place on it is told.
  await side.getByRole('combobox', { name: 'In the place of Six pad', exact: true }).click();
  await other.getByRole('option', { name: 'add it as it is' }).click();
  await side.getByRole('combobox', { name: 'In the place of Twelve pad', exact: true }).click();
  await other.getByRole('option', { name: 'Six pad' }).click();
  await expect(side.getByText(/things? ha(s|ve) no place on these devices/)).toBeVisible();
  await side.getByRole('button', { name: 'Twelve pad, control by control' }).click();
  await side.getByRole('combobox', { name: 'In the place of Twelve pad, Key 6' }).click();
  await other.getByRole('option', { name: 'none' }).click();
  const search = other.getByRole('searchbox', { name: 'Search what comes' });
  await search.fill('six pad, key');
  // By the place: the first key of the second row is the fifth of twelve, and the fourth of six.
  await expect(other.getByRole('checkbox', { name: /^Six pad, Key 4/ })).toBeChecked();
  await expect(other.getByRole('checkbox', { name: /^Six pad, Key 5/ })).toHaveCount(0);
  // One part is left out.
  await search.fill('delete');
  await other.getByRole('checkbox', { name: /^Command Delete the frame/ }).uncheck();
  await search.fill('');
  await side.getByRole('button', { name: /^Take in \d+ parts/ }).click();
  await expect(other.getByText(/^Taken in: \d+ parts/)).toBeVisible();
  await saved(other);

  await other.getByRole('link', { name: 'Board' }).click();
  await expect(cell(other, 'Key 4', 'Larkframe')).toContainText('Play or stop');
  await other.getByRole('link', { name: 'Rehearse' }).click();
  await other.getByRole('button', { name: /^Six pad, Key 4/ }).click();
  await expect(other.getByText('Play or stop').first()).toBeVisible();

  // It stands in the history behind a snapshot, and goes again by one undo.
  await open(other, app.address, 'set-up/loft/vault?tab=snapshots');
  await expect(other.getByRole('button', { name: /^Before an import/ })).toBeVisible();
  await other.keyboard.press('Control+z');
  await saved(other);
  const { setup } = (await (await fetch(`${app.address}/api/set-ups/loft`)).json()) as {
    setup: { programs: object[]; devices: object[] };
  };
  expect([setup.programs.length, setup.devices.length]).toEqual([0, 2]);
});

test('what is otherwise here stays unless one says so; of a program one may have both', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'vault?tab=files');
  const file = JSON.parse(await textOf(await save(page, 'Larkframe: program, commands and profile')));
  const [program] = file.setup.programs;
  program.keysBy = 'place';
  program.commands[0].shortcut = 'Ctrl+Alt+F12';
  const given = {
    name: 'theirs.lever.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  };
  await chooser(page).setInputFiles(given);
  await expect(page.getByText(/^0 new · 2 otherwise · \d+ the same$/)).toBeVisible();
  await expect(page.getByText('Nothing of yours is changed by what is chosen.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take in', exact: true })).toBeDisabled();
  await page.getByRole('combobox', { name: 'What becomes of The program' }).click();
  await page.getByRole('option', { name: 'Both' }).click();
  await page.getByRole('button', { name: 'Take in 1 part' }).click();
  await expect(page.getByText(/^Taken in: 1 part/)).toBeVisible();
  await saved(page);
  await open(page, app.address, 'programs');
  await expect(page.getByText('Larkframe 2').first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Larkframe 2')).toHaveCount(0);
});

test('a file that is let go anywhere is looked at; packed and not, it is the same, and one’s own brings nothing', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'vault?tab=files');
  const plain = await textOf(await save(page, 'The whole set-up'));
  expect(await textOf(await save(page, 'The whole set-up'))).toBe(plain);
  const packed = readFileSync(await (await save(page, 'The whole set-up', 'Save it packed')).path());
  await open(page, app.address, 'board');
  await page.evaluate((text) => {
    const carried = new DataTransfer();
    carried.items.add(new File([text], 'demo.lever.json', { type: 'application/json' }));
    const event = { bubbles: true, cancelable: true, dataTransfer: carried };
    document.querySelector('header')?.dispatchEvent(new DragEvent('drop', event));
  }, plain);
  await expect(page).toHaveURL(/\/vault\?tab=files$/);
  await expect(page.getByText('Everything in it is here already, just as it comes.')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await chooser(page).setInputFiles({ name: 'x.lever.zip', mimeType: 'application/zip', buffer: packed });
  await expect(page.getByText('Everything in it is here already, just as it comes.')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();

  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Table as CSV' }).click(),
  ]);
  expect(await textOf(csv)).toMatch(/^Profile,Device,Control,/);
});

const CASES: readonly (readonly [what: string, name: string, content: string | Buffer, words: RegExp])[] = [
  ['cut off', 'a.lever.json', '{"format":"nimble-lever/set-up","ver', /line 1, column \d+/],
  ['of a newer version', 'b.json', '{"format":"nimble-lever/set-up","version":99}', /newer Nimble Lever/],
  ['another format', 'c.json', '{"format":"letter","version":1}', /format: This must be/],
  ['no text', 'd.json', Buffer.from([0xff, 0xfe, 0x00, 0xd8]), /no text in UTF-8/],
  ['a damaged archive', 'e.zip', Buffer.from('PK\u0003\u0004nothing more'), /damaged|no set-up packed/],
  [
    'markup',
    '<img src=x onerror=alert(1)>.json',
    '{"format":"nimble-lever/set-up","version":5,"setup":{"name":"<img src=x onerror=alert(1)>"}}',
    /setup/,
  ],
];

test('what cannot be read is refused in words, with its place; nothing changes, and nothing in it runs', async ({
  app,
  page,
}) => {
  await open(page, app.address, 'vault?tab=files');
  page.on('dialog', () => {
    throw new Error('Something in a file was run.');
  });
  for (const [what, name, content, words] of CASES) {
    await chooser(page).setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
    await expect(refused(page), what).toContainText(`${name} is not taken in. Nothing was changed.`);
    await expect(refused(page), what).toContainText(words);
  }
  await expectAccessibleInBoth(page);
  expect(await page.locator('img[src=x]').count()).toBe(0);
  await page.evaluate(() => {
    const carried = new DataTransfer();
    carried.items.add(new File([new Uint8Array(51_000_000)], 'large.json'));
    const event = { bubbles: true, cancelable: true, dataTransfer: carried };
    document.querySelector('header')?.dispatchEvent(new DragEvent('drop', event));
  });
  await expect(refused(page)).toContainText('The file has 51 MB; up to 50 MB are read.');
  const before = await fetch(`${app.address}/api/health`);
  expect(await before.json()).toMatchObject({ revision: 0 });
});

test('a Hebrew keyboard types what an English one cannot; taken in by keys alone, while the same is edited elsewhere', async ({
  app,
  quietPage: page,
  browser,
}) => {
  await open(page, app.address, 'vault?tab=files');
  const file = JSON.parse(await textOf(await save(page, 'Larkframe: program, commands and profile')));
  const [command] = file.setup.programs[0].commands;
  command.name = 'צעד אחד קדימה';
  command.shortcut = 'Ctrl+ש';
  const given = {
    name: 'תוכנית.lever.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  };
  await chooser(page).setInputFiles(given);
  const side = page.getByRole('complementary', { name: 'Take a file in' });
  await expect(side).toContainText('1 shortcut cannot be typed on this keyboard: Ctrl+ש');
  await side.getByRole('button', { name: 'Cancel' }).press('Enter');
  await expect(page.getByRole('button', { name: 'Choose a file…' })).toBeFocused();

  const context = await browser.newContext({ viewport: { width: 1024, height: 700 } });
  const other = await context.newPage();
  await other.addInitScript(() => {
    localStorage.setItem('nimble-lever:keyboard', JSON.stringify({ layout: 'il', platform: 'linux' }));
  });
  await open(other, app.address, 'vault?tab=files');
  await chooser(other).setInputFiles(given);
  await expect(other.getByText(/^0 new · 1 otherwise · \d+ the same$/)).toBeVisible();
  await expect(other.getByText(/cannot be typed on this keyboard/)).toHaveCount(0);
  const at = `programs/larkframe/commands/${command.id}`;
  await edit(app.address, { kind: 'set', at, fields: { shortcut: 'Ctrl+Alt+F5' } });
  const tabTo = async (name: RegExp | string) => {
    const here = other.getByLabel(name).or(other.getByRole('button', { name }));
    for (let i = 0; i < 40; i++) {
      if (await here.first().evaluate((element) => element === document.activeElement)) return;
      await other.keyboard.press('Tab');
    }
    throw new Error(`No key leads to ${name}.`);
  };
  await tabTo(/^Command צעד אחד קדימה/);
  await other.keyboard.press('Space');
  await tabTo('Take in 1 part');
  await other.keyboard.press('Enter');
  await expect(other.getByText(/^Taken in: 1 part/)).toBeVisible();
  await saved(other);
  const commandNow = async () => {
    const { setup } = (await (await fetch(`${app.address}/api/set-ups/saltmarsh`)).json()) as typeof file;
    return setup.programs[0].commands.find(({ id }: { id: string }) => id === command.id);
  };
  expect(await commandNow()).toMatchObject({ name: 'צעד אחד קדימה', shortcut: 'Ctrl+ש' });
  await other.keyboard.press('Control+z');
  await saved(other);
  expect(await commandNow()).toMatchObject({ shortcut: 'Ctrl+Alt+F5' });
  await context.close();
});
