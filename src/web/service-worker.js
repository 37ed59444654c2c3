// The application without its server: everything that was built is kept, the page and what it names together. While the
// server answers, pages come from it; they are never kept by themselves, or a page of one version would meet the files
// of another when the server is away. FILES and VERSION are filled in by the build.
const FILES = __FILES__;
const CACHE = `dune-sparrow-__VERSION__`;
const PAGE = '/';
const ASSETS = '/assets/';

/** The page of this very version: every file that it names is one of ours. */
async function ownPage() {
  const response = await fetch(PAGE, { cache: 'reload' });
  if (!response.ok) throw new Error(`The page answered ${response.status}.`);
  const named = (await response.clone().text()).match(/\/assets\/[\w.-]+/g) ?? [];
  if (!named.every((path) => FILES.includes(path))) throw new Error('The page is of another version.');
  return response;
}

self.addEventListener('install', (event) => {
  event.waitUntil(
    (async () => {
      const cache = await caches.open(CACHE);
      await cache.addAll(FILES);
      await cache.put(PAGE, await ownPage());
    })(),
  );
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

const kept = async (request) => (await caches.open(CACHE)).match(request);

async function page(request) {
  try {
    return await fetch(request);
  } catch {
    return (await kept(PAGE)) ?? Response.error();
  }
}

/** Files of this version from what is kept; those of a version that waits from the server, else from what it keeps. */
async function file(request, isOwn) {
  const known = isOwn ? await kept(request) : undefined;
  if (known) return known;
  try {
    return await fetch(request);
  } catch {
    return (await caches.match(request)) ?? Response.error();
  }
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== location.origin) return;
  const isOwn = FILES.includes(pathname);
  if (request.mode === 'navigate') event.respondWith(page(request));
  else if (isOwn || pathname.startsWith(ASSETS)) event.respondWith(file(request, isOwn));
});
