// What was opened once can be opened again without a network: the page and its parts from this browser's own
// cache, what the server said last of a basin where it cannot be asked. Nothing is sent from here.
const CACHE = 'yew-1'

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) =>
  event.waitUntil(
    caches
      .keys()
      .then((names) => Promise.all(names.filter((n) => n !== CACHE).map((n) => caches.delete(n))))
      .then(() => self.clients.claim()),
  ),
)

/** Every address inside the app is the same page. */
const PAGE = '/'

async function keep(request, answer) {
  if (answer.ok && answer.status === 200) {
    const cache = await caches.open(CACHE)
    await cache.put(request, answer.clone())
  }
  return answer
}

/** Asks the server; where it cannot be reached, what it said last. */
async function networkFirst(request, as) {
  try {
    return await keep(as, await fetch(request))
  } catch (error) {
    const kept = await caches.match(as)
    if (kept) return kept
    throw error
  }
}

/** The parts of a build never change under their names. */
async function cacheFirst(request) {
  return (await caches.match(request)) ?? keep(request, await fetch(request))
}

/** What the server says of basins and parts; the rest of it is asked anew or not at all. */
const isKept = ({ pathname }) =>
  pathname === PAGE ||
  pathname.startsWith('/assets/') ||
  pathname.startsWith('/api/basins/') ||
  pathname === '/api/parts'

self.addEventListener('message', (event) => {
  const urls = (event.data?.keep ?? []).map((each) => new URL(each, self.location.origin))
  const own = urls.filter((url) => url.origin === self.location.origin && isKept(url))
  const all = own.map(async (url) => {
    if (!(await caches.match(url.href))) await keep(url.href, await fetch(url.href))
  })
  event.waitUntil(Promise.allSettled(all))
})

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  if (request.mode === 'navigate') event.respondWith(networkFirst(request, PAGE))
  else if (url.pathname.startsWith('/assets/')) event.respondWith(cacheFirst(request))
  else if (isKept(url)) event.respondWith(networkFirst(request, request))
})
