import type { Page } from '@playwright/test';
import { assign } from './support/board.ts';
import { cell, control, expect, open, rehearsing, saved, test } from './support/test.ts';

/** Moves or presses a pen over a place, as a real one would (Chrome DevTools Protocol, Input.dispatchMouseEvent). */
async function pen(
  page: Page,
  x: number,
  y: number,
  type: string,
  button = 'none',
  buttons = 0,
): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send('Input.dispatchMouseEvent', {
    type: type as 'mouseMoved',
    x,
    y,
    button: button as 'none',
    buttons,
    pointerType: 'pen',
    clickCount: type === 'mouseMoved' ? 0 : 1,
    force: buttons > 0 ? 0.5 : 0,
  });
}

test('“press a control”: real mouse buttons, wheel and pen are named and found, whichever device is shown', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rig');
  await page.getByRole('button', { name: 'Find a control' }).click();
  const found = page.getByRole('region', { name: 'Find a control' });
  const said = found.getByRole('status');
  const pad = found.locator('[data-find-pad]');
  const box = await pad.boundingBox();
  if (!box) throw new Error('no pad');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  for (const [button, name] of [
    ['left', 'Left'],
    ['middle', 'Wheel'],
    ['right', 'Right'],
  ] as const) {
    await page.mouse.down({ button });
    await expect(said).toContainText(`${name}on Pocket mouse`);
    await page.mouse.up({ button });
  }
  // Thumb buttons are buttons 4 and 5 of the mouse (W3C: back 3, forward 4).
  const session = await page.context().newCDPSession(page);
  for (const [button, buttons, name] of [
    ['back', 8, 'Thumb, rear'],
    ['forward', 16, 'Thumb, front'],
  ] as const) {
    await session.send('Input.dispatchMouseEvent', {
      type: 'mousePressed',
      x,
      y,
      button,
      buttons,
      clickCount: 1,
    });
    await expect(said).toContainText(`${name}on Pocket mouse`);
    await session.send('Input.dispatchMouseEvent', {
      type: 'mouseReleased',
      x,
      y,
      button,
      buttons: 0,
      clickCount: 1,
    });
  }
  await page.mouse.wheel(0, -100);
  await expect(said).toContainText('Wheelon Pocket mouse');
  // Found, it is the one that is shown, and its row is selected.
  await expect(page.getByRole('textbox', { name: 'Name of the device' })).toHaveValue('Pocket mouse');
  await expect(page.getByRole('textbox', { name: 'Name of Wheel' })).toBeVisible();

  await pen(page, x, y, 'mouseMoved');
  await expect(pad).toContainText('Pen hovers');
  await pen(page, x, y, 'mousePressed', 'left', 1);
  await expect(said).toContainText('Pen tipon Pen tablet');
  await expect(pad).toContainText('Pen pressure 50 %');
  await expect(page.getByRole('textbox', { name: 'Name of the device' })).toHaveValue('Pen tablet');
  await expect(page.getByRole('textbox', { name: 'Name of Pen tip' })).toBeVisible();
  await pen(page, x, y, 'mouseReleased', 'left', 0);
  await pen(page, x, y, 'mousePressed', 'right', 2);
  await expect(page.getByRole('textbox', { name: 'Name of Lower switch' })).toBeVisible();
  await pen(page, x, y, 'mouseReleased', 'right', 0);
});

test('a real pad is mapped by pressing its keys one after another, bound, and used by its own keys', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rig');
  await page.getByRole('button', { name: 'Find a control' }).click();
  const found = page.getByRole('region', { name: 'Find a control' });
  await page.keyboard.press('F9');
  await expect(found).toContainText('Key F9 belongs to no control of the rig.');
  await found.getByRole('button', { name: 'Add it to a new pad' }).click();
  const name = page.getByRole('textbox', { name: 'Name of the device' });
  await expect(name).toHaveValue('My pad');
  await found.getByRole('checkbox', { name: 'Add each one that is pressed' }).check();
  for (const key of ['F10', 'F11', 'F12']) {
    await page.keyboard.press(key);
    await expect(found.getByRole('status')).toContainText(`Key ${key}on My pad`);
  }
  await expect(control(page, 'My pad', 'Key F12')).toBeVisible();
  await page.getByRole('link', { name: 'Board' }).click();
  await assign(page, 'my pad f10', 'Key F10', 'Larkframe', 'End', 'Last frame');
  await saved(page);

  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await page.getByRole('button', { name: 'Use my own devices' }).click();
  const own = page.getByRole('complementary', { name: 'My own devices' });
  await page.keyboard.press('F10');
  await expect(page.getByRole('region', { name: /^Larkframe/ })).toContainText('Last command Last frame');
  await expect(own.getByRole('list', { name: 'Heard' })).toContainText('My pad, Key F10');
  // The real mouse is led by way of the engine too: its wheel press is what the Board says.
  const surface = await page.getByRole('region', { name: /^Larkframe/ }).boundingBox();
  if (!surface) throw new Error('no window');
  await page.mouse.move(surface.x + 150, surface.y + 120);
  await page.mouse.down({ button: 'middle' });
  await page.mouse.up({ button: 'middle' });
  await expect(page.getByRole('region', { name: /^Larkframe/ })).toContainText('Last command Onion skin');
});

test('gamepads, MIDI and HID are heard through the browser’s interfaces; what is missing is said', async ({
  app,
  quietPage: page,
}) => {
  // Fakes of the W3C Gamepad, Web MIDI and WebHID interfaces, as far as they are used.
  await page.addInitScript(() => {
    const pad = { index: 0, buttons: [{ pressed: false }, { pressed: false }], axes: [0] };
    const input = { onmidimessage: null as ((event: { data: Uint8Array }) => void) | null };
    const access = Object.assign(new EventTarget(), { inputs: new Map([['one', input]]) });
    const item = (usage: number) => ({
      isAbsolute: true,
      usages: [0x90000 + usage],
      reportSize: 1,
      reportCount: 1,
      logicalMinimum: 0,
      logicalMaximum: 1,
    });
    const ids = { vendorId: 7, productId: 9, opened: false, productName: 'Marsh pad' };
    const hid = Object.assign(new EventTarget(), {
      ...ids,
      collections: [
        {
          usagePage: 1,
          usage: 5,
          type: 1,
          children: [],
          inputReports: [{ reportId: 0, items: [item(1), item(2)] }],
        },
      ],
      open: async () => undefined,
    });
    // The same pad's second interface: a volume key.
    const keys = {
      usagePage: 12,
      usage: 1,
      type: 1,
      children: [],
      inputReports: [{ reportId: 0, items: [{ ...item(0), usages: [0xc00e9] }] }],
    };
    const second = Object.assign(new EventTarget(), {
      ...ids,
      collections: [keys],
      open: async () => undefined,
    });
    Object.defineProperty(navigator, 'getGamepads', { value: () => [pad] });
    Object.defineProperty(navigator, 'requestMIDIAccess', { value: async () => access });
    Object.defineProperty(navigator, 'hid', { value: { requestDevice: async () => [hid, second] } });
    Object.assign(window, {
      fakes: {
        press: (button: number, pressed: boolean) => {
          pad.buttons[button] = { pressed };
        },
        midi: (...data: number[]) => input.onmidimessage?.({ data: Uint8Array.from(data) }),
        report: (by: number, ...bytes: number[]) =>
          [hid, second][by]?.dispatchEvent(
            Object.assign(new Event('inputreport'), {
              reportId: 0,
              data: new DataView(Uint8Array.from(bytes).buffer),
            }),
          ),
      },
    });
  });
  type Fakes = {
    fakes: {
      press(b: number, p: boolean): void;
      midi(...d: number[]): void;
      report(by: number, ...b: number[]): void;
    };
  };
  const fake = <Name extends keyof Fakes['fakes']>(name: Name, ...args: Parameters<Fakes['fakes'][Name]>) =>
    page.evaluate(
      ([own, given]) => {
        const { fakes } = window as unknown as Record<'fakes', Record<string, (...all: unknown[]) => void>>;
        fakes[own as string]?.(...(given as unknown[]));
      },
      [name, args] as const,
    );
  await open(page, app.address, 'rig');
  await page.getByRole('button', { name: 'Find a control' }).click();
  const found = page.getByRole('region', { name: 'Find a control' });
  await fake('press', 1, true);
  await expect(found).toContainText('Gamepad 1, button 2 belongs to no control');
  await found.getByRole('button', { name: 'Add it to Bench dial' }).click();
  await fake('press', 1, false);
  await fake('press', 1, true);
  await expect(found.getByRole('status')).toContainText('Gamepad 1, button 2on Bench dial');
  await fake('press', 1, false);

  await found.getByRole('button', { name: 'Listen to MIDI' }).click();
  await expect(found.getByRole('listitem').filter({ hasText: 'MIDI' })).toContainText('listening');
  await fake('midi', 0x90, 60, 100);
  await expect(found).toContainText('MIDI channel 1, note 60 belongs to no control');
  // A controller of values becomes a slider.
  await fake('midi', 0xb0, 7, 127);
  await found.getByRole('button', { name: 'Add it to Bench dial' }).click();
  await expect(control(page, 'Bench dial', 'MIDI channel 1, controller 7')).toBeVisible();

  await found.getByRole('button', { name: 'Listen to HID devices' }).click();
  await found.getByRole('button', { name: 'Add Marsh pad to the rig' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the device' })).toHaveValue('Marsh pad');
  await fake('report', 0, 0b10);
  await expect(found.getByRole('status')).toContainText('Button 2on Marsh pad');
  await fake('report', 0, 0b00);
  // One device, whichever of its interfaces speaks.
  await fake('report', 1, 1);
  await expect(found.getByRole('status')).toContainText('Vol +on Marsh pad');
  await fake('report', 1, 0);
  await page.getByRole('link', { name: 'Board' }).click();
  await assign(page, 'marsh pad', 'Button 1', 'Larkframe', 'Home', 'First frame');
  await expect(cell(page, 'Button 1', 'Larkframe')).toContainText('First frame');
  await saved(page);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await page.getByRole('button', { name: 'Use my own devices' }).click();
  await page.getByRole('button', { name: 'Listen to HID devices' }).click();
  await expect(
    page
      .getByRole('complementary', { name: 'My own devices' })
      .getByRole('listitem')
      .filter({ hasText: 'HID' }),
  ).toContainText('listening');
  await fake('report', 0, 0b01);
  await expect(page.getByRole('region', { name: /^Larkframe/ })).toContainText('Last command First frame');
});

test('a browser that lacks an interface says so in a sentence', async ({ app, quietPage: page }) => {
  await page.addInitScript(() => {
    Reflect.deleteProperty(Navigator.prototype, 'requestMIDIAccess');
    Reflect.deleteProperty(Navigator.prototype, 'hid');
  });
  await open(page, app.address, 'rig');
  await page.getByRole('button', { name: 'Find a control' }).click();
  const found = page.getByRole('region', { name: 'Find a control' });
  await expect(found).toContainText('This browser does not hear MIDI devices.');
  await expect(found).toContainText('This browser does not hear HID devices');
});
