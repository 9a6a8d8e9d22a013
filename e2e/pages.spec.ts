import type { Locator, Page } from '@playwright/test';
import { choose, show, showRows } from './support/board.ts';
import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

const tab = (page: Page, name: string) => page.getByRole('tab', { name: new RegExp(`^${name}(,|$)`) });
const newPage = (page: Page, device: string) => page.getByRole('button', { name: `New page of ${device}` });

/** The head of a device in the tray: its name, and the pages that are on it. */
const shownOn = (page: Page, device: string) => page.locator('header b', { hasText: device });

test('a pad with two folders is built on the Board by keys, and rehearsed; all of it undone', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await showRows(page, 'three pedals');
  // From nothing: the pedals have no pages yet. For the program of the cell that is worked in.
  for (const [column, name, command, shows] of [
    ['Larkframe', 'Takes', 'Stage light', 'Stage light'],
    ['Brindle', 'Paints', 'Mirror the canvas', 'Mirror the canvas'],
  ] as const) {
    await cell(page, 'Left pedal', column).focus();
    await newPage(page, 'Three pedals').focus();
    await page.keyboard.press('Enter');
    await page.getByRole('menuitem', { name: 'New folder' }).press('Enter');
    await page.getByRole('textbox', { name: 'Name of the page' }).fill(name);
    await page.keyboard.press('Enter');
    await expect(tab(page, name)).toHaveAttribute('aria-selected', 'true');
    // It has no way in and none back, and says so; the way back is offered.
    await expect(tab(page, name).getByRole('img')).toHaveAccessibleName(/Nothing leads here yet/);
    await cell(page, 'Left pedal', column).click();
    await choose(page, command);
    await expect(cell(page, 'Left pedal', column)).toContainText(shows);
    await tab(page, 'Home').click();
    await cell(page, 'Left pedal', column).click();
    await choose(page, `Open ${name}`);
    await expect(cell(page, 'Left pedal', column)).toContainText(`Open ${name}`);
    await tab(page, name).click();
    await expect(tab(page, name).getByRole('img')).toHaveAccessibleName(/Nothing leads back/);
    await page.getByRole('button', { name: `Change page ${name}` }).click();
    await page.getByRole('menuitem', { name: 'Put Back on Right pedal' }).click();
    await expect(cell(page, 'Right pedal', column)).toContainText('Back a page');
    await expect(tab(page, name).getByRole('img')).toHaveCount(0);
    // What is not set on it is nothing: what the middle pedal does at home does not show through.
    await expect(cell(page, 'Middle pedal', column)).toContainText('—');
    await tab(page, 'Home').click();
  }
  await saved(page);

  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await show(page, 'Three pedals');
  const left = control(page, 'Three pedals', 'Left pedal');
  await left.click();
  await expect(shownOn(page, 'Three pedals')).toHaveText('Three pedals › Takes');
  await left.click();
  await expect(page.getByText('Larkframe, folder Takes: Stage light.')).toBeVisible();
  // Another program comes to the front: its folder is another one, and this one closes.
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  await expect(shownOn(page, 'Three pedals')).toHaveText('Three pedals');
  await left.click();
  await expect(shownOn(page, 'Three pedals')).toHaveText('Three pedals › Paints');
  await control(page, 'Three pedals', 'Right pedal').click();
  await expect(page.getByText('Three pedals shows its home page.').first()).toBeVisible();

  await page.getByRole('link', { name: 'Board' }).click();
  await expect(tab(page, 'Takes')).toBeVisible();
  for (let i = 0; i < 40 && (await tab(page, 'Takes').count()) > 0; i++)
    await page.keyboard.press('Control+z');
  await expect(tab(page, 'Takes')).toHaveCount(0);
  await expect(tab(page, 'Paints')).toHaveCount(0);
  await expect(cell(page, 'Left pedal', 'Larkframe')).toContainText('Shift');
});

test('the dial’s sets are renamed, put in another order by dragging and by keys, and remembered across programs', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  const names = () =>
    page.getByRole('tablist', { name: 'Pages of Bench dial' }).getByRole('tab').allTextContents();
  const tidy = async () =>
    (await names()).map((name) => name.replace(/^(Larkframe|Quillboard|Brindle)/, '').trim());
  await expect.poll(tidy).toEqual(['Home', 'Frames', 'Film strip', 'Words', 'Clipboard', 'Brush', 'Canvas']);
  await tab(page, 'Frames').click();
  await page.keyboard.press('F2');
  await page.getByRole('textbox', { name: 'Name of the page' }).fill('Film strip');
  await expect(page.getByRole('alert')).toContainText('Another page of this device has this name');
  await page.getByRole('textbox', { name: 'Name of the page' }).fill('Single frames');
  await page.keyboard.press('Enter');
  await tab(page, 'Single frames').focus();
  await page.keyboard.press('Alt+ArrowRight');
  await expect
    .poll(tidy)
    .toEqual(['Home', 'Film strip', 'Single frames', 'Words', 'Clipboard', 'Brush', 'Canvas']);
  await tab(page, 'Film strip').dragTo(tab(page, 'Single frames'));
  await expect
    .poll(tidy)
    .toEqual(['Home', 'Single frames', 'Film strip', 'Words', 'Clipboard', 'Brush', 'Canvas']);
  // By keys from tab to tab, and from the matrix by P.
  await tab(page, 'Home').click();
  await page.keyboard.press('ArrowRight');
  await expect(tab(page, 'Single frames')).toHaveAttribute('aria-selected', 'true');
  await cell(page, 'Turn clockwise', 'Larkframe').click();
  await page.keyboard.press('p');
  await expect(tab(page, 'Film strip')).toHaveAttribute('aria-selected', 'true');
  await expect(cell(page, 'Turn clockwise', 'Larkframe')).toContainText('Last frame');
  await saved(page);

  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await show(page, 'Six pad');
  const dial = shownOn(page, 'Bench dial');
  await control(page, 'Six pad', 'Key 2').click();
  await expect(dial).toHaveText('Bench dial › Single frames');
  // Asked for, they are gone through by turning and chosen by pressing the dial.
  await control(page, 'Six pad', 'Key 1').click();
  const menu = page.getByRole('dialog', { name: 'Sets of Bench dial' });
  await expect(menu.getByRole('button')).toHaveText(['Home', 'Single frames', 'Film strip']);
  const knob = control(page, 'Bench dial', 'Dial');
  await knob.hover();
  for (const [down, lit] of [
    [120, 'Film strip'],
    [120, 'Home'],
    [-120, 'Film strip'],
  ] as const) {
    await page.mouse.wheel(0, down);
    await expect(menu.locator('button[data-on=true]')).toHaveText(lit);
  }
  await knob.focus();
  await page.keyboard.press('Space');
  await expect(menu).toBeHidden();
  await expect(dial).toHaveText('Bench dial › Film strip');
  await page.getByRole('button', { name: 'Quillboard', exact: true }).click();
  await expect(dial).toHaveText('Bench dial');
  await control(page, 'Six pad', 'Key 2').click();
  await expect(dial).toHaveText('Bench dial › Words');
  await page.getByRole('button', { name: 'Larkframe', exact: true }).click();
  await expect(dial).toHaveText('Bench dial › Film strip');
  await page.getByRole('button', { name: 'Quillboard', exact: true }).click();
  await expect(dial).toHaveText('Bench dial › Words');
});

test('two people change the pages of one device; what one removes, with what hung on it, comes back', async ({
  app,
  quietPage: page,
  context,
}) => {
  await open(page, app.address, 'board');
  const other = await context.newPage();
  await open(other, app.address, 'board');
  await showRows(page, 'six pad');
  await showRows(other, 'six pad');
  await tab(page, 'Shot').click();
  await tab(other, 'Shot').click();
  await other.getByRole('button', { name: 'Change page Shot' }).click();
  await other.getByRole('menuitem', { name: 'Face, program' }).click();
  await other.getByRole('checkbox', { name: /shows through/ }).check();
  await other.getByRole('button', { name: 'Done' }).click();
  await page.keyboard.press('F2');
  await page.getByRole('textbox', { name: 'Name of the page' }).fill('Takes');
  await page.keyboard.press('Enter');
  await expect(tab(other, 'Takes')).toBeVisible();
  await saved(page);
  // Both stand: what is not set shows through here too.
  await cell(page, 'Key 4', 'Larkframe').click();
  await page.keyboard.press('Delete');
  await expect(cell(other, 'Key 4', 'Larkframe')).toContainText('—');
  await page.getByRole('button', { name: 'Change page Takes' }).click();
  await page.getByRole('menuitem', { name: 'Remove, with 6 assignments' }).click();
  await expect(tab(other, 'Takes')).toHaveCount(0);
  await expect(cell(other, 'Key 6', 'Larkframe')).not.toContainText('Open');
  await page.keyboard.press('Control+z');
  await expect(tab(other, 'Takes')).toBeVisible();
  await tab(other, 'Takes').click();
  await expect(cell(other, 'Key 1', 'Larkframe')).toContainText('Take the frame');
  await tab(other, 'Home').click();
  await expect(cell(other, 'Key 6', 'Larkframe')).toContainText('Open Takes');
});

test('a page is copied to another device, and the Rig shows what is on it', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await showRows(page, 'pad');
  await tab(page, 'Shot').click();
  await page.getByRole('button', { name: 'Change page Shot' }).click();
  await page.getByRole('menuitem', { name: 'Copy to another device…' }).click();
  await page.getByRole('menuitem', { name: 'Twelve pad' }).click();
  const pages = page.getByRole('tablist', { name: 'Pages of Twelve pad' });
  await pages.getByRole('tab', { name: /^Shot/ }).click();
  await expect(cell(page, 'Key 1', 'Larkframe')).toContainText('Take the frame');
  await saved(page);
  await open(page, app.address, 'rig');
  await page.getByRole('button', { name: /^Six pad/ }).click();
  await page.getByRole('combobox', { name: 'Layer or page' }).click();
  await page.getByRole('option', { name: 'Folder Shot' }).click();
  await expect(page.getByText('Onion').first()).toBeVisible();
});

test('an icon is found by a word for it among all there are, and is seen wherever its face is', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'panels?device=six-pad&page=shot');
  await key(page, 4).click();
  const field = page.getByRole('combobox', { name: 'Icon' });
  await expect(field).toHaveValue('Grid');
  await field.fill('movie');
  const found = page.getByRole('option', { name: 'Film', exact: true });
  await expect(found.locator('svg')).toBeVisible();
  await field.fill('ticket ocean');
  await expect(page.getByText('No icon is called so.')).toBeVisible();
  await field.fill('feather');
  await page.getByRole('option', { name: 'Feather' }).first().click();
  await expect(key(page, 4).locator('svg.lucide-feather')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(field).toBeHidden();
  await expect(key(page, 4).locator('svg.lucide-feather')).toBeVisible();
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await show(page, 'Six pad');
  await control(page, 'Six pad', 'Key 6').click();
  await expect(control(page, 'Six pad', 'Key 4').locator('svg.lucide-feather')).toBeVisible();
});

const key = (page: Page, number: number) =>
  page.locator(`[data-page-drawing] [data-control="key-${number}"]`);
const leaf = (page: Page, name: string) => page.getByRole('treeitem', { name: new RegExp(`^${name},`) });
const said = (page: Page, words: string) => page.getByRole('status').filter({ hasText: words });

/** From the middle of one thing to the middle of another, by steps, as a hand does. */
async function drag(page: Page, from: Locator, to: Locator, modifier?: 'Alt'): Promise<void> {
  const [a, b] = [await from.boundingBox(), await to.boundingBox()];
  if (!a || !b) throw new Error('nothing to drag');
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2);
  if (modifier) await page.keyboard.down(modifier);
  await page.mouse.down();
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 8 });
  await page.mouse.up();
  if (modifier) await page.keyboard.up(modifier);
}

test('a pad’s folder is built on its drawing, by dragging and by keys; swapped, copied, left again and rehearsed', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'panels?device=six-pad&profile=hushbox');
  // From nothing: three commands of Hushbox, each chosen with the pieces the Board has.
  for (const [number, command] of [
    [1, 'Split here'],
    [2, 'Set a marker'],
    [4, 'Play or stop'],
  ] as const) {
    await key(page, number).focus();
    await page.keyboard.press('Enter');
    await page.keyboard.type(command);
    await page.keyboard.press('Enter');
    await expect(key(page, number)).toHaveAccessibleName(new RegExp(command));
  }
  // Two of them go into a folder in one step, by keys.
  await key(page, 1).focus();
  await page.keyboard.press('Space');
  await key(page, 2).focus();
  await page.keyboard.press('Shift+Space');
  // F by its place, as on a Hebrew keyboard.
  await page.locator('[data-page-drawing] :focus').dispatchEvent('keydown', { key: 'כ', code: 'KeyF' });
  await expect(said(page, 'Folder is opened by Key 1, and left by Key 6.')).toBeVisible();
  await expect(key(page, 1)).toHaveAccessibleName(/opens Folder/);
  // A third is dragged onto the key that opens it; another onto the page in the tree.
  await drag(page, key(page, 4), key(page, 1));
  await expect(said(page, 'Key 4 is in Folder now, on Key 4.')).toBeVisible();
  await leaf(page, 'Folder').click();
  await expect(key(page, 4)).toHaveAccessibleName(/Play or stop/);
  await expect(key(page, 6)).toHaveAccessibleName(/Back a page/);
  await drag(page, key(page, 1), key(page, 2));
  await expect(said(page, 'Key 1 and Key 2 have changed places.')).toBeVisible();
  await expect(key(page, 1)).toHaveAccessibleName(/Set a marker/);
  await drag(page, key(page, 1), key(page, 3), 'Alt');
  await expect(key(page, 3)).toHaveAccessibleName(/Set a marker/);
  await key(page, 3).focus();
  await page.keyboard.press('Alt+ArrowRight');
  await expect(key(page, 3)).toHaveAccessibleName(/Play or stop/);
  // Its way back is taken away, and offered again.
  await key(page, 6).focus();
  await page.keyboard.press('Delete');
  await expect(page.getByText('Nothing leads back from this folder.')).toBeVisible();
  await page.getByRole('button', { name: 'Put Back on Key 6' }).click();
  await expect(page.getByText('Key 6 leads back.')).toBeVisible();
  await drag(page, key(page, 4), leaf(page, 'Home'));
  await expect(said(page, 'Key 4 is in Home now')).toBeVisible();
  await saved(page);

  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await page.getByRole('button', { name: 'Hushbox', exact: true }).click();
  await show(page, 'Six pad');
  await control(page, 'Six pad', 'Key 1').click();
  await expect(shownOn(page, 'Six pad')).toHaveText('Six pad › Folder');
  await control(page, 'Six pad', 'Key 2').click();
  await expect(page.getByText('Hushbox, folder Folder: Split here.')).toBeVisible();
  await control(page, 'Six pad', 'Key 6').click();
  await expect(shownOn(page, 'Six pad')).toHaveText('Six pad');
  await page.getByRole('link', { name: 'Panels' }).click();
  await expect(leaf(page, 'Folder')).toBeVisible();
  for (let i = 0; i < 30 && (await leaf(page, 'Folder').count()) > 0; i++)
    await page.keyboard.press('Control+z');
  await expect(leaf(page, 'Folder')).toHaveCount(0);
});

test('a page of a program brings that program’s column into sight', async ({ app, quietPage: page }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await open(page, app.address, 'board');
  const column = page.getByRole('columnheader', { name: /^Quillboard/ });
  await expect(tab(page, 'Words')).toBeVisible();
  await expect(column).not.toBeInViewport();
  await tab(page, 'Words').click();
  await expect(column).toBeInViewport();
  await expect(cell(page, 'Turn clockwise', 'Quillboard')).toBeInViewport();
});

test('a cell is dropped on a page: moved there, with Ctrl copied', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'board');
  await page.getByRole('textbox', { name: 'Search the Board' }).fill('six pad');
  const first = cell(page, 'Key 1', 'Everywhere');
  const does = (await first.textContent()) ?? '';
  expect(does).not.toBe('');
  await first.dragTo(tab(page, 'Shot'));
  await expect(first).not.toContainText(does);
  await tab(page, 'Shot').click();
  await expect(first).toContainText(does);

  // With Ctrl it stays where it was, too.
  await page.keyboard.down('Control');
  await first.dragTo(tab(page, 'Puppet'));
  await page.keyboard.up('Control');
  await expect(first).toContainText(does);
  await tab(page, 'Puppet').click();
  await expect(first).toContainText(does);
  await page.keyboard.press('Control+z');
  await expect(first).not.toContainText(does);
});
