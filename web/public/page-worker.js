// Opens a bench page that was open before while the server is not heard: the page itself and what
// it is made of are kept here, what is shown on it is not.
const KEPT = 'bench-page';
const PAGE = '/index.html';
const WAITS_MS = 4000;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (e) => e.waitUntil(self.clients.claim()));

// the page says what it is made of; what an older one was made of goes
self.addEventListener('message', (e) => e.waitUntil(keep(e.data.keep)));

async function keep(assets) {
  const kept = await caches.open(KEPT);
  const page = await fetch(PAGE, { cache: 'no-cache' });
  if (!page.ok) {
    return;
  }
  await kept.put(PAGE, page);
  const wanted = new Set(assets.map((a) => new URL(a, self.location.href).href));
  for (const request of await kept.keys()) {
    if (wanted.has(request.url)) {
      wanted.delete(request.url);
    } else if (new URL(request.url).pathname !== PAGE) {
      await kept.delete(request);
    }
  }
  await kept.addAll([...wanted]);
}

async function page(request) {
  const late = new Promise((_, no) => setTimeout(() => no(new Error('late')), WAITS_MS));
  try {
    return await Promise.race([fetch(request), late]);
  } catch (e) {
    const kept = await caches.match(PAGE);
    if (kept) {
      return kept;
    }
    throw e;
  }
}

self.addEventListener('fetch', (e) => {
  const url = new URL(e.request.url);
  if (e.request.method !== 'GET' || url.origin !== self.location.origin) {
    return;
  }
  if (e.request.mode === 'navigate' && url.pathname.startsWith('/runs/')) {
    e.respondWith(page(e.request));
  } else if (url.pathname.startsWith('/assets/')) {
    e.respondWith(caches.match(e.request).then((kept) => kept ?? fetch(e.request)));
  }
});
