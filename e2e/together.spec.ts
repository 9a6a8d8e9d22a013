import type { Page } from '@playwright/test';
import { IN_FULL } from './support/inFull.ts';
import { cell, expect, expectAccessible, expectAccessibleInBoth, open, saved, test } from './support/test.ts';

/** A page of another person: a browser of its own. */
async function someoneElse(page: Page, address: string): Promise<Page> {
  const context = await page.context().browser()?.newContext();
  if (!context) throw new Error('no browser');
  const other = await context.newPage();
  await open(other, address, 'board');
  return other;
}

/** Renames a device in the Rig. */
async function rename(page: Page, name: string): Promise<void> {
  const field = page.getByRole('textbox', { name: 'Name of the device' });
  await field.fill(name);
  await field.press('Enter');
}

test('two people change different fields of one device, and both stand; the same field tells the other, who puts it back', async ({
  app,
  page,
}) => {
  await open(page, app.address, 'rig');
  const other = await someoneElse(page, app.address);
  await other.getByRole('link', { name: 'Settings' }).click();
  const author = other.getByRole('textbox', { name: 'Name on edits made in this browser' });
  await author.fill('Loft');
  await author.press('Enter');
  await other.getByRole('link', { name: 'Rig' }).click();
  // Cut off before the view is read, it could not be shown.
  await expect(other.getByRole('textbox', { name: 'Name of the device' })).toBeVisible();

  // Both are cut off, change the same device, and come back: one after the other.
  const contexts = [page.context(), other.context()];
  for (const context of contexts) await context.setOffline(true);
  await rename(page, 'My dial');
  await rename(other, 'Loft dial');
  await other.getByRole('tab', { name: 'Tuning' }).click();
  const hold = other.getByRole('textbox', { name: /^A hold begins after/ });
  await hold.fill('400');
  await hold.press('Enter');
  await contexts[0]?.setOffline(false);
  await saved(page);
  await contexts[1]?.setOffline(false);
  await saved(other);

  // The later one stands; the first is told by whom, and puts the own one back.
  const notice = page.getByRole('alert').filter({ hasText: '(its name)' });
  await expect(notice).toContainText('which you had just changed');
  await expect(page.getByRole('textbox', { name: 'Name of the device' })).toHaveValue('Loft dial');
  await notice.getByRole('button', { name: 'Put mine back' }).click();
  await expect(notice).toBeHidden();
  await expect(other.getByRole('textbox', { name: 'Name of the device' })).toHaveValue('My dial');
  await page.getByRole('tab', { name: 'Tuning' }).click();
  await expect(page.getByRole('textbox', { name: /^A hold begins after/ })).toHaveValue('400');
  await other.context().close();
});

test('undo takes back one’s own edits, back to the first one, after a reload too', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'board');
  const other = await someoneElse(page, app.address);
  await cell(page, 'Press', 'Larkframe').click();
  await page.getByRole('button', { name: 'Off', exact: true }).click();
  await expect(cell(other, 'Press', 'Larkframe')).toContainText('off here');
  const undoOther = other.getByRole('button', { name: 'Nothing to undo' });
  await expect(undoOther).toBeDisabled();
  await cell(other, 'Press', 'Brindle').click();
  await other.getByRole('button', { name: 'Off', exact: true }).click();
  await saved(other);

  // In full five hundred and more of the same author, by the API itself: more than a page keeps at hand.
  const each = IN_FULL ? 175 : 15;
  const author = await page.evaluate(() => JSON.parse(localStorage.getItem('nimble-lever:author') ?? '{}'));
  const at = 'profiles/hushbox/bindings/base/bench-dial/dial/press';
  for (let i = 0; i < 3; i++) {
    const entries = Array.from({ length: each }, (_, n) => ({
      id: crypto.randomUUID(),
      role: 'do',
      author,
      base: 0,
      edit: { kind: 'set', at, fields: { note: `Note ${i * each + n}` } },
    }));
    const answer = await fetch(`${app.address}/api/set-ups/saltmarsh/edits`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ after: 0, entries }),
    });
    expect(answer.status).toBe(200);
  }
  await page.reload();
  await saved(page);
  await expect(page.getByRole('button', { name: /^Undo: note on Bench dial/ })).toBeEnabled();
  // Undo is the same in every view; Settings has the least to draw again.
  await open(page, app.address, 'settings');
  await page.getByRole('heading', { level: 1 }).click();
  for (let i = 0; i < 3 * each + 1; i++) {
    await page.keyboard.press('Control+z');
    if (i % 50 === 49) await saved(page);
  }
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeDisabled();
  await page.getByRole('link', { name: 'Board' }).click();
  await expect(cell(page, 'Press', 'Larkframe')).not.toContainText('off here');
  await expect(cell(page, 'Press', 'Brindle')).toContainText('off here');
  await saved(page);
  await other.context().close();
});

test('an edit the server cannot save is set aside and said; what came after it is saved; it can be tried again', async ({
  app,
  page,
}) => {
  await open(page, app.address, 'board');
  let broken = true;
  await page.route('**/edits', async (route) => {
    const isFirst = (route.request().postData() ?? '').includes('profiles/larkframe/');
    if (!broken || !isFirst) return route.continue();
    await route.fulfill({
      status: 500,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        title: 'Something went wrong here',
        status: 500,
        detail: 'The server met an error.',
      }),
    });
  });
  await cell(page, 'Press', 'Larkframe').click();
  await page.getByRole('button', { name: 'Off', exact: true }).click();
  await cell(page, 'Press', 'Hushbox').click();
  await page.getByRole('button', { name: 'Native', exact: true }).click();
  const notice = page.getByRole('alert').filter({ hasText: 'it is kept aside' });
  await expect(notice).toBeVisible({ timeout: 60_000 });
  await saved(page);
  await expect(cell(page, 'Press', 'Hushbox')).toContainText('nothing by itself');
  await expect(cell(page, 'Press', 'Larkframe')).not.toContainText('off here');

  // It is still there after a reload; tried again when the server can, it is saved.
  await page.reload();
  await saved(page);
  broken = false;
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('button', { name: /^Try again: Set Bench dial/ }).click();
  await saved(page);
  await expect(page.getByText('Every edit is saved or on its way')).toBeVisible();
  await page.getByRole('link', { name: 'Board' }).click();
  await expect(cell(page, 'Press', 'Larkframe')).toContainText('off here');
});

test('a part that cannot be read is shown and removed; everything else works; the policy of the page is kept', async ({
  app,
  quietPage: page,
}) => {
  await app.query(
    `UPDATE macros SET body = '{"id":"hold-a-frame","name":"Hold a frame","steps":[{"kind":"wait"}]}' WHERE id = 'hold-a-frame'`,
  );
  await app.kill();
  await app.restart();
  await page.addInitScript(() => {
    document.addEventListener('securitypolicyviolation', ({ violatedDirective }) =>
      console.error(`policy: ${violatedDirective}`),
    );
  });
  await open(page, app.address, 'board');
  const notice = page.getByRole('alert').filter({ hasText: 'cannot be read' });
  await expect(notice).toContainText('everything else works');
  await expectAccessible(page);
  await notice.getByRole('link', { name: 'Look at it' }).click();
  await expect(page.getByText('Macro “Hold a frame”')).toBeVisible();
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: 'Remove Hold a frame' }).click();
  await expect(page.getByText('all of the set-up can be read')).toBeVisible();
  await saved(page);
  await page.getByRole('button', { name: 'Undo: remove a part that cannot be read' }).click();
  await expect(page.getByText('Macro “Hold a frame”')).toBeVisible();
  await page.getByRole('button', { name: 'Redo: remove a part that cannot be read' }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByText('all of the set-up can be read')).toBeVisible();
});
