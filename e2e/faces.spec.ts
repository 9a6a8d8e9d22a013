import { readFileSync } from 'node:fs';
import path from 'node:path';
import { CAPITALS } from '@nimble-lever/core/drawing';
import type { Page } from '@playwright/test';
import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

const PICTURE = path.join(import.meta.dirname, '../docs/screenshots/radial-dark.png');
const DRAWING = Buffer.from(
  '<svg xmlns="http://www.w3.org/2000/svg" width="20" height="20"><circle cx="10" cy="10" r="9" fill="#c28a34"/></svg>',
);

const key = (page: Page, number: number) =>
  page.locator(`[data-page-drawing] [data-control="key-${number}"]`);
const chooser = (page: Page) => page.getByLabel('Picture…', { exact: true }).and(page.locator('input'));
const onKey = (page: Page, number: number) => key(page, number).locator('xpath=..').locator('img');

/** Lets a file go on an element, as a hand does that drags it in from outside. */
async function dropFile(page: Page, on: string, file: { name: string; type: string; text: string }) {
  await page.evaluate(
    ([selector, { name, type, text }]) => {
      const carried = new DataTransfer();
      carried.items.add(new File([text], name, { type }));
      const target = document.querySelector(selector);
      for (const kind of ['dragover', 'drop'] as const) {
        const event = new DragEvent(kind, { dataTransfer: carried, bubbles: true, cancelable: true });
        target?.dispatchEvent(event);
      }
    },
    [on, file] as const,
  );
}

test('a face from a picture file: chosen, laid by keys, on the desk, on another page, taken back', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'panels?device=six-pad&page=shot&profile=larkframe');
  await key(page, 1).click();
  await chooser(page).setInputFiles(PICTURE);
  await expect(onKey(page, 1)).toBeVisible();
  const address = await onKey(page, 1).getAttribute('src');
  const kept = await page.request.get(`${app.address}${address}`);
  expect(kept.headers()['content-type']).toBe('image/webp');

  // Which part of it is seen, without the pointer.
  await page.getByRole('button', { name: 'Adjust picture…' }).press('Enter');
  const dialog = page.getByRole('dialog', { name: 'How the picture lies' });
  await dialog.getByRole('slider', { name: 'Closer' }).focus();
  for (let i = 0; i < 10; i += 1) await page.keyboard.press('ArrowRight');
  await dialog.getByRole('group', { name: /^Drag the picture/ }).focus();
  for (let i = 0; i < 5; i += 1) await page.keyboard.press('ArrowRight');
  await dialog.getByRole('button', { name: 'Done' }).press('Enter');
  await expect(onKey(page, 1)).toHaveCSS('transform', /matrix\(2, 0, 0, 2/);
  await expect(onKey(page, 1)).toHaveCSS('object-position', '40% 50%');
  await saved(page);

  // The same picture, wherever the face is: on the desk, and for whoever else has the set-up open.
  await open(page, app.address, 'rehearse');
  await page.getByRole('button', { name: 'Six pad', exact: true }).click();
  await control(page, 'Six pad', 'Key 6').click();
  await expect(control(page, 'Six pad', 'Key 1').locator('img')).toHaveAttribute('src', address ?? '');
  await expect(control(page, 'Six pad', 'Key 1')).toHaveAccessibleName(/Take/);

  await open(page, app.address, 'panels?device=six-pad&page=shot&profile=larkframe');
  await key(page, 1).click();
  await page.keyboard.press('Control+z');
  await expect(onKey(page, 1)).toHaveCSS('transform', 'none');
  await page.keyboard.press('Control+z');
  await expect(onKey(page, 1)).toHaveCount(0);
  await page.keyboard.press('Control+Shift+z');
  await expect(onKey(page, 1)).toBeVisible();
  await page.getByRole('button', { name: 'Take the picture off' }).click();
  await expect(onKey(page, 1)).toHaveCount(0);
});

test('pictures are let go on a key, pasted, and come as pixels where they were drawings', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'panels?device=six-pad&page=shot&profile=larkframe');
  await expect(key(page, 2)).toBeVisible();
  const file = { name: 'sun.svg', type: 'image/svg+xml', text: DRAWING.toString() };
  await dropFile(page, '[data-page-drawing] [data-control="key-2"]', file);
  await expect(onKey(page, 2)).toBeVisible();
  const pixels = await page.request.get(`${app.address}${await onKey(page, 2).getAttribute('src')}`);
  expect((await pixels.body()).subarray(8, 12).toString()).toBe('WEBP');

  await key(page, 3).click();
  await page.evaluate((text) => {
    const clipboardData = new DataTransfer();
    clipboardData.items.add(new File([text], '', { type: 'image/svg+xml' }));
    const event = new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true });
    document.activeElement?.dispatchEvent(event);
  }, DRAWING.toString());
  await expect(onKey(page, 3)).toBeVisible();
  // The same picture is kept once.
  expect(await onKey(page, 3).getAttribute('src')).toBe(await onKey(page, 2).getAttribute('src'));

  // A file that is let go beside a key does nothing, and does not leave the page.
  await dropFile(page, 'header', file);
  await expect(onKey(page, 2)).toBeVisible();
});

test('on a panel a picture let go on a cell is its face, on words a picture of their own, beside them the page’s', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'panels?device=wall-panel&page=showing&profile=larkframe');
  const file = { name: 'sun.svg', type: 'image/svg+xml', text: DRAWING.toString() };
  const pictureOn = (id: string) => page.locator(`[data-page-drawing] [data-control="${id}"] img`);
  // A cell of every page does what it does on Home: there its face is.
  await page.getByRole('treeitem', { name: /^Home/ }).click();
  await page.locator('[data-page-drawing] [data-control="cell-8"]').click();
  await page.getByRole('checkbox', { name: 'On every page of this panel' }).check();
  await dropFile(page, '[data-page-drawing] [data-control="cell-8"]', file);
  await expect(pictureOn('cell-8')).toBeVisible();
  await page.getByRole('treeitem', { name: /^Showing/ }).click();
  await expect(page.locator('[data-page-drawing] [data-control="showing-take"]')).toBeVisible();
  await dropFile(page, '[data-page-drawing] [data-control="showing-take"]', file);
  await expect(pictureOn('showing-take')).toBeVisible();
  await dropFile(page, '[data-page-drawing] [data-control="showing-shot"]', file);
  await expect(pictureOn('showing-shot')).toBeVisible();
  await expect(page.locator('aside').getByRole('combobox', { name: 'Kind' })).toContainText('Picture');
  const under = page.locator('[data-page-drawing] svg > g img');
  const before = await under.count();
  await dropFile(page, '[data-page-drawing] svg .corner', file);
  await expect(under).toHaveCount(before + 1);
  await saved(page);
});

test('what is no picture is refused in words, whatever it is called; without the server nothing changes', async ({
  app,
  page,
  context,
}) => {
  await open(page, app.address, 'panels?device=six-pad&page=shot&profile=larkframe');
  await key(page, 1).click();
  const give = (name: string, buffer: Buffer) =>
    chooser(page).setInputFiles({ name, mimeType: 'image/png', buffer });
  const alert = page.getByRole('alert');
  await give('holiday.png', Buffer.from('<script>alert(1)</script>'));
  await expect(alert).toContainText('holiday.png: This is not a picture, whatever its name says');
  await give('half.png', readFileSync(PICTURE).subarray(0, 9000));
  await expect(alert).toContainText('half.png: The picture is damaged or cut off');
  await give('large.png', Buffer.alloc(2_000_001));
  await expect(alert).toContainText('large.png is larger than 2 MB');
  await context.setOffline(true);
  await give('sun.svg', DRAWING);
  await expect(alert).toContainText('sun.svg could not be kept: the server does not answer');
  await context.setOffline(false);
  await expect(onKey(page, 1)).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeDisabled();
  await give('sun.svg', DRAWING);
  await expect(onKey(page, 1)).toBeVisible();
  await expect(alert).toHaveCount(0);
});

test('a picture on its way comes to the cells it was taken for; one that is gone leaves the label', async ({
  app,
  page,
}) => {
  await open(page, app.address, 'board');
  await cell(page, 'Press', 'Larkframe').click();
  let go: () => void = () => undefined;
  const held = new Promise<void>((resolve) => {
    go = resolve;
  });
  await page.route(/\/api\/pictures\?/, async (route) => {
    await held;
    await route.continue();
  });
  await chooser(page).setInputFiles({ name: 'sun.svg', mimeType: 'image/svg+xml', buffer: DRAWING });
  await expect(page.getByText('Taking in sun.svg…')).toBeVisible();
  await cell(page, 'Turn clockwise', 'Larkframe').click();
  go();
  await saved(page);
  await expect(page.getByRole('button', { name: 'Picture…' })).toBeVisible();
  await cell(page, 'Press', 'Larkframe').click();
  await expect(page.getByRole('button', { name: 'Adjust picture…' })).toBeVisible();

  // Stopped, it is as if it had never been taken.
  await page.unroute(/\/api\/pictures\?/);
  await page.route(/\/api\/pictures\?/, () => undefined);
  await cell(page, 'Turn clockwise', 'Larkframe').click();
  await chooser(page).setInputFiles({ name: 'sun.svg', mimeType: 'image/svg+xml', buffer: DRAWING });
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Taking in sun.svg…')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Picture…' })).toBeVisible();

  // As a set-up from elsewhere may name one that is not kept here.
  const edit = {
    kind: 'set',
    at: 'profiles/larkframe/bindings/shot/six-pad/key-2/press',
    fields: { 'face.picture': { id: '0'.repeat(64), fit: 'fill', zoom: 1, x: 0.5, y: 0.5 } },
  };
  const author = { id: crypto.randomUUID(), name: 'Elsewhere' };
  const entries = [{ id: crypto.randomUUID(), role: 'do', edit, author, base: 0 }];
  await page.request.post(`${app.address}/api/set-ups/saltmarsh/edits`, { data: { after: 0, entries } });
  await open(page, app.address, 'panels?device=six-pad&page=shot&profile=larkframe');
  await expect(onKey(page, 2)).toHaveCount(0);
  await expect(key(page, 2)).toContainText('Double');
});

test('capitals are as high in the font that is shipped as labels are reckoned with', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'panels?device=six-pad&page=shot&profile=larkframe');
  await expect(key(page, 1)).toBeVisible();
  const high = await page.evaluate(async () => {
    const font = '650 1000px "Atkinson Hyperlegible Next Variable"';
    await document.fonts.load(font);
    const context = document.createElement('canvas').getContext('2d');
    if (!context) return 0;
    context.font = font;
    // A flat letter: round ones reach beyond the line.
    return context.measureText('H').actualBoundingBoxAscent / 1000;
  });
  expect(high).toBeCloseTo(CAPITALS, 2);
});

test('faces show what is on: a latch, a set, and leave it when it ends', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'panels?device=six-pad&page=shot&profile=larkframe');
  await key(page, 3).click();
  await page.getByRole('button', { name: 'Latch' }).click();
  await saved(page);
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  await page.getByRole('button', { name: 'Six pad', exact: true }).click();
  await control(page, 'Six pad', 'Key 6').click();
  const onion = control(page, 'Six pad', 'Key 3');
  await expect(onion).not.toHaveAccessibleName(/, on,/);
  await onion.click();
  await expect(onion).toHaveAccessibleName(/, on,/);
  await onion.click();
  await expect(onion).not.toHaveAccessibleName(/, on,/);
});

test('everything is saved as one file, with its pictures', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'panels?device=six-pad&page=shot&profile=larkframe');
  await key(page, 1).click();
  await chooser(page).setInputFiles({ name: 'sun.svg', mimeType: 'image/svg+xml', buffer: DRAWING });
  await expect(onKey(page, 1)).toBeVisible();
  await saved(page);
  await open(page, app.address, 'vault?tab=files');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the file' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/\.lever\.json$/);
  const document = JSON.parse(readFileSync(await file.path(), 'utf8'));
  expect(document.format).toBe('nimble-lever/set-up');
  const [[id, url] = []] = Object.entries(document.pictures);
  expect(id).toMatch(/^[0-9a-f]{64}$/);
  expect(url).toMatch(/^data:image\/webp;base64,/);
});
