import type { Page } from '@playwright/test';
import { show } from './support/board.ts';
import {
  cell,
  control,
  drawn,
  expect,
  expectAccessibleInBoth,
  open,
  rehearsing,
  saved,
  test,
} from './support/test.ts';

const score = (page: Page) => page.getByRole('listbox', { name: 'Steps' });
const steps = (page: Page) => score(page).getByRole('option');
const step = (page: Page, name: string | RegExp) => score(page).getByRole('option', { name }).first();
const status = (page: Page) => page.getByRole('status', { name: 'Trying' });
const findings = (page: Page) => page.getByRole('region', { name: 'Worth a look' });
const outputs = (page: Page, name: string) =>
  page.locator('[data-program=brindle]').getByText(name, { exact: true });

/** Opens Macros with a macro of the demo, or another. */
async function macros(page: Page, address: string, name?: string | RegExp): Promise<void> {
  await open(page, address, 'macros');
  if (name)
    await page.getByRole('navigation', { name: 'Macros' }).getByRole('button', { name }).first().click();
  await expect(score(page)).toBeVisible();
}

/** Chooses in one of the small fields. */
async function choose(page: Page, field: string, option: string): Promise<void> {
  await page.getByRole('combobox', { name: field, exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
  await expect(page.locator('.MuiMenu-root')).toHaveCount(0);
}

/** Tries the macro that is shown, and waits for what becomes of it. */
async function tried(page: Page, becomes: string | RegExp): Promise<void> {
  await page.getByRole('button', { name: 'Try it', exact: true }).click();
  await expect(status(page)).toContainText(becomes, { timeout: 20_000 });
}

test('steps are made by doing them, seen to fail on a slow day, mended, put on a key and rehearsed', async ({
  app,
  quietPage: page,
}) => {
  await macros(page, app.address);
  await choose(page, 'In front', 'Brindle');
  await page.getByRole('button', { name: 'Record by doing' }).click();
  const desk = page.getByRole('region', { name: 'Practice desk' });
  await desk.getByRole('button', { name: 'wing, right', exact: true }).click();
  await page.keyboard.press('Control+a');
  await desk.getByRole('button', { name: 'Output of neck' }).click({ modifiers: ['Alt'] });
  await expect(page.getByText('Output of 5 layers')).toBeVisible();
  await page.keyboard.type('wings');
  await page.keyboard.press('Enter');
  await expect(outputs(page, 'wings')).toHaveCount(5);
  await desk.getByRole('button', { name: 'Menu Window of Brindle' }).click();
  await page.getByRole('menuitem', { name: /^Colours/ }).click();
  await expect(page.getByRole('list', { name: 'Colours for layers' })).toBeVisible();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');

  // Escape twice ended it, and is no part of it.
  const recorded = page.getByRole('region', { name: 'Recorded' });
  await recorded.getByRole('combobox', { name: 'Pauses' }).click();
  await page.getByRole('option', { name: 'left out' }).click();
  await page.getByRole('button', { name: 'Make it a repeat' }).click();
  await recorded.getByRole('button', { name: /^Take the/ }).click();
  await expect(steps(page)).toHaveText([
    /click.*left, at/,
    /keys.*Ctrl\+A.*Select all layers/,
    /click.*Alt.*Output of neck/,
    /until the window “Output” is there/,
    /text.*“wings”/,
    /keys.*Enter/,
    /until the window “Brindle — heron_wing_left”/,
    /menu.*Window › Colours…/,
    /until the window “Colours”/,
    /repeat.*3 times/,
    /keys.*↓/,
    /keys.*Enter/,
    /until the window “Brindle — heron_wing_left”/,
  ]);
  await page.getByRole('textbox', { name: 'Name of the macro' }).fill('Wings');
  await page.keyboard.press('Enter');

  // Without the wait it types into a window that is still to open: on a slow day nothing is named.
  await step(page, /“Output”/).click();
  await page.keyboard.press('#');
  await step(page, /text: “wings”/).click();
  await page.getByRole('textbox', { name: 'Text', exact: true }).fill('feathers');
  await page.keyboard.press('Enter');
  await choose(page, 'Windows open', 'after 1 s');
  await page.getByRole('button', { name: 'Try it', exact: true }).click();
  await expect(status(page)).toContainText(/Stopped|Done/, { timeout: 20_000 });
  await expect(outputs(page, 'feathers')).toHaveCount(0);
  // It was seen which window came up after which step; one press mends that.
  await page.keyboard.press('Escape');
  await expect(findings(page)).toContainText('It brings up the window “Output”, and nothing waits for that');
  await findings(page).getByRole('button', { name: 'Mend' }).first().click();
  await expect(step(page, /^Step 4, until: the window “Output”/)).toBeVisible();
  await closeDialogs(page);
  await tried(page, 'Done');
  await expect(outputs(page, 'feathers')).toHaveCount(5);
  await expect(score(page)).toContainText(/took 1\d{3} ms/);
  await saved(page);

  // On a key with a face, in Rehearse, on a fast desk.
  await open(page, app.address, 'board');
  await cell(page, 'Key 1', 'Brindle').click();
  await page.getByRole('combobox', { name: 'Choose a command' }).fill('Wings');
  await page.getByRole('option', { name: /Wings/ }).first().click();
  await page.getByRole('textbox', { name: 'Label' }).fill('Wings');
  await page.keyboard.press('Enter');
  await saved(page);
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  await control(page, 'Twelve pad', 'Key 1,').click();
  await expect(outputs(page, 'feathers')).toHaveCount(5);
  await expect(page.getByText('Nothing — every key that went down has come up.')).toBeVisible();
});

/** A dialog that an earlier try left open would be in the way of the next. */
async function closeDialogs(page: Page): Promise<void> {
  for (const id of ['brindle-output', 'brindle-colours']) {
    const leave = page.locator(`[data-program=${id}]`).getByRole('button', { name: 'Leave' });
    if (await leave.isVisible()) await leave.click();
  }
}

test('stopped in the middle nothing is held; step by step, and from a step on', async ({
  app,
  quietPage: page,
}) => {
  await macros(page, app.address);
  await page.getByRole('button', { name: 'New macro' }).click();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Hold keys' }).click();
  await expect(step(page, /^Step 1, hold: Alt/)).toBeVisible();
  await page.getByRole('button', { name: 'Wait', exact: true }).click();
  // Into the hold, as that was still empty.
  await expect(step(page, /^Step 1\.1, wait/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Milliseconds, ms' }).fill('5000');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Try it', exact: true }).click();
  await expect(status(page)).toContainText('Keys held: Alt');
  await page.keyboard.press('Escape');
  await expect(status(page)).toContainText('Stopped');
  await expect(status(page)).toContainText('Nothing is held.');

  await macros(page, app.address, /^Hold a frame/);
  await page.getByRole('button', { name: 'Step', exact: true }).click();
  await expect(step(page, /^Step 3/)).toHaveAttribute('data-now', 'true');
  await expect(page.getByText('Frame 5 of 8')).toBeVisible();
  await page.getByRole('button', { name: 'Step', exact: true }).click();
  await expect(page.getByText('Frame 6 of 9')).toBeVisible();
  await page.getByRole('button', { name: 'Step', exact: true }).click();
  await expect(status(page)).toContainText('Done');
  await step(page, /^Step 4/).click();
  await page.getByRole('button', { name: 'Other ways to try it' }).click();
  await page.getByRole('menuitem', { name: 'From the selected step on' }).click();
  await expect(status(page)).toContainText('Done');
  await expect(page.getByText('Frame 8 of 9')).toBeVisible();
});

test('the score works by keys alone: chosen, moved, left out, copied to another macro, undone', async ({
  app,
  quietPage: page,
}) => {
  await macros(page, app.address, /^Hold a frame/);
  await score(page).focus();
  await page.keyboard.press('End');
  await expect(step(page, /^Step 4, keys: ArrowRight/)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Alt+ArrowUp');
  await page.keyboard.press('Alt+ArrowUp');
  await expect(step(page, /^Step 2, keys: ArrowRight/)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Alt+ArrowDown');
  await expect(step(page, /^Step 3, keys: ArrowRight/)).toBeVisible();
  await page.keyboard.press('#');
  await expect(page.getByRole('button', { name: 'Take in again' })).toBeVisible();
  await page.keyboard.press('#');
  await page.keyboard.press('Home');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByText('2 steps selected')).toBeVisible();
  await page.keyboard.press('Control+c');
  await page.getByRole('button', { name: /^New card with the date/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name of the macro' })).toHaveValue(
    'New card with the date',
  );
  await score(page).focus();
  await page.keyboard.press('End');
  await page.keyboard.press('Control+v');
  await expect(steps(page)).toHaveCount(6);
  await expect(step(page, /^Step 5, keys: D/)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Delete');
  await expect(steps(page)).toHaveCount(4);
  await page.keyboard.press('Control+z');
  await expect(steps(page)).toHaveCount(6);
  // Enter leads to what can be changed, and what is changed there is in the score.
  await page.keyboard.press('Home');
  await page.keyboard.press('End');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('250');
  await page.keyboard.press('Enter');
  await expect(step(page, /^Step 6, wait: 250 ms/)).toBeVisible();
});

test('a macro runs while it is held, until it is pressed again, and once for each press that waits', async ({
  app,
  quietPage: page,
}) => {
  await macros(page, app.address);
  await choose(page, 'In front', 'Larkframe');
  await page.getByRole('button', { name: 'New macro' }).click();
  await page.getByRole('button', { name: 'Keys', exact: true }).click();
  // It listens at once.
  await page.keyboard.press('ArrowRight');
  await expect(step(page, /^Step 1, keys: ArrowRight/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await page.getByRole('button', { name: 'Wait', exact: true }).click();
  await page.getByRole('textbox', { name: 'Milliseconds, ms' }).fill('250');
  await page.keyboard.press('Enter');
  const runs = async (how: string) => {
    await page.getByRole('button', { name: /^Runs/ }).click();
    await choose(page, 'How it runs', how);
    await page.keyboard.press('Escape');
    await saved(page);
  };
  await runs('Runs while held');
  await open(page, app.address, 'board');
  await cell(page, 'Key 6', 'Larkframe').click();
  await page.getByRole('combobox', { name: 'Choose a command' }).fill('New macro');
  await page
    .getByRole('option', { name: /New macro/ })
    .first()
    .click();
  await saved(page);

  const key = control(page, 'Twelve pad', 'Key 6,');
  const frame = (number: number) => page.getByText(`Frame ${number} of 7`, { exact: true });
  const rehearse = async () => {
    await open(page, app.address, 'rehearse');
    await rehearsing(page);
    await expect(frame(4)).toBeVisible();
  };
  const ended = page.getByText('New macro has ended.');
  await rehearse();
  const shown = async () =>
    Number(/Frame (\d) of 7/.exec((await page.getByText(/^Frame \d of 7/).textContent()) ?? '')?.[1]);
  await key.hover();
  await page.mouse.down();
  await expect.poll(shown).toBeGreaterThanOrEqual(6);
  await page.mouse.up();
  await expect(ended.first()).toBeVisible();
  const rests = await shown();
  await drawn(page);
  expect(await shown()).toBe(rests);

  await macros(page, app.address, /^New macro/);
  await runs('Runs until pressed again');
  await rehearse();
  await key.click();
  await expect.poll(shown).toBeGreaterThanOrEqual(6);
  await key.click();
  await expect(ended.first()).toBeVisible();

  await macros(page, app.address, /^New macro/);
  await page.getByRole('button', { name: /^Runs/ }).click();
  await choose(page, 'How it runs', 'Runs once');
  await choose(page, 'Pressed again while it runs', 'Pressed again: comes after');
  await page.keyboard.press('Escape');
  await saved(page);
  await rehearse();
  await key.click();
  await key.click();
  await key.click();
  await expect(frame(7)).toBeVisible();
});

test('a modifier that another device holds is lifted round the steps, and put back', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  await show(page, 'Three pedals');
  await show(page, 'Shuttle');
  await control(page, 'Three pedals', 'Left').hover();
  await page.mouse.down();
  const held = page.getByRole('region', { name: 'Held now' });
  await expect(held).toContainText('Shift');
  // Hold a frame: D twice, and one frame on. With Shift they would be nothing.
  await control(page, 'Shuttle', 'Key 9').focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Frame 7 of 9', { exact: true })).toBeVisible();
  await expect(held).toContainText('Shift');
  await page.mouse.up();
  await expect(held).toContainText('Nothing');
});

test('two pages change the same macro at once, and both changes are kept', async ({
  app,
  quietPage: page,
}) => {
  await macros(page, app.address, /^Hold a frame/);
  const other = await page.context().newPage();
  await macros(other, app.address, /^Hold a frame/);
  await step(page, /^Step 2/).click();
  await step(other, /^Step 2/).click();
  await page.getByRole('textbox', { name: 'Milliseconds, ms' }).fill('750');
  await page.keyboard.press('Enter');
  await other.getByRole('textbox', { name: 'Note' }).fill('for the camera');
  await other.keyboard.press('Enter');
  for (const each of [page, other]) {
    await expect(step(each, /^Step 2, wait: 750 ms/)).toContainText('for the camera');
  }
  // One moves a step while the other takes another away.
  await step(page, /^Step 4/).click();
  await page.keyboard.press('Alt+ArrowUp');
  await step(other, /^Step 1,/).click();
  await other.keyboard.press('Delete');
  for (const each of [page, other]) await expect(steps(each)).toHaveText([/wait 750 ms/, /→/, /D/]);
});

test('a place and an item of a menu are taken by pointing at them; what cannot be is refused in words', async ({
  app,
  quietPage: page,
}) => {
  await macros(page, app.address, /^Send wings to grading/);
  await choose(page, 'In front', 'Brindle');
  await step(page, /^Step 3\.1, click/).click();
  // Where it is now is marked in the window.
  await expect(page.locator('[data-place-mark]')).toBeVisible();
  await page.getByRole('button', { name: 'Point at it…' }).click();
  await page.getByRole('button', { name: 'wing, right', exact: true }).click();
  await expect(
    step(page, /^Step 3\.1, click: left, at -?\d+, \d+ from the window’s top right/),
  ).toContainText('wing, right');
  // What lies outside it is told once it was tried there.
  const down = page.getByRole('textbox', { name: /^Down, in pixels/ });
  await down.fill('1999');
  await page.keyboard.press('Enter');
  await expect(findings(page)).not.toContainText('lies outside its window');
  await page.getByRole('button', { name: 'Try it', exact: true }).click();
  await expect(findings(page)).toContainText('lies outside its window');
  await page.keyboard.press('Escape');
  await step(page, /menu: Window › Colours/).click();
  await page.getByRole('button', { name: 'Pick it in the program…' }).click();
  await page.getByRole('button', { name: 'Menu Layer of Brindle' }).click();
  await page.getByRole('menuitem', { name: /^Selected layers/ }).click();
  await expect(step(page, /menu: Layer › Output › Selected layers…/)).toBeVisible();

  await step(page, /^Step 2, keys: Ctrl\+A/).click();
  await page.getByRole('textbox', { name: 'Keys', exact: true }).fill('Ctrl+Wobble');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Wobble');
  await expect(step(page, /^Step 2, keys: Ctrl\+A/)).toBeVisible();
  await step(page, /^Step 4, until/).click();
  await page.getByRole('combobox', { name: 'How Title is compared' }).click();
  await page.getByRole('option', { name: 'fits the expression' }).click();
  await page.getByRole('textbox', { name: 'What Title is compared with' }).fill('Output(');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toBeVisible();
  await expect(step(page, /^Step 4, until: the window “Output”/)).toBeVisible();
  const why = page.getByRole('alert');
  await step(page, /menu: Layer › Output/).click();
  const path = page.getByRole('textbox', { name: 'Menu and item, parted by ›' });
  await path.fill('Layer › › Selected layers…');
  await expect(why).toContainText('A word is missing');
  await page.keyboard.press('Escape');
  await step(page, /^Step 5, text/).click();
  const text = page.getByRole('textbox', { name: 'Text' });
  await text.fill('');
  await expect(why).toContainText('nothing to type');
  await page.keyboard.press('Escape');
  await step(page, /wait/).click();
  await page.getByRole('textbox', { name: 'Milliseconds, ms' }).fill('many');
  await expect(why).toContainText('A whole number from 1 to 600,000 ms');
  await page.keyboard.press('Escape');
  await expect(why).toHaveCount(0);
  // What something still runs is not removed.
  await page.getByRole('button', { name: 'More for Hold a frame' }).click();
  await page.getByRole('menuitem', { name: 'Remove' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'Hold a frame is still run by 1 thing' }),
  ).toBeVisible();
});

test('axe finds nothing serious in Macros: steps, recording, trying, an empty one', async ({
  app,
  quietPage: page,
}) => {
  await macros(page, app.address, /^Send wings to grading/);
  await step(page, /^Step 4, until/).click();
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: 'Step', exact: true }).click();
  await expect(status(page)).toBeVisible();
  await expectAccessibleInBoth(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Record by doing' }).click();
  await expect(page.getByRole('button', { name: 'Stop recording' })).toBeVisible();
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: 'Stop recording' }).click();
  await page.getByRole('button', { name: 'Put them aside' }).click();
  await page.getByRole('button', { name: 'Smaller desk' }).click();
  await page.getByRole('button', { name: 'New macro' }).click();
  await expect(page.getByText('No steps yet.')).toBeVisible();
  await expectAccessibleInBoth(page);
});

test('text that asks waits for the answer: tried, run from a key, and stopped instead', async ({
  app,
  quietPage: page,
}) => {
  await macros(page, app.address);
  await choose(page, 'In front', 'Quillboard');
  await page.getByRole('button', { name: 'New macro' }).click();
  await page.getByRole('button', { name: 'Text', exact: true }).click();
  const field = page.getByRole('textbox', { name: 'Text' });
  await field.fill('Wing ');
  await field.press('End');
  await page.getByRole('button', { name: 'Ask me' }).click();
  await expect(field).toHaveValue('Wing ‹ask Which one?›');
  await saved(page);
  // Tried: its field is at the desk, has the keys, and what it was answered is sent.
  await page.getByRole('button', { name: 'Try it', exact: true }).click();
  const asks = page.getByRole('dialog', { name: 'New macro asks' });
  const answer = asks.getByRole('textbox', { name: 'Which one?' });
  await expect(answer).toBeFocused();
  await expect(status(page)).toContainText('Asks at the desk');
  await expectAccessibleInBoth(page);
  await page.keyboard.type('left');
  await page.keyboard.press('Enter');
  await expect(status(page)).toContainText('“Wing left”');
  await expect(asks).toHaveCount(0);

  await open(page, app.address, 'board');
  await cell(page, 'Key 6', 'Quillboard').click();
  await page.getByRole('combobox', { name: 'Choose a command' }).fill('New macro');
  await page
    .getByRole('option', { name: /New macro/ })
    .first()
    .click();
  await saved(page);
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  await page.getByRole('button', { name: 'Quillboard', exact: true }).click();
  const key = control(page, 'Twelve pad', 'Key 6,');
  const told = page.getByRole('complementary', { name: 'What happened' });
  await key.click();
  await expect(answer).toBeFocused();
  await expectAccessibleInBoth(page);
  await expect(told).toContainText('New macro asks.');
  await page.keyboard.type('right');
  await asks.getByRole('button', { name: 'Type it' }).click();
  await expect(told).toContainText('“Wing right”');
  await expect(asks).toHaveCount(0);
  // Stopped, nothing more comes, and it can be asked again.
  await key.click();
  await expect(answer).toBeFocused();
  await page.keyboard.type('wrong');
  await page.keyboard.press('Escape');
  await expect(asks).toHaveCount(0);
  await expect(told).toContainText('Nothing was answered. New macro has ended.');
  await expect(told).not.toContainText('wrong');
});
