// The application without its server: everything that was built is kept; pages come from the server while it answers.
// FILES and VERSION are filled in by the build.
const FILES = __FILES__;
const CACHE = `dune-sparrow-__VERSION__`;
const PAGE = '/';

self.addEventListener('install', (event) => {
  event.waitUntil(caches.open(CACHE).then((cache) => cache.addAll([PAGE, ...FILES])));
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys()) if (name !== CACHE) await caches.delete(name);
      await self.clients.claim();
    })(),
  );
});

// A newer version takes over when the person at the page says so.
self.addEventListener('message', (event) => {
  if (event.data === 'take-over') self.skipWaiting();
});

async function page(request) {
  try {
    const response = await fetch(request);
    if (response.ok) await (await caches.open(CACHE)).put(PAGE, response.clone());
    return response;
  } catch {
    return (await caches.match(PAGE)) ?? Response.error();
  }
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== location.origin) return;
  if (request.mode === 'navigate') event.respondWith(page(request));
  else if (FILES.includes(pathname))
    event.respondWith(caches.match(request).then((kept) => kept ?? fetch(request)));
});
