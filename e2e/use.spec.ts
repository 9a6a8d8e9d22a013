import { type ChildProcess, spawn } from 'node:child_process';
import path from 'node:path';
import { expect, expectAccessibleInBoth, open, rehearsing, test } from './support/test.ts';

const LEVER = path.join(import.meta.dirname, '../scripts/lever.mjs');

/** A script that puts something on, as a launch script would. */
function script(address: string, ...words: string[]): ChildProcess {
  const env = { ...process.env, LEVER_SERVER: address };
  return spawn(process.execPath, [LEVER, 'use', 'saltmarsh', ...words], { env, stdio: 'ignore' });
}

test('what a script puts on is seen and works in an open page, and is off once the script is killed', async ({
  app,
  quietPage: page,
}) => {
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  const chip = page.getByRole('button', { name: /^(In front|Pinned):/ });
  await expect(chip).toContainText('In front:');
  const running = script(
    app.address,
    '--pin',
    'Brindle',
    '--set',
    'twelve-pad/key-10=Ctrl+F7',
    '--until-exit',
  );
  await expect(
    page.getByText('Terminal: stays with Brindle, Key 10 of Twelve pad sends Ctrl+F7'),
  ).toBeVisible();
  await expect(chip).toContainText('Pinned: Brindle');
  await expectAccessibleInBoth(page);
  const key = page.getByRole('button', { name: /^Twelve pad, Key 10/ });
  await key.click();
  await expect(page.getByText('Ctrl+F7').first()).toBeVisible();
  // An edit meanwhile goes under it, and nothing of it is saved.
  const health = await (await fetch(`${app.address}/api/health`)).json();
  expect(health).toMatchObject({ revision: 0 });

  running.kill('SIGKILL');
  await expect(page.getByText(/^Terminal:/)).toHaveCount(0);
  await expect(chip).toContainText('In front:');
  await page.getByRole('button', { name: 'Clear the list' }).click();
  await key.click();
  await expect(page.getByText('Send keys').or(page.getByText('Key 10')).first()).toBeVisible();
  await expect(page.getByText('Ctrl+F7')).toHaveCount(0);

  // Without --until-exit a profile stays when the script is done.
  const once = script(app.address, '--pin', 'tallow');
  await new Promise((resolve) => once.on('exit', resolve));
  await expect(chip).toContainText('Pinned: Tallow');
  await expect(page.getByText(/^Terminal:/)).toHaveCount(0);
});

test('a script that was there before the desk puts it on as soon as there is one', async ({ app, page }) => {
  const running = script(app.address, '--pin', 'Hushbox', '--until-exit');
  await open(page, app.address, 'board');
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await rehearsing(page);
  await expect(page.getByText('Terminal: stays with Hushbox')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Terminal: stays with Hushbox')).toBeVisible();
  running.kill('SIGTERM');
  await expect(page.getByText(/^Terminal:/)).toHaveCount(0);
});

test('through npm: what a launch script put on is off when the script dies, however early', async ({
  app,
  page,
}) => {
  await open(page, app.address, 'rehearse');
  await rehearsing(page);
  // As launch scripts do it: in the background, beside the program that is launched.
  const launch = (sleeps: string) => {
    const words = `npm run -s lever -- use saltmarsh --pin Brindle --until-exit & sleep ${sleeps}`;
    return spawn('sh', ['-c', words], {
      cwd: path.join(import.meta.dirname, '..'),
      env: { ...process.env, LEVER_SERVER: app.address },
      stdio: 'ignore',
      detached: true,
    });
  };
  const running = launch('300');
  await expect(page.getByText('Terminal: stays with Brindle')).toBeVisible();
  running.kill('SIGKILL');
  await expect(page.getByText(/^Terminal:/)).toHaveCount(0);

  // It ends while npm and the command are still starting: nothing is put on, and nothing stays behind.
  const early = launch('0.05');
  await new Promise((resolve) => early.once('exit', resolve));
  const group = early.pid ?? 0;
  await expect
    .poll(() => {
      try {
        process.kill(-group, 0);
        return 'still there';
      } catch {
        return 'gone';
      }
    })
    .toBe('gone');
  await expect(page.getByText(/^Terminal:/)).toHaveCount(0);
});
