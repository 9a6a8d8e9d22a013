import { createHash } from 'node:crypto';
import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

test('from a recorded shortcut to a program that obeys it, and nothing is forgotten', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');

  // The dial takes frames back and forth in Larkframe; the person wants it to jump to the last frame.
  await cell(page, 'Turn clockwise', 'Larkframe').click();
  await page.keyboard.press('r');
  await expect(page.getByText('Press keys… they are taken as they come up.')).toBeVisible();
  await page.keyboard.press('End');
  await expect(cell(page, 'Turn clockwise', 'Larkframe')).toContainText('Last frame');
  await saved(page);

  // Rehearse: Larkframe is in front, the dial is turned, the program does it.
  await page.getByRole('button', { name: 'Rehearse it' }).click();
  await rehearsing(page);
  const larkframe = page.getByRole('region', { name: /^Larkframe/ });
  const brindle = page.getByRole('region', { name: /^Brindle/ });
  await expect(larkframe).toContainText('Frame 4 of 7');
  await control(page, 'Bench dial', 'Dial').focus();
  await page.keyboard.press('ArrowUp');
  await expect(larkframe).toContainText('Frame 7 of 7');
  await expect(larkframe).toContainText('Last frame');
  await expect(page.getByRole('complementary', { name: 'What happened' })).toContainText(
    'Larkframe runs “Last frame”. Frame 7 of 7.',
  );

  // Another program comes to the front, and the same turn does something else, by itself.
  await expect(brindle).toContainText('Brush 16');
  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  await expect(page.getByRole('button', { name: /^In front: Brindle/ })).toBeVisible();
  await control(page, 'Bench dial', 'Dial').focus();
  await page.keyboard.press('ArrowUp');
  await expect(brindle).toContainText('Brush 20');
  await expect(larkframe).toContainText('Frame 7 of 7');

  // Close it, start it again: nothing is forgotten.
  await page.goto('about:blank');
  await app.kill();
  await app.restart();
  await open(page, app.address, 'board');
  await expect(cell(page, 'Turn clockwise', 'Larkframe')).toContainText('Last frame');
});

test('devices are pressed and turned with the pointer; what is held goes up when the front changes', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rehearse');
  const account = page.getByRole('complementary', { name: 'What happened' });
  const held = page.getByRole('region', { name: 'Held now' });

  // A quarter turn round the dial by its rim: 90° are five steps of 18°.
  const box = await control(page, 'Bench dial', 'Dial').boundingBox();
  if (!box) throw new Error('no dial');
  const at = (degrees: number) => {
    const radius = box.width * 0.42;
    const angle = (degrees * Math.PI) / 180;
    return [
      box.x + box.width / 2 + radius * Math.sin(angle),
      box.y + box.height / 2 - radius * Math.cos(angle),
    ] as const;
  };
  await page.mouse.move(...at(0));
  await page.mouse.down();
  for (let degrees = 5; degrees <= 92; degrees += 3) await page.mouse.move(...at(degrees));
  await page.mouse.up();
  const stepsTold = async () => {
    const told = (await account.textContent()) ?? '';
    return [...told.matchAll(/runs “Step one frame on”(?: ×(\d+))?/g)].reduce(
      (sum, [, n]) => sum + Number(n ?? 1),
      0,
    );
  };
  await expect.poll(stepsTold).toBe(5);

  // A key of the pad goes down and stays: its shortcut is held, and named.
  await control(page, 'Twelve pad', 'Key 1,').hover();
  await page.mouse.down();
  await expect(held).toContainText('Ctrl+Z');
  await page.keyboard.press('F6');
  await expect(page.getByRole('button', { name: /^In front: Brindle/ })).toBeVisible();
  await expect(held).toContainText('Ctrl+Z');
  await page.mouse.up();
  await expect(held).toContainText('Nothing');

  // What only Brindle sets does not outlive Brindle being in front.
  await control(page, 'Twelve pad', 'Key 5').hover();
  await page.mouse.down();
  await expect(held).toContainText('B');
  await page.keyboard.press('F6');
  await expect(account).toContainText('B was still held by Twelve pad, key 5, and was let go first.');
  await expect(held).toContainText('Nothing');
  await page.mouse.up();
  await expect(account).toContainText('so it comes up in silence');
});

test('the practice programs work: paint, undo, onion skin, scroll, mute', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rehearse');
  const larkframe = page.getByRole('region', { name: /^Larkframe/ });
  await control(page, 'Twelve pad', 'Key 9').click();
  await expect(larkframe).toContainText('Onion skin on');
  await expect(larkframe.locator('[data-onion]')).toBeVisible();
  await control(page, 'Twelve pad', 'Key 5').click();
  await expect(larkframe).toContainText('Last command Play or stop');
  const before = await larkframe.textContent();
  await expect.poll(() => larkframe.textContent()).not.toBe(before);
  await control(page, 'Twelve pad', 'Key 5').click();

  await page.getByRole('button', { name: 'Brindle', exact: true }).click();
  const canvas = page.getByRole('img', { name: /^Canvas/ });
  const pixels = async () =>
    createHash('sha256')
      .update(await canvas.evaluate((element: HTMLCanvasElement) => element.toDataURL()))
      .digest('hex');
  const empty = await pixels();
  await canvas.hover({ position: { x: 300, y: 200 } });
  await page.mouse.down();
  await page.mouse.move(700, 420, { steps: 6 });
  await page.mouse.up();
  const painted = await pixels();
  expect(painted).not.toBe(empty);
  await control(page, 'Twelve pad', 'Key 1,').click();
  await expect.poll(pixels).toBe(empty);
  await control(page, 'Twelve pad', 'Key 2').click();
  await expect.poll(pixels).toBe(painted);
  // A native press of the drawn mouse paints where the pointer is; the native wheel scrolls.
  await control(page, 'Pocket mouse', 'Left').click();
  await expect.poll(pixels).not.toBe(painted);
  const dabbed = await pixels();
  await control(page, 'Pocket mouse', 'Wheel').focus();
  await page.keyboard.press('ArrowUp');
  await expect.poll(pixels).not.toBe(dabbed);
  await control(page, 'Bench dial', 'Dial').focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('toolbar', { name: 'Windows' })).toContainText('Muted');
});

test('a profile can be pinned and let follow again', async ({ app, quietPage: page }) => {
  await open(page, app.address, 'rehearse');
  await page.getByRole('button', { name: /^In front: Larkframe/ }).click();
  await page.getByRole('menuitemradio', { name: 'Stay with Brindle' }).click();
  await control(page, 'Bench dial', 'Dial').focus();
  await page.keyboard.press('ArrowUp');
  const account = page.getByRole('complementary', { name: 'What happened' });
  await expect(account).toContainText('Brindle, base layer: Brush larger.');
  await page.getByRole('button', { name: /^Pinned: Brindle/ }).click();
  await page.getByRole('menuitemradio', { name: /^Automatic/ }).click();
  await expect(page.getByRole('button', { name: /^In front: Larkframe/ })).toBeVisible();
});

test('every program of the desk has its profile, obeys the dial, and lists its commands', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  for (const [name, command] of [
    ['Hushbox', 'Scrub on'],
    ['Tallow', 'Turn the hue on'],
    ['Quillboard', 'Next word'],
    ['Fernway', 'Next tab'],
    ['Tin Can', 'Louder'],
  ] as const) {
    await page.getByRole('button', { name, exact: true }).click();
    await expect(page.getByRole('button', { name: new RegExp(`^In front: ${name}`) })).toBeVisible();
    await control(page, 'Bench dial', 'Dial').focus();
    await page.keyboard.press('ArrowUp');
    const program = page.getByRole('region', { name: new RegExp(`^${name} —`) });
    await expect(program).toContainText(`Last command ${command}`);
  }
  const quillboard = page.getByRole('region', { name: /^Quillboard —/ });
  await page.getByRole('button', { name: 'Quillboard', exact: true }).click();
  await quillboard.getByRole('button', { name: 'Commands of Quillboard' }).click();
  await expect(page.getByRole('menuitem')).toHaveCount(18);
  await expect(page.getByRole('menuitem', { name: /^New card/ })).toContainText('Ctrl+Enter');
  await page.getByRole('menuitem', { name: /^New card/ }).click();
  await expect(quillboard).toContainText('Card 2 of 4');
});

test('a computer that slept while a key was held lets go of it and says so; it goes on by itself', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rehearse');
  const account = page.getByRole('complementary', { name: 'What happened' });
  const held = page.getByRole('region', { name: 'Held now' });
  const key = control(page, 'Twelve pad', 'Key 1,');
  await key.hover();
  await page.mouse.down();
  await expect(held).toContainText('Ctrl');
  // What a browser shows of sleep: its wall clock has gone on, its own time has not.
  await page.evaluate(() => {
    const now = Date.now.bind(Date);
    Date.now = () => now() + 42_000;
  });
  await expect(account).toContainText('The computer slept for 4');
  await expect(held).toContainText('Nothing');
  await page.mouse.up();
  await control(page, 'Bench dial', 'Dial').focus();
  await page.keyboard.press('ArrowUp');
  await expect(account).toContainText('Step one frame on');
});
