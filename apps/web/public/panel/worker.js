// Keeps what the page of a panel is made of, so that it starts without the network, too. What it shows then is kept by the
// page itself.
const KEPT = 'nimble-lever-panel';
/** Files whose address changes with what is in them. */
const LASTING = /^\/(assets|api\/pictures)\//;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

// The page was there before this worker: it tells what it was loaded from.
self.addEventListener('message', (event) => {
  const addresses = event.data?.keep;
  if (Array.isArray(addresses)) event.waitUntil(keep(addresses));
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin) return;
  if (request.mode === 'navigate') event.respondWith(newest(request));
  else if (LASTING.test(pathname)) event.respondWith(lasting(request));
});

/** Keeps what the page is made of now; what an older one was made of goes. */
async function keep(addresses) {
  const cache = await caches.open(KEPT);
  const wanted = new Set(addresses.map((address) => new URL(address, self.location.origin).href));
  for (const { url } of await cache.keys()) {
    if (new URL(url).pathname.startsWith('/assets/') && !wanted.has(url)) await cache.delete(url);
  }
  await Promise.all([...wanted].map(async (url) => (await cache.match(url)) ?? cache.add(url)));
}

/** From the server, else as it was last. */
async function newest(request) {
  const cache = await caches.open(KEPT);
  try {
    const response = await fetch(request);
    if (response.ok) await cache.put(request, response.clone());
    return response;
  } catch {
    return (await cache.match(request, { ignoreSearch: true })) ?? Response.error();
  }
}

/** As it is kept, else from the server. */
async function lasting(request) {
  const cache = await caches.open(KEPT);
  const known = await cache.match(request);
  if (known) return known;
  const response = await fetch(request);
  if (response.ok) await cache.put(request, response.clone());
  return response;
}
