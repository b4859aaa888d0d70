import { CacheableResponsePlugin } from 'workbox-cacheable-response'
import { ExpirationPlugin } from 'workbox-expiration'
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { CacheFirst, NetworkFirst } from 'workbox-strategies'

declare const self: ServiceWorkerGlobalScope

/** What the server says of itself, of now, or to its lead alone is not kept. */
const neverKept = /^\/api\/(news|health|backups|export|changes|tablets|sign-in|devices\/\w+\/reading)\b/
/** About a month of a busy shop. */
const mostAnswers = 2000
const mostPhotos = 600

// The app itself: every screen opens with the server away.
precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }))

// Photos are named by their own bytes, and never change.
registerRoute(
  ({ url }) => url.pathname.startsWith('/api/photos/'),
  new CacheFirst({
    cacheName: 'photos',
    plugins: [new CacheableResponsePlugin({ statuses: [200] }), new ExpirationPlugin({ maxEntries: mostPhotos })],
  }),
)

// What was asked before is answered as it was while the server is away.
registerRoute(
  ({ url, request }) => request.method === 'GET' && url.pathname.startsWith('/api/') && !neverKept.test(url.pathname),
  new NetworkFirst({
    cacheName: 'answers',
    plugins: [new CacheableResponsePlugin({ statuses: [200] }), new ExpirationPlugin({ maxEntries: mostAnswers })],
  }),
)

/** The page says when nobody is in the middle of something. */
self.addEventListener('message', (event) => {
  if ((event.data as { type?: unknown } | null)?.type === 'SKIP_WAITING') void self.skipWaiting()
})
