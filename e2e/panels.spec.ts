import { readFile } from 'node:fs/promises';
import { wallPanel } from '@nimble-lever/core/devices';
import type { Browser, Locator, Page } from '@playwright/test';
import { openTablet, type Tablet } from './support/tablet.ts';
import {
  expect,
  expectAccessible,
  expectAccessibleInBoth,
  open,
  rehearsing,
  saved,
  test,
} from './support/test.ts';

const drawing = (page: Page) => page.locator('[data-page-drawing]');
const cellOf = (page: Page, id: string) => drawing(page).locator(`[data-control=${id}]`);
const named = (page: Page, name: string | RegExp) =>
  drawing(page).getByRole('button', {
    name: new RegExp(`^Wall panel, ${name instanceof RegExp ? name.source : name}:`),
  });
const said = (page: Page) => page.locator('footer [role=status]');
const side = (page: Page) => page.locator('aside');

/** Drags from one place of the page to another, both in columns and rows of a grid. */
async function drag(
  page: Page,
  grid: readonly [columns: number, rows: number],
  from: readonly [number, number],
  to: readonly [number, number],
  keys: { readonly alt?: boolean } = {},
): Promise<void> {
  const box = await drawing(page).locator('svg[role=group]').boundingBox();
  const view = await drawing(page).locator('svg[role=group]').getAttribute('viewBox');
  const [, , width = 1, height = 1] = (view ?? '').split(' ').map(Number);
  if (!box) throw new Error('It is not drawn.');
  // The drawing lies in the middle of its box, with its own ratio.
  const scale = Math.min(box.width / width, box.height / height);
  const at = ([column, row]: readonly [number, number]) =>
    [
      box.x + (box.width - width * scale) / 2 + ((column + 0.5) / grid[0]) * width * scale,
      box.y + (box.height - height * scale) / 2 + ((row + 0.5) / grid[1]) * height * scale,
    ] as const;
  await page.mouse.move(...at(from));
  await page.mouse.down();
  if (keys.alt) await page.keyboard.down('Alt');
  await page.mouse.move(...at(to), { steps: 6 });
  await page.mouse.up();
  if (keys.alt) await page.keyboard.up('Alt');
}

/** Says in the side what the selected cell does. */
async function does(page: Page, command: string): Promise<void> {
  const chooser = side(page).getByRole('combobox', { name: 'Choose a command' });
  await chooser.fill(command);
  await page
    .getByRole('option', { name: new RegExp(`^${command}`) })
    .first()
    .click();
}

/** What is drawn from now on. */
async function draws(page: Page, kind: string): Promise<void> {
  await page.getByRole('combobox', { name: 'What is drawn' }).click();
  await page.getByRole('option', { name: `Draws: ${kind}` }).click();
  // What lies over the page while the list is open has gone.
  await expect(page.locator('.MuiPopover-root')).toHaveCount(0);
}

const GRID = [4, 3] as const;

/** A new folder of the wall panel, divided by a grid of its own. */
async function newPageOf(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: '+ Folder' }).click();
  const field = page.getByRole('textbox', { name: 'Name of the page' });
  await field.fill(name);
  await field.press('Enter');
  await expect(page.getByRole('heading', { name, level: 2 }).first()).toBeVisible();
  await page.getByRole('button', { name: /^Grid/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('checkbox', { name: 'As Home is divided' }).uncheck();
  for (const [field, value] of [
    ['Columns', GRID[0]],
    ['Rows', GRID[1]],
  ] as const) {
    await dialog.getByRole('textbox', { name: field }).fill(String(value));
    await dialog.getByRole('textbox', { name: field }).press('Tab');
  }
  await dialog.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByRole('button', { name: 'Grid 4 × 3' })).toBeVisible();
}

/** A cell of Home opens a page; a tablet that shows the panel, with Rehearse open. */
async function ledTo(page: Page, browser: Browser, address: string, name: string): Promise<Tablet> {
  await page.getByRole('treeitem', { name: /^Home/ }).click();
  await cellOf(page, 'cell-9').click();
  await does(page, `Open ${name}`);
  await saved(page);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  return openTablet(browser, address, 'wall-panel');
}

test('a page is built from nothing by hand, and a tablet shows and uses it at once', async ({
  app,
  quietPage: page,
  browser,
}) => {
  test.slow();
  await open(page, app.address, 'panels?device=wall-panel&profile=larkframe');
  await newPageOf(page, 'Stage');
  // Drawn over two columns and two rows; another one on it is refused while it is drawn, and nothing comes of it.
  await drag(page, GRID, [0, 0], [1, 1]);
  await expect(said(page)).toContainText('Button, 2 × 2');
  await does(page, 'Onion skin');
  await drag(page, GRID, [2, 2], [1, 1]);
  await expect(said(page)).toContainText('There is a cell already');
  // A fader beside it, with letters of a height of their own.
  await draws(page, 'Fader');
  await drag(page, GRID, [3, 0], [3, 2]);
  await expect(said(page)).toContainText('Fader, 1 × 3');
  await expect(side(page).getByRole('combobox', { name: 'Kind' })).toContainText('Fader');
  // Words, moved, spanned by its edge, copied.
  await draws(page, 'Words');
  await drag(page, GRID, [0, 2], [0, 2.1]);
  await side(page).getByRole('textbox', { name: 'Words' }).fill('Stage');
  await side(page).getByRole('textbox', { name: 'Words' }).press('Enter');
  await side(page).getByRole('button', { name: 'mm', exact: true }).click();
  await expect(side(page)).toContainText(/readable to 0\.[89] m/);
  await drag(page, GRID, [0, 2], [1, 2]);
  await expect(said(page)).toContainText('Column 2, row 3, 1 × 1');
  await drawing(page).getByRole('img', { name: /Stage/ }).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(said(page)).toContainText('Column 2, row 3, 2 × 1');
  await page.keyboard.press('Alt+ArrowLeft');
  await expect(said(page)).toContainText('Column 1, row 3, 2 × 1');
  // Its own way in and out.
  await draws(page, 'Button');
  await drag(page, GRID, [2, 2], [2, 2.1]);
  await does(page, 'Back a page');
  await saved(page);
  await expectAccessibleInBoth(page);
  const tablet = await ledTo(page, browser, app.address, 'Stage');
  const key = (name: string) => tablet.page.getByRole('button', { name: new RegExp(`^${name}`) });
  await key('Cell 9').tap();
  await expect(key('Fader 3')).toBeVisible();
  await expect(tablet.page.getByText('Stage').first()).toBeVisible();
  await expect(key('Cell 9')).toHaveCount(0);
  await tablet.page.getByRole('button', { name: /Onion skin/ }).tap();
  await expect(page.getByText('Onion skin on')).toBeVisible();
  await tablet.page.getByRole('button', { name: /Back a page/ }).tap();
  await expect(key('Cell 9')).toBeVisible();
  await tablet.context.close();
});

test('an XY pad sends both of its values, from a tablet too, and steps by each of its ways', async ({
  app,
  quietPage: page,
  browser,
}) => {
  test.slow();
  await open(page, app.address, 'panels?device=wall-panel&profile=larkframe');
  await newPageOf(page, 'Light');
  await draws(page, 'XY pad');
  await drag(page, GRID, [0, 0], [1, 1]);
  await expect(said(page)).toContainText('XY pad, 2 × 2');
  // Each way is one to bind, with its steps.
  const way = side(page).getByRole('combobox', { name: 'How it is used' });
  const bind = async (name: string, what: string) => {
    await way.click();
    await page.getByRole('option', { name, exact: true }).click();
    await expect(page.locator('.MuiPopover-root')).toHaveCount(0);
    await does(page, what);
    await saved(page);
  };
  await bind('Left and right', 'OSC');
  await bind('A step up', 'Onion skin');
  await expectAccessibleInBoth(page);
  const tablet = await ledTo(page, browser, app.address, 'Light');
  await tablet.page.getByRole('button', { name: /^Cell 9/ }).tap();
  const pad = tablet.page.getByRole('button', { name: /^XY pad 1/ });
  await expect(pad).toBeVisible();
  const account = page.getByRole('complementary', { name: 'What happened' });
  await tablet.press(1, pad);
  await tablet.drag(1, pad, 0.9, 0.55);
  await expect(account).toContainText('xy pad 1 across to 90 %');
  await tablet.drag(1, pad, 0.9, 0.4);
  await expect(account).toContainText('xy pad 1 up to 60 %');
  await expect(page.getByText('Onion skin on')).toBeVisible();
  await tablet.lift(1);
  // By keys, too, and what stands at the desk shows on the tablet.
  await pad.focus();
  await tablet.page.keyboard.press('Shift+ArrowLeft');
  await expect(account).toContainText('xy pad 1 across to 85 %');
  await tablet.context.close();
});

test('cells become a folder by one key, go to other pages, are copied and taken away; all of it undone', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'panels?device=wall-panel&profile=everywhere');
  await cellOf(page, 'cell-1').click();
  await cellOf(page, 'cell-2').click({ modifiers: ['Shift'] });
  await page.keyboard.press('f');
  await expect(page.getByRole('treeitem', { name: /^Folder,/ })).toBeVisible();
  await expect(named(page, /Cell 13/)).toBeVisible();
  await expect(cellOf(page, 'cell-1')).toHaveCount(0);
  await page.getByRole('treeitem', { name: /^Folder,/ }).click();
  await expect(cellOf(page, 'cell-1')).toHaveAccessibleName(/Open Larkframe/);
  await expect(page.getByText('leads back.')).toBeVisible();
  // On every page from now on; a cell drawn in its place stands in for it.
  await cellOf(page, 'cell-2').click();
  await side(page).getByRole('checkbox', { name: 'On every page of this panel' }).check();
  await expect(cellOf(page, 'cell-2')).toBeVisible();
  await page.getByRole('treeitem', { name: /^Showing/ }).click();
  await expect(drawing(page).getByRole('button', { name: /Take/ }).first()).toBeVisible();
  await expect(cellOf(page, 'cell-2')).toHaveCount(0);
  // Back home: copied beside, and taken away.
  await page.getByRole('treeitem', { name: /^Home/ }).click();
  await cellOf(page, 'cell-3').click();
  await page.keyboard.press('Control+d');
  await expect(said(page)).toContainText('There is no free place');
  await page.keyboard.press('Delete');
  await expect(said(page)).toContainText('Cell 3 taken away');
  await cellOf(page, 'cell-4').click();
  await page.keyboard.press('Control+d');
  await expect(said(page)).toContainText('1 cell copied');
  await saved(page);
  for (let i = 0; i < 4; i++) await page.keyboard.press('Control+z');
  await expect(page.getByRole('treeitem', { name: /^Folder,/ })).toHaveCount(0);
  await expect(cellOf(page, 'cell-1')).toHaveAccessibleName(/Open Larkframe/);
  await expect(cellOf(page, 'cell-3')).toBeVisible();
});

test('a new panel is there at once, is drawn on by keys alone, and goes with an undo', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'panels?device=six-pad');
  await page.getByRole('button', { name: 'New panel' }).click();
  await expect(page.getByRole('combobox', { name: 'Device' })).toContainText('Panel');
  await expect(page.getByText('There is no cell here yet')).toBeVisible();
  await drawing(page).locator('svg[role=group]').focus();
  await page.keyboard.press('n');
  await page.keyboard.press('n');
  const cells = drawing(page).locator('[data-control]');
  await expect(cells).toHaveCount(2);
  // The one that was drawn last is selected: moved, spanned, copied, and said what it does.
  await page.keyboard.press('Alt+ArrowDown');
  await expect(said(page)).toContainText('Column 2, row 2');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(said(page)).toContainText('1 × 2');
  await page.keyboard.press('Alt+ArrowUp');
  await page.keyboard.press('Alt+ArrowLeft');
  await expect(said(page)).toContainText('There is a cell already');
  await page.keyboard.press('Enter');
  await expect(side(page).getByRole('combobox', { name: 'Choose a command' })).toBeFocused();
  await saved(page);
  // Out of the field, which has an undo of its own.
  await cells.first().focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press('Control+z');
  await page.getByRole('combobox', { name: 'Device' }).click();
  await expect(page.getByRole('option', { name: 'Wall panel' })).toBeVisible();
  await expect(page.getByRole('option', { name: 'Panel', exact: true })).toHaveCount(0);
});

test('a finer or coarser grid says what would go; a screen’s size is taken; both undone in one step', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'panels?device=wall-panel&profile=everywhere');
  await page.getByRole('button', { name: /^Grid 6 × 3/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Columns' }).fill('5');
  await dialog.getByRole('textbox', { name: 'Columns' }).press('Tab');
  await expect(dialog.getByRole('status')).toContainText('taken away: Fader 2.');
  await dialog.getByRole('combobox', { name: 'Screen' }).click();
  await page.getByRole('option', { name: /^Tablet, 10.1/ }).click();
  await dialog.getByRole('button', { name: 'Turn it' }).click();
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Change it' }).click();
  await expect(drawing(page).locator('svg[role=group]')).toHaveAttribute('viewBox', '0 0 136 218');
  await expect(cellOf(page, 'fader-2')).toHaveCount(0);
  await expect(cellOf(page, 'fader-1')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(cellOf(page, 'fader-2')).toBeVisible();
  await expect(drawing(page).locator('svg[role=group]')).toHaveAttribute('viewBox', '0 0 248 142');
});

/** The colour of a pixel of an element as it is seen: pixels from its left and top. */
async function pixel(of: Locator, x: number, y: number): Promise<readonly number[]> {
  const png = (await of.screenshot()).toString('base64');
  return of.page().evaluate(
    async ([data, left, top]) => {
      const image = new Image();
      image.src = `data:image/png;base64,${data}`;
      await image.decode();
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [image.width, image.height];
      const pen = canvas.getContext('2d');
      pen?.drawImage(image, 0, 0);
      const at = pen?.getImageData(Number(left), Number(top), 1, 1);
      return [...(at?.data ?? [])];
    },
    [png, x, y] as const,
  );
}

test('a template is saved, painted on and brought back: it lies to the point under a see-through cell that works', async ({
  app,
  quietPage: page,
  browser,
}) => {
  await open(page, app.address, 'panels?device=wall-panel&profile=everywhere');
  await page.getByRole('button', { name: 'Template…' }).click();
  const dialog = page.getByRole('dialog');
  const saving = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'Save as SVG' }).click();
  const svg = await readFile(await (await saving).path(), 'utf8');
  expect(svg).toContain('viewBox="0 0 248 142"');
  const pngSaving = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'Save as PNG' }).click();
  const png = await readFile(await (await pngSaving).path());
  // The width stands in the first chunk of a PNG (ISO/IEC 15948, 11.2.2).
  expect([png.subarray(1, 4).toString(), png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual([
    'PNG',
    2048,
    1173,
  ]);
  await dialog.getByRole('button', { name: 'Done' }).click();
  // Cell 1 is painted over in one colour, from edge to edge, as its outline says.
  const outline = /<rect id="cell-1" ([^>]*)\/>/.exec(svg)?.[1] ?? '';
  const painted = svg.replace('</svg>', `<rect ${outline.replace(/id="[^"]*"/, '')} fill="#ff0000"/></svg>`);
  await page.getByRole('button', { name: 'Picture…' }).first().click();
  await page
    .getByRole('dialog')
    .locator('input[type=file]')
    .setInputFiles({ name: 'painted.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(painted) });
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Take it off' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).click();
  await cellOf(page, 'cell-1').click();
  await side(page)
    .getByRole('checkbox', { name: /^See-through/ })
    .check();
  await page.keyboard.press('Escape');
  await saved(page);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  const tablet = await openTablet(browser, app.address, 'wall-panel');
  const panel = tablet.page.getByRole('group', { name: 'Wall panel' });
  await expect(tablet.page.getByRole('button', { name: /^Cell 1,/ })).toBeVisible();
  // Just inside the corners of the cell the picture is red, just outside it is not.
  const [first] = wallPanel('wall-panel').controls;
  if (first?.shape.kind !== 'rect') throw new Error('A cell is a rectangle.');
  const { x, y, width, height } = first.shape;
  const isRed = ([red = 0, green = 0]: readonly number[]) => red > 200 && green < 90;
  // A picture that was read is drawn a moment later.
  await expect(async () => {
    const box = await panel.boundingBox();
    const scale = Math.min((box?.width ?? 0) / 248, (box?.height ?? 0) / 142);
    const [left, top] = [((box?.width ?? 0) - 248 * scale) / 2, ((box?.height ?? 0) - 142 * scale) / 2];
    const at = (across: number, down: number) => pixel(panel, left + across * scale, top + down * scale);
    const near = 4 / scale;
    const reds: boolean[] = [];
    for (const across of [x + near, x - near, x + width - near, x + width + near])
      reds.push(isRed(await at(across, y + height / 2)));
    expect(reds).toEqual([true, false, true, false]);
  }).toPass({ timeout: 30_000 });
  await tablet.page.getByRole('button', { name: /^Cell 1,/ }).tap();
  await expect(page.getByRole('complementary', { name: 'What happened' })).toContainText('To larkframe');
  await tablet.context.close();
});

test('a page based on another has its cells in the same places: changed there in all, stood in for on one', async ({
  app,
  quietPage: page,
  browser,
}) => {
  test.slow();
  await open(page, app.address, 'panels?device=wall-panel&profile=larkframe');
  await newPageOf(page, 'Stage');
  await drag(page, GRID, [0, 0], [0, 0.1]);
  await expect(said(page)).toContainText('Button, 1 × 1');
  await does(page, 'Onion skin');
  await drag(page, GRID, [1, 0], [1, 0.1]);
  await does(page, 'Back a page');
  await saved(page);
  await newPageOf(page, 'Late');
  await page.keyboard.press('Escape');
  await side(page).getByRole('combobox', { name: 'Based on' }).click();
  await page.getByRole('option', { name: 'Stage', exact: true }).click();
  await expect(page.locator('.MuiPopover-root')).toHaveCount(0);
  const onion = named(page, 'Cell 13');
  await expect(onion).toBeVisible();
  await expectAccessibleInBoth(page);
  // It is that page's: told, not taken away here; what it does changes there.
  await onion.click();
  await expect(side(page)).toContainText('It belongs to “Stage”');
  await page.keyboard.press('Delete');
  await expect(said(page)).toContainText('belongs to the page this one is based on');
  await expect(onion).toBeVisible();
  // One of its own in its place.
  await side(page).getByRole('button', { name: 'Give this page one of its own' }).click();
  await expect(onion).toHaveCount(0);
  await expect(named(page, 'Cell 15')).toBeVisible();
  await named(page, 'Cell 15').click();
  await does(page, 'Magnify here');
  await saved(page);
  // Kept so.
  await page.reload();
  await expect(named(page, 'Cell 15')).toBeVisible();
  await expect(named(page, 'Cell 14')).toBeVisible();
  // The page it is based on is taken away under it: its own cells stay, and all comes back.
  await page.getByRole('treeitem', { name: /^Stage/ }).click();
  await expect(named(page, 'Cell 13')).toBeVisible();
  await page.getByRole('button', { name: 'Change page Stage' }).click();
  await page.getByRole('menuitem', { name: /^Remove.* its cells on 1 page based on it/ }).click();
  await expect(page.getByRole('treeitem', { name: /^Stage/ })).toHaveCount(0);
  await page.getByRole('treeitem', { name: /^Late/ }).click();
  await expect(named(page, 'Cell 15')).toBeVisible();
  await expect(named(page, 'Cell 14')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(named(page, 'Cell 14')).toBeVisible();
  await expect(page.getByRole('treeitem', { name: /^Stage/ })).toBeVisible();
  const tablet = await ledTo(page, browser, app.address, 'Late');
  const key = (name: string) => tablet.page.getByRole('button', { name: new RegExp(`^${name}`) });
  await key('Cell 9').tap();
  await expect(key('Cell 15')).toBeVisible();
  await expect(key('Cell 13')).toHaveCount(0);
  // What comes from the other page works as it does there: it leads back.
  await key('Cell 14').tap();
  await expect(key('Cell 9')).toBeVisible();
  await tablet.context.close();
});

test('words straight on a picture are looked at in its pixels: what does not stand out is told, and mended', async ({
  app,
  quietPage: page,
  browser,
}) => {
  await open(page, app.address, 'panels?device=wall-panel&profile=larkframe');
  await newPageOf(page, 'Night');
  // Dark on its left half, light on its right one.
  const night =
    '<svg xmlns="http://www.w3.org/2000/svg" width="248" height="142"><rect width="124" height="142" fill="#20242c"/><rect x="124" width="124" height="142" fill="#f2efe6"/></svg>';
  await page.getByRole('button', { name: 'Picture…' }).first().click();
  await page
    .getByRole('dialog')
    .locator('input[type=file]')
    .setInputFiles({ name: 'night.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(night) });
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Take it off' })).toBeVisible();
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).click();
  await draws(page, 'Words');
  await drag(page, GRID, [0, 0], [1, 0]);
  const checks = side(page).getByRole('button', { name: /do not stand out from the picture/ });
  const letters = side(page).getByRole('group', { name: 'On a picture' });
  // On paper of their own they always do.
  await expect(letters.getByRole('button', { name: 'on paper' })).toHaveAttribute('aria-pressed', 'true');
  await expect(checks).toHaveCount(0);
  await letters.getByRole('button', { name: 'dark letters' }).click();
  await expect(checks).toContainText(/contrast 1\.\d : 1, needs (3|4\.5) : 1/);
  await expectAccessibleInBoth(page);
  await letters.getByRole('button', { name: 'light letters' }).click();
  await expect(checks).toHaveCount(0);
  // Moved onto the light half they are lost again.
  await drag(page, GRID, [0, 0], [2, 0]);
  await expect(checks).toBeVisible();
  await saved(page);
  // They are drawn so on the panel in use.
  const tablet = await ledTo(page, browser, app.address, 'Night');
  await tablet.page.getByRole('button', { name: /^Cell 9/ }).tap();
  await expect(tablet.page.locator('.text.light')).toHaveCSS('color', 'rgb(255, 255, 255)');
  await tablet.context.close();
});

test('two pages draw on the same place at once: the later one is told, and both show the same; elsewhere both stand', async ({
  app,
  page,
}) => {
  await open(page, app.address, 'panels?device=wall-panel&page=showing');
  const context = await page.context().browser()?.newContext();
  const other = await context?.newPage();
  if (!context || !other) throw new Error('no browser');
  await open(other, app.address, 'panels?device=wall-panel&page=showing');
  // Room for both: the jog strip goes.
  await cellOf(page, 'showing-frames').click();
  await page.keyboard.press('Delete');
  await saved(page);
  await expect(cellOf(other, 'showing-frames')).toHaveCount(0);
  const both = (shown: Page) => drawing(shown).getByRole('button', { name: /^Wall panel, Cell 13:/ });
  // All that the view is made of has come.
  await other.waitForLoadState('networkidle');
  await context.setOffline(true);
  await drag(page, [8, 5], [0, 4], [1, 4]);
  await saved(page);
  await drag(other, [8, 5], [1, 4], [2, 4]);
  await drag(other, [8, 5], [4, 4], [4.2, 4]);
  await expect(drawing(other).locator('[data-control^=cell-]')).toHaveCount(2);
  await context.setOffline(false);
  await expect(other.getByText(/would lie on “Cell 13”/).first()).toBeVisible({ timeout: 30_000 });
  // Its second cell stands, the one of the other page is there, the one that lay on it is gone.
  for (const shown of [page, other]) {
    await expect(drawing(shown).locator('[data-control^=cell-]')).toHaveCount(2);
    await expect(both(shown)).toHaveCount(1);
  }
  await context.close();
});
