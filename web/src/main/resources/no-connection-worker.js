// Where pages come over TLS, a page that can't be loaded is answered with one of Galdrin's own instead of the browser's error page.
const KEPT = 'no-connection';
const PAGE = '/no-connection';

async function keep() {
  const page = await fetch(PAGE, { cache: 'no-store' });
  const parts = [...(await page.clone().text()).matchAll(/\/assets\/[^"']+\.(?:css|js)/g)].map(match => match[0]);
  const kept = await caches.open(KEPT);
  await kept.addAll(parts);
  await kept.put(PAGE, page);
}

self.addEventListener('install', event => event.waitUntil(keep().then(() => self.skipWaiting())));
self.addEventListener('activate', event => event.waitUntil(self.clients.claim()));
self.addEventListener('fetch', event => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== location.origin) return;
  if (request.mode === 'navigate') {
    event.respondWith(fetch(request).catch(() => caches.match(PAGE)));
    if (pathname === '/sign-in' || pathname === '/join') event.waitUntil(keep().catch(() => {})); // where everybody comes by: a newer look is kept from here on
  } else if (pathname.startsWith('/assets/')) {
    event.respondWith(fetch(request).catch(async failure => (await caches.match(request)) ?? Promise.reject(failure)));
  }
});
