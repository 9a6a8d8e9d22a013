import type { Browser, BrowserContext, Locator, Page } from '@playwright/test';

/** A tablet that shows a panel in use. */
export interface Tablet {
  readonly context: BrowserContext;
  readonly page: Page;
  /** Puts a finger down on a control, and keeps it there. */
  press(finger: number, on: Locator): Promise<void>;
  lift(finger: number): Promise<void>;
  /** A press as short as can be, however busy this computer is. */
  tap(finger: number, on: Locator): Promise<void>;
  /** Moves a finger to a place of a control: 0 to 1 from its left and from its top. */
  drag(finger: number, on: Locator, x: number, y: number): Promise<void>;
}

/** Opens a panel in use in a browser of its own, as large as a small tablet, with fingers. */
export async function openTablet(browser: Browser, address: string, device: string): Promise<Tablet> {
  const context = await browser.newContext({ viewport: { width: 1024, height: 768 }, hasTouch: true });
  const page = await context.newPage();
  await page.goto(`${address}/panel/${device}`);
  return tabletOf(context, page);
}

/** A page that fingers touch. */
export async function tabletOf(context: BrowserContext, page: Page): Promise<Tablet> {
  const protocol = await context.newCDPSession(page);
  const fingers = new Map<number, { x: number; y: number }>();
  const send = async (type: 'touchStart' | 'touchMove' | 'touchEnd', which = [...fingers.keys()]) => {
    const touchPoints = [...fingers]
      .filter(([id]) => which.includes(id))
      .map(([id, place]) => ({ id, ...place }));
    await protocol.send('Input.dispatchTouchEvent', { type, touchPoints });
  };
  const placeOn = async (on: Locator, x: number, y: number) => {
    const box = await on.locator('.face').first().boundingBox();
    if (!box) throw new Error('It is not drawn.');
    return { x: box.x + x * box.width, y: box.y + y * box.height };
  };
  const lift = async (finger: number) => {
    // Chromium takes the fingers that are lifted here.
    await send('touchEnd', [finger]);
    fingers.delete(finger);
  };
  return {
    context,
    page,
    press: async (finger, on) => {
      fingers.set(finger, await placeOn(on, 0.5, 0.5));
      await send('touchStart');
    },
    lift,
    tap: async (finger, on) => {
      fingers.set(finger, await placeOn(on, 0.5, 0.5));
      // Both are on their way before the page hears of the first.
      await Promise.all([send('touchStart'), lift(finger)]);
    },
    drag: async (finger, on, x, y) => {
      fingers.set(finger, await placeOn(on, x, y));
      await send('touchMove');
    },
  };
}
