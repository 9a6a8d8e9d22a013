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
    /Six pad/,
  ]);
  await expect(sheet).toContainText('Brush larger');
  await expect(sheet).toContainText('82 %');
  await expectAccessible(page);
  await page.keyboard.up('Enter');
  await expect(sheet).toBeHidden();
});

test('a wheel set free by a key goes on after a flick, and stands when the key takes its ratchet back', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await showRows(page, 'twelve pad key 11');
  await cell(page, 'Key 11', 'Everywhere').click();
  await choose(page, 'Wheel: ratchet or free');
  await page.getByRole('combobox', { name: 'Of' }).click();
  await page.getByRole('option', { name: 'Pocket mouse' }).click();
  await expect(cell(page, 'Key 11', 'Everywhere')).toContainText('Wheel: ratchet or free');
  await saved(page);
  // From the Rig: how it goes on, and that it scrolls in small parts.
  await page.getByRole('link', { name: 'Rig' }).click();
  await page
    .getByRole('navigation', { name: 'Devices of the rig' })
    .getByRole('button', { name: /^Pocket mouse/ })
    .click();
  await page.getByRole('tab', { name: 'Tuning' }).click();
  await expect(page.getByRole('combobox', { name: 'Reports a second' })).toHaveText('500');
  const coasts = page.getByRole('textbox', { name: /^Goes on after a flick/ });
  await expect(coasts).toHaveValue('600');
  await coasts.fill('2000');
  await coasts.press('Enter');
  await page.getByRole('checkbox', { name: /Scrolls smoothly/ }).check();
  await saved(page);

  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await page.getByRole('button', { name: 'Fernway', exact: true }).click();
  const wheel = control(page, 'Pocket mouse', 'Wheel');
  const key = control(page, 'Twelve pad', 'Key 11');
  const line = page.locator('[data-program=fernway] [data-line]');
  // In its ratchet one notch is one line, however it is flicked.
  await wheel.hover();
  await page.mouse.wheel(0, 100);
  await expect(line).toHaveAttribute('data-line', '2');
  await key.click();
  await expect(page.getByText('Pocket mouse: wheel free')).toBeVisible();
  const turns = page.getByText(/×\d+/).or(page.getByText('Wheel')).first();
  await expect(turns).toBeVisible();
  await wheel.hover();
  // At one moment, so that it is a flick however slow the machine is.
  await wheel.evaluate((element) => {
    for (let i = 0; i < 5; i++)
      element.dispatchEvent(new WheelEvent('wheel', { deltaY: 100, cancelable: true }));
  });
  // Five notches were turned; it comes further by itself.
  await expect
    .poll(async () => Number(await line.getAttribute('data-line')), { timeout: 20_000 })
    .toBeGreaterThan(7);
  await key.click();
  await expect(page.getByText('Pocket mouse: wheel free')).toBeHidden();
});

test('the desk is a small system: its windows follow keys that a pad sends, and its menu', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  await showRows(page, 'twelve pad key 11');
  await cell(page, 'Key 11', 'Everywhere').click();
  await choose(page, 'Window to the left half');
  await showRows(page, 'twelve pad key 10');
  await cell(page, 'Key 10', 'Everywhere').click();
  await choose(page, 'Show the desk');
  await saved(page);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  const larkframe = page.getByRole('region', { name: /^Larkframe/ });
  const desk = page.locator('[data-desk-surface]');
  const part = async () => {
    const [own, all] = [await larkframe.boundingBox(), await desk.boundingBox()];
    return own && all
      ? [own.x - all.x, own.width / all.width].map((value) => Math.round(value * 10) / 10)
      : [];
  };
  await control(page, 'Twelve pad', 'Key 11').click();
  await expect.poll(part).toEqual([0, 0.5]);
  await expect(page.getByText('The desk runs “Left half”. Larkframe is in front.')).toBeVisible();
  await control(page, 'Twelve pad', 'Key 10').click();
  await expect(larkframe).toBeHidden();
  await expect(page.getByRole('banner')).toContainText('In front: nothing');
  await control(page, 'Twelve pad', 'Key 10').click();
  await expect(larkframe).toBeVisible();
  await page.getByRole('button', { name: 'Window Larkframe' }).click();
  await page.getByRole('menuitem', { name: /^All windows/ }).click();
  const tiles = page.getByRole('group', { name: 'Choose a window' });
  await expect(tiles.getByRole('button')).toHaveCount(2);
  await expectAccessible(page);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(tiles).toBeHidden();
  await expect(page.getByRole('banner')).toContainText('Brindle');
  await page.getByRole('button', { name: 'Window Brindle' }).click();
  await page.getByRole('menuitem', { name: /^Close/ }).click();
  await expect(page.getByRole('region', { name: /^Brindle/ })).toBeHidden();
  await expect(page.getByRole('banner')).toContainText('Larkframe');
});
