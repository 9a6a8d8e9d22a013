import { cell, expect, open, saved, test } from './support/test.ts';

test('two pages: an edit in one shows in the other by itself, and both can go on', async ({
  app,
  page,
  context,
}) => {
  const other = await context.newPage();
  await open(page, app.address, 'board');
  await open(other, app.address, 'board');
  await cell(page, 'Press', 'Larkframe').click();
  await page.getByRole('button', { name: 'Native', exact: true }).click();
  await expect(cell(other, 'Press', 'Larkframe')).toContainText('nothing by itself');

  // Both edit at once: neither is overwritten.
  await cell(other, 'Press', 'Hushbox').click();
  await Promise.all([
    page.getByRole('button', { name: 'Off', exact: true }).click(),
    other.getByRole('button', { name: 'Off', exact: true }).click(),
  ]);
  for (const each of [page, other]) {
    await expect(cell(each, 'Press', 'Larkframe')).toContainText('off here');
    await expect(cell(each, 'Press', 'Hushbox')).toContainText('off here');
    await saved(each);
  }
});

test('what is being typed stays while another page edits', async ({ app, page, context }) => {
  const other = await context.newPage();
  await open(page, app.address, 'board');
  await open(other, app.address, 'board');
  await cell(page, 'Turn clockwise', 'Larkframe').click();
  const chooser = page.getByRole('combobox', { name: 'Choose a command' });
  await chooser.fill('Next pointer speed');
  await cell(other, 'Press', 'Larkframe').click();
  await other.getByRole('button', { name: 'Off', exact: true }).click();
  await expect(cell(page, 'Press', 'Larkframe')).toContainText('off here');
  await expect(chooser).toHaveValue('Next pointer speed');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Turn clockwise', 'Larkframe')).toContainText('Next pointer speed');
});

test('a page behind the newest revision gets what it missed and keeps its own edit', async ({
  app,
  page,
  context,
}) => {
  await open(page, app.address, 'board');
  await cell(page, 'Press', 'Larkframe').click();
  // The dock comes with the first cell that is selected.
  const off = page.getByRole('button', { name: 'Off', exact: true });
  await expect(off).toBeVisible();
  await context.setOffline(true);
  await off.click();
  await expect(page.getByRole('status')).toContainText('Not saved yet: 1 edit is kept here and sent again');

  // Meanwhile someone else edits, by the API itself.
  const at = 'profiles/brindle/bindings/base/bench-dial/dial/press';
  const entry = {
    id: crypto.randomUUID(),
    edit: { kind: 'set', at, fields: { behaviour: { kind: 'off' } } },
    role: 'do',
    author: { id: crypto.randomUUID(), name: 'Loft' },
    base: 0,
  };
  const answer = await fetch(`${app.address}/api/set-ups/saltmarsh/edits`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ after: 0, entries: [entry] }),
  });
  expect(answer.status).toBe(200);

  await context.setOffline(false);
  await saved(page);
  await expect(cell(page, 'Press', 'Larkframe')).toContainText('off here');
  await expect(cell(page, 'Press', 'Brindle')).toContainText('off here');
});

test('the server is killed right after an edit was acknowledged: nothing is lost', async ({ app, page }) => {
  await open(page, app.address, 'board');
  await cell(page, 'Press', 'Brindle').click();
  const acknowledged = page.waitForResponse((response) => response.url().endsWith('/edits') && response.ok());
  await page.getByRole('button', { name: 'Off', exact: true }).click();
  await acknowledged;
  await app.kill();

  // While it is away the person goes on; the page says so and keeps the edit, even through a reload.
  await cell(page, 'Press', 'Hushbox').click();
  await page.getByRole('button', { name: 'Native', exact: true }).click();
  await expect(page.getByRole('status')).toContainText('Not saved yet');
  await app.restart();
  await saved(page);
  await page.reload();
  await expect(cell(page, 'Press', 'Brindle')).toContainText('off here');
  await expect(cell(page, 'Press', 'Hushbox')).toContainText('nothing by itself');
  const health = await (await fetch(`${app.address}/api/health`)).json();
  expect(health).toMatchObject({ name: 'Nimble Lever', database: 'up', revision: 2 });
});

test('edits kept in the browser survive a page that was closed before they were saved', async ({
  app,
  page,
  context,
}) => {
  await open(page, app.address, 'board');
  await cell(page, 'Press', 'Brindle').click();
  await context.route('**/edits', (route) => route.abort());
  await page.getByRole('button', { name: 'Off', exact: true }).click();
  await expect(page.getByRole('status')).toContainText('Not saved yet');
  await page.close();
  await context.unroute('**/edits');
  const next = await context.newPage();
  await open(next, app.address, 'board');
  await expect(cell(next, 'Press', 'Brindle')).toContainText('off here');
  await saved(next);
  const health = await (await fetch(`${app.address}/api/health`)).json();
  expect(health.revision).toBe(1);
});
