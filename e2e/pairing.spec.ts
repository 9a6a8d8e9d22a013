import type { Browser, BrowserContext, Page } from '@playwright/test';
import type { RunningApp } from './support/app.ts';
import {
  cell,
  expect,
  expectAccessible,
  expectAccessibleInBoth,
  open,
  rehearsing,
  saved,
  test,
} from './support/test.ts';

// A server that the network reaches, by the name that the browser under test knows; see playwright.config.ts.
test.use({ settings: { HOST: '0.0.0.0', ALLOWED_HOSTS: 'studio.test' } });

const elsewhere = (app: RunningApp) => app.address.replace('127.0.0.1', 'studio.test');

/** Another device's browser. */
async function device(browser: Browser): Promise<{ context: BrowserContext; page: Page }> {
  const context = await browser.newContext({ viewport: { width: 1024, height: 768 }, hasTouch: true });
  return { context, page: await context.newPage() };
}

/** The six digits that a dialog or a card shows. */
async function shownCode(page: Page): Promise<string> {
  const digits = page.getByText(/^\d{3} \d{3}$/);
  await expect(digits).toBeVisible();
  return ((await digits.textContent()) ?? '').replace(' ', '');
}

async function pair(page: Page, code: string, name: string): Promise<void> {
  await page.getByLabel('Code of six digits').fill(code);
  await page.getByLabel('What this browser is called there').fill(name);
  await page.getByRole('button', { name: 'Pair' }).click();
}

test('a stranger is led to where it is paired; paired for one panel it uses that, and nothing else; forgotten it is a stranger again', async ({
  app,
  browser,
  quietPage: page,
}) => {
  const tablet = await device(browser);
  await tablet.page.goto(`${elsewhere(app)}/panel/six-pad`);
  await expect(tablet.page).toHaveURL(`${elsewhere(app)}/pair?to=%2Fpanel%2Fsix-pad`);
  await expect(tablet.page.getByRole('heading', { name: 'Pair this browser' })).toBeVisible();
  await expectAccessibleInBoth(tablet.page);
  await open(page, app.address, 'panels?device=six-pad');
  await page.getByRole('button', { name: 'Use it live…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('img')).toHaveAccessibleName(`A code that opens ${elsewhere(app)}/pair`);
  await expectAccessibleInBoth(page);
  await pair(tablet.page, await shownCode(page), 'Sill');
  await expect(dialog.getByText('“Sill” is paired.')).toBeVisible();
  await expect(tablet.page).toHaveURL(`${elsewhere(app)}/panel/six-pad`);
  await dialog.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await tablet.page.getByRole('button', { name: /^Key 6, Shot/ }).tap();
  await expect(tablet.page.getByRole('button', { name: /^Key 6, Back/ })).toBeVisible();
  // Nothing else: neither a page nor the API, read or written.
  await tablet.page.goto(`${elsewhere(app)}/board`);
  await expect(tablet.page).toHaveURL(`${elsewhere(app)}/panel/six-pad`);
  await tablet.page.goto(`${elsewhere(app)}/panel/wall-panel`);
  await expect(tablet.page).toHaveURL(`${elsewhere(app)}/panel/six-pad`);
  const refused = await tablet.page.evaluate(async () => {
    const body = JSON.stringify({ after: 0, entries: [] });
    const answers = [
      await fetch('/api/set-up'),
      await fetch('/api/set-ups/saltmarsh/edits', { method: 'POST', body }),
      await fetch('/api/pairings/codes', { method: 'POST', body: '{"may":"everything"}' }),
    ];
    return answers.map(({ status }) => status);
  });
  expect(refused).toEqual([403, 403, 403]);
  await expect(page.getByText('Six pad joined')).toBeVisible();
  // Forgotten while a key is held: it comes up, the tablet says so, and it is a stranger again.
  await page.getByRole('link', { name: 'Settings' }).click();
  const card = page.getByRole('region', { name: 'Browsers of other devices' });
  await expect(card.getByRole('listitem')).toContainText('may use Six pad only');
  await expectAccessible(page);
  await card.getByRole('button', { name: 'Forget Sill' }).click();
  await expect(card.getByText('“Sill” was forgotten')).toBeVisible();
  await expect(card.getByRole('listitem')).toHaveCount(0);
  await expect(tablet.page.getByText('not paired any more')).toBeVisible();
  await expectAccessible(tablet.page);
  await tablet.page.getByRole('link', { name: 'Pair it again' }).click();
  await expect(tablet.page.getByRole('heading', { name: 'Pair this browser' })).toBeVisible();
  await tablet.context.close();
});

test("wrong codes slow their sender down and end nobody's code; who shows it is told that someone is trying", async ({
  app,
  browser,
  page,
}) => {
  await open(page, app.address, 'panels?device=wall-panel');
  await page.getByRole('button', { name: 'Use it live…' }).click();
  const dialog = page.getByRole('dialog');
  const code = await shownCode(page);
  const stranger = await device(browser);
  await stranger.page.goto(elsewhere(app));
  const wrong = code === '000000' ? '000001' : '000000';
  for (let i = 0; i < 5; i++) {
    await pair(stranger.page, wrong, 'Stranger');
    await expect(stranger.page.getByRole('alert')).toContainText('No code that is good now is this one');
    await expect(stranger.page.getByRole('button', { name: 'Pair', exact: true })).toBeVisible();
  }
  await expect(async () => {
    await pair(stranger.page, wrong, 'Stranger');
    await expect(stranger.page.getByRole('alert')).toContainText('Too many codes were wrong', {
      timeout: 500,
    });
  }).toPass();
  await expect(dialog.getByText(/Wrong codes were typed \d+ times\./)).toBeVisible();
  await expect(stranger.page).toHaveURL(/\/pair/);
  await expect(async () => {
    await pair(stranger.page, code, 'Tablet');
    await expect(stranger.page).toHaveURL(`${elsewhere(app)}/panel/wall-panel`, { timeout: 2000 });
  }).toPass();
  await stranger.context.close();
});

test('a link brings its code; paired for everything a browser edits, where nothing is encrypted either', async ({
  app,
  browser,
  quietPage: page,
}) => {
  await open(page, app.address, 'settings');
  const card = page.getByRole('region', { name: 'Browsers of other devices' });
  await expect(card).toContainText('None is paired.');
  await card.getByRole('button', { name: 'Pair a browser…' }).click();
  const code = await shownCode(page);
  const phone = await device(browser);
  await phone.page.goto(`${elsewhere(app)}/pair?to=%2Fboard#${code}`);
  await expect(phone.page.getByLabel('Code of six digits')).toHaveValue(code);
  // It stands in no address that could be seen or kept.
  await expect(phone.page).toHaveURL(`${elsewhere(app)}/pair?to=%2Fboard`);
  await phone.page.getByRole('button', { name: 'Pair' }).click();
  await expect(phone.page).toHaveURL(/\/board/);
  expect(await phone.page.evaluate(() => window.isSecureContext)).toBe(false);
  await expect(card.getByText(/“Browser on .*” is paired/)).toBeVisible();
  await phone.page.goto(`${elsewhere(app)}/settings`);
  await phone.page.getByLabel('Name on edits made in this browser').fill('Couch');
  await open(phone.page, elsewhere(app), 'board');
  await cell(phone.page, 'Turn clockwise', 'Larkframe').click();
  await phone.page.getByRole('textbox', { name: 'Shortcut' }).fill('Ctrl+Alt+9');
  await phone.page.keyboard.press('Enter');
  await saved(phone.page);
  await open(page, app.address, 'board');
  await expect(cell(page, 'Turn clockwise', 'Larkframe')).toContainText('9');
  await phone.page.goto(`${elsewhere(app)}/pair`);
  await expect(phone.page.getByText('may do everything')).toBeVisible();
  // A desk there, too.
  await phone.page.goto(`${elsewhere(app)}/rehearse`);
  await rehearsing(phone.page);
  await phone.context.close();
});

test.describe('on loopback', () => {
  test.use({ settings: {} });

  test('a server on loopback says that other devices cannot open it yet, and how they could', async ({
    app,
    quietPage: page,
  }) => {
    await open(page, app.address, 'panels?device=wall-panel');
    await page.getByRole('button', { name: 'Use it live…' }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('listens on this computer only');
    await expect(dialog.locator('code')).toContainText('HOST=0.0.0.0');
    await expect(dialog.getByRole('img')).toHaveCount(0);
    await expect(dialog.getByRole('link')).toHaveAttribute('href', '/panel/wall-panel');
  });
});
