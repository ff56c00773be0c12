// Reading what was seen last while the bench's server is stopped: on the bench's own machine only, where everything is its owner's anyway.
// The network always comes first; what was written is never answered from here.
import { registerRoute } from 'workbox-routing'
import { CacheFirst, NetworkFirst } from 'workbox-strategies'

const ASSETS = 'linguator-assets'
const PAGES = 'linguator-pages'
const SEEN = 'linguator-seen'
/** Answers larger than this are not kept (bytes). */
const LARGEST = 2_000_000

/** Of answers only JSON that is as it should be: files to save and what flows are not kept. */
const jsonOnly = {
  cacheWillUpdate: ({ response }) => {
    const isJson = (response.headers.get('content-type') ?? '').startsWith('application/json')
    return response.ok && isJson && Number(response.headers.get('content-length') ?? 0) < LARGEST ? response : null
  },
}
/** A page that was never seen is drawn by the one there is for all of them. */
const shell = { handlerDidError: async () => (await caches.open(PAGES)).match('/') }

registerRoute(({ url }) => url.pathname.startsWith('/build/assets/'), new CacheFirst({ cacheName: ASSETS }))
registerRoute(({ request }) => request.mode === 'navigate', new NetworkFirst({ cacheName: PAGES, plugins: [shell] }))
registerRoute(
  ({ url }) => url.pathname.startsWith('/api/v1/') && url.pathname !== '/api/v1/reach',
  new NetworkFirst({ cacheName: SEEN, plugins: [jsonOnly], matchOptions: { ignoreVary: true } }),
)
registerRoute(({ url }) => /^\/(icon[^/]*|manifest\.webmanifest)$/.test(url.pathname), new NetworkFirst({ cacheName: ASSETS }))

/** All scripts and styles of this build, and none of an older one. */
async function provide() {
  const manifest = await (await fetch('/build/manifest.json', { cache: 'no-store' })).json()
  const wanted = new Set(
    Object.values(manifest).flatMap(({ file, css = [], assets = [] }) => [file, ...css, ...assets].map((name) => `/build/${name}`)),
  )
  const cache = await caches.open(ASSETS)
  for (const request of await cache.keys()) {
    const { pathname } = new URL(request.url)
    if (pathname.startsWith('/build/') && !wanted.has(pathname)) await cache.delete(request)
  }
  await Promise.all([...wanted].map(async (path) => (await cache.match(path)) ?? cache.add(path)))
  await (await caches.open(PAGES)).add('/')
  // The page that brought this worker asked for these before it was there.
  await (await caches.open(SEEN)).addAll(['/api/v1/rigs', '/api/v1/shelf', '/api/v1/demo', '/api/v1/club'])
}

self.addEventListener('install', (event) => {
  self.skipWaiting()
  event.waitUntil(provide())
})
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))
// The page says when it has come from a newer build.
self.addEventListener('message', (event) => {
  if (event.data === 'provide') event.waitUntil(provide().catch(() => undefined))
})
