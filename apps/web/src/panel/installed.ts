/**
 * What makes the page of a panel one that is installed: a manifest that names it, and a worker that keeps it for a start
 * without the network. Browsers allow that at safe addresses only (HTTPS, or this computer); elsewhere it is a page.
 */
export function makeInstallable(device: string): void {
  const link = document.createElement('link');
  link.rel = 'manifest';
  // With the cookie of who may come in.
  link.crossOrigin = 'use-credentials';
  link.href = `/panel/${device}/app.webmanifest${location.search}`;
  document.head.append(link);
  if (!('serviceWorker' in navigator)) return;
  const keep = async () => {
    await navigator.serviceWorker.register('/panel/worker.js', { scope: '/panel/' });
    const { active } = await navigator.serviceWorker.ready;
    const loaded = performance.getEntriesByType('resource').map(({ name }) => new URL(name).pathname);
    active?.postMessage({
      keep: [location.pathname, ...loaded.filter((path) => path.startsWith('/assets/'))],
    });
  };
  // It starts without being kept, too.
  keep().catch(() => undefined);
}
