import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { startApp } from './support/app.ts';
import { expect, open, rehearsing, test } from './support/test.ts';

/** A certificate for the names that the test uses, by a key of its own; gone with its folder. */
function madeCertificate(folder: string): { TLS_CERT: string; TLS_KEY: string } {
  const made = { TLS_CERT: path.join(folder, 'cert.pem'), TLS_KEY: path.join(folder, 'key.pem') };
  const names = 'subjectAltName=DNS:studio.test,DNS:localhost,IP:127.0.0.1';
  const how = ['-x509', '-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:prime256v1', '-nodes', '-days', '2'];
  const where = [
    '-subj',
    '/CN=studio.test',
    '-addext',
    names,
    '-keyout',
    made.TLS_KEY,
    '-out',
    made.TLS_CERT,
  ];
  execFileSync('openssl', ['req', ...how, ...where], { stdio: 'ignore' });
  return made;
}

test('with a certificate all goes over HTTPS: a tablet is paired, stays awake, and is obeyed', async ({
  browser,
}) => {
  const folder = mkdtempSync(path.join(tmpdir(), 'certificate-'));
  const app = await startApp({
    HOST: '0.0.0.0',
    ALLOWED_HOSTS: 'studio.test',
    ...madeCertificate(folder),
  });
  const there = app.address.replace('127.0.0.1', 'studio.test');
  expect(there).toMatch(/^https:/);
  // The certificate is nobody's whom the browser knows; everything else is as with one.
  const [desk, tablet] = await Promise.all([
    browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 1280, height: 800 } }),
    browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 1024, height: 768 }, hasTouch: true }),
  ]);
  try {
    const page = await desk.newPage();
    await open(page, app.address, 'panels?device=six-pad');
    await page.getByRole('button', { name: 'Use it live…' }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByRole('img')).toHaveAccessibleName(`A code that opens ${there}/pair`);
    await expect(dialog).not.toContainText('not encrypted');
    const code = (await dialog.getByText(/^\d{3} \d{3}$/).textContent()) ?? '';
    const panel = await tablet.newPage();
    await panel.goto(`${there}/pair`);
    await panel.getByLabel('Code of six digits').fill(code);
    await panel.getByRole('button', { name: 'Pair' }).click();
    await expect(panel).toHaveURL(`${there}/panel/six-pad`);
    const [cookie] = await tablet.cookies(there);
    expect(cookie).toMatchObject({ httpOnly: true, secure: true, sameSite: 'Strict' });
    expect(await panel.evaluate(() => window.isSecureContext && 'wakeLock' in navigator)).toBe(true);
    await dialog.getByRole('button', { name: 'Done' }).click();
    await page.getByRole('link', { name: 'Rehearse' }).click();
    await rehearsing(page);
    await panel.getByRole('button', { name: /^Key 6, Shot/ }).tap();
    await expect(panel.getByRole('button', { name: /^Key 6, Back/ })).toBeVisible();
  } finally {
    await Promise.all([desk.close(), tablet.close()]);
    await app.stop();
    rmSync(folder, { recursive: true });
  }
});
