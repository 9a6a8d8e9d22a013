import { show } from './support/board.ts';
import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

test('the rig: copied, renamed, reordered, put back, removed with its bindings; each undone', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rig');
  const list = page.getByRole('navigation', { name: 'Devices of the rig' });
  await expect(list.getByRole('button', { name: /^Bench dial/ })).toHaveAttribute('aria-current', 'true');
  await page.getByRole('button', { name: 'Add a device' }).click();
  await page.getByRole('menuitem', { name: 'A copy of Bench dial' }).click();
  const name = page.getByRole('textbox', { name: 'Name of the device' });
  await expect(name).toHaveValue('Bench dial 2');
  await name.fill('Brass dial');
  await name.press('Enter');
  await expect(list.getByRole('button', { name: /^Brass dial/ })).toBeVisible();
  await page.getByRole('button', { name: 'Move Brass dial up' }).click();
  await expect(list.getByRole('listitem').first()).toContainText('Brass dial');

  await page.getByRole('tab', { name: 'Tuning' }).click();
  const step = page.getByRole('textbox', { name: /^A step every/ });
  await step.fill('9');
  await step.press('Enter');
  await page.getByRole('button', { name: 'As it came' }).click();
  await expect(step).toHaveValue('18');
  await page.getByRole('checkbox', { name: /sends more steps/ }).check();
  await page.getByRole('button', { name: 'Put back', exact: true }).click();
  await expect(page.getByRole('checkbox', { name: /sends more steps/ })).not.toBeChecked();

  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(list.getByRole('button', { name: /^Brass dial/ })).toBeHidden();
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(list.getByRole('button', { name: /^Brass dial/ })).toBeVisible();
  await page.getByRole('link', { name: 'Board' }).click();
  await expect(cell(page, 'Press', 'Larkframe')).toContainText('Take the frame');
  await saved(page);
});

test('tuning is felt: a step every 9°, lines a notch, rates of the shuttle, a low battery, a device that is gone', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rig');
  const list = page.getByRole('navigation', { name: 'Devices of the rig' });
  await page.getByRole('tab', { name: 'Tuning' }).click();
  const step = page.getByRole('textbox', { name: /^A step every/ });
  await step.fill('9');
  await step.press('Enter');
  await list.getByRole('button', { name: /^Pocket mouse/ }).click();
  const tuning = page.getByRole('tab', { name: 'Tuning' });
  await expect(tuning).toHaveAttribute('aria-selected', 'true');
  await page.getByRole('checkbox', { name: /A faster hand/ }).check();
  const most = page.getByRole('textbox', { name: 'At most, ×' });
  await most.fill('20');
  await expect(most).toHaveAttribute('aria-invalid', 'true');
  await most.fill('3');
  await most.press('Enter');
  await expect(most).toHaveAttribute('aria-invalid', 'false');
  const lines = page.getByRole('textbox', { name: 'Lines a notch' });
  await lines.fill('3');
  await lines.press('Enter');
  await page.getByRole('checkbox', { name: 'Left and right swapped' }).check();
  const speed = page.getByRole('slider', { name: 'Speed 2' });
  await speed.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('textbox', { name: 'Speed 2' })).not.toHaveValue('0.5');
  await page.getByRole('button', { name: 'Add a speed' }).click();
  await expect(page.getByRole('slider', { name: 'Speed 4' })).toBeVisible();
  // Presses are felt, drawn against the threshold, and give a suggestion.
  const pad = page.getByRole('button', { name: 'Pad to try presses on' });
  for (let i = 0; i < 4; i++) await pad.click({ delay: 60 });
  await expect(page.getByRole('img', { name: /^Your presses against the thresholds/ })).toBeVisible();
  const suggestion = page.getByRole('button', { name: /^Use \d+ ms for hold/ });
  const [, ms] = /Use (\d+) ms/.exec((await suggestion.textContent()) ?? '') ?? [];
  await suggestion.click();
  await expect(page.getByRole('textbox', { name: /^A hold begins after/ })).toHaveValue(ms ?? '');

  const battery = page.getByRole('slider', { name: 'Battery of the simulated device' });
  await battery.focus();
  await page.keyboard.press('Home');
  await expect(list.getByRole('button', { name: /^Pocket mouse/ })).toContainText('Battery low: 0 %');
  // A control that is used shows its row.
  await control(page, 'Pocket mouse', 'Wheel').focus();
  await page.keyboard.press('Space');
  await expect(tuning).toHaveAttribute('aria-selected', 'false');
  await expect(page.getByRole('textbox', { name: 'Name of Wheel' })).toBeVisible();
  await list.getByRole('button', { name: /^Three pedals/ }).click();
  await page.getByRole('button', { name: 'Unplug' }).click();
  await expect(list.getByRole('button', { name: /^Three pedals/ })).toContainText('not connected');
  await saved(page);

  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  const account = page.getByRole('complementary', { name: 'What happened' });
  await control(page, 'Bench dial', 'Dial').focus();
  await page.keyboard.press('ArrowUp');
  await expect(account).toContainText('9° ÷ 9° = 1 step');
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  await control(page, 'Pocket mouse', 'Wheel').focus();
  await page.keyboard.press('ArrowUp');
  await expect(account).toContainText('Wheel ↑');
  await show(page, 'Three pedals');
  await expect(page.getByText('not connected')).toBeVisible();
});

test('a device talks to another computer, switched by a binding; its memory keeps what fits', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rig');
  await page.getByRole('button', { name: /^Twelve pad/ }).click();
  await page.getByRole('tab', { name: 'Computers' }).click();
  await page.getByRole('button', { name: 'Add a computer' }).click();
  const second = page.getByRole('textbox', { name: 'Computer 2' });
  await second.fill('Loft laptop');
  await second.press('Enter');
  await page.getByRole('combobox', { name: 'Control' }).click();
  await page.getByRole('option', { name: 'Key 11' }).click();
  await page.getByRole('button', { name: 'Give a control the switch' }).click();
  await expect(page.getByText('Twelve pad, Key 11, in Everywhere')).toBeVisible();

  await page.getByRole('tab', { name: 'Memory' }).click();
  await expect(page.getByText('Nothing is stored in this slot.')).toBeVisible();
  await page.getByRole('button', { name: 'Store in the slot' }).click();
  const key5 = page.getByRole('row', { name: /^Key 5/ });
  await expect(key5).toContainText('the same');
  await expect(page.getByRole('row', { name: /^Key 11/ })).toContainText('needs Nimble Lever');
  await page.getByRole('combobox', { name: 'Program' }).click();
  await page.getByRole('option', { name: 'Brindle' }).click();
  await expect(key5).toContainText('differs');
  await saved(page);
  await page.reload();

  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  const now = page.getByRole('group', { name: 'What lasts now' });
  await control(page, 'Twelve pad', 'Key 11').click();
  await expect(now).toContainText('Twelve pad talks to Loft laptop');
  await control(page, 'Twelve pad', 'Key 5').click();
  await page.getByRole('button', { name: 'Hushbox', exact: true }).click();
  await now.getByRole('button', { name: 'Loft laptop' }).click();
  const loft = page.getByRole('region', { name: 'Loft laptop' });
  // Nothing is in front there: Everywhere decides, whatever is in front here.
  await expect(loft).toContainText('Nothing is in front there.');
  await page
    .getByRole('toolbar', { name: 'Windows' })
    .getByRole('button', { name: 'Larkframe', exact: true })
    .click();
  await expect(loft).toContainText('In front there: Larkframe.');
  await control(page, 'Twelve pad', 'Key 5').click();
  await expect(page.getByRole('list', { name: 'What it heard' })).toContainText('Space');
  // A device that talks to this computer still points into its windows: the middle of 48 seconds.
  await control(page, 'Pocket mouse', 'Left').click();
  await now.getByRole('button', { name: /^This computer|Studio desk/ }).click();
  await expect(page.getByRole('region', { name: /^Hushbox/ })).toContainText('At 24.0 s');
  await control(page, 'Twelve pad', 'Key 11').click();
  await expect(now).not.toContainText('talks to');
});
